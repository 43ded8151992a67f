"""How does a hand draw a figure that stands out of its face, is sunk into it, goes through, or is carved from a body?

The rectangle that it fills is carried first, as a light block. Every corner of the figure leads out of the face; where
it lies on a side of the rectangle it ends on that side of the block, else on a light line across the block's outer
face, which comes from the same height (or place across) on the wall.
"""

from collections.abc import Iterator, Mapping
from dataclasses import dataclass

from propcache.api import cached_property

from orthopsis.core.construct.grid import Grid
from orthopsis.core.construct.grid_by_line import grid_on
from orthopsis.core.construct.meeting import level_or_upright, meeting
from orthopsis.core.construct.moves import Act, MeasureAlong, Move, Role, Rule, RuleToPoint, Run, Side
from orthopsis.core.plane.arc import FacePlace
from orthopsis.core.plane.homogeneous import unit_toward
from orthopsis.core.plane.polygon import signed_area
from orthopsis.core.plane.tolerance import SAME_SHARE
from orthopsis.core.things.figure.relief import CarriedFigure
from orthopsis.core.things.figure.solid import sides
from orthopsis.core.things.flat import family
from orthopsis.core.things.rectangles.forms import CORNERS, SIDES
from orthopsis.core.things.route import side_between
from orthopsis.core.things.through import through_acts


@dataclass(frozen=True, slots=True)
class _Line:
    """A light line across the outer face of the block: at a share up the face for a row, along it for a column."""

    number: int
    share: float
    is_row: bool

    @property
    def name(self) -> str:
        return f"construction.across.{self.number}"


