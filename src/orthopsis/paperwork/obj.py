"""The solids of an exercise as a Wavefront OBJ, in the world of the eye (mm; x right, y up, z toward the viewer)."""

import numpy as np
import shapely
from shapely import Polygon

from orthopsis.core.document.document import Exercise
from orthopsis.core.drawing.solved import solve
from orthopsis.core.scene.prepared import prepare
from orthopsis.core.sight.solid import Face, Solid


def obj_bytes(exercise: Exercise) -> bytes:
    """Return all things as named groups of faces.

    OBJ is right-handed, so z is turned to point at the viewer and faces keep their outer side.
    In a frame without a stated distance the depth has no true scale; a comment says so.
    """
    solved = solve(prepare(exercise))
    rows = ["# units: millimetres"]
    if not all(frame.is_metric for frame in solved.prepared.frames):
        rows.append("# no viewing distance is stated: depths are drawn for a nominal eye, not measured")
    first = 1
    for placed, seen in zip(solved.prepared.things, solved.seen, strict=True):
        rows.append(f"o {placed.values.name.replace(' ', '_')}")
        rows += [f"v {x:.6f} {y:.6f} {-z:.6f}" for x, y, z in seen.solid.places]
        for face in seen.solid.faces:
            rows += ["f " + " ".join(str(first + row) for row in part) for part in _parts(seen.solid, face)]
        first += len(seen.solid.names)
    return ("\n".join(rows) + "\n").encode("utf-8")


def _parts(solid: Solid, face: Face) -> list[list[int]]:
    """Return the rows of a face's corners; a face with holes, which OBJ does not have, in triangles."""
    outline, *holes = ([solid.index(c) for c in loop] for loop in face.loops)
    if not holes:
        return [outline]
    normal = np.cross(solid.places[outline], np.roll(solid.places[outline], -1, axis=0)).sum(axis=0)
    keep = [axis for axis in range(3) if axis != int(np.argmax(np.abs(normal)))]
    flat = solid.places[:, keep]
    row = {tuple(flat[i]): i for loop in (outline, *holes) for i in loop}
    triangles = shapely.constrained_delaunay_triangles(Polygon(flat[outline], [flat[hole] for hole in holes]))
    turns = Polygon(flat[outline]).exterior.is_ccw
    parts = []
    for triangle in triangles.geoms:
        assert isinstance(triangle, Polygon)
        ring = triangle.exterior if triangle.exterior.is_ccw == turns else triangle.exterior.reverse()
        parts.append([row[corner] for corner in list(ring.coords)[:3]])
    return parts
