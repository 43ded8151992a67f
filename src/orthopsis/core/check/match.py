"""Which drawn line is which of the lines that were asked for?

First by place and direction; then a receding edge that found no line takes one that starts at its corner
and goes elsewhere: a line gone the wrong way. Lines whose place is free (a depth by eye) are first carried
along the guide lines to where the student put them.
"""

import math
from collections.abc import Callable, Sequence
from dataclasses import dataclass

import numpy as np

from orthopsis.core.check.along import Beside
from orthopsis.core.check.carried import CLEARLY_MM, place_free
from orthopsis.core.check.fitting import NEVER, Asked, Drawn, costs, turned_by_hand_deg
from orthopsis.core.check.hand import tolerance_at_point
from orthopsis.core.check.stroke import SHORTEST_MM, Expected, Stroke, angle_between_deg
from orthopsis.core.plane.homogeneous import Point, distance, join, offset

AT_CORNER_MM = 10.0
WRONG_WAY_DEG = 160.0
STRAIGHT_ON_DEG = 172.0
"""A line gone astray may turn back by this much: by more only if it clearly runs to another point (no source)."""
LEANS_DEG = 40.0
MUCH_WORSE_MM = 1.0
"""A stroke that fits a line by this much worse than the one that was taken for it is another line (no source)."""
MUCH_LONGER = 2.0
"""A stroke so many times as long as a line, at another slant, is not that line where that is drawn (no source)."""
LEAST_OVERLAP = 0.35
INKED_MM, INKED = 2.0, 0.8
"""A line is drawn where there are strokes this near along this share of it: nearer ones are read as one (no source)."""
DRAWN, HARDLY_INKED = 0.3, 0.4
"""A line of which less than these shares are drawn, by its own strokes and by any, was not drawn (no source)."""
SURELY_DRAWN = 0.6
"""A line of which a smaller share is made by its own strokes may be one beside it that is as long as it (no source)."""
IN_ROW_MM = 1.2
"""Pieces of one line lie this near to it (no source)."""
ALIKE_LONG = 0.8
"""Share of a line's length from which on a stroke is about as long (no source)."""


@dataclass(frozen=True, slots=True)
class Match:
    """A stroke (by number) and the line it was taken for."""

    stroke: int
    expected: Expected


def match(
    strokes: Sequence[Stroke],
    expected: Sequence[Expected],
    points: dict[str, Point],
    is_explained: Callable[[Stroke], bool],
    sigma_mm: float,
) -> list[Match]:
    """Return the matches, one line at most for each stroke; a line in pieces may have several strokes.

    Args:
        points: vanishing points by name, for carrying free lines.
        is_explained: tells whether a stroke lies on lines of the answer, and so has not gone astray.
        sigma_mm: the hand error of the class: a short line turns much by it.
    """
    placed = place_free(strokes, expected, points, sigma_mm)
    matching = _Matching(strokes, placed, sigma_mm)
    matching.take_by_place()
    matching.take_astray(points, is_explained)
    matching.take_rests(is_explained)
    return [Match(i, placed[j]) for i, j in sorted(matching.taken.items())]


