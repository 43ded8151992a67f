"""At which side of a scale, and how far from its places, do its figures stand clear of lines, texts and the frame?

All figures of a scale stand at one side, in their order. Where they have no room beside each other they are spread
along it; then each is as near to its place as it is clear.
"""

from collections.abc import Sequence
from dataclasses import replace
from itertools import pairwise

import numpy as np

from orthopsis.core.drawing.answer import Scale, ScaleSide
from orthopsis.core.drawing.beside import TALL, scale_text, text_wide
from orthopsis.core.telling.clear_room import (
    DRIFT,
    FURTHER,
    OVER_FRAME,
    OVER_LINE,
    OVER_TEXT,
    RIM,
    Array,
    Room,
    meeting,
)

NEAR = np.array([(0.5 + 0.3 * step, 0.0) for step in range(4)])
"""How far from its place, and moved along the scale, a figure is tried first, as shares of its size."""
FAR = np.array(
    [
        (0.5 + out_step * 0.4, nudge)
        for nudge in (0.0, 0.6, -0.6, 1.2, -1.2, 2.0, -2.0, 3.0, -3.0)
        for out_step in range(8 if nudge else 24)
    ]
)
"""... and where none of these is clear."""
MANY = 9
"""More figures than these are read best in a regular row, over lines or not (no source)."""
STEEP = 0.8
"""A line to a figure that stands aside leads at least so many times as far out as aside."""
PARTED = 0.35
"""How far figures are apart that stand beside each other, as a share of their size."""
OPPOSITE: dict[ScaleSide, ScaleSide] = {"below": "above", "above": "below", "left": "right", "right": "left"}
OTHER_SIDE, ASIDE = 6, 1
"""How bad it is to stand at the other side than one looks for it first, and aside from its place (no source)."""


def with_clear_figures(scales: Sequence[Scale], room: Room) -> tuple[list[Scale], Array]:
    """Return the scales with the places of their figures, and what those cover, shape (n, 4)."""
    result, before = list[Scale](), len(room.texts)
    for scale in (one for one in scales if one.marks):
        best, boxes, bad = _placed(scale, scale.side, room)
        if bad >= OVER_LINE:
            other, other_boxes, other_bad = _placed(scale, OPPOSITE[scale.side], room)
            if other_bad + OTHER_SIDE < bad:
                best, boxes = other, other_boxes
        result.append(best)
        room = replace(room, texts=np.concatenate((room.texts, boxes)))
    return result, room.texts[before:]


def _placed(scale: Scale, side: ScaleSide, room: Room) -> tuple[Scale, Array, float]:
    """Return a scale with its figures at a side, what they cover, shape (n, 4), and how bad it is all together."""
    figures = _Figures(scale, side, room)
    near, alone = figures.tried(slice(None), NEAR)
    chosen, rows = alone.argmin(axis=1), np.arange(len(alone))
    boxes, bad, places = near[rows, chosen], alone[rows, chosen], NEAR[chosen]
    for i in np.flatnonzero(bad >= (OVER_LINE if len(figures.marks) <= MANY else OVER_FRAME)).tolist():
        (far,), (alone,) = figures.tried(slice(i, i + 1), FAR)
        best = int(alone.argmin())
        if alone[best] < bad[i]:
            boxes[i], bad[i], places[i] = far[best], alone[best], FAR[best]
            figures.move(i, float(FAR[best, 1]))
    return figures.at(places), boxes, float(bad.sum())


