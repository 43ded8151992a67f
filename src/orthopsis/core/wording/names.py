"""What are points and lines called in a sentence?"""

from dataclasses import dataclass, replace
from typing import Literal

from orthopsis.core.view.aim import SIDED_AIDS, AimRole
from orthopsis.core.wording.vocabulary import Wording

LineKind = Literal["front", "back", "away", "upright", "level", "slope", "ridge", "line", "side"]
"""What a line of a thing is to who looks at it: of its front or back, going away from there; of a block an upright or
a line that is level in truth; of a roof; a line on a face; a side of what lies on one."""


@dataclass(frozen=True, slots=True)
class Feature:
    """What a line of a thing is; its words are made from this.

    Attributes:
        kind: what it is.
        place: which one of its kind, ``top left``; empty where that is told by how it runs and where it lies.
        part: the part of the thing whose line it is, such as a letter; empty if it has none.
        guide: the light line along which it is drawn, by its name within the thing; empty if there is none.
    """

    kind: LineKind = "side"
    place: str = ""
    part: str = ""
    guide: str = ""

    def within(self, part: str, begin: str) -> "Feature":
        """Return it as the line of a part of a whole, whose names begin with a text there."""
        return replace(self, part=self.part or part, guide=f"{begin}{self.guide}" if self.guide else "")


ANY = Feature()
"""What a line is of which nothing more is known."""


def part_words(part: str, thing: str) -> str:
    """Return how a part of a thing is called: ``K of Word``; the thing itself where it has no parts."""
    return f"{part} of {thing}" if part else thing


def view_words(name: str) -> str:
    """Return how a view is called on the screen: the first one of a document has no name of its own."""
    return "view 1" if name == "point" else name


LAMP_WORDS: dict[AimRole, str] = {"lamp": "lamp", "lamp_foot": "foot of the lamp"}
"""What a lamp and the place on the floor under it are called."""


def point_words(role: AimRole, owner: str, wording: Wording) -> str:
    """Return how a point that lines run to is called: ``left point``, ``left distance point of second view``.

    Args:
        owner: how the view or the thing is called that brings it, or empty where nobody would ask.
    """
    if role == "centre":
        words = wording.term("vanishing point")
    elif role in ("left", "right", "third") or role in ("measuring", "light", "shadow"):
        words = wording.term(f"{role} point")
    elif role in LAMP_WORDS:
        words = LAMP_WORDS[role]
    elif role in ("slope_above", "slope_below"):
        words = f"{'upper' if role == 'slope_above' else 'lower'} {wording.term('slope point')}"
    else:
        side, aid = SIDED_AIDS[role]
        words = f"{side} {wording.term(f'{aid} point')}"
    return f"{words} of {owner}" if owner else words


_UP = ("lower", "middle", "upper")
_ACROSS = ("left", "middle", "right")
_DIRECTIONS = {"level": "level", "upright": "upright", "free": "slanted", "curve": "curved"}
_PLACED: dict[LineKind, str] = {
    "front": "front {place} edge of {owner}",
    "back": "back {place} edge of {owner}",
    "away": "{place} edge of {owner} going away",
    "upright": "{place} upright of {owner}",
    "level": "{place} edge of {owner}",
}
_FOUND: dict[LineKind, str] = {
    "front": "{direction} front edge {where} of {owner}",
    "back": "{direction} back edge {where} of {owner}",
    "away": "edge going away {where} of {owner}",
    "slope": "sloping edge {where} of {owner}",
    "ridge": "ridge of {owner}",
    "line": "{direction} line {where} of {owner}",
    "side": "{direction} edge {where} of {owner}",
}


def edge_words(thing: str, feature: Feature, family: str, third: tuple[int, int]) -> str:
    """Return how a line is called: ``front top edge of Crate``, ``upright front edge at the upper left of K of Knot``.

    Args:
        family: level, upright, free, curve, or the point that it runs to.
        third: in which third of what it belongs to it lies, from the left and from below.
    """
    owner = part_words(feature.part, thing)
    if feature.place:
        return _PLACED[feature.kind].format(place=feature.place, owner=owner)
    direction = _DIRECTIONS.get(family, "receding")
    # The front of a body that stands up is its top: of a curve only the back one is told from the others.
    kind: LineKind = "side" if family == "curve" and feature.kind == "front" else feature.kind
    return _FOUND[kind].format(direction=direction, where=_where(third), owner=owner)


def _where(third: tuple[int, int]) -> str:
    across, up = _ACROSS[third[0]], _UP[third[1]]
    if third == (1, 1):
        return "in the middle"
    if third[0] == 1:
        return f"at the {'top' if up == 'upper' else 'bottom'}"
    return f"at the {'' if up == 'middle' else f'{up} '}{across}"
