"""In which order must the faces of solids be painted, so that what is nearer covers what is farther?

Faces do not cross each other: of two that overlap on the page, any place of the overlap tells which lies before the
other.
"""

from collections.abc import Sequence
from graphlib import CycleError, TopologicalSorter

import numpy as np
import shapely
from numpy.typing import NDArray
from shapely import STRtree

from orthopsis.core.plane.tolerance import SAME_DEPTH, THIN_FACE_MM2
from orthopsis.core.sight.hidden import Index, Mask, Seen, face_planes
from orthopsis.core.sight.solid import Face, broad_faces, faces_toward_eye
from orthopsis.core.view.eye import Array

Place = tuple[float, float]
SNAP_MM = 1e-6
"""Grid on which overlaps are computed where they cannot be without one: slower, but it always succeeds."""
CLEAR = 100 * SAME_DEPTH
"""Difference of nearness from which on one face is said to lie before another; where faces meet it is none."""


def painted(seen: Seen) -> list[Face]:
    """Return the faces of a solid that show, the far ones first; of an open solid also the inner sides."""
    return [face for _, face in painted_together([seen])]


def painted_together(things: Sequence[Seen]) -> list[tuple[int, Face]]:
    """Return the faces that show of solids that touch, with the number of their solid, the far ones first."""
    shown: list[tuple[int, Face]] = []
    outlines: list[list[list[Place]]] = []
    for number, seen in enumerate(things):
        corners = seen.solid.picture(seen.eye)
        faces = broad_faces(seen.solid, seen.eye) if seen.solid.is_open else faces_toward_eye(seen.solid, seen.eye)
        shown += [(number, face) for face in faces]
        outlines += [[[corners[c] for c in loop] for loop in face.loops] for face in faces]
    if not shown or (len(things) == 1 and things[0].solid.topology.is_convex):
        return shown
    planes, of = np.empty((len(shown), 3)), np.array([number for number, _ in shown])
    for number, seen in enumerate(things):
        mine = np.flatnonzero(of == number).tolist()
        if mine:
            solid = seen.solid
            outlines_in_world = [solid.places[[solid.index(name) for name in shown[i][1].corners]] for i in mine]
            planes[mine] = face_planes(seen.eye, outlines_in_world)
    return [shown[i] for i in _sorted(outlines, planes, of)]


def _sorted(outlines: Sequence[list[list[Place]]], planes: Array, of: Index) -> list[int]:
    graph: dict[int, set[int]] = {i: set() for i in range(len(outlines))}
    for nearer, farther in _overlapping(outlines, planes, of):
        graph[nearer].add(farther)
    try:
        return list(TopologicalSorter(graph).static_order())
    except CycleError:
        # Faces that overlap each other in a ring have no such order; the lines are right all the same.
        return sorted(graph, key=lambda i: -len(graph[i]))


def _areas(outlines: Sequence[list[list[Place]]]) -> NDArray[np.object_]:
    """Return the areas of faces, each an outline with its holes; all at once, which is quicker."""
    rings = [loop for loops in outlines for loop in loops]
    corners = np.array([corner for ring in rings for corner in ring])
    of_ring = np.repeat(np.arange(len(rings)), [len(ring) for ring in rings])
    of_face = np.repeat(np.arange(len(outlines)), [len(loops) for loops in outlines])
    drawn = np.asarray(shapely.linearrings(corners, indices=of_ring), dtype=object)
    return np.asarray(shapely.polygons(drawn, indices=of_face), dtype=object)


def _overlapping(outlines: Sequence[list[list[Place]]], planes: Array, of: Index) -> list[tuple[int, int]]:
    """Return (nearer, farther) for all pairs of faces that overlap on the page.

    Of two in one plane that of the later solid lies before the other: the bottom of what is open and stands on a top.

    Args:
        of: the number of the solid of each face.
    """
    areas = _areas(outlines)
    broken = ~shapely.is_valid(areas)  # faces seen nearly edge-on may cross themselves by rounding
    areas[broken] = shapely.make_valid(areas[broken])
    first, second = STRtree(areas).query(areas, predicate="intersects")
    once = first < second
    first, second = first[once], second[once]
    shapely.prepare(areas)
    apart = shapely.touches(areas[first], areas[second])
    first, second = first[~apart], second[~apart]
    before, after = _wholly_before(outlines, planes, first, second), _wholly_before(outlines, planes, second, first)
    # Two that meet in a line may each seem wholly before the other: whether they overlap at all has to be looked at.
    open_ = before == after
    nearness = np.where(before, 1.0, -1.0)
    own, other = first[open_], second[open_]
    shared, gap = _nearness(areas, planes, own, other)
    gap[shared & (np.abs(gap) <= CLEAR) & (of[own] < of[other])] = -1.0
    nearness[open_] = gap
    swapped = nearness < 0
    nearer, farther = np.where(swapped, second, first), np.where(swapped, first, second)
    clear = np.abs(nearness) > CLEAR
    return list(zip(nearer[clear].tolist(), farther[clear].tolist(), strict=True))


def _wholly_before(outlines: Sequence[list[list[Place]]], planes: Array, face: Index, other: Index) -> Mask:
    """Tell of pairs of faces whether one lies before the other wherever either of them is: no place need be sought.

    Of two planes one is before the other all over a face if it is so at its corners.
    """
    corners = [np.array([corner for loop in loops for corner in loop]) for loops in outlines]
    result = np.zeros(len(face), dtype=bool)
    for at in (face, other):
        places = [corners[i] for i in at.tolist()]
        if not places:
            break
        counts = np.array([len(own) for own in places])
        gap = np.repeat(planes[face] - planes[other], counts, axis=0)
        place, begins = np.vstack(places), np.cumsum(counts) - counts
        nearer = gap[:, 0] * place[:, 0] + gap[:, 1] * place[:, 1] + gap[:, 2]
        result |= (np.minimum.reduceat(nearer, begins) > -CLEAR) & (np.maximum.reduceat(nearer, begins) > CLEAR)
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
