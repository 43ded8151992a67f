"""What all shadows have in common, and how the light casts those on the ground."""

from collections.abc import Callable, Iterable, Iterator, Mapping

import numpy as np

from orthopsis.core.construct.moves import Across, Act, Rule, RuleToPoint, Run, Shift
from orthopsis.core.errors import GeometryError
from orthopsis.core.plane.homogeneous import Point, distance, unit_toward
from orthopsis.core.plane.tolerance import SAME_POINT_MM
from orthopsis.core.sheet.length import format_limit
from orthopsis.core.things.answers import Called, Spoken
from orthopsis.core.things.hip.lean_to import LeanTo
from orthopsis.core.things.standing import Standing
from orthopsis.core.view.aim import AimRole
from orthopsis.core.view.eye import Array

NEAREST_SHARE = 0.3
"""A shadow comes no nearer than this share of the eye's distance from the page (no source)."""
LARGEST_TIMES = 8.0
"""A lamp makes a shadow at most so many times as large as what casts it (no source)."""
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


class Shaded(Standing):
    """What light casts, on the ground or on another thing."""

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
        """The points of a light that does not stand beside the picture."""
        return self.setting.light.needs

    @property
    def spoken(self) -> Mapping[str, Spoken]:
        """To which side shadows fall, and how rays are drawn: at an angle, or from and to which points."""
        light = self.setting.light
        side = "right" if light.side == "left" else "left"
        points = {}
        if not light.is_beside:
            points = {
                "light_point": Called(self.setting.rays.family),
                "shadow_point": Called(self.setting.shadows.family),
            }
        sense = "toward" if light.stands == "behind" else "away from"
        return {"shadow_side": side, "ray": f"{light.rays}°", "sense": sense, **points}


class ShadowUpon(Shaded):
    """A shadow on another body."""

    @property
    def is_body(self) -> bool:
        """It lies on a body, and is none."""
        return False

    @property
    def draws_edges(self) -> bool:
        """Its outline is dark, as that of a shadow on the ground."""
        return True


class GroundShadow(Shaded):
    """A shadow on the ground."""

    def takes_up(self, other: Standing) -> bool:
        """Tell whether a roof stands on what casts the shadow, as steep as it is by itself."""
        return other.anchor.thing == self.anchor.thing and not (isinstance(other, LeanTo) and other.goes_on)

    @property
    def lies_on_ground(self) -> bool:
        """Whatever stands there hides it."""
        return True

    def cast(self, feet: Array, up: Array) -> Array:
        """Return where the shadow of what stands over places of the ground falls, in the world.

        Args:
            feet: the places under it, shape (n, 3).
            up: from there to what stands over them; the ground is square to it.

        Raises:
            GeometryError: it would reach the viewer, or a lamp hangs too low.
        """
        light, sheet = self.setting.light, self.setting.sheet
        nearest = NEAREST_SHARE * self.setting.frame.eye.distance_mm
        if light.is_lamp:
            return self._cast_by_lamp(feet, up, nearest)
        moved = moved_by(up, light.falls(self.setting.frame))
        shades = np.asarray(feet + moved)
        if float(shades[:, 2].min()) < nearest:
            # How far it comes nearer is as the height of what casts it to that of the sun.
            room = np.maximum(feet[:, 2] - nearest, sheet.division_mm)
            least = light.height_mm * float((-moved[2] / room).max())
            shown = format_limit(least, sheet.units, sheet.division_mm, is_least=True)
            raise GeometryError(
                "shadow_too_long",
                f"“{self.values.name}” would reach the viewer, so low is the sun.",
                f"Put the sun at least {shown} over the eye level, or make {self.anchor.thing} lower.",
                about="joined_to",
            )
        return shades

    @property
    def is_on_floor(self) -> bool:
        """Whether what casts it stands on the ground or on the floor of a room: there the place under a lamp lies."""
        panel = self.host.setting.panel
        return panel is None or panel.is_floor

    def _cast_by_lamp(self, feet: Array, up: Array, nearest: float) -> Array:
        """Return the shadows by a lamp: what is parallel to the floor is enlarged, seen from the place under the lamp.

        Source: two triangles alike, lamp over its foot and upright over its own (textbooks; from memory).
        """
        light, frame, tall = self.setting.light, self.setting.frame, float(np.linalg.norm(up))
        if not self.is_on_floor:
            raise GeometryError(
                "lamp_over_floor",
                f"“{self.values.name}” cannot be found: {self.anchor.thing} does not stand on the floor or the ground.",
                "By a lamp only what stands there has a shadow. Let the sun shine, or take the shadow away.",
                about="joined_to",
            )
        for way in (light.rays_way(frame), light.shadow_way(frame)):
            if not self.setting.sheet.holds(*way.goal.xy):
                raise GeometryError(
                    "lamp_off_sheet",
                    f"“{self.values.name}” cannot be found: the lamp, or the place under it, is not on the sheet.",
                    "Bring the lamp nearer to the middle, or let it hang lower.",
                    about="joined_to",
                )
        foot, high = light.hangs(frame, feet[0], up / tall)
        # So many times as large may the shadow be that comes nearest to the viewer.
        nearing = (foot[2] - feet[:, 2]).tolist()
        most = min([LARGEST_TIMES, *((float(foot[2]) - nearest) / by for by in nearing if by > 0)])
        if high <= tall or high / (high - tall) > most:
            raise self._lamp_too_low(tall, most, float(foot[2]))
        return np.asarray(foot + (feet - foot) * (high / (high - tall)))

    def _lamp_too_low(self, tall: float, most: float, depth: float) -> GeometryError:
        light, sheet, name = self.setting.light, self.setting.sheet, self.values.name
        why = f"“{name}” would be too long: the lamp hangs too low."
        if most <= 1:
            fix = f"Move the lamp farther away, or make {self.anchor.thing} lower."
            return GeometryError("lamp_too_low", why, fix, about="joined_to")
        high = tall * most / (most - 1)
        least = high * self.setting.frame.eye.distance_mm / depth - light.foot_mm
        shown = format_limit(least, sheet.units, sheet.division_mm, is_least=True)
        fix = f"Hang the lamp at least {shown} over the eye level, or make {self.anchor.thing} lower."
        return GeometryError("lamp_too_low", why, fix, about="joined_to")

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
        if self.setting.light.is_beside:
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
        if not shadows.is_ideal and distance(foot, shadows) <= SAME_POINT_MM:
            return False
        one, two = unit_toward(top, rays), unit_toward(foot, shadows)
        return abs(one[0] * two[1] - one[1] * two[0]) > FLATTEST

    def ray(self, key: str, top: str, ground: str) -> Act:
        """Return the act that draws the ray from a top down to the line from its foot."""
        n = self.values.full
        return Run(n(f"ray.{key}"), n(f"shade.{key}"), top, self.setting.rays.family, ground, "construction")

    @property
    def light_suffix(self) -> str:
        """What the words of steps are called by that differ with the light."""
        light = self.setting.light
        return "" if light.is_beside else "_of_lamp" if light.is_lamp else "_to_points"
