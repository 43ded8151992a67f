"""A box in two- and three-point perspective: nearest edge first, two sides, a back corner that comes by itself."""

from collections.abc import Mapping
from functools import lru_cache

import numpy as np

from orthopsis.core.construct.moves import Move
from orthopsis.core.construct.panel import Panel
from orthopsis.core.plane.homogeneous import Point, distance
from orthopsis.core.sheet.ruler import round_to
from orthopsis.core.sight.solid import Edge, Face, Solid, Topology
from orthopsis.core.things.box import block, sides
from orthopsis.core.things.box.block import FARTHEST_SHARE, HALF_WAY, ROLES, Role
from orthopsis.core.things.declare import Build, Clause, Handle, Values
from orthopsis.core.things.parameters import FIRST_CORNER, Value
from orthopsis.core.things.standing import Setting
from orthopsis.core.view.aim import AimRole

_UPRIGHTS = ("near", "left", "right", "far")
_FACES = (
    Face("left", ("near.bottom", "near.top", "left.top", "left.bottom"), "left"),
    Face("right", ("near.bottom", "right.bottom", "right.top", "near.top"), "right"),
    Face("top", ("near.top", "right.top", "far.top", "left.top"), "top"),
    Face("bottom", ("near.bottom", "left.bottom", "far.bottom", "right.bottom"), "bottom"),
    Face("back_left", ("right.bottom", "far.bottom", "far.top", "right.top"), "back"),
    Face("back_right", ("left.bottom", "left.top", "far.top", "far.bottom"), "back"),
)


def solid(values: Values, setting: Setting) -> Solid:
    """Return the box in the world of the frame's eye: its first corner lies in the picture plane."""
    start, vectors = block.axes(values, setting)
    aside = {
        "near": np.zeros(3),
        "left": vectors["left"],
        "right": vectors["right"],
        "far": vectors["left"] + vectors["right"],
    }
    rise = {block.first_level(setting): np.zeros(3), block.second_level(setting): vectors["up"]}
    places = [start + aside[c] + rise[level] for level in ("bottom", "top") for c in _UPRIGHTS]
    runs = tuple(setting.frame.way(role).family for role in ("left", "right", "up"))
    return Solid(_topology(runs, is_open=values.is_open), np.array(places))


@lru_cache(maxsize=64)
def _topology(families: tuple[str, ...], *, is_open: bool) -> Topology:
    names = tuple(f"{c}.{level}" for level in ("bottom", "top") for c in _UPRIGHTS)
    faces = tuple(f for f in _FACES if not (is_open and f.name == "top"))
    return Topology(names, faces, _edges(families), is_open=is_open, is_convex=not is_open)


def _edges(families: tuple[str, ...]) -> tuple[Edge, ...]:
    runs = dict(zip(("left", "right", "up"), families, strict=True))
    result = [Edge(f"{c}.edge", f"{c}.bottom", f"{c}.top", runs["up"]) for c in _UPRIGHTS]
    for level in ("bottom", "top"):
        for role in ROLES:
            over = block.other(role)
            result.append(Edge(f"{level}.{role}", f"near.{level}", f"{role}.{level}", runs[role]))
            result.append(Edge(f"{level}.back_{role}", f"{over}.{level}", f"far.{level}", runs[role]))
    return tuple(result)


def recipe(values: Values, setting: Setting) -> list[Move]:
    """Return the hand's moves from the nearest edge to the back corner."""
    moves = block.edge_moves(values, setting) + block.guide_moves(values, setting)
    for role in ROLES:
        moves += block.side_moves(values, setting, role)
    return moves + block.back_moves(values, setting, _levels(values, setting))


def panels(values: Values, setting: Setting) -> Mapping[str, Panel]:
    """Return the faces that can be divided: the two sides, and the top or the bottom where its edges are drawn."""
    levels = [level for level in _levels(values, setting) if not (values.is_open and level == "top")]
    return {
        **sides.side_panels(values, setting),
        **{level: sides.level_panel(values, setting, level) for level in levels},
    }


