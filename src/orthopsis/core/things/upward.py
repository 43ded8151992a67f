"""How high over a corner is a height that is measured there on its upright, on the page and in the world?

Where uprights run to a third point it is measured along the line to that point, toward it or away from it.
"""

import math
from collections.abc import Iterator
from dataclasses import dataclass

import numpy as np

from orthopsis.core.construct.moves import Act, MeasureAlong, Role, Rule, RuleToPoint, Side
from orthopsis.core.plane.homogeneous import Point, distance, toward, unit_toward
from orthopsis.core.things.depth import FARTHEST_SHARE
from orthopsis.core.view.eye import Array, Eye
from orthopsis.core.view.frame import Way


@dataclass(frozen=True, slots=True)
class Upward:
    """The upright over a corner: where that lies on the page, and which way uprights run."""

    foot: Point
    up: Way

    @property
    def _sign(self) -> int:
        """1 where the height is measured toward the point of uprights, -1 where it is measured away from it."""
        return 1 if self.up.goal.is_ideal or self.up.goal.y > self.foot.y else -1

    @property
    def longest_mm(self) -> float:
        """The longest height that can be measured on the page, mm; infinite where no point ends it."""
        is_ended = not self.up.goal.is_ideal and self._sign > 0
        return FARTHEST_SHARE * distance(self.foot, self.up.goal) if is_ended else math.inf

    def mark(self, mm: float) -> Point:
        """Return where a height ends on the page."""
        if self.up.goal.is_ideal:
            return Point(self.foot.x, self.foot.y + mm)
        return toward(self.foot, self.up.goal, self._sign * mm)

    def reached_mm(self, at: Point) -> float:
        """Return how high on the upright a hand is, mm: where it comes nearest to that line."""
        across, up = unit_toward(self.foot, self.mark(1.0))
        return (at.x - self.foot.x) * across + (at.y - self.foot.y) * up

    def risen(self, eye: Eye, foot: Array, way: Array, mm: float) -> Array:
        """Return the way up in the world, mm.

        Args:
            foot: the corner in the world; ``way``: the way up in the world, of length 1.

        A share s of the way to a point is the length s / (1 - s) in depths of its start (from memory).
        """
        if self.up.goal.is_ideal:
            return np.asarray(way * mm * foot[2] / eye.distance_mm)
        share = mm / distance(self.foot, self.up.goal) * (1 if way[2] > 0 else -1)
        return np.asarray(way * share / (1 - share) * foot[2] / way[2])

    def acts(self, foot: str, line: str, mark: str, laid: str, mm: float, role: Role) -> Iterator[Act]:
        """Yield the acts that draw the upright up to a measured height.

        Args:
            foot, line, mark: full names of the corner, the upright and its upper end.
            laid: what the line is called along which the ruler lies.
        """
        if self.up.goal.is_ideal:
            yield Side(line, mark, foot, "upright", mm, role)
            return
        yield RuleToPoint(laid, foot, self.up.family, "unseen")
        yield MeasureAlong(mark, laid, self._sign * mm)
        yield Rule(line, foot, mark, self.up.family, role)
