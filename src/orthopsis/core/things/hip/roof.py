"""A hip roof as a thing: its sentence and its moves."""

from propcache.api import cached_property

from orthopsis.core.construct.moves import Move
from orthopsis.core.things.answers import Clause
from orthopsis.core.things.hip.recipe import recipe
from orthopsis.core.things.hip.shape import HipShape


class HipRoof(HipShape):
    """A hip roof or a pyramid over the top of a block."""

    sentence: tuple[Clause, ...] = (Clause("Its four slopes rise to {ridge}, {rise} over the nearest corner."),)

    @cached_property
    def recipe(self) -> tuple[Move, ...]:
        """The hand's moves."""
        return tuple(recipe(self))
