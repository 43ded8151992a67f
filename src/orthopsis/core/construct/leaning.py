"""Which corners of an outline lie on lines that lean from corner to corner, so that fewer light lines lead to them?

An inner edge of a stroke that leans runs on, over what is cut away, to corners that are there: from corner to corner
across the letter. Where it crosses another such line, or a light line that is needed anyway, lies a corner. Common
practice, no source.
"""

from collections.abc import Collection, Mapping, Sequence
from dataclasses import dataclass, field
from typing import Literal

from orthopsis.core.plane.arc import FacePlace
from orthopsis.core.plane.tolerance import SAME_SHARE

Way = Literal["row", "column"]
LEAST_ON_LINE = 3
"""A line with fewer corners on it leads to none: two of them only say where it runs."""


@dataclass(frozen=True, slots=True)
class OnLine:
    """How a corner on a line that leans is found: by its number, and where what crosses it.

    Attributes:
        line: number of the line.
        by: what crosses it there: a light line of that way through the corner, or another line that leans.
    """

    line: int
    by: Way | int


@dataclass(frozen=True, slots=True)
class Leaning:
    """The lines that lean, each from its first corner to its last one, and the corners that are found on them."""

    lines: tuple[tuple[int, int], ...] = ()
    found: Mapping[int, OnLine] = field(default_factory=dict)

    def places(self, corners: Mapping[int, FacePlace]) -> dict[int, FacePlace]:
        """Return all places, those on the lines where the lines now cross.

        Args:
            corners: a place of each corner; of one on a line only what says where its light line lies is read.
        """
        return {n: self._placed(n, corners) if n in self.found else place for n, place in corners.items()}

    def _placed(self, corner: int, corners: Mapping[int, FacePlace]) -> FacePlace:
        on = self.found[corner]
        line, (x, y) = self._ends(on.line, corners), corners[corner]
        if on.by == "row":
            return (_crossing(line, ((0.0, y), (1.0, y)))[0], y)
        if on.by == "column":
            return (x, _crossing(line, ((x, 0.0), (x, 1.0)))[1])
        return _crossing(line, self._ends(on.by, corners))

    def _ends(self, line: int, corners: Mapping[int, FacePlace]) -> tuple[FacePlace, FacePlace]:
        start, end = self.lines[line]
        return corners[start], corners[end]

    def light_lines(self, corner: int, corners: Mapping[int, FacePlace]) -> list[FacePlace]:
        """Return a place on the light line that leads to a corner on a line that leans; none where two such cross.

        The place's other coordinate is that of a corner for which there is a light line anyway.
        """
        on, (x, y) = self.found[corner], corners[corner]
        base = corners[self.lines[on.line][0]]
        if on.by == "row":
            return [(base[0], y)]
        return [(x, base[1])] if on.by == "column" else []


def leaning(
    corners: Mapping[int, FacePlace], edges: Sequence[tuple[int, int]], parts: Sequence[Sequence[int]],
    kept: Collection[int] = (),
) -> Leaning:  # fmt: skip
    """Return the lines that lean in an outline.

    Args:
        corners: the place of each corner on its face, by number.
        edges: the edges of the outline.
        parts: the corners that belong together, such as those of a letter.
        kept: corners that are no ends of such lines and not found on them.
    """
    lines, found = list[tuple[int, int]](), dict[int, OnLine]()
    for part in parts:
        own = {n: corners[n] for n in part if n not in kept}
        rows = _lines_in(own, [edge for edge in edges if edge[0] in own and edge[1] in own])
        inner = {corner for row in rows for corner in row[1:-1]}
        plain = {n: place for n, place in corners.items() if n in part and n not in inner}
        for corner in sorted(inner):
            on = [len(lines) + i for i, row in enumerate(rows) if corner in row[1:-1]]
            found[corner] = OnLine(on[0], on[1] if len(on) > 1 else _way(own[corner], plain.values()))
        lines += [(row[0], row[-1]) for row in rows]
    return Leaning(tuple(lines), found)


def _lines_in(own: Mapping[int, FacePlace], edges: Sequence[tuple[int, int]]) -> list[list[int]]:
    """Return the corners on each line that leans and leads to some of them, in order along it."""
    rows = list[list[int]]()
    for a, b in edges:
        if any(a in row and b in row for row in rows) or min(_apart(own[a], own[b])) <= SAME_SHARE:
            continue
        on = sorted((n for n in own if _is_on(own[n], own[a], own[b])), key=own.__getitem__)
        if len(on) >= LEAST_ON_LINE:
            rows.append(on)
    while any(_hangs(row, rows) for row in rows):
        rows.remove(next(row for row in rows if _hangs(row, rows)))
    return rows


def _hangs(row: Sequence[int], rows: Sequence[Sequence[int]]) -> bool:
    """Tell whether a line ends at a corner that is itself found on a line."""
    inner = {corner for other in rows for corner in other[1:-1]}
    return row[0] in inner or row[-1] in inner


def _apart(a: FacePlace, b: FacePlace) -> tuple[float, float]:
    return abs(a[0] - b[0]), abs(a[1] - b[1])


def _is_on(place: FacePlace, a: FacePlace, b: FacePlace) -> bool:
    (ax, ay), (bx, by) = a, b
    return abs((bx - ax) * (place[1] - ay) - (by - ay) * (place[0] - ax)) <= SAME_SHARE * max(_apart(a, b))


def _way(place: FacePlace, plain: Collection[FacePlace]) -> Way:
    """Return which light line leads to a place: one that leads to other corners too, if there is one."""
    if any(abs(y - place[1]) <= SAME_SHARE for _, y in plain):
        return "row"
    return "column" if any(abs(x - place[0]) <= SAME_SHARE for x, _ in plain) else "row"


def _crossing(a: tuple[FacePlace, FacePlace], b: tuple[FacePlace, FacePlace]) -> FacePlace:
    (ax, ay), (bx, by) = a
    (cx, cy), (dx, dy) = b
    across = (bx - ax) * (dy - cy) - (by - ay) * (dx - cx)
    t = ((cx - ax) * (dy - cy) - (cy - ay) * (dx - cx)) / across
    return (ax + t * (bx - ax), ay + t * (by - ay))
