"""A road over the ground to a vanishing point, or a path, a river, a canal: two lines from the lower part of the sheet.

It knows its sides, and the dashes on its middle line. It lies on the ground: whatever stands there hides it.
"""

from orthopsis.core.things.declare import ThingKind
from orthopsis.core.things.parameters import FIRST_CORNER, LOOK, Choice, Length
from orthopsis.core.things.road.beside import BESIDE, STRIPES
from orthopsis.core.things.road.road import BY, DASHES, WAYS, LevelRoad, TurnedRoad
from orthopsis.core.things.road.side_street import BRANCHES

ROAD = ThingKind(
    kind="road",
    title="Road",
    parameters=(
        *FIRST_CORNER,
        Length("width", "the width at its near end", 100.0, 2.0, 2000.0),
        Choice("to", "the point to which it runs", {"left": "the left point", "right": "the right point"}, "right"),
        Choice("what", "what it is", WAYS, "road"),
        Choice("dashes", "how many dashes it has", DASHES, "none"),
        Length("dash", "how long the first dash is", 30.0, 1.0, 1000.0),
        Choice("dashes_by", "how the dashes are found", BY, "diagonal", {"diagonal": ("one_point",)}),
        Choice("beside", "what is beside it", BESIDE, "none"),
        Length("pave", "the width of the pavement", 20.0, 1.0, 1000.0),
        Length("kerb", "the height of the kerb", 3.0, 0.5, 100.0),
        Choice("crossing", "its crossing", STRIPES, "none"),
        Length("cross_at", "where the crossing begins along the left side", 40.0, 1.0, 2000.0),
        Length("cross_deep", "how deep the crossing is along the left side", 20.0, 1.0, 1000.0),
        Choice("branch", "what leads off it", BRANCHES, "none"),
        Length("branch_at", "where it leads off along the side", 60.0, 1.0, 2000.0),
        Length("branch_deep", "how wide it is along the side", 24.0, 1.0, 1000.0),
        Choice(LOOK.name, LOOK.says, {"solid": "Solid"}, "solid"),
    ),
    in_view={"one_point": LevelRoad, "two_point": TurnedRoad, "three_point": TurnedRoad},
)
