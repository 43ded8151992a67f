"""From a word to its outline: which letters stand in it, how large, where."""

import unicodedata
from dataclasses import dataclass, replace

from orthopsis.core.errors import GeometryError
from orthopsis.core.things.letters.alphabet import ACCENTS, ALPHABET, NARROWEST_STROKES, Glyph
from orthopsis.core.things.letters.grid import LetterGrid, Measures
from orthopsis.core.things.outline import Outline, moved

MOST_LETTERS = 24
ROW_END = "/"
"""Parts the rows of a word, the upper one first."""
BETWEEN_ROWS = 0.3
"""Room between two rows, in heights of a letter."""
SPACE = 0.5
"""Width of a space in widths of a common letter."""


@dataclass(frozen=True, slots=True)
class Letter:
    """A letter in its place.

    Attributes:
        character: which letter it is.
        name: as it is called in the steps: the character, with a number where the word has it twice.
        outline: mm from the word's lower left.
        left, right: from where to where it reaches, mm.
    """

    character: str
    name: str
    outline: Outline
    left: float
    right: float


def read_word(text: str) -> str:
    """Return a word in capitals, as it will be drawn.

    Raises:
        GeometryError: it is empty, too long, or has a character that the alphabet lacks; what would do is said.
    """
    rows = [" ".join(row.split()) for row in unicodedata.normalize("NFC", text.upper()).split(ROW_END)]
    word = ROW_END.join(rows)
    if not all(rows):
        raise _fault("empty_word", "There is no letter in this word.", "Type a letter or a word.", "K")
    letters = len(word.replace(ROW_END, ""))
    if letters > MOST_LETTERS:
        fix = f"Use at most {MOST_LETTERS} letters, or make two words of it."
        raise _fault("too_many_letters", f"This word has {letters} letters.", fix, word[:MOST_LETTERS].strip())
    for character in word:
        if character not in (" ", ROW_END) and not _can_draw(character):
            near = _nearest(character)
            fix = f"“{near}” would do." if near else "Leave it out."
            nearest = word.replace(character, near).strip(f" {ROW_END}") or "K"
            raise _fault("no_such_letter", f"The alphabet has no “{character}”.", fix, nearest)
    return word


def readable(text: str) -> tuple[str, list[str]]:
    """Return a text as a word that can be drawn, the nearest there is, and what had to be changed for it.

    The word is empty where the alphabet has none of its characters.
    """
    remarks = list[str]()
    if not any(_can_draw(character) or _nearest(character) for character in text.upper() if character.isalnum()):
        return "", remarks
    while True:
        try:
            return read_word(text), remarks
        except GeometryError as error:
            remarks.append(f"{error.why} {error.fix}")
            text = error.nearest


def _fault(code: str, why: str, fix: str, nearest: str) -> GeometryError:
    return GeometryError(code, why, fix, about="text", nearest=nearest)


def _parts(character: str) -> tuple[str, str]:
    """Return the plain letter and its accent, or an empty text."""
    if character in ALPHABET:
        return character, ""
    apart = unicodedata.normalize("NFD", character)
    return apart[0], apart[1:]


def _can_draw(character: str) -> bool:
    plain, accent = _parts(character)
    return plain in ALPHABET and (not accent or accent in ACCENTS)


_LIKE = {"Ł": "L", "Đ": "Ð", "’": "'", "‘": "'", "´": "'", "`": "'", "–": "-", "—": "-", "_": "-", "+": "&", ".": "!"}


def _nearest(character: str) -> str:
    """Return the letter that comes nearest to one that the alphabet lacks, or an empty text."""
    plain = _parts(character)[0]
    return plain if plain in ALPHABET else _LIKE.get(character, "")


def set_word(word: str, measures: Measures, gap: float, *, is_round: bool) -> list[Letter]:
    """Return the letters of a word in their places, from its lower left; what hangs below the line lifts all."""
    letters = list[Letter]()
    rows = word.split(ROW_END)
    for number, row in enumerate(rows, start=1):
        at, base = 0.0, (len(rows) - number) * (1 + BETWEEN_ROWS) * measures.height
        for character in row:
            if character == " ":
                at += SPACE * measures.width
                continue
            outline, width = _draw(character, measures, is_round=is_round)
            count = 1 + sum(letter.character == character for letter in letters)
            name = f"{character} {count}" if count > 1 else character
            letters.append(Letter(character, name, moved(outline, at, base), at, at + width))
            at += width + gap
    sunk = min(0.0, *(corner[1] for letter in letters for loop in letter.outline for corner in loop))
    if sunk == 0:
        return letters
    return [replace(a, outline=moved(a.outline, 0.0, -sunk)) for a in letters]


def _draw(character: str, measures: Measures, *, is_round: bool) -> tuple[Outline, float]:
    """Return the outline of a letter from its lower left, and its width."""
    plain, accent = _parts(character)
    glyph = ALPHABET[plain]
    own = _sized(measures, _width(glyph, measures))
    outline = LetterGrid(own).outline(glyph.rounded if is_round and glyph.rounded else glyph.block, is_round=is_round)
    if not accent:
        return outline, own.width
    wide = max(own.width, NARROWEST_STROKES * measures.stroke)
    mark = LetterGrid(_sized(measures, wide)).outline(ACCENTS[accent], is_round=False)
    return (*moved(outline, (wide - own.width) / 2, 0.0), *mark), wide


def _width(glyph: Glyph, measures: Measures) -> float:
    return glyph.strokes * measures.stroke if glyph.strokes else glyph.width * measures.width


def _sized(m: Measures, width: float) -> Measures:
    return Measures(width, m.height, m.stroke, m.bar, m.middle, m.middle_up)
