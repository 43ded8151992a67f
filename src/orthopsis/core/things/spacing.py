"""How far along a line to its point do equal steps lie, and how long may the first one be?

Source: equal steps on a line that goes away, by the cross-ratio (see ``plane.cross_ratio``).
"""

from orthopsis.core.plane.cross_ratio import repeated_mark
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
