"""A room that is looked into, its floor, walls and ceiling seen from inside; things stand and lie on them.

In one-point perspective it has a frame that is drawn true, and its back wall by lines to the point; in two-point it
begins at its back corner, and its walls come toward the viewer, away from the points.
"""

from orthopsis.core.things.box.front_block import CORNER_WORDS
from orthopsis.core.things.declare import ThingKind
from orthopsis.core.things.parameters import FIRST_CORNER, LOOK, Choice, Length
from orthopsis.core.things.room.corner_room import CornerRoom
from orthopsis.core.things.room.room import Room

ROOM = ThingKind(
    kind="room",
    title="Room",
    parameters=(
        *FIRST_CORNER,
        Length("width", "the width of the frame", 300.0, 20.0, 2000.0),
        Length("height", "the height of the frame, or of the back corner", 200.0, 20.0, 2000.0),
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
        Length("left_length", "how far the left wall reaches aside", 110.0, 2.0, 2000.0),
        Length("right_length", "how far the right wall reaches aside", 110.0, 2.0, 2000.0),
        Choice("ceiling", "whether it has a ceiling", {"none": "no ceiling", "drawn": "a ceiling"}, "none"),
        Choice(LOOK.name, LOOK.says, {"open": "Looked into"}, "open"),
    ),
    in_view={"one_point": Room, "two_point": CornerRoom},
)
