"""How does a hand draw a hidden face of a block, lightly, as if the block were of glass?

Corners that nobody has made are found where two lines cross that start at corners that are there: along the face, up
it, or over from the face opposite. It knows faces of blocks: what is behind one (``Panel.back``) is the face opposite.
"""

from collections.abc import Iterator
from dataclasses import dataclass, replace
from itertools import combinations

from orthopsis.core.construct.moves import Act, Move, Rule, RuleToPoint, Run
from orthopsis.core.construct.panel import Panel
from orthopsis.core.plane.homogeneous import Point, join
from orthopsis.core.view.frame import Way

CORNERS = ("low", "far_low", "far_high", "high")
EDGES = {"bottom": (0, 1), "far": (1, 2), "top": (3, 2), "first": (0, 3)}
"""The edges of a panel by the corners between which they run."""
FLAT_CROSSING = 0.02
"""Sine of the angle under which two lines cross too flat to make a corner (no source)."""


@dataclass(frozen=True, slots=True)
class _Path:
    """A line on which a corner lies: what it is called, where it starts, which way it runs, whether it is there."""

    name: str
    start: str
    at: Point
    way: Way
    is_drawn: bool = False

    def to(self, corner: Point) -> tuple[float, float, float]:
        """Return the line as a unit triple."""
        line = join(self.at, corner)
        return (line.a, line.b, line.c)

    def leads_to(self, corner: Point) -> bool:
        """Tell whether the corner lies between its start and its point."""
        goal = self.way.goal
        dx, dy = goal.x - self.at.x * goal.w, goal.y - self.at.y * goal.w
        return (corner.x - self.at.x) * dx + (corner.y - self.at.y) * dy > 0


def drawn_through(panel: Panel, thing: str, made: frozenset[str]) -> tuple[Panel, tuple[Move, ...]] | None:
    """Return a face with all its edges, and the moves that draw those lightly that are not there.

    Args:
        thing: the name of the thing that needs the face; new points and lines are called by it.
        made: full names of what has been drawn of the block.

    Returns:
        None where no two lines cross in one of its corners that could be drawn.
    """
    hand = _Hand(panel, thing, made)
    while len(hand.corners) < len(CORNERS):
        if not any(hand.find(i) for i in range(len(CORNERS)) if i not in hand.corners):
            return None
    acts = [*hand.acts, *hand.edges()]
    names = {CORNERS[i]: name for i, name in hand.corners.items()} | hand.lines
    moves = tuple(Move("divide", thing, "face.hidden", act) for act in acts)
    return replace(panel, **names, is_drawn=True), moves  # type: ignore[arg-type]


class _Hand:
    """What is there of the face, and what has been done so far."""

    def __init__(self, panel: Panel, thing: str, made: frozenset[str]) -> None:
        self._panel, self._thing = panel, thing
        names = (panel.low, panel.far_low, panel.far_high, panel.high)
        self.corners = {i: name for i, name in enumerate(names) if name in made}
        self.lines = {edge: line for edge in EDGES if (line := str(getattr(panel, edge))) in made}
        back = panel.back
        behind = (back.low, back.far_low, back.far_high, back.high) if back is not None else ()
        self._behind = {i: (name, back.page[i]) for i, name in enumerate(behind) if back is not None and name in made}
        self.acts: list[Act] = []

    def find(self, corner: int) -> bool:
        """Find a corner where the two lines cross that do so best; tell whether there are two."""
        at = self._panel.page[corner]
        best: tuple[float, _Path, _Path] | None = None
        for one, two in combinations(self._paths(corner), 2):
            for first, second in ((one, two), (two, one)):
                sine = _sine(first.to(at), second.to(at))
                can_be_ruled = not first.way.goal.is_ideal and first.leads_to(at)
                if (first.is_drawn or can_be_ruled) and not second.is_drawn and sine > FLAT_CROSSING:
                    best = max(best or (0.0, first, second), (sine, first, second), key=lambda found: found[0])
        if best is None:
            return False
        _, first, second = best
        name = f"{self._thing}.face.{CORNERS[corner]}"
        if not first.is_drawn:
            self.acts.append(RuleToPoint(first.name, first.start, first.way.family, "construction"))
        self.acts.append(Run(second.name, name, second.start, second.way.family, first.name, "construction"))
        self.corners[corner] = name
        for edge, ends in EDGES.items():
            if corner in ends and edge not in self.lines and self._line(edge) in (first.name, second.name):
                self.lines[edge] = self._line(edge)
        return True

    def edges(self) -> Iterator[Act]:
        """Yield the acts that draw the edges that are still missing."""
        for edge, (start, end) in EDGES.items():
            if edge not in self.lines:
                family = (self._panel.up if edge in ("first", "far") else self._panel.along).family
                self.lines[edge] = self._line(edge)
                yield Rule(self._line(edge), self.corners[start], self.corners[end], family, "construction")

    def _paths(self, corner: int) -> Iterator[_Path]:
        for edge, ends in EDGES.items():
            if corner in ends:
                other = ends[1 - ends.index(corner)]
                way = self._panel.up if edge in ("first", "far") else self._panel.along
                line, is_drawn = self.lines.get(edge, self._line(edge)), edge in self.lines
                if other in self.corners:
                    yield _Path(line, self.corners[other], self._panel.page[other], way, is_drawn)
        if corner in self._behind:
            name, at = self._behind[corner]
            yield _Path(f"{self._thing}.construction.face.over.{CORNERS[corner]}", name, at, self._panel.out)

    def _line(self, edge: str) -> str:
        return f"{self._thing}.construction.face.{edge}"


def _sine(one: tuple[float, float, float], two: tuple[float, float, float]) -> float:
    """Return the sine of the angle between two lines."""
    return abs(one[0] * two[1] - one[1] * two[0])
