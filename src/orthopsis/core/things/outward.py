"""What stands out of a face or leads into its body: how far it goes in truth for a measure on the page."""

import math
from collections.abc import Callable
from dataclasses import dataclass

import numpy as np
from propcache.api import cached_property

from orthopsis.core.construct.panel import Panel
from orthopsis.core.errors import GeometryError
from orthopsis.core.plane.homogeneous import Point, distance, toward, unit_toward
from orthopsis.core.things.depth import FARTHEST_SHARE
from orthopsis.core.things.face_part import OnFacePart
from orthopsis.core.view.eye import Array, Eye

DEEPEST = 0.9
"""Nothing is sunk deeper than this share of the body (no source)."""


@dataclass(frozen=True)
class Outward:
    """The way out of a face, or into its body.

    Attributes:
        start: in the world, the place from which it is measured.
        is_sunk: whether it leads into the body.
    """

    panel: Panel
    eye: Eye
    start: Array
    is_sunk: bool

    @cached_property
    def way(self) -> Array:
        """The direction in the world, length 1."""
        assert self.panel.outward is not None
        return np.array(self.panel.outward) * (-1 if self.is_sunk else 1)

    @property
    def leads_away(self) -> bool:
        """Whether it leads toward the point of its direction, and not away from it toward the viewer."""
        return bool(self.way[2] > 0)

    @property
    def sign(self) -> int:
        """Which way it is measured on the page: 1 toward the point, to the right or up, -1 the other way."""
        if not self.panel.out.goal.is_ideal:
            return 1 if self.leads_away else -1
        x, y, _ = self.way
        return 1 if x + y > 0 else -1

    @cached_property
    def _reach(self) -> float:
        """How far the point of its direction is from its start on the page, mm; infinite where there is none."""
        goal = self.panel.out.goal
        return math.inf if goal.is_ideal else distance(self._at, goal)

    @property
    def _at(self) -> Point:
        x, y = self.eye.see(self.start[None])[0].tolist()
        return Point(x, y)

    def mark(self, mm: float) -> Point:
        """Return where a measure ends on the page."""
        return toward(self._at, self.panel.out.goal, self.sign * mm)

    def reached_mm(self, at: Point) -> float:
        """Return how far out a hand is, mm: where it comes nearest to the line of the measure."""
        start = self._at
        across, up = unit_toward(start, self.mark(1.0))
        return (at.x - start.x) * across + (at.y - start.y) * up

    def vector(self, deep_mm: float, too_deep: Callable[[float], GeometryError]) -> Array:
        """Return the way in the world, mm, for a measure on the page.

        Args:
            too_deep: the error, for the longest measure that works.

        A share s of the way to a point is the length s / (1 - s) in depths of its start (from memory).
        """
        back = self.panel.back
        room = float(np.linalg.norm(back.vector)) if self.is_sunk and back is not None else math.inf
        most = FARTHEST_SHARE * self._reach if self.leads_away else math.inf
        if deep_mm <= most:
            if math.isinf(self._reach):
                length = deep_mm * self.start[2] / self.eye.distance_mm
            else:
                share = deep_mm / self._reach if self.leads_away else -deep_mm / self._reach
                length = share / (1 - share) * self.start[2] / self.way[2]
            if length < room:
                return np.asarray(self.way * length)
        raise too_deep(min(most, self.page_mm(DEEPEST * room) if math.isfinite(room) else math.inf))

    def page_mm(self, length_mm: float) -> float:
        """Return the measure on the page for a length in the world; the other way of ``vector``."""
        if math.isinf(self._reach):
            return length_mm * self.eye.distance_mm / float(self.start[2])
        times = length_mm * float(self.way[2]) / float(self.start[2])
        return abs(times / (1 + times)) * self._reach


class OutOfFace(OnFacePart):
    """What lies on a face, and may stand out of it or be sunk into it."""

    @property
    def may_be_thin(self) -> bool:
        """The thickness of a wall, a frame or a step is thin."""
        return True

    @property
    def is_see_through(self) -> bool:
        """Whether what bears it is see-through."""
        return self.host.is_see_through

    def flat_only(self) -> GeometryError:
        """Return the error for a face out of which nothing can stand, such as a slope."""
        return GeometryError(
            "no_way_out",
            f"“{self.values.name}” can only lie flat on the {self.panel.says}.",
            "Let it lie flat there, or choose another face.",
            about="relief",
            nearest="flat",
        )
