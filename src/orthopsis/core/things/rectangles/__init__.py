"""Forms on a face, such as windows, doors, wheels, steps before them, portholes: one, or in rows and columns.

Each lies in a rectangle: the rectangle itself, round, an arch, pointed. They lie flat on the face, stand out of it, are
sunk into it or go right through the body. It knows where they are on it; whose face it is does
not matter.
"""

from orthopsis.core.things.declare import ThingKind
from orthopsis.core.things.parameters import Choice, Length, Text
from orthopsis.core.things.rectangles.bars import BARS
from orthopsis.core.things.rectangles.forms import FORMS, POINTS
from orthopsis.core.things.rectangles.layout import MOST_IN_A_ROW, SHARES, SPREADS
from orthopsis.core.things.rectangles.rectangles import RELIEFS, Rectangles
from orthopsis.core.things.rectangles.shutters import BESIDE

_COUNTS = {str(count): str(count) for count in range(1, MOST_IN_A_ROW + 1)}

RECTANGLES = ThingKind(
    kind="rectangles",
    title="Windows",
    parameters=(
        Text("along", "how they lie along the face: free, taken, free", "1:6:1", 40),
        Text("up", "how they lie up the face: free, taken, free", "1:3:1", 40),
        Choice("columns", "how many there are along", _COUNTS, "3"),
        Choice("rows", "how many there are up", _COUNTS, "1"),
        Choice("wide", "how wide each is", SHARES, "half"),
        Choice("tall", "how tall each is", SHARES, "three_quarters"),
        Choice("spread", "where each lies", SPREADS, "parts"),
        Choice("form", "which form each has", {name: form.says for name, form in FORMS.items()}, "rectangle"),
        Choice("beside", "what is on either side of each", BESIDE, "nothing"),
        Choice("bars", "what is in each", BARS, "none"),
        Choice("points", "through which places curves are drawn", POINTS, "eight"),
        Choice("relief", "whether they stand out or are sunk in", RELIEFS, "flat"),
        Length("deep", "how deep they are", 6.0, 0.5, 1000.0),
    ),
    in_view={"one_point": Rectangles, "two_point": Rectangles, "three_point": Rectangles},
    hangs="on_face",
    adding="windows",
    can_lie_on=lambda panel: panel.is_whole,
    may_be_hidden=True,
)
