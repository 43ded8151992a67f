"""Where on the ground do things stand?

A page tells of a thing alone only its picture: moved away and enlarged about the eye it looks the same. What stands
on the ground is fixed by that: the lower on the page its foot, the nearer it is. Lengths here are heights of the eye
over the ground, so that all things under one eye share one plan, whether that height is known or not.

Source: on level ground a foot's depth is the eye's height by its drop under the eye level (textbook; from memory).
"""

from collections.abc import Sequence
from dataclasses import dataclass
from functools import lru_cache

import numpy as np
from shapely import LineString, MultiPoint, Polygon, get_coordinates

from orthopsis.core.things.standing import Standing
from orthopsis.core.view.eye import Array, Eye
from orthopsis.core.view.frame import Frame

LEAST_DROP_MM = 1.0
"""A foot less than this under the eye level says nothing of how far away it is (no source)."""
THIN = 1e-4
"""Half as thick as this is what has no thickness, such as a tree that is drawn flat, in heights of the eye."""
TOUCHING = 1e-6
"""Plans that come this near to each other touch, in heights of the eye."""


@dataclass(frozen=True, slots=True, eq=False)
class Plan:
    """What of the ground some things cover that hang together; one is equal only to itself.

    Attributes:
        eye: the eye that sees them.
        drop_mm: how far under the eye their foot is in their own world, mm; the world's scale is free.
        outline: the corners of the least convex outline about them on the ground, anticlockwise, from the place under
            the eye, in heights of the eye, shape (n, 2).
    """

    eye: Eye
    drop_mm: float
    outline: Array


@lru_cache(maxsize=512)
def plan_of(standings: tuple[Standing, ...], factors: tuple[float, ...]) -> Plan | None:
    """Return the plan of things that hang together; None where their foot does not reach the ground.

    Args:
        factors: how many times each is enlarged about the eye, so that they touch.
    """
    frame = standings[0].setting.frame
    axes = level_axes(frame)
    places = np.vstack([standing.solid.places * factor for standing, factor in zip(standings, factors, strict=True)])
    if not len(places):
        return None
    right, up, ahead = (places @ axes.T).T
    foot = int(np.argmin(up))
    (_, y), drop = frame.eye.see(places[foot : foot + 1])[0], -float(up[foot])
    if frame.level_mm - y < LEAST_DROP_MM or drop <= 0:
        return None
    hull = MultiPoint(np.column_stack((right, ahead)) / drop).convex_hull
    if isinstance(hull, LineString):
        hull = hull.buffer(THIN, cap_style="flat")
    if not isinstance(hull, Polygon):
        return None
    outline = get_coordinates(hull.exterior)[:-1]
    return Plan(frame.eye, drop, outline if hull.exterior.is_ccw else outline[::-1])


@lru_cache(maxsize=256)
def level_axes(frame: Frame) -> Array:
    """Return three world directions of length 1: right and level, up, and ahead and level; rows of shape (3, 3)."""
    names = ("across", "away") if frame.kind == "one_point" else ("left", "right")
    first, second = (frame.eye.ray(frame.way(name).goal) for name in names)
    up = np.cross(first, second)
    up *= np.sign(up[1]) / np.linalg.norm(up)
    right = np.array([up[1], -up[0], 0.0]) / np.hypot(up[0], up[1])
    return np.vstack((right, up, np.cross(right, up)))


@lru_cache(maxsize=2048)
def nearer(one: Plan, other: Plan) -> int:
    """Return which of two plans can hide the other: 1 the first, -1 the second, 0 where no line parts them.

    Two convex outlines that do not overlap are parted by one of their sides; the one on whose side of it the eye
    stands cannot be hidden by the other. Source: separating axes (textbook; from memory).
    """
    gap, is_first = _parted(one.outline, other.outline)
    other_gap, is_second = _parted(other.outline, one.outline)
    if max(gap, other_gap) < -TOUCHING:
        return 0
    if gap >= other_gap:
        return 1 if is_first else -1
    return -1 if is_second else 1


def _parted(one: Array, other: Array) -> tuple[float, bool]:
    """Return how far away a side of the first outline keeps the second, at most; and whether it holds the eye."""
    sides = np.roll(one, -1, axis=0) - one
    normals = np.column_stack((sides[:, 1], -sides[:, 0])) / np.hypot(*sides.T)[:, None]
    reach = np.einsum("ij,ij->i", normals, one)
    gaps = (normals @ other.T).min(axis=1) - reach
    best = int(np.argmax(gaps))
    return float(gaps[best]), bool(reach[best] + gaps[best] / 2 >= 0)


def scales(plans: Sequence[Plan | None]) -> list[float]:
    """Return how many times each is to be enlarged about the eye, to stand on one ground with the first of its eye."""
    first: dict[Eye, float] = {}
    return [1.0 if plan is None else first.setdefault(plan.eye, plan.drop_mm) / plan.drop_mm for plan in plans]
