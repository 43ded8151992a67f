"""Which parts of a curve are seen, as the hand has constructed it?

Sight knows a curve as a row of straight pieces. Those that follow each other and look alike become one line along the
constructed curve.
"""

import math
from collections.abc import Iterator, Mapping, Sequence

from orthopsis.core.construct.engine import Ruled
from orthopsis.core.drawing.answer import Place
from orthopsis.core.plane.arc import Arc
from orthopsis.core.sight.hidden import Piece

BEND_RAD = math.radians(3)
"""Angle between the places of a drawn curve; between them it differs by 0.04 % of its size from a straight line."""
SAME_PLACE = 1e-6


def bend(arc: Arc, start_rad: float, end_rad: float) -> tuple[Place, ...]:
    """Return places on a curve between two angles, the ends left out."""
    count = max(1, round(abs(end_rad - start_rad) / BEND_RAD))
    angles = [start_rad + (end_rad - start_rad) * i / count for i in range(1, count)]
    return tuple(at.xy for at in arc.places(angles)) if angles else ()


def curve_pieces(
    lines: Mapping[str, Ruled], thing: str, pieces: Sequence[Piece]
) -> Iterator[tuple[Piece, Arc, tuple[float, float]]]:
    """Yield the pieces of the constructed curves: one piece that looks like it, the curve, and its angles.

    Curves that the hand never made, because they are hidden, are left out.
    """
    held: tuple[Piece, tuple[float, float]] | None = None
    for piece in pieces:
        if piece.edge.angles is None or f"{thing}.{piece.edge.name}" not in lines:
            continue
        low, high = piece.edge.angles
        span = (low + piece.start * (high - low), low + piece.end * (high - low))
        if held is not None and _goes_on(held, piece, span):
            held = (held[0], (held[1][0], span[1]))
            continue
        if held is not None:
            yield held[0], _arc(lines, thing, held[0]), held[1]
        held = (piece, span)
    if held is not None:
        yield held[0], _arc(lines, thing, held[0]), held[1]


def _goes_on(held: tuple[Piece, tuple[float, float]], piece: Piece, span: tuple[float, float]) -> bool:
    before, (_, at) = held
    alike = (before.edge.name, before.visible, before.behind) == (piece.edge.name, piece.visible, piece.behind)
    return alike and abs(at - span[0]) <= SAME_PLACE


def _arc(lines: Mapping[str, Ruled], thing: str, piece: Piece) -> Arc:
    arc = lines[f"{thing}.{piece.edge.name}"].arc
    assert arc is not None
    return arc
