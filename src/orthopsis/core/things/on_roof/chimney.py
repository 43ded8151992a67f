"""A chimney on a slope: a box whose foot lies on the slope and whose top is level."""

from collections.abc import Mapping

import numpy as np
from propcache.api import cached_property

from orthopsis.core.construct.moves import Move
from orthopsis.core.plane.homogeneous import distance
from orthopsis.core.sheet.ruler import round_to
from orthopsis.core.things.answers import Clause, Handle
from orthopsis.core.things.on_roof.foot import OnSlope
from orthopsis.core.things.parameters import Value
from orthopsis.core.things.raised import Raised, foot_name, top_name
from orthopsis.core.things.setting import Setting
from orthopsis.core.things.upward import Upward
from orthopsis.core.view.eye import Array
from orthopsis.core.view.frame import Way


class Chimney(Raised, OnSlope):
    """A chimney on a slope."""

    sentence: tuple[Clause, ...] = (
        Clause("Free, taken, free: {along} along the roof, {up} up the slope. "),
        Clause("It rises {rise} over its lowest corner."),
    )

    @classmethod
    def place(cls, setting: Setting, count: int) -> Mapping[str, Value]:
        """Return values for one more: in the middle of the slope."""
        return {"along": "2:1:2", "up": "2:1:2", "rise": round_to(setting.fresh_size / 2, setting.sheet.division_mm)}

    @cached_property
    def upward(self) -> Upward:
        """The upright over the lowest corner, on which the height is measured."""
        return Upward(self._seen(self.feet[:1])[0], self.panel.out)

    @cached_property
    def world(self) -> Mapping[str, Array]:
        """Its corners in the world.

        Raises:
            GeometryError: its top would reach the third point, sink into the roof, or lie on the eye level.
        """
        feet, rise, run = self.feet, np.array(self.pitch.rise), np.array(self.pitch.run) * self.up_share
        self._check_high(feet[0] + rise * self.up_share)
        way = rise / np.linalg.norm(rise)
        up = self.upward.risen(self.setting.frame.eye, feet[0], way, self.values.mm("rise"))
        low = feet[:2] + up
        tops = [low[0], low[1], low[1] + run, low[0] + run]
        return {foot_name(i): foot for i, foot in enumerate(feet)} | {top_name(i): top for i, top in enumerate(tops)}

    def _check_high(self, level: Array) -> None:
        """Refuse a height with which nothing would be seen of its upper side, or no top could be drawn.

        Args:
            level: the place over the lowest corner that is as high as the upper side of the foot, in the world.
        """
        rise, division = self.values.mm("rise"), self.setting.sheet.division_mm
        least = distance(self.upward.foot, self._seen(level[None])[0]) + 2 * division
        if rise <= self.upward.longest_mm and rise < least - division:
            raise self.refused("sinks_into_roof", "would sink into the roof at its upper side", least, is_least=True)
        self.check_lid(rise)

    @property
    def way_back(self) -> Way:
        """Its top is level: there its sides run straight up the slope, seen from above."""
        return self.pitch.way

    @cached_property
    def recipe(self) -> tuple[Move, ...]:
        """The hand's moves: light lines, the foot, its height, two sides, the top."""
        told = [("chimney.foot", act) for act in self.foot_acts()]
        told += [("chimney.height", act) for act in self.height_acts(self.values.mm("rise"))]
        told += [("chimney.sides", act) for act in self.side_acts()]
        told += [("chimney.top", act) for act in self.lid_acts()]
        return (*self.grid.moves(), *(self.values.move("back", breath, act) for breath, act in told))

    @property
    def handles(self) -> Mapping[str, Handle]:
        """The two corners of the part of the slope that it takes, and its height."""
        return {**self.part_handles, "rise": self.rise_handle}
