"""Where does the shadow of rails fall: high on the sleepers, and lower, so farther out, on the ground between them?

By a light beside the picture. The upper edge of a rail that bounds its shadow runs to the point, and so do both lines
on which its shadow ends: one at the height of the sleepers' tops, ``over``, one on the ground, ``between``. On the
front of a sleeper the shadow goes down along the ray from one to the other. Under a rail, between the sleepers, stones
are taken to fill the room: no light comes in there (common practice, no source).
"""

from collections.abc import Iterator, Mapping
from dataclasses import dataclass
from typing import Literal

import numpy as np
from propcache.api import cached_property

from orthopsis.core.construct.moves import Family
from orthopsis.core.errors import GeometryError
from orthopsis.core.light.tone import ON_WALL
from orthopsis.core.plane.homogeneous import Point, between, distance
from orthopsis.core.plane.polygon import signed_area
from orthopsis.core.plane.tolerance import SAME_POINT_MM
from orthopsis.core.sheet.length import format_limit
from orthopsis.core.sight.solid import Edge, Face, Solid, Topology
from orthopsis.core.things.answers import Free
from orthopsis.core.things.rails.shape import NEARLY_THERE_MM, SIDES, RailsShape
from orthopsis.core.things.shadow.ground import ShadowUpon
from orthopsis.core.view.eye import Array
from orthopsis.core.wording.names import Feature

Corner = Literal["over.near", "over.far", "low", "out", "end"]
Part = Literal["over", "front", "between"]


@dataclass(frozen=True, slots=True)
class Piece:
    """A piece of the edge of the shadow of one rail, from corner to corner, full names left out."""

    part: Part
    rail: str
    sleeper: int
    start: str
    end: str
    runs: Family

    @property
    def name(self) -> str:
        """What it is called within the shadow."""
        return f"{self.part}.{self.rail}.{self.sleeper}"


@dataclass(frozen=True, slots=True)
class Field:
    """What is filled of the shadow.

    Attributes:
        name: what it is called within the shadow; ``turned``: which way it faces, as its solid says.
        edge: the corners of the shadow's edge that bound it.
        rest: its other corners, in the world, by name, the other way round: no line ends there.
    """

    name: str
    turned: str
    edge: tuple[str, str]
    rest: Mapping[str, Array]

    @property
    def corners(self) -> list[str]:
        """All its corners, round it."""
        return [*self.edge, *reversed([*self.rest])]


def corner_name(corner: Corner, rail: str, sleeper: int) -> str:
    """Return what a corner of the shadow is called within it.

    ``over``: where its edge on a sleeper's top begins and ends; ``low``: at the foot of the sleeper's front; ``out``:
    where the edge on the ground comes out from behind the sleeper; ``end``: where it ends, at the point.
    """
    return f"{corner}.{rail}.{sleeper}"


