"""Does a line lie along others, whichever they are?

Lines in a row, and lines that run within a millimetre of each other, are read as one stroke. Such a stroke is none of
them alone: it is not judged as one, and none of them is missing where there is graphite all along it.
"""

import math
from collections.abc import Sequence

import numpy as np
from numpy.typing import NDArray

from orthopsis.core.plane.homogeneous import Point

Ends = tuple[Point, Point]

SAMPLE_MM = 0.8
ALIKE_DEG = 20.0
"""Lines that differ more in direction cross each other rather than lie along each other (no source)."""


class Beside:
    """Lines beside which another one may lie, made ready once for many such."""

    def __init__(self, lines: Sequence[Ends], curves: Sequence[Ends] = ()) -> None:
        """Take the lines, in any order and direction, and the chords of curves, which turn toward a line and away.

        The direction of a chord does not count.
        """
        ends = np.array([(p.x, p.y, q.x, q.y) for p, q in (*lines, *curves)], dtype=float).reshape(-1, 4)
        run = ends[:, 2:] - ends[:, :2]
        length, is_curve = np.hypot(*run.T), np.arange(len(ends)) >= len(lines)
        kept = length > 0
        self._start, self._run, self._is_curve = ends[kept, :2], run[kept], is_curve[kept]
        self._way = self._run / length[kept, None]
        self._low, self._high = np.minimum(ends[kept, :2], ends[kept, 2:]), np.maximum(ends[kept, :2], ends[kept, 2:])

    def share(self, line: Ends, near_mm: float) -> float:
        """Return which share of a line, 0 to 1, lies within ``near_mm`` of those that run about as it does.

        A line without length lies along nothing.
        """
        (a, b), size = (np.array((end.x, end.y)) for end in line), math.dist(line[0].xy, line[1].xy)
        if size == 0.0:
            return 0.0
        way = (b - a) / size
        alike = self._is_curve | (np.abs(self._way @ way) >= math.cos(math.radians(ALIKE_DEG)))
        alike &= np.all(self._low <= np.maximum(a, b) + near_mm, axis=1)
        alike &= np.all(self._high >= np.minimum(a, b) - near_mm, axis=1)
        if not alike.any():
            return 0.0
        samples = a + np.linspace(0.0, size, max(2, math.ceil(size / SAMPLE_MM) + 1))[:, None] * way
        return float(np.mean(_gaps(samples, self._start[alike], self._run[alike]).min(axis=1) <= near_mm))


def share_along(line: Ends, others: Sequence[Ends], near_mm: float, curves: Sequence[Ends] = ()) -> float:
    """Return which share of a line lies along others, see ``Beside``."""
    return Beside(others, curves).share(line, near_mm)


def _gaps(samples: NDArray[np.float64], start: NDArray[np.float64], run: NDArray[np.float64]) -> NDArray[np.float64]:
    """Return the distance of each sample to each segment, shape (samples, segments)."""
    away = samples[:, None, :] - start[None]
    share = np.clip(np.einsum("ijk,jk->ij", away, run) / np.einsum("jk,jk->j", run, run), 0.0, 1.0)
    return np.asarray(np.linalg.norm(away - share[..., None] * run[None], axis=2))
