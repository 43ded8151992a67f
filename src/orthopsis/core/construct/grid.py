"""How is a face divided by ticks and its diagonal, so that places on it can be marked where light lines cross?

The first edge is ticked at all heights, and at all shares of the way along the face too. The ticks run to the point of
the face; where its diagonal meets them are the places along it. The diagonal rises from the low end of the first edge;
where that asks for ticks too close to each other, it falls from the high end, if they are further apart so.
"""

from bisect import bisect_left
from collections.abc import Iterable, Sequence
from itertools import pairwise

from orthopsis.core.construct.measuring import DrawnLevel, first_edge_by_line
from orthopsis.core.construct.moves import (
    Act,
    Cross,
    Divide,
    MeasureAlong,
    Move,
    Offset,
    Rule,
    RuleToPoint,
    Run,
    Through,
    full_name,
)
from orthopsis.core.construct.panel import Panel
from orthopsis.core.plane.arc import FacePlace
from orthopsis.core.plane.tolerance import SAME_SHARE

CROWDED_MM = 2.5
"""Ticks that are closer to each other than this are hard to make and to tell apart (no source)."""


class Grid:
    """The light lines over a face.

    Attributes:
        ticks: shares of the first edge at which it is ticked.
        columns: shares of the way along at which there are lines like the first edge.
    """

    def __init__(self, thing: str, panel: Panel, places: Iterable[FacePlace], told_as: str, level: DrawnLevel) -> None:
        self._thing, self._panel, self._told_as, self._level = thing, panel, told_as, level
        marked = list(places)
        self.columns = inner_shares(along for along, _ in marked)
        heights = [up for _, up in marked]
        self._falls = not panel.is_true and _is_clearer_falling(heights, self.columns, panel.first_mm)
        self.ticks = inner_shares([*heights, *self._ticked_for_columns])

    @property
    def _ticked_for_columns(self) -> list[float]:
        """The shares of the first edge that are ticked for the sake of places along: the diagonal needs all of them."""
        return [self._crossed(share) for share in self.columns]

    def _crossed(self, along: float) -> float:
        """Return at which share of the first edge the line begins that crosses the diagonal at a share along."""
        return 1 - along if self._falls else along

    def moves(self) -> list[Move]:
        """Return the moves that draw the lines."""
        return [*self._row_moves(), *self._column_moves()]

    def _row_moves(self) -> list[Move]:
        """Return the moves that tick the first edge and carry the ticks along."""
        n, panel = self._full, self._panel
        breath = "ticks" if panel.up.goal.is_ideal else "ticks_measured"
        marks = {n(f"measure.tick.{i}"): share for i, share in enumerate(self.ticks)}
        laid = first_edge_by_line(panel, self._level, marks, n)
        told = [self._move(f"ticks_{part}", act) for part, act in laid]
        if not laid:
            told = [self._move(breath, tick(panel, name, share)) for name, share in marks.items()]
        for i in range(len(self.ticks)):
            ends = n(f"measure.tick.{i}"), n(f"measure.end.{i}")
            told.append(self._move("levels", ruled_along(panel, n(f"construction.level.{i}"), *ends)))
        return told

    def _column_moves(self) -> list[Move]:
        """Return the moves that find the places along, by the face's diagonal."""
        if not self.columns:
            return []
        n, panel = self._full, self._panel
        corners = (panel.high, panel.far_low) if self._falls else (panel.low, panel.far_high)
        acts: list[Act] = [Rule(n("construction.diagonal"), *corners, "free", "construction")]
        for i, share in enumerate(self.columns):
            mark, ends = n(f"measure.column.{i}"), (n(f"measure.foot.{i}"), n(f"measure.head.{i}"))
            up = self._crossed(share)
            counted = (i + 1, _counted(self.ticks, up))
            acts.append(Cross(mark, n("construction.diagonal"), self.row(up), counted))
            line = n(f"construction.column.{i}")
            acts.append(Through(line, *ends, mark, panel.up.family, panel.bottom, panel.top, "construction"))
        return [self._move("columns_falling" if self._falls else "columns", act) for act in acts]

    def mark(self, name: str, place: FacePlace) -> Cross | Offset:
        """Return the act that marks a place under a name within the thing: by ruler on a face that is drawn true."""
        along, up = place
        if self._panel.is_true:
            low, far_low, _, high = self._panel.page
            across_mm, up_mm = along * (far_low.x - low.x), up * (high.y - low.y)
            return Offset(self._full(name), self._panel.low, across_mm, up_mm)
        counted = (_counted(self.columns, along), _counted(self.ticks, up))
        return Cross(self._full(name), self.column(along), self.row(up), counted)

    def tick_name(self, share: float) -> str:
        """Return the full name of the tick at a share of the first edge."""
        return self._full(f"measure.tick.{_number(self.ticks, share)}")

    def row(self, share: float) -> str:
        """Return the full name of the line that runs along at a share of the first edge."""
        if share <= SAME_SHARE:
            return self._panel.bottom
        if share >= 1 - SAME_SHARE:
            return self._panel.top
        return self._full(f"construction.level.{_number(self.ticks, share)}")

    def column(self, share: float) -> str:
        """Return the full name of the line like the first edge at a share of the way along."""
        if share <= SAME_SHARE:
            return self._panel.first
        if share >= 1 - SAME_SHARE:
            return self._panel.far
        return self._full(f"construction.column.{_number(self.columns, share)}")

    def _full(self, name: str) -> str:
        return full_name(self._thing, name)

    def _move(self, breath: str, act: Act, part: str = "") -> Move:
        return Move("divide", self._thing, f"{self._told_as}.{breath}", act, part=part, face=self._panel.says)


