"""Trees, people, lamp posts and poles: outlines that stand upright on the ground, one or a row of them going away.

It knows how tall they are, by a measure or by the eye level, and where each stands. Their outlines are sketched by hand
about a light upright, so nobody's lines are judged. Where uprights run to a third point nothing of the kind stands.
"""

from orthopsis.core.things.declare import ThingKind
from orthopsis.core.things.parameters import FIRST_CORNER, LOOK, Choice, Length
from orthopsis.core.things.silhouette.outlines import OUTLINES
from orthopsis.core.things.silhouette.shape import BY, COUNTS, SHARES, TALL_BY
from orthopsis.core.things.silhouette.silhouettes import LevelSilhouettes, TurnedSilhouettes

SILHOUETTES = ThingKind(
    kind="silhouettes",
    title="Silhouette",
    parameters=(
        *FIRST_CORNER,
        Choice("what", "what they are", {name: outline.says for name, outline in OUTLINES.items()}, "tree"),
        Choice("tall_by", "how tall it is", TALL_BY, "measured"),
        Length("height", "the height", 60.0, 2.0, 2000.0),
        Choice("share", "how tall against the eye level", SHARES, "same"),
        Choice("count", "how many there are", COUNTS, "1"),
        Length("gap", "the distance to the second one along the ground line", 40.0, 1.0, 2000.0),
        Choice("spaced", "how their places are found", BY, "diagonal"),
        Choice("to", "the point to which a row runs", {"left": "the left point", "right": "the right point"}, "right"),
        Choice(LOOK.name, LOOK.says, {"solid": "Solid"}, "solid"),
    ),
    in_view={"one_point": LevelSilhouettes, "two_point": TurnedSilhouettes},
    is_late=True,
    adding="trees, people, boats or posts",
)
