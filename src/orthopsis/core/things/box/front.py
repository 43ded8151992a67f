"""A box in one-point perspective: front face drawn true, depth cut along a guide line.

It knows boxes whose front is parallel to the picture, anywhere about the point, as deep as measured, about half
way, or a true cube. An open one has no front face: one looks into it.
"""

import math
from collections.abc import Mapping
from functools import lru_cache

import numpy as np

from orthopsis.core.construct.count import guide_corners
from orthopsis.core.construct.moves import (
    Act,
    Cross,
    Move,
    Rule,
    RuleToPoint,
    Run,
    Side,
)
from orthopsis.core.errors import GeometryError
from orthopsis.core.plane.homogeneous import Point, between, distance, join, toward
from orthopsis.core.sheet.ruler import round_to
from orthopsis.core.sight.solid import Edge, Face, Solid, Topology
from orthopsis.core.things.declare import (
    FIRST_CORNER,
    Build,
    Clause,
    Handle,
    Joint,
    Setting,
    Value,
    Values,
    stand_on_front,
)
from orthopsis.core.things.depth import FARTHEST_SHARE, HALF_WAY, cut_move, dragged, kept, measured_share
from orthopsis.core.view.frame import distance_names, distance_points

CORNERS = ("bottom_left", "bottom_right", "top_right", "top_left")
"""Round the front face, anticlockwise as the viewer sees it."""

CLEAR_CROSSING_DEG = 12.0
"""Lines that cross flatter than this give no sharp point (common practice, no source)."""

_EDGE = {
    frozenset(("bottom_left", "bottom_right")): ("bottom", "level"),
    frozenset(("top_left", "top_right")): ("top", "level"),
    frozenset(("bottom_left", "top_left")): ("left", "upright"),
    frozenset(("bottom_right", "top_right")): ("right", "upright"),
}
_SIDE_FACES = {
    "bottom": ("bottom_left", "bottom_right"),
    "right": ("bottom_right", "top_right"),
    "top": ("top_right", "top_left"),
    "left": ("top_left", "bottom_left"),
}


@lru_cache(maxsize=1024)
def _corner_points(values: Values) -> Mapping[str, Point]:
    x, y = values.first.xy
    w, h = values.mm("width"), _height(values)
    return {
        "bottom_left": Point(x, y),
        "bottom_right": Point(x + w, y),
        "top_right": Point(x + w, y + h),
        "top_left": Point(x, y + h),
    }


def _goal(setting: Setting) -> Point:
    return setting.frame.way("away").goal


def _height(values: Values) -> float:
    return values.mm("width") if values.word("depth_by") == "cube" else values.mm("height")


@lru_cache(maxsize=1024)
def _guided(values: Values, setting: Setting) -> tuple[str, ...]:
    """Return the corners that get a guide line, round the front."""
    points = _corner_points(values)
    goal = _goal(setting)
    for name, point in points.items():
        if distance(point, goal) < setting.sheet.division_mm / 4:
            raise GeometryError(
                "corner_on_point",
                f"The {name.replace('_', ' ')} corner of “{values.name}” lies on the vanishing point.",
                "Move the box by one mark of the ruler.",
                about="left",
            )
    if values.is_see_through or values.is_open:
        return CORNERS
    return tuple(CORNERS[i] for i in guide_corners([points[c] for c in CORNERS], goal))


def _depth_corner(values: Values, setting: Setting) -> str:
    """Return the corner along whose guide line the depth is cut."""
    guided = _guided(values, setting)
    chosen = values.word("depth_corner")
    points = _corner_points(values)
    best = max(guided or CORNERS, key=lambda c: (round(distance(points[c], _goal(setting)), 3), c))
    if chosen == "auto" or chosen in guided or not guided:
        return best if chosen == "auto" else chosen
    raise GeometryError(
        "no_guide_line",
        f"The {chosen.replace('_', ' ')} corner of “{values.name}” has no guide line: it would cross the front.",
        f"Measure along the one of the {best.replace('_', ' ')} corner.",
        about="depth_corner",
        nearest=best,
    )


@lru_cache(maxsize=1024)
def _share(values: Values, setting: Setting) -> float:
    """Return how far along its guide line the depth is cut, 0 at the front, 1 at the point."""
    how = values.word("depth_by")
    if how == "half":
        return HALF_WAY
    if how == "cube":
        _check_metric(values, setting)
        width, d = values.mm("width"), setting.frame.distance_mm
        return width / (d + width)
    reach = distance(_corner_points(values)[_depth_corner(values, setting)], _goal(setting))
    if not _guided(values, setting) and values.mm("depth") > FARTHEST_SHARE * reach:
        return HALF_WAY
    return measured_share(values, setting, reach)


