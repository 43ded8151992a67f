"""Windows that curve with a round wall: in rows and columns, as they would lie on the flat wall before it.

They are laid out on the side of the box about the round body, and carried back from there onto the curves at their
heights. Uprights stay straight; what runs round the wall curves with it.
"""

from orthopsis.core.things.declare import ThingKind
from orthopsis.core.things.parameters import Choice, Text
from orthopsis.core.things.rectangles.layout import SHARES, SPREADS
from orthopsis.core.things.round_windows.windows import RoundWindows

MOST_ALONG, MOST_UP = 6, 4

ROUND_WINDOWS = ThingKind(
    kind="round_windows",
    title="Curved windows",
    parameters=(
        Text("along", "how they lie along the wall: free, taken, free", "1:6:1", 40),
        Text("up", "how they lie up the wall: free, taken, free", "1:3:1", 40),
        Choice("columns", "how many there are along", {str(i): str(i) for i in range(1, MOST_ALONG + 1)}, "3"),
        Choice("rows", "how many there are up", {str(i): str(i) for i in range(1, MOST_UP + 1)}, "1"),
        Choice("wide", "how wide each is", SHARES, "half"),
        Choice("tall", "how tall each is", SHARES, "three_quarters"),
        Choice("spread", "where each lies", SPREADS, "parts"),
    ),
    in_view={"one_point": RoundWindows, "two_point": RoundWindows, "three_point": RoundWindows},
    hangs="on_face",
    adding="curved windows",
    can_lie_on=lambda panel: panel.round_wall is not None,
    may_be_hidden=True,
    lies_says=" They curve with ",
    lies_on="a cylinder, or a round shape in one point,",
)
