"""Eaves: a slab on the top of a block that stands out over it all round, for a flat roof or under another one.

The hand carries the diagonals of the top on past its corners; one measure on them fixes all four corners of the eaves.
"""

from orthopsis.core.construct.panel import Panel
from orthopsis.core.things.declare import ThingKind
from orthopsis.core.things.eaves.eaves import Eaves
from orthopsis.core.things.parameters import Length


def _is_top(panel: Panel) -> bool:
    return panel.is_whole_top


EAVES = ThingKind(
    kind="eaves",
    title="Eaves",
    parameters=(
        Length("over", "how far they stand out", 6.0, 0.5, 200.0),
        Length("thick", "how thick they are", 4.0, 0.5, 200.0),
    ),
    in_view={"one_point": Eaves, "two_point": Eaves, "three_point": Eaves},
    hangs="on_face",
    can_lie_on=_is_top,
    bears=True,
    may_be_hidden=True,
    is_building=True,
    lies_says=" They lie on ",
    adding="eaves",
    lies_on="a box",
)
