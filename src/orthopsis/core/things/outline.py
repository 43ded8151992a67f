"""Is this outline a shape that can be cut out of a block, and how is it typed?

An outline is one or several loops of corners, (x, y) in mm from the lower left corner of the face, straight edges
between them. A loop that runs anticlockwise is a piece, one that runs clockwise a hole in a piece. A corner
between a level and an upright edge may be rounded: (x, y, across, up) says how far along those edges the curve begins.

Typed as ``0 0, 15 0, 15 25 r5, ...``; a further loop follows after a slash.
"""

import math
import re
from collections.abc import Iterator, Mapping, Sequence
from functools import lru_cache

import numpy as np

from orthopsis.core.errors import GeometryError
from orthopsis.core.plane.arc import FacePlace, Rounding
from orthopsis.core.plane.polygon import is_inside
from orthopsis.core.plane.tolerance import SAME_POINT_MM
from orthopsis.core.sheet.length import MM_PER, Units
from orthopsis.core.sheet.ruler import round_to

Corner = tuple[float, float] | tuple[float, float, float, float]
Loop = tuple[Corner, ...]
Outline = tuple[Loop, ...]

MOST_CORNERS = 80
MOST_LOOPS = 12
LEAST_EDGE_MM = 0.1
"""What must be left of an edge between a curve and a corner that stays."""
_NUMBER = r"\d{1,6}(?:[.]\d{0,6})?"
_CORNER = re.compile(rf"^({_NUMBER})\s+({_NUMBER})(?:\s+r\s*({_NUMBER})(?:\s+({_NUMBER}))?)?$")


def size(outline: Outline) -> tuple[float, float]:
    """Return width and height of the rectangle from the origin that holds the outline, mm."""
    corners = [corner for loop in outline for corner in loop]
    return max(c[0] for c in corners), max(c[1] for c in corners)


def scaled(outline: Outline, across: float, up: float) -> Outline:
    """Return the outline stretched by two factors."""
    return tuple(tuple(_scaled(corner, across, up) for corner in loop) for loop in outline)


def _scaled(corner: Corner, across: float, up: float) -> Corner:
    if len(corner) == 2:
        return (corner[0] * across, corner[1] * up)
    x, y, level, upright = corner
    return (x * across, y * up, level * across, upright * up)


def moved(outline: Outline, across: float, up: float) -> Outline:
    """Return the outline at another place on its face."""
    return tuple(tuple((c[0] + across, c[1] + up, *c[2:]) for c in loop) for loop in outline)


def on_marks(outline: Outline, division_mm: float) -> Outline:
    """Return the outline with its corners on marks of the ruler; a rounded corner stays rounded."""
    return tuple(tuple(_on_mark(corner, division_mm) for corner in loop) for loop in outline)


def _on_mark(corner: Corner, division_mm: float) -> Corner:
    x, y, *rounding = (round_to(mm, division_mm) for mm in corner)
    return (x, y) if not rounding else (x, y, *(max(mm, division_mm) for mm in rounding))  # type: ignore[return-value]


def with_corner(outline: Outline, number: int, place: FacePlace) -> Outline:
    """Return the outline with its corner of that number, counted from 1 loop by loop, at another place."""
    start, loops = 1, list[Loop]()
    for loop in outline:
        i = number - start
        loops.append((*loop[:i], (*place, *loop[i][2:]), *loop[i + 1 :]) if 0 <= i < len(loop) else loop)
        start += len(loop)
    return tuple(loops)


def sides(loop: Loop) -> Iterator[tuple[Corner, Corner]]:
    """Yield the edges of a loop in order."""
    yield from zip(loop, (*loop[1:], loop[0]), strict=True)


def signed_area(loop: Loop) -> float:
    """Return the area in mm², positive when the loop runs anticlockwise."""
    return sum(a[0] * b[1] - b[0] * a[1] for a, b in sides(loop)) / 2


@lru_cache(maxsize=512)
def pieces(outline: Outline) -> tuple[tuple[int, ...], ...]:
    """Return the loops by number, those of a piece together: its own outline first, then its holes."""
    areas = [signed_area(loop) for loop in outline]
    outer = {i: _box(outline[i]) for i, area in enumerate(areas) if area > 0}
    found = {i: [i] for i in outer}
    for i, loop in enumerate(outline):
        if i not in found:
            (x, y), holding = loop[0][:2], list[int]()
            for j, (left, low, right, high) in outer.items():
                if left <= x <= right and low <= y <= high and _is_inside(loop[0], outline[j]):
                    holding.append(j)
            found[min(holding, key=areas.__getitem__)].append(i)
    return tuple(tuple(piece) for piece in found.values())


def _box(loop: Loop) -> tuple[float, float, float, float]:
    xs, ys = [corner[0] for corner in loop], [corner[1] for corner in loop]
    return min(xs), min(ys), max(xs), max(ys)


def roundings(outline: Outline) -> dict[int, Rounding]:
    """Return the rounded corners by number, counted from 1 loop by loop."""
    result, first = {}, 1
    for loop in outline:
        for i, corner in enumerate(loop):
            if len(corner) == 4 and corner[2] > 0 and corner[3] > 0:
                before = first + (i - 1) % len(loop)
                result[first + i] = _rounding(first + i, before, loop[i - 1], corner, loop[(i + 1) % len(loop)])
        first += len(loop)
    return result


