"""Where does the shadow of a round body fall on the ground?

In truth the shadow of its upper circle is a circle again, moved along the ground, and that of a tip a point. Two lines
touch that circle and the one on which the body stands; they are level, or run to the point to which both circles
shrink. Places are called as those of the body: ``base`` on the circle on the ground, ``shade`` on the other one.
"""

import itertools
from collections.abc import Mapping, Sequence

import numpy as np
from propcache.api import cached_property

from orthopsis.core.construct.moves import full_name
from orthopsis.core.errors import GeometryError
from orthopsis.core.plane.arc import QUARTER_RAD
from orthopsis.core.plane.homogeneous import Point
from orthopsis.core.plane.polygon import signed_area
from orthopsis.core.sight.solid import NOTHING, Edge, Face, Solid, Topology
from orthopsis.core.things.answers import Spoken
from orthopsis.core.things.rectangles.forms import CENTRE, Node
from orthopsis.core.things.rectangles.layout import within
from orthopsis.core.things.round_body.shape import CIRCLE, RoundShape
from orthopsis.core.things.shadow.ground import GroundShadow
from orthopsis.core.view.eye import Array
from orthopsis.core.wording.names import Feature


class RoundShadowShape(GroundShadow):
    """The shadow of a round body on the plane on which it stands."""

    @property
    def body(self) -> RoundShape:
        """The round body that casts it."""
        assert isinstance(self.host, RoundShape)
        return self.host

    def of_body(self, name: str) -> str:
        """Return the full name of a point or line of the body."""
        return full_name(self.body.values.name, name)

    def shade(self, foot: Array) -> Array:
        """Return the shadow of what stands over a place of the ground, as high as its top, in the world."""
        return np.asarray(self.cast(foot[None], self.body.rising)[0])

    @cached_property
    def moved(self) -> Array:
        """From the middle of its foot to the shadow of that of its top, in the world, mm."""
        return self.shade(self.body.middle) - self.body.middle

    @cached_property
    def times(self) -> float:
        """How many times as large the shadow of its upper circle is as that: larger only by a lamp."""
        side = self.body.panel.places([self.body.foot_shares[0]])[0]
        grown = self.shade(side) - self.shade(self.body.middle)
        return float(np.linalg.norm(grown) / np.linalg.norm(side - self.body.middle))

    def _seen(self, places: Array) -> list[Point]:
        return [Point(x, y) for x, y in self.setting.frame.eye.see(places).tolist()]

    @cached_property
    def goal(self) -> Point:
        """The point of the page to which the lines run that touch both circles: level, or where these would meet.

        Raises:
            GeometryError: that place is behind the viewer.
        """
        sizes = self.body.sizes
        if self.body.form.is_straight:
            return self.setting.shadows.goal
        at = self.body.middle + self.moved * (sizes[0] / (sizes[0] - self.times * sizes[1]))
        if at[2] <= 0:
            raise GeometryError(
                "shadow_too_long",
                f"“{self.values.name}” cannot be drawn here: its edges would meet behind the viewer.",
                "Let the light fall more steeply, or make the body lower.",
                about="joined_to",
                nearest="",
            )
        return self._seen(at[None])[0]

    @cached_property
    def nodes(self) -> tuple[Node, ...]:
        """The corners of the pieces of both circles, with those where they are touched, in shares of their squares."""
        return self.body.nodes_toward(self.goal)

    @cached_property
    def chain(self) -> tuple[Node, ...]:
        """The places of the upper circle whose shadows bound it, from one that is touched to the other.

        All of them where its shadow lies about the circle on the ground; none where it lies within that.
        """
        nodes, ends = self.nodes, [i for i, node in enumerate(self.nodes) if node.is_sharp]
        if len(ends) < 2:
            is_about = self.times * self.body.sizes[1] > self.body.sizes[0]
            return (*nodes, nodes[0]) if is_about else ()
        first, last = ends[0], ends[-1]
        ways = nodes[first : last + 1], (*nodes[last:], *nodes[: first + 1])
        along = self.body.panel.places([CENTRE])[0]

        def reach(way: Sequence[Node]) -> float:
            middle = self.body.panel.places([within(self.body.foot_shares, way[len(way) // 2].place)])[0]
            return float((middle - along) @ self.moved)

        return max(ways, key=reach)

    def cast_places(self, name: str) -> tuple[Point, Point]:
        """Return where a foot is on the page, and the shadow of what stands over it: ``corner.2``, or the ``tip``."""
        foot = self.body.middle
        if not self.body.form.has_tip:
            foot = self.body.panel.places([self.body.foot_shares[int(name[-1])]])[0]
        start, end = self._seen(np.array([foot, self.shade(foot)]))
        return start, end

    def on_base(self, node: Node) -> Array:
        """Return a place of the circle on the ground in the world."""
        return np.asarray(self.body.panel.places([within(self.body.base_shares, node.place)])[0])

    def on_shade(self, node: Node) -> Array:
        """Return the shadow of a place of the upper circle in the world."""
        return self.shade(self.body.panel.places([within(self.body.foot_shares, node.place)])[0])

    @cached_property
    def solid(self) -> Solid:
        """It in the world of the frame's eye: one face on the ground."""
        chain, is_tip = self.chain, self.body.form.has_tip
        if not chain:
            return NOTHING
        ends = chain[0], chain[-1]
        if is_tip:
            names = [f"base.{ends[0].name}", "shade.tip", f"base.{ends[1].name}"]
            places = [self.on_base(ends[0]), self.body.middle + self.moved, self.on_base(ends[1])]
            edges = [
                Edge(f"edge.{n.name}", "shade.tip", f"base.{n.name}", "free", feature=Feature("side")) for n in ends
            ]
        else:
            names, places = [f"shade.{n.name}" for n in chain], [self.on_shade(n) for n in chain]
            edges = self._curves
            if ends[0] is not ends[1]:
                names = [f"base.{ends[0].name}", *names, f"base.{ends[1].name}"]
                places = [self.on_base(ends[0]), *places, self.on_base(ends[1])]
                edges = edges + [self._tangent(node) for node in ends]
            else:
                names, places = names[:-1], places[:-1]
        seen = self._seen(np.array(places))
        face = Face("shadow", tuple(names if signed_area(seen) > 0 else names[::-1]), "shadow")
        return Solid(Topology(tuple(names), (face,), tuple(edges), is_convex=True), np.array(places))

    def _tangent(self, node: Node) -> Edge:
        runs = self.setting.shadows.family if self.body.form.is_straight else "free"
        return Edge(f"edge.{node.name}", f"shade.{node.name}", f"base.{node.name}", runs, feature=Feature("side"))

    @property
    def _curves(self) -> list[Edge]:
        found = []
        for node, after in itertools.pairwise(self.chain):
            side = CIRCLE.sides[node.side]
            angles = (node.angle, after.angle if after.side == node.side else QUARTER_RAD)
            ends = f"shade.{node.name}", f"shade.{after.name}"
            found.append(Edge(f"shade.{side.name}", *ends, "free", angles, Feature("front")))
        return found

    @property
    def spoken(self) -> Mapping[str, Spoken]:
        """Also how the lines lie that touch both circles."""
        lies = "level, " if self.body.form.is_straight and self.setting.light.is_beside else ""
        return {**super().spoken, "lies": lies}
