"""Rails as a thing: their sentence, their moves, their handles."""

from collections.abc import Mapping

from propcache.api import cached_property

from orthopsis.core.construct.moves import Move
from orthopsis.core.construct.panel import Panel, vector
from orthopsis.core.plane.homogeneous import Point, distance
from orthopsis.core.sheet.ruler import round_to
from orthopsis.core.things.answers import Clause, Free, Handle
from orthopsis.core.things.depth import reached_mm
from orthopsis.core.things.parameters import FIRST_CORNER, Value
from orthopsis.core.things.rails.recipe import recipe
from orthopsis.core.things.rails.shape import SIDES, RailsShape
from orthopsis.core.things.real_sizes import (
    GAUGE,
    RAIL_HEAD,
    RAIL_HIGH,
    SLEEPER_APART,
    SLEEPER_DEEP,
    SLEEPER_LONG,
    SLEEPER_THICK,
)
from orthopsis.core.things.setting import Setting
from orthopsis.core.things.values import Values

SHADED_MM = 21.0
"""So far the sleepers of new rails reach out at least: as far as the rails' shadow does by the flattest rays, 30°."""


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
        out = max(round_to(setting.fresh_size / 3, sheet.division_mm), round_to(SHADED_MM, sheet.division_mm))
        return {"left": max(left, out), "bottom": rail, "gauge": gauge, "rail": rail, "out": out}

    @classmethod
    def in_truth(cls, setting: Setting, values: Values) -> Mapping[str, Value]:
        """Return the gauge, the rails and the sleepers of a standard track.

        Going away a length s is drawn as s / (s + depth) of the way to the point, the depth being the eye's height by
        the drop of the foot, in distances of the eye (textbook; from memory).
        """
        sheet, goal, first = setting.sheet, setting.frame.way("away").goal, values.first
        wide = {"gauge": GAUGE, "rail": RAIL_HEAD, "high": RAIL_HIGH, "out": (SLEEPER_LONG - GAUGE) / 2 - RAIL_HEAD,
                "thick": SLEEPER_THICK}  # fmt: skip
        found = {name: max(setting.true_mm(real, first.y), sheet.division_mm) for name, real in wide.items()}
        reaches = found["gauge"] + 2 * found["rail"] + found["out"]
        if setting.over_ground_mm is None or first.x < found["out"] or first.x + reaches > sheet.width_mm:
            return {}
        if setting.frame.is_metric:
            deep = setting.over_ground_mm * setting.frame.eye.distance_mm / (setting.frame.level_mm - first.y)
            reach = distance(Point(first.x - found["out"], first.y), goal)
            for name, real in (("deep", SLEEPER_DEEP), ("pitch", SLEEPER_APART)):
                found[name] = max(round_to(reach * real / (real + deep), sheet.division_mm), sheet.division_mm)
        return found

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

    @cached_property
    def faces(self) -> Mapping[str, Panel]:
        """The ground under them, on which only their shadow falls."""
        frame, last, ends = self.setting.frame, len(self.marks) - 1, SIDES
        feet = [(f"sleeper.0.near.{side}", self.at(f"sleepers_{side}", 0.0)) for side in ends]
        rest = [(f"sleeper.{last}.far.{side}", self.at(f"sleepers_{side}", self.marks[last][1])) for side in ends]
        (low, at_low), (far_low, at_far_low), (high, at_high), (far_high, at_far_high) = (*feet, *rest)
        world = [self.solid.places[self.solid.index(name)] for name in (low, far_low, high)]
        n = self.values.full
        ground = Panel(
            says="foot", face="sleeper.0.top", turned="top", low=n(low), high=n(high), far_low=n(far_low),
            far_high=n(far_high), first=n("guide.sleepers.left"), bottom=n("sleeper.0.near"),
            top=n(f"sleeper.{last}.far"), far=n("guide.sleepers.right"), around=("back", "right", "front", "left"),
            along=frame.way("across"), up=frame.way("away"), out=frame.way("up"), drawn_from="low",
            page=(at_low, at_far_low, at_far_high, at_high), start=vector(world[0]),
            axes=(vector(world[1] - world[0]), vector(world[2] - world[0])), is_level=True, outward=(0.0, 1.0, 0.0),
        )  # fmt: skip
        return {"ground": ground.ground}

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
