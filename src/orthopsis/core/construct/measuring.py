"""How long is a measuring line, and to which side is it drawn, so that all of it has room on the sheet?

Parts are laid off on a level line through one end of an edge that goes away. The line from its last mark through the
other end of the edge meets the eye level in the point that carries all marks over to the edge.
Source: division of a line by a measuring line (any textbook of perspective; from memory).
"""

from collections.abc import Iterator
from dataclasses import dataclass

from orthopsis.core.plane.homogeneous import HORIZONTAL, Point, join, meet
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
    return next((line for line in _tried(start, end, level_mm, sheet, step) if _has_room(line, start, sheet)), None)


def _tried(start: Point, end: Point, level_mm: float, sheet: Sheet, step: int) -> Iterator[MeasuringLine]:
    reach, way = ((start.x - end.x) ** 2 + (start.y - end.y) ** 2) ** 0.5, 1 if end.x >= start.x else -1
    level = join(Point(0.0, level_mm), HORIZONTAL)
    for side in (way, -way):
        for times in _TIMES:
            length = side * max(round_to(times * reach / step, sheet.division_mm), sheet.division_mm) * step
            last = Point(start.x + length, start.y)
            if last.x != end.x or last.y != end.y:
                pivot = meet(join(last, end), level)
                if not pivot.is_ideal:
                    yield MeasuringLine(length, pivot)


def _has_room(line: MeasuringLine, start: Point, sheet: Sheet) -> bool:
    return sheet.holds(start.x + line.length_mm, start.y) and sheet.holds(*line.pivot.xy)
