"""Where does the shadow of a table fall: that of its top, which lies apart from it, and those of its legs, up to that?

On the floor the shadow of the top is bounded by the shadows of the corners of its upper side, ``shade.2``, and of its
underside, ``under.0``; those over one foot lie on one line from it. The shadow of a leg is bounded by two lines from
its foot that end where they meet the shadow of the top.
"""

import itertools
from collections.abc import Iterator, Mapping, Sequence
from dataclasses import dataclass, replace
from typing import Literal

import numpy as np
import shapely
from propcache.api import cached_property

from orthopsis.core.plane.homogeneous import Point
from orthopsis.core.plane.polygon import signed_area
from orthopsis.core.plane.tolerance import SAME_SHARE
from orthopsis.core.sight.solid import Edge, Face, Solid, Topology
from orthopsis.core.things.answers import Spoken
from orthopsis.core.things.raised import foot_name, top_name
from orthopsis.core.things.shadow.ground import GroundShadow
from orthopsis.core.things.table.shape import ROUND, TableShape, leg_foot, slab_name
from orthopsis.core.view.eye import Array
from orthopsis.core.view.frame import Way
from orthopsis.core.wording.names import Feature

_SIDE = Feature("side")


@dataclass(frozen=True, slots=True)
class Shade:
    """The shadow of a corner over a foot: of the upper side of the top, ``shade``, or of its underside, ``under``."""

    of: Literal["shade", "under"]
    corner: int

    @property
    def name(self) -> str:
        """What it is called within the shadow."""
        return f"{self.of}.{self.corner}"

    @property
    def casts(self) -> str:
        """What the corner is called in the table."""
        return top_name(self.corner) if self.of == "shade" else slab_name(self.corner)


@dataclass(frozen=True, slots=True)
class LegSide:
    """A line that bounds the shadow of a leg.

    Attributes:
        leg, corner: from which corner of the foot of which leg.
        meets: which edge of the shadow of the top it meets, by its number; None where it begins within that.
        end: where, in the world.
    """

    leg: int
    corner: int
    meets: int | None
    end: Array

    def name(self, what: Literal["foot", "side", "end"]) -> str:
        """Return what it, or one of its ends, is called within the shadow."""
        return f"leg.{what}.{self.leg}.{self.corner}"


