"""Where do the measures and the numbers of light lines stand in the picture of a step on a step sheet?

Beside the places that they belong to, in as many rows as it takes that they do not touch.
"""

import math
from collections.abc import Iterator, Sequence
from dataclasses import dataclass

from orthopsis.core.drawing.answer import Dimension, Place, PointLetter, Scale
from orthopsis.core.drawing.beside import beside, text_wide

SIZE_MM = 2.5
"""How tall the figures and letters of a picture are, beside type of 11 points."""
TICK_MM = 1.2
GAP_MM = 0.7
CLEAR = 1.28
"""How much room a letter takes beside its point, as a share of its size."""
AWAY = 0.85
"""How far from its point the middle of a letter stands, as a share of its size."""


@dataclass(frozen=True, slots=True)
class ScaleText:
    """A text with the line that leads to it, in mm of the page; ``left`` is where it begins."""

    text: str
    start: Place
    end: Place
    left: float
    low: float


def scale_texts(
    scale: Scale, left: float, low: float, factor: float, clear_mm: float = 0.0, size: float = SIZE_MM
) -> Iterator[ScaleText]:
    """Yield the texts of a scale in a picture of the sheet.

    Args:
        left, low: where the sheet's lower left corner lies on the page, mm; ``factor``: how much it is made smaller.
        clear_mm: how much room is left beside the places for letters.
        size: how tall the texts are, mm.
    """
    is_below = scale.side == "below"
    places = [((left + factor * m.at[0], low + factor * m.at[1]), m.text) for m in scale.marks]
    places.sort(key=lambda placed: placed[0][0] if is_below else placed[0][1])
    deepest = max((text_wide(text, size) for _, text in places), default=0.0) + GAP_MM
    ends: list[float] = []
    for (x, y), text in places:
        room = text_wide(text, size) if is_below else size
        begin = (x if is_below else y) - room / 2
        row = next((i for i, end in enumerate(ends) if end + GAP_MM / 2 <= begin), len(ends))
        ends[row : row + 1] = [begin + room]
        out = TICK_MM + clear_mm + row * (size if is_below else deepest)
        if is_below:
            yield ScaleText(text, (x, y), (x, y - out), x - room / 2, y - out - size * 0.9)
        elif scale.side == "left":
            yield ScaleText(text, (x, y), (x - out, y), x - out - GAP_MM - text_wide(text, size), y - size * 0.36)
        else:
            yield ScaleText(text, (x, y), (x + out, y), x + out + GAP_MM, y - size * 0.36)


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
    """Yield the letters of a step's points, each on the outer side of its point; the line is a dot on the point.

    Args:
        left, low, factor, size: as ``scale_texts``.
    """
    places = [(left + factor * letter.at[0], low + factor * letter.at[1]) for letter in letters]
    middle = [sum(axis) / len(places) for axis in zip(*places, strict=True)] if places else [0.0, 0.0]
    for letter, (x, y) in zip(letters, places, strict=True):
        way = (x - middle[0], y - middle[1])
        away = AWAY * size / (math.hypot(*way) or 1.0)
        at = (x + way[0] * away - text_wide(letter.text, size) / 2, y + way[1] * away - size * 0.32)
        yield ScaleText(letter.text, (x, y), (x, y), *at)
