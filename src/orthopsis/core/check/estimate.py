"""Where do the student's lines really meet, and how sure is that?

Weighted least squares on the distances of the lines from the point, each line weighted by what hand
error makes of it at that distance; lines that disagree by far more than that are left out.

Source: the maximum-likelihood point for independent normal errors (from memory).
"""

import math
from collections.abc import Sequence
from dataclasses import dataclass

import numpy as np

from orthopsis.core.check.stroke import Stroke
from orthopsis.core.plane.homogeneous import Point, distance, join

DISAGREES = 3.0
"""A line that misses the estimate by more than this many standard deviations is left out."""


@dataclass(frozen=True, slots=True)
class Estimate:
    """The point, its standard deviation in mm in its worst direction, and how many lines it rests on."""

    at: Point
    sd_mm: float
    lines: int


@dataclass(frozen=True, slots=True)
class NoEstimate:
    """Why there is none."""

    reason: str


def estimate_point(strokes: Sequence[Stroke], sigma_mm: float) -> Estimate | NoEstimate:
    """Return the point that the strokes aim at, or why that cannot be said."""
    used = list(strokes)
    while len(used) >= 2:
        fit = _fit(used, sigma_mm)
        if isinstance(fit, NoEstimate) or len(used) < 4:
            return fit
        errors = [abs(_offset(s, fit.at)) / _sd(s, fit.at, sigma_mm) for s in used]
        worst = int(np.argmax(errors))
        if errors[worst] <= DISAGREES:
            return fit
        del used[worst]
    return NoEstimate("fewer than two lines go to it")


def _fit(strokes: Sequence[Stroke], sigma_mm: float) -> Estimate | NoEstimate:
    lines = [join(s.start, s.end) for s in strokes]
    normals = np.array([(line.a, line.b) for line in lines])
    offsets = np.array([line.c for line in lines])
    weights = np.array([s.length_mm for s in strokes]) ** 2
    for _ in range(8):
        system = normals.T @ (weights[:, None] * normals)
        if np.linalg.cond(system) > 1e6:
            return NoEstimate("the lines are nearly parallel")
        at = Point(*(float(v) for v in np.linalg.solve(system, -normals.T @ (weights * offsets))))
        weights = np.array([1 / _sd(s, at, sigma_mm) ** 2 for s in strokes])
    covariance = np.linalg.inv(normals.T @ (weights[:, None] * normals))
    return Estimate(at, math.sqrt(float(np.linalg.eigvalsh(covariance)[-1])), len(strokes))


def _sd(stroke: Stroke, at: Point, sigma_mm: float) -> float:
    ratio = distance(stroke.middle, at) / stroke.length_mm
    return sigma_mm * math.sqrt(0.5 + 2 * ratio**2)


def _offset(stroke: Stroke, at: Point) -> float:
    line = join(stroke.start, stroke.end)
    return line.a * at.x + line.b * at.y + line.c
