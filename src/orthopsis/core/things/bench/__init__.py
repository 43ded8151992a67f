"""A bench: a seat on two legs as wide as it is deep. What it looks like from the front is an outline; the rest is a
profile's business.

In one-point perspective its front is drawn true, in two- and three-point it is cut from one side of a block.
"""

from orthopsis.core.things.bench.bench import LEGS, SEATS, FrontBench, SideBench
from orthopsis.core.things.box import SIDES
from orthopsis.core.things.declare import ThingKind
from orthopsis.core.things.parameters import FIRST_CORNER, LOOK, Choice, Length
from orthopsis.core.things.profile import DEPTH_CORNERS

BENCH = ThingKind(
    kind="bench",
    title="Bench",
    parameters=(
        *FIRST_CORNER,
        Length("width", "the width", 90.0, 6.0, 2000.0),
        Length("height", "the height", 36.0, 4.0, 2000.0),
        Choice("legs", "how wide each leg is", LEGS, "eighth"),
        Choice("seat", "how thick the seat is", SEATS, "quarter"),
        Choice("depth_by", "the depth", {"measured": "measured", "half": "about half way"}, "half"),
        Length("depth", "the depth", 30.0, 1.0, 2000.0),
        DEPTH_CORNERS,
        Choice("side", "the side", {"left": "left side", "right": "right side"}, "left"),
        *SIDES,
        Choice(LOOK.name, LOOK.says, {"solid": "Solid", "see_through": "See-through"}, "solid"),
    ),
    in_view={"one_point": FrontBench, "two_point": SideBench, "three_point": SideBench},
)
