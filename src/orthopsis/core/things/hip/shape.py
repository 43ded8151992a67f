"""The shape of a hip roof: in the world for the view route, on the page by meets and joins for the hand.

The ridge's ends lie over the middle line of the top, a quarter of the way in from either side; a pyramid's tip over its
middle.
"""

from collections.abc import Mapping

import numpy as np
from propcache.api import cached_property

from orthopsis.core.plane.arc import FacePlace
from orthopsis.core.plane.homogeneous import Point, join, meet
from orthopsis.core.plane.polygon import signed_area
from orthopsis.core.sight.solid import Edge, Face, Solid, Topology
from orthopsis.core.things.hip.lid import EDGES, LidShape
from orthopsis.core.things.hip.slopes import ENDS
from orthopsis.core.view.eye import Array
from orthopsis.core.view.frame import Way
from orthopsis.core.wording.names import Feature

RIDGES = {"ridge": "a ridge along its longer side", "tip": "one tip"}
QUARTER = 0.25


class HipShape(LidShape):
    """The shape of a hip roof over the top of a block."""

    @property
    def is_pyramid(self) -> bool:
        """Whether its slopes rise to one tip."""
        return self.values.word("ridge") == "tip"

    @cached_property
    def is_along(self) -> bool:
        """Whether the ridge runs along the top's lower edge, which is then the longer one; else up it."""
        along, up = (float(np.linalg.norm(axis)) for axis in self.panel.axes)
        return along >= up

    @property
    def ridge_way(self) -> Way:
        """The direction of the ridge."""
        return self.panel.along if self.is_along else self.panel.up

    @property
    def tips(self) -> tuple[str, str]:
        """What the end of the ridge over the low corner is called, and the other one: one and the same for a tip."""
        return ("tip", "tip") if self.is_pyramid else ("ridge.near", "ridge.far")

    @property
    def tip_of(self) -> tuple[str, str, str, str]:
        """To which end of the ridge the hip runs from each corner of the top."""
        near, far = self.tips
        return (near, far, far, near) if self.is_along else (near, near, far, far)

    @property
    def _tip_shares(self) -> Mapping[str, FacePlace]:
        """Over which places of the top the ends of the ridge lie."""
        if self.is_pyramid:
            return {"tip": (0.5, 0.5)}
        ends = (QUARTER, 1 - QUARTER)
        return {
            name: (share, 0.5) if self.is_along else (0.5, share) for name, share in zip(self.tips, ends, strict=True)
        }

    @cached_property
    def tip_at(self) -> Mapping[str, Point]:
        """Where the ends of the ridge lie on the page, by the diagonals of the lid and of its half."""
        low, beside, over, behind = self.lid
        centre = meet(join(low, over), join(beside, behind))
        if self.is_pyramid:
            return {"tip": centre}
        middle = join(centre, self.ridge_way.goal)
        side, other = (behind, beside) if self.is_along else (beside, behind)
        across = join(centre, (self.panel.up if self.is_along else self.panel.along).goal)
        half = meet(across, join(side, over))
        return {"ridge.near": meet(join(low, half), middle), "ridge.far": meet(join(other, half), middle)}

    def _slope(self, number: int) -> tuple[str, ...]:
        """Return the corners of the slope over an edge of the top, as they run round it with those of the top."""
        after = (number + 1) % 4
        return tuple(dict.fromkeys((f"corner.{number}", f"corner.{after}", self.tip_of[after], self.tip_of[number])))

    @cached_property
    def _shows(self) -> tuple[bool, ...]:
        """Which slopes are turned to the eye."""
        page = {f"corner.{i}": at for i, at in enumerate(self.panel.page)} | dict(self.tip_at)
        turn = -1 if self.panel.is_mirrored else 1
        return tuple(turn * signed_area([page[name] for name in self._slope(i)]) > 0 for i in range(4))

    def shows(self, edge: int) -> bool:
        """Tell whether the slope over an edge of the top is turned to the eye."""
        return self._shows[edge]

    @staticmethod
    def ridge_share(end: str) -> float:
        """Return over which share of the top's longer side an end of the ridge lies."""
        return QUARTER if end == "near" else 1 - QUARTER

    @property
    def ridge_at(self) -> Mapping[str, Array]:
        """Where the ends of the ridge are in the world."""
        return {end: self.solid.places[self.solid.index(f"ridge.{end}")] for end in ENDS}

    @cached_property
    def drawn(self) -> tuple[str, ...]:
        """The names of its edges that the hand draws: those at slopes that show, or all of a see-through house."""
        shows = (True,) * 4 if self.is_see_through else self._shows
        hips = [f"hip.{i}" for i in range(4) if shows[i] or shows[i - 1]]
        beside = (0, 2) if self.is_along else (1, 3)
        is_ridge_seen = not self.is_pyramid and any(shows[i] for i in beside)
        return (*hips, *(("ridge",) if is_ridge_seen else ()))

    @cached_property
    def solid(self) -> Solid:
        """The roof in the world of the frame's eye; its lower edges are those of the block."""
        panel = self.panel
        flat = panel.places([(0, 0), (1, 0), (1, 1), (0, 1), *self._tip_shares.values()])
        assert panel.outward is not None
        way, eye = np.array(panel.outward), self.setting.frame.eye
        flat[4:] += self.upward.risen(eye, flat[0], way, self.rise_mm)
        return Solid(self._topology, flat)

    @property
    def _topology(self) -> Topology:
        around = self.panel.around
        turn = -1 if self.panel.is_mirrored else 1
        faces = [Face(f"slope.{name}", self._slope(i)[::turn], around[i]) for i, name in enumerate(EDGES)]
        faces.append(Face("under", tuple(f"corner.{i}" for i in range(4))[::-turn], "bottom"))
        edges = [Edge(f"hip.{i}", f"corner.{i}", self.tip_of[i], "free", feature=Feature("slope")) for i in range(4)]
        if not self.is_pyramid:
            edges.append(Edge("ridge", *self.tips, self.ridge_way.family, feature=Feature("ridge")))
        names = (*(f"corner.{i}" for i in range(4)), *dict.fromkeys(self.tips))
        return Topology(names, tuple(faces), tuple(edges), is_convex=True)
