"""Round bodies that stand on a level top or a floor: a cylinder, a pail, a stool, a cone.

Each comes into the box of its plan: circles in the squares at its foot and its top, and the lines that touch both.
"""

from orthopsis.core.construct.panel import Panel
from orthopsis.core.things.declare import ThingKind
from orthopsis.core.things.parameters import Choice, Length, Text
from orthopsis.core.things.raised_block import is_level_top
from orthopsis.core.things.round_body.bands import BANDS, NO_BANDS
from orthopsis.core.things.round_body.body import RoundBody
from orthopsis.core.things.round_body.shape import FORMS, INSIDE, NARROW


def _is_level_or_round(panel: Panel) -> bool:
    return is_level_top(panel) or (panel.is_round and not panel.is_ground)


ROUND_BODY = ThingKind(
    kind="round_body",
    title="Round body",
    parameters=(
        Text("along", "how its square lies along the top: free, taken, free", "1:2:1", 40),
        Text("up", "how its square lies up the top: free, taken, free", "1:2:1", 40),
        Choice("form", "which form it has", {name: form.says for name, form in FORMS.items()}, "cylinder"),
        Choice(
            "narrow", "how wide its narrow end is", {name: says for name, (says, _) in NARROW.items()}, "two_thirds"
        ),
        Length("rise", "the height", 40.0, 1.0, 2000.0),
        Choice("inside", "whether one looks into it", INSIDE, "closed"),
        Choice("bands", "the bands about it", {name: says for name, (says, _) in BANDS.items()}, NO_BANDS),
    ),
    in_view={"one_point": RoundBody, "two_point": RoundBody, "three_point": RoundBody},
    hangs="on_face",
    can_lie_on=_is_level_or_round,
    bears=True,
    lies_says=" It stands on ",
    lies_on="a room, or a box whose top is seen",
)
