"""A figure on a face: any outline of straight edges, flat on a wall, a top, a slope, standing out, sunk in
cut right through, or carved from the whole body.

It knows its outline and which part of the face it fills; whose face it is does not matter.
"""

from orthopsis.core.things.declare import ThingKind
from orthopsis.core.things.figure.figure import READY, SIDE_MM, Figure
from orthopsis.core.things.figure.relief import RELIEFS
from orthopsis.core.things.outline import scaled
from orthopsis.core.things.parameters import Choice, Length, Shape, Text

FIGURE = ThingKind(
    kind="figure",
    title="Figure on a face",
    parameters=(
        Shape("outline", "the outline", READY, scaled(READY["star"], SIDE_MM, SIDE_MM)),
        Text("along", "how it lies along the face: free, taken, free", "1:2:1", 40),
        Text("up", "how it lies up the face: free, taken, free", "1:2:1", 40),
        Choice("relief", "whether it stands out, is sunk in or goes through", RELIEFS, "flat"),
        Length("deep", "how deep it is", 6.0, 0.5, 1000.0),
    ),
    in_view={"one_point": Figure, "two_point": Figure, "three_point": Figure},
    hangs="on_face",
    adding="a figure",
    can_lie_on=lambda panel: panel.is_whole,
    may_be_hidden=True,
)
