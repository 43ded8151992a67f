"""The solids of an exercise as a Wavefront OBJ, in the world of the eye (mm; x right, y up, z toward the viewer).

What is sunk into a body is a part of it: the body's faces are cut where openings begin and end, and the sides of the
openings close it again, so that each object is one closed surface.
"""

from collections.abc import Iterator, Sequence

import numpy as np
import shapely
from shapely import Polygon
from shapely.geometry.base import BaseGeometry

from orthopsis.core.document.document import Exercise
from orthopsis.core.drawing.solved import Solved, bearer_of, solve
from orthopsis.core.scene.prepared import prepare
from orthopsis.core.sight.solid import Face, Solid
from orthopsis.core.view.eye import Array

SAME_MM = 1e-5
"""Corners as near to each other as this are one."""
THIN = 1e-9
"""A part of a plane that is smaller than this share of a square millimetre is none."""
Corners = list[tuple[float, float, float]]


def obj_bytes(exercise: Exercise) -> bytes:
    """Return all bodies as named groups of faces; what lies flat on the ground, such as a shadow, is none.

    OBJ is right-handed, so z is turned to point at the viewer and faces keep their outer side.
    In a frame without a stated distance the depth has no true scale; a comment says so.
    """
    solved = solve(prepare(exercise))
    rows = ["# units: millimetres"]
    if not all(frame.is_metric for frame in solved.prepared.frames):
        rows.append("# no viewing distance is stated: depths are drawn for a nominal eye, not measured")
    first = 1
    sunk = _sunk(solved)
    for placed, seen in zip(solved.prepared.things, solved.seen, strict=True):
        if placed.standing.holes or placed.standing.lies_on_ground or not placed.standing.is_body:
            continue
        rows.append(f"o {placed.values.name.replace(' ', '_')}")
        within = sunk.get(placed.values.name, [])
        for own in [seen.solid.faces] if within else _bodies(seen.solid.faces):
            numbers: dict[tuple[int, ...], int] = {}
            faces = [
                [numbers.setdefault(_key(corner), first + len(numbers)) for corner in corners]
                for corners in _faces(seen.solid, own, within)
            ]
            rows += [f"v {x * SAME_MM:.6f} {y * SAME_MM:.6f} {-z * SAME_MM:.6f}" for x, y, z in numbers]
            rows += ["f " + " ".join(map(str, face)) for face in faces]
            first += len(numbers)
    return ("\n".join(rows) + "\n").encode("utf-8")


def _sunk(solved: Solved) -> dict[str, list[Solid]]:
    """Return what is sunk into each body, by the body's name."""
    found: dict[str, list[Solid]] = {}
    for placed, seen in zip(solved.prepared.things, solved.seen, strict=True):
        if placed.standing.holes:
            found.setdefault(bearer_of(solved.prepared, placed), []).append(seen.solid)
    return found


def _key(corner: tuple[float, float, float]) -> tuple[int, ...]:
    return tuple(round(mm / SAME_MM) for mm in corner)


def _bodies(faces: Sequence[Face]) -> list[list[Face]]:
    """Return the faces of a thing body by body: two bodies have no corner of one name, even where they touch."""
    found = list[tuple[set[str], list[Face]]]()
    for face in faces:
        names, own, apart = {name for loop in face.loops for name in loop}, [face], list[tuple[set[str], list[Face]]]()
        for body in found:
            if names.isdisjoint(body[0]):
                apart.append(body)
            else:
                names, own = names | body[0], [*body[1], *own]
        found = [*apart, (names, own)]
    return [own for _, own in found]


def _faces(body: Solid, faces: Sequence[Face], sunk: list[Solid]) -> Iterator[Corners]:
    """Yield the corners of faces of a body, cut by what is sunk in, and those of that.

    Where a side of an opening lies in a face of the body, as the sill of a door on the ground, both are open there.
    """
    inner = [solid.places[[solid.index(c) for c in face.corners]] for solid in sunk for face in solid.faces]
    gone = set[int]()
    for face in faces:
        loops = [body.places[[body.index(c) for c in loop]] for loop in face.loops]
        in_plane = [i for i, corners in enumerate(inner) if _lies_in(corners, loops[0])]
        gone |= set(in_plane)
        yield from _cut(loops, [inner[i] for i in in_plane])
    for i, corners in enumerate(inner):
        if i not in gone:
            yield _corners(corners)


def _corners(places: Array) -> Corners:
    return [(x, y, z) for x, y, z in places.tolist()]


def _normal(loop: Array) -> Array:
    return np.asarray(np.cross(loop, np.roll(loop, -1, axis=0)).sum(axis=0))


def _lies_in(corners: Array, loop: Array) -> bool:
    """Tell whether corners lie in the plane of a loop."""
    normal = _normal(loop)
    away = np.abs((corners - loop[0]) @ normal) / np.linalg.norm(normal)
    return bool(away.max() < SAME_MM)


def _cut(loops: list[Array], openings: list[Array]) -> Iterator[Corners]:
    """Yield the corners of a face with holes, which OBJ does not have: in triangles, turned as the face is."""
    outline, *holes = [*loops, *openings]
    if not holes:
        yield _corners(outline)
        return
    normal = _normal(outline)
    flat = int(np.argmax(np.abs(normal)))
    keep = [axis for axis in range(3) if axis != flat]
    at = {_key((*corner[keep], 0.0)): corner for loop in (outline, *holes) for corner in loop}
    left: BaseGeometry = Polygon(outline[:, keep])
    turns = Polygon(outline[:, keep]).exterior.is_ccw
    for hole in holes:
        left = left.difference(Polygon(hole[:, keep]))
    for triangle in shapely.constrained_delaunay_triangles(left).geoms:
        assert isinstance(triangle, Polygon)
        if triangle.area > THIN:
            ring = triangle.exterior if triangle.exterior.is_ccw == turns else triangle.exterior.reverse()
            yield [_lifted(place, at, keep, flat, (normal, outline[0])) for place in list(ring.coords)[:3]]


def _lifted(
    place: tuple[float, ...], at: dict[tuple[int, ...], Array], keep: list[int], flat: int, plane: tuple[Array, Array]
) -> tuple[float, float, float]:
    """Return a corner in the world: a known one, or one where openings cut each other, which lies in the plane.

    Args:
        place: two of its coordinates, those along ``keep``; ``at``: known corners by these.
    """
    known = at.get(_key((place[0], place[1], 0.0)))
    if known is None:
        normal, start = plane
        known = np.array(start)
        known[keep] = place[:2]
        known[flat] -= (known - start) @ normal / normal[flat]
    x, y, z = known.tolist()
    return x, y, z
