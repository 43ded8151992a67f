"""A gable roof as a thing: its sentence, its moves, its handle."""

from collections.abc import Mapping

from propcache.api import cached_property

from orthopsis.core.construct.moves import Move
from orthopsis.core.plane.homogeneous import Point, unit_toward
from orthopsis.core.things.answers import WHOLE, Clause, Handle, Spans, Summit
from orthopsis.core.things.gable.recipe import recipe
from orthopsis.core.things.gable.shape import GableShape
from orthopsis.core.things.parameters import Value
from orthopsis.core.things.setting import Setting


class GableRoof(GableShape):
    """A gable roof over a wall."""

    sentence: tuple[Clause, ...] = (Clause("Ridge {rise} over the wall, its far end {far_by}."),)

    @classmethod
    def place(cls, setting: Setting, count: int) -> Mapping[str, Value]:
        """Return values for one more roof: half as high as a new box."""
        return {"rise": max(setting.fresh_size / 2, setting.sheet.division_mm)}

    @cached_property
    def recipe(self) -> tuple[Move, ...]:
        """The hand's moves."""
        return tuple(recipe(self))

    @cached_property
    def takes_away(self) -> Mapping[frozenset[str], Spans]:
        """The upper edges of the wall under the gable and of the one behind it, which is one plane with its own."""
        return {frozenset((face.high, face.far_high)): WHOLE for face in (self.panel, self.back)}

    @cached_property
    def summits(self) -> tuple[Summit, ...]:
        """The peak, over the middle of the wall."""
        return (Summit(self.peak, self.panel.up.goal, ("front.slope.first", "front.slope.far")),)

    @property
    def handles(self) -> Mapping[str, Handle]:
        """Where the height of the ridge is measured."""
        return {"rise": Handle("Change the height of the ridge", self.mark, ("rise",), self._drag_rise)}

    def _drag_rise(self, at: Point) -> Mapping[str, Value]:
        across, up = unit_toward(self.foot, self.mark)
        along = (at.x - self.foot.x) * across + (at.y - self.foot.y) * up
        return {"rise": max(along, self.setting.sheet.division_mm)}

    @cached_property
    def spans(self) -> Mapping[str, tuple[Point, Point]]:
        """Between which points the height of the ridge is measured."""
        return {"rise": (self.foot, self.mark)}
