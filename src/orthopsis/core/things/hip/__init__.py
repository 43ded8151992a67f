"""Roofs over the top of a block: to a ridge, to one tip, to a tip at one edge, or one slope that leans.

It stands on the top of a block, whether that is seen or not. The hand draws a box on the house, finds the middle of its
lid, and takes the box away.
"""

from dataclasses import replace

from orthopsis.core.construct.panel import Panel
from orthopsis.core.things.declare import ThingKind
from orthopsis.core.things.gable import GABLE_ROOF
from orthopsis.core.things.hip.at_edge import HIGH, OVER
from orthopsis.core.things.hip.half import CornerHalfPyramid, FrontHalfPyramid
from orthopsis.core.things.hip.lean_to import PITCHES, CornerLeanTo, FrontLeanTo
from orthopsis.core.things.hip.roof import HipRoof
from orthopsis.core.things.hip.shape import RIDGES
from orthopsis.core.things.hip.slopes import FOUND
from orthopsis.core.things.parameters import Choice, Length, Parameter
from orthopsis.core.things.standing import Standing


def _is_top(panel: Panel) -> bool:
    return panel.is_whole_top


def _on_top(
    kind: str, title: str, in_view: tuple[type[Standing], type[Standing]], *choices: Parameter
) -> ThingKind:  # fmt: skip
    """Return a kind of roof over the top of a block.

    Args:
        in_view: how it stands over a block that is drawn from its front, and from its nearest edge.
    """
    rise = Length("rise", "the height of the roof over the nearest corner", 30.0, 1.0, 2000.0)
    front, corner = in_view
    return ThingKind(
        kind=kind,
        title=title,
        parameters=(rise, *choices),
        in_view={"one_point": front, "two_point": corner, "three_point": corner},
        hangs="on_face",
        can_lie_on=_is_top,
        may_be_hidden=True,
        is_building=True,
        lies_says=" It stands on ",
        lies_on="a box",
    )


_HIGH = (Choice("high", "where it is highest", HIGH, "back"), Choice("over", "where it is highest", OVER, "left_back"))
HIP_ROOF = replace(
    _on_top(
        "hip_roof", "Hip roof", (HipRoof, HipRoof), Choice("ridge", "what its slopes rise to", RIDGES, "ridge"),
        Choice("slopes", "what can stand on its slopes", FOUND, "edges"),
    ),
    bears=True,
)  # fmt: skip
LEAN_TO = replace(
    _on_top(
        "lean_to", "Lean-to roof", (FrontLeanTo, CornerLeanTo), *_HIGH,
        Choice("pitch", "how steep it is", PITCHES, "measured"),
    ),
    goes_on_with=(GABLE_ROOF.kind,),
)  # fmt: skip
HALF_PYRAMID = _on_top("half_pyramid", "Half pyramid roof", (FrontHalfPyramid, CornerHalfPyramid), *_HIGH)
