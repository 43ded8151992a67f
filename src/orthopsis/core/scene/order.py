"""Who may hide whom? One list, the nearest first.

What hangs together goes together; its own true places decide. Of two others whose pictures overlap, the teacher's word
decides; else what stands nearer on the ground. What does not stand on the ground, stands under another eye, or stands
in the other one, keeps the order in which the things are listed.
"""

import heapq
import itertools
from collections.abc import Mapping, Sequence
from dataclasses import dataclass
from graphlib import CycleError, TopologicalSorter
from typing import Literal

import numpy as np

from orthopsis.core.scene.ground import Plan, nearer, scales
from orthopsis.core.scene.prepared import Prepared
from orthopsis.core.scene.whole import Whole, members_of, whole_of
from orthopsis.core.view.eye import Array

Why = Literal["said", "ground", "depth", "floats", "other_eye", "crossing", "lies"]
"""Why one of two hides the other: the teacher said so; the other lies on the ground; it stands nearer on the ground;
each does, where it is nearer; or it is listed first, because one of them floats, they have other eyes, or they stand in
each other."""
_STRENGTH: Mapping[Why, int] = {
    "said": 2, "lies": 1, "ground": 1, "depth": 1, "floats": 0, "other_eye": 0, "crossing": 0,
}  # fmt: skip


@dataclass(frozen=True, slots=True)
class Overlap:
    """Two things, each the first one of those that it hangs together with, by number: the first may hide the other."""

    nearer: int
    farther: int
    why: Why


@dataclass(frozen=True, slots=True)
class Order:
    """Who may hide whom.

    Attributes:
        layers: for each thing its layer, 0 the nearest: one hides all that is in farther layers; within one, true
            places decide.
        scales: how many times each is enlarged about the eye, so that all under one eye stand on one ground.
        overlaps: those whose pictures lie over each other.
    """

    layers: tuple[int, ...]
    scales: tuple[float, ...]
    overlaps: tuple[Overlap, ...]


def order_of(prepared: Prepared, boxes: Array) -> Order:
    """Return who may hide whom.

    Args:
        boxes: the rectangle about each thing on the page: left, low, right, high; shape (n, 4), mm.
    """
    members = list(members_of(prepared.things).values())
    of = {number: place for place, mine in enumerate(members) for number in mine}
    pairs = _overlapping(_around(boxes, members))
    if not pairs:
        return Order(tuple(of[i] for i in range(len(of))), (1.0,) * len(of), ())
    things, involved = prepared.things, sorted({place for pair in pairs for place in pair})
    wholes = {place: whole_of(things, members[place]) for place in involved}
    plans = {place: whole.plan for place, whole in wholes.items()}
    scale = dict(zip(plans, scales(list(plans.values())), strict=True))
    said = _said(prepared, of)
    overlaps = [_overlap(i, j, said, wholes, plans, scale) for i, j in pairs]
    rank = _ranks(len(members), overlaps)
    return Order(
        tuple(rank[of[i]] for i in range(len(of))),
        tuple(scale.get(of[i], 1.0) for i in range(len(of))),
        tuple(Overlap(wholes[o.nearer].root, wholes[o.farther].root, o.why) for o in overlaps),
    )


def _around(boxes: Array, members: Sequence[Sequence[int]]) -> Array:
    """Return the rectangle about each whole on the page."""
    if len(members) == len(boxes):
        return boxes
    order, begins = np.concatenate(members), np.cumsum([0, *(len(mine) for mine in members[:-1])])
    low, high = (f.reduceat(boxes[order], begins) for f in (np.minimum, np.maximum))
    return np.hstack((low[:, :2], high[:, 2:]))


def _overlapping(boxes: Array) -> list[tuple[int, int]]:
    """Return the pairs of rectangles that overlap, the lower number first."""
    low, high = boxes[:, :2], boxes[:, 2:]
    touch = np.all((low[:, None] < high[None]) & (low[None] < high[:, None]), axis=2)
    first, second = np.nonzero(np.triu(touch, k=1))
    return list(zip(first.tolist(), second.tolist(), strict=True))


