"""A figure that stands out of its face, is sunk into it or goes through the body: its solid, and how a hand carries it.

The rectangle that it fills is carried first, as a light block. Every corner of the figure leads out of the face; where
it lies on a side of the rectangle it ends on that side of the block, else on a light line across the block's outer
face, which comes from the same height (or place across) on the wall.
"""

from collections.abc import Iterator, Mapping, Sequence
from dataclasses import dataclass

import numpy as np
from propcache.api import cached_property

from orthopsis.core.construct.grid import Grid
from orthopsis.core.construct.meeting import level_or_upright, meeting
from orthopsis.core.construct.moves import Act, MeasureAlong, Move, Role, Rule, RuleToPoint, Run, Side
from orthopsis.core.errors import GeometryError
from orthopsis.core.plane.arc import FacePlace
from orthopsis.core.plane.homogeneous import Point, unit_toward
from orthopsis.core.plane.polygon import signed_area
from orthopsis.core.plane.tolerance import SAME_SHARE
from orthopsis.core.sight.solid import Edge, Face, Solid, Topology
from orthopsis.core.things.answers import Spoken
from orthopsis.core.things.corner_look import corner_look
from orthopsis.core.things.face_part import WAYS
from orthopsis.core.things.flat import Corner, FlatOutlines, family
from orthopsis.core.things.outward import Outward
from orthopsis.core.things.rectangles.forms import CORNERS, SIDES
from orthopsis.core.things.rectangles.solid import turned_over
from orthopsis.core.things.through import GoesThrough, through_acts
from orthopsis.core.view.eye import Array
from orthopsis.core.wording.names import Feature

RELIEFS = {"flat": "flat on it", "out": "out of it", "in": "sunk into it", "through": "right through it"}
Loop = tuple[Corner, ...]


@dataclass(frozen=True, slots=True)
class _Line:
    """A light line across the outer face of the block: at a share up the face for a row, along it for a column."""

    number: int
    share: float
    is_row: bool

    @property
    def name(self) -> str:
        return f"construction.across.{self.number}"


