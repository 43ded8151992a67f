"""A ramp on a floor or a deck: the plan, its height carried over the end, and the slope.

A drawn ramp is a drawing exercise, not a design: codes and licensed people decide on real ones.
"""

from orthopsis.core.things.carried_height import AT_EDGE, AT_EDGE_SAYS
from orthopsis.core.things.climbing import CLIMBS
from orthopsis.core.things.declare import ThingKind
from orthopsis.core.things.parameters import Choice, Length, Text
from orthopsis.core.things.raised_block import is_level_top
from orthopsis.core.things.ramp.ramp import Ramp

REACHES = {"measured": "measured over the first corner", AT_EDGE: AT_EDGE_SAYS}

RAMP = ThingKind(
    kind="ramp",
    title="Ramp",
    parameters=(
        Text("along", "how its plan lies along the floor: free, taken, free", "1:2:1", 40),
        Text("up", "how its plan lies up the floor: free, taken, free", "1:2:1", 40),
        Choice("reach", "where its height is measured", REACHES, "measured"),
        Length("rise", "how high its end is, measured at its foot", 40.0, 2.0, 2000.0),
        Choice("climbs", "which way it climbs", CLIMBS, "along"),
    ),
    in_view={"one_point": Ramp, "two_point": Ramp},
    hangs="on_face",
    can_lie_on=is_level_top,
    bears=True,
    lies_says=" It stands on ",
    adding="a ramp",
    lies_on="a room, or a box whose top is seen",
)