def _levels(values: Values, setting: Setting) -> tuple[str, ...]:
    """Return the levels at which the back is drawn: those that show, and all of a box that is looked into."""
    both = values.is_see_through or values.is_open
    return tuple(level for level in ("bottom", "top") if both or block.shows(values, setting, level))


def _drag_place(values: Values, setting: Setting, at: Point) -> Mapping[str, Value]:
    left, right = (block.goal(setting, role).x for role in ROLES)
    division = setting.sheet.division_mm
    return {"left": min(max(at.x, left + division), right - division), "bottom": at.y}


def _drag_height(values: Values, setting: Setting, at: Point) -> Mapping[str, Value]:
    division, up = setting.sheet.division_mm, block.goal(setting, "up")
    if up.is_ideal:
        return {"height": max(at.y - values.first.y, division)}
    return {"height": min(max(distance(at, values.first), division), 0.9 * distance(values.first, up))}


def _drag_side(role: Role, values: Values, setting: Setting, at: Point) -> Mapping[str, Value]:
    first, division = values.first, setting.sheet.division_mm
    way = -1.0 if role == "left" else 1.0
    aside = max((at.x - first.x) * way, 0.0)
    reach = block.side_reach(values, setting, role)
    share = aside / abs(block.goal(setting, role).x - first.x)
    length = min(max(share * reach, division), FARTHEST_SHARE * reach)
    return {f"{role}_by": "measured", f"{role}_length": length}


def _drag_left(values: Values, setting: Setting, at: Point) -> Mapping[str, Value]:
    return _drag_side("left", values, setting, at)


def _drag_right(values: Values, setting: Setting, at: Point) -> Mapping[str, Value]:
    return _drag_side("right", values, setting, at)


def handles_at(values: Values, setting: Setting) -> Mapping[str, Point]:
    """Return where the handles are: the two ends of the nearest edge and the ends of the sides."""
    edge, first = block.near_edge(values, setting), block.first_level(setting)
    result = {"place": edge[first], "size": edge[block.second_level(setting)]}
    for role in ROLES:
        if values.word(f"{role}_by") != "cube":
            result[f"{role}_end"] = block.end_corner(values, setting, role, first)
    return result


def spans(values: Values, setting: Setting) -> Mapping[str, tuple[Point, Point]]:
    """Return between which points each length is measured."""
    first, edge = values.first, block.near_edge(values, setting)
    result = {
        "left": (Point(0.0, first.y), first),
        "bottom": (Point(first.x, 0.0), first),
        "height": (edge["bottom"], edge["top"]),
    }
    for role in ROLES:
        if values.word(f"{role}_by") == "measured":
            end = block.end_corner(values, setting, role, block.first_level(setting))
            level = Point(end.x, first.y) if setting.frame.kind == "two_point" else end
            result[f"{role}_length"] = (first, level)
    return result


def free_lines(values: Values, setting: Setting) -> Mapping[str, tuple[str, ...]]:
    """Return the lines whose place is free, because a side is cut by eye: its end, and the back beyond it."""
    result = {}
    for role in ROLES:
        if values.word(f"{role}_by") == "half":
            back = tuple(f"{level}.back_{block.other(role)}" for level in ("bottom", "top"))
            result[setting.frame.way(role).family] = (f"{role}.edge", *back)
    return result


_MEASURING: dict[Role, AimRole] = {"left": "left_measuring", "right": "right_measuring"}


def needs(values: Values) -> frozenset[AimRole]:
    """Return the measuring points that the sides of true length need."""
    return frozenset(_MEASURING[role] for role in ROLES if values.word(f"{role}_by") in ("true", "cube"))


_FRESH_PLACES = ((0.46, -1), (0.62, 1), (0.30, -1), (0.36, 0), (0.70, -1), (0.24, 1), (0.76, 0), (0.52, 1))
"""Where new boxes land: share of the way between the points, and below (-1), across (0) or above (1) the eye level."""


