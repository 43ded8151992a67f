"""A word, or one letter, in block letters: its outline follows from the text; the rest is a profile.

In one-point perspective its front is drawn true, in two- and three-point it is cut from one side of a long block. It
knows the alphabet and the measures of letters; how an outline is carried back is the profile's business.
"""

from orthopsis.core.things.box import SIDES
from orthopsis.core.things.declare import ThingKind
from orthopsis.core.things.letters.front import FrontWord
from orthopsis.core.things.letters.layouts import LAYOUTS, SHOWN_IN, STRAIGHT
from orthopsis.core.things.letters.measures import THICKNESS
from orthopsis.core.things.letters.names import LATE, LONG, WHOSE
from orthopsis.core.things.letters.side import SideWord
from orthopsis.core.things.parameters import FIRST_CORNER, LOOK, Choice, Length, Text
from orthopsis.core.things.profile import DEPTH_CORNERS
from orthopsis.core.things.profile.cut import FACES

LETTERS = ThingKind(
    kind="letters",
    title="Word",
    parameters=(
        *FIRST_CORNER,
        Text("text", "the word", "KNOT", 80, is_drawn=True),
        Choice("whose", "whose word it is", WHOSE, "all"),
        Choice("long", "what becomes of long names", LONG, "smaller"),
        Choice("late", "what becomes of names that take longer than the lesson", LATE, "whole"),
        Choice("layout", "how its letters stand", LAYOUTS, STRAIGHT, SHOWN_IN),
        Length("step", "the first step back", 40.0, 1.0, 2000.0),
        Length("spread", "the room about the point", 30.0, 1.0, 2000.0),
        Length("slice", "the thickness of the slices", 15.0, 1.0, 1000.0),
        Choice("form", "the form of the letters", {"block": "block", "round": "rounded"}, "block"),
        Length("width", "the width of a letter", 50.0, 4.0, 1000.0),
        Length("height", "the height", 60.0, 5.0, 1000.0),
        Length("gap", "the gap between letters", 10.0, 0.0, 1000.0),
        Choice("thickness", "the thickness of the strokes", THICKNESS, "quarter"),
        Length("stroke", "the width of the upright strokes", 14.0, 1.0, 500.0),
        Length("bar", "the height of the bars", 12.0, 1.0, 500.0),
        Length("middle", "the height of the middle bar", 12.0, 1.0, 500.0),
        Length("middle_up", "the height of the middle bar's lower edge", 24.0, 1.0, 900.0),
        Choice("depth_by", "the depth", {"measured": "measured", "half": "about half way"}, "half"),
        Length("depth", "the depth", 30.0, 1.0, 2000.0),
        DEPTH_CORNERS,
        Choice("side", "the face", FACES, "left"),
        *SIDES,
        Choice(LOOK.name, LOOK.says, {"solid": "Solid", "see_through": "See-through"}, "solid"),
    ),
    in_view={"one_point": FrontWord, "two_point": SideWord, "three_point": SideWord},
)
