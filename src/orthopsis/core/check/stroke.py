"""A line that a student drew, and the lines that were asked for."""

import math
from collections.abc import Collection, Mapping
from dataclasses import dataclass, replace

from orthopsis.core.drawing.answer import Picture
from orthopsis.core.plane.homogeneous import Point, distance
from orthopsis.core.things.standing import Free

FINISHED = ("edge", "detail")
"""The roles of lines that a finished sheet shows."""
SHORTEST_MM = 6.0
"""Shorter expected pieces are not asked for, shorter strokes are not judged (common practice, no source)."""


@dataclass(frozen=True, slots=True)
class Stroke:
    """A straight line on the student's sheet, page mm; ``darkness`` 0 (light) to 1."""

    start: Point
    end: Point
    darkness: float = 1.0

    @property
    def length_mm(self) -> float:
        """Length in mm."""
        return distance(self.start, self.end)

    @property
    def middle(self) -> Point:
        """The point half way."""
        return Point((self.start.x + self.end.x) / 2, (self.start.y + self.end.y) / 2)


@dataclass(frozen=True, slots=True)
class Expected:
    """A line that the exercise asks for.

    Attributes:
        name: full name, ``Crate.front.top``; the eye level has no thing.
        family: level, upright or a vanishing point.
        start, end: where the exercise has it; for receding lines ``start`` is the nearer end.
        is_asked: whether a missing one is a fault (guide lines may have been erased).
        free_about: the vanishing point toward which it may be carried, because its place follows from a free
            length; empty for a line whose place is given.
        free_group: which lines of its thing are carried together, by number.
    """

    name: str
    thing: str
    family: str
    start: Point
    end: Point
    is_asked: bool
    free_about: str = ""
    free_group: int = 0

    @property
    def is_free(self) -> bool:
        """Whether its place follows from a free length."""
        return self.free_about != ""

    @property
    def length_mm(self) -> float:
        """Length in mm."""
        return distance(self.start, self.end)

    def scaled(self, centre: Point, factor: float) -> "Expected":
        """Return the line enlarged about a point: a back face carried along the guide lines."""
        start, end = (_scaled(p, centre, factor) for p in (self.start, self.end))
        return replace(self, start=start, end=end)


def _scaled(point: Point, centre: Point, factor: float) -> Point:
    return Point(centre.x + factor * (point.x - centre.x), centre.y + factor * (point.y - centre.y))


def angle_between_deg(first: tuple[Point, Point], second: tuple[Point, Point]) -> float:
    """Return the angle between two undirected segments, 0 to 90 degrees."""
    (a, b), (c, d) = first, second
    p, q = (b.x - a.x, b.y - a.y), (d.x - c.x, d.y - c.y)
    return math.degrees(math.atan2(abs(p[0] * q[1] - p[1] * q[0]), abs(p[0] * q[0] + p[1] * q[1])))


@dataclass(frozen=True, slots=True)
class ExpectedCurve:
    """A curve that a finished sheet should show, by its places in order."""

    name: str
    places: tuple[Point, ...]

    def carries(self, stroke: Stroke, near_mm: float) -> bool:
        """Tell whether a stroke is a piece of it: its ends and its middle lie near."""
        return all(self._gap(p) <= near_mm for p in (stroke.start, stroke.middle, stroke.end))

    def _gap(self, point: Point) -> float:
        return min(distance(point, place) for place in self.places)


def expected_curves(drawing: Picture) -> list[ExpectedCurve]:
    """Return the curves of a finished sheet."""
    return [
        ExpectedCurve(f"{line.thing}.{line.name}", tuple(Point(*at) for at in (line.start, *line.bend, line.end)))
        for line in drawing.lines
        if line.bend and line.visible and line.role in FINISHED
    ]


def expected_lines(
    drawing: Picture, free: Mapping[str, tuple[Free, ...]], adornments: Collection[str] = ()
) -> list[Expected]:
    """Return what a finished sheet should show: every edge that is seen, guide lines, and the eye level.

    Args:
        free: for a thing, its freely placed lines.
        adornments: things whose lines nobody has to draw, such as patterns.
    """
    result = []
    spans: dict[tuple[str, str], list[Point]] = {}
    families: dict[tuple[str, str], str] = {}
    for line in drawing.lines:
        if line.bend:
            continue  # a curve is not judged as a line
        if line.role in FINISHED and line.thing and line.visible:
            spans.setdefault((line.thing, line.name), []).extend((Point(*line.start), Point(*line.end)))
            families[line.thing, line.name] = line.family
        elif line.role == "guide":
            ends = (Point(*line.start), Point(*line.end))
            result.append(Expected(f"{line.thing}.{line.name}", line.thing, line.family, *ends, False))
    for (thing, name), points in spans.items():
        group, about = next(
            ((i, f.about) for i, f in enumerate(free.get(thing, ())) if name.startswith(f.begins)), (0, "")
        )
        start, end = points[0], points[-1]
        if distance(start, end) >= SHORTEST_MM:
            is_asked = thing not in adornments
            result.append(Expected(f"{thing}.{name}", thing, families[thing, name], start, end, is_asked, about, group))
    width, height = drawing.sheet.width_mm, drawing.eye_level_mm
    result.append(Expected("eye level", "", "level", Point(0.0, height), Point(width, height), True))
    return result
