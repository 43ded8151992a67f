"""A box in one-point perspective: front face drawn true, depth cut along a guide line.

It knows boxes whose front is parallel to the picture, anywhere about the point, as deep as measured, about half
way, or a true cube. An open one has no front face: one looks into it.
"""

from collections.abc import Callable, Mapping
from dataclasses import replace

from propcache.api import cached_property

from orthopsis.core.construct.moves import Move
from orthopsis.core.errors import GeometryError
from orthopsis.core.plane.homogeneous import Point, between, distance, toward
from orthopsis.core.sheet.ruler import round_to
from orthopsis.core.things.answers import Clause, Free, Handle
from orthopsis.core.things.box.front_block import CORNER_WORDS, FrontBlock
from orthopsis.core.things.box.front_recipe import recipe
from orthopsis.core.things.depth import dragged, kept
from orthopsis.core.things.lazily import Lazily
from orthopsis.core.things.parameters import FIRST_CORNER, Value
from orthopsis.core.things.setting import Joint, Setting
from orthopsis.core.view.aim import AimRole

_FRESH_PLACES = ((0.08, -1), (0.76, 1), (0.72, -1), (0.12, 0), (0.30, 1), (0.34, -1), (0.80, 0), (0.55, 1))
"""Where new boxes land: share of the sheet's width, and below (-1), across (0) or above (1) the eye level."""


