"""A box in two- and three-point perspective: nearest edge first, two sides, a back corner that comes by itself."""

from collections.abc import Mapping
from dataclasses import replace
from functools import lru_cache, partial

import numpy as np
from propcache.api import cached_property

from orthopsis.core.construct.moves import Move
from orthopsis.core.construct.panel import Panel
from orthopsis.core.plane.homogeneous import Point, distance
from orthopsis.core.sheet.ruler import round_to
from orthopsis.core.sight.solid import Edge, Face, Solid, Topology
from orthopsis.core.things.answers import Clause, Free, Handle
from orthopsis.core.things.box import sides
from orthopsis.core.things.box.block import FARTHEST_SHARE, HALF_WAY, ROLES, UPRIGHTS, Block, Role, goal, other
from orthopsis.core.things.box.block_recipe import back_moves, body_moves
from orthopsis.core.things.parameters import FIRST_CORNER, Value
from orthopsis.core.things.setting import Setting
from orthopsis.core.view.aim import AimRole
from orthopsis.core.wording.names import Feature

_CALLED = {"near": "nearest", "left": "left", "right": "right", "far": "far"}
_FACES = (
    Face("left", ("near.bottom", "near.top", "left.top", "left.bottom"), "left"),
    Face("right", ("near.bottom", "right.bottom", "right.top", "near.top"), "right"),
    Face("top", ("near.top", "right.top", "far.top", "left.top"), "top"),
    Face("bottom", ("near.bottom", "left.bottom", "far.bottom", "right.bottom"), "bottom"),
    Face("back_left", ("right.bottom", "far.bottom", "far.top", "right.top"), "back"),
    Face("back_right", ("left.bottom", "left.top", "far.top", "far.bottom"), "back"),
)


@lru_cache(maxsize=64)
def _topology(families: tuple[str, ...], *, is_open: bool) -> Topology:
    names = tuple(f"{c}.{level}" for level in ("bottom", "top") for c in UPRIGHTS)
    faces = tuple(f for f in _FACES if not (is_open and f.name == "top"))
    return Topology(names, faces, _edges(families), is_open=is_open, is_convex=not is_open)


def _edges(families: tuple[str, ...]) -> tuple[Edge, ...]:
    runs = dict(zip(("left", "right", "up"), families, strict=True))
    result = [
        Edge(f"{c}.edge", f"{c}.bottom", f"{c}.top", runs["up"], feature=Feature("upright", _CALLED[c]))
        for c in UPRIGHTS
    ]
    for level in ("bottom", "top"):
        for role in ROLES:
            over = other(role)
            for side, ends in ((role, ("near", role)), (f"back_{role}", (over, "far"))):
                name, (start, end) = f"{level}.{side}", (f"{end}.{level}" for end in ends)
                place = f"{level} {role}" if side == role else f"{level} back {role}"
                result.append(
                    Edge(name, start, end, runs[role], feature=Feature("level", place, guide=f"guide.{name}"))
                )
    return tuple(result)


_MEASURING: dict[Role, AimRole] = {"left": "left_measuring", "right": "right_measuring"}

_FRESH_PLACES = ((0.46, -1), (0.62, 1), (0.30, -1), (0.36, 0), (0.70, -1), (0.24, 1), (0.76, 0), (0.52, 1))
"""Where new boxes land: share of the way between the points, and below (-1), across (0) or above (1) the eye level."""


SIDE_CLAUSES = tuple(
    clause
    for role in ROLES
    for clause in (
        Clause(f"{role.title()} side {{{role}_by}}, {{{role}_length}}. ", {f"{role}_by": ("measured", "true")}),
        Clause(f"{role.title()} side {{{role}_by}}. ", {f"{role}_by": ("half", "cube")}),
    )
)


