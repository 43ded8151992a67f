"""Is a point inside a face, and does a line leave a corner through the face or away from it?

Polygons are sequences of finite page points in order round the outline, either way round.
"""

import math
from collections.abc import Iterable, Sequence

from orthopsis.core.plane.homogeneous import Point, unit_toward
from orthopsis.core.plane.tolerance import INSIDE_MM


def signed_area(outline: Sequence[Point]) -> float:
    """Return the area in mm², positive when the outline runs anticlockwise."""
    total = 0.0
    for here, there in zip(outline, [*outline[1:], outline[0]], strict=True):
        total += here.x * there.y - there.x * here.y
    return total / 2


def inside_starts(outline: Sequence[Point], goal: Point) -> list[bool]:
    """Tell of each corner whether the line from there toward ``goal`` starts out through the inside of the outline.

    A line that runs exactly along one of the corner's two edges does not.
    This is the rule by which a corner may have a guide line: "a corner gets a line only when the line
    does not run across the shape's own front" (common practice, no source).
    """
    points = list(outline) if signed_area(outline) >= 0 else list(reversed(outline))
    around = zip(points, (*points[1:], points[0]), (points[-1], *points[:-1]), strict=True)
    found = [_starts_inside(here, following, before, goal) for here, following, before in around]
    return found if points[0] is outline[0] else found[::-1]


def _starts_inside(here: Point, following: Point, before: Point, goal: Point) -> bool:
    """Tell it of a corner between two others of an outline that runs anticlockwise."""
    if not goal.is_ideal and math.hypot(goal.x - here.x, goal.y - here.y) <= INSIDE_MM:
        return False
    ahead, back, ray = (unit_toward(here, other) for other in (following, before, goal))
    opening = _turn(ahead, back)
    angle = _turn(ahead, ray)
    slack = 1e-9
    return slack < angle < opening - slack


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


def _turn(first: tuple[float, float], second: tuple[float, float]) -> float:
    """Return the anticlockwise turn from ``first`` to ``second`` in [0, 2 pi)."""
    cross = first[0] * second[1] - first[1] * second[0]
    dot = first[0] * second[0] + first[1] * second[1]
    return math.atan2(cross, dot) % math.tau


def _gap(a: tuple[float, float], b: tuple[float, float], at: tuple[float, float]) -> float:
    (ax, ay), (x, y), dx, dy = a, at, b[0] - a[0], b[1] - a[1]
    square = dx * dx + dy * dy
    share = 0.0 if square == 0 else max(0.0, min(1.0, ((x - ax) * dx + (y - ay) * dy) / square))
    return math.hypot(ax + share * dx - x, ay + share * dy - y)
