"""In which order must the faces of solids be painted, so that what is nearer covers what is farther?

Faces do not cross each other: of two that overlap on the page, any place of the overlap tells which lies before the
other.
"""

from collections.abc import Sequence
from typing import NamedTuple

import numpy as np
import shapely
from numpy.typing import NDArray
from shapely import STRtree

from orthopsis.core.plane.tolerance import SAME_DEPTH, THIN_FACE_MM2
from orthopsis.core.sight.hidden import Index, Mask, Seen, begins_of, face_planes, runs
from orthopsis.core.sight.solid import Face, face_areas_mm2
from orthopsis.core.view.eye import Array

SNAP_MM = 1e-6
"""Grid on which overlaps are computed where they cannot be without one: slower, but it always succeeds."""
CLEAR = 100 * SAME_DEPTH
"""Difference of nearness from which on one face is said to lie before another; where faces meet it is none."""
MOST_COMPARED = 700
"""So many faces are compared each with each; of more a tree finds those that may overlap."""


def painted(seen: Seen) -> list[Face]:
    """Return the faces of a solid that show, the far ones first; of an open solid also the inner sides."""
    return [face for _, face in painted_together([seen])]


def painted_together(things: Sequence[Seen]) -> list[tuple[int, Face]]:
    """Return the faces that show of solids that touch, with the number of their solid, the far ones first."""
    shown: list[tuple[int, Face]] = []
    parts: list[_Outlines] = []
    for number, seen in enumerate(things):
        topology, page = seen.solid.topology, seen.eye.see(seen.solid.places)
        areas_mm2 = face_areas_mm2(topology, page)
        faces = np.flatnonzero((np.abs(areas_mm2) if topology.is_open else areas_mm2) > THIN_FACE_MM2)
        shown += [(number, topology.faces[i]) for i in faces.tolist()]
        if len(things) == 1 and topology.is_convex:
            return shown
        parts.append(_outlines(seen, page, faces, number))
    return [shown[i] for i in _sorted(_Outlines(*(np.concatenate(part) for part in zip(*parts, strict=True))))]


class _Outlines(NamedTuple):
    """The outlines of faces on the page.

    Attributes:
        corners: the corners of all their loops, shape (n, 2), page mm.
        counts: how many of these each face has, shape (f,).
        loops: how many loops each face has, shape (f,).
        loop_corners: how many corners each of these has.
        planes: the nearness on each face, shape (f, 3); see ``face_planes``.
        of: the number of the solid of each face.
    """

    corners: Array
    counts: Index
    loops: Index
    loop_corners: Index
    planes: Array
    of: Index


def _outlines(seen: Seen, page: Array, faces: Index, number: int) -> _Outlines:
    """Return the outlines of some faces of a solid."""
    topology, places = seen.solid.topology, seen.solid.places
    counts, loops = topology.side_counts[faces], topology.loop_counts[faces]
    sides = topology.side_rows[runs(begins_of(topology.side_counts)[faces], counts)]
    eyes = np.tile((*seen.eye.principal.xy, seen.eye.distance_mm), (len(faces), 1))
    return _Outlines(
        page[sides[:, 0]],
        counts,
        loops,
        topology.loop_sides[runs(begins_of(topology.loop_counts)[faces], loops)],
        face_planes(places[sides[:, 0]], places[sides[:, 1]], begins_of(counts), eyes),
        np.full(len(faces), number),
    )


def _sorted(outlines: _Outlines) -> list[int]:
    """Return the numbers of the faces, the far ones first.

    Of two of which one lies before the other it is mostly enough to know that their boxes overlap; only where that
    leads into a ring is it asked whether they do.
    """
    first, second = _boxes_overlap(outlines)
    before, after = _wholly_before(outlines, first, second), _wholly_before(outlines, second, first)
    # Two that meet in a line may each seem wholly before the other: whether they overlap at all has to be looked at.
    open_ = before == after
    nearer, farther = np.where(before, first, second)[~open_], np.where(before, second, first)[~open_]
    areas = _areas(outlines) if len(first) else np.empty(0, dtype=object)
    looked_at = _looked_at(outlines, areas, *_overlapping(areas, first[open_], second[open_]))
    pairs = np.concatenate((looked_at[0], nearer)), np.concatenate((looked_at[1], farther))
    far, ring, near = _ends(np.arange(len(outlines.counts)), *pairs)
    if not len(ring):
        return [*far, *near]
    in_ring = np.zeros(len(outlines.counts), dtype=bool)
    in_ring[ring] = True
    kept, asked = (in_ring[one] & in_ring[other] for one, other in (looked_at, (nearer, farther)))
    overlap = _overlapping(areas, nearer[asked], farther[asked])
    pairs = np.concatenate((looked_at[0][kept], overlap[0])), np.concatenate((looked_at[1][kept], overlap[1]))
    more_far, ring, more_near = _ends(ring, *pairs)
    # Faces that overlap each other in a ring have no such order; the lines are right all the same.
    behind = np.bincount(pairs[0], minlength=len(outlines.counts))
    return [*far, *more_far, *sorted(ring.tolist(), key=lambda i: -behind[i]), *more_near, *near]


