"""How far from the centre does a drawing still look natural?"""

import math

from orthopsis.core.plane.homogeneous import Point

COMFORTABLE_CONE_DEG = 60.0
"""Full angle inside which nothing looks stretched. Source: textbooks (from memory)."""
OUTER_CONE_DEG = 90.0
"""Full angle of the outer limit: the circle through the distance points. Source: as above."""


def angle_off_axis_deg(point: Point, principal: Point, distance_mm: float) -> float:
    """Return the angle in degrees between the eye's axis and a point of the page: atan(r / d)."""
    r = math.hypot(point.x - principal.x, point.y - principal.y)
    return math.degrees(math.atan2(r, distance_mm))


def cone_radius_mm(distance_mm: float, cone_deg: float) -> float:
    """Return the radius on the page of a cone with the given full angle: d tan(angle / 2)."""
    return distance_mm * math.tan(math.radians(cone_deg) / 2)
