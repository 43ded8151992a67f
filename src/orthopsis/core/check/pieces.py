"""Strokes as pieces of one line: in a row, beside each other, as long as it."""

from collections.abc import Mapping, Sequence

from orthopsis.core.check.stroke import Expected, Stroke
from orthopsis.core.plane.homogeneous import join, offset

IN_ROW_MM = 1.2
"""Pieces of one line lie this near to it (no source)."""
ALIKE_LONG = 0.8
"""Share of a line's length from which on a stroke is about as long (no source)."""


def is_as_long(stroke: Stroke, e: Expected) -> bool:
    """Tell whether a stroke is about as long as a line."""
    return ALIKE_LONG * e.length_mm <= stroke.length_mm <= e.length_mm / ALIKE_LONG


def joined(strokes: Sequence[Stroke]) -> Stroke | None:
    """Return the stroke from end to end of some that lie in a row, or None if they do not."""
    first = max(strokes, key=lambda one: one.length_mm)
    ux, uy = (first.end.x - first.start.x) / first.length_mm, (first.end.y - first.start.y) / first.length_mm
    ends = [end for one in strokes for end in (one.start, one.end)]
    along = [(end.x - first.start.x) * ux + (end.y - first.start.y) * uy for end in ends]
    start, end = ends[along.index(min(along))], ends[along.index(max(along))]
    whole = join(start, end)
    if max(abs(offset(at, whole)) for at in ends) > IN_ROW_MM:
        return None
    return Stroke(start, end, first.darkness)


def is_second(strokes: Sequence[Stroke], taken: Mapping[int, int], i: int, j: int) -> bool:
    """Tell whether another stroke that is already this line lies beside this one, rather than in a row with it."""
    stroke = strokes[i]
    for other, line in taken.items():
        if line != j:
            continue
        size = stroke.length_mm
        ux, uy = (stroke.end.x - stroke.start.x) / size, (stroke.end.y - stroke.start.y) / size
        ends = (strokes[other].start, strokes[other].end)
        along = sorted((p.x - stroke.start.x) * ux + (p.y - stroke.start.y) * uy for p in ends)
        if min(size, along[1]) - max(0.0, along[0]) > 0.5 * min(size, strokes[other].length_mm):
            return True
    return False