class OfBlock(Block):
    """What stands about a nearest edge and is as long and high as a block: a box, or what is cut from one."""

    moved_says = "Move the block"

    @property
    def handles(self) -> Mapping[str, Handle]:
        """The two ends of the nearest edge and the ends of the sides."""
        place = tuple(p.name for p in FIRST_CORNER)
        result = {
            "place": Handle(self.moved_says, self.near_edge[self.first], place, self._drag_place, "place"),
            "size": Handle("Change the height", self.near_edge[self.second], ("height",), self._drag_height, "size"),
        }
        for role in ROLES:
            if self.values.word(f"{role}_by") != "cube":
                at, changes = self.end_corner(role, self.first), (f"{role}_length",)
                result[f"{role}_end"] = Handle(f"Change the {role} side", at, changes, partial(self._drag_side, role))
        return result

    def _drag_place(self, at: Point) -> Mapping[str, Value]:
        left, right = (self.goal(role).x for role in ROLES)
        division = self.setting.sheet.division_mm
        return {"left": min(max(at.x, left + division), right - division), "bottom": at.y}

    def _drag_height(self, at: Point) -> Mapping[str, Value]:
        division, up, first = self.setting.sheet.division_mm, self.goal("up"), self.values.first
        if up.is_ideal:
            return {"height": max(at.y - first.y, division)}
        return {"height": min(max(distance(at, first), division), 0.9 * distance(first, up))}

    def _drag_side(self, role: Role, at: Point) -> Mapping[str, Value]:
        first, division = self.values.first, self.setting.sheet.division_mm
        way = -1.0 if role == "left" else 1.0
        aside = max((at.x - first.x) * way, 0.0)
        reach = self.side_reach(role)
        share = aside / abs(self.goal(role).x - first.x)
        length = min(max(share * reach, division), FARTHEST_SHARE * reach)
        return {f"{role}_by": "measured", f"{role}_length": length}

    @cached_property
    def spans(self) -> Mapping[str, tuple[Point, Point]]:
        """Between which points each length is measured."""
        first, edge = self.values.first, self.near_edge
        result = {
            "left": (Point(0.0, first.y), first),
            "bottom": (Point(first.x, 0.0), first),
            "height": (edge["bottom"], edge["top"]),
        }
        for role in ROLES:
            if self.values.word(f"{role}_by") == "measured":
                end = self.end_corner(role, self.first)
                level = Point(end.x, first.y) if self.setting.frame.kind == "two_point" else end
                result[f"{role}_length"] = (first, level)
        return result

    @cached_property
    def needs(self) -> frozenset[AimRole]:
        """The measuring points that the sides of true length need."""
        return frozenset(_MEASURING[role] for role in ROLES if self.values.word(f"{role}_by") in ("true", "cube"))

    @classmethod
    def place(cls, setting: Setting, count: int) -> Mapping[str, Value]:
        """Return values for one more, between the points and on the sheet."""
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

    def follow(self, name: str, value: Value) -> Mapping[str, Value]:
        """Return the length that leaves the drawing as it is, when a side begins to be measured otherwise."""
        role = next((role for role in ROLES if name == f"{role}_by"), None)
        if role is None or value not in ("measured", "true"):
            return {}
        share, frame = self.side_shares[role], self.setting.frame
        if value == "true":
            length = frame.eye.world_length(self.goal(role), share) if frame.is_metric else 0.0
        else:
            length = share * self.side_reach(role)
        rounded = round_to(length, self.setting.sheet.division_mm)
        return {f"{role}_length": rounded} if rounded > 0 else {}

    def true_length(self, role: str) -> float:
        """Return how long the block is in the world along a direction, at the scale of its first corner."""
        if role == "up":
            return self.true_height
        side: Role = "left" if role == "left" else "right"
        return self.setting.frame.eye.world_length(self.goal(side), self.side_shares[side])

    @property
    def shape(self) -> Mapping[str, float]:
        """Width, which is the right side, depth, which is the left one, and height."""
        return {"across": self.true_length("right"), "away": self.true_length("left"), "up": self.true_height}

    def of_shape(self, shape: Mapping[str, float]) -> Mapping[str, Value]:
        """Return the nearest edge and the sides, measured."""
        eye, up, height = self.setting.frame.eye, self.goal("up"), shape["up"]
        if not up.is_ideal:
            height = eye.page_share(up, height) * distance(self.values.first, up)
        there = type(self)(replace(self.values, held={**self.values.held, "height": height}), self.setting)
        result: dict[str, Value] = {"height": height}
        for role in ROLES:
            share = eye.page_share(self.goal(role), shape["away" if role == "left" else "across"])
            result |= {f"{role}_by": "measured", f"{role}_length": share * there.side_reach(role)}
        return result

    def keep_shape(self, after: Setting) -> Mapping[str, float]:
        """Return the page measures of the sides with which the block is as long as before, at the same place."""
        result, there = {}, type(self)(self.values, after)
        for role in ROLES:
            if self.values.word(f"{role}_by") == "measured":
                share = after.frame.eye.page_share(there.goal(role), self.true_length(role))
                result[f"{role}_length"] = share * there.side_reach(role)
        return result


