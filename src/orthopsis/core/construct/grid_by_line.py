"""How are places along a face found by a measuring line at its foot, part by part, such as letter by letter?

The first edge is ticked at the heights alone. The widths are laid off as they are in truth, on a level line from the
foot of the first edge; one point of the eye level carries them over to the lower edge. Where the first edge rises to a
point, the heights are laid off there too, and the face's diagonal turns them up.
Source: division of a line by a measuring line (any textbook of perspective; from memory).
"""

from collections.abc import Callable, Iterator, Mapping, Sequence
from dataclasses import dataclass, replace

import numpy as np

from orthopsis.core.construct.grid import Grid, inner_shares
from orthopsis.core.construct.laid_widths import LaidWidths
from orthopsis.core.construct.measuring import (
    DrawnLevel,
    MeasuringLine,
    has_room,
    line_of_length,
    measuring_line,
    parts_of,
)
from orthopsis.core.construct.moves import EYE_LEVEL, Act, Cross, Move, Rule, RuleToPoint, Run, Shift
from orthopsis.core.construct.panel import Panel
from orthopsis.core.plane.arc import FacePlace
from orthopsis.core.plane.homogeneous import Point, distance, unit_toward
from orthopsis.core.plane.tolerance import SAME_POINT_MM, SAME_SHARE

FLAT_CROSSING = 0.08
"""Sine of the angle from which on lines over a lower edge cross it well enough (no source)."""
MOST_TICKS = 6
"""With more light lines across a side than this, widths are laid off on a line of their own (no source)."""
SHORTEST, LONGEST = 0.6, 1.6
"""How long the line may be against its edge on the page (no source)."""


