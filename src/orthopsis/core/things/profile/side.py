"""A profile on one face of a block, in two- and three-point perspective, carried back to the opposite point.

The block stands first, about its nearest edge; the face is divided with its diagonal; the outline's corners are the
crossings; then the corners are scanned one by one to the other point. Where a cut takes away the nearest edge, the new
corners go to that point like all others.
"""

import itertools
from collections.abc import Iterable, Iterator, Mapping, Sequence
from dataclasses import replace
from functools import partial

import numpy as np
from propcache.api import cached_property

from orthopsis.core.construct.carried_back import Back, SeenBack, back_moves, needed
from orthopsis.core.construct.carry import (
    CarriedOutline,
    Mark,
    guide_moves,
    guided_corners,
    loops_of,
    part_moves,
)
from orthopsis.core.construct.cut_out import side_cut_moves
from orthopsis.core.construct.grid import Grid
from orthopsis.core.construct.grid_by_line import grid_on
from orthopsis.core.construct.laid_line import LaidLine, laid_at_foot
from orthopsis.core.construct.leaning import leaning
from orthopsis.core.construct.moves import Act, Cross, Move, Offset, Rule, RuleToPoint, Run
from orthopsis.core.construct.panel import Panel
from orthopsis.core.construct.rounding import round_moves
from orthopsis.core.plane.arc import Arc, FacePlace
from orthopsis.core.plane.homogeneous import Point
from orthopsis.core.plane.tolerance import SAME_POINT_MM
from orthopsis.core.sheet.ruler import round_to
from orthopsis.core.sight.solid import Solid
from orthopsis.core.things.answers import Clause, Handle
from orthopsis.core.things.box import block_recipe
from orthopsis.core.things.box.corner import CornerBox, OfBlock
from orthopsis.core.things.outline import pieces, with_corner
from orthopsis.core.things.parameters import Value
from orthopsis.core.things.profile.body import body, corner_handles, parts_of, seen_back
from orthopsis.core.things.profile.cut import Cut, cut_of
from orthopsis.core.things.profile.shares import Shares, shares_of
from orthopsis.core.things.setting import Setting
from orthopsis.core.things.values import Values
from orthopsis.core.view.eye import Array


