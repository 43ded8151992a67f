"""Which drawn line is which of the lines that were asked for?

First by place and direction; then a receding edge that found no line takes one that starts at its corner
and goes elsewhere: a line gone the wrong way. Lines whose place is free (a depth by eye) are first carried
along the guide lines to where the student put them.
"""

from collections.abc import Callable, Sequence
from dataclasses import dataclass

import numpy as np

from orthopsis.core.check.along import Beside
from orthopsis.core.check.astray import AT_CORNER_MM, gone_astray
from orthopsis.core.check.carried import CLEARLY_MM, place_free
from orthopsis.core.check.fitting import NEVER, Asked, Drawn, costs, turned_by_hand_deg
from orthopsis.core.check.pieces import ALIKE_LONG, is_as_long, is_second, joined
from orthopsis.core.check.stroke import SHORTEST_MM, Expected, Stroke, angle_between_deg
from orthopsis.core.plane.homogeneous import Point

MUCH_WORSE_MM = 1.0
"""A stroke that fits a line by this much worse than the one that was taken for it is another line (no source)."""
MUCH_LONGER = 2.0
"""A stroke so many times as long as a line, at another slant, is not that line where that is drawn (no source)."""
INKED_MM, INKED = 2.0, 0.8
"""A line is drawn where there are strokes this near along this share of it: nearer ones are read as one (no source)."""
DRAWN, HARDLY_INKED = 0.3, 0.4
"""A line of which less than these shares are drawn, by its own strokes and by any, was not drawn (no source)."""
SURELY_DRAWN = 0.6
"""A line of which a smaller share is made by its own strokes may be one beside it that is as long as it (no source)."""


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
    matching.take_exchanged(points, is_explained)
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
            if not is_second(self._strokes, self.taken, i, j):
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
                if (self._is_free(i) or (self._is_as_long[i, j] and self._outruns_its_line(i)))
                and (self._is_as_long[i, j] or not must_be_as_long)
                and not is_rival(i, j)
                and not is_explained(s)
            }
            near_mm = CLEARLY_MM if j in inked else AT_CORNER_MM
            gone = gone_astray(free, placed[j], points, self._sigma_mm, near_mm, beside)
            if gone is not None:
                self.taken[gone] = j

    def take_exchanged(self, points: dict[str, Point], is_explained: Callable[[Stroke], bool]) -> None:
        """Take strokes that nothing explains for lines whose own stroke may as well be another line that has none."""
        placed, found = self._placed, set(self.taken.values())
        is_rival, beside = self._rivals(found), _beside(self._strokes)
        bare = [m for m, e in enumerate(placed) if e.is_asked and e.thing and m not in found]
        for i, m in zip(*np.nonzero(self._cost[:, bare] < CLEARLY_MM), strict=True) if bare else ():
            own, without = int(i), bare[m]
            j = self.taken.get(own)
            if j is None or not (placed[j].is_asked and placed[j].thing) or without in self.taken.values():
                continue
            if sum(k == j for k in self.taken.values()) > 1:
                continue
            free = {
                k: s
                for k, s in self._usable.items()
                if self._is_free(k) and self._is_as_long[k, j] and not is_rival(k, j) and not is_explained(s)
            }
            gone = gone_astray(free, placed[j], points, self._sigma_mm, CLEARLY_MM, beside)
            if gone is not None:
                self.taken[own], self.taken[gone] = without, j

    def _is_free(self, number: int) -> bool:
        """Tell whether a stroke was taken for nothing, or only for a light line: nobody has to draw those."""
        return number not in self.taken or not self._placed[self.taken[number]].is_asked

    def _outruns_its_line(self, number: int) -> bool:
        """Tell whether a stroke is much longer than what it was taken for."""
        own = self._placed[self.taken[number]]
        return bool(own.thing) and self._strokes[number].length_mm >= MUCH_LONGER * own.length_mm

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
    """Tell whether there is graphite all along what is seen of a line, though it was read as parts of others."""
    return _beside(strokes).share((e.start, e.end), INKED_MM) >= INKED * e.seen_share


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


def _goes_on_with(stroke: Stroke, taken: Sequence[tuple[Stroke, int]], placed: Sequence[Expected]) -> int | None:
    """Return the line, by number, of whose stroke another one is the rest: where lines cross, readers cut them.

    Args:
        taken: the strokes that are known, each with the number of its line.
    """
    for other, j in taken:
        both = joined([other, stroke])
        if placed[j].is_asked and both is not None and other.length_mm < both.length_mm and is_as_long(both, placed[j]):
            return j
    return None
