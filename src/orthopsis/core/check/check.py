"""From the lines on a student's sheet to the judgement of it."""

from collections.abc import Sequence

from orthopsis import __version__
from orthopsis.core.check.answer import Checked, FaceGrey, JudgedCurve, JudgedLine, PointEstimate
from orthopsis.core.check.curve import curves_of
from orthopsis.core.check.curve_findings import curve_findings
from orthopsis.core.check.decided import decided
from orthopsis.core.check.estimate import Estimate, estimate_point
from orthopsis.core.check.feedback import note
from orthopsis.core.check.findings import findings
from orthopsis.core.check.finished import Finished
from orthopsis.core.check.judge import BLAMED, cannot_tell, from_corner, judge, unexpected
from orthopsis.core.check.line_names import LineNames
from orthopsis.core.check.match import MUCH_LONGER, Match, is_inked, match
from orthopsis.core.check.pieces import ALIKE_LONG, is_as_long, joined
from orthopsis.core.check.reveals import reveal_findings
from orthopsis.core.check.spacing import spacing_findings
from orthopsis.core.check.split import split_overhangs
from orthopsis.core.check.stroke import Expected, Stroke, expected_lines
from orthopsis.core.check.together import together
from orthopsis.core.check.tones import tone_findings
from orthopsis.core.document.document import Exercise
from orthopsis.core.drawing.picture import picture
from orthopsis.core.drawing.solved import solve
from orthopsis.core.lesson.levels import RULES
from orthopsis.core.plane.homogeneous import Point, join, offset
from orthopsis.core.scene.prepared import adornments, prepare

SHORTEST_MISSED_MM = 9.0
"""A line of which less shows is not said to be missing: where lines cross, readers lose a millimetre or two of each (no
source)."""

THROUGH_CORNER_MM = 1.2
"""A line that passes its corner this near begins there (no source)."""
TELLS_MORE = 1.25
"""Pieces in a row that are together so many times as long as the longest tell more than it (no source)."""


def check(
    exercise: Exercise,
    strokes: Sequence[Stroke],
    greys: Sequence[FaceGrey] = (),
    curves: Sequence[JudgedCurve] = (),
) -> Checked:
    """Return the judgement of the strokes (page mm) that a student drew for an exercise, of its curves and greys.

    The judged lines begin with the strokes in their order; a stroke that proves to be two lines in a row
    is cut, and its second part comes at the end.

    Raises:
        GeometryError: the exercise itself cannot be drawn.
    """
    prepared = prepare(exercise)
    found = solve(prepared)
    drawing = picture(found)
    expected = expected_lines(drawing, prepared.things, adornments(prepared))
    targets = {name: Point(*at) for name, at in drawing.vanishing_points.items()}
    frames = {name: at for name, at in targets.items() if prepared.aims[name].is_vanishing}
    sigma = RULES[prepared.wording.level].hand_error_mm
    answer = Finished(drawing, sigma, curves)
    matches = match(strokes, expected, frames, answer.accounts_for, sigma)
    parts = split_overhangs(strokes, matches, expected, frames)
    if len(parts) > len(strokes):
        strokes = parts
        matches = match(strokes, expected, frames, answer.accounts_for, sigma)
    lines = _judged(strokes, matches, targets, sigma, answer)
    matched = {m.expected.name for m in matches}
    missing = [
        e
        for e in expected
        if e.is_asked
        and e.seen_share * e.length_mm >= SHORTEST_MISSED_MM
        and e.name not in matched
        and e.along not in matched
        and not is_inked(e, strokes)
    ]
    sought = curves_of(found, drawing)
    names = LineNames([*expected, *(curve.as_line for curve in sought)])
    of_several = [
        *together(strokes, matches, prepared, sigma, names),
        *spacing_findings(strokes, prepared),
        *reveal_findings(strokes, matches, prepared, sigma),
        *curve_findings(curves, sought, prepared, names),
    ]
    told = findings(lines, missing, prepared, sigma, names, of_several)
    checked = Checked(
        vanishing_points=_estimates(strokes, lines, matches, frames, sigma),
        lines=lines,
        curves=list(curves),
        missing=[e.name for e in missing],
        findings=[*told, *tone_findings(greys, prepared.wording)],
        greys=list(greys),
        note="",
        made_by=__version__,
    )
    return checked.model_copy(update={"note": note(checked, decided(checked, {}), drawing, prepared.wording)})


