"""How long is a measuring line, and to which side is it drawn, so that all of it has room on the sheet?

Parts are laid off on a level line through one end of an edge that goes away. The line from its last mark through the
other end of the edge meets the eye level in the point that carries all marks over to the edge.
Source: division of a line by a measuring line (any textbook of perspective; from memory).
"""

import math
from collections.abc import Callable, Iterable, Iterator, Mapping
from dataclasses import dataclass
from fractions import Fraction
from typing import Literal

from orthopsis.core.construct.moves import EYE_LEVEL, Act, Cross, Rule, Shift
from orthopsis.core.construct.panel import Panel
from orthopsis.core.plane.homogeneous import HORIZONTAL, Point, join, meet
from orthopsis.core.plane.tolerance import SAME_POINT_MM, SAME_SHARE
from orthopsis.core.sheet.paper import Sheet
from orthopsis.core.sheet.ruler import round_to

_TIMES = (1.0, 0.8, 1.25, 0.65, 1.5, 0.5, 1.8, 0.4, 2.2, 0.3)
"""How long a measuring line may be against its edge on the page, what is tried first first (no source)."""


@dataclass(frozen=True, slots=True)
class MeasuringLine:
    """A measuring line: how far its last mark lies from its start, mm (negative: to the left), and what carries over.

    ``pivot``: the point of the eye level that carries the marks over to the edge.
    """

    length_mm: float
    pivot: Point


def measuring_line(start: Point, end: Point, level_mm: float, sheet: Sheet, step: int) -> MeasuringLine | None:
    """Return the measuring line for an edge that has room on the sheet with its pivot; None if none has.

    Args:
        start, end: the ends of the edge on the page; the line begins at ``start``.
        level_mm: the height of the eye level.
        step: into how many equal parts the line is divided: each ends on a mark of the ruler.
    """
    return next((line for line in _tried(start, end, level_mm, sheet, step) if has_room(line, start, sheet)), None)


def _tried(start: Point, end: Point, level_mm: float, sheet: Sheet, step: int) -> Iterator[MeasuringLine]:
    reach, way = ((start.x - end.x) ** 2 + (start.y - end.y) ** 2) ** 0.5, 1 if end.x >= start.x else -1
    for side in (way, -way):
        for times in _TIMES:
            length = side * max(round_to(times * reach / step, sheet.division_mm), sheet.division_mm) * step
            line = line_of_length(start, end, level_mm, length)
            if line is not None:
                yield line


def line_of_length(start: Point, end: Point, level_mm: float, length_mm: float) -> MeasuringLine | None:
    """Return the measuring line of a length for an edge; None where its last mark would carry over to no point."""
    last = Point(start.x + length_mm, start.y)
    if (last.x == end.x and last.y == end.y) or (last.y == end.y == level_mm):
        return None
    pivot = meet(join(last, end), join(Point(0.0, level_mm), HORIZONTAL))
    return None if pivot.is_ideal else MeasuringLine(length_mm, pivot)


def has_room(line: MeasuringLine, start: Point, sheet: Sheet) -> bool:
    """Tell whether a measuring line and the point that carries over lie on the sheet."""
    return sheet.holds(start.x + line.length_mm, start.y) and sheet.holds(*line.pivot.xy)


@dataclass(frozen=True, slots=True)
class DrawnLevel:
    """The eye level on its sheet: how high it lies, mm."""

    sheet: Sheet
    height_mm: float


Laid = Literal["laid", "pivot", "carried"]
"""A part of the work with a measuring line: laying off, finding the point that carries over, carrying over."""
MOST_PARTS = 60
"""Shares of an edge with more parts than this are measured wherever they come to lie (no source)."""


def first_edge_by_line(
    panel: Panel, level: DrawnLevel, ticks: Mapping[str, float], n: Callable[[str], str]
) -> list[tuple[Laid, Act]]:
    """Return the acts that tick the first edge of a face by a measuring line, as ``laid_off``.

    There are none where the edge does not run to the eye level, or no line has room on the sheet.

    Args:
        ticks: by their full names, the shares of the edge at which they lie, from its lower end.
        n: from a name within the thing to the full one.
    """
    goal = panel.up.goal
    if goal.is_ideal or abs(goal.y - level.height_mm) > SAME_POINT_MM or not ticks:
        return []
    low, _, _, high = panel.page
    is_low = panel.drawn_from == "low"
    (start, begin), (end, to) = (
        ((panel.low, low), (panel.high, high)) if is_low else ((panel.high, high), (panel.low, low))
    )
    shares = {name: share if is_low else 1 - share for name, share in ticks.items()}
    line = measuring_line(begin, to, level.height_mm, level.sheet, parts_of(shares.values()))
    if line is None:
        return []
    return list(laid_off(start, end, panel.first, shares, line, n))


def laid_off(
    start: str, end: str, edge: str, shares: Mapping[str, float], line: MeasuringLine, n: Callable[[str], str]
) -> Iterator[tuple[Laid, Act]]:
    """Yield the acts that divide an edge by a measuring line, each with the part of the work that it belongs to.

    Args:
        start, end, edge: full names of its ends and of itself; the line begins at ``start``.
        shares: where it is divided, as shares of it from its start, by the full names of the places.
        n: from a name within the thing to the full one.
    """
    marks = {name: n(f"measure.mark.{i}") for i, name in enumerate(shares, start=1)}
    last, sighted, pivot = n(f"measure.mark.{len(shares) + 1}"), n("construction.laid"), n("measure.pivot")
    for name, share in shares.items():
        yield "laid", Shift(marks[name], start, share * line.length_mm)
    yield "laid", Shift(last, start, line.length_mm)
    yield "laid", Rule(n("construction.measuring"), start, last, "level", "construction")
    yield "pivot", Rule(sighted, last, end, "free", "unseen")
    yield "pivot", Cross(pivot, sighted, EYE_LEVEL)
    yield "pivot", Rule(n("construction.pivot"), last, pivot, "free", "construction")
    for i, name in enumerate(shares, start=1):
        carry = n(f"construction.carry.{i}")
        yield "carried", Rule(carry, marks[name], pivot, "free", "construction")
        yield "carried", Cross(name, carry, edge)


def parts_of(shares: Iterable[float]) -> int:
    """Return into how many equal parts a line is divided so that all shares of it are ends of parts; 1 if into none."""
    parts = 1
    for share in shares:
        fraction = Fraction(share).limit_denominator(MOST_PARTS)
        if abs(float(fraction) - share) > SAME_SHARE:
            return 1
        parts = math.lcm(parts, fraction.denominator)
    return parts if parts <= MOST_PARTS else 1
