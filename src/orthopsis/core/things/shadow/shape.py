"""Where does the shadow of a block fall on the ground, and which of its corners bound what is seen of it?

Corners are those of the block's foot, 0 to 3 round it as those of a face; ``shade.2`` is where the shadow of the top
over foot 2 falls. The top runs as the foot does, so in truth its shadow is the foot, moved along the ground.
"""

import itertools
from collections.abc import Iterator, Mapping, Sequence
from dataclasses import dataclass

import numpy as np
import shapely
from propcache.api import cached_property

from orthopsis.core.construct.panel import Back
from orthopsis.core.light.tone import ON_WALL
from orthopsis.core.plane.homogeneous import Point
from orthopsis.core.plane.polygon import signed_area
from orthopsis.core.sight.solid import Edge, Face, Solid, Topology
from orthopsis.core.things.answers import Spoken
from orthopsis.core.things.shadow.ground import GroundShadow
from orthopsis.core.things.shadow.outline import Climb, Vertex, cast_of, climb_of, outline_of
from orthopsis.core.view.eye import Array
from orthopsis.core.view.frame import Way
from orthopsis.core.wording.names import Feature

CORNERS: Sequence[tuple[int, int]] = ((0, 0), (1, 0), (1, 1), (0, 1))
"""The corners of the foot as shares of it, along and up."""
SAME_LINE_MM = 1e-6
SAME_ANGLE = 1e-9


@dataclass(frozen=True, slots=True)
class Upright:
    """An upright of the block: full names of its ends, and where its foot and its top are on the page."""

    foot: str
    top: str
    at_foot: Point
    at_top: Point


def shade_name(corner: int) -> str:
    """Return what the shadow of the top over a corner of the foot is called."""
    return f"shade.{corner}"


def foot_name(corner: int) -> str:
    """Return what a corner of the block's foot is called within its shadow."""
    return f"foot.{corner}"


def edge_name(corner: int, other: int) -> str:
    """Return what the edge between the shadows of two tops is called."""
    return f"edge.{min(corner, other)}.{max(corner, other)}"


def wall_edge_name(corner: int, other: int) -> str:
    """Return what that edge, or its part, is called on a wall."""
    return f"wall.{min(corner, other)}.{max(corner, other)}"


