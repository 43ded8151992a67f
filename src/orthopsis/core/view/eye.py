"""Where on the page does an eye see a point of the world?

World frame of an eye: the eye at the origin, x to the right, y up, z away from the viewer, world units
of millimetres. The picture plane stands at ``z = distance_mm``, so that what touches it is drawn at its true size.
The page shows the picture plane with the principal point at ``principal``.
"""

from dataclasses import dataclass

import numpy as np
from numpy.typing import NDArray

from orthopsis.core.errors import GeometryError
from orthopsis.core.plane.homogeneous import Point, ideal

Array = NDArray[np.float64]


@dataclass(frozen=True, slots=True)
class Eye:
    """An eye that looks straight at the picture plane.

    Attributes:
        principal: the point of the page straight before the eye (finite, page mm).
        distance_mm: how far the eye is from the page.
    """

    principal: Point
    distance_mm: float

    def see(self, world: Array) -> Array:
        """Return the pictures, shape (n, 2) in page mm, of world points, shape (n, 3) in mm.

        Raises:
            GeometryError: a point is beside or behind the eye.

        Source: central projection, x' = d x / z (any textbook; from memory).
        """
        z = world[:, 2:]
        if (z <= 0).any():
            raise behind_the_eye()
        return np.asarray(world[:, :2] * (self.distance_mm / z) + self.principal.xy)

    def nearness(self, world: Array) -> Array:
        """Return distance / z of world points: 1 on the picture plane, 0 at infinity.

        It changes evenly along a straight line of the page, which is why hidden lines use it as depth.
        """
        return np.asarray(self.distance_mm / world[:, 2], dtype=np.float64)

    def at(self, page: Point) -> Array:
        """Return the world place, shape (3,), of a finite page point on the picture plane itself."""
        px, py = self.principal.xy
        return np.array([page.x - px, page.y - py, self.distance_mm])

    def ray(self, goal: Point) -> Array:
        """Return the world direction, shape (3,), length 1, of lines that vanish at a point, finite or ideal."""
        if goal.is_ideal:
            return np.array([goal.x, goal.y, 0.0])
        ray = self.at(goal)
        return ray / np.linalg.norm(ray)

    def world_length(self, goal: Point, share: float) -> float:
        """Return how long a line from the picture plane toward ``goal`` is that is drawn up to ``share`` of the way.

        Args:
            goal: a finite vanishing point.
            share: 0 at the picture plane to 1 (excluded) at the vanishing point, of the way on the page.

        Source: the weights of the two ends in central projection are 1 and t / |VP - E| (from memory).
        """
        return float(np.linalg.norm(self.at(goal))) * share / (1 - share)

    def page_share(self, goal: Point, length_mm: float) -> float:
        """Return the share of the way to a finite ``goal`` at which a line of this world length ends."""
        weight = length_mm / float(np.linalg.norm(self.at(goal)))
        return weight / (1 + weight)

    def vanishing_point(self, direction: tuple[float, float, float]) -> Point:
        """Return where lines with this world direction meet on the page, finite or ideal.

        Source: the parallel through the eye meets the picture there (Brook Taylor, 1719; from memory).
        """
        dx, dy, dz = direction
        if dz == 0:
            return ideal(dx, dy)
        px, py = self.principal.xy
        return Point(px + self.distance_mm * dx / dz, py + self.distance_mm * dy / dz)


def behind_the_eye() -> GeometryError:
    """Return the error for a thing that reaches beside or behind the viewer."""
    return GeometryError(
        "behind_the_eye", "A part of this thing would be behind the viewer.", "Move it away or make it smaller."
    )
