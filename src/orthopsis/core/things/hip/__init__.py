"""Roofs over the top of a block: slopes from all four edges to a ridge or to one tip, or one slope that leans.

It stands on the top of a block, whether that is seen or not. The hand draws a box on the house, finds the middle of its
lid, and takes the box away.
"""

from orthopsis.core.construct.panel import Panel
from orthopsis.core.things.declare import ThingKind
from orthopsis.core.things.hip.lean import HIGH, OVER, CornerLeanTo, FrontLeanTo
from orthopsis.core.things.hip.roof import HipRoof
from orthopsis.core.things.hip.shape import RIDGES
from orthopsis.core.things.parameters import Choice, Length


def _is_top(panel: Panel) -> bool:
    return panel.is_whole_top


HIP_ROOF = ThingKind(
    kind="hip_roof",
    title="Hip roof",
    parameters=(
        Length("rise", "the height of the roof over the nearest corner", 30.0, 1.0, 2000.0),
        Choice("ridge", "what its slopes rise to", RIDGES, "ridge"),
    ),
    in_view={"one_point": HipRoof, "two_point": HipRoof, "three_point": HipRoof},
    hangs="on_face",
    can_lie_on=_is_top,
    may_be_hidden=True,
    is_building=True,
    lies_says=" It stands on ",
    lies_on="a box",
)
LEAN_TO = ThingKind(
    kind="lean_to",
    title="Lean-to roof",
    parameters=(
        Length("rise", "the height of the roof over the nearest corner", 30.0, 1.0, 2000.0),
        Choice("high", "where it is highest", HIGH, "back"),
        Choice("over", "where it is highest", OVER, "left_back"),
    ),
    in_view={"one_point": FrontLeanTo, "two_point": CornerLeanTo, "three_point": CornerLeanTo},
    hangs="on_face",
    can_lie_on=_is_top,
    may_be_hidden=True,
    is_building=True,
    lies_says=" It stands on ",
    lies_on="a box",
)
