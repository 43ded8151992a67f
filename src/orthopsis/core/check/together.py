"""What do lines tell together that none of them tells alone?

The short sides of windows on a wall that goes away say one by one too little of where they run; all together they tell
whether the wall was forgotten and they were copied flat. One of a row lies off the line on which the others lie. Two
slopes meet in a tip that does not stand over the middle of its wall.
"""

import math
from collections.abc import Iterator, Mapping, Sequence
from dataclasses import dataclass

import numpy as np

from orthopsis.core.check.answer import Finding
from orthopsis.core.check.line_names import LineNames
from orthopsis.core.check.match import Match, is_inked
from orthopsis.core.check.stroke import Expected, Stroke, angle_between_deg
from orthopsis.core.errors import GeometryError
from orthopsis.core.plane.homogeneous import Point, distance, join, meet, offset
from orthopsis.core.scene.placed import Placed
from orthopsis.core.scene.prepared import Prepared
from orthopsis.core.things.answers import Summit
from orthopsis.core.wording.findings import FINDINGS, finding_title

LEAST_LINES = 4
"""Fewer lines than these tell nothing together (no source)."""
CLEARLY_FLAT = 12.0
"""By so much must the squares of the misses, in hand errors, speak for level lines (no source)."""
STILL_FLAT = 4.0
"""... and the level lines may miss by no more than this on the average, or they run some other way (no source)."""
OFF_ROW_MM, OFF_ROW_HANDS = 3.0, 4.0
"""One lies off the line of the others by more than this, and by more hand errors than this (no source)."""
OFF_MIDDLE_MM, OFF_MIDDLE_HANDS = 4.0, 4.0
"""A tip is off the middle by more than this, and by more hand errors than this (no source)."""
ONE_ROW_MM = 0.3
"""Lines of the answer whose ends lie this near to one line lie in a row."""
STEEP_SINE = 0.7
"""A row that rises more steeply has a right and a left side rather than an upper and a lower one."""
LEAST_TIP_DEG = 20.0
"""Two slopes that meet under a smaller angle do not tell where their tip is (no source)."""


@dataclass(frozen=True, slots=True)
class Drawn:
    """A stroke, by number, and the line of the answer that it is."""

    number: int
    stroke: Stroke
    line: Expected


def together(
    strokes: Sequence[Stroke], matches: Sequence[Match], prepared: Prepared, sigma_mm: float, names: LineNames
) -> list[Finding]:
    """Return what is found of lines that belong together."""
    drawn = [Drawn(m.stroke, strokes[m.stroke], m.expected) for m in matches if m.expected.is_asked]
    by_thing: dict[str, list[Drawn]] = {}
    for one in drawn:
        by_thing.setdefault(one.line.thing, []).append(one)
    found = list[Finding]()
    for placed in prepared.things:
        mine = by_thing.get(placed.values.name, [])
        found += _flat(mine, placed, prepared, sigma_mm)
        found += _rows(mine, strokes, prepared, sigma_mm, names)
        found += _tips(mine, placed, by_thing, prepared, sigma_mm)
    return found


def _flat(mine: Sequence[Drawn], placed: Placed, prepared: Prepared, sigma_mm: float) -> Iterator[Finding]:
    """Yield that what lies on a wall that goes away is drawn as if it did not."""
    panel = placed.setting.panel
    if panel is None or panel.along.goal.is_ideal or panel.is_level:
        return
    receding = [one for one in mine if one.line.family == panel.along.family]
    if len(receding) < LEAST_LINES:
        return
    as_level = as_wall = 0.0
    for one in receding:
        turned, wanted = _slant(one.stroke.start, one.stroke.end), _slant(one.stroke.middle, panel.along.goal)
        hand = 2 * (sigma_mm / one.stroke.length_mm) ** 2
        as_level += turned**2 / hand
        as_wall += (turned - wanted) ** 2 / hand
    if as_wall - as_level > CLEARLY_FLAT and as_level < STILL_FLAT * len(receding):
        values = {"thing": placed.values.name, "count": len(receding), "face": panel.says,
                  "point": prepared.point_words(panel.along.family)}  # fmt: skip
        yield _finding(
            "copied_flat", 3, values, [one.number for one in receding], prepared,
            about=receding[0].line.name, line=placed.values.name,
        )  # fmt: skip


def _slant(start: Point, end: Point) -> float:
    """Return how steeply a line rises to the right, rad, whichever way it was drawn."""
    across, up = end.x - start.x, end.y - start.y
    return math.atan2(up, across) if across >= 0 else math.atan2(-up, -across)


