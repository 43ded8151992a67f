"""Is each drawn line what it should be?"""

import math
from collections.abc import Mapping

from orthopsis.core.check.answer import JudgedLine, Verdict
from orthopsis.core.check.hand import Tolerance, tolerance_at_point, tolerance_of_direction, verdict_of
from orthopsis.core.check.stroke import Expected, Stroke
from orthopsis.core.plane.homogeneous import Point, distance, join, offset

BLAMED: tuple[Verdict, ...] = ("slightly_off", "off", "wrong_point")


def judge(stroke: Stroke, expected: Expected, targets: Mapping[str, Point], sigma_mm: float) -> JudgedLine:
    """Return the verdict on a stroke that was taken for an expected line.

    Args:
        targets: all points that a line of this exercise could aim at, by name; other families are directions.
    """
    if expected.family in targets:
        return _judge_receding(stroke, expected, targets, sigma_mm)
    return _judge_direction(stroke, expected, sigma_mm)


def from_corner(stroke: Stroke, expected: Expected, targets: Mapping[str, Point]) -> Stroke:
    """Return a stroke from the end at which its line begins, which is the one farther from its point, to the other."""
    if expected.family not in targets:
        return stroke
    goal = targets[expected.family]
    corner = max((expected.start, expected.end), key=lambda at: distance(at, goal))
    if distance(stroke.start, corner) <= distance(stroke.end, corner):
        return stroke
    return Stroke(stroke.end, stroke.start, stroke.darkness)


def unexpected(stroke: Stroke) -> JudgedLine:
    """Return a stroke that nothing asked for."""
    return _line(stroke, "", "free", "unexpected", 0.0, Tolerance(0.0, 0.0), 0.0)


def cannot_tell(stroke: Stroke, curve: str = "") -> JudgedLine:
    """Return a stroke that cannot be judged as one line: a piece of a curve, or of several lines that lie together."""
    return _line(stroke, curve, "free", "cannot_tell", 0.0, Tolerance(0.0, 0.0), 0.0)


def _judge_receding(stroke: Stroke, expected: Expected, targets: Mapping[str, Point], sigma_mm: float) -> JudgedLine:
    goal = targets[expected.family]
    miss, angle, tolerance = _miss(stroke, goal, sigma_mm)
    verdict = verdict_of(miss, tolerance)
    aims_at = ""
    if verdict == "off":
        aims_at = _other_aim(stroke, expected, targets, sigma_mm)
        verdict = "wrong_point" if aims_at else "off"
    return _line(stroke, expected.name, expected.family, verdict, miss, tolerance, angle, aims_at)


def _judge_direction(stroke: Stroke, expected: Expected, sigma_mm: float) -> JudgedLine:
    """Judge a line by its direction: level, upright, or (slanted) as the exercise has it.

    The corners of a slanted edge were found by the hand as well, so it is allowed twice the error.
    """
    ex, ey = {"level": (1.0, 0.0), "upright": (0.0, 1.0)}.get(
        expected.family, (expected.end.x - expected.start.x, expected.end.y - expected.start.y)
    )
    sx, sy = stroke.end.x - stroke.start.x, stroke.end.y - stroke.start.y
    dx, dy = sx * ex + sy * ey, sy * ex - sx * ey
    if dx < 0:
        dx, dy = -dx, -dy
    angle = math.degrees(math.atan2(dy, dx))
    tolerance = tolerance_of_direction(stroke.length_mm, 2 * sigma_mm if expected.family == "free" else sigma_mm)
    miss = stroke.length_mm * math.sin(math.radians(angle))
    return _line(stroke, expected.name, expected.family, verdict_of(miss, tolerance), miss, tolerance, angle)


def _miss(stroke: Stroke, goal: Point, sigma_mm: float) -> tuple[float, float, Tolerance]:
    """Return how far the stroke's line passes above (positive) or below its point, in mm and degrees."""
    reach = max(distance(stroke.middle, goal), 1e-6)
    line = join(stroke.start, stroke.end)
    miss = -offset(goal, line) if line.b > 0 else offset(goal, line)
    tolerance = tolerance_at_point(stroke.length_mm, reach, sigma_mm)
    return miss, math.degrees(math.asin(min(1.0, abs(miss) / reach))), tolerance


def _other_aim(stroke: Stroke, expected: Expected, targets: Mapping[str, Point], sigma_mm: float) -> str:
    """Return the other point or direction that the stroke really follows, or an empty text."""
    for name, goal in targets.items():
        if name != expected.family:
            miss, _, tolerance = _miss(stroke, goal, sigma_mm)
            if abs(miss) <= tolerance.allowed_mm:
                return name
    for family in ("level", "upright"):
        as_such = Expected(expected.name, expected.thing, family, expected.start, expected.end, True)
        if _judge_direction(stroke, as_such, sigma_mm).verdict == "fine":
            return family
    return ""


def _line(
    stroke: Stroke,
    matched: str,
    family: str,
    verdict: str,
    miss: float,
    tolerance: Tolerance,
    angle: float,
    aims_at: str = "",
) -> JudgedLine:
    kinds: dict[str, Verdict] = {
        "fine": "fine", "slightly_off": "slightly_off", "off": "off", "wrong_point": "wrong_point",
        "cannot_tell": "cannot_tell", "unexpected": "unexpected",
    }  # fmt: skip
    return JudgedLine(
        start=stroke.start.xy,
        end=stroke.end.xy,
        matched=matched,
        family=family,
        verdict=kinds[verdict],
        miss_mm=round(miss, 2),
        allowed_mm=round(tolerance.allowed_mm, 2),
        angle_deg=round(angle, 2),
        allowed_deg=round(tolerance.allowed_deg, 2),
        aims_at=aims_at,
    )
