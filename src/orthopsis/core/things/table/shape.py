"""The shape of a table: where its top and its legs are, and which edges it has.

Its box is that of ``things.raised``: ``foot.0`` to ``foot.3`` round its plan, ``top.0`` to ``top.3`` over them. The
underside of the top has its corners ``slab.0`` to ``slab.3`` on the uprights of the box. A leg has the number of the
corner at which it stands; its own corners are numbered round it in the same way, so that the one of its own number is
that of the box. Seen from a leg, the sides of the box with its number and with the one before pass through it.
"""

from collections.abc import Mapping

import numpy as np
from propcache.api import cached_property

from orthopsis.core.construct.grid import Grid
from orthopsis.core.errors import GeometryError
from orthopsis.core.plane.arc import FacePlace
from orthopsis.core.plane.homogeneous import distance
from orthopsis.core.plane.tolerance import SAME_POINT_MM
from orthopsis.core.sheet.ruler import round_to
from orthopsis.core.things.carried_height import CarriedHeight
from orthopsis.core.things.raised import Raised, foot_name, top_name
from orthopsis.core.things.rectangles.forms import SIDES
from orthopsis.core.things.seamed import Seam
from orthopsis.core.things.setting import Setting
from orthopsis.core.things.table import rest
from orthopsis.core.things.upward import Upward
from orthopsis.core.view.eye import Array

LEGS = {
    "tenth": "a tenth of the table",
    "eighth": "an eighth of it",
    "sixth": "a sixth of it",
    "fifth": "a fifth of it",
}
_SHARE = {"tenth": 1 / 10, "eighth": 1 / 8, "sixth": 1 / 6, "fifth": 1 / 5}
ROUND = range(4)


def slab_name(corner: int) -> str:
    """Return what a corner of the underside of the top is called."""
    return f"slab.{corner % 4}"


def leg_foot(leg: int, corner: int) -> str:
    """Return what a corner of a leg on the floor is called."""
    return foot_name(leg) if leg == corner % 4 else f"leg.{leg}.foot.{corner % 4}"


def leg_head(leg: int, corner: int) -> str:
    """Return what a corner of a leg under the top is called."""
    return slab_name(leg) if leg == corner % 4 else f"leg.{leg}.head.{corner % 4}"