class RailsShadowShape(ShadowUpon):
    """The shadow of two rails on sleepers and on the ground between."""

    @property
    def rails(self) -> RailsShape:
        """The rails that cast it."""
        assert isinstance(self.host, RailsShape)
        return self.host

    @property
    def falls_to(self) -> str:
        """The side to which shadows fall, which is also the upper edge of each rail that bounds its shadow."""
        return "right" if self.setting.light.side == "left" else "left"

    @cached_property
    def _ray(self) -> Array:
        """Which way light falls, in the world of the frame's eye.

        Raises:
            GeometryError: the light is not beside the picture.
        """
        light = self.setting.light
        if not light.is_beside:
            raise GeometryError(
                "rails_by_side_light",
                f"“{self.values.name}” cannot be found: the light is not beside the picture.",
                "Let it come from the left or from the right, or take this shadow away.",
                about="joined_to",
            )
        return light.falls(self.setting.frame)

    def _cast(self, start: Array, height: float) -> Array:
        """Return where the ray from a place comes down to a height, in the world."""
        ray = self._ray
        return np.asarray(start + (height - start[1]) / ray[1] * ray)

    @cached_property
    def begins(self) -> Mapping[tuple[str, str], Array]:
        """Where both lines of each rail's shadow begin, in the world: ``over`` and ``between``, and the rail's name.

        Raises:
            GeometryError: the shadow would reach the other rail, or beyond the sleepers.
        """
        rails, eye, found = self.rails, self.setting.frame.eye, dict[tuple[str, str], Array]()
        high, low = (float(eye.at(rails.begins[f"{line}_left"])[1]) for line in ("sleepers", "under"))
        for rail in SIDES:
            top = eye.at(rails.begins[f"rail_{rail}.{self.falls_to}"])
            found["over", rail], found["between", rail] = self._cast(top, high), self._cast(top, low)
        reach = abs(float(found["between", "left"][0] - eye.at(rails.begins[f"rail_left.{self.falls_to}"])[0]))
        values, sheet = rails.values, self.setting.sheet
        room = min(values.mm("gauge"), values.mm("out")) - sheet.division_mm
        if reach > room + SAME_POINT_MM:
            most = (values.mm("high") + values.mm("thick")) * room / reach - values.mm("thick")
            shown = format_limit(max(most, 0.0), sheet.units, sheet.division_mm, is_least=False)
            raise GeometryError(
                "rails_shadow_too_long",
                f"“{self.values.name}” would reach the other rail, or beyond the sleepers.",
                f"Let the rays be steeper, or the rails be at most {shown} high.",
                about="joined_to",
            )
        return found

    def _on(self, start: Array, share: float) -> Array:
        """Return the place in the world at a share of the way to the point from where a line begins."""
        eye, goal = self.setting.frame.eye, self.rails.goal
        return np.asarray(start + eye.ray(goal) * eye.world_length(goal, share))

    def _behind(self, start: Array, sleeper: int) -> Array:
        """Return where a line on the ground comes out from behind a sleeper: in the plane of the eye and its far edge.

        Raises:
            GeometryError: it does not before the next sleeper begins.
        """
        left, right = (self._on(self._edge(side), self.rails.marks[sleeper][1]) for side in SIDES)
        normal, ray = np.cross(left, right), self.setting.frame.eye.ray(self.rails.goal)
        at = np.asarray(start - (normal @ start) / (normal @ ray) * ray)
        following = self.rails.marks[sleeper + 1 : sleeper + 2]
        if following and at[2] >= self._on(start, following[0][0])[2]:
            raise GeometryError(
                "sleepers_hide_shadow",
                f"“{self.values.name}” cannot be drawn: the sleepers hide the ground between them.",
                "Make them thinner, or farther apart.",
                about="joined_to",
            )
        return at

    def _edge(self, side: str) -> Array:
        return self.setting.frame.eye.at(self.rails.begins[f"sleepers_{side}"])

    @cached_property
    def corners(self) -> Mapping[str, Array]:
        """The corners of the shadows in the world, by name."""
        found = dict[str, Array]()
        for rail in SIDES:
            over, ground = self.begins["over", rail], self.begins["between", rail]
            for i, (near, far) in enumerate(self.rails.marks):
                found[corner_name("over.near", rail, i)] = self._on(over, near)
                found[corner_name("over.far", rail, i)] = self._on(over, far)
                found[corner_name("low", rail, i)] = self._on(ground, near)
                found[corner_name("out", rail, i)] = self._behind(ground, i)
            page = self.setting.frame.eye.see(ground[None])[0]
            end = 1 - NEARLY_THERE_MM / distance(Point(*page.tolist()), self.rails.goal)
            found[corner_name("end", rail, self._last)] = self._on(ground, end)
        return found

    @property
    def _last(self) -> int:
        return len(self.rails.marks) - 1

    def pieces(self, rail: str, sleeper: int) -> Iterator[Piece]:
        """Yield the pieces of the edge about a sleeper: on the ground before it, down its front, over its top."""
        away, last = self.setting.frame.name, self._last

        def named(corner: Corner, number: int = sleeper) -> str:
            return corner_name(corner, rail, number)

        if sleeper:
            yield Piece("between", rail, sleeper, named("out", sleeper - 1), named("low"), away)
        yield Piece("front", rail, sleeper, named("over.near"), named("low"), "free")
        yield Piece("over", rail, sleeper, named("over.near"), named("over.far"), away)
        if sleeper == last:
            yield Piece("between", rail, last + 1, named("out"), named("end"), away)

    @property
    def _shown(self) -> Mapping[str, Point]:
        """Where on the page the line begins that bounds what is seen of each rail's shadow on the side of the rail.

        That is the foot of the rail where its shaded side is seen, else the upper edge, which hides that side.
        """
        rails, side, found = self.rails, self.falls_to, dict[str, Point]()
        for rail in SIDES:
            top = rails.begins[f"rail_{rail}.{side}"]
            is_seen = (rails.goal.x > top.x) == (side == "right")
            found[rail] = Point(top.x, self.rails.values.first.y) if is_seen else top
        return found

    def _beside(self, rail: str, levels: tuple[float, float], height: float) -> list[Array]:
        """Return where what is seen begins beside a rail, from one level of the page to another, on a level plane.

        The end of a rail hides what lies behind it up to its upper edge: up to there it begins at an upright.
        """
        start, eye, goal = self._shown[rail], self.setting.frame.eye, self.rails.goal
        low, high = levels
        found = []
        for level in (low, *([start.y] if low < start.y < high else []), high):
            at = (
                between(start, goal, (level - start.y) / (goal.y - start.y))
                if level > start.y
                else Point(start.x, level)
            )
            place = eye.at(at)
            found.append(np.asarray(place * (height / place[1])))
        return found

    def _fields(self, rail: str) -> Iterator[Field]:
        """Yield what is filled beside a rail: on the top and the front of each sleeper, and on the ground after it."""
        eye, corners = self.setting.frame.eye, self.corners
        high, low = (float(self.begins[line, rail][1]) for line in ("over", "between"))
        level = {name: float(eye.see(place[None])[0, 1]) for name, place in corners.items()}
        lit = {"left": "right", "right": "left"}[self.falls_to]
        outer = self.rails.begins[f"rail_{rail}.{lit}"]
        foot = eye.at(Point(outer.x, self.rails.values.first.y))
        for i, (near, _) in enumerate(self.rails.marks):
            over_near, over_far, at_low, out = (
                corner_name(corner, rail, i) for corner in ("over.near", "over.far", "low", "out")
            )
            sides = self._beside(rail, (level[over_near], level[over_far]), high)
            rest = {f"by.over.{rail}.{i}.{k}": at for k, at in enumerate(sides)}
            yield Field(f"over.{rail}.{i}", "shadow", (over_near, over_far), rest)
            rest = {
                f"lit.near.{rail}.{i}": self._on(foot, near),
                f"lit.low.{rail}.{i}": self._on(self._cast(foot, low), near),
            }
            yield Field(f"front.{rail}.{i}", ON_WALL, (over_near, at_low), rest)
            if i < self._last:
                following = corner_name("low", rail, i + 1)
                sides = self._beside(rail, (level[out], level[following]), low)
            else:
                following, sides = corner_name("end", rail, i), self._beside(rail, (level[out],) * 2, low)[:1]
            rest = {f"by.between.{rail}.{i}.{k}": at for k, at in enumerate(sides)}
            yield Field(f"between.{rail}.{i}", "shadow", (out, following), rest)

    @cached_property
    def solid(self) -> Solid:
        """It in the world of the frame's eye: on each sleeper's top and front, and on the ground between."""
        places, faces, edges = dict(self.corners), list[Face](), list[Edge]()
        eye = self.setting.frame.eye
        for rail in SIDES:
            for field in self._fields(rail):
                places |= field.rest
                page = eye.see(np.array([places[corner] for corner in field.corners])).tolist()
                is_turned = signed_area([Point(x, y) for x, y in page]) > 0
                loop = field.corners if is_turned else field.corners[::-1]
                faces.append(Face(field.name, tuple(loop), field.turned))
            for sleeper in range(self._last + 1):
                edges += [
                    Edge(piece.name, piece.start, piece.end, piece.runs, feature=Feature("side"))
                    for piece in self.pieces(rail, sleeper)
                ]
        topology = Topology(tuple(places), tuple(faces), tuple(edges), is_convex=False)
        return Solid(topology, np.array(list(places.values())))

    @cached_property
    def free_lines(self) -> tuple[Free, ...]:
        """What lies at the sleepers behind the first one, whose places are set by eye."""
        lines = [
            piece.name
            for rail in SIDES
            for sleeper in range(self._last + 1)
            for piece in self.pieces(rail, sleeper)
            if piece.sleeper
        ]
        return (Free(self.setting.frame.name, frozenset(lines)),)
