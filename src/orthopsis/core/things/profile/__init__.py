"""A profile: any outline of straight edges, with holes or without, carried back to a point.

On a front face in one-point perspective; on either side of a block in two- and three-point, there on its top too. A
rounded shape starts from its block form.
"""

from orthopsis.core.things.box import SIDES
from orthopsis.core.things.declare import ThingKind
from orthopsis.core.things.outline import MOST_CORNERS, scaled
from orthopsis.core.things.parameters import FIRST_CORNER, LOOK, Choice, Length, Shape
from orthopsis.core.things.profile.cut import FACES
from orthopsis.core.things.profile.front import FrontProfile
from orthopsis.core.things.profile.shapes import READY
from orthopsis.core.things.profile.side import SideProfile

FRESH_MM = (54.0, 70.0)

DEPTH_CORNERS = Choice(
    "depth_corner",
    "the corner",
    {
        "auto": "the longest guide line",
        **{str(n): f"the guide line of corner {n}" for n in range(1, MOST_CORNERS + 1)},
    },
    "auto",
)
"""Along the guide line of which corner of the outline the depth is cut."""

PROFILE = ThingKind(
    kind="profile",
    title="Shape",
    parameters=(
        *FIRST_CORNER,
        Shape("outline", "the outline", READY, scaled(READY["letter H"], *FRESH_MM)),
        Choice("depth_by", "the depth", {"measured": "measured", "half": "about half way"}, "half"),
        Length("depth", "the depth", 30.0, 1.0, 2000.0),
        DEPTH_CORNERS,
        Choice("side", "the face", FACES, "left"),
        Length("height", "the height", 70.0, 2.0, 2000.0),
        *SIDES,
        Choice(LOOK.name, LOOK.says, {"solid": "Solid", "see_through": "See-through"}, "solid"),
    ),
    in_view={"one_point": FrontProfile, "two_point": SideProfile, "three_point": SideProfile},
)
