"""Do two solids of one layer stand in each other?

They do when an edge of one pierces a face of the other, well inside both. Touching is not crossing. World coordinates
of one eye, millimetres.
"""

import itertools
from collections.abc import Sequence

import numpy as np

from orthopsis.core.plane.polygon import is_inside
from orthopsis.core.sight.hidden import Seen
from orthopsis.core.view.eye import Array

DEEP_MM = 0.05
"""An edge pierces a face only if both its ends are farther than this from the face's plane."""


def crossing_pairs(things: Sequence[Seen]) -> list[tuple[int, int]]:
    """Return the numbers of the solids that stand in each other, pair by pair."""
    layers: dict[int, list[int]] = {}
    for number, thing in enumerate(things):
        layers.setdefault(thing.layer, []).append(number)
    pairs = (pair for group in layers.values() for pair in itertools.combinations(group, 2))
    return [(i, j) for i, j in pairs if is_crossed(things[i], things[j])]


def is_crossed(one: Seen, two: Seen) -> bool:
    """Tell whether two solids stand in each other."""
    return _pierces(one, two) or _pierces(two, one)


def _pierces(one: Seen, two: Seen) -> bool:
    """Tell whether an edge of the first solid goes through a face of the second."""
    ends = one.solid.places[one.solid.topology.edge_rows]
    for face in two.solid.faces:
        loops = [two.solid.places[[two.solid.index(c) for c in loop]] for loop in face.loops]
        normal = np.cross(loops[0], np.roll(loops[0], -1, axis=0)).sum(axis=0)
        normal /= np.linalg.norm(normal)
        above = (ends - loops[0][0]) @ normal
        through = (above.min(axis=1) < -DEEP_MM) & (above.max(axis=1) > DEEP_MM)
        for (a, b), (p, q) in zip(ends[through], above[through], strict=True):
            if _is_inside(a + (b - a) * p / (p - q), loops, normal):
                return True
    return False


def _is_inside(at: Array, loops: list[Array], normal: Array) -> bool:
    """Tell whether a point of a face's plane lies inside its outline and outside its holes, clear of the edges."""
    keep = [axis for axis in range(3) if axis != int(np.argmax(np.abs(normal)))]
    x, y = at[keep].tolist()
    return is_inside((x, y), [[(p, q) for p, q in loop[:, keep].tolist()] for loop in loops], DEEP_MM)
