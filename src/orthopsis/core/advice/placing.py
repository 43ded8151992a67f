"""Advice on where the points are placed: too close, too far to reach, the third too near."""

import math
from collections.abc import Iterator, Sequence

from orthopsis.core.advice.keep import same_in_the_world
from orthopsis.core.advice.piece import drawn_points, piece
from orthopsis.core.document.document import Exercise
from orthopsis.core.document.parts import LOWEST_SUN_MM
from orthopsis.core.drawing.answer import Advice, CureEdit
from orthopsis.core.drawing.solved import Solved
from orthopsis.core.editing.edit import set_all, set_at
from orthopsis.core.errors import GeometryError
from orthopsis.core.lesson.materials import RULERS_MM, ruler_for
from orthopsis.core.plane.homogeneous import Point, distance
from orthopsis.core.scene.placed import Placed
from orthopsis.core.scene.prepared import Prepared, prepare
from orthopsis.core.sheet.edge_ticks import far_spacing_mm, ticked_edges
from orthopsis.core.sheet.paper import Sheet
from orthopsis.core.sheet.ruler import round_to
from orthopsis.core.sheet.strip import Strip, paper_for, strips_for
from orthopsis.core.view.aim import OF_LIGHT, OF_SUN, Aim
from orthopsis.core.view.cone import COMFORTABLE_CONE_DEG, OUTER_CONE_DEG, angle_off_axis_deg, cone_radius_mm
from orthopsis.core.view.frame import Frame
from orthopsis.core.view.placing import RIGHT_DEG, corner_angle_deg, least_third_mm, points_moved_out
from orthopsis.core.view.stance import stance_of
from orthopsis.core.wording.vocabulary import listed

TICKS_MM = 20.0
MOST_ROUNDS = 6
APART_TIMES = 1.5
"""So many times as far apart two points are shown beside the present ones (no source)."""
ROOM_FOR_THIRD = 1.15
"""A third point is moved this much farther than it must be (no source)."""


def on_placing(solved: Solved) -> Iterator[Advice]:
    """Yield advice on the points of each view."""
    for number, frame in enumerate(solved.prepared.frames):
        things = [p for p in solved.prepared.things if p.setting.frame == frame and p.standing.is_body]
        yield from _sun(solved, frame)
        if frame.kind == "one_point":
            yield from _cone(solved, number, frame, things)
            users = [p for p in solved.prepared.things if p.setting.frame == frame]
            yield from _distance_points(solved, number, frame, users)
            yield from _reach(solved, number, frame, things)
            continue
        if frame.kind == "three_point":
            yield from _third(solved, number, frame)
        too_close = list(_too_close(solved, number, frame, things))
        yield from too_close
        if not too_close:
            yield from _cone(solved, number, frame, things)
        yield from _reach(solved, number, frame, things)


def _too_close(solved: Solved, number: int, frame: Frame, things: list[Placed]) -> Iterator[Advice]:
    """Say which corner looks pinched, and how far the points would have to move out."""
    left, right = frame.way("left").goal, frame.way("right").goal
    corners = {p.index: _near_corners(solved, p) for p in things}
    angles = {i: min(corner_angle_deg(c, left, right) for c in near) for i, near in corners.items() if near}
    if not angles or min(angles.values()) >= RIGHT_DEG:
        return
    worst = min(angles, key=lambda i: angles[i])
    prepared, division = solved.prepared, solved.prepared.sheet.division_mm
    drawn = [p for thing in things for p in drawn_points(solved, thing)]
    better = points_moved_out(frame, [c for near in corners.values() for c in near], drawn)
    page: list[CureEdit] = []
    world: list[CureEdit] = []
    shown: dict[str, object] = {
        "thing": prepared.things[worst].values.name,
        "value": f"{angles[worst]:.0f}",
        "apart": prepared.length(right.x - left.x),
        "better": "",
    }
    if better is not None:
        far_left = round_to(better.left - division, division)
        far_right = round_to(better.right + division, division)
        page = [
            CureEdit(path=f"views.{number}.left_mm", value=far_left),
            CureEdit(path=f"views.{number}.right_mm", value=far_right),
        ]
        world = same_in_the_world(prepared.exercise, number, page)
        shown["better"] = prepared.length(far_right - far_left)
    yield piece(solved, "points_too_close", f"views.{number}", angles[worst], RIGHT_DEG, "°", shown, page, world)