def _said(prepared: Prepared, of: Mapping[int, int]) -> dict[tuple[int, int], bool]:
    """Return of which two wholes the teacher has said that the first hides the second, or the second the first.

    Args:
        of: the place of the whole of each thing.
    """
    said: dict[tuple[int, int], bool] = {}
    for word in prepared.exercise.hides:
        one, other = prepared.by_id.get(word.nearer), prepared.by_id.get(word.farther)
        if one is not None and other is not None and of[one.index] != of[other.index]:
            first, second = of[one.index], of[other.index]
            said[min(first, second), max(first, second)] = first < second
    return said


def _overlap(
    i: int, j: int, said: Mapping[tuple[int, int], bool], wholes: Mapping[int, Whole],
    plans: Mapping[int, Plan | None], scale: Mapping[int, float],
) -> Overlap:  # fmt: skip
    """Return which of two wholes is nearer, and why; the first is listed before the second."""
    if (i, j) in said:
        return Overlap(i, j, "said") if said[i, j] else Overlap(j, i, "said")
    if wholes[i].is_ground != wholes[j].is_ground:
        return Overlap(j, i, "lies") if wholes[i].is_ground else Overlap(i, j, "lies")
    one, other = plans[i], plans[j]
    if one is None or other is None:
        return Overlap(i, j, "floats")
    if one.eye != other.eye:
        return Overlap(i, j, "other_eye")
    way = nearer(one, other)
    if way:
        return Overlap(i, j, "ground") if way > 0 else Overlap(j, i, "ground")
    return Overlap(i, j, "crossing" if wholes[i].stands_in(wholes[j], scale[j] / scale[i]) else "depth")


def _ranks(count: int, overlaps: Sequence[Overlap]) -> list[int]:
    """Return the layer of each whole; those that hide each other, each where it is nearer, share one.

    Where words contradict each other in a ring, the weakest give way. Two of which the teacher has said who hides whom
    never share a layer: what would bring them together keeps the order of the list.
    """
    said = [overlap for overlap in overlaps if overlap.why == "said"]
    of = list(range(count))
    for overlap in overlaps:
        if overlap.why == "depth":
            keep, gone = of[overlap.nearer], of[overlap.farther]
            shared = [keep if one == gone else one for one in of]
            if all(shared[word.nearer] != shared[word.farther] for word in said):
                of = shared
    edges = {
        (of[o.nearer], of[o.farther]): _STRENGTH[o.why]
        for o in sorted(overlaps, key=lambda o: _STRENGTH[o.why])
        if of[o.nearer] != of[o.farther]
    }
    while (ring := _ring(edges)) is not None:
        del edges[min(ring, key=lambda edge: edges[edge])]
    place = {one: rank for rank, one in enumerate(_sorted(sorted(set(of)), edges))}
    return [place[one] for one in of]


Edges = dict[tuple[int, int], int]


def _ring(edges: Edges) -> list[tuple[int, int]] | None:
    """Return the edges of a ring of words, if there is one."""
    after: dict[int, set[int]] = {}
    for one, other in edges:
        after.setdefault(other, set()).add(one)
    try:
        TopologicalSorter(after).prepare()
    except CycleError as error:
        ring = error.args[1]
        return [pair for pair in itertools.pairwise(ring) if pair in edges]
    return None


def _sorted(nodes: Sequence[int], edges: Edges) -> list[int]:
    """Return the nodes in an order that all edges agree with, as near to the list's as can be."""
    waits = dict.fromkeys(nodes, 0)
    after: dict[int, list[int]] = {}
    for one, other in edges:
        waits[other] += 1
        after.setdefault(one, []).append(other)
    ready = [node for node in nodes if not waits[node]]
    result = []
    while ready:
        result.append(heapq.heappop(ready))
        for other in after.get(result[-1], ()):
            waits[other] -= 1
            if not waits[other]:
                heapq.heappush(ready, other)
    return result
