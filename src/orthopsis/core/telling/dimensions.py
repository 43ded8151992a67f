"""Which lengths does a step lay off, each as a line on its picture with its measure beside it?

Only lengths that a ruler measures on the page: from the edges of the sheet, along an edge or a light line, level.
"""

import math
import re
from collections.abc import Iterator, Sequence

from orthopsis.core.construct.moves import Act, Measure, MeasureAlong, MeasureAside, Offset, Shift, Side
from orthopsis.core.drawing.answer import Dimension, Place
from orthopsis.core.drawing.solved import Solved
from orthopsis.core.plane.tolerance import SAME_POINT_MM

MOST = 5
"""More measures than this in one picture would lie on each other: then scales or letters carry them (no source)."""

_Span = tuple[Place, Place, float]
"""From where to where, and how long it is told to be, mm."""


def dimensions(solved: Solved, acts: Sequence[Act], text: str) -> list[Dimension]:
    """Return the lengths that a step lays off and tells; none where there are too many for one picture.

    Of equal ones that run the same way, such as both sides of a front, one is enough; the others go with it.

    Args:
        text: the words of the step.
    """
    sheet, found = solved.prepared.sheet, dict[tuple[str, float], dict[tuple[Place, Place], _Span]]()
    for span in (span for act in acts for span in _spans(solved, act)):
        if all(sheet.holds(*end, -SAME_POINT_MM) for end in span[:2]) and math.dist(*span[:2]) > 0:
            found.setdefault((solved.prepared.laid(span[2]), _way(*span[:2])), {})[span[:2]] = span
    alike = [
        [*spans.values()] for (said, _), spans in found.items() if re.search(rf"(?<!\d)(?<!\d ){re.escape(said)}", text)
    ]
    if not alike or len(alike) > MOST:
        return []
    spans = [spans[-1] for spans in alike]
    places = [place for start, end, _ in spans for place in (start, end)]
    middle = (sum(x for x, _ in places) / len(places), sum(y for _, y in places) / len(places))
    sided = [[(start, end, _out(start, end, middle)) for start, end, _ in reversed(spans)] for spans in alike]
    return [
        Dimension(start=start, end=end, out=out, text=solved.prepared.tick_with_unit(mm), equal=equal)
        for ((start, end, out), *equal), (*_, mm) in zip(sided, spans, strict=True)
    ]


def _spans(solved: Solved, act: Act) -> Iterator[_Span]:
    points, lines = solved.board.points, solved.board.lines
    match act:
        case Measure(makes, across, up):
            x, y = points[makes].xy
            if 0 < across < solved.prepared.sheet.width_mm - SAME_POINT_MM:  # else it is marked on the edge itself
                yield (0.0, y), (x, y), across
            if up > 0:
                yield (x, 0.0), (x, y), up
        case Offset():
            (x, y), made = points[act.start].xy, points[act.makes].xy
            yield (x, y), (made[0], y), abs(act.across_mm)
            yield (made[0], y), made, abs(act.up_mm)
        case Side():
            yield points[act.start].xy, points[act.makes_point].xy, abs(act.length_mm)
        case MeasureAlong():
            yield lines[act.line].start.xy, points[act.makes].xy, abs(act.length_mm)
        case MeasureAside():
            start, made = lines[act.line].start.xy, points[act.makes].xy
            yield (start[0], made[1]), made, abs(act.across_mm)
        case Shift():
            yield points[act.start].xy, points[act.makes].xy, abs(act.across_mm)


def _way(start: Place, end: Place) -> float:
    """Return which way a length runs, to a tenth of a radian, whichever of its ends comes first."""
    return round(math.atan2(end[1] - start[1], end[0] - start[0]) % math.pi, 1) % round(math.pi, 1)


def _out(start: Place, end: Place, middle: Place) -> Place:
    """Return to which side of a length its measure stands: away from the middle of all, else up or to the left.

    What is measured from an edge of the sheet has its measure up or to the left, where the other one from there is not.
    """
    dx, dy = end[0] - start[0], end[1] - start[1]
    long = math.hypot(dx, dy) or 1.0
    normal = (-dy / long, dx / long)
    away = (start[0] + end[0]) / 2 - middle[0], (start[1] + end[1]) / 2 - middle[1]
    aside = normal[0] * away[0] + normal[1] * away[1]
    is_from_edge = 0.0 in (start[0], start[1])
    sign = math.copysign(1.0, aside if abs(aside) > 1.0 and not is_from_edge else normal[1] - normal[0])
    return sign * normal[0], sign * normal[1]
