"""A hip roof as a thing: its sentence, its moves, its handle."""

from collections.abc import Mapping

from propcache.api import cached_property

from orthopsis.core.construct.moves import Move
from orthopsis.core.plane.homogeneous import Point, unit_toward
from orthopsis.core.things.hip.recipe import recipe
from orthopsis.core.things.hip.shape import HipShape
from orthopsis.core.things.parameters import Value
from orthopsis.core.things.setting import Setting
from orthopsis.core.things.standing import Clause, Handle


class HipRoof(HipShape):
    """A hip roof or a pyramid over the top of a block."""

    sentence: tuple[Clause, ...] = (Clause("Its four slopes rise to {ridge}, {rise} over the nearest corner."),)

    @classmethod
    def place(cls, setting: Setting, count: int) -> Mapping[str, Value]:
        """Return values for one more roof: half as high as a new box."""
        return {"rise": max(setting.fresh_size / 2, setting.sheet.division_mm)}

    @cached_property
    def recipe(self) -> tuple[Move, ...]:
        """The hand's moves."""
        return tuple(recipe(self))

    @property
    def handles(self) -> Mapping[str, Handle]:
        """Where the height is measured."""
        return {"rise": Handle("Change the height of the roof", self.mark, ("rise",), self._drag_rise)}

    def _drag_rise(self, at: Point) -> Mapping[str, Value]:
        foot = self.panel.page[0]
        across, up = unit_toward(foot, self.mark)
        along = (at.x - foot.x) * across + (at.y - foot.y) * up
        return {"rise": max(along, self.setting.sheet.division_mm)}

    @cached_property
    def spans(self) -> Mapping[str, tuple[Point, Point]]:
        """Between which points the height is measured."""
        return {"rise": (self.panel.page[0], self.mark)}
