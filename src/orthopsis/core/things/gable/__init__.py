"""A gable roof on a block: two slopes that meet in a ridge over the middle of a wall.

It stands on a wall that shows, which is then its gable wall; the ridge runs the other way. How far the roof reaches is
the block's business.
"""

from orthopsis.core.construct.panel import Panel
from orthopsis.core.things.declare import ThingKind
from orthopsis.core.things.gable.roof import GableRoof
from orthopsis.core.things.parameters import Choice, Length


def _is_gable_wall(panel: Panel) -> bool:
    """Tell whether a face is a wall, whole and seen from outside, with a body behind it."""
    return panel.is_whole and not panel.is_part and panel.is_seen and not panel.is_level and panel.back is not None


GABLE_ROOF = ThingKind(
    kind="gable_roof",
    title="Gable roof",
    parameters=(
        Length("rise", "the height of the ridge over the wall", 30.0, 1.0, 2000.0),
        Choice(
            "far_by",
            "how its far end is found",
            {"slope": "by the line of its slope", "middle": "by the middle of the far wall"},
            "slope",
        ),
    ),
    in_view={"one_point": GableRoof, "two_point": GableRoof, "three_point": GableRoof},
    hangs="on_face",
    can_lie_on=_is_gable_wall,
    bears=True,
    is_building=True,
    lies_says=" Its gable stands on ",
    lies_on="a box, placed so that a wall of it is seen,",
)
