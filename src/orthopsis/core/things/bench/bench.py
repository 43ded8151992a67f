"""A bench as a profile: its outline from the width of its legs and the thickness of its seat."""

from collections.abc import Mapping
from dataclasses import replace

from propcache.api import cached_property

from orthopsis.core.plane.homogeneous import Point
from orthopsis.core.sheet.ruler import round_to
from orthopsis.core.things.answers import Clause, Handle
from orthopsis.core.things.box.corner import CornerBox
from orthopsis.core.things.outline import Outline, on_marks, scaled
from orthopsis.core.things.parameters import Value
from orthopsis.core.things.profile.front import FrontProfile
from orthopsis.core.things.profile.side import SideProfile
from orthopsis.core.things.setting import Setting
from orthopsis.core.things.values import Values

LEGS = {"tenth": "a tenth", "eighth": "an eighth", "sixth": "a sixth", "quarter": "a quarter"}
SEATS = {"sixth": "a sixth", "quarter": "a quarter", "third": "a third"}
_SHARES = {"tenth": 1 / 10, "eighth": 1 / 8, "sixth": 1 / 6, "quarter": 1 / 4, "third": 1 / 3}
_CLAUSE = "Legs {legs} of its width, the seat {seat} of its height. "


def outline_of(values: Values) -> Outline:
    """Return the front of a bench in a square of 1 by 1, once round from its lower left corner."""
    leg, under = _SHARES[values.word("legs")], 1 - _SHARES[values.word("seat")]
    inner = ((leg, 0.0), (leg, under), (1 - leg, under), (1 - leg, 0.0))
    return (((0.0, 0.0), *inner, (1.0, 0.0), (1.0, 1.0), (0.0, 1.0)),)


class FrontBench(FrontProfile):
    """A bench whose front is drawn true."""

    sentence: tuple[Clause, ...] = (
        Clause("{width} wide and {height} tall, {left} from the left edge and {bottom} up. "),
        Clause(_CLAUSE),
        *FrontProfile.sentence[1:],
    )
    own: tuple[str, ...] = ("legs", "seat")
    moved_says = "Move the bench"

    @classmethod
    def place(cls, setting: Setting, count: int) -> Mapping[str, Value]:
        """Return values for one more bench, beside the point."""
        size = setting.fresh_size
        tall = round_to(0.8 * size, setting.sheet.division_mm)
        fresh: dict[str, Value] = {"width": 2 * size, "height": tall, "depth_by": "measured", "depth": tall}
        return {**super().place(setting, count), **fresh}

    @cached_property
    def shaped(self) -> Values:
        """Its values with its front as an outline, on marks of the ruler where it has room."""
        wide, tall, division = self.values.mm("width"), self.values.mm("height"), self.setting.sheet.division_mm
        outline = scaled(outline_of(self.values), wide, tall)
        on_mark = on_marks(outline, division)
        is_apart = len(set(on_mark[0])) == len(outline[0]) and on_mark[0][1][0] < on_mark[0][3][0]
        return replace(self.values, held={**self.values.held, "outline": on_mark if is_apart else outline})

    @property
    def handles(self) -> Mapping[str, Handle]:
        """Those of a shape, without its corners."""
        usual = {name: handle for name, handle in super().handles.items() if handle.shape != "corner"}
        return {**usual, "size": replace(usual["size"], says="Stretch the bench", changes=("width", "height"))}

    def sized(self, wide_mm: float, tall_mm: float) -> dict[str, Value]:
        """Return the values with which its front is so wide and tall."""
        return {"width": wide_mm, "height": tall_mm}

    def _drag_size(self, at: Point) -> Mapping[str, Value]:
        first, least = self.values.first, 8 * self.setting.sheet.division_mm
        return {"width": max(at.x - first.x, least), "height": max(at.y - first.y, least)}


class SideBench(SideProfile):
    """A bench that is cut from one side of a block."""

    sentence: tuple[Clause, ...] = (
        Clause("Its front on the {side} of a block. "),
        Clause(_CLAUSE),
        *CornerBox.sentence,
    )
    own: tuple[str, ...] = ("legs", "seat")

    @cached_property
    def shaped(self) -> Values:
        """Its values with its front as an outline, in shares of the side."""
        return replace(self.values, held={**self.values.held, "outline": outline_of(self.values)})

    @property
    def handles(self) -> Mapping[str, Handle]:
        """Those of the block."""
        return {name: handle for name, handle in super().handles.items() if handle.shape != "corner"}
