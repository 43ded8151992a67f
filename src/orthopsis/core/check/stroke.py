"""A line that a student drew, and the lines that were asked for."""

import math
from collections.abc import Collection, Iterable, Sequence
from dataclasses import dataclass, replace

from orthopsis.core.construct.moves import EYE_LEVEL
from orthopsis.core.drawing.answer import DrawnLine, Picture
from orthopsis.core.plane.homogeneous import Point, distance
from orthopsis.core.scene.placed import Placed
from orthopsis.core.wording.names import ANY, Feature

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
        feature: what it is.
        along: full name of the light line along which it is drawn; empty if there is none.
        seen_share: how much of it shows; the rest is hidden between its ends.
    """

    name: str
    thing: str
    family: str
    start: Point
    end: Point
    is_asked: bool
    free_about: str = ""
    free_group: int = 0
    feature: Feature = ANY
    along: str = ""
    seen_share: float = 1.0

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
        return all(self._is_near(p, near_mm) for p in (stroke.start, stroke.middle, stroke.end))

    def _is_near(self, point: Point, near_mm: float) -> bool:
        x, y = point.x, point.y
        return any(math.hypot(x - place.x, y - place.y) <= near_mm for place in self.places)


def expected_curves(drawing: Picture) -> list[ExpectedCurve]:
    """Return the curves of a finished sheet."""
    return [
        ExpectedCurve(f"{line.thing}.{line.name}", tuple(Point(*at) for at in (line.start, *line.bend, line.end)))
        for line in drawing.lines
        if line.bend and line.visible and line.role in FINISHED
    ]


class _Asked:
    """What the things of an exercise say of their lines: what each is, and whether its place is free."""

    def __init__(self, things: Iterable[Placed]) -> None:
        standing = {placed.values.name: placed.standing for placed in things}
        self._free = {name: one.free_lines for name, one in standing.items()}
        self._edges = {(name, e.name): e.feature for name, one in standing.items() for e in one.solid.edges}
        self._guides = {(name, f.guide): f for (name, _), f in self._edges.items() if f.guide}

    def guide(self, line: DrawnLine) -> Expected:
        """Return a light line that may still be seen."""
        ends, name = (Point(*line.start), Point(*line.end)), f"{line.thing}.{line.name}"
        feature = self._guides.get((line.thing, line.name), ANY)
        return Expected(name, line.thing, line.family, *ends, False, feature=feature)

    def edge(self, pieces: Sequence[DrawnLine], *, is_asked: bool) -> Expected:
        """Return an edge, or a line on a face, all along its pieces, which follow each other."""
        line, ends = pieces[0], (Point(*pieces[0].start), Point(*pieces[-1].end))
        seen = sum(math.dist(piece.start, piece.end) for piece in pieces) / max(distance(*ends), 1e-9)
        thing, feature = line.thing, self._edges.get((line.thing, line.name), ANY)
        free = enumerate(self._free.get(thing, ()))
        group, about = next(((i, f.about) for i, f in free if line.name in f.lines), (0, ""))
        along = f"{thing}.{feature.guide}" if feature.guide else ""
        return Expected(f"{thing}.{line.name}", thing, line.family, *ends, is_asked, about, group, feature, along, seen)


def expected_lines(
    drawing: Picture, things: Iterable[Placed], adornments: Collection[str] = ()
) -> list[Expected]:  # fmt: skip
    """Return what a finished sheet should show: every edge that is seen, guide lines, and the eye level.

    Args:
        things: those of the exercise, which know what their lines are and which of them are placed freely.
        adornments: things whose lines nobody has to draw, such as patterns.
    """
    asked, straight = _Asked(things), [line for line in drawing.lines if not line.bend]
    pieces: dict[tuple[str, str], list[DrawnLine]] = {}
    for line in straight:
        if line.role in FINISHED and line.thing and line.visible:
            pieces.setdefault((line.thing, line.name), []).append(line)
    result = [asked.guide(line) for line in straight if line.role == "guide"]
    for (thing, _), mine in pieces.items():
        if math.dist(mine[0].start, mine[-1].end) >= SHORTEST_MM:
            result.append(asked.edge(mine, is_asked=thing not in adornments))
    width, height = drawing.sheet.width_mm, drawing.eye_level_mm
    level = [line for line in straight if line.name == EYE_LEVEL and line.role in FINISHED and not line.thing]
    seen = sum(math.dist(line.start, line.end) for line in level) / width
    ends = Point(0.0, height), Point(width, height)
    result.append(Expected(EYE_LEVEL, "", "level", *ends, True, seen_share=seen))
    return result
