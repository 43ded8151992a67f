"""The shape of a gable roof: in the world for the view route, on the page by meets and joins for the hand.

The gable stands over the upper edge of a wall. Corners are called ``first`` at the wall's first edge, ``far`` at the
other one, ``peak`` over its middle, each at the ``front``, which is the gable wall, and at the ``back``.
"""

from collections.abc import Mapping
from typing import Literal

import numpy as np
from propcache.api import cached_property

from orthopsis.core.construct.panel import Back, Panel, Pitch, vector
from orthopsis.core.plane.homogeneous import Point, distance, join, meet, offset, toward
from orthopsis.core.plane.polygon import signed_area
from orthopsis.core.sight.solid import Edge, Face, Solid, Topology
from orthopsis.core.things.depth import FARTHEST_SHARE
from orthopsis.core.things.standing import Standing
from orthopsis.core.view.aim import Aim, AimRole
from orthopsis.core.view.eye import Array
from orthopsis.core.view.frame import Way
from orthopsis.core.wording.names import Feature

Slope = Literal["first", "far"]
"""A slope, called by the edge of the wall from which it rises."""
SLOPES: tuple[Slope, Slope] = ("first", "far")
ROLES: Mapping[Slope, AimRole] = {"first": "slope_above", "far": "slope_below"}
"""The slope at the first edge rises as it goes away, the other one falls."""
_CORNERS = ("first", "far", "peak")


