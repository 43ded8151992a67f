"""The lines of a picture, in blocks that stay as they are while other things change.

The light lines of a thing are one block, the pieces of its edges that are seen or hidden another. Each block has
numbers of its own, so that no line is called otherwise because another thing has changed.
"""

from collections.abc import Iterable, Iterator, Sequence

from orthopsis.core.construct.engine import Ruled
from orthopsis.core.drawing.answer import DrawnLine, Place, Role
from orthopsis.core.drawing.curves import bend, curve_pieces
from orthopsis.core.drawing.last import Last
from orthopsis.core.plane.arc import QUARTER_RAD
from orthopsis.core.plane.homogeneous import Point
from orthopsis.core.sight.hidden import Piece
from orthopsis.core.sight.solid import Edge

Edges = frozenset[frozenset[str]]
"""Edges by the full names of their ends."""


IDS = 100_000
"""So many ids a block has; a word of the most letters has a tenth of that."""


class LightLines:
    """The light lines that the pencil drew of a thing, or of the sheet itself.

    Attributes:
        names: their full names.
    """

    def __init__(self, lines: Iterable[Ruled]) -> None:
        self._drawn = [ruled for ruled in lines if ruled.role != "unseen"]
        self.names = tuple(ruled.name for ruled in self._drawn)
        self._last = Last[int, tuple[DrawnLine, ...]]()

    def numbered(self, block: int) -> tuple[DrawnLine, ...]:
        """Return the lines, with the ids of this block."""
        first = block * IDS
        return self._last.answer(
            block, lambda: tuple(_light_line(number, ruled) for number, ruled in enumerate(self._drawn, start=first))
        )


def _light_line(number: int, ruled: Ruled) -> DrawnLine:
    name = ruled.name.removeprefix(f"{ruled.thing}.") if ruled.thing else ruled.name
    return DrawnLine(
        id=number,
        thing=ruled.thing,
        name=name,
        start=ruled.start.xy,
        end=ruled.end.xy,
        role="guide" if ruled.role == "guide" else "construction",
        family=ruled.family,
        visible=True,
        rests_on=ruled.rests_on,
        turns_to=ruled.turns_to,
        bend=bend(ruled.arc, 0.0, QUARTER_RAD) if ruled.arc is not None else [],
    )


class EdgePieces:
    """The pieces of a thing's edges as lines; while they are the same, so are the lines.

    Args:
        thing: its name.
        points, lines: what the hand made of it, by full name.
    """

    def __init__(self, thing: str, points: dict[str, Point], lines: dict[str, Ruled]) -> None:
        self._thing, self._points, self._lines = thing, points, lines
        self._last = Last[tuple[int, Role, Edges, Sequence[Piece]], tuple[DrawnLine, ...]]()

    def numbered(self, block: int, pieces: Sequence[Piece], role: Role, covered: Edges) -> tuple[DrawnLine, ...]:
        """Return the lines between the points that the construction made, with the ids of this block.

        Args:
            covered: edges that are gone because another thing goes on in their plane.
        """
        return self._last.answer(
            (block, role, covered, pieces), lambda: tuple(self._cut(pieces, role, covered, block * IDS))
        )

    def _cut(self, pieces: Sequence[Piece], role: Role, covered: Edges, number: int) -> Iterator[DrawnLine]:
        straight = [piece for piece in pieces if piece.edge.angles is None]
        for piece in straight:
            ends = self._ends(piece.edge)
            if ends is not None and not self._is_covered(piece.edge, covered):
                start, end = _along(*ends, piece.start), _along(*ends, piece.end)
                yield self._line(number, piece, role, start, end)
                number += 1
        if len(straight) < len(pieces):
            for piece, arc, span in curve_pieces(self._lines, self._thing, pieces):
                ends_on = arc.at(span[0]).xy, arc.at(span[1]).xy
                yield self._line(number, piece, role, *ends_on, bend(arc, *span))
                number += 1

    def _ends(self, edge: Edge) -> tuple[Point, Point] | None:
        """Return the constructed ends of an edge; None where the hand never made them because they are hidden."""
        start, end = self._points.get(f"{self._thing}.{edge.start}"), self._points.get(f"{self._thing}.{edge.end}")
        return None if start is None or end is None else (start, end)

    def _is_covered(self, edge: Edge, covered: Edges) -> bool:
        return bool(covered) and frozenset((f"{self._thing}.{edge.start}", f"{self._thing}.{edge.end}")) in covered

    def _line(
        self, number: int, piece: Piece, role: Role, start: Place, end: Place, bent: Sequence[Place] = ()
    ) -> DrawnLine:
        return DrawnLine(
            id=number,
            thing=self._thing,
            name=piece.edge.name,
            start=start,
            end=end,
            role=role,
            family=piece.edge.runs,
            visible=piece.visible,
            behind=piece.behind,
            bend=list(bent),
        )


def _along(start: Point, end: Point, share: float) -> Place:
    return (start.x + share * (end.x - start.x), start.y + share * (end.y - start.y))
