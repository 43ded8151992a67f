"""Where do lines vanish that climb or fall over a level direction: roofs, ramps, the sides of a dormer?

In one- and two-point work the point lies on the upright through the level direction's vanishing point, in three-point
on the line from there to the third point.
"""

import math

from orthopsis.core.errors import GeometryError
from orthopsis.core.plane.homogeneous import Point
from orthopsis.core.view.frame import Frame

STEEPEST_DEG = 89.0
"""From here on a slope is an upright."""


def slope_points(frame: Frame, role: str, slope_deg: float) -> tuple[Point, Point]:
    """Return the points to which lines run that climb, and that fall, going away over a level direction.

    Args:
        role: the level direction: ``away``, ``left`` or ``right``.
        slope_deg: the angle with the ground, over 0 and under 90 degrees.

    Raises:
        GeometryError: the frame has no stated eye, or the slope is none.

    Source: height over the eye level ± |V E| tan(slope) in one- and two-point (textbooks; from memory); here found for
    all views as the point of the direction itself.
    """
    _ = frame.distance_mm
    if not 0 < slope_deg <= STEEPEST_DEG:
        raise GeometryError(
            "no_slope",
            f"A slope of {slope_deg:g}° is none.",
            f"The steepest that works is {STEEPEST_DEG:g}°; straight up is an upright.",
            about="slope",
            nearest=f"{min(max(slope_deg, 1.0), STEEPEST_DEG):g}",
        )
    level, up = frame.eye.ray(frame.way(role).goal), frame.eye.ray(frame.way("up").goal)
    if up[1] < 0:
        up = -up
    rise = math.tan(math.radians(slope_deg))
    climbing, falling = (level + sign * rise * up for sign in (1.0, -1.0))
    above, below = (frame.eye.vanishing_point((float(x), float(y), float(z))) for x, y, z in (climbing, falling))
    return above, below
