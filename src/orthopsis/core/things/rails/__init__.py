"""Rails on sleepers to the point: two long bars, and under them sleepers that close up with distance.

In one-point perspective, where sleepers lie level. The places of the sleepers are set by eye.
"""

from orthopsis.core.things.declare import ThingKind
from orthopsis.core.things.parameters import FIRST_CORNER, LOOK, Choice, Length
from orthopsis.core.things.rails.rails import Rails
from orthopsis.core.things.rails.shape import SLEEPERS

RAILS = ThingKind(
    kind="rails",
    title="Rails",
    parameters=(
        *FIRST_CORNER,
        Length("gauge", "the room between the rails where they begin", 90.0, 4.0, 2000.0),
        Length("rail", "the width of a rail where it begins", 8.0, 1.0, 200.0),
        Length("high", "the height of a rail where it begins", 6.0, 0.5, 200.0),
        Length("out", "how far the sleepers reach beyond the rails", 18.0, 1.0, 1000.0),
        Choice("sleepers", "how many sleepers there are", SLEEPERS, "6"),
        Length("deep", "how deep the first sleeper is along its end", 8.0, 0.5, 500.0),
        Length("pitch", "from one sleeper to the next along their ends", 20.0, 1.0, 1000.0),
        Length("thick", "how thick the first sleeper is", 4.0, 0.5, 200.0),
        Choice(LOOK.name, LOOK.says, {"solid": "Solid"}, "solid"),
    ),
    in_view={"one_point": Rails},
    adding="rails",
)
