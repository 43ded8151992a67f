"""What would a made-up student draw, with which mistakes?

Everything chance decides comes from the generator that is passed in. Names of mistakes are those of the
findings they should lead to.
"""

import math
from collections.abc import Sequence
from dataclasses import dataclass

import numpy as np

from orthopsis.core.check.curve import curves_of
from orthopsis.core.check.hand import tolerance_at_point
from orthopsis.core.check.stroke import Expected, expected_lines
from orthopsis.core.check.tones import ToneArea, tone_areas
from orthopsis.core.document.document import Exercise
from orthopsis.core.drawing.picture import picture
from orthopsis.core.drawing.solved import solve
from orthopsis.core.lesson.levels import RULES
from orthopsis.core.plane.homogeneous import Point, distance, unit_toward
from orthopsis.core.scene.prepared import adornments, prepare
from orthopsis.scan.free_hand import CurveByHand, draw_curves

MISTAKES = (
    "misses_point",
    "wrong_point",
    "missing_line",
    "upright_leans",
    "back_not_parallel",
    "eye_level_tilted",
)
CLEARLY_ELSEWHERE_DEG = 20.0
"""A line that is at least so much out of line with its point runs to another one (no source)."""
LONG_ENOUGH_MM = 22.0
"""Mistakes are put on lines that are long enough to be told."""


@dataclass(frozen=True, slots=True)
class DrawnByHand:
    """A line as the made-up student drew it: its true ends (page mm), how dark, and what is wrong with it."""

    name: str
    family: str
    start: Point
    end: Point
    darkness: float
    mistake: str = ""


@dataclass(frozen=True, slots=True)
class TonedByHand:
    """A face as the made-up student toned it: what is seen of it (page mm), how dark, and what is wrong with it."""

    area: ToneArea
    darkness: float
    mistake: str = ""


@dataclass(frozen=True, slots=True)
class StudentSheet:
    """A made-up sheet: the lines, which lines and curves were left out, the toned faces, and the curves."""

    lines: tuple[DrawnByHand, ...]
    left_out: tuple[str, ...]
    tones: tuple[TonedByHand, ...] = ()
    curves: tuple[CurveByHand, ...] = ()


TONE_DARKNESS = (0.0, 0.2, 0.4, 0.62)
"""How dark a pencil makes the four tone steps (no source)."""


def tone_as_student(exercise: Exercise, rng: np.random.Generator, *, one_differs: bool) -> tuple[TonedByHand, ...]:
    """Return the toned faces of a made-up student; if ``one_differs``, one face has a tone of another direction."""
    faces = picture(solve(prepare(exercise))).faces
    steps = {(face.thing, face.name): face.tone for face in faces}
    areas = tone_areas(faces)
    alike = [i for i, a in enumerate(areas) if sum(a.direction == other.direction for other in areas) > 1]
    guilty = int(rng.choice(alike)) if one_differs and alike else -1
    result = []
    for number, area in enumerate(areas):
        step = steps[area.thing, area.name]
        step = (step + 2) % len(TONE_DARKNESS) if number == guilty else step
        darkness = TONE_DARKNESS[step] * float(rng.uniform(0.9, 1.1))
        result.append(TonedByHand(area, darkness, "tones_differ" if number == guilty else ""))
    return tuple(result)


def draw_as_student(exercise: Exercise, rng: np.random.Generator, mistakes: Sequence[str]) -> StudentSheet:
    """Return a sheet with the named mistakes (each where the exercise has a line for it) and hand error."""
    prepared = prepare(exercise)
    sigma = RULES[exercise.wording.level].hand_error_mm
    found = solve(prepared)
    drawing = picture(found)
    wanted = [e for e in expected_lines(drawing, prepared.things, adornments(prepared)) if e.is_asked]
    points = {name: aim.at for name, aim in prepared.aims.items() if aim.is_vanishing}
    guilty = _choose(wanted, points, mistakes, rng)
    lines, left_out = [], []
    for e in wanted:
        mistake = guilty.get(e.name, "")
        if mistake == "missing_line":
            left_out.append(e.name)
            continue
        start, end = _with_mistake(e, mistake, points, (sigma, prepared.sheet.width_mm), rng)
        start, end = (_shaken(p, 0.5 * sigma, rng) for p in (start, end))
        darkness = float(rng.uniform(0.55, 0.9)) if e.thing else float(rng.uniform(0.4, 0.6))
        lines.append(DrawnByHand(e.name, e.family, start, end, darkness, mistake))
    curves = draw_curves(curves_of(found, drawing), rng, mistakes, sigma)
    return StudentSheet(tuple(lines), (*left_out, *curves.left_out), curves=curves.drawn)


