"""Is a point inside a face, and does a line leave a corner through the face or away from it?

Polygons are sequences of finite page points in order round the outline, either way round.
"""

import math
from collections.abc import Iterable, Sequence
from dataclasses import dataclass

import numpy as np
from numpy.typing import NDArray

from orthopsis.core.errors import CoincidentPoints
from orthopsis.core.plane.homogeneous import Point
from orthopsis.core.plane.tolerance import INSIDE_MM, SAME_POINT_MM

Floats = NDArray[np.float64]
Places = Floats
"""Places or ways on the page, shape (n, 2), mm."""
Mask = NDArray[np.bool_]


def signed_area(outline: Sequence[Point]) -> float:
    """Return the area in mm², positive when the outline runs anticlockwise."""
    total = 0.0
    for here, there in zip(outline, [*outline[1:], outline[0]], strict=True):
        total += here.x * there.y - there.x * here.y
    return total / 2


@dataclass(frozen=True, slots=True, eq=False)
class Corners:
    """The corners of some loops, one after the other, each with its neighbours; places in mm, shape (n, 2).

    Attributes:
        at: the corners.
        following, before: the ones beside each, so that the inside of its loop lies between them, anticlockwise.
    """

    at: Places
    following: Places
    before: Places

    def ways(self, goal: Point) -> Places:
        """Return the way from each corner toward a point of the page or at infinity."""
        return np.array([goal.x, goal.y]) - self.at * goal.w


def corners_of(loops: Sequence[Sequence[Point]]) -> Corners:
    """Return the corners of loops of at least three corners each, either way round.

    Raises:
        CoincidentPoints: a corner lies on the next one.
    """
    at = np.array([point.xy for loop in loops for point in loop])
    counts = np.array([len(loop) for loop in loops])
    begins = np.cumsum(counts) - counts
    row = np.arange(len(at))
    following, before = row + 1, row - 1
    following[begins + counts - 1], before[begins] = begins, begins + counts - 1
    check_apart(at[following] - at)
    area = np.add.reduceat(cross(at, at[following]), begins)
    turned = np.repeat(area < 0, counts)
    return Corners(at, at[np.where(turned, before, following)], at[np.where(turned, following, before)])


def check_apart(ways: Places) -> None:
    """Refuse ways without length.

    Raises:
        CoincidentPoints: one begins and ends in one place.
    """
    if np.any(np.hypot(*ways.T) <= SAME_POINT_MM):
        raise CoincidentPoints("no_direction", "A direction needs two different points.", "Move one of them.")


def inside_starts(corners: Corners, goal: Point) -> Mask:
    """Tell of each corner whether the line from there toward ``goal`` starts out through the inside of its loop.

    A line that runs exactly along one of the corner's two edges does not.
    This is the rule by which a corner may have a guide line: "a corner gets a line only when the line
    does not run across the shape's own front" (common practice, no source).
    """
    ahead, back, way = corners.following - corners.at, corners.before - corners.at, corners.ways(goal)
    opening, angle = _turns(ahead, back), _turns(ahead, way)
    slack = 1e-9
    starts = (slack < angle) & (angle < opening - slack)
    return starts if goal.is_ideal else starts & (np.hypot(*way.T) > INSIDE_MM)


def is_inside(at: tuple[float, float], loops: Iterable[Sequence[tuple[float, float]]], clear: float) -> bool:
    """Tell whether a place lies inside an outline and outside its holes.

    Args:
        loops: the outline and its holes, each either way round.
        clear: what lies as near to an edge as this, or nearer, is not inside; in the unit of the places.

    Source: a ray crosses the edges about a place inside an odd number of times (textbook; from memory).
    """
    x, y = at
    inside = False
    for loop in loops:
        for (ax, ay), (bx, by) in zip(loop, (*loop[1:], loop[0]), strict=True):
            if _gap((ax, ay), (bx, by), at) <= clear:
                return False
            if (ay > y) != (by > y) and x < ax + (y - ay) * (bx - ax) / (by - ay):
                inside = not inside
    return inside


def cross(first: Places, second: Places) -> Floats:
    """Return the area of the parallelogram of each pair of ways, positive where the second lies anticlockwise."""
    return first[:, 0] * second[:, 1] - first[:, 1] * second[:, 0]


def _turns(first: Places, second: Places) -> Floats:
    """Return the anticlockwise turns from ``first`` to ``second`` in [0, 2 pi)."""
    turns: Floats = np.arctan2(cross(first, second), np.einsum("ij,ij->i", first, second)) % math.tau
    return turns


def _gap(a: tuple[float, float], b: tuple[float, float], at: tuple[float, float]) -> float:
    (ax, ay), (x, y), dx, dy = a, at, b[0] - a[0], b[1] - a[1]
    square = dx * dx + dy * dy
    share = 0.0 if square == 0 else max(0.0, min(1.0, ((x - ax) * dx + (y - ay) * dy) / square))
    return math.hypot(ax + share * dx - x, ay + share * dy - y)
