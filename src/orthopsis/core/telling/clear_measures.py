"""At which side of a length, and beside which part of it, does its measure stand clear of lines and other measures?

Tried are both sides, some places along it, beyond its ends, and rows further out; the first that is as clear as any is
taken.
"""

import math
from collections.abc import Iterator, Sequence
from dataclasses import dataclass

import numpy as np
from numpy.typing import NDArray

from orthopsis.core.drawing.answer import Box, Dimension, DrawnLine, Place, Step
from orthopsis.core.drawing.beside import GAP, ROW, TALL, beside, text_wide
from orthopsis.core.drawing.solved import Solved

ROWS = 34
"""A text is about so many times as tall as its picture is wide: four pictures on a page, or a picture on a wall."""
ALONG = (0.5, 0.4, 0.6, 0.3, 0.7, 0.2, 0.8, 0.1, 0.9)
"""Beside which shares of its length a measure may stand, the best one first."""
FINE = tuple(0.5 + side * step / 20 for step in range(10) for side in ((1, -1) if step else (1,)))
"""... where none of these is clear, in any row."""
OUT, FAR_OUT, BEYOND = 4, 8, 3
"""At how many rows further out, and places beyond an end, a measure may stand."""
STAGES = ((range(1), ALONG), (range(1, OUT + 1), ALONG), (range(FAR_OUT + 1), FINE))
"""In which rows, and beside which shares of its length, places are tried, until one is clear."""
OVER_LINE, OVER_MEASURE, OVER_FRAME, PAST_END, FURTHER = 20, 1000, 4000, 6, 1
"""How bad it is to stand over a line, another measure and the frame, beyond the length, where it may be taken for that
of another one, and a row further out (no source)."""
RIM = 0.12
"""How much about a text stays clear, as a share of its size: elsewhere it is a little larger or smaller."""
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


@dataclass(frozen=True, slots=True)
class _Side:
    """A side of a length, and beside which shares of that a measure may stand there."""

    start: Place
    end: Place
    out: Place
    shares: tuple[float, ...]

    def boxes(self, text: str, rows: Sequence[int], size: float) -> Array:
        """Return what the text covers in some rows, at each share, shape (rows, shares, 4)."""
        found, rim = beside(self.start, self.end, self.out, 0.0, text, size), RIM * size
        right, top = found.left + text_wide(text, size), found.low + TALL * size
        along = np.multiply.outer(self.shares, np.subtract(self.end, self.start))
        further = np.multiply.outer(rows, ROW * size * np.array(self.out))
        moved = further[:, None] + along[None]
        about = np.array((found.left - rim, found.low - rim, right + rim, top + rim))
        return np.asarray(np.concatenate((moved, moved), axis=2) + about)


class _Rows:
    """Places of a measure in some rows beside its length: where they are, and how bad each is by itself."""

    def __init__(self, sides: Sequence[_Side], rows: Sequence[int], text: str, segments: _Segments, part: Box) -> None:
        self._text, self._size = text, (part[2] - part[0]) / ROWS
        self.places = [(side, at, row) for side in sides for row in rows for at in side.shares]
        boxes = np.concatenate([side.boxes(text, rows, self._size).reshape(-1, 4) for side in sides])
        self.boxes: list[Box] = list(map(tuple, boxes.tolist()))
        past = np.array([not 0 < at < 1 for _, at, _ in self.places])
        further = np.array([row for *_, row in self.places])
        is_over_frame = np.any((boxes[:, :2] < part[:2]) | (boxes[:, 2:] > part[2:]), axis=1)
        alone = OVER_LINE * segments.crossed(boxes) + OVER_FRAME * is_over_frame + PAST_END * past + FURTHER * further
        self.alone: list[int] = alone.tolist()
        self.best_first: list[int] = np.argsort(alone, kind="stable").tolist()
        self._lines = dict[int, list[Box]]()

    def lines(self, place: int) -> list[Box]:
        """Return about what the lines beside the length run, if the measure is at a place."""
        if place not in self._lines:
            side, at, row = self.places[place]
            found = beside(side.start, side.end, side.out, at, self._text, self._size, row)
            self._lines[place] = [_about(*line) for line in ((found.start, found.end), *(found.ticks if row else ()))]
        return self._lines[place]


class _Measure:
    """A measure, the places that it may have, and which one it has."""

    def __init__(self, given: Dimension, segments: _Segments, part: Box) -> None:
        self.given, self._segments, self._part = given, segments, part
        self._tried = list[_Rows]()
        self.at: tuple[_Rows, int] | None = None

    def choose(self, others: Sequence["_Measure"]) -> None:
        """Take the best place beside other measures that have one; rows further out only if none is clear beside it."""
        taken, least = [other.at for other in others if other.at], math.inf
        for i, (rows, along) in enumerate(STAGES):
            if i == len(self._tried):
                sides = [*_sides(self.given, (self._part[2] - self._part[0]) / ROWS, along)]
                self._tried.append(_Rows(sides, rows, self.given.text, self._segments, self._part))
            tried = self._tried[i]
            for place in tried.best_first:
                if tried.alone[place] >= least:
                    break
                worse = tried.alone[place] + sum(_bad_beside((tried, place), other) for other in taken)
                if worse < least:
                    least, self.at = worse, (tried, place)
            if least < FURTHER * rows.stop:
                return

    @property
    def placed(self) -> Dimension:
        """The length with the place that is chosen."""
        if not self.at:
            return self.given
        rows, place = self.at
        side, at, row = rows.places[place]
        found = {"start": side.start, "end": side.end, "out": side.out, "at": at, "row": row}
        return self.given.model_copy(update=found)


def _bad_beside(one: tuple[_Rows, int], other: tuple[_Rows, int]) -> int:
    """Return how bad it is that two measures stand at some places: their texts and the lines beside their lengths."""
    mine, theirs = (rows.boxes[place] for rows, place in (one, other))
    over_lines = [
        _overlaps(box, line) for box, (rows, place) in ((mine, other), (theirs, one)) for line in rows.lines(place)
    ]
    return OVER_MEASURE * _overlaps(mine, theirs) + OVER_LINE * sum(over_lines)


def _clear(dimensions: Sequence[Dimension], segments: _Segments, part: Box) -> list[Dimension]:
    """Return the lengths, each where its measure is clear: in the second round all know where the others stand."""
    measures = [_Measure(given, segments, part) for given in dimensions]
    for _ in range(ROUNDS if len(measures) > 1 else 1):
        for mine in measures:
            mine.choose([other for other in measures if other is not mine])
    return [mine.placed for mine in measures]


def _about(start: Place, end: Place) -> Box:
    return min(start[0], end[0]), min(start[1], end[1]), max(start[0], end[0]), max(start[1], end[1])


def _overlaps(one: Box, other: Box) -> bool:
    return one[0] < other[2] and other[0] < one[2] and one[1] < other[3] and other[1] < one[3]


def _sides(given: Dimension, size: float, along: Sequence[float]) -> Iterator[_Side]:
    """Yield both sides of each length beside which a measure may stand, that to which it points first.

    Beyond an end it may stand only where its length is too short for it.
    """
    for start, end, (x, y) in ((given.start, given.end, given.out), *given.equal):
        long, is_aside = math.dist(start, end), abs(x) > abs(y)
        needed, least = TALL * size if is_aside else text_wide(given.text, size), GAP * size
        past = [(needed / 2 + least + i * needed) / max(long, least) for i in range(BEYOND)]
        beyond = [at for each in past for at in (1 + each, -each)] if long < needed else []
        for out in ((x, y), (-x, -y)):
            yield _Side(start, end, out, (*along, *beyond))
