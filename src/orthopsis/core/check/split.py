"""Is one drawn line two lines in a row?

A receding edge that was drawn level or upright, or away from the point of the edge beside it, goes straight on from
that, and the two are read as one line. Where a line is missing that should start at a corner, and another line runs on
past that corner, it is cut there; not where it runs on toward its own point, as light lines do.
"""

from collections.abc import Mapping, Sequence

from orthopsis.core.check.match import Match
from orthopsis.core.check.stroke import Expected, Stroke
from orthopsis.core.plane.homogeneous import Point, distance

AT_CORNER_MM = 4.0
LEAST_OVERHANG_MM = 10.0
"""A line may overshoot its corner by less than this without being two lines (common practice, no source)."""


def split_overhangs(
    strokes: Sequence[Stroke], matches: Sequence[Match], expected: Sequence[Expected], points: Mapping[str, Point]
) -> list[Stroke]:
    """Return the strokes, those that run on past the corner of a missing receding line cut in two there.

    Args:
        points: the vanishing points, by name.
    """
    matched = {m.expected.name for m in matches}
    missing = [e for e in expected if e.is_asked and e.family in points and e.name not in matched]
    result = list(strokes)
    for e in missing:
        for m in matches:
            stroke = result[m.stroke]
            if m.expected.thing != e.thing or _runs_on_to_its_point(m.expected, e.start, points):
                continue
            corner = _cut_at(stroke, m.expected, e.start)
            if corner is not None:
                inner, outer = corner
                result[m.stroke] = inner
                result.append(outer)
                break
    return result


def _runs_on_to_its_point(own: Expected, corner: Point, points: Mapping[str, Point]) -> bool:
    """Tell whether a line that runs on past a corner does so toward its own point: that corner is its far end."""
    goal = points.get(own.family)
    if goal is None:
        return False
    far = min((own.start, own.end), key=lambda end: distance(end, goal))
    return distance(corner, far) <= AT_CORNER_MM


def _cut_at(stroke: Stroke, own: Expected, corner: Point) -> tuple[Stroke, Stroke] | None:
    """Return the part that is the matched line and the part beyond the corner, or None if there is none."""
    if min(distance(corner, own.start), distance(corner, own.end)) > AT_CORNER_MM:
        return None
    inside = own.end if distance(corner, own.start) < distance(corner, own.end) else own.start
    length = stroke.length_mm
    ux, uy = (stroke.end.x - stroke.start.x) / length, (stroke.end.y - stroke.start.y) / length
    along = (corner.x - stroke.start.x) * ux + (corner.y - stroke.start.y) * uy
    if abs((corner.x - stroke.start.x) * uy - (corner.y - stroke.start.y) * ux) > AT_CORNER_MM:
        return None
    at = Point(stroke.start.x + along * ux, stroke.start.y + along * uy)
    toward_end = (inside.x - corner.x) * ux + (inside.y - corner.y) * uy < 0
    overhang = length - along if toward_end else along
    if overhang < LEAST_OVERHANG_MM or length - overhang < LEAST_OVERHANG_MM:
        return None
    first, second = Stroke(stroke.start, at, stroke.darkness), Stroke(at, stroke.end, stroke.darkness)
    return (first, second) if toward_end else (second, first)
