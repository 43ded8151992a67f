"""Cast shadows: on the ground or the floor beside a block, by the one light of the sheet.

The light comes from the side, parallel to the picture: on the ground shadows of uprights are level, and rays are
parallel on the page, at an angle of the set square.
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
