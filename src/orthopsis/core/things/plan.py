"""A rectangle on a face from which something rises: where it lies, and how the hand draws it between light lines.

Corners are numbered as in ``things.raised``, from the face's low one on.
"""

from collections.abc import Iterator, Mapping

import numpy as np
from propcache.api import cached_property

from orthopsis.core.construct.grid import Grid
from orthopsis.core.construct.grid_by_line import grid_on
from orthopsis.core.construct.moves import Act, Rule
from orthopsis.core.construct.panel import Panel, vector
from orthopsis.core.errors import GeometryError
from orthopsis.core.plane.homogeneous import Point, distance, unit_toward
from orthopsis.core.things.answers import Spoken
from orthopsis.core.things.corner_look import corner_look
from orthopsis.core.things.face_part import WAYS, OnFacePart, taken
from orthopsis.core.things.face_part import Way as OfFace
from orthopsis.core.things.raised import foot_name
from orthopsis.core.things.rectangles.forms import SIDES
from orthopsis.core.things.rectangles.layout import Corners
from orthopsis.core.things.seamed import Seamed
from orthopsis.core.view.eye import Array
from orthopsis.core.view.frame import Way

EDGE_ON = 0.05
"""Sine of the angle between uprights and the level lines of a wall below which the wall is a mere line (no source)."""


class OnPlan(Seamed, OnFacePart):
    """What rises from a rectangle on a face."""

    @cached_property
    def taken_shares(self) -> Corners:
        """The corners of the rectangle as shares of the face."""
        (left, right), (low, high) = (taken(self.values, way, self.ruler) for way in WAYS)
        return (left, low), (right, low), (right, high), (left, high)

    @property
    def foot_shares(self) -> Corners:
        """The corners of that from which it rises, as shares of the face."""
        return self.taken_shares

    @cached_property
    def first_look(self) -> str:
        """How the first corner of its foot is told from the others at sight."""
        at, level = self._seen(self.panel.places(self.foot_shares)), self.setting.frame.level_mm
        return corner_look(at, 0, level if self.panel.is_level else None)

    @property
    def spoken(self) -> Mapping[str, Spoken]:
        """Which corner of its foot is the first."""
        return {**super().spoken, "first_look": self.first_look}

    @property
    def plan_shares(self) -> tuple[tuple[float, float], tuple[float, float]]:
        """From where to where its plan reaches along the face and up it."""
        (left, low), _, (right, high), _ = self.taken_shares
        return (left, right), (low, high)

    @cached_property
    def grid(self) -> Grid:
        """The light lines on the face between which it lies."""
        return grid_on(self.values.name, self.panel, {"": self.foot_shares}, self.setting.level)

    def foot_acts(self) -> Iterator[Act]:
        """Yield the acts that mark its corners and draw its sides."""
        n, families = self.values.full, (self.panel.along.family, self.panel.up.family)
        for i, place in enumerate(self.foot_shares):
            yield self.grid.mark(foot_name(i), place)
        for i, side in enumerate(SIDES):
            name = f"foot.{side}"
            role = self.role(name) if name in self.seams else "construction"
            yield Rule(n(name), n(foot_name(i)), n(foot_name(i + 1)), families[i % 2], role)

    @property
    def foot(self) -> Panel:
        """Its foot on the face on which it stands."""
        n, panel = self.values.full, self.panel
        feet, world = [n(foot_name(i)) for i in range(4)], panel.places(self.foot_shares)
        at_foot, (start, far, _, high) = self._seen(world), world
        return Panel(
            says="foot", face="under", turned="bottom", low=feet[0], far_low=feet[1], far_high=feet[2], high=feet[3],
            first=n("foot.near"), bottom=n("foot.low"), top=n("foot.high"), far=n("foot.far"), around=panel.around,
            along=panel.along, up=panel.up, out=panel.out, drawn_from="low",
            page=(at_foot[0], at_foot[1], at_foot[2], at_foot[3]), start=vector(start),
            axes=(vector(far - start), vector(high - start)), is_level=True,
        )  # fmt: skip

    def page_mm(self, foot: Array, low_mm: float, high_mm: float) -> float:
        """Return how long a piece of the upright over a place is on the page, mm.

        Args:
            foot: the place in the world; ``low_mm`` and ``high_mm``: where the piece begins and ends over it.
        """
        assert self.panel.outward is not None
        way = np.array(self.panel.outward)
        low, high = self._seen(np.array([foot + way * low_mm, foot + way * high_mm]))
        return distance(low, high)

    def is_edge_on(self, at: Point, way: Way) -> bool:
        """Tell whether a wall whose foot runs that way from a corner is seen edge-on: its lines cannot cross."""
        up_x, up_y = unit_toward(at, self.panel.out.goal)
        to_x, to_y = unit_toward(at, way.goal)
        return abs(to_x * up_y - to_y * up_x) < EDGE_ON

    def edge_on(self, fix: str) -> GeometryError:
        """Return the error for a wall that is seen edge-on.

        Args:
            fix: what the teacher can do about it.
        """
        name: OfFace = "up" if self.panel.up.goal.is_ideal else "along"
        begins = self.foot_shares[0][WAYS.index(name)]
        return GeometryError(
            "seen_edge_on",
            f"A wall of “{self.values.name}” is seen edge-on here: it would be a line.",
            fix,
            about=name,
            nearest="1:1:3" if begins > 0.3 else "3:1:1",
        )
