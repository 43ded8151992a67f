"""In which order must the faces of solids be painted, so that what is nearer covers what is farther?

Faces do not cross each other. Of two that overlap on the page the difference of their nearness changes evenly over the
overlap, so its corners tell which one lies before the other.
"""

from collections.abc import Sequence
from graphlib import CycleError, TopologicalSorter

from orthopsis.core.plane.tolerance import SAME_DEPTH
from orthopsis.core.sight.hidden import Seen, face_plane
from orthopsis.core.sight.solid import Face, faces_toward_eye, is_broad

Place = tuple[float, float]
Plane = tuple[float, float, float]
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
        if seen.solid.is_open:
            faces = [face for face in seen.solid.faces if is_broad(face, corners)]
        else:
            faces = list(faces_toward_eye(seen.solid, corners))
        shown += [(number, face) for face in faces]
        outlines += [[[corners[c] for c in loop] for loop in face.loops] for face in faces]
    if len(things) == 1 and things[0].solid.topology.is_convex:
        return shown
    planes: list[Plane] = []
    for number, face in shown:
        solid = things[number].solid
        a, b, c = face_plane(things[number].eye, solid.places[[solid.index(name) for name in face.corners]])
        planes.append((float(a), float(b), float(c)))
    return [shown[i] for i in _sorted(outlines, planes)]


def _sorted(outlines: Sequence[list[list[Place]]], planes: Sequence[Plane]) -> list[int]:
    boxes = [_box(loops[0]) for loops in outlines]
    graph: dict[int, set[int]] = {i: set() for i in range(len(outlines))}
    for i in range(len(outlines)):
        for j in range(i):
            if _apart(boxes[i], boxes[j]):
                continue
            nearer = _nearer(outlines[i], outlines[j], planes[i], planes[j])
            if nearer > 0:
                graph[i].add(j)
            elif nearer < 0:
                graph[j].add(i)
    try:
        return list(TopologicalSorter(graph).static_order())
    except CycleError:
        # Faces that overlap each other in a ring have no such order; the lines are right all the same.
        return sorted(graph, key=lambda i: -len(graph[i]))


def _box(loop: Sequence[Place]) -> tuple[float, float, float, float]:
    xs, ys = zip(*loop, strict=True)
    return min(xs), min(ys), max(xs), max(ys)


def _apart(first: tuple[float, float, float, float], second: tuple[float, float, float, float]) -> bool:
    return first[2] <= second[0] or second[2] <= first[0] or first[3] <= second[1] or second[3] <= first[1]


def _nearer(first: list[list[Place]], second: list[list[Place]], one: Plane, two: Plane) -> int:
    """Return 1 if the first face lies before the second where they overlap, -1 behind, 0 if it cannot matter."""
    best = 0.0
    for x, y in _overlap_corners(first, second):
        gap = (one[0] - two[0]) * x + (one[1] - two[1]) * y + one[2] - two[2]
        if abs(gap) > abs(best):
            best = gap
    return 0 if abs(best) <= CLEAR else 1 if best > 0 else -1


def _overlap_corners(first: list[list[Place]], second: list[list[Place]]) -> list[Place]:
    """Return corners of the region in which two faces overlap: corners inside the other, and crossings."""
    found = [p for loop in first for p in loop if _is_inside(p, second)]
    found += [p for loop in second for p in loop if _is_inside(p, first)]
    for a, b in _sides(first):
        for c, d in _sides(second):
            at = _crossing(a, b, c, d)
            if at is not None:
                found.append(at)
    return found


def _sides(loops: list[list[Place]]) -> list[tuple[Place, Place]]:
    return [pair for loop in loops for pair in zip(loop, [*loop[1:], loop[0]], strict=True)]


def _crossing(a: Place, b: Place, c: Place, d: Place) -> Place | None:
    """Return where two segments cross inside both; touching ends do not count."""
    px, py, qx, qy = b[0] - a[0], b[1] - a[1], d[0] - c[0], d[1] - c[1]
    across = px * qy - py * qx
    if across == 0:
        return None
    t = ((c[0] - a[0]) * qy - (c[1] - a[1]) * qx) / across
    u = ((c[0] - a[0]) * py - (c[1] - a[1]) * px) / across
    slack = 1e-9
    return (a[0] + t * px, a[1] + t * py) if slack < t < 1 - slack and slack < u < 1 - slack else None


def _is_inside(point: Place, loops: list[list[Place]]) -> bool:
    x, y = point
    inside = False
    for (ax, ay), (bx, by) in _sides(loops):
        if (ay > y) != (by > y) and x < ax + (y - ay) * (bx - ax) / (by - ay):
            inside = not inside
    return inside
