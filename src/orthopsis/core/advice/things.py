"""Advice on one thing: is it on the paper, do its sides show, can its lines be drawn?"""

import math
from collections.abc import Callable, Iterator
from functools import lru_cache

import shapely
from shapely.geometry.base import BaseGeometry

from orthopsis.core.advice.free_place import free_place
from orthopsis.core.advice.moving import TIMES, Shift, moved_until_unsaid
from orthopsis.core.advice.piece import drawn_points, piece
from orthopsis.core.construct.count import PENCIL_MM, nearest_gap_mm
from orthopsis.core.construct.engine import Ruled
from orthopsis.core.drawing.answer import Advice, CureEdit
from orthopsis.core.drawing.solved import Solved
from orthopsis.core.drawing.toned import toned_faces
from orthopsis.core.plane.homogeneous import Point, join, offset
from orthopsis.core.scene.placed import Placed
from orthopsis.core.sheet.ruler import round_to
from orthopsis.core.sight.crossing import crossing_pairs
from orthopsis.core.things.parameters import FIRST_CORNER, LOOK

ON_LEVEL_MM = 1e-6
FLAT_DEG = 2.0
"""A line that leaves the eye level at less than this is hard to rule (no source)."""
ABSURD_TIMES = 8.0
"""A side this many times as long as the thing is otherwise was not meant so (no source)."""
SEEN_SHARE = 0.3
"""A face of which less than this share is seen is not drawn as a face (no source)."""
THIN_MM = 4.0
"""A side narrower than this is hard to draw with a pencil and a ruler (common practice, no source)."""
THIN_SHIFT = 4.0
"""So many times as far as a side is too thin its thing is moved at first (no source)."""


def on_thing(solved: Solved, placed: Placed) -> Iterator[Advice]:
    """Yield advice on one thing: off the paper, straight before a point, thin sides, lines too close or too flat."""
    yield from _said_of(solved, placed, lambda code, shifts: None)


def on_body(solved: Solved, placed: Placed, base: Placed) -> Iterator[Advice]:
    """Yield advice on a body that hangs on another thing: it is moved with the thing that bears all."""
    drawn = drawn_points(solved, placed)
    if drawn:
        yield from _off_paper(solved, placed, base, drawn)
        if not placed.standing.may_be_thin:
            yield from _thin_sides(solved, placed, lambda code, shifts: [])


def seek_place(solved: Solved, placed: Placed, sought: str) -> list[CureEdit]:
    """Return where a thing would have to be moved to, so that a piece of advice of this code is no longer due.

    Returns:
        Nothing where no place was found.
    """

    def move(code: str, shifts: list[Shift]) -> list[CureEdit]:
        return moved_until_unsaid(solved, placed, code, shifts, said_of) if code == sought else []

    cures = [cure for advice in _said_of(solved, placed, move) if advice.code == sought for cure in advice.cures]
    return cures[0].edits if cures else []


def said_of(solved: Solved, placed: Placed) -> list[Advice]:
    """Return what ``on_thing`` says."""
    return list(on_thing(solved, placed))


_Mover = Callable[[str, list[Shift]], list[CureEdit] | None]
"""What moves a thing: for a code of advice and the ways to go, the edits; None where they are looked for later."""


def _said_of(solved: Solved, placed: Placed, move: _Mover) -> Iterator[Advice]:
    if not placed.standing.has_depth:
        return
    about, name = f"things.{placed.index}", placed.values.name
    drawn = drawn_points(solved, placed)
    yield from _off_paper(solved, placed, placed, drawn)
    guides = [ruled for ruled in solved.built[placed.index].lines.values() if ruled.role == "guide"]
    if not guides and not placed.values.is_open:
        edit = CureEdit(path=f"{about}.{LOOK.name}", value="see_through")
        yield piece(solved, "straight_before", about, 0, 1, "sides", {"thing": name}, [edit])
        return
    yield from _thin_sides(solved, placed, move)
    yield from _close_lines(solved, placed, guides)
    yield from _flat_lines(solved, placed, guides, move)
    if placed.setting.frame.kind == "three_point":
        yield from _outside_triangle(solved, placed, drawn, move)
    if placed.setting.frame.is_metric:
        yield from _absurd_depth(solved, placed)


def on_crossing(solved: Solved) -> Iterator[Advice]:
    """Yield advice on things that stand in each other: their lines cannot be told right."""
    for i, j in crossing_pairs(solved.seen):
        things = solved.prepared.things
        shown = {"thing": things[i].values.name, "other": things[j].values.name}
        if things[j].kind.hangs:
            place = free_place(solved, things[j])
            yield piece(solved, "plans_cross", f"things.{j}", 1, 0, "things", shown, place)
            continue
        edit = CureEdit(path=f"things.{j}.joined_to", value=0)
        yield piece(solved, "things_cross", f"things.{j}", 1, 0, "things", shown, [edit])


