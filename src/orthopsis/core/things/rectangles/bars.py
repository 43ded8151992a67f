"""Bars in windows, and spokes of wheels: they lie on the light lines by which the middle of a form is found."""

from collections.abc import Callable, Iterator, Sequence
from dataclasses import dataclass

from orthopsis.core.construct.moves import Act, Rule
from orthopsis.core.construct.rounding import FACETS
from orthopsis.core.errors import GeometryError
from orthopsis.core.plane.arc import FacePlace
from orthopsis.core.sight.solid import Edge
from orthopsis.core.things.rectangles.forms import MIDDLES, PLACES, Form
from orthopsis.core.things.rectangles.solid import Families, Nodes, part_name
from orthopsis.core.wording.names import Feature

BARS = {"none": "no bars", "cross": "a cross of bars", "spokes": "eight spokes"}
_CROSS = (("bar.along", "middle_near", "middle_far"), ("bar.up", "middle_low", "middle_high"))
_DIAGONALS = (("bar.rise", "low_near", "high_far"), ("bar.fall", "high_near", "low_far"))


@dataclass(frozen=True, slots=True)
class Bars:
    """The bars in forms.

    Attributes:
        form: the form in which they are; ``has_diagonals``: whether some run along its diagonals.
    """

    form: Form
    has_diagonals: bool

    @property
    def lines(self) -> Iterator[tuple[str, str, str]]:
        """The bars of a form: name, start and end."""
        yield from _CROSS
        if self.has_diagonals:
            yield from ((name, self._on_diagonal(start), self._on_diagonal(end)) for name, start, end in _DIAGONALS)

    def _on_diagonal(self, corner: str) -> str:
        """Return what the place is called at which a diagonal meets the form, toward a corner of its rectangle."""
        return corner if self.form.is_whole else f"curve.{corner}.at.{FACETS // 2}"

    def more(self, nodes: Nodes) -> Iterator[tuple[int, str, FacePlace]]:
        """Yield the ends of bars that are no corners of a form: its number, their name, their place in it."""
        for number, mine in enumerate(nodes):
            known = {node.name for node in mine}
            yield from ((number, name, PLACES[name]) for name in MIDDLES if name not in known)

    def edges(self, count: int, families: Families) -> Iterator[Edge]:
        """Yield the bars of so many forms; ``families``: of lines along the face and up it."""
        for part in (part_name(number) for number in range(count)):
            for name, start, end in self.lines:
                ends = f"{part}.{start}", f"{part}.{end}"
                yield Edge(f"{part}.{name}", *ends, _family(name, families), feature=Feature(part=part))

    def acts(self, named: Callable[[str], str], families: Families) -> Iterator[Act]:
        """Yield the acts that draw the bars of a form; ``named``: from a name within it to the full one."""
        for name, start, end in self.lines:
            yield Rule(named(name), named(start), named(end), _family(name, families))


def _family(name: str, families: Sequence[str]) -> str:
    return {"bar.along": families[0], "bar.up": families[1]}.get(name, "free")


def bars_of(name: str, word: str, form: Form) -> Bars | None:
    """Return the bars of a form; None of one that has none.

    Args:
        name: whose they are; ``word``: which bars.

    Raises:
        GeometryError: the form has no spokes.
    """
    if word == "none":
        return None
    if word == "spokes" and not form.is_whole and not all(side.pole for side in form.sides):
        raise GeometryError(
            "no_spokes_here",
            f"The forms of “{name}” have no spokes: only round ones and rectangles do.",
            "Take a cross of bars, or make them round.",
            about="bars",
            nearest="cross",
        )
    return Bars(form, word == "spokes")
