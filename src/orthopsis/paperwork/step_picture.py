"""The picture of one step on a page: the sheet so far, or a part of it enlarged with a small whole beside it.

Measures, letters, and arrows to points that lie beyond the picture are written in one size, however large it is.
"""

from dataclasses import dataclass

from orthopsis.core.drawing.answer import Beyond, Box, Dimension, Drawing, Place, Step
from orthopsis.core.telling.clear_texts import with_clear_texts
from orthopsis.paperwork.art import step_art
from orthopsis.paperwork.pdf import BOLD, Pages
from orthopsis.paperwork.step_scales import dimension_text, letter_texts, scale_texts

_PENS = 0.7
"""Of their width on the sheet itself the pens of step pictures have this share, however small those are (no source)."""
_LARGE, _SMALL = 0.74, 0.23
"""What an enlarged part and the small whole beside it take of a picture's width."""
_ARROW_MM = 2.4


@dataclass(frozen=True, slots=True)
class Field:
    """The room of a picture on a page, mm: left, top, how wide and tall; the sheet is shown up to ``shown_mm``."""

    left: float
    top: float
    wide: float
    tall: float
    shown_mm: float

    def whole(self, drawing: Drawing) -> Box:
        """Return what of the sheet a picture shows that is no close-up."""
        return 0.0, 0.0, drawing.sheet.width_mm, self.shown_mm


@dataclass(frozen=True, slots=True)
class _Window:
    """A part of the sheet as it is shown: ``left`` and ``low`` on the page, mm, and how large."""

    box: Box
    left: float
    low: float
    scale: float

    @property
    def size(self) -> Place:
        """Width and height on the page."""
        return self.scale * (self.box[2] - self.box[0]), self.scale * (self.box[3] - self.box[1])

    @property
    def origin(self) -> Place:
        """Where the lower left corner of the sheet would lie on the page."""
        return self.left - self.scale * self.box[0], self.low - self.scale * self.box[1]

    def at(self, place: Place) -> Place:
        """Return where a place of the sheet lies on the page."""
        left, low = self.origin
        return left + self.scale * place[0], low + self.scale * place[1]


def cleared_for(drawing: Drawing, field: Field, text_mm: float) -> Drawing:
    """Return a drawing of which each step has its texts where they are clear in a picture of that size.

    Args:
        text_mm: how tall figures and letters are.
    """
    whole = field.whole(drawing)
    steps = with_clear_texts(drawing, whole, lambda part: _window(field, whole, part).size[0] / text_mm)
    return drawing.model_copy(update={"steps": steps})


def add_picture(pages: Pages, drawing: Drawing, count: int, field: Field, text_mm: float) -> None:
    """Draw a step, with its measures and letters.

    Args:
        count: number of the step, from 1.
        text_mm: how tall figures and letters are.
    """
    step, whole = drawing.steps[count - 1], field.whole(drawing)
    window = _window(field, whole, step.close_up or whole)
    if step.close_up is not None:
        small = _SMALL * field.wide
        beside = _fitted(whole, field.left + field.wide - small, field.top, small, field.tall)
        _show(pages, drawing, count, beside)
        _mark_part(pages, beside, step.close_up)
    _show(pages, drawing, count, window)
    _write(pages, step, window, text_mm)


def _window(field: Field, whole: Box, part: Box) -> _Window:
    """Return where the whole or an enlarged part of it stands in the room of a picture."""
    return _fitted(part, field.left, field.top, field.wide * (1.0 if part == whole else _LARGE), field.tall)


def _fitted(box: Box, left: float, top: float, wide: float, tall: float) -> _Window:
    """Return a part of the sheet as large as it has room, at the upper left of it."""
    scale = min(wide / (box[2] - box[0]), tall / (box[3] - box[1]))
    return _Window(box, left, top - scale * (box[3] - box[1]), scale)


def _show(pages: Pages, drawing: Drawing, count: int, window: _Window) -> None:
    """Draw what of the sheet a window shows, in a frame that is dashed where the sheet goes on."""
    canvas, (wide, tall), (left, low) = pages.canvas, window.size, (window.left, window.low)
    with pages.clipped(left, low, wide, tall):
        pages.show(pages.keep(step_art(drawing, count), _PENS / window.scale), *window.origin, window.scale)
    canvas.setStrokeGray(0.6)
    canvas.setLineWidth(0.2)
    box, sheet = window.box, drawing.sheet
    right, top = left + wide, low + tall
    sides = (
        (box[0] > 0, (left, low, left, top)),
        (box[1] > 0, (left, low, right, low)),
        (box[2] < sheet.width_mm, (right, low, right, top)),
        (box[3] < sheet.height_mm, (left, top, right, top)),
    )
    for goes_on, side in sides:
        canvas.setDash(*((1.0, 1.0) if goes_on else ()))
        canvas.line(*side)
    canvas.setDash()


