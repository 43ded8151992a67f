"""What a teacher says while a cast shadow is found."""

from dataclasses import replace

from orthopsis.core.wording.form_steps import CIRCLE_SAYS, MIDDLE_SAYS
from orthopsis.core.wording.step import StepPhrases

RAY_RULE = (
    "The light comes from the side: on level ground the shadow of an upright is level, and all rays are parallel."
)
SUN_RULE = (
    "On level ground shadows of [uprights] run to one point of the [eye level]; rays run to the point straight over or "
    "under it."
)
LAMP_RULE = (
    "On the floor shadows of [uprights] run out from the place straight under the lamp; rays run out from the lamp."
)
_OF_POINTS: dict[str, StepPhrases] = {
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
        RAY_RULE,
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
    "shadow.under_peak": StepPhrases(
        "under the {peak}",
        (
            "Put the ruler upright on the {peak}. Draw a light line straight down, to the foot of the wall, and mark "
            "where it ends there. Count: {count}.",
            "From the {peak} draw a light line straight down to the foot of its wall, {lines}, and mark it.",
            "From the {peak} go straight down to the foot of its wall: {lines}.",
        ),
        "It stands over the middle of its wall, and so over the middle of the foot of the wall.",
        "Taking the middle of the foot by the ruler: it is not there where the wall goes away.",
        "ruler, pencil light",
    ),
    "shadow.peak": StepPhrases(
        "the shadow of the {peak}",
        (
            "From the mark at the foot of the wall draw a light level line to the {shadow_side}. From the {peak} draw "
            "a light line down to that level line, with the {ray} corner of the set square. There its shadow is. "
            "Count: {count} lines.",
            "From the mark at the foot of the wall draw a light level line to the {shadow_side}, and from the {peak} "
            "a ray at {ray} down to it: {lines}.",
            "From that mark the level line, and from the {peak} the ray at {ray}, to their crossing: {lines}.",
        ),
        RAY_RULE,
        "Beginning at a corner of the house: what is highest stands over the mark.",
        "ruler and set square, pencil light",
    ),
    "shadow.ridge": StepPhrases(
        "the other end of the ridge",
        (
            "From the shadow of the peak draw a light line {ridge_way}. From the other end of the ridge of {roof} draw "
            "a ray as before, down to that line. Count: {count} lines.",
            "From the shadow of the peak draw a light line {ridge_way}, and from the other end of the ridge a ray as "
            "before, down to it: {lines}.",
            "From the shadow of the peak the line {ridge_way}; the ray of the other end of the ridge meets it: "
            "{lines}.",
        ),
        "The shadow of a level edge on the ground runs as the edge does.",
        "Drawing the shadow of the ridge parallel to the edge of the shadow beside it.",
        "ruler on the point, pencil light",
    ),
    "shadow.under_middle": StepPhrases(
        "the middle of the foot",
        (
            "Draw a light line across the foot of {other}, from corner to corner, the wider way. Lay the ruler upright "
            "on the {middle}. Draw a light line straight down to that line, and make a mark. Count: {count} lines.",
            "Draw the wider diagonal of the foot of {other}, and from the {middle} a light line straight down to it: "
            "{lines}. Mark where they meet.",
            "The wider diagonal of the foot of {other}, and the line straight down to it from the {middle}: {lines}.",
        ),
        "What is over the middle of the top is over the middle of the foot too.",
        "Going down to the front edge of the foot: the middle lies farther back.",
        "ruler and set square, pencil light",
    ),
    "shadow.under_ridge": StepPhrases(
        "under the ridge",
        (
            "Through the mark draw a light line {ridge_way}, from edge to edge of the foot. From {ends} of the ridge "
            "draw a light line straight down to it, and make a mark there. Count: {count} lines.",
            "Through the mark draw a light line {ridge_way}, from edge to edge of the foot, and from {ends} of the "
            "ridge one straight down to it: {lines}. Mark where they meet.",
            "The foot's middle line, {ridge_way}, and the line straight down to it from {ends} of the ridge: {lines}.",
        ),
        "The ridge stands over the middle line of the foot.",
        "A middle line that runs to the wrong point.",
        "ruler and set square, pencil light",
    ),
    "shadow.tops": StepPhrases(
        "the shadow of the roof",
        (
            "From {each_mark} draw a light level line to the {shadow_side}. From the {summit} draw a light line down "
            "to that level line, with the {ray} corner of the set square. There its shadow is. Count: {count} lines.",
            "From {each_mark} draw a light level line to the {shadow_side}, and from the {summit} a ray at {ray} down "
            "to it: {lines}.",
            "From {each_mark} the level line, and from the {summit} the ray at {ray}, to their crossing: {lines}.",
        ),
        RAY_RULE,
        "Beginning at a corner of the house: the roof stands over the mark.",
        "ruler and set square, pencil light",
    ),
    "shadow.tops_to_points": StepPhrases(
        "the shadow of the roof",
        (
            "Lay the ruler on the {shadow_point} and on {each_mark}. Draw a light line from there, {sense} that point. "
            "Lay it on the {light_point} and on the {summit}. Draw from there, {sense} that point, to the first line: "
            "there its shadow is. Count: {count} lines.",
            "From {each_mark} draw a light line {sense} the {shadow_point}, and from the {summit} one {sense} the "
            "{light_point}: {lines}. Where they meet is its shadow.",
            "From {each_mark} the line {sense} the {shadow_point}, and from the {summit} the ray {sense} the "
            "{light_point}, to their crossing: {lines}.",
        ),
        SUN_RULE,
        "Beginning at a corner of the house: the roof stands over the mark.",
        "ruler on the point, pencil light",
    ),
    "shadow.high": StepPhrases(
        "the shadow of the high edge",
        (
            "Find the foot of the house straight under {high_end} of the high edge of {roof}. From there draw a light "
            "level line to the {shadow_side}. From {summit} draw a light line down to that level line, with the {ray} "
            "corner of the set square. There its shadow is. Count: {count} lines.",
            "From the foot of the house under {high_end} of the high edge of {roof} draw a light level line to the "
            "{shadow_side}, and from {summit} a ray at {ray} down to it: {lines}.",
            "From the foot under {high_end} of the high edge the level line, and from {summit} the ray at {ray}, to "
            "their crossing: {lines}.",
        ),
        RAY_RULE,
        "Taking the ray from the corner of the wall: the roof is higher there.",
        "ruler and set square, pencil light",
    ),
    "shadow.high_to_points": StepPhrases(
        "the shadow of the high edge",
        (
            "Find the foot of the house straight under {high_end} of the high edge of {roof}. Lay the ruler on it and "
            "on the {shadow_point}. Draw a light line from the foot, {sense} that point. Lay it on the {light_point} "
            "and on {summit}. Draw from there, {sense} that point, to the first line: there its shadow is. Count: "
            "{count} lines.",
            "From the foot of the house under {high_end} of the high edge of {roof} draw a light line {sense} the "
            "{shadow_point}, and from {summit} one {sense} the {light_point}: {lines}. Where they meet is its shadow.",
            "From the foot under {high_end} of the high edge the line {sense} the {shadow_point}, and from {summit} "
            "the ray {sense} the {light_point}, to their crossing: {lines}.",
        ),
        SUN_RULE,
        "Taking the ray from the corner of the wall: the roof is higher there.",
        "ruler on the point, pencil light",
    ),
    "shadow.rays_to_points": StepPhrases(
        "its rays, by the two points",
        (
            "Take the corners of {other} on the side away from the light. Lay the ruler on the {shadow_point} and on "
            "the foot of the corner. Draw a light line from the foot, {sense} that point. Lay it on the {light_point} "
            "and on the top. Draw from the top, {sense} that point, to the first line: there its shadow ends. Count: "
            "{count} lines.",
            "From the foot of each [upright] of {other} on the side away from the light draw a light line {sense} the "
            "{shadow_point}, and from its top one {sense} the {light_point}: {lines}. Where they meet its shadow ends.",
            "From the [uprights] of {other} away from the light: the line from the foot {sense} the {shadow_point}, "
            "and the ray from the top {sense} the {light_point}, to their crossing: {lines}.",
        ),
        SUN_RULE,
        "Taking the points the wrong way round: feet go with the one on the [eye level].",
        "ruler on the point, pencil light",
    ),
    "shadow.peak_to_points": StepPhrases(
        "the shadow of the {peak}",
        (
            "Lay the ruler on the {shadow_point} and on the mark at the foot of the wall. Draw a light line from the "
            "mark, {sense} that point. Lay it on the {light_point} and on the {peak}. Draw from there, "
            "{sense} that point, to the first line: there its shadow is. Count: {count} lines.",
            "From the mark at the foot of the wall draw a light line {sense} the {shadow_point}, and from the "
            "{peak} one {sense} the {light_point}: {lines}. Where they meet is its shadow.",
            "From that mark the line {sense} the {shadow_point}, and from the {peak} the ray {sense} the "
            "{light_point}, to their crossing: {lines}.",
        ),
        SUN_RULE,
        "Beginning at a corner of the house: what is highest stands over the mark.",
        "ruler on the point, pencil light",
    ),
    "shadow.carried_to_points": StepPhrases(
        "the corner behind",
        (
            "This top is hidden, or its two lines lie on each other. From its foot draw a light line {sense} the "
            "{shadow_point} too. From the shadow corner beside it lay the ruler {carried_way}: where it meets that "
            "line is the corner. Count: {count}.",
            "This top is hidden, or its two lines lie on each other: its shadow lies on the line from its foot {sense} "
            "the {shadow_point}, {lines}, where the ruler meets it that lies {carried_way} from the shadow corner "
            "beside it.",
            "The shadow of the top that is hidden, or straight under the light: the line from its foot {sense} the "
            "{shadow_point}, {lines}, meets the line {carried_way} from the corner beside it.",
        ),
        "The edges of the shadow run as those of the top do, to the same points.",
        "Guessing how far the hidden corner is.",
        "ruler on the point, pencil light",
    ),
    "shadow.square_to_points": StepPhrases(
        "the shadow of its upper square, by the two points",
        (
            "Find the shadow of the upper square, lightly. From each corner under it draw a line {sense} the "
            "{shadow_point}. From the corner over it draw a line {sense} the {light_point}, to that one. Join the four "
            "corners. Count: {count} lines.",
            "From the four corners under the upper square draw light lines {sense} the {shadow_point}, and from "
            "the corners over them rays {sense} the {light_point} to these; join the four corners: {lines}.",
            "The upper square's shadow: the lines from the corners under it {sense} the {shadow_point}, the rays "
            "{sense} the {light_point} from its own, the sides between: {lines}.",
        ),
        "What is round is first a square, its shadow as well.",
        "Taking a ray to the line of another corner.",
        "ruler on the point, pencil light",
    ),
    "shadow.tip_to_points": StepPhrases(
        "the shadow of its tip, by the two points",
        (
            "From the middle of the circle draw a light line {sense} the {shadow_point}. From the tip draw a light "
            "line {sense} the {light_point}, to the first one: there the shadow ends. Count: {count} lines.",
            "From the middle of the circle draw a light line {sense} the {shadow_point}, and from the tip a ray "
            "{sense} the {light_point} to it: {lines}. There the shadow ends.",
            "The tip's shadow: the line from the middle {sense} the {shadow_point}, the ray {sense} the {light_point} "
            "from the tip: {lines}.",
        ),
        SUN_RULE,
        "Starting the line at the edge of the circle: the tip stands over its middle.",
        "ruler on the point, pencil light",
    ),
    "shadow.square": StepPhrases(
        "the shadow of its upper square, rays at {ray}",
        (
            "Find the shadow of the upper square, lightly. From each corner under it draw a level line to the "
            "{shadow_side}. From the corner over it draw a line down to that level line, with the {ray} corner of the "
            "set square. Join the four corners. Count: {count} lines.",
            "From the four corners under the upper square draw light level lines to the {shadow_side}, and from the "
            "corners over them rays at {ray} down to these; join the four corners: {lines}.",
            "The upper square's shadow: the level lines from the corners under it, the rays at {ray} from its own, the "
            "sides between: {lines}.",
        ),
        "What is round is first a square, its shadow as well.",
        "Taking a ray to the level line of another corner.",
        "ruler and set square, pencil light",
    ),
    "shadow.middle": StepPhrases(
        "the middle of that square",
        MIDDLE_SAYS,
        "The diagonals of a square cross in its true middle, however it is turned.",
        "Measuring the middle with the ruler.",
        "ruler",
    ),
    "shadow.circle": StepPhrases(
        "the shadow of the upper circle",
        CIRCLE_SAYS,
        "On level ground the shadow of a level circle is a circle again.",
        "Making it rounder than the circle on the ground beside it.",
        "pencil, free hand",
    ),
    "shadow.touching": StepPhrases(
        "its outline",
        (
            "Lay the ruler {lies}so that it just touches this circle and the one on which {other} stands. Draw from "
            "one to the other, on both sides. In the end fill it with one even grey. Count: {count}.",
            "Draw the lines that touch this circle and the one on which {other} stands: {lines}. It gets one even "
            "grey.",
            "The lines that touch this circle and that of the foot: {lines}. One flat grey.",
        ),
        "A round side has no corner: its shadow's edge is where the ruler touches both curves.",
        "Joining the middles: the ruler touches the curves elsewhere.",
        "ruler",
    ),
    "shadow.tip": StepPhrases(
        "the shadow of its tip, a ray at {ray}",
        (
            "From the middle of the circle draw a light level line to the {shadow_side}. From the tip draw a light "
            "line down to it, with the {ray} corner of the set square: there the shadow ends. Count: {count} lines.",
            "From the middle of the circle draw a light level line to the {shadow_side}, and from the tip a ray at "
            "{ray} down to it: {lines}. There the shadow ends.",
            "The tip's shadow: the level line from the middle, the ray at {ray} from the tip: {lines}.",
        ),
        RAY_RULE,
        "Starting the level line at the edge of the circle: the tip stands over its middle.",
        "ruler and set square, pencil light",
    ),
    "shadow.from_tip": StepPhrases(
        "its outline",
        (
            "From this point lay the ruler so that it just touches the circle on which {other} stands. Draw to where "
            "it touches, on both sides. In the end fill it with one even grey. Count: {count}.",
            "From this point draw the lines that touch the circle on the ground: {lines}. It gets one even grey.",
            "From there the lines that touch the circle on the ground: {lines}. One flat grey.",
        ),
        "The shadow of a cone is a triangle that touches its circle.",
        "Drawing to the middles of the square's sides.",
        "ruler",
    ),
    "shadow.climbs": StepPhrases(
        "up the {wall}",
        (
            "The lines on the floor meet the foot of the {wall}. From there draw a light line straight up the wall, "
            "to the ray from the same corner: there its shadow ends. Count: {count}.",
            "Where a line on the floor meets the foot of the {wall} draw a light [upright] up the wall, to the ray "
            "from the same corner: {lines}. There its shadow ends.",
            "On the {wall} the shadow of an [upright] is [upright]: from where the line on the floor meets its foot, "
            "up to the ray: {lines}.",
        ),
        "A shadow follows what it falls on: on a wall the shadow of an [upright] is [upright].",
        "Letting the shadow run on under the wall.",
        "ruler and set square, pencil light",
    ),
    "shadow.climbs_hidden": StepPhrases(
        "up the {wall}, the corner behind",
        (
            "The ray of the hidden top is not there. Lay the set square at {ray} on its corner on the floor. Draw the "
            "line up the {wall} from its foot to that ruler. Count: {count}.",
            "The ray of the hidden top is not drawn: lay it at {ray} through its corner on the floor, and draw the "
            "[upright] up the {wall} to it: {lines}.",
            "The hidden top's ray, at {ray} through its corner on the floor, ends its [upright] on the {wall}: "
            "{lines}.",
        ),
        "A shadow follows what it falls on: on a wall the shadow of an [upright] is [upright].",
        "Guessing how high the hidden corner is.",
        "ruler and set square, pencil light",
    ),
    "shadow.climbs_hidden_to_points": StepPhrases(
        "up the {wall}, the corner behind",
        (
            "The ray of the hidden top is not there. Lay the ruler on its corner on the floor and on the "
            "{light_point}. Draw the line up the {wall} from its foot to the ruler. Count: {count}.",
            "The ray of the hidden top is not drawn: lay the ruler on its corner on the floor and on the "
            "{light_point}, and draw the [upright] up the {wall} to it: {lines}.",
            "The hidden top's ray, through its corner on the floor and the {light_point}, ends its [upright] on the "
            "{wall}: {lines}.",
        ),
        "A shadow follows what it falls on: on a wall the shadow of an [upright] is [upright].",
        "Guessing how high the hidden corner is.",
        "ruler on the point, pencil light",
    ),
    "shadow.outline_up": StepPhrases(
        "its outline, on floor and {wall}",
        (
            "Draw the edges of the shadow: from the feet to the foot of the {wall}, up the wall, and from corner to "
            "corner. In the end fill it with one even grey. Count: {count}.",
            "Draw its edges: from the feet to the foot of the {wall}, up the wall, and from corner to corner: {lines}. "
            "It gets one even grey.",
            "Its edges: from the feet to the foot of the {wall}, up it, and from corner to corner: {lines}. One flat "
            "grey.",
        ),
        "A shadow bends where floor and wall meet, and is one even tone on both.",
        "Drawing an edge straight on from the floor to the wall: it bends at the foot.",
        "ruler",
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

_OF_LAMP_RULES = {"shadow.rays": LAMP_RULE, "shadow.tip": LAMP_RULE}
_OF_LAMP_SLIPS = {"shadow.rays": "Taking the places the wrong way round: feet go with the one on the floor."}


def _of_lamp(name: str) -> StepPhrases:
    """Return the phrases of a step that works with the two points of a sun, said of a lamp and its foot."""
    of_sun = _OF_POINTS[f"{name}_to_points"]
    rule, slip = _OF_LAMP_RULES.get(name, of_sun.rule), _OF_LAMP_SLIPS.get(name, of_sun.slip)
    title = of_sun.title.replace("by the two points", "by the lamp and its foot")
    return replace(of_sun, title=title, rule=rule, slip=slip)


_BY_POINTS = ("shadow.rays", "shadow.carried", "shadow.climbs_hidden", "shadow.square", "shadow.tip")
SHADOW: dict[str, StepPhrases] = _OF_POINTS | {f"{name}_of_lamp": _of_lamp(name) for name in _BY_POINTS}
