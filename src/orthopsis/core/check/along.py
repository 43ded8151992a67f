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


def share_along(line: Ends, others: Sequence[Ends], near_mm: float, curves: Sequence[Ends] = ()) -> float:
    """Return which share of a line, 0 to 1, lies within ``near_mm`` of others that run about as it does.

    Args:
        line: page mm; a line without length lies along nothing.
        others: the lines beside it, in any order and direction.
        curves: the chords of curves beside it, which turn toward it and away, so that their direction does not count.
    """
    (a, b), size = line, math.dist(line[0].xy, line[1].xy)
    if size == 0.0 or not (others or curves):
        return 0.0
    along = np.array([(*p.xy, *q.xy) for p, q in (*others, *curves)])
    way, run = np.array([b.x - a.x, b.y - a.y]) / size, along[:, 2:] - along[:, :2]
    length = np.hypot(*run.T)
    cosine = np.abs(run @ way) / np.maximum(length, 1e-9)
    is_curve = np.arange(len(along)) >= len(others)
    alike = (length > 0) & (is_curve | (cosine >= math.cos(math.radians(ALIKE_DEG))))
    if not alike.any():
        return 0.0
    samples = np.array(a.xy) + np.linspace(0.0, size, max(2, math.ceil(size / SAMPLE_MM) + 1))[:, None] * way
    return float(np.mean(_gaps(samples, along[alike, :2], run[alike]).min(axis=1) <= near_mm))


def _gaps(samples: NDArray[np.float64], start: NDArray[np.float64], run: NDArray[np.float64]) -> NDArray[np.float64]:
    """Return the distance of each sample to each segment, shape (samples, segments)."""
    away = samples[:, None, :] - start[None]
    share = np.clip(np.einsum("ijk,jk->ij", away, run) / np.einsum("jk,jk->j", run, run), 0.0, 1.0)
    return np.asarray(np.linalg.norm(away - share[..., None] * run[None], axis=2))
