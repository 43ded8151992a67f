"""From the lines on a student's sheet to the judgement of it."""

from collections.abc import Sequence

from orthopsis.core.check.answer import Checked, FaceGrey, JudgedLine, PointEstimate
from orthopsis.core.check.estimate import Estimate, estimate_point
from orthopsis.core.check.feedback import note
from orthopsis.core.check.findings import findings
from orthopsis.core.check.judge import from_corner, judge, part_of_curve, unexpected
from orthopsis.core.check.match import Match, match
from orthopsis.core.check.split import split_overhangs
from orthopsis.core.check.stroke import Expected, ExpectedCurve, Stroke, expected_curves, expected_lines
from orthopsis.core.check.tones import tone_findings
from orthopsis.core.exercise.document import Exercise
from orthopsis.core.exercise.setting import Prepared, adornments, prepare
from orthopsis.core.exercise.solve import draw
from orthopsis.core.lesson.hands import HAND_ERROR_MM
from orthopsis.core.plane.homogeneous import Point
from orthopsis.core.view.frame import distance_names, distance_points

NEAR_CURVE_MM = 4.0
"""A stroke this near to a curve of the exercise is a piece of it, drawn by a free hand (common practice, no source)."""


def check(exercise: Exercise, strokes: Sequence[Stroke], greys: Sequence[FaceGrey] = ()) -> Checked:
    """Return the judgement of the strokes (page mm) that a student drew for an exercise, and of the faces' greys.

    The judged lines begin with the strokes in their order; a stroke that proves to be two lines in a row
    is cut, and its second part comes at the end.

    Raises:
        GeometryError: the exercise itself cannot be drawn.
    """
    prepared = prepare(exercise)
    drawing = draw(exercise)
    free = {p.values.name: p.build.free_lines(p.values, p.setting) for p in prepared.things}
    expected = expected_lines(drawing, free, adornments(prepared))
    targets = _targets(prepared)
    frames = {name: point for frame in prepared.frames for name, point in frame.vanishing.items()}
    matches = match(strokes, expected, frames)
    parts = split_overhangs(strokes, matches, expected, set(frames))
    if len(parts) > len(strokes):
        strokes = parts
        matches = match(strokes, expected, frames)
    sigma = HAND_ERROR_MM[prepared.wording.level]
    lines = _judged(strokes, matches, targets, sigma, expected_curves(drawing))
    matched = {m.expected.name for m in matches}
    missing = [e for e in expected if e.is_asked and e.name not in matched and not _is_covered(e, matched)]
    found = [*findings(lines, missing, prepared, sigma), *tone_findings(greys, prepared.wording)]
    return Checked(
        vanishing_points=_estimates(strokes, lines, matches, frames, sigma),
        lines=lines,
        missing=[e.name for e in missing],
        findings=found,
        greys=list(greys),
        note=note(lines, found, prepared.wording),
    )


def _is_covered(e: Expected, matched: set[str]) -> bool:
    """Tell whether a receding edge is there as a part of its guide line."""
    thing, _, name = e.name.partition(".")
    return f"{thing}.{name.replace('depth.', 'guide.', 1)}" in matched


def _targets(prepared: Prepared) -> dict[str, Point]:
    result: dict[str, Point] = {}
    for frame in prepared.frames:
        result |= frame.vanishing
        if frame.is_metric and frame.kind == "one_point":
            result |= dict(zip(distance_names(frame), distance_points(frame), strict=True))
    return result


def _judged(
    strokes: Sequence[Stroke],
    matches: Sequence[Match],
    targets: dict[str, Point],
    sigma: float,
    curves: Sequence[ExpectedCurve],
) -> list[JudgedLine]:
    """Judge each stroke; of a line in several pieces the longest one speaks for all."""
    by_stroke = {m.stroke: m.expected for m in matches}
    longest: dict[str, JudgedLine] = {}
    for i in sorted(by_stroke, key=lambda i: -strokes[i].length_mm):
        longest.setdefault(by_stroke[i].name, judge(strokes[i], by_stroke[i], targets, sigma))
    result = []
    for i, stroke in enumerate(strokes):
        if i not in by_stroke:
            curve = next((c for c in curves if c.carries(stroke, NEAR_CURVE_MM)), None)
            result.append(part_of_curve(stroke, curve.name) if curve is not None else unexpected(stroke))
            continue
        said, drawn = longest[by_stroke[i].name], from_corner(stroke, by_stroke[i], targets)
        result.append(said.model_copy(update={"start": drawn.start.xy, "end": drawn.end.xy}))
    return result


def _estimates(
    strokes: Sequence[Stroke],
    lines: Sequence[JudgedLine],
    matches: Sequence[Match],
    frames: dict[str, Point],
    sigma: float,
) -> dict[str, PointEstimate]:
    """Return where the lines meet that agree; only if most of them miss their point is it sought elsewhere."""
    result = {}
    for name, at in frames.items():
        mine = [m.stroke for m in matches if m.expected.family == name]
        home = [i for i in mine if lines[i].verdict not in ("off", "wrong_point")]
        chosen = home if len(home) >= max(2, len(mine) / 2) else mine
        fit = estimate_point([strokes[i] for i in chosen], sigma)
        if isinstance(fit, Estimate):
            result[name] = PointEstimate(at=fit.at.xy, sd_mm=round(fit.sd_mm, 2), expected=at.xy, lines=fit.lines)
    return result
