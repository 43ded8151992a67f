"""What stands upright on a slope of a roof: a chimney, a dormer.

Its foot is a rectangle on the slope, between light lines. A chimney rises from all four of its corners to a level top.
A dormer rises from the two lower ones; its roof leads back into the slope. Which roof it is does not matter.
"""

from orthopsis.core.construct.panel import Panel
from orthopsis.core.things.declare import ThingKind
from orthopsis.core.things.on_roof.chimney import Chimney
from orthopsis.core.things.on_roof.dormer import ROOFS, Dormer
from orthopsis.core.things.parameters import Choice, Length, Text


def _is_slope(panel: Panel) -> bool:
    return panel.is_sloping


_PLACE = (
    Text("along", "how it lies along the roof: free, taken, free", "2:1:2", 40),
    Text("up", "how it lies up the slope: free, taken, free", "2:1:2", 40),
)

CHIMNEY = ThingKind(
    kind="chimney",
    title="Chimney",
    parameters=(*_PLACE, Length("rise", "the height over its lowest corner", 25.0, 1.0, 2000.0)),
    in_view={"one_point": Chimney, "two_point": Chimney, "three_point": Chimney},
    hangs="on_face",
    can_lie_on=_is_slope,
    bears=True,
    is_building=True,
    lies_says=" It stands on ",
    lies_on="a gable roof, or a hip roof on which dormers can stand, turned so that a slope of it is seen,",
)
DORMER = ThingKind(
    kind="dormer",
    title="Dormer",
    parameters=(
        *_PLACE,
        Choice("roof", "its roof", ROOFS, "gable"),
        Length("peak", "how high its tip is over its wall", 8.0, 0.5, 2000.0),
    ),
    in_view={"one_point": Dormer, "two_point": Dormer, "three_point": Dormer},
    hangs="on_face",
    can_lie_on=_is_slope,
    bears=True,
    is_building=True,
    lies_says=" It stands on ",
    lies_on="a gable roof, or a hip roof on which dormers can stand, turned so that a slope of it is seen,",
)
