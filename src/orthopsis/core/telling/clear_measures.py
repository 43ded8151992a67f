"""At which side of a length, and beside which part of it, does its measure stand clear of lines and other measures?

Tried are both sides, some places along it, beyond its ends, rows further out, and last places all about it to which a
line leads; the first that is as clear as any is taken.
"""

import math
from collections.abc import Callable, Iterator, Mapping, Sequence
from dataclasses import dataclass
from functools import partial
from typing import Any

import numpy as np

from orthopsis.core.drawing.answer import Box, Dimension, Length, Place
from orthopsis.core.drawing.beside import GAP, ROW, TALL, beside, text_wide
from orthopsis.core.telling.clear_room import (
    DRIFT,
    FURTHER,
    OVER_LINE,
    OVER_TEXT,
    RIM,
    Array,
    Room,
    box_about,
    overlaps,
)

ALONG = (0.5, 0.4, 0.6, 0.3, 0.7, 0.2, 0.8, 0.1, 0.9)
"""Beside which shares of its length a measure may stand, the best one first."""
FINE = tuple(0.5 + side * step / 20 for step in range(10) for side in ((1, -1) if step else (1,)))
"""... where none of these is clear, in any row."""
OUT, FAR_OUT, BEYOND = 4, 8, 3
"""At how many rows further out, and places beyond an end, a measure may stand."""
STAGES = ((range(1), ALONG), (range(1, OUT + 1), ALONG), (range(FAR_OUT + 1), FINE))
"""In which rows, and beside which shares of its length, places are tried, until one is clear."""
TURNS, AWAY = 24, (2.5, 3.0, 3.5, 4.0, 5.0, 6.0, 7.0, 8.0, 9.0, 10.5, 12.5, 15.0)
"""In how many directions, and how many times the size of its text away, a measure is tried to which a line leads."""
PAST_END = 6
"""How bad it is to stand beyond the length, where a measure may be taken for that of another one (no source)."""
ROUNDS = 2
"""So often each measure is placed: in the second round it knows where all others stand."""


@dataclass(frozen=True, slots=True)
class _Side:
    """A side of a length, and beside which shares of that a measure may stand there."""

    start: Place
    end: Place
    out: Place
    shares: tuple[float, ...]
    others: Sequence[Length]

    def boxes(self, text: str, row: int, size: float) -> Array:
        """Return what the text covers in a row, at each share, shape (shares, 4)."""
        found = beside(self.start, self.end, self.out, 0.0, text, size, row)
        right, top = found.left + text_wide(text, size), found.low + TALL * size
        moved = np.multiply.outer(self.shares, np.subtract(self.end, self.start))
        rim = (RIM + DRIFT * ROW * row) * size
        about = np.array((found.left - rim, found.low - rim, right + rim, top + rim))
        return np.asarray(np.concatenate((moved, moved), axis=1) + about)


_At = tuple[_Side, Mapping[str, Any]]
"""At which side of a length a measure stands, and where there: the fields of its ``Dimension``."""


class _Tried:
    """Places that a measure may have: where its text is there, and how bad each is by itself.

    Args:
        given: the length; ``places``: its side, and what else says where its text is.
        boxes: what its text covers there, shape (n, 4); ``bad``: how bad that place is, whatever is drawn there.
    """

    def __init__(
        self, given: Dimension, places: Sequence[_At], boxes: Array, bad: Array, room: Room
    ) -> None:  # fmt: skip
        self._given, self._places, self._size = given, places, room.size
        self.boxes: list[Box] = list(map(tuple, boxes.tolist()))
        alone = room.bad(boxes) + bad
        self.alone: list[float] = alone.tolist()
        self.best_first: list[int] = np.argsort(alone, kind="stable").tolist()
        self._lines = dict[int, list[Box]]()

    def placed(self, place: int) -> Dimension:
        """Return the length with a place; that is right, so nothing is checked again."""
        side, where = self._places[place]
        beside_it = {"start": side.start, "end": side.end, "out": side.out, "equal": side.others}
        return self._given.model_copy(update={**beside_it, "at": 0.5, "row": 0, "away": None, **where})

    def lines(self, place: int) -> list[Box]:
        """Return about what the lines beside the length run, if the measure is at a place."""
        if place not in self._lines:
            one = self.placed(place)
            found = beside(one.start, one.end, one.out, one.at, one.text, self._size, one.row, one.away)
            is_far = one.row or one.away is not None
            self._lines[place] = [box_about(*line) for line in (found.lines if is_far else found.lines[:1])]
        return self._lines[place]


def _in_row(given: Dimension, room: Room, row: int, along: Sequence[float]) -> _Tried:
    """Return the places of a measure in a row beside its length."""
    sides = [*_sides(given, room.size, along)]
    places = [(side, at) for side in sides for at in side.shares]
    boxes = np.concatenate([side.boxes(given.text, row, room.size) for side in sides])
    past = np.array([not 0 < at < 1 for _, at in places])
    where = [(side, {"at": at, "row": row}) for side, at in places]
    return _Tried(given, where, boxes, PAST_END * past + FURTHER * row, room)


