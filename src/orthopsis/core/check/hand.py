"""How far off may a line be by the hand's own error?

A hand that misses by ``sigma`` at each end of a line of length L passes a point at distance D from the
line's middle with a standard deviation of sigma sqrt(1/2 + 2 D^2 / L^2). The tolerance is twice that.

Source: propagation of two independent end errors (from memory).
"""

import math
from dataclasses import dataclass

TOO_SHORT_DEG = 5.0
"""Where one tolerance is more than this, seen from the line's middle, the line is too short to tell."""
FAR_MORE = 3.0
"""... unless it misses by this many tolerances."""


@dataclass(frozen=True, slots=True)
class Tolerance:
    """One tolerance of a line, in mm at its point and in degrees seen from its middle."""

    allowed_mm: float
    allowed_deg: float


def tolerance_at_point(length_mm: float, distance_mm: float, sigma_mm: float) -> Tolerance:
    """Return the tolerance of a line that should hit a point at ``distance_mm`` from its middle."""
    allowed = 2 * sigma_mm * math.sqrt(0.5 + 2 * (distance_mm / length_mm) ** 2)
    return Tolerance(allowed, math.degrees(math.atan2(allowed, distance_mm)))


def tolerance_of_direction(length_mm: float, sigma_mm: float) -> Tolerance:
    """Return the tolerance of a line that should be level or upright: the limit for a point at infinity.

    In mm it is the difference of its two ends across the direction.
    """
    allowed = 2 * sigma_mm * math.sqrt(2)
    return Tolerance(allowed, math.degrees(math.atan2(allowed, length_mm)))


def verdict_of(miss_mm: float, tolerance: Tolerance) -> str:
    """Return fine, slightly_off, off or cannot_tell.

    A line too short to tell is still off when it misses by far more than its tolerance.
    """
    ratio = abs(miss_mm) / tolerance.allowed_mm
    if tolerance.allowed_deg > TOO_SHORT_DEG:
        return "off" if ratio > FAR_MORE else "cannot_tell"
    return "fine" if ratio <= 1 else "slightly_off" if ratio <= 2 else "off"
