"""How does a hand find the back of an outline that is carried to a point, from marks that are there?

A corner of the back lies on the light line from the front's corner. It is found from one that is known: along an edge
of the back, else by a light line that runs as the line between the two does on the front, else as the caller's fallback
says. Only what is seen is told, and what is needed to find it; an edge that runs behind the front is drawn until the
front hides it. Where the rest lies follows too, but nothing of it is told or drawn.
"""

from collections.abc import Callable, Collection, Iterator, Mapping, Sequence
from dataclasses import dataclass, replace

from orthopsis.core.construct.carry import CarriedOutline
from orthopsis.core.construct.moves import Act, Move, Role, Rule, Run, Slide
from orthopsis.core.errors import CoincidentLines
from orthopsis.core.plane.homogeneous import distance, unit_toward

FLAT_CROSSING = 0.05
"""Sine of the angle under which a line is taken to cross a guide line only if there is no better one (no source)."""
NO_CROSSING = 1e-7
"""Sine of the angle under which a line counts as running along a guide line."""
EDGES, LIGHT = "back.profile", "back.helped"
"""What the words are called by: of edges, and of light lines that lead to corners."""

Fallback = Callable[[int], list[Move]]
"""From a corner that nothing leads to, to the moves that make its back corner; its light line is there."""
Rank = tuple[bool, bool, int]
"""Of a way to a corner: whether it crosses flat, whether a light line must be drawn for it, and what it is."""


@dataclass(frozen=True, slots=True)
class SeenBack:
    """What is seen of the back, as far as the thing hides it.

    Attributes:
        edges: of each edge of which something is seen, by its first corner, whether it is seen at its two ends.
        curves: the rounded corners of whose curve something is seen.
    """

    edges: Mapping[int, tuple[bool, bool]]
    curves: frozenset[int]


@dataclass(frozen=True, slots=True)
class Back:
    """The moves that make the back; ``late``: the corners whose light lines come with them."""

    moves: list[Move]
    late: frozenset[int]


def back_moves(
    outline: CarriedOutline, known: Sequence[int], guided: Collection[int], seen: SeenBack, fallback: Fallback | None,
    made: Sequence[int] = (),
) -> Back:  # fmt: skip
    """Return the moves that make all back corners and back edges.

    Args:
        known: corners whose back is already marked.
        guided: corners whose light lines are drawn.
        made: corners whose back nobody sees, and which are made already.
        fallback: makes a back corner that no edge and no alignment leads to; None where lines of the back are
            parallel on the page to those of the front, so that any corner leads to any other.
    """
    found = _Found(outline, (known, made), guided, seen, fallback)
    for part, corners in outline.part_corners:
        found.tell(part, corners)
    for part, corners in outline.part_corners:
        found.finish(part, corners)
    return Back(found.moves, frozenset(found.late))


def needed(outline: CarriedOutline, seen: SeenBack, *, any_way: bool) -> set[int]:
    """Return the corners of the back that must be found, since an edge or a curve begins there that is seen.

    Args:
        any_way: as ``back_moves`` has no fallback: then one end and its direction are enough for any edge.
    """
    following, result = dict(outline.edges), set[int]()
    for a, (at_start, at_end) in seen.edges.items():
        b = following[a]
        is_aimed = any_way or outline.family(a, b) != "free"
        result |= {a, b} if not is_aimed else {c for c, is_seen in ((a, at_start), (b, at_end)) if is_seen} or {a}
    for edge in _helping(outline, seen):
        result |= {edge, following[edge]}
    return result if any_way else result | _leading(outline, result)


def _leading(outline: CarriedOutline, wanted: Collection[int]) -> set[int]:
    """Return corners from which uprights lead to those whose light line is also the line that carries their height.

    So it is on the eye level: nothing crosses there but an upright from a corner over or under.
    """
    result = set[int]()
    for corner in (c for c in wanted if not _is_crossed(outline, c)):
        over = [c for c in outline.corners if outline.family(c, corner) == outline.up[0] and _is_crossed(outline, c)]
        if over and not any(c in wanted for c in over):
            at = outline.page[corner]
            result.add(min(over, key=lambda other: distance(outline.page[other], at)))
    return result


