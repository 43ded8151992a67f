"""Where does what stands on a slope have its foot, which of its faces show, and how is the foot drawn?

Corners of the foot are numbered round it: low near, low far, high far, high near, as seen from the first edge of the
slope. Sides are called ``low``, ``far``, ``high``, ``near``, each from the corner of the same number to the next.
"""

from collections.abc import Iterator

from propcache.api import cached_property

from orthopsis.core.construct.grid import Grid
from orthopsis.core.construct.moves import Act, Rule
from orthopsis.core.construct.panel import Pitch
from orthopsis.core.errors import GeometryError
from orthopsis.core.plane.homogeneous import unit_toward
from orthopsis.core.things.face_part import WAYS, OnFacePart, taken
from orthopsis.core.things.raised import foot_name
from orthopsis.core.things.rectangles.forms import SIDES
from orthopsis.core.things.rectangles.layout import Corners
from orthopsis.core.things.seamed import Seamed
from orthopsis.core.view.eye import Array

EDGE_ON = 0.05
"""Sine of the angle between uprights and the level lines of a wall below which the wall is a mere line (no source)."""


class OnSlope(Seamed, OnFacePart):
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

    @property
    def may_be_thin(self) -> bool:
        """The sides of a chimney are thin."""
        return True

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
