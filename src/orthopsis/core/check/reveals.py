"""Is the wall that is seen in an opening equally thick at both ends, as it is in truth?

The edge of the opening and the edge behind it are judged each by its direction; when they are short, neither of them
tells. How far apart they are at one end and at the other tells more.
"""

from collections.abc import Iterator, Mapping, Sequence

from orthopsis.core.check.answer import Finding
from orthopsis.core.check.match import Match
from orthopsis.core.check.stroke import Stroke
from orthopsis.core.plane.homogeneous import Point, join, offset
from orthopsis.core.scene.placed import Placed
from orthopsis.core.scene.prepared import Prepared
from orthopsis.core.wording.findings import FINDINGS, finding_title

UNEVEN_TIMES = 1.5
"""So many times as thick at one end as it should be against the other one is seen (no source)."""
UNEVEN_HANDS, UNEVEN_MM = 4.0, 2.0
"""... if it also differs by more than this many hand errors, and by more than this (no source)."""


def reveal_findings(
    strokes: Sequence[Stroke], matches: Sequence[Match], prepared: Prepared, sigma_mm: float
) -> Iterator[Finding]:
    """Yield for each thing with openings the one whose wall is most unevenly thick."""
    drawn = {match.expected.name: match for match in matches if match.expected.is_asked}
    for placed in prepared.things:
        worst = max(_uneven(placed, drawn, strokes, sigma_mm), key=lambda one: one[0], default=None)
        if worst is not None:
            yield _finding(placed, worst[1], worst[2], prepared)


def _uneven(
    placed: Placed, drawn: Mapping[str, Match], strokes: Sequence[Stroke], sigma_mm: float
) -> Iterator[tuple[float, tuple[float, float], list[int]]]:
    """Yield by how many times a wall is too thick at one end against the other, its thickness there, the strokes."""
    for wall, inner in placed.standing.reveals:
        edge, behind = (drawn.get(placed.values.full(name)) for name in (wall, inner))
        if edge is None or behind is None or edge.expected.is_free or behind.expected.is_free:
            continue
        stroke = strokes[behind.stroke]
        wanted = _thickness(edge.expected.start, edge.expected.end, behind.expected.start, behind.expected.end)
        found = _thickness(strokes[edge.stroke].start, strokes[edge.stroke].end, stroke.start, stroke.end)
        if min(*wanted, *found) <= 0:
            continue
        times = (found[0] / wanted[0]) / (found[1] / wanted[1])
        times, thick = (times, 0) if times >= 1 else (1 / times, 1)
        over = found[thick] - found[1 - thick] * wanted[thick] / wanted[1 - thick]
        if times > UNEVEN_TIMES and over > max(UNEVEN_MM, UNEVEN_HANDS * sigma_mm):
            yield times, (found[thick], found[1 - thick]), [edge.stroke, behind.stroke]


def _thickness(start: Point, end: Point, inner_start: Point, inner_end: Point) -> tuple[float, float]:
    """Return how far the ends of the inner line lie from the outer one, mm: first the lower end, or the left one."""
    line = join(start, end)
    is_steep = abs(end.y - start.y) > abs(end.x - start.x)
    ends = sorted((inner_start, inner_end), key=lambda at: at.y if is_steep else at.x)
    low, high = (abs(offset(at, line)) for at in ends)
    return low, high


def _finding(placed: Placed, thick: tuple[float, float], lines: list[int], prepared: Prepared) -> Finding:
    name, wording = placed.values.name, prepared.wording
    values = {"thing": name, "thick": prepared.nearly(thick[0]), "thin": prepared.nearly(thick[1])}
    return Finding(
        code="reveal_uneven",
        severity=2,
        title=finding_title("reveal_uneven", wording),
        text=wording.say(FINDINGS["reveal_uneven"], values),
        lines=lines,
        about="",
        line=name,
    )
