"""Where do the three heights of a triangle meet, and is the triangle acute?

Corners are finite page points in mm. In three-point perspective the corners are the vanishing points and the
meeting of the heights is the point straight before the eye.
"""

import math

from orthopsis.core.errors import GeometryError
from orthopsis.core.plane.homogeneous import Point, foot, join, meet

FLAT = 1e-6
"""Area over square of the longest side at or below which three points count as lying on one line."""


def doubled_area(a: Point, b: Point, c: Point) -> float:
    """Return twice the signed area in mm², positive when a, b, c run anticlockwise."""
    return (b.x - a.x) * (c.y - a.y) - (c.x - a.x) * (b.y - a.y)


def is_flat(a: Point, b: Point, c: Point) -> bool:
    """Tell whether the three points lie on one line, or two of them fall together."""
    longest = max(math.dist(p.xy, q.xy) for p, q in ((a, b), (b, c), (c, a)))
    return abs(doubled_area(a, b, c)) <= 2 * FLAT * longest**2


def is_acute(a: Point, b: Point, c: Point) -> bool:
    """Tell whether all three angles are smaller than 90 degrees."""
    return all(_dot(p, q, r) > 0 for p, q, r in ((a, b, c), (b, c, a), (c, a, b)))


def orthocentre(a: Point, b: Point, c: Point) -> Point:
    """Return the meeting of the heights, made as a hand makes it: two heights crossed.

    Raises:
        GeometryError: the points lie on one line.

    Source: Euclidean textbook construction; from memory.
    """
    if is_flat(a, b, c):
        raise GeometryError(
            "points_on_a_line", "The three vanishing points lie on one line.", "Move the third one up or down."
        )
    heights = [(a, join(b, c)), (b, join(c, a))]
    if _right_at(a, b, c):
        return _corner(a, b, c)
    first, second = (join(p, foot(p, side)) for p, side in heights)
    return meet(first, second)


def _dot(at: Point, first: Point, second: Point) -> float:
    return (first.x - at.x) * (second.x - at.x) + (first.y - at.y) * (second.y - at.y)


def _right_at(a: Point, b: Point, c: Point) -> bool:
    """Tell whether a height has no length, because an angle is right."""
    return any(math.dist(p.xy, foot(p, join(q, r)).xy) < FLAT for p, q, r in ((a, b, c), (b, c, a)))


def _corner(a: Point, b: Point, c: Point) -> Point:
    return min(((a, b, c), (b, c, a), (c, a, b)), key=lambda t: abs(_dot(*t)))[0]
