"""Where does what stands on a slope have its foot, which of its faces show, and how is the foot drawn?

Corners of the foot are numbered round it: low near, low far, high far, high near, as seen from the first edge of the
slope. Sides are called ``low``, ``far``, ``high``, ``near``, each from the corner of the same number to the next.
"""

from collections.abc import Iterator, Mapping
from dataclasses import dataclass

import numpy as np
from propcache.api import cached_property

from orthopsis.core.construct.grid import Grid
from orthopsis.core.construct.moves import Act, Role, Rule
from orthopsis.core.construct.panel import Pitch
from orthopsis.core.errors import GeometryError
from orthopsis.core.plane.homogeneous import Point, unit_toward
from orthopsis.core.plane.polygon import signed_area
from orthopsis.core.sight.solid import Edge, Face, Solid, Topology
from orthopsis.core.things.face_part import WAYS, OnFacePart, taken
from orthopsis.core.things.rectangles.forms import SIDES
from orthopsis.core.things.rectangles.layout import Corners
from orthopsis.core.view.eye import Array
from orthopsis.core.wording.names import Feature, LineKind

EDGE_ON = 0.05
"""Sine of the angle between uprights and the level lines of a wall below which the wall is a mere line (no source)."""


@dataclass(frozen=True, slots=True)
class Seam:
    """An edge: from corner to corner, which way it runs, the faces beside it that are not the roof's, what it is."""

    start: str
    end: str
    family: str
    beside: tuple[str, ...]
    kind: LineKind = "side"


def foot_name(corner: int) -> str:
    """Return what a corner of the foot is called."""
    return f"foot.{corner % 4}"


class OnSlope(OnFacePart):
    """What stands upright on a rectangle of a slope."""

    @property
    def pitch(self) -> Pitch:
        """How the slope rises."""
        assert self.panel.pitch is not None
        return self.panel.pitch

    @cached_property
    def foot_shares(self) -> Corners:
        """The corners of the foot as shares of the slope."""
        (left, right), (low, high) = (taken(self.values, way, self.ruler) for way in WAYS)
        return (left, low), (right, low), (right, high), (left, high)

    @property
    def up_share(self) -> float:
        """How much of the slope the foot takes, up it."""
        return self.foot_shares[3][1] - self.foot_shares[0][1]

    @cached_property
    def feet(self) -> Array:
        """The corners of the foot in the world, shape (4, 3).

        Raises:
            GeometryError: a wall of it is seen edge-on, so that its lines cannot cross.
        """
        feet = self.panel.places(self.foot_shares)
        for at in self._seen(feet):
            to_x, to_y = unit_toward(at, self.pitch.way.goal)
            up_x, up_y = unit_toward(at, self.panel.out.goal)
            if abs(to_x * up_y - to_y * up_x) < EDGE_ON:
                raise GeometryError(
                    "seen_edge_on",
                    f"A wall of “{self.values.name}” is seen edge-on here: it would be a line.",
                    "Move it along the roof, or move the house aside.",
                    about="along",
                    nearest="1:1:3" if self.foot_shares[0][0] > 0.3 else "3:1:1",
                )
        return feet

    def _seen(self, places: Array) -> list[Point]:
        return [Point(x, y) for x, y in self.setting.frame.eye.see(places).tolist()]

    @property
    def is_see_through(self) -> bool:
        """Whether the house is see-through."""
        return self.host.is_see_through

    @property
    def may_be_thin(self) -> bool:
        """The sides of a chimney are thin."""
        return True

    @cached_property
    def world(self) -> Mapping[str, Array]:
        """Its corners in the world, by name, those of its foot first."""
        raise NotImplementedError

    def outline_of(self, face: str) -> tuple[str, ...]:
        """Return the corners of a face, as they run round it seen from outside where the slope's run anticlockwise."""
        raise NotImplementedError

    @cached_property
    def seams(self) -> Mapping[str, Seam]:
        """Its edges, by name."""
        raise NotImplementedError

    @property
    def face_names(self) -> Mapping[str, str]:
        """Its faces by name, with the way they are turned."""
        raise NotImplementedError

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
        topology = Topology(tuple(self.world), tuple(faces), tuple(edges), is_convex=True)
        return Solid(topology, np.array(list(self.world.values())))

    @cached_property
    def grid(self) -> Grid:
        """The light lines on the slope between which its foot lies."""
        return Grid(self.values.name, self.panel, self.foot_shares, "face", self.setting.level)

    def foot_acts(self) -> Iterator[Act]:
        """Yield the acts that mark the corners of the foot and draw its sides."""
        n, families = self.values.full, (self.panel.along.family, self.panel.up.family)
        for i, place in enumerate(self.foot_shares):
            yield self.grid.mark(foot_name(i), place)
        for i, side in enumerate(SIDES):
            name = f"foot.{side}"
            role = self.role(name) if name in self.seams else "construction"
            yield Rule(n(name), n(foot_name(i)), n(foot_name(i + 1)), families[i % 2], role)
