"""How does a hand carry an outline back to a vanishing point, or along uprights, corner by corner?

Corners of the outline are numbered from 1, loop by loop. Their points are called ``front.1`` and ``back.1``, the light
lines ``guide.1``; edge 1 runs from corner 1 to the next of its loop: ``front.edge.1``, ``back.edge.1``, ``depth.1``.
How the back is found is the business of ``carried_back``.
"""

import itertools
import math
from collections.abc import Callable, Collection, Mapping, Sequence
from dataclasses import dataclass, field, replace

import numpy as np

from orthopsis.core.construct.count import guide_corners
from orthopsis.core.construct.moves import Act, Cross, Family, Move, Offset, Role, Rule, RuleToPoint, Run, full_name
from orthopsis.core.errors import CoincidentLines
from orthopsis.core.plane.arc import Arc, Rounding
from orthopsis.core.plane.homogeneous import Point, distance, join, meet, unit_toward
from orthopsis.core.plane.tolerance import SAME_POINT_MM, SAME_SHARE

Mark = Callable[[int], Offset | Cross]
"""From a corner to the act that marks it on the front."""


@dataclass(frozen=True, slots=True)
class CarriedOutline:
    """An outline on a face.

    Attributes:
        thing: whose it is.
        loops: corner numbers of its pieces and their holes, in order; pieces anticlockwise, holes clockwise.
        flat: place of each corner on the face, in shares of its width and height.
        page: place of each corner on the page, mm.
        across, up: the families of the face's level and upright lines, and the points they run to.
        goal_name, goal: the vanishing point to which it is carried, or ``upright`` and that direction.
        limits: where it is carried along uprights, the lines at which those end, left and right of ``parting_mm``.
        pieces: numbers of the loops of each piece, its own outline first.
        rounded: the rounded corners, places in the shares of ``flat``; ``arcs`` their curves on the page.
        parts: what is told one by one: the name of each part and how many loops it has; none where all is one.
    """

    thing: str
    loops: tuple[tuple[int, ...], ...]
    flat: Mapping[int, tuple[float, float]]
    page: Mapping[int, Point]
    across: tuple[Family, Point]
    up: tuple[Family, Point]
    goal_name: str
    goal: Point
    pieces: Sequence[Sequence[int]] = ((0,),)
    ready: Mapping[int, str] = field(default_factory=dict)
    """Full names of guide lines that are there already, by corner."""
    rounded: Mapping[int, Rounding] = field(default_factory=dict)
    arcs: Mapping[int, Arc] = field(default_factory=dict)
    parts: Sequence[tuple[str, int]] = ()
    limits: tuple[str, str] = ("", "")
    parting_mm: float = 0.0

    def aim(self, name: str, start: str, at: Point, role: Role, stops: Sequence[int] = ()) -> RuleToPoint | Run:
        """Return the act that draws a light line from a point of the front the way the outline is carried.

        Args:
            name: of the line, within the thing.
            start: full name of the point; ``at``: its place on the page.
            stops: edges of the front that the line may meet: it stops at the first.
        """
        edges = [self.full(f"front.edge.{a}") for a in stops]
        if not self.goal.is_ideal:
            return RuleToPoint(self.full(name), start, self.goal_name, role, tuple(edges))
        until = self.limits[at.x > self.parting_mm]
        first = self._first_met(at, stops)
        if first is not None:
            until = self.full(f"front.edge.{first}")
        return Run(self.full(name), self.full(f"measure.{name}"), start, self.goal_name, until, role)

    def _first_met(self, at: Point, edges: Sequence[int]) -> int | None:
        """Return which of some edges is met first on the way from a place to an ideal goal; none if none is."""
        met = self._met_mm(at, edges)
        return min((edge for edge in met if math.isfinite(met[edge])), key=met.__getitem__, default=None)

    def first_met_mm(self, corner: int, edges: Sequence[int]) -> float:
        """Return how far it is from a corner to the first of some edges on the way to the goal, mm."""
        return min(self._met_mm(self.page[corner], edges).values(), default=math.inf)

    def _met_mm(self, at: Point, edges: Sequence[int]) -> dict[int, float]:
        """Return how far away edges are met on the way from a place to the goal, mm; endless where they are behind."""
        following, met, way = dict(self.edges), dict[int, float](), unit_toward(at, self.goal)
        for edge in edges:
            try:
                crossing = meet(join(at, self.goal), join(self.page[edge], self.page[following[edge]]))
            except CoincidentLines:
                continue  # the way runs along this edge
            if not crossing.is_ideal:
                ahead = (crossing.x - at.x) * way[0] + (crossing.y - at.y) * way[1]
                met[edge] = ahead if ahead > SAME_POINT_MM else math.inf
        return met

    @property
    def part_corners(self) -> list[tuple[str, list[int]]]:
        """The parts in order, each with its corners."""
        loops, result = iter(self.loops), []
        for name, count in self.parts or (("", len(self.loops)),):
            result.append((name, [corner for loop in itertools.islice(loops, count) for corner in loop]))
        return result

    @property
    def part_of(self) -> dict[int, str]:
        """The name of each corner's part."""
        return {corner: name for name, corners in self.part_corners for corner in corners}

    @property
    def block_form(self) -> "CarriedOutline":
        """The outline without its curves, from which the hand starts."""
        return replace(self, rounded={}, arcs={}) if self.rounded else self

    @property
    def holes(self) -> set[int]:
        """Numbers of the loops that are holes."""
        return {number for piece in self.pieces for number in piece[1:]}

    def guide(self, corner: int) -> str:
        """Return the full name of a corner's guide line."""
        return self.ready.get(corner, self.full(f"guide.{corner}"))

    @property
    def corners(self) -> list[int]:
        """All corner numbers, in order."""
        return [corner for loop in self.loops for corner in loop]

    @property
    def edges(self) -> list[tuple[int, int]]:
        """All edges as pairs of corners; an edge is called by its first one."""
        return [pair for loop in self.loops for pair in zip(loop, (*loop[1:], loop[0]), strict=True)]

    def edge(self, a: int, b: int) -> Rule:
        """Return the act that draws the edge of the front between two marked corners."""
        return Rule(self.full(f"front.edge.{a}"), self.full(f"front.{a}"), self.full(f"front.{b}"), self.family(a, b))

    def full(self, name: str) -> str:
        """Return the full name of a point or line."""
        return full_name(self.thing, name)

    def family(self, a: int, b: int) -> Family:
        """Return the family of the line between two corners of the face."""
        (ax, ay), (bx, by) = self.flat[a], self.flat[b]
        if abs(ay - by) <= SAME_SHARE:
            return self.across[0]
        return self.up[0] if abs(ax - bx) <= SAME_SHARE else "free"


