"""What are points and lines called in a sentence?"""

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


def point_words(name: str, wording: Wording) -> str:
    """Return how a point that lines run to is called: ``left point``, ``left distance point``."""
    first, _, rest = name.partition(" ")
    if first in ("left", "right", "third") and rest:
        return wording.term(f"{first} point") if rest == "point" else f"{wording.term(f'{first} point')} of {rest}"
    for aid in ("distance", "measuring"):
        for side in ("left", "right"):
            if name.endswith(f" {side} {aid}"):
                return f"{side} {wording.term(f'{aid} point')}"
    return wording.term("vanishing point") if name == "point" else name


def edge_words(thing: str, name: str) -> str:
    """Return how an edge is called: ``front top edge of Crate``, ``bottom left edge of Crate going away``."""
    if not thing:
        return name
    group, _, part = name.partition(".")
    part = part.replace("_", " ")
    if part.startswith("edge."):
        return f"{group} edge {part.removeprefix('edge.')} of {thing}"
    if group == "depth" and part.isdecimal():
        return f"edge of {thing} going away from corner {part}"
    if group == "depth":
        return f"{part} edge of {thing} going away"
    if part == "edge":
        return f"{'nearest' if group == 'near' else group} upright of {thing}"
    return f"{group} {part} edge of {thing}".replace("  ", " ")