def _judged(
    strokes: Sequence[Stroke],
    matches: Sequence[Match],
    targets: dict[str, Point],
    sigma: float,
    answer: Finished,
) -> list[JudgedLine]:
    """Judge each stroke; a stroke that is several lines of the answer read as one is no mistake of any of them."""
    by_stroke = {m.stroke: m.expected for m in matches}
    alone = {i: judge(strokes[i], e, targets, sigma) for i, e in by_stroke.items()}
    unsure = {i for i, said in alone.items() if _is_unsure(said, strokes[i], by_stroke[i], answer)}
    pieces: dict[str, list[int]] = {}
    for i in sorted(by_stroke.keys() - unsure, key=lambda i: -strokes[i].length_mm):
        pieces.setdefault(by_stroke[i].name, []).append(i)
    of_line = {
        name: _of_pieces([(strokes[i], alone[i]) for i in own], by_stroke[own[0]], targets, sigma)
        for name, own in pieces.items()
    }
    # A bit of a light line that is read awry where others cross it tells less than its edge that runs home.
    home = {by_stroke[own[0]].along for name, own in pieces.items() if of_line[name].verdict == "fine"} - {""}
    unsure |= {i for name in home & pieces.keys() for i in pieces[name] if of_line[name].verdict in BLAMED}
    result = []
    for i, stroke in enumerate(strokes):
        if i not in by_stroke:
            curve = answer.curve_of(stroke)
            is_known = curve is not None or answer.explains(stroke)
            result.append(cannot_tell(stroke, curve or "") if is_known else unexpected(stroke))
            continue
        drawn = from_corner(stroke, by_stroke[i], targets)
        said = alone[i].model_copy(update={"verdict": "cannot_tell", "aims_at": ""}) if i in unsure else None
        said = said or of_line[by_stroke[i].name]
        result.append(said.model_copy(update={"start": drawn.start.xy, "end": drawn.end.xy}))
    return result


def _is_unsure(said: JudgedLine, stroke: Stroke, own: Expected, answer: Finished) -> bool:
    """Tell whether a stroke that would be blamed may be several lines of the answer, or two that run close together."""
    if not own.thing or said.verdict not in BLAMED:
        return False
    if said.verdict == "slightly_off":
        is_too_long = stroke.length_mm >= MUCH_LONGER * own.length_mm
        return is_too_long or answer.is_several(stroke, own) or answer.is_crowded(stroke, own)
    is_whole = is_as_long(stroke, own) and _begins_at_its_corner(stroke, own)
    return answer.is_several(stroke, own) and not is_whole


def _begins_at_its_corner(stroke: Stroke, own: Expected) -> bool:
    """Tell whether a stroke runs through the corner where its line begins."""
    return abs(offset(own.start, join(stroke.start, stroke.end))) <= THROUGH_CORNER_MM


def _of_pieces(
    pieces: Sequence[tuple[Stroke, JudgedLine]], own: Expected, targets: dict[str, Point], sigma: float
) -> JudgedLine:
    """Return the verdict on a line in pieces, longest first.

    If one is as long as the line and runs home, that is the line, and another one is none of it. Pieces in a row speak
    together, of the eye level even where one of them runs home: it is too short to tell. Else the longest one does, if
    it begins where the line does: pieces that agree on nothing tell nothing.
    """
    whole = joined([stroke for stroke, _ in pieces]) if len(pieces) > 1 else None
    for stroke, said in pieces:
        is_long = stroke.length_mm >= ALIKE_LONG * own.seen_share * own.length_mm
        if said.verdict == "fine" and is_long and not _tells_more(whole, stroke, own):
            return said
    stroke, longest = pieces[0]
    is_fine = longest.verdict == "fine"
    if whole is not None and (_tells_more(whole, stroke, own) or not is_fine):
        return judge(whole, own, targets, sigma)
    if len(pieces) == 1 or is_fine:
        return longest
    is_own = longest.verdict not in BLAMED or _begins_at_its_corner(stroke, own)
    return longest if is_own else longest.model_copy(update={"verdict": "cannot_tell", "aims_at": ""})


def _tells_more(whole: Stroke | None, piece: Stroke, own: Expected) -> bool:
    """Tell whether pieces in a row are together so long that one of them says too little: of the eye level.

    It runs all across the sheet, and everything cuts it; a piece in a row with an edge may be one of a neighbour's.
    """
    return whole is not None and not own.thing and whole.length_mm >= TELLS_MORE * piece.length_mm


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