def points_apart(exercise: Exercise, number: int) -> Exercise:
    """Return the exercise with the points of a view half as far again apart, as large in the world as things can keep.

    So a teacher shows what is said of many a drawing: its points are too close.

    Raises:
        GeometryError: the view has one point, or no room is left for what stands in it.
    """
    prepared = prepare(exercise)
    frame = prepared.frames[number] if 0 <= number < len(prepared.frames) else None
    if frame is None or frame.kind == "one_point":
        raise GeometryError(
            "no_two_points", "Only two points can be moved apart.", "Choose a view with two points, or with three.",
            about=f"views.{number}.kind",
        )  # fmt: skip
    left, right = (frame.way(role).goal.x for role in ("left", "right"))
    out = (right - left) * (APART_TIMES - 1) / 2
    division = prepared.sheet.division_mm
    moved = [
        CureEdit(path=f"views.{number}.left_mm", value=round_to(left - out, division)),
        CureEdit(path=f"views.{number}.right_mm", value=round_to(right + out, division)),
    ]
    return set_all(exercise, same_in_the_world(exercise, number, moved) or moved)


def _near_corners(solved: Solved, placed: Placed) -> list[Point]:
    """Return the level right angles at the two ends of the nearest edge: the lines there decide how it looks."""
    name, points = placed.values.name, solved.built[placed.index].points
    return [points[end] for end in (f"{name}.near.top", f"{name}.near.bottom") if end in points]


def _third(solved: Solved, number: int, frame: Frame) -> Iterator[Advice]:
    """Say that the third point is so near that no eye sees the drawing."""
    if frame.is_metric:
        return
    left, right, third = (frame.way(role).goal for role in ("left", "right", "up"))
    least = least_third_mm(left, right, third)
    prepared, division = solved.prepared, solved.prepared.sheet.division_mm
    way = 1 if third.y > left.y else -1
    better = round_to(left.y + way * ROOM_FOR_THIRD * least, division)
    value = abs(third.y - left.y)
    shown = {"value": prepared.length(value), "limit": prepared.length(round_to(least, division))}
    edits = [CureEdit(path=f"views.{number}.third_y_mm", value=better)]
    if not left.x < third.x < right.x:
        edits.append(CureEdit(path=f"views.{number}.third_x_mm", value=round_to((left.x + right.x) / 2, division)))
    yield piece(solved, "third_point_too_near", f"views.{number}", value, least, "mm", shown, edits)


def _reach(solved: Solved, number: int, frame: Frame, things: list[Placed]) -> Iterator[Advice]:
    """Say how much paper is taped on, which ruler reaches, and what does without both."""
    prepared, sheet = solved.prepared, solved.prepared.sheet
    owners = {frame.name, *(placed.values.name for placed in things)}
    aims = [
        aim for aim in prepared.aims.values() if aim.is_vanishing and aim.role not in OF_LIGHT and aim.owner in owners
    ]
    strips = strips_for((aim.at.xy for aim in aims), sheet)
    drawn = [p for thing in things for p in drawn_points(solved, thing)]
    if not strips or not drawn:
        return
    farthest = max(distance(p, goal) for p in drawn for goal in (aim.at for aim in aims))
    ruler = ruler_for(farthest)
    longest = max(strips, key=lambda strip: strip.length_mm)
    farthest_out = _beyond(longest, aims)
    near_edge, far_edge = ticked_edges(farthest_out.at.xy, sheet, TICKS_MM)
    far = round_to(far_spacing_mm(farthest_out.at.xy, sheet, TICKS_MM), sheet.division_mm)
    shown = {
        "strips": listed(list(dict.fromkeys(_strip_words(prepared, strip) for strip in strips))),
        "reach": prepared.length(round_to(farthest, sheet.division_mm)),
        "ruler": f"{ruler / 10:.0f} cm",
        "side": near_edge.side,
        "other": far_edge.side,
        "near_ticks": prepared.length(TICKS_MM),
        "far_ticks": prepared.length(far),
        "aim": prepared.point_words(farthest_out.name),
    }
    if farthest_out.owner != frame.name:
        about = f"things.{prepared.by_name[farthest_out.owner].index}"
        yield piece(solved, "own_point_off_sheet", about, farthest, RULERS_MM[0], "mm", shown)
        return
    if longest.side in ("top", "bottom"):
        nearer = _third_on_sheet(number, frame, sheet)
        yield piece(solved, "third_point_off_sheet", f"views.{number}", farthest, RULERS_MM[0], "mm", shown, nearer)
        return
    left, right = frame.way("left").goal.x, frame.way("right").goal.x
    ends = [
        CureEdit(path=f"views.{number}.left_mm", value=max(0.0, left)),
        CureEdit(path=f"views.{number}.right_mm", value=min(sheet.width_mm, right)),
    ]
    yield piece(solved, "points_off_sheet", f"views.{number}", farthest, RULERS_MM[0], "mm", shown, ends)


