"""A flight of stairs on a floor or a deck: equal risers on an upright, a slope line, step by step, carried across.

A drawn stair is a drawing exercise, not a design: codes and licensed people decide on real ones.
"""

from orthopsis.core.things.carried_height import AT_EDGE, AT_EDGE_SAYS
from orthopsis.core.things.climbing import CLIMBS
from orthopsis.core.things.declare import ThingKind
from orthopsis.core.things.parameters import Choice, Length, Text
from orthopsis.core.things.raised_block import is_level_top
from orthopsis.core.things.stairs.shape import OVER_BY, STEPS, STRINGS
from orthopsis.core.things.stairs.stairs import Stairs

REACHES = {"measured": "measured over the first corner", AT_EDGE: AT_EDGE_SAYS}

STAIRS = ThingKind(
    kind="stairs",
    title="Stairs",
    parameters=(
        Text("along", "how their plan lies along the floor: free, taken, free", "1:2:1", 40),
        Text("up", "how their plan lies up the floor: free, taken, free", "1:2:1", 40),
        Choice("reach", "where their height is measured", REACHES, "measured"),
        Length("rise", "the height of the whole flight at its foot", 60.0, 2.0, 2000.0),
        Choice("steps", "how many steps there are", STEPS, "5"),
        Choice("climbs", "which way they climb", CLIMBS, "along"),
        Choice("over_by", "how their other side is found", OVER_BY, "carried"),
        Choice("string", "what runs along their sides", STRINGS, "none"),
    ),
    in_view={"one_point": Stairs, "two_point": Stairs},
    hangs="on_face",
    can_lie_on=is_level_top,
    bears=True,
    lies_says=" They stand on ",
    adding="stairs",
    lies_on="a room, or a box whose top is seen",
)
