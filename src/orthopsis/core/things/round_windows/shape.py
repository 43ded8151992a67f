"""Where do windows lie on a round wall, and which corners and edges have they there?

The wall is half of a circle that touches a flat wall along its middle. Places are shares of that flat one: ``across``
it, and ``along`` the axis of the round one. A place goes straight back from it onto the circle.
"""

import math
from collections.abc import Iterator, Mapping
from itertools import pairwise

import numpy as np
from propcache.api import cached_property

from orthopsis.core.construct.panel import RoundWall
from orthopsis.core.errors import GeometryError
from orthopsis.core.plane.arc import SAME_ANGLE_RAD, Arc, FacePlace
from orthopsis.core.plane.homogeneous import Point, join, offset
from orthopsis.core.plane.tolerance import SAME_SHARE
from orthopsis.core.sight.solid import Edge, Solid, Topology
from orthopsis.core.things.answers import Spoken
from orthopsis.core.things.face_part import OnFacePart
from orthopsis.core.things.rectangles.forms import CORNERS, SIDES
from orthopsis.core.things.rectangles.layout import Corners, Layout, layout_of
from orthopsis.core.things.rectangles.solid import part_name
from orthopsis.core.view.eye import Array
from orthopsis.core.wording.names import Feature

HALVES = (
    Arc(Point(0.5, 0.0), Point(0.0, 0.0), Point(0.0, 0.5), Point(0.5, 0.5)),
    Arc(Point(0.5, 0.0), Point(1.0, 0.0), Point(1.0, 0.5), Point(0.5, 0.5)),
)
"""The two quarters behind the flat wall, from its middle on: across it, and how deep behind it."""
WIDEST_RAD = math.radians(75)
"""A window that goes farther round on either side of its own middle would go about half round the wall."""


def depth(across: float) -> float:
    """Return how deep behind the flat wall the round one is, as a share of its width."""
    return 0.5 - math.sqrt(max(0.25 - (across - 0.5) ** 2, 0.0))


