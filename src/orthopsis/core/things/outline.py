"""Is this outline a shape that can be cut out of a block, and how is it typed?

An outline is a loop of corners, and further loops for holes: places (x, y) in mm from the lower left corner of
the face, straight edges between them. Typed as ``0 0, 15 0, 15 25, ...``; a hole follows after a slash.
"""

import math
import re
from collections.abc import Iterator
from functools import lru_cache

from orthopsis.core.errors import GeometryError
from orthopsis.core.plane.tolerance import SAME_POINT_MM
from orthopsis.core.sheet.length import MM_PER, Units

Corner = tuple[float, float]
Loop = tuple[Corner, ...]
Outline = tuple[Loop, ...]

MOST_CORNERS = 80
_NUMBER = r"\d{1,6}(?:[.]\d{0,6})?"
_CORNER = re.compile(rf"^({_NUMBER})\s+({_NUMBER})$")


def size(outline: Outline) -> tuple[float, float]:
    """Return width and height of the rectangle from the origin that holds the outline, mm."""
    return max(x for x, _ in outline[0]), max(y for _, y in outline[0])


def scaled(outline: Outline, across: float, up: float) -> Outline:
    """Return the outline stretched by two factors."""
    return tuple(tuple((x * across, y * up) for x, y in loop) for loop in outline)


def with_corner(outline: Outline, number: int, corner: Corner) -> Outline:
    """Return the outline with its corner of that number, counted from 1 loop by loop, at another place."""
    start, loops = 1, []
    for loop in outline:
        i = number - start
        loops.append((*loop[:i], corner, *loop[i + 1 :]) if 0 <= i < len(loop) else loop)
        start += len(loop)
    return tuple(loops)


def sides(loop: Loop) -> Iterator[tuple[Corner, Corner]]:
    """Yield the edges of a loop in order."""
    yield from zip(loop, (*loop[1:], loop[0]), strict=True)


def signed_area(loop: Loop) -> float:
    """Return the area in mm², positive when the loop runs anticlockwise."""
    return sum(ax * by - bx * ay for (ax, ay), (bx, by) in sides(loop)) / 2


@lru_cache(maxsize=512)
def check_outline(outline: Outline, about: str) -> None:
    """Refuse an outline that no block can be cut to.

    Raises:
        GeometryError: too few or too many corners, an edge without length, edges that cross or touch, or a hole
            that is not inside.
    """
    if not outline or any(len(loop) < 3 for loop in outline):
        raise _fault("too_few_corners", "A shape has at least three corners.", "Add a corner.", about)
    if sum(map(len, outline)) > MOST_CORNERS:
        raise _fault("too_many_corners", f"A shape has at most {MOST_CORNERS} corners.", "Leave some out.", about)
    edges = [(number, edge) for number, loop in enumerate(outline) for edge in sides(loop)]
    for _, (a, b) in edges:
        if math.dist(a, b) <= SAME_POINT_MM:
            raise _fault("corner_twice", f"The corner {_shown(a)} comes twice.", "Leave one out.", about)
    for i, (_, first) in enumerate(edges):
        for j, (_, second) in enumerate(edges[:i]):
            shares_corner = bool(set(first) & set(second)) and _are_neighbours(i, j, outline)
            if (not shares_corner and _touch(first, second)) or (shares_corner and _fold(first, second)):
                raise _fault(
                    "outline_crosses_itself",
                    f"The outline crosses or touches itself between {_shown(first[0])} and {_shown(first[1])}.",
                    "Go round the shape once, corner by corner.",
                    about,
                )
    for hole in outline[1:]:
        if not _is_inside(hole[0], outline[0]):
            raise _fault("hole_outside", "A hole lies outside of the shape.", "Move it inside.", about)


def _fault(code: str, why: str, fix: str, about: str) -> GeometryError:
    return GeometryError(code, why, fix, about=about)


def _shown(corner: Corner) -> str:
    return f"{corner[0]:g} {corner[1]:g}"


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


def _touch(first: tuple[Corner, Corner], second: tuple[Corner, Corner]) -> bool:
    """Tell whether two edges share a point."""
    (a, b), (c, d) = first, second
    p, q, r, s = _turn(a, b, c), _turn(a, b, d), _turn(c, d, a), _turn(c, d, b)
    slack = 1e-9
    if min(abs(p), abs(q), abs(r), abs(s)) > slack:
        return p * q < 0 and r * s < 0
    return any(
        abs(_turn(e, f, g)) <= slack
        and min(e[0], f[0]) - slack <= g[0] <= max(e[0], f[0]) + slack
        and min(e[1], f[1]) - slack <= g[1] <= max(e[1], f[1]) + slack
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
    x, y = corner
    inside = False
    for (ax, ay), (bx, by) in sides(loop):
        if (ay > y) != (by > y) and x < ax + (y - ay) * (bx - ax) / (by - ay):
            inside = not inside
    return inside


def parse_outline(text: str, units: Units) -> Outline:
    """Return the outline that was typed, in mm.

    Raises:
        GeometryError: a corner cannot be read, or the shape cannot be cut; the corner is named.
    """
    factor = MM_PER[units]
    loops = []
    for part in text[:4000].split("/"):
        corners = []
        for word in re.split(r"[,;\n]", part):
            match = _CORNER.match(word.strip())
            if match is None:
                raise GeometryError(
                    "unreadable_corner",
                    f"“{word.strip()[:30]}” is no corner.",
                    f"Write two numbers for each corner, across and up in {units}, for example 0 0, 40 0, 40 60.",
                )
            corners.append((float(match[1]) * factor, float(match[2]) * factor))
        loops.append(tuple(corners))
    outline = tuple(loop if (signed_area(loop) > 0) == (i == 0) else loop[::-1] for i, loop in enumerate(loops))
    check_outline(outline, "")
    return outline


def format_outline(outline: Outline, units: Units) -> str:
    """Return the outline as it is typed."""
    factor = MM_PER[units]
    return " / ".join(", ".join(f"{_figure(x / factor)} {_figure(y / factor)}" for x, y in loop) for loop in outline)


def _figure(value: float) -> str:
    return f"{value:.3f}".rstrip("0").rstrip(".")