class GridByLine(Grid):
    """The light lines over a face.

    Attributes:
        line: the measuring line, from the foot of the first edge.
    """

    def __init__(
        self,
        thing: str,
        panel: Panel,
        places: Mapping[str, Sequence[FacePlace]],
        told_as: str,
        level: DrawnLevel,
        line: MeasuringLine,
    ) -> None:  # fmt: skip
        super().__init__(thing, panel, [place for part in places.values() for place in part], told_as, level)
        self.line = line
        self._part_of: dict[int, str] = {}
        for part, own in places.items():
            for share in inner_shares(along for along, _ in own):
                number = next(i for i, column in enumerate(self.columns) if abs(column - share) <= SAME_SHARE)
                self._part_of.setdefault(number, part)

    @property
    def _ticked_for_columns(self) -> list[float]:
        """None: the first edge is ticked at heights alone."""
        return []

    def moves(self) -> list[Move]:
        """Return the moves that draw the lines."""
        if self._panel.up.goal.is_ideal or not self.ticks:
            rows = self._row_moves()
            if self.columns:
                rows += [*self._line_moves(), *self._width_marks(), *self._pivot_moves(), *self._columns_from_marks()]
            return rows
        if self._is_alike:
            told = [*self._line_moves(), *self._laid("level_places", "", self.ticks), *self._pivot_moves()]
            return [*told, *self._carried("all_ticks", ""), *self._turned_up(""), *self._columns_from_ticks()]
        marks = [*self._laid("level_heights", "up.", self.ticks), *self._width_marks()]
        told = [
            *self._line_moves(),
            *marks,
            *self._pivot_moves(),
            *self._carried("ticks", "up."),
            *self._turned_up("up."),
        ]
        return [*told, *self._columns_from_marks()]

    @property
    def _is_alike(self) -> bool:
        """Whether the shares up are those along: then one mark serves for both."""
        pairs = zip(self.ticks, self.columns, strict=False)
        is_same = all(abs(up - along) <= SAME_SHARE for up, along in pairs)
        return is_same and len(self.ticks) == len(self.columns) and set(self._part_of.values()) == {""}

    def _line_moves(self) -> list[Move]:
        last, line = self._full("measure.last"), self._full("construction.measuring")
        measuring = Rule(line, self._panel.low, last, "level", "construction")
        return [self._move("level_line", act) for act in (Shift(last, self._panel.low, self.line.length_mm), measuring)]

    def _width_marks(self) -> Iterator[Move]:
        """Yield the moves that lay off the places along, part by part."""
        marks = self._laid("level_marks", "", self.columns)
        yield from (replace(move, part=self._part_of[i]) for i, move in enumerate(marks))

    def _laid(self, breath: str, which: str, shares: Sequence[float]) -> Iterator[Move]:
        """Yield the moves that lay shares off on the level line."""
        for i, share in enumerate(shares):
            mark = self._full(f"measure.laid.{which}{i}")
            yield self._move(breath, Shift(mark, self._panel.low, share * self.line.length_mm))

    def _pivot_moves(self) -> list[Move]:
        """Return the moves that find the point of the eye level which carries the marks over."""
        n, sighted = self._full, self._full("construction.sighted")
        acts: tuple[Act, ...] = (
            Rule(sighted, n("measure.last"), self._panel.far_low, "free", "unseen"),
            Cross(self._pivot, sighted, EYE_LEVEL),
            Rule(n("construction.pivot"), n("measure.last"), self._pivot, "free", "construction"),
        )
        return [self._move("level_pivot", act) for act in acts]

    @property
    def _pivot(self) -> str:
        return self._full("measure.pivot")

    def _carried(self, breath: str, which: str) -> Iterator[Move]:
        """Yield the moves that carry the marks of heights over to the lower edge."""
        for i in range(len(self.ticks)):
            yield from (self._move(f"level_{breath}", act) for act in self._carry(f"{which}{i}"))

    def _carry(self, mark: str) -> Iterator[Act]:
        carry = self._full(f"construction.carry.{mark}")
        yield Rule(carry, self._full(f"measure.laid.{mark}"), self._pivot, "free", "unseen")
        yield Cross(self._full(f"measure.foot.{mark}"), carry, self._panel.bottom)

    def _turned_up(self, which: str) -> Iterator[Move]:
        """Yield the moves that draw lines at heights up an edge that goes away, from the ticks on the lower edge.

        The diagonal of a face cuts a line at a share of the way along at the same share of the way up.
        """
        n, panel, diagonal = self._full, self._panel, self._full("construction.diagonal")
        yield self._move("level_diagonal", Rule(diagonal, panel.low, panel.far_high, "free", "construction"))
        for i in range(len(self.ticks)):
            rise, foot = n(f"construction.rise.{i}"), n(f"measure.foot.{which}{i}")
            yield self._move("level_diagonal", RuleToPoint(rise, foot, panel.up.family, "unseen"))
            yield self._move("level_diagonal", Cross(n(f"measure.across.{i}"), rise, diagonal))
        for i in range(len(self.ticks)):
            across, tick, way = n(f"measure.across.{i}"), n(f"measure.tick.{i}"), panel.along.family
            # One stroke: the ruler on the mark and on the point shows where it begins.
            back = Run(n(f"construction.row.{i}"), tick, across, way, panel.first, "unseen")
            for act in (back, RuleToPoint(n(f"construction.level.{i}"), tick, way, "construction")):
                yield self._move("level_rows", act)

    def _columns_from_marks(self) -> Iterator[Move]:
        """Yield the moves that carry each mark over to the lower edge, and draw the line like the first edge there."""
        for i in range(len(self.columns)):
            yield from (self._move("level_columns", act) for act in (*self._carry(f"{i}"), self._column(i)))

    def _columns_from_ticks(self) -> Iterator[Move]:
        """Yield the moves that draw the lines like the first edge from ticks that are there."""
        yield from (self._move("level_columns_there", self._column(i)) for i in range(len(self.columns)))

    def _column(self, i: int) -> Act:
        n, panel = self._full, self._panel
        line, head = n(f"construction.column.{i}"), n(f"measure.head.{i}")
        return Run(line, head, n(f"measure.foot.{i}"), panel.up.family, panel.top, "construction")


def grid_on(thing: str, panel: Panel, places: Mapping[str, Sequence[FacePlace]], level: DrawnLevel) -> Grid:
    """Return the light lines over a face of another thing: by ticks and its diagonal, where few lines do.

    Where many would be needed, and widths come onto marks of a measuring line at the foot, they come from that; and
    where the first edge rises to a point, so that nothing can be measured on it, all does.

    Args:
        places: by the part whose they are, such as a letter.
    """
    every = [place for part in places.values() for place in part]
    along, up = (inner_shares(place[axis] for place in every) for axis in (0, 1))
    rises = not panel.up.goal.is_ideal
    if rises and abs(panel.up.goal.y - level.height_mm) <= SAME_POINT_MM:
        return Grid(thing, panel, every, "face", level)
    many = bool(along) and not panel.is_level and len(inner_shares([*along, *up])) > MOST_TICKS
    line = None
    if rises or many:
        line = _line_for([*along, *up] if rises else along, panel, level, is_on_marks=not rises)
    if line is not None:
        return GridByLine(thing, panel, places, "face", level, line)
    return Grid(thing, panel, every, "face", level)


