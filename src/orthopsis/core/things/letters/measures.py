"""How thick are the strokes of a word, and what is its outline?

Strokes are measured, or a share of a common letter's width; then the rows are fifths of its height.
"""

import math
from dataclasses import replace
from functools import lru_cache

from orthopsis.core.errors import GeometryError
from orthopsis.core.sheet.ruler import round_to
from orthopsis.core.things.letters.grid import Measures
from orthopsis.core.things.letters.word import Letter, read_word, set_word
from orthopsis.core.things.outline import Outline, check_outline, moved, on_marks, size
from orthopsis.core.things.values import Values

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
def shaped(values: Values, division_mm: float = 0.0) -> Values:
    """Return the values of a word with its outline, and its letters as parts.

    Args:
        division_mm: division of the ruler that measures the letters' corners; 0 where none does.

    Raises:
        GeometryError: a character that the alphabet lacks, or strokes for which there is no room.
    """
    letters = letters_of(values, division_mm)
    outline: Outline = tuple(loop for letter in letters for loop in letter.outline)
    parts = tuple((letter.name, len(letter.outline)) for letter in letters) if len(letters) > 1 else ()
    return replace(values, held={**values.held, "outline": outline}, parts=parts)


def on_block(values: Values) -> Values:
    """Return the values of a word that is cut from a block at least as wide and tall as a common letter.

    A letter that is narrower stands in its middle: its block is not as narrow as the letter.

    Raises:
        GeometryError: as ``shaped``.
    """
    word = shaped(values)
    outline, (wide, tall) = word.outline("outline"), size(word.outline("outline"))
    room = (max(wide, values.mm("width")), max(tall, values.mm("height")))
    centred = moved(outline, (room[0] - wide) / 2, 0.0)
    return replace(word, held={**word.held, "outline": centred}, room=room)


def letters_of(values: Values, division_mm: float = 0.0) -> list[Letter]:
    """Return the letters of a word in their places, mm from its lower left.

    Raises:
        GeometryError: as ``shaped``.
    """
    word, is_round = read_word(values.word("text")), values.word("form") == "round"
    measures = _measures(values, division_mm)
    letters = set_word(word, measures, values.mm("gap"), is_round=is_round)
    if values.word("thickness") == "measured":
        for letter in letters:
            if not _can_be_cut(letter):
                raise _no_room(values, letter.character, measures)
    return [_on_marks(letter, division_mm) for letter in letters] if division_mm else letters


def stroke_mm(values: Values) -> float:
    """Return how wide the upright strokes of a word are, in the measures of its letters."""
    return _measures(values, 0.0).stroke


def _on_marks(letter: Letter, division_mm: float) -> Letter:
    """Return a letter with its corners on marks of the ruler, or as it is where they are too coarse for it."""
    rounded = replace(letter, outline=on_marks(letter.outline, division_mm))
    return rounded if _can_be_cut(rounded) else letter


def _measures(values: Values, division_mm: float) -> Measures:
    width, height, how = values.mm("width"), values.mm("height"), values.word("thickness")
    if how == "measured":
        return Measures(width, height, *(values.mm(name) for name in ("stroke", "bar", "middle", "middle_up")))
    stroke, bar, up = _SHARES[how] * width, height / ROWS, 2 * height / ROWS
    if division_mm:
        stroke, bar, up = (max(round_to(mm, division_mm), division_mm) for mm in (stroke, bar, up))
    return Measures(width, height, stroke, bar, bar, up)


def _can_be_cut(letter: Letter) -> bool:
    try:
        check_outline(letter.outline, letter.name)
    except GeometryError:
        return False
    return True


def _no_room(values: Values, character: str, m: Measures) -> GeometryError:
    """Return the error that blames the one measure which, with its nearest value, would leave room."""
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
        limit_mm=getattr(better, about),
    )
