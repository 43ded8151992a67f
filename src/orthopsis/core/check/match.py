"""Which drawn line is which of the lines that were asked for?

First by place and direction; then a receding edge that found no line takes one that starts at its corner
and goes elsewhere: a line gone the wrong way. Lines whose place is free (a depth by eye) are first carried
along the guide lines to where the student put them.
"""

import math
from collections.abc import Callable, Sequence
from dataclasses import dataclass, replace

from orthopsis.core.check.along import Beside
from orthopsis.core.check.hand import tolerance_at_point
from orthopsis.core.check.stroke import SHORTEST_MM, Expected, Stroke, angle_between_deg
from orthopsis.core.plane.homogeneous import Point, distance, join, offset

NEAR_MM = 7.0
"""A line further than this from where it belongs is not taken for it (common practice, no source)."""
ON_GUIDE_MM = 3.0
"""A light line to the point is taken for one only if it lies on it: else it may be another line gone astray."""
SHORTEST_GUIDE_MM = 25.0
LONG_SHARE = 0.4
"""A nearly level line over this share of the sheet is its eye level, however much it tilts."""
ALIKE_DEG = 14.0
HAND_TURNS = 4.0
"""... or so many standard deviations of what the hand's own error turns a line of its length."""
AT_CORNER_MM = 10.0
CLEARLY_MM = 4.0
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
    placed = _place_free(strokes, expected, points, sigma_mm)
    usable = {i: s for i, s in enumerate(strokes) if s.length_mm >= SHORTEST_MM}
    ranked = sorted(
        (cost, i, j)
        for i, s in usable.items()
        for j, e in enumerate(placed)
        if (cost := _cost(s, e, sigma_mm)) is not None and not _runs_over(i, e, strokes, sigma_mm)
    )
    taken: dict[int, int] = {}
    fits: dict[int, float] = {}
    for cost, i, j in ranked:
        if i not in taken and not _is_second(strokes, taken, i, j):
            taken[i] = j
            fits.setdefault(j, cost)
    found = set(taken.values())
    # Of a line that was drawn elsewhere a bit may be taken that is another line's, which lies along it.
    own = {j: [strokes[i] for i, k in taken.items() if k == j] for j in found}
    beside = _beside(strokes)
    drawn = {j for j in found if _is_drawn(placed[j], own[j], beside)}
    asked = [j for j, e in enumerate(placed) if e.is_asked and e.thing]
    inked = {j for j in asked if beside.share((placed[j].start, placed[j].end), INKED_MM) >= INKED}
    sought = [j for j in asked if j not in inked and not (j in drawn and _share_of(own[j], placed[j]) >= SURELY_DRAWN)]
    # Where a line has no stroke of its own, other lines beside its place may hide that it was drawn elsewhere.
    hidden = [j for j in asked if j in inked and j not in found]
    for j in (*sought, *hidden):
        e, must_be_as_long = placed[j], j in drawn or j in inked
        free = {
            i: s
            for i, s in usable.items()
            if _is_free(i, taken, placed)
            and (_is_as_long(s, e) or not must_be_as_long)
            and not _is_rival(s, _rivals(s, j, placed, found), placed, fits, sigma_mm)
            and not is_explained(s)
        }
        gone = _gone_astray(free, e, points, sigma_mm, CLEARLY_MM if j in inked else AT_CORNER_MM)
        if gone is not None:
            taken[gone] = j
    for i, stroke in usable.items():
        if i not in taken and not is_explained(stroke):
            rest_of = _goes_on_with(stroke, [(strokes[k], line) for k, line in taken.items()], placed)
            if rest_of is not None:
                taken[i] = rest_of
    return [Match(i, placed[j]) for i, j in sorted(taken.items())]


def _is_free(stroke: int, taken: dict[int, int], placed: Sequence[Expected]) -> bool:
    """Tell whether a stroke may still be another line: nobody has to draw the light line that it was taken for."""
    return stroke not in taken or not placed[taken[stroke]].is_asked


def _rivals(stroke: Stroke, j: int, placed: Sequence[Expected], found: set[int]) -> list[int]:
    """Return the lines, by number, that a stroke may be rather than line j.

    If it is about as long as j, lines that nobody has to draw are none, nor are those of another length that have been
    found: it lies beside their own stroke.
    """
    others = [k for k in range(len(placed)) if k != j]
    if not _is_as_long(stroke, placed[j]):
        return others
    return [k for k in others if placed[k].is_asked and (k not in found or _is_as_long(stroke, placed[k]))]


def _is_rival(
    stroke: Stroke, rivals: Sequence[int], placed: Sequence[Expected], fits: dict[int, float], sigma_mm: float
) -> bool:
    """Tell whether a stroke may be one of some lines: it fits clearly, and not much worse than that line's own stroke.

    Args:
        fits: how badly the stroke that was taken for a line fits it, by the number of the line, mm.
    """
    for k in rivals:
        cost = _cost(stroke, placed[k], sigma_mm)
        if cost is not None and cost < min(CLEARLY_MM, fits.get(k, CLEARLY_MM) + MUCH_WORSE_MM):
            return True
    return False


