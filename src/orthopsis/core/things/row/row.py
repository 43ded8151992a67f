"""A row as a thing: its sentence, its moves, the handle of its last one."""

from collections.abc import Mapping

from propcache.api import cached_property

from orthopsis.core.construct.moves import Move
from orthopsis.core.plane.homogeneous import Point, between, distance
from orthopsis.core.things.answers import Clause, Free, Handle
from orthopsis.core.things.parameters import Value
from orthopsis.core.things.row.measured import MeasuredCopies
from orthopsis.core.things.row.recipe import recipe
from orthopsis.core.things.setting import Setting

MOST = 24
WAYS = {
    "diagonal": "by the diagonal through the middle",
    "measured": "by a measuring line",
    "eye": "by eye, smaller and closer",
}


class Row(MeasuredCopies):
    """A row of copies of a block."""

    sentence: tuple[Clause, ...] = (Clause("{count} in all, their places {way}."),)

    @classmethod
    def place(cls, setting: Setting, count: int) -> Mapping[str, Value]:
        """Return values for one more row."""
        return {"count": "5", "way": "diagonal"}

    @cached_property
    def recipe(self) -> tuple[Move, ...]:
        """The hand's moves."""
        return tuple(recipe(self))

    @property
    def handles(self) -> Mapping[str, Handle]:
        """The foot of the last one, which changes how many there are."""
        last = between(self.anchor.at, self.line.goal, self.share(self.numbers[-1]))
        return {"count": Handle("Change how many there are", last, ("count",), self._drag_count)}

    def _drag_count(self, at: Point) -> Mapping[str, Value]:
        reach, along = distance(self.anchor.at, self.line.goal), distance(self.anchor.at, at)
        return {"count": str(min(range(2, MOST + 1), key=lambda number: abs(self.share(number) * reach - along)))}

    @cached_property
    def free_lines(self) -> tuple[Free, ...]:
        """The lines whose place is free, where places are found by eye: those of each copy by themselves."""
        if not self.is_by_eye:
            return ()
        return tuple(
            Free(self.line.runs, frozenset(edge.within(self.part(number)).name for edge in self.host.solid.edges))
            for number in self.numbers
        )
