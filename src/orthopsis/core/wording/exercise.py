"""The sentences of the sheet, its eye level and its point, with places that are edited on the screen.

Places are named by their path in the exercise document.
"""

SHEET = (
    "On {sheet.paper} paper, {sheet.orientation}, {sheet.fold}, measured in {sheet.units} to {sheet.division}; "
    "margin {sheet.margin_mm}, centre {sheet.centre}."
)
OWN_SHEET = SHEET.replace(", {sheet.orientation}", ", {sheet.own_width_mm} wide and {sheet.own_height_mm} tall")
"""Where the paper has a size of its own, which is stated as it lies."""
EYE_LEVEL = (
    "[Eye level] {eye_level.height_mm} up, by the {eye_level.school}; the eye is {eye_level.over_ground_mm} over the "
    "ground."
)
IN_TRUTH = " In truth {lengths}."
TRUE_LENGTHS = {"across": "{mm} wide", "away": "{mm} deep", "up": "{mm} tall"}
"""How long a thing is in truth, where the eye's height is stated."""
AT_CORNER = "the [guide line] of the corner {across} across and {up} up"
"""Along which line a depth is cut, by the figures of its corner from where the outline begins."""
HIDES = {
    "said": "{nearer} stands before {farther}, as you said.",
    "ground": "{nearer} stands before {farther}: its foot is nearer on the ground.",
    "lies": "{nearer} hides {farther}, which lies on the ground.",
    "depth": "{nearer} and {farther} stand about each other: each hides what is behind it.",
    "floats": "{nearer} stands before {farther}: it is listed first, and one of them has no foot on the ground.",
    "other_eye": "{nearer} stands before {farther}: it is listed first, and they have points of their own.",
    "crossing": "{nearer} stands before {farther}: it is listed first; in truth they would stand in each other.",
}
"""Who hides whom, and why."""
CLASS = (
    "Words for {wording.level} readers who say {wording.vocabulary}; a lesson of {minutes} minutes; light from the "
    "{light}, {sun.stands}, "
)
SUN = {
    "beside": "its rays at {rays}.",
    "ahead": "{sun.aside_mm} beside the middle and {sun.height_mm} over the [eye level].",
    "behind": "its rays run to a point {sun.aside_mm} beside the middle and {sun.height_mm} under the [eye level].",
    "lamp": "{sun.aside_mm} beside the middle, {sun.height_mm} over the [eye level]; the place on the floor under it "
    "{sun.foot_mm} under the [eye level].",
}
"""How the light is placed, by where it stands."""
FAR = " Far things are toned {far}."
"""Said after that where several things stand on the sheet."""

HALF = "On {half}: "
"""What a view's sentence begins with on a folded sheet."""
HALVES = {"whole": "the whole sheet", "left": "the left half", "right": "the right half"}

OPTIONS: dict[str, dict[str, str]] = {
    "sheet.orientation": {"landscape": "lying", "portrait": "standing"},
    "sheet.centre": {"none": "not marked", "diagonals": "by the diagonals", "halving": "by halving the edges"},
    "sheet.fold": {"flat": "flat", "folded": "folded in two"},
    "sheet.units": {"mm": "millimetres", "cm": "centimetres", "in": "inches"},
    "eye_level.school": {
        "exercise": "exercise school",
        "composition": "composition school",
    },
    "wording.level": {"youngest": "the youngest", "middle": "middle", "oldest": "the oldest"},
    "wording.vocabulary": {"eye_level": "“eye level”", "horizon": "“horizon line”"},
    "light": {"left": "left", "right": "right"},
    "rays": {"30": "30°", "45": "45°", "60": "60°"},
    "far": {"alike": "like near ones", "lighter": "a step lighter"},
    "sun.stands": {
        "beside": "the sun beside the picture",
        "ahead": "the sun ahead of you",
        "behind": "the sun behind you",
        "lamp": "a lamp in the room",
    },
}
HINTS = {
    "eye_level.school": "Exercise school: exactly across the middle, found by halving, for first lessons. Composition "
    "school: a third from the top or the bottom, and never across the middle.",
    "wording.level": "The youngest get plain words and more time, the oldest the textbook's terms; hands of each level "
    "are judged by what such hands can do.",
    "rays": "How steeply the light falls: an angle of the set square. Cast shadows follow it.",
    "far": "A step lighter: what is more than twice as far away as the nearest thing looks paler, since air lies "
    "between.",
    "sun.stands": "Beside: all rays are parallel on the page. Ahead: they run out from the sun, and shadows come "
    "toward you. Behind you: rays and shadows run away, to points. A lamp: rays run out from it, shadows from the "
    "place on the floor under it.",
    "sheet.centre": "Marked lines help to place things; the halves of the edges also find the middle of the sheet.",
}
"""What the choices at a place mean, where the words alone do not say it."""
UNSTATED = {
    "distance_mm": "an unstated distance",
    "centre_mm": "an unstated place",
    "over_ground_mm": "an unstated height",
}
"""What is read where a value is not stated."""
SAYS = {
    "eye_level.height_mm": "the height of the eye level",
    "eye_level.over_ground_mm": "how high the eye is over the ground",
    "minutes": "the minutes of the lesson",
    "sheet.margin_mm": "the margin",
    "sun.stands": "where the light comes from",
    "far": "how far things are toned",
    "sun.aside_mm": "how far the light is to the side",
    "sun.height_mm": "how high the light is",
    "sun.foot_mm": "how low the place under the lamp lies",
    "sheet.own_width_mm": "the width of the sheet",
    "sheet.own_height_mm": "the height of the sheet",
    "sheet.centre": "the centre of the sheet",
    "sheet.fold": "whether it is folded",
    "sheet.paper": "the paper",
}
"""What a place is called, where its last word is not enough."""
STANDS = " It belongs to "
ALONE = "on its own"
IN_LINE = {
    "in_line": "further back in line with",
    "in_line_left": "further left in line with",
    "in_line_right": "further right in line with",
}
"""How a thing may stand in line with another one, or a row go away from it."""
JOINED = {
    "on_top": "on top of",
    "beside_right": "to the right of",
    "behind": "behind",
    "against_left": "against the left end of",
    "against_right": "against the right end of",
    **IN_LINE,
    "alley": "beyond an alley behind",
    "alley_left": "beyond an alley left of",
    "alley_right": "beyond an alley right of",
}
"""How a thing may stand by another one."""
CHANGED = {
    "left_out": "left out",
    "extra": "made extra",
    "joined": "told with the step before it",
    "split": "told line by line",
    "later": "moved",
}
"""What was done to a step, by the field of its change."""
GONE = "a part that is not there"
"""What is said of the face of a thing whose face is there no more."""
FACES = {
    "face_front": "the front",
    "face_left": "the left side",
    "face_right": "the right side",
    "face_top": "the top",
    "face_bottom": "the underside",
    "face_slope_first": "the slope at the first edge",
    "face_slope_far": "the other slope",
    "face_floor": "the floor",
    "face_back_wall": "the back wall",
    "face_left_wall": "the left wall",
    "face_right_wall": "the right wall",
    "face_ceiling": "the ceiling",
    "face_ground": "the ground",
    "face_steps": "the steps",
    "face_slope": "the slope",
    "face_round_front": "the round wall in front",
    "face_round_back": "the round wall at the back",
    "face_round_left": "the round wall on the left",
    "face_round_right": "the round wall on the right",
    "face_round_top": "the round wall above",
    "face_round_bottom": "the round wall below",
}
"""On which face of another one a thing may lie."""
