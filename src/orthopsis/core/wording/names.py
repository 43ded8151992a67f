"""What are points and lines called in a sentence?"""

from orthopsis.core.view.aim import AimRole
from orthopsis.core.wording.vocabulary import Wording


def corner_words(name: str) -> str:
    """Return ``bottom left`` for a corner's name such as ``Crate.front.bottom_left``."""
    return name.split(".")[-1].replace("_", " ")


def point_on(name: str) -> str:
    """Return how a corner of a thing is called: ``back bottom left corner``, ``foot of the right end``."""
    group, _, part = name.partition(".")
    if part in ("bottom", "top"):
        end = "nearest edge" if group == "near" else f"{group} end"
        return f"{'top' if part == 'top' else 'foot'} of the {end}"
    return f"{group} {part.replace('_', ' ')} corner"


def part_words(part: str, thing: str) -> str:
    """Return how a part of a thing is called: ``K of Word``; the thing itself where it has no parts."""
    return f"{part} of {thing}" if part else thing


def view_words(name: str) -> str:
    """Return how a view is called on the screen: the first one of a document has no name of its own."""
    return "view 1" if name == "point" else name


def point_words(role: AimRole, owner: str, wording: Wording) -> str:
    """Return how a point that lines run to is called: ``left point``, ``left distance point of second view``.

    Args:
        owner: how the view or the thing is called that brings it, or empty where nobody would ask.
    """
    if role == "centre":
        words = wording.term("vanishing point")
    elif role in ("left", "right", "third"):
        words = wording.term(f"{role} point")
    elif role == "measuring":
        words = wording.term("measuring point")
    elif role in ("slope_above", "slope_below"):
        words = f"{'upper' if role == 'slope_above' else 'lower'} {wording.term('slope point')}"
    else:
        side, _, aid = role.partition("_")
        words = f"{side} {wording.term(f'{aid} point')}"
    return f"{words} of {owner}" if owner else words


_UP = ("lower", "middle", "upper")
_ACROSS = ("left", "middle", "right")
_DIRECTIONS = {"level": "level", "upright": "upright", "free": "slanted"}


def numbered_edge_words(owner: str, part: str, family: str, place: tuple[int, int]) -> str:
    """Return how an edge of an outline is called: ``upright front edge at the upper left of K of Knot``.

    Args:
        part: ``front.edge.14``, ``depth.3``; the number says nothing to who looks at the sheet.
        family: level, upright, free, or the point that it runs to.
        place: in which third of its thing it lies, from the left and from below.
    """
    across, up = _ACROSS[place[0]], _UP[place[1]]
    where = "in the middle" if place == (1, 1) else f"at the {'' if up == 'middle' else f'{up} '}{across}"
    if place[0] == 1 and place[1] != 1:
        where = f"at the {'top' if up == 'upper' else 'bottom'}"
    group = part.partition(".")[0]
    if group == "depth":
        return f"edge going away {where} of {owner}"
    kind = "line" if group in ("column", "row") else f"{group} edge"
    direction = _DIRECTIONS.get(family, "receding")
    return f"{direction} {kind} {where} of {owner}"


def edge_words(thing: str, name: str) -> str:
    """Return how an edge is called: ``front top edge of Crate``, ``bottom left edge of Crate going away``."""
    if not thing:
        return name
    group, _, part = name.partition(".")
    if not group.islower() or " " in group:
        return edge_words(f"{group} of {thing}", part)
    part = part.replace("_", " ")
    if part.startswith("edge."):
        return f"{group} edge {part.removeprefix('edge.')} of {thing}"
    if part.startswith("curve."):
        return f"{group} curve of {thing} at corner {part.removeprefix('curve.')}"
    if group == "depth" and part.startswith("round."):
        return f"line of {thing} touching the curve of corner {part.split('.')[1]}"
    if group == "depth" and part.isdecimal():
        return f"edge of {thing} going away from corner {part}"
    if group in ("column", "row"):
        return f"line {part} {'up' if group == 'column' else 'along'} of {thing}"
    if group == "depth":
        return f"{part} edge of {thing} going away"
    if part == "edge":
        return f"{'nearest' if group == 'near' else group} upright of {thing}"
    return f"{group} {part} edge of {thing}".replace("  ", " ")
