"""At which side of a scale, and how far from its places, do its figures stand clear of lines, texts and the frame?

All figures of a scale stand at one side, in their order. Where they have no room beside each other they are spread
along it; then each is as near to its place as it is clear.
"""

import math
from collections.abc import Sequence
from dataclasses import replace
from itertools import pairwise

import numpy as np

from orthopsis.core.drawing.answer import Scale, ScaleMark, ScaleSide, Step
from orthopsis.core.drawing.beside import TALL, WIDE, letter_places, scale_text, text_wide
from orthopsis.core.telling.clear_room import DRIFT, FURTHER, OVER_LINE, RIM, Array, Room, meeting

OUTS = np.array([0.5 + 0.3 * step for step in range(40)])
"""How far from its place a figure is tried, as shares of its size."""
STEEP = 0.8
"""A line to a figure that stands aside leads at least so many times as far out as aside."""
PARTED = 0.35
"""How far figures are apart that stand beside each other, as a share of their size."""
OPPOSITE: dict[ScaleSide, ScaleSide] = {"below": "above", "above": "below", "left": "right", "right": "left"}
NUDGES = (0.0, 0.5, -0.5, 1.0, -1.0, 1.5, -1.5, 2.0, -2.0, 3.0, -3.0)
"""How far along the scale a figure that is not clear is moved, where that leaves the others their room."""
OTHER_SIDE, ASIDE = 6, 1
"""How bad it is to stand at the other side than one looks for it first, and aside from its place (no source)."""


def letter_boxes(step: Step, size: float) -> Array:
    """Return what the letters of a step's points cover, shape (n, 4)."""
    begins = np.array(letter_places([letter.at for letter in step.letters], size)).reshape(-1, 2)
    return np.concatenate((begins, begins + np.array((WIDE, TALL)) * size), axis=1)


def with_clear_figures(scales: Sequence[Scale], room: Room) -> tuple[list[Scale], Array]:
    """Return the scales with the places of their figures, and what those cover, shape (n, 4)."""
    result, before = list[Scale](), len(room.texts)
    for scale in scales:
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
    along, size = (0 if side in ("below", "above") else 1), room.size
    marks = sorted(scale.marks, key=lambda mark: mark.at[along])
    rooms = [PARTED * size + (text_wide(mark.text, size) if along == 0 else TALL * size) for mark in marks]
    limits = room.part[along], room.part[along + 2]
    middles = spread([mark.at[along] for mark in marks], rooms, *limits)
    placed, boxes, bad = list[ScaleMark](), list[Array](), 0.0
    for i, mark in enumerate(marks):
        begin = middles[i - 1] + rooms[i - 1] / 2 if i else limits[0]
        end = middles[i + 1] - rooms[i + 1] / 2 if i + 1 < len(marks) else limits[1]
        least = math.inf
        for nudge in NUDGES:
            to = middles[i] + nudge * size
            if least < OVER_LINE or (nudge and not begin + rooms[i] / 2 <= to <= end - rooms[i] / 2):
                continue
            aside = (to - mark.at[along]) / size
            tried, alone = _tried(mark, side, aside, room)
            best = int(np.argmin(alone))
            if alone[best] + ASIDE * abs(nudge) < least:
                least, box, at = float(alone[best]) + ASIDE * abs(nudge), tried[best], to
                moved = mark.model_copy(update={"out": round(float(OUTS[best]), 2), "aside": round(aside, 3)})
        middles[i] = at
        placed.append(moved)
        boxes.append(box)
        bad += least
    return Scale(side=side, marks=placed), np.array(boxes).reshape(-1, 4), bad


def _tried(mark: ScaleMark, side: ScaleSide, aside: float, room: Room) -> tuple[Array, Array]:
    """Return about what a figure stands at each distance, shape (n, 4), and how bad that is, (n,)."""
    size, start = room.size, np.array(mark.at)
    end, (left, low) = scale_text(mark.at, side, 0.0, mark.text, size, aside)
    way = np.subtract(scale_text(mark.at, side, 1.0, mark.text, size, aside)[0], end)
    moved, rim = OUTS[:, None] * way, (RIM + DRIFT * OUTS)[:, None] * size
    low_corner = moved + np.array((left, low))
    high_corner = low_corner + np.array((text_wide(mark.text, size), TALL * size))
    boxes, ends = np.concatenate((low_corner - rim, high_corner + rim), axis=1), moved + np.array(end)
    lines = np.concatenate((np.minimum(start, ends), np.maximum(start, ends)), axis=1)
    over_texts = np.count_nonzero(meeting(lines, room.texts), axis=1)
    is_flat = STEEP * abs(aside) > OUTS
    return boxes, room.bad(boxes) + FURTHER * OUTS + OVER_LINE * (over_texts + is_flat)


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
