"""Which things are there? Adding one is a module beside this one and a line here."""

from orthopsis.core.things.bench import BENCH
from orthopsis.core.things.box import BOX
from orthopsis.core.things.declare import ThingKind
from orthopsis.core.things.division import DIVISION
from orthopsis.core.things.eaves import EAVES
from orthopsis.core.things.figure import FIGURE
from orthopsis.core.things.gable import GABLE_ROOF
from orthopsis.core.things.handrail import HANDRAIL
from orthopsis.core.things.hip import HALF_PYRAMID, HIP_ROOF, LEAN_TO
from orthopsis.core.things.letters import LETTERS
from orthopsis.core.things.on_roof import CHIMNEY, DORMER
from orthopsis.core.things.pattern import PATTERN
from orthopsis.core.things.profile import PROFILE
from orthopsis.core.things.rails import RAILS
from orthopsis.core.things.raised_block import RAISED_BLOCK
from orthopsis.core.things.ramp import RAMP
from orthopsis.core.things.rectangles import RECTANGLES
from orthopsis.core.things.road import ROAD
from orthopsis.core.things.room import ROOM
from orthopsis.core.things.round_body import ROUND_BODY
from orthopsis.core.things.round_land import ROUND_LAND
from orthopsis.core.things.round_windows import ROUND_WINDOWS
from orthopsis.core.things.row import ROW
from orthopsis.core.things.shadow import FALLEN_SHADOW, SHADOW
from orthopsis.core.things.sign import SIGN
from orthopsis.core.things.silhouette import SILHOUETTES
from orthopsis.core.things.stairs import STAIRS
from orthopsis.core.things.table import TABLE

KINDS: dict[str, ThingKind] = {
    kind.kind: kind
    for kind in (
        BOX,
        ROOM,
        LETTERS,
        PROFILE,
        BENCH,
        ROAD,
        RAILS,
        ROUND_LAND,
        SILHOUETTES,
        RAISED_BLOCK,
        TABLE,
        STAIRS,
        HANDRAIL,
        RAMP,
        ROUND_BODY,
        RECTANGLES,
        ROUND_WINDOWS,
        ROW,
        DIVISION,
        SIGN,
        FIGURE,
        PATTERN,
        SHADOW,
        FALLEN_SHADOW,
        GABLE_ROOF,
        EAVES,
        HIP_ROOF,
        LEAN_TO,
        HALF_PYRAMID,
        CHIMNEY,
        DORMER,
    )
}
