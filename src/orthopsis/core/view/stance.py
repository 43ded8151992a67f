"""Where does the eye stand and how is the subject turned to it, in the words of a textbook?

Teachers mark vanishing points on the page; textbooks give the eye's distance, the turn of the subject and, in
three-point work, the tilt of the gaze. Each is read back from the other. Source: textbooks of linear perspective; from
memory.
"""

import math
from dataclasses import dataclass

from orthopsis.core.errors import GeometryError
from orthopsis.core.view.frame import Frame

LEAST_DEG = 1.0
"""Turn and tilt stay at least this far from 0 and 90 degrees: there a point runs away to infinity."""


@dataclass(frozen=True, slots=True)
class Stance:
    """An eye before a subject.

    Attributes:
        centre_x: where the eye looks straight at the page, mm from the left edge.
        distance_mm: the eye's distance from the page.
        turn_deg: angle on the ground between the gaze and the lines that run right, 0 to 90.
        tilt_deg: how far the gaze is lowered (positive) or raised (negative); 0 in two-point work.
    """

    centre_x: float
    distance_mm: float
    turn_deg: float
    tilt_deg: float = 0.0


def stance_of(frame: Frame) -> Stance:
    """Return the stance of a metric two- or three-point frame, read off its points."""
    eye, d = frame.eye, frame.distance_mm
    x, y = eye.principal.xy
    tilt = math.atan2(frame.level_mm - y, d)
    turn = math.atan2(frame.way("right").goal.x - x, d / math.cos(tilt))
    return Stance(x, d, math.degrees(turn), math.degrees(tilt))


def level_points(stance: Stance) -> tuple[float, float]:
    """Return where the left and the right point lie on the eye level, mm from the left edge.

    Raises:
        GeometryError: turn or tilt sends a point to infinity.
    """
    _check_angle(stance.turn_deg, "turn_deg")
    reach = stance.distance_mm / math.cos(math.radians(stance.tilt_deg))
    slope = math.tan(math.radians(stance.turn_deg))
    return stance.centre_x - reach / slope, stance.centre_x + reach * slope


def third_point(stance: Stance, level_mm: float) -> tuple[float, float]:
    """Return where the third point lies on the page, for an eye level at this height.

    Raises:
        GeometryError: the gaze is level or upright.
    """
    _check_angle(abs(stance.tilt_deg), "tilt_deg")
    slope = math.tan(math.radians(stance.tilt_deg))
    return stance.centre_x, level_mm - stance.distance_mm * (slope + 1 / slope)


def _check_angle(degrees: float, about: str) -> None:
    if LEAST_DEG <= degrees <= 90 - LEAST_DEG:
        return
    nearest = f"{LEAST_DEG:g}" if degrees < LEAST_DEG else f"{90 - LEAST_DEG:g}"
    raise GeometryError(
        "angle_out_of_limits",
        f"With {degrees:g}° a point runs away to infinity.",
        f"The nearest that works is {nearest}°.",
        about=about,
        nearest=nearest,
    )