def _is_crossed(outline: CarriedOutline, corner: int) -> bool:
    """Tell whether the line that carries a corner's height crosses its light line well."""
    at = outline.page[corner]
    (ax, ay), (bx, by) = unit_toward(at, outline.goal), unit_toward(at, outline.across[1])
    return abs(ax * by - ay * bx) > FLAT_CROSSING


def _helping(outline: CarriedOutline, seen: SeenBack) -> set[int]:
    """Return the edges beside curves that are seen: where a curve begins is found on them."""
    return {edge for corner in seen.curves for edge in (outline.rounded[corner].before, corner)}


class _Found:
    """What of the back is found so far."""

    def __init__(
        self, outline: CarriedOutline, there: tuple[Sequence[int], Sequence[int]], guided: Collection[int],
        seen: SeenBack, fallback: Fallback | None,
    ) -> None:  # fmt: skip
        self.moves, self.late = list[Move](), set[int]()
        self._outline, self._seen, self._fallback = outline, seen, fallback
        self._drawn = {*guided, *outline.ready}
        self._known, self._made, self._edges = list(there[0]), [*there[0], *there[1]], set[int]()
        self._needed = needed(outline, seen, any_way=fallback is None)
        self._following = dict(outline.edges)
        self._ways = _Ways(outline, any_way=fallback is None, drawn=self._drawn, seen=seen.edges.keys())

    def tell(self, part: str, corners: Sequence[int]) -> None:
        """Find the corners of a part that are needed, from those that are known, and draw its edges that are seen."""
        own = [c for c in corners if c in self._known]
        own += self._lead(part, corners, own)
        while missing := [c for c in corners if c in self._needed and c not in self._known]:
            near = self._nearest_first(missing[0])
            best = self._ways.best(own, missing) or self._ways.best(near, missing)
            if best is None and self._fallback is None:
                best = self._ways.detour(near, missing)
            if best is None:
                there = self._ways.first_round(missing)
                self._round(part, there)
                own.append(there)
                continue
            self._light_line(part, best[1])
            self._step(part, *best)
            own.append(best[1])
        helping = _helping(self._outline, self._seen)
        for a in (c for c in corners if c in self._seen.edges or c in helping):
            if a not in self._edges:
                self._edge(part, a, corners, is_helping=a in helping)

    def _lead(self, part: str, corners: Sequence[int], own: Sequence[int]) -> list[int]:
        """Lead by light lines, from what is known already, to edges of a part that hang together with nothing known.

        They are drawn first, so that all edges of the part follow in one go. Returns the corners that they find.
        """
        found = list[int]()
        for group in self._groups([c for c in corners if c in self._needed]):
            if group & {*self._known}:
                continue
            known = [*own, *found] or self._nearest_first(min(group))
            best = self._ways.best(known, sorted(group))
            if best is not None and (not (own or found) or self._ways.is_simple(*best)):
                self._light_line(part, best[1])
                self._step(part, *best)
                found.append(best[1])
        return found

    def _nearest_first(self, corner: int) -> list[int]:
        """Return the corners that are known, those first that lie near to another one."""
        at = self._outline.page[corner]
        return sorted(self._known, key=lambda known: distance(self._outline.page[known], at))

    def _groups(self, corners: Sequence[int]) -> list[set[int]]:
        """Return corners in groups that hang together by edges along which a hand can go."""
        left, groups = set(corners), list[set[int]]()
        for corner in corners:
            if corner not in left:
                continue
            group, reached = {corner}, [corner]
            while reached:
                here = reached.pop()
                beside = {there for there in self._ways.beside(here) if there in left and there not in group}
                group |= beside
                reached += sorted(beside)
            left -= group
            groups.append(group)
        return groups

    def _light_line(self, part: str, corner: int) -> None:
        """Draw the light line of a corner that has none, since its line runs across the front."""
        if corner not in self._drawn:
            self._drawn.add(corner)
            self.late.add(corner)
            outline = self._outline
            act = outline.aim(f"guide.{corner}", outline.full(f"front.{corner}"), outline.page[corner], "guide")
            self._tell(part, act, LIGHT)

    def _round(self, part: str, corner: int) -> None:
        assert self._fallback is not None
        self._light_line(part, corner)
        self.moves += [replace(move, part=part) for move in self._fallback(corner)]
        self._known.append(corner)
        self._made.append(corner)

    def _step(self, part: str, here: int, there: int) -> None:
        """Go from a known corner to a new one: along an edge that is seen, else by a light line."""
        edge = self._ways.edges.get(frozenset((here, there)))
        role: Role = "edge" if edge in self._seen.edges else "construction"
        self._tell(part, self._way(here, there, edge, role), EDGES if role == "edge" else LIGHT)
        self._known.append(there)
        self._made.append(there)
        if edge is not None:
            self._edges.add(edge)

    def _edge(self, part: str, a: int, corners: Sequence[int], *, is_helping: bool) -> None:
        """Draw an edge of which an end is known; one that runs behind the front stops there.

        Args:
            is_helping: whether a curve is found on it.
        """
        n, b = self._outline.full, self._following[a]
        family = self._outline.family(a, b)
        role: Role = "edge" if a in self._seen.edges else "construction"
        breath = EDGES if role == "edge" else LIGHT
        start, end = (a, b) if a in self._known else (b, a)
        if not is_helping and end not in self._made and not self._ways.leads(start, end):
            return  # its side is seen edge-on: it lies under the line of the front
        self._edges.add(a)
        if end in self._known:
            self._tell(part, Rule(n(f"back.edge.{a}"), n(f"back.{a}"), n(f"back.{b}"), family, role), breath)
            return
        stops = tuple(n(f"front.edge.{c}") for c in corners)
        if end in self._made:
            ends = n(f"back.{start}"), n(f"back.{end}")
            self._tell(part, Rule(n(f"back.edge.{a}"), *ends, family, role, stops), breath)
        else:
            self._tell(part, replace(self._way(start, end, a, role), stops_at=stops), breath)
            self._made.append(end)

    def _way(self, here: int, there: int, edge: int | None, role: Role) -> Run | Slide:
        """Return the act that leads from one corner of the back to another one."""
        outline, n = self._outline, self._outline.full
        makes = n(f"back.edge.{edge}") if edge is not None else n(f"construction.{here}.{there}")
        family, until = outline.family(here, there), outline.guide(there)
        point, start = n(f"back.{there}"), n(f"back.{here}")
        if family == "free":
            return Slide(makes, point, start, (n(f"front.{here}"), n(f"front.{there}")), until, role)
        return Run(makes, point, start, family, until, role)

    def _tell(self, part: str, act: Act, breath: str = EDGES) -> None:
        self.moves.append(Move("back", self._outline.thing, breath, act, part=part))

    def finish(self, part: str, corners: Sequence[int]) -> None:
        """Make what is left of a part: corners and edges that nobody sees."""
        n, own = self._outline.full, [c for c in corners if c in self._made]
        while missing := [c for c in corners if c not in self._made]:
            best = self._ways.best(own or self._made, missing) or self._ways.best(self._made, missing)
            if best is None:
                assert self._fallback is not None
                there = self._ways.first_round(missing)
                self.moves += [replace(move, part=part, breath="") for move in self._fallback(there)]
            else:
                here, there = best
                edge = self._ways.edges.get(frozenset(best))
                self._tell(part, self._way(here, there, None if edge in self._edges else edge, "unseen"), "")
                if edge is not None:
                    self._edges.add(edge)
            self._made.append(there)
            own.append(there)
        for a in corners:
            if a not in self._edges:
                b = self._following[a]
                rule = Rule(n(f"back.edge.{a}"), n(f"back.{a}"), n(f"back.{b}"), self._outline.family(a, b), "unseen")
                self._tell(part, rule, "")


