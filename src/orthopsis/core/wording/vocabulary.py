"""How is a phrase said to this class?

Phrases are written once with the textbook's terms in square brackets, ``[eye level]``, and values in
braces, ``{count}``. The class's vocabulary replaces the terms; the reading level chooses the phrase.
"""

import re
from collections.abc import Mapping
from dataclasses import dataclass
from typing import Literal

Vocabulary = Literal["eye_level", "horizon"]
Level = Literal["youngest", "middle", "oldest"]
LEVELS: tuple[Level, ...] = ("youngest", "middle", "oldest")

TERMS: dict[str, dict[Vocabulary, str]] = {
    "eye level": {"eye_level": "eye level", "horizon": "horizon line"},
    "vanishing point": {"eye_level": "point", "horizon": "vanishing point"},
    "vanishing points": {"eye_level": "points", "horizon": "vanishing points"},
    "left point": {"eye_level": "left point", "horizon": "left vanishing point"},
    "right point": {"eye_level": "right point", "horizon": "right vanishing point"},
    "third point": {"eye_level": "third point", "horizon": "third vanishing point"},
    "measuring point": {"eye_level": "measuring point", "horizon": "measuring point"},
    "measuring points": {"eye_level": "measuring points", "horizon": "measuring points"},
    "slope point": {"eye_level": "slope point", "horizon": "slope vanishing point"},
    "light point": {"eye_level": "light point", "horizon": "light vanishing point"},
    "shadow point": {"eye_level": "shadow point", "horizon": "shadow vanishing point"},
    "distance point": {"eye_level": "distance point", "horizon": "special vanishing point"},
    "distance points": {"eye_level": "distance points", "horizon": "special vanishing points"},
    "guide line": {"eye_level": "guide line", "horizon": "convergence line"},
    "guide lines": {"eye_level": "guide lines", "horizon": "convergence lines"},
    "upright": {"eye_level": "upright", "horizon": "vertical"},
    "uprights": {"eye_level": "uprights", "horizon": "verticals"},
    "level line": {"eye_level": "level line", "horizon": "horizontal line"},
    "level": {"eye_level": "level", "horizon": "horizontal"},
    "grey": {"eye_level": "grey", "horizon": "gray"},
}
"""Common practice, no source: two families of classroom words, British and American spelling with them."""

_TERM = re.compile(r"\[(\w[\w ]*)\]")


@dataclass(frozen=True, slots=True)
class Wording:
    """The words of a class."""

    vocabulary: Vocabulary = "eye_level"
    level: Level = "middle"

    def term(self, name: str) -> str:
        """Return the class's word for a term; a capital first letter is kept."""
        word = TERMS[name.lower()][self.vocabulary]
        return word[0].upper() + word[1:] if name[0].isupper() else word

    def words(self, template: str) -> str:
        """Return the template with its terms replaced and its places left as they are."""
        return _TERM.sub(lambda m: self.term(m.group(1)), template)

    def say(self, template: str, values: Mapping[str, object]) -> str:
        """Return the template with terms and places filled in."""
        return self.words(template).format_map(values)


USUAL = Wording()
"""The words where no class is asked about."""


def counted(count: int, noun: str) -> str:
    """Return ``3 lines`` or ``1 line``; the noun is given in the singular."""
    return f"{count} {noun}" if count == 1 else f"{count} {noun}s"


_ORDINALS = ("first", "second", "third", "fourth", "fifth", "sixth", "seventh", "eighth", "ninth", "tenth")


def ordinal(number: int) -> str:
    """Return ``second`` for 2, ``21st`` for 21."""
    if number <= len(_ORDINALS):
        return _ORDINALS[number - 1]
    ending = "th" if number % 100 in (11, 12, 13) else {1: "st", 2: "nd", 3: "rd"}.get(number % 10, "th")
    return f"{number}{ending}"


def listed(names: list[str]) -> str:
    """Return ``a``, ``a and b`` or ``a, b and c``."""
    if len(names) <= 1:
        return "".join(names)
    return f"{', '.join(names[:-1])} and {names[-1]}"