def _choose(
    wanted: Sequence[Expected], points: dict[str, Point], mistakes: Sequence[str], rng: np.random.Generator
) -> dict[str, str]:
    """Return for each mistake the name of a line that suits it."""
    guilty: dict[str, str] = {}
    for mistake in mistakes:
        suits = [e for e in wanted if e.name not in guilty and _suits(e, mistake, points)]
        if suits:
            guilty[suits[int(rng.integers(len(suits)))].name] = mistake
    return guilty


def _suits(e: Expected, mistake: str, points: dict[str, Point]) -> bool:
    if mistake == "eye_level_tilted":
        return not e.thing
    if not e.thing or e.length_mm < LONG_ENOUGH_MM:
        return False
    if mistake in ("misses_point", "wrong_point"):
        return e.family in points
    if mistake == "upright_leans":
        return e.family == "upright" and ".front." in e.name
    return mistake == "missing_line" or (mistake == "back_not_parallel" and ".back." in e.name)


def _with_mistake(
    e: Expected, mistake: str, points: dict[str, Point], scale: tuple[float, float], rng: np.random.Generator
) -> tuple[Point, Point]:
    sigma, width_mm = scale
    start, end = e.start, e.end
    sign = 1.0 if rng.random() < 0.5 else -1.0
    if mistake in ("upright_leans", "back_not_parallel", "eye_level_tilted"):
        shift = sign * (2.83 * sigma * float(rng.uniform(2.4, 5.0)) + sigma)
        across = (0.0, shift) if e.family == "level" else (shift, 0.0)
        return start, Point(end.x + across[0], end.y + across[1])
    if mistake == "misses_point":
        return start, _aimed_beside(e, points[e.family], sign * float(rng.uniform(2.4, 6.0)), sigma)
    if mistake == "wrong_point":
        return start, _aimed_elsewhere(e, points[e.family], width_mm)
    return start, end


def _aimed_beside(e: Expected, goal: Point, tolerances: float, sigma: float) -> Point:
    """Return the end of a line of this length that passes its point by so many tolerances."""
    reach = distance(Point((e.start.x + e.end.x) / 2, (e.start.y + e.end.y) / 2), goal)
    miss = tolerances * tolerance_at_point(e.length_mm, reach, sigma).allowed_mm
    dx, dy = unit_toward(e.start, goal)
    return _aimed(e, goal, Point(goal.x - dy * miss, goal.y + dx * miss))


def _aimed_elsewhere(e: Expected, goal: Point, width_mm: float) -> Point:
    """Return the end of a line of this length that runs to an end of the eye level in place of its point."""
    ends = sorted((Point(0.0, goal.y), Point(width_mm, goal.y)), key=lambda p: distance(p, e.start))
    right = unit_toward(e.start, goal)
    for end in ends:
        ux, uy = unit_toward(e.start, end)
        if abs(right[0] * ux + right[1] * uy) < math.cos(math.radians(CLEARLY_ELSEWHERE_DEG)):
            return _aimed(e, goal, end)
    return Point(e.start.x, e.start.y + e.length_mm)


def _aimed(e: Expected, goal: Point, other: Point) -> Point:
    """Return the end of a line of this length that runs to, or from, another point as it should to or from its own."""
    rx, ry = unit_toward(e.start, goal)
    ahead = 1.0 if rx * (e.end.x - e.start.x) + ry * (e.end.y - e.start.y) >= 0 else -1.0
    ux, uy = unit_toward(e.start, other)
    return Point(e.start.x + ahead * ux * e.length_mm, e.start.y + ahead * uy * e.length_mm)


def _shaken(point: Point, sigma: float, rng: np.random.Generator) -> Point:
    dx, dy = rng.normal(0.0, sigma, 2)
    return Point(point.x + float(dx), point.y + float(dy))
