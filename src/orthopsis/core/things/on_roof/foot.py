"""What stands upright on a slope: how the slope rises, and where its foot is in the world.

Corners of the foot are numbered round it: low near, low far, high far, high near, as seen from the first edge of the
slope. Sides are called ``low``, ``far``, ``high``, ``near``, each from the corner of the same number to the next.
"""

from propcache.api import cached_property

from orthopsis.core.construct.panel import Pitch
from orthopsis.core.things.plan import OnPlan
from orthopsis.core.view.eye import Array


class OnSlope(OnPlan):
    """What stands upright on a rectangle of a slope."""

    @property
    def pitch(self) -> Pitch:
        """How the slope rises."""
        assert self.panel.pitch is not None
        return self.panel.pitch

    @property
    def up_share(self) -> float:
        """How much of the slope the foot takes, up it."""
        return self.foot_shares[3][1] - self.foot_shares[0][1]

    @cached_property
    def feet(self) -> Array:
        """The corners of the foot in the world, shape (4, 3).

        Raises:
            GeometryError: a wall of it is seen edge-on.
        """
        feet = self.panel.places(self.foot_shares)
        if any(self.is_edge_on(at, self.pitch.way) for at in self._seen(feet)):
            raise self.edge_on("Move it along the roof, or move the house aside.")
        return feet

    @property
    def may_be_thin(self) -> bool:
        """The sides of a chimney are thin."""
        return True
