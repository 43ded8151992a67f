"""The shape of rectangles on a face: in the world for the view route, and on the page what of them shows."""

from collections.abc import Sequence
from functools import lru_cache

import numpy as np
from propcache.api import cached_property

from orthopsis.core.plane.homogeneous import Point, distance, toward
from orthopsis.core.plane.polygon import signed_area
from orthopsis.core.sight.solid import Edge, Face, Solid, Topology
from orthopsis.core.things.rectangles.layout import Layout, layout_of
from orthopsis.core.things.standing import Standing
from orthopsis.core.view.eye import Array

CORNERS = ("low_near", "low_far", "high_far", "high_near")
"""Round a rectangle: ``near`` and ``far`` from the first edge of the face."""
SIDES = ("low", "far", "high", "near")
"""The sides, each from the corner of the same number to the next."""


class RectangleShapes(Standing):
    """The shape of rectangles on a face."""

    @cached_property
    def layout(self) -> Layout:
        """Where they lie on the face."""
        return layout_of(self.values, self._marks)

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
    def stands_out(self) -> bool:
        """Whether they stand out of the face."""
        return self.values.word("relief") == "out"

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
        if not self.stands_out:
            return Solid(_flat(count, families), flat)
        places = np.stack((flat, flat + self.outward), axis=1).reshape(-1, 3)
        turned = (self.panel.turned, *self.panel.around)
        topology = _blocks(count, families, self.panel.out.family, turned, is_mirrored=self._is_mirrored)
        return Solid(topology, places)

    @cached_property
    def outward(self) -> Array:
        """The way by which they stand out, in the world, mm.

        It is measured on the page from the first corner of the first one, away from the point to which the direction
        runs: a share s of the way to a point is the length s / (1 - s) in depths of its start (from memory).
        """
        eye, deep, goal = self.setting.frame.eye, self.values.mm("deep"), self.panel.out.goal
        assert self.panel.outward is not None
        way = np.array(self.panel.outward)
        start = self.panel.places([self.layout.rectangles[0][0]])[0]
        if goal.is_ideal:
            return np.asarray(way * deep * start[2] / eye.distance_mm)
        x, y = eye.see(start[None])[0].tolist()
        reach = distance(Point(x, y), goal)
        share = deep / reach if self.leads_away else -deep / reach
        return np.asarray(way * (share / (1 - share) * start[2] / way[2]))

    @property
    def leads_away(self) -> bool:
        """Whether outward leads toward the point of its direction, and not away from it toward the viewer."""
        assert self.panel.outward is not None
        return self.panel.outward[2] > 0

    @property
    def sign(self) -> int:
        """Which way it is measured on the page: 1 toward the point, to the right or up, -1 the other way."""
        assert self.panel.outward is not None
        if not self.panel.out.goal.is_ideal:
            return 1 if self.leads_away else -1
        x, y, _ = self.panel.outward
        return 1 if x + y > 0 else -1

    @cached_property
    def first_out(self) -> Point:
        """Where the first corner of the first front lies on the page."""
        start, goal = self.page[0][0], self.panel.out.goal
        return toward(start, goal, self.sign * self.values.mm("deep"))

    def front_on_page(self, number: int) -> list[Point]:
        """Return the corners of a front on the page."""
        shares = self.layout.rectangles[number]
        seen = self.setting.frame.eye.see(self.panel.places(shares) + self.outward)
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
        """Return which sides of one that stands out show: those whose corners run round as the eye sees outer faces."""
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


@lru_cache(maxsize=256)
def _blocks(count: int, families: tuple[str, str], out: str, turned: tuple[str, ...], *, is_mirrored: bool) -> Topology:
    names, faces, edges = list[str](), list[Face](), list[Edge]()
    for part in (RectangleShapes.part(k) for k in range(count)):
        wall, front = ([f"{part}.{end}{corner}" for corner in CORNERS] for end in ("", "front."))
        names += [name for pair in zip(wall, front, strict=True) for name in pair]
        mine = [Face(f"{part}.front", tuple(front), turned[0]), Face(f"{part}.wall", tuple(wall[::-1]), "back")]
        for i, side in enumerate(SIDES):
            j = (i + 1) % 4
            mine.append(Face(f"{part}.{side}", (front[j], front[i], wall[i], wall[j]), turned[i + 1]))
        faces += [Face(f.name, f.corners[::-1], f.turned) for f in mine] if is_mirrored else mine
        edges += _around(part, "", families) + _around(part, "front.", families)
        edges += [Edge(f"{part}.depth.{c}", w, f, out) for c, w, f in zip(CORNERS, wall, front, strict=True)]
    return Topology(tuple(names), tuple(faces), tuple(edges))