def _sun(solved: Solved, frame: Frame) -> Iterator[Advice]:
    """Say that a point of the sun lies off the sheet, and where it would be on it."""
    prepared, sheet = solved.prepared, solved.prepared.sheet
    aims = [aim for aim in prepared.aims.values() if aim.role in OF_SUN and aim.owner == frame.name]
    off = [aim for aim in aims if not sheet.holds(*aim.at.xy)]
    if not off:
        return
    x, y = next(aim.at.xy for aim in aims if aim.role == "light")
    division, level, middle = sheet.division_mm, frame.level_mm, frame.eye.principal.x
    on_x, on_y = min(max(x, 0.0), sheet.width_mm), min(max(y, 0.0), sheet.height_mm)
    edits = []
    if on_x != x and (on_x - middle) * (x - middle) > 0:
        edits.append(CureEdit(path="sun.aside_mm", value=math.floor(abs(on_x - middle) / division) * division))
    if on_y != y and abs(on_y - level) >= LOWEST_SUN_MM:
        edits.append(CureEdit(path="sun.height_mm", value=math.floor(abs(on_y - level) / division) * division))
    strips = strips_for((aim.at.xy for aim in aims), sheet)
    shown = {
        "aims": listed([prepared.point_words(aim.name) for aim in off]),
        "lies": "lies" if len(off) == 1 else "lie",
        "strips": listed(list(dict.fromkeys(_strip_words(prepared, strip) for strip in strips))),
    }
    yield piece(solved, "sun_off_sheet", "sun", float(len(off)), 0.0, "points", shown, edits)


def _third_on_sheet(number: int, frame: Frame, sheet: Sheet) -> list[CureEdit]:
    """Return what brings the third point to the sheet's edge; nothing where no eye would see the drawing from there."""
    left, right, third = (frame.way(role).goal for role in ("left", "right", "up"))
    edge = sheet.height_mm if third.y > left.y else 0.0
    if abs(edge - left.y) < least_third_mm(left, right, third):
        return []
    return [CureEdit(path=f"views.{number}.third_y_mm", value=edge)]


def _beyond(strip: Strip, aims: Sequence[Aim]) -> Aim:
    """Return the point that lies farthest out on a strip's side."""
    reach = {"left": lambda p: -p.x, "right": lambda p: p.x, "top": lambda p: p.y, "bottom": lambda p: -p.y}
    return max(aims, key=lambda aim: reach[strip.side](aim.at))


def _strip_words(prepared: Prepared, strip: Strip) -> str:
    pieces, paper = paper_for(strip.length_mm, prepared.sheet)
    length = prepared.length(round_to(strip.length_mm, prepared.sheet.division_mm))
    name = {"top": "at the top", "bottom": "at the bottom"}.get(strip.side, f"on the {strip.side}")
    cut = f"cut from {paper}" if pieces == 1 else f"{pieces} pieces of {paper}"
    return f"{length} {name} ({cut})"


def _cone(solved: Solved, number: int, frame: Frame, things: list[Placed]) -> Iterator[Advice]:
    """Say which thing reaches farthest out of the cone of vision, and how many more do."""
    if not frame.is_metric or not things:
        return
    reach = {p.index: _off_axis_deg(solved, p) for p in things}
    worst = max(things, key=lambda p: reach[p.index])
    off = reach[worst.index]
    if off <= COMFORTABLE_CONE_DEG / 2:
        return
    code, cone = "outside_comfortable_cone", COMFORTABLE_CONE_DEG
    if off > OUTER_CONE_DEG / 2:
        code, cone = "outside_outer_cone", OUTER_CONE_DEG
    division = solved.prepared.sheet.division_mm
    comfortable = cone_radius_mm(frame.distance_mm, 2 * off) / cone_radius_mm(1.0, COMFORTABLE_CONE_DEG)
    field = "distance_mm" if frame.kind == "one_point" else "distance"
    better = round_to(comfortable + division, division)
    if frame.kind != "three_point":
        better = _far_enough(solved, number, field, better)
    more = sum(angle > cone / 2 for angle in reach.values()) - 1
    shown = {
        "thing": worst.values.name,
        "more": f" So does {more} more." if more == 1 else f" So do {more} more." if more else "",
        "value": round(off),
        "limit": round(cone / 2),
        "better": solved.prepared.length(better),
        "tilt": "",
    }
    farther: list[CureEdit] = []
    flatter: list[CureEdit] = []
    if frame.kind == "three_point":
        tilt = _flatter_tilt_deg(solved, frame, things)
        if tilt is not None:
            flatter = [CureEdit(path=f"views.{number}.tilt", value=tilt)]
            shown["tilt"] = f"{abs(tilt):.0f}°"
    else:
        farther = [CureEdit(path=f"views.{number}.{field}", value=better)]
    yield piece(solved, code, f"things.{worst.index}", off, cone / 2, "°", shown, farther, flatter)


