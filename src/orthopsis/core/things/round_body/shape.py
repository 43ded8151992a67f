"""The shape of a round body: the circles at its foot and its rim, its tip, and where its outline touches them.

Corners of the square over its foot are those of ``things.raised``: ``foot.0`` round the plan, ``top.0`` over them. The
circle on the floor has its places under ``base``, the upper one under ``rim``; where the two are not equally large, the
square of the lower one has corners of its own, ``base.corner.0``.
"""

from collections.abc import Iterator, Mapping, Sequence
from dataclasses import dataclass
from itertools import pairwise

import numpy as np
from propcache.api import cached_property

from orthopsis.core.construct.moves import Act, Role
from orthopsis.core.errors import GeometryError
from orthopsis.core.plane.arc import Arc
from orthopsis.core.plane.homogeneous import Point
from orthopsis.core.plane.polygon import signed_area
from orthopsis.core.sheet.ruler import round_to
from orthopsis.core.sight.solid import Edge, Face, Solid, Topology
from orthopsis.core.things.answers import Spoken
from orthopsis.core.things.raised_block.block import RaisedBlock
from orthopsis.core.things.rectangles.forms import CENTRE, PLACES, Node, nodes_of
from orthopsis.core.things.rectangles.forms import FORMS as FACE_FORMS
from orthopsis.core.things.rectangles.layout import Corners, within
from orthopsis.core.things.rectangles.solid import turned_over
from orthopsis.core.things.round_body.bands import BANDS, NO_BANDS, Band, called
from orthopsis.core.things.setting import Setting
from orthopsis.core.things.upward import Upward
from orthopsis.core.view.eye import Array
from orthopsis.core.wording.names import Feature

CIRCLE = FACE_FORMS["round"]
WHOLE: Corners = ((0.0, 0.0), (1.0, 0.0), (1.0, 1.0), (0.0, 1.0))
"""The square of a whole face."""


@dataclass(frozen=True, slots=True)
class BodyForm:
    """A form of round bodies: what it is called, and whether its foot, and its rim, is the narrow end."""

    says: str
    has_narrow_foot: bool = False
    has_narrow_rim: bool = False
    has_tip: bool = False

    @property
    def is_straight(self) -> bool:
        """Whether its foot and its rim are equally large."""
        return not (self.has_narrow_foot or self.has_narrow_rim or self.has_tip)


FORMS: dict[str, BodyForm] = {
    "cylinder": BodyForm("a cylinder"),
    "pail": BodyForm("narrower at its foot", has_narrow_foot=True),
    "stool": BodyForm("narrower at its top", has_narrow_rim=True),
    "cone": BodyForm("a cone", has_tip=True),
}
NARROW: dict[str, tuple[str, float]] = {
    "half": ("half as wide", 1 / 2),
    "two_thirds": ("two thirds as wide", 2 / 3),
    "three_quarters": ("three quarters as wide", 3 / 4),
}
INSIDE = {"closed": "closed", "open": "open, one looks into it"}


def shrunk(corners: Corners, share: float) -> Corners:
    """Return a square about the same middle, by a share as large."""
    (left, low), _, (right, high), _ = corners
    x, y = (left + right) / 2, (low + high) / 2
    wide, deep = (right - left) / 2 * share, (high - low) / 2 * share
    return (x - wide, y - deep), (x + wide, y - deep), (x + wide, y + deep), (x - wide, y + deep)


def touched(nodes: Sequence[Node]) -> tuple[tuple[float, ...], ...]:
    """Return for each quarter of a circle the angles between its ends at which it is touched, rad."""
    return tuple(
        tuple(node.angle for node in nodes if node.side == i and node.is_touched) for i in range(len(CIRCLE.sides))
    )


