"""How are places along a face found by a measuring line at its foot, part by part, such as letter by letter?

The first edge is ticked at the heights alone. The widths are laid off as they are in truth, on a level line from the
foot of the first edge; one point of the eye level carries them over to the lower edge. Where the first edge rises to a
point, the heights are laid off there too, and the face's diagonal turns them up.
Source: division of a line by a measuring line (any textbook of perspective; from memory).
"""

from collections.abc import Iterator, Mapping, Sequence
from dataclasses import replace

from orthopsis.core.construct.grid import Grid, inner_shares
from orthopsis.core.construct.laid_line import LaidLine, line_on
from orthopsis.core.construct.measuring import DrawnLevel, MeasuringLine
from orthopsis.core.construct.moves import EYE_LEVEL, Act, Cross, Move, Rule, RuleToPoint, Run, Shift
from orthopsis.core.construct.panel import Panel
from orthopsis.core.plane.arc import FacePlace
from orthopsis.core.plane.tolerance import SAME_SHARE


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


def grid_on(
    thing: str,
    panel: Panel,
    places: Mapping[str, Sequence[FacePlace]],
    level: DrawnLevel,
    laid: LaidLine | None = None,
    told_as: str = "face",
) -> Grid:
    """Return the light lines over a face: from a measuring line at its foot where that leads there better.

    Args:
        places: by the part whose they are, such as a letter.
        laid: the line to which the places were fitted; without one they stay as they are, and a line is used on which
            they come to lie on marks.
        told_as: what the words of its steps are called by.
    """
    every = [place for part in places.values() for place in part]
    line = laid.line if laid is not None else line_on(panel, level, every)
    if line is not None:
        return GridByLine(thing, panel, places, told_as, level, line)
    return Grid(thing, panel, every, told_as, level)