class DrawnFigure(CarriedFigure):
    """A figure with an outline, as a hand draws it."""

    @cached_property
    def recipe(self) -> tuple[Move, ...]:
        """The hand's moves: the outline on the face; the block about it, and the outline carried out or in."""
        if self.is_flat:
            return super().recipe
        corners = [corner for loop in self.loops for corner in loop]
        places = {"": [*self.part, *(place for _, place in corners)]}
        grid = grid_on(self.values.name, self.panel, places, self.setting.level)
        how = "measured" if self.panel.is_true else "counted"
        told: list[tuple[str, Act]] = [(f"figure.{how}", grid.mark(f"corner.{k}", place)) for k, place in corners]
        told += [(f"figure.{how}", act) for act in self._outline("corner", "edge")]
        block = "figure.block"
        if self.is_carved:
            block += "_carved"
        elif self.is_through:
            block += "_through_at_edge" if self.is_at_edge else "_through"
        told += [(block, act) for act in self._block(grid)]
        for breath, is_row in (("figure.rows", True), ("figure.columns", False)):
            told += [(breath, act) for act in self._helps(grid, is_row=is_row)]
        told += [("figure.depths", act) for act in self._depths()]
        far = "figure.carved" if self.is_carved else "figure.front"
        told += [(far, act) for act in self._outline("front", "front_edge", is_far=self.is_carved)]
        moves = [] if self.panel.is_true else grid.moves()
        return (*moves, *(self.values.move("divide", breath, act) for breath, act in told))

    def _outline(self, corner: str, edge: str, *, is_far: bool = False) -> Iterator[Act]:
        """Yield the acts that draw the outline at one end; at that behind a body only where a side of it shows."""
        n = self.values.full
        for (a, p), (b, q) in sides(self.loops):
            if is_far and a not in self._seen_sides:
                continue
            yield Rule(n(f"{edge}.{a}"), n(f"{corner}.{a}"), n(f"{corner}.{b}"), family(self.panel, p, q))

    def _block(self, grid: Grid) -> Iterator[Act]:
        """Yield the acts that carry the part of the face that it fills, lightly."""
        n, panel, page, route = self.values.full, self.panel, self.page, self.route
        out, ways = panel.out, (panel.along, panel.up)
        for name, place in zip(CORNERS, self.part, strict=True):
            yield grid.mark(f"part.{name}", place)
        # Of a block from which it is carved the near end is there.
        for i, side in enumerate(() if self.is_carved else SIDES):
            ends = n(f"part.{CORNERS[i]}"), n(f"part.{CORNERS[(i + 1) % 4]}")
            yield Rule(n(f"part.{side}"), *ends, ways[i % 2].family, "construction")
        start, end = n(f"part.{CORNERS[route.first]}"), n(f"block.{CORNERS[route.first]}")
        yield from self._measured(start, end) if self.is_measured else through_acts(self, grid, start, end)
        for here, there in route.sides:
            side, way = side_between(here, there, panel)
            wall = (n(f"part.{CORNERS[there]}"), out, n(f"construction.out.{CORNERS[there]}"))
            line = (n(f"block.{CORNERS[here]}"), way, n(f"block.{side}"))
            # What leads out level or upright stays as near as it was: the side is as long as that on the wall.
            aside = page[there].x - page[here].x + page[there].y - page[here].y
            made, helper = n(f"block.{CORNERS[there]}"), n(f"construction.along.{side}")
            yield from meeting(wall, line, made, aside, "construction", helper)
        side, way = side_between(*route.last, panel)
        low, high = (n(f"block.{CORNERS[corner]}") for corner in route.last)
        yield Rule(n(f"block.{side}"), low, high, way.family, "construction")

    def _measured(self, start: str, end: str) -> Iterator[Act]:
        """Yield the acts that measure how far the first corner of the part is carried."""
        n, out, mm = self.values.full, self.panel.out, self.outward.sign * self.values.mm("deep")
        if out.goal.is_ideal:
            yield Side(n("construction.out"), end, start, level_or_upright(out), mm, "construction")
            return
        yield RuleToPoint(n("construction.out"), start, out.family, "unseen")
        yield MeasureAlong(end, n("construction.out"), mm)

    def _side_of(self, place: FacePlace) -> str:
        """Return on which side of the part a place lies that lines out of the face cross; empty for one within it."""
        (left, low), _, (right, high), _ = self.part
        found = {"low": place[1] - low, "far": place[0] - right, "high": place[1] - high, "near": place[0] - left}
        crossed = (side for side in found if side not in self.route.edge_on)
        return next((side for side in crossed if abs(found[side]) <= SAME_SHARE), "")

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
            if self._side_of(place) or not self._is_carried(k):
                continue
            is_row = self._is_by_row(place)
            share = place[1] if is_row else place[0]
            same = (line for line in lines if line.is_row == is_row and abs(line.share - share) <= SAME_SHARE)
            line = next(same, None) or _Line(len(lines) + 1, share, is_row)
            if line not in lines:
                lines.append(line)
            found[k] = line
        return found

    def _helps(self, grid: Grid, *, is_row: bool) -> Iterator[Act]:
        """Yield the acts that draw the rows or the columns: from the part's side over the block, and across its face.

        Args:
            is_row: which of them.
        """
        n, out = self.values.full, self.panel.out.family
        (left, low), _, (right, high), _ = self.part
        side, until, way = ("near", "far", self.panel.along) if is_row else ("low", "high", self.panel.up)
        begin = left if is_row else low
        if side in self.route.edge_on:
            side, until, begin = until, side, right if is_row else high
        for line in (line for line in dict.fromkeys(self._lines.values()) if line.is_row == is_row):
            at = (begin, line.share) if is_row else (line.share, begin)
            mark, over = f"measure.at.{line.number}", n(f"measure.over.{line.number}")
            yield grid.mark(mark, at)
            yield Run(n(f"construction.over.{line.number}"), over, n(mark), out, n(f"block.{side}"), "construction")
            ends = n(line.name), n(f"measure.end.{line.number}")
            yield Run(*ends, over, way.family, n(f"block.{until}"), "construction")

    def _is_carried(self, corner: int) -> bool:
        """Tell whether a corner is carried to the other end: of what is carved from a block only one that shows."""
        return not self.is_carved or corner in self._shown

    def _depths(self) -> Iterator[Act]:
        """Yield the acts that lead every corner out of the face, to its side of the block or its line across it."""
        n = self.values.full
        for k, place in (corner for loop in self.loops for corner in loop):
            if not self._is_carried(k):
                continue
            side = self._side_of(place)
            until = n(f"block.{side}" if side else self._lines[k].name)
            role: Role = "edge" if k in self._shown else "construction"
            yield Run(n(f"depth.{k}"), n(f"front.{k}"), n(f"corner.{k}"), self.panel.out.family, until, role)

    @cached_property
    def _seen_sides(self) -> frozenset[int]:
        """The sides that show, all of a see-through one, by the numbers of the corners at which they begin."""
        if self.is_see_through:
            return frozenset(a for (a, _), _ in sides(self.loops))
        turn = -1 if self.panel.is_mirrored != self.is_carved else 1
        found = list[int]()
        for (a, p), (_, q) in sides(self.loops):
            around = (self._seen(q, is_out=True), self._seen(p, is_out=True), self._seen(p), self._seen(q))
            if turn * signed_area(around) > 0:
                found.append(a)
        return frozenset(found)

    @cached_property
    def _shown(self) -> frozenset[int]:
        """The corners at sides that show."""
        return frozenset(k for (a, _), (b, _) in sides(self.loops) if a in self._seen_sides for k in (a, b))
