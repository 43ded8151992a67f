"""How does a hand carry an outline back to a vanishing point, or along uprights, corner by corner?

Corners of the outline are numbered from 1, loop by loop. Their points are called ``front.1`` and ``back.1``, the light
lines ``guide.1``; edge 1 runs from corner 1 to the next of its loop: ``front.edge.1``, ``back.edge.1``, ``depth.1``.
Back corners are found one from another: along an edge of the outline, else in line with a known one at the same
height or the same place across, else as the caller's fallback says. Where nothing of it will be seen, the ruler lies
there but nothing is told or drawn.
"""

import itertools
import math
from collections.abc import Callable, Mapping, Sequence
from dataclasses import dataclass, field, replace

import numpy as np

from orthopsis.core.construct.count import runs_along
from orthopsis.core.construct.moves import Act, Family, Move, Role, Rule, RuleToPoint, Run, Slide, full_name
from orthopsis.core.plane.arc import Arc, Rounding
from orthopsis.core.plane.homogeneous import Point, join, meet, unit_toward
from orthopsis.core.plane.polygon import inside_starts
from orthopsis.core.plane.tolerance import SAME_POINT_MM, SAME_SHARE

FLAT_CROSSING = 0.05
"""Sine of the angle under which a line is taken to cross a guide line only if there is no better one (no source)."""
NO_CROSSING = 1e-7
"""Sine of the angle under which a line counts as running along a guide line."""


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
        following, met = dict(self.edges), {}
        for edge in edges:
            crossing = meet(join(at, self.goal), join(self.page[edge], self.page[following[edge]]))
            if not crossing.is_ideal:
                ahead = (crossing.x - at.x) * self.goal.x + (crossing.y - at.y) * self.goal.y
                met[edge] = ahead if ahead > SAME_POINT_MM else math.inf
        return min((edge for edge in met if math.isfinite(met[edge])), key=met.__getitem__, default=None)

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
    result = []
    for number, loop in enumerate(outline.loops):
        points = [outline.page[c] for c in loop]
        for i, (corner, into) in enumerate(zip(loop, inside_starts(points, outline.goal), strict=True)):
            is_free = into if number in outline.holes else not into
            beside = (points[(i + 1) % len(loop)], points[i - 1])
            if is_free and not any(runs_along(points[i], other, outline.goal) for other in beside):
                result.append(corner)
    return result


def front_moves(outline: CarriedOutline, breath: str, mark: Callable[[int], list[Act]]) -> list[Move]:
    """Return the moves that mark the corners of the outline and draw it, part by part.

    Args:
        mark: from a corner to the acts that mark it on the front.
    """
    n, following, moves = outline.full, dict(outline.edges), []
    for part, corners in outline.part_corners:
        acts: list[Act] = [act for corner in corners for act in mark(corner)]
        for a in corners:
            b = following[a]
            acts.append(Rule(n(f"front.edge.{a}"), n(f"front.{a}"), n(f"front.{b}"), outline.family(a, b)))
        moves += [Move("front", outline.thing, breath, act, part=part) for act in acts]
    return moves


def guide_moves(outline: CarriedOutline, guided: Sequence[int], breath: str) -> list[Move]:
    """Return the light lines to the vanishing point, each as far as the hand goes; unseen ones for the rest."""
    n, part_of, stops = outline.full, outline.part_of, _crossed(outline, guided)
    moves = []
    for corner in outline.corners:
        if corner in outline.ready:
            continue
        is_told = corner in guided
        role: Role = "guide" if is_told else "unseen"
        apart = stops[corner] if is_told else ()
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


Fallback = Callable[[int], list[Move]]
"""From a corner that nothing leads to, to the moves that make its back corner."""


def back_moves(outline: CarriedOutline, known: Sequence[int], shown: set[int], fallback: Fallback | None) -> list[Move]:
    """Return the moves that make all back corners and back edges.

    Args:
        known: corners whose back is already cut.
        shown: numbers of the back edges of which something will be seen.
        fallback: makes a back corner that no edge and no alignment leads to; None where lines of the back are
            parallel on the page to those of the front, so that any corner leads to any other.
    """
    before, moves = list(known), list[Move]()
    ways = _Ways(outline, any_way=fallback is None)
    for part, corners in outline.part_corners:
        moves += _back_of_part(outline, part, corners, [*known, *before], shown, ways, fallback)
        before = corners
    return moves


