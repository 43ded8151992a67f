"""The outline of a cast shadow: on the ground alone, or up the wall that it reaches.

What is cast on the ground beyond the foot of a wall is not there: the shadow bends at the foot of the wall and goes up.
The shadow of an upright is upright on a wall, and ends where the ray from its top comes; that of an edge of the top
meets its shadow on the ground at the foot of the wall (textbooks of perspective; from memory).
"""

import itertools
from collections.abc import Mapping, Sequence
from dataclasses import dataclass
from typing import Literal

import numpy as np

from orthopsis.core.construct.panel import Panel
from orthopsis.core.plane.tolerance import SAME_SHARE
from orthopsis.core.view.eye import Array

VertexKind = Literal["foot", "shade", "base", "on_wall", "bend"]
"""``foot``: of an upright; ``shade``: where the shadow of the top over it falls; ``base``: where the line from a foot
meets the foot of the wall; ``on_wall``: where the ray from a top meets the wall; ``bend``: where the shadow of an edge
of the top meets the foot of the wall."""


@dataclass(frozen=True, slots=True)
class Vertex:
    """A corner of the outline: its kind, and the corner of the block's foot that it belongs to; of a bend two."""

    kind: VertexKind
    corners: tuple[int, ...]

    @property
    def name(self) -> str:
        """What it is called within the shadow."""
        return f"{self.kind}.{'.'.join(map(str, self.corners))}"

    @property
    def is_on_floor(self) -> bool:
        """Whether it lies on the ground, be it at the foot of a wall."""
        return self.kind != "on_wall"

    @property
    def is_on_wall(self) -> bool:
        """Whether it lies on the wall, be it at its foot."""
        return self.kind in ("base", "on_wall", "bend")


@dataclass(frozen=True, slots=True)
class Climb:
    """How a shadow goes up a wall.

    Attributes:
        wall: the face.
        places: the corners of the outline that lie on it, in the world.
    """

    wall: Panel
    places: Mapping[Vertex, Array]

    def is_beyond(self, corner: int) -> bool:
        """Tell whether the ground shadow of the top over a corner would lie beyond the wall."""
        return Vertex("base", (corner,)) in self.places


def climb_of(
    walls: Sequence[Panel], feet: Array, up: Array, shades: Array, pairs: Sequence[tuple[int, int]]
) -> Climb | None:
    """Return how a shadow goes up the one wall that it reaches; None where it reaches none, or leaves it again.

    Args:
        feet, shades: of the corners in the world, shape (4, 3).
        up: from a foot to the top over it.
        pairs: the corners between whose shadows an edge runs.
    """
    corners = sorted({corner for pair in pairs for corner in pair})
    reached = [(wall, _times(wall, feet, shades)) for wall in walls]
    reached = [(wall, times) for wall, times in reached if any(times[i] < 1 for i in corners)]
    if len(reached) != 1:
        return None
    (wall, times), places = reached[0], dict[Vertex, Array]()
    beyond = {i for i in corners if times[i] < 1}
    for i in beyond:
        places[Vertex("base", (i,))] = feet[i] + times[i] * (shades[i] - feet[i])
        places[Vertex("on_wall", (i,))] = feet[i] + up + times[i] * (shades[i] - feet[i] - up)
    for i, j in pairs:
        if (i in beyond) != (j in beyond):
            over, under = _over(wall, shades[i]), _over(wall, shades[j])
            # One that hardly is beyond counts as not beyond; what stands through the wall may be as far behind it.
            share = min(max(over / (over - under), 0.0), 1.0) if over != under else 1.0
            places[Vertex("bend", (i, j))] = shades[i] + share * (shades[j] - shades[i])
    ways = np.column_stack((*np.array(wall.axes), np.cross(*np.array(wall.axes))))
    along, high, _ = np.linalg.solve(ways, (np.array(list(places.values())) - np.array(wall.start)).T)
    is_within = min(along.min(), high.min()) > -SAME_SHARE and max(along.max(), high.max()) < 1 + SAME_SHARE
    return Climb(wall, places) if is_within else None


def _over(wall: Panel, place: Array) -> float:
    """Return how far a place is before a wall, in the world; behind it less than nothing."""
    assert wall.outward is not None
    return float((place - np.array(wall.start)) @ np.array(wall.outward))


def _times(wall: Panel, feet: Array, shades: Array) -> list[float]:
    """Return for each corner after which part of the way to its ground shadow the wall is met; 1: not before that."""
    found, least = [], SAME_SHARE * float(np.abs(shades - feet).max())
    for foot, shade in zip(feet, shades, strict=True):
        near, far = _over(wall, foot), _over(wall, shade)
        # What stands at the wall is not behind it by the last digit of a number.
        found.append(max(near, 0.0) / (max(near, 0.0) - far) if far < -least <= near else 1.0)
    return found


def outline_of(chain: Sequence[int], feet: tuple[int, int], climb: Climb | None) -> list[Vertex]:
    """Return the corners of the outline in order, from the first foot to the last one."""
    first, last = chain[0], chain[-1]
    found = [Vertex("foot", feet[:1]), *_begin(first, climb)]
    for i, j in itertools.pairwise(chain):
        if climb is not None and climb.is_beyond(i) != climb.is_beyond(j):
            found.append(Vertex("bend", (i, j)))
        found.append(cast_of(j, climb))
    base = [Vertex("base", (last,))] if _is_up(last, climb) else []
    return [*found, *base, Vertex("foot", feet[1:])]


def _is_up(corner: int, climb: Climb | None) -> bool:
    return climb is not None and climb.is_beyond(corner)


def cast_of(corner: int, climb: Climb | None) -> Vertex:
    """Return where the shadow of a top falls: on the ground, or on the wall."""
    return Vertex("on_wall" if _is_up(corner, climb) else "shade", (corner,))


def _begin(corner: int, climb: Climb | None) -> list[Vertex]:
    """Return what follows on a foot: where the shadow of the top falls, on a wall after its foot."""
    base = [Vertex("base", (corner,))] if _is_up(corner, climb) else []
    return [*base, cast_of(corner, climb)]
