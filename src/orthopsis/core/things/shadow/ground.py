"""What all shadows on the ground have in common: how the sun casts them, and that they are flat."""

from collections.abc import Callable, Iterable, Iterator, Mapping

import numpy as np

from orthopsis.core.construct.moves import Across, Act, Rule, RuleToPoint, Run, Shift
from orthopsis.core.errors import GeometryError
from orthopsis.core.plane.homogeneous import Point, unit_toward
from orthopsis.core.sheet.length import format_limit
from orthopsis.core.things.answers import Called, Spoken
from orthopsis.core.things.standing import Standing
from orthopsis.core.view.aim import OF_SUN, AimRole
from orthopsis.core.view.eye import Array

NEAREST_SHARE = 0.3
"""A shadow comes no nearer than this share of the eye's distance from the page (no source)."""
FLATTEST = 0.05
"""Sine of the angle from which on a ray crosses the line on the ground well enough (no source)."""


def moved_by(up: Array, falls: Array) -> Array:
    """Return the way along the ground from a foot to the shadow of what stands over it, in the world, mm.

    Args:
        up: from the foot to there; the ground is square to it.
        falls: which way light falls.
    """
    normal = up / np.linalg.norm(up)
    times = np.linalg.norm(up) / -float(falls @ normal)
    return np.asarray(up + times * falls)


class GroundShadow(Standing):
    """A shadow on the ground."""

    @property
    def lies_on_ground(self) -> bool:
        """Whatever stands there hides it."""
        return True

    @property
    def has_depth(self) -> bool:
        """It is flat, and may leave the sheet."""
        return False

    @property
    def may_be_thin(self) -> bool:
        """The shadow of what is low is thin."""
        return True

    @property
    def needs(self) -> frozenset[AimRole]:
        """The points of a sun that does not stand beside the picture."""
        return frozenset() if self.setting.sun.is_beside else OF_SUN

    def cast(self, places: Array, moved: Array) -> Array:
        """Return where the shadow of what stands over places of the ground falls, in the world.

        Raises:
            GeometryError: it would reach the viewer.
        """
        shades, sheet = np.asarray(places + moved), self.setting.sheet
        nearest = NEAREST_SHARE * self.setting.frame.eye.distance_mm
        if float(shades[:, 2].min()) < nearest:
            # How far it comes nearer is as the height of what casts it to that of the sun.
            room = np.maximum(places[:, 2] - nearest, sheet.division_mm)
            least = self.setting.sun.height_mm * float((-moved[2] / room).max())
            shown = format_limit(least, sheet.units, sheet.division_mm, is_least=True)
            raise GeometryError(
                "shadow_too_long",
                f"“{self.values.name}” would reach the viewer, so low is the sun.",
                f"Put the sun at least {shown} over the eye level, or make {self.anchor.thing} lower.",
                about="joined_to",
            )
        return shades

    def cast_acts(
        self, key: str, foot: str, page: tuple[Point, Point], found: Callable[[str], Iterable[Act]]
    ) -> Iterator[Act]:
        """Yield the acts that find the shadow of a top: on the line from its foot, to the shadow point or away from it.

        Args:
            key: what foot, line and shadow are told apart by; ``foot`` is the full name of the foot.
            page: where the foot and the shadow are on the page.
            found: the acts that find the shadow on that line, by its full name.
        """
        n, shadows = self.values.full, self.setting.shadows
        own, ground = n(f"foot.{key}"), n(f"ground.{key}")
        yield Shift(own, foot, 0.0)
        if self.setting.sun.is_beside:
            yield Across(ground, own, page[0].x, page[1].x)
            yield from found(ground)
            return
        laid = n(f"construction.on_ground.{key}")
        yield RuleToPoint(laid, own, shadows.family, "unseen")
        yield from found(laid)
        yield Rule(ground, own, n(f"shade.{key}"), shadows.family, "construction")

    def crosses_well(self, foot: Point, top: Point) -> bool:
        """Tell whether the ray from a top crosses the line from its foot well: not of an upright under the sun."""
        rays, shadows = self.setting.rays.goal, self.setting.shadows.goal
        one, two = unit_toward(top, rays), unit_toward(foot, shadows)
        return abs(one[0] * two[1] - one[1] * two[0]) > FLATTEST

    def ray(self, key: str, top: str, ground: str) -> Act:
        """Return the act that draws the ray from a top down to the line from its foot."""
        n = self.values.full
        return Run(n(f"ray.{key}"), n(f"shade.{key}"), top, self.setting.rays.family, ground, "construction")

    @property
    def sun_suffix(self) -> str:
        """What the words of steps are called by that differ with where the sun stands."""
        return "" if self.setting.sun.is_beside else "_to_points"

    @property
    def spoken(self) -> Mapping[str, Spoken]:
        """To which side it falls, and how its rays are drawn: at an angle, or from and to which points."""
        sun = self.setting.sun
        side = "right" if sun.side == "left" else "left"
        points = {}
        if not sun.is_beside:
            points = {
                "light_point": Called(self.setting.rays.family),
                "shadow_point": Called(self.setting.shadows.family),
            }
        sense = "away from" if sun.stands == "ahead" else "toward"
        return {"shadow_side": side, "ray": f"{sun.rays}°", "sense": sense, **points}
