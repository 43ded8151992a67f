"""Where will this drawing look wrong, or be hard to draw? Each piece of advice has a number and a cure."""

from collections.abc import Iterator, Mapping

from orthopsis.core.construct.count import PENCIL_MM, nearest_gap_mm
from orthopsis.core.construct.engine import Ruled
from orthopsis.core.exercise.drawing import Advice, CureEdit, Step
from orthopsis.core.exercise.picture import Solved
from orthopsis.core.exercise.setting import Placed
from orthopsis.core.plane.homogeneous import Point
from orthopsis.core.sheet.ruler import round_to
from orthopsis.core.things.declare import FIRST_CORNER, LOOK
from orthopsis.core.view.cone import COMFORTABLE_CONE_DEG, OUTER_CONE_DEG, angle_off_axis_deg, cone_radius_mm
from orthopsis.core.wording.advice import ADVICE

MIDDLE_BAND = 0.06
"""The eye level counts as across the middle within this share of the sheet's height (no source)."""
THIN_MM = 4.0
"""A side narrower than this is hard to draw with a pencil and a ruler (common practice, no source)."""


def advise(solved: Solved, steps: list[Step]) -> list[Advice]:
    """Return the advice, most telling first: sheet, things off the paper, cone, thin sides, close lines, time."""
    return [
        *_eye_level(solved),
        *(a for placed in solved.prepared.things for a in _thing(solved, placed)),
        *_cone(solved),
        *_distance_points(solved),
        *_time(solved, steps),
    ]


def _advice(
    solved: Solved,
    code: str,
    about: str,
    value: float,
    limit: float,
    unit: str,
    shown: Mapping[str, object],
    edits: list[CureEdit] | None = None,
) -> Advice:
    words, phrases = solved.prepared.wording, ADVICE[code]
    return Advice(
        code=code,
        about=about,
        value=round(value, 3),
        limit=round(limit, 3),
        unit=unit,
        text=words.say(phrases.text, shown),
        why=words.words(phrases.why),
        cure=words.say(phrases.cure, shown),
        cure_edits=edits or [],
    )


def _eye_level(solved: Solved) -> Iterator[Advice]:
    prepared = solved.prepared
    sheet = prepared.sheet
    share = prepared.eye_level_mm / sheet.height_mm
    across_middle = abs(share - 0.5) < MIDDLE_BAND
    school = prepared.exercise.eye_level.school
    if across_middle and school == "composition":
        better = round_to(sheet.height_mm / 3, sheet.division_mm)
        code = "eye_level_across_middle"
    elif not across_middle and school == "exercise" and not prepared.things:
        better, code = sheet.height_mm / 2, "eye_level_by_halving"
    else:
        return
    shown = {"value": round(100 * share), "better": prepared.length(better)}
    edit = CureEdit(path="eye_level.height_mm", value=better)
    yield _advice(solved, code, "eye_level", 100 * share, 50.0, "%", shown, [edit])


def _thing(solved: Solved, placed: Placed) -> Iterator[Advice]:
    about, name = f"things.{placed.index}", placed.values.name
    yield from _off_paper(solved, placed, _drawn_points(solved, placed))
    guides = [ruled for ruled in solved.built[placed.index].lines.values() if ruled.role == "guide"]
    if not guides:
        edit = CureEdit(path=f"{about}.{LOOK.name}", value="see_through")
        yield _advice(solved, "straight_before", about, 0, 1, "sides", {"thing": name}, [edit])
        return
    yield from _thin_sides(solved, placed)
    yield from _close_lines(solved, placed, guides)


def _off_paper(solved: Solved, placed: Placed, drawn: list[Point]) -> Iterator[Advice]:
    sheet = solved.prepared.sheet
    left, low = max(-p.x for p in drawn), max(-p.y for p in drawn)
    right, high = max(p.x - sheet.width_mm for p in drawn), max(p.y - sheet.height_mm for p in drawn)
    over = max(left, right, low, high)
    if over <= 0:
        return
    about = f"things.{placed.index}"
    shift_x = -(right if right > 0 else 0) + (left if left > 0 else 0)
    shift_y = -(high if high > 0 else 0) + (low if low > 0 else 0)
    edits = [
        CureEdit(path=f"{about}.{name}", value=max(0.0, _inward(placed.values.mm(name), shift, sheet.division_mm)))
        for name, shift in zip((p.name for p in FIRST_CORNER), (shift_x, shift_y), strict=True)
        if shift
    ]
    shown = {"thing": placed.values.name, "value": f"{over:.0f} mm"}
    yield _advice(solved, "off_the_paper", about, over, 0.0, "mm", shown, edits)


def _inward(mm: float, shift: float, division: float) -> float:
    """Return the place moved by at least the shift, on a mark of the ruler."""
    away = -division if shift < 0 else division
    return round_to(mm + shift + away, division)


