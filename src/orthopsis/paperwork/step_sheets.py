"""Step sheets: the steps as pictures with words, one to eight on a page of the school's ordinary paper.

All of them, or those from one on: for who has the starter sheet, or joins late.

The page lies or stands, and has as many columns, as makes the pictures largest. The whole sheet is always shown in one
scale, without what is empty at its top; small work is shown enlarged (``step_picture``).
"""

from collections.abc import Iterator, Sequence
from dataclasses import dataclass, replace

from orthopsis.core.drawing.answer import Drawing, Step
from orthopsis.paperwork.art import set_up_steps
from orthopsis.paperwork.handout import Handout, handout_mm
from orthopsis.paperwork.pdf import BOLD, REGULAR, Pages, rows_of
from orthopsis.paperwork.step_picture import Field, add_picture, cleared_for
from orthopsis.paperwork.step_scales import SIZE_MM

MOST_STEPS_A_PAGE = 8
_MARGIN, _GAP, _HEAD = 12.0, 7.0, 8.0
_POINT_MM = 25.4 / 72
_USUAL_PT = 11.0
_USUAL_MM = _USUAL_PT * _POINT_MM
_CLOSER = 0.87
"""Where more than four steps stand on a page, the type has this share of its size."""
_MOST_AT_FULL_SIZE = 4
_LEAST_SCALE = 0.08
_LEAST_OF_USUAL = 0.75
"""Fewer steps stand on a page where a picture is smaller than this share of its size on the sheet, or of the size that
it has over words in the usual type."""
_OVER_MM = 12.0
"""So much of the sheet is shown over the highest thing that is drawn on it."""


@dataclass(frozen=True, slots=True)
class StepPages:
    """How step sheets are wanted.

    Attributes:
        per_page: how many steps stand on a page, where their words leave so much room.
        first: the first step that is printed, counted from 1.
        without_starter: whether the steps are left out that a starter sheet has already.
        paper: none: as the class measures.
        type_pt: size of the type, points.
        only_required: whether steps that are extra are left out.
    """

    per_page: int = 4
    first: int = 1
    without_starter: bool = False
    paper: Handout | None = None
    type_pt: float = _USUAL_PT
    only_required: bool = False

    def begin(self, drawing: Drawing) -> int:
        """Return the number of the first step that is printed, of those that there are."""
        first = max(self.first, set_up_steps(drawing) + 1 if self.without_starter else 1)
        return min(first, len(drawing.steps))

    def numbered(self, drawing: Drawing) -> list[tuple[int, Step]]:
        """Return the steps that are printed, with their numbers."""
        steps = list(enumerate(drawing.steps, start=1))[self.begin(drawing) - 1 :]
        return [(number, step) for number, step in steps if not (step.extra and self.only_required)]


@dataclass(frozen=True, slots=True)
class Layout:
    """How the steps stand on a page, mm.

    Attributes:
        per_page: how many at most.
        width, height: of the page.
        columns, rows: of steps.
        scale: of the pictures.
        shown_mm: how much of the sheet's height they show.
        type_mm: size of the type.
    """

    per_page: int
    width: float
    height: float
    columns: int
    rows: int
    scale: float
    shown_mm: float
    type_mm: float

    @property
    def cell(self) -> tuple[float, float]:
        """Width and height of the room of a step."""
        wide = (self.width - 2 * _MARGIN - _GAP * (self.columns - 1)) / self.columns
        tall = (self.height - 2 * _MARGIN - _HEAD - _GAP * (self.rows - 1)) / self.rows
        return wide, tall

    @property
    def places(self) -> Iterator[tuple[float, float]]:
        """Where the steps stand, left and top, row by row."""
        wide, tall = self.cell
        for row in range(self.rows):
            for column in range(self.columns):
                yield _MARGIN + column * (wide + _GAP), self.height - _MARGIN - _HEAD - row * (tall + _GAP)


def layout_of(drawing: Drawing, wanted: StepPages) -> Layout:
    """Return how steps stand on a page so that their pictures are largest and their words have room.

    Fewer than wanted stand on it where the words are too long for so many.
    """
    most = min(max(wanted.per_page, 1), MOST_STEPS_A_PAGE)
    usual = _largest(drawing, replace(wanted, type_pt=_USUAL_PT), most).scale
    for per_page in range(most, 1, -1):
        layout = _largest(drawing, wanted, per_page)
        if layout.scale >= max(_LEAST_SCALE, _LEAST_OF_USUAL * usual):
            return layout
    return _largest(drawing, wanted, 1)


