"""The copies of a row in the world, and on the page the order in which a hand finds the corners of one.

In the world all copies are equally far apart along one direction. On the page each of their corners lies on the line
from the first one's corner to the point of that direction.
"""

from collections.abc import Mapping, Sequence
from dataclasses import dataclass
from functools import lru_cache

import numpy as np
from propcache.api import cached_property

from orthopsis.core.plane.homogeneous import Point, between, distance
from orthopsis.core.sight.solid import Edge, Face, Solid, Topology
from orthopsis.core.things.answers import Crowded, Receding
from orthopsis.core.things.setting import InLine
from orthopsis.core.things.spacing import crowded_row
from orthopsis.core.things.standing import Standing
from orthopsis.core.view.aim import Aim, AimRole
from orthopsis.core.view.eye import Array

Corner = str
"""A corner of the first one, by its name within it."""


@dataclass(frozen=True, slots=True)
class ByEdge:
    """A corner of a copy that is found from another one of it along an edge."""

    corner: Corner
    start: Corner
    edge: Edge


@dataclass(frozen=True, slots=True)
class BySlant:
    """A corner of a copy that is found by a slanting line, on its own line to the row's point.

    Attributes:
        corner: the corner.
        start: from where the line slants: over or under the corner in the copy before (``across_space``), else over or
            under a corner of the same copy that lies on the same line to the point.
    """

    corner: Corner
    start: Corner
    across_space: bool


Found = ByEdge | BySlant


@dataclass(frozen=True, slots=True, eq=False)
class Slant:
    """A slanting line: over the space from the first one to the second, or over the first one's side.

    Attributes:
        name, role: of the point to which it runs.
        start, end: the corners of the first one, and of the second (``is_across_space``) or the first one again.
        way: its direction in the world.
    """

    name: str
    role: AimRole
    start: Corner
    end: Corner
    is_across_space: bool
    way: Array