class TableShape(Raised, CarriedHeight):
    """A top on four legs."""

    is_convex = False

    @property
    def may_be_thin(self) -> bool:
        """Legs are thin."""
        return True

    def leg_places(self, leg: int) -> tuple[FacePlace, ...]:
        """Return the corners of a leg on the floor, as shares of the face."""
        (left, low), _, (right, high), _ = self.foot_shares
        share = _SHARE[self.values.word("legs")]
        wide, deep = (right - left) * share, (high - low) * share
        a0, a1 = (left, left + wide) if leg in (0, 3) else (right - wide, right)
        u0, u1 = (low, low + deep) if leg in (0, 1) else (high - deep, high)
        return (a0, u0), (a1, u0), (a1, u1), (a0, u1)

    @cached_property
    def grid(self) -> Grid:
        """The light lines on the face between which its legs stand."""
        places = [place for leg in ROUND for place in self.leg_places(leg)]
        return Grid(self.values.name, self.panel, places, "face", self.setting.level)

    @property
    def heights(self) -> tuple[float, float]:
        """How high its underside and its top are, where that is measured, mm."""
        rise = self.values.mm("rise")
        return rise - self.values.mm("thick"), rise

    @property
    def has_rest(self) -> bool:
        """Whether bars for the feet lead from leg to leg."""
        return self.values.word("rest") != rest.NO_REST

    @cached_property
    def rest_mm(self) -> tuple[float, float]:
        """Where the foot rest begins and ends on the nearest upright, at marks of the ruler, mm; about as tall as its
        top is thick.

        Raises:
            GeometryError: there is no room for one.
        """
        division = self.setting.sheet.division_mm
        page = {name: self._seen(self.panel.places(self.foot_shares[:1]) + up)[0] for name, up in self._ups.items()}
        under, thick = (distance(page[one], page[other]) for one, other in (("foot", "under"), ("under", "top")))
        _, share = rest.RESTS[self.values.word("rest")]
        high = round_to(under * share, division)
        low = high - max(round_to(thick, division), division)
        if low < division or high > under - division:
            raise GeometryError(
                "no_room_for_rest",
                f"“{self.values.name}” is too low for a foot rest there.",
                "Make it taller or its top thinner, or give it none.",
                about="rest",
                nearest=rest.NO_REST,
            )
        return low, high

    @property
    def _ups(self) -> Mapping[str, Array]:
        """The ways up in the world to its foot, the underside of its top, and that."""
        under_mm, rise = self.heights
        up = self.risen(rise)
        return {"foot": 0 * up, "under": self.risen(under_mm), "top": up}

    @property
    def ways(self) -> tuple[str, str]:
        """The families of lines along the face and up it."""
        return self.panel.along.family, self.panel.up.family

    @staticmethod
    def leg_foot(leg: int, corner: int) -> str:
        """Return what a corner of a leg on the floor is called."""
        return leg_foot(leg, corner % 4)

    @cached_property
    def upward(self) -> Upward:
        """The upright over its nearest corner, on which height and thickness are measured."""
        return Upward(self._seen(self.panel.places(self.foot_shares[:1]))[0], self.panel.out)

    @cached_property
    def world(self) -> Mapping[str, Array]:
        """Its corners in the world.

        Raises:
            GeometryError: a wall of its box is seen edge-on, its top reaches the third point, lies on the eye level,
                or is as thick as it is high.
        """
        feet, panel = self.panel.places(self.foot_shares), self.panel
        ways = [way for way in (panel.along, panel.up) if not way.goal.is_ideal]
        if any(self.is_edge_on(at, way) for at in self._seen(feet) for way in ways):
            raise self.edge_on("Move it to one side, or move what it stands on.")
        rise, under_mm = self.heights[::-1]
        self._check_high()
        up, under = self.risen(rise), self.risen(under_mm)
        if self.is_carried:
            self.check_carried(rise, up)
        found = {foot_name(i): at for i, at in enumerate(feet)}
        found |= {top_name(i): at + up for i, at in enumerate(feet)}
        found |= {slab_name(i): at + under for i, at in enumerate(feet)}
        for leg in ROUND:
            for corner, at in enumerate(panel.places(self.leg_places(leg))):
                found |= {leg_foot(leg, corner): at, leg_head(leg, corner): at + under} if corner != leg else {}
        return found | (self._rest_world(found) if self.has_rest else {})

    def _rest_world(self, at: Mapping[str, Array]) -> dict[str, Array]:
        """Return the corners of its foot rest in the world, from those of its legs on the floor."""
        assert self.panel.outward is not None
        found, eye, out = dict[str, Array](), self.setting.frame.eye, np.array(self.panel.outward)
        for level, mm in zip(rest.LEVELS, self.rest_mm, strict=True):
            up = self.upward.risen(eye, at[foot_name(0)], out, mm)
            if abs(self._seen((at[foot_name(0)] + up)[None])[0].y - self.setting.frame.level_mm) < SAME_POINT_MM:
                raise GeometryError(
                    "rest_on_eye_level",
                    f"The foot rest of “{self.values.name}” would lie on the eye level, as a mere line.",
                    "Give it another height, or none.",
                    about="rest",
                    nearest=rest.NO_REST,
                )
            for leg in ROUND:
                found |= {rest.at_leg(level, leg, corner): at[leg_foot(leg, corner)] + up for corner in ROUND}
                found[rest.beside_leg(level, leg)] = found[rest.at_leg(level, leg, leg + 2)]
        return found

    def keep_shape(self, after: Setting) -> Mapping[str, float]:
        """Return height and thickness at its nearest corner with which it has the same shape in the world."""
        there, at = type(self)(self.values, after), self.world
        high, under = (float(np.linalg.norm(at[name] - at["foot.0"])) for name in ("top.0", "slab.0"))
        return {"rise": there.measured_mm(high), "thick": there.measured_mm(high) - there.measured_mm(under)}

    def _check_high(self) -> None:
        rise, room = self.values.mm("rise"), self.values.mm("rise") - self.setting.sheet.division_mm
        if not self.is_carried:
            self.check_lid(rise)
        if self.values.mm("thick") > room:
            why = "would have no room for legs under its top"
            raise self.refused("top_too_thick", why, room, is_least=False, about="thick")

    @cached_property
    def _outlines(self) -> Mapping[str, tuple[str, ...]]:
        """The corners of its faces, by their names."""
        found = {"top": tuple(top_name(i) for i in ROUND), "under": tuple(slab_name(3 - i) for i in ROUND)}
        for i, side in enumerate(SIDES):
            found[side] = slab_name(i), slab_name(i + 1), top_name(i + 1), top_name(i)
        for leg in ROUND:
            for i, side in enumerate(SIDES):
                ends = (leg_foot(leg, i), leg_foot(leg, i + 1), leg_head(leg, i + 1), leg_head(leg, i))
                found[leg_face(leg, side)] = ends
            found[leg_face(leg, "head")] = tuple(leg_head(leg, i) for i in ROUND)
            found[leg_face(leg, "under")] = tuple(leg_foot(leg, 3 - i) for i in ROUND)
        return found | (rest.outlines() if self.has_rest else {})

    def outline_of(self, face: str) -> tuple[str, ...]:
        """Return the corners of a face."""
        return self._outlines[face]

    @property
    def face_names(self) -> Mapping[str, str]:
        """Its faces: those of the top, and of each leg."""
        turned = dict(zip((*SIDES, "top", "under"), (*self.panel.around, "top", "bottom"), strict=True))
        legs = {leg_face(leg, side): turned[side] for leg in ROUND for side in (*SIDES, "under")}
        bars = rest.turned(turned) if self.has_rest else {}
        return {**turned, **legs, **{leg_face(leg, "head"): "top" for leg in ROUND}, **bars}

    @cached_property
    def seams(self) -> Mapping[str, Seam]:
        """Its edges: of the top, the outer uprights from the floor to there, and of the legs."""
        found = rest.seams(self.ways) if self.has_rest else dict[str, Seam]()
        ways, up = self.ways, self.panel.out.family
        for i, side in enumerate(SIDES):
            found[f"top.{side}"] = Seam(top_name(i), top_name(i + 1), ways[i % 2], (side, "top"))
            found[f"under.{side}"] = Seam(slab_name(i), slab_name(i + 1), ways[i % 2], (side, "under"))
            found[f"upright.{i}"] = Seam(foot_name(i), top_name(i), up, (SIDES[i - 1], side))
        for leg in ROUND:
            for i, side in enumerate(SIDES):
                beside = leg_face(leg, side), leg_face(leg, "under")
                found[leg_face(leg, f"foot.{side}")] = Seam(leg_foot(leg, i), leg_foot(leg, i + 1), ways[i % 2], beside)
                if i not in (leg, (leg - 1) % 4):  # there it stands in one plane with the side of the top
                    ends = leg_head(leg, i), leg_head(leg, i + 1)
                    found[leg_face(leg, f"head.{side}")] = Seam(*ends, ways[i % 2], ("under",))
                if i != leg:
                    faces = leg_face(leg, SIDES[i - 1]), leg_face(leg, side)
                    found[leg_face(leg, f"upright.{i}")] = Seam(leg_foot(leg, i), leg_head(leg, i), up, faces)
        return found


def leg_face(leg: int, name: str) -> str:
    """Return what a face or an edge of a leg is called."""
    return f"leg.{leg}.{name}"
