"""The lid of a box on the house, from which a roof over the top of a block is found.

Corners of the block's top are numbered from its low one along its lower edge: low, far low, far high, high. Over each
lies a corner of the lid.
"""

from collections.abc import Mapping

from propcache.api import cached_property

from orthopsis.core.errors import GeometryError
from orthopsis.core.plane.homogeneous import Point, join, meet
from orthopsis.core.sheet.length import format_limit
from orthopsis.core.things.parameters import Value
from orthopsis.core.things.setting import Setting
from orthopsis.core.things.standing import Handle, Standing
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
    def mark(self) -> Point:
        """Where the measured height over the low corner ends on the page: the first corner of the lid.

        Raises:
            GeometryError: it is longer than the way to the third point, or the lid lies on the eye level.
        """
        rise, sheet, longest = self.values.mm("rise"), self.setting.sheet, self.upward.longest_mm
        if rise > longest:
            most = format_limit(longest, sheet.units, sheet.division_mm, is_least=False)
            raise GeometryError(
                "edge_past_point",
                f"“{self.values.name}” is higher than the third point.",
                f"The highest that works is {most}.",
                about="rise",
                nearest=most,
            )
        at = self.upward.mark(rise)
        if abs(at.y - self.setting.frame.level_mm) < sheet.division_mm:
            nearest = format_limit(rise + 2 * sheet.division_mm, sheet.units, sheet.division_mm, is_least=True)
            raise GeometryError(
                "lid_on_eye_level",
                f"At this height of “{self.values.name}” the lines that help lie on the eye level, all on each other.",
                f"Make it a little higher or lower, such as {nearest}.",
                about="rise",
                nearest=nearest,
            )
        return at

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