def ruled_along(panel: Panel, line: str, start: str, end: str) -> Act:
    """Return the act that rules a light line along the face, from its first edge on."""
    if panel.along.goal.is_ideal:
        return Run(line, end, start, panel.along.family, panel.far, "construction")
    return RuleToPoint(line, start, panel.along.family, "construction")


def tick(panel: Panel, name: str, share: float) -> Act:
    """Return the act that ticks the first edge: by ruler if it is true, else by a measuring line."""
    start, end = (panel.low, panel.high) if panel.drawn_from == "low" else (panel.high, panel.low)
    from_start = share if panel.drawn_from == "low" else 1 - share
    if panel.up.goal.is_ideal:
        return MeasureAlong(name, panel.first, from_start * panel.first_mm)
    return Divide(name, start, end, panel.up.family, from_start)


def inner_shares(shares: Iterable[float]) -> list[float]:
    """Return the different shares between the ends of an edge, in order."""
    found: list[float] = []
    for share in sorted(shares):
        if SAME_SHARE < share < 1 - SAME_SHARE and (not found or share - found[-1] > SAME_SHARE):
            found.append(share)
    return found


def _is_clearer_falling(heights: Sequence[float], columns: Sequence[float], first_mm: float) -> bool:
    """Tell whether ticks that crowd are further apart if the diagonal falls from the high end of the first edge."""
    rising, falling = (
        min((b - a for a, b in pairwise(inner_shares([*heights, *wanted]))), default=1.0) * first_mm
        for wanted in (columns, [1 - share for share in columns])
    )
    return rising < CROWDED_MM and rising < falling


def _number(shares: list[float], share: float) -> int:
    """Return the number of the share, of some in order, that is nearest."""
    after = bisect_left(shares, share)
    if after == len(shares) or (after and share - shares[after - 1] < shares[after] - share):
        return after - 1
    return after


def _counted(shares: list[float], share: float) -> int:
    """Return which line is at a share, counted from the first edge or the foot, which is 0."""
    if share <= SAME_SHARE:
        return 0
    return len(shares) + 1 if share >= 1 - SAME_SHARE else _number(shares, share) + 1
