"""At which side of a length, and beside which part of it, does its measure stand clear of lines and other measures?

Tried are both sides, some places along it, and beyond its ends; the first that is as clear as any is taken.
"""

import math
from collections.abc import Iterator, Sequence

import numpy as np
from numpy.typing import NDArray

from orthopsis.core.drawing.answer import Box, Dimension, DrawnLine, Place, Step
from orthopsis.core.drawing.beside import GAP, TALL, beside, text_wide
from orthopsis.core.drawing.solved import Solved

ROWS = 34
"""A text is about so many times as tall as its picture is wide: four pictures on a page, or a picture on a wall."""
ALONG = (0.5, 0.3, 0.7, 0.12, 0.88)
"""Beside which shares of its length a measure may stand, the best one first."""
OVER_MEASURE, OVER_FRAME, PAST_END = 50, 200, 2
"""So many crossed lines are as bad as another measure under it, as the frame, and as to stand beyond the length, where
it may be taken for that of another one (no source)."""
ROUNDS = 2
"""So often each measure is placed: in the second round it knows where all others stand."""

Array = NDArray[np.float64]


def with_clear_measures(solved: Solved, steps: Sequence[Step]) -> list[Step]:
    """Return the steps with each of their measures where it is clear, as far as there is such a place."""
    segments, sheet, result = _Segments([*solved.lines]), solved.prepared.sheet, list[Step]()
    for step in steps:
        segments.follow(step)
        if not step.dimensions:
            result.append(step)
            continue
        part = step.close_up or (0.0, 0.0, sheet.width_mm, sheet.height_mm)
        result.append(step.model_copy(update={"dimensions": _clear(step.dimensions, segments, part)}))
    return result


class _Segments:
    """The straight pieces of the lines that are on the paper so far."""

    def __init__(self, lines: Sequence[DrawnLine]) -> None:
        pieces = [
            (row, *a, *b)
            for row, line in enumerate(lines)
            for a, b in zip((line.start, *line.bend), (*line.bend, line.end), strict=True)
        ]
        found = np.array(pieces, dtype=float).reshape(-1, 5)
        self._line_of = found[:, 0].astype(np.int64)
        self._middle, self._half = (found[:, 1:3] + found[:, 3:]) / 2, (found[:, 3:] - found[:, 1:3]) / 2
        self._rows = {line.id: row for row, line in enumerate(lines)}
        self._light, self._dark = np.zeros(len(lines), dtype=bool), np.zeros(len(lines), dtype=bool)

    def follow(self, step: Step) -> None:
        """Do what a step does."""
        for numbers, kept, is_there in (
            (step.takes_away, self._light, False), (step.draws, self._light, True), (step.darkens, self._dark, True)
        ):  # fmt: skip
            kept[[self._rows[number] for number in numbers if number in self._rows]] = is_there

    def crossed(self, boxes: Array) -> NDArray[np.int64]:
        """Return how many pieces run over each of some rectangles, shape (n, 4).

        A segment and a rectangle are apart if one of three axes parts them (any textbook of computer graphics).
        """
        shown = (self._light | self._dark)[self._line_of]
        middle, half = self._middle[shown], self._half[shown]
        centre, reach = (boxes[:, :2] + boxes[:, 2:]) / 2, (boxes[:, 2:] - boxes[:, :2]) / 2
        off, wide = middle[None] - centre[:, None], np.abs(half)[None]
        is_near = np.all(np.abs(off) <= reach[:, None] + wide, axis=2)
        across = np.abs(half[None, :, 0] * off[:, :, 1] - half[None, :, 1] * off[:, :, 0])
        is_near &= across <= reach[:, None, 0] * wide[:, :, 1] + reach[:, None, 1] * wide[:, :, 0]
        return np.asarray(np.count_nonzero(is_near, axis=1))


class _Measure:
    """A measure: the places that it may have, how bad each is whatever the others do, and which one it has."""

    def __init__(self, given: Dimension, segments: _Segments, part: Box) -> None:
        self.given, self._segments, self._part, self._size = given, segments, part, (part[2] - part[0]) / ROWS
        self.tried, self.at = list(_places(given, self._size)), -1
        self.boxes, self.lines, self._alone = list[Box](), list[Box](), list[int]()

    def _weigh(self, places: Sequence[tuple[Place, Place, Place, float]]) -> None:
        """Find for some more places how bad they are by themselves."""
        found = [beside(*place, self.given.text, self._size) for place in places]
        wide, tall = text_wide(self.given.text, self._size), TALL * self._size
        boxes: list[Box] = [(one.left, one.low, one.left + wide, one.low + tall) for one in found]
        crossed = self._segments.crossed(np.array(boxes)).tolist()
        self.boxes += boxes
        self.lines += [_about(one.start, one.end) for one in found]
        self._alone += [
            lines + OVER_FRAME * (not _is_within(box, self._part)) + PAST_END * (not 0 < at < 1)
            for lines, box, (*_, at) in zip(crossed, boxes, places, strict=True)
        ]

    def choose(self, others: Sequence["_Measure"]) -> None:
        """Take the best place beside other measures that have one; the first one will do if it is clear."""
        least = math.inf
        for i in range(len(self.tried)):
            if i == len(self._alone):
                self._weigh(self.tried[i:] if i else self.tried[:1])
            worse = self._alone[i] + sum(self._beside(i, other) for other in others)
            if worse < least:
                least, self.at = worse, i
            if not least:
                return

    def _beside(self, place: int, other: "_Measure") -> int:
        """Return how bad a place is beside another measure: their texts and the lines beside their lengths."""
        mine, theirs = self.boxes[place], other.boxes[other.at]
        over_lines = _overlaps(mine, other.lines[other.at]) + _overlaps(theirs, self.lines[place])
        return OVER_MEASURE * _overlaps(mine, theirs) + over_lines

    @property
    def placed(self) -> Dimension:
        """The length with the place that is chosen."""
        start, end, out, at = self.tried[self.at]
        return self.given.model_copy(update={"start": start, "end": end, "out": out, "at": at})


def _clear(dimensions: Sequence[Dimension], segments: _Segments, part: Box) -> list[Dimension]:
    """Return the lengths, each where its measure is clear: in the second round all know where the others stand."""
    measures = [_Measure(given, segments, part) for given in dimensions]
    for _ in range(ROUNDS):
        for mine in measures:
            mine.choose([other for other in measures if other is not mine and other.at >= 0])
    return [mine.placed for mine in measures]


def _about(start: Place, end: Place) -> Box:
    return min(start[0], end[0]), min(start[1], end[1]), max(start[0], end[0]), max(start[1], end[1])


def _overlaps(one: Box, other: Box) -> bool:
    return one[0] < other[2] and other[0] < one[2] and one[1] < other[3] and other[1] < one[3]


def _is_within(box: Box, part: Box) -> bool:
    return part[0] <= box[0] and part[1] <= box[1] and box[2] <= part[2] and box[3] <= part[3]


def _places(given: Dimension, size: float) -> Iterator[tuple[Place, Place, Place, float]]:
    """Yield beside which lengths, on which side and where along them a measure may stand.

    Beyond an end it may stand only where its length is too short for it.
    """
    for start, end, (x, y) in ((given.start, given.end, given.out), *given.equal):
        long, is_aside = math.dist(start, end), abs(x) > abs(y)
        needed = TALL * size if is_aside else text_wide(given.text, size)
        past = (needed / 2 + GAP * size) / max(long, GAP * size)
        beyond = (1 + past, -past) if long < needed else ()
        for out in ((x, y), (-x, -y)):
            for at in (*ALONG, *beyond):
                yield start, end, out, at
