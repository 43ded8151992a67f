"""Which directions does a drawing have, and where does each of them vanish?

A frame is a right-handed set of three directions with their vanishing points. In one-point work two of
them are at infinity: level lines stay level and uprights stay upright.

It knows one-point frames. Two- and three-point frames use the same three places.
"""

from dataclasses import dataclass

from orthopsis.core.errors import GeometryError
from orthopsis.core.plane.homogeneous import HORIZONTAL, VERTICAL, Point
from orthopsis.core.view.eye import Eye

NOMINAL_DISTANCE_MM = 400.0
"""Eye distance that a free frame is viewed with: its picture is the same from any distance."""


@dataclass(frozen=True, slots=True)
class Frame:
    """Three directions and their vanishing points.

    Attributes:
        name: how the exercise calls it, and the key of its vanishing point.
        across, up, away: the three vanishing points.
        eye: the eye of the view route; in a free frame one of the many that give the same picture.
        is_metric: whether the eye's distance was stated, so that cubes and world lengths have meaning.
    """

    name: str
    across: Point
    up: Point
    away: Point
    eye: Eye
    is_metric: bool

    @property
    def distance_mm(self) -> float:
        """The eye's distance from the page.

        Raises:
            GeometryError: nobody has said how far away the eye is.
        """
        if not self.is_metric:
            raise GeometryError(
                "no_distance",
                "A true cube needs the viewing distance, and none is given.",
                "Give the viewing distance, or measure the depth instead.",
            )
        return self.eye.distance_mm


def one_point_frame(name: str, centre: Point, distance_mm: float | None) -> Frame:
    """Return the frame of a one-point drawing.

    Args:
        centre: the central vanishing point, which is also the point straight before the eye.
        distance_mm: the eye's distance from the page, or None for a free frame.
    """
    eye = Eye(centre, distance_mm if distance_mm is not None else NOMINAL_DISTANCE_MM)
    return Frame(name, HORIZONTAL, VERTICAL, centre, eye, distance_mm is not None)


def distance_points(frame: Frame) -> tuple[Point, Point]:
    """Return the left and the right distance point, to which diagonals of level squares run.

    Raises:
        GeometryError: the frame has no stated distance.

    Source: level 45 degree lines vanish at the viewing distance from the centre (Viator, 1505; from memory).
    """
    x, y = frame.away.xy
    d = frame.distance_mm
    return Point(x - d, y), Point(x + d, y)


def distance_names(frame: Frame) -> tuple[str, str]:
    """Return the names of a frame's distance points, left and right."""
    return f"{frame.name} left distance", f"{frame.name} right distance"