class RoundShape(RaisedBlock):
    """A round body in the box over its plan."""

    @property
    def form(self) -> BodyForm:
        """Which form it has."""
        return FORMS[self.values.word("form")]

    @property
    def is_hollow(self) -> bool:
        """Whether one looks into it."""
        return self.values.word("inside") == "open" and not self.form.has_tip

    @property
    def goes_on(self) -> bool:
        """Whether it goes on from the whole top of another round body, so that its lower circle is there already."""
        return self.panel.is_round and self.base_shares == WHOLE

    @property
    def _narrow(self) -> float:
        return NARROW[self.values.word("narrow")][1]

    @property
    def sizes(self) -> tuple[float, float]:
        """How wide its lower and its upper circle are, as shares of its square; a tip is 0 wide."""
        ends = self.form.has_narrow_foot, self.form.has_narrow_rim
        base, rim = (self._narrow if is_narrow else 1.0 for is_narrow in ends)
        return base, 0.0 if self.form.has_tip else rim

    @cached_property
    def base_shares(self) -> Corners:
        """The square of the circle on the floor."""
        return shrunk(self.taken_shares, self._narrow) if self.form.has_narrow_foot else self.taken_shares

    @property
    def foot_shares(self) -> Corners:
        """The square under the rim, from which the box rises."""
        return shrunk(self.taken_shares, self._narrow) if self.form.has_narrow_rim else self.taken_shares

    def role(self, edge: str) -> Role:
        """Its box is drawn lightly."""
        return "construction"

    def is_drawn(self, *edges: str) -> bool:
        """All of its box is drawn: the rim comes into its lid."""
        return True

    @property
    def spoken(self) -> Mapping[str, Spoken]:
        """From which square its box rises."""
        if self.form.is_straight:
            return {**super().spoken, "high_square": "square"}
        square = "smaller square" if self.form.has_narrow_rim else "larger square"
        return {**super().spoken, "high_square": square}

    def box_acts(self) -> Iterator[Act]:
        """Yield the acts that draw its box up from the first upright."""
        if self.goes_round:
            yield from self.round_acts()
        else:
            yield from self.side_acts()
            yield from self.lid_acts()

    @cached_property
    def middle(self) -> Array:
        """The middle of its plan in the world."""
        at: Array = self.panel.places([within(self.taken_shares, CENTRE)])[0]
        return at

    def keep_shape(self, after: Setting) -> Mapping[str, float]:
        """Return the height with which it is as high in the world as before."""
        if not self.form.has_tip:
            return super().keep_shape(after)
        there, high = type(self)(self.values, after), float(np.linalg.norm(self.rising))
        return {"rise": there.page_mm(there.middle, 0.0, high)}

    @cached_property
    def bands(self) -> tuple[Band, ...]:
        """The bands about it, each at a mark of the ruler on its first upright; only a cylinder has some.

        Raises:
            GeometryError: two of them would be one, or one would lie on the eye level as a mere line.
        """
        _, shares = BANDS[self.values.word("bands")]
        if not shares or not self.form.is_straight:
            return ()
        sheet, rise = self.setting.sheet, self.values.mm("rise")
        heights = [round_to(rise * share, sheet.division_mm) for share in shares]
        if any(b - a < sheet.division_mm / 2 for a, b in pairwise([0.0, *heights, rise])):
            raise self._no_bands("is too low for its bands", "Make it taller, or give it fewer bands.")
        found = called(heights)
        if any(abs(self.band_page(band, 0).y - self.setting.frame.level_mm) < sheet.division_mm / 2 for band in found):
            why = "would have a band on the eye level, as a mere line"
            raise self._no_bands(why, "Give it another number of bands, or another height.")
        return found

    def _no_bands(self, why: str, fix: str) -> GeometryError:
        name = self.values.name
        return GeometryError("no_bands_here", f"“{name}” {why}.", fix, about="bands", nearest=NO_BANDS)

    def band_page(self, band: Band, corner: int) -> Point:
        """Return where a corner of the square of a band is on the page."""
        return self._seen((self.feet[corner] + self.risen(band.mm))[None])[0]

    @property
    def touched_nodes(self) -> tuple[tuple[Node, str, int], ...]:
        """Where its outline touches its circles: the corner, the quarter on which it lies, which one there."""
        outlined = [node for node in self.nodes if node.is_sharp and node.is_touched]
        sides = [[other for other in outlined if other.side == node.side] for node in outlined]
        return tuple(
            (node, CIRCLE.sides[node.side].name, same.index(node)) for node, same in zip(outlined, sides, strict=True)
        )

    @cached_property
    def tip_upward(self) -> Upward:
        """The upright over the middle of its plan, on which the height of a tip is measured."""
        return Upward(self._seen(self.middle[None])[0], self.panel.out)

    @cached_property
    def rising(self) -> Array:
        """The way up to its rim or its tip in the world, mm.

        Raises:
            GeometryError: it would reach the third point, or its rim would lie on the eye level.
        """
        assert self.panel.outward is not None
        eye, way, rise = self.setting.frame.eye, np.array(self.panel.outward), self.values.mm("rise")
        if not self.form.has_tip:
            return self.world["top.0"] - self.world["foot.0"]
        if rise > self.tip_upward.longest_mm:
            why = "is higher than the third point"
            raise self.refused("edge_past_point", why, self.tip_upward.longest_mm, is_least=False)
        return self.tip_upward.risen(eye, self.middle, way, rise)

    @cached_property
    def goal(self) -> Point:
        """The point of the page to which the lines of its outline run: that of uprights, or where the sides meet.

        Raises:
            GeometryError: that place is behind the viewer.
        """
        if self.form.is_straight:
            return self.panel.out.goal
        base, rim = self.sizes
        at = self.middle + self.rising * (base / (base - rim))
        if at[2] <= 0:
            raise GeometryError(
                "too_tapered",
                f"“{self.values.name}” is too slender to be drawn here: its sides would meet behind the viewer.",
                "Make it lower or wider.",
                about="form",
                nearest="cylinder",
            )
        return self._seen(at[None])[0]

    def nodes_toward(self, goal: Point) -> tuple[Node, ...]:
        """Return the corners of the plane pieces of its circles, the same on both, in shares of their squares.

        There is one wherever a line to ``goal`` touches the lower circle.
        """
        touching = []
        for side in CIRCLE.sides:
            places = [PLACES[side.start], PLACES[side.pole], PLACES[side.end], CENTRE]
            seen = self._seen(self.panel.places([within(self.base_shares, at) for at in places]))
            touching.append(tuple(Arc(*seen).touches(goal)))
        return nodes_of(CIRCLE, tuple(touching))

    @cached_property
    def nodes(self) -> tuple[Node, ...]:
        """The corners of the pieces, with those where its outline touches the circles."""
        return self.nodes_toward(self.goal)

    @cached_property
    def solid(self) -> Solid:
        """It in the world of the frame's eye, its curves in plane pieces."""
        base = self.panel.places([within(self.base_shares, node.place) for node in self.nodes])
        if self.form.has_tip:
            upper = (self.middle + self.rising)[None]
        else:
            upper = self.panel.places([within(self.foot_shares, node.place) for node in self.nodes]) + self.rising
        rings = [base + self.risen(band.mm) for band in self.bands]
        return Solid(self._topology, np.vstack((base, *rings, upper)))

    @cached_property
    def _topology(self) -> Topology:
        nodes, panel, bands = self.nodes, self.panel, self.bands
        levels = ["base", *(band.name for band in bands), "rim"]
        rings = [[f"{level}.{node.name}" for node in nodes] for level in levels]
        if self.form.has_tip:
            rings[-1] = ["tip"] * len(nodes)
        base, upper = rings[0], rings[-1]
        lengths = float(np.linalg.norm(panel.axes[0])), float(np.linalg.norm(panel.axes[1]))
        faces, edges = [Face("base", tuple(reversed(base)), "bottom")], list[Edge]()
        if not (self.form.has_tip or self.is_hollow):
            faces.append(Face("rim", tuple(upper), "top"))
        for i, node in enumerate(nodes):
            j = (i + 1) % len(nodes)
            (x, y), (to_x, to_y) = node.place, nodes[j].place
            turned = turned_over((to_x - x, to_y - y), lengths, panel.around)
            for level, (low, high) in enumerate(pairwise(rings)):
                corners = (low[i], low[j], *dict.fromkeys((high[j], high[i])))
                name = f"side.{level}.{node.name}" if level else f"side.{node.name}"
                faces.append(Face(name, corners, turned, is_curved=True))
            side, after = CIRCLE.sides[node.side], nodes[j]
            angles = (node.angle, after.angle if after.side == node.side else np.pi / 2)
            if not self.goes_on:
                edges.append(Edge(f"base.{side.name}", base[i], base[j], "free", angles, Feature("side")))
            if not self.form.has_tip:
                edges.append(Edge(f"rim.{side.name}", upper[i], upper[j], "free", angles, Feature("front")))
            if self._faces_eye(i, j):
                # What is behind is not drawn: through an open body one would see it on the inner side.
                for band, ring in zip(bands, rings[1:-1], strict=True):
                    name = f"{band.name}.{side.name}"
                    edges.append(Edge(name, ring[i], ring[j], "free", angles, Feature("side")))
            if node.is_sharp:
                runs = panel.out.family if self.form.is_straight else "free"
                edges.append(Edge(f"outline.{node.name}", base[i], upper[i], runs, feature=Feature("away")))
        turn = -1 if panel.is_mirrored else 1
        faces = [Face(f.name, f.corners[::turn], f.turned, is_curved=f.is_curved) for f in faces]
        names = tuple(dict.fromkeys(name for ring in rings for name in ring))
        return Topology(names, tuple(faces), tuple(edges), is_open=self.is_hollow, is_convex=not self.is_hollow)

    def _faces_eye(self, first: int, other: int) -> bool:
        """Tell whether the piece of its side between two corners is turned to the eye."""
        low = self.panel.places([within(self.base_shares, self.nodes[i].place) for i in (first, other)])
        seen = self._seen(np.vstack((low, low[::-1] + self.rising)))
        return (signed_area(seen) > 0) != self.panel.is_mirrored
