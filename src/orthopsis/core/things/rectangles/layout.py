"""Where on a face do rectangles lie? A part of it is taken and divided equally; each part holds one in its middle.

Or the outer ones lie at the ends of what is taken, as the legs of a table do, and the rest equally far apart.

Which part is taken is said by a ratio (free, taken, free: ``1:6:1``), or by two measures where a ruler lies on the face
(free, taken: ``20 mm : 60 mm``). Places are shares ``(along, up)`` of the face.
"""

import math
import re
from dataclasses import dataclass
from typing import Literal

from orthopsis.core.errors import GeometryError, UnreadableLength
from orthopsis.core.plane.arc import FacePlace
from orthopsis.core.sheet.length import MM_PER, Units, format_mark, parse_length
from orthopsis.core.sheet.ruler import round_to
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
_RATIO = re.compile(r"^(\d{1,3}(?:[.,]\d{1,3})?) ?[:/] ?(\d{1,3}(?:[.,]\d{1,3})?) ?[:/] ?(\d{1,3}(?:[.,]\d{1,3})?)$")
STEPS = 24
"""Into so many parts a face is thought divided while the taken part is dragged."""

NEARLY = 1e-6
"""A face this little shorter than a whole number of marks has that many."""

Way = Literal["along", "up"]
WAYS: tuple[Way, Way] = ("along", "up")
"""The two directions of a face."""

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


@dataclass(frozen=True, slots=True)
class FaceRuler:
    """How a ruler measures a face.

    Attributes:
        marks: how many marks of it the face is long, along and up, where places on it are ticked on an edge that the
            ruler measures; 0 where none does.
        long_mm: how long the face is along and up where that is measured on itself, mm; 0 where it is not.
        units, division_mm: how the class writes lengths, and the marks of its ruler.
    """

    marks: tuple[float, float]
    long_mm: tuple[float, float]
    units: Units
    division_mm: float

    def length(self, name: Way) -> float:
        """Return how long the face is along or up, mm; 0 where no ruler lies on it that way."""
        return self.long_mm[WAYS.index(name)]


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


def taken(values: Values, name: Way, ruler: FaceRuler) -> tuple[float, float]:
    """Return from where to where the face is taken, along or up, as shares of it.

    Raises:
        GeometryError: it is neither a ratio of three numbers nor two measures, nothing is taken, or the measures have
            no room on the face, or no ruler measures it that way.
    """
    text = " ".join(values.word(name).split())
    found = _RATIO.match(text)
    if found is None and is_measured(text):
        return _measured(text, name, ruler)
    before, mine, after = (float(number.replace(",", ".")) for number in found.groups()) if found else (0.0, 0.0, 0.0)
    whole = before + mine + after
    if mine <= 0:
        raise GeometryError(
            "not_taken",
            f"“{text[:40]}” does not say which part of the face is taken.",
            "Type three numbers: free, taken, free, such as 1:6:1; or two measures: free and taken, such as "
            f"{measures_of(2 * MM_PER['cm'], 6 * MM_PER['cm'], ruler)}.",
            about=name,
            nearest="1:6:1",
        )
    return before / whole, (before + mine) / whole


def is_measured(text: str) -> bool:
    """Tell whether a text says measures and no ratio: it has a unit."""
    return text.count(":") == 1 and any(character.isalpha() or character in '"″”' for character in text)


def _measured(text: str, name: Way, ruler: FaceRuler) -> tuple[float, float]:
    """Return which part of the face two measures take: how much is free before it, and how long it is."""
    long_mm = ruler.length(name)
    try:
        free, mine = (parse_length(part, ruler.units) for part in text.split(":"))
    except UnreadableLength as error:
        raise GeometryError(error.code, error.why, error.fix, about=name, nearest="1:6:1") from None
    if not long_mm:
        raise GeometryError(
            "not_measured",
            f"No ruler measures this face {'along' if name == 'along' else 'upward'}: it goes away from the eye.",
            "Type three numbers: free, taken, free, such as 1:6:1.",
            about=name,
            nearest="1:6:1",
        )
    if free < 0 or mine < ruler.division_mm / 2 or free + mine > long_mm + ruler.division_mm / 2:
        most = max(math.floor(long_mm / ruler.division_mm + NEARLY) * ruler.division_mm, ruler.division_mm)
        free = min(max(free, 0.0), most - ruler.division_mm)
        nearest = measures_of(free, min(max(mine, ruler.division_mm), most - free), ruler)
        raise GeometryError(
            "no_room_on_face",
            f"The face is {format_mark(long_mm, ruler.units, ruler.division_mm)} "
            f"{'long' if name == 'along' else 'tall'} there; this has no room on it.",
            f"The nearest that works is {nearest}.",
            about=name,
            nearest=nearest,
        )
    return free / long_mm, min((free + mine) / long_mm, 1.0)


def measures_of(free_mm: float, taken_mm: float, ruler: FaceRuler) -> str:
    """Return how a part of a face is typed by measures, on marks of the ruler."""
    written = (
        format_mark(round_to(mm, ruler.division_mm), ruler.units, ruler.division_mm) for mm in (free_mm, taken_mm)
    )
    return " : ".join(written)


def ratio_of(start: float, end: float) -> str:
    """Return the ratio in small whole numbers that says from where to where a face is taken."""
    low = min(max(round(start * STEPS), 0), STEPS - 1)
    high = min(max(round(end * STEPS), low + 1), STEPS)
    numbers = (low, high - low, STEPS - high)
    common = math.gcd(*numbers)
    return ":".join(str(number // common) for number in numbers)


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
