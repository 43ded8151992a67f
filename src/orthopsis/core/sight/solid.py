"""What is the shape of a thing in the world, and which of its faces turn toward the eye?

Solids have plane faces. Vertices and faces carry names, so that every point and edge can be compared
with what the construction made under the same name.
"""

from collections.abc import Sequence
from dataclasses import dataclass, replace

import numpy as np
from numpy.typing import NDArray

from orthopsis.core.plane.polygon import cross
from orthopsis.core.plane.tolerance import THIN_FACE_MM2
from orthopsis.core.view.eye import Array, Eye
from orthopsis.core.wording.names import ANY, Feature, LineKind


@dataclass(frozen=True, slots=True)
class Face:
    """A plane face: the names of its corners in order, anticlockwise as seen from outside.

    ``turned`` says which way it faces (front, back, left, right, top, bottom); tone follows it. ``holes`` are
    further loops, clockwise as seen from outside. ``is_curved`` marks a piece of a curved surface.
    """

    name: str
    corners: tuple[str, ...]
    turned: str
    holes: tuple[tuple[str, ...], ...] = ()
    is_curved: bool = False

    def within(self, part: str) -> "Face":
        """Return it as a face of a part of a whole, all its names after that of the part."""
        corners, *holes = (tuple(f"{part}.{corner}" for corner in loop) for loop in self.loops)
        return replace(self, name=f"{part}.{self.name}", corners=corners, holes=tuple(holes))

    @property
    def loops(self) -> tuple[tuple[str, ...], ...]:
        """The outline and the holes."""
        return (self.corners, *self.holes)


@dataclass(frozen=True, slots=True)
class Edge:
    """A straight edge between two named corners; ``runs`` is the frame direction it follows.

    ``angles``: for a piece of a curve, from where to where it lies on it, rad; the pieces share one name.
    ``feature``: what it is to who looks at the sheet.
    """

    name: str
    start: str
    end: str
    runs: str
    angles: tuple[float, float] | None = None
    feature: Feature = ANY

    def within(self, part: str) -> "Edge":
        """Return it as an edge of a part of a whole, all its names after that of the part."""
        feature = self.feature.within(part, f"{part}.")
        ends = f"{part}.{self.start}", f"{part}.{self.end}"
        return replace(self, name=f"{part}.{self.name}", start=ends[0], end=ends[1], feature=feature)


class Topology:
    """How corners, faces and edges of a solid hang together; many solids share one.

    Attributes:
        names: corner names.
        faces, edges: by corner names.
        is_open: whether a face is missing, so that the inner sides of the others may be seen.
        is_convex: whether no face can hide another one that is turned toward the eye.
        row: row of each corner.
        edge_rows: rows of the ends of each edge, shape (e, 2).
        side_rows: rows of the ends of each side of each face, holes included, shape (s, 2).
        side_counts: how many sides each face has, shape (f,).
        loop_counts: how many loops each face has, shape (f,).
        loop_sides: how many sides each of these loops has, face after face.
        faces_at: the two faces that meet at each edge, shape (e, 2); (-1, -1) where that is not known.
    """

    def __init__(
        self,
        names: tuple[str, ...],
        faces: tuple[Face, ...],
        edges: tuple[Edge, ...],
        *,
        is_open: bool = False,
        is_convex: bool = False,
    ) -> None:
        self.names, self.faces, self.edges = names, faces, edges
        self.is_open, self.is_convex = is_open, is_convex
        self.row = {name: i for i, name in enumerate(names)}
        ends = [(self.row[e.start], self.row[e.end]) for e in edges]
        self.edge_rows = np.array(ends, dtype=np.int64).reshape(-1, 2)
        sides = [
            [(self.row[a], self.row[b]) for loop in face.loops for a, b in zip(loop, (*loop[1:], loop[0]), strict=True)]
            for face in faces
        ]
        self.side_rows = np.array([pair for face in sides for pair in face], dtype=np.int64).reshape(-1, 2)
        self.side_counts = np.array([len(face) for face in sides], dtype=np.int64)
        self.loop_counts = np.array([len(face.loops) for face in faces], dtype=np.int64)
        self.loop_sides = np.array([len(loop) for face in faces for loop in face.loops], dtype=np.int64)
        self.faces_at = _faces_at(sides, ends)


def _faces_at(sides: Sequence[Sequence[tuple[int, int]]], edges: Sequence[tuple[int, int]]) -> NDArray[np.int64]:
    """Return the two faces that meet at each edge; of a surface that is not closed none.

    Args:
        sides: of each face the rows of the ends of its sides.
        edges: the rows of the ends of the edges.
    """
    found: dict[frozenset[int], list[int]] = {}
    for number, face in enumerate(sides):
        for side in face:
            found.setdefault(frozenset(side), []).append(number)
    if any(len(faces) != 2 for faces in found.values()):
        return np.full((len(edges), 2), -1, dtype=np.int64)
    return np.array([found.get(frozenset(ends), (-1, -1)) for ends in edges], dtype=np.int64).reshape(-1, 2)


@dataclass(frozen=True, slots=True, eq=False)
class Solid:
    """A solid in the world of an eye (see ``view.eye``); one is equal only to itself, so that what is seen can be kept.

    Attributes:
        topology: its corners, faces and edges.
        places: world coordinates of the corners, shape (n, 3), mm.
    """

    topology: Topology
    places: Array

    @property
    def names(self) -> tuple[str, ...]:
        """Corner names."""
        return self.topology.names

    @property
    def faces(self) -> tuple[Face, ...]:
        """The faces."""
        return self.topology.faces

    @property
    def edges(self) -> tuple[Edge, ...]:
        """The edges."""
        return self.topology.edges

    @property
    def is_open(self) -> bool:
        """Whether one looks into it."""
        return self.topology.is_open

    def index(self, name: str) -> int:
        """Return the row of a corner."""
        return self.topology.row[name]

    def lines_of(self, kind: LineKind) -> frozenset[str]:
        """Return the names of its edges of a kind."""
        return frozenset(edge.name for edge in self.edges if edge.feature.kind == kind)

    def picture(self, eye: Eye) -> dict[str, tuple[float, float]]:
        """Return the page place (mm) of every corner as the eye sees it: the view route."""
        return {n: (x, y) for n, (x, y) in zip(self.names, eye.see(self.places).tolist(), strict=True)}


NOTHING = Solid(Topology((), (), ()), np.empty((0, 3)))
"""What is seen of a thing of which nothing is drawn."""


def faces_toward_eye(solid: Solid, eye: Eye) -> list[Face]:
    """Return the faces whose outer side is seen: those whose corners run anticlockwise on the page."""
    areas_mm2 = face_areas_mm2(solid.topology, eye.see(solid.places))
    return [solid.faces[i] for i in np.flatnonzero(areas_mm2 > THIN_FACE_MM2).tolist()]


def face_areas_mm2(topology: Topology, page: Array) -> Array:
    """Return the area of each face on the page without its holes, positive where its outer side is seen.

    Args:
        page: its corners as the eye sees them, shape (n, 2), page mm.
    """
    sides, counts = topology.side_rows, topology.side_counts
    if not len(counts):
        return np.zeros(0)
    area: Array = np.add.reduceat(cross(page[sides[:, 0]], page[sides[:, 1]]), np.cumsum(counts) - counts)
    return area / 2
