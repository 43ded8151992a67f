"""A word in one-point perspective: the profile of its outline; or letters of their own, stepping back or in a ring."""

from collections.abc import Mapping, Sequence
from dataclasses import replace

from propcache.api import cached_property

from orthopsis.core.construct.panel import Panel
from orthopsis.core.plane.homogeneous import Point, between, distance
from orthopsis.core.sheet.ruler import round_to
from orthopsis.core.things.answers import Clause, Fit, Handle, Personal
from orthopsis.core.things.assembly import Assembled, Member, panel_of
from orthopsis.core.things.depth import reached_mm
from orthopsis.core.things.letters.clauses import (
    ACROSS,
    FIRST_TEXT,
    KEPT,
    STROKE_CLAUSES,
    UP,
    WHOSE_CLAUSES,
    check_layout,
)
from orthopsis.core.things.letters.layouts import ONE_POINT, STRAIGHT
from orthopsis.core.things.letters.measures import shaped
from orthopsis.core.things.letters.names import is_own, own_name
from orthopsis.core.things.letters.rows import around, row
from orthopsis.core.things.parameters import FIRST_CORNER, Value
from orthopsis.core.things.profile.front import FrontProfile
from orthopsis.core.things.setting import Joint, Setting
from orthopsis.core.things.values import Values

ROW = (STRAIGHT, "away", "steps")
STRETCHED = ("width", "height", "gap", "stroke", "bar", "middle", "middle_up")


