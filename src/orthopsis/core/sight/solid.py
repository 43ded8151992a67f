"""What is the shape of a thing in the world, and which of its faces turn toward the eye?

Solids have plane faces. Vertices and faces carry names, so that every point and edge can be compared
with what the construction made under the same name.
"""

from collections.abc import Iterator, Mapping
from dataclasses import dataclass

from orthopsis.core.plane.tolerance import THIN_FACE_MM2
from orthopsis.core.view.eye import Array, Eye


@dataclass(frozen=True, slots=True)
class Face:
    """A plane face: the names of its corners in order, anticlockwise as seen from outside.

    ``turned`` says which way it faces (front, back, left, right, top, bottom); tone follows it. ``holes`` are
    further loops, clockwise as seen from outside.
    """

    name: str
    corners: tuple[str, ...]
    turned: str
    holes: tuple[tuple[str, ...], ...] = ()

    @property
    def loops(self) -> tuple[tuple[str, ...], ...]:
        """The outline and the holes."""
        return (self.corners, *self.holes)


@dataclass(frozen=True, slots=True)
class Edge:
    """A straight edge between two named corners; ``runs`` is the frame direction it follows."""

    name: str
    start: str
    end: str
    runs: str


@dataclass(frozen=True, slots=True)
class Solid:
    """A closed solid in the world of an eye (see ``view.eye``).

    Attributes:
        names: corner names.
        places: their world coordinates, shape (n, 3), mm.
    """

    names: tuple[str, ...]
    places: Array
    faces: tuple[Face, ...]
    edges: tuple[Edge, ...]
    is_open: bool = False
    """Whether a face is missing, so that the inner sides of the others may be seen."""
    is_convex: bool = False
    """Whether no face of it can hide another one that is turned toward the eye."""

    def index(self, name: str) -> int:
        """Return the row of a corner."""
        return self.names.index(name)

    def picture(self, eye: Eye) -> dict[str, tuple[float, float]]:
        """Return the page place (mm) of every corner as the eye sees it: the view route."""
        return {n: (float(x), float(y)) for n, (x, y) in zip(self.names, eye.see(self.places), strict=True)}


def faces_toward_eye(solid: Solid, corners: Mapping[str, tuple[float, float]]) -> Iterator[Face]:
    """Yield the faces whose outer side is seen: those whose corners run anticlockwise on the page.

    Args:
        corners: the solid's picture.
    """
    for face in solid.faces:
        if _doubled_area(face, corners) > 2 * THIN_FACE_MM2:
            yield face


def is_broad(face: Face, corners: Mapping[str, tuple[float, float]]) -> bool:
    """Tell whether a face covers some of the page, rather than being seen edge-on."""
    return abs(_doubled_area(face, corners)) > 2 * THIN_FACE_MM2


def _doubled_area(face: Face, corners: Mapping[str, tuple[float, float]]) -> float:
    outline = [corners[c] for c in face.corners]
    ahead = [*outline[1:], outline[0]]
    return sum(x1 * y2 - x2 * y1 for (x1, y1), (x2, y2) in zip(outline, ahead, strict=True))
