"""Where do the measures and the numbers of light lines stand in the picture of a step on a step sheet?

Beside the places that they belong to, in as many rows as it takes that they do not touch.
"""

from collections.abc import Iterator
from dataclasses import dataclass

from orthopsis.core.drawing.answer import Place, Scale

SIZE_MM = 2.5
TICK_MM = 1.2
GAP_MM = 0.7
WIDE = 0.6
"""How wide a figure of the shipped typeface is, as a share of its size."""


@dataclass(frozen=True, slots=True)
class ScaleText:
    """A text with the line that leads to it, in mm of the page; ``left`` is where it begins."""

    text: str
    start: Place
    end: Place
    left: float
    low: float


def scale_texts(scale: Scale, left: float, low: float, factor: float) -> Iterator[ScaleText]:
    """Yield the texts of a scale in a picture of the sheet.

    Args:
        left, low: where the sheet's lower left corner lies on the page, mm; ``factor``: how much it is made smaller.
    """
    is_below = scale.side == "below"
    places = [((left + factor * m.at[0], low + factor * m.at[1]), m.text) for m in scale.marks]
    places.sort(key=lambda placed: placed[0][0] if is_below else placed[0][1])
    deepest = max((_wide(text) for _, text in places), default=0.0) + GAP_MM
    ends: list[float] = []
    for (x, y), text in places:
        room = _wide(text) if is_below else SIZE_MM
        begin = (x if is_below else y) - room / 2
        row = next((i for i, end in enumerate(ends) if end + GAP_MM / 2 <= begin), len(ends))
        ends[row : row + 1] = [begin + room]
        out = TICK_MM + row * (SIZE_MM if is_below else deepest)
        if is_below:
            yield ScaleText(text, (x, y), (x, y - out), x - room / 2, y - out - SIZE_MM * 0.9)
        elif scale.side == "left":
            yield ScaleText(text, (x, y), (x - out, y), x - out - GAP_MM - _wide(text), y - SIZE_MM * 0.36)
        else:
            yield ScaleText(text, (x, y), (x + out, y), x + out + GAP_MM, y - SIZE_MM * 0.36)


def _wide(text: str) -> float:
    return len(text) * WIDE * SIZE_MM
