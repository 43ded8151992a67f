"""The shape of a hip roof: in the world for the view route, on the page by meets and joins for the hand.

Corners of the block's top are numbered from its low one along its lower edge: low, far low, far high, high. Over each
lies a corner of the lid, the top of a box on the house. The ridge's ends lie over the middle line of the top, a quarter
of the way in from either side; a pyramid's tip over its middle.
"""

from collections.abc import Mapping

import numpy as np
from propcache.api import cached_property

from orthopsis.core.errors import GeometryError
from orthopsis.core.plane.arc import FacePlace
from orthopsis.core.plane.homogeneous import Point, join, meet
from orthopsis.core.plane.polygon import signed_area
from orthopsis.core.sheet.length import format_limit
from orthopsis.core.sight.solid import Edge, Face, Solid, Topology
from orthopsis.core.things.standing import Standing
from orthopsis.core.things.upward import Upward
from orthopsis.core.view.frame import Way
from orthopsis.core.wording.names import Feature

RIDGES = {"ridge": "a ridge along its longer side", "tip": "one tip"}
EDGES = ("bottom", "far", "top", "first")
"""The edges of the top, by the corner with which each begins."""
QUARTER = 0.25


class HipShape(Standing):
    """The shape of a hip roof over the top of a block."""

    @property
    def is_pyramid(self) -> bool:
        """Whether its slopes rise to one tip."""
        return self.values.word("ridge") == "tip"

    @cached_property
    def is_along(self) -> bool:
        """Whether the ridge runs along the top's lower edge, which is then the longer one; else up it."""
        along, up = (float(np.linalg.norm(axis)) for axis in self.panel.axes)
        return along >= up

    @property
    def ridge_way(self) -> Way:
        """The direction of the ridge."""
        return self.panel.along if self.is_along else self.panel.up

    @property
    def tips(self) -> tuple[str, str]:
        """What the end of the ridge over the low corner is called, and the other one: one and the same for a tip."""
        return ("tip", "tip") if self.is_pyramid else ("ridge.near", "ridge.far")

    @property
    def tip_of(self) -> tuple[str, str, str, str]:
        """To which end of the ridge the hip runs from each corner of the top."""
        near, far = self.tips
        return (near, far, far, near) if self.is_along else (near, near, far, far)

    @property
    def _tip_shares(self) -> Mapping[str, FacePlace]:
        """Over which places of the top the ends of the ridge lie."""
        if self.is_pyramid:
            return {"tip": (0.5, 0.5)}
        ends = (QUARTER, 1 - QUARTER)
        return {
            name: (share, 0.5) if self.is_along else (0.5, share) for name, share in zip(self.tips, ends, strict=True)
        }

    @property
    def upward(self) -> Upward:
        """The upright over the low corner, on which the height is measured."""
        return Upward(self.panel.page[0], self.panel.out)

    @cached_property
    def mark(self) -> Point:
        """Where the measured height over the low corner ends on the page: the first corner of the lid.

        Raises:
            GeometryError: it is longer than the way to the third point, or the lid lies on the eye level.
        """
        rise, sheet, longest = self.values.mm("rise"), self.setting.sheet, self.upward.longest_mm
        if rise > longest:
            most = format_limit(longest, sheet.units, sheet.division_mm, is_least=False)
            raise GeometryError(
                "edge_past_point",
                f"“{self.values.name}” is higher than the third point.",
                f"The highest that works is {most}.",
                about="rise",
                nearest=most,
            )
        at = self.upward.mark(rise)
        if abs(at.y - self.setting.frame.level_mm) < sheet.division_mm:
            nearest = format_limit(rise + 2 * sheet.division_mm, sheet.units, sheet.division_mm, is_least=True)
            raise GeometryError(
                "lid_on_eye_level",
                f"At this height of “{self.values.name}” the lines that help lie on the eye level, all on each other.",
                f"Make it a little higher or lower, such as {nearest}.",
                about="rise",
                nearest=nearest,
            )
        return at

    @cached_property
    def lid(self) -> tuple[Point, Point, Point, Point]:
        """The corners on the page of the box on the house, over the corners of the top, by meets and joins."""
        panel, low = self.panel, self.mark
        _, far_low, _, high = panel.page
        beside = meet(join(low, panel.along.goal), join(far_low, panel.out.goal))
        if panel.up.goal.is_ideal:
            behind = Point(low.x + high.x - panel.page[0].x, low.y + high.y - panel.page[0].y)
        else:
            behind = meet(join(low, panel.up.goal), join(high, panel.out.goal))
        return low, beside, meet(join(behind, panel.along.goal), join(beside, panel.up.goal)), behind

    @cached_property
    def tip_at(self) -> Mapping[str, Point]:
        """Where the ends of the ridge lie on the page, by the diagonals of the lid and of its half."""
        low, beside, over, behind = self.lid
        centre = meet(join(low, over), join(beside, behind))
        if self.is_pyramid:
            return {"tip": centre}
        middle = join(centre, self.ridge_way.goal)
        side, other = (behind, beside) if self.is_along else (beside, behind)
        across = join(centre, (self.panel.up if self.is_along else self.panel.along).goal)
        half = meet(across, join(side, over))
        return {"ridge.near": meet(join(low, half), middle), "ridge.far": meet(join(other, half), middle)}

    def _slope(self, number: int) -> tuple[str, ...]:
        """Return the corners of the slope over an edge of the top, as they run round it with those of the top."""
        after = (number + 1) % 4
        return tuple(dict.fromkeys((f"corner.{number}", f"corner.{after}", self.tip_of[after], self.tip_of[number])))

    @cached_property
    def _shows(self) -> tuple[bool, ...]:
        """Which slopes are turned to the eye."""
        page = {f"corner.{i}": at for i, at in enumerate(self.panel.page)} | dict(self.tip_at)
        turn = -1 if self.panel.is_mirrored else 1
        return tuple(turn * signed_area([page[name] for name in self._slope(i)]) > 0 for i in range(4))

    @cached_property
    def drawn(self) -> tuple[str, ...]:
        """The names of its edges that the hand draws: those at slopes that show, or all of a see-through house."""
        shows = (True,) * 4 if self.is_see_through else self._shows
        hips = [f"hip.{i}" for i in range(4) if shows[i] or shows[i - 1]]
        beside = (0, 2) if self.is_along else (1, 3)
        is_ridge_seen = not self.is_pyramid and any(shows[i] for i in beside)
        return (*hips, *(("ridge",) if is_ridge_seen else ()))

    @property
    def is_see_through(self) -> bool:
        """Whether the house is see-through."""
        return self.host.is_see_through

    @cached_property
    def solid(self) -> Solid:
        """The roof in the world of the frame's eye; its lower edges are those of the block."""
        panel = self.panel
        flat = panel.places([(0, 0), (1, 0), (1, 1), (0, 1), *self._tip_shares.values()])
        assert panel.outward is not None
        way, eye = np.array(panel.outward), self.setting.frame.eye
        flat[4:] += self.upward.risen(eye, flat[0], way, self.values.mm("rise"))
        return Solid(self._topology, flat)

    @property
    def _topology(self) -> Topology:
        around = self.panel.around
        turn = -1 if self.panel.is_mirrored else 1
        faces = [Face(f"slope.{name}", self._slope(i)[::turn], around[i]) for i, name in enumerate(EDGES)]
        faces.append(Face("under", tuple(f"corner.{i}" for i in range(4))[::-turn], "bottom"))
        edges = [Edge(f"hip.{i}", f"corner.{i}", self.tip_of[i], "free", feature=Feature("slope")) for i in range(4)]
        if not self.is_pyramid:
            edges.append(Edge("ridge", *self.tips, self.ridge_way.family, feature=Feature("ridge")))
        names = (*(f"corner.{i}" for i in range(4)), *dict.fromkeys(self.tips))
        return Topology(names, tuple(faces), tuple(edges), is_convex=True)
