"""A body by its corners in the world and its edges: which of its faces show, and how is each edge drawn?

It stands on a face of another thing; whose face that is does not matter.
"""

from collections.abc import Mapping
from dataclasses import dataclass

import numpy as np
from propcache.api import cached_property

from orthopsis.core.construct.moves import Role
from orthopsis.core.plane.homogeneous import Point
from orthopsis.core.plane.polygon import signed_area
from orthopsis.core.sight.solid import Edge, Face, Solid, Topology
from orthopsis.core.things.standing import Standing
from orthopsis.core.view.eye import Array
from orthopsis.core.wording.names import Feature, LineKind


@dataclass(frozen=True, slots=True)
class Seam:
    """An edge: from corner to corner, which way it runs, the faces beside it that are its own thing's, what it is."""

    start: str
    end: str
    family: str
    beside: tuple[str, ...]
    kind: LineKind = "side"


class Seamed(Standing):
    """A body that hangs on a face, known by its corners and edges.

    ``is_convex``: whether no face of it can hide another one that is turned toward the eye.
    """

    is_convex = True

    @property
    def is_see_through(self) -> bool:
        """Whether the thing it stands on is see-through."""
        return self.host.is_see_through

    @cached_property
    def world(self) -> Mapping[str, Array]:
        """Its corners in the world, by name."""
        raise NotImplementedError

    def outline_of(self, face: str) -> tuple[str, ...]:
        """Return the corners of a face, as they run round it seen from outside where the panel's run anticlockwise."""
        raise NotImplementedError

    @cached_property
    def seams(self) -> Mapping[str, Seam]:
        """Its edges, by name."""
        raise NotImplementedError

    @property
    def face_names(self) -> Mapping[str, str]:
        """Its faces by name, with the way they are turned."""
        raise NotImplementedError

    def _seen(self, places: Array) -> list[Point]:
        return [Point(x, y) for x, y in self.setting.frame.eye.see(places).tolist()]

    @cached_property
    def page(self) -> Mapping[str, Point]:
        """Its corners on the page, as the eye sees them."""
        return dict(zip(self.world, self._seen(np.array(list(self.world.values()))), strict=True))

    @cached_property
    def shown(self) -> frozenset[str]:
        """The faces that are turned to the eye."""
        turn = -1 if self.panel.is_mirrored else 1
        return frozenset(
            face
            for face in self.face_names
            if turn * signed_area([self.page[corner] for corner in self.outline_of(face)]) > 0
        )

    def role(self, edge: str) -> Role:
        """Return how an edge is drawn: as one where a face beside it shows, else lightly."""
        return "edge" if self.is_see_through or not self.shown.isdisjoint(self.seams[edge].beside) else "construction"

    @cached_property
    def solid(self) -> Solid:
        """It in the world of the frame's eye."""
        turn = -1 if self.panel.is_mirrored else 1
        faces = [Face(name, self.outline_of(name)[::turn], turned) for name, turned in self.face_names.items()]
        edges = [
            Edge(name, seam.start, seam.end, seam.family, feature=Feature(seam.kind))
            for name, seam in self.seams.items()
        ]
        topology = Topology(tuple(self.world), tuple(faces), tuple(edges), is_convex=self.is_convex)
        return Solid(topology, np.array(list(self.world.values())))
