"""A block that is raised from its plan on a level top: a house on a pavement, a chest on a deck, a thing on a table.

The plan comes first, a rectangle between light lines; then its uprights. Its walls and its top bear other things, as
those of a box do.
"""

from orthopsis.core.construct.panel import Panel
from orthopsis.core.things.declare import ThingKind
from orthopsis.core.things.parameters import Choice, Length, Text
from orthopsis.core.things.raised_block.block import REACHES, RaisedBlock


def is_level_top(panel: Panel) -> bool:
    """Tell whether a face is a level one that things can stand on: a top, a floor."""
    return panel.is_whole and panel.is_level and panel.turned == "top" and panel.outward is not None


RAISED_BLOCK = ThingKind(
    kind="raised_block",
    title="Raised block",
    parameters=(
        Text("along", "how its plan lies along the top: free, taken, free", "1:2:1", 40),
        Text("up", "how its plan lies up the top: free, taken, free", "1:2:1", 40),
        Choice("reach", "how high it is", REACHES, "measured"),
        Length("rise", "the height over its nearest corner", 40.0, 1.0, 2000.0),
    ),
    in_view={"one_point": RaisedBlock, "two_point": RaisedBlock, "three_point": RaisedBlock},
    hangs="on_face",
    can_lie_on=is_level_top,
    bears=True,
    lies_says=" It stands on ",
    lies_on="a box whose top is seen",
)
