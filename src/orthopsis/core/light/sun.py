"""Where do rays of the sun run to on the page, and the shadows of uprights on level ground?

Sunlight is parallel: its rays run to one point. Of a sun beside the picture that point is at infinity. Of one that
stands ahead of the viewer it is the sun itself, over the eye level; of one behind the viewer it lies under the eye
level, where the shadow of the viewer's head would fall. Shadows of uprights on level ground run to the point of the eye
level that is straight under it or over it (textbooks of perspective; from memory).
"""

import math
from dataclasses import dataclass
from typing import Literal

import numpy as np

from orthopsis.core.plane.homogeneous import HORIZONTAL, Point, ideal
from orthopsis.core.view.aim import Aim
from orthopsis.core.view.eye import Array
from orthopsis.core.view.frame import Frame, Way

LightSide = Literal["left", "right"]
Rays = Literal["30", "45", "60"]
"""How steeply light from beside the picture falls: the angles of a set square, in degrees."""
Stands = Literal["beside", "ahead", "behind"]
"""Where the sun stands: beside the picture, so that rays are parallel to it, ahead of the viewer, or behind."""

RAYS = "light"
"""What the moves call the point at infinity to which rays run that are parallel to the picture."""


@dataclass(frozen=True, slots=True)
class Sun:
    """The one light of a sheet.

    Attributes:
        side: from which side it comes.
        rays: how steeply it falls from beside the picture.
        aside_mm: how far its point lies beside the one straight before the eye, on the page.
        height_mm: how far that lies over the eye level, or under it where the sun is behind the viewer.
    """

    side: LightSide = "left"
    stands: Stands = "beside"
    rays: Rays = "45"
    aside_mm: float = 100.0
    height_mm: float = 100.0

    @property
    def is_beside(self) -> bool:
        """Whether its rays are parallel to the picture."""
        return self.stands == "beside"

    def rays_way(self, frame: Frame) -> Way:
        """Return the direction of its rays on the page."""
        if self.is_beside:
            x, y = self._beside
            return Way(RAYS, ideal(x, y))
        is_left = (self.side == "left") == (self.stands == "ahead")
        x = frame.eye.principal.x + (-self.aside_mm if is_left else self.aside_mm)
        y = frame.level_mm + (self.height_mm if self.stands == "ahead" else -self.height_mm)
        return Way(f"{frame.name} light", Point(x, y))

    def shadow_way(self, frame: Frame) -> Way:
        """Return the direction on the page of shadows of uprights on level ground."""
        if self.is_beside:
            return Way("level", HORIZONTAL)
        return Way(f"{frame.name} shadow", Point(self.rays_way(frame).goal.x, frame.level_mm))

    def aims(self, frame: Frame) -> tuple[Aim, ...]:
        """Return the points that it brings to a frame; none where it is beside the picture."""
        if self.is_beside:
            return ()
        light, shadow = self.rays_way(frame), self.shadow_way(frame)
        return (
            Aim(shadow.family, shadow.goal, "shadow", frame.name),
            Aim(light.family, light.goal, "light", frame.name),
        )

    def falls(self, frame: Frame) -> Array:
        """Return the way in which light falls, in the world of the frame's eye."""
        if self.is_beside:
            return np.array([*self._beside, 0.0])
        return np.asarray(frame.eye.ray(self.rays_way(frame).goal) * (-1 if self.stands == "ahead" else 1))

    @property
    def _beside(self) -> tuple[float, float]:
        """Which way rays run that are parallel to the picture, to the right and up."""
        angle = math.radians(float(self.rays))
        return math.cos(angle) * (1 if self.side == "left" else -1), -math.sin(angle)


NOON = Sun()
"""The sun of a new sheet."""


def dragged(sun: Sun, frame: Frame, at: Point) -> Sun:
    """Return the sun with its point where a hand is: over the eye level it stands ahead, under it behind the viewer."""
    aside, over = at.x - frame.eye.principal.x, at.y - frame.level_mm
    is_ahead = over >= 0
    side: LightSide = "left" if (aside < 0) == is_ahead else "right"
    return Sun(side, "ahead" if is_ahead else "behind", sun.rays, abs(aside), abs(over))
