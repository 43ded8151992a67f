"""A cast shadow as a thing: its sentence and its moves."""

from collections.abc import Mapping

from propcache.api import cached_property

from orthopsis.core.construct.moves import Move
from orthopsis.core.things.parameters import Value
from orthopsis.core.things.setting import Setting
from orthopsis.core.things.shadow.recipe import recipe
from orthopsis.core.things.shadow.shape import ShadowShape
from orthopsis.core.things.standing import Clause


class CastShadow(ShadowShape):
    """The shadow of a block on the ground."""

    sentence: tuple[Clause, ...] = (Clause("One flat grey."),)

    @classmethod
    def place(cls, setting: Setting, count: int) -> Mapping[str, Value]:
        """Return nothing: it follows its block and the light."""
        return {}

    @cached_property
    def recipe(self) -> tuple[Move, ...]:
        """The hand's moves."""
        return tuple(recipe(self))