class _Figures:
    """The figures of a scale at a side, in their order, spread along it as far as they need.

    Attributes:
        marks: their places on the scale.
    """

    def __init__(self, scale: Scale, side: ScaleSide, room: Room) -> None:
        self._side, self._room, self._along = side, room, 0 if side in ("below", "above") else 1
        self._order = sorted(range(len(scale.marks)), key=lambda i: scale.marks[i].at[self._along])
        self.marks = [scale.marks[i] for i in self._order]
        size, self._starts = room.size, np.array([mark.at for mark in self.marks])
        wide = np.array([text_wide(mark.text, size) for mark in self.marks])
        self._sizes = np.column_stack((wide, np.full(len(wide), TALL * size)))
        self._rooms = self._sizes[:, self._along] + PARTED * size
        self._limits = room.part[self._along], room.part[self._along + 2]
        self._middles = np.array(spread(self._starts[:, self._along].tolist(), self._rooms.tolist(), *self._limits))
        self._begins = np.array([scale_text(mark.at, side, 0.0, mark.text, size)[1] for mark in self.marks])
        self._ways = np.array([scale_text((0.0, 0.0), side, out, "", size, 1 - out)[0] for out in (1.0, 0.0)])

    def tried(self, some: slice, places: Array) -> tuple[Array, Array]:
        """Return about what some of them stand at each of some places, (n, places, 4), and how bad it is, (n, places).

        Args:
            places: how far out, and how far moved along the scale, in times their size, shape (places, 2).
        """
        room, size = self._room, self._room.size
        outs, nudges = places.T
        starts, middles, rooms = self._starts[some], self._middles[some, None], self._rooms
        moves = (middles - starts[:, self._along, None]) / size + nudges
        moved = outs[None, :, None] * self._ways[0] + moves[..., None] * self._ways[1]
        low = self._begins[some, None] + moved
        rim = (RIM + DRIFT * outs)[None, :, None] * size
        boxes = np.concatenate((low - rim, low + self._sizes[some, None] + rim), axis=2)
        ends = starts[:, None] + moved
        lines = np.concatenate((np.minimum(starts[:, None], ends), np.maximum(starts[:, None], ends)), axis=2)
        shape = boxes.shape[:2]
        over_texts = np.count_nonzero(meeting(lines.reshape(-1, 4), room.texts), axis=1).reshape(shape)
        before = np.concatenate(([self._limits[0]], self._middles[:-1] + rooms[:-1] / 2))[some, None]
        after = np.concatenate((self._middles[1:] - rooms[1:] / 2, [self._limits[1]]))[some, None]
        half, at = rooms[some, None] / 2, middles + nudges * size
        is_taken = (nudges != 0) & ((at < before + half) | (at > after - half))
        bad = room.bad(boxes.reshape(-1, 4)).reshape(shape) + FURTHER * outs + ASIDE * np.abs(nudges)
        return boxes, bad + OVER_LINE * (over_texts + (STEEP * np.abs(moves) > outs)) + OVER_TEXT * is_taken

    def move(self, number: int, nudge: float) -> None:
        """Take another place along the scale for one of them."""
        self._middles[number] += nudge * self._room.size

    def at(self, places: Array) -> Scale:
        """Return the scale, in the order of its numbers, with its figures so far out, each where it has come to be."""
        asides = (self._middles - self._starts[:, self._along]) / self._room.size
        marks = [
            mark.model_copy(update={"out": round(out, 2), "aside": round(aside, 3)})
            for mark, out, aside in zip(self.marks, places[:, 0].tolist(), asides.tolist(), strict=True)
        ]
        return Scale(side=self._side, marks=[marks[i] for i in np.argsort(self._order).tolist()])


def spread(places: Sequence[float], rooms: Sequence[float], low: float, high: float) -> list[float]:
    """Return where the middles of some things stand, in their order, so that each has room and all are moved least.

    The least squares of the ways are found by pooling those that push each other (isotonic regression: Barlow,
    Bartholomew, Bremner, Brunk, Statistical Inference under Order Restrictions, 1972; from memory).

    Args:
        places: where each would stand, in order; ``rooms``: what it takes along the row.
        low, high: between which they stand, as far as there is room for all.
    """
    before = np.cumsum([0.0, *((a + b) / 2 for a, b in pairwise(rooms))])[: len(places)]
    pools = list[tuple[float, int]]()
    for place in (np.asarray(places) - before).tolist():
        total, count = place, 1
        while pools and pools[-1][0] / pools[-1][1] > total / count:
            more, others = pools.pop()
            total, count = total + more, count + others
        pools.append((total, count))
    at = np.concatenate([np.full(count, total / count) for total, count in pools] or [np.empty(0)]) + before
    if len(at):
        at += max(0.0, low + rooms[0] / 2 - at[0])
        at -= max(0.0, at[-1] + rooms[-1] / 2 - high)
    return [float(one) for one in at]
