"""Where did a student carry the lines whose place is free, such as a back by eye, along the lines to the point?"""

from collections.abc import Sequence
from dataclasses import replace

import numpy as np

from orthopsis.core.check.fitting import NEAR_MM, Asked, Drawn, costs
from orthopsis.core.check.stroke import SHORTEST_MM, Expected, Stroke
from orthopsis.core.plane.homogeneous import Point

CLEARLY_MM = 4.0
"""A stroke that fits a line no worse than this is clearly that line (no source)."""
AS_SHOWN_MM = 1.0
"""Lines that all have a stroke this near were not carried anywhere else (no source)."""
FACTORS = [1.0 + step * 0.025 for step in sorted(range(-28, 36), key=abs)]
"""How far lines may have been carried, as factors about the point: the least first (no source)."""


def place_free(
    strokes: Sequence[Stroke], expected: Sequence[Expected], points: dict[str, Point], sigma_mm: float
) -> list[Expected]:
    """Return the lines, those whose place is free where the student drew them, as far as that can be told.

    Args:
        points: vanishing points by name.
        sigma_mm: the hand error of the class.
    """
    result = list(expected)
    fixed = [e for e in expected if e.is_asked and not e.is_free]
    open_ones = _others([s for s in strokes if s.length_mm >= SHORTEST_MM], fixed, sigma_mm)
    taken: dict[str, list[Expected]] = {}
    for thing, about, group in dict.fromkeys((e.thing, e.free_about, e.free_group) for e in expected if e.is_free):
        centre, key = points[about], (thing, about, group)
        together = [e for e in expected if (e.thing, e.free_about, e.free_group) == key]
        # Of several groups of one thing, such as the copies of a row, the nearer ones take their strokes first.
        before = taken.get(thing, ())
        left = _others(open_ones, before, sigma_mm)
        # Where copies lie close over each other a stroke is clearly of two: then they are where they were shown.
        factor = 1.0
        if not (before and _are_as_shown(open_ones, together, sigma_mm)):
            factor = _best_factor(left, together, centre, sigma_mm)
        taken.setdefault(thing, []).extend(e.scaled(centre, factor) for e in together)
        for j, e in enumerate(expected):
            if e.thing != thing:
                continue
            if (e.free_about, e.free_group) == (about, group):
                result[j] = e.scaled(centre, factor)
            elif e.family == about and e.is_asked and not e.is_free:
                result[j] = _stretched(e, centre, factor)
    return result


def _others(strokes: Sequence[Stroke], lines: Sequence[Expected], sigma_mm: float) -> list[Stroke]:
    """Return the strokes that are not clearly one of the lines whose place is given."""
    if not strokes or not lines:
        return list(strokes)
    best = costs(Drawn(strokes), Asked(lines), sigma_mm).min(axis=1)
    return [stroke for stroke, cost in zip(strokes, best.tolist(), strict=True) if cost >= CLEARLY_MM]


def _stretched(e: Expected, centre: Point, factor: float) -> Expected:
    """Return a receding edge whose far end is carried along with the back."""
    end = Point(centre.x + factor * (e.end.x - centre.x), centre.y + factor * (e.end.y - centre.y))
    return replace(e, end=end, free_group=0)


def _are_as_shown(strokes: Sequence[Stroke], lines: Sequence[Expected], sigma_mm: float) -> bool:
    """Tell whether each of some lines has a stroke that is as good as on it."""
    if not strokes:
        return False
    return bool(costs(Drawn(strokes), Asked(lines), sigma_mm).min(axis=0).max() < AS_SHOWN_MM)


def _best_factor(strokes: Sequence[Stroke], backs: Sequence[Expected], centre: Point, sigma_mm: float) -> float:
    """Return how far these lines were carried, as a factor about a vanishing point, that most strokes agree with."""
    if not strokes:
        return 1.0
    drawn, asked = Drawn(strokes), Asked(backs)
    best, found = 0.0, 1.0
    for factor in FACTORS:
        near = NEAR_MM - costs(drawn, asked.scaled(centre.xy, factor), sigma_mm).min(axis=0)
        agree = float(np.maximum(near, 0.0).sum())
        if agree > best:
            best, found = agree, factor
    return found