def _check_metric(values: Values, setting: Setting) -> None:
    if not setting.frame.is_metric:
        raise GeometryError(
            "no_distance",
            f"“{values.name}” as a true cube needs the viewing distance, and none is given.",
            "Say first from how far the sheet is seen, or measure the depth.",
            about="depth_by",
            nearest="measured",
        )


def solid(values: Values, setting: Setting) -> Solid:
    """Return the box in the world of the frame's eye: its front lies in the picture plane."""
    eye, goal = setting.frame.eye, _goal(setting)
    away = eye.ray(goal) * eye.world_length(goal, _share(values, setting))
    points = _corner_points(values)
    front = np.array([eye.at(points[c]) for c in CORNERS])
    return Solid(_topology(setting.frame.name, is_open=values.is_open), np.vstack((front, front + away)))


@lru_cache(maxsize=64)
def _topology(goal_name: str, *, is_open: bool) -> Topology:
    names = tuple(f"{side}.{corner}" for side in ("front", "back") for corner in CORNERS)
    faces = tuple(f for f in _faces() if not (is_open and f.name == "front"))
    return Topology(names, faces, _edges(goal_name), is_open=is_open, is_convex=not is_open)


def _faces() -> tuple[Face, ...]:
    sides = [
        Face(side, (f"front.{b}", f"front.{a}", f"back.{a}", f"back.{b}"), side) for side, (a, b) in _SIDE_FACES.items()
    ]
    return (
        Face("front", tuple(f"front.{c}" for c in CORNERS), "front"),
        Face("back", tuple(f"back.{c}" for c in reversed(CORNERS)), "back"),
        *sides,
    )


def _edges(goal_name: str) -> tuple[Edge, ...]:
    result = []
    for side in ("front", "back"):
        for a, b in zip(CORNERS, (*CORNERS[1:], CORNERS[0]), strict=True):
            name, runs = _EDGE[frozenset((a, b))]
            result.append(Edge(f"{side}.{name}", f"{side}.{a}", f"{side}.{b}", runs))
    result += [Edge(f"depth.{c}", f"front.{c}", f"back.{c}", goal_name) for c in CORNERS]
    return tuple(result)


def recipe(values: Values, setting: Setting) -> list[Move]:
    """Return the hand's moves from the front face to the back edges."""
    guided = _guided(values, setting)
    moves = _front(values, setting)
    if not guided:
        return moves
    breath = "guides.see_through" if len(guided) == len(CORNERS) else "guides"
    moves += [values.move("guides", breath, _guide(values, c, setting)) for c in guided]
    moves += _cut_depth(values, setting)
    return moves + _back(values, setting, guided)


def _front(values: Values, setting: Setting) -> list[Move]:
    def n(name: str) -> str:
        return values.full(f"front.{name}")

    w, h, anchor = values.mm("width"), _height(values), setting.anchor
    if anchor is not None and anchor.in_line is not None:
        rise = values.full("construction.rise")
        acts: list[Act] = [
            *values.line_up(anchor, anchor.in_line, "front.bottom_left"),
            Run(n("left"), n("top_left"), n("bottom_left"), "upright", rise),
            Side(n("bottom"), n("bottom_right"), n("bottom_left"), "level", w),
            Side(n("top"), n("top_right"), n("top_left"), "level", w),
            Rule(n("right"), n("bottom_right"), n("top_right"), "upright"),
        ]
        return [values.move("front", "front.in_line", act) for act in acts]
    acts = [
        values.begin(setting, "front.bottom_left"),
        Side(n("bottom"), n("bottom_right"), n("bottom_left"), "level", w),
        Side(n("left"), n("top_left"), n("bottom_left"), "upright", h),
        Side(n("right"), n("top_right"), n("bottom_right"), "upright", h),
        Rule(n("top"), n("top_left"), n("top_right"), "level"),
    ]
    return [values.move("front", "front", act) for act in acts]


def _guide(values: Values, corner: str, setting: Setting) -> RuleToPoint:
    return RuleToPoint(values.full(f"guide.{corner}"), values.full(f"front.{corner}"), setting.frame.name)


def _cut_depth(values: Values, setting: Setting) -> list[Move]:
    how = values.word("depth_by")
    if how == "cube":
        return _cut_cube(values, setting)
    corner = _depth_corner(values, setting)
    makes, line = values.full(f"back.{corner}"), values.full(f"guide.{corner}")
    _share(values, setting)
    return [cut_move(values, "depth.front", makes, line)]


def _cut_cube(values: Values, setting: Setting) -> list[Move]:
    """Cut a guide line with the diagonal from the front corner beside it to the distance point beyond."""
    _check_metric(values, setting)
    corner, beside, point = _cube_corner(values, setting)
    diagonal = values.full("diagonal")
    rule = RuleToPoint(diagonal, values.full(f"front.{beside}"), point, "construction")
    cross = Cross(values.full(f"back.{corner}"), diagonal, values.full(f"guide.{corner}"))
    return [values.move("depth", "depth.cube", rule), values.move("depth", "depth.cube", cross)]