def _largest(drawing: Drawing, wanted: StepPages, per_page: int) -> Layout:
    short, long = handout_mm(drawing.sheet.units, wanted.paper)
    size = wanted.type_pt * _POINT_MM * (1.0 if per_page <= _MOST_AT_FULL_SIZE else _CLOSER)
    shown, steps = _shown_mm(drawing), [step for _, step in wanted.numbered(drawing)]
    found = []
    for width, height in ((short, long), (long, short)):
        for columns in range(1, per_page + 1):
            rows = -(-per_page // columns)
            wide, tall = Layout(per_page, width, height, columns, rows, 1.0, shown, size).cell
            room = tall - max((_words_mm(step, size, wide) for step in steps), default=0.0)
            scale = min(wide / drawing.sheet.width_mm, room / shown)
            found.append(Layout(per_page, width, height, columns, rows, scale, shown, size))
    return max(found, key=lambda layout: layout.scale)


def _shown_mm(drawing: Drawing) -> float:
    """Return up to where on the sheet something is drawn, with some room over it."""
    sheet = drawing.sheet
    points = [aim.at[1] for aim in drawing.aims if aim.at[1] <= sheet.height_mm]
    highest = max((y for line in drawing.lines for _, y in (line.start, line.end)), default=sheet.height_mm)
    highest = max(highest, *points)
    return min(sheet.height_mm, highest + _OVER_MM)


def _words(step: Step, size: float) -> list[tuple[str, str, float]]:
    """Return the paragraphs under a picture: text, font, size."""
    return [
        (f"{step.title} (extra)" if step.extra else step.title, BOLD, size),
        (f"{step.text} {step.after}".strip(), REGULAR, size),
        (f"Watch for: {step.slip}", REGULAR, size * 0.9),
    ]


def _words_mm(step: Step, size: float, wide: float) -> float:
    """Return how tall the words of a step are."""
    rows = ((len(rows_of(f"00  {text}", font, mm, wide)), mm) for text, font, mm in _words(step, size))
    return sum(count * mm * 1.4 for count, mm in rows) + 2.0


def add_steps(pages: Pages, drawing: Drawing, title: str, wanted: StepPages) -> None:
    """Add step sheets to a PDF."""
    layout = layout_of(drawing, wanted)
    drawing = cleared_for(drawing, _field(drawing, layout, 0.0, 0.0), _text_mm(layout))
    numbered = wanted.numbered(drawing)
    sheets = [numbered[i : i + layout.per_page] for i in range(0, len(numbered), layout.per_page)]
    for number, chunk in enumerate(sheets, start=1):
        pages.begin(layout.width, layout.height)
        pages.text(_MARGIN, layout.height - _MARGIN - 2, title, 5.0, BOLD)
        footer = f"{number} of {len(sheets)}"
        pages.text(layout.width - _MARGIN - 14, layout.height - _MARGIN - 2, footer, 3.4, REGULAR, 0.4)
        _add_cells(pages, drawing, layout, chunk)
        pages.end()


def _field(drawing: Drawing, layout: Layout, left: float, top: float) -> Field:
    """Return the room of a picture at a place."""
    return Field(left, top, layout.scale * drawing.sheet.width_mm, layout.scale * layout.shown_mm, layout.shown_mm)


def _text_mm(layout: Layout) -> float:
    """Return how tall figures and letters in the pictures are."""
    return SIZE_MM * layout.type_mm / _USUAL_MM


def _add_cells(pages: Pages, drawing: Drawing, layout: Layout, chunk: Sequence[tuple[int, Step]]) -> None:
    for (left, top), (count, step) in zip(layout.places, chunk, strict=False):
        field = _field(drawing, layout, left, top)
        add_picture(pages, drawing, count, field, _text_mm(layout))
        y = top - field.tall - 0.5
        for number, (text, font, size) in enumerate(_words(step, layout.type_mm)):
            y = pages.paragraph(left, y, text if number else f"{count}  {text}", size, layout.cell[0], font)
