"""Where are the corners of eaves, and what stands on them?

Corners are numbered as those of the block's top. In truth the eaves are the top, enlarged about its middle.
"""

from collections.abc import Mapping

import numpy as np
from propcache.api import cached_property

from orthopsis.core.errors import GeometryError
from orthopsis.core.plane.homogeneous import distance
from orthopsis.core.things.raised import Raised, foot_name, top_name
from orthopsis.core.things.upward import Upward
from orthopsis.core.view.eye import Array

WIDEST_SHARE = 0.5
"""Eaves that stand out by more than this share of the top, along its diagonal, are a roof on posts (no source)."""
NEAREST_SHARE = 0.6
"""... and their nearest corner comes no nearer to the eye than by this share of the way to it (no source)."""


class EavesShape(Raised):
    """A slab over the top of a block, standing out all round."""

    @property
    def may_be_thin(self) -> bool:
        """Eaves are thin."""
        return True

    @cached_property
    def _depths(self) -> tuple[float, float]:
        """How deep the ends of the diagonal lie from the top's low corner on, in the world, mm."""
        places = self.panel.places([(0, 0), (1, 1)])
        return float(places[0, 2]), float(places[1, 2])

    @cached_property
    def share(self) -> float:
        """How far they stand out in truth, as a share of the top's diagonal.

        Raises:
            GeometryError: the top lies on the eye level, or they stand out too far.

        Source: with depths a and b at the ends of a line, the share s of its picture is the share
        s a / (s a + (1 - s) b) of the line (cross-ratio; from memory).
        """
        self._check_level()
        (near, far), long_mm = self._depths, distance(self.panel.page[0], self.panel.page[2])
        page, most = self.values.mm("over") / long_mm, WIDEST_SHARE
        if far > near:
            most = min(most, NEAREST_SHARE * near / (far - near))
        widest = most * far / (near - most * (far - near))
        if page <= widest:
            return page * near / ((1 + page) * far - page * near)
        raise self.refused("eaves_too_wide", "would stand out too far", widest * long_mm, is_least=False, about="over")

    def _check_level(self) -> None:
        setting = self.setting
        if abs(self.panel.page[0].y - setting.frame.level_mm) < setting.sheet.division_mm:
            raise GeometryError(
                "top_on_eye_level",
                f"The top of {self.anchor.thing} lies on the eye level, a mere line: no eaves can be found on it.",
                "Make the house a little higher or lower.",
                about="over",
                nearest="",
            )

    @cached_property
    def feet(self) -> Array:
        """The corners at the level of the top, in the world."""
        low, high = -self.share, 1 + self.share
        return self.panel.places([(low, low), (high, low), (high, high), (low, high)])

    @cached_property
    def upward(self) -> Upward:
        """The upright over their nearest corner, on which the thickness is measured."""
        return Upward(self._seen(self.feet[:1])[0], self.panel.out)

    @cached_property
    def world(self) -> Mapping[str, Array]:
        """Their corners in the world.

        Raises:
            GeometryError: they reach the third point.
        """
        thick, most = self.values.mm("thick"), self.upward.longest_mm
        if thick > most:
            raise self.refused("edge_past_point", "would reach the third point", most, is_least=False, about="thick")
        assert self.panel.outward is not None
        up = self.upward.risen(self.setting.frame.eye, self.feet[0], np.array(self.panel.outward), thick)
        under = {foot_name(i): at for i, at in enumerate(self.feet)}
        return under | {top_name(i): at + up for i, at in enumerate(self.feet)}
