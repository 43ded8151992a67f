"""Where does the shadow of a block fall on a face of another thing, and which lines bound it there?

On every plane that it meets it is bounded by the shadows of two uprights, its *paths*, and of the edges of the top
between them. Of that only what lies within the face is there: it is cut off at the face's own edges, its *borders*, and
goes on from there on the next face. On a level face a path runs as on the ground, on an upright one it goes straight
up; it ends where the ray from the top comes (textbooks of perspective; from memory).
"""

import itertools
from collections.abc import Sequence
from dataclasses import dataclass
from typing import Literal, Protocol

import numpy as np

from orthopsis.core.construct.panel import Incline, Vector
from orthopsis.core.plane.arc import FacePlace
from orthopsis.core.plane.tolerance import SAME_SHARE
from orthopsis.core.view.eye import Array

UPRIGHT_SINE = 1e-6
"""A face whose way out leans by less from level, or from upright, is upright or level."""
LEAST_SHARE = 1e-6
"""What covers less than this share of a face is no shadow on it."""

BESIDE = 1.0
"""A path is carried on to a place beside a slope at most as far as this share of its width (no source)."""

BoundKind = Literal["path", "edge", "border", "base"]
Border = Literal["", "bottom", "far", "top", "first"]
"""Which edge of a face it is, as the face calls it."""


class Surface(Protocol):
    """What a shadow falls on: a parallelogram of the world, as a panel is."""

    @property
    def start(self) -> Vector:
        """Where it begins."""

    @property
    def axes(self) -> tuple[Vector, Vector]:
        """Its vectors along and up."""

    @property
    def outward(self) -> Vector | None:
        """The way out of it; None where nobody knows."""

    @property
    def is_level(self) -> bool:
        """Whether it is a top."""

    @property
    def incline(self) -> Incline | None:
        """How it leads up from the ground, if it is a slope."""


@dataclass(frozen=True, slots=True)
class Bound:
    """A line that bounds a shadow on a face.

    Attributes:
        kind: ``path``: the shadow of an upright; ``edge``: of an edge of the top; ``border``: an edge of the face;
            ``base``: where the shadow comes from, on the plane of the face.
        corners: of a path the corner of the foot, of an edge both.
        border: of a border, which edge of the face it is.
    """

    kind: BoundKind
    corners: tuple[int, ...] = ()
    border: Border = ""

    @property
    def is_drawn(self) -> bool:
        """Whether it is an edge of the shadow, and not of the face."""
        return self.kind in ("path", "edge")

    @property
    def name(self) -> str:
        """What it is told apart by within the shadow on a face."""
        return self.border or ".".join((self.kind, *map(str, self.corners)))


@dataclass(frozen=True, slots=True)
class Spot:
    """A corner of a shadow on a face: the lines that meet there, as it runs round, and its place, as shares of it."""

    before: Bound
    after: Bound
    place: FacePlace

    def __contains__(self, bound: Bound) -> bool:
        return bound in (self.before, self.after)

    @property
    def corner(self) -> int | None:
        """The corner of the foot whose top has its shadow there; None where it is none."""
        if not (self.before.is_drawn and self.after.is_drawn):
            return None
        (corner,) = set(self.before.corners) & set(self.after.corners)
        return corner

    @property
    def border(self) -> Border | None:
        """The edge of the face on which it lies; None where it lies on none, or at two."""
        borders = [bound.border for bound in (self.before, self.after) if bound.kind == "border"]
        return borders[0] if len(borders) == 1 else None


@dataclass(frozen=True, slots=True, eq=False)
class Caster:
    """What casts a shadow, in the world of the thing on which it falls.

    Attributes:
        feet: the corners of the block's foot, shape (4, 3).
        up: from a foot to the top over it.
        shades: where the shadows of the tops fall on the ground, shape (4, 3).
        chain: the corners whose shadows bound it, from side to side.
    """

    feet: Array
    up: Array
    shades: Array
    chain: tuple[int, ...]

    @property
    def pairs(self) -> tuple[tuple[int, int], ...]:
        """The corners between whose shadows an edge of it runs."""
        return tuple(itertools.pairwise(self.chain))

    def on_ray(self, corner: int, share: float) -> Array:
        """Return a place of the ray from the top over a corner, as a share of its way to the ground."""
        top = self.feet[corner] + self.up
        return np.asarray(top + share * (self.shades[corner] - top))


def height_of(panel: Surface, caster: Caster) -> float:
    """Return how high the low corner of a face is over the ground, in heights of the block."""
    return float((np.array(panel.start) - caster.feet[0]) @ caster.up / (caster.up @ caster.up))


