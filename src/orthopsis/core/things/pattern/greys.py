"""How dark does a pattern look from afar, and which ones are told apart in grey?

Seen from where its lines are no longer seen one by one, a face looks as dark as its lines and dark fields together make
it (area coverage, textbook; from memory). Reckoned in steps of tone, 0 for paper and 3 for the darkest.
"""

import itertools
import math
from collections.abc import Iterator
from dataclasses import dataclass

import shapely

from orthopsis.core.light.tone import CONTRAST
from orthopsis.core.things.pattern.designs import DESIGNS, Node, dark_fields, paths

PEN_MM = 0.7
"""How wide a dark pencil line is (common practice, no source)."""
DARKEST = 3.0


@dataclass(frozen=True, slots=True)
class Look:
    """A design, and whether every other field of it is dark."""

    design: str
    is_dark: bool


def different_looks(columns: int, rows: int, wide_mm: float, high_mm: float) -> Iterator[Look]:
    """Yield a look for each of a row of neighbours, without end: of another design, and in another grey than the last.

    Args:
        columns, rows: into how many parts the face is divided.
        wide_mm, high_mm: its true size.
    """
    looks = [Look(design, dark) for dark, design in itertools.product((False, True), DESIGNS)]
    grey = {look: grey_steps(look, columns, rows, wide_mm, high_mm) for look in looks}
    before = looks[0]
    yield before
    for design in itertools.islice(itertools.cycle(DESIGNS), 1, None):
        plain, dark = Look(design, is_dark=False), Look(design, is_dark=True)
        is_nearer = abs(grey[plain] - grey[before]) < abs(grey[dark] - grey[before])
        before = dark if is_nearer else plain
        yield before


def grey_steps(look: Look, columns: int, rows: int, wide_mm: float, high_mm: float, tone: int = 1) -> float:
    """Return how dark a look is on a face of a tone, in steps of tone."""
    dark = dark_fields(look.design, columns, rows) if look.is_dark else []
    share = sum(shapely.Polygon(field).area for field in dark) / (4 * columns * rows)
    mean = tone + share * (CONTRAST[tone] - tone)
    ink = PEN_MM * _length(look.design, columns, rows, wide_mm, high_mm) / (wide_mm * high_mm)
    return mean + min(ink, 1.0) * (DARKEST - mean)


def _length(design: str, columns: int, rows: int, wide_mm: float, high_mm: float) -> float:
    """Return how long all lines of a design are, mm; a wave as if it were straight from foot to crest."""
    across, up = wide_mm / (2 * columns), high_mm / (2 * rows)

    def length(one: Node, two: Node) -> float:
        return math.hypot((two[0] - one[0]) * across, (two[1] - one[1]) * up)

    steps = (pair for path in paths(design, columns, rows) for pair in itertools.pairwise(path.nodes))
    return sum(length(one, two) for one, two in steps)
