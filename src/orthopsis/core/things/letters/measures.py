"""How thick are the strokes of a word, and what is its outline?

Strokes are measured, or a share of a common letter's width; then the rows are fifths of its height.
"""

import math
from dataclasses import replace
from functools import lru_cache

from orthopsis.core.errors import GeometryError
from orthopsis.core.things.declare import Values
from orthopsis.core.things.letters.grid import Measures
from orthopsis.core.things.letters.word import Letter, read_word, set_word
from orthopsis.core.things.outline import Outline, check_outline

_SHARES = {"fifth": 1 / 5, "quarter": 1 / 4, "third": 2 / 7}
THICKNESS = {
    "fifth": "thin, a fifth of the letter",
    "quarter": "a quarter of the letter",
    "third": "thick, two sevenths of the letter",
    "measured": "measured",
}
ROWS = 5
WIDEST_STROKE = 0.3
HIGHEST_BAR = 0.24
"""Shares of a letter's width and height for which every letter has room."""


@lru_cache(maxsize=1024)
def shaped(values: Values) -> Values:
    """Return the values of a word with its outline, and its letters as parts.

    Raises:
        GeometryError: a character that the alphabet lacks, or strokes for which there is no room.
    """
    letters = letters_of(values)
    outline: Outline = tuple(loop for letter in letters for loop in letter.outline)
    parts = tuple((letter.name, len(letter.outline)) for letter in letters) if len(letters) > 1 else ()
    return replace(values, held={**values.held, "outline": outline}, parts=parts)


def letters_of(values: Values) -> list[Letter]:
    """Return the letters of a word in their places, mm from its lower left.

    Raises:
        GeometryError: as ``shaped``.
    """
    word, measures, is_round = read_word(values.word("text")), _measures(values), values.word("form") == "round"
    letters = set_word(word, measures, values.mm("gap"), is_round=is_round)
    if values.word("thickness") == "measured":
        for letter in letters:
            if not _can_be_cut(letter):
                raise _no_room(values, letter.name, measures)
    return letters


def _measures(values: Values) -> Measures:
    width, height, how = values.mm("width"), values.mm("height"), values.word("thickness")
    if how == "measured":
        return Measures(width, height, *(values.mm(name) for name in ("stroke", "bar", "middle", "middle_up")))
    bar = height / ROWS
    return Measures(width, height, _SHARES[how] * width, bar, bar, 2 * bar)


def _can_be_cut(letter: Letter) -> bool:
    try:
        check_outline(letter.outline, letter.name)
    except GeometryError:
        return False
    return True


def _no_room(values: Values, name: str, m: Measures) -> GeometryError:
    """Return the error that blames the one measure which, with its nearest value, would leave room."""
    character = name.partition(" ")[0]
    stroke, bar = min(m.stroke, math.floor(WIDEST_STROKE * m.width)), min(m.bar, math.floor(HIGHEST_BAR * m.height))
    low = round((m.height - min(m.middle, bar)) / 2)
    tries = {
        "stroke": replace(m, stroke=stroke),
        "bar": replace(m, bar=bar),
        "middle_up": replace(m, middle_up=low),
        "middle": replace(m, middle=min(m.middle, bar), middle_up=low),
    }
    is_round = values.word("form") == "round"
    cures = (n for n, better in tries.items() if _can_be_cut(set_word(character, better, 0.0, is_round=is_round)[0]))
    about = next(cures, "stroke")
    better = tries[about]
    return GeometryError(
        "no_room_for_strokes",
        f"The {character} of “{values.name}” has no room for strokes like these.",
        f"The nearest that works here is {getattr(better, about):g} mm.",
        about=about,
        nearest=f"{getattr(better, about):g} mm",
    )