def _back_of_part(
    outline: CarriedOutline, part: str, corners: Sequence[int], known: Sequence[int], shown: set[int], ways: "_Ways",
    fallback: Fallback | None,
) -> list[Move]:  # fmt: skip
    """Return the moves of one part; it begins at a known corner of its own, else at one of the part before it."""
    own, moves, drawn = [c for c in corners if c in known], list[Move](), set[int]()
    while len(own) < len(corners):
        best = ways.best(own or known, corners) or ways.best(known, corners)
        if best is None:
            assert fallback is not None
            corner = next(c for c in corners if c not in own)
            moves += [replace(move, part=part) for move in fallback(corner)]
            own.append(corner)
            known = [*known, corner]
            continue
        here, there = best
        edge = ways.edges.get(frozenset(best))
        moves.append(_step(outline, here, there, edge, part, is_told=edge in shown))
        if edge is not None:
            drawn.add(edge)
        own.append(there)
        known = [*known, there]
    for a, b in outline.edges:
        if a in corners and a not in drawn:
            n = outline.full
            role: Role = "edge" if a in shown else "unseen"
            rule = Rule(n(f"back.edge.{a}"), n(f"back.{a}"), n(f"back.{b}"), outline.family(a, b), role)
            moves.append(Move("back", outline.thing, "back.profile" if a in shown else "", rule, part=part))
    return moves


def _step(outline: CarriedOutline, here: int, there: int, edge: int | None, part: str, *, is_told: bool) -> Move:
    n, family = outline.full, outline.family(here, there)
    makes = n(f"back.edge.{edge}") if edge is not None else n(f"construction.{here}.{there}")
    role: Role = "edge" if is_told else "unseen"
    point, start, until = n(f"back.{there}"), n(f"back.{here}"), outline.guide(there)
    act: Run | Slide = Run(makes, point, start, family, until, role)
    if family == "free":
        act = Slide(makes, point, start, (n(f"front.{here}"), n(f"front.{there}")), until, role)
    return Move("back", outline.thing, "back.profile" if is_told else "", act, part=part)


CLEAR_EDGE = (False, 0)
"""The rank of the best way there is."""
CLEAR_LINE = (False, 1)
"""The rank of the best way that is no edge."""


class _Ways:
    """From which known corner to which new one the hand goes next: a clear crossing first, edges first."""

    def __init__(self, outline: CarriedOutline, *, any_way: bool) -> None:
        self.outline = outline
        self.edges = {frozenset(pair): pair[0] for pair in outline.edges}
        self._beside: dict[int, list[int]] = {corner: [] for corner in outline.corners}
        for a, b in outline.edges:
            self._beside[a].append(b)
            self._beside[b].append(a)
        self.any_way = any_way
        self._ranks: dict[tuple[int, int], tuple[bool, int] | None] = {}
        self._aim = {c: unit_toward(outline.page[c], outline.goal) for c in outline.corners}
        self._crossing = {
            (corner, family): self._sine(corner, unit_toward(outline.page[corner], goal))
            for family, goal in (outline.across, outline.up)
            for corner in outline.corners
        }

    def best(self, found: Sequence[int], wanted: Sequence[int]) -> tuple[int, int] | None:
        """Return the best way from a found corner to a wanted one that is not, or None if no line leads on."""
        beside = self._clear_edge(found, wanted)
        if beside is not None:
            return beside
        best: tuple[tuple[bool, int], int, int] | None = None
        for there in wanted:
            if there in found:
                continue
            for here in found:
                rank = self._ranked(here, there)
                if rank == CLEAR_LINE:
                    return (here, there)
                if rank is not None and (best is None or rank < best[0]):
                    best = (rank, here, there)
        return None if best is None else best[1:]

    def _clear_edge(self, found: Sequence[int], wanted: Sequence[int]) -> tuple[int, int] | None:
        """Return the first edge that leads on with a clear crossing: nothing is better, so the rest need no ranking."""
        order = {corner: i for i, corner in enumerate(found)}
        for there in wanted:
            if there in order:
                continue
            for here in sorted((c for c in self._beside[there] if c in order), key=order.__getitem__):
                if self._ranked(here, there) == CLEAR_EDGE:
                    return (here, there)
        return None

    def _ranked(self, here: int, there: int) -> tuple[bool, int] | None:
        pair = (here, there)
        if pair not in self._ranks:
            self._ranks[pair] = self._rank(here, there)
        return self._ranks[pair]

    def _rank(self, here: int, there: int) -> tuple[bool, int] | None:
        """Return how good a way is, smaller is better, or None if it is none."""
        family = self.outline.family(here, there)
        is_edge = frozenset((here, there)) in self.edges
        if family != "free":
            crossing = self._crossing[there, family]
        elif self.any_way:
            crossing = self._sine(there, unit_toward(self.outline.page[here], self.outline.page[there]))
        else:
            return None
        if crossing < NO_CROSSING:
            return None
        return (crossing < FLAT_CROSSING, 0 if is_edge else 1 if family != "free" else 2)

    def _sine(self, corner: int, way: tuple[float, float]) -> float:
        """Return the sine of the angle between a line to a back corner and its guide line."""
        aim = self._aim[corner]
        return abs(aim[0] * way[1] - aim[1] * way[0])
