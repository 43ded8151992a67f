"""A row: a block again and again, going away at equal spacing, such as bollards along a quay.

It knows how many there are, how far apart, and how the hand finds their feet: by the diagonal through the middle, or by
eye. What is repeated is the business of the first one.
"""

from orthopsis.core.things.declare import ThingKind
from orthopsis.core.things.parameters import Choice
from orthopsis.core.things.row.row import MOST, WAYS, Row

ROW = ThingKind(
    kind="row",
    title="Row",
    parameters=(
        Choice("count", "how many there are with the first one", {str(n): str(n) for n in range(2, MOST + 1)}, "5"),
        Choice("way", "how their places are found", WAYS, "diagonal"),
    ),
    in_view={"one_point": Row, "two_point": Row, "three_point": Row},
    hangs="in_line",
)