def _runs_over(number: int, e: Expected, strokes: Sequence[Stroke], sigma_mm: float) -> bool:
    """Tell whether a stroke only runs over a line: much longer, at another slant, and others are drawn where it is."""
    stroke = strokes[number]
    if not e.thing or stroke.length_mm < MUCH_LONGER * e.length_mm:
        return False
    turned_by_hand = math.degrees(math.atan2(HAND_TURNS * sigma_mm * math.sqrt(2), stroke.length_mm))
    if angle_between_deg((stroke.start, stroke.end), (e.start, e.end)) <= turned_by_hand:
        return False
    return is_inked(e, [other for i, other in enumerate(strokes) if i != number])


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


def _may_touch(stroke: Stroke, e: Expected, near_mm: float) -> bool:
    """Tell whether two lines come near each other, as far as the rectangles about them say; cheap, for most do not."""
    for a, b, c, d in (
        (stroke.start.x, stroke.end.x, e.start.x, e.end.x), (stroke.start.y, stroke.end.y, e.start.y, e.end.y)
    ):  # fmt: skip
        if min(a, b) > max(c, d) + near_mm or min(c, d) > max(a, b) + near_mm:
            return False
    return True


def _cost(stroke: Stroke, e: Expected, sigma_mm: float) -> float | None:
    """Return how badly a stroke fits a line in mm, or None if it cannot be it."""
    if not _may_touch(stroke, e, 2 * NEAR_MM + 0.1 * stroke.length_mm):
        return None
    angle = angle_between_deg((stroke.start, stroke.end), (e.start, e.end))
    size = e.length_mm
    turned_by_hand = math.degrees(math.atan2(HAND_TURNS * sigma_mm * math.sqrt(2), size))
    if angle > max(ALIKE_DEG, turned_by_hand):
        return None
    ux, uy = (e.end.x - e.start.x) / size, (e.end.y - e.start.y) / size
    along = [(p.x - e.start.x) * ux + (p.y - e.start.y) * uy for p in (stroke.start, stroke.end)]
    across = [abs((p.x - e.start.x) * uy - (p.y - e.start.y) * ux) for p in (stroke.start, stroke.end)]
    overlap = min(size, max(along)) - max(0.0, min(along))
    if overlap < LEAST_OVERLAP * min(size, stroke.length_mm) or min(across) > NEAR_MM:
        return None
    if sum(across) / 2 > NEAR_MM + 0.05 * stroke.length_mm:
        return None
    if not e.is_asked and (max(across) > ON_GUIDE_MM or stroke.length_mm < SHORTEST_GUIDE_MM):
        return None
    overhang = max(0.0, stroke.length_mm - size)
    uncovered = max(0.0, size - overlap)
    cost = sum(across) / 2 + 0.3 * angle + 0.05 * uncovered + (0.0 if e.is_asked else 2.0)
    if not e.thing:
        return 0.2 * cost if stroke.length_mm > LONG_SHARE * size else cost
    # A receding edge may go on as a guide line; a level or upright one stops at its corner.
    return cost + (0.1 if e.family in ("level", "upright") else 0.02) * overhang


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


def _place_free(
    strokes: Sequence[Stroke], expected: Sequence[Expected], points: dict[str, Point], sigma_mm: float
) -> list[Expected]:
    result = list(expected)
    fixed = [e for e in expected if e.is_asked and not e.is_free]
    open_ones = [s for s in strokes if s.length_mm >= SHORTEST_MM and not _is_one_of(s, fixed, sigma_mm)]
    taken: dict[str, list[Expected]] = {}
    for thing, about, group in dict.fromkeys((e.thing, e.free_about, e.free_group) for e in expected if e.is_free):
        centre, key = points[about], (thing, about, group)
        together = [e for e in expected if (e.thing, e.free_about, e.free_group) == key]
        # Of several groups of one thing, such as the copies of a row, the nearer ones take their strokes first.
        left = [s for s in open_ones if not _is_one_of(s, taken.get(thing, ()), sigma_mm)]
        factor = _best_factor(left, together, centre, sigma_mm)
        taken.setdefault(thing, []).extend(e.scaled(centre, factor) for e in together)
        for j, e in enumerate(expected):
            if e.thing != thing:
                continue
            if (e.free_about, e.free_group) == (about, group):
                result[j] = e.scaled(centre, factor)
            elif e.family == about and e.is_asked and not e.is_free:
                result[j] = _stretched(e, centre, factor)
    return result


def _is_one_of(stroke: Stroke, lines: Sequence[Expected], sigma_mm: float) -> bool:
    """Tell whether a stroke is clearly one of the lines whose place is given."""
    return any((cost := _cost(stroke, e, sigma_mm)) is not None and cost < CLEARLY_MM for e in lines)


def _stretched(e: Expected, centre: Point, factor: float) -> Expected:
    """Return a receding edge whose far end is carried along with the back."""
    end = Point(centre.x + factor * (e.end.x - centre.x), centre.y + factor * (e.end.y - centre.y))
    return replace(e, end=end, free_group=0)


def _best_factor(strokes: Sequence[Stroke], backs: list[Expected], centre: Point, sigma_mm: float) -> float:
    """Return how far these lines were carried, as a factor about a vanishing point, that most strokes agree with."""
    best, found = (0.0, 0.0), 1.0
    for step in range(-28, 36):
        factor = 1.0 + step * 0.025
        agree = 0.0
        for e in backs:
            moved = e.scaled(centre, factor)
            fits = [c for s in strokes if (c := _cost(s, moved, sigma_mm)) is not None]
            agree += max((max(0.0, NEAR_MM - c) for c in fits), default=0.0)
        if (agree, -abs(step)) > best:
            best, found = (agree, -abs(step)), factor
    return found
