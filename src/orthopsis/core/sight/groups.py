"""What is seen of many things, group by group: only what overlaps on the page can hide each other.

While one thing is moved, the groups in which nothing changes are not asked again.
"""

from collections.abc import Sequence
from functools import lru_cache
from threading import RLock

import numpy as np
from cachetools import LRUCache, cached
from numpy.typing import NDArray

from orthopsis.core.sight.hidden import MOST_KEPT, Piece, Seen, Sight, pieces_alone
from orthopsis.core.sight.solid import Solid
from orthopsis.core.view.eye import Array

Pieces = Sequence[Piece]


def pieces_in_groups(things: Sequence[Seen], boxes: Array) -> list[Pieces]:
    """Return for each thing the seen and hidden pieces of its edges, in edge order.

    Args:
        boxes: the rectangle about each on the page: left, low, right, high; shape (n, 4), mm.
    """
    result: list[Pieces] = [()] * len(things)
    groups: dict[int, list[int]] = {}
    for i, first in enumerate(_groups(boxes).tolist()):
        groups.setdefault(first, []).append(i)
    for members in groups.values():
        for i, pieces in zip(members, _together(tuple(things[i] for i in members)), strict=True):
            result[i] = pieces
    return result


def _groups(boxes: Array) -> NDArray[np.int64]:
    """Return for each rectangle the number of the first one that it hangs together with, itself or others between."""
    low, high = boxes[:, :2], boxes[:, 2:]
    touch = np.all((low[:, None] <= high[None]) & (low[None] <= high[:, None]), axis=2)
    np.fill_diagonal(touch, val=True)
    group = np.arange(len(boxes))
    while True:
        wider = np.min(np.where(touch, group[None], len(boxes)), axis=1, initial=len(boxes))
        if np.array_equal(wider, group):
            return group
        group = wider


def _weight(found: tuple[Pieces, ...]) -> int:
    return 1 + sum(len(pieces) for pieces in found)


@cached(LRUCache(maxsize=MOST_KEPT, getsizeof=_weight), lock=RLock())
def _together(things: tuple[Seen, ...]) -> tuple[Pieces, ...]:
    if len(things) == 1:
        (thing,) = things
        return (pieces_alone(thing.solid, thing.eye, see_through=thing.see_through),)
    return tuple(tuple(pieces) for pieces in Sight(things).pieces())


@lru_cache(maxsize=128)
def seen_behind(
    things: tuple[Seen, ...], start: tuple[float, float], end: tuple[float, float]
) -> tuple[tuple[float, float], ...]:
    """Return the shares (from, to) of a page line behind all of some things that are seen."""
    return tuple(Sight(things).seen_behind_all(start, end))


@lru_cache(maxsize=512)
def enlarged(solid: Solid, factor: float) -> Solid:
    """Return a solid enlarged about the eye, which leaves its picture as it is; the same one each time it is asked."""
    return Solid(solid.topology, solid.places * factor)
