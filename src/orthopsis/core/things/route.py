"""From which corner of a rectangle that is carried out of a face are the others found, and in which order?

From its first corner, along the face and up it. But where a plane that leads out of the face is seen edge-on, such as
that of a sill on the eye level, the side and the lines that lead out from it lie on one another and cross nowhere: the
way then begins at another corner, and comes to that side from outside of it.
"""

from dataclasses import dataclass

import numpy as np

from orthopsis.core.construct.panel import Panel
from orthopsis.core.plane.homogeneous import join
from orthopsis.core.sight.hidden import Mask
from orthopsis.core.things.rectangles.forms import SIDES
from orthopsis.core.view.eye import Array
from orthopsis.core.view.frame import Way

EDGE_ON_MM = 0.5
"""A side so near to the line on which its plane would be seen edge-on crosses nothing well enough (no source)."""
ALONG, UP = (1, 0, 3, 2), (3, 2, 1, 0)
"""To which corner a side leads from each corner, along the face and up it."""
BEGINS = (0, 3, 1, 2)
"""At which corner a way begins, the usual one first."""
Side = tuple[int, int]
"""A side, from one corner to the next."""


@dataclass(frozen=True, slots=True)
class Route:
    """The order in which a rectangle is drawn.

    Attributes:
        first: the corner that is found first.
        sides: those by which the others are found, each from a corner that is there.
        last: the side between the last two.
        edge_on: the names of the sides that lie on lines which lead out of the face.
    """

    first: int
    sides: tuple[Side, Side, Side]
    last: Side
    edge_on: frozenset[str] = frozenset()


def _route(first: int, *, is_up_last: bool, edge_on: frozenset[str] = frozenset()) -> Route:
    beside, over = ALONG[first], UP[first]
    opposite = ALONG[over]
    before, last = (beside, over) if is_up_last else (over, beside)
    return Route(first, ((first, beside), (first, over), (before, opposite)), (last, opposite), edge_on)


USUAL = _route(0, is_up_last=False)


def routes(panel: Panel, corners: Array) -> tuple[Route, ...]:
    """Return the way round each of some rectangles of a face.

    Args:
        corners: where they lie on the page, mm, shape (n, 4, 2), in their usual order.
    """
    rows, columns = (_edge_on(panel.out, way, corners) for way in (panel.along, panel.up))
    if not rows.any() and not columns.any():
        return (USUAL,) * len(corners)
    return tuple(_about(row, column) for row, column in zip(rows.tolist(), columns.tolist(), strict=True))


def _about(row: list[bool], column: list[bool]) -> Route:
    """Return the way round one of which some corners lie on sides along it, or up it, that cross nothing."""
    first = next((corner for corner in BEGINS if not (row[corner] or column[corner])), 0)
    opposite = ALONG[UP[first]]
    edge_on = zip(SIDES, (row[0], column[1], row[2], column[3]), strict=True)
    named = frozenset(side for side, is_so in edge_on if is_so)
    return _route(first, is_up_last=row[opposite] and not column[opposite], edge_on=named)


def _edge_on(out: Way, way: Way, corners: Array) -> Mask:
    """Tell which corners lie where the plane of two directions is seen edge-on: on the line through both points."""
    if out.goal.is_ideal and way.goal.is_ideal:
        return np.zeros(corners.shape[:2], dtype=bool)
    line = join(out.goal, way.goal)
    return np.asarray(np.abs(corners @ (line.a, line.b) + line.c) < EDGE_ON_MM)


def side_between(start: int, corner: int, panel: Panel) -> tuple[str, Way]:
    """Return the name of the side between two corners, and which way it runs."""
    number = start if (start + 1) % len(SIDES) == corner else corner
    return SIDES[number], panel.up if number % 2 else panel.along
