"""A thing where it stands: its kind, its values and what it stands in."""

from dataclasses import dataclass
from types import TracebackType

from orthopsis.core.errors import CoincidentLines, CoincidentPoints, GeometryError
from orthopsis.core.sheet.length import format_limit
from orthopsis.core.things.declare import ThingKind
from orthopsis.core.things.setting import Setting
from orthopsis.core.things.standing import Standing
from orthopsis.core.things.values import Values

GAP = "gap_mm"
"""The value of a thing, and its handle, that says how far in line with another it stands."""


@dataclass(frozen=True, slots=True)
class Placed:
    """A thing where it stands.

    Attributes:
        index: its number in the exercise.
        standing: it where it stands; values that follow from what it is joined to are already in their place.
        given: the parameters that follow from what it is joined to.
        factor: how many times it is enlarged about the eye, so that it touches what it is joined to in the world too.
        layer: number of the first thing that it hangs together with.
        is_carved_away: whether nothing stays of it but what is carved from it.
    """

    index: int
    kind: ThingKind
    standing: Standing
    given: frozenset[str] = frozenset()
    factor: float = 1.0
    layer: int = -1
    is_carved_away: bool = False

    @property
    def values(self) -> Values:
        """Its values."""
        return self.standing.values

    @property
    def setting(self) -> Setting:
        """What it stands in."""
        return self.standing.setting


def placed_errors(placed: Placed) -> "AtPlace":
    """Say of every error inside to which value of which thing it belongs."""
    return AtPlace(placed)


@dataclass(frozen=True, slots=True)
class AtPlace:
    """What says it; no generator, since every thing asks several times while a hand drags."""

    placed: Placed

    def __enter__(self) -> None:
        """Begin."""

    def __exit__(self, _: type[BaseException] | None, error: BaseException | None, __: TracebackType | None) -> None:
        """Raise a geometry error again, at its place."""
        if isinstance(error, GeometryError):
            sheet = self.placed.setting.sheet
            said = error.written(lambda mm: format_limit(mm, sheet.units, sheet.division_mm, is_least=False))
            if isinstance(error, CoincidentLines | CoincidentPoints):
                said = self._edge_on(error)
            about = f"things.{self.placed.index}.{error.about or 'name'}"
            raise type(error)(error.code, said.why, said.fix, about=about, nearest=said.nearest) from None

    def _edge_on(self, error: GeometryError) -> GeometryError:
        """Return what it means to a teacher that lines of a thing lie on one another where they should cross."""
        return GeometryError(
            error.code,
            f"Lines of “{self.placed.values.name}” lie on one another where they should cross: a face of it is seen "
            "edge-on, at the height of the eye level or in line with a point.",
            "Move it, the eye level or the point by a mark of the ruler or two.",
            about=error.about,
        )