def _rounding(number: int, before: int, a: Corner, corner: tuple[float, float, float, float], b: Corner) -> Rounding:
    x, y, level, upright = corner
    start = _begin(corner, a, level, upright)
    end = _begin(corner, b, level, upright)
    centre = (start[0] + end[0] - x, start[1] + end[1] - y)
    return Rounding(number, before, start, (x, y), end, centre, _turn(a, corner, b) > 0)


def _begin(corner: Corner, other: Corner, level: float, upright: float) -> FacePlace:
    """Return where on the edge to another corner a rounding begins."""
    across, up = other[0] - corner[0], other[1] - corner[1]
    if abs(across) > abs(up):
        return (corner[0] + math.copysign(level, across), corner[1])
    return (corner[0], corner[1] + math.copysign(upright, up))


@lru_cache(maxsize=512)
def check_outline(outline: Outline, about: str, units: Units = "mm") -> None:
    """Refuse an outline that no block can be cut to.

    Raises:
        GeometryError: too few or too many corners, an edge without length, edges that cross or touch, or a hole
            that is not inside.
    """
    if not outline or any(len(loop) < 3 for loop in outline):
        raise _fault("too_few_corners", "A shape has at least three corners.", "Add a corner.", about)
    if sum(map(len, outline)) > MOST_CORNERS:
        raise _fault("too_many_corners", f"A shape has at most {MOST_CORNERS} corners.", "Leave some out.", about)
    edges = [edge for loop in outline for edge in sides(loop)]
    for a, b in edges:
        if math.dist(a[:2], b[:2]) <= SAME_POINT_MM:
            raise _fault("corner_twice", f"The corner {_shown(a, units)} comes twice.", "Leave one out.", about)
    for i, j in _meeting(edges):
        first, second = edges[i], edges[j]
        shares_corner = bool(set(first) & set(second)) and _are_neighbours(i, j, outline)
        if (not shares_corner and _touch(first, second)) or (shares_corner and _fold(first, second)):
            raise _fault(
                "outline_crosses_itself",
                "The outline crosses or touches itself between "
                f"{_shown(first[0], units)} and {_shown(first[1], units)}.",
                "Go round the shape once, corner by corner.",
                about,
            )
    _check_loops(outline, about)
    _check_roundings(outline, about, units)


def _meeting(edges: Sequence[tuple[Corner, Corner]]) -> list[list[int]]:
    """Return the pairs of edges, by number, that may share a point: the rectangles about them do."""
    ends = np.array([(*a[:2], *b[:2]) for a, b in edges])
    low, high = np.minimum(ends[:, :2], ends[:, 2:]) - SLACK, np.maximum(ends[:, :2], ends[:, 2:]) + SLACK
    meets = np.all((low[:, None] <= high[None]) & (low[None] <= high[:, None]), axis=2)
    pairs: list[list[int]] = np.argwhere(np.tril(meets, k=-1)).tolist()
    return pairs


def _check_loops(outline: Outline, about: str) -> None:
    outer = [loop for loop in outline if signed_area(loop) > 0]
    if not outer:
        raise _fault("no_piece", "Only holes are left of this shape.", "Run its outline anticlockwise.", about)
    for loop in outline:
        around = sum(_is_inside(loop[0], other) for other in outline if other is not loop)
        is_hole = signed_area(loop) < 0
        if is_hole and around % 2 == 0:
            raise _fault("hole_outside", "A hole lies outside of the shape.", "Move it inside.", about)
        if not is_hole and around % 2 == 1:
            raise _fault("piece_inside", "A piece lies inside of another one.", "Move it outside.", about)


def _check_roundings(outline: Outline, about: str, units: Units) -> None:
    """Refuse a rounding at a corner that is not square, or of which two do not have room on an edge."""
    for loop in outline:
        for before, corner, after in zip((loop[-1], *loop[:-1]), loop, (*loop[1:], loop[0]), strict=True):
            if len(corner) == 4 and {_runs(before, corner), _runs(corner, after)} != {"level", "upright"}:
                raise _fault(
                    "corner_not_square",
                    f"The corner {_shown(corner, units)} is not square; only a corner between a level and an upright "
                    "edge can be rounded.",
                    "Leave out its r.",
                    about,
                )
        for a, b in sides(loop):
            at = {"level": 2, "upright": 3}.get(_runs(a, b))
            room, rounded = math.dist(a[:2], b[:2]), [c for c in (a, b) if len(c) == 4]
            kept = 0.0 if len(rounded) == 2 else LEAST_EDGE_MM
            if at is not None and rounded and sum(c[at] for c in rounded) > room - kept + SAME_POINT_MM:
                long = room / MM_PER[units]
                raise _fault(
                    "rounding_too_large",
                    f"Between {_shown(a, units)} and {_shown(b, units)} there are {long:g} {units} of edge; the curves "
                    "need more.",
                    f"Make each at most {long / 2:g}." if len(rounded) == 2 else f"Make it less than {long:g}.",
                    about,
                )


