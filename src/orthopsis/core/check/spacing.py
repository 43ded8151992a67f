"""Does a row that goes away come closer together on the sheet, or was it drawn at equal distances?

Posts that stand where they should not are found as no line of the answer; all together they tell why. What stands
upright along the row's foot line is looked for, whatever it was taken for line by line.
"""

import itertools
import math
from collections.abc import Iterator, Sequence

import numpy as np

from orthopsis.core.check.answer import Finding
from orthopsis.core.check.stroke import SHORTEST_MM, Stroke
from orthopsis.core.plane.homogeneous import distance, join, offset, unit_toward
from orthopsis.core.scene.placed import Placed
from orthopsis.core.scene.prepared import Prepared
from orthopsis.core.things.answers import Receding
from orthopsis.core.wording.findings import FINDINGS, finding_title

LEAST_OF_A_ROW = 4
"""Fewer than these tell nothing of how their distances change (no source)."""
OFF_LINE_MM = 4.0
"""A foot this far from the row's foot line is none of the row's (no source)."""
LEAN_SINE = 0.1
"""What leans by more than this is no upright (no source)."""
ONE_SHARE = 0.25
"""Uprights nearer to each other than this share of the first distance belong to one post (no source)."""
SHRINKS, EVEN = 0.7, 0.12
"""The last distance is less than this share of the first, where it matters; drawn ones are even if they differ by no
more than this share from their mean (no source)."""
IN_PLACE = 0.2
"""A post that is off by less than this share of the distance to the next one stands where it should (no source)."""


Upright = tuple[float, int]
"""How far along the foot line a stroke stands, mm, and its number."""


def spacing_findings(strokes: Sequence[Stroke], prepared: Prepared) -> Iterator[Finding]:
    """Yield of each row that goes away that its distances stay the same."""
    for placed in prepared.things:
        row = placed.standing.receding
        if row is None or len(row.feet) < LEAST_OF_A_ROW:
            continue
        wanted = [distance(a, b) for a, b in itertools.pairwise(row.feet)]
        if wanted[-1] > SHRINKS * wanted[0]:
            continue
        uprights = _uprights(strokes, row, wanted[0])
        drawn = _posts(uprights, wanted[0])
        gaps = np.diff([at for at, _ in drawn])
        if len(drawn) < LEAST_OF_A_ROW or np.abs(gaps / gaps.mean() - 1).max() > EVEN or _are_there(uprights, wanted):
            continue
        yield _finding(placed, float(gaps.mean()), wanted, [number for _, one in drawn for number in one], prepared)


def _are_there(uprights: Sequence[Upright], wanted: Sequence[float]) -> bool:
    """Tell whether posts stand where they should, all but one: then others belong to another row beside it.

    Args:
        wanted: the distances from post to post, mm.
    """
    asked = np.concatenate(([0.0], np.cumsum(wanted)))
    off = np.abs(np.array([at for at, _ in uprights])[:, None] - asked).min(axis=0)
    return bool(np.count_nonzero(off < IN_PLACE * np.array([wanted[0], *wanted])) >= len(wanted))


def _uprights(strokes: Sequence[Stroke], row: Receding, first_mm: float) -> list[Upright]:
    """Return the strokes that stand upright on the foot line, in order."""
    along, up = unit_toward(row.feet[0], row.goal)
    line = join(row.feet[0], row.goal)
    found: list[Upright] = []
    for number, stroke in enumerate(strokes):
        low, high = sorted((stroke.start, stroke.end), key=lambda end: end.y)
        if stroke.length_mm < SHORTEST_MM or abs(high.x - low.x) > LEAN_SINE * stroke.length_mm:
            continue
        at = (low.x - row.feet[0].x) * along + (low.y - row.feet[0].y) * up
        if abs(offset(low, line)) <= OFF_LINE_MM and -first_mm / 2 < at < distance(row.feet[0], row.goal):
            found.append((at, number))
    return sorted(found)


def _posts(uprights: Sequence[Upright], first_mm: float) -> list[tuple[float, list[int]]]:
    """Return how far along the foot line each post stands, and the strokes of it, by number, in order."""
    posts: list[list[Upright]] = []
    for at, number in uprights:
        if posts and at - posts[-1][-1][0] < ONE_SHARE * first_mm:
            posts[-1].append((at, number))
        else:
            posts.append([(at, number)])
    return [(math.fsum(at for at, _ in post) / len(post), [number for _, number in post]) for post in posts]


def _finding(placed: Placed, even_mm: float, wanted: Sequence[float], lines: list[int], prepared: Prepared) -> Finding:
    name = placed.values.name
    values = {
        "thing": name,
        "value": prepared.nearly(even_mm),
        "first": prepared.nearly(wanted[0]),
        "last": prepared.nearly(wanted[-1]),
    }
    text = prepared.wording.say(FINDINGS["even_spaces"], values)
    title = finding_title("even_spaces", prepared.wording)
    return Finding(code="even_spaces", severity=3, title=title, text=text, lines=lines, about="", line=name)
