"""Trees, people and posts as a thing: their sentence, their moves, their handles."""

from collections.abc import Mapping
from dataclasses import replace

from propcache.api import cached_property

from orthopsis.core.construct.moves import Move
from orthopsis.core.plane.homogeneous import Point
from orthopsis.core.sheet.ruler import round_to
from orthopsis.core.things.answers import Clause, Handle
from orthopsis.core.things.depth import reached_mm
from orthopsis.core.things.parameters import FIRST_CORNER, Value
from orthopsis.core.things.real_sizes import TALL
from orthopsis.core.things.setting import Setting
from orthopsis.core.things.silhouette.recipe import recipe
from orthopsis.core.things.silhouette.shape import COUNTS, SilhouetteShape
from orthopsis.core.things.values import Values
from orthopsis.core.view.frame import Way

_SEVERAL = tuple(COUNTS)[1:]
_TALL = (
    Clause("Here stands {what}, {left} from the left edge and {bottom} up, {tall_by}"),
    Clause(": {height} tall. ", {"tall_by": ("measured",)}),
    Clause(", {share}. ", {"tall_by": ("level",)}),
)


class Silhouettes(SilhouetteShape):
    """Outlines on the ground."""

    @cached_property
    def recipe(self) -> tuple[Move, ...]:
        """The hand's moves."""
        return tuple(recipe(self))

    @property
    def has_depth(self) -> bool:
        """A silhouette is flat."""
        return False

    @property
    def handles(self) -> Mapping[str, Handle]:
        """Where the first one stands, its top where that is measured, and where the second one stands."""
        top = Point(self.foot.x, self.foot.y + self.height_mm)
        place = tuple(p.name for p in FIRST_CORNER)
        found = {"place": Handle("Move it", self.foot, place, self._drag_place, "place")}
        if not self.is_by_level:
            found["height"] = Handle("Change the height", top, ("height",), self._drag_height, "size")
        if self.count > 1:
            found["gap"] = Handle("Change the distance to the next one", self.feet[1], ("gap",), self._drag_gap)
        return found

    def _drag_place(self, at: Point) -> Mapping[str, Value]:
        most = self.setting.frame.level_mm - self.setting.sheet.division_mm
        return {"left": at.x, "bottom": min(max(at.y, 0.0), most)}

    def _drag_height(self, at: Point) -> Mapping[str, Value]:
        return {"height": max(at.y - self.foot.y, 2 * self.setting.sheet.division_mm)}

    def _drag_gap(self, at: Point) -> Mapping[str, Value]:
        return {"gap": max(reached_mm(self.foot, self.way.goal, at), self.setting.sheet.division_mm)}

    def follow(self, name: str, value: Value) -> Mapping[str, Value]:
        """Return the measured height that leaves the drawing as it is, when it begins to be measured.

        What becomes something else is as tall as that is in truth, where truth is stated and it has room on the sheet.
        """
        if name == "what" and not self.is_by_level:
            return self.in_truth(self.setting, replace(self.values, held={**self.values.held, name: value}))
        if name != "tall_by" or value != "measured":
            return {}
        return {"height": round_to(self.height_mm, self.setting.sheet.division_mm)}

    @cached_property
    def spans(self) -> Mapping[str, tuple[Point, Point]]:
        """Between which points each length is measured."""
        foot = self.foot
        found = {"left": (Point(0.0, foot.y), foot), "bottom": (Point(foot.x, 0.0), foot)}
        if not self.is_by_level:
            found["height"] = (foot, Point(foot.x, foot.y + self.height_mm))
        if self.count > 1 and not self.is_by_eye:
            found["gap"] = (foot, self.feet[1])
        return found

    @classmethod
    def place(cls, setting: Setting, count: int) -> Mapping[str, Value]:
        """Return values for one more: on the ground, each a little farther to the side."""
        sheet, level = setting.sheet, setting.frame.level_mm
        across, foot = (0.12, 0.86, 0.3, 0.68)[count % 4], max(round_to(level * 0.35, sheet.division_mm), 0.0)
        return {
            "left": setting.across(across),
            "bottom": foot,
            "height": round_to(setting.fresh_size * 1.5, sheet.division_mm),
        }

    @classmethod
    def in_truth(cls, setting: Setting, values: Values) -> Mapping[str, Value]:
        """Return how tall it is in truth."""
        tall = setting.true_mm(TALL.get(values.word("what"), 0.0), values.first.y)
        return {"height": tall} if 0 < tall <= setting.sheet.height_mm - values.first.y else {}


class LevelSilhouettes(Silhouettes):
    """A row of them goes to the one point."""

    sentence: tuple[Clause, ...] = (
        *_TALL,
        Clause("{count} in all.", {"count": ("1",)}),
        Clause("{count} in all, going away to the point, {spaced}, the second {gap} along.",
               {"count": _SEVERAL}),
    )  # fmt: skip

    @property
    def way(self) -> Way:
        """Straight away."""
        return self.setting.frame.way("away")


class TurnedSilhouettes(Silhouettes):
    """A row of them goes to one of two points."""

    sentence: tuple[Clause, ...] = (
        *_TALL,
        Clause("{count} in all.", {"count": ("1",)}),
        Clause("{count} in all, going away to {to}, {spaced}, the second {gap} along.",
               {"count": _SEVERAL}),
    )  # fmt: skip

    @property
    def way(self) -> Way:
        """To the point that is chosen."""
        return self.setting.frame.way(self.values.word("to"))
