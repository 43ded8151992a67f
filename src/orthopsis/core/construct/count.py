"""How many guide lines must there be, and from which corners?

Never typed in: it follows from the front's outline and the vanishing point.
"""

from collections.abc import Collection, Sequence

import numpy as np

from orthopsis.core.plane.homogeneous import Point
from orthopsis.core.plane.polygon import Corners, Mask, Places, check_apart, corners_of, cross, inside_starts
from orthopsis.core.plane.tolerance import SAME_POINT_MM

PENCIL_MM = 0.7
"""Two light lines nearer than this at their corners cannot be parted by a pencil (common practice, no source)."""

ONE_LINE_MM = 1e-3
"""Corners this near to another's guide line lie on it."""


def guide_corners(loops: Sequence[Sequence[Point]], goal: Point, holes: Collection[int] = ()) -> list[int]:
    """Return the corners of a solid's front that can have a guide line to ``goal``, counted loop after loop from 0.

    A corner has one when the line neither crosses the front nor runs along one of its own edges: there
    the line of the next corner covers it.

    Args:
        loops: the corners of the outlines of the front face on the page, and of its holes.
        goal: the vanishing point, finite or ideal.
        holes: numbers of the loops that are holes.

    Raises:
        CoincidentPoints: a corner lies on the goal, or on the next one.
    """
    corners = corners_of(loops)
    check_apart(corners.ways(goal))
    is_hole = np.repeat([number in holes for number in range(len(loops))], [len(loop) for loop in loops])
    free = inside_starts(corners, goal) == is_hole
    for beside in (corners.following, corners.before):
        free &= ~_run_along(corners, beside, goal)
    return np.flatnonzero(free).tolist()


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


def _run_along(corners: Corners, beside: Places, goal: Point) -> Mask:
    """Tell of each corner whether its line to the goal covers the edge to a neighbour."""
    way, edge = corners.ways(goal), beside - corners.at
    gap = np.abs(cross(edge, way)) / np.hypot(*way.T)
    covers: Mask = (gap <= SAME_POINT_MM * 10) & (np.einsum("ij,ij->i", edge, way) > 0)
    return covers