class TableShadowShape(GroundShadow):
    """The shadow of a table on the plane on which it stands."""

    @property
    def table(self) -> TableShape:
        """The table that casts it."""
        assert isinstance(self.host, TableShape)
        return self.host

    def _rising(self, name: str) -> Array:
        """Return the way up in the world from the first foot to a corner over it."""
        return np.asarray(self.table.world[name] - self.table.world[foot_name(0)])

    @cached_property
    def shades(self) -> Mapping[Shade, Array]:
        """Where the shadows of the corners of the top fall, in the world."""
        feet = np.array([self.table.world[foot_name(i)] for i in ROUND])
        upper, lower = self.cast(feet, self._rising(top_name(0))), self.cast(feet, self._rising(slab_name(0)))
        return {Shade("shade", i): upper[i] for i in ROUND} | {Shade("under", i): lower[i] for i in ROUND}

    @cached_property
    def page(self) -> Mapping[Shade, Point]:
        """Where they are on the page."""
        seen = self.setting.frame.eye.see(np.array(list(self.shades.values()))).tolist()
        return {shade: Point(x, y) for shade, (x, y) in zip(self.shades, seen, strict=True)}

    @cached_property
    def _axes(self) -> Array:
        """Two ways along the ground that are square to each other, as columns."""
        along = self.table.world[foot_name(1)] - self.table.world[foot_name(0)]
        across = np.cross(self._rising(top_name(0)), along)
        return np.column_stack((along / np.linalg.norm(along), across / np.linalg.norm(across)))

    @cached_property
    def outline(self) -> tuple[Shade, ...]:
        """The corners of the shadow of the top, round it: those of both sides of the top that lie outermost."""
        names = list(self.shades)
        numbers = _outermost(np.array([self.shades[name] for name in names]) @ self._axes)
        return tuple(names[number] for number in numbers)

    @property
    def pairs(self) -> tuple[tuple[Shade, Shade], ...]:
        """The corners between which an edge of the shadow of the top runs."""
        return tuple(itertools.pairwise((*self.outline, self.outline[0])))

    @property
    def by_rays(self) -> list[Shade]:
        """The corners of the outline that are found by their rays, those of the upper side first."""
        return sorted(filter(self._has_ray, self.outline), key=lambda shade: shade.of == "under")

    @property
    def by_edges(self) -> list[Shade]:
        """Those whose ray and the line from whose foot all but lie on each other: a light hangs or stands over them."""
        return [shade for shade in self.outline if not self._has_ray(shade)]

    def beside(self, shade: Shade) -> Shade | None:
        """Return the next corner of the same side of the top that is found by its ray; None where there is none."""
        near = (Shade(shade.of, (shade.corner + step) % 4) for step in (1, 3))
        return next(filter(self._has_ray, near), None)

    def _has_ray(self, shade: Shade) -> bool:
        page = self.table.page
        return self.crosses_well(page[foot_name(shade.corner)], page[shade.casts])

    @property
    def spoken(self) -> Mapping[str, Spoken]:
        """Also which way the edge to such a corner runs."""
        ways = [
            self.way_between(shade, beside) for shade in self.by_edges if (beside := self.beside(shade)) is not None
        ]
        return {**super().spoken, **({"carried_way": ways[0]} if ways else {})}

    @cached_property
    def legs(self) -> tuple[tuple[LegSide, LegSide], ...]:
        """The two lines that bound the shadow of each leg; of one that stands within the shadow of the top none."""
        flat = np.array([self.shades[shade] for shade in self.outline]) @ self._axes
        area, found = shapely.Polygon(flat), list[tuple[LegSide, LegSide]]()
        for leg in ROUND:
            feet = np.array([self.table.world[leg_foot(leg, i)] for i in ROUND])
            shades = self.cast(feet, self._rising(slab_name(0)))
            round_it = _outermost(np.vstack((feet, shades)) @ self._axes)
            pairs = zip(round_it, (*round_it[1:], round_it[0]), strict=True)
            ends = [(one, other) if one < 4 else (other, one) for one, other in pairs if (one < 4) != (other < 4)]
            sides = [self._side(LegSide(leg, i, None, feet[i]), shades[there - 4], area) for i, there in ends]
            if len(sides) == 2 and not all(side.meets is None for side in sides):
                found.append((sides[0], sides[1]))
        return tuple(found)

    def _side(self, side: LegSide, shade: Array, area: shapely.Polygon) -> LegSide:
        """Return the line from a corner of a foot to where it first meets the shadow of the top, if it lies outside."""
        start, way = side.end @ self._axes, (shade - side.end) @ self._axes
        if shapely.intersects(area, shapely.Point(start)):
            return side
        met = list[tuple[float, int]]()
        for number, (one, other) in enumerate(self.pairs):
            if one.of != other.of:
                continue  # this edge runs as the line itself does
            low, high = (self.shades[at] @ self._axes for at in (one, other))
            share, along = np.linalg.solve(np.column_stack((way, low - high)), low - start).tolist()
            if -SAME_SHARE <= along <= 1 + SAME_SHARE and share > 0:
                met.append((share, number))
        share, number = min(met, default=(1.0, -1))
        return side if number < 0 else replace(side, meets=number, end=side.end + share * (shade - side.end))

    def way_between(self, one: Shade, other: Shade) -> Way:
        """Return which way an edge of the shadow of the top runs."""
        if one.of != other.of:
            return self.setting.shadows
        return self.panel.along if {one.corner, other.corner} in ({0, 1}, {2, 3}) else self.panel.up

    def edge_name(self, number: int) -> str:
        """Return what an edge of the shadow of the top is called."""
        one, other = self.pairs[number]
        return f"edge.{one.name}.{other.name}"

    @cached_property
    def solid(self) -> Solid:
        """It in the world of the frame's eye: a face for the top, and one for each leg."""
        places = {shade.name: self.shades[shade] for shade in self.outline}
        edges = [
            Edge(self.edge_name(i), one.name, other.name, self.way_between(one, other).family, feature=_SIDE)
            for i, (one, other) in enumerate(self.pairs)
        ]
        loops = {"shadow": [shade.name for shade in self.outline]}
        for sides in self.legs:
            for side in sides:
                places[side.name("foot")] = self.table.world[leg_foot(side.leg, side.corner)]
                if side.meets is not None:
                    places[side.name("end")] = side.end
                    ends = side.name("foot"), side.name("end")
                    edges.append(Edge(side.name("side"), *ends, self.setting.shadows.family, feature=_SIDE))
            loops[f"leg.{sides[0].leg}"] = list(self._around(*sides))
        names = list(places)
        seen = self.setting.frame.eye.see(np.array(list(places.values()))).tolist()
        page = {name: Point(x, y) for name, (x, y) in zip(names, seen, strict=True)}
        faces = [_turned_up(name, loop, page) for name, loop in loops.items()]
        return Solid(Topology(tuple(names), tuple(faces), tuple(edges)), np.array(list(places.values())))

    def _around(self, one: LegSide, other: LegSide) -> Iterator[str]:
        """Yield the corners of the shadow of a leg: along the outline of that of the top it goes the shorter way."""
        yield one.name("foot")
        if one.meets is not None:
            yield one.name("end")
        if one.meets is not None and other.meets is not None:
            count, shades = len(self.outline), [shade.name for shade in self.outline]
            forward = [shades[(one.meets + 1 + i) % count] for i in range((other.meets - one.meets) % count)]
            backward = [shades[(one.meets - i) % count] for i in range((one.meets - other.meets) % count)]
            yield from min(forward, backward, key=len)
        if other.meets is not None:
            yield other.name("end")
        yield other.name("foot")


def _outermost(flat: Array) -> Sequence[int]:
    """Return the numbers of the places of a plane that are corners of the smallest area about all, round it."""
    corners = shapely.get_coordinates(shapely.convex_hull(shapely.multipoints(flat)))[:-1]
    return [int(np.linalg.norm(flat - corner, axis=1).argmin()) for corner in corners]


def _turned_up(name: str, loop: Sequence[str], page: Mapping[str, Point]) -> Face:
    """Return a face of the shadow whose corners run anticlockwise on the page."""
    is_turned = signed_area([page[corner] for corner in loop]) > 0
    return Face(name, tuple(loop if is_turned else reversed(loop)), "shadow")
