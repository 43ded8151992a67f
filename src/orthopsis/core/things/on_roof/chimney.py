"""A chimney on a slope: a box whose foot lies on the slope and whose top is level."""

from collections.abc import Iterator, Mapping

import numpy as np
from propcache.api import cached_property

from orthopsis.core.construct.meeting import meeting
from orthopsis.core.construct.moves import Act, Move, Rule
from orthopsis.core.errors import GeometryError
from orthopsis.core.plane.homogeneous import Point, distance
from orthopsis.core.sheet.length import format_limit
from orthopsis.core.sheet.ruler import round_to
from orthopsis.core.things.on_roof.foot import OnSlope, Seam, foot_name
from orthopsis.core.things.parameters import Value
from orthopsis.core.things.rectangles.forms import SIDES
from orthopsis.core.things.setting import Setting
from orthopsis.core.things.standing import Clause, Handle
from orthopsis.core.things.upward import Upward
from orthopsis.core.view.eye import Array


def _top(corner: int) -> str:
    return f"top.{corner % 4}"


class Chimney(OnSlope):
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
        return {foot_name(i): foot for i, foot in enumerate(feet)} | {_top(i): top for i, top in enumerate(tops)}

    def _check_high(self, level: Array) -> None:
        """Refuse a height with which nothing would be seen of its upper side, or no top could be drawn.

        Args:
            level: the place over the lowest corner that is as high as the upper side of the foot, in the world.
        """
        sheet, rise, division = self.setting.sheet, self.values.mm("rise"), self.setting.sheet.division_mm
        least, most = distance(self.upward.foot, self._seen(level[None])[0]) + 2 * division, self.upward.longest_mm
        code = why = ""
        nearest_mm, is_least = least, True
        if rise > most:
            code, why, nearest_mm, is_least = "edge_past_point", "is higher than the third point", most, False
        elif rise < least - division:
            code, why = "sinks_into_roof", "would sink into the roof at its upper side"
        elif abs(self.upward.mark(rise).y - self.setting.frame.level_mm) < division:
            code, why, nearest_mm = "lid_on_eye_level", "would have its top on the eye level, as a mere line", rise
            nearest_mm += 2 * division
        if code:
            nearest = format_limit(nearest_mm, sheet.units, division, is_least=is_least)
            text = f"“{self.values.name}” {why}."
            raise GeometryError(code, text, f"The nearest that works is {nearest}.", about="rise", nearest=nearest)

    @property
    def face_names(self) -> Mapping[str, str]:
        """Its faces: the sides over those of its foot, top and foot."""
        return dict(zip((*SIDES, "top", "under"), (*self.panel.around, "top", "bottom"), strict=True))

    def outline_of(self, face: str) -> tuple[str, ...]:
        """Return the corners of a face."""
        if face in ("top", "under"):
            return tuple(_top(i) for i in range(4)) if face == "top" else tuple(foot_name(3 - i) for i in range(4))
        i = SIDES.index(face)
        return foot_name(i), foot_name(i + 1), _top(i + 1), _top(i)

    @cached_property
    def seams(self) -> Mapping[str, Seam]:
        """Its edges, by name."""
        panel, across, found = self.panel, self.pitch.way.family, dict[str, Seam]()
        along, slope, up = (way.family for way in (panel.along, panel.up, panel.out))
        for i, side in enumerate(SIDES):
            found[f"foot.{side}"] = Seam(foot_name(i), foot_name(i + 1), slope if i % 2 else along, (side,))
            found[f"top.{side}"] = Seam(_top(i), _top(i + 1), across if i % 2 else along, (side, "top"))
            found[f"upright.{i}"] = Seam(foot_name(i), _top(i), up, (SIDES[i - 1], side))
        return found

    @cached_property
    def recipe(self) -> tuple[Move, ...]:
        """The hand's moves: light lines, the foot, its height, two sides, the top."""
        told = [("chimney.foot", act) for act in self.foot_acts()]
        told += [("chimney.height", act) for act in self._height()]
        told += [("chimney.sides", act) for act in self._sides()]
        told += [("chimney.top", act) for act in self._lid()]
        return (*self.grid.moves(), *(self.values.move("back", breath, act) for breath, act in told))

    def _height(self) -> Iterator[Act]:
        n, line = self.values.full, "upright.0"
        names = (n(foot_name(0)), n(line), n(_top(0)), n("construction.laid"))
        return self.upward.acts(*names, self.values.mm("rise"), self.role(line))

    def _sides(self) -> Iterator[Act]:
        """Yield the acts that find the corners of the top beside the first one, on the uprights of the foot."""
        n, out = self.values.full, self.panel.out
        for corner, side, way in ((1, "low", self.panel.along), (3, "near", self.pitch.way)):
            aside = self.page[_top(corner)].x - self.page[_top(0)].x
            upright = (n(foot_name(corner)), out, n(f"construction.upright.{corner}"))
            edge = (n(_top(0)), way, n(f"top.{side}"))
            laid = n(f"construction.laid.{side}")
            yield from meeting(upright, edge, n(_top(corner)), aside, self.role(f"top.{side}"), laid)
            name = f"upright.{corner}"
            yield Rule(n(name), n(foot_name(corner)), n(_top(corner)), out.family, self.role(name))

    def _lid(self) -> Iterator[Act]:
        """Yield the acts that close the top, where something of its far side is seen."""
        if "edge" not in (self.role(edge) for edge in ("top.far", "top.high", "upright.2")):
            return
        n, across = self.values.full, self.pitch.way
        first, second = (n(_top(1)), across, n("construction.far")), (n(_top(3)), self.panel.along, n("top.high"))
        aside = self.page[_top(2)].x - self.page[_top(3)].x
        yield from meeting(first, second, n(_top(2)), aside, self.role("top.high"), n("construction.laid.high"))
        yield Rule(n("top.far"), n(_top(1)), n(_top(2)), across.family, self.role("top.far"))
        if self.role("upright.2") == "edge":
            yield Rule(n("upright.2"), n(foot_name(2)), n(_top(2)), self.panel.out.family)

    @property
    def handles(self) -> Mapping[str, Handle]:
        """The two corners of the part of the slope that it takes, and its height."""
        mark = self.page[_top(0)]
        return {**self.part_handles, "rise": Handle("Change its height", mark, ("rise",), self._drag_rise)}

    def _drag_rise(self, at: Point) -> Mapping[str, Value]:
        return {"rise": max(self.upward.reached_mm(at), self.setting.sheet.division_mm)}

    @cached_property
    def spans(self) -> Mapping[str, tuple[Point, Point]]:
        """Between which points its height is measured."""
        return {"rise": (self.upward.foot, self.page[_top(0)])}