def reached(panel: Surface, caster: Caster, corner: int) -> float:
    """Return at which share of its way to the ground the ray from the top over a corner meets the plane of a face.

    Less than 0: the block stands behind the face.
    """
    if panel.is_level:
        return 1 - height_of(panel, caster)
    return _met(panel, caster.feet[corner] + caster.up, caster.shades[corner])


def based(panel: Surface, caster: Caster, corner: int) -> float:
    """Return at which share of its way on the ground the path of an upright meets the plane of a face that rises.

    Less than 0: the upright stands behind the face. Of an upright face it is that of the ray, too.
    """
    return _met(panel, caster.feet[corner], caster.shades[corner])


def _met(panel: Surface, start: Array, end: Array) -> float:
    """Return at which share of the way between two places the plane of a face is met from outside; -1 if it is not."""
    out = np.array(panel.outward)
    near, far = (float((place - np.array(panel.start)) @ out) for place in (start, end))
    return near / (near - far) if near > 0 else -1.0


def share_of_path(panel: Surface, caster: Caster, corner: int) -> float:
    """Return as which share along an upright face the path of an upright goes up it; of a level one a middle one."""
    if panel.is_level:
        return 0.5
    base = _base(panel, caster, corner)
    ways = np.column_stack((*np.array(panel.axes), np.cross(*np.array(panel.axes))))
    return float(np.linalg.solve(ways, base - np.array(panel.start))[0])


def is_past_top(panel: Surface, caster: Caster, corner: int) -> bool:
    """Tell whether the ray from the top over a corner meets the plane of a face past its upper edge."""
    place = caster.on_ray(corner, reached(panel, caster, corner)) - np.array(panel.start)
    ways = np.column_stack((*np.array(panel.axes), np.cross(*np.array(panel.axes))))
    return float(np.linalg.solve(ways, place)[1]) > 1 + SAME_SHARE


def crossed_under(panel: Surface, caster: Caster, corner: int) -> Array | None:
    """Return where the path of an upright on the ground, carried on, comes under the upper edge of a slope.

    Straight over that the shadow of the upright would cross the upper edge: the upright, its ray and its path lie in
    one upright plane, which cuts the slope in a line. None where the upright stands behind the foot, or its path runs
    along the foot, so that the place is far from the slope.
    """
    assert panel.incline is not None
    if based(panel, caster, corner) < 0:
        return None
    run, along = np.array(panel.incline.run), np.array(panel.axes[0])
    foot, way = caster.feet[corner], caster.shades[corner] - caster.feet[corner]
    across = np.cross(along, caster.up)
    ahead, left = float(way @ across), float((np.array(panel.start) + run - foot) @ across)
    if ahead * left <= 0:
        return None
    place = np.asarray(foot + left / ahead * way)
    ways = np.column_stack((along, run, caster.up))
    share = float(np.linalg.solve(ways, place - np.array(panel.start))[0])
    return place if -BESIDE <= share <= 1 + BESIDE else None


def is_lit(panel: Surface, caster: Caster) -> bool:
    """Tell whether light comes to the outer side of a face, along all rays that bound the shadow."""
    out = np.array(panel.outward)
    return all(float((caster.shades[i] - caster.on_ray(i, 0.0)) @ out) < 0 for i in caster.chain)


def is_upright(panel: Surface, caster: Caster) -> bool:
    """Tell whether a face stands straight up from the ground of the block."""
    return abs(float(np.array(panel.outward) @ caster.up)) < UPRIGHT_SINE * float(np.linalg.norm(caster.up))


def fallen(panel: Surface, caster: Caster) -> tuple[Spot, ...]:
    """Return the corners of the shadow on a face, round it; none where none falls there.

    It is not asked whether something else keeps the light from there first.
    """
    if panel.outward is None or not is_lit(panel, caster):
        return ()
    if panel.is_level:
        loop = _on_level(caster, height_of(panel, caster))
    else:
        loop = _on_rising(panel, caster) if panel.incline or is_upright(panel, caster) else []
    if not loop:
        return ()
    ways = np.column_stack((*np.array(panel.axes), np.cross(*np.array(panel.axes))))
    places = np.linalg.solve(ways, (np.array([place for place, _ in loop]) - np.array(panel.start)).T)[:2].T
    shares = [(np.asarray(place), bound) for place, (_, bound) in zip(places, loop, strict=True)]
    for border, axis, is_most in _BORDERS:
        shares = _cut(shares, axis, is_most=is_most, border=Bound("border", border=border))
    spots = _spots(shares)
    is_over = panel.is_level and any(spot.after.kind == "base" for spot in spots)
    return () if is_over else spots


