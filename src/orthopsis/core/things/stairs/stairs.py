"""Stairs as a thing: their sentence, their moves, their handles."""

from collections.abc import Mapping

from propcache.api import cached_property

from orthopsis.core.construct.moves import Move
from orthopsis.core.construct.panel import BareSide, Panel
from orthopsis.core.plane.homogeneous import Point
from orthopsis.core.sheet.ruler import round_to
from orthopsis.core.things.answers import Clause, Handle
from orthopsis.core.things.parameters import Value
from orthopsis.core.things.setting import Setting
from orthopsis.core.things.stairs.faces import side_of, stepped_sides, steps_of
from orthopsis.core.things.stairs.recipe import recipe
from orthopsis.core.things.stairs.shape import StairsShape


class Stairs(StairsShape):
    """A flight of stairs on a level face."""

    sentence: tuple[Clause, ...] = (
        Clause("Their plan, free, taken, free: {along} along the floor, {up} up it. {steps} climb {climbs}, {rise} in "
               "all, {reach}. Their other side is found {over_by}. They have {string}."),
    )  # fmt: skip

    @classmethod
    def place(cls, setting: Setting, count: int) -> Mapping[str, Value]:
        """Return values for one more flight: in the middle of the floor, each riser on a mark of the ruler."""
        division = setting.sheet.division_mm
        riser = max(round_to(setting.fresh_size / 5, division), division)
        return {"along": "1:2:1", "up": "1:2:1", "rise": 5 * riser, "steps": "5"}

    @cached_property
    def recipe(self) -> tuple[Move, ...]:
        """The hand's moves."""
        return tuple(recipe(self))

    @property
    def handles(self) -> Mapping[str, Handle]:
        """The two corners of their plan, and their height over the foot."""
        return {
            **self.part_handles,
            "rise": Handle("Change their height", self.measured_span[1], ("rise",), self._drag_rise),
        }

    def _drag_rise(self, at: Point) -> Mapping[str, Value]:
        return {"rise": max(self.measured_upward.reached_mm(at), self.count * self.setting.sheet.division_mm)}

    @cached_property
    def spans(self) -> Mapping[str, tuple[Point, Point]]:
        """Between which points their height is measured."""
        return {"rise": self.measured_span}

    @cached_property
    def faces(self) -> Mapping[str, Panel]:
        """The side on which they are measured, and along which a handrail goes up."""
        return {"steps": side_of(self)}

    @cached_property
    def outer_faces(self) -> tuple[Panel, ...]:
        """Its risers and treads that are seen."""
        return steps_of(self)

    @property
    def bare_sides(self) -> tuple[BareSide, ...]:
        """Its stepped sides."""
        return stepped_sides(self)
