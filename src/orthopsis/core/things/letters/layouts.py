"""How can the letters of a word stand, in which kinds of view, and which of them stand side by side?"""

from collections.abc import Sequence

from orthopsis.core.things.letters.word import Letter

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
MOST_IN_TWO_LINES = 6
"""Letters about the point that stand over and under it; of more, two stand beside it."""


def takes_rows(layout: str) -> bool:
    """Tell whether a word can be set in two rows, one over the other."""
    return layout == STRAIGHT


def side_by_side(layout: str, letters: Sequence[Letter]) -> list[Sequence[Letter]]:
    """Return the letters of a word in the groups that stand side by side, in the order of the word.

    About the point they are those over it, beside it if there are any, and under it; around a corner its two halves.
    """
    if layout == "away":
        return [[letter] for letter in letters]
    if layout == "about":
        beside = 2 if len(letters) > MOST_IN_TWO_LINES else 0
        over = (len(letters) - beside + 1) // 2
        return [letters[:over], *[[letter] for letter in letters[over : over + beside]], letters[over + beside :]]
    if layout == "corner":
        middle = (len(letters) + 1) // 2
        return [letters[:middle], letters[middle:]]
    return [letters]
