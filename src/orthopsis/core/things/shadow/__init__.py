"""Cast shadows of blocks, tables, rails and round bodies: on the ground or the floor, and up a wall of a room.

By the one light of the sheet: from the side, by the set square, by a sun ahead of the viewer or behind, or by a lamp.
"""

from orthopsis.core.things.declare import ThingKind
from orthopsis.core.things.gable import GABLE_ROOF
from orthopsis.core.things.hip import HALF_PYRAMID, HIP_ROOF, LEAN_TO
from orthopsis.core.things.shadow.fallen import FallenShadow
from orthopsis.core.things.shadow.shadow import CastShadow

SHADOW = ThingKind(
    kind="shadow",
    title="Cast shadow",
    parameters=(),
    in_view={"one_point": CastShadow, "two_point": CastShadow},
    hangs="on_face",
    is_after_all=True,
    goes_on_with=(GABLE_ROOF.kind, HIP_ROOF.kind, HALF_PYRAMID.kind, LEAN_TO.kind),
    can_lie_on=lambda panel: panel.is_ground,
    lies_says=" It falls on ",
    lies_on="a box, a table, rails or a round body that stands on the ground",
)

FALLEN_SHADOW = ThingKind(
    kind="fallen_shadow",
    title="Shadow upon it",
    parameters=(),
    in_view={"one_point": FallenShadow, "two_point": FallenShadow},
    hangs="on_face",
    is_after_all=True,
    goes_on_with=(SHADOW.kind,),
    can_lie_on=lambda panel: bool(panel.is_ground or panel.flight or panel.incline),
    lies_says=" It falls on ",
    adding="a shadow upon a thing",
    lies_on="a box, stairs or a ramp that a cast shadow reaches",
)
