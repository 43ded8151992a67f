"""Outlines that lie flat on a face of another thing: their lines, and how a hand finds their corners."""

from collections.abc import Callable
from dataclasses import dataclass

from propcache.api import cached_property

from orthopsis.core.construct.grid import Grid
from orthopsis.core.construct.grid_by_line import grid_on
from orthopsis.core.construct.laid_line import LaidLine
from orthopsis.core.construct.moves import Act, Family, Move, Rule
from orthopsis.core.construct.panel import Panel
from orthopsis.core.plane.arc import FacePlace
from orthopsis.core.plane.homogeneous import Point
from orthopsis.core.plane.tolerance import SAME_SHARE
from orthopsis.core.sight.solid import Edge, Solid, Topology
from orthopsis.core.things.standing import Standing
from orthopsis.core.wording.names import Feature

Corner = tuple[int, FacePlace]
"""A corner's number and its place on the face."""

Loops = tuple[tuple[str, tuple[tuple[Corner, ...], ...]], ...]
"""Outlines by the part whose they are, such as a letter, each with the corners of its loops."""


@dataclass(frozen=True, slots=True)
class Reading:
    """How what lies on a face is turned so that it reads from left to right, and is never mirrored.

    It runs along the edge that is more level on the page.

    Attributes:
        is_along: whether across is along the face; else it is up the face.
        is_back: whether it runs from the far end of that edge; ``is_down``: whether up on it is down the other way.
    """

    is_along: bool
    is_back: bool
    is_down: bool

    def on_face(self, place: FacePlace) -> FacePlace:
        """Return the place on the face for one across and up on what is read."""
        x = 1 - place[0] if self.is_back else place[0]
        y = 1 - place[1] if self.is_down else place[1]
        return (x, y) if self.is_along else (y, x)

    def read(self, place: FacePlace) -> FacePlace:
        """Return the place across and up on what is read for one on the face."""
        x, y = place if self.is_along else place[::-1]
        return (1 - x if self.is_back else x, 1 - y if self.is_down else y)


def reading(panel: Panel) -> Reading:
    """Return how a word or a figure is turned on a face."""
    low, far_low, _, high = panel.page
    along, up = _way(low, far_low), _way(low, high)
    across, other = sorted((along, up), key=lambda way: abs(way[1]) / max(abs(way[0]), SAME_SHARE))
    sign = 1 if across[0] >= 0 else -1
    is_up = sign * (across[0] * other[1] - across[1] * other[0]) > 0
    return Reading(across is along, sign < 0, not is_up)


def _way(start: Point, end: Point) -> tuple[float, float]:
    return (end.x - start.x, end.y - start.y)


def family(panel: Panel, one: FacePlace, two: FacePlace) -> Family:
    """Return the family of a line between two places of a face."""
    if abs(one[1] - two[1]) <= SAME_SHARE:
        return panel.along.family
    return panel.up.family if abs(one[0] - two[0]) <= SAME_SHARE else "free"


class FlatOutlines(Standing):
    """Outlines on a face. ``told`` is what the words of its steps are called by."""

    told: str

    @cached_property
    def outlines(self) -> Loops:
        """The outlines on the face."""
        raise NotImplementedError

    @property
    def laid(self) -> LaidLine | None:
        """The line at the foot of the face on which widths are laid off; None where they are found otherwise."""
        return None

    @cached_property
    def solid(self) -> Solid:
        """The outlines in the world of the frame's eye: edges without faces, on the face of the other thing."""
        corners = [corner for _, own in self.outlines for loop in own for corner in loop]
        edges = tuple(
            Edge(f"edge.{a}", f"corner.{a}", f"corner.{b}", family(self.panel, p, q), feature=Feature(part=part))
            for part, own in self.outlines
            for loop in own
            for (a, p), (b, q) in zip(loop, (*loop[1:], loop[0]), strict=True)
        )
        names = tuple(f"corner.{number}" for number, _ in corners)
        return Solid(Topology(names, (), edges), self.panel.places(place for _, place in corners))

    @cached_property
    def recipe(self) -> tuple[Move, ...]:
        """The hand's moves: the face divided, and from crossing to crossing each outline."""
        panel, n, outlines = self.panel, self.values.full, self.outlines
        grid = self._grid
        moves = [] if panel.is_true else grid.moves()
        breath = f"{self.told}.{'measured' if panel.is_true else 'counted'}"
        for part, own in outlines:
            acts: list[Act] = [grid.mark(f"corner.{number}", place) for loop in own for number, place in loop]
            for loop in own:
                for (a, p), (b, q) in zip(loop, (*loop[1:], loop[0]), strict=True):
                    acts.append(Rule(n(f"edge.{a}"), n(f"corner.{a}"), n(f"corner.{b}"), family(panel, p, q)))
            moves += [self.values.move("divide", breath, act, part) for act in acts]
        return tuple(moves)

    @property
    def _grid(self) -> Grid:
        """The light lines on whose crossings the corners lie."""
        places = places_of(self.outlines)
        return grid_on(self.values.name, self.panel, places, self.setting.level, self.laid)


def places_of(outlines: Loops) -> dict[str, list[FacePlace]]:
    """Return the places of the corners of each part."""
    return {part: [place for loop in own for _, place in loop] for part, own in outlines}


def mapped(outlines: Loops, mapping: Callable[[FacePlace], FacePlace]) -> Loops:
    """Return outlines with all their corners mapped."""
    return tuple(
        (part, tuple(tuple((number, mapping(place)) for number, place in loop) for loop in own))
        for part, own in outlines
    )
