"""How wide, in whole marks of a ruler, are the letters of a word and the gaps between them on a level line?

Each part is rounded in itself, from both its ends: strokes that are alike stay alike.
"""

from collections.abc import Callable, Sequence
from itertools import pairwise

import numpy as np
from numpy.typing import NDArray

from orthopsis.core.construct.grid import inner_shares
from orthopsis.core.plane.tolerance import SAME_SHARE

FIT_STEP = 0.05
"""Roundings that differ by less of a mark are as good as each other (no source)."""


class LaidWidths:
    """Places along a line that is laid off in whole marks.

    Attributes:
        shares: the places as they are in truth, as shares of the line, in order; neither of its ends.
    """

    def __init__(self, parts: Sequence[Sequence[float]]) -> None:
        """Begin.

        Args:
            parts: the places of each part, shares of the line. Parts that reach over each other are rounded as one.
        """
        self.shares = inner_shares(share for part in parts for share in part)
        ordered = sorted(sorted(part) for part in parts if part)
        if any(b[0] < a[-1] - SAME_SHARE for a, b in pairwise(ordered)):
            ordered = [sorted(share for part in ordered for share in part)]
        ends = [0.0, *(end for part in ordered for end in (part[0], part[-1])), 1.0]
        self._stretches = np.diff(ends)
        """How wide each gap and each part is, in turn."""
        found = [self._within(share, ordered) for share in self.shares]
        self._end, self._off = np.array([end for end, _ in found], dtype=np.int64), np.array([off for _, off in found])

    @staticmethod
    def _within(share: float, parts: Sequence[Sequence[float]]) -> tuple[int, float]:
        """Return from which end of a stretch a place is measured, the nearer one of its part, and how far."""
        number = next(i for i, part in enumerate(parts) if part[0] - SAME_SHARE <= share <= part[-1] + SAME_SHARE)
        low, high = parts[number][0], parts[number][-1]
        if share - low <= high - share:
            return 2 * number + 1, share - low
        return 2 * number + 2, share - high

    def laid(self, marks: NDArray[np.int64]) -> NDArray[np.int64]:
        """Return at which marks of lines of about so many, shape (n,), the places and the end lie: shape (n, k + 1)."""
        ends = np.cumsum(np.rint(np.outer(marks, self._stretches)), axis=1, dtype=np.int64)
        ends = np.concatenate((np.zeros((len(marks), 1), dtype=np.int64), ends), axis=1)
        inner = ends[:, self._end] + np.rint(np.outer(marks, self._off)).astype(np.int64)
        return np.concatenate((inner, ends[:, -1:]), axis=1)

    def best(self, marks: Sequence[int]) -> list[NDArray[np.int64]]:
        """Return where the places and the end lie on lines of about so many marks, the best first, as ``laid``.

        Lines on which two places would be one are left out. Of lines that fit alike the first one comes first.
        """
        tried = np.array(marks, dtype=np.int64)
        places = self.laid(tried)
        off = np.concatenate((np.outer(tried, self._stretches), np.outer(tried, self._off)), axis=1)
        worst = np.max(np.abs(off - np.rint(off)), axis=1)
        steps = np.diff(places, axis=1, prepend=0)
        is_told_apart = np.all(steps > 0, axis=1)
        order = np.argsort(np.floor(worst / FIT_STEP), kind="stable")
        return [places[i] for i in order.tolist() if is_told_apart[i]]

    def shares_on(self, places: NDArray[np.int64]) -> Callable[[float], float]:
        """Return what gives for each place as it is in truth the share of the line on which it lies at a mark."""
        at = np.concatenate(([0.0], places / places[-1]))
        known = np.array([0.0, *self.shares, 1.0])
        return lambda share: float(at[np.abs(known - share).argmin()])
