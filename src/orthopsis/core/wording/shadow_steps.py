"""What a teacher says while a cast shadow is found."""

from orthopsis.core.wording.step import StepPhrases

_RAY_RULE = (
    "The light comes from the side: on level ground the shadow of an upright is level, and all rays are parallel."
)
SHADOW: dict[str, StepPhrases] = {
    "shadow.rays": StepPhrases(
        "its rays at {ray}",
        (
            "Take the uprights of {other} on the {shadow_side}. From the foot of each draw a light level line to the "
            "{shadow_side}. From its top draw a light line down to that level line, with the {ray} corner of the set "
            "square. There its shadow ends. Count: {count} lines.",
            "From the foot of each [upright] of {other} on the {shadow_side} draw a light level line to the "
            "{shadow_side}, and from its top a ray at {ray}, by the set square, down to that line: {lines}.",
            "From the [uprights] of {other} on the {shadow_side}: the foot's level line, and the ray at {ray} from the "
            "top, to their crossing: {lines}.",
        ),
        _RAY_RULE,
        "Letting the rays spread: from the side they are parallel.",
        "ruler and set square, pencil light",
    ),
    "shadow.carried": StepPhrases(
        "the corner behind",
        (
            "The top behind is hidden. From its foot draw a light level line to the {shadow_side} too. From the shadow "
            "corner beside it lay the ruler {carried_way}: where it meets the level line is the corner. Count: "
            "{count}.",
            "The top behind is hidden: its shadow lies on the level line from its foot, {lines}, where the ruler meets "
            "it that lies {carried_way} from the shadow corner beside it.",
            "The hidden top's shadow: the level line from its foot, {lines}, meets the line {carried_way} from the "
            "corner beside it.",
        ),
        "The edges of the shadow run as those of the top do, to the same points.",
        "Guessing how far the hidden corner is.",
        "ruler on the point, pencil light",
    ),
    "shadow.outline": StepPhrases(
        "its outline",
        (
            "Draw the edges of the shadow: from the feet to its corners, and from corner to corner. In the end fill "
            "it with one even grey. Count: {count}.",
            "Draw its edges, from the feet to its corners and from corner to corner: {lines}. It gets one even grey.",
            "Its edges: from the feet, and from corner to corner: {lines}. One flat grey.",
        ),
        "A cast shadow is flat: it gets one even tone, darker than the ground.",
        "Shading it darker and lighter.",
        "ruler",
    ),
}
