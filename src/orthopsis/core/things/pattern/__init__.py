"""A pattern on a face: stripes, checks, bricks, zigzags or waves that run as the face does, never copied flat.

It lies on a face of another thing. On a word each letter may have a pattern of its own.
"""

from orthopsis.core.things.declare import ThingKind
from orthopsis.core.things.parameters import Choice, Text
from orthopsis.core.things.pattern.designs import DESIGNS, EACH, FIELDS
from orthopsis.core.things.pattern.pattern import Pattern

PATTERN = ThingKind(
    kind="pattern",
    title="Pattern",
    parameters=(
        Choice("design", "the pattern", {**DESIGNS, EACH: "another pattern on each letter"}, "along"),
        Choice("fields", "its fields", FIELDS, "dark"),
        Text("along", "the parts along", "8", 60),
        Text("up", "the parts up", "6", 60),
    ),
    in_view={"one_point": Pattern, "two_point": Pattern, "three_point": Pattern},
    hangs="on_face",
    is_late=True,
)
