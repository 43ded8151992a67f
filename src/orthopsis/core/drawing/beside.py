"""Where do the line and the measure of a length stand in a picture, beside what is measured?

All sizes are shares of how tall the text is, so that they are the same on paper and on a screen.
"""

from dataclasses import dataclass

from orthopsis.core.drawing.answer import Place

WIDE = 0.6
"""How wide a figure of the shipped typeface is."""
ASIDE, TICK = 0.64, 0.32
"""How far beside a length its line is drawn, and half of the ticks at its ends."""
GAP, TALL = 0.12, 0.75
"""Between a tick and the text, and how tall a figure is."""


@dataclass(frozen=True, slots=True)
class BesideLength:
    """The line beside a length, its ticks, and where its text begins: left and low."""

    start: Place
    end: Place
    ticks: tuple[tuple[Place, Place], tuple[Place, Place]]
    left: float
    low: float


def text_wide(text: str, size: float) -> float:
    """Return how wide a text is."""
    return len(text) * WIDE * size


def beside(start: Place, end: Place, out: Place, at: float, text: str, size: float) -> BesideLength:
    """Return where the parts of a length stand.

    Args:
        start, end: of what is measured, y up.
        out: to which side, length 1; ``at``: beside which share of the length the text has its middle.
        size: how tall the text is, in the units of the places.
    """
    (dx, dy), aside, half = out, ASIDE * size, TICK * size
    one, two = ((x + aside * dx, y + aside * dy) for x, y in (start, end))
    (ax, ay), (bx, by) = (((x - half * dx, y - half * dy), (x + half * dx, y + half * dy)) for x, y in (one, two))
    wide, gap = text_wide(text, size), half + GAP * size
    x, y = one[0] + at * (two[0] - one[0]), one[1] + at * (two[1] - one[1])
    if abs(dx) > abs(dy):
        left, low = (x + gap if dx > 0 else x - gap - wide), y - 0.36 * size
    else:
        left, low = x - wide / 2, (y + gap if dy > 0 else y - gap - TALL * size)
    return BesideLength(one, two, ((ax, ay), (bx, by)), left, low)