CLEAR_EDGE: Rank = (False, False, 0)
"""The rank of the best way there is."""
CLEAR_LINE: Rank = (False, False, 1)
"""The rank of the best way that is no edge."""


class _Ways:
    """From which known corner to which new one the hand goes next.

    A clear crossing comes first, then corners whose light line is there, then edges that are seen.

    Args:
        any_way: whether lines of the back are parallel on the page to those of the front.
        drawn: the corners whose light lines are there.
        seen: the edges of the back of which something is seen.
    """

    def __init__(
        self, outline: CarriedOutline, *, any_way: bool, drawn: Collection[int], seen: Collection[int]
    ) -> None:
        self.outline, self._drawn, self._seen = outline, drawn, seen
        self.edges = {frozenset(pair): pair[0] for pair in outline.edges}
        self._beside: dict[int, list[int]] = {corner: [] for corner in outline.corners}
        for a, b in outline.edges:
            self._beside[a].append(b)
            self._beside[b].append(a)
        self.any_way = any_way
        self._ranks: dict[tuple[int, int], Rank | None] = {}
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
        best: tuple[Rank, int, int] | None = None
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

    def detour(self, found: Sequence[int], wanted: Sequence[int]) -> tuple[int, int]:
        """Return the best way to a corner that is not wanted itself, but from which a line leads on to one that is.

        So it is where all wanted corners lie in one line with the point, on the eye level: one over or under helps.

        Raises:
            CoincidentLines: there is none; all lines of the outline lie on one another.
        """
        left = [c for c in self.outline.corners if c not in found and any(self.leads(c, there) for there in wanted)]
        best = self.best(found, left)
        if best is None:
            raise CoincidentLines("lines_coincide", "All its lines lie on one another.", "Move it or its point.")
        return best

    def leads(self, here: int, there: int) -> bool:
        """Tell whether a line from one corner of the back crosses the light line of another one at all."""
        return self._ranked(here, there) is not None

    def first_round(self, corners: Sequence[int]) -> int:
        """Return the first of some corners whose height can be carried to its light line; else the first of all."""
        return next((corner for corner in corners if _is_crossed(self.outline, corner)), corners[0])

    def is_simple(self, here: int, there: int) -> bool:
        """Tell whether a way is easy to rule: level, upright or to a point, and clear where it ends."""
        rank = self._ranked(here, there)
        return rank is not None and not rank[0] and rank[2] < 2

    def beside(self, corner: int) -> Iterator[int]:
        """Yield the corners to which an edge leads that is seen and crosses their light lines clearly."""
        for there in self._beside[corner]:
            rank = self._ranked(corner, there)
            if rank is not None and rank[0] is False and rank[2] == 0:
                yield there

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

    def _ranked(self, here: int, there: int) -> Rank | None:
        pair = (here, there)
        if pair not in self._ranks:
            self._ranks[pair] = self._rank(here, there)
        return self._ranks[pair]

    def _rank(self, here: int, there: int) -> Rank | None:
        """Return how good a way is, smaller is better, or None if it is none."""
        family = self.outline.family(here, there)
        edge = self.edges.get(frozenset((here, there)))
        if family != "free":
            crossing = self._crossing[there, family]
        elif self.any_way:
            crossing = self._sine(there, unit_toward(self.outline.page[here], self.outline.page[there]))
        else:
            return None
        if crossing < NO_CROSSING:
            return None
        kind = 0 if edge in self._seen else 1 if family != "free" else 2
        return (crossing < FLAT_CROSSING, there not in self._drawn, kind)

    def _sine(self, corner: int, way: tuple[float, float]) -> float:
        """Return the sine of the angle between a line to a back corner and its guide line."""
        aim = self._aim[corner]
        return abs(aim[0] * way[1] - aim[1] * way[0])
