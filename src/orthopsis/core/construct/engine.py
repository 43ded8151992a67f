"""Execute moves with meets, joins and measures only; the view is never asked.

The result is a board: named points, named lines, and for each line what the pencil drew.
"""

import math
from collections.abc import Iterable
from dataclasses import dataclass, field
from functools import singledispatch

from orthopsis.core.construct.moves import (
    Across,
    Act,
    Cross,
    Curve,
    CurvePart,
    Divide,
    Family,
    Measure,
    MeasureAlong,
    MeasureAside,
    Move,
    Offset,
    Rule,
    RuleToPoint,
    Run,
    RunToCurve,
    ShareAlong,
    Shift,
    Side,
    Slide,
    Through,
    Touch,
)
from orthopsis.core.errors import GeometryError
from orthopsis.core.light.light import RAYS
from orthopsis.core.plane.arc import Arc
from orthopsis.core.plane.homogeneous import (
    HORIZONTAL,
    VERTICAL,
    Line,
    Point,
    between,
    distance,
    join,
    meet,
    toward,
)
from orthopsis.core.plane.tolerance import SAME_LINE, SAME_POINT_MM
from orthopsis.core.sheet.paper import Sheet

_IDEAL = {"level": HORIZONTAL, "upright": VERTICAL}


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
    arc: Arc | None = None
    """Where it is a curve; ``line`` is then its chord."""


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
def _(act: Offset, board: Board, thing: str) -> None:
    start = board.point(act.start)
    board.points[act.makes] = Point(start.x + act.across_mm, start.y + act.up_mm)


@_perform.register
def _(act: Across, board: Board, thing: str) -> None:
    y = board.point(act.through).y
    start, end = Point(act.from_left_mm, y), Point(act.to_left_mm, y)
    board.lines[act.makes] = Ruled(act.makes, join(start, HORIZONTAL), start, end, "level", "construction", thing)


@_perform.register
def _(act: Side, board: Board, thing: str) -> None:
    start = board.point(act.start)
    goal = HORIZONTAL if act.runs == "level" else VERTICAL
    end = toward(start, goal, act.length_mm)
    board.points[act.makes_point] = end
    board.lines[act.makes] = Ruled(act.makes, join(start, goal), start, end, act.runs, act.role, thing)


@_perform.register
def _(act: Rule, board: Board, thing: str) -> None:
    start, end, line = board.point(act.start), board.point(act.end), join(board.point(act.start), board.point(act.end))
    stop = _stop(start, end, line, act.stops_at, board)
    board.lines[act.makes] = Ruled(act.makes, line, start, stop, act.family, act.role, thing)


@_perform.register
def _(act: RuleToPoint, board: Board, thing: str) -> None:
    start, goal = board.point(act.start), board.point(act.point)
    line = join(start, goal)
    end = _stop(start, goal, line, act.stops_at, board)
    if act.until:
        end = _finite(meet(line, board.line(act.until).line), thing)
    board.lines[act.makes] = Ruled(
        act.makes, line, start, end, act.point, act.role, thing, rests_on=act.point, turns_to=act.start
    )


def _stop(start: Point, goal: Point, line: Line, stops_at: Iterable[str], board: Board) -> Point:
    """Return where the hand stops on its way: at the first of some lines, else at its goal."""
    crossings = [board.line(name) for name in stops_at]
    met = [at for front in crossings if (at := _first_meeting(start, goal, line, front)) is not None]
    return min(met, key=lambda at: distance(start, at), default=goal)


def _first_meeting(start: Point, goal: Point, line: Line, other: Ruled) -> Point | None:
    """Return where the way from start to goal crosses a drawn line; touching at the start does not count."""
    if abs(line.a * other.line.b - line.b * other.line.a) <= SAME_LINE:
        return None
    at = meet(line, other.line)
    if distance(start, at) <= SAME_POINT_MM:
        return None
    return at if _is_between(at, start, goal) and _is_between(at, other.start, other.end) else None


def _is_between(at: Point, start: Point, end: Point) -> bool:
    """Tell whether a point in line with two others lies between them, or at one of them."""
    dx, dy = end.x - start.x, end.y - start.y
    reach = math.hypot(dx, dy)
    along = (at.x - start.x) * dx + (at.y - start.y) * dy
    return -SAME_POINT_MM / 2 * reach <= along <= (reach + SAME_POINT_MM / 2) * reach


@_perform.register
def _(act: MeasureAlong, board: Board, thing: str) -> None:
    ruled = board.line(act.line)
    board.points[act.makes] = toward(ruled.start, _goal(ruled, board), act.length_mm)


@_perform.register
def _(act: MeasureAside, board: Board, thing: str) -> None:
    ruled = board.line(act.line)
    upright = join(Point(ruled.start.x + act.across_mm, ruled.start.y), VERTICAL)
    board.points[act.makes] = _finite(meet(ruled.line, upright), thing)


