"""How much paper must be taped on so that a point off the sheet can be marked?

A strip lies along the eye level for the points on it, and straight above or below the sheet for a third point. Page
millimetres, origin lower left.
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


def strips_for(places: Iterable[tuple[float, float]], sheet: Sheet) -> list[Strip]:
    """Return the strips that carry these points, one a side at most, as long as the farthest point needs."""
    farthest: dict[Side, tuple[float, tuple[float, float]]] = {}
    for x, y in places:
        beyond: dict[Side, float] = {
            "left": -x,
            "right": x - sheet.width_mm,
            "top": y - sheet.height_mm,
            "bottom": -y,
        }
        side = max(beyond, key=lambda name: beyond[name])
        if beyond[side] > 0 and beyond[side] > farthest.get(side, (0.0, (0.0, 0.0)))[0]:
            farthest[side] = (beyond[side], (x, y))
    return [_strip(side, reach + BEYOND_MM, at, sheet) for side, (reach, at) in farthest.items()]


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
    x, y = at[0] - BROAD_MM / 2, at[1] - BROAD_MM / 2
    match side:
        case "left":
            return Strip(side, -length, y, length, BROAD_MM)
        case "right":
            return Strip(side, sheet.width_mm, y, length, BROAD_MM)
        case "bottom":
            return Strip(side, x, -length, BROAD_MM, length)
        case _:
            return Strip(side, x, sheet.height_mm, BROAD_MM, length)
