"""The shape of rectangles on a face: in the world for the view route, and on the page what of them shows."""

import itertools
from collections.abc import Mapping, Sequence
from dataclasses import dataclass
from functools import lru_cache

import numpy as np
from propcache.api import cached_property

from orthopsis.core.errors import GeometryError
from orthopsis.core.plane.homogeneous import Point, distance, toward
from orthopsis.core.plane.polygon import signed_area
from orthopsis.core.plane.tolerance import SAME_SHARE
from orthopsis.core.sheet.length import format_limit
from orthopsis.core.sight.solid import Edge, Face, Solid, Topology
from orthopsis.core.things.depth import FARTHEST_SHARE
from orthopsis.core.things.parameters import Value
from orthopsis.core.things.rectangles.layout import Layout, layout_of
from orthopsis.core.things.standing import Standing
from orthopsis.core.view.eye import Array

CORNERS = ("low_near", "low_far", "high_far", "high_near")
"""Round a rectangle: ``near`` and ``far`` from the first edge of the face."""
SIDES = ("low", "far", "high", "near")
"""The sides, each from the corner of the same number to the next."""


DEEPEST = 0.9
"""Nothing is sunk deeper than this share of the body (no source)."""


class RectangleShapes(Standing):
    """The shape of rectangles on a face."""

    @cached_property
    def layout(self) -> Layout:
        """Where they lie on the face.

        Raises:
            GeometryError: they are sunk in, and nothing would be left of the wall at the rim or between them; or they
            are not flat on a slope.
        """
        if not self.is_flat and self.panel.is_sloping:
            raise GeometryError(
                "no_way_out",
                f"“{self.values.name}” can only lie flat on the {self.panel.says}.",
                "Let it lie flat there, or choose another face.",
                about="relief",
                nearest="flat",
            )
        layout = layout_of(self.values, self._marks)
        if self.is_sunk:
            # A door may reach the ground.
            self._check_wall("along", "wide", layout.along, 0.0)
            self._check_wall("up", "tall", layout.up, -1.0 if self.panel.around[0] == "bottom" else 0.0)
        return layout

    def _check_wall(self, part: str, size: str, taken: Sequence[tuple[float, float]], begin: float) -> None:
        """Refuse what would leave nothing of the wall, along or up."""
        why = ""
        if not (begin < taken[0][0] - SAME_SHARE and taken[-1][1] + SAME_SHARE < 1.0):
            why, fix = f"through the edge of the {self.panel.says}", "Leave some of the face free there."
            about, nearest = part, "1:6:1"
        elif any(after[0] - before[1] <= SAME_SHARE for before, after in itertools.pairwise(taken)):
            why, fix = "into each other", "Make each less than the whole of its part."
            about, nearest = size, "three quarters"
        if why:
            text = f"“{self.values.name}” would be sunk {why}."
            raise GeometryError("no_wall_left", text, fix, about=about, nearest=nearest)

    @property
    def _marks(self) -> tuple[float, float]:
        """How many marks of the ruler the face is long, along and up, where it is measured on its first edge or true.

        Places along a face that goes away are found by ticks on its first edge too.
        """
        panel, division = self.panel, self.setting.sheet.division_mm
        if not panel.up.goal.is_ideal:
            return (0.0, 0.0)
        up = panel.first_mm / division
        return (panel.bottom_mm / division if panel.is_true else up, up)

    @property
    def is_flat(self) -> bool:
        """Whether they lie flat on the face."""
        return self.values.word("relief") == "flat"

    @property
    def is_sunk(self) -> bool:
        """Whether they are sunk into the face; else they stand out of it, or lie flat."""
        return self.values.word("relief") == "in"

    @property
    def may_be_thin(self) -> bool:
        """The thickness of a wall, a frame or a step is thin."""
        return True

    @property
    def is_see_through(self) -> bool:
        """Whether what bears them is see-through."""
        return self.host.is_see_through

    @staticmethod
    def part(number: int) -> str:
        """Return what a rectangle is called, by its number from 0."""
        return f"Number {number + 1}"

    @cached_property
    def page(self) -> tuple[tuple[Point, ...], ...]:
        """The corners of each on the page, where they lie on the face."""
        shares = [corner for corners in self.layout.rectangles for corner in corners]
        seen = [Point(x, y) for x, y in self.setting.frame.eye.see(self.panel.places(shares)).tolist()]
        return tuple(tuple(seen[i : i + 4]) for i in range(0, len(seen), 4))

    @cached_property
    def solid(self) -> Solid:
        """The rectangles in the world of the frame's eye; flat ones are lines on the face of the other thing."""
        shares = [corner for corners in self.layout.rectangles for corner in corners]
        flat, count = self.panel.places(shares), len(self.layout.rectangles)
        families = (self.panel.along.family, self.panel.up.family)
        if self.is_flat:
            return Solid(_flat(count, families), flat)
        places = np.stack((flat, flat + self.carried), axis=1).reshape(-1, 3)
        low, far, high, near = self.panel.around
        turned = (self.panel.turned, *((high, near, low, far) if self.is_sunk else (low, far, high, near)))
        kind = _Kind(families, self.panel.out.family, turned, self._is_mirrored, self.is_sunk)
        return Solid(_blocks(count, kind), places)

    @cached_property
    def way(self) -> Array:
        """The world direction in which they are carried, length 1: out of the face or into it."""
        assert self.panel.outward is not None
        return np.array(self.panel.outward) * (-1 if self.is_sunk else 1)

    @cached_property
    def carried(self) -> Array:
        """The way by which they stand out or are sunk, in the world, mm.

        It is measured on the page from the first corner of the first one, toward the point to which the direction runs
        or away from it: a share s of the way to a point is the length s / (1 - s) in depths of its start (from memory).

        Raises:
            GeometryError: it is longer than the way to the point, or they would be sunk through the body.
        """
        eye, deep, goal, way = self.setting.frame.eye, self.values.mm("deep"), self.panel.out.goal, self.way
        start = self.panel.places([self.layout.rectangles[0][0]])[0]
        if goal.is_ideal:
            length = deep * start[2] / eye.distance_mm
        else:
            x, y = eye.see(start[None])[0].tolist()
            reach = distance(Point(x, y), goal)
            if self.leads_away and deep > FARTHEST_SHARE * reach:
                raise self._too_deep(FARTHEST_SHARE * reach)
            share = deep / reach if self.leads_away else -deep / reach
            length = share / (1 - share) * start[2] / way[2]
        back = self.panel.back
        room = float(np.linalg.norm(back.vector)) if back is not None else np.inf
        if self.is_sunk and length >= room:
            raise self._too_deep(deep * DEEPEST * room / length)
        return np.asarray(way * length)

    @property
    def shape(self) -> Mapping[str, float]:
        """How far they stand out or are sunk in; nothing where they lie flat."""
        return {} if self.is_flat else {"out": float(np.linalg.norm(self.carried))}

    def of_shape(self, shape: Mapping[str, float]) -> Mapping[str, Value]:
        """Return how deep they are on the page; see ``carried``."""
        if self.is_flat:
            return {}
        eye, goal = self.setting.frame.eye, self.panel.out.goal
        start = self.panel.places([self.layout.rectangles[0][0]])[0]
        if goal.is_ideal:
            return {"deep": shape["out"] * eye.distance_mm / start[2]}
        times = shape["out"] * self.way[2] / start[2]
        x, y = eye.see(start[None])[0].tolist()
        return {"deep": abs(times / (1 + times)) * distance(Point(x, y), goal)}

    def _too_deep(self, longest_mm: float) -> GeometryError:
        sheet = self.setting.sheet
        most = format_limit(max(longest_mm, sheet.division_mm), sheet.units, sheet.division_mm, is_least=False)
        return GeometryError(
            "too_deep",
            f"“{self.values.name}” would be deeper than there is room.",
            f"The most that works is about {most}.",
            about="deep",
            nearest=most,
        )

    @property
    def leads_away(self) -> bool:
        """Whether they are carried toward the point of their direction, and not away from it toward the viewer."""
        return bool(self.way[2] > 0)

    @cached_property
    def holes(self) -> Mapping[str, tuple[Array, ...]]:
        """What is cut out of faces of the other thing: by the face, the corners of each hole in the world, (4, 3)."""
        if not self.is_sunk:
            return {}
        return {self.panel.face: tuple(self.panel.places(corners) for corners in self.layout.rectangles)}

    @property
    def sign(self) -> int:
        """Which way it is measured on the page: 1 toward the point, to the right or up, -1 the other way."""
        if not self.panel.out.goal.is_ideal:
            return 1 if self.leads_away else -1
        x, y, _ = self.way
        return 1 if x + y > 0 else -1

    @cached_property
    def first_out(self) -> Point:
        """Where the first corner of the first front lies on the page."""
        start, goal = self.page[0][0], self.panel.out.goal
        return toward(start, goal, self.sign * self.values.mm("deep"))

    def front_on_page(self, number: int) -> list[Point]:
        """Return the corners of a front on the page."""
        shares = self.layout.rectangles[number]
        seen = self.setting.frame.eye.see(self.panel.places(shares) + self.carried)
        return [Point(x, y) for x, y in seen.tolist()]

    def edge_mm(self, number: int, corner: int) -> float:
        """Return how long the edge is on the wall that leads to a corner, to the right or up, else negative, mm.

        It is the lower edge for the far corner, the first one for the upper one, the upper one for the last.
        """
        start, end = self.page[number][{1: 0, 3: 0, 2: 3}[corner]], self.page[number][corner]
        return distance(start, end) * (1 if end.x - start.x + end.y - start.y > 0 else -1)

    @property
    def _is_mirrored(self) -> bool:
        """Whether the corners run clockwise as seen from outside."""
        along, up = (np.array(axis) for axis in self.panel.axes)
        assert self.panel.outward is not None
        # The eye's world is left-handed: z leads away from the viewer.
        return bool(np.cross(along, up) @ np.array(self.panel.outward) > 0)

    def shown_sides(self, front: Sequence[Point], wall: Sequence[Point]) -> tuple[int, ...]:
        """Return which sides of one show: those whose corners run round as the eye sees outer faces."""
        turn = -1 if self._is_mirrored else 1
        sides = ((front[(i + 1) % 4], front[i], wall[i], wall[(i + 1) % 4]) for i in range(4))
        return tuple(i for i, side in enumerate(sides) if turn * signed_area(side) > 0)


