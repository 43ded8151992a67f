"""How much paper must be taped on so that a point off the sheet can be marked?

A strip lies along the eye level for the points on it, and beside, above or below the sheet for a third point or that of
a slope. Points of one side that lie at one height, or straight over each other, share a strip. Page millimetres, origin
lower left.
"""

import math
from collections.abc import Iterable
from dataclasses import dataclass
from typing import Literal

from orthopsis.core.sheet.paper import PAPERS, PaperName, Sheet

Side = Literal["left", "right", "top", "bottom"]

BEYOND_MM = 20.0
"""A strip reaches this far beyond its point, so that the ruler has something to lie on (no source)."""
_CUT_FROM: dict[str, tuple[PaperName, ...]] = {
    "mm": ("A4", "A3", "A2"),
    "in": ("9 x 12 in", "11 x 17 in", "12 x 18 in", "18 x 24 in"),
}
"""Drawing papers that an art room has in stock (common practice, no source)."""
BROAD_MM = 80.0
"""A strip is this broad (no source)."""


@dataclass(frozen=True, slots=True)
class Strip:
    """A piece of paper taped to one side of the sheet: its lower left corner and its size, mm."""

    side: Side
    x: float
    y: float
    width_mm: float
    height_mm: float

    @property
    def length_mm(self) -> float:
        """How far it reaches beyond the sheet's edge."""
        return self.width_mm if self.side in ("left", "right") else self.height_mm

    def carries(self, at: tuple[float, float]) -> bool:
        """Tell whether a point can be marked on it."""
        x, y = at
        return self.x <= x <= self.x + self.width_mm and self.y <= y <= self.y + self.height_mm


def strips_for(places: Iterable[tuple[float, float]], sheet: Sheet) -> list[Strip]:
    """Return the strips that carry these points, each as long as its farthest point needs."""
    given = list(places)
    strips: list[Strip] = []
    for reach, side, at in sorted((beyond(at, sheet) for at in given), key=lambda out: -out[0]):
        if reach > 0 and not any(strip.carries(at) for strip in strips):
            strips.append(_strip(side, reach + BEYOND_MM, at, sheet))
    return sorted(strips, key=lambda strip: next(i for i, at in enumerate(given) if strip.carries(at)))


def beyond(at: tuple[float, float], sheet: Sheet) -> tuple[float, Side, tuple[float, float]]:
    """Return how far a point lies beyond the sheet, on the side where that is most; at most 0 on the sheet."""
    x, y = at
    beyond: dict[Side, float] = {"left": -x, "right": x - sheet.width_mm, "top": y - sheet.height_mm, "bottom": -y}
    side = max(beyond, key=lambda name: beyond[name])
    return beyond[side], side, at


def paper_for(length_mm: float, sheet: Sheet) -> tuple[int, PaperName]:
    """Return from which paper of the class's family a strip is cut lengthwise, and how many pieces it takes.

    The smallest paper that is long enough in one piece; else as few pieces of the longest.
    """
    papers = list(_CUT_FROM["in" if sheet.units == "in" else "mm"])
    papers.sort(key=lambda name: PAPERS[name][1])
    for name in papers:
        if PAPERS[name][1] >= length_mm:
            return 1, name
    return math.ceil(length_mm / PAPERS[papers[-1]][1]), papers[-1]


def _strip(side: Side, length: float, at: tuple[float, float], sheet: Sheet) -> Strip:
    x, wide = _held(at[0], sheet.width_mm)
    y, high = _held(at[1], sheet.height_mm)
    match side:
        case "left":
            return Strip(side, -length, y, length, high)
        case "right":
            return Strip(side, sheet.width_mm, y, length, high)
        case "bottom":
            return Strip(side, x, -length, wide, length)
        case _:
            return Strip(side, x, sheet.height_mm, wide, length)


def _held(at: float, size: float) -> tuple[float, float]:
    """Return from where a strip begins along the sheet's edge, and its breadth: it must lie on the sheet to hold."""
    low, high = min(at, size) - BROAD_MM / 2, max(at, 0.0) + BROAD_MM / 2
    return low, high - low
