"""The lid of a box on the house, from which a roof over the top of a block is found.

Corners of the block's top are numbered from its low one along its lower edge: low, far low, far high, high. Over each
lies a corner of the lid.
"""

from collections.abc import Mapping

from propcache.api import cached_property

from orthopsis.core.plane.homogeneous import Point, join, meet
from orthopsis.core.things.answers import Handle
from orthopsis.core.things.parameters import Value
from orthopsis.core.things.setting import Setting
from orthopsis.core.things.standing import Standing
from orthopsis.core.things.upward import Upward

EDGES = ("bottom", "far", "top", "first")
"""The edges of the top, by the corner with which each begins."""


class LidShape(Standing):
    """A roof that is found from the lid of a box on the house."""

    @classmethod
    def place(cls, setting: Setting, count: int) -> Mapping[str, Value]:
        """Return values for one more roof: half as high as a new box."""
        return {"rise": max(setting.fresh_size / 2, setting.sheet.division_mm)}

    @property
    def upward(self) -> Upward:
        """The upright over the low corner, on which the height is measured."""
        return Upward(self.panel.page[0], self.panel.out)

    @cached_property
    def rise_mm(self) -> float:
        """Its height over the low corner, measured on the page.

        Raises:
            GeometryError: it is longer than the way to the third point, or the lid lies on the eye level.
        """
        rise, most, division = self.values.mm("rise"), self.upward.longest_mm, self.setting.sheet.division_mm
        if rise > most:
            raise self.refused("edge_past_point", "is higher than the third point", most, is_least=False)
        if abs(self.upward.mark(rise).y - self.setting.frame.level_mm) < division:
            why = "is as high as the eye level: there the lines that help would lie on each other"
            raise self.refused("lid_on_eye_level", why, rise + 3 * division, is_least=True)
        return rise

    @property
    def mark(self) -> Point:
        """Where the measured height ends on the page: the first corner of the lid."""
        return self.upward.mark(self.rise_mm)

    @cached_property
    def lid(self) -> tuple[Point, Point, Point, Point]:
        """The corners on the page of the box on the house, over the corners of the top, by meets and joins."""
        panel, low = self.panel, self.mark
        _, far_low, _, high = panel.page
        beside = meet(join(low, panel.along.goal), join(far_low, panel.out.goal))
        if panel.up.goal.is_ideal:
            behind = Point(low.x + high.x - panel.page[0].x, low.y + high.y - panel.page[0].y)
        else:
            behind = meet(join(low, panel.up.goal), join(high, panel.out.goal))
        return low, beside, meet(join(behind, panel.along.goal), join(beside, panel.up.goal)), behind

    @property
    def is_see_through(self) -> bool:
        """Whether the house is see-through."""
        return self.host.is_see_through

    @property
    def handles(self) -> Mapping[str, Handle]:
        """Where the height is measured."""
        return {"rise": Handle("Change the height of the roof", self.mark, ("rise",), self._drag_rise)}

    def _drag_rise(self, at: Point) -> Mapping[str, Value]:
        return {"rise": max(self.upward.reached_mm(at), self.setting.sheet.division_mm)}

    @cached_property
    def spans(self) -> Mapping[str, tuple[Point, Point]]:
        """Between which points the height is measured."""
        return {"rise": (self.panel.page[0], self.mark)}