def _cube_corner(values: Values, setting: Setting) -> tuple[str, str, str]:
    """Return the corner whose guide line is cut, the one its diagonal starts at, and the distance point."""
    points, goal = _corner_points(values), _goal(setting)
    points_at = dict(zip(("left", "right"), distance_points(setting.frame), strict=True))
    called = dict(zip(("left", "right"), distance_names(setting.frame), strict=True))
    options = []
    for corner in _guided(values, setting):
        height, side = corner.split("_")
        beside = f"{height}_{'right' if side == 'left' else 'left'}"
        guide, diagonal = join(points[corner], goal), join(points[beside], points_at[side])
        crossing = math.degrees(math.asin(min(1.0, abs(guide.a * diagonal.b - guide.b * diagonal.a))))
        is_shown = (height == "top") == (points[corner].y < goal.y)
        options.append(((is_shown and crossing >= CLEAR_CROSSING_DEG, crossing), corner, beside, called[side]))
    _, corner, beside, name = max(options)
    return corner, beside, name


def _back(values: Values, setting: Setting, guided: tuple[str, ...]) -> list[Move]:
    """Go round the back: level from an upright guide's corner, upright from a level one's."""
    points, goal = _corner_points(values), _goal(setting)
    start = _cube_corner(values, setting)[0] if values.word("depth_by") == "cube" else _depth_corner(values, setting)
    known, moves, drawn = [start], [], set()
    for here in known:
        for there in _neighbours(here):
            name, runs = _EDGE[frozenset((here, there))]
            if there not in guided or there in known or _is_parallel(points[there], goal, runs):
                continue
            made, end = values.full(f"back.{name}"), values.full(f"back.{there}")
            act = Run(made, end, values.full(f"back.{here}"), runs, values.full(f"guide.{there}"))
            moves.append(values.move("back", "back", act))
            known.append(there)
            drawn.add(name)
    for a, b in zip(CORNERS, (*CORNERS[1:], CORNERS[0]), strict=True):
        name, runs = _EDGE[frozenset((a, b))]
        if a in known and b in known and name not in drawn:
            rule = Rule(values.full(f"back.{name}"), values.full(f"back.{a}"), values.full(f"back.{b}"), runs)
            moves.append(values.move("back", "back", rule))
    return moves


def _neighbours(corner: str) -> tuple[str, str]:
    i = CORNERS.index(corner)
    return CORNERS[(i + 1) % 4], CORNERS[i - 1]


def _is_parallel(corner: Point, goal: Point, runs: str) -> bool:
    gap = goal.y - corner.y if runs == "level" else goal.x - corner.x
    return abs(gap) < 1e-9


def _drag_place(values: Values, setting: Setting, at: Point) -> Mapping[str, Value]:
    return {"left": at.x, "bottom": at.y}


def _drag_size(values: Values, setting: Setting, at: Point) -> Mapping[str, Value]:
    least = setting.sheet.division_mm
    width = max(at.x - values.mm("left"), least)
    if values.word("depth_by") == "cube":
        return {"width": max(width, at.y - values.mm("bottom"), least)}
    return {"width": width, "height": max(at.y - values.mm("bottom"), least)}


def _drag_depth(values: Values, setting: Setting, at: Point) -> Mapping[str, Value]:
    start = _corner_points(values)[_depth_corner(values, setting)]
    return dragged(setting, start, _goal(setting), at)


def handles_at(values: Values, setting: Setting) -> Mapping[str, Point]:
    """Return where the handles are; there is none for a depth that cannot be dragged."""
    points = _corner_points(values)
    result = {"place": points["bottom_left"], "size": points["top_right"]}
    if values.word("depth_by") != "cube" and _guided(values, setting):
        corner = _depth_corner(values, setting)
        result["depth"] = between(points[corner], _goal(setting), _share(values, setting))
    return result


def spans(values: Values, setting: Setting) -> Mapping[str, tuple[Point, Point]]:
    """Return between which points each length is measured."""
    p = _corner_points(values)
    low = p["bottom_left"]
    result = {
        "left": (Point(0.0, low.y), low),
        "bottom": (Point(low.x, 0.0), low),
        "width": (low, p["bottom_right"]),
        "height": (p["bottom_right"], p["top_right"]),
    }
    if values.word("depth_by") == "measured":
        start = p[_depth_corner(values, setting)]
        result["depth"] = (start, toward(start, _goal(setting), values.mm("depth")))
    return result


_FRESH_PLACES = ((0.08, -1), (0.76, 1), (0.72, -1), (0.12, 0), (0.30, 1), (0.34, -1), (0.80, 0), (0.55, 1))
"""Where new boxes land: share of the sheet's width, and below (-1), across (0) or above (1) the eye level."""


