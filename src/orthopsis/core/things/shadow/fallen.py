"""The shadow of one thing on another: what of the cast shadows on the ground climbs a block, steps or a ramp.

It goes on where the shadow on the ground meets the foot of the other thing: up a side or a slope, over the top, from
step to step.
Which shadows reach it is found, not said: all that fall on the same ground.
"""

from collections.abc import Iterator, Mapping

import numpy as np
import shapely
from propcache.api import cached_property

from orthopsis.core.construct.moves import Move
from orthopsis.core.light.tone import ON_WALL
from orthopsis.core.plane.homogeneous import Point
from orthopsis.core.plane.polygon import signed_area
from orthopsis.core.sight.solid import NOTHING, Edge, Face, Solid, Topology
from orthopsis.core.things.answers import Clause
from orthopsis.core.things.parameters import Value
from orthopsis.core.things.setting import Setting
from orthopsis.core.things.shadow.fall import Fall, is_found
from orthopsis.core.things.shadow.fallen_recipe import recipe
from orthopsis.core.things.shadow.falling import LEAST_SHARE, Caster, fallen, height_of
from orthopsis.core.things.shadow.ground import ShadowUpon
from orthopsis.core.things.shadow.shape import ShadowShape
from orthopsis.core.view.aim import AimRole
from orthopsis.core.wording.names import Feature

HEIGHT_DIGITS = 6
"""Faces are put in order by their heights above the ground to so many digits: what is level with it is at 0."""


class FallenShadow(ShadowUpon):
    """The shadow of others on a block, on steps or on a ramp."""

    sentence: tuple[Clause, ...] = (Clause("It shows the cast shadows of blocks that reach this thing."),)

    @classmethod
    def place(cls, setting: Setting, count: int) -> Mapping[str, Value]:
        """Return nothing: it follows the light and what stands before it."""
        return {}

    @property
    def needs(self) -> frozenset[AimRole]:
        """The points of its light, once something falls."""
        return super().needs if self.falls else frozenset()

    @cached_property
    def falls(self) -> tuple[Fall, ...]:
        """What falls on its host and can be found, shadow by shadow, face by face from the ground up."""
        return tuple(fall for falls in self._reaching if falls is not None for fall in falls)

    @property
    def is_hidden(self) -> bool:
        """Whether a shadow reaches it that no hand can find."""
        return any(falls is None for falls in self._reaching)

    @cached_property
    def _reaching(self) -> tuple[tuple[Fall, ...] | None, ...]:
        """What falls on its host of each shadow; None of one that cannot be found."""
        found = list[tuple[Fall, ...] | None]()
        for number, cast in enumerate(self.setting.casts):
            if isinstance(cast, ShadowShape) and (caster := self._caster(cast)) is not None:
                falls = tuple(self._fallen(number, cast, caster))
                found.append(falls if is_found(falls) and not self._is_on_side(caster) else None)
        return tuple(found)

    def _is_on_side(self, caster: Caster) -> bool:
        """Tell whether a shadow falls on a stepped or slanted side that is seen: nobody is told how it runs there."""
        for side in self.host.bare_sides:
            is_toward = float(np.array(side.outward) @ np.array(side.start)) < 0
            spots = fallen(side, caster) if is_toward else ()
            outline = shapely.Polygon(side.outline)
            if spots and shapely.Polygon([spot.place for spot in spots]).intersection(outline).area > LEAST_SHARE:
                return True
        return False

    def _fallen(self, number: int, cast: ShadowShape, caster: Caster) -> Iterator[Fall]:
        """Yield what of a shadow falls on each face that is seen, from the ground up."""
        panels = [(round(height_of(panel, caster), HEIGHT_DIGITS), panel) for panel in self.host.outer_faces]
        for height, panel in sorted(panels, key=lambda one: (one[0], not one[1].is_level)):
            if spots := fallen(panel, caster):
                yield Fall(number, cast, caster, panel, height == 0, spots)

    def _caster(self, cast: ShadowShape) -> Caster | None:
        """Return what casts a shadow, as it stands in the world of the host; None for one on another ground."""
        one, other = cast.host.setting.panel, self.host.setting.panel
        is_shared = one is other or (one is not None and other is not None and one.low == other.low)
        if cast.host is self.host or not is_shared or cast.is_around:
            return None
        ground = np.array(self.panel.start) @ cast.up
        times = float(ground / (cast.feet[0] @ cast.up))
        return Caster(times * cast.feet, times * cast.up, times * cast.shades, cast.chain)

    @cached_property
    def solid(self) -> Solid:
        """A face on each face that it falls on, in the world of the frame's eye."""
        if not self.falls:
            return NOTHING
        names, places, faces, edges = list[str](), [], list[Face](), list[Edge]()
        for fall in self.falls:
            corners = [fall.corner(spot) for spot in fall.spots]
            at = fall.panel.places(spot.place for spot in fall.spots)
            page = self.setting.frame.eye.see(at).tolist()
            is_turned = signed_area([Point(x, y) for x, y in page]) > 0
            turned = "shadow" if fall.panel.is_level else ON_WALL
            faces.append(Face(fall.name("shadow"), tuple(corners if is_turned else corners[::-1]), turned))
            names += corners
            places.append(at)
            edges += [
                Edge(
                    fall.name(bound.name), fall.corner(start), fall.corner(end), fall.family(bound),
                    feature=Feature("side"),
                )
                for bound, start, end in fall.sides
            ]  # fmt: skip
        return Solid(Topology(tuple(names), tuple(faces), tuple(edges)), np.vstack(places))

    @cached_property
    def recipe(self) -> tuple[Move, ...]:
        """The hand's moves."""
        return tuple(recipe(self.values, self.falls))
