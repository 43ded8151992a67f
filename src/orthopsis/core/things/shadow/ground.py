"""What all shadows on the ground have in common: how light from the side casts them, and that they are flat."""

from collections.abc import Mapping

import numpy as np

from orthopsis.core.things.standing import Standing
from orthopsis.core.view.eye import Array
from orthopsis.core.view.frame import Way


def moved_by(up: Array, ray: tuple[float, float]) -> Array:
    """Return the way along the ground from a foot to the shadow of what stands over it, in the world, mm.

    Args:
        up: from the foot to there; the ground is square to it.
        ray: which way rays run on the page, to the right and up; they are parallel to the picture, so they run alike in
            the world.
    """
    way, normal = np.array([*ray, 0.0]), up / np.linalg.norm(up)
    times = np.linalg.norm(up) / -float(way @ normal)
    return np.asarray(up + times * way)


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
    def spoken(self) -> Mapping[str, Way | float | str]:
        """To which side it falls, and how its rays are drawn."""
        side = "right" if self.setting.ray[0] > 0 else "left"
        return {"shadow_side": side, "ray": f"{self.setting.rays}°"}