def _all_about(given: Dimension, room: Room, far: float) -> _Tried:
    """Return the places of a measure all about its length, so far away, to which a line leads, off its own line."""
    size, where, boxes, bad = room.size, list[_At](), list[Array](), list[Array]()
    turns = np.arange(TURNS) * math.tau / TURNS
    ways = far * np.column_stack((np.cos(turns), np.sin(turns))).round(3)
    half = np.array((text_wide(given.text, 1.0), TALL)) / 2
    for side in _sides(given, size, ()):
        way = np.array((-side.out[1], side.out[0]))
        is_aside = ways @ side.out > half @ np.abs(side.out) + RIM
        is_past = np.abs(ways @ way) > math.dist(side.start, side.end) / 2 / size + half @ np.abs(way) + RIM
        free = ways[is_aside | is_past]
        found = beside(side.start, side.end, side.out, 0.5, given.text, size, away=(0.0, 0.0))
        centre, reach = np.add(found.start, found.end) / 2 + size * free, size * (half + RIM + DRIFT * far)
        boxes.append(np.concatenate((centre - reach, centre + reach), axis=1))
        bad.append(FURTHER * far + PAST_END * ~is_aside[is_aside | is_past])
        where += [(side, {"away": (x, y)}) for x, y in free.tolist()]
    return _Tried(given, where, np.concatenate(boxes), np.concatenate(bad), room)


@dataclass(frozen=True, slots=True)
class _Set:
    """Places that are tried together.

    Attributes:
        at_least: how bad each of them is at least.
        enough: they are not tried where a place is found that is less bad than this.
        make: returns them.
    """

    at_least: float
    enough: float
    make: Callable[[Dimension, Room], _Tried]


def _sets() -> Iterator[_Set]:
    """Yield the places that a measure may have, in the order in which they are tried."""
    enough = 0.0
    for rows, along in STAGES:
        for row in rows:
            yield _Set(FURTHER * row, enough, partial(_in_row, row=row, along=along))
        enough = FURTHER * rows.stop
    for far in AWAY:
        yield _Set(FURTHER * far, OVER_LINE, partial(_all_about, far=far))


SETS = tuple(_sets())


class _Measure:
    """A measure, the places that it may have, and which one it has."""

    def __init__(self, given: Dimension, room: Room) -> None:
        self.given, self._room = given, room
        self._tried = dict[int, _Tried]()
        self.at: tuple[_Tried, int] | None = None

    def choose(self, others: Sequence["_Measure"]) -> None:
        """Take the best place beside other measures that have one; one further away only if none nearer is clear."""
        taken, least = [other.at for other in others if other.at], math.inf
        for number, places in enumerate(SETS):
            if least < max(places.at_least, places.enough):
                continue
            if number not in self._tried:
                self._tried[number] = places.make(self.given, self._room)
            tried = self._tried[number]
            for place in tried.best_first:
                if tried.alone[place] >= least:
                    break
                worse = tried.alone[place] + sum(_bad_beside((tried, place), other) for other in taken)
                if worse < least:
                    least, self.at = worse, (tried, place)

    @property
    def placed(self) -> Dimension:
        """The length with the place that is chosen."""
        return self.at[0].placed(self.at[1]) if self.at else self.given


def _bad_beside(one: tuple[_Tried, int], other: tuple[_Tried, int]) -> int:
    """Return how bad it is that two measures stand at some places: their texts and the lines beside their lengths."""
    mine, theirs = (tried.boxes[place] for tried, place in (one, other))
    over_lines = [
        overlaps(box, line) for box, (tried, place) in ((mine, other), (theirs, one)) for line in tried.lines(place)
    ]
    return OVER_TEXT * overlaps(mine, theirs) + OVER_LINE * sum(over_lines)


def with_clear_measures(dimensions: Sequence[Dimension], room: Room) -> list[Dimension]:
    """Return the lengths, each where its measure is clear: in the second round all know where the others stand."""
    measures = [_Measure(given, room) for given in dimensions]
    for _ in range(ROUNDS if len(measures) > 1 else 1):
        for mine in measures:
            mine.choose([other for other in measures if other is not mine])
    return [mine.placed for mine in measures]


def _sides(given: Dimension, size: float, along: Sequence[float]) -> Iterator[_Side]:
    """Yield both sides of each length beside which a measure may stand, that to which it points first.

    Beyond an end it may stand only where its length is too short for it.
    """
    lengths: list[Length] = [(given.start, given.end, given.out), *given.equal]
    for i, (start, end, (x, y)) in enumerate(lengths):
        long, is_aside = math.dist(start, end), abs(x) > abs(y)
        needed, least = TALL * size if is_aside else text_wide(given.text, size), GAP * size
        past = [(needed / 2 + least + i * needed) / max(long, least) for i in range(BEYOND)]
        beyond = [at for each in past for at in (1 + each, -each)] if long < needed else []
        for out in ((x, y), (-x, -y)):
            yield _Side(start, end, out, (*along, *beyond), lengths[:i] + lengths[i + 1 :])
