"""Do two solids of one layer stand in each other?

They do when an edge of one pierces a face of the other, well inside both. Touching is not crossing. World coordinates
of one eye, millimetres.
"""

from collections.abc import Sequence

import numpy as np
from propcache.api import cached_property

from orthopsis.core.plane.normal import area_vector
from orthopsis.core.plane.polygon import is_inside
from orthopsis.core.sight.hidden import Seen
from orthopsis.core.sight.solid import Solid
from orthopsis.core.view.eye import Array

DEEP_MM = 0.05
"""An edge pierces a face only if both its ends are farther than this from the face's plane."""


def crossing_pairs(things: Sequence[Seen]) -> list[tuple[int, int]]:
    """Return the numbers of the solids that stand in each other, pair by pair."""
    layers: dict[int, list[int]] = {}
    for number, thing in enumerate(things):
        if len(thing.solid.places):
            layers.setdefault(thing.layer, []).append(number)
    pairs = [pair for group in layers.values() for pair in _near(group, things)]
    bodies = {number: _Body(things[number].solid) for number in {n for pair in pairs for n in pair}}
    return [(i, j) for i, j in pairs if bodies[i].pierces(bodies[j]) or bodies[j].pierces(bodies[i])]


def are_crossed(first: Sequence[Solid], second: Sequence[Solid]) -> bool:
    """Tell whether one of some solids stands in one of others."""
    ones, twos = ([_Body(solid) for solid in solids if len(solid.places)] for solids in (first, second))
    return any(one.pierces(two) or two.pierces(one) for one in ones for two in twos)


def _near(group: Sequence[int], things: Sequence[Seen]) -> list[tuple[int, int]]:
    """Return the pairs of some solids that may stand in each other: the boxes about them in the world overlap."""
    low = np.array([things[number].solid.places.min(axis=0) for number in group])
    high = np.array([things[number].solid.places.max(axis=0) for number in group])
    meet = np.all((low[:, None] <= high[None]) & (low[None] <= high[:, None]), axis=2)
    first, second = np.nonzero(np.triu(meet, k=1))
    return [(group[i], group[j]) for i, j in zip(first.tolist(), second.tolist(), strict=True)]


class _Body:
    """A solid as its edges and faces pierce others; what is asked of it is computed once."""

    def __init__(self, solid: Solid) -> None:
        self._solid = solid

    @cached_property
    def ends(self) -> Array:
        """The ends of its edges, shape (n, 2, 3)."""
        return np.asarray(self._solid.places[self._solid.topology.edge_rows])

    @cached_property
    def loops(self) -> list[list[Array]]:
        """Of each face its loops."""
        solid = self._solid
        return [[solid.places[[solid.index(c) for c in loop]] for loop in face.loops] for face in solid.faces]

    @cached_property
    def planes(self) -> tuple[Array, Array]:
        """Of each face its normal of length 1, shape (n, 3), and how far along that its plane lies, shape (n,)."""
        normals = np.array([area_vector(loops[0].tolist()) for loops in self.loops])
        long = np.linalg.norm(normals, axis=1)[:, None]
        normals /= np.where(long > 0, long, 1.0)  # nothing goes through a face that is a mere line
        starts = np.array([loops[0][0] for loops in self.loops])
        return normals, np.einsum("ij,ij->i", normals, starts)

    @cached_property
    def boxes(self) -> tuple[Array, Array]:
        """The boxes about its faces, a little larger: their low and high corners, shape (n, 3) each."""
        low = np.array([loops[0].min(axis=0) for loops in self.loops])
        high = np.array([loops[0].max(axis=0) for loops in self.loops])
        return low - DEEP_MM, high + DEEP_MM

    def pierces(self, other: "_Body") -> bool:
        """Tell whether an edge of it goes through a face of another one."""
        if not other.loops:
            return False
        normals, along = other.planes
        above = self.ends @ normals.T - along
        edge, face = np.nonzero((above.min(axis=1) < -DEEP_MM) & (above.max(axis=1) > DEEP_MM))
        near, far = above[edge, 0, face], above[edge, 1, face]
        starts, ends = self.ends[edge, 0], self.ends[edge, 1]
        places = starts + (ends - starts) * (near / (near - far))[:, None]
        # Most pass the face by: only those within the box about it are looked at.
        low, high = other.boxes
        close = np.flatnonzero(np.all((places >= low[face]) & (places <= high[face]), axis=1))
        return any(_is_inside(places[i], other.loops[face[i]], normals[face[i]]) for i in close.tolist())


def _is_inside(at: Array, loops: list[Array], normal: Array) -> bool:
    """Tell whether a point of a face's plane lies inside its outline and outside its holes, clear of the edges."""
    keep = [axis for axis in range(3) if axis != int(np.argmax(np.abs(normal)))]
    x, y = at[keep].tolist()
    return is_inside((x, y), [[(p, q) for p, q in loop[:, keep].tolist()] for loop in loops], DEEP_MM)
