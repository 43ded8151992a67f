"""Windows round a wall as a thing: their sentence, moves and handles."""

from collections.abc import Mapping
from dataclasses import replace

from propcache.api import cached_property

from orthopsis.core.construct.moves import Move
from orthopsis.core.things.answers import Clause, Handle
from orthopsis.core.things.parameters import Value
from orthopsis.core.things.round_windows.recipe import recipe
from orthopsis.core.things.round_windows.shape import RoundWindowShapes
from orthopsis.core.things.setting import Setting


class RoundWindows(RoundWindowShapes):
    """Windows on a round wall, in rows and columns."""

    sentence: tuple[Clause, ...] = (
        Clause("{columns} along and {rows} up, each {wide} of its part wide and {tall} of it tall, {spread}. "),
        Clause("Free, taken, free: {along} along the flat wall before it, {up} up."),
    )

    @classmethod
    def place(cls, setting: Setting, count: int) -> Mapping[str, Value]:
        """Return values for new ones: a row of two windows."""
        return {"along": "1:4:1", "up": "1:2:1", "columns": "2", "rows": "1", "wide": "half", "tall": "three_quarters"}

    @cached_property
    def recipe(self) -> tuple[Move, ...]:
        """The hand's moves."""
        return tuple(recipe(self))

    @cached_property
    def moves(self) -> tuple[Move, ...]:
        """The hand's moves, that first which draws a line of the box that is not there yet: nothing of it is hidden."""
        light = (replace(move, breath="round_windows.edge") for move in self.anchor.light)
        return (*light, *self.recipe)

    @property
    def handles(self) -> Mapping[str, Handle]:
        """The two corners of the part of the flat wall that is taken."""
        return self.part_handles
