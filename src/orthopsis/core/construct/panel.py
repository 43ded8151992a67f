"""A face that can be divided: four corners, its four edges on the board, and where they run.

Its *first edge* is the one that is ticked: drawn true, or nearest. *Along* runs from there on, *up* runs with the first
edge from its *low* to its *high* end. Places on it are shares ``(along, up)``, from the low end of the first edge. In
the world it is a parallelogram.
"""

from collections.abc import Iterable
from dataclasses import dataclass
from typing import Literal

import numpy as np

from orthopsis.core.plane.arc import Place
from orthopsis.core.plane.homogeneous import Point, distance
from orthopsis.core.view.eye import Array
from orthopsis.core.view.frame import Way

End = Literal["low", "high"]


@dataclass(frozen=True, slots=True)
class Panel:
    """A face that can be divided.

    Attributes:
        says: how it is called: ``left side``.
        turned: which way it faces (see ``sight.solid.Face``).
        low, high, far_low, far_high: full names of its corners.
        first, bottom, top, far: full names of its edges on the board: the first one, from its ends on, opposite.
        along, up: its directions.
        drawn_from: the end from which the first edge is drawn, and so measured.
        page: the corners low, far low, far high and high on the page, mm.
        start, axes: in the world, where low is, and the vectors along and up, shape (3,) each, mm.
    """

    says: str
    turned: str
    low: str
    high: str
    far_low: str
    far_high: str
    first: str
    bottom: str
    top: str
    far: str
    along: Way
    up: Way
    drawn_from: End
    page: tuple[Point, Point, Point, Point]
    start: Array
    axes: tuple[Array, Array]

    @property
    def is_true(self) -> bool:
        """Whether it is parallel to the picture, so that a ruler measures on it."""
        return self.along.goal.is_ideal and self.up.goal.is_ideal

    @property
    def first_mm(self) -> float:
        """How long the first edge is on the page, mm."""
        return distance(self.page[0], self.page[3])

    def places(self, shares: Iterable[Place]) -> Array:
        """Return where places on it are in the world, shape (n, 3), mm."""
        flat = np.array(list(shares), dtype=float).reshape(-1, 2)
        return self.start + flat[:, :1] * self.axes[0] + flat[:, 1:] * self.axes[1]
