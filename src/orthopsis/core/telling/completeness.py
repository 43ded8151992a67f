"""Does every step follow from what earlier steps told? A pupil has only the paper, and what was said.

A point is there when a told step has marked it, or where a drawn line ends. A line is there as far as it was drawn.
Where the ruler only lies along a line, that line helps in its own step and is gone after it. What an act takes up must
be there, and what it measures along must be long enough.
"""

from collections.abc import Iterator, Mapping, Sequence
from dataclasses import dataclass, field
from typing import Literal

from orthopsis.core.construct.engine import Board, Ruled
from orthopsis.core.construct.moves import (
    Across,
    Act,
    Cross,
    Curve,
    CurvePart,
    Divide,
    MeasureAlong,
    MeasureAside,
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
    outputs,
)
from orthopsis.core.construct.steps import Breath
from orthopsis.core.plane.homogeneous import Point, distance, offset

NEAR_MM = 0.01
"""What lies this near is the same place: a tenth of what a sharp pencil draws (no source)."""

Why = Literal["no_point", "no_line", "too_short"]


@dataclass(frozen=True, slots=True)
class Gap:
    """What a step takes up that no told step has made.

    Attributes:
        breath: the step.
        act: what cannot be done.
        name: the point or line that is not there, or does not reach so far.
        why: in which way.
    """

    breath: Breath
    act: Act
    name: str
    why: Why


@dataclass(slots=True)
class _Paper:
    """What is on the paper: places that are marked, and lines as far as they are drawn."""

    board: Board
    places: set[tuple[int, int]] = field(default_factory=set)
    lines: list[Ruled] = field(default_factory=list)
    laid: dict[str, Ruled] = field(default_factory=dict)
    """Lines along which the ruler lies in this step."""

    def mark(self, at: Point) -> None:
        if not at.is_ideal:
            self.places.add(_cell(at))

    def draw(self, line: Ruled) -> None:
        self.lines.append(line)
        self.mark(line.start)
        self.mark(line.end)

    def has_point(self, at: Point) -> bool:
        x, y = _cell(at)
        return at.is_ideal or any((x + i, y + j) in self.places for i in (-1, 0, 1) for j in (-1, 0, 1))

    def reaches(self, name: str, at: Point) -> bool:
        """Tell whether a line is there up to a place: as it was drawn, as part of another one, or under the ruler."""
        if name in self.laid:
            return True
        own = self.board.lines[name]
        return any(_lies_on(at, line) for line in self.lines if line is own or _is_along(own, line))

    def has_line(self, name: str) -> bool:
        own = self.board.lines[name]
        return name in self.laid or any(line is own or _is_along(own, line) for line in self.lines)


def _cell(at: Point) -> tuple[int, int]:
    return round(at.x / NEAR_MM), round(at.y / NEAR_MM)


def _is_along(own: Ruled, other: Ruled) -> bool:
    """Tell whether two lines lie on one straight line."""
    if own.arc is not None or other.arc is not None:
        return False
    return max(abs(offset(end, other.line)) for end in (own.start, own.end) if not end.is_ideal) <= NEAR_MM


def _lies_on(at: Point, line: Ruled) -> bool:
    """Tell whether a place lies on a line as far as it is drawn."""
    if line.arc is not None:
        return True  # where a ruler touches a curve is the curve's business
    beyond = distance(line.start, at) + distance(at, line.end) - distance(line.start, line.end)
    return beyond <= 2 * NEAR_MM and abs(offset(at, line.line)) <= NEAR_MM


def gaps(breaths: Sequence[Breath], board: Board) -> Iterator[Gap]:
    """Yield what steps take up that no earlier one has told, in their order.

    Args:
        breaths: the moves of each step, in the order in which they are told.
        board: what all moves make.
    """
    paper = _Paper(board)
    for breath in breaths:
        paper.laid = {}
        for move in breath.moves:
            for name, why in _missing(move.act, paper):
                yield Gap(breath, move.act, name, why)
            _do(move.act, paper)


def _do(act: Act, paper: _Paper) -> None:
    """Put on the paper what an act makes."""
    board = paper.board
    unmarked = {act.makes_point} if isinstance(act, Run | Slide) and act.stops_at else set()
    for name in outputs(act) - unmarked:
        if name in board.points:
            paper.mark(board.points[name])
        elif name in board.lines:
            line = board.lines[name]
            if line.role == "unseen":
                paper.laid[name] = line
            else:
                paper.draw(line)


def _missing(act: Act, paper: _Paper) -> Iterator[tuple[str, Why]]:
    """Yield what an act takes up that is not on the paper."""
    points, lines = paper.board.points, paper.board.lines
    for name in _points_of(act):
        if not paper.has_point(points[name]):
            yield name, "no_point"
    for name, at in _lines_of(act, points, lines):
        if not paper.has_line(name):
            yield name, "no_line"
        elif at is not None and not paper.reaches(name, at):
            yield name, "too_short"


def _points_of(act: Act) -> tuple[str, ...]:
    """Return the points that must be there for an act."""
    match act:
        case Offset() | Side() | Run() | RunToCurve() | Shift():
            return (act.start,)
        case Across() | Through():
            return (act.through,)
        case Rule():
            return (act.start,) if act.stops_at else (act.start, act.end)
        case RuleToPoint():
            return (act.start, act.point)
        case Divide():
            return (act.start, act.end, act.point)
        case Slide():
            return (act.start, *act.like)
        case Curve() | CurvePart():
            return (act.start, act.end)
        case _:
            return ()


def _lines_of(
    act: Act, points: Mapping[str, Point], lines: Mapping[str, Ruled]
) -> Iterator[tuple[str, Point | None]]:  # fmt: skip
    """Yield the lines that must be there for an act, and up to where."""
    match act:
        case MeasureAlong() | MeasureAside() | ShareAlong():
            yield act.line, points[act.makes]
        case Cross():
            yield act.first, points[act.makes]
            yield act.second, points[act.makes]
        case Run() | Slide() if not act.stops_at:
            yield act.until, points[act.makes_point]
        case RuleToPoint() if act.until:
            yield act.until, lines[act.makes].end
        case Through():
            yield act.first, points[act.makes_point]
            yield act.second, points[act.makes_other]
        case RunToCurve():
            yield act.until, None
        case Touch() | CurvePart():
            yield act.line, None
        case _:
            pass