def _far_enough(solved: Solved, number: int, field: str, first_mm: float) -> float:
    """Return the viewing distance at which nothing lies outside the cone any more.

    From farther away what is as deep in the world reaches elsewhere on the page, so it is tried, and put off further.
    Where its corners come to lie the eye alone tells: nothing need be drawn for it.
    """
    exercise, mm = solved.prepared.exercise, first_mm
    division = solved.prepared.sheet.division_mm
    for _ in range(MOST_ROUNDS):
        try:
            after = prepare(set_at(exercise, f"views.{number}.{field}", mm))
            frame = after.frames[number]
            things = [p for p in after.things if p.setting.frame == frame and p.standing.is_body]
            corners = [Point(*at) for p in things for at in p.standing.solid.picture(frame.eye).values()]
        except GeometryError:
            return mm
        off = max((angle_off_axis_deg(at, frame.eye.principal, frame.distance_mm) for at in corners), default=0.0)
        if off <= COMFORTABLE_CONE_DEG / 2:
            return mm
        needed = cone_radius_mm(frame.distance_mm, 2 * off) / cone_radius_mm(1.0, COMFORTABLE_CONE_DEG)
        mm = round_to(max(needed, mm) + division, division)
    return mm


def _flatter_tilt_deg(solved: Solved, frame: Frame, things: list[Placed]) -> float | None:
    """Return the largest tilt, smaller than now, at which all that is drawn lies in the comfortable cone.

    What lies near the eye level is seen as far off the axis as the gaze is tilted: going farther away cannot help.
    """
    stance, drawn = stance_of(frame), [p for thing in things for p in drawn_points(solved, thing)]
    way = 1.0 if stance.tilt_deg > 0 else -1.0
    for degrees in range(int(abs(stance.tilt_deg)), 4, -1):
        drop = stance.distance_mm * math.tan(math.radians(degrees)) * way
        centre = Point(stance.centre_x, frame.level_mm - drop)
        if all(angle_off_axis_deg(p, centre, stance.distance_mm) <= COMFORTABLE_CONE_DEG / 2 for p in drawn):
            return degrees * way
    return None


def _off_axis_deg(solved: Solved, placed: Placed) -> float:
    frame = placed.setting.frame
    drawn = drawn_points(solved, placed)
    return max(angle_off_axis_deg(p, frame.eye.principal, frame.distance_mm) for p in drawn)


def _distance_points(solved: Solved, number: int, frame: Frame, things: list[Placed]) -> Iterator[Advice]:
    """Say that the distance points lie off the sheet, where a thing needs them."""
    if not frame.is_metric or not any(p.standing.needs - OF_LIGHT for p in things):
        return
    prepared = solved.prepared
    x, d, width = frame.eye.principal.x, frame.distance_mm, prepared.sheet.width_mm
    over = max(d - x, x + d - width)
    if over <= 0:
        return
    level = frame.level_mm
    words = prepared.wording
    strips = strips_for([(x - d, level), (x + d, level)], prepared.sheet)
    one = f"The {strips[0].side} {words.term('distance point')} lies"
    better = min(x, width - x)
    edits = [CureEdit(path=f"views.{number}.distance_mm", value=better)] if better > 0 else []
    shown = {
        "value": prepared.length(round_to(over, prepared.sheet.division_mm)),
        "better": prepared.length(better),
        "which": f"The {words.term('distance points')} lie" if len(strips) > 1 else one,
        "strips": listed(list(dict.fromkeys(_strip_words(prepared, strip) for strip in strips))),
    }
    yield piece(solved, "distance_point_off_sheet", f"views.{number}", over, 0.0, "mm", shown, edits)