def _ends(faces: Index, nearer: Index, farther: Index) -> tuple[list[int], Index, list[int]]:
    """Part faces into those that can be painted first, the far ones first, those in rings, and those painted last.

    Layer by layer (Kahn, "Topological sorting of large networks", 1962), from both ends.

    Args:
        nearer: the nearer ones of pairs of these faces.
        farther: the farther ones.
    """
    left = np.zeros(int(faces.max(initial=-1)) + 1, dtype=bool)
    left[faces] = True
    ends: list[list[int]] = []
    for waiting, awaited in ((nearer, farther), (farther, nearer)):
        painted: list[int] = []
        while True:
            open_ = left[waiting] & left[awaited]
            ready = left.copy()
            ready[waiting[open_]] = False
            if not ready.any():
                break
            painted += np.flatnonzero(ready).tolist()
            left &= ~ready
        ends.append(painted)
    far, near = ends
    return far, np.flatnonzero(left), near[::-1]


def _areas(outlines: _Outlines) -> NDArray[np.object_]:
    """Return the areas of faces, each an outline with its holes; all at once, which is quicker."""
    of_loop = np.repeat(np.arange(len(outlines.loop_corners)), outlines.loop_corners)
    of_face = np.repeat(np.arange(len(outlines.loops)), outlines.loops)
    drawn = np.asarray(shapely.linearrings(outlines.corners, indices=of_loop), dtype=object)
    areas = np.asarray(shapely.polygons(drawn, indices=of_face), dtype=object)
    broken = ~shapely.is_valid(areas)  # faces seen nearly edge-on may cross themselves by rounding
    areas[broken] = shapely.make_valid(areas[broken])
    shapely.prepare(areas)
    return areas


def _overlapping(areas: NDArray[np.object_], first: Index, second: Index) -> tuple[Index, Index]:
    """Return those of pairs of faces that overlap on the page, rather than meet at most in a line."""
    overlap = shapely.intersects(areas[first], areas[second])
    first, second = first[overlap], second[overlap]
    apart = shapely.touches(areas[first], areas[second])
    return first[~apart], second[~apart]


def _looked_at(
    outlines: _Outlines, areas: NDArray[np.object_], first: Index, second: Index
) -> tuple[Index, Index]:  # fmt: skip
    """Return the nearer and the farther ones of pairs of faces that overlap, by a place of the overlap.

    Of two in one plane that of the later solid lies before the other: the bottom of what is open and stands on a top.
    """
    shared, nearness = _nearness(areas, outlines.planes, first, second)
    nearness[shared & (np.abs(nearness) <= CLEAR) & (outlines.of[first] < outlines.of[second])] = -1.0
    clear = np.abs(nearness) > CLEAR
    swapped = nearness < 0
    return np.where(swapped, second, first)[clear], np.where(swapped, first, second)[clear]


def _boxes_overlap(outlines: _Outlines) -> tuple[Index, Index]:
    """Return the pairs of faces whose boxes overlap on the page, each once."""
    if len(outlines.counts) == 0:
        return outlines.of, outlines.of
    begins = begins_of(outlines.counts)
    low, high = np.minimum.reduceat(outlines.corners, begins), np.maximum.reduceat(outlines.corners, begins)
    if len(low) > MOST_COMPARED:
        boxes = np.asarray(shapely.box(*low.T, *high.T), dtype=object)
        one, other = STRtree(boxes).query(boxes)
        once = one < other
        return one[once], other[once]
    overlap = np.triu(np.ones((len(low), len(low)), dtype=bool), 1)
    for axis in (0, 1):
        overlap &= low[:, None, axis] < high[None, :, axis]
        overlap &= low[None, :, axis] < high[:, None, axis]
    first, second = np.nonzero(overlap)
    return first, second


def _wholly_before(outlines: _Outlines, face: Index, other: Index) -> Mask:
    """Tell of pairs of faces whether one lies before the other wherever either of them is: no place need be sought.

    Of two planes one is before the other all over a face if it is so at its corners.
    """
    result = np.zeros(len(face), dtype=bool)
    if not len(face):
        return result
    begins = begins_of(outlines.counts)
    gap = outlines.planes[face] - outlines.planes[other]
    for at in (face, other):
        counts = outlines.counts[at]
        place, of = outlines.corners[runs(begins[at], counts)], np.repeat(gap, counts, axis=0)
        nearer, starts = of[:, 0] * place[:, 0] + of[:, 1] * place[:, 1] + of[:, 2], begins_of(counts)
        result |= (np.minimum.reduceat(nearer, starts) > -CLEAR) & (np.maximum.reduceat(nearer, starts) > CLEAR)
    return result


def _nearness(areas: NDArray[np.object_], planes: Array, first: Index, second: Index) -> tuple[Mask, Array]:
    """Return which of pairs of faces overlap, and by how much the first is nearer there; 0 where they hardly do."""
    try:
        shared = shapely.intersection(areas[first], areas[second])
    except shapely.errors.GEOSException:
        shared = shapely.intersection(areas[first], areas[second], grid_size=SNAP_MM)
    at, gap = shapely.point_on_surface(shared), planes[first] - planes[second]
    nearness: Array = gap[:, 0] * shapely.get_x(at) + gap[:, 1] * shapely.get_y(at) + gap[:, 2]
    overlap = np.asarray(shapely.area(shared) > THIN_FACE_MM2)
    return overlap, np.where(overlap, nearness, 0.0)