def place(setting: Setting, count: int) -> Mapping[str, Value]:
    """Return values for one more box, between the points and on the sheet."""
    sheet, frame = setting.sheet, setting.frame
    begin, end = sheet.part(setting.half)
    low, high = max(begin, frame.way("left").goal.x), min(end, frame.way("right").goal.x)
    across, side = _FRESH_PLACES[count % len(_FRESH_PLACES)]
    size = setting.fresh_size
    level = frame.level_mm
    if frame.kind == "three_point":
        third = frame.way("up").goal
        at = (third.y - level) * 0.22 * (1 + 0.3 * (count // len(_FRESH_PLACES)))
        x = third.x + (across - 0.5) * 0.5 * (high - low)
        first = Point(x, level + at)
        size = round_to(distance(first, third) / 4, sheet.division_mm)
    else:
        heights = {-1: level * 0.45 - size / 2, 0: level - size * 0.4, 1: (level + sheet.height_mm) / 2 - size / 2}
        first = Point(low + across * (high - low), heights[side])
    return {
        "left": max(0.0, round_to(first.x, sheet.division_mm)),
        "bottom": max(0.0, round_to(first.y, sheet.division_mm)),
        "height": size,
        **{f"{role}_by": "measured" for role in ROLES},
        **{f"{role}_length": _fresh_side(setting, first, role, size) for role in ROLES},
    }


def _fresh_side(setting: Setting, first: Point, role: Role, size: float) -> float:
    reach = distance(first, block.goal(setting, role))
    return max(setting.sheet.division_mm, round_to(min(size * 0.9, HALF_WAY * reach), setting.sheet.division_mm))


def follow(values: Values, setting: Setting, name: str, value: Value) -> Mapping[str, Value]:
    """Return the length that leaves the drawing as it is, when a side begins to be measured otherwise."""
    role: Role = "left" if name.startswith("left") else "right"
    if name != f"{role}_by" or value not in ("measured", "true"):
        return {}
    share = block.side_share(values, setting, role)
    if value == "true":
        length = setting.frame.eye.world_length(block.goal(setting, role), share) if setting.frame.is_metric else 0.0
    else:
        length = share * block.side_reach(values, setting, role)
    rounded = round_to(length, setting.sheet.division_mm)
    return {f"{role}_length": rounded} if rounded > 0 else {}


def true_length(values: Values, setting: Setting, role: str) -> float:
    """Return how long the block is in the world along a direction, at the scale of its first corner."""
    if role == "up":
        return block.true_height(values, setting)
    side: Role = "left" if role == "left" else "right"
    return setting.frame.eye.world_length(block.goal(setting, side), block.side_share(values, setting, side))


def keep_shape(values: Values, before: Setting, after: Setting) -> Mapping[str, float]:
    """Return the page measures of the sides with which the block is as long as before, at the same place."""
    result = {}
    for role in ROLES:
        if values.word(f"{role}_by") == "measured":
            length = true_length(values, before, role)
            share = after.frame.eye.page_share(block.goal(after, role), length)
            result[f"{role}_length"] = share * block.side_reach(values, after, role)
    return result


_SIDES = tuple(
    clause
    for role in ROLES
    for clause in (
        Clause(f"{role.title()} side {{{role}_by}}, {{{role}_length}}. ", {f"{role}_by": ("measured", "true")}),
        Clause(f"{role.title()} side {{{role}_by}}. ", {f"{role}_by": ("half", "cube")}),
    )
)

CORNER = Build(
    sentence=(
        Clause("Nearest edge {height} tall, {left} from the left edge and {bottom} up. "),
        *_SIDES,
        Clause("{look}."),
    ),
    handles=(
        Handle("place", "Move the box", tuple(p.name for p in FIRST_CORNER), _drag_place, "place"),
        Handle("size", "Change the height", ("height",), _drag_height, "size"),
        Handle("left_end", "Change the left side", ("left_length",), _drag_left),
        Handle("right_end", "Change the right side", ("right_length",), _drag_right),
    ),
    solid=solid,
    recipe=recipe,
    handles_at=handles_at,
    spans=spans,
    free_lines=free_lines,
    needs=needs,
    place=place,
    follow=follow,
    keep_shape=keep_shape,
    true_length=true_length,
    joints=block.joints,
    stand=block.stand,
    foot_depth=block.foot_depth,
    panels=panels,
)
