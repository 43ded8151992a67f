"""Ramps as a thing: their shape, their sentence, their moves, their handles.

Both sides are triangles: ``in.0`` at the foot, ``end`` at the other end of the plan, ``top`` over that.
"""

from collections.abc import Mapping

import numpy as np
from propcache.api import cached_property

from orthopsis.core.construct.moves import Move
from orthopsis.core.construct.panel import BareSide, Incline, Panel, away_from, vector
from orthopsis.core.plane.arc import FacePlace
from orthopsis.core.plane.homogeneous import Point
from orthopsis.core.sheet.ruler import round_to
from orthopsis.core.things.answers import Clause, Handle
from orthopsis.core.things.climbing import FAR, NEAR, Climbing
from orthopsis.core.things.parameters import Value
from orthopsis.core.things.ramp.recipe import recipe
from orthopsis.core.things.seamed import Seam
from orthopsis.core.things.setting import Setting
from orthopsis.core.view.eye import Array
from orthopsis.core.view.frame import Way


class Ramp(Climbing):
    """A ramp on a level face."""

    sentence: tuple[Clause, ...] = (
        Clause("Its plan, free, taken, free: {along} along the floor, {up} up it. It climbs {climbs}, {rise} in all, "
               "{reach}."),
    )  # fmt: skip

    @classmethod
    def place(cls, setting: Setting, count: int) -> Mapping[str, Value]:
        """Return values for one more ramp: in the middle of the floor."""
        division = setting.sheet.division_mm
        return {"along": "1:2:1", "up": "1:2:1", "rise": max(round_to(setting.fresh_size / 2, division), division)}

    @cached_property
    def world(self) -> Mapping[str, Array]:
        """Its corners in the world."""
        up = self.risen(self.values.mm("rise"))
        tops = {self.corner(side, "top"): self.feet[self.plan[f"{side}.end"]] + up for side in (NEAR, FAR)}
        return {**self.feet, **tops}

    def outline_of(self, face: str) -> tuple[str, ...]:
        """Return the corners of a face."""
        corners = {
            "near_side": ("near.end", "near.top", "near.in.0"),
            "far_side": ("far.in.0", "far.top", "far.end"),
            "slope": ("far.in.0", "near.in.0", "near.top", "far.top"),
            "back": ("near.end", "far.end", "far.top", "near.top"),
            "under": ("far.in.0", "far.end", "near.end", "near.in.0"),
        }[face]
        names = tuple(self.plan.get(corner, corner) for corner in corners)
        return names if self.climbs_along else names[::-1]

    @property
    def face_names(self) -> Mapping[str, str]:
        """Its faces: both sides, the slope, the back and where it stands."""
        side, back, over, _ = self.sides_turned
        return {"near_side": side, "far_side": over, "slope": "top", "back": back, "under": "bottom"}

    @cached_property
    def seams(self) -> Mapping[str, Seam]:
        """Its edges."""
        c, found = self.corner, dict[str, Seam]()
        for side in (NEAR, FAR):
            face, end, top = f"{side}_side", c(side, "end"), c(side, "top")
            found[f"{side}.foot"] = Seam(c(side, "in.0"), end, self.ahead.family, (face, "under"))
            found[f"{side}.back"] = Seam(end, top, self.panel.out.family, (face, "back"))
            found[f"{side}.slope"] = Seam(c(side, "in.0"), top, "free", (face, "slope"), "slope")
        for name, beside in (("in.0", ("slope", "under")), ("end", ("back", "under")), ("top", ("slope", "back"))):
            found[f"across.{name}"] = Seam(c(NEAR, name), c(FAR, name), self.across.family, beside)
        return found

    @cached_property
    def recipe(self) -> tuple[Move, ...]:
        """The hand's moves."""
        return tuple(recipe(self))

    @property
    def handles(self) -> Mapping[str, Handle]:
        """The two corners of its plan, and its height over the foot."""
        return {**self.part_handles, "rise": self.measured_handle}

    @cached_property
    def spans(self) -> Mapping[str, tuple[Point, Point]]:
        """Between which points its height is measured."""
        return {"rise": self.measured_span}

    @cached_property
    def faces(self) -> Mapping[str, Panel]:
        """The slope, on which shadows fall."""
        return {"slope": self.slope}

    @cached_property
    def outer_faces(self) -> tuple[Panel, ...]:
        """The slope and the end that are seen."""
        end = self._between("back", ("end", "top"), self.panel.out, "back")
        return tuple(panel for panel in (self.slope, end) if panel.is_seen)

    @cached_property
    def slope(self) -> Panel:
        """Its slope, from the near side on, across and up."""
        run = self.world[self.corner(NEAR, "end")] - self.world[self.corner(NEAR, "in.0")]
        under = self.values.full(self.corner(NEAR, "end")), self.values.full(self.corner(FAR, "end"))
        return self._between("slope", ("in.0", "top"), self.ahead, "slope", Incline(under, vector(run)))

    def _between(
        self, name: str, ends: tuple[str, str], up: Way, edges: str, incline: Incline | None = None
    ) -> Panel:  # fmt: skip
        """Return the face between the lines across at two corners of each side, the lower ones first.

        Args:
            edges: what its edges at the sides are called.
        """
        n, (low, high) = self.values.full, ends
        corners = self.corner(NEAR, low), self.corner(FAR, low), self.corner(FAR, high), self.corner(NEAR, high)
        page, world = [self.page[corner] for corner in corners], [self.world[corner] for corner in corners]
        along, rising = world[1] - world[0], world[3] - world[0]
        within = np.mean([*self.world.values()], axis=0) - world[0]
        out = np.cross(along, rising)
        return Panel(
            says=_SAYS[name], face=name, turned=self.face_names[name],
            low=n(corners[0]), far_low=n(corners[1]), far_high=n(corners[2]), high=n(corners[3]),
            first=n(f"{NEAR}.{edges}"), far=n(f"{FAR}.{edges}"), bottom=n(f"across.{low}"), top=n(f"across.{high}"),
            around=self.panel.around, along=self.across, up=up, out=self.panel.out, drawn_from="low",
            page=(page[0], page[1], page[2], page[3]), start=vector(world[0]), axes=(vector(along), vector(rising)),
            is_seen=name in self.shown, outward=away_from(out if float(out @ within) > 0 else -out), incline=incline,
        )  # fmt: skip

    @cached_property
    def bare_sides(self) -> tuple[BareSide, ...]:
        """Its triangles."""
        start, end = (self.world[self.corner(NEAR, name)] for name in ("in.0", "end"))
        up = self.world[self.corner(NEAR, "top")] - end
        over = self.world[self.corner(FAR, "in.0")] - start
        shape: tuple[FacePlace, ...] = ((0.0, 0.0), (1.0, 0.0), (1.0, 1.0))
        return (
            BareSide(vector(start), (vector(end - start), vector(up)), away_from(over), shape),
            BareSide(vector(start + over), (vector(end - start), vector(up)), away_from(-over), shape),
        )


_SAYS = {"slope": "slope", "back": "upper end"}
