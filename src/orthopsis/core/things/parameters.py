"""What can be said of a thing: lengths, choices, words and outlines, each with its limits."""

import re
from collections.abc import Mapping
from dataclasses import dataclass, field

from orthopsis.core.things.outline import Outline

Value = float | str | Outline


@dataclass(frozen=True, slots=True)
class Length:
    """A measured length in page mm with its limits (both allowed)."""

    name: str
    says: str
    default_mm: float
    least_mm: float
    most_mm: float


@dataclass(frozen=True, slots=True)
class Choice:
    """One of a few words; ``options`` maps what is stored to what is read in the sentence.

    ``shown_in``: for options that are not offered everywhere the kinds of view in which they are.
    """

    name: str
    says: str
    options: Mapping[str, str]
    default: str
    shown_in: Mapping[str, tuple[str, ...]] = field(default_factory=dict)

    def offered(self, view: str, chosen: str) -> Mapping[str, str]:
        """Return the options that are offered in a kind of view, the chosen one among them."""
        return {o: t for o, t in self.options.items() if o == chosen or view in self.shown_in.get(o, (view,))}


@dataclass(frozen=True, slots=True)
class Shape:
    """An outline of straight edges, with holes: what is typed or chosen for a front (see ``things.outline``).

    ``ready`` maps the word of a ready shape to its outline in a square of 1 by 1.
    """

    name: str
    says: str
    ready: Mapping[str, Outline]
    default: Outline


@dataclass(frozen=True, slots=True)
class Text:
    """A word that is typed, of at most ``longest`` characters; ``is_drawn`` if each of them is drawn as a letter."""

    name: str
    says: str
    default: str
    longest: int
    is_drawn: bool = False


Parameter = Length | Choice | Shape | Text
PLACE = re.compile(r"\{([\w.]+)\}")
"""A place in the template of a sentence."""

FIRST_CORNER = (
    Length("left", "the distance from the left edge", 60.0, 0.0, 2000.0),
    Length("bottom", "the distance from the bottom edge", 40.0, 0.0, 2000.0),
)
"""Where the corner lies that is drawn first; every thing begins with these."""
LOOK = Choice("look", "the look", {"solid": "Solid", "see_through": "See-through", "open": "Open"}, "solid")
"""Whether hidden edges are shown, and whether one looks into it; every thing ends with this."""
