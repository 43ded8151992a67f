"""The lines of a picture, in blocks that stay as they are while other things change.

The light lines of a thing are one block, the pieces of its edges that are seen or hidden another. Each block has
numbers of its own, so that no line is called otherwise because another thing has changed.
"""

from collections.abc import Iterable, Iterator, Mapping, Sequence

from orthopsis.core.construct.engine import Ruled
from orthopsis.core.construct.moves import full_name, name_within
from orthopsis.core.drawing.answer import DrawnLine, Place, Role
from orthopsis.core.drawing.curves import bend, curve_pieces
from orthopsis.core.drawing.last import Last
from orthopsis.core.plane.arc import QUARTER_RAD
from orthopsis.core.plane.homogeneous import Point
from orthopsis.core.plane.tolerance import SAME_SHARE
from orthopsis.core.sight.hidden import Piece
from orthopsis.core.things.answers import Spans

Gone = Mapping[frozenset[str], Spans]
"""Edges that go, or of which parts go, by the full names of their ends."""
Span = tuple[float, float]
"""From where to where on an edge, as shares of it on the page."""

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
        self._last: Last[int, tuple[DrawnLine, ...]] = Last()

    def numbered(self, block: int) -> tuple[DrawnLine, ...]:
        """Return the lines, with the ids of this block."""
        first = block * IDS
        return self._last.answer(
            block, lambda: tuple(_light_line(number, ruled) for number, ruled in enumerate(self._drawn, start=first))
        )


def _light_line(number: int, ruled: Ruled) -> DrawnLine:
    return DrawnLine(
        id=number,
        thing=ruled.thing,
        name=name_within(ruled.thing, ruled.name),
        start=ruled.start.xy,
        end=ruled.end.xy,
        role="guide" if ruled.role == "guide" else "construction",
        family=ruled.family,
        visible=True,
        rests_on=ruled.rests_on,
        turns_to=ruled.turns_to,
        bend=bend(ruled.arc, 0.0, QUARTER_RAD) if ruled.arc is not None else (),
    )


class EdgePieces:
    """The pieces of a thing's edges as lines; while they are the same, so are the lines.

    Args:
        thing: its name.
        corners: where the hand made its corners, by their names within it, page mm; those it never made are missing.
        lines: what the hand ruled of it, by full name.
        only_seen: whether pieces that are hidden are left out.
    """

    def __init__(
        self, thing: str, corners: Mapping[str, Place], lines: Mapping[str, Ruled], *, only_seen: bool = False
    ) -> None:  # fmt: skip
        self._thing, self._corners, self._lines, self._only_seen = thing, corners, lines, only_seen
        self._last: Last[tuple[int, Role, Gone, Sequence[Piece]], tuple[DrawnLine, ...]] = Last()

    def numbered(self, block: int, pieces: Sequence[Piece], role: Role, gone: Gone) -> tuple[DrawnLine, ...]:
        """Return the lines between the points that the construction made, with the ids of this block.

        Args:
            gone: edges that other things take away.
        """
        mine = self._own(gone) if gone else {}
        return self._last.answer((block, role, mine, pieces), lambda: tuple(self._cut(pieces, role, mine, block * IDS)))

    def _own(self, gone: Gone) -> Gone:
        """Return those of some edges that may be edges of this thing."""
        own = {full_name(self._thing, name) for name in self._corners}
        return {ends: spans for ends, spans in gone.items() if ends <= own}

    def _cut(self, pieces: Sequence[Piece], role: Role, gone: Gone, number: int) -> Iterator[DrawnLine]:
        if self._only_seen:
            pieces = [piece for piece in pieces if piece.visible]
        are_bent, corners = False, self._corners
        for piece in pieces:
            edge = piece.edge
            if edge.angles is not None:
                are_bent = True
                continue
            start, end = corners.get(edge.start), corners.get(edge.end)
            if start is None or end is None:
                continue  # the hand never made it, because it is hidden
            for low, high in self._left(piece, start, end, gone) if gone else ((piece.start, piece.end),):
                yield self._line(number, piece, role, _along(start, end, low), _along(start, end, high))
                number += 1
        if are_bent:
            for piece, arc, span in curve_pieces(self._lines, self._thing, pieces):
                ends_on = arc.at(span[0]).xy, arc.at(span[1]).xy
                yield self._line(number, piece, role, *ends_on, bend(arc, *span))
                number += 1

    def _left(self, piece: Piece, start: Place, end: Place, gone: Gone) -> Sequence[Span]:
        """Return what is left of a piece of an edge where other things take some of it away, as shares of the edge."""
        names = frozenset(full_name(self._thing, name) for name in (piece.edge.start, piece.edge.end))
        spans = gone.get(names)
        if spans is None:
            return ((piece.start, piece.end),)
        taken = [(0.0, 1.0)]
        if spans:
            taken = sorted(
                (min(ends), max(ends)) for span in spans for ends in [[_share(start, end, at) for at in span]]
            )
        left, reach = list[Span](), piece.start
        for low, high in taken:
            if min(low, piece.end) - reach > SAME_SHARE:
                left.append((reach, min(low, piece.end)))
            reach = max(reach, high)
        return [*left, (reach, piece.end)] if piece.end - reach > SAME_SHARE else left

    def _line(
        self, number: int, piece: Piece, role: Role, start: Place, end: Place, bent: tuple[Place, ...] = ()
    ) -> DrawnLine:
        edge = piece.edge
        return DrawnLine(
            number, self._thing, edge.name, start, end, role, edge.runs, piece.visible, piece.behind, bend=bent
        )


def _share(start: Place, end: Place, at: Point) -> float:
    """Return how far along an edge a place on it lies."""
    dx, dy = end[0] - start[0], end[1] - start[1]
    return ((at.x - start[0]) * dx + (at.y - start[1]) * dy) / (dx * dx + dy * dy)


def _along(start: Place, end: Place, share: float) -> Place:
    if share == 0.0:
        return start
    x, y = start
    return (x + share * (end[0] - x), y + share * (end[1] - y))