def loops_of(sizes: Sequence[int]) -> tuple[tuple[int, ...], ...]:
    """Return the corner numbers of loops with these many corners."""
    result, start = [], 1
    for size in sizes:
        result.append(tuple(range(start, start + size)))
        start += size
    return tuple(result)


def guided_corners(outline: CarriedOutline) -> list[int]:
    """Return the corners that can have a guide line: from there it does not run across the thing's own front."""
    loops, corners = [[outline.page[c] for c in loop] for loop in outline.loops], outline.corners
    return [corners[i] for i in guide_corners(loops, outline.goal, outline.holes)]


def front_moves(outline: CarriedOutline, breath: str, mark: Mark) -> list[Move]:
    """Return the moves that mark the corners of the outline and draw it, part by part.

    Args:
        mark: from a corner to the act that marks it on the front.
    """
    return [move for part, corners in outline.part_corners for move in part_moves(outline, part, corners, breath, mark)]


def part_moves(outline: CarriedOutline, part: str, corners: Sequence[int], breath: str, mark: Mark) -> list[Move]:
    """Return the moves that mark some corners of a part, all of their loops, and draw the edges between them."""
    following = dict(outline.edges)
    acts: list[Act] = [mark(corner) for corner in corners]
    acts += [outline.edge(a, following[a]) for a in corners]
    return [Move("front", outline.thing, breath, act, part=part) for act in acts]


def guide_moves(
    outline: CarriedOutline, guided: Sequence[int], breath: str, *, reaching: Mapping[int, Point], late: Collection[int]
) -> list[Move]:
    """Return the light lines to the vanishing point, each as far as the hand goes; unseen ones for the rest.

    Args:
        reaching: corners from which the line must reach as far as a place on the page, over the front if need be.
        late: corners whose lines come later, with the back.
    """
    n, part_of, stops = outline.full, outline.part_of, _crossed(outline, guided)
    moves = []
    for corner in outline.corners:
        if corner in outline.ready or corner in late:
            continue
        is_told = corner in guided
        role: Role = "guide" if is_told else "unseen"
        apart = stops[corner] if is_told else ()
        if corner in reaching:
            reach = distance(outline.page[corner], reaching[corner])
            apart = apart if outline.first_met_mm(corner, apart) >= reach else ()
        act = outline.aim(f"guide.{corner}", n(f"front.{corner}"), outline.page[corner], role, apart)
        moves.append(Move("guides", outline.thing, breath if is_told else "", act, part=part_of[corner]))
    return moves


def _crossed(outline: CarriedOutline, guided: Sequence[int]) -> dict[int, list[int]]:
    """Return for each guided corner the edges that its line to the point may meet: their ends lie on both sides."""
    corners, edges = outline.corners, outline.edges
    row = {corner: i for i, corner in enumerate(corners)}
    place = np.array([outline.page[corner].xy for corner in corners])
    goal = np.array([outline.goal.x, outline.goal.y])
    ends = np.array([(row[a], row[b]) for a, b in edges])
    result = {}
    for corner in guided:
        here = place[row[corner]]
        way = goal - here * outline.goal.w
        aside = (place[:, 0] - here[0]) * way[1] - (place[:, 1] - here[1]) * way[0]
        meets = aside[ends[:, 0]] * aside[ends[:, 1]] <= 0
        result[corner] = [edges[i][0] for i in np.flatnonzero(meets).tolist() if corner not in edges[i]]
    return result
