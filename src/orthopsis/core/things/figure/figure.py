"""A figure as a thing: its outline on the face, its sentence and its handles."""

from collections.abc import Mapping
from functools import partial

from propcache.api import cached_property

from orthopsis.core.errors import GeometryError
from orthopsis.core.plane.arc import FacePlace
from orthopsis.core.plane.homogeneous import Point
from orthopsis.core.things.answers import Clause, Handle
from orthopsis.core.things.face_part import WAYS, Way, shares_on_marks, taken
from orthopsis.core.things.figure.drawn import DrawnFigure
from orthopsis.core.things.figure.relief import RELIEFS
from orthopsis.core.things.flat import Loops, reading
from orthopsis.core.things.outline import Outline, scaled, size, with_corner
from orthopsis.core.things.parameters import Value
from orthopsis.core.things.setting import Setting

SIDE_MM = 60.0
"""How large the outline of a new one is written."""
_TWELFTHS: dict[str, tuple[tuple[tuple[int, int], ...], ...]] = {
    "star": (((6, 12), (4, 8), (0, 6), (4, 4), (6, 0), (8, 4), (12, 6), (8, 8)),),
    "flag": (((0, 0), (1, 0), (1, 6), (12, 6), (9, 9), (12, 12), (0, 12)),),
    "sail": (((0, 0), (12, 0), (4, 12)),),
    "arrow": (((0, 4), (7, 4), (7, 1), (12, 6), (7, 11), (7, 8), (0, 8)),),
    "arrow to the left": (((0, 6), (5, 1), (5, 4), (12, 4), (12, 8), (5, 8), (5, 11)),),
    "frame": (((0, 0), (12, 0), (12, 12), (0, 12)), ((2, 2), (2, 10), (10, 10), (10, 2))),
    "sofa": (((0, 0), (12, 0), (12, 5), (4, 5), (3, 12), (0, 12)),),
    "bench": (((0, 0), (2, 0), (2, 7), (10, 7), (10, 0), (12, 0), (12, 10), (0, 10)),),
    "chair": (((0, 0), (2, 0), (2, 4), (10, 4), (10, 0), (12, 0), (12, 6), (2, 6), (2, 12), (0, 12)),),
    "hood": (((0, 0), (12, 0), (12, 3), (8, 12), (4, 12), (0, 3)),),
    "worktop": (((2, 0), (12, 0), (12, 12), (0, 12), (0, 2), (2, 2)),),
    "van": (
        (
            (0, 3),
            (2, 3),
            (2, 0),
            (4, 0),
            (4, 3),
            (8, 3),
            (8, 0),
            (10, 0),
            (10, 3),
            (12, 3),
            (12, 7),
            (7, 7),
            (6, 12),
            (0, 12),
        ),
    ),
    "steps": (((0, 0), (12, 0), (12, 12), (9, 12), (9, 9), (6, 9), (6, 6), (3, 6), (3, 3), (0, 3)),),
}
READY: dict[str, Outline] = {name: scaled(loops, 1 / 12, 1 / 12) for name, loops in _TWELFTHS.items()}
"""Ready outlines in a square of 1 by 1, each drawn once round; a piece anticlockwise, a hole clockwise."""
_ON_PART = tuple(relief for relief in RELIEFS if relief != "carved")
"""The reliefs in which it fills a part of the face that is said."""


