"""Which pieces of a line lie inside a part of a face, and where do they end?

Places are shares ``(along, up)`` of the face.
"""

import itertools
import math
from collections.abc import Sequence
from dataclasses import dataclass

from orthopsis.core.construct.panel import PartCorner
from orthopsis.core.plane.arc import FacePlace
from orthopsis.core.plane.polygon import is_inside
from orthopsis.core.plane.tolerance import SAME_SHARE

Loop = Sequence[PartCorner]
Side = tuple[PartCorner, PartCorner]


@dataclass(frozen=True, slots=True)
class End:
    """An end of a piece: how far along the line it lies, and the side of the outline that cuts it, if one does."""

    at: float
    side: Side | None = None


def pieces(start: FacePlace, end: FacePlace, loops: Sequence[Loop]) -> list[tuple[End, End]]:
    """Return the pieces of a line inside an outline with holes; what runs along its edge is left out."""
    ends = [End(0.0), End(1.0)]
    for loop in loops:
        for side in zip(loop, (*loop[1:], loop[0]), strict=True):
            at = _meets(start, end, side)
            if at is not None:
                ends.append(End(at, side))
    ends.sort(key=lambda e: e.at)
    rings = [[corner.place for corner in loop] for loop in loops]
    found: list[tuple[End, End]] = []
    for a, b in itertools.pairwise(ends):
        if b.at - a.at > SAME_SHARE and is_inside(_between(start, end, (a.at + b.at) / 2), rings, SAME_SHARE):
            joined = found and found[-1][1].at >= a.at - SAME_SHARE
            found[-1:] = [(found[-1][0], b)] if joined else [*found[-1:], (a, b)]
    return found


def _between(start: FacePlace, end: FacePlace, at: float) -> FacePlace:
    return (start[0] + at * (end[0] - start[0]), start[1] + at * (end[1] - start[1]))


def _meets(start: FacePlace, end: FacePlace, side: Side) -> float | None:
    """Return how far along a line it crosses a side of an outline; none if it does not, or only at its own ends."""
    (ax, ay), (bx, by) = side[0].place, side[1].place
    dx, dy, ex, ey = end[0] - start[0], end[1] - start[1], bx - ax, by - ay
    cross = dx * ey - dy * ex
    if abs(cross) <= SAME_SHARE * math.hypot(dx, dy) * math.hypot(ex, ey):
        return None
    along = ((ax - start[0]) * ey - (ay - start[1]) * ex) / cross
    aside = ((ax - start[0]) * dy - (ay - start[1]) * dx) / cross
    inner = SAME_SHARE < along < 1 - SAME_SHARE
    return along if inner and -SAME_SHARE <= aside <= 1 + SAME_SHARE else None
