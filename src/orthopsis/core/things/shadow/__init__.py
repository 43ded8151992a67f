"""Cast shadows of blocks and round bodies: on the ground or the floor, and up a wall of a room.

By the one light of the sheet: from the side, by the set square, by a sun ahead of the viewer or behind, or by a lamp.
"""

from orthopsis.core.things.declare import ThingKind
from orthopsis.core.things.shadow.shadow import CastShadow

SHADOW = ThingKind(
    kind="shadow",
    title="Cast shadow",
    parameters=(),
    in_view={"one_point": CastShadow, "two_point": CastShadow},
    hangs="on_face",
    is_after_all=True,
    can_lie_on=lambda panel: panel.is_ground,
    lies_says=" It falls on ",
    lies_on="a box that stands on the ground",
)
