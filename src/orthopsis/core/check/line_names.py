"""How is a line of the answer called, so that a pupil finds it on the sheet?

Lines of boxes have names of their own; those of outlines are told by their direction and by where they are on their
thing, or on their letter.
"""

import re
from collections.abc import Iterable, Mapping

from orthopsis.core.check.stroke import Expected
from orthopsis.core.wording.names import edge_words, numbered_edge_words

_NUMBERED = re.compile(r"\d")


class LineNames:
    """The names of the lines of one sheet."""

    def __init__(self, expected: Iterable[Expected]) -> None:
        self._lines: Mapping[str, Expected] = {e.name: e for e in expected}
        self._boxes: dict[str, tuple[float, float, float, float]] = {}
        for e in self._lines.values():
            self._boxes[_owner(e.name)] = _around(self._boxes.get(_owner(e.name)), e)

    def words(self, name: str) -> str:
        """Return how a line is called; a name that is not of this sheet is said as it is."""
        line = self._lines.get(name)
        if line is not None and _NUMBERED.search(_part(name)):
            return numbered_edge_words(_owner(name), _part(name), line.family, self._place(line))
        return line_words(name)

    def _place(self, e: Expected) -> tuple[int, int]:
        """Return in which third of its thing a line lies, from the left and from below: 0, 1 or 2."""
        left, low, right, high = self._boxes[_owner(e.name)]
        x, y = (e.start.x + e.end.x) / 2, (e.start.y + e.end.y) / 2
        across, up = (x - left) / max(right - left, 1e-9), (y - low) / max(high - low, 1e-9)
        return min(2, int(3 * across)), min(2, int(3 * up))


def line_words(name: str) -> str:
    """Return how a line is called by its name alone."""
    thing, _, part = name.partition(".")
    if not part:
        return name
    if part.startswith("guide."):
        part = part.replace("guide.", "depth.", 1)
    return edge_words(thing, part)


def _owner(name: str) -> str:
    """Return what a line belongs to: its thing, or a letter of it (``K of Knot``)."""
    thing, _, rest = name.partition(".")
    group = rest.partition(".")[0]
    return f"{group} of {thing}" if group and (not group.islower() or " " in group) else thing


def _part(name: str) -> str:
    thing, _, rest = name.partition(".")
    return rest if _owner(name) == thing else rest.partition(".")[2]


def _around(box: tuple[float, float, float, float] | None, e: Expected) -> tuple[float, float, float, float]:
    xs, ys = (e.start.x, e.end.x), (e.start.y, e.end.y)
    left, low, right, high = box or (min(xs), min(ys), max(xs), max(ys))
    return min(left, *xs), min(low, *ys), max(right, *xs), max(high, *ys)
