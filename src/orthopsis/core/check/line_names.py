"""How is a line of the answer called, so that a pupil finds it on the sheet?

Lines of boxes have names of their own; those of outlines are told by their direction and by where they are on their
thing, or on their letter.
"""

from collections.abc import Iterable, Mapping

from orthopsis.core.check.stroke import Expected
from orthopsis.core.wording.names import edge_words

Whose = tuple[str, str]
"""A thing, and a part of it."""
Box = tuple[float, float, float, float]
"""Left, low, right, high, page mm."""


class LineNames:
    """The names of the lines of one sheet."""

    def __init__(self, expected: Iterable[Expected]) -> None:
        self._lines: Mapping[str, Expected] = {e.name: e for e in expected}
        self._boxes: dict[Whose, Box] = {}
        for e in self._lines.values():
            self._boxes[_owner(e)] = _around(self._boxes.get(_owner(e)), e)

    def words(self, name: str) -> str:
        """Return how a line is called; what belongs to no thing, or to none of this sheet, is said as it is."""
        line = self._lines.get(name)
        if line is None or not line.thing:
            return name
        return edge_words(line.thing, line.feature, line.family, self._third(line))

    def is_back(self, name: str) -> bool:
        """Tell whether a line is an edge of a back."""
        line = self._lines.get(name)
        return line is not None and line.feature.kind == "back"

    def _third(self, e: Expected) -> tuple[int, int]:
        """Return in which third of what it belongs to a line lies, from the left and from below: 0, 1 or 2."""
        left, low, right, high = self._boxes[_owner(e)]
        x, y = (e.start.x + e.end.x) / 2, (e.start.y + e.end.y) / 2
        across, up = (x - left) / max(right - left, 1e-9), (y - low) / max(high - low, 1e-9)
        return min(2, int(3 * across)), min(2, int(3 * up))


def _owner(e: Expected) -> Whose:
    return e.thing, e.feature.part


def _around(box: Box | None, e: Expected) -> Box:
    xs, ys = (e.start.x, e.end.x), (e.start.y, e.end.y)
    left, low, right, high = box or (min(xs), min(ys), max(xs), max(ys))
    return min(left, *xs), min(low, *ys), max(right, *xs), max(high, *ys)
