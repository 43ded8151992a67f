"""How are equal spaces measured that go away? On a level line, from which one point carries them over.

Equal marks on the level line through the first foot lie in the plane of the ground; the lines from them to one point of
the eye level are parallel in truth, so they cut the line of the feet at equal spaces. The point follows from the first
space, which is measured; with marks as far apart as that space is in truth it would be the textbook's measuring point.

Source: measuring line and measuring point (any textbook of perspective; from memory).
"""

import math
from dataclasses import dataclass

from propcache.api import cached_property

from orthopsis.core.errors import GeometryError
from orthopsis.core.plane.homogeneous import Point, distance
from orthopsis.core.plane.tolerance import SAME_POINT_MM
from orthopsis.core.things.row.copies import Copies
from orthopsis.core.view.aim import Aim


@dataclass(frozen=True, slots=True)
class MeasuringLine:
    """How the spaces of a row are measured.

    Attributes:
        mark_mm: from mark to mark on the level line through the first foot, to the right or (negative) left.
        point: the point of the eye level that carries the marks over, page mm.
    """

    mark_mm: float
    point: Point


class MeasuredCopies(Copies):
    """A row whose spaces may be measured."""

    @property
    def is_measured(self) -> bool:
        """Whether places are found by a measuring line."""
        return self.values.word("way") == "measured"

    @cached_property
    def measuring(self) -> MeasuringLine:
        """The measuring line and its point; marks and point both lie on the sheet where there is room.

        With the first space at a share s of the way to the vanishing point G, marks k apart are carried over from
        the point of the eye level that lies k (1 - s) / s aside of G, on the other side (similar triangles).

        Raises:
            GeometryError: the first foot lies on the eye level.
        """
        foot, goal, sheet = self.anchor.at, self.line.goal, self.setting.sheet
        if abs(foot.y - goal.y) <= SAME_POINT_MM:
            raise GeometryError(
                "foot_on_eye_level",
                f"The feet of “{self.values.name}” lie on the eye level, where nothing can be measured.",
                "Take the diagonal.",
                about="way",
                nearest="diagonal",
            )
        share = self.line.gap_mm / distance(foot, goal)
        aside, last = (1 - share) / share, self.numbers[-1] - 1
        best = (0.0, 1.0)
        for way in (1.0, -1.0):
            room = (sheet.width_mm - foot.x) if way > 0 else foot.x
            beside = goal.x if way > 0 else sheet.width_mm - goal.x
            mark = min(self.line.gap_mm, room / last, beside / aside)
            best = max(best, (math.floor(mark / sheet.division_mm) * sheet.division_mm, way))
        mark, way = max(best[0], sheet.division_mm), best[1]
        return MeasuringLine(way * mark, Point(goal.x - way * mark * aside, goal.y))

    @cached_property
    def aims(self) -> tuple[Aim, ...]:
        """The points to which the slanting lines run, and the one that carries the measures over."""
        if not self.is_measured:
            return super().aims
        return (*super().aims, Aim(self.values.full("carried"), self.measuring.point, "measuring", self.values.name))