def _line_for(shares: Sequence[float], panel: Panel, level: DrawnLevel, *, is_on_marks: bool) -> MeasuringLine | None:
    """Return the measuring line at the foot of a face on which shares come onto marks of the ruler, if they can.

    Args:
        is_on_marks: whether one on which they do not is of no use.
    """
    if not _is_along_level(panel, level):
        return None
    (low, far, _, _), division = panel.page, level.sheet.division_mm
    parts, marks = parts_of(shares), round(panel.first_mm / division)
    if parts == 1 and all(abs(share * marks - round(share * marks)) <= SAME_SHARE * marks for share in shares):
        parts = marks  # they lie on marks of the first edge: so they do on a line as long, or a multiple of it
    steps = [parts] if parts > 1 else []
    steps += () if is_on_marks else (1,)
    lines = (measuring_line(low, far, level.height_mm, level.sheet, step) for step in steps)
    return next((line for line in lines if line is not None and _crosses_well(line, low, far)), None)


@dataclass(frozen=True, slots=True)
class LaidLine:
    """A measuring line with places along it.

    Attributes:
        line: the line itself; it begins at the foot of the first edge.
        share: for a place as it is in truth, a share of the line, the share on which it lies at a mark of the ruler.
    """

    line: MeasuringLine
    share: Callable[[float], float]


def laid_at_foot(panel: Panel, level: DrawnLevel, parts: Sequence[Sequence[FacePlace]]) -> LaidLine | None:
    """Return the measuring line at the foot of a wall on which its widths are laid off.

    None where its diagonal does as well, since few light lines lead to all places; where no line has room, or lines
    would cross too flatly.

    Args:
        parts: the places of each part, shares of the face.
    """
    if panel.is_level or panel.pitch is not None:
        return None
    if len(inner_shares(share for part in parts for place in part for share in place)) <= MOST_TICKS:
        return None
    if not _is_along_level(panel, level):
        return None
    low, far, _, _ = panel.page
    division, widths = level.sheet.division_mm, LaidWidths([[along for along, _ in part] for part in parts])
    way = 1 if far.x >= low.x else -1
    for side in (way, -way):
        marks = _with_room(low, far, level, side)
        for places in widths.best(marks) if marks else ():
            line = line_of_length(low, far, level.height_mm, side * float(places[-1]) * division)
            if line is not None and has_room(line, low, level.sheet) and _crosses_well(line, low, far):
                return LaidLine(line, widths.shares_on(places))
    return None


def _with_room(low: Point, far: Point, level: DrawnLevel, side: int) -> list[int]:
    """Return how many marks lines to a side can have that lie on the sheet with their pivots, the likeliest first."""
    sheet, rise = level.sheet, far.y - low.y
    reach = distance(low, far) / sheet.division_mm
    most = min(reach * LONGEST, max(sheet.width_mm, sheet.height_mm) / sheet.division_mm)
    marks = np.arange(max(int(reach * SHORTEST), 1), int(most) + 1)
    if rise == 0 or not marks.size:
        return []
    last = low.x + side * marks * sheet.division_mm
    pivot = last + (far.x - last) * (level.height_mm - low.y) / rise
    is_on_sheet = (np.minimum(last, pivot) >= 0) & (np.maximum(last, pivot) <= sheet.width_mm)
    found: list[int] = marks[is_on_sheet].tolist()
    return sorted(found, key=lambda count: abs(count - reach))


def _is_along_level(panel: Panel, level: DrawnLevel) -> bool:
    """Tell whether a face goes away to a point of the eye level."""
    goal = panel.along.goal
    return not goal.is_ideal and abs(goal.y - level.height_mm) <= SAME_POINT_MM


def _crosses_well(line: MeasuringLine, low: Point, far: Point) -> bool:
    """Tell whether the lines from the marks cross the edge well, at both of its ends."""
    edge = unit_toward(low, far)
    ways = (unit_toward(at, line.pivot) for at in (low, far))
    return min(abs(edge[0] * way[1] - edge[1] * way[0]) for way in ways) > FLAT_CROSSING
