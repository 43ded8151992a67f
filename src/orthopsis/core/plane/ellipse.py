"""An ellipse on the page: of the conic of an arc, or fitted to places that a hand drew.

A circle in perspective is an ellipse (as long as all of it lies before the eye), but its middle is not the picture of
the circle's middle: the widest place of the drawn curve lies nearer to the viewer. Page millimetres.

Sources: conics under projective maps, any textbook of projective geometry (from memory); the fit is the numerically
stable direct least squares one of R. Halir and J. Flusser, "Numerically stable direct least squares fitting of
ellipses", WSCG 1998 (from memory, checked against another implementation in the tests).
"""

import math
from collections.abc import Sequence
from dataclasses import dataclass, replace

import numpy as np
from numpy.typing import NDArray

from orthopsis.core.errors import GeometryError
from orthopsis.core.plane.arc import Arc, unit_circle_map
from orthopsis.core.plane.homogeneous import Point

Array = NDArray[np.float64]
LEAST_POINTS = 6
ROUND = 1e-9
"""A curve whose two axes differ by less than this share is a circle, and turned by nothing."""


@dataclass(frozen=True, slots=True)
class Ellipse:
    """An ellipse.

    Attributes:
        centre: where its axes cross.
        major, minor: half of its long and of its short way, mm.
        turn_rad: from level to its long way, anticlockwise, more than -90 and up to 90 degrees.
    """

    centre: Point
    major: float
    minor: float
    turn_rad: float

    def at(self, angles_rad: Array) -> Array:
        """Return the places at angles of its own circle, 0 at an end of the long way, shape (n, 2)."""
        along, across = self.major * np.cos(angles_rad), self.minor * np.sin(angles_rad)
        cos, sin = math.cos(self.turn_rad), math.sin(self.turn_rad)
        return np.column_stack(
            (self.centre.x + cos * along - sin * across, self.centre.y + sin * along + cos * across)
        )  # fmt: skip

    def outward(self, angles_rad: Array) -> Array:
        """Return the unit vectors straight out of it at these angles, shape (n, 2)."""
        along, across = self.minor * np.cos(angles_rad), self.major * np.sin(angles_rad)
        cos, sin = math.cos(self.turn_rad), math.sin(self.turn_rad)
        out = np.column_stack((cos * along - sin * across, sin * along + cos * across))
        return np.asarray(out / np.hypot(out[:, 0], out[:, 1])[:, None])

    def angles_of(self, places: Array) -> Array:
        """Return at which angles of its own circle places on or near it lie, -pi to pi, shape (n,)."""
        cos, sin = math.cos(self.turn_rad), math.sin(self.turn_rad)
        x, y = places[:, 0] - self.centre.x, places[:, 1] - self.centre.y
        return np.asarray(np.arctan2((cos * y - sin * x) / self.minor, (cos * x + sin * y) / self.major))

    def even_angles(self, step_mm: float) -> Array:
        """Return angles all round from 0 on whose places are ``step_mm`` apart along the curve, or a little less."""
        fine = np.linspace(0.0, math.tau, 721)
        along = np.concatenate(([0.0], np.cumsum(np.hypot(*np.diff(self.at(fine), axis=0).T))))
        count = max(LEAST_POINTS, math.ceil(along[-1] / step_mm))
        return np.asarray(np.interp(along[-1] * np.arange(count) / count, along, fine))

    def moved(self, dx: float, dy: float) -> "Ellipse":
        """Return it at another place."""
        return replace(self, centre=Point(self.centre.x + dx, self.centre.y + dy))


def ellipse_of(arc: Arc) -> Ellipse:
    """Return the whole ellipse that an arc is a part of.

    Raises:
        GeometryError: the arc is a piece of another conic.
    """
    back = np.linalg.inv(unit_circle_map(arc))
    return _of_conic(back.T @ np.diag([1.0, 1.0, -1.0]) @ back)


def fit_ellipse(places: Sequence[tuple[float, float]] | Array) -> Ellipse:
    """Return the ellipse that fits places best, by least squares of its equation.

    Raises:
        GeometryError: fewer than six places, or they lie on no ellipse.
    """
    at = np.asarray(places, dtype=np.float64)
    if len(at) < LEAST_POINTS:
        raise _no_ellipse()
    middle = at.mean(axis=0)
    size = float(np.abs(at - middle).max()) or 1.0
    x, y = ((at - middle) / size).T
    curved, straight = np.column_stack((x * x, x * y, y * y)), np.column_stack((x, y, np.ones(len(at))))
    try:
        lift = -np.linalg.solve(straight.T @ straight, straight.T @ curved)
        reduced = curved.T @ curved + (curved.T @ straight) @ lift
        # The constraint 4ac - b^2 = 1 admits ellipses alone.
        _, vectors = np.linalg.eig(np.array([reduced[2] / 2, -reduced[1], reduced[0] / 2]))
    except np.linalg.LinAlgError:
        raise _no_ellipse() from None
    vectors = np.real(vectors)
    good = np.flatnonzero(4 * vectors[0] * vectors[2] - vectors[1] ** 2 > 0)
    if not len(good):
        raise _no_ellipse()
    a, b, c = vectors[:, good[0]]
    d, e, f = lift @ vectors[:, good[0]]
    fitted = _of_conic(np.array([[a, b / 2, d / 2], [b / 2, c, e / 2], [d / 2, e / 2, f]]))
    centre = Point(middle[0] + size * fitted.centre.x, middle[1] + size * fitted.centre.y)
    return Ellipse(centre, size * fitted.major, size * fitted.minor, fitted.turn_rad)


def _of_conic(conic: Array) -> Ellipse:
    """Return the ellipse of a symmetric conic matrix."""
    form, shift = conic[:2, :2], conic[:2, 2]
    if np.linalg.det(form) <= 0:
        raise _no_ellipse()
    centre = np.linalg.solve(form, -shift)
    level = float(shift @ centre + conic[2, 2])
    values, axes = np.linalg.eigh(-form / level if level else form)
    if values[0] <= 0:
        raise _no_ellipse()
    minor, major = 1 / math.sqrt(values[1]), 1 / math.sqrt(values[0])
    long_way = axes[:, 0] if major > minor * (1 + ROUND) else np.array([1.0, 0.0])
    turn = math.atan2(long_way[1], long_way[0])
    turn -= math.pi * math.ceil(turn / math.pi - 0.5)
    return Ellipse(Point(float(centre[0]), float(centre[1])), major, minor, turn)


def _no_ellipse() -> GeometryError:
    return GeometryError("no_ellipse", "These places lie on no ellipse.", "Mark more of them, all round.")
