"""Are the vanishing points well placed for what is drawn between them, and where would they be better?

Page millimetres. The corner test and the cone are textbook facts; what follows from them for the paper to tape on keeps
the ratio in which the eye's place divides the two points. Source: textbooks of linear perspective; from memory.
"""

import math
from collections.abc import Sequence
from dataclasses import dataclass

from orthopsis.core.plane.homogeneous import Point, distance, unit_toward
from orthopsis.core.view.cone import COMFORTABLE_CONE_DEG, cone_radius_mm
from orthopsis.core.view.frame import Frame

RIGHT_DEG = 90.0
MOST_TIMES = 12.0
"""Points are never moved out farther than this many times."""
_STEP = 1.01


@dataclass(frozen=True, slots=True)
class PointsApart:
    """Where the two points would lie on the eye level, mm from the left edge."""

    left: float
    right: float


def corner_angle_deg(corner: Point, left: Point, right: Point) -> float:
    """Return the angle on the page between the lines from a corner to both points.

    It is over 90 degrees exactly when the corner lies inside the circle whose diameter joins the points.
    """
    a, b = unit_toward(corner, left), unit_toward(corner, right)
    return math.degrees(math.acos(max(-1.0, min(1.0, a[0] * b[0] + a[1] * b[1]))))


def points_moved_out(frame: Frame, corners: Sequence[Point], drawn: Sequence[Point]) -> PointsApart | None:
    """Return the nearest places of the two points at which nothing looks pinched or stretched.

    Args:
        corners: level right angles that are seen: each must be larger than 90 degrees on the page.
        drawn: all that is drawn; in a two-point frame of known eye it must lie in the comfortable cone. In three-point
            the centre of view moves with the tilt, which this does not change.

    Returns:
        None if even points very far apart would not do.
    """
    left, right = frame.way("left").goal, frame.way("right").goal
    middle = frame.eye.principal.x
    has_cone = frame.is_metric and frame.kind == "two_point"
    times = 1.0
    while times <= MOST_TIMES:
        a = Point(middle + times * (left.x - middle), left.y)
        b = Point(middle + times * (right.x - middle), left.y)
        reach = cone_radius_mm(times * frame.eye.distance_mm, COMFORTABLE_CONE_DEG)
        fits = not has_cone or all(distance(p, Point(middle, left.y)) <= reach for p in drawn)
        if fits and all(corner_angle_deg(c, a, b) >= RIGHT_DEG for c in corners):
            return PointsApart(a.x, b.x)
        times *= _STEP
    return None


def least_third_mm(left: Point, right: Point, third: Point) -> float:
    """Return how far from the eye level the third point must lie at least so that an eye can see the drawing.

    The triangle is acute at the third point exactly from there on (Thales' circle).
    """
    return math.sqrt(max(0.0, (third.x - left.x) * (right.x - third.x)))
