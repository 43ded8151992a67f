"""A thing where it stands: its kind, its values and what it stands in."""

from collections.abc import Iterator
from contextlib import contextmanager
from dataclasses import dataclass

from orthopsis.core.errors import GeometryError
from orthopsis.core.things.declare import Build, ThingKind, Values
from orthopsis.core.things.standing import Setting

GAP = "gap_mm"
"""The value of a thing, and its handle, that says how far in line with another it stands."""


@dataclass(frozen=True, slots=True)
class Placed:
    """A thing where it stands.

    Attributes:
        index: its number in the exercise.
        values: its values; those that follow from what it is joined to are already in their place.
        given: the parameters that follow from what it is joined to.
        factor: how many times it is enlarged about the eye, so that it touches what it is joined to in the world too.
        layer: number of the first thing that it hangs together with.
    """

    index: int
    kind: ThingKind
    values: Values
    setting: Setting
    given: frozenset[str] = frozenset()
    factor: float = 1.0
    layer: int = -1

    @property
    def build(self) -> Build:
        """How the thing is built in the kind of view it stands in."""
        return self.kind.builds[self.setting.frame.kind]


@contextmanager
def placed_errors(placed: Placed) -> Iterator[None]:
    """Say of every error inside to which value of which thing it belongs."""
    try:
        yield
    except GeometryError as error:
        inner = error.about or "name"
        raise type(error)(
            error.code, error.why, error.fix, about=f"things.{placed.index}.{inner}", nearest=error.nearest
        ) from None