def place(setting: Setting, count: int) -> Mapping[str, Value]:
    """Return values for one more box, where it is likely to have room; after eight it begins again, aside."""
    sheet, goal = setting.sheet, _goal(setting)
    size = setting.fresh_size
    across, side = _FRESH_PLACES[count % len(_FRESH_PLACES)]
    aside = (count // len(_FRESH_PLACES)) * size / 3
    heights = {-1: goal.y * 0.4 - size / 2, 0: goal.y - size * 0.6, 1: (goal.y + sheet.height_mm) / 2 - size / 2}
    return {
        "left": max(0.0, round_to(setting.across(across) + aside, sheet.division_mm)),
        "bottom": max(0.0, round_to(heights[side] + aside / 2, sheet.division_mm)),
        "width": size,
        "height": size,
        "depth_by": "half",
    }


def needs_eye(values: Values) -> frozenset[str]:
    """Return the aids that only an eye of known place gives: the distance points, for a cube."""
    return frozenset(("distance",)) if values.word("depth_by") == "cube" else frozenset()


def free_lines(values: Values, setting: Setting) -> Mapping[str, tuple[str, ...]]:
    """Return the lines whose place is free: the back's, if the depth is by eye."""
    return {setting.frame.name: ("back.",)} if values.word("depth_by") == "half" else {}


def follow(values: Values, setting: Setting, name: str, value: Value) -> Mapping[str, Value]:
    """Return the measured depth that leaves the drawing as it is, when the depth begins to be measured."""
    if name != "depth_by" or value != "measured" or not _guided(values, setting):
        return {}
    reach = distance(_corner_points(values)[_depth_corner(values, setting)], _goal(setting))
    return kept(setting, reach, _share(values, setting))


def true_length(values: Values, setting: Setting, role: str) -> float:
    """Return how long the box is in the world along ``up`` or ``away``, at the scale of its front, mm."""
    if role == "up":
        return _height(values)
    return setting.frame.eye.world_length(_goal(setting), _share(values, setting))


def joints(values: Values, setting: Setting) -> Mapping[str, Joint]:
    """Return where others can stand: on its top, beside it to the right, and behind it at the same height."""
    points, near = _corner_points(values), setting.frame.eye.distance_mm
    n = values.full
    result = {
        "on_top": Joint("on top of", points["top_left"], "", near),
        "beside_right": Joint("to the right of", points["bottom_right"], n("front.bottom_right"), near),
    }
    if "bottom_left" in _guided(values, setting):
        share = _share(values, setting)
        back = between(points["bottom_left"], _goal(setting), share)
        result["behind"] = Joint("behind", back, n("back.bottom_left"), near / (1 - share))
    over = (points["top_left"], n("front.top_left"))
    says = "further back in line with"
    result["in_line"] = Joint(says, points["bottom_left"], n("front.bottom_left"), near, over, "away")
    return result


def stand(values: Values, setting: Setting, joint: Joint) -> Mapping[str, Value]:
    """Return the place of the first corner at a joint, and the height where it is in line with another."""
    if joint.top is None:
        return stand_on_front(values, setting, joint)
    if values.word("depth_by") == "cube":
        raise GeometryError(
            "cannot_join",
            f"“{values.name}” is a cube: its height follows from its width, not from another thing.",
            "Measure its depth, or cut it half way.",
            about="depth_by",
            nearest="half",
        )
    height = distance(joint.corner, joint.top[0])
    return {"left": joint.corner.x, "bottom": joint.corner.y, "height": height}


FRONT = Build(
    sentence=(
        Clause("Front face {width} wide and {height} tall", {"depth_by": ("measured", "half")}),
        Clause("Front face {width} square", {"depth_by": ("cube",)}),
        Clause(", {left} from the left edge and {bottom} up. "),
        Clause("Depth {depth_by}: {depth} along {depth_corner}. ", {"depth_by": ("measured",)}),
        Clause("Depth {depth_by} along {depth_corner}. ", {"depth_by": ("half",)}),
        Clause("Depth: {depth_by}, by the distance points. ", {"depth_by": ("cube",)}),
        Clause("{look}."),
    ),
    handles=(
        Handle("place", "Move the box", tuple(p.name for p in FIRST_CORNER), _drag_place, "place"),
        Handle("size", "Change width and height", ("width", "height"), _drag_size, "size"),
        Handle("depth", "Change the depth", ("depth",), _drag_depth),
    ),
    solid=solid,
    recipe=recipe,
    handles_at=handles_at,
    spans=spans,
    free_lines=free_lines,
    needs_eye=needs_eye,
    place=place,
    follow=follow,
    true_length=true_length,
    joints=joints,
    stand=stand,
)