@_perform.register
def _(act: Divide, board: Board, thing: str) -> None:
    start, end, goal = board.point(act.start), board.point(act.end), board.point(act.point)
    last = toward(start, HORIZONTAL, distance(start, end))
    pivot = meet(join(last, end), join(goal, HORIZONTAL))
    mark = between(start, last, act.share)
    board.points[act.makes] = _finite(meet(join(mark, pivot), join(start, end)), thing)


@_perform.register
def _(act: ShareAlong, board: Board, thing: str) -> None:
    ruled = board.line(act.line)
    board.points[act.makes] = between(ruled.start, _goal(ruled, board), act.share)


def _goal(ruled: Ruled, board: Board) -> Point:
    """Return where a line really runs to, even if the hand stops earlier."""
    return board.point(ruled.rests_on) if ruled.rests_on else ruled.end


@_perform.register
def _(act: Cross, board: Board, thing: str) -> None:
    board.points[act.makes] = _finite(meet(board.line(act.first).line, board.line(act.second).line), thing)


@_perform.register
def _(act: Run, board: Board, thing: str) -> None:
    start = board.point(act.start)
    goal = _IDEAL[act.runs] if act.runs in _IDEAL else board.point(act.runs)
    _until(act, board, thing, join(start, goal), "free" if act.runs == RAYS else act.runs)


@_perform.register
def _(act: Through, board: Board, thing: str) -> None:
    point = board.point(act.through)
    line = join(point, _IDEAL[act.runs] if act.runs in _IDEAL else board.point(act.runs))
    start, end = (_finite(meet(line, board.line(name).line), thing) for name in (act.first, act.second))
    board.points[act.makes_point], board.points[act.makes_other] = start, end
    board.lines[act.makes] = Ruled(act.makes, line, start, end, act.runs, act.role, thing)


@_perform.register
def _(act: Slide, board: Board, thing: str) -> None:
    first, second = (board.point(name) for name in act.like)
    _until(act, board, thing, join(board.point(act.start), join(first, second).direction), "free")


def _until(act: Run | Slide, board: Board, thing: str, line: Line, family: Family) -> None:
    start, end = board.point(act.start), _finite(meet(line, board.line(act.until).line), thing)
    board.points[act.makes_point] = end
    stop = _stop(start, end, line, act.stops_at, board)
    board.lines[act.makes] = Ruled(act.makes, line, start, stop, family, act.role, thing)


@_perform.register
def _(act: Curve, board: Board, thing: str) -> None:
    start, pole, end, centre = (board.point(name) for name in (act.start, act.pole, act.end, act.centre))
    arc = Arc(start, pole, end, centre)
    board.lines[act.makes] = Ruled(act.makes, join(start, end), start, end, "free", act.role, thing, arc=arc)
    names, angles = zip(*act.marks, strict=True) if act.marks else ((), ())
    board.points |= dict(zip(names, arc.places(angles), strict=True))


@_perform.register
def _(act: RunToCurve, board: Board, thing: str) -> None:
    start, arc = board.point(act.start), board.line(act.until).arc
    assert arc is not None
    line = join(start, _IDEAL[act.runs] if act.runs in _IDEAL else board.point(act.runs))
    met = arc.places(arc.meets(line))
    if not met:
        raise GeometryError("misses_curve", f"A line of “{thing}” misses its curve.", "Move the thing a little.")
    end = min(met, key=lambda at: distance(start, at))
    board.points[act.makes_point] = end
    board.lines[act.makes] = Ruled(act.makes, line, start, end, act.runs, act.role, thing)


@_perform.register
def _(act: CurvePart, board: Board, thing: str) -> None:
    start, end, whole = board.point(act.start), board.point(act.end), board.line(act.line).arc
    assert whole is not None
    arc = whole.between(start, end)
    board.lines[act.makes] = Ruled(act.makes, join(start, end), start, end, "free", act.role, thing, arc=arc)


@_perform.register
def _(act: Touch, board: Board, thing: str) -> None:
    arc = board.line(act.line).arc
    assert arc is not None
    goal = _IDEAL[act.point] if act.point in _IDEAL else board.point(act.point)
    board.points[act.makes] = arc.at(arc.touches_between(goal)[act.number])


@_perform.register
def _(act: Shift, board: Board, thing: str) -> None:
    board.points[act.makes] = toward(board.point(act.start), HORIZONTAL, act.across_mm)


def _finite(point: Point, thing: str) -> Point:
    if point.is_ideal:
        raise GeometryError(
            "never_cross", f"Two lines of “{thing}” never cross.", "Move the thing a little up or down."
        )
    return point
