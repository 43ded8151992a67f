"""How many different strokes does a hand draw in a step?

What lies on one straight line and hangs together is one stroke, however many lines of the construction it is: the two
halves through a middle, the sides of panes in a row.
"""

from collections.abc import Iterable, Mapping

import numpy as np

from orthopsis.core.construct.engine import Ruled

SAME_RAD = 1e-6
"""Directions that differ by less are one."""
SAME_MM = 1e-3
"""Lines this near to each other are one, and pieces with no greater gap between them hang together."""

Span = tuple[float, float]
"""From where to where along a straight line, mm."""


class Strokes:
    """The lines of a sheet as strokes, and which of them are drawn so far.

    Args:
        lines: all lines, by full name.
    """

    def __init__(self, lines: Mapping[str, Ruled]) -> None:
        self._curves = {name for name, line in lines.items() if line.arc is not None}
        straight = [name for name in lines if name not in self._curves]
        ends = np.array([(*lines[name].start.xy, *lines[name].end.xy) for name in straight]).reshape(-1, 4)
        self._dark = {name: line.role == "edge" for name, line in lines.items()}
        self._drawn: dict[int, list[tuple[Span, bool]]] = {}
        self._line, self._span = dict[str, int](), dict[str, Span]()
        which, spans = _on_lines(ends)
        for name, number, span in zip(straight, which, spans, strict=True):
            self._line[name], self._span[name] = number, span

    def count(self, names: Iterable[str]) -> int:
        """Return how many strokes some lines are: straight ones, and curves one by one."""
        spans: dict[int, list[Span]] = {}
        curves = 0
        for name in names:
            if name in self._curves:
                curves += 1
            else:
                spans.setdefault(self._line[name], []).append(self._span[name])
        return curves + sum(_pieces(mine) for mine in spans.values())

    def draw(self, names: Iterable[str]) -> None:
        """Take some lines as drawn."""
        for name in names:
            if name not in self._curves:
                self._drawn.setdefault(self._line[name], []).append((self._span[name], self._dark[name]))

    def there(self, names: Iterable[str]) -> set[str]:
        """Return which of some lines lie wholly on lines that are drawn, as dark as they are or darker."""
        return {name for name in names if name not in self._curves and self._is_there(name)}

    def _is_there(self, name: str) -> bool:
        drawn = self._drawn.get(self._line[name], ())
        low, high = self._span[name]
        reach = low
        for start, end in sorted(span for span, is_dark in drawn if is_dark or not self._dark[name]):
            if start <= reach + SAME_MM:
                reach = max(reach, end)
        return reach >= high - SAME_MM


def _on_lines(ends: np.ndarray[tuple[int, int], np.dtype[np.float64]]) -> tuple[list[int], list[Span]]:
    """Return for each line the number of the straight line that it lies on, and from where to where on that.

    Args:
        ends: x and y of both ends of each, shape (n, 4), mm.
    """
    start, end = ends[:, :2], ends[:, 2:]
    angle = np.arctan2(end[:, 1] - start[:, 1], end[:, 0] - start[:, 0]) % np.pi
    angle = np.where(angle > np.pi - SAME_RAD, angle - np.pi, angle)
    way = np.column_stack((np.cos(angle), np.sin(angle)))
    aside = start[:, 1] * way[:, 0] - start[:, 0] * way[:, 1]
    by_angle = np.argsort(angle, kind="stable")
    parallel = np.zeros(len(ends), dtype=np.int64)
    parallel[by_angle] = np.cumsum(np.diff(angle[by_angle], prepend=angle[by_angle][:1]) > SAME_RAD)
    order = np.lexsort((aside, parallel))
    jumps = np.diff(aside[order], prepend=aside[order][:1]) > SAME_MM
    jumps |= np.diff(parallel[order], prepend=parallel[order][:1]) > 0
    which = np.zeros(len(ends), dtype=np.int64)
    which[order] = np.cumsum(jumps)
    along = np.sort(np.column_stack((np.sum(start * way, axis=1), np.sum(end * way, axis=1))), axis=1)
    return which.tolist(), [(low, high) for low, high in along.tolist()]


def _pieces(spans: list[Span]) -> int:
    """Return how many pieces some spans of one line make that hang together."""
    pieces, reach = 0, -np.inf
    for low, high in sorted(spans):
        pieces += low > reach + SAME_MM
        reach = max(reach, high)
    return pieces
