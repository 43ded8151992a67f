"""Which of the lines that were read are one line, broken where another one crosses it, and which are read twice?"""

from collections.abc import Callable, Sequence

import numpy as np
from numpy.typing import NDArray

from orthopsis.core.check.stroke import Stroke

SAME_LINE_MM = 1.3
CROSSED_GAP_MM = 7.0
SAME_CARRIER_MM = 1.0
BROKEN_MM = 15.0
CROSSED_DEG = 30.0
"""A line may be broken over the first length by one that crosses it at less than this angle, and then goes on this near
to where it would; parts shorter than that may as well be pieces of a curve."""
ARM_MM, STRAIGHT_ON_DEG = 7.0, 6.0
"""Two lines that cross may each be broken by the other: pieces at least so long that run on in each other's direction,
within this angle, are such a line (no source)."""
DOUBLE_MM, DOUBLE = 1.6, 0.6
"""A line is read twice if it lies this near to a longer one over this share of its way (no source)."""

Real = NDArray[np.float64]


class Straight:
    """Straight lines in arrays: where each begins, which way it runs, length 1, and how long it is, mm."""

    def __init__(self, strokes: Sequence[Stroke]) -> None:
        self.ends = np.array([(s.start.xy, s.end.xy) for s in strokes], dtype=float).reshape(-1, 2, 2)
        run = self.ends[:, 1] - self.ends[:, 0]
        self.start, self.length = self.ends[:, 0], np.hypot(*run.T)
        self.way = run / np.maximum(self.length, 1e-9)[:, None]

    def seen_from(self, number: int) -> tuple[Real, Real]:
        """Return how far along one of them the ends of all lie, and how far aside, each of shape (n, 2)."""
        away, (dx, dy) = self.ends - self.start[number], self.way[number]
        return away[..., 0] * dx + away[..., 1] * dy, np.abs(away[..., 1] * dx - away[..., 0] * dy)


def joined(strokes: Sequence[Stroke], fit: Callable[[Real], Sequence[Stroke]]) -> list[Stroke]:
    """Return the strokes, longest first, those made one that are one line broken where another one crosses it.

    Args:
        fit: gives the lines whose graphite runs between two places, shape (2, 2).
    """
    left, found = list(strokes), list[Stroke]()
    while left:
        longest = left.pop(0)
        while (other := _rest_of(longest, left, found)) is not None:
            ends = np.array([p.xy for s in (longest, left[other]) for p in (s.start, s.end)])
            along = (ends - ends[0]) @ (ends[1] - ends[0])
            whole = fit(ends[[along.argmin(), along.argmax()]])
            if len(whole) != 1:
                break
            del left[other]
            longest = whole[0]
        found.append(longest)
    return sorted(found, key=lambda s: -s.length_mm)


def _rest_of(longest: Stroke, left: Sequence[Stroke], found: Sequence[Stroke]) -> int | None:
    """Return the stroke, by number, in which another one goes on where a third one crosses it, or None."""
    lines = Straight([longest, *left])
    length = float(lines.length[0])
    if length < BROKEN_MM:
        return None
    along, aside = lines.seen_from(0)
    low, high = along.min(axis=1), along.max(axis=1)
    is_beyond = low + high > length
    gap = np.where(is_beyond, low - length, -high)
    goes_on = (lines.length >= BROKEN_MM) & np.all(aside < SAME_CARRIER_MM, axis=1) & (gap <= CROSSED_GAP_MM)
    goes_on[0] = False
    if not goes_on.any():
        return None
    for i in np.flatnonzero(goes_on).tolist():
        at = length + gap[i] / 2 if is_beyond[i] else -gap[i] / 2
        others = Straight([*found, *left[: i - 1], *left[i:]])
        if _is_crossed(others, lines.start[0] + at * lines.way[0], lines.way[0]):
            return int(i) - 1
    return None


def _is_crossed(lines: Straight, at: Real, way: Real) -> bool:
    """Tell whether a line runs through a place at a small angle to a direction, whole or as broken there itself."""
    away, ways = at - lines.start, lines.way
    along = np.sum(away * ways, axis=1)
    across = np.abs(away[:, 1] * ways[:, 0] - away[:, 0] * ways[:, 1])
    is_flat = np.abs(ways[:, 0] * way[1] - ways[:, 1] * way[0]) < np.sin(np.radians(CROSSED_DEG))
    is_near = is_flat & (across < SAME_LINE_MM)
    left_of, right_of = along, lines.length - along
    if np.any(is_near & (left_of > BROKEN_MM / 2) & (right_of > BROKEN_MM / 2)):
        return True
    is_arm = is_near & (np.abs(np.minimum(left_of, right_of)) < CROSSED_GAP_MM) & (lines.length >= ARM_MM)
    arms = np.where((left_of < right_of)[:, None], ways, -ways)[is_arm]
    return bool(np.any(arms @ arms.T < -np.cos(np.radians(STRAIGHT_ON_DEG))))


def without_doubles(strokes: Sequence[Stroke]) -> list[Stroke]:
    """Leave out lines that lie on most of their way on a longer one; the longest come first."""
    lines = Straight(strokes)
    is_kept = np.ones(len(strokes), dtype=bool)
    for number in range(len(strokes)):
        if is_kept[number]:
            along, aside = lines.seen_from(number)
            low, high = along.min(axis=1), along.max(axis=1)
            shared = np.minimum(lines.length[number], high) - np.maximum(0.0, low)
            lies_on = np.all(aside < DOUBLE_MM, axis=1) & (shared > DOUBLE * (high - low))
            is_kept[number + 1 :] &= ~lies_on[number + 1 :]
    return [stroke for stroke, kept in zip(strokes, is_kept.tolist(), strict=True) if kept]
