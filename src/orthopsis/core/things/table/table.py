"""A table as a thing: its sentence, its moves, its handles."""

from collections.abc import Mapping

from propcache.api import cached_property

from orthopsis.core.construct.moves import Move
from orthopsis.core.construct.panel import Panel
from orthopsis.core.plane.homogeneous import Point
from orthopsis.core.sheet.ruler import round_to
from orthopsis.core.things.answers import Clause, Handle
from orthopsis.core.things.parameters import Value
from orthopsis.core.things.setting import Setting
from orthopsis.core.things.table.recipe import recipe
from orthopsis.core.things.table.shape import TableShape


class Table(TableShape):
    """A table on a level face."""

    sentence: tuple[Clause, ...] = (
        Clause("Its plan, free, taken, free: {along} along the floor, {up} up it. It is {rise} tall, {reach}, its top "
               "{thick} thick, each leg {legs}. It has {rest}."),
    )  # fmt: skip

    @classmethod
    def place(cls, setting: Setting, count: int) -> Mapping[str, Value]:
        """Return values for one more: in the middle of the floor."""
        division = setting.sheet.division_mm
        tall = max(round_to(setting.fresh_size, division), 4 * division)
        return {"along": "1:2:1", "up": "1:2:1", "rise": tall, "thick": max(round_to(tall / 8, division), division)}

    @cached_property
    def recipe(self) -> tuple[Move, ...]:
        """The hand's moves."""
        return tuple(recipe(self))

    @property
    def handles(self) -> Mapping[str, Handle]:
        """The two corners of its plan, its height, and the thickness of its top."""
        under, top = (self.measured_upward.mark(mm) for mm in self.heights)
        return {
            **self.part_handles,
            "rise": Handle("Change its height", top, ("rise",), self._drag_rise),
            "thick": Handle("Change how thick its top is", under, ("thick",), self._drag_thick),
        }

    def _drag_rise(self, at: Point) -> Mapping[str, Value]:
        least = self.values.mm("thick") + self.setting.sheet.division_mm
        return {"rise": max(self.measured_upward.reached_mm(at), least)}

    def _drag_thick(self, at: Point) -> Mapping[str, Value]:
        division, rise = self.setting.sheet.division_mm, self.values.mm("rise")
        return {"thick": min(max(rise - self.measured_upward.reached_mm(at), division), rise - division)}

    @cached_property
    def spans(self) -> Mapping[str, tuple[Point, Point]]:
        """Between which points height and thickness are measured."""
        under, top = (self.measured_upward.mark(mm) for mm in self.heights)
        return {"rise": (self.measured_upward.foot, top), "thick": (under, top)}

    @cached_property
    def faces(self) -> Mapping[str, Panel]:
        """Its top, and what its shadow falls on."""
        return {**super().faces, "ground": self.foot.ground}