def _cone(solved: Solved) -> Iterator[Advice]:
    """Say which thing reaches farthest out of the cone of vision, and how many more do."""
    for i, frame in enumerate(solved.prepared.frames):
        things = [p for p in solved.prepared.things if p.setting.frame.name == frame.name]
        if not frame.is_metric or not things:
            continue
        reach = {p.index: _off_axis_deg(solved, p) for p in things}
        worst = max(things, key=lambda p: reach[p.index])
        off = reach[worst.index]
        if off <= COMFORTABLE_CONE_DEG / 2:
            continue
        code, cone = "outside_comfortable_cone", COMFORTABLE_CONE_DEG
        if off > OUTER_CONE_DEG / 2:
            code, cone = "outside_outer_cone", OUTER_CONE_DEG
        division = solved.prepared.sheet.division_mm
        comfortable = cone_radius_mm(frame.distance_mm, 2 * off) / cone_radius_mm(1.0, COMFORTABLE_CONE_DEG)
        better = round_to(comfortable + division, division)
        more = sum(angle > cone / 2 for angle in reach.values()) - 1
        shown = {
            "thing": worst.values.name,
            "more": f" So does {more} more." if more == 1 else f" So do {more} more." if more else "",
            "value": round(off),
            "limit": round(cone / 2),
            "better": solved.prepared.length(better),
        }
        field = "distance_mm" if frame.kind == "one_point" else "distance"
        edit = CureEdit(path=f"views.{i}.{field}", value=better)
        yield _advice(solved, code, f"things.{worst.index}", off, cone / 2, "°", shown, [edit])


def _off_axis_deg(solved: Solved, placed: Placed) -> float:
    frame = placed.setting.frame
    drawn = _drawn_points(solved, placed)
    return max(angle_off_axis_deg(p, frame.eye.principal, frame.distance_mm) for p in drawn)


def _drawn_points(solved: Solved, placed: Placed) -> list[Point]:
    return [p for n, p in solved.built[placed.index].points.items() if ".measure." not in n]


def _thin_sides(solved: Solved, placed: Placed) -> Iterator[Advice]:
    """Say which visible side face is thinner across than can be drawn."""
    built = solved.built[placed.index]
    for face in built.faces:
        if face.name not in built.outward:
            continue
        if face.turned in ("front", "back"):
            continue
        xs, ys = zip(*(built.page[c] for c in face.corners), strict=True)
        width = (max(xs) - min(xs)) if face.turned in ("left", "right") else (max(ys) - min(ys))
        if width < THIN_MM:
            shown = {
                "thing": placed.values.name,
                "side": face.turned,
                "value": f"{width:.1f} mm",
                "limit": f"{THIN_MM:.0f} mm",
            }
            yield _advice(solved, "side_too_thin", f"things.{placed.index}", width, THIN_MM, "mm", shown)


def _close_lines(solved: Solved, placed: Placed, guides: list[Ruled]) -> Iterator[Advice]:
    vanishing = placed.setting.frame.vanishing
    gaps = {
        name: nearest_gap_mm([g.start for g in guides if g.rests_on == name], goal) for name, goal in vanishing.items()
    }
    gap = min(gaps.values())
    if gap >= PENCIL_MM:
        return
    division = solved.prepared.sheet.division_mm
    better = round_to(max(2 * division, 3.0), division)
    values = placed.values
    path = f"things.{placed.index}.{FIRST_CORNER[1].name}"
    edits = [CureEdit(path=path, value=values.first.y + better)]
    shown = {
        "thing": values.name,
        "value": f"{gap:.1f} mm",
        "limit": f"{PENCIL_MM} mm",
        "better": solved.prepared.length(better),
    }
    yield _advice(solved, "lines_too_close", f"things.{placed.index}", gap, PENCIL_MM, "mm", shown, edits)


def _distance_points(solved: Solved) -> Iterator[Advice]:
    prepared = solved.prepared
    for i, frame in enumerate(prepared.frames):
        users = [p for p in prepared.things if p.setting.frame is frame and p.build.needs_eye(p.values)]
        if not users or not frame.is_metric or frame.kind != "one_point":
            continue
        x, d, width = frame.eye.principal.x, frame.distance_mm, prepared.sheet.width_mm
        over = max(d - x, x + d - width)
        if over <= 0:
            continue
        better = min(x, width - x)
        edits = [CureEdit(path=f"views.{i}.distance_mm", value=better)] if better > 0 else []
        shown = {
            "value": prepared.length(round_to(over, prepared.sheet.division_mm)),
            "better": prepared.length(better),
        }
        yield _advice(solved, "distance_point_off_sheet", f"views.{i}", over, 0.0, "mm", shown, edits)


def _time(solved: Solved, steps: list[Step]) -> Iterator[Advice]:
    total, limit = sum(s.minutes for s in steps if not s.extra), solved.prepared.exercise.minutes
    if total > limit:
        shown: dict[str, object] = {"value": round(total), "limit": limit}
        yield _advice(solved, "more_than_the_minutes", "minutes", total, limit, "min", shown)