class CarriedFigure(GoesThrough, FlatOutlines):
    """A figure with an outline, flat or carried."""

    @property
    def relief(self) -> str:
        """Whether it lies flat, stands out or is sunk in."""
        return self.values.word("relief")

    @property
    def is_flat(self) -> bool:
        """Whether it lies flat on the face."""
        return self.relief == "flat"

    @property
    def is_through(self) -> bool:
        """Whether it goes right through the body, so that one sees what is behind it."""
        return self.relief == "through"

    @property
    def is_sunk(self) -> bool:
        """Whether it leads into the body."""
        return self.relief in ("in", "through")

    @property
    def is_measured(self) -> bool:
        """Whether a measure says how far it stands out or how deep it is."""
        return self.relief in ("out", "in")

    @property
    def first_place(self) -> FacePlace:
        """The first corner of the rectangle about it, as shares of the face."""
        return self.part[0]

    @cached_property
    def part(self) -> tuple[FacePlace, FacePlace, FacePlace, FacePlace]:
        """The corners of the rectangle about it, round it; those of the figure may lie on marks of the ruler."""
        places = [place for _, loops in self.outlines for loop in loops for _, place in loop]
        (left, right), (low, high) = ((min(shares), max(shares)) for shares in zip(*places, strict=True))
        return (left, low), (right, low), (right, high), (left, high)

    @cached_property
    def loops(self) -> tuple[Loop, ...]:
        """Its outline and its holes, as they run: the outline anticlockwise in shares of the face, holes clockwise.

        Raises:
            GeometryError: it has several pieces, or a hole and is sunk in; or nothing of the wall would be left.
        """
        ((_, loops),) = self.outlines
        turn = 1 if max((_area(loop) for loop in loops), key=abs) > 0 else -1
        ordered = sorted((loop[::turn] for loop in loops), key=lambda loop: -_area(loop))
        if len(loops) > 1 and (self.is_sunk or _area(ordered[1]) > 0):
            what = "a hole cannot be sunk in" if self.is_sunk else "several pieces cannot stand out"
            raise GeometryError(
                "only_one_piece",
                f"A figure with {what}.",
                "Let it lie flat, or take an outline of one piece.",
                about="relief",
                nearest="flat",
            )
        if self.panel.is_sloping or self.panel.outward is None:
            raise self.flat_only()
        if self.is_sunk:
            self._check_wall()
        return tuple(ordered)

    def _check_wall(self) -> None:
        low, _, high, _ = self.part
        for name, begin, end in zip(WAYS, low, high, strict=True):
            if begin <= SAME_SHARE or end >= 1 - SAME_SHARE:
                raise GeometryError(
                    "no_wall_left",
                    f"“{self.values.name}” would be sunk through the edge of the {self.panel.says}.",
                    "Leave some of the face free there.",
                    about=name,
                    nearest="1:6:1",
                )

    @cached_property
    def outward(self) -> Outward:
        """The way out of the face or into it, from the first corner of the part."""
        start = self.panel.places(self.part[:1])[0]
        return Outward(self.panel, self.setting.frame.eye, start, self.is_sunk)

    @cached_property
    def carried(self) -> Array:
        """The way by which it stands out or is sunk, or through the body, in the world, mm."""
        if self.is_through:
            return np.array(self.through.vector)
        return self.outward.vector(
            self.values.mm("deep"),
            lambda most: self.refused("too_deep", "would be deeper than there is room", most, "deep", is_least=False),
        )

    @property
    def spoken(self) -> Mapping[str, Spoken]:
        """Which corner of the rectangle about it is carried."""
        level = self.setting.frame.level_mm if self.panel.is_level else None
        return {**super().spoken, "first_look": corner_look(self.page, 0, level)}

    def _seen(self, place: FacePlace, *, is_out: bool = False) -> Point:
        at = self.panel.places([place]) + (self.carried if is_out else 0.0)
        x, y = self.setting.frame.eye.see(at)[0].tolist()
        return Point(x, y)

    @property
    def page(self) -> Sequence[Point]:
        """The corners of the part on the page."""
        return [self._seen(place) for place in self.part]

    @property
    def holes(self) -> Mapping[str, tuple[Array, ...]]:
        """What is cut out of the face, where it is sunk in, and of the far one, where it goes through."""
        if not self.is_sunk:
            return {}
        holes = tuple(self.panel.places([place for _, place in loop]) for loop in self.loops)
        found = {self.panel.face: holes}
        return found | ({self.through.face: tuple(hole + self.carried for hole in holes)} if self.is_through else {})

    @cached_property
    def solid(self) -> Solid:
        """Its shape in the world: lines on the face, or a body with them."""
        if self.is_flat:
            return super().solid
        flat = self.panel.places([place for loop in self.loops for _, place in loop])
        return Solid(self._topology, np.stack((flat, flat + self.carried), axis=1).reshape(-1, 3))

    @property
    def _topology(self) -> Topology:
        panel, loops = self.panel, self.loops
        low, far, high, near = panel.around
        around = (high, near, low, far) if self.is_sunk else (low, far, high, near)
        lengths = (float(np.linalg.norm(panel.axes[0])), float(np.linalg.norm(panel.axes[1])))
        front, wall = ([tuple(f"{end}.{k}" for k, _ in loop) for loop in loops] for end in ("front", "corner"))
        faces = [] if self.is_through else [Face("front", front[0], panel.turned, tuple(front[1:]))]
        if self.relief == "out":
            faces.append(Face("wall", wall[0][::-1], "back", tuple(loop[::-1] for loop in wall[1:])))
        edges = list[Edge]()
        for (a, p), (b, q) in self._sides:
            way = (q[0] - p[0], q[1] - p[1])
            corners = f"front.{b}", f"front.{a}", f"corner.{a}", f"corner.{b}"
            faces.append(Face(f"side.{a}", corners, turned_over(way, lengths, around)))
            runs = family(panel, p, q)
            edges.append(Edge(f"edge.{a}", f"corner.{a}", f"corner.{b}", runs, feature=Feature()))
            edges.append(Edge(f"front_edge.{a}", f"front.{a}", f"front.{b}", runs, feature=Feature("front")))
            edges.append(Edge(f"depth.{a}", f"corner.{a}", f"front.{a}", panel.out.family, feature=Feature("away")))
        if panel.is_mirrored:
            faces = [Face(f.name, f.corners[::-1], f.turned, tuple(h[::-1] for h in f.holes)) for f in faces]
        names = tuple(f"{end}.{k}" for loop in loops for k, _ in loop for end in ("corner", "front"))
        return Topology(names, tuple(faces), tuple(edges))

    @property
    def _sides(self) -> Iterator[tuple[Corner, Corner]]:
        for loop in self.loops:
            yield from zip(loop, (*loop[1:], loop[0]), strict=True)

    @cached_property
    def recipe(self) -> tuple[Move, ...]:
        """The hand's moves: the outline on the face; the block about it, and the outline carried out or in."""
        if self.is_flat:
            return super().recipe
        corners = [corner for loop in self.loops for corner in loop]
        grid = Grid(self.values.name, self.panel, [*self.part, *(p for _, p in corners)], "face", self.setting.level)
        how = "measured" if self.panel.is_true else "counted"
        told: list[tuple[str, Act]] = [(f"figure.{how}", grid.mark(f"corner.{k}", place)) for k, place in corners]
        told += [(f"figure.{how}", act) for act in self._outline("corner", "edge")]
        block = "figure.block"
        if self.is_through:
            block += "_through_at_edge" if self.is_at_edge else "_through"
        told += [(block, act) for act in self._block(grid)]
        told += [("figure.rows", act) for act in self._helps(grid)]
        told += [("figure.depths", act) for act in self._depths()]
        told += [("figure.front", act) for act in self._outline("front", "front_edge")]
        moves = [] if self.panel.is_true else grid.moves()
        return (*moves, *(self.values.move("divide", breath, act) for breath, act in told))

    def _outline(self, corner: str, edge: str) -> Iterator[Act]:
        n = self.values.full
        for (a, p), (b, q) in self._sides:
            yield Rule(n(f"{edge}.{a}"), n(f"{corner}.{a}"), n(f"{corner}.{b}"), family(self.panel, p, q))

    def _block(self, grid: Grid) -> Iterator[Act]:
        """Yield the acts that carry the part of the face that it fills, lightly."""
        n, panel, page, ways = self.values.full, self.panel, self.page, (self.panel.along, self.panel.up)
        out = panel.out
        for name, place in zip(CORNERS, self.part, strict=True):
            yield grid.mark(f"part.{name}", place)
        for i, side in enumerate(SIDES):
            ends = n(f"part.{CORNERS[i]}"), n(f"part.{CORNERS[(i + 1) % 4]}")
            yield Rule(n(f"part.{side}"), *ends, ways[i % 2].family, "construction")
        start, end = n(f"part.{CORNERS[0]}"), n(f"block.{CORNERS[0]}")
        yield from through_acts(self, grid, start, end) if self.is_through else self._measured(start, end)
        for here, there, side, axis in ((0, 1, "low", 0), (0, 3, "near", 1), (3, 2, "high", 0)):
            wall = (n(f"part.{CORNERS[there]}"), out, n(f"construction.out.{CORNERS[there]}"))
            line = (n(f"block.{CORNERS[here]}"), ways[axis], n(f"block.{side}"))
            # What leads out level or upright stays as near as it was: the side is as long as that on the wall.
            aside = page[there].x - page[here].x + page[there].y - page[here].y
            made, helper = n(f"block.{CORNERS[there]}"), n(f"construction.along.{side}")
            yield from meeting(wall, line, made, aside, "construction", helper)
        yield Rule(n("block.far"), n("block.low_far"), n("block.high_far"), panel.up.family, "construction")

    def _measured(self, start: str, end: str) -> Iterator[Act]:
        """Yield the acts that measure how far the first corner of the part is carried."""
        n, out, mm = self.values.full, self.panel.out, self.outward.sign * self.values.mm("deep")
        if out.goal.is_ideal:
            yield Side(n("construction.out"), end, start, level_or_upright(out), mm, "construction")
            return
        yield RuleToPoint(n("construction.out"), start, out.family, "unseen")
        yield MeasureAlong(end, n("construction.out"), mm)

    def _side_of(self, place: FacePlace) -> str:
        """Return on which side of the part a place lies; empty for one within it."""
        (left, low), _, (right, high), _ = self.part
        found = {"low": place[1] - low, "far": place[0] - right, "high": place[1] - high, "near": place[0] - left}
        return next((side for side, off in found.items() if abs(off) <= SAME_SHARE), "")

    def _is_by_row(self, place: FacePlace) -> bool:
        """Tell whether a place within the part is found by a line along better than by one up the face."""
        at = self._seen(place, is_out=True)
        out = unit_toward(self._seen(place), self.panel.out.goal)
        along, up = (unit_toward(at, way.goal) for way in (self.panel.along, self.panel.up))
        return abs(out[0] * along[1] - out[1] * along[0]) >= abs(out[0] * up[1] - out[1] * up[0])

    @cached_property
    def _lines(self) -> Mapping[int, "_Line"]:
        """The light line on the block on which a corner within the part is carried, by the corner's number."""
        found, lines = dict[int, _Line](), list[_Line]()
        for k, place in (corner for loop in self.loops for corner in loop):
            if self._side_of(place):
                continue
            is_row = self._is_by_row(place)
            share = place[1] if is_row else place[0]
            same = (line for line in lines if line.is_row == is_row and abs(line.share - share) <= SAME_SHARE)
            line = next(same, None) or _Line(len(lines) + 1, share, is_row)
            if line not in lines:
                lines.append(line)
            found[k] = line
        return found

    def _helps(self, grid: Grid) -> Iterator[Act]:
        """Yield the acts that draw those lines: from the side of the part over to the block, and across its face."""
        n, out = self.values.full, self.panel.out.family
        (left, low), *_ = self.part
        for line in dict.fromkeys(self._lines.values()):
            at = (left, line.share) if line.is_row else (line.share, low)
            side, until, way = ("near", "far", self.panel.along) if line.is_row else ("low", "high", self.panel.up)
            mark, over = f"measure.at.{line.number}", n(f"measure.over.{line.number}")
            yield grid.mark(mark, at)
            yield Run(n(f"construction.over.{line.number}"), over, n(mark), out, n(f"block.{side}"), "construction")
            ends = n(line.name), n(f"measure.end.{line.number}")
            yield Run(*ends, over, way.family, n(f"block.{until}"), "construction")

    def _depths(self) -> Iterator[Act]:
        """Yield the acts that lead every corner out of the face, to its side of the block or its line across it."""
        n = self.values.full
        for k, place in (corner for loop in self.loops for corner in loop):
            side = self._side_of(place)
            until = n(f"block.{side}" if side else self._lines[k].name)
            role: Role = "edge" if k in self._shown else "construction"
            yield Run(n(f"depth.{k}"), n(f"front.{k}"), n(f"corner.{k}"), self.panel.out.family, until, role)

    @cached_property
    def _shown(self) -> frozenset[int]:
        """The corners at sides that show."""
        turn, shown = -1 if self.panel.is_mirrored else 1, set[int]()
        for (a, p), (b, q) in self._sides:
            around = (self._seen(q, is_out=True), self._seen(p, is_out=True), self._seen(p), self._seen(q))
            if turn * signed_area(around) > 0:
                shown |= {a, b}
        return frozenset(shown)


def _area(loop: Loop) -> float:
    return signed_area([Point(*place) for _, place in loop])
