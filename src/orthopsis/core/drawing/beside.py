"""Where do texts stand in a picture: measures beside what is measured, figures of a scale, letters at points?

The line goes on under a text that stands beyond its end, and a thin line leads to one that stands away from it all, as
draughtsmen do. All sizes are shares of how tall the text is, so that they are the same on paper and on a screen.
"""

import math
from collections.abc import Sequence
from dataclasses import dataclass

from orthopsis.core.drawing.answer import Place, ScaleSide

WIDE = 0.6
"""How wide a figure of the shipped typeface is."""
ASIDE, TICK = 0.64, 0.32
"""How far beside a length its line is drawn, and half of the ticks at its ends."""
GAP, TALL = 0.12, 0.75
"""Between a tick and the text, and how tall a figure is."""
ROW, CLEAR = 1.3, 0.2
"""How far rows of measures are apart, and how far from what is measured a line to a row further out begins."""

NEXT = 0.2
"""Between the line from a place of a scale and its text."""
AWAY, DOWN = 0.85, 0.32
"""How far the middle of a letter is from its point, and the letter's line below that."""


@dataclass(frozen=True, slots=True)
class BesideLength:
    """The line beside a length, its ticks, where its text begins, and the line that leads there, if any."""

    start: Place
    end: Place
    ticks: tuple[tuple[Place, Place], tuple[Place, Place]]
    left: float
    low: float
    leader: tuple[Place, Place] | None = None

    @property
    def lines(self) -> list[tuple[Place, Place]]:
        """All lines that are drawn with the text."""
        return [(self.start, self.end), *self.ticks, *([self.leader] if self.leader else [])]


def text_wide(text: str, size: float) -> float:
    """Return how wide a text is."""
    return len(text) * WIDE * size


def beside(
    start: Place, end: Place, out: Place, at: float, text: str, size: float, row: int = 0, away: Place | None = None
) -> BesideLength:  # fmt: skip
    """Return where the parts of a length stand.

    Args:
        start, end: of what is measured, y up.
        out: to which side, length 1; ``at``: beside which share of the length the text has its middle.
        size: how tall the text is, in the units of the places.
        row: how many rows of texts further out it all stands; lines lead there from the ends of what is measured.
        away: from the middle of the line to that of a text to which a line leads, as shares of its size, y up.
    """
    (dx, dy), aside, half = out, (ASIDE + ROW * row) * size, TICK * size
    begin = CLEAR * size if row else aside - half
    one, two = ((x + aside * dx, y + aside * dy) for x, y in (start, end))
    tick, other = (
        ((x + begin * dx, y + begin * dy), (x + (aside + half) * dx, y + (aside + half) * dy)) for x, y in (start, end)
    )
    wide, gap = text_wide(text, size), half + GAP * size
    if away is not None:
        middle = (one[0] + two[0]) / 2, (one[1] + two[1]) / 2
        left, low = middle[0] + away[0] * size - wide / 2, middle[1] + (away[1] - TALL / 2) * size
        rim = GAP * size
        nearest = (
            min(max(middle[0], left - rim), left + wide + rim),
            min(max(middle[1], low - rim), low + TALL * size + rim),
        )
        return BesideLength(one, two, (tick, other), left, low, (middle, nearest))
    x, y = one[0] + at * (two[0] - one[0]), one[1] + at * (two[1] - one[1])
    if abs(dx) > abs(dy):
        left, low = (x + gap if dx > 0 else x - gap - wide), y - 0.36 * size
        along = TALL * size
    else:
        left, low = x - wide / 2, (y + gap if dy > 0 else y - gap - TALL * size)
        along = wide
    reach = along / 2 / (math.dist(start, end) or 1.0)
    first, last = (min(0.0, at - reach), max(1.0, at + reach)) if not 0 < at < 1 else (0.0, 1.0)
    begins, ends = ((one[0] + t * (two[0] - one[0]), one[1] + t * (two[1] - one[1])) for t in (first, last))
    return BesideLength(begins, ends, (tick, other), left, low)


def scale_text(
    at: Place, side: ScaleSide, out: float, text: str, size: float, aside: float = 0.0
) -> tuple[Place, Place]:  # fmt: skip
    """Return where the line from a place of a scale to its text ends, and where that begins: left and low.

    Args:
        side: at which the text stands; ``out``: how far from the place, ``aside``: how far right or up from there, as
            shares of its size.
        size: how tall the text is, in the units of the place.
    """
    is_level = side in ("left", "right")
    far, along, wide = (-out if side in ("left", "below") else out) * size, aside * size, text_wide(text, size)
    x, y = (at[0] + far, at[1] + along) if is_level else (at[0] + along, at[1] + far)
    gap = NEXT * size
    begins = {
        "below": (x - wide / 2, y - gap - TALL * size),
        "above": (x - wide / 2, y + gap),
        "left": (x - gap - wide, y - TALL / 2 * size),
        "right": (x + gap, y - TALL / 2 * size),
    }
    return (x, y), begins[side]


def letter_ways(points: Sequence[Place]) -> list[Place]:
    """Return from some points to the middles of their letters, as shares of their size: away from the middle of all."""
    middle = [sum(axis) / len(points) for axis in zip(*points, strict=True)] if points else [0.0, 0.0]
    result = []
    for x, y in points:
        way = (x - middle[0], y - middle[1])
        long = math.hypot(*way)
        # Of one in the middle it stands to the upper right.
        result.append(
            (way[0] / long * AWAY, way[1] / long * AWAY) if long else (AWAY * math.sqrt(1 / 2), AWAY * math.sqrt(1 / 2))
        )
    return result


LED_TO, LED_UNTIL = 1.3, 0.5
"""From so far away on a line leads to a letter, until so far before its middle, as shares of its size (no source)."""


def letter_led_to(at: Place, way: Place, size: float) -> Place:
    """Return where the line ends that leads to the letter of a point: at the point itself where it stands beside that.

    Args:
        way, size: as ``letter_begins``.
    """
    far = math.hypot(*way)
    led = (1 - LED_UNTIL / far) * size if far >= LED_TO else 0.0
    return at[0] + led * way[0], at[1] + led * way[1]


def letter_begins(at: Place, way: Place, size: float) -> Place:
    """Return where the letter of a point begins, left and low.

    Args:
        way: from the point to its middle, as shares of its size, y up; ``size``: how tall it is, in units of the place.
    """
    return at[0] + (way[0] - WIDE / 2) * size, at[1] + (way[1] - DOWN) * size