@lru_cache(maxsize=256)
def _flat(count: int, families: tuple[str, str]) -> Topology:
    parts = [RectangleShapes.part(k) for k in range(count)]
    names = tuple(f"{part}.{corner}" for part in parts for corner in CORNERS)
    return Topology(names, (), tuple(edge for part in parts for edge in _around(part, "", families)))


def _around(part: str, end: str, families: tuple[str, str]) -> list[Edge]:
    """Return the four edges of a rectangle; ``end`` tells its front from where it meets the face."""
    corners = [f"{part}.{end}{corner}" for corner in CORNERS]
    return [
        Edge(f"{part}.{end}{side}", corners[i], corners[(i + 1) % 4], families[i % 2]) for i, side in enumerate(SIDES)
    ]


@dataclass(frozen=True, slots=True)
class _Kind:
    """How rectangles with depth are built: their directions, how their faces are turned, which way round they run."""

    families: tuple[str, str]
    out: str
    turned: tuple[str, ...]
    is_mirrored: bool
    is_sunk: bool


@lru_cache(maxsize=256)
def _blocks(count: int, kind: _Kind) -> Topology:
    names, faces, edges = list[str](), list[Face](), list[Edge]()
    for part in (RectangleShapes.part(k) for k in range(count)):
        wall, front = ([f"{part}.{end}{corner}" for corner in CORNERS] for end in ("", "front."))
        names += [name for pair in zip(wall, front, strict=True) for name in pair]
        mine = [Face(f"{part}.front", tuple(front), kind.turned[0])]
        if not kind.is_sunk:
            mine.append(Face(f"{part}.wall", tuple(wall[::-1]), "back"))
        for i, side in enumerate(SIDES):
            j = (i + 1) % 4
            mine.append(Face(f"{part}.{side}", (front[j], front[i], wall[i], wall[j]), kind.turned[i + 1]))
        faces += [Face(f.name, f.corners[::-1], f.turned) for f in mine] if kind.is_mirrored else mine
        edges += _around(part, "", kind.families) + _around(part, "front.", kind.families)
        edges += [Edge(f"{part}.depth.{c}", w, f, kind.out) for c, w, f in zip(CORNERS, wall, front, strict=True)]
    return Topology(tuple(names), tuple(faces), tuple(edges))
