"""Which pages does a teacher print? Starter, answer, overlay, and a sheet for each student."""

from collections.abc import Sequence
from dataclasses import dataclass
from typing import Literal

from orthopsis.core.drawing.answer import Drawing
from orthopsis.paperwork.art import answer_art, overlay_art, starter_art
from orthopsis.paperwork.marks import SheetCode
from orthopsis.paperwork.pdf import Pages

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


def add_sheets(pages: Pages, drawing: Drawing, kind: SheetKind, title: str, copies: Sequence[Copy]) -> None:
    """Add sheets at 1:1 to a PDF, one page for each copy."""
    arts = {"starter": starter_art, "answer": answer_art, "overlay": overlay_art}
    width, height = drawing.sheet.width_mm, drawing.sheet.height_mm
    shown = pages.keep(arts[kind](drawing))
    for copy in copies:
        pages.begin(width, height)
        pages.show(shown)
        heading = title if kind == "starter" else f"{title}: {kind}"
        pages.furniture(width, height, copy.code, heading, copy.student)
        pages.end()