class SideProfile(OfBlock):
    """A shape that is cut from one face of a block."""

    sentence: tuple[Clause, ...] = (Clause("A shape with {outline} on the {side} of a block. "), *CornerBox.sentence)
    own: tuple[str, ...] = ("outline",)

    @classmethod
    def place(cls, setting: Setting, count: int) -> Mapping[str, Value]:
        """Return values for one more profile, between the points and on the sheet, as a box would stand."""
        fresh = dict(super().place(setting, count))
        slice_mm = round_to(float(fresh["right_length"]) / 3, setting.sheet.division_mm)  # type: ignore[arg-type]
        return {**fresh, "right_length": max(slice_mm, setting.sheet.division_mm)}

    @cached_property
    def shaped(self) -> Values:
        """Its values with the outline that is cut."""
        return self.values

    @cached_property
    def cut(self) -> Cut:
        """The face from which it is cut, and the lines of the block that help."""
        return cut_of(self)

    @cached_property
    def shares(self) -> Shares:
        """The places of the outline in shares of the face's width, from its left end, and height.

        Heights are found from ticks on its first edge, widths from a level line at its foot or from those ticks too.
        Where a ruler makes such a mark, the share is that of a mark of its own.
        """
        shares, laid, division = self._given_shares, self.laid, self.setting.sheet.division_mm
        ticked = self.values.mm("height") / division if self.cut.panel.up.goal.is_ideal else 0.0
        if laid is None:
            return shares.on_marks(ticked) if ticked else shares

        def across(place: FacePlace) -> FacePlace:
            along, up = self.cut.on_panel(place)
            return self.cut.on_panel((laid.share(along), up))

        return shares.mapped(across).up_on_marks(ticked or abs(laid.line.length_mm) / division)

    @cached_property
    def _given_shares(self) -> Shares:
        loops, shares = self._loops, shares_of(self.shaped.outline("outline"), self.shaped.face("outline"))
        if self.cut.is_level:
            return shares
        edges = [pair for loop in loops for pair in zip(loop, (*loop[1:], loop[0]), strict=True)]
        # What a curve runs into keeps a light line of its own: so they stay apart on the ruler's marks.
        kept = {corner for edge in edges for corner in edge if not shares.rounded.keys().isdisjoint(edge)}
        return replace(shares, leaning=leaning(shares.corners, edges, self._part_corners, kept))

    @cached_property
    def _loops(self) -> tuple[tuple[int, ...], ...]:
        return loops_of([len(loop) for loop in self.shaped.outline("outline")])

    @property
    def _part_corners(self) -> list[list[int]]:
        """The corners of each part of the outline."""
        loops, parts = iter(self._loops), self.shaped.parts or (("", len(self._loops)),)
        return [[corner for loop in itertools.islice(loops, count) for corner in loop] for _, count in parts]

    @cached_property
    def laid(self) -> LaidLine | None:
        """The line at the foot of a side on which widths are laid off; None where they are found by the diagonal."""
        given, on_panel = self._given_shares, self.cut.on_panel
        parts = [[on_panel(place) for c in own for place in given.places_of(c)] for own in self._part_corners]
        return laid_at_foot(self.cut.panel, self.setting.level, parts)

    @cached_property
    def outline(self) -> CarriedOutline:
        """The outline on its face, with its corners where the eye sees them."""
        cut, frame, loops, shares = self.cut, self.setting.frame, self.shaped.outline("outline"), self.shares
        over = frame.way(cut.over)
        down = -1.0 if cut.panel.face == "top" else 1.0

        def see(places: Iterable[FacePlace]) -> list[Point]:
            seen = frame.eye.see(cut.panel.places(cut.on_panel(place) for place in places))
            return [Point(x, y) for x, y in seen.tolist()]

        return CarriedOutline(
            thing=self.values.name,
            loops=self._loops,
            flat=shares.corners,
            page=dict(zip(shares.corners, see(shares.corners.values()), strict=True)),
            pieces=pieces(loops),
            rounded=shares.rounded,
            parts=self.shaped.parts,
            arcs={n: Arc(*see((r.start, r.pole, r.end, r.centre))) for n, r in shares.rounded.items()},
            across=(cut.panel.along.family, cut.panel.along.goal),
            up=(cut.panel.up.family, cut.panel.up.goal),
            goal_name=over.family,
            goal=Point(0.0, down, 0.0) if cut.is_upright else over.goal,
            limits=(cut.first_end, cut.foot_end or ""),
            parting_mm=self.near_edge["bottom"].x,
            ready={n: line for n, place in shares.corners.items() if (line := cut.ready(place)) is not None},
        )

    @cached_property
    def solid(self) -> Solid:
        """The profile in the world of the frame's eye."""
        return self._solid(self.outline)

    def _solid(self, outline: CarriedOutline) -> Solid:
        cut, (_, vectors) = self.cut, self.axes

        def places(flat: Array) -> Array:
            return cut.panel.places(cut.on_panel((across, up)) for across, up in flat.tolist())

        # The upright vector leads from the level of the first corner to the other one.
        sign = -1.0 if cut.is_level and cut.panel.face != self.first else 1.0
        return body(outline, places, sign * vectors[cut.over], cut.turned, cut.panel.face)

    @cached_property
    def recipe(self) -> tuple[Move, ...]:
        """The hand's moves: block, division of the face, outline, guide lines, back."""
        if not (self.cut.is_level or self.values.is_see_through):
            self._check_ends()
        outline, cut, grid = self.outline, self.cut, self._grid
        moves = block_recipe.body_moves(self)
        if cut.is_level:
            moves += block_recipe.back_moves(self, (cut.panel.face,))

        def mark(name: str, place: FacePlace) -> Cross | Offset:
            return grid.mark(name, cut.on_panel(place))

        moves += grid.moves()
        told, on_front = cut.told("outline"), partial(self._mark_corner, grid)
        for part, corners in outline.part_corners:
            if cut.is_level:
                drawn = part_moves(outline, part, corners, told, on_front)
            else:
                drawn = self._leaning_moves(part, corners, on_front)
                drawn += side_cut_moves(outline, part, corners, told, on_front)
            moves += _marked_once(drawn)
        guided = outline.corners if self.values.is_see_through else guided_corners(outline)
        page, seen = self.block_form.picture(self.setting.frame.eye), self.seen_back
        found = needed(outline, seen, any_way=False)
        reaching = {c: Point(*page[name]) for c in found if (name := f"back.{c}") in page}
        rims, back = self._back(found, guided, seen)
        moves += guide_moves(outline, guided, cut.told("guides"), reaching=reaching, late=back.late)
        return (*moves, *rims, *back.moves, *round_moves(outline, seen.curves, mark))

    def _mark_corner(self, grid: Grid, corner: int) -> Cross | Offset:
        """Return the act that marks a corner on the front: where light lines cross, of which one may lean."""
        on, name = self.shares.leaning.found.get(corner), f"front.{corner}"
        by_lines = grid.mark(name, self.cut.on_panel(self.outline.flat[corner]))
        if on is None or isinstance(by_lines, Offset):
            return by_lines
        line, (column, row) = self._leaning_line(on.line), by_lines.counted or (None, None)
        if on.by == "row":
            return replace(by_lines, first=line, counted=(None, row))
        if on.by == "column":
            return replace(by_lines, second=line, counted=(column, None))
        return replace(by_lines, first=line, second=self._leaning_line(on.by), counted=(None, None))

    def _leaning_line(self, number: int) -> str:
        return self.values.full(f"construction.leaning.{number}")

    def _leaning_moves(self, part: str, corners: Sequence[int], mark: Mark) -> list[Move]:
        """Return the moves that draw the lines of a part that lean, lightly, from corner to corner."""
        acts = list[Act]()
        for number, (start, end) in enumerate(self.shares.leaning.lines):
            if start in corners:
                low, high = mark(start), mark(end)
                line = Rule(self._leaning_line(number), low.makes, high.makes, "free", "construction")
                acts += [low, high, line]
        return [Move("front", self.values.name, "front.leaning", act, part=part) for act in acts]

    def _check_ends(self) -> None:
        """Refuse a body whose foot or top lies on the eye level: there nobody finds the corners of its back."""
        level, division = self.setting.frame.level_mm, self.setting.sheet.division_mm
        for end, says in (("bottom", "foot"), ("top", "top")):
            if abs(self.near_edge[end].y - level) <= SAME_POINT_MM:
                raise self.refused(
                    "end_on_eye_level",
                    f"has its {says} on the eye level, where all its lines that go away lie on one another",
                    self.values.mm("bottom") + division,
                    "bottom",
                    is_least=True,
                )

    @cached_property
    def seen_back(self) -> SeenBack:
        """What is seen of its back."""
        see_through = self.values.is_see_through
        return seen_back(self.outline, self.block_form, self.solid, self.setting, is_see_through=see_through)

    @cached_property
    def block_form(self) -> Solid:
        """The profile without its curves, from which the hand starts."""
        return self._solid(self.outline.block_form) if self.outline.rounded else self.solid

    @cached_property
    def _grid(self) -> Grid:
        """The light lines on whose crossings all lies: corners, and where curves begin and have their centres."""
        cut, laid, level = self.cut, self.laid, self.setting.level
        found = {part: self._places_of(corners) for part, corners in self.outline.part_corners}
        told_as = "face" if cut.is_level else "divide"
        return grid_on(self.values.name, cut.panel, found, level, laid, told_as)

    def _places_of(self, corners: Iterable[int]) -> list[FacePlace]:
        """Return all that is to be found for some corners, as the face counts it."""
        return [self.cut.on_panel(place) for corner in corners for place in self.shares.places_of(corner)]

    def _back(self, found: set[int], guided: Sequence[int], seen: SeenBack) -> tuple[list[Move], Back]:
        """Cut the guide lines of the corners at the face's rims where the block ends; the rest follows.

        Args:
            found: the corners of the back that must be found.
        """
        n, cut, outline = self.values.full, self.cut, self.outline
        ends = {c: end for c, place in outline.flat.items() if (end := cut.end(place)) is not None}
        drawn = {*guided, *outline.ready, *(c for c in ends if c in found)}
        moves = list[Move]()
        for c, end in ends.items():
            breath = cut.told("depth") if c in drawn else ""
            if c in drawn and c not in guided and c not in outline.ready:
                light = outline.aim(f"guide.{c}", n(f"front.{c}"), outline.page[c], "guide")
                moves.append(self.values.move("depth", breath, light))
            moves.append(self.values.move("depth", breath, Cross(n(f"back.{c}"), outline.guide(c), end)))
        known = [c for c in ends if c in drawn]
        back = back_moves(outline, known, drawn, seen, self._round_the_corner, made=[c for c in ends if c not in drawn])
        return moves, replace(back, late=back.late | (drawn - {*guided, *outline.ready}))

    def _round_the_corner(self, number: int) -> list[Move]:
        """Carry a height round the first edge to where the block ends, and from there to the corner's guide line."""
        n, cut, share = self.values.full, self.cut, self.outline.flat[number][1]
        line, at_end = cut.ready_at(share), n(f"measure.round.{number}")
        on, moves = self.shares.leaning.found.get(number), list[Move]()
        if line is not None:
            carried: list[Act] = [Cross(at_end, line, cut.first_end)]
        else:
            tick, along = self._grid.tick_name(share), cut.panel.along.family
            if on is not None and on.by != "row":
                tick, light = n(f"measure.over.{number}"), n(f"construction.over.{number}")
                over = Run(light, tick, n(f"front.{number}"), along, cut.panel.first, "construction")
                moves.append(self.values.move("back", "back.height", over))
            line, family = n(f"construction.round.{number}"), self.family(cut.over)
            carried = [RuleToPoint(line, tick, family, "construction"), Cross(at_end, line, cut.first_end)]
            if cut.is_upright:
                carried = [Run(line, at_end, tick, family, cut.first_end, "construction")]
        run = Run(
            n(f"construction.round_back.{number}"),
            n(f"back.{number}"),
            at_end,
            cut.panel.along.family,
            self.outline.guide(number),
            "construction",
        )
        told = cut.told("round_at_end" if cut.ready_at(share) is not None else "round")
        return [*moves, *(self.values.move("back", told, act) for act in (*carried, run))]

    @cached_property
    def faces(self) -> Mapping[str, Panel]:
        """The face from which the shape is cut, with what is left of it."""
        cut = self.cut
        parts = parts_of(self.outline, cut.on_panel)
        return {cut.panel.face: replace(cut.panel, says=cut.says, parts=parts)}

    @property
    def cut_from(self) -> Panel:
        """The face from which it is cut, of a word on both sides of a fold the first one."""
        return next(iter(self.faces.values()))

    @property
    def front(self) -> str:
        """The side from which it is cut lies across."""
        return self.values.word("side")

    @property
    def shape(self) -> Mapping[str, float]:
        """Width and height of what it is cut from, and its depth; nothing where it is cut from the top."""
        side = self.values.word("side")
        if side == "level":
            return {}
        return {"across": self.true_length(side), "away": self.true_length(self.cut.over), "up": self.true_height}

    def of_shape(self, shape: Mapping[str, float]) -> Mapping[str, Value]:
        """Return the block of that size."""
        if self.values.word("side") == "right":
            return super().of_shape(shape)
        return super().of_shape({**shape, "across": shape["away"], "away": shape["across"]})

    @property
    def handles(self) -> Mapping[str, Handle]:
        """Those of the block, and each corner of the outline."""
        return {**super().handles, **corner_handles(self.outline, self._drag_corner)}

    def _drag_corner(self, number: int, at: Point) -> Mapping[str, Value]:
        """Put a corner where the line of sight through the page meets the face."""
        panel, sight = self.cut.panel, self.setting.frame.eye.ray(at)
        try:
            along, high, _ = np.linalg.solve(np.column_stack((*panel.axes, -sight)), -np.array(panel.start))
        except np.linalg.LinAlgError:
            return {}  # the line of sight runs along the face
        width, height = self.shaped.face("outline")
        (across, up), division = self.cut.on_panel((float(along), float(high))), self.setting.sheet.division_mm
        corner = (max(round_to(across * width, division), 0.0), max(round_to(up * height, division), 0.0))
        return {"outline": with_corner(self.values.outline("outline"), number, corner)}


def _marked_once(moves: Sequence[Move]) -> Iterator[Move]:
    """Yield the moves without marks of points that are marked already."""
    made = set[str]()
    for move in moves:
        if not isinstance(move.act, Cross | Offset) or move.act.makes not in made:
            yield move
        made.add(move.act.makes)