class Copies(Standing):
    """A row of copies."""

    @property
    def line(self) -> InLine:
        """The line on which they stand."""
        assert self.anchor.in_line is not None
        return self.anchor.in_line

    @property
    def numbers(self) -> range:
        """The numbers of the copies; the first one is number 1."""
        return range(2, int(self.values.word("count")) + 1)

    @staticmethod
    def part(number: int) -> str:
        """Return what a copy is called."""
        return f"Number {number}"

    @property
    def is_by_eye(self) -> bool:
        """Whether places are found by eye."""
        return self.values.word("way") == "eye"

    def share(self, number: int) -> float:
        """Return how far toward the point the foot of a copy lies, 0 at the first one, 1 at the point.

        Source: equal steps away are equal in s / (1 - s) (cross-ratio; from memory).
        """
        first = self.line.gap_mm / distance(self.anchor.at, self.line.goal)
        return (number - 1) * first / (1 - first + (number - 1) * first)

    @property
    def receding(self) -> Receding | None:
        """The feet of the first one and of its copies, unless these are set by eye."""
        if self.is_by_eye:
            return None
        shares = [self.share(number) for number in (1, *self.numbers)]
        return Receding(tuple(between(self.anchor.at, self.line.goal, share) for share in shares), self.line.goal)

    @property
    def crowded(self) -> tuple[Crowded, ...]:
        """How near the feet of the last two come to each other."""
        shares = [self.share(number) for number in (1, *self.numbers)]
        return (crowded_row("count", shares, distance(self.anchor.at, self.line.goal)),)

    def share_by_eye(self, number: int, corner: Corner) -> float:
        """Return how far along its line to the point a corner of a copy belongs."""
        frame, first = self.setting.frame, self.host.solid
        ends = np.vstack((first.places[first.index(self.lines[corner])], self.places[number][first.index(corner)]))
        start, end = (Point(x, y) for x, y in frame.eye.see(ends).tolist())
        return distance(start, end) / distance(start, self.line.goal)

    @cached_property
    def places(self) -> Mapping[int, Array]:
        """Where the corners of each copy are in the world, by its number, shape (n, 3), mm."""
        return {number: self.host.solid.places + (number - 1) * self.step for number in self.numbers}

    @cached_property
    def step(self) -> Array:
        """The way from one to the next in the world, mm.

        Source: a place at depth z that is moved by t along a direction whose third part is u is drawn up to the share
        s = t u / (z + t u) of its way to the vanishing point (central projection; from memory).
        """
        eye, goal = self.setting.frame.eye, self.line.goal
        share = self.line.gap_mm / distance(self.anchor.at, goal)
        ray = eye.ray(goal)
        return np.asarray(ray * (share / (1 - share) * self.host.foot_depth / ray[2]))

    @cached_property
    def solid(self) -> Solid:
        """All copies in the world of the frame's eye."""
        topology = _repeated(self.host.solid.topology, tuple(self.numbers))
        return Solid(topology, np.vstack(list(self.places.values())))

    @cached_property
    def foot(self) -> Corner:
        """The corner of the first one from which the row goes away."""
        return self._corner(self.anchor.point)

    @cached_property
    def top(self) -> Corner:
        """The corner over it."""
        return self._corner(self.line.top)

    def _corner(self, full: str) -> Corner:
        return next(name for name in self.host.solid.names if self.host.values.full(name) == full)

    @cached_property
    def corners(self) -> tuple[Corner, ...]:
        """The corners that the hand draws of each: those that it has drawn of the first one."""
        return tuple(name for name in self.host.solid.names if self.host.values.full(name) in self.anchor.made)

    @cached_property
    def edges(self) -> tuple[Edge, ...]:
        """The edges between these corners."""
        own = set(self.corners)
        return tuple(edge for edge in self.host.solid.edges if {edge.start, edge.end} <= own)

    @cached_property
    def lines(self) -> Mapping[Corner, Corner]:
        """For each corner the one from which its line to the row's point is drawn: corners on one line share it."""
        shared = {name: name for name in self.corners}
        for edge in self.edges:
            if edge.runs == self.line.runs:
                shared[edge.end] = shared[edge.start]
        return shared

    @cached_property
    def found(self) -> tuple[Found, ...]:
        """In which order the corners of a copy are found, when its foot and its top are there."""
        known, result = [self.foot, self.top], list[Found]()
        while len(known) < len(self.corners):
            following = self._by_edge(known) or self._across_space(known) or self._across_side(known)
            if following is None:
                break  # what hangs together with nothing else is not drawn
            known.append(following.corner)
            result.append(following)
        return tuple(result)

    def _by_edge(self, known: Sequence[Corner]) -> Found | None:
        for start in known:
            for edge in self.edges:
                if edge.runs != self.line.runs and start in (edge.start, edge.end):
                    end = edge.end if start == edge.start else edge.start
                    if end not in known:
                        return ByEdge(end, start, edge)
        return None

    def _across_space(self, known: Sequence[Corner]) -> Found | None:
        for end in (e for start in known for e in self._beside(start, self.line.runs) if e not in known):
            for over in self._beside(end, self._up):
                return BySlant(end, over, across_space=True)
        return None

    def _across_side(self, known: Sequence[Corner]) -> Found | None:
        for start in known:
            for end in (name for name in self._beside(start, self.line.runs) if name not in known):
                for over in (name for name in self._beside(start, self._up) if name in known):
                    return BySlant(end, over, across_space=False)
        return None

    @property
    def _up(self) -> str:
        return self.setting.frame.way("up").family

    def _beside(self, corner: Corner, runs: str) -> list[Corner]:
        """Return the corners at the other ends of a corner's edges that run one way."""
        mine = [edge for edge in self.edges if edge.runs == runs and corner in (edge.start, edge.end)]
        return [edge.end if corner == edge.start else edge.start for edge in mine]

    def slant(self, found: BySlant) -> "Slant":
        """Return the slanting line that finds a corner."""
        first = self.host.solid
        if not found.across_space:
            high, low = (self.host.solid.places[first.index(name)] for name in (found.start, found.corner))
            role: AimRole = "slope_below" if self._is_over(found.start, found.corner) else "slope_above"
            return Slant(f"side.{role}", role, found.start, found.corner, False, low - high)
        foot, top = (first.places[first.index(name)] for name in (self.foot, self.top))
        if self._is_over(found.start, found.corner):
            return Slant("slope_below", "slope_below", self.top, self.foot, True, foot + self.step - top)
        return Slant("slope_above", "slope_above", self.foot, self.top, True, top + self.step - foot)

    def _is_over(self, one: Corner, two: Corner) -> bool:
        """Tell whether a corner lies over another one, or over one on the same line to the point."""
        page = self.host.solid.picture(self.setting.frame.eye)
        start, goal = page[self.lines[two]], self.line.goal
        across = (goal.x - start[0]) * (page[one][1] - start[1]) - (goal.y - start[1]) * (page[one][0] - start[0])
        return (across > 0) == (goal.x > start[0])

    @cached_property
    def slants(self) -> Mapping[str, "Slant"]:
        """The slanting lines that are needed, by the name of their point; none by eye."""
        found = [] if self.is_by_eye else [self.slant(one) for one in self.found if isinstance(one, BySlant)]
        return {slant.name: slant for slant in found}

    @cached_property
    def aims(self) -> tuple[Aim, ...]:
        """The points to which the slanting lines run."""
        eye, result = self.setting.frame.eye, list[Aim]()
        for slant in self.slants.values():
            x, y, z = slant.way.tolist()
            name = self.values.full(slant.name)
            result.append(Aim(name, eye.vanishing_point((x, y, z)), slant.role, self.values.name))
        return tuple(result)

    @property
    def may_be_thin(self) -> bool:
        """Copies grow thinner with distance by themselves."""
        return True

    @property
    def is_see_through(self) -> bool:
        """Whether the first one is see-through."""
        return self.host.is_see_through


@lru_cache(maxsize=256)
def _repeated(first: Topology, numbers: tuple[int, ...]) -> Topology:
    """Return how the corners, faces and edges of all copies hang together."""
    names, faces, edges = list[str](), list[Face](), list[Edge]()
    for number in numbers:
        part = Copies.part(number)
        names += [f"{part}.{name}" for name in first.names]
        edges += [edge.within(part) for edge in first.edges]
        faces += [face.within(part) for face in first.faces]
    return Topology(tuple(names), tuple(faces), tuple(edges), is_open=first.is_open)