def _mark_part(pages: Pages, whole: _Window, part: Box) -> None:
    """Mark on the small whole which part of it is shown large."""
    (left, low), (right, high) = whole.at(part[:2]), whole.at((part[2], min(part[3], whole.box[3])))
    pages.canvas.setStrokeGray(0.1)
    pages.canvas.setLineWidth(0.4)
    pages.canvas.rect(left, low, right - left, high - low, stroke=1, fill=0)


def _write(pages: Pages, step: Step, window: _Window, size: float) -> None:
    """Write the measures of a step beside its picture, the letters of its points, and where points beyond it lie."""
    canvas, (left, low) = pages.canvas, window.origin
    canvas.setStrokeGray(0.5)
    canvas.setLineWidth(0.15)
    for text in (text for scale in step.scales for text in scale_texts(scale, left, low, window.scale, size)):
        canvas.line(*text.start, *text.end)
        pages.text(text.left, text.low, text.text, size)
    canvas.setFillGray(0.15)
    for text in letter_texts(step.letters, left, low, window.scale, size):
        canvas.line(*text.start, *text.end)
        canvas.circle(*text.start, 0.35, stroke=0, fill=1)
        pages.text(text.left, text.low, text.text, size, BOLD)
    for dimension in step.dimensions:
        _dimension(pages, dimension, window, size)
    for beyond in step.beyond:
        _arrow(pages, beyond, window, size)


def _dimension(pages: Pages, dimension: Dimension, window: _Window, size: float) -> None:
    """Draw a length beside what is measured, with its measure."""
    canvas, (left, low) = pages.canvas, window.origin
    text, others = dimension_text(dimension, left, low, window.scale, size)
    canvas.setStrokeGray(0.4)
    canvas.setLineWidth(0.15)
    for start, end in ((text.start, text.end), *others):
        canvas.line(*start, *end)
    most = window.left + window.size[0] - pages.width_of(text.text, size) - 0.5
    _on_paper(pages, min(max(text.left, window.left + 0.5), most), text.low, text.text, size)


def _arrow(pages: Pages, beyond: Beyond, window: _Window, size: float) -> None:
    """Draw an arrow head at the rim where lines leave the picture, and write within it where they run to."""
    canvas, (x, y), (dx, dy) = pages.canvas, window.at(beyond.at), beyond.way
    canvas.setFillGray(0.15)
    path = canvas.beginPath()
    path.moveTo(x, y)
    for side in (1, -1):
        path.lineTo(
            x - _ARROW_MM * dx - side * 0.35 * _ARROW_MM * dy, y - _ARROW_MM * dy + side * 0.35 * _ARROW_MM * dx
        )
    path.close()
    canvas.drawPath(path, stroke=0, fill=1)
    rows = [row for row in (beyond.text, beyond.past) if row]
    wide, tall = max(pages.width_of(row, size) for row in rows), 1.15 * size * len(rows)
    at_left, right, top = window.left + 1.0, window.left + window.size[0] - 1.0, window.low + window.size[1]
    left = min(max(x - _ARROW_MM - wide if beyond.side == "right" else x + _ARROW_MM, at_left), right - wide)
    # Over the lines that run there from below, under those that come from above.
    low = y + 0.8 if dy >= 0 else y - tall - 0.8
    low = min(max(low, window.low + 1.0), top - tall)
    for number, row in enumerate(reversed(rows)):
        _on_paper(pages, left, low + 1.15 * size * number, row, size)


def _on_paper(pages: Pages, left: float, low: float, text: str, size: float) -> None:
    """Write a text on a bit of white, so that no line runs through it."""
    pages.canvas.setFillGray(1.0)
    pages.canvas.rect(left - 0.3, low - 0.28 * size, pages.width_of(text, size) + 0.6, 1.15 * size, stroke=0, fill=1)
    pages.text(left, low, text, size)
