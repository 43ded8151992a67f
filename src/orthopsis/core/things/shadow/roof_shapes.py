"""The roofs whose shadow a hand can find: gable, hip and pyramid, half pyramid, lean-to.

Under the peak of a gable or the tip of a half pyramid lies the middle of the foot of a wall, under a hip roof the
middle line of the whole foot, and under the high edge of a lean-to two corners of the foot.
"""

from collections.abc import Mapping

import numpy as np
from propcache.api import cached_property

from orthopsis.core.construct.hidden_face import EDGES
from orthopsis.core.plane.homogeneous import join, meet, unit_toward
from orthopsis.core.plane.polygon import signed_area
from orthopsis.core.plane.tolerance import THIN_FACE_MM2
from orthopsis.core.things.answers import Spoken
from orthopsis.core.things.gable.shape import GableShape
from orthopsis.core.things.hip.half import TIP, HalfPyramid
from orthopsis.core.things.hip.lean_to import LeanTo
from orthopsis.core.things.hip.shape import HipShape
from orthopsis.core.things.setting import Setting
from orthopsis.core.things.shadow.ground import FLATTEST
from orthopsis.core.things.shadow.roofed_shape import RIDGE, RIDGE_BEHIND, RoofedShape
from orthopsis.core.view.eye import Array
from orthopsis.core.view.frame import Way

Roof = GableShape | HipShape | HalfPyramid | LeanTo


def roof_on(setting: Setting) -> Roof | None:
    """Return the roof whose shadow a hand can find; None where there is none, or it cannot be found."""
    on = setting.anchor.thing if setting.anchor is not None else ""
    roofs = (cast for cast in setting.casts if isinstance(cast, Roof) and cast.anchor.thing == on)
    roof = next(roofs, None)
    if roof is None or setting.light.is_lamp or roof.host.setting.panel is not None:
        return None
    if isinstance(roof, GableShape):
        return roof if roof.drawn and roof.panel.is_drawn and roof.panel.bottom in roof.host.made else None
    return roof if _has_foot(setting, roof) else None


def _has_foot(setting: Setting, roof: Roof) -> bool:
    """Tell whether the block's foot can be drawn, and its middle line crosses the uprights well under a ridge."""
    assert setting.panel is not None
    low, beside, over, behind = setting.panel.page
    if abs(signed_area([low, beside, over, behind])) < THIN_FACE_MM2:
        return False
    if not isinstance(roof, HipShape) or roof.is_pyramid:
        return True
    across, _ = unit_toward(meet(join(low, over), join(beside, behind)), roof.ridge_way.goal)
    return abs(across) > FLATTEST


class GabledShape(RoofedShape):
    """The shadow of a block with a gable roof."""

    @property
    def tops(self) -> tuple[str, ...]:
        """The peak of the gable, over the middle of its wall, and the other end of the ridge."""
        return ("front.peak", "back.peak")

    @property
    def unders(self) -> tuple[str, ...]:
        """The mark at the foot of the gable wall."""
        return (self.values.full("measure.under"), "")

    @property
    def ridge_way(self) -> Way:
        """Out of the gable wall."""
        return self.roof.panel.out

    @property
    def spoken(self) -> Mapping[str, Spoken]:
        """Also what the peak is called, and which way the ridge runs."""
        return {**super().spoken, "peak": f"peak of {self.roof.values.name}", "ridge_way": self.ridge_way}


class HalfPyramidShape(RoofedShape):
    """The shadow of a block with a half pyramid."""

    @property
    def tops(self) -> tuple[str, ...]:
        """The tip, over the middle of a wall."""
        return (TIP,)

    @property
    def unders(self) -> tuple[str, ...]:
        """The mark at the foot of that wall."""
        return (self.values.full("measure.under"),)

    @cached_property
    def edge(self) -> str:
        """Which edge of the foot lies under the tip."""
        foot = self.feet[RIDGE]
        apart = {name: float(np.linalg.norm(self.feet[list(ends)].mean(axis=0) - foot)) for name, ends in EDGES.items()}
        return min(apart, key=lambda name: apart[name])

    @property
    def spoken(self) -> Mapping[str, Spoken]:
        """Also what the tip is called."""
        return {**super().spoken, "peak": f"tip of {self.roof.values.name}"}


class LeaningShape(RoofedShape):
    """The shadow of a block with a lean-to roof."""

    @property
    def leaning(self) -> LeanTo:
        """The roof."""
        assert isinstance(self.roof, LeanTo)
        return self.roof

    @property
    def tops(self) -> tuple[str, ...]:
        """The ends of its high edge."""
        return self.leaning.high_ends

    @property
    def unders(self) -> tuple[str, ...]:
        """Two corners of the foot, which have their own names."""
        return ("", "")

    @property
    def ridge_way(self) -> Way:
        """Along the high edge."""
        return self.leaning.level

    @cached_property
    def corners_under(self) -> Mapping[int, int]:
        """The corner of the foot under each end of the high edge."""
        return {i: self._nearest(self.feet[i]) for i in (RIDGE, RIDGE_BEHIND)}

    def _nearest(self, place: Array) -> int:
        return int(np.argmin(np.linalg.norm(self.feet[:RIDGE] - place, axis=1)))

    @property
    def spoken(self) -> Mapping[str, Spoken]:
        """Also how many ends of the high edge bound the shadow, and which."""
        ends = ("each end", "the end over it") if len(self.ends) > 1 else (f"the {self.end_word} end", "that end")
        return {**super().spoken, "high_end": ends[0], "summit": ends[1]}


class HippedShape(RoofedShape):
    """The shadow of a block with a hip roof or a pyramid."""

    @property
    def hip(self) -> HipShape:
        """The roof."""
        assert isinstance(self.roof, HipShape)
        return self.roof

    @property
    def tops(self) -> tuple[str, ...]:
        """The ends of the ridge, or the tip."""
        return tuple(dict.fromkeys(self.hip.tips))

    @property
    def unders(self) -> tuple[str, ...]:
        """Marks on the middle line of the foot."""
        return tuple(self.values.full(f"measure.under.{i}") for i, _ in enumerate(self.tops, start=RIDGE))

    @property
    def ridge_way(self) -> Way:
        """Along the longer side of the house."""
        return self.hip.ridge_way

    @property
    def spoken(self) -> Mapping[str, Spoken]:
        """Also what it rises to, how many marks there are, and which way the ridge runs."""
        of = f"of {self.roof.values.name}"
        if self.hip.is_pyramid:
            said = {"middle": f"tip {of}", "summit": f"tip {of}", "each_mark": "the mark"}
        else:
            ends, mark = ("both ends", "each mark") if len(self.ends) > 1 else (f"the {self.end_word} end", "the mark")
            said = {"middle": f"middle of the lid {of}", "summit": "end of the ridge over it", "ends": ends}
            said["each_mark"] = mark
        return {**super().spoken, "ridge_way": self.ridge_way, **said}
