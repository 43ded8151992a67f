"""How are four points of one line spaced, in the measure that perspective keeps?

Positions are signed distances in mm along the line, from any origin on it.
"""

import math


def cross_ratio(a: float, b: float, c: float, d: float) -> float:
    """Return (AC/BC) : (AD/BD); ``d`` may be ``math.inf`` for a point at infinity.

    Source: textbook definition, e.g. Coxeter, Projective Geometry; from memory.
    """
    simple = (c - a) / (c - b)
    if math.isinf(d):
        return simple
    return simple * (d - b) / (d - a)


def harmonic_conjugate(near: float, far: float, vanishing: float) -> float:
    """Return the perspective middle of ``near`` and ``far`` on a line that vanishes at ``vanishing``.

    It is the point whose cross-ratio with the other three is -1.
    """
    d_near, d_far = vanishing - near, vanishing - far
    return near + (far - near) * d_near / (d_near + d_far)


def repeated_mark(spacing: float, vanishing: float, count: int) -> float:
    """Return where mark ``count`` of an equally spaced row lies, measured from its first mark in mm.

    Args:
        spacing: page distance from the first mark to the second (mm).
        vanishing: page distance from the first mark to the row's vanishing point (mm).

    Source: cross-ratio of equal steps; the closed form D*n*s / (D + (n-1)*s).
    """
    return vanishing * count * spacing / (vanishing + (count - 1) * spacing)
