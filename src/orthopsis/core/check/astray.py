"""Which drawn line is one that begins where it should and then goes elsewhere: a line gone the wrong way?"""

import math
from collections.abc import Mapping

from orthopsis.core.check.along import Beside
from orthopsis.core.check.hand import tolerance_at_point
from orthopsis.core.check.pieces import IN_ROW_MM, is_as_long
from orthopsis.core.check.stroke import Expected, Stroke
from orthopsis.core.plane.homogeneous import Point, distance, join, offset

AT_CORNER_MM = 10.0
WRONG_WAY_DEG = 160.0
STRAIGHT_ON_DEG = 172.0
"""A line gone astray may turn back by this much: by more only if it clearly runs to another point (no source)."""
LEANS_DEG = 40.0
LEAST_REST, SURELY_INKED = 0.5, 0.95
"""A line whose beginning lies on another one is known by a rest of this share of it, if there is graphite along so much
of its beginning (no source)."""
LED_MM = 2.0
"""Graphite this near leads to the rest of a line (no source)."""


def gone_astray(
    free: Mapping[int, Stroke], e: Expected, points: Mapping[str, Point], sigma_mm: float, near_mm: float, drawn: Beside
) -> int | None:
    """Return the unmatched stroke that starts near where this line should and goes another way: one as long, if any.

    Args:
        drawn: all strokes of the sheet; the first bit of a line may lie on one of them.
    """
    best: tuple[bool, float, int] | None = None
    corners = (e.start,) if e.family in points else (e.start, e.end)
    others = [at for name, at in points.items() if name != e.family] if e.family in points else []
    for i, stroke in free.items():
        farthest = STRAIGHT_ON_DEG if any(_aims_at(stroke, at, sigma_mm) for at in others) else WRONG_WAY_DEG
        for corner in corners:
            for here, there in ((stroke.start, stroke.end), (stroke.end, stroke.start)):
                gap = distance(here, corner)
                angle = _turn_deg((here, there), (corner, e.end if corner is e.start else e.start))
                if angle > farthest or (e.family not in points and angle > LEANS_DEG):
                    continue
                begins_on = gap > near_mm and _begins_on_another(corner, here, there, e, drawn)
                if gap > near_mm and not begins_on:
                    continue
                found = (not (begins_on or is_as_long(stroke, e)), min(gap, near_mm) + 0.1 * angle, i)
                best = found if best is None else min(best, found)
    return None if best is None else best[-1]


def _begins_on_another(corner: Point, here: Point, there: Point, e: Expected, drawn: Beside) -> bool:
    """Tell whether a stroke, from one place to another, is the rest of a line that begins at a corner on other lines.

    From its corner on it is as long as the line, lies in one row, and there is graphite all the way to it.
    """
    whole = Stroke(corner, there)
    if distance(here, there) < LEAST_REST * e.length_mm or not is_as_long(whole, e):
        return False
    in_row = abs(offset(here, join(corner, there))) <= IN_ROW_MM
    return in_row and drawn.share((corner, here), LED_MM) >= SURELY_INKED


def _aims_at(stroke: Stroke, point: Point, sigma_mm: float) -> bool:
    """Tell whether a stroke runs to a point, as well as a hand can draw it."""
    allowed = tolerance_at_point(stroke.length_mm, distance(stroke.middle, point), sigma_mm).allowed_mm
    return abs(offset(point, join(stroke.start, stroke.end))) <= allowed


def _turn_deg(drawn: tuple[Point, Point], wanted: tuple[Point, Point]) -> float:
    """Return the angle between two directions, 0 to 180 degrees."""
    (a, b), (c, d) = drawn, wanted
    p, q = (b.x - a.x, b.y - a.y), (d.x - c.x, d.y - c.y)
    return math.degrees(math.atan2(abs(p[0] * q[1] - p[1] * q[0]), p[0] * q[0] + p[1] * q[1]))
