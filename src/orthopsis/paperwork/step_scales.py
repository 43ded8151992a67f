"""Where do the measures and the numbers of light lines stand in the picture of a step on a step sheet?"""

from collections.abc import Iterator, Sequence
from dataclasses import dataclass

from orthopsis.core.drawing.answer import Dimension, Place, PointLetter, Scale
from orthopsis.core.drawing.beside import beside, letter_begins, letter_led_to, scale_text

SIZE_MM = 2.5
"""How tall the figures and letters of a picture are, beside type of 11 points."""


@dataclass(frozen=True, slots=True)
class ScaleText:
    """A text with the line that leads to it, in mm of the page; ``left`` is where it begins."""

    text: str
    start: Place
    end: Place
    left: float
    low: float


def scale_texts(scale: Scale, left: float, low: float, factor: float, size: float = SIZE_MM) -> Iterator[ScaleText]:
    """Yield the texts of a scale in a picture of the sheet.

    Args:
        left, low: where the sheet's lower left corner lies on the page, mm; ``factor``: how much it is made smaller.
        size: how tall the texts are, mm.
    """
    for mark in scale.marks:
        at = (left + factor * mark.at[0], low + factor * mark.at[1])
        end, begins = scale_text(at, scale.side, mark.out, mark.text, size, mark.aside)
        yield ScaleText(mark.text, at, end, *begins)


def dimension_text(
    dimension: Dimension, left: float, low: float, factor: float, size: float = SIZE_MM
) -> tuple[ScaleText, list[tuple[Place, Place]]]:
    """Return a length as a line beside what is measured, with its measure, and the other lines: ticks, one to the text.

    Args:
        left, low, factor, size: as ``scale_texts``.
    """
    start, end = ((left + factor * x, low + factor * y) for x, y in (dimension.start, dimension.end))
    given = dimension
    found = beside(start, end, given.out, given.at, given.text, size, given.row, given.away)
    first, *others = found.lines
    return ScaleText(given.text, *first, found.left, found.low), others


def letter_texts(
    letters: Sequence[PointLetter], left: float, low: float, factor: float, size: float = SIZE_MM
) -> Iterator[ScaleText]:
    """Yield the letters of a step's points, each beside its point; the line begins at the dot on the point.

    Args:
        left, low, factor, size: as ``scale_texts``.
    """
    for letter in letters:
        point = (left + factor * letter.at[0], low + factor * letter.at[1])
        end = letter_led_to(point, letter.beside, size)
        yield ScaleText(letter.text, point, end, *letter_begins(point, letter.beside, size))
