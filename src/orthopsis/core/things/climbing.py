"""What climbs from its plan on a floor: which way, and which corners of the plan are the foot and the end of its sides.

The ``near`` side begins at the first corner of the plan, the ``far`` one lies over against it. Of both ``in.0`` is the
foot, and ``end`` lies under the place up to which it climbs.
"""

from collections.abc import Mapping

from propcache.api import cached_property

from orthopsis.core.things.answers import Spoken
from orthopsis.core.things.carried_height import CarriedHeight
from orthopsis.core.things.raised import foot_name
from orthopsis.core.view.eye import Array
from orthopsis.core.view.frame import Way

CLIMBS = {"along": "along the floor", "up": "up it"}
NEAR, FAR = "near", "far"


class Climbing(CarriedHeight):
    """What climbs over a plan, from one side of it to the opposite one."""

    @property
    def climbs_along(self) -> bool:
        """Whether it climbs along the face; else up it."""
        return self.values.word("climbs") == "along"

    @property
    def ahead(self) -> Way:
        """The direction in which it climbs."""
        return self.panel.along if self.climbs_along else self.panel.up

    @property
    def across(self) -> Way:
        """The direction from the near side to the far one."""
        return self.panel.up if self.climbs_along else self.panel.along

    @property
    def spoken(self) -> Mapping[str, Spoken]:
        """Which way it climbs, and which way it is carried across."""
        return {**super().spoken, "ahead": self.ahead, "over_way": self.across}

    @property
    def may_be_thin(self) -> bool:
        """At its foot it is thin."""
        return True

    @cached_property
    def plan(self) -> Mapping[str, str]:
        """Which corners of the plan are the foot and the end of each side."""
        end, over = (1, 3) if self.climbs_along else (3, 1)
        return {
            f"{NEAR}.in.0": foot_name(0), f"{NEAR}.end": foot_name(end),
            f"{FAR}.in.0": foot_name(over), f"{FAR}.end": foot_name(2),
        }  # fmt: skip

    def corner(self, side: str, name: str) -> str:
        """Return what a corner of a side is called: those of the plan by their names there."""
        return self.plan.get(f"{side}.{name}", f"{side}.{name}")

    def foot_edge(self, side: str) -> str:
        """Return what the edge of the plan is called over which a side stands."""
        over = ("low", "high") if self.climbs_along else ("near", "far")
        return f"foot.{over[side == FAR]}"

    @cached_property
    def feet(self) -> Mapping[str, Array]:
        """The corners of its plan in the world, by name.

        Raises:
            GeometryError: a side over it is seen edge-on.
        """
        feet = self.panel.places(self.foot_shares)
        seen = self._seen(feet)
        ends = (1, 2) if self.climbs_along else (3, 2)
        is_narrow = not self.ahead.goal.is_ideal and self.is_edge_on(seen[0], self.ahead)
        if is_narrow or (not self.across.goal.is_ideal and any(self.is_edge_on(seen[i], self.across) for i in ends)):
            raise self.edge_on("Move it to one side, or move what it stands on.")
        return dict(zip((foot_name(i) for i in range(4)), feet, strict=True))

    @property
    def sides_turned(self) -> tuple[str, str, str, str]:
        """Which way its faces are turned: near side, end, far side, and the one from which it climbs."""
        around = self.panel.around
        return around if self.climbs_along else (around[3], around[2], around[1], around[0])