class RoundWindowShapes(OnFacePart):
    """Windows on a round wall."""

    @property
    def wall(self) -> RoundWall:
        """The round wall on which they lie."""
        assert self.panel.round_wall is not None
        return self.panel.round_wall

    def on_flat(self, across: float, along: float) -> FacePlace:
        """Return the place on the flat wall, as that counts, from how far across and along the axis it is."""
        return (along, across) if self.wall.is_along else (across, along)

    def across_along(self, corner: FacePlace) -> tuple[float, float]:
        """Return how far across the wall and along its axis a place of the flat wall is."""
        return (corner[1], corner[0]) if self.wall.is_along else corner

    @property
    def spoken(self) -> Mapping[str, Spoken]:
        """Where its circles are, and how its axis is found."""
        is_along, rows = self.wall.is_along, len(self._taken_along)
        is_alone = len(self.windows) == 1
        windows = "window" if is_alone else "windows"
        several = f"{'first' if is_along else 'lowest'} {windows}" if rows > 1 else windows
        others = "far ends" if is_along else "top"
        axis = "from the middle of the circle at its foot to that at its top"
        if self.wall.marks:
            axis = "draw the diagonals of the block's front, and from where they cross a line to the point"
        return {
            "first_level": f"{'near ends' if is_along else 'foot'} of the {several}",
            "other_levels": "other edges" if rows > 1 else others,
            "axis_way": axis,
            "out_way": self.panel.out,
            "windows": windows,
            "first_one": "the window" if is_alone else "the first window",
            "each_one": "the window" if is_alone else "each window",
        }

    @cached_property
    def layout(self) -> Layout:
        """Where they lie on the flat wall.

        Raises:
            GeometryError: one would go half round the wall, or a circle would be seen as a mere line.
        """
        layout = layout_of(self.values, self.ruler)
        name, taken = ("up", layout.up) if self.wall.is_along else ("along", layout.along)
        for start, end in taken:
            first, last = (HALVES[1].angle_of(Point(at, depth(at))) for at in (start, end))
            if abs((first - last + math.pi) % math.tau - math.pi) / 2 > WIDEST_RAD:
                raise GeometryError(
                    "goes_half_round",
                    f"A window of “{self.values.name}” would go half round the wall: nobody sees all of it.",
                    "Make it narrower, or leave more of the wall free.",
                    about=name,
                    nearest="1:6:1",
                )
        return layout

    @property
    def _taken_along(self) -> tuple[tuple[float, float], ...]:
        """From where to where along the axis their rows lie."""
        return self.layout.along if self.wall.is_along else self.layout.up

    @cached_property
    def levels(self) -> tuple[float, ...]:
        """How far along the axis their circles are, in order.

        Raises:
            GeometryError: one of them is seen as a mere line.
        """
        found, least = list[float](), self.setting.sheet.division_mm / 2
        for along in (share for part in self._taken_along for share in part):
            # Where each is as long as its part, two of them share a circle.
            if found and along - found[-1] <= SAME_SHARE:
                continue
            found.append(along)
            ends = [self.on_flat(across, along) for across in (0.0, 1.0)]
            world = self.panel.places(ends)
            low, high, deep = self._seen(np.vstack((world, world[:1] + np.array(self.wall.back) / 2)))
            if abs(offset(deep, join(low, high))) < least:
                raise GeometryError(
                    "circle_edge_on",
                    f"“{self.values.name}” would have an edge that is seen as a mere line.",
                    "Move them a little along the wall, or give them another height.",
                    about="along" if self.wall.is_along else "up",
                    nearest="1:2:1",
                )
        return tuple(found)

    @cached_property
    def windows(self) -> tuple[Corners, ...]:
        """The corners of each on the flat wall."""
        return self.layout.rectangles

    def runs_along(self, side: int) -> bool:
        """Tell whether a side of a window runs along the axis, and so is straight."""
        return (side % 2 == 0) == self.wall.is_along

    def _seen(self, places: Array) -> list[Point]:
        return [Point(x, y) for x, y in self.setting.frame.eye.see(places).tolist()]

    def on_wall(self, across: float, along: float, deep: float) -> Array:
        """Return where in the world a place is, so deep behind the flat wall, shape (3,)."""
        at: Array = self.panel.places([self.on_flat(across, along)])[0] + deep * np.array(self.wall.back)
        return at

    @cached_property
    def solid(self) -> Solid:
        """Their edges in the world of the frame's eye, on the wall of the other thing; curves in straight pieces."""
        names, places, edges = list[str](), list[Array](), list[Edge]()
        for number, corners in enumerate(self.windows):
            part = part_name(number)
            for name, corner in zip(CORNERS, corners, strict=True):
                across, along = self.across_along(corner)
                names.append(f"{part}.{name}")
                places.append(self.on_wall(across, along, depth(across)))
            for side, name in enumerate(SIDES):
                ends = f"{part}.{CORNERS[side]}", f"{part}.{CORNERS[(side + 1) % 4]}"
                if self.runs_along(side):
                    way = self.panel.along if side % 2 == 0 else self.panel.up
                    edges.append(Edge(f"{part}.{name}", *ends, way.family, feature=Feature(part=part)))
                    continue
                (first, along), (last, _) = self.across_along(corners[side]), self.across_along(corners[(side + 1) % 4])
                nodes = list(self._bends(first, last))
                inner = [f"{part}.{name}.at.{i}" for i in range(1, len(nodes) - 1)]
                names += inner
                places += [self.on_wall(at.x, along, at.y) for _, at in nodes[1:-1]]
                row = [ends[0], *inner, ends[1]]
                for i, (start, end) in enumerate(pairwise(row)):
                    angles = nodes[i][0], nodes[i + 1][0]
                    edges.append(Edge(f"{part}.{name}", start, end, "free", angles, Feature(part=part)))
        return Solid(Topology(tuple(names), (), tuple(edges)), np.array(places))

    def _bends(self, first: float, last: float) -> Iterator[tuple[float, Point]]:
        """Yield the ends of the pieces of a curve: the angle on it, and how far across and how deep it is.

        It bends where the wall of the other thing does, so that it lies on that.
        """
        ends = [Point(across, depth(across)) for across in (first, last)]
        arc, low, high = HALVES[1].between(*ends), min(first, last), max(first, last)
        breaks = [Point(at, depth(at)) for at in self.wall.breaks if low + SAME_SHARE < at < high - SAME_SHARE]
        quarter = math.pi / 2
        angles = sorted(arc.angle_of(at) for at in breaks)
        apart = [angle for angle in angles if SAME_ANGLE_RAD < angle < quarter - SAME_ANGLE_RAD]
        for angle in (0.0, *apart, quarter):
            yield angle, arc.at(angle)