def _runs(a: Corner, b: Corner) -> str:
    if abs(a[1] - b[1]) <= SAME_POINT_MM:
        return "level"
    return "upright" if abs(a[0] - b[0]) <= SAME_POINT_MM else "free"


def _fault(code: str, why: str, fix: str, about: str) -> GeometryError:
    return GeometryError(code, why, fix, about=about)


def _shown(corner: Corner, units: Units) -> str:
    """Return a corner as the class types it."""
    return " ".join(f"{mm / MM_PER[units]:g}" for mm in corner[:2])


def _are_neighbours(i: int, j: int, outline: Outline) -> bool:
    start = 0
    for loop in outline:
        end = start + len(loop)
        if start <= i < end and start <= j < end:
            return abs(i - j) in (1, len(loop) - 1)
        start = end
    return False


def _turn(a: Corner, b: Corner, c: Corner) -> float:
    return (b[0] - a[0]) * (c[1] - a[1]) - (b[1] - a[1]) * (c[0] - a[0])


SLACK = 1e-9
"""What lies this near to a line lies on it: the area of the triangle, or mm."""


def _touch(first: tuple[Corner, Corner], second: tuple[Corner, Corner]) -> bool:
    """Tell whether two edges share a point."""
    (a, b), (c, d) = first, second
    p, q, r, s = _turn(a, b, c), _turn(a, b, d), _turn(c, d, a), _turn(c, d, b)
    if min(abs(p), abs(q), abs(r), abs(s)) > SLACK:
        return p * q < 0 and r * s < 0
    return any(
        abs(_turn(e, f, g)) <= SLACK
        and min(e[0], f[0]) - SLACK <= g[0] <= max(e[0], f[0]) + SLACK
        and min(e[1], f[1]) - SLACK <= g[1] <= max(e[1], f[1]) + SLACK
        for (e, f), g in ((first, c), (first, d), (second, a), (second, b))
    ) or (p * q < 0 and r * s < 0)


def _fold(first: tuple[Corner, Corner], second: tuple[Corner, Corner]) -> bool:
    """Tell whether an edge runs back along its neighbour."""
    (shared,) = set(first) & set(second) if len(set(first) & set(second)) == 1 else (first[0],)
    a = first[1] if first[0] == shared else first[0]
    b = second[1] if second[0] == shared else second[0]
    ahead = (a[0] - shared[0]) * (b[0] - shared[0]) + (a[1] - shared[1]) * (b[1] - shared[1])
    return abs(_turn(shared, a, b)) <= 1e-9 and ahead > 0


def _is_inside(corner: Corner, loop: Loop) -> bool:
    return is_inside(corner[:2], [[other[:2] for other in loop]], -1.0)


EXAMPLE: Mapping[Units, str] = {"mm": "0 0, 40 0, 40 60", "cm": "0 0, 4 0, 4 6", "in": "0 0, 2 0, 2 3"}
"""How corners are typed, in each unit."""


def parse_outline(text: str, units: Units) -> Outline:
    """Return the outline that was typed, in mm.

    Raises:
        GeometryError: a corner cannot be read, or the shape cannot be cut; the corner is named.
    """
    factor = MM_PER[units]
    loops = list[Loop]()
    for part in text[:4000].split("/"):
        corners = list[Corner]()
        for word in re.split(r"[,;\n]", part):
            match = _CORNER.match(word.strip())
            if match is None:
                raise GeometryError(
                    "unreadable_corner",
                    f"“{word.strip()[:30]}” is no corner.",
                    f"Write two numbers for each corner, across and up in {units}, for example {EXAMPLE[units]}; "
                    "r and a number round it.",
                )
            place = (float(match[1]) * factor, float(match[2]) * factor)
            level = float(match[3] or 0) * factor
            upright = float(match[4]) * factor if match[4] else level
            corners.append((*place, level, upright) if level > 0 and upright > 0 else place)
        loops.append(tuple(corners))
    outline = _turned(loops)
    check_outline(outline, "", units)
    return outline


def _turned(loops: list[Loop]) -> Outline:
    """Return the loops so that pieces run anticlockwise and holes, which lie inside of an odd number, clockwise."""
    result = []
    for loop in loops:
        is_hole = sum(_is_inside(loop[0], other) for other in loops if other is not loop) % 2 == 1
        result.append(loop if (signed_area(loop) > 0) != is_hole else loop[::-1])
    return tuple(result)


def format_outline(outline: Outline, units: Units) -> str:
    """Return the outline as it is typed."""
    factor = MM_PER[units]
    return " / ".join(", ".join(_typed(corner, factor) for corner in loop) for loop in outline)


def _typed(corner: Corner, factor: float) -> str:
    x, y, *rounding = (_figure(mm / factor) for mm in corner)
    if not rounding:
        return f"{x} {y}"
    across, up = rounding
    return f"{x} {y} r{across}" if across == up else f"{x} {y} r{across} {up}"


def _figure(value: float) -> str:
    return f"{value:.3f}".rstrip("0").rstrip(".")
