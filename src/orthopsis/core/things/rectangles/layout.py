"""Where on a face do rectangles lie? A part of it is taken and divided equally; each part holds one in its middle.

Or the outer ones lie at the ends of what is taken, as the legs of a table do, and the rest equally far apart.

Places are shares ``(along, up)`` of the face.
"""

import math
from dataclasses import dataclass

from orthopsis.core.errors import GeometryError
from orthopsis.core.plane.arc import FacePlace
from orthopsis.core.things.face_part import NEARLY, FaceRuler, taken
from orthopsis.core.things.values import Values

MOST_IN_A_ROW = 24
MOST_RECTANGLES = 240
SHARES = {
    "whole": "the whole",
    "three_quarters": "three quarters",
    "two_thirds": "two thirds",
    "half": "half",
    "third": "a third",
    "quarter": "a quarter",
    "fifth": "a fifth",
}
_SIZES = {
    "whole": 1.0, "three_quarters": 3 / 4, "two_thirds": 2 / 3, "half": 1 / 2, "third": 1 / 3, "quarter": 1 / 4,
    "fifth": 1 / 5,
}  # fmt: skip
SPREADS = {"parts": "in the middle of its part", "ends": "the outer ones at the ends"}
Corners = tuple[FacePlace, FacePlace, FacePlace, FacePlace]
"""Of a rectangle: low at the first edge, low far from it, high far, high at it."""


def within(corners: Corners, place: FacePlace) -> FacePlace:
    """Return a place of the face from shares of a rectangle on it."""
    (left, low), (right, high) = corners[0], corners[2]
    return (left + place[0] * (right - left), low + place[1] * (high - low))


@dataclass(frozen=True, slots=True)
class Layout:
    """Where the rectangles begin and end: along from the first edge, up from the foot, as shares of the face."""

    along: tuple[tuple[float, float], ...]
    up: tuple[tuple[float, float], ...]

    @property
    def rectangles(self) -> tuple[Corners, ...]:
        """The corners of each, row by row from the foot."""
        return tuple(
            ((left, low), (right, low), (right, high), (left, high))
            for low, high in self.up
            for left, right in self.along
        )


def layout_of(values: Values, ruler: FaceRuler) -> Layout:
    """Return where the rectangles lie: equally large and equally far apart, on marks of the ruler where it has room.

    Raises:
        GeometryError: a ratio or a measure that cannot be read or has no room, or too many rectangles.
    """
    columns, rows = int(values.word("columns")), int(values.word("rows"))
    if columns * rows > MOST_RECTANGLES:
        raise GeometryError(
            "too_many_rectangles",
            f"{columns * rows} rectangles are too many to draw.",
            f"Take at most {MOST_RECTANGLES}.",
            about="rows",
            nearest=str(MOST_RECTANGLES // columns),
        )
    is_at_ends, marks = values.word("spread") == "ends", ruler.marks
    along = _parts(taken(values, "along", ruler), columns, _SIZES[values.word("wide")], marks[0], is_at_ends)
    return Layout(along, _parts(taken(values, "up", ruler), rows, _SIZES[values.word("tall")], marks[1], is_at_ends))


def _parts(
    part: tuple[float, float], count: int, size: float, marks: float, is_at_ends: bool
) -> tuple[tuple[float, float], ...]:
    """Return from where to where each part reaches, in shares."""
    each = (part[1] - part[0]) / count
    start, wide = part[0] + each * (1 - size) / 2, each * size
    if is_at_ends and count > 1:
        start, each = part[0], (part[1] - part[0] - wide) / (count - 1)
    return _on_marks(start, each, wide, count, marks) or tuple(
        (start + each * i, start + each * i + wide) for i in range(count)
    )


def _on_marks(start: float, each: float, wide: float, count: int, marks: float) -> tuple[tuple[float, float], ...]:
    """Return the same parts on marks of a ruler; nothing where its marks are too coarse for them."""
    if marks <= 0:
        return ()
    first, own, room = round(start * marks), round(wide * marks), math.floor(marks + NEARLY)
    step = round(each * marks) if count > 1 else 0
    is_apart = wide < each
    if own < 1 or (count > 1 and step < own + is_apart):
        return ()
    while first > 0 and first + step * (count - 1) + own > room:
        first -= 1
    if first + step * (count - 1) + own > room:
        return ()
    return tuple(((first + step * i) / marks, (first + step * i + own) / marks) for i in range(count))
