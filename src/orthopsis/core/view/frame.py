"""Which directions does a drawing have, and where does each of them vanish?

A frame is a set of three directions with their vanishing points, as things use them:

- one-point: ``across`` (level), ``up`` (upright), ``away`` (to the central vanishing point);
- two- and three-point: ``left`` and ``right`` (to the points on the eye level), ``up`` (upright, or to the third).

A *metric* frame is seen by an eye of known place, so that lengths, cubes and slopes have meaning. A *free* one
is not: its eye was never stated, or no eye explains its three points. It is drawn all the same, through a nominal
eye: what is fixed by vanishing points and page measures alone looks the same from any.
"""

import math
from dataclasses import dataclass
from typing import Literal

from orthopsis.core.errors import GeometryError
from orthopsis.core.plane.homogeneous import HORIZONTAL, VERTICAL, Point, distance, toward
from orthopsis.core.plane.triangle import is_acute, is_flat, orthocentre
from orthopsis.core.view.eye import Eye

ViewKind = Literal["one_point", "two_point", "three_point"]

NOMINAL_DISTANCE_MM = 400.0
"""Eye distance that a free one-point frame is drawn with."""
LEAST_APART_MM = 20.0
"""Vanishing points nearer to each other than this leave no room for a thing between them (no source)."""


@dataclass(frozen=True, slots=True)
class Way:
    """A direction: the family its lines belong to, and the point, finite or ideal, to which they run.

    ``family`` is ``level``, ``upright`` or the name of the vanishing point.
    """

    family: str
    goal: Point


@dataclass(frozen=True, slots=True)
class Frame:
    """Three directions, the eye of the view route, and whether that eye is stated.

    Attributes:
        name: how the exercise calls the view.
        ways: direction by its role (see the head of the module).
        eye: in a free frame one of the many that give the same picture.
    """

    name: str
    kind: ViewKind
    ways: tuple[tuple[str, Way], ...]
    eye: Eye
    is_metric: bool

    def way(self, role: str) -> Way:
        """Return the direction with this role."""
        return next(way for name, way in self.ways if name == role)

    @property
    def vanishing(self) -> dict[str, Point]:
        """The finite vanishing points, by name."""
        return {way.family: way.goal for _, way in self.ways if not way.goal.is_ideal}

    @property
    def has_third_above(self) -> bool:
        """Whether uprights run to a point above: the worm's-eye view."""
        goal = self.way("up").goal
        return not goal.is_ideal and goal.y > self.level_mm

    @property
    def level_mm(self) -> float:
        """Height of the eye level on the page."""
        return self.way("away" if self.kind == "one_point" else "left").goal.y

    @property
    def distance_mm(self) -> float:
        """The eye's distance from the page.

        Raises:
            GeometryError: nobody has said where the eye is.
        """
        if not self.is_metric:
            raise GeometryError(
                "no_distance",
                "A true length needs the place of the eye, and none is given.",
                "Give the viewing distance, or measure on the page instead.",
            )
        return self.eye.distance_mm


def one_point_frame(name: str, centre: Point, distance_mm: float | None) -> Frame:
    """Return the frame of a one-point drawing.

    Args:
        centre: the central vanishing point, which is also the point straight before the eye.
        distance_mm: the eye's distance from the page, or None for a free frame.
    """
    eye = Eye(centre, distance_mm if distance_mm is not None else NOMINAL_DISTANCE_MM)
    ways = (("across", Way("level", HORIZONTAL)), ("up", Way("upright", VERTICAL)), ("away", Way(name, centre)))
    return Frame(name, "one_point", ways, eye, distance_mm is not None)