def _flat_lines(solved: Solved, placed: Placed, guides: list[Ruled], move: _Mover) -> Iterator[Advice]:
    """Say that a line to a point on the eye level runs too flat to it."""
    level = placed.setting.frame.level_mm
    goals = {name: aim.at for name, aim in solved.prepared.aims.items()}
    angles = [
        (math.degrees(math.atan2(abs(level - g.start.y), abs(goals[g.rests_on].x - g.start.x))), g)
        for g in guides
        if g.rests_on and goals[g.rests_on].y == level and abs(level - g.start.y) > ON_LEVEL_MM
    ]
    if not angles:
        return
    angle, flattest = min(angles, key=lambda pair: pair[0])
    if angle < FLAT_DEG:
        shown = {"thing": placed.values.name, "value": f"{angle:.1f}", "limit": f"{FLAT_DEG:.0f}"}
        from_level = flattest.start.y - level
        steep = abs(goals[flattest.rests_on].x - flattest.start.x) * math.tan(math.radians(FLAT_DEG))
        away = math.copysign(steep - abs(from_level), from_level)
        across = -math.copysign(steep + abs(from_level), from_level)
        code = "line_too_flat"
        aside = math.copysign(steep, placed.values.first.x - flattest.start.x)
        edits = move(code, [(0.0, away), (0.0, across), (aside, 0.0)])
        yield piece(solved, code, f"things.{placed.index}", angle, FLAT_DEG, "°", shown, edits)


def _outside_triangle(solved: Solved, placed: Placed, drawn: list[Point], move: _Mover) -> Iterator[Advice]:
    """Say how far a thing reaches out of the triangle of its three points."""
    a, b, c = (placed.setting.frame.way(role).goal for role in ("left", "right", "up"))
    over = 0.0
    for p, q, inner in ((a, b, c), (b, c, a), (c, a, b)):
        side = join(p, q)
        sign = 1.0 if offset(inner, side) > 0 else -1.0
        over = max(over, max(-sign * offset(point, side) for point in drawn))
    if over > 0:
        shown = {"thing": placed.values.name, "value": solved.prepared.nearly(over)}
        middle = Point((a.x + b.x + c.x) / 3, (a.y + b.y + c.y) / 3)
        at = placed.values.first
        share = min(over / max(math.dist(at.xy, middle.xy), ON_LEVEL_MM), 1 / TIMES[-1])
        inward = (share * (middle.x - at.x), share * (middle.y - at.y))
        code = "outside_triangle"
        edits = move(code, [inward])
        yield piece(solved, code, f"things.{placed.index}", over, 0.0, "mm", shown, edits)


def _absurd_depth(solved: Solved, placed: Placed) -> Iterator[Advice]:
    """Say that a side or a depth that was measured on the page is absurdly long in the world."""
    values, setting = placed.values, placed.setting
    sides = {"away": ("The depth", "depth_by")} if setting.frame.kind == "one_point" else _SIDES
    roles = {"up", *sides} | ({"across"} if setting.frame.kind == "one_point" else set())
    true = {role: placed.standing.true_length(role) for role in roles}
    for role, (side, how) in sides.items():
        if values.held.get(how) != "measured":
            continue
        length, other = true[role], max(mm for name, mm in true.items() if name != role)
        if length > ABSURD_TIMES * other:
            shown = {"thing": values.name, "side": side, "value": f"{length / other:.0f}"}
            edit = CureEdit(path=f"things.{placed.index}.{how}", value="half")
            about = f"things.{placed.index}"
            yield piece(solved, "absurd_depth", about, length / other, ABSURD_TIMES, "times", shown, [edit])


_SIDES = {"left": ("The left side", "left_by"), "right": ("The right side", "right_by")}


