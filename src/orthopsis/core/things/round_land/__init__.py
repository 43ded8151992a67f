"""The round land of a small world: a circle about the one point, whose towers fall toward that.

It lies behind whatever stands there. In one-point perspective, where a circle about the point stays a circle.
"""

from orthopsis.core.things.declare import ThingKind
from orthopsis.core.things.parameters import LOOK, Choice, Length
from orthopsis.core.things.round_land.land import LEAST_MM, RIMS, RoundLand

ROUND_LAND = ThingKind(
    kind="round_land",
    title="Land",
    parameters=(
        Length("radius", "how far from the point it reaches", 90.0, LEAST_MM, 2000.0),
        Choice("rim", "how its edge runs", RIMS, "circle"),
        Choice(LOOK.name, LOOK.says, {"solid": "Solid"}, "solid"),
    ),
    in_view={"one_point": RoundLand},
    is_late=True,
    adding="round land",
)
