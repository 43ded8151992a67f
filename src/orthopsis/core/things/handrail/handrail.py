"""A handrail as a thing: its sentence, its moves, its handle."""

from collections.abc import Mapping

from propcache.api import cached_property

from orthopsis.core.construct.moves import Move
from orthopsis.core.plane.homogeneous import Point
from orthopsis.core.sheet.ruler import round_to
from orthopsis.core.things.answers import Clause, Handle
from orthopsis.core.things.handrail.recipe import recipe
from orthopsis.core.things.handrail.shape import HandrailShape
from orthopsis.core.things.parameters import Value
from orthopsis.core.things.setting import Setting


class Handrail(HandrailShape):
    """A handrail along stairs."""

    sentence: tuple[Clause, ...] = (
        Clause("{bars} {on}, {high} over the first step, with a post on {posts}."),
    )  # fmt: skip

    @classmethod
    def place(cls, setting: Setting, count: int) -> Mapping[str, Value]:
        """Return values for a new one: as high as five risers are on a fresh flight."""
        division = setting.sheet.division_mm
        return {"high": max(round_to(setting.fresh_size * 0.8, division), 2 * division)}

    @cached_property
    def recipe(self) -> tuple[Move, ...]:
        """The hand's moves."""
        return tuple(recipe(self))

    @property
    def handles(self) -> Mapping[str, Handle]:
        """The top of the first post."""
        top = self.upward.mark(self.values.mm("high"))
        return {"high": Handle("Change how high it is", top, ("high",), self._drag_high)}

    def _drag_high(self, at: Point) -> Mapping[str, Value]:
        return {"high": max(self.upward.reached_mm(at), 2 * self.setting.sheet.division_mm)}

    @cached_property
    def spans(self) -> Mapping[str, tuple[Point, Point]]:
        """Between which points its height is measured."""
        return {"high": (self.upward.foot, self.upward.mark(self.values.mm("high")))}
