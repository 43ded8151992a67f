"""Which measuring line at the foot of a face leads to places on it, and must widths be fitted to its marks?

Two ask for one. What keeps its places, such as windows that a teacher has set out, is found by a line on which they
come to lie on marks, if there is one: ``line_on``. What may be a mark wider or narrower, such as letters, is fitted to
a line: ``laid_at_foot``.
"""

from collections.abc import Callable, Sequence
from dataclasses import dataclass

import numpy as np

from orthopsis.core.construct.grid import inner_shares
from orthopsis.core.construct.laid_widths import LaidWidths
from orthopsis.core.construct.measuring import (
    DrawnLevel,
    MeasuringLine,
    has_room,
    line_of_length,
    measuring_line,
    parts_of,
)
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


@dataclass(frozen=True, slots=True)
class LaidLine:
    """A measuring line with places along it.

    Attributes:
        line: the line itself; it begins at the foot of the first edge.
        share: for a place as it is in truth, a share of the line, the share on which it lies at a mark of the ruler.
    """

    line: MeasuringLine
    share: Callable[[float], float]


def line_on(panel: Panel, level: DrawnLevel, places: Sequence[FacePlace]) -> MeasuringLine | None:
    """Return the measuring line at the foot of a face by which places on it are found that stay where they are.

    None where ticks and the diagonal do as well: few light lines are needed, or widths come onto no marks of such a
    line. Where the first edge rises to a point, so that nothing can be measured on it, all comes from the line.
    """
    along, up = (inner_shares(place[axis] for place in places) for axis in (0, 1))
    rises = not panel.up.goal.is_ideal
    if rises:
        # Where that point lies on the eye level, the edge can be divided by a line of its own.
        is_divided = abs(panel.up.goal.y - level.height_mm) <= SAME_POINT_MM
        return None if is_divided else _line_for([*along, *up], panel, level, is_on_marks=False)
    if not along or panel.is_level or not _are_many(along, up):
        return None
    return _line_for(along, panel, level, is_on_marks=True)


def _are_many(along: Sequence[float], up: Sequence[float]) -> bool:
    """Tell whether more light lines lead to places than ticks and a diagonal do well."""
    return len(inner_shares([*along, *up])) > MOST_TICKS


def laid_at_foot(panel: Panel, level: DrawnLevel, parts: Sequence[Sequence[FacePlace]]) -> LaidLine | None:
    """Return the measuring line at the foot of a wall on which its widths are laid off.

    None where its diagonal does as well, since few light lines lead to all places; where no line has room, or lines
    would cross too flatly.

    Args:
        parts: the places of each part, shares of the face.
    """
    if panel.is_level or panel.pitch is not None:
        return None
    along, up = (inner_shares(place[axis] for part in parts for place in part) for axis in (0, 1))
    if not _are_many(along, up) or not _is_along_level(panel, level):
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
