"""How is a line of the answer called, so that a pupil finds it on the sheet?

Lines of boxes have names of their own; those of outlines are told by their direction and by where they are on their
thing, or on their letter, and those that lie near each other by which of them it is. No two lines have one name.
"""

from collections.abc import Iterable, Iterator, Mapping, Sequence

from orthopsis.core.check.stroke import Expected
from orthopsis.core.wording.names import edge_words
from orthopsis.core.wording.vocabulary import ordinal

Whose = tuple[str, str]
"""A thing, and a part of it."""
Box = tuple[float, float, float, float]
"""Left, low, right, high, page mm."""


class LineNames:
    """The names of the lines of one sheet, each of them one line's own."""

    def __init__(self, expected: Iterable[Expected]) -> None:
        self._lines: Mapping[str, Expected] = {e.name: e for e in expected}
        self._boxes: dict[Whose, Box] = {}
        for e in self._lines.values():
            self._boxes[_owner(e)] = _around(self._boxes.get(_owner(e)), e)
        alike: dict[str, list[Expected]] = {}
        for e in (e for e in self._lines.values() if e.thing and e.is_asked):
            alike.setdefault(self._by_place(e), []).append(e)
        self._words = {e.name: said for words, lines in alike.items() for e, said in _apart(words, lines)}
        self._edge_of = {e.along: e.name for e in self._lines.values() if e.along and e.is_asked}

    def words(self, name: str) -> str:
        """Return how a line is called; what belongs to no thing, or to none of this sheet, is said as it is.

        A light line is called by the edge that is drawn along it.
        """
        name = self._edge_of.get(name, name)
        line = self._lines.get(name)
        if line is None or not line.thing:
            return name
        return self._words.get(name) or self._by_place(line)

    def is_line(self, name: str) -> bool:
        """Tell whether a name is that of a line of the sheet, and not of a curve."""
        line = self._lines.get(name)
        return line is not None and line.family != "curve"

    def is_back(self, name: str) -> bool:
        """Tell whether a line is an edge of a back."""
        line = self._lines.get(name)
        return line is not None and line.feature.kind == "back"

    def _by_place(self, e: Expected) -> str:
        """Return how a line is called by what it is, how it runs and in which third of its thing it lies."""
        return edge_words(e.thing, e.feature, e.family, self._third(e))

    def _third(self, e: Expected) -> tuple[int, int]:
        """Return in which third of what it belongs to a line lies, from the left and from below: 0, 1 or 2."""
        left, low, right, high = self._boxes[_owner(e)]
        x, y = _middle(e)
        across, up = (x - left) / max(right - left, 1e-9), (y - low) / max(high - low, 1e-9)
        return min(2, int(3 * across)), min(2, int(3 * up))


def _apart(words: str, lines: Sequence[Expected]) -> Iterator[tuple[Expected, str]]:
    """Yield lines that would be called alike, each with what tells it from the others: the left one, or the lower one.

    They are counted where they lie farther apart: from the left, or from below.
    """
    if len(lines) == 1:
        yield lines[0], words
        return
    places = [_middle(e) for e in lines]
    wide, tall = (max(axis) - min(axis) for axis in zip(*places, strict=True))
    axis, first, last = (0, "left", "right") if wide >= tall else (1, "lower", "upper")
    ordered = sorted(lines, key=lambda e: (_middle(e)[axis], _middle(e)[1 - axis]))
    for number, e in enumerate(ordered, start=1):
        if len(lines) == 2:
            yield e, f"{words} (the {first if number == 1 else last} one)"
        else:
            yield e, f"{words} (the {ordinal(number)} of {len(lines)} from {'the left' if axis == 0 else 'below'})"


def _middle(e: Expected) -> tuple[float, float]:
    return (e.start.x + e.end.x) / 2, (e.start.y + e.end.y) / 2


def _owner(e: Expected) -> Whose:
    return e.thing, e.feature.part


def _around(box: Box | None, e: Expected) -> Box:
    xs, ys = (e.start.x, e.end.x), (e.start.y, e.end.y)
    left, low, right, high = box or (min(xs), min(ys), max(xs), max(ys))
    return min(left, *xs), min(low, *ys), max(right, *xs), max(high, *ys)
