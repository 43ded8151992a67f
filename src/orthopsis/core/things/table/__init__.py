"""A table on a floor or a deck: from its box, a top with thickness, four equal legs at the corners of its plan.

The legs behind are found by the same light lines as those in front, whether they show or not.
"""

from orthopsis.core.things.carried_height import AT_EDGE, AT_EDGE_SAYS
from orthopsis.core.things.declare import ThingKind
from orthopsis.core.things.parameters import Choice, Length, Text
from orthopsis.core.things.raised_block import is_level_top
from orthopsis.core.things.table.rest import NO_REST, RESTS
from orthopsis.core.things.table.shape import LEGS
from orthopsis.core.things.table.table import Table

REACHES = {"measured": "measured at its nearest corner", AT_EDGE: AT_EDGE_SAYS}

TABLE = ThingKind(
    kind="table",
    title="Table",
    parameters=(
        Text("along", "how its plan lies along the floor: free, taken, free", "1:2:1", 40),
        Text("up", "how its plan lies up the floor: free, taken, free", "1:2:1", 40),
        Choice("reach", "where its height is measured", REACHES, "measured"),
        Length("rise", "the height over its nearest corner", 40.0, 2.0, 2000.0),
        Length("thick", "how thick its top is at its nearest corner", 5.0, 0.5, 500.0),
        Choice("legs", "how wide its legs are", LEGS, "sixth"),
        Choice("rest", "whether it has a foot rest", {name: says for name, (says, _) in RESTS.items()}, NO_REST),
    ),
    in_view={"one_point": Table, "two_point": Table, "three_point": Table},
    hangs="on_face",
    can_lie_on=is_level_top,
    bears=True,
    lies_says=" It stands on ",
    lies_on="a room, or a box whose top is seen",
)
