"""A figure on a face as a shape: flat, standing out, sunk in, going through the body, or carved from all of it."""

from collections.abc import Mapping, Sequence

import numpy as np
from propcache.api import cached_property

from orthopsis.core.errors import GeometryError
from orthopsis.core.plane.arc import FacePlace
from orthopsis.core.plane.homogeneous import Point, unit_toward
from orthopsis.core.plane.polygon import signed_area
from orthopsis.core.plane.tolerance import SAME_SHARE
from orthopsis.core.sight.solid import Solid
from orthopsis.core.things.answers import Spoken
from orthopsis.core.things.corner_look import corner_look
from orthopsis.core.things.face_part import WAYS
from orthopsis.core.things.figure.solid import Loop, carried_topology
from orthopsis.core.things.flat import FlatOutlines
from orthopsis.core.things.outward import Outward
from orthopsis.core.things.route import Route, routes
from orthopsis.core.things.through import GoesThrough
from orthopsis.core.view.eye import Array

RELIEFS = {
    "flat": "flat on it",
    "out": "out of it",
    "in": "sunk into it",
    "through": "right through it",
    "carved": "carved from the whole body",
}
FLAT_LINES = 0.01
"""Sine of the angle between two lines below which nobody can find where they cross (no source)."""


class CarriedFigure(GoesThrough, FlatOutlines):
    """A figure with an outline, flat or carried."""

    @property
    def relief(self) -> str:
        """Whether it lies flat, stands out or is sunk in."""
        return self.values.word("relief")

    @property
    def is_flat(self) -> bool:
        """Whether it lies flat on the face."""
        return self.relief == "flat"

    @property
    def is_through(self) -> bool:
        """Whether it goes right through the body, so that one sees what is behind it."""
        return self.relief == "through"

    @property
    def is_carved(self) -> bool:
        """Whether the whole body is cut away but for it."""
        return self.relief == "carved"

    @property
    def replaces_host(self) -> bool:
        """The body goes from which it is carved."""
        return self.is_carved

    @property
    def way_says(self) -> str:
        """How an error calls it that nobody knows where the body ends."""
        return f"be carved from {self.anchor.thing}" if self.is_carved else super().way_says

    @property
    def is_sunk(self) -> bool:
        """Whether it leads into the body."""
        return self.relief in ("in", "through")

    @property
    def is_measured(self) -> bool:
        """Whether a measure says how far it stands out or how deep it is."""
        return self.relief in ("out", "in")

    @property
    def first_place(self) -> FacePlace:
        """The corner of the rectangle about it that is carried first, as shares of the face."""
        return self.part[self.route.first]

    @cached_property
    def route(self) -> Route:
        """From which corner the rectangle about it is carried, and in which order its sides follow."""
        return routes(self.panel, np.array([[at.xy for at in self.page]]))[0]

    @cached_property
    def part(self) -> tuple[FacePlace, FacePlace, FacePlace, FacePlace]:
        """The corners of the rectangle about it, round it; those of the figure may lie on marks of the ruler."""
        places = [place for _, loops in self.outlines for loop in loops for _, place in loop]
        (left, right), (low, high) = ((min(shares), max(shares)) for shares in zip(*places, strict=True))
        return (left, low), (right, low), (right, high), (left, high)

    @cached_property
    def loops(self) -> tuple[Loop, ...]:
        """Its outline and its holes, as they run: the outline anticlockwise in shares of the face, holes clockwise.

        Raises:
            GeometryError: it has several pieces, or a hole and is sunk in; or nothing of the wall would be left.
        """
        ((_, loops),) = self.outlines
        turn = 1 if max((_area(loop) for loop in loops), key=abs) > 0 else -1
        ordered = sorted((loop[::turn] for loop in loops), key=lambda loop: -_area(loop))
        if len(loops) > 1 and (self.is_sunk or _area(ordered[1]) > 0):
            what = "a hole cannot be sunk in" if self.is_sunk else "several pieces cannot stand out"
            raise GeometryError(
                "only_one_piece",
                f"A figure with {what}.",
                "Let it lie flat, or take an outline of one piece.",
                about="relief",
                nearest="flat",
            )
        if self.panel.is_sloping or self.panel.outward is None:
            raise self.flat_only()
        if self.is_sunk:
            self._check_wall()
        if self.is_carved:
            self._check_block()
        return tuple(ordered)

    def _check_block(self) -> None:
        """Refuse a block from which nobody can carve: from a hidden face, or one whose far end cannot be found."""
        if not (self.panel.is_seen or self.panel.is_inner):
            raise GeometryError(
                "carved_from_hidden",
                f"“{self.values.name}” cannot be carved from the {self.panel.says}: that is not seen.",
                "Choose a face that is turned to the eye.",
                about="relief",
                nearest="flat",
            )
        out, ways = self.panel.out.goal, (self.panel.along.goal, self.panel.up.goal)
        for at in (self._seen(place, is_out=True) for place in self.part):
            to_x, to_y = unit_toward(at, out)
            lines = (unit_toward(at, way) for way in ways)
            if any(abs(to_x * way_y - to_y * way_x) < FLAT_LINES for way_x, way_y in lines):
                raise GeometryError(
                    "carved_edge_on",
                    f"“{self.values.name}” cannot be carved: lines of {self.anchor.thing} lie on one another, as at "
                    "the eye level, so that its far end cannot be found.",
                    "Make the block a little higher or lower, or move it aside.",
                    about="relief",
                    nearest="flat",
                )

    def _check_wall(self) -> None:
        low, _, high, _ = self.part
        for name, begin, end in zip(WAYS, low, high, strict=True):
            if begin <= SAME_SHARE or end >= 1 - SAME_SHARE:
                raise GeometryError(
                    "no_wall_left",
                    f"“{self.values.name}” would be sunk through the edge of the {self.panel.says}.",
                    "Leave some of the face free there.",
                    about=name,
                    nearest="1:6:1",
                )

    @cached_property
    def outward(self) -> Outward:
        """The way out of the face or into it, from the corner of the part that is carried first."""
        start = self.panel.places([self.first_place])[0]
        return Outward(self.panel, self.setting.frame.eye, start, self.is_sunk)

    @cached_property
    def carried(self) -> Array:
        """The way by which it stands out or is sunk, or through the body, in the world, mm."""
        if self.is_through or self.is_carved:
            return np.array(self.through.vector)
        return self.outward.vector(
            self.values.mm("deep"),
            lambda most: self.refused("too_deep", "would be deeper than there is room", most, "deep", is_least=False),
        )

    @property
    def spoken(self) -> Mapping[str, Spoken]:
        """Which corner of the rectangle about it is carried."""
        level = self.setting.frame.level_mm if self.panel.is_level else None
        return {**super().spoken, "first_look": corner_look(self.page, self.route.first, level)}

    def _seen(self, place: FacePlace, *, is_out: bool = False) -> Point:
        at = self.panel.places([place]) + (self.carried if is_out else 0.0)
        x, y = self.setting.frame.eye.see(at)[0].tolist()
        return Point(x, y)

    @property
    def page(self) -> Sequence[Point]:
        """The corners of the part on the page."""
        return [self._seen(place) for place in self.part]

    @property
    def holes(self) -> Mapping[str, tuple[Array, ...]]:
        """What is cut out of the face, where it is sunk in, and of the far one, where it goes through."""
        if not self.is_sunk:
            return {}
        holes = tuple(self.panel.places([place for _, place in loop]) for loop in self.loops)
        found = {self.panel.face: holes}
        return found | ({self.through.face: tuple(hole + self.carried for hole in holes)} if self.is_through else {})

    @cached_property
    def solid(self) -> Solid:
        """Its shape in the world: lines on the face, or a body with them."""
        if self.is_flat:
            return super().solid
        flat = self.panel.places([place for loop in self.loops for _, place in loop])
        return Solid(
            carried_topology(self.panel, self.loops, self.relief),
            np.stack((flat, flat + self.carried), axis=1).reshape(-1, 3),
        )


def _area(loop: Loop) -> float:
    return signed_area([Point(*place) for _, place in loop])
