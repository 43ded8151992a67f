"""A lean-to roof: one slope, from one edge of the top up to the edge of the lid that lies over the opposite one.

Its high wall and its two triangles stand in the walls of the house.
"""

from collections.abc import Iterator, Mapping

import numpy as np
from propcache.api import cached_property

from orthopsis.core.construct.moves import Act, Move, Rule
from orthopsis.core.things.hip.lid import LidShape
from orthopsis.core.things.hip.recipe import lid_moves
from orthopsis.core.things.seamed import Seam, Seamed
from orthopsis.core.things.standing import WHOLE, Clause, Spans
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


def _corner(number: int) -> str:
    return f"corner.{number % 4}"


def _lid(number: int) -> str:
    return f"lid.{number % 4}"


class LeanTo(Seamed, LidShape):
    """A lean-to roof over the top of a block."""

    @property
    def _at(self) -> int:
        """The number of the edge of the top over which it is highest."""
        raise NotImplementedError

    @cached_property
    def world(self) -> Mapping[str, Array]:
        """Its corners in the world: those of the top, and over its high edge those of the lid."""
        k, flat = self._at, self.panel.places([(0, 0), (1, 0), (1, 1), (0, 1)])
        assert self.panel.outward is not None
        way, eye = np.array(self.panel.outward), self.setting.frame.eye
        up = self.upward.risen(eye, flat[0], way, self.values.mm("rise"))
        high = {_lid(i): flat[i % 4] + up for i in (k, k + 1)}
        return {_corner(i): at for i, at in enumerate(flat)} | high

    def outline_of(self, face: str) -> tuple[str, ...]:
        """Return the corners of a face."""
        k = self._at
        return {
            "slope": (_corner(k + 2), _corner(k + 3), _lid(k), _lid(k + 1)),
            "wall": (_corner(k), _corner(k + 1), _lid(k + 1), _lid(k)),
            "after": (_corner(k + 1), _corner(k + 2), _lid(k + 1)),
            "before": (_corner(k + 3), _corner(k), _lid(k)),
            "under": tuple(_corner(3 - i) for i in range(4)),
        }[face]

    @property
    def face_names(self) -> Mapping[str, str]:
        """Its faces: the slope, the high wall, the two triangles, and where it lies on the house."""
        k, around = self._at, self.panel.around
        walls = {"wall": around[k], "after": around[(k + 1) % 4], "before": around[k - 1]}
        return {"slope": "top", **walls, "under": "bottom"}

    @cached_property
    def seams(self) -> Mapping[str, Seam]:
        """Its edges, by name."""
        k, up = self._at, self.panel.out.family
        level = (self.panel.up if k % 2 else self.panel.along).family
        return {
            "upright.0": Seam(_corner(k), _lid(k), up, ("wall", "before")),
            "upright.1": Seam(_corner(k + 1), _lid(k + 1), up, ("wall", "after")),
            "high": Seam(_lid(k), _lid(k + 1), level, ("wall", "slope"), "ridge"),
            "slope.0": Seam(_corner(k + 3), _lid(k), "free", ("slope", "before"), "slope"),
            "slope.1": Seam(_corner(k + 2), _lid(k + 1), "free", ("slope", "after"), "slope"),
        }

    @cached_property
    def takes_away(self) -> Mapping[frozenset[str], Spans]:
        """The edges of the top over which its wall and its triangles stand, each in one plane with the wall below."""
        panel, k = self.panel, self._at
        corners = (panel.low, panel.far_low, panel.far_high, panel.high)
        return {frozenset((corners[i % 4], corners[(i + 1) % 4])): WHOLE for i in (k - 1, k, k + 1)}

    @cached_property
    def recipe(self) -> tuple[Move, ...]:
        """The hand's moves: the box on the house, then what stays of it."""
        edges = [self.values.move("front", "lean.edges", act) for act in self._drawn()]
        return (*lid_moves(self), *edges)

    def _drawn(self) -> Iterator[Act]:
        """Yield the acts that draw the edges at faces that show, or all of a see-through house."""
        n = self.values.full
        for name, seam in self.seams.items():
            if self.role(name) == "edge":
                yield Rule(n(name), n(seam.start), n(seam.end), seam.family)


class FrontLeanTo(LeanTo):
    """A lean-to roof over a block that is drawn from its front."""

    sentence: tuple[Clause, ...] = (Clause("Its one slope is highest {high}, {rise} over the wall."),)

    @property
    def _at(self) -> int:
        """The edge over the wall that is turned that way."""
        return self.panel.around.index(self.values.word("high"))


class CornerLeanTo(LeanTo):
    """A lean-to roof over a block that is drawn from its nearest edge."""

    sentence: tuple[Clause, ...] = (Clause("Its one slope is highest {over}, {rise} over the wall."),)

    @property
    def _at(self) -> int:
        """The edge over one of the two walls that show, or behind."""
        return _EDGE_OVER[self.values.word("over")]