class _Matching:
    """What strokes are taken for, as far as that is known: first by place, then what went astray, then the rests."""

    def __init__(self, strokes: Sequence[Stroke], placed: Sequence[Expected], sigma_mm: float) -> None:
        self._strokes, self._placed, self._sigma_mm = strokes, placed, sigma_mm
        self._usable = {i: s for i, s in enumerate(strokes) if s.length_mm >= SHORTEST_MM}
        drawn, asked = Drawn(strokes), Asked(placed)
        self._cost, self._is_asked = costs(drawn, asked, sigma_mm), asked.is_asked
        self._cost[drawn.length < SHORTEST_MM] = NEVER
        self._is_as_long = ALIKE_LONG * asked.length <= drawn.length[:, None]
        self._is_as_long &= drawn.length[:, None] <= asked.length / ALIKE_LONG
        self.taken: dict[int, int] = {}
        self._fits: dict[int, float] = {}

    def take_by_place(self) -> None:
        """Take the strokes for the lines that they fit, those that fit best first."""
        pairs = zip(*(axis.tolist() for axis in np.nonzero(self._cost < NEVER)), strict=True)
        for cost, i, j in sorted((float(self._cost[i, j]), i, j) for i, j in pairs):
            if i in self.taken or self._runs_over(i, self._placed[j]):
                continue
            if not _is_second(self._strokes, self.taken, i, j):
                self.taken[i] = j
                self._fits.setdefault(j, cost)

    def _runs_over(self, number: int, e: Expected) -> bool:
        """Tell whether a stroke only runs over a line: much longer, at another slant, and others are drawn there."""
        stroke = self._strokes[number]
        if not e.thing or stroke.length_mm < MUCH_LONGER * e.length_mm:
            return False
        turned_by_hand = float(turned_by_hand_deg(np.array(stroke.length_mm), self._sigma_mm))
        if angle_between_deg((stroke.start, stroke.end), (e.start, e.end)) <= turned_by_hand:
            return False
        return is_inked(e, [other for i, other in enumerate(self._strokes) if i != number])

    def take_astray(self, points: dict[str, Point], is_explained: Callable[[Stroke], bool]) -> None:
        """Take strokes that nothing explains for lines that were drawn elsewhere."""
        placed, found = self._placed, set(self.taken.values())
        # Of a line that was drawn elsewhere a bit may be taken that is another line's, which lies along it.
        own = {j: [self._strokes[i] for i, k in self.taken.items() if k == j] for j in found}
        beside = _beside(self._strokes)
        drawn = {j for j in found if _is_drawn(placed[j], own[j], beside)}
        asked = [j for j, e in enumerate(placed) if e.is_asked and e.thing]
        inked = {j for j in asked if beside.share((placed[j].start, placed[j].end), INKED_MM) >= INKED}
        sought = [
            j for j in asked if j not in inked and not (j in drawn and _share_of(own[j], placed[j]) >= SURELY_DRAWN)
        ]
        # Where a line has no stroke of its own, other lines beside its place may hide that it was drawn elsewhere.
        hidden = [j for j in asked if j in inked and j not in found]
        is_rival = self._rivals(found)
        for j in (*sought, *hidden):
            must_be_as_long = j in drawn or j in inked
            free = {
                i: s
                for i, s in self._usable.items()
                if (i not in self.taken or not placed[self.taken[i]].is_asked)  # nobody has to draw light lines
                and (self._is_as_long[i, j] or not must_be_as_long)
                and not is_rival(i, j)
                and not is_explained(s)
            }
            gone = _gone_astray(free, placed[j], points, self._sigma_mm, CLEARLY_MM if j in inked else AT_CORNER_MM)
            if gone is not None:
                self.taken[gone] = j

    def _rivals(self, found: set[int]) -> Callable[[int, int], bool]:
        """Return what tells whether a stroke may be another line than j: one that it fits about as well as its own.

        If it is about as long as j, lines that nobody has to draw are no rivals, nor are those of another length that
        have been found: it lies beside their own stroke.
        """
        count = len(self._placed)
        bound = np.array([min(CLEARLY_MM, self._fits.get(k, CLEARLY_MM) + MUCH_WORSE_MM) for k in range(count)])
        is_found = np.isin(np.arange(count), list(found))
        fits = self._cost < bound
        fits_still = fits & self._is_asked & (~is_found | self._is_as_long)

        def is_rival(i: int, j: int) -> bool:
            mine = (fits_still if self._is_as_long[i, j] else fits)[i]
            return bool(np.count_nonzero(mine) - mine[j])

        return is_rival

    def take_rests(self, is_explained: Callable[[Stroke], bool]) -> None:
        """Take what is left of strokes that readers cut where lines cross."""
        for i, stroke in self._usable.items():
            if i not in self.taken and not is_explained(stroke):
                known = [(self._strokes[k], line) for k, line in self.taken.items()]
                rest_of = _goes_on_with(stroke, known, self._placed)
                if rest_of is not None:
                    self.taken[i] = rest_of


def is_inked(e: Expected, strokes: Sequence[Stroke]) -> bool:
    """Tell whether there is graphite all along a line, though it was read as a part of others."""
    return _beside(strokes).share((e.start, e.end), INKED_MM) >= INKED


def _beside(strokes: Sequence[Stroke]) -> Beside:
    return Beside([(s.start, s.end) for s in strokes])


def _is_drawn(e: Expected, own: Sequence[Stroke], drawn: Beside) -> bool:
    """Tell whether a line was drawn at all, and not only a bit of another line that lies along it.

    Args:
        own: the strokes that were taken for it; drawn: all of the sheet.
    """
    if _share_of(own, e) >= DRAWN:
        return True
    return drawn.share((e.start, e.end), INKED_MM) >= HARDLY_INKED * e.seen_share