class ShadowShape(GroundShadow):
    """The shadow of a block on the plane of its foot."""

    @property
    def back(self) -> Back:
        """Where the block ends over its foot."""
        assert self.panel.back is not None
        return self.panel.back

    @cached_property
    def uprights(self) -> tuple[Upright, ...]:
        """The four uprights of the block, round its foot."""
        panel, back = self.panel, self.back
        feet = (panel.low, panel.far_low, panel.far_high, panel.high)
        tops = (back.low, back.far_low, back.far_high, back.high)
        return tuple(Upright(*ends) for ends in zip(feet, tops, panel.page, back.page, strict=True))

    @cached_property
    def feet(self) -> Array:
        """The corners of the foot in the world, shape (4, 3)."""
        return self.panel.places(CORNERS)

    @property
    def up(self) -> Array:
        """From a foot to the top over it, in the world, mm."""
        return np.array(self.back.vector)

    @cached_property
    def shades(self) -> Array:
        """The shadows of the tops in the world, shape (4, 3)."""
        return self.cast(self.feet, self.up)

    @cached_property
    def page(self) -> tuple[Point, ...]:
        """Where the shadows of the tops are on the page."""
        return tuple(Point(x, y) for x, y in self.setting.frame.eye.see(self.shades).tolist())

    @cached_property
    def chain(self) -> tuple[int, ...]:
        """The corners whose shadows bound it on the ground: from one that lies farthest aside of its way to the other.

        Between them is at most one, beyond the line that joins them.
        """
        if self.setting.light.is_lamp:
            return self._by_lamp[0]
        moved = self.shades[0] - self.feet[0]
        ahead = moved / np.linalg.norm(moved)
        aside = np.cross(self.up, ahead)
        aside /= np.linalg.norm(aside)
        far, wide = self.feet @ ahead, self.feet @ aside
        ends = [
            max(
                (i for i in range(4) if abs(wide[i] - extreme) <= SAME_LINE_MM * (1 + abs(extreme))),
                key=lambda i: far[i],
            )
            for extreme in (wide.max(), wide.min())
        ]
        first, last = ends
        between = [
            i
            for i in range(4)
            if i not in ends
            and (wide[first] - wide[i]) > SAME_LINE_MM
            and (wide[i] - wide[last]) > SAME_LINE_MM
            and _beyond(far, wide, i, first, last)
        ]
        return (first, *between, last)

    @cached_property
    def _by_lamp(self) -> tuple[tuple[int, ...], bool]:
        """Those corners, seen from the place under a lamp, and whether that lies within the foot of the block."""
        normal = self.up / np.linalg.norm(self.up)
        under, _ = self.setting.light.hangs(self.setting.frame, self.feet[0], normal)
        along = self.feet[1] - self.feet[0]
        axes = np.column_stack((along, np.cross(normal, along))) / np.linalg.norm(along)
        foot, at = self.feet @ axes, under @ axes
        if shapely.Polygon(foot).buffer(SAME_LINE_MM).contains(shapely.Point(at)):
            return (0, 1, 2, 3), True
        ahead = foot.mean(axis=0) - at
        seen = (foot - at) @ np.column_stack((ahead, (-ahead[1], ahead[0])))
        angle = np.arctan2(seen[:, 1], seen[:, 0])
        order = sorted(range(4), key=lambda i: -angle[i])
        first, last = (self._farther(order[:2], angle, seen), self._farther(order[:1:-1], angle, seen))
        line = seen[last] - seen[first]
        reach = (seen - seen[first]) @ np.array((-line[1], line[0]))
        is_under = float((-seen[first]) @ np.array((-line[1], line[0])))
        return (first, *(i for i in order if i not in (first, last) and reach[i] * is_under < 0), last), False

    @staticmethod
    def _farther(pair: Sequence[int], angle: Array, seen: Array) -> int:
        """Return the first of two corners, or the farther one where both are seen in one line."""
        one, two = pair
        is_line = abs(angle[one] - angle[two]) <= SAME_ANGLE
        return max(pair, key=lambda i: float(np.linalg.norm(seen[i]))) if is_line else one

    @property
    def pairs(self) -> tuple[tuple[int, int], ...]:
        """The corners between whose shadows an edge of it runs."""
        return (*itertools.pairwise(self.chain), *([(self.chain[-1], self.chain[0])] if self.is_around else []))

    @property
    def end_feet(self) -> tuple[int, int]:
        """The corners of the foot from which its outline leads to the shadows at its two ends."""
        return self.chain[0], self.chain[-1]

    @property
    def is_around(self) -> bool:
        """Whether it lies about the foot on all sides: the lamp hangs over the block."""
        return self.setting.light.is_lamp and self._by_lamp[1]

    def way_between(self, corner: int, other: int) -> Way:
        """Return which way the edge of the foot between two corners that follow each other runs."""
        return self.panel.along if {corner, other} in ({0, 1}, {2, 3}) else self.panel.up

    def has_top(self, corner: int) -> bool:
        """Tell whether the upper end of an upright is there, and its ray crosses the line from its foot well."""
        upright = self.uprights[corner]
        return upright.top in self.anchor.made and self.crosses_well(upright.at_foot, upright.at_top)

    @cached_property
    def climb(self) -> Climb | None:
        """How it goes up the wall of the room in which the block stands; None where it reaches none, or two."""
        floor = self.host.setting.panel
        if floor is None or not floor.is_floor or self.is_around:
            return None
        walls = [panel for panel in self.host.host.faces.values() if panel.is_wall]
        return climb_of(walls, self.feet, self.up, self.shades, self.pairs)

    @cached_property
    def solid(self) -> Solid:
        """It in the world of the frame's eye: a face on the ground, and where it climbs a wall one on that."""
        climb = self.climb
        if self.is_around:
            outline = [Vertex("shade", (i,)) for i in self.chain]
        else:
            outline = outline_of(self.chain, self.end_feet, climb)
        places = np.array([self._place(vertex) for vertex in outline])
        seen = {v: Point(x, y) for v, (x, y) in zip(outline, self.setting.frame.eye.see(places).tolist(), strict=True)}
        parts = [("shadow", [v for v in outline if v.is_on_floor])]
        if climb is not None:
            parts.append((ON_WALL, [v for v in outline if v.is_on_wall]))
        faces = []
        for name, loop in parts:
            names = [vertex.name for vertex in loop]
            is_turned = signed_area([seen[vertex] for vertex in loop]) > 0
            faces.append(Face(name, tuple(names if is_turned else names[::-1]), name))
        corners = tuple(vertex.name for vertex in outline)
        return Solid(Topology(corners, tuple(faces), self.edges, is_convex=climb is None), places)

    def _place(self, vertex: Vertex) -> Array:
        """Return where a corner of the outline is in the world."""
        if self.climb is not None and vertex in self.climb.places:
            return self.climb.places[vertex]
        (corner,) = vertex.corners
        return np.asarray((self.feet if vertex.kind == "foot" else self.shades)[corner])

    @cached_property
    def edges(self) -> tuple[Edge, ...]:
        """Its edges: from the feet, up a wall, and between the shadows of the tops."""
        ends = () if self.is_around else zip((self.chain[0], self.chain[-1]), self.end_feet, strict=True)
        found = [edge for corner, foot in ends for edge in self._from_foot(corner, foot)]
        for pair in self.pairs:
            found += self._far_edges(pair)
        return tuple(found)

    def _from_foot(self, corner: int, at: int) -> Iterator[Edge]:
        foot, shade = foot_name(at), cast_of(corner, self.climb)
        if shade.is_on_wall:
            base, up = Vertex("base", (corner,)).name, self.setting.frame.way("up").family
            if not self._is_at_wall(corner):
                yield Edge(f"from.{corner}", base, foot, self.setting.shadows.family, feature=Feature("side"))
            yield Edge(f"up.{corner}", base, shade.name, up, feature=Feature("side"))
        else:
            yield Edge(f"from.{corner}", shade.name, foot, self.setting.shadows.family, feature=Feature("side"))

    def _is_at_wall(self, corner: int) -> bool:
        """Tell whether a foot stands at the wall itself, so that nothing of its shadow lies on the ground."""
        assert self.climb is not None
        at, foot = self.climb.places[Vertex("base", (corner,))], self.feet[corner]
        return float(np.linalg.norm(at - foot)) <= SAME_LINE_MM * (1 + float(np.linalg.norm(foot)))

    def _far_edges(self, pair: tuple[int, int]) -> Iterator[Edge]:
        """Yield the edge between the shadows of two tops; where it bends at the foot of a wall, its two parts."""
        one, two = (cast_of(corner, self.climb) for corner in pair)
        family = self.way_between(*pair).family
        way = {True: family if self.climb and family == self.climb.wall.along.family else "free", False: family}
        if one.is_on_wall == two.is_on_wall:
            parts = [(one, two)]
        else:
            bend = Vertex("bend", pair)
            parts = [(one, bend), (bend, two)]
        for start, end in parts:
            is_up = start.kind == "on_wall" or end.kind == "on_wall"
            name = (wall_edge_name if is_up else edge_name)(*pair)
            yield Edge(name, start.name, end.name, way[is_up], feature=Feature("side"))

    @property
    def carried_ways(self) -> list[Way]:
        """Which way the edges run that lead to the shadows of hidden tops."""
        return [self.way_between(*pair) for pair in self.pairs if not all(map(self.has_top, pair))]

    @property
    def spoken(self) -> Mapping[str, Spoken]:
        """Also which way the edge to a hidden top's shadow runs."""
        ways = self.carried_ways
        wall = {"wall": self.climb.wall.says} if self.climb is not None else {}
        return {**super().spoken, **({"carried_way": ways[0]} if ways else {}), **wall}


def _beyond(far: Array, wide: Array, i: int, first: int, last: int) -> bool:
    """Tell whether a corner lies beyond the line that joins two others, along the way of the shadow."""
    share = (wide[i] - wide[first]) / (wide[last] - wide[first])
    return bool(far[i] > far[first] + share * (far[last] - far[first]) + SAME_LINE_MM)
