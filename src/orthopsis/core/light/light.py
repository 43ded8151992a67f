"""Where do rays of light run to on the page, and the shadows of uprights on level ground?

Sunlight is parallel: its rays run to one point. Of a sun beside the picture that point is at infinity. Of one that
stands ahead of the viewer it is the sun itself, over the eye level; of one behind the viewer it lies under the eye
level, where the shadow of the viewer's head would fall. Shadows of uprights on level ground run to the point of the eye
level that is straight under it or over it (textbooks of perspective; from memory).

Rays of a lamp run out from where it hangs, and shadows of uprights on its floor run out from the place straight under
it: both are places of the room, and have their pictures on the page as points have (textbooks; from memory).
"""

import math
from dataclasses import dataclass, replace
from typing import Literal

import numpy as np

from orthopsis.core.plane.homogeneous import HORIZONTAL, Point, ideal
from orthopsis.core.view.aim import OF_LAMP, OF_SUN, Aim, AimRole
from orthopsis.core.view.eye import Array
from orthopsis.core.view.frame import Frame, Way

LightSide = Literal["left", "right"]
Rays = Literal["30", "45", "60"]
"""How steeply light from beside the picture falls: the angles of a set square, in degrees."""
Stands = Literal["beside", "ahead", "behind", "lamp"]
"""Where the sun stands: beside the picture, so that rays are parallel to it, ahead of the viewer, or behind; or that
the light is a lamp."""

RAYS = "light"
"""What the moves call the point at infinity to which rays run that are parallel to the picture."""


@dataclass(frozen=True, slots=True)
class Light:
    """The one light of a sheet.

    Attributes:
        side: from which side it comes.
        rays: how steeply it falls from beside the picture.
        aside_mm: how far its point lies beside the one straight before the eye, on the page.
        height_mm: how far that lies over the eye level, or under it where the sun is behind the viewer.
        foot_mm: how far the place on the floor straight under a lamp lies under the eye level, on the page.
    """

    side: LightSide = "left"
    stands: Stands = "beside"
    rays: Rays = "45"
    aside_mm: float = 100.0
    height_mm: float = 100.0
    foot_mm: float = 60.0

    @property
    def is_beside(self) -> bool:
        """Whether its rays are parallel to the picture."""
        return self.stands == "beside"

    @property
    def is_lamp(self) -> bool:
        """Whether it hangs in the room: then each ray runs another way."""
        return self.stands == "lamp"

    def rays_way(self, frame: Frame) -> Way:
        """Return the direction of its rays on the page; those of a lamp run out from there."""
        if self.is_beside:
            x, y = self._beside
            return Way(RAYS, ideal(x, y))
        is_left = (self.side == "left") == (self.stands != "behind")
        x = frame.eye.principal.x + (-self.aside_mm if is_left else self.aside_mm)
        y = frame.level_mm + (-self.height_mm if self.stands == "behind" else self.height_mm)
        return Way(f"{frame.name} {'lamp' if self.is_lamp else 'light'}", Point(x, y))

    def shadow_way(self, frame: Frame) -> Way:
        """Return the direction on the page of shadows of uprights on level ground."""
        if self.is_beside:
            return Way("level", HORIZONTAL)
        x = self.rays_way(frame).goal.x
        if self.is_lamp:
            return Way(f"{frame.name} lamp foot", Point(x, frame.level_mm - self.foot_mm))
        return Way(f"{frame.name} shadow", Point(x, frame.level_mm))

    def aims(self, frame: Frame) -> tuple[Aim, ...]:
        """Return the points that it brings to a frame; none where it is beside the picture."""
        if self.is_beside:
            return ()
        light, shadow = self.rays_way(frame), self.shadow_way(frame)
        return (
            Aim(shadow.family, shadow.goal, "lamp_foot" if self.is_lamp else "shadow", frame.name),
            Aim(light.family, light.goal, "lamp" if self.is_lamp else "light", frame.name),
        )

    @property
    def needs(self) -> frozenset[AimRole]:
        """The points that a shadow needs of it."""
        return frozenset() if self.is_beside else OF_LAMP if self.is_lamp else OF_SUN

    def falls(self, frame: Frame) -> Array:
        """Return the way in which light falls that is parallel in truth, in the world of the frame's eye."""
        if self.is_beside:
            return np.array([*self._beside, 0.0])
        return np.asarray(frame.eye.ray(self.rays_way(frame).goal) * (-1 if self.stands == "ahead" else 1))

    def hangs(self, frame: Frame, floor: Array, normal: Array) -> tuple[Array, float]:
        """Return where a lamp hangs over a floor: the place under it in the world, and how high over that it is, mm.

        Args:
            floor: a place of the floor.
            normal: the way out of the floor, of length 1.
        """
        down, along = frame.eye.ray(self.shadow_way(frame).goal), frame.eye.ray(self.rays_way(frame).goal)
        foot = down * (float(floor @ normal) / float(down @ normal))
        # Straight over the foot, on the ray of sight to the lamp: the two lines meet, since the picture says so. Where
        # they come nearest to each other is the least of |foot + high normal - t along|.
        on_normal, long = float(normal @ along), float(along @ along)
        high = (on_normal * float(along @ foot) - long * float(normal @ foot)) / (long - on_normal * on_normal)
        return np.asarray(foot), high

    def on_thing(self, x: float, frame: Frame) -> "Light":
        """Return the light as it comes to a thing at this place of the page: from the side on which a lamp hangs."""
        if not self.is_lamp:
            return self
        return replace(self, side="left" if self.rays_way(frame).goal.x < x else "right")

    @property
    def _beside(self) -> tuple[float, float]:
        """Which way rays run that are parallel to the picture, to the right and up."""
        angle = math.radians(float(self.rays))
        return math.cos(angle) * (1 if self.side == "left" else -1), -math.sin(angle)


NOON = Light()
"""The light of a new sheet."""


def dragged(light: Light, frame: Frame, at: Point) -> Light:
    """Return the light with its point where a hand is.

    A sun over the eye level stands ahead, under it behind the viewer; a lamp stays over the eye level.
    """
    aside, over = at.x - frame.eye.principal.x, at.y - frame.level_mm
    if light.is_lamp:
        return replace(light, side="left" if aside < 0 else "right", aside_mm=abs(aside), height_mm=max(over, 0.0))
    is_ahead = over >= 0
    side: LightSide = "left" if (aside < 0) == is_ahead else "right"
    stands: Stands = "ahead" if is_ahead else "behind"
    return replace(light, side=side, stands=stands, aside_mm=abs(aside), height_mm=abs(over))


def foot_dragged(light: Light, frame: Frame, at: Point) -> Light:
    """Return a lamp with the place under it where a hand is."""
    aside, under = at.x - frame.eye.principal.x, frame.level_mm - at.y
    return replace(light, side="left" if aside < 0 else "right", aside_mm=abs(aside), foot_mm=max(under, 0.0))
