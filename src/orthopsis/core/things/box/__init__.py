"""A box, in every kind of view: from its front face in one-point, from its nearest edge in two- and three-point."""

from orthopsis.core.things.box.corner import CornerBox
from orthopsis.core.things.box.front import FrontBox
from orthopsis.core.things.box.front_block import CORNER_WORDS
from orthopsis.core.things.declare import ThingKind
from orthopsis.core.things.parameters import FIRST_CORNER, LOOK, Choice, Length

SIDE_BY = {"measured": "measured", "half": "about half way", "true": "of true length", "cube": "as long as it is tall"}
SIDES = tuple(
    parameter
    for role in ("left", "right")
    for parameter in (
        Choice(f"{role}_by", f"the {role} side", SIDE_BY, "half"),
        Length(f"{role}_length", f"the length of the {role} side", 50.0, 1.0, 2000.0),
    )
)
"""How the two sides beside a nearest edge are cut."""

BOX = ThingKind(
    kind="box",
    title="Box",
    parameters=(
        *FIRST_CORNER,
        Length("width", "the width", 60.0, 2.0, 2000.0),
        Length("height", "the height", 50.0, 2.0, 2000.0),
        Choice(
            "depth_by",
            "the depth",
            {"measured": "measured", "half": "about half way", "cube": "a true cube"},
            "half",
        ),
        Length("depth", "the depth", 30.0, 1.0, 2000.0),
        Choice(
            "depth_corner",
            "the corner",
            {
                "auto": "the longest guide line",
                **{corner: f"the {words} corner's guide line" for corner, words in CORNER_WORDS.items()},
            },
            "auto",
        ),
        *SIDES,
        LOOK,
    ),
    in_view={"one_point": FrontBox, "two_point": CornerBox, "three_point": CornerBox},
)
