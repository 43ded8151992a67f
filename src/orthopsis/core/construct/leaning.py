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


WELL = 0.2
"""Two lines whose slopes differ by less than this share of the greater one cross badly (no source)."""
FLATTEST, STEEPEST = 0.5, 40.0
"""Rise over run, in shares of a face, of lines that level and upright light lines cross well. Letters of a long word
are a small share of its face, so their lines are steep in shares (no source)."""


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
            on = [i for i, row in enumerate(rows) if corner in row[1:-1]]
            ways = [_toward(own[rows[i][0]], own[rows[i][-1]]) for i in on]
            other = next((i for i, way in zip(on[1:], ways[1:], strict=True) if _crosses_well(ways[0], way)), None)
            by = _way(own[corner], plain.values(), ways[0]) if other is None else len(lines) + other
            found[corner] = OnLine(len(lines) + on[0], by)
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


def _toward(a: FacePlace, b: FacePlace) -> FacePlace:
    return b[0] - a[0], b[1] - a[1]


def _crosses_well(one: FacePlace, other: FacePlace) -> bool:
    """Tell whether two ways differ so much that a hair on one moves their crossing little, however wide a face is."""
    a, b = one[0] * other[1], one[1] * other[0]
    return abs(a - b) >= WELL * max(abs(a), abs(b))


def _way(place: FacePlace, plain: Collection[FacePlace], line: FacePlace) -> Way:
    """Return which light line leads to a place on a line: one that leads to other corners too, if it crosses well.

    What all but runs along the line would move the place far for a hair: a level light line on a flat one.
    """
    rise = abs(line[1] / line[0])
    if rise >= FLATTEST and any(abs(y - place[1]) <= SAME_SHARE for _, y in plain):
        return "row"
    if rise <= STEEPEST and any(abs(x - place[0]) <= SAME_SHARE for x, _ in plain):
        return "column"
    return "row" if rise >= 1 else "column"


def _crossing(a: tuple[FacePlace, FacePlace], b: tuple[FacePlace, FacePlace]) -> FacePlace:
    (ax, ay), (bx, by) = a
    (cx, cy), (dx, dy) = b
    across = (bx - ax) * (dy - cy) - (by - ay) * (dx - cx)
    t = ((cx - ax) * (dy - cy) - (cy - ay) * (dx - cx)) / across
    return (ax + t * (bx - ax), ay + t * (by - ay))
