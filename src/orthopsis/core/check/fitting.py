"""How badly does each of some drawn lines fit each of those that were asked for?

All pairs are asked together, in arrays of shape (strokes, lines).
"""

import math
from collections.abc import Sequence
from copy import copy

import numpy as np
from numpy.typing import NDArray

from orthopsis.core.check.stroke import Expected, Stroke

NEAR_MM = 7.0
"""A line further than this from where it belongs is not taken for it (common practice, no source)."""
ON_GUIDE_MM = 3.0
"""A light line to the point is taken for one only if it lies on it: else it may be another line gone astray."""
SHORTEST_GUIDE_MM = 25.0
LONG_SHARE = 0.4
"""A nearly level line over this share of the sheet is its eye level, however much it tilts."""
ALIKE_DEG = 14.0
HAND_TURNS = 4.0
"""... or so many standard deviations of what the hand's own error turns a line of its length."""
LEAST_OVERLAP = 0.35
NEVER = math.inf
"""How badly a stroke fits a line that it cannot be."""

Array = NDArray[np.float64]


class Drawn:
    """Drawn lines, made ready once to be compared with many that were asked for."""

    def __init__(self, strokes: Sequence[Stroke]) -> None:
        self.ends = np.array([(s.start.xy, s.end.xy) for s in strokes], dtype=float).reshape(-1, 2, 2)
        self.run = self.ends[:, 1] - self.ends[:, 0]
        self.length = np.hypot(*self.run.T)


class Asked:
    """Lines that were asked for, made ready likewise."""

    def __init__(self, lines: Sequence[Expected]) -> None:
        self.ends = np.array([(e.start.xy, e.end.xy) for e in lines], dtype=float).reshape(-1, 2, 2)
        self.is_asked = np.array([e.is_asked for e in lines], dtype=bool)
        self.is_of_thing = np.array([bool(e.thing) for e in lines], dtype=bool)
        # A receding edge may go on as a guide line; a level or upright one stops at its corner.
        self.over = np.array([0.1 if e.family in ("level", "upright") else 0.02 for e in lines])

    @property
    def length(self) -> Array:
        """How long each is, mm."""
        return np.asarray(np.hypot(*(self.ends[:, 1] - self.ends[:, 0]).T))

    def scaled(self, centre: tuple[float, float], factor: float) -> "Asked":
        """Return the lines enlarged about a point."""
        moved = copy(self)
        moved.ends = np.asarray(centre) + factor * (self.ends - centre)
        return moved


def turned_by_hand_deg(length_mm: Array, sigma_mm: float) -> Array:
    """Return by how much the hand's own error may turn lines."""
    return np.degrees(np.arctan2(HAND_TURNS * sigma_mm * math.sqrt(2), length_mm))


def costs(drawn: Drawn, asked: Asked, sigma_mm: float) -> Array:
    """Return how badly each drawn line fits each asked one in mm; ``NEVER`` where it cannot be it."""
    long, size = drawn.length[:, None], asked.length[None]
    low, high = asked.ends[:, 0], asked.ends[:, 1]
    way = (high - low) / np.maximum(asked.length, 1e-12)[:, None]
    dots, crosses = np.abs(drawn.run @ way.T), np.abs(drawn.run[:, :1] * way[:, 1] - drawn.run[:, 1:] * way[:, 0])
    angle = np.degrees(np.arctan2(crosses, dots))
    away = drawn.ends[:, :, None] - low[None, None]
    along = away[..., 0] * way[:, 0] + away[..., 1] * way[:, 1]
    across = np.abs(away[..., 0] * way[:, 1] - away[..., 1] * way[:, 0])
    overlap = np.minimum(size, along.max(axis=1)) - np.maximum(0.0, along.min(axis=1))
    mean, most = across.sum(axis=1) / 2, across.max(axis=1)
    is_asked, is_of_thing = asked.is_asked[None], asked.is_of_thing[None]
    fits = angle <= np.maximum(ALIKE_DEG, turned_by_hand_deg(size, sigma_mm))
    fits &= (overlap >= LEAST_OVERLAP * np.minimum(size, long)) & (across.min(axis=1) <= NEAR_MM)
    fits &= mean <= NEAR_MM + 0.05 * long
    fits &= is_asked | ((most <= ON_GUIDE_MM) & (long >= SHORTEST_GUIDE_MM))
    cost = mean + 0.3 * angle + 0.05 * np.maximum(0.0, size - overlap) + np.where(is_asked, 0.0, 2.0)
    of_thing = cost + asked.over[None] * np.maximum(0.0, long - size)
    of_sheet = np.where(long > LONG_SHARE * size, 0.2 * cost, cost)
    return np.where(fits, np.where(is_of_thing, of_thing, of_sheet), NEVER)
