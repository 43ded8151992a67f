"""A face divided: into parts along and up, in the way that the teacher chooses.

It lies on a face of another thing. It knows how many parts there are and how they are found; where a face is, its own
thing says.
"""

from orthopsis.core.things.declare import ThingKind
from orthopsis.core.things.division.division import Division
from orthopsis.core.things.division.shares import WAYS
from orthopsis.core.things.parameters import Choice, Length, Text

FIELDS = {"plain": "all alike", "checkered": "checkered, fading with distance"}

DIVISION = ThingKind(
    kind="division",
    title="Division",
    parameters=(
        Choice("way", "how it is divided", WAYS, "diagonal"),
        Text("along", "the parts along", "2", 60),
        Text("up", "the parts up", "1", 60),
        Length("bay", "the length of the first part on the page", 15.0, 1.0, 2000.0),
        Choice("fields", "whether every other tile is dark", FIELDS, "plain"),
        Choice("stays", "whether its lines stay", {"lines": "stay", "light": "are light and go away again"}, "lines"),
    ),
    in_view={"one_point": Division, "two_point": Division, "three_point": Division},
    hangs="on_face",
    bears=True,
    can_lie_on=lambda panel: panel.is_whole,
)
