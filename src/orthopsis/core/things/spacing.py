"""How far along a line to its point do equal steps lie, and how long may the first one be?

Source: equal steps on a line that goes away, by the cross-ratio (see ``plane.cross_ratio``).
"""

import itertools
import math
from collections.abc import Sequence

from orthopsis.core.plane.cross_ratio import repeated_mark
from orthopsis.core.things.answers import Crowded
from orthopsis.core.things.depth import FARTHEST_SHARE


def equal_shares(step_mm: float, reach_mm: float, count: int) -> tuple[float, ...]:
    """Return the share of the way to the point at which each of some marks lies; 0 is where the first step begins.

    Args:
        step_mm: how long the first step is on the page.
        reach_mm: how far the point is from where it begins, on the page.
        count: how many marks there are after that.

    Returns:
        Nothing where the last one would come nearer to the point than ``FARTHEST_SHARE`` of the way.
    """
    if step_mm > longest_step_mm(reach_mm, count):
        return ()
    return tuple(repeated_mark(step_mm, reach_mm, n) / reach_mm for n in range(1, count + 1))


def longest_step_mm(reach_mm: float, count: int) -> float:
    """Return how long the first of so many steps may be on the page, mm."""
    return FARTHEST_SHARE * reach_mm / (count - FARTHEST_SHARE * (count - 1))


def crowded_row(name: str, shares: Sequence[float], reach_mm: float) -> Crowded:
    """Return how near those of a row come to each other, of which each is so far along the way to the point.

    Args:
        name: the parameter that says how many there are; ``shares`` begin with the first one's.
    """
    gaps = [reach_mm * (b - a) for a, b in itertools.pairwise(shares)]
    return Crowded(name, min(gaps, default=math.inf), lambda mm: 1 + sum(gap >= mm for gap in gaps))
