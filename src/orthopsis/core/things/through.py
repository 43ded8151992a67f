"""What goes right through a body: where the body ends behind a face, and how a hand finds that.

The way begins at a corner of the far face that is there, and leads to the first corner of what goes through.
"""

from collections.abc import Iterator

import numpy as np
from propcache.api import cached_property

from orthopsis.core.construct.grid import Grid
from orthopsis.core.construct.meeting import meeting
from orthopsis.core.construct.moves import Act, Rule, Shift
from orthopsis.core.construct.panel import Back
from orthopsis.core.errors import GeometryError
from orthopsis.core.plane.arc import FacePlace
from orthopsis.core.plane.homogeneous import Point, unit_toward
from orthopsis.core.plane.tolerance import SAME_SHARE
from orthopsis.core.things.outward import OutOfFace

FLAT_CROSSING = 0.2
"""Sine of the angle from which on two lines cross well enough (no source)."""
HIGH, FAR = (2, 3), (1, 2)
"""The corners of a face at its upper edge, and at its far one, by their numbers round it."""


class GoesThrough(OutOfFace):
    """What lies on a face, stands out of it, is sunk into it, or goes right through the body."""

    @property
    def first_place(self) -> FacePlace:
        """The first corner, as shares of the face."""
        raise NotImplementedError

    @property
    def way_says(self) -> str:
        """What it does to the body: how an error calls that."""
        return f"go through {self.anchor.thing}"

    @property
    def through(self) -> Back:
        """Where the body ends through which it goes.

        Raises:
            GeometryError: nobody knows where it ends.
        """
        if self.panel.back is not None:
            return self.panel.back
        raise GeometryError(
            "no_way_through",
            f"“{self.values.name}” cannot {self.way_says}: what is behind this face is not known.",
            "Sink it in, by a measure, or choose another face.",
            about="relief",
            nearest="in",
        )

    @cached_property
    def known_behind(self) -> tuple[int, str]:
        """Which corner of the far face is there, by its number round the face, and its full name.

        It is the one from which lines cross best on the way to the first corner.

        Raises:
            GeometryError: none of them has been drawn.
        """
        back, made = self.through, self.anchor.made
        names = (back.low, back.far_low, back.far_high, back.high)
        found = [
            (self._is_beside(corner) and self._crossing(corner) > FLAT_CROSSING, self._crossing(corner), corner)
            for corner, name in enumerate(names)
            if name in made
        ]
        if not found:
            raise GeometryError(
                "no_way_through",
                f"“{self.values.name}” cannot {self.way_says}: no corner behind this face is drawn.",
                "Sink it in, by a measure, or move the block so that a side of it shows.",
                about="relief",
                nearest="in",
            )
        own = next((corner for _, _, corner in found if self._is_behind_first(corner)), None)
        corner = max(found)[-1] if own is None else own
        return corner, names[corner]

    @property
    def is_at_edge(self) -> bool:
        """Whether the first corner lies on the edge behind which the corner of the far face is that is there."""
        return self._is_beside(self.known_behind[0])

    @property
    def is_over_known(self) -> bool:
        """Whether that corner lies straight over or under the first one on the far face, or is that one."""
        return self._is_in_line(self.known_behind[0])

    def _is_in_line(self, corner: int) -> bool:
        return abs(self.first_place[0] - float(corner in FAR)) <= SAME_SHARE

    def _is_beside(self, corner: int) -> bool:
        return abs(self.first_place[1] - float(corner in HIGH)) <= SAME_SHARE

    def _is_behind_first(self, corner: int) -> bool:
        return self._is_beside(corner) and self._is_in_line(corner)

    def _crossing(self, corner: int) -> float:
        """Return the sine of the angle between the lines on the way from a corner of the far face, the worse one."""
        (along, up), eye = self.first_place, self.setting.frame.eye
        edge = (along, float(corner in HIGH))
        x, y = eye.see(self.panel.places([edge]) + np.array(self.through.vector))[0].tolist()
        foot, own, over, there = self.seen_at(edge), self.seen_at((along, up)), Point(x, y), self.through.page[corner]
        out, way, rise = self.panel.out.goal, self.panel.along.goal, self.panel.up.goal
        pairs = [(unit_toward(foot, out), unit_toward(there, way))]
        if not self._is_beside(corner):
            pairs.append((unit_toward(own, out), unit_toward(over, rise)))
        return min(abs(one[0] * two[1] - one[1] * two[0]) for one, two in pairs)

    def seen_at(self, place: FacePlace) -> Point:
        """Return a place of the face on the page."""
        x, y = self.setting.frame.eye.see(self.panel.places([place]))[0].tolist()
        return Point(x, y)


def through_acts(shape: GoesThrough, grid: Grid, wall: str, front: str) -> Iterator[Act]:
    """Yield the acts that find the first corner on the far face, from a corner of that face that is there.

    From over or under it on an edge of the near face the way leads out to the far face, where it meets the line from
    the corner that is there; from there up or down it, to the line that leads out from the own corner. Of these two
    ways the first is left out where the corner that is there is over or under it already, the second where it lies on
    that edge.

    Args:
        wall, front: full names of the first corner on the near face, and on the far one.
    """
    n, panel, (corner, there) = shape.values.full, shape.panel, shape.known_behind
    (along, up), own = shape.first_place, (wall, panel.out, n("construction.through.own"))
    edge, at = (along, float(corner in HIGH)), shape.seen_at((along, up))
    if shape.is_over_known and shape.is_at_edge:
        yield Shift(front, there, 0.0)
        yield Rule(own[2], wall, front, panel.out.family, "construction")
        return
    if not shape.is_over_known:
        out, made = own, front
        if not shape.is_at_edge:
            out, made = (n("measure.through.foot"), panel.out, n("construction.through.out")), n("measure.through.over")
            yield grid.mark("measure.through.foot", edge)
        beside = (there, panel.along, n("construction.through.along"))
        aside = _aside(shape.seen_at(edge), shape.seen_at((float(corner in FAR), edge[1])))
        yield from meeting(out, beside, made, aside, "construction", n("construction.through.on"))
        there = made
    if not shape.is_at_edge:
        rise = (there, panel.up, n("construction.through.up"))
        aside = _aside(at, shape.seen_at(edge))
        yield from meeting(own, rise, front, aside, "construction", n("construction.through.helper"))


def _aside(at: Point, start: Point) -> float:
    """Return how far a place is to the right of another one, or over it, where one of these is no way at all."""
    return at.x - start.x + at.y - start.y
