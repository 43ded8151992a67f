"""A solid with holes in its faces, where another thing is sunk into it: one looks through them."""

from dataclasses import replace
from functools import lru_cache

import numpy as np

from orthopsis.core.plane.normal import area_vector
from orthopsis.core.sight.solid import Face, Solid, Topology
from orthopsis.core.things.standing import Standing


@lru_cache(maxsize=128)
def pierced(solid: Solid, by: Standing) -> Solid:
    """Return a solid with the holes that a thing cuts out of its faces; edges and other faces stay."""
    names, places, faces = list(solid.names), [solid.places], list[Face]()
    for face in solid.faces:
        holes = list(face.holes)
        for number, corners in enumerate(by.holes.get(face.name, ())):
            loop = tuple(f"{by.values.full('hole')}.{face.name}.{number}.{i}" for i in range(len(corners)))
            names += loop
            places.append(corners)
            holes.append(loop if _runs_against(solid, face, corners) else loop[::-1])
        faces.append(replace(face, holes=tuple(holes)))
    topology = Topology(tuple(names), tuple(faces), solid.edges, is_open=solid.is_open)
    return Solid(topology, np.vstack(places))


def _runs_against(solid: Solid, face: Face, hole: np.ndarray[tuple[int, int], np.dtype[np.float64]]) -> bool:
    """Tell whether a hole's corners run round the other way than those of its face."""
    outline = solid.places[[solid.index(name) for name in face.corners]]
    return float(np.dot(area_vector(outline.tolist()), area_vector(hole.tolist()))) < 0
