"""Which pages does a teacher print? Starter, answer, overlay, and a sheet for each student."""

from collections.abc import Sequence
from dataclasses import dataclass
from typing import Literal

from orthopsis.core.drawing.answer import Drawing
from orthopsis.paperwork.art import answer_art, overlay_art, starter_art
from orthopsis.paperwork.marks import SheetCode
from orthopsis.paperwork.pdf import Pages
from orthopsis.paperwork.tiles import add_tiled

SheetKind = Literal["starter", "answer", "overlay"]


@dataclass(frozen=True, slots=True)
class Copy:
    """One copy of a sheet: its code, and whose it is."""

    code: SheetCode
    student: str = ""


def sheet_pdf(drawing: Drawing, kind: SheetKind, title: str, copies: Sequence[Copy]) -> bytes:
    """Return a PDF of sheets at 1:1, one page for each copy."""
    pages = Pages(title)
    add_sheets(pages, drawing, kind, title, copies)
    return pages.bytes()


def add_sheets(
    pages: Pages, drawing: Drawing, kind: SheetKind, title: str, copies: Sequence[Copy],
    paper: tuple[float, float] | None = None,
) -> None:  # fmt: skip
    """Add sheets at 1:1 to a PDF, one page for each copy.

    Args:
        paper: width and height of the printer's paper over which each sheet is laid; none: all of it is one page.
    """
    arts = {"starter": starter_art, "answer": answer_art, "overlay": overlay_art}
    width, height = drawing.sheet.width_mm, drawing.sheet.height_mm
    shown = pages.keep(arts[kind](drawing))
    for copy in copies:
        heading = title if kind == "starter" else f"{title}: {kind}"
        if paper is not None:
            with pages.recorded(width, height) as whole:
                pages.show(shown)
                pages.furniture(width, height, copy.code, heading, copy.student)
            whose = f"{heading}, {copy.student}" if copy.student else heading
            add_tiled(pages, whole, (width, height), paper, whose)
            continue
        pages.begin(width, height)
        pages.show(shown)
        pages.furniture(width, height, copy.code, heading, copy.student)
        pages.end()
