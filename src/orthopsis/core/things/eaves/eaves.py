"""Eaves as a thing: their sentence and their handles."""

from collections.abc import Mapping

from propcache.api import cached_property

from orthopsis.core.construct.moves import Move
from orthopsis.core.plane.homogeneous import Point, unit_toward
from orthopsis.core.sheet.ruler import round_to
from orthopsis.core.things.answers import Clause, Handle
from orthopsis.core.things.eaves.recipe import recipe
from orthopsis.core.things.eaves.shape import EavesShape
from orthopsis.core.things.parameters import Value
from orthopsis.core.things.raised import foot_name, top_name
from orthopsis.core.things.setting import Setting


class Eaves(EavesShape):
    """Eaves over the top of a block."""

    sentence: tuple[Clause, ...] = (
        Clause("They stand out {over}, measured where the diagonal of the top is carried on, and are {thick} thick."),
    )

    @classmethod
    def place(cls, setting: Setting, count: int) -> Mapping[str, Value]:
        """Return values for new ones: narrow, and thinner than they are wide."""
        division = setting.sheet.division_mm
        wide = max(round_to(setting.fresh_size / 10, division), 2 * division)
        return {"over": wide, "thick": max(round_to(wide / 2, division), division)}

    @cached_property
    def recipe(self) -> tuple[Move, ...]:
        """The hand's moves."""
        return tuple(recipe(self))

    @property
    def handles(self) -> Mapping[str, Handle]:
        """Their nearest corner, and its height."""
        return {
            "over": Handle("Change how far they stand out", self.page[foot_name(0)], ("over",), self._drag_over),
            "thick": Handle("Change how thick they are", self.page[top_name(0)], ("thick",), self._drag_thick),
        }

    def _drag_over(self, at: Point) -> Mapping[str, Value]:
        low, _, beyond, _ = self.panel.page
        across, up = unit_toward(beyond, low)
        return {"over": max((at.x - low.x) * across + (at.y - low.y) * up, self.setting.sheet.division_mm)}

    def _drag_thick(self, at: Point) -> Mapping[str, Value]:
        return {"thick": max(self.upward.reached_mm(at), self.setting.sheet.division_mm)}

    @cached_property
    def spans(self) -> Mapping[str, tuple[Point, Point]]:
        """Between which points both are measured."""
        corner = self.page[foot_name(0)]
        return {"over": (self.panel.page[0], corner), "thick": (corner, self.page[top_name(0)])}
