"""Which moves are said in one breath?

Moves of one phase, thing, part, view and breath that follow each other make one step. The order is the handbook's:
the sheet is set up, each thing is built from its nearest face to its back edges, then all is cleaned,
darkened and toned.
"""

from collections.abc import Sequence
from dataclasses import dataclass
from itertools import groupby

from orthopsis.core.construct.moves import Move, Phase


@dataclass(frozen=True, slots=True)
class Breath:
    """The moves of one step, in the order of the hand."""

    phase: Phase
    thing: str
    name: str
    moves: tuple[Move, ...]
    view: str = ""
    part: str = ""


def breaths(moves: Sequence[Move]) -> list[Breath]:
    """Return the moves grouped into steps; their order is kept."""
    result = []
    told = [move for move in moves if move.breath]
    for (phase, thing, name, view, part), group in groupby(told, key=_breath):
        result.append(Breath(phase, thing, name, tuple(group), view, part))
    return result


def _breath(move: Move) -> tuple[Phase, str, str, str, str]:
    return (move.phase, move.thing, move.breath, move.view, move.part)
