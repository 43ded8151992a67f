"""Execute moves with meets, joins and measures only; the view is never asked.

The result is a board: named points, named lines, and for each line what the pencil drew.
"""

from collections.abc import Iterable
from dataclasses import dataclass, field
from functools import singledispatch

from orthopsis.core.construct.moves import (
    Across,
    Act,
    Cross,
    Family,
    Measure,
    MeasureAlong,
    Move,
    Parallel,
    Rule,
    RuleToPoint,
    ShareAlong,
    Shift,
    Side,
)
from orthopsis.core.errors import GeometryError
from orthopsis.core.plane.homogeneous import (
    HORIZONTAL,
    VERTICAL,
    Line,
    Point,
    between,
    join,
    meet,
    toward,
)
from orthopsis.core.sheet.paper import Sheet


@dataclass(frozen=True, slots=True)
class Ruled:
    """A line on the board: where it runs, what the pencil drew of it, and whose it is."""

    name: str
    line: Line
    start: Point
    end: Point
    family: Family
    role: str
    thing: str
    rests_on: str = ""
    """The point the ruler rests on, where it is turned about one."""
    turns_to: str = ""


@dataclass(slots=True)
class Board:
    """What is on the paper so far."""

    sheet: Sheet
    points: dict[str, Point] = field(default_factory=dict)
    lines: dict[str, Ruled] = field(default_factory=dict)

    def point(self, name: str) -> Point:
        """Return a point that an earlier move made."""
        return self.points[name]

    def line(self, name: str) -> Ruled:
        """Return a line that an earlier move ruled."""
        return self.lines[name]


def execute(moves: Iterable[Move], board: Board) -> Board:
    """Carry out moves in order on the board and return it.

    Raises:
        GeometryError: a move cannot be made; it names the thing.
    """
    for move in moves:
        _perform(move.act, board, move.thing)
    return board


@singledispatch
def _perform(act: Act, board: Board, thing: str) -> None:
    raise TypeError(f"unknown move {type(act).__name__}")


@_perform.register
def _(act: Measure, board: Board, thing: str) -> None:
    board.points[act.makes] = Point(act.from_left_mm, act.from_bottom_mm)


@_perform.register
def _(act: Across, board: Board, thing: str) -> None:
    y = board.point(act.through).y
    start, end = Point(0.0, y), Point(board.sheet.width_mm, y)
    board.lines[act.makes] = Ruled(act.makes, join(start, HORIZONTAL), start, end, "level", "construction", thing)


@_perform.register
def _(act: Side, board: Board, thing: str) -> None:
    start = board.point(act.start)
    goal = HORIZONTAL if act.runs == "level" else VERTICAL
    end = toward(start, goal, act.length_mm)
    board.points[act.makes_point] = end
    board.lines[act.makes] = Ruled(act.makes, join(start, goal), start, end, act.runs, "edge", thing)


@_perform.register
def _(act: Rule, board: Board, thing: str) -> None:
    start, end = board.point(act.start), board.point(act.end)
    board.lines[act.makes] = Ruled(act.makes, join(start, end), start, end, act.family, "edge", thing)


@_perform.register
def _(act: RuleToPoint, board: Board, thing: str) -> None:
    start, goal = board.point(act.start), board.point(act.point)
    board.lines[act.makes] = Ruled(
        act.makes,
        join(start, goal),
        start,
        goal,
        act.point,
        act.role,
        thing,
        rests_on=act.point,
        turns_to=act.start,
    )


@_perform.register
def _(act: MeasureAlong, board: Board, thing: str) -> None:
    ruled = board.line(act.line)
    board.points[act.makes] = toward(ruled.start, ruled.end, act.length_mm)


@_perform.register
def _(act: ShareAlong, board: Board, thing: str) -> None:
    ruled = board.line(act.line)
    board.points[act.makes] = between(ruled.start, ruled.end, act.share)


@_perform.register
def _(act: Cross, board: Board, thing: str) -> None:
    board.points[act.makes] = _finite(meet(board.line(act.first).line, board.line(act.second).line), thing)


@_perform.register
def _(act: Parallel, board: Board, thing: str) -> None:
    start = board.point(act.start)
    line = join(start, HORIZONTAL if act.runs == "level" else VERTICAL)
    end = _finite(meet(line, board.line(act.until).line), thing)
    board.points[act.makes_point] = end
    board.lines[act.makes] = Ruled(act.makes, line, start, end, act.runs, "edge", thing)


@_perform.register
def _(act: Shift, board: Board, thing: str) -> None:
    board.points[act.makes] = toward(board.point(act.start), HORIZONTAL, act.across_mm)


def _finite(point: Point, thing: str) -> Point:
    if point.is_ideal:
        raise GeometryError(
            "never_cross", f"Two lines of “{thing}” never cross.", "Move the thing a little up or down."
        )
    return point
