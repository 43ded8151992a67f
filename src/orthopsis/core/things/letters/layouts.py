"""How can the letters of a word stand, and in which kinds of view?"""

STRAIGHT = "straight"
ONE_POINT = ("away", "steps", "about")
LAYOUTS = {
    STRAIGHT: "in one row",
    "away": "one behind the other",
    "steps": "each a step further back",
    "about": "on all sides of the point",
    "corner": "around the nearest corner",
}
SHOWN_IN = {
    "away": ("one_point",),
    "steps": ("one_point",),
    "about": ("one_point",),
    "corner": ("two_point", "three_point"),
}
"""The kinds of view in which a layout can be chosen, where that is not all."""