def _rows(
    mine: Sequence[Drawn], strokes: Sequence[Stroke], prepared: Prepared, sigma_mm: float, names: LineNames
) -> Iterator[Finding]:
    """Yield for each row of lines the one that lies off the line of all others."""
    limit = max(OFF_ROW_MM, OFF_ROW_HANDS * sigma_mm)
    for row in _in_rows([one for one in mine if not one.line.is_free]):
        misses = [_off_others(row, i) for i in range(len(row))]
        worst = max(range(len(row)), key=lambda i: abs(misses[i]))
        rest = [one for i, one in enumerate(row) if i != worst]
        if abs(misses[worst]) <= limit or max(abs(_off_others(rest, i)) for i in range(len(rest))) > limit / 2:
            continue
        if is_inked(row[worst].line, [stroke for i, stroke in enumerate(strokes) if i != row[worst].number]):
            continue  # its line is there, in the row: what lies beside it is something else
        one, called = row[worst], names.words(row[worst].line.name)
        sides = ("right of", "left of") if _is_steep(row) else ("above", "below")
        values = {"line": called, "miss": prepared.nearly(abs(misses[worst])), "side": sides[misses[worst] < 0]}
        yield _finding("off_row", 2, values, [one.number], prepared, about=one.line.name, line=called)


def _in_rows(drawn: Sequence[Drawn]) -> list[list[Drawn]]:
    """Return the lines that lie on one line of the answer, those together of which there are enough."""
    rows: list[list[Drawn]] = []
    for one in (one for one in drawn if one.line.family not in ("upright", "free")):
        ends = (one.line.start, one.line.end)
        for row in rows:
            first = row[0].line
            carrier = join(first.start, first.end)
            if first.family == one.line.family and max(abs(offset(end, carrier)) for end in ends) < ONE_ROW_MM:
                row.append(one)
                break
        else:
            rows.append([one])
    return [row for row in rows if len({one.line.name for one in row}) >= LEAST_LINES]


def _is_steep(row: Sequence[Drawn]) -> bool:
    """Tell whether a row runs up rather than along."""
    first = row[0].line
    return abs(math.sin(_slant(first.start, first.end))) > STEEP_SINE


def _off_others(row: Sequence[Drawn], number: int) -> float:
    """Return how far off the line of the others one lies, mm: over it, or to its right where the row is steep.

    It is negative on the other side. The line is the one from which the middles of the others lie least far.
    """
    others = np.array([one.stroke.middle.xy for i, one in enumerate(row) if i != number])
    centre = others.mean(axis=0)
    along_x, along_y = np.linalg.svd(others - centre)[2][0]
    normal = np.array([-along_y, along_x])
    if normal[0 if _is_steep(row) else 1] < 0:
        normal = -normal
    return float((np.array(row[number].stroke.middle.xy) - centre) @ normal)


def _tips(
    mine: Sequence[Drawn], placed: Placed, by_thing: Mapping[str, Sequence[Drawn]], prepared: Prepared, sigma_mm: float
) -> Iterator[Finding]:
    """Yield that a tip does not stand over the middle of its wall, where that wall is not drawn by eye."""
    below = placed.setting.anchor.thing if placed.setting.anchor is not None else ""
    if any(one.line.is_free for one in by_thing.get(below, ())):
        return
    for summit in placed.standing.summits:
        names = [placed.values.full(edge) for edge in summit.edges]
        slopes = [one for name in names for one in mine if one.line.name == name]
        if len(slopes) != len(names):
            continue
        miss = _off_middle(summit, slopes)
        limit = max(OFF_MIDDLE_MM, OFF_MIDDLE_HANDS * sigma_mm * _spread(*(slope.stroke for slope in slopes)))
        if miss is not None and abs(miss) > limit:
            side = "right" if miss > 0 else "left"
            name = placed.values.name
            values = {"thing": name, "miss": prepared.nearly(abs(miss)), "side": side, "limit": prepared.nearly(limit)}
            numbers = [one.number for one in slopes]
            yield _finding("tip_off_middle", 2, values, numbers, prepared, about=slopes[0].line.name, line=name)


def _off_middle(summit: Summit, slopes: Sequence[Drawn]) -> float | None:
    """Return how far to the right of its place two slopes meet, mm; none where they do not tell."""
    one, two = (slope.stroke for slope in slopes)
    if angle_between_deg((one.start, one.end), (two.start, two.end)) < LEAST_TIP_DEG:
        return None
    try:
        tip = meet(join(one.start, one.end), join(two.start, two.end))
    except GeometryError:
        return None
    upright = join(summit.at, summit.over)
    side = offset(tip, upright)
    right = offset(Point(summit.at.x + distance(summit.at, tip) + 1.0, summit.at.y), upright)
    return side if right > 0 else -side


def _spread(one: Stroke, two: Stroke) -> float:
    """Return how many hand errors the crossing of two strokes spreads from side to side.

    Each line is off across itself by about one hand error there; where they cross under an angle a, the crossing is off
    sideways by the root of the sum of the squares of their levels' shares, by sin a. Source: propagation of errors
    (from memory).
    """
    ways = [((s.end.x - s.start.x) / s.length_mm, (s.end.y - s.start.y) / s.length_mm) for s in (one, two)]
    sine = abs(ways[0][0] * ways[1][1] - ways[0][1] * ways[1][0])
    return math.hypot(ways[0][0], ways[1][0]) / max(sine, 1e-6)


def _finding(
    code: str, severity: int, values: Mapping[str, object], lines: list[int], prepared: Prepared, *, about: str,
    line: str,
) -> Finding:  # fmt: skip
    wording = prepared.wording
    text = wording.say(FINDINGS[code], values)
    title = finding_title(code, wording)
    return Finding(code=code, severity=severity, title=title, text=text, lines=lines, about=about, line=line)
