"""Which moves are said in one breath?

Moves of one phase, thing, part, piece, view and breath that follow each other make one step. The order is the
handbook's: the sheet is set up, each thing is built from its nearest face to its back edges, then all is cleaned,
darkened and toned.
"""

from collections.abc import Sequence
from dataclasses import dataclass
from functools import partial
from itertools import groupby

from orthopsis.core.construct.moves import Move, Phase
from orthopsis.core.wording.pieces import CutPiece


@dataclass(frozen=True, slots=True)
class Breath:
    """The moves of one step, in the order of the hand."""

    phase: Phase
    thing: str
    name: str
    moves: tuple[Move, ...]
    view: str = ""
    part: str = ""
    piece: CutPiece | None = None
    face: str = ""


def breaths(moves: Sequence[Move], *, cuts_at_once: bool = False) -> list[Breath]:
    """Return the moves grouped into steps; their order is kept.

    Args:
        cuts_at_once: whether all pieces that are cut away from a part are told as one.
    """
    result = []
    told = [move for move in moves if move.breath]
    for (phase, thing, name, view, part, piece, face), group in groupby(told, key=partial(_breath, cuts_at_once)):
        result.append(Breath(phase, thing, name, tuple(group), view, part, piece, face))
    return result


def _breath(cuts_at_once: bool, move: Move) -> tuple[Phase, str, str, str, str, CutPiece | None, str]:
    piece = None if cuts_at_once else move.piece
    return (move.phase, move.thing, move.breath, move.view, move.part, piece, move.face)
