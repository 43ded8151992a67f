"""A hip roof as a thing: its sentence and its moves."""

from collections.abc import Mapping

from propcache.api import cached_property

from orthopsis.core.construct.moves import Move
from orthopsis.core.construct.panel import Panel
from orthopsis.core.things.answers import Called, Clause, Spoken
from orthopsis.core.things.hip.recipe import recipe
from orthopsis.core.things.hip.shape import HipShape
from orthopsis.core.things.hip.slopes import aims, panels, short_way
from orthopsis.core.view.aim import Aim


class HipRoof(HipShape):
    """A hip roof or a pyramid over the top of a block."""

    sentence: tuple[Clause, ...] = (
        Clause("Its four slopes rise to {ridge}, {rise} over the nearest corner."),
        Clause(" On those under the ridge {slopes}.", {"ridge": ("ridge",)}),
    )

    @cached_property
    def recipe(self) -> tuple[Move, ...]:
        """The hand's moves."""
        return tuple(recipe(self))

    @property
    def spoken(self) -> Mapping[str, Spoken]:
        """Which way it is short, and the point of that way."""
        way = short_way(self)
        return {**super().spoken, "across_way": way, "short_point": Called(way.family)}

    @cached_property
    def aims(self) -> tuple[Aim, ...]:
        """The points to which its slopes run that are found."""
        return aims(self)

    @cached_property
    def faces(self) -> Mapping[str, Panel]:
        """The slopes under its ridge, where their points are found."""
        return panels(self)