def _fresh_side(setting: Setting, first: Point, role: Role, size: float) -> float:
    reach = distance(first, goal(setting, role))
    return max(setting.sheet.division_mm, round_to(min(size * 0.9, HALF_WAY * reach), setting.sheet.division_mm))


class CornerBox(OfBlock):
    """A box about its nearest edge."""

    moved_says = "Move the box"
    sentence: tuple[Clause, ...] = (
        Clause("Nearest edge {height} tall, {left} from the left edge and {bottom} up. "),
        *SIDE_CLAUSES,
        Clause("{look}."),
    )

    @cached_property
    def solid(self) -> Solid:
        """The box in the world of the frame's eye: its first corner lies in the picture plane."""
        start, vectors = self.axes
        aside = {
            "near": np.zeros(3),
            "left": vectors["left"],
            "right": vectors["right"],
            "far": vectors["left"] + vectors["right"],
        }
        rise = {self.first: np.zeros(3), self.second: vectors["up"]}
        places = [start + aside[c] + rise[level] for level in ("bottom", "top") for c in UPRIGHTS]
        runs = tuple(self.family(role) for role in ("left", "right", "up"))
        return Solid(_topology(runs, is_open=self.values.is_open), np.array(places))

    @cached_property
    def recipe(self) -> tuple[Move, ...]:
        """The hand's moves from the nearest edge to the back corner."""
        return tuple(body_moves(self) + back_moves(self, self._levels))

    @cached_property
    def faces(self) -> Mapping[str, Panel]:
        """The two sides, the top or the bottom where its edges are drawn, and where they are hidden."""
        levels = [level for level in ("bottom", "top") if not (self.values.is_open and level == "top")]
        levels.sort(key=lambda level: level not in self._levels)
        shown = {level: sides.level_panel(self, level) for level in levels}
        found = {
            **sides.side_panels(self),
            **{level: replace(panel, is_drawn=level in self._levels) for level, panel in shown.items()},
        }
        is_under = self.near_edge["bottom"].y < self.setting.frame.level_mm
        return {**found, "ground": shown["bottom"].ground} if is_under and not self.stands_on_another else found

    @cached_property
    def _levels(self) -> tuple[str, ...]:
        """The levels at which the back is drawn: those that show, and all of a box that is looked into."""
        both = self.values.is_see_through or self.values.is_open
        return tuple(level for level in ("bottom", "top") if both or self.shows(level))

    @cached_property
    def free_lines(self) -> tuple[Free, ...]:
        """The lines whose place is free, because a side is cut by eye: its end, and the back beyond it."""
        result = []
        for role in ROLES:
            if self.values.word(f"{role}_by") == "half":
                back = tuple(f"{level}.back_{other(role)}" for level in ("bottom", "top"))
                result.append(Free(self.family(role), frozenset((f"{role}.edge", *back))))
        return tuple(result)
