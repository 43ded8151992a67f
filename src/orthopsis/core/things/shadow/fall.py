"""What of one cast shadow falls on one face of another thing, and what its corners and edges are called."""

from collections.abc import Iterator, Sequence
from dataclasses import dataclass

from orthopsis.core.construct.panel import Panel
from orthopsis.core.plane.homogeneous import Point
from orthopsis.core.things.shadow.falling import Border, Bound, Caster, Spot, crossed_under
from orthopsis.core.things.shadow.shape import ShadowShape


@dataclass(frozen=True, slots=True, eq=False)
class Fall:
    """What of one cast shadow falls on one face.

    Attributes:
        number: which of the shadows it is.
        cast: that shadow on the ground; ``caster``: what casts it, in the world of the thing on which it falls.
        panel: the face; ``is_low``: whether it stands on the ground.
        spots: its corners round it.
    """

    number: int
    cast: ShadowShape
    caster: Caster
    panel: Panel
    is_low: bool
    spots: tuple[Spot, ...]

    def name(self, *parts: str) -> str:
        """Return what something of it is called within the thing."""
        return ".".join((f"of_{self.number}", self.panel.face, *parts))

    def corner(self, spot: Spot) -> str:
        """Return what a corner is called within the thing."""
        return self.name(spot.before.name, spot.after.name)

    @property
    def is_by_lamp(self) -> bool:
        """Whether it lies on a level face by a lamp: each path then runs another way."""
        return self.panel.is_level and self.cast.setting.light.is_lamp

    def vanishes(self, corner: int) -> Point:
        """Return where the path of an upright on the ground, carried on, comes to the eye level.

        The path on a level face runs to the same point: both lie in the upright plane of the ray, and are parallel.
        """
        x, y, z = (self.caster.shades[corner] - self.caster.feet[corner]).tolist()
        return self.cast.setting.frame.eye.vanishing_point((x, y, z))

    @property
    def sides(self) -> Iterator[tuple[Bound, Spot, Spot]]:
        """The lines that bound it and are drawn, each from corner to corner."""
        for spot, after in zip(self.spots, (*self.spots[1:], self.spots[0]), strict=True):
            if spot.after.is_drawn:
                yield spot.after, spot, after

    def family(self, bound: Bound) -> str:
        """Return which way a line that bounds it runs: a direction, or a point."""
        panel, cast = self.panel, self.cast
        if bound.kind == "path" and (panel.incline is not None or self.is_by_lamp):
            return "free"
        if bound.kind == "path":
            return cast.setting.shadows.family if panel.is_level else panel.up.family
        way = cast.way_between(*bound.corners)
        return way.family if panel.is_level or way.family == panel.along.family else "free"


BORDERS: tuple[Border, ...] = ("bottom", "far", "top", "first")


def line_of(fall: Fall, border: Border) -> str:
    """Return the full name of an edge of the face on which it falls."""
    panel = fall.panel
    return {"bottom": panel.bottom, "far": panel.far, "top": panel.top, "first": panel.first}[border]


def comes_from(fall: Fall, falls: Sequence[Fall]) -> Iterator[tuple[Fall, Border]]:
    """Yield on which faces a shadow may have been before, and over which border of these it came.

    Args:
        falls: all that falls of it, from the ground up.
    """
    own = {line_of(fall, border) for border in BORDERS}
    for before in falls[: falls.index(fall)]:
        yield from ((before, border) for border in BORDERS if line_of(before, border) in own)


def is_found(falls: Sequence[Fall]) -> bool:
    """Tell whether a hand can find all that falls of a shadow: it begins at the ground, on faces that are seen."""
    return all((fall.is_low or any(comes_from(fall, falls))) and _has_paths_found(fall) for fall in falls)


def _has_paths_found(fall: Fall) -> bool:
    """Tell whether the paths on a face can be found.

    On a slope that is by where they would cross its upper edge, by a lamp over a top by the points to which they run.
    """
    if fall.is_by_lamp:
        sheet = fall.cast.setting.sheet
        goals = [fall.vanishes(corner) for corner in fall.caster.chain]
        return all(not goal.is_ideal and sheet.holds(*goal.xy) for goal in goals)
    if fall.panel.incline is None:
        return True
    return all(crossed_under(fall.panel, fall.caster, corner) is not None for corner in fall.caster.chain)