def _share_of(own: Sequence[Stroke], e: Expected) -> float:
    """Return how much of what is seen of a line the strokes make that were taken for it."""
    return sum(stroke.length_mm for stroke in own) / (e.seen_share * e.length_mm)


def _is_as_long(stroke: Stroke, e: Expected) -> bool:
    """Tell whether a stroke is about as long as a line."""
    return ALIKE_LONG * e.length_mm <= stroke.length_mm <= e.length_mm / ALIKE_LONG


def _is_second(strokes: Sequence[Stroke], taken: dict[int, int], i: int, j: int) -> bool:
    """Tell whether another stroke that is already this line lies beside this one, rather than in a row with it."""
    stroke = strokes[i]
    for other, line in taken.items():
        if line != j:
            continue
        size = stroke.length_mm
        ux, uy = (stroke.end.x - stroke.start.x) / size, (stroke.end.y - stroke.start.y) / size
        ends = (strokes[other].start, strokes[other].end)
        along = sorted((p.x - stroke.start.x) * ux + (p.y - stroke.start.y) * uy for p in ends)
        if min(size, along[1]) - max(0.0, along[0]) > 0.5 * min(size, strokes[other].length_mm):
            return True
    return False


def _goes_on_with(stroke: Stroke, taken: Sequence[tuple[Stroke, int]], placed: Sequence[Expected]) -> int | None:
    """Return the line, by number, of whose stroke another one is the rest: where lines cross, readers cut them.

    Args:
        taken: the strokes that are known, each with the number of its line.
    """
    for other, j in taken:
        both = joined([other, stroke])
        if (
            placed[j].is_asked
            and both is not None
            and other.length_mm < both.length_mm
            and _is_as_long(both, placed[j])
        ):
            return j
    return None


def joined(strokes: Sequence[Stroke]) -> Stroke | None:
    """Return the stroke from end to end of some that lie in a row, or None if they do not."""
    first = max(strokes, key=lambda one: one.length_mm)
    ux, uy = (first.end.x - first.start.x) / first.length_mm, (first.end.y - first.start.y) / first.length_mm
    ends = [end for one in strokes for end in (one.start, one.end)]
    along = [(end.x - first.start.x) * ux + (end.y - first.start.y) * uy for end in ends]
    start, end = ends[along.index(min(along))], ends[along.index(max(along))]
    whole = join(start, end)
    if max(abs(offset(at, whole)) for at in ends) > IN_ROW_MM:
        return None
    return Stroke(start, end, first.darkness)


def _gone_astray(
    free: dict[int, Stroke], e: Expected, points: dict[str, Point], sigma_mm: float, near_mm: float
) -> int | None:
    """Return the unmatched stroke that starts near where this line should and goes another way: one as long, if any."""
    best: tuple[bool, float, int] | None = None
    corners = (e.start,) if e.family in points else (e.start, e.end)
    others = [at for name, at in points.items() if name != e.family] if e.family in points else []
    for i, stroke in free.items():
        farthest = STRAIGHT_ON_DEG if any(_aims_at(stroke, at, sigma_mm) for at in others) else WRONG_WAY_DEG
        for corner in corners:
            for here, there in ((stroke.start, stroke.end), (stroke.end, stroke.start)):
                gap = distance(here, corner)
                angle = _turn_deg((here, there), (corner, e.end if corner is e.start else e.start))
                if gap > near_mm or angle > farthest:
                    continue
                if e.family not in points and angle > LEANS_DEG:
                    continue
                found = (not _is_as_long(stroke, e), gap + 0.1 * angle, i)
                best = found if best is None else min(best, found)
    return None if best is None else best[-1]


def _aims_at(stroke: Stroke, point: Point, sigma_mm: float) -> bool:
    """Tell whether a stroke runs to a point, as well as a hand can draw it."""
    allowed = tolerance_at_point(stroke.length_mm, distance(stroke.middle, point), sigma_mm).allowed_mm
    return abs(offset(point, join(stroke.start, stroke.end))) <= allowed


def _turn_deg(drawn: tuple[Point, Point], wanted: tuple[Point, Point]) -> float:
    """Return the angle between two directions, 0 to 180 degrees."""
    (a, b), (c, d) = drawn, wanted
    p, q = (b.x - a.x, b.y - a.y), (d.x - c.x, d.y - c.y)
    return math.degrees(math.atan2(abs(p[0] * q[1] - p[1] * q[0]), p[0] * q[0] + p[1] * q[1]))
