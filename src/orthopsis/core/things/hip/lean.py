"""A lean-to roof: one slope, from one edge of the top up to the edge of the lid that lies over the opposite one.

Its high wall and its two triangles stand in the walls of the house.
"""

from collections.abc import Iterator, Mapping

import numpy as np
from propcache.api import cached_property

from orthopsis.core.construct.moves import Act, Move, Rule
from orthopsis.core.plane.polygon import signed_area
from orthopsis.core.sight.solid import Edge, Face, Solid, Topology
from orthopsis.core.things.hip.lid import LidShape
from orthopsis.core.things.hip.recipe import lid_moves
from orthopsis.core.things.standing import WHOLE, Clause, Spans
from orthopsis.core.wording.names import Feature

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


class LeanTo(LidShape):
    """A lean-to roof over the top of a block."""

    @property
    def _at(self) -> int:
        """The number of the edge of the top over which it is highest."""
        raise NotImplementedError

    @cached_property
    def _faces(self) -> Mapping[str, tuple[str, ...]]:
        """Its faces: their corners as they run round it, seen from outside where those of the top run anticlockwise."""
        k = self._at
        return {
            "slope": (_corner(k + 2), _corner(k + 3), _lid(k), _lid(k + 1)),
            "wall": (_corner(k), _corner(k + 1), _lid(k + 1), _lid(k)),
            "after": (_corner(k + 1), _corner(k + 2), _lid(k + 1)),
            "before": (_corner(k + 3), _corner(k), _lid(k)),
            "under": tuple(_corner(3 - i) for i in range(4)),
        }

    @cached_property
    def _shown(self) -> frozenset[str]:
        """Which faces are turned to the eye."""
        page = {_corner(i): at for i, at in enumerate(self.panel.page)} | {_lid(i): at for i, at in enumerate(self.lid)}
        turn = -1 if self.panel.is_mirrored else 1
        return frozenset(
            name for name, corners in self._faces.items() if turn * signed_area([page[c] for c in corners]) > 0
        )

    @cached_property
    def _edges(self) -> Mapping[str, tuple[str, str, str, Feature, tuple[str, str]]]:
        """Its edges: from where to where, which way they run, what they are, the faces beside them."""
        k, up = self._at, self.panel.out.family
        level = (self.panel.up if k % 2 else self.panel.along).family
        return {
            "upright.0": (_corner(k), _lid(k), up, Feature(), ("wall", "before")),
            "upright.1": (_corner(k + 1), _lid(k + 1), up, Feature(), ("wall", "after")),
            "high": (_lid(k), _lid(k + 1), level, Feature("ridge"), ("wall", "slope")),
            "slope.0": (_corner(k + 3), _lid(k), "free", Feature("slope"), ("slope", "before")),
            "slope.1": (_corner(k + 2), _lid(k + 1), "free", Feature("slope"), ("slope", "after")),
        }

    @cached_property
    def solid(self) -> Solid:
        """The roof in the world of the frame's eye."""
        panel, k = self.panel, self._at
        flat = panel.places([(0, 0), (1, 0), (1, 1), (0, 1)])
        assert panel.outward is not None
        way, eye = np.array(panel.outward), self.setting.frame.eye
        up = self.upward.risen(eye, flat[0], way, self.values.mm("rise"))
        around, turn = panel.around, -1 if panel.is_mirrored else 1
        turned = {"slope": "top", "wall": around[k], "after": around[(k + 1) % 4], "before": around[k - 1],
                  "under": "bottom"}  # fmt: skip
        faces = [Face(name, corners[::turn], turned[name]) for name, corners in self._faces.items()]
        edges = [
            Edge(name, start, end, family, feature=feature)
            for name, (start, end, family, feature, _) in self._edges.items()
        ]
        names = (*(_corner(i) for i in range(4)), _lid(k), _lid(k + 1))
        high = [flat[k] + up, flat[(k + 1) % 4] + up]
        return Solid(Topology(names, tuple(faces), tuple(edges), is_convex=True), np.vstack((flat, high)))

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
        for name, (start, end, family, _, beside) in self._edges.items():
            if self.is_see_through or not self._shown.isdisjoint(beside):
                yield Rule(n(name), n(start), n(end), family)


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
