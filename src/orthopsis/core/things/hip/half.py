"""A half pyramid: three slopes to a tip over the middle of one edge of the top, its flat side in the wall there.

It leans on a taller wall, or ends a house. The tip is found on the lid of the same box on the house as a hip roof's.
"""

from collections.abc import Iterator, Mapping

import numpy as np
from propcache.api import cached_property

from orthopsis.core.construct.moves import Act, Move, Run
from orthopsis.core.things.answers import WHOLE, Clause, Spans
from orthopsis.core.things.hip.at_edge import CornerHigh, FrontHigh, HighAtEdge, corner_name
from orthopsis.core.things.hip.lid import EDGES
from orthopsis.core.things.hip.recipe import diagonal_acts, lid_moves
from orthopsis.core.things.seamed import Seam
from orthopsis.core.view.eye import Array

TIP = "tip"


class HalfPyramid(HighAtEdge):
    """A half pyramid over the top of a block."""

    @cached_property
    def world(self) -> Mapping[str, Array]:
        """Its corners in the world: those of the top, and the tip over the middle of its high edge."""
        flat = self.panel.places([(0, 0), (1, 0), (1, 1), (0, 1)])
        tip = (flat[self.at] + flat[(self.at + 1) % 4]) / 2 + self.raised_by(flat[0])
        return {corner_name(i): at for i, at in enumerate(flat)} | {TIP: np.asarray(tip)}

    def outline_of(self, face: str) -> tuple[str, ...]:
        """Return the corners of a face."""
        if face == "under":
            return tuple(corner_name(3 - i) for i in range(4))
        edge = self.at + ("wall", "after", "slope", "before").index(face)
        return corner_name(edge), corner_name(edge + 1), TIP

    @property
    def face_names(self) -> Mapping[str, str]:
        """Its faces: the flat side in the wall, the three slopes as the walls under them, and where it lies."""
        around = self.panel.around
        names = ("wall", "after", "slope", "before")
        return {**{name: around[(self.at + i) % 4] for i, name in enumerate(names)}, "under": "bottom"}

    @cached_property
    def seams(self) -> Mapping[str, Seam]:
        """Its edges, by name: from each corner to the tip."""
        names = ("wall", "after", "slope", "before")
        return {
            f"hip.{(self.at + i) % 4}": Seam(corner_name(self.at + i), TIP, "free", (names[i - 1], names[i]), "slope")
            for i in range(4)
        }

    @cached_property
    def takes_away(self) -> Mapping[frozenset[str], Spans]:
        """The edge of the top over which its flat side stands, in one plane with the wall below."""
        panel = self.panel
        corners = (panel.low, panel.far_low, panel.far_high, panel.high)
        return {frozenset((corners[self.at], corners[(self.at + 1) % 4])): WHOLE}

    @cached_property
    def recipe(self) -> tuple[Move, ...]:
        """The hand's moves: the box on the house, the middle of its lid's edge, the lines from there."""
        told = [("half.tip", act) for act in self._tip()]
        moves = [self.values.move("divide", breath, act) for breath, act in told]
        edges = [self.values.move("front", "hip.edges_tip", act) for act in self.drawn_acts()]
        return (*lid_moves(self), *moves, *edges)

    def _tip(self) -> Iterator[Act]:
        """Yield the acts that cross the lid's diagonals and run from their crossing to the middle of an edge."""
        n, panel = self.values.full, self.panel
        yield from diagonal_acts(self, n("measure.centre"))
        way = panel.along if self.at % 2 else panel.up
        edge = n(f"construction.lid.{EDGES[self.at]}")
        yield Run(n("construction.middle"), n(TIP), n("measure.centre"), way.family, edge, "construction")


class FrontHalfPyramid(FrontHigh, HalfPyramid):
    """A half pyramid over a block that is drawn from its front."""

    sentence: tuple[Clause, ...] = (Clause("Its tip stands {high}, {rise} over the wall."),)


class CornerHalfPyramid(CornerHigh, HalfPyramid):
    """A half pyramid over a block that is drawn from its nearest edge."""

    sentence: tuple[Clause, ...] = (Clause("Its tip stands {over}, {rise} over the wall."),)