def _off_paper(solved: Solved, placed: Placed, base: Placed, drawn: list[Point]) -> Iterator[Advice]:
    """Say how far a thing reaches over the paper's edge, or over the fold into the other half; its base is moved."""
    sheet = solved.prepared.sheet
    begin, end = sheet.part(placed.setting.half)
    left, low = begin - min(p.x for p in drawn), -min(p.y for p in drawn)
    right, high = max(p.x for p in drawn) - end, max(p.y for p in drawn) - sheet.height_mm
    over = max(left, right, low, high)
    if over <= 0:
        return
    about = f"things.{placed.index}"
    shift_x = max(left, 0.0) - max(right, 0.0)
    shift_y = max(low, 0.0) - max(high, 0.0)
    edits = [
        CureEdit(
            path=f"things.{base.index}.{name}",
            value=max(0.0, _inward(base.values.mm(name), shift, sheet.division_mm)),
        )
        for name, shift in zip((p.name for p in FIRST_CORNER), (shift_x, shift_y), strict=True)
        if shift
    ]
    is_off = any(not sheet.holds(*p.xy) for p in drawn)
    shown = {"thing": placed.values.name, "value": solved.prepared.nearly(over)}
    yield piece(solved, "off_the_paper" if is_off else "over_the_fold", about, over, 0.0, "mm", shown, edits)


def _inward(mm: float, shift: float, division: float) -> float:
    """Return the place moved by at least the shift, on a mark of the ruler."""
    away = -division if shift < 0 else division
    return round_to(mm + shift + away, division)


_FROM_POINT: dict[str, Shift] = {"left": (1.0, 0.0), "right": (-1.0, 0.0), "top": (0.0, -1.0), "bottom": (0.0, 1.0)}
"""Which way a thing goes so that more of a side is seen, by how the side is turned."""


def _thin_sides(solved: Solved, placed: Placed, move: _Mover) -> Iterator[Advice]:
    """Say which visible side faces are thinner across than can be drawn: the thinnest of each direction."""
    built, thinnest = solved.built[placed.index], dict[str, float]()
    for face in built.faces:
        if face.name not in built.outward or face.is_curved or face.turned in ("front", "back"):
            continue
        xs, ys = zip(*(built.page[c] for c in face.corners), strict=True)
        width = (max(xs) - min(xs)) if face.turned in ("left", "right") else (max(ys) - min(ys))
        if width >= THIN_MM or not _is_seen(solved, placed.values.name, face.name):
            continue
        thinnest[face.turned] = min(width, thinnest.get(face.turned, THIN_MM))
    for side, width in thinnest.items():
        if width < THIN_MM:
            shown = {
                "thing": placed.values.name,
                "side": side,
                "value": solved.prepared.nearly(width),
                "limit": solved.prepared.nearly(THIN_MM),
            }
            code, (right, up) = "side_too_thin", _FROM_POINT.get(side, (0.0, 0.0))
            far = max(THIN_SHIFT * (THIN_MM - width), solved.prepared.sheet.division_mm)
            edits = move(code, [(right * far, up * far)])
            yield piece(solved, code, f"things.{placed.index}", width, THIN_MM, "mm", shown, edits)


def _is_seen(solved: Solved, thing: str, face: str) -> bool:
    """Tell whether a face shows for the most part: what stands before it, or under it, may cover it."""
    numbers, shapes, tree = _shown_faces(solved)
    number = numbers.get((thing, face))
    if number is None:
        return False
    own = shapes[number]
    before = [shapes[i] for i in tree.query(own).tolist() if i > number]
    if not before:
        return True
    left = shapely.difference(own, shapely.union_all(before))
    return bool(shapely.area(left) > SEEN_SHARE * shapely.area(own))


@lru_cache(maxsize=2)
def _shown_faces(solved: Solved) -> tuple[dict[tuple[str, str], int], list[BaseGeometry], shapely.STRtree]:
    """Return the faces that show, the far ones first: their numbers by thing and name, their shapes, these to ask."""
    painted = toned_faces(solved.prepared, solved.seen, solved.built)
    shapes = [shapely.make_valid(shapely.Polygon(one.loops[0], one.loops[1:])) for one in painted]
    return {(one.thing, one.name): i for i, one in enumerate(painted)}, shapes, shapely.STRtree(shapes)


def _close_lines(solved: Solved, placed: Placed, guides: list[Ruled]) -> Iterator[Advice]:
    aims = solved.prepared.aims
    gaps = {
        name: nearest_gap_mm([g.start for g in guides if g.rests_on == name], aims[name].at)
        for name in {g.rests_on for g in guides}
        if name in aims
    }
    gap = min(gaps.values(), default=math.inf)
    if gap >= PENCIL_MM:
        return
    division = solved.prepared.sheet.division_mm
    better = round_to(max(2 * division, 3.0), division)
    values = placed.values
    path = f"things.{placed.index}.{FIRST_CORNER[1].name}"
    edits = [CureEdit(path=path, value=values.first.y + better)]
    shown = {
        "thing": values.name,
        "value": solved.prepared.nearly(gap),
        "better": solved.prepared.length(better),
    }
    yield piece(solved, "lines_too_close", f"things.{placed.index}", gap, PENCIL_MM, "mm", shown, edits)