class FrontWord(Assembled, FrontProfile):
    """A word whose letters are drawn true."""

    sentence: tuple[Clause, ...] = (
        Clause("{text} in {form} letters, {layout}, "),
        Clause(
            "{width} wide, {height} tall and {gap} apart, {left} from the left edge and {bottom} up. ", {"layout": ROW}
        ),
        Clause("{spread} over and under it. ", {"layout": ("about",)}),
        Clause("The first step back is {step} along the line to the point. ", {"layout": ("away", "steps")}),
        *WHOSE_CLAUSES,
        *STROKE_CLAUSES,
        Clause("Depth {depth_by}", {"depth_by": ("measured",)}),
        Clause(", {depth} along {depth_corner}. ", {"depth_by": ("measured",), "layout": (STRAIGHT,)}),
        Clause(", {depth} along the longest guide line. ", {"depth_by": ("measured",), "layout": ONE_POINT}),
        Clause("Depth {depth_by} along {depth_corner}. ", {"depth_by": ("half",), "layout": (STRAIGHT,)}),
        Clause("Depth {depth_by}. ", {"depth_by": ("half",), "layout": ("about",)}),
        Clause("Depth {depth_by} to the next. ", {"depth_by": ("half",), "layout": ("away", "steps")}),
        Clause("{look}."),
    )
    own: tuple[str, ...] = KEPT
    moved_says = "Move the word"

    @classmethod
    def place(cls, setting: Setting, count: int) -> Mapping[str, Value]:
        """Return values for one more word: over a half of the sheet, below or above the point."""
        sheet, goal = setting.sheet, setting.frame.way("away").goal
        low, high = sheet.part(setting.half)
        width = round_to((high - low) / 10, sheet.division_mm)
        is_low = count % 2 == 0
        bottom = goal.y * 0.2 if is_low else goal.y + (sheet.height_mm - goal.y) * 0.3
        return {
            "text": FIRST_TEXT,
            "left": setting.across(0.12),
            "bottom": round_to(bottom, sheet.division_mm),
            "width": width,
            "height": round_to(width * 1.2, sheet.division_mm),
            "gap": round_to(width / 5, sheet.division_mm),
            "depth_by": "half",
            "layout": STRAIGHT,
        }

    @classmethod
    def is_personal(cls, values: Values) -> bool:
        """Tell whether it is another one on each student's sheet."""
        return is_own(values)

    def personal(self, name: str, fit: Fit) -> Personal | None:
        """Return what becomes of it on a student's sheet."""
        return own_name(self.values, self.setting.sheet.division_mm, name, fit)

    @cached_property
    def shaped(self) -> Values:
        """Its values with the outline that a ruler measures."""
        return shaped(self.values, self.setting.sheet.division_mm)

    @property
    def layout(self) -> str:
        """How its letters stand."""
        return self.values.word("layout")

    @cached_property
    def members(self) -> Sequence[Member]:
        """Its letters as things of their own; none where they stand in one row."""
        check_layout(self.values, ONE_POINT)
        if self.layout == STRAIGHT:
            return ()
        return around(self.values, self.setting) if self.layout == "about" else row(self.values, self.setting)

    @cached_property
    def faces(self) -> Mapping[str, Panel]:
        """The front, as far as the letters cover it: all of them together."""
        if not self.members:
            return super().faces
        first, *others = (panel_of(member, "front") for member in self.members)
        return {"front": replace(first, others=tuple(others))}

    @cached_property
    def joints(self) -> Mapping[str, Joint]:
        """Where others can stand, on a word in one row."""
        return super().joints if self.layout == STRAIGHT else {}

    @property
    def shape(self) -> Mapping[str, float]:
        """Width, depth and height of a word in one row."""
        return super().shape if self.layout == STRAIGHT else {}

    def sized(self, wide_mm: float, tall_mm: float) -> dict[str, Value]:
        """Return the measures of the letters with which the word is so wide and tall."""
        across, up = wide_mm / self.size[0], tall_mm / self.size[1]
        wide: dict[str, Value] = {name: self.values.mm(name) * across for name in ACROSS}
        return wide | {name: self.values.mm(name) * up for name in ("height", *UP)}

    @property
    def handles(self) -> Mapping[str, Handle]:
        """Those of a shape without its corners; those of other layouts are at the first letter, or at the point."""
        if self.layout == STRAIGHT:
            usual = {name: handle for name, handle in super().handles.items() if handle.shape != "corner"}
            return {**usual, "size": replace(usual["size"], says="Stretch the word", changes=STRETCHED)}
        goal, first = self.setting.frame.way("away").goal, self.values.first
        if self.layout == "about":
            room = Point(goal.x, goal.y + self.values.mm("spread"))
            return {"spread": Handle("Change the room about the point", room, ("spread",), self._drag_spread)}
        step = between(first, goal, self.values.mm("step") / distance(first, goal))
        place = tuple(p.name for p in FIRST_CORNER)
        return {
            "place": Handle(self.moved_says, first, place, self._drag_place, "place"),
            "step": Handle("Change the first step back", step, ("step",), self._drag_step),
        }

    @cached_property
    def spans(self) -> Mapping[str, tuple[Point, Point]]:
        """Between which points each length is measured."""
        if self.layout == STRAIGHT:
            return super().spans
        goal, first = self.setting.frame.way("away").goal, self.values.first
        if self.layout == "about":
            return {"spread": (goal, self.handles["spread"].at)}
        from_edges = {"left": (Point(0.0, first.y), first), "bottom": (Point(first.x, 0.0), first)}
        return {**from_edges, "step": (first, self.handles["step"].at)}

    def _drag_size(self, at: Point) -> Mapping[str, Value]:
        """Stretch the word so that its upper right reaches the place."""
        values, division, (wide, tall) = self.values, self.setting.sheet.division_mm, self.size
        across, up = (at.x - values.first.x) / wide, (at.y - values.first.y) / tall
        width = max(round_to(values.mm("width") * across, division), 4 * division)
        height = max(round_to(values.mm("height") * up, division), 4 * division)
        factor = width / values.mm("width")
        gap = round_to(values.mm("gap") * factor, division)
        strokes = self._stretched(factor, height / values.mm("height"))
        return {"width": width, "height": height, "gap": gap, **strokes}

    def _stretched(self, across: float, up: float) -> Mapping[str, Value]:
        if self.values.word("thickness") != "measured":
            return {}
        return {
            "stroke": self.values.mm("stroke") * across,
            **{name: self.values.mm(name) * up for name in ("bar", "middle", "middle_up")},
        }

    def _drag_step(self, at: Point) -> Mapping[str, Value]:
        goal, first = self.setting.frame.way("away").goal, self.values.first
        along = max(reached_mm(first, goal, at), self.setting.sheet.division_mm)
        return {"step": min(along, 0.45 * distance(first, goal))}

    def _drag_spread(self, at: Point) -> Mapping[str, Value]:
        return {"spread": max(at.y - self.setting.frame.way("away").goal.y, self.setting.sheet.division_mm)}
