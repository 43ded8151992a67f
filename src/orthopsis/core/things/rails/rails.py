"""Rails as a thing: their sentence, their moves, their handles."""

from collections.abc import Mapping

from propcache.api import cached_property

from orthopsis.core.construct.moves import Move
from orthopsis.core.plane.homogeneous import Point
from orthopsis.core.sheet.ruler import round_to
from orthopsis.core.things.depth import reached_mm
from orthopsis.core.things.parameters import FIRST_CORNER, Value
from orthopsis.core.things.rails.recipe import recipe
from orthopsis.core.things.rails.shape import RailsShape
from orthopsis.core.things.setting import Setting
from orthopsis.core.things.standing import Clause, Free, Handle


class Rails(RailsShape):
    """Two rails on sleepers, to the point."""

    sentence: tuple[Clause, ...] = (
        Clause("Rails to the point, {gauge} apart, {left} from the left edge and {bottom} up, each {rail} wide and "
               "{high} high. "),
        Clause("{sleepers} reach {out} beyond them, {deep} deep, {thick} thick, the second {pitch} along."),
    )  # fmt: skip

    @classmethod
    def place(cls, setting: Setting, count: int) -> Mapping[str, Value]:
        """Return values for more rails: about the point, from the lower edge."""
        sheet, goal = setting.sheet, setting.frame.way("away").goal
        gauge = round_to(setting.fresh_size * 1.6, sheet.division_mm)
        rail = max(round_to(setting.fresh_size / 6, sheet.division_mm), sheet.division_mm)
        left = round_to(goal.x - gauge / 2 - rail + 5 * count * sheet.division_mm, sheet.division_mm)
        out = round_to(setting.fresh_size / 3, sheet.division_mm)
        return {"left": max(left, out), "bottom": rail, "gauge": gauge, "rail": rail, "out": out}

    @cached_property
    def recipe(self) -> tuple[Move, ...]:
        """The hand's moves."""
        return tuple(recipe(self))

    @property
    def has_depth(self) -> bool:
        """Rails have no sides that could be too thin: they run to the point."""
        return False

    @cached_property
    def free_lines(self) -> tuple[Free, ...]:
        """The sleepers behind the first one: where they lie is set by eye."""
        lines = ("near", "far", "under", "left", "right", "end.left", "end.right")
        numbers = range(1, len(self.marks))
        return (Free(self.setting.frame.name, frozenset(f"sleeper.{i}.{line}" for i in numbers for line in lines)),)

    @property
    def handles(self) -> Mapping[str, Handle]:
        """Where they begin, the other rail, and where the second sleeper lies."""
        first = self.values.first
        other = Point(first.x + self.values.mm("rail") + self.values.mm("gauge"), first.y)
        second = self.at("sleepers_left", self.marks[1][0])
        return {
            "place": Handle("Move the rails", first, tuple(p.name for p in FIRST_CORNER), self._drag_place, "place"),
            "gauge": Handle("Change how far apart they are", other, ("gauge",), self._drag_gauge, "size"),
            "pitch": Handle("Change the space of the sleepers", second, ("pitch",), self._drag_pitch),
        }

    def _drag_place(self, at: Point) -> Mapping[str, Value]:
        most = self.goal.y - self.values.mm("high") - self.setting.sheet.division_mm
        return {"left": max(at.x, 0.0), "bottom": min(max(at.y, self.values.mm("thick")), most)}

    def _drag_gauge(self, at: Point) -> Mapping[str, Value]:
        gauge = at.x - self.values.first.x - self.values.mm("rail")
        return {"gauge": max(gauge, 4 * self.setting.sheet.division_mm)}

    def _drag_pitch(self, at: Point) -> Mapping[str, Value]:
        return {"pitch": max(reached_mm(self.begins["sleepers_left"], self.goal, at), self.setting.sheet.division_mm)}

    @cached_property
    def spans(self) -> Mapping[str, tuple[Point, Point]]:
        """Between which points each length is measured."""
        first, begins = self.values.first, self.begins
        inner = begins["rail_left.foot"]
        return {
            "left": (Point(0.0, first.y), first),
            "bottom": (Point(first.x, 0.0), first),
            "gauge": (inner, begins["rail_right.foot"]),
            "out": (begins["sleepers_left"], first),
            "pitch": (begins["sleepers_left"], self.at("sleepers_left", self.marks[1][0])),
        }