class FrontBox(FrontBlock):
    """A box whose front is drawn true."""

    sentence: tuple[Clause, ...] = (
        Clause("Front face {width} wide and {height} tall", {"depth_by": ("measured", "half")}),
        Clause("Front face {width} square", {"depth_by": ("cube",)}),
        Clause(", {left} from the left edge and {bottom} up. "),
        Clause("Depth {depth_by}: {depth} along {depth_corner}. ", {"depth_by": ("measured",)}),
        Clause("Depth {depth_by} along {depth_corner}. ", {"depth_by": ("half",)}),
        Clause("Depth: {depth_by}, by the distance points. ", {"depth_by": ("cube",)}),
        Clause("{look}."),
    )

    @classmethod
    def place(cls, setting: Setting, count: int) -> Mapping[str, Value]:
        """Return values for one more box, where it is likely to have room; after eight it begins again, aside."""
        sheet, goal = setting.sheet, setting.frame.way("away").goal
        size = setting.fresh_size
        across, side = _FRESH_PLACES[count % len(_FRESH_PLACES)]
        aside = (count // len(_FRESH_PLACES)) * size / 3
        heights = {-1: goal.y * 0.4 - size / 2, 0: goal.y - size * 0.6, 1: (goal.y + sheet.height_mm) / 2 - size / 2}
        return {
            "left": max(0.0, round_to(setting.across(across) + aside, sheet.division_mm)),
            "bottom": max(0.0, round_to(heights[side] + aside / 2, sheet.division_mm)),
            "width": size,
            "height": size,
            "depth_by": "half",
        }

    @cached_property
    def recipe(self) -> tuple[Move, ...]:
        """The hand's moves from the front face to the back edges."""
        return tuple(recipe(self))

    @property
    def handles(self) -> Mapping[str, Handle]:
        """The lower left, the upper right, and the mark of a depth that can be dragged."""
        points, place = self.corners, tuple(p.name for p in FIRST_CORNER)
        result = {
            "place": Handle("Move the box", points["bottom_left"], place, self._drag_place, "place"),
            "size": Handle(
                "Change width and height", points["top_right"], ("width", "height"), self._drag_size, "size"
            ),
        }
        if self.values.word("depth_by") != "cube" and self.guided:
            mark = between(points[self.depth_corner], self.goal, self.depth_share)
            result["depth"] = Handle("Change the depth", mark, ("depth",), self._drag_depth)
        return result

    def _drag_place(self, at: Point) -> Mapping[str, Value]:
        return {"left": at.x, "bottom": at.y}

    def _drag_size(self, at: Point) -> Mapping[str, Value]:
        values, least = self.values, self.setting.sheet.division_mm
        width = max(at.x - values.mm("left"), least)
        if values.word("depth_by") == "cube":
            return {"width": max(width, at.y - values.mm("bottom"), least)}
        return {"width": width, "height": max(at.y - values.mm("bottom"), least)}

    def _drag_depth(self, at: Point) -> Mapping[str, Value]:
        return dragged(self.setting, self.corners[self.depth_corner], self.goal, at)

    @cached_property
    def spans(self) -> Mapping[str, tuple[Point, Point]]:
        """Between which points each length is measured."""
        p = self.corners
        low = p["bottom_left"]
        result = {
            "left": (Point(0.0, low.y), low),
            "bottom": (Point(low.x, 0.0), low),
            "width": (low, p["bottom_right"]),
            "height": (p["bottom_right"], p["top_right"]),
        }
        if self.values.word("depth_by") == "measured":
            start = p[self.depth_corner]
            result["depth"] = (start, toward(start, self.goal, self.values.mm("depth")))
        return result

    @cached_property
    def needs(self) -> frozenset[AimRole]:
        """The aids of the view that are used: the distance points, for a cube."""
        is_cube = self.values.word("depth_by") == "cube"
        return frozenset(("left_distance", "right_distance")) if is_cube else frozenset()

    @cached_property
    def free_lines(self) -> tuple[Free, ...]:
        """The lines whose place is free: the back's, if the depth is by eye."""
        if self.values.word("depth_by") != "half":
            return ()
        return (Free(self.setting.frame.name, self.solid.lines_of("back")),)

    def follow(self, name: str, value: Value) -> Mapping[str, Value]:
        """Return the measured depth that leaves the drawing as it is, when the depth begins to be measured."""
        if name != "depth_by" or value != "measured" or not self.guided:
            return {}
        return kept(self.setting, distance(self.corners[self.depth_corner], self.goal), self.depth_share)

    def true_length(self, role: str) -> float:
        """Return how long the box is in the world ``across``, ``up`` or ``away``, at the scale of its front, mm."""
        if role == "away":
            return self.setting.frame.eye.world_length(self.goal, self.depth_share)
        return self.height if role == "up" else self.values.mm("width")

    @property
    def shape(self) -> Mapping[str, float]:
        """Width, depth and height."""
        return {role: self.true_length(role) for role in ("across", "away", "up")}

    def of_shape(self, shape: Mapping[str, float]) -> Mapping[str, Value]:
        """Return the front, and the depth along the guide line on which it is cut then."""
        front: dict[str, Value] = {"width": shape["across"], "height": shape["up"]}
        front |= {"depth_by": "measured", "depth_corner": "auto"}
        there = type(self)(replace(self.values, held={**self.values.held, **front}), self.setting)
        share = self.setting.frame.eye.page_share(self.goal, shape["away"])
        return {**front, "depth": share * distance(there.corners[there.depth_corner], self.goal)}

    @cached_property
    def _leading(self) -> str:
        """The lower corner at which a side shows; empty if none does."""
        shown = (c for c in ("bottom_right", "bottom_left") if c in self.guided and self._leads_out(c))
        return next(shown, "")

    @cached_property
    def _ways_to_stand(self) -> Mapping[str, Callable[["FrontBox"], Joint]]:
        """Where others can stand: how each place is found."""
        found = {"on_top": FrontBox._on_top, "beside_right": FrontBox._beside}
        found |= {"behind": FrontBox._behind} if "bottom_left" in self.guided else {}
        found["in_line"] = FrontBox._in_line
        return found | ({"alley": FrontBox._alley} if self._leading else {})

    @cached_property
    def _joints_found(self) -> dict[str, Joint]:
        return {}

    @property
    def joints(self) -> Mapping[str, Joint]:
        """Where others can stand: on its top, beside it to the right, and behind it at the same height."""
        return Lazily(self._ways_to_stand, lambda key: self._ways_to_stand[key](self), self._joints_found)

    def _on_top(self) -> Joint:
        return Joint("on top of", self.corners["top_left"], "", self._near)

    def _beside(self) -> Joint:
        corner, name = "bottom_right", self.values.full("front.bottom_right")
        at = f"front {CORNER_WORDS[corner]} corner"
        return Joint("to the right of", self.corners[corner], name, self._near, at=at)

    def _behind(self) -> Joint:
        at = f"back {CORNER_WORDS['bottom_left']} corner"
        name = self.values.full("back.bottom_left")
        return Joint("behind", self.behind("bottom_left"), name, self._near / (1 - self.depth_share), at=at)

    def _in_line(self) -> Joint:
        corner, n = "bottom_left", self.values.full
        over, at = (self.corners["top_left"], n("front.top_left")), f"front {CORNER_WORDS[corner]} corner"
        says = "further back in line with"
        return Joint(says, self.corners[corner], n(f"front.{corner}"), self._near, over, "away", at)

    def _alley(self) -> Joint:
        """Return where another can stand beyond an alley: on the ground line of the side that shows."""
        corner = self._leading
        n, at, depth = self.values.full, f"back {CORNER_WORDS[corner]} corner", self._near / (1 - self.depth_share)
        top = corner.replace("bottom", "top")
        over = (self.behind(top), n(f"back.{top}"))
        says = "beyond an alley behind"
        return Joint(
            says, self.behind(corner), n(f"back.{corner}"), depth, over, "away", at, is_alley=True, holds=corner
        )

    @property
    def _near(self) -> float:
        """How far the front is from the eye, mm."""
        return self.setting.frame.eye.distance_mm

    def _leads_out(self, corner: str) -> bool:
        """Tell whether the side at a lower corner shows: the point lies beyond it."""
        at = self.corners[corner]
        return self.goal.x > at.x if corner == "bottom_right" else self.goal.x < at.x

    def at_joint(self, joint: Joint) -> Mapping[str, Value]:
        """Return the place of the first corner at a joint, and the height where it is in line with another."""
        if joint.is_alley:
            aside = self.values.mm("width") if joint.holds == "bottom_right" else 0.0
            return {"left": joint.corner.x - aside, "bottom": joint.corner.y}
        if joint.top is None:
            return super().at_joint(joint)
        if self.values.word("depth_by") == "cube":
            raise GeometryError(
                "cannot_join",
                f"“{self.values.name}” is a cube: its height follows from its width, not from another thing.",
                "Measure its depth, or cut it half way.",
                about="depth_by",
                nearest="half",
            )
        height = distance(joint.corner, joint.top[0])
        return {"left": joint.corner.x, "bottom": joint.corner.y, "height": height}
