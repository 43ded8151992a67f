"""A pattern on a face: stripes, checks, bricks, zigzags or waves that run as the face does, never copied flat.

It lies on a face of another thing. On a word each letter may have a pattern of its own.
"""

from orthopsis.core.things.declare import ThingKind
from orthopsis.core.things.parameters import Choice, Text
from orthopsis.core.things.pattern.builds import PATTERNED
from orthopsis.core.things.pattern.designs import DESIGNS, EACH, FIELDS

PATTERN = ThingKind(
    kind="pattern",
    title="Pattern",
    parameters=(
        Choice("design", "the pattern", {**DESIGNS, EACH: "another pattern on each letter"}, "along"),
        Choice("fields", "its fields", FIELDS, "dark"),
        Text("along", "the parts along", "8", 60),
        Text("up", "the parts up", "6", 60),
    ),
    builds={"one_point": PATTERNED, "two_point": PATTERNED, "three_point": PATTERNED},
    lies_on_face=True,
    is_late=True,
)
