"""Roofs that are highest at one edge of the top: where that is, by the view, and how high."""

from collections.abc import Iterator

import numpy as np

from orthopsis.core.construct.moves import Act, Rule
from orthopsis.core.things.hip.lid import LidShape
from orthopsis.core.things.seamed import Seamed
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


def lid_name(number: int) -> str:
    """Return what the corner of the lid over it is called."""
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
