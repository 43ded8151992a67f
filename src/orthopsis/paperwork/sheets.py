"""Which pages does a teacher print? Starter, steps, answer, overlay, and a sheet for each student."""

from collections.abc import Iterator, Sequence
from dataclasses import dataclass
from typing import Literal

from orthopsis.core.drawing.answer import Drawing, Step
from orthopsis.paperwork.art import answer_art, overlay_art, starter_art, step_art
from orthopsis.paperwork.marks import SheetCode
from orthopsis.paperwork.pdf import BOLD, REGULAR, Pages
from orthopsis.paperwork.step_scales import CLEAR_MM, SIZE_MM, letter_texts, scale_texts

SheetKind = Literal["starter", "answer", "overlay"]
MOST_STEPS_A_PAGE = 8
_HANDOUT_MM = {"in": (215.9, 279.4)}
"""Handouts are printed on the school's ordinary paper: letter where inches are used, else A4."""
_A4 = (210.0, 297.0)
_MARGIN = 12.0
_PENS = 0.7
"""Of their width on the sheet itself the pens of step pictures have this share, however small those are (no source)."""


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


def handout_mm(units: str) -> tuple[float, float]:
    """Return width and height of the paper for what is read and not drawn on: A4, or letter in inch classes."""
    return _HANDOUT_MM.get(units, _A4)


def add_steps(pages: Pages, drawing: Drawing, title: str, per_page: int) -> None:
    """Add step sheets to a PDF."""
    per_page = min(max(per_page, 1), MOST_STEPS_A_PAGE)
    size = handout_mm(drawing.sheet.units)
    columns = 1 if per_page <= 3 else 2
    lying = per_page == 1 and drawing.sheet.width_mm > drawing.sheet.height_mm
    width, height = (size[1], size[0]) if lying else size
    rows = -(-per_page // columns)
    numbered = list(enumerate(drawing.steps, start=1))
    sheets = [numbered[i : i + per_page] for i in range(0, len(numbered), per_page)]
    for number, chunk in enumerate(sheets, start=1):
        pages.begin(width, height)
        pages.text(_MARGIN, height - _MARGIN - 2, title, 5.0, BOLD)
        footer = f"{number} of {len(sheets)}"
        pages.text(width - _MARGIN - 14, height - _MARGIN - 2, footer, 3.4, REGULAR, 0.4)
        for place, (count, step) in zip(_cells(width, height, columns, rows), chunk, strict=False):
            _step_cell(pages, drawing, count, step, place)
        pages.end()


def _cells(width: float, height: float, columns: int, rows: int) -> Iterator[tuple[float, float, float, float]]:
    """Yield left, top, width and height of each cell, row by row."""
    gap, top = 7.0, height - _MARGIN - 8
    cell_w = (width - 2 * _MARGIN - gap * (columns - 1)) / columns
    cell_h = (top - _MARGIN - gap * (rows - 1)) / rows
    for row in range(rows):
        for column in range(columns):
            yield _MARGIN + column * (cell_w + gap), top - row * (cell_h + gap), cell_w, cell_h


def _step_cell(
    pages: Pages, drawing: Drawing, count: int, step: Step, place: tuple[float, float, float, float]
) -> None:
    left, top, width, height = place
    sheet = drawing.sheet
    size = 3.4 if height < 90 else 4.2
    room = height - size * 8.5
    scale = min(width / sheet.width_mm, room / sheet.height_mm)
    low = top - scale * sheet.height_mm
    pages.canvas.setFillGray(1.0)
    pages.canvas.setStrokeGray(0.6)
    pages.canvas.setLineWidth(0.2)
    pages.canvas.rect(left, low, scale * sheet.width_mm, scale * sheet.height_mm, stroke=1, fill=0)
    pages.show(pages.keep(step_art(drawing, count), _PENS / scale), left, low, scale)
    _picture_texts(pages, step, left, low, scale)
    y = pages.paragraph(left, low - 0.5, f"{count}  {step.title}", size, width, BOLD)
    y = pages.paragraph(left, y, f"{step.text} {step.after}".strip(), size, width)
    if height >= 110:
        pages.paragraph(left, y, f"Watch for: {step.slip}", size * 0.9, width)


def _picture_texts(pages: Pages, step: Step, left: float, low: float, scale: float) -> None:
    """Write the measures of a step beside its picture, and the letters of its points."""
    pages.canvas.setStrokeGray(0.5)
    pages.canvas.setLineWidth(0.15)
    clear = CLEAR_MM if step.letters else 0.0
    for text in (text for scaled in step.scales for text in scale_texts(scaled, left, low, scale, clear)):
        pages.canvas.line(*text.start, *text.end)
        pages.text(text.left, text.low, text.text, SIZE_MM)
    pages.canvas.setFillGray(0.15)
    for text in letter_texts(step.letters, left, low, scale):
        pages.canvas.circle(*text.start, 0.35, stroke=0, fill=1)
        pages.text(text.left, text.low, text.text, SIZE_MM, BOLD)
