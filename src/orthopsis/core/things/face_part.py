"""Which part of a face does a thing take that lies on it, and how is that said, measured and dragged?

It is said by a ratio (free, taken, free: ``1:6:1``), or by two measures where a ruler lies on the face (free, taken:
``20 mm : 60 mm``). Places are shares ``(along, up)`` of the face.
"""

import math
import re
from collections.abc import Mapping, Sequence
from dataclasses import dataclass
from functools import partial
from typing import Literal

import numpy as np
from propcache.api import cached_property

from orthopsis.core.errors import GeometryError, UnreadableLength
from orthopsis.core.plane.arc import FacePlace
from orthopsis.core.plane.homogeneous import Point
from orthopsis.core.plane.tolerance import SAME_SHARE
from orthopsis.core.sheet.length import MM_PER, Units, format_mark, parse_length
from orthopsis.core.sheet.ruler import round_to
from orthopsis.core.things.answers import Handle
from orthopsis.core.things.parameters import Value
from orthopsis.core.things.standing import Standing
from orthopsis.core.things.values import Values

_RATIO = re.compile(r"^(\d{1,3}(?:[.,]\d{1,3})?) ?[:/] ?(\d{1,3}(?:[.,]\d{1,3})?) ?[:/] ?(\d{1,3}(?:[.,]\d{1,3})?)$")
STEPS = 24
"""Into so many parts a face is thought divided while the taken part is dragged."""

NEARLY = 1e-6
"""A face this little shorter than a whole number of marks has that many."""

Way = Literal["along", "up"]
WAYS: tuple[Way, Way] = ("along", "up")
"""The two directions of a face."""


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


def shares_on_marks(shares: Sequence[float], mark: float) -> dict[float, float]:
    """Return the share of a mark for each, or each as it is if that would make two different ones the same.

    Args:
        shares: in order; ``mark``: the share of one mark of the ruler.
    """
    as_is = {share: share for share in shares}
    if 1 / mark < 1:
        return as_is
    on_mark: dict[float, float] = {}
    before = -1.0
    for share in shares:
        same = share - before <= SAME_SHARE  # the same place, reckoned in another way
        on_mark[share] = on_mark[before] if same else share if share in (0, 1) else round_to(share, mark)
        if not same and on_mark[share] - on_mark.get(before, -1.0) < mark / 2:
            return as_is
        before = share
    return on_mark


class OnFacePart(Standing):
    """What fills a part of the face on which it lies; its parameters ``along`` and ``up`` say which."""

    @cached_property
    def ruler(self) -> FaceRuler:
        """How a ruler measures the face: on its first edge, or all of it where it is drawn true.

        Places along a face that goes away are found by ticks on its first edge too.
        """
        panel, sheet = self.panel, self.setting.sheet
        up = panel.first_mm if panel.up.goal.is_ideal else 0.0
        along = panel.bottom_mm if panel.is_true and up else 0.0
        marks = ((along or up) / sheet.division_mm, up / sheet.division_mm)
        return FaceRuler(marks, (along, up), sheet.units, sheet.division_mm)

    @property
    def part_handles(self) -> Mapping[str, Handle]:
        """The two corners of the part of the face that is taken."""
        (left, right), (low, high) = (taken(self.values, name, self.ruler) for name in WAYS)
        corners = self.panel.places([(left, low), (right, high)])
        begin, end = (Point(x, y) for x, y in self.setting.frame.eye.see(corners).tolist())
        return {
            "begin": Handle("Move where they begin", begin, WAYS, partial(self._drag, is_end=False), "corner"),
            "end": Handle("Move where they end", end, WAYS, partial(self._drag, is_end=True), "size"),
        }

    def _drag(self, at: Point, *, is_end: bool) -> Mapping[str, Value]:
        place = self.share_at(at)
        if place is None:
            return {}
        changed: dict[str, Value] = {}
        for name, share in zip(WAYS, place, strict=True):
            start, end = taken(self.values, name, self.ruler)
            changed[name] = (
                self._said(name, start, max(share, start)) if is_end else self._said(name, min(share, end), end)
            )
        return changed

    def _said(self, name: Way, start: float, end: float) -> str:
        """Return how a part of the face is typed: by measures where it was measured before, else as a ratio."""
        long_mm, division = self.ruler.length(name), self.setting.sheet.division_mm
        if not (long_mm and is_measured(self.values.word(name))):
            return ratio_of(start, end)
        marks = math.floor(long_mm / division + NEARLY)
        first = min(max(round(start * long_mm / division), 0), marks - 1)
        last = min(max(round(end * long_mm / division), first + 1), marks)
        return measures_of(first * division, (last - first) * division, self.ruler)

    def share_at(self, at: Point) -> FacePlace | None:
        """Return where on the face a place of the page lies; none if the line of sight runs along the face."""
        sight = self.setting.frame.eye.ray(at)
        try:
            along, up, _ = np.linalg.solve(np.column_stack((*self.panel.axes, -sight)), -np.array(self.panel.start))
        except np.linalg.LinAlgError:
            return None
        return (float(along), float(up))
