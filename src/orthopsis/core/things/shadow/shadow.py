"""A cast shadow as a thing: its sentence and its moves."""

from collections.abc import Callable, Iterable, Mapping
from typing import Any

from propcache.api import cached_property

from orthopsis.core.construct.moves import Move
from orthopsis.core.things.answers import Clause
from orthopsis.core.things.gable.shape import GableShape
from orthopsis.core.things.hip.half import HalfPyramid
from orthopsis.core.things.hip.lean_to import LeanTo
from orthopsis.core.things.hip.shape import HipShape
from orthopsis.core.things.parameters import Value
from orthopsis.core.things.rails.shape import RailsShape
from orthopsis.core.things.setting import Setting
from orthopsis.core.things.shadow.rails_recipe import recipe as rails_recipe
from orthopsis.core.things.shadow.rails_shape import RailsShadowShape
from orthopsis.core.things.shadow.recipe import recipe
from orthopsis.core.things.shadow.roof_shapes import (
    GabledShape,
    HalfPyramidShape,
    HippedShape,
    LeaningShape,
    roof_on,
)
from orthopsis.core.things.shadow.roofed_recipe import gabled, half_pyramid, hipped, leaning
from orthopsis.core.things.shadow.round_recipe import recipe as round_recipe
from orthopsis.core.things.shadow.round_shape import RoundShadowShape
from orthopsis.core.things.shadow.shape import ShadowShape
from orthopsis.core.things.shadow.table_recipe import recipe as table_recipe
from orthopsis.core.things.shadow.table_shape import TableShadowShape
from orthopsis.core.things.standing import Standing
from orthopsis.core.things.table.shape import TableShape


class _Found(Standing):
    """A shadow that has its sentence, and that the hand finds by a recipe."""

    sentence: tuple[Clause, ...] = (Clause("One flat grey, by the light that is set for the whole sheet."),)
    found_by: Callable[[Any], Iterable[Move]]

    @cached_property
    def recipe(self) -> tuple[Move, ...]:
        """The hand's moves."""
        return tuple(self.found_by(self))


class RoundShadow(_Found, RoundShadowShape):
    """The shadow of a round body on the ground."""

    found_by = staticmethod(round_recipe)


class TableShadow(_Found, TableShadowShape):
    """The shadow of a table on the floor."""

    found_by = staticmethod(table_recipe)


class RailsShadow(_Found, RailsShadowShape):
    """The shadow of rails on their sleepers and on the ground between."""

    found_by = staticmethod(rails_recipe)


class GabledShadow(_Found, GabledShape):
    """The shadow of a house with a gable roof on the ground."""

    found_by = staticmethod(gabled)


class HippedShadow(_Found, HippedShape):
    """The shadow of a house with a hip roof or a pyramid on the ground."""

    found_by = staticmethod(hipped)


class HalfPyramidShadow(_Found, HalfPyramidShape):
    """The shadow of a house with a half pyramid on the ground."""

    found_by = staticmethod(half_pyramid)


class LeaningShadow(_Found, LeaningShape):
    """The shadow of a house with a lean-to roof on the ground."""

    found_by = staticmethod(leaning)


_OF_ROOFS: tuple[tuple[type[Standing], type[Standing]], ...] = (
    (GableShape, GabledShadow), (HipShape, HippedShadow), (HalfPyramid, HalfPyramidShadow), (LeanTo, LeaningShadow)
)  # fmt: skip


class CastShadow(_Found, ShadowShape):
    """The shadow of a block on the ground."""

    found_by = staticmethod(recipe)

    @classmethod
    def suited(cls, setting: Setting) -> type[Standing]:
        """Return the class of shadow for what casts it: a block, one with a roof, a table, rails, or a round body."""
        caster = setting.anchor.other if setting.anchor is not None else None
        for shape, shadow in ((TableShape, TableShadow), (RailsShape, RailsShadow)):
            if isinstance(caster, shape):
                return shadow
        roof = roof_on(setting)
        if roof is not None:
            return next(shadow for kind, shadow in _OF_ROOFS if isinstance(roof, kind))
        return RoundShadow if setting.panel is not None and setting.panel.is_round else cls

    @classmethod
    def place(cls, setting: Setting, count: int) -> Mapping[str, Value]:
        """Return nothing: it follows its block and the light."""
        return {}
