"""How many guide lines must there be, and from which corners?

Never typed in: it follows from the front's outline and the vanishing point.
"""

from collections.abc import Sequence

import numpy as np

from orthopsis.core.plane.homogeneous import Point, join, offset
from orthopsis.core.plane.polygon import inside_starts
from orthopsis.core.plane.tolerance import SAME_POINT_MM

PENCIL_MM = 0.7
"""Two light lines nearer than this at their corners cannot be parted by a pencil (common practice, no source)."""

ONE_LINE_MM = 1e-3
"""Corners this near to another's guide line lie on it."""


def guide_corners(outline: Sequence[Point], goal: Point) -> list[int]:
    """Return the corners of a solid's front that can have a guide line to ``goal``, in outline order.

    A corner has one when the line neither crosses the front nor runs along one of its own edges: there
    the line of the next corner covers it.

    Args:
        outline: the corners of the front face on the page.
        goal: the vanishing point, finite or ideal.
    """
    size = len(outline)
    return [
        i
        for i, into in enumerate(inside_starts(outline, goal))
        if not into
        and not runs_along(outline[i], outline[(i + 1) % size], goal)
        and not runs_along(outline[i], outline[i - 1], goal)
    ]


def nearest_gap_mm(corners: Sequence[Point], goal: Point) -> float:
    """Return the smallest distance in mm between a corner and another corner's guide line.

    Corners on one and the same line share it and do not count. Returns infinity for fewer than two corners.
    """
    if len(corners) < 2:
        return float("inf")
    at = np.array([corner.xy for corner in corners])
    way = np.array([goal.x, goal.y]) - at * goal.w
    way /= np.linalg.norm(way, axis=1)[:, None]
    apart = at[None, :] - at[:, None]
    gaps = np.abs(apart[:, :, 0] * way[:, None, 1] - apart[:, :, 1] * way[:, None, 0])
    return float(np.min(gaps, where=gaps > ONE_LINE_MM, initial=np.inf))


def runs_along(corner: Point, neighbour: Point, goal: Point) -> bool:
    """Tell whether the line from corner to goal covers the edge to the neighbour."""
    gap = abs(offset(neighbour, join(corner, goal)))
    if gap > SAME_POINT_MM * 10:
        return False
    ahead = (neighbour.x - corner.x) * (goal.x - corner.x * goal.w) + (neighbour.y - corner.y) * (
        goal.y - corner.y * goal.w
    )
    return ahead > 0