_BORDERS: Sequence[tuple[Border, int, bool]] = (
    ("bottom", 1, False), ("far", 0, True), ("top", 1, True), ("first", 0, False),
)  # fmt: skip
"""The borders of a face: along (0) or up (1) it is cut there, and whether at most 1 is within, or at least 0."""
Loop = list[tuple[Array, Bound]]
"""Corners round an area, each with the line that runs from there to the next one."""


def _on_level(caster: Caster, height: float) -> Loop:
    """Return the shadow on the level plane so high over the ground, in heights of the block, in the world."""
    if not SAME_SHARE < height < 1 - SAME_SHARE:
        return []
    first, last = caster.chain[0], caster.chain[-1]
    raised = height * caster.up
    bounds = [Bound("edge", pair) for pair in caster.pairs] + [Bound("path", (last,))]
    corners = [(caster.on_ray(i, 1 - height), bound) for i, bound in zip(caster.chain, bounds, strict=True)]
    begins = (caster.feet[first] + raised, Bound("path", (first,)))
    return [begins, *corners, (caster.feet[last] + raised, Bound("base"))]


def _on_rising(panel: Surface, caster: Caster) -> Loop:
    """Return the shadow on the plane of an upright face, or of a slope, from the ground up, in the world.

    There is none if none reaches it.
    """
    times = {i: reached(panel, caster, i) for i in caster.chain}
    if any(at < 0 for at in times.values()) or all(at >= 1 for at in times.values()):
        return []
    first, last = caster.chain[0], caster.chain[-1]
    found: Loop = []
    if times[first] < 1:
        found.append((_base(panel, caster, first), Bound("path", (first,))))
    for i, j in caster.pairs:
        edge = Bound("edge", (i, j))
        if times[i] < 1:
            found.append((caster.on_ray(i, times[i]), edge))
        if (times[i] < 1) != (times[j] < 1):
            bend = _bend(panel, caster, i, j)
            found.append((bend, edge if times[i] >= 1 else Bound("base")))
    if times[last] < 1:
        found.append((caster.on_ray(last, times[last]), Bound("path", (last,))))
        found.append((_base(panel, caster, last), Bound("base")))
    return found


def _base(panel: Surface, caster: Caster, corner: int) -> Array:
    """Return where the path of an upright meets the foot of a plane, on the ground.

    Of one that stands behind the foot of a slope: where it comes out of the slope.
    """
    foot, share = caster.feet[corner], based(panel, caster, corner)
    if share < 0:
        out = np.array(panel.outward)
        return np.asarray(foot + float((np.array(panel.start) - foot) @ out) / float(caster.up @ out) * caster.up)
    return np.asarray(foot + share * (caster.shades[corner] - foot))


def _bend(panel: Surface, caster: Caster, i: int, j: int) -> Array:
    """Return where the shadow of an edge of the top meets the foot of a plane, on the ground."""
    out = np.array(panel.outward)
    one, two = (float((caster.shades[k] - np.array(panel.start)) @ out) for k in (i, j))
    return np.asarray(caster.shades[i] + one / (one - two) * (caster.shades[j] - caster.shades[i]))


def _cut(loop: Loop, axis: int, *, is_most: bool, border: Bound) -> Loop:
    """Return what of an area lies on the inner side of a border of the face (Sutherland and Hodgman; from memory).

    Args:
        loop: places as shares of the face; ``axis``: 0 along, 1 up; ``is_most``: whether at most 1, else at least 0.
    """
    found: Loop = []
    for (place, bound), (after, _) in zip(loop, [*loop[1:], *loop[:1]], strict=True):
        own, other = (1 - at[axis] if is_most else at[axis] for at in (place, after))
        crossing = (
            place + own / (own - other) * (after - place) if (own < -SAME_SHARE) != (other < -SAME_SHARE) else None
        )
        if own >= -SAME_SHARE:
            found.append((place, bound))
            if crossing is not None:
                found.append((np.asarray(crossing), border))
        elif crossing is not None:
            found.append((np.asarray(crossing), bound))
    return found


def _spots(loop: Loop) -> tuple[Spot, ...]:
    """Return the corners of an area, those that fall together as one; none of an area that is hardly there."""
    if len(loop) < 3:
        return ()
    places = np.array([place for place, _ in loop])
    x, y = places[:, 0], places[:, 1]
    if abs(float(x @ np.roll(y, -1) - y @ np.roll(x, -1))) / 2 < LEAST_SHARE:
        return ()
    kept = [k for k in range(len(loop)) if float(np.abs(places[k] - places[(k + 1) % len(loop)]).max()) > SAME_SHARE]
    corners = [loop[k] for k in kept]
    return tuple(
        Spot(before, after, (float(place[0]), float(place[1])))
        for (_, before), (place, after) in zip([corners[-1], *corners[:-1]], corners, strict=True)
    )
