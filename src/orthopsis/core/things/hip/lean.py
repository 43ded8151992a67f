"""A lean-to roof: one slope, from one edge of the top up to the edge of the lid that lies over the opposite one.

Its high wall and its two triangles stand in the walls of the house.
"""

from collections.abc import Iterator, Mapping

import numpy as np
from propcache.api import cached_property

from orthopsis.core.construct.moves import Act, Move, Rule
from orthopsis.core.things.answers import WHOLE, Clause, Spans
from orthopsis.core.things.hip.lid import LidShape
from orthopsis.core.things.hip.recipe import lid_moves
from orthopsis.core.things.seamed import Seam, Seamed
from orthopsis.core.view.eye import Array

HIGH = {"back": "at the back", "front": "in front", "left": "on the left", "right": "on the right"}
"""Where the slope is highest, on a house that is drawn from its front."""
OVER = {
    "left_back": "at the back on the left",
    "right_back": "at the back on the right",
    "left": "over the left wall",
    "right": "over the right wall",
}
"""Where it is highest, on a house that is drawn from its nearest edge."""
_EDGE_OVER = {"left_back": 2, "right_back": 1, "left": 3, "right": 0}
"""The number of the edge of such a house's top."""


def corner_name(number: int) -> str:
    """Return what a corner of the top is called by the roof."""
    return f"corner.{number % 4}"


def _lid(number: int) -> str:
    return f"lid.{number % 4}"


class HighAtEdge(Seamed, LidShape):
    """A roof that is highest at one edge of the top."""

    @property
    def at(self) -> int:
        """The number of that edge."""
        raise NotImplementedError

    def raised_by(self, low: Array) -> Array:
        """Return the way up to the lid in the world, from the low corner of the top."""
        assert self.panel.outward is not None
        way = np.array(self.panel.outward)
        return self.upward.risen(self.setting.frame.eye, low, way, self.rise_mm)

    def drawn_acts(self) -> Iterator[Act]:
        """Yield the acts that draw the edges at faces that show, or all of a see-through house."""
        n = self.values.full
        for name, seam in self.seams.items():
            if self.role(name) == "edge":
                yield Rule(n(name), n(seam.start), n(seam.end), seam.family)


class FrontHigh(HighAtEdge):
    """... over a block that is drawn from its front."""

    @property
    def at(self) -> int:
        """The edge over the wall that is turned that way."""
        return self.panel.around.index(self.values.word("high"))


class CornerHigh(HighAtEdge):
    """... over a block that is drawn from its nearest edge."""

    @property
    def at(self) -> int:
        """The edge over one of the two walls that show, or behind."""
        return _EDGE_OVER[self.values.word("over")]


class LeanTo(HighAtEdge):
    """A lean-to roof over the top of a block."""

    @cached_property
    def world(self) -> Mapping[str, Array]:
        """Its corners in the world: those of the top, and over its high edge those of the lid."""
        k, flat = self.at, self.panel.places([(0, 0), (1, 0), (1, 1), (0, 1)])
        up = self.raised_by(flat[0])
        high = {_lid(i): flat[i % 4] + up for i in (k, k + 1)}
        return {corner_name(i): at for i, at in enumerate(flat)} | high

    def outline_of(self, face: str) -> tuple[str, ...]:
        """Return the corners of a face."""
        k = self.at
        return {
            "slope": (corner_name(k + 2), corner_name(k + 3), _lid(k), _lid(k + 1)),
            "wall": (corner_name(k), corner_name(k + 1), _lid(k + 1), _lid(k)),
            "after": (corner_name(k + 1), corner_name(k + 2), _lid(k + 1)),
            "before": (corner_name(k + 3), corner_name(k), _lid(k)),
            "under": tuple(corner_name(3 - i) for i in range(4)),
        }[face]

    @property
    def face_names(self) -> Mapping[str, str]:
        """Its faces: the slope, the high wall, the two triangles, and where it lies on the house."""
        k, around = self.at, self.panel.around
        walls = {"wall": around[k], "after": around[(k + 1) % 4], "before": around[k - 1]}
        return {"slope": "top", **walls, "under": "bottom"}

    @cached_property
    def seams(self) -> Mapping[str, Seam]:
        """Its edges, by name."""
        k, up = self.at, self.panel.out.family
        level = (self.panel.up if k % 2 else self.panel.along).family
        return {
            "upright.0": Seam(corner_name(k), _lid(k), up, ("wall", "before")),
            "upright.1": Seam(corner_name(k + 1), _lid(k + 1), up, ("wall", "after")),
            "high": Seam(_lid(k), _lid(k + 1), level, ("wall", "slope"), "ridge"),
            "slope.0": Seam(corner_name(k + 3), _lid(k), "free", ("slope", "before"), "slope"),
            "slope.1": Seam(corner_name(k + 2), _lid(k + 1), "free", ("slope", "after"), "slope"),
        }

    @cached_property
    def takes_away(self) -> Mapping[frozenset[str], Spans]:
        """The edges of the top over which its wall and its triangles stand, each in one plane with the wall below."""
        panel, k = self.panel, self.at
        corners = (panel.low, panel.far_low, panel.far_high, panel.high)
        return {frozenset((corners[i % 4], corners[(i + 1) % 4])): WHOLE for i in (k - 1, k, k + 1)}

    @cached_property
    def recipe(self) -> tuple[Move, ...]:
        """The hand's moves: the box on the house, then what stays of it."""
        edges = [self.values.move("front", "lean.edges", act) for act in self.drawn_acts()]
        return (*lid_moves(self), *edges)


class FrontLeanTo(FrontHigh, LeanTo):
    """A lean-to roof over a block that is drawn from its front."""

    sentence: tuple[Clause, ...] = (Clause("Its one slope is highest {high}, {rise} over the wall."),)


class CornerLeanTo(CornerHigh, LeanTo):
    """A lean-to roof over a block that is drawn from its nearest edge."""

    sentence: tuple[Clause, ...] = (Clause("Its one slope is highest {over}, {rise} over the wall."),)
