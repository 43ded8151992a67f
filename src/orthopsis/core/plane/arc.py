"""Which curve rounds a corner, and where does a ruler that rests on a point touch it?

A corner is rounded by a quarter of an ellipse: it touches the two edges where the rounding begins and ends, and its
centre is the fourth corner of the parallelogram that these two places and the corner make. Its picture under any
perspective follows from the pictures of those four points alone: the projective map that takes a square to them takes
the quarter circle in that square to the curve. Page millimetres.

Source: conics under projective maps, poles and polars; any textbook of projective geometry (from memory).
"""

import math
from collections.abc import Callable, Sequence
from dataclasses import dataclass
from functools import lru_cache

import numpy as np
from numpy.typing import NDArray

from orthopsis.core.errors import GeometryError
from orthopsis.core.plane.homogeneous import Line, Point
from orthopsis.core.plane.tolerance import SAME_LINE

QUARTER_RAD = math.pi / 2
SAME_ANGLE_RAD = 1e-3
"""Places of a curve nearer than this angle are one."""
FacePlace = tuple[float, float]
"""Across and up on a face."""
_CROSS_RATIO = 1 + math.sqrt(1 / 2)
"""Of four places on the bisector of a quarter circle: its centre, the middle of its chord, its own middle, its pole."""


@dataclass(frozen=True, slots=True)
class Rounding:
    """A rounded corner of an outline on its face.

    Attributes:
        corner, before: numbers of the corner and of the one before it in its loop.
        start, end: where the curve leaves the edge before the corner and meets the one after it.
        pole, centre: the corner itself, and the centre of the curve.
        is_convex: whether the shape lies on the curve's inner side.
    """

    corner: int
    before: int
    start: FacePlace
    pole: FacePlace
    end: FacePlace
    centre: FacePlace
    is_convex: bool

    def at(self, angle_rad: float) -> FacePlace:
        """Return the place at an angle of the quarter, 0 at the start, a right angle at the end."""
        cos, sin, (x, y) = math.cos(angle_rad), math.sin(angle_rad), self.centre
        return (
            x + cos * (self.start[0] - x) + sin * (self.end[0] - x),
            y + cos * (self.start[1] - y) + sin * (self.end[1] - y),
        )

    def mapped(self, to: Callable[[FacePlace], FacePlace]) -> "Rounding":
        """Return it with its places in other coordinates of the face."""
        return Rounding(
            self.corner, self.before, to(self.start), to(self.pole), to(self.end), to(self.centre), self.is_convex
        )


@dataclass(frozen=True, slots=True)
class Arc:
    """A quarter of an ellipse, or its picture, by four finite points.

    Attributes:
        start, end: where it begins and ends.
        pole: the corner that it rounds, where its tangents at both ends meet.
        centre: the centre of the ellipse, or its picture.
    """

    start: Point
    pole: Point
    end: Point
    centre: Point

    def at(self, angle_rad: float) -> Point:
        """Return the point at an angle of the quarter circle, 0 at the start, a right angle at the end.

        Raises:
            GeometryError: the four points make no quadrilateral.
        """
        x, y, w = unit_circle_map(self) @ np.array([math.cos(angle_rad), math.sin(angle_rad), 1.0])
        return Point(float(x / w), float(y / w))

    def touches(self, goal: Point) -> list[float]:
        """Return the angles, from 0 to a right one, at which lines to ``goal`` touch the curve; none, one or two.

        The points of contact lie on the polar of the goal: for the unit circle g.x cos t + g.y sin t = g.w.
        """
        x, y, w = np.linalg.solve(unit_circle_map(self), np.array([goal.x, goal.y, goal.w]))
        size = math.hypot(x, y)
        if size <= abs(w):
            return []  # the goal lies inside the curve, or at its centre
        middle, half = math.atan2(y, x), math.acos(w / size)
        slack = SAME_LINE
        angles = sorted((middle + side * half + slack) % math.tau - slack for side in (-1, 1))
        return [angle for angle in angles if angle < QUARTER_RAD + slack]

    def touches_between(self, goal: Point) -> list[float]:
        """Return those angles at which it is touched between its ends."""
        return [angle for angle in self.touches(goal) if SAME_ANGLE_RAD < angle < QUARTER_RAD - SAME_ANGLE_RAD]

    def meets(self, line: Line) -> list[float]:
        """Return the angles, from 0 to a whole turn, at which a line meets the whole ellipse; none, one or two.

        On the unit circle the line is a cos t + b sin t + c = 0.
        """
        a, b, c = np.array([line.a, line.b, line.c]) @ unit_circle_map(self)
        size = math.hypot(a, b)
        if size <= abs(c):
            return []
        middle, half = math.atan2(b, a), math.acos(-c / size)
        return [(middle + side * half) % math.tau for side in (-1, 1)]

    def angle_of(self, at: Point) -> float:
        """Return the angle of a place of the whole ellipse, from 0 to a whole turn, rad."""
        x, y, w = np.linalg.solve(unit_circle_map(self), np.array([at.x, at.y, at.w]))
        return math.atan2(y / w, x / w) % math.tau

    def part(self, start_rad: float, end_rad: float) -> "Arc":
        """Return the piece of the whole ellipse between two angles, less than half a turn apart.

        The projective map that takes the quarter circle to it keeps its bisector, and there the cross-ratio of the
        centre, the middle of the chord, that of the curve and the pole; so the place of the centre follows.
        """
        middle, cos = (start_rad + end_rad) / 2, math.cos((end_rad - start_rad) / 2)
        centre = (_CROSS_RATIO - 1 - cos) / (_CROSS_RATIO * cos - 1 - cos)
        begin, end = self.places([start_rad, end_rad])
        pole, inner = (self._on_ray(middle, far) for far in (1 / cos, centre))
        return Arc(begin, pole, end, inner)

    def between(self, start: Point, end: Point) -> "Arc":
        """Return the piece of the whole ellipse between two places on it, the shorter way round."""
        first = self.angle_of(start)
        ahead = (self.angle_of(end) - first) % math.tau
        return self.part(first, first + (ahead if ahead < math.pi else ahead - math.tau))

    def _on_ray(self, angle_rad: float, far: float) -> Point:
        """Return the place at an angle, so many times as far from the centre as the curve."""
        x, y, w = unit_circle_map(self) @ np.array([far * math.cos(angle_rad), far * math.sin(angle_rad), 1.0])
        return Point(float(x / w), float(y / w))

    def places(self, angles_rad: Sequence[float]) -> list[Point]:
        """Return the points at several angles."""
        angles = np.array(angles_rad)
        x, y, w = unit_circle_map(self) @ np.vstack((np.cos(angles), np.sin(angles), np.ones(len(angles))))
        return [Point(a, b) for a, b in zip((x / w).tolist(), (y / w).tolist(), strict=True)]


@lru_cache(maxsize=4096)
def unit_circle_map(arc: Arc) -> NDArray[np.float64]:
    """Return the map from the plane of the unit circle, with start at (1, 0), end at (0, 1), pole at (1, 1)."""
    start, end, centre, pole = (np.array([p.x, p.y, 1.0]) for p in (arc.start, arc.end, arc.centre, arc.pole))
    try:
        a, b, c = np.linalg.solve(np.column_stack((start, end, -centre)), pole)
    except np.linalg.LinAlgError:
        raise GeometryError(
            "no_rounding", "The corner of a curve is seen edge-on.", "Turn or move the thing a little."
        ) from None
    return np.column_stack((a * start - c * centre, b * end - c * centre, c * centre))
