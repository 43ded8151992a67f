"""What a teacher says while the shadow of a table is found."""

from dataclasses import replace

from orthopsis.core.wording.shadow_steps import LAMP_RULE, RAY_RULE, SUN_RULE
from orthopsis.core.wording.step import StepPhrases

_APART = "The shadow of a table's top lies apart from the table: light comes in under it."
_MIXED_UP = "Going from the corner to the line of another foot."
_BY_SQUARE, _BY_POINT = "ruler and set square, pencil light", "ruler on the point, pencil light"
_ON_ONE_LINE = "What stands over one foot has its shadow on one line from that foot."

TABLE_SHADOW: dict[str, StepPhrases] = {
    "table_shadow.upper": StepPhrases(
        "the upper corners of its top, rays at {ray}",
        (
            "Take the upper corners of the top of {other} that lie to the {shadow_side}, as on the picture. From the "
            "foot under each draw a light level line to the {shadow_side}. From the corner draw a light line down to "
            "it, with the {ray} corner of the set square. Count: {count} lines.",
            "Take the upper corners of the top of {other} that lie to the {shadow_side}. From the foot under each draw "
            "a light level line to the {shadow_side}. From the corner draw a ray at {ray} down to it: {lines}.",
            "From the upper corners of the top on the {shadow_side}: the level line from the foot, the ray at {ray} "
            "to it: {lines}.",
        ),
        RAY_RULE,
        _MIXED_UP,
        _BY_SQUARE,
    ),
    "table_shadow.upper_to_points": StepPhrases(
        "the upper corners of its top, by the two points",
        (
            "Take the upper corners of the top of {other} on the side away from the light, as on the picture. From the "
            "foot under each draw a light line {sense} the {shadow_point}. From the corner draw a light line {sense} "
            "the {light_point}, to the first one. Count: {count} lines.",
            "Take the upper corners of the top of {other} on the side away from the light. From the foot under each "
            "draw a light line {sense} the {shadow_point}. From the corner draw one {sense} the {light_point}, to the "
            "first: {lines}.",
            "From the upper corners of the top away from the light: the line from the foot {sense} the "
            "{shadow_point}, the ray {sense} the {light_point} to it: {lines}.",
        ),
        SUN_RULE,
        _MIXED_UP,
        _BY_POINT,
    ),
    "table_shadow.lower": StepPhrases(
        "the lower corners of its top",
        (
            "Now take the lower corners of the top on the other side, as on the picture. Where the level line from a "
            "foot is not there yet, draw it. From each corner draw a ray down to that line, like the others. Count: "
            "{count} lines.",
            "Do the same with the lower corners of the top on the other side: a ray at {ray} to the level line from "
            "the foot: {lines}.",
            "The lower corners of the top on the other side, to the level lines from their feet: {lines}.",
        ),
        _ON_ONE_LINE,
        "Taking the upper corners on both sides: then the shadow is too small.",
        _BY_SQUARE,
    ),
    "table_shadow.lower_to_points": StepPhrases(
        "the lower corners of its top",
        (
            "Now take the lower corners of the top on the other side, as on the picture. Where the line from a foot is "
            "not there yet, draw it. From each corner draw a line {sense} the {light_point}, to the line from its "
            "foot. Count: {count} lines.",
            "Do the same with the lower corners of the top on the other side: a ray {sense} the {light_point} to the "
            "line from the foot: {lines}.",
            "The lower corners of the top on the other side, to the lines from their feet: {lines}.",
        ),
        _ON_ONE_LINE,
        "Taking the upper corners on both sides: then the shadow is too small.",
        _BY_POINT,
    ),
    "table_shadow.carried_to_points": StepPhrases(
        "the corner under the light",
        (
            "The two lines of this corner lie on each other. From its foot draw a light line {sense} the "
            "{shadow_point}, if it is not there. From the shadow corner beside it lay the ruler {carried_way}. Where "
            "it meets that line is the corner.",
            "The two lines of this corner lie on each other. It is on the line from its foot {sense} the "
            "{shadow_point}, where the ruler meets it that lies {carried_way} from the corner beside it.",
            "The corner straight under the light: the line from its foot meets the line {carried_way} from the corner "
            "beside it.",
        ),
        "The edges of the shadow run as those of the top do, to the same points.",
        "Guessing how far this corner is.",
        _BY_POINT,
    ),
    "table_shadow.outline": StepPhrases(
        "the outline of its top's shadow",
        (
            "Join the corners of the shadow all round. In the end fill it with one even grey. Count: {count}.",
            "Join its corners all round: {lines}. It gets one even grey.",
            "Its corners joined all round: {lines}. One flat grey.",
        ),
        _APART,
        "Joining it with the feet: between them is light.",
        "ruler",
    ),
    "table_shadow.legs": StepPhrases(
        "the shadows of its legs",
        (
            "From the two outer corners of each leg's foot draw level lines to the {shadow_side}. Stop where the "
            "shadow of the top begins. Fill them with the same grey. Count: {count}.",
            "From the two outer corners of each foot draw level lines to the {shadow_side}, up to the shadow of the "
            "top: {lines}. They get the same grey.",
            "From the outer corners of each foot, level, up to the shadow of the top: {lines}.",
        ),
        "A leg's shadow begins at its foot and runs into that of the top.",
        "Beginning at the middle of the foot.",
        "ruler",
    ),
    "table_shadow.legs_to_points": StepPhrases(
        "the shadows of its legs",
        (
            "From the two outer corners of each leg's foot draw lines {sense} the {shadow_point}. Stop where the "
            "shadow of the top begins. Fill them with the same grey. Count: {count}.",
            "From the two outer corners of each foot draw lines {sense} the {shadow_point}, up to the shadow of the "
            "top: {lines}. They get the same grey.",
            "From the outer corners of each foot {sense} the {shadow_point}, up to the shadow of the top: {lines}.",
        ),
        "A leg's shadow begins at its foot and runs into that of the top.",
        "Beginning at the middle of the foot.",
        "ruler on the point",
    ),
}
_BY_LAMP = {
    "upper": ("the upper corners of its top, by the lamp and its foot", LAMP_RULE),
    "lower": ("the lower corners of its top", _ON_ONE_LINE),
    "carried": ("the corner under the lamp", TABLE_SHADOW["table_shadow.carried_to_points"].rule),
    "legs": ("the shadows of its legs", LAMP_RULE),
}
for _name, (_title, _rule) in _BY_LAMP.items():
    _of_sun = TABLE_SHADOW[f"table_shadow.{_name}_to_points"]
    TABLE_SHADOW[f"table_shadow.{_name}_of_lamp"] = replace(_of_sun, title=_title, rule=_rule)
