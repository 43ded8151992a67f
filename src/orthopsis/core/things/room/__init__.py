"""A room that is looked into, in one-point perspective: a frame drawn true, and the back wall by lines to the point.

Its floor, walls and ceiling are seen from inside; things stand and lie on them as on any face. Where the point lies in
the frame decides how much of each wall is seen.
"""

from orthopsis.core.things.box.front_block import CORNER_WORDS
from orthopsis.core.things.declare import ThingKind
from orthopsis.core.things.parameters import FIRST_CORNER, LOOK, Choice, Length
from orthopsis.core.things.room.room import Room

ROOM = ThingKind(
    kind="room",
    title="Room",
    parameters=(
        *FIRST_CORNER,
        Length("width", "the width of the frame", 300.0, 20.0, 2000.0),
        Length("height", "the height of the frame", 200.0, 20.0, 2000.0),
        Choice("depth_by", "how far back the back wall is", {"measured": "measured", "half": "about half way"}, "half"),
        Length("depth", "how far back the back wall is", 80.0, 1.0, 2000.0),
        Choice(
            "depth_corner",
            "the corner",
            {
                "auto": "the longest light line",
                **{corner: f"the light line of the {words} corner" for corner, words in CORNER_WORDS.items()},
            },
            "auto",
        ),
        Choice(LOOK.name, LOOK.says, {"open": "Looked into"}, "open"),
    ),
    in_view={"one_point": Room},
)