class Figure(DrawnFigure):
    """A figure on a face."""

    told = "figure"
    sentence: tuple[Clause, ...] = (
        Clause("A figure with {outline}. "),
        Clause("Free, taken, free: {along} along the face, {up} up. ", {"relief": _ON_PART}),
        Clause("It lies {relief}.", {"relief": ("flat",)}),
        Clause("It stands {relief}, {deep}.", {"relief": ("out",)}),
        Clause("It is {relief}, {deep} deep.", {"relief": ("in",)}),
        Clause("It goes {relief}.", {"relief": ("through",)}),
        Clause("It is {relief}.", {"relief": ("carved",)}),
    )

    @classmethod
    def place(cls, setting: Setting, count: int) -> Mapping[str, Value]:
        """Return values for one more figure: in the middle of its face."""
        return {"along": "1:2:1", "up": "1:2:1"}

    @cached_property
    def outlines(self) -> Loops:
        """The outline on the part of the face that it fills.

        Raises:
            GeometryError: a corner is rounded.
        """
        outline, number = self.values.outline("outline"), 0
        if any(len(corner) > 2 for loop in outline for corner in loop):
            raise GeometryError(
                "no_curves_here",
                f"“{self.values.name}” has a rounded corner; a figure on a face has straight edges.",
                "Leave out its r, or lay a round window there.",
                about="outline",
                nearest="star",
            )
        (wide, tall), loops = size(outline), list[tuple[tuple[int, FacePlace], ...]]()
        turned = reading(self.panel)
        for loop in outline:
            on_face = [self._on_marks(turned.on_face((corner[0] / wide, corner[1] / tall))) for corner in loop]
            loops.append(tuple(enumerate(on_face, start=number + 1)))
            number += len(loop)
        return (("", tuple(loops)),)

    def _on_marks(self, place: FacePlace) -> FacePlace:
        """Return the place of the face for one of the part that is filled, on marks of the ruler where it has room."""
        along, up = (self._marked[way][share] for way, share in zip(WAYS, place, strict=True))
        return (along, up)

    @cached_property
    def _marked(self) -> Mapping[Way, Mapping[float, float]]:
        """For along and up, the place of the face of each share of the part that is filled."""
        outline, turned = self.values.outline("outline"), reading(self.panel)
        wide, tall = size(outline)
        places = [turned.on_face((corner[0] / wide, corner[1] / tall)) for loop in outline for corner in loop]
        result: dict[Way, Mapping[float, float]] = {}
        for number, way in enumerate(WAYS):
            start, end = self._filled(way)
            spread = {place[number]: start + place[number] * (end - start) for place in places}
            marks = self.ruler.marks[number]
            on_mark = shares_on_marks(sorted(spread.values()), 1 / marks) if marks else {}
            result[way] = {share: on_mark.get(at, at) for share, at in spread.items()}
        return result

    def _filled(self, way: Way) -> tuple[float, float]:
        """Return from where to where it fills the face: all of it where it is carved from the body."""
        return (0.0, 1.0) if self.is_carved else taken(self.values, way, self.ruler)

    @property
    def handles(self) -> Mapping[str, Handle]:
        """The part of the face that it fills, and each of its corners."""
        places = self.panel.places([place for _, loops in self.outlines for loop in loops for _, place in loop])
        seen = self.setting.frame.eye.see(places).tolist()
        corners = {
            f"corner_{number}": Handle(
                f"Move corner {number}", Point(x, y), ("outline",), partial(self._drag_corner, number), "corner"
            )
            for number, (x, y) in enumerate(seen, start=1)
        }
        if self.is_carved:
            return corners
        if not self.is_measured:
            return {**self.part_handles, **corners}
        says = "Change how deep it is" if self.relief == "in" else "Change how far it stands out"
        return {**self.part_handles, **corners, "deep": Handle(says, self.deep_end, ("deep",), self._drag_deep)}

    def _drag_deep(self, at: Point) -> Mapping[str, Value]:
        return {"deep": max(self.outward.reached_mm(at), self.setting.sheet.division_mm)}

    @property
    def deep_end(self) -> Point:
        """Where the measure of how far it stands out, or how deep it is, ends on the page."""
        return self.outward.mark(self.values.mm("deep"))

    @cached_property
    def spans(self) -> Mapping[str, tuple[Point, Point]]:
        """How far it stands out, or how deep it is."""
        return {"deep": (self.page[0], self.deep_end)} if self.is_measured else {}

    def _drag_corner(self, number: int, at: Point) -> Mapping[str, Value]:
        """Put a corner where the line of sight through the page meets the face, on a twelfth of the part it fills."""
        place, outline = self.share_at(at), self.values.outline("outline")
        if place is None:
            return {}
        (left, right), (low, high) = (self._filled(way) for way in WAYS)
        x, y = reading(self.panel).read(((place[0] - left) / (right - left), (place[1] - low) / (high - low)))
        wide, tall = size(outline)
        corner = tuple(round(min(max(share, 0.0), 1.0) * 12) / 12 * mm for share, mm in ((x, wide), (y, tall)))
        return {"outline": with_corner(outline, number, corner)}  # type: ignore[arg-type]
