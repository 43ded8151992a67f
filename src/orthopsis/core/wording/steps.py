"""The words of every kind of step, by the breath that the moves name."""

from orthopsis.core.wording.corner_room_steps import CORNER_ROOM
from orthopsis.core.wording.corner_steps import CORNER
from orthopsis.core.wording.eaves_steps import EAVES
from orthopsis.core.wording.face_steps import FACE
from orthopsis.core.wording.fallen_shadow_steps import FALLEN_SHADOW
from orthopsis.core.wording.finish_steps import FINISH
from orthopsis.core.wording.flat_steps import FLAT
from orthopsis.core.wording.form_steps import FORM
from orthopsis.core.wording.front_steps import FRONT
from orthopsis.core.wording.ground_steps import GROUND
from orthopsis.core.wording.handrail_steps import HANDRAIL
from orthopsis.core.wording.hip_steps import HIP
from orthopsis.core.wording.laid_steps import LAID_STEPS
from orthopsis.core.wording.level_steps import LEVEL
from orthopsis.core.wording.on_roof_steps import ON_ROOF
from orthopsis.core.wording.pattern_steps import PATTERN
from orthopsis.core.wording.rails_shadow_steps import RAILS_SHADOW
from orthopsis.core.wording.raised_steps import RAISED
from orthopsis.core.wording.ramp_steps import RAMP
from orthopsis.core.wording.rectangle_steps import RECTANGLE
from orthopsis.core.wording.repeat_steps import REPEAT
from orthopsis.core.wording.roof_steps import ROOF
from orthopsis.core.wording.room_steps import ROOM
from orthopsis.core.wording.round_body_steps import ROUND_BODY
from orthopsis.core.wording.round_steps import ROUND
from orthopsis.core.wording.round_windows_steps import ROUND_WINDOWS
from orthopsis.core.wording.row_steps import ROW
from orthopsis.core.wording.setup_steps import SETUP
from orthopsis.core.wording.shadow_steps import SHADOW
from orthopsis.core.wording.silhouette_steps import SILHOUETTE
from orthopsis.core.wording.stairs_steps import STAIRS
from orthopsis.core.wording.step import StepPhrases
from orthopsis.core.wording.table_shadow_steps import TABLE_SHADOW
from orthopsis.core.wording.table_steps import TABLE
from orthopsis.core.wording.tile_steps import TILES

STEPS: dict[str, StepPhrases] = {
    **SETUP,
    **FRONT,
    **CORNER,
    **ROOM,
    **CORNER_ROOM,
    **ROUND,
    **ROW,
    **FACE,
    **TILES,
    **LAID_STEPS,
    **FLAT,
    **LEVEL,
    **FORM,
    **RECTANGLE,
    **REPEAT,
    **GROUND,
    **SILHOUETTE,
    **ROOF,
    **HIP,
    **EAVES,
    **RAISED,
    **TABLE,
    **STAIRS,
    **RAMP,
    **HANDRAIL,
    **ROUND_BODY,
    **ROUND_WINDOWS,
    **SHADOW,
    **TABLE_SHADOW,
    **RAILS_SHADOW,
    **FALLEN_SHADOW,
    **ON_ROOF,
    **PATTERN,
    **FINISH,
}
