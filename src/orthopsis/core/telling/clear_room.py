"""Where in the picture of a step is there room for a text: clear of lines, of other texts, and within the frame?"""

from collections.abc import Sequence
from dataclasses import dataclass

import numpy as np
from numpy.typing import NDArray

from orthopsis.core.drawing.answer import Box, DrawnLine, OnPaper, Place

OVER_LINE, OVER_TEXT, OVER_FRAME, FURTHER = 20, 1000, 4000, 1
"""How bad it is to stand over a line, another text and the frame, and a row further away (no source)."""
RIM, DRIFT = 0.12, 0.04
"""How much about a text stays clear, as a share of its size, and of how far out it is: elsewhere it is a little larger
or smaller, and so further out or nearer."""

Array = NDArray[np.float64]


class Segments:
    """The straight pieces of the lines that are on the paper so far."""

    def __init__(self, lines: Sequence[DrawnLine], paper: OnPaper) -> None:
        pieces = [
            (row, *a, *b)
            for row, line in enumerate(lines)
            for a, b in zip((line.start, *line.bend), (*line.bend, line.end), strict=True)
        ]
        found = np.array(pieces, dtype=float).reshape(-1, 5)
        self._line_of = found[:, 0].astype(np.int64)
        self._middle, self._half = (found[:, 1:3] + found[:, 3:]) / 2, (found[:, 3:] - found[:, 1:3]) / 2
        self._low, self._high = np.minimum(found[:, 1:3], found[:, 3:]), np.maximum(found[:, 1:3], found[:, 3:])
        spans = np.array(paper.lines, dtype=np.int64).reshape(-1, 3)
        self._since, self._until, self._dark = spans[found[:, 0].astype(np.int64)].T
        self._there = np.zeros(len(found), dtype=bool)

    def go_to(self, number: int) -> None:
        """Take up what is there after so many steps."""
        self._there = (self._since <= number) & (number < self._until) | (self._dark <= number)

    def crossed(self, boxes: Array) -> NDArray[np.int64]:
        """Return how many pieces run over each of some rectangles, shape (n, 4); there may be none.

        A segment and a rectangle are apart if one of three axes parts them (any textbook of computer graphics).
        """
        if not len(boxes):
            return np.zeros(0, dtype=np.int64)
        # Most lines are far from all of them.
        shown = self._there & np.all(
            (self._low <= boxes[:, 2:].max(axis=0)) & (self._high >= boxes[:, :2].min(axis=0)), axis=1
        )
        (mx, my), (hx, hy) = self._middle[shown].T, self._half[shown].T
        wide, tall = (boxes[:, 2:] - boxes[:, :2]).T / 2
        x, y = mx - (boxes[:, 0] + wide)[:, None], my - (boxes[:, 1] + tall)[:, None]
        is_near = (np.abs(x) <= wide[:, None] + np.abs(hx)) & (np.abs(y) <= tall[:, None] + np.abs(hy))
        at = np.nonzero(is_near)
        row, column = at
        across = np.abs(hx[column] * y[at] - hy[column] * x[at])
        over = across <= wide[row] * np.abs(hy[column]) + tall[row] * np.abs(hx[column])
        return np.bincount(row[over], minlength=len(boxes))


@dataclass(frozen=True, slots=True)
class Room:
    """The picture of a step.

    Attributes:
        segments: the lines on the paper.
        part: what of the sheet it shows, mm.
        size: how tall its texts are, in mm of the sheet.
        texts: about what other texts of it stand, shape (n, 4).
    """

    segments: Segments
    part: Box
    size: float
    texts: Array

    def bad(self, boxes: Array) -> Array:
        """Return how bad it is to stand in each of some rectangles, shape (n, 4)."""
        is_over_frame = np.any((boxes[:, :2] < self.part[:2]) | (boxes[:, 2:] > self.part[2:]), axis=1)
        over_texts = np.count_nonzero(meeting(boxes, self.texts), axis=1)
        over_lines = OVER_LINE * self.segments.crossed(boxes)
        return np.asarray(over_lines + OVER_FRAME * is_over_frame + OVER_TEXT * over_texts)


def meeting(boxes: Array, others: Array) -> NDArray[np.bool_]:
    """Tell which of some rectangles meet which others, shape (n, m)."""
    (left, low, right, high), (lefts, lows, rights, highs) = boxes.T[:, :, None], others.T
    return np.asarray((left < rights) & (lefts < right) & (low < highs) & (lows < high))


def overlaps(one: Box, other: Box) -> bool:
    """Tell whether two rectangles overlap."""
    return one[0] < other[2] and other[0] < one[2] and one[1] < other[3] and other[1] < one[3]


def box_about(start: Place, end: Place) -> Box:
    """Return the rectangle about a line."""
    return min(start[0], end[0]), min(start[1], end[1]), max(start[0], end[0]), max(start[1], end[1])
