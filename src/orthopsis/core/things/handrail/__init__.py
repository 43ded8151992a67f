"""A handrail along a flight of stairs: the first post and the last one fix it, all others end at it.

Two posts that are equally tall have a line between their tops that runs as the slope line of the stairs does.
"""

from orthopsis.core.things.declare import ThingKind
from orthopsis.core.things.handrail.handrail import Handrail
from orthopsis.core.things.handrail.shape import BARS, ON, POSTS
from orthopsis.core.things.parameters import Choice, Length

HANDRAIL = ThingKind(
    kind="handrail",
    title="Handrail",
    parameters=(
        Length("high", "how high it is over the first step", 30.0, 1.0, 2000.0),
        Choice("posts", "where its posts stand", POSTS, "1"),
        Choice("bars", "what runs from post to post", BARS, "one"),
        Choice("on", "on which side it stands", ON, "near"),
    ),
    in_view={"one_point": Handrail, "two_point": Handrail},
    hangs="on_face",
    can_lie_on=lambda panel: panel.flight is not None,
    lies_says=" It goes up with ",
    lies_on="a flight of stairs",
)
