"""What are the pieces called that are cut away from a block until a shape is left?"""

from dataclasses import dataclass
from typing import Literal

PieceKind = Literal["gap", "corner", "hole"]
Side = Literal["left", "right", "bottom", "top"]

_COUNTED = {
    "across": {2: ("left", "right"), 3: ("left", "middle", "right")},
    "up": {2: ("lower", "upper"), 3: ("lower", "middle", "upper")},
}
_ORDINALS = ("first", "second", "third", "fourth", "fifth", "sixth", "seventh", "eighth", "ninth", "tenth")
_FROM = {"across": "from the left", "up": "from below"}


@dataclass(frozen=True, slots=True)
class CutPiece:
    """A piece that is cut away; its words are made from this.

    Attributes:
        kind: a gap in a side, a corner, or a hole inside.
        at: the side that the gap is in; the two sides that meet in the corner; nothing for a hole.
        counted: which way those of one kind are counted, where there are several; ``number`` from 0, ``of`` how many.
        leg: which part of its cut is told, from 1, where that is long; 0 where it is told whole.
    """

    kind: PieceKind
    at: tuple[Side, ...] = ()
    counted: Literal["", "across", "up"] = ""
    number: int = 0
    of: int = 1
    leg: int = 0


def piece_words(piece: CutPiece) -> str:
    """Return how a piece is called: ``the upper gap at the right``, ``the corner at the lower left``, ``the hole``."""
    name = f"{piece.kind}{_where(piece)}"
    leg = f"the {_ordinal(piece.leg - 1)} part of " if piece.leg else ""
    if not piece.counted:
        return f"{leg}the {name}"
    few = _COUNTED[piece.counted].get(piece.of)
    if few is not None:
        return f"{leg}the {few[piece.number]} {name}"
    return f"{leg}the {_ordinal(piece.number)} {name}, {_FROM[piece.counted]}"


def _ordinal(number: int) -> str:
    return _ORDINALS[number] if number < len(_ORDINALS) else "next"


def _where(piece: CutPiece) -> str:
    if piece.kind == "corner":
        up, across = piece.at
        return f" at the {'lower' if up == 'bottom' else 'upper'} {across}"
    return f" at the {piece.at[0]}" if piece.at else ""