class GableShape(Standing):
    """The shape of a gable roof over a wall."""

    @cached_property
    def back(self) -> Back:
        """Where the block ends behind the wall."""
        assert self.panel.back is not None
        return self.panel.back

    @cached_property
    def foot(self) -> Point:
        """Where the height is measured from: the top of the first edge, or of the middle of a wall drawn true."""
        _, _, far_high, high = self.panel.page
        return Point((high.x + far_high.x) / 2, high.y) if self.panel.is_true else high

    @property
    def is_toward_goal(self) -> bool:
        """Whether the height is measured toward the point to which uprights run, where there is one."""
        goal, low, high = self.panel.up.goal, self.panel.page[0], self.panel.page[3]
        return not goal.is_ideal and distance(high, goal) < distance(low, goal)

    @cached_property
    def mark(self) -> Point:
        """Where the measured height of the ridge ends on the page.

        Raises:
            GeometryError: it is longer than the way to the third point.
        """
        goal, rise = self.panel.up.goal, self.values.mm("rise")
        if goal.is_ideal:
            return Point(self.foot.x, self.foot.y + rise)
        longest = FARTHEST_SHARE * distance(self.foot, goal)
        if self.is_toward_goal and rise > longest:
            raise self.refused("edge_past_point", "is higher than the third point", longest, is_least=False)
        return toward(self.foot, goal, rise if self.is_toward_goal else -rise)

    @cached_property
    def peak(self) -> Point:
        """The top of the gable on the page, over the crossing of the wall's diagonals."""
        if self.panel.is_true:
            return self.mark
        low, far_low, far_high, high = self.panel.page
        centre = meet(join(low, far_high), join(high, far_low))
        return meet(join(centre, self.panel.up.goal), join(self.mark, self.panel.along.goal))

    def eave(self, slope: Slope) -> tuple[Point, Point]:
        """Return where the lower edge of a slope lies on the page, from the gable wall to the back."""
        at = 3 if slope == "first" else 2
        return self.panel.page[at], self.back.page[at]

    def shows(self, slope: Slope) -> bool:
        """Tell whether a slope is turned to the eye: its lower edge leads away from the gable, not across it."""
        start, end = self.eave(slope)
        across, _ = self.eave("far" if slope == "first" else "first")
        rim = join(start, self.peak)
        return offset(end, rim) * offset(across, rim) < 0

    @cached_property
    def drawn(self) -> tuple[Slope, ...]:
        """The slopes whose far edge the hand draws: those that show, and whose lower edge is there up to its end."""
        made, ends = self.anchor.made, {"first": self.back.high, "far": self.back.far_high}
        return tuple(s for s in SLOPES if ends[s] in made and (self.is_see_through or self.shows(s)))

    @property
    def is_see_through(self) -> bool:
        """Whether the house is see-through."""
        return self.host.is_see_through

    @cached_property
    def marked(self) -> tuple[Slope, ...]:
        """The slopes whose points the hand marks; slopes of a gable drawn true run to none."""
        return () if self.panel.is_true or self.values.word("far_by") != "slope" else self.drawn

    @cached_property
    def solid(self) -> Solid:
        """The roof in the world of the frame's eye; its lower edges are those of the block."""
        panel = self.panel
        over = panel.above(self.values.mm("rise")) * np.array(panel.axes[1])
        front = np.vstack((panel.places([(0.0, 1.0), (1.0, 1.0)]), panel.places([(0.5, 1.0)]) + over))
        return Solid(self._topology, np.vstack((front, front + np.array(self.back.vector))))

    @property
    def _topology(self) -> Topology:
        front, back = (tuple(f"{end}.{corner}" for corner in _CORNERS) for end in ("front", "back"))
        faces = [
            Face("front", front, self.panel.turned),
            Face("back", back[::-1], "back"),
            Face("slope.first", (front[0], front[2], back[2], back[0]), "top"),
            Face("slope.far", (front[2], front[1], back[1], back[2]), "top"),
            Face("under", (front[1], front[0], back[0], back[1]), "bottom"),
        ]
        if signed_area(self.panel.page) < 0:
            faces = [Face(face.name, face.corners[::-1], face.turned) for face in faces]
        edges = [Edge("ridge", front[2], back[2], self.panel.out.family, feature=Feature("ridge"))]
        for end, names in (("front", front), ("back", back)):
            for slope, foot in zip(SLOPES, names[:2], strict=True):
                edges.append(Edge(f"{end}.slope.{slope}", foot, names[2], self.family(slope), feature=Feature("slope")))
        return Topology((*front, *back), tuple(faces), tuple(edges), is_convex=True)

    def way_up(self, slope: Slope) -> Array:
        """Return the way up a slope in the world, from its lower edge to the ridge."""
        places = self.solid.places
        return np.asarray(places[2] - places[SLOPES.index(slope)])

    def family(self, slope: Slope) -> str:
        """Return the name of the point to which a slope runs; where the hand marks none it is free."""
        return self.values.full(ROLES[slope]) if slope in self.marked else "free"

    @cached_property
    def faces(self) -> Mapping[str, Panel]:
        """The slopes that are drawn and run to points of their own, for what lies flat on them, such as tiles."""
        return {f"slope_{slope}": self._slope_panel(slope) for slope in self.marked}

    def _slope_panel(self, slope: Slope) -> Panel:
        n, places, (start, end) = self.values.full, self.solid, self.eave(slope)
        low, high, far_low = (places.places[places.index(c)] for c in (f"front.{slope}", "front.peak", f"back.{slope}"))
        wall, along, back_peak = self.panel, self.panel.out, self._back_peak
        below, above = (wall.around[i] for i in ((3, 1) if slope == "first" else (1, 3)))
        run = np.array(wall.axes[0]) * (0.5 if slope == "first" else -0.5)
        return Panel(
            says="left slope" if start.x + end.x < self.peak.x + back_peak.x else "right slope",
            face=f"slope.{slope}",
            turned="top",
            low=n(f"front.{slope}"),
            high=n("front.peak"),
            far_low=n(f"back.{slope}"),
            far_high=n("back.peak"),
            first=n(f"front.slope.{slope}"),
            bottom=self.back.upper[0 if slope == "first" else 1],
            top=n("ridge"),
            far=n(f"back.slope.{slope}"),
            around=(below, "back", above, wall.turned),
            along=along,
            up=Way(self.family(slope), self.aim_of[slope].at),
            out=wall.up,
            drawn_from="low",
            page=(start, end, back_peak, self.peak),
            start=vector(low),
            axes=(vector(far_low - low), vector(high - low)),
            first_says="sloping edge of the gable",
            pitch=Pitch(wall.along, vector(run), vector(high - low - run)),
            is_seen=self.shows(slope),
        )

    @cached_property
    def _back_peak(self) -> Point:
        """Where the ridge ends on the page."""
        x, y = self.setting.frame.eye.see(self.solid.places[5:6])[0].tolist()
        return Point(x, y)

    @cached_property
    def aim_of(self) -> Mapping[Slope, Aim]:
        """The points of the slopes, by slope."""
        roles = {role: slope for slope, role in ROLES.items()}
        return {roles[aim.role]: aim for aim in self.aims}

    @cached_property
    def aims(self) -> tuple[Aim, ...]:
        """The points to which its slopes run, as far as the hand marks them."""
        eye, places, result = self.setting.frame.eye, self.solid.places, list[Aim]()
        for slope, foot in zip(SLOPES, places[:2], strict=True):
            if slope in self.marked:
                x, y, z = (places[2] - foot).tolist()
                result.append(Aim(self.family(slope), eye.vanishing_point((x, y, z)), ROLES[slope], self.values.name))
        return tuple(result)