def two_point_frame(name: str, left: Point, right: Point, centre_x: float | None) -> Frame:
    """Return the frame of a two-point drawing.

    Args:
        left, right: the vanishing points, on one level.
        centre_x: where on the eye level the eye looks straight at the page; None if that was never stated.

    Raises:
        GeometryError: the points are too close together or change sides, or the eye looks past one of them.

    Source: two level directions at right angles, (xP - x1)(x2 - xP) = d² (textbooks; from memory).
    """
    _check_apart(left, right)
    middle = (left.x + right.x) / 2 if centre_x is None else centre_x
    if not left.x < middle < right.x:
        raise GeometryError(
            "eye_beside_points",
            "The eye looks straight at a place that is not between the two points.",
            "Put it between them; the middle always works.",
            about="centre_mm",
        )
    eye = Eye(Point(middle, left.y), math.sqrt((middle - left.x) * (right.x - middle)))
    return Frame(name, "two_point", _corner_ways(name, left, right, VERTICAL), eye, centre_x is not None)


def three_point_frame(name: str, left: Point, right: Point, third: Point) -> Frame:
    """Return the frame of a three-point drawing; an obtuse triangle of points gives a free frame.

    Raises:
        GeometryError: points too close together or on one line.

    Source: the point straight before the eye is the orthocentre, d² = -(V1 - P)·(V2 - P) (textbooks; from memory).
    """
    _check_apart(left, right)
    if is_flat(left, right, third) or abs(third.y - left.y) < LEAST_APART_MM:
        raise GeometryError(
            "points_on_a_line",
            "The third point lies on the eye level, or nearly.",
            "Move it up or down, away from the eye level.",
            about="third_y_mm",
        )
    ways = _corner_ways(name, left, right, third)
    if not is_acute(left, right, third):
        middle = Point((left.x + right.x + third.x) / 3, (2 * left.y + third.y) / 3)
        return Frame(name, "three_point", ways, Eye(middle, distance(left, right) / 2), False)
    before = orthocentre(left, right, third)
    square = -((left.x - before.x) * (right.x - before.x) + (left.y - before.y) * (right.y - before.y))
    return Frame(name, "three_point", ways, Eye(before, math.sqrt(square)), True)


def distance_points(frame: Frame) -> tuple[Point, Point]:
    """Return the left and the right distance point of a one-point frame, to which diagonals of level squares run.

    Raises:
        GeometryError: the frame has no stated distance.

    Source: level 45 degree lines vanish at the viewing distance from the centre (Viator, 1505; from memory).
    """
    x, y = frame.way("away").goal.xy
    d = frame.distance_mm
    return Point(x - d, y), Point(x + d, y)


def distance_names(frame: Frame) -> tuple[str, str]:
    """Return the names of a frame's distance points, left and right."""
    return f"{frame.name} left distance", f"{frame.name} right distance"


def measuring_point(frame: Frame, role: Literal["left", "right"]) -> Point:
    """Return the point of the eye level that carries true lengths over to lines running left or right.

    It lies as far from the vanishing point as the eye does: |VP - E| = sqrt(|VP - P|² + d²), on the other side
    of the eye level's middle.

    Raises:
        GeometryError: the frame has no stated eye.

    Source: textbook construction (from memory).
    """
    other = frame.way("right" if role == "left" else "left").goal
    goal = frame.way(role).goal
    reach = math.hypot(distance(goal, frame.eye.principal), frame.distance_mm)
    return toward(goal, other, reach)


def measuring_name(frame: Frame, role: str) -> str:
    """Return the name of the measuring point of the lines that run left or right."""
    return f"{frame.name} {role} measuring"


def _corner_ways(name: str, left: Point, right: Point, up: Point) -> tuple[tuple[str, Way], ...]:
    family = "upright" if up.is_ideal else f"third {name}"
    return (("left", Way(f"left {name}", left)), ("right", Way(f"right {name}", right)), ("up", Way(family, up)))


def _check_apart(left: Point, right: Point) -> None:
    if right.x - left.x >= LEAST_APART_MM:
        return
    why = (
        "The left point lies to the right of the right one."
        if right.x < left.x
        else "The two points are on top of each other."
    )
    raise GeometryError("points_together", why, "Move them apart, the left one to the left.", about="left_mm")
