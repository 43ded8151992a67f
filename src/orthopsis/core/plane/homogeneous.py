"""Where do two lines meet, and which line joins two points?

Page frame: millimetres, origin at the lower left corner of the sheet, x to the right, y up.
Points and lines are homogeneous triples, so that a vanishing point at infinity is a value like any
other: the level lines of a one-point drawing "go to" the ideal point (1, 0, 0).

Source: any textbook of projective geometry (meet and join as cross products); from memory.
"""

import math
from dataclasses import dataclass

from orthopsis.core.errors import CoincidentLines, CoincidentPoints, NotOnPage
from orthopsis.core.plane.tolerance import SAME_LINE, SAME_POINT_MM

Triple = tuple[float, float, float]


@dataclass(frozen=True, slots=True)
class Point:
    """A point of the page: ``w = 1`` for a finite point in mm, ``w = 0`` for a direction of length 1."""

    x: float
    y: float
    w: float = 1.0

    @property
    def is_ideal(self) -> bool:
        """Whether the point is at infinity, that is, a direction."""
        return self.w == 0.0

    @property
    def xy(self) -> tuple[float, float]:
        """The place on the page in mm.

        Raises:
            NotOnPage: the point is at infinity.
        """
        if self.is_ideal:
            raise NotOnPage("point_at_infinity", "This point is at infinity.", "Use its direction instead.")
        return (self.x, self.y)


@dataclass(frozen=True, slots=True)
class Line:
    """The points with ``a*x + b*y + c*w = 0``; ``(a, b)`` has length 1 except for the line at infinity."""

    a: float
    b: float
    c: float

    @property
    def direction(self) -> Point:
        """The ideal point of the line."""
        return ideal(-self.b, self.a)


HORIZONTAL = Point(1.0, 0.0, 0.0)
"""Where level lines across the page meet."""
VERTICAL = Point(0.0, 1.0, 0.0)
"""Where upright lines meet."""


def ideal(dx: float, dy: float) -> Point:
    """Return the point at infinity in direction ``(dx, dy)``; opposite directions are the same point.

    Raises:
        CoincidentPoints: the direction has no length.
    """
    length = math.hypot(dx, dy)
    if length == 0.0:
        raise CoincidentPoints("no_direction", "A direction needs two different points.", "Move one of them.")
    if dx < 0 or (dx == 0 and dy < 0):
        length = -length
    return Point(dx / length, dy / length, 0.0)


def join(first: Point, second: Point) -> Line:
    """Return the line through two points, either of which may be at infinity.

    Raises:
        CoincidentPoints: both are the same point.
    """
    triple = _cross(_triple(first), _triple(second))
    if _is_same(first, second):
        raise CoincidentPoints(
            "points_coincide",
            "Two points that should be joined by a line fall together.",
            "Move one of them.",
        )
    return _line(triple)


def meet(first: Line, second: Line, *, tol: float = SAME_LINE) -> Point:
    """Return the point that two lines of the page share.

    Parallel lines meet at an ideal point (``w = 0``) whose ``(x, y)`` is their common direction.

    Args:
        tol: sine of the angle between the lines at or below which they count as parallel.

    Raises:
        CoincidentLines: both arguments are the same line.
    """
    x, y, w = _cross((first.a, first.b, first.c), (second.a, second.b, second.c))
    if abs(w) > tol:
        return Point(x / w, y / w)
    if math.hypot(x, y) <= SAME_POINT_MM:
        raise CoincidentLines(
            "lines_coincide",
            "Two lines that should cross lie on top of each other.",
            "Move one of their points.",
        )
    return ideal(x, y)


def distance(first: Point, second: Point) -> float:
    """Return the distance of two finite points in mm."""
    (x1, y1), (x2, y2) = first.xy, second.xy
    return math.hypot(x2 - x1, y2 - y1)


def offset(point: Point, line: Line) -> float:
    """Return the signed distance in mm of a finite point from a line."""
    x, y = point.xy
    return line.a * x + line.b * y + line.c


def foot(point: Point, line: Line) -> Point:
    """Return the point of the line that is nearest to a finite point."""
    off = offset(point, line)
    return Point(point.x - off * line.a, point.y - off * line.b)


def toward(start: Point, goal: Point, length_mm: float) -> Point:
    """Return the point at ``length_mm`` from a finite ``start`` in the direction of ``goal``."""
    dx, dy = unit_toward(start, goal)
    return Point(start.x + length_mm * dx, start.y + length_mm * dy)


def unit_toward(start: Point, goal: Point) -> tuple[float, float]:
    """Return the unit direction in which ``goal`` (finite or ideal) is seen from a finite ``start``.

    Raises:
        CoincidentPoints: both are the same point.
    """
    if goal.is_ideal:
        return (goal.x, goal.y)
    length = distance(start, goal)
    if length <= SAME_POINT_MM:
        raise CoincidentPoints("no_direction", "A direction needs two different points.", "Move one of them.")
    return ((goal.x - start.x) / length, (goal.y - start.y) / length)


def between(start: Point, end: Point, share: float) -> Point:
    """Return the finite point at ``share`` (0 to 1) of the way from ``start`` to ``end``."""
    return Point(start.x + share * (end.x - start.x), start.y + share * (end.y - start.y))


def _is_same(first: Point, second: Point) -> bool:
    if first.is_ideal != second.is_ideal:
        return False
    if first.is_ideal:
        return abs(first.x * second.y - first.y * second.x) <= SAME_LINE
    return math.hypot(first.x - second.x, first.y - second.y) <= SAME_POINT_MM


def _triple(point: Point) -> Triple:
    return (point.x, point.y, point.w)


def _line(triple: Triple) -> Line:
    a, b, c = triple
    length = math.hypot(a, b)
    if length == 0.0:
        return Line(0.0, 0.0, 1.0)
    return Line(a / length, b / length, c / length)


def _cross(p: Triple, q: Triple) -> Triple:
    return (p[1] * q[2] - p[2] * q[1], p[2] * q[0] - p[0] * q[2], p[0] * q[1] - p[1] * q[0])
