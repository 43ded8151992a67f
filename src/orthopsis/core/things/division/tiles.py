"""Square tiles on a level face: as wide as measured, and as deep as the eye's distance makes them.

In one-point the true edge is ticked; a level line at 45 degrees runs to a distance point and crosses the lines to the
vanishing point at the depths of the tiles. In two-point both edges are divided from one level line through their common
corner, each by its measuring point. Source: distance and measuring points (Viator, 1505; textbooks; from memory).
"""

from collections.abc import Iterator
from dataclasses import dataclass

import numpy as np

from orthopsis.core.construct.grid import ruled_along, tick
from orthopsis.core.construct.moves import Act, Cross, Rule, RuleToPoint, Run, Shift
from orthopsis.core.construct.panel import Panel
from orthopsis.core.errors import GeometryError
from orthopsis.core.plane.tolerance import SAME_SHARE
from orthopsis.core.sheet.length import format_limit
from orthopsis.core.things.division.parts import MOST_PARTS
from orthopsis.core.things.setting import Setting
from orthopsis.core.things.values import Values
from orthopsis.core.view.aim import AimRole
from orthopsis.core.view.frame import Way, distance_names, measuring_name

TILES = "tiles"
OTHER_WAY = "by ticks and the diagonal"
"""What is offered where no tiles can be laid."""


@dataclass(frozen=True, slots=True)
class Tiling:
    """How tiles lie on a level face.

    Attributes:
        panel: the face; ``setting``: what it stands in.
        wide_mm: how wide a tile is, measured at the corner where they begin.
        shares: where tiles end, as true shares of the face, along and up.
    """

    panel: Panel
    setting: Setting
    wide_mm: float
    shares: tuple[tuple[float, ...], tuple[float, ...]]

    @property
    def is_from_front(self) -> bool:
        """Whether one edge is drawn true, so that it is ticked by ruler."""
        return self.panel.up.goal.is_ideal

    def side(self, axis: int) -> int:
        """Return to which side an edge is laid off, along (0) or up (1): 1 to the right, -1 to the left."""
        way = (self.panel.along, self.panel.up)[axis]
        leads_away = 1 if self.panel.axes[axis][2] > 0 else -1
        return leads_away if way.goal.x > self.panel.page[0].x else -leads_away

    @property
    def _leads_right(self) -> int:
        """Whether the true edge leads to the right (1) from the corner where tiles begin, or to the left (-1)."""
        return 1 if self.panel.page[3].x > self.panel.page[0].x else -1

    @property
    def points(self) -> tuple[str, ...]:
        """The full names of the points that help: a distance point, or the measuring points along and up."""
        frame = self.setting.frame
        if self.is_from_front:
            leads_away = 1 if self.panel.axes[0][2] > 0 else -1
            left, right = distance_names(frame)
            return (right if self._leads_right * leads_away > 0 else left,)
        return tuple(measuring_name(frame, _role(self.setting, way)) for way in (self.panel.along, self.panel.up))

    @property
    def is_repeated(self) -> bool:
        """Whether one line to the distance point does not find the depths of all tiles."""
        return len(self.shares[0]) > len(self.shares[1]) + _ends_on_edge(self)

    @property
    def needs(self) -> frozenset[AimRole]:
        """What these points are to the view."""
        if self.is_from_front:
            is_right = self.points[0] == distance_names(self.setting.frame)[1]
            return frozenset({"right_distance" if is_right else "left_distance"})
        return frozenset({"left_measuring", "right_measuring"})


def _role(setting: Setting, way: Way) -> str:
    return next(role for role, held in setting.frame.ways if held.family == way.family)


def tiling(values: Values, setting: Setting, panel: Panel) -> Tiling:
    """Return how tiles lie on a face.

    Raises:
        GeometryError: the face is not level, nobody knows where the eye is, or there would be too many tiles, or none.
    """
    if not panel.is_level:
        raise _other_way("not_level", f"The {panel.says} is not level: only a floor or a top gets square tiles.")
    frame, eye = setting.frame, setting.frame.eye
    is_own = all(way.goal.is_ideal or way.family in frame.vanishing for way in (panel.along, panel.up))
    if not frame.is_metric or not is_own:
        raise _other_way("no_distance", "How deep a square tile is follows from the eye's distance, and none is given.")
    wide = values.mm("bay")
    true_mm = wide * panel.start[2] / eye.distance_mm
    lengths = [float(np.linalg.norm(axis)) for axis in panel.axes]
    fits = [length / true_mm for length in lengths]
    if max(fits) > MOST_PARTS or min(fits) < 1 - SAME_SHARE:
        is_least = max(fits) > MOST_PARTS
        limit = wide * (max(fits) / MOST_PARTS if is_least else min(fits))
        if max(fits) > MOST_PARTS * min(fits) or (not is_least and limit < setting.sheet.division_mm):
            raise _other_way("tiles_do_not_fit", f"The {panel.says} is too narrow for square tiles.")
        nearest = format_limit(limit, setting.sheet.units, setting.sheet.division_mm, is_least=is_least)
        why = "There would be too many tiles to draw" if is_least else f"A tile has no room on the {panel.says}"
        raise GeometryError(
            "tiles_do_not_fit", f"{why}.", f"The nearest that works is {nearest}.", about="bay", nearest=nearest
        )
    along, up = (
        tuple(k * true_mm / length for k in range(1, MOST_PARTS + 1) if k * true_mm < length * (1 - SAME_SHARE))
        for length in lengths
    )
    return Tiling(panel, setting, wide, (along, up))


def _other_way(code: str, why: str) -> GeometryError:
    return GeometryError(code, why, f"Divide it {OTHER_WAY}.", about="way", nearest=OTHER_WAY)


def tile_acts(values: Values, tiles: Tiling) -> Iterator[tuple[str, Act]]:
    """Yield the acts that mark where tiles end on two edges of a face, each with its breath.

    Raises:
        GeometryError: the level line from which both edges are divided has no room on the sheet.
    """
    yield from _by_distance(values, tiles) if tiles.is_from_front else _by_measuring_points(values, tiles)


def _by_distance(values: Values, tiles: Tiling) -> Iterator[tuple[str, Act]]:
    n, panel, (along, up) = values.full, tiles.panel, tiles.shares
    for j, share in enumerate(up, start=1):
        yield "face.tiles", tick(panel, n(f"start.{j}"), share)
    rows = [n(f"construction.row.{j}") for j in range(1, len(up) + 1)]
    for j, row in enumerate(rows, start=1):
        yield "face.levels", ruled_along(panel, row, n(f"start.{j}"), n(f"measure.end.{j}"))
    if _ends_on_edge(tiles):
        rows.append(panel.top)
    start, breath = panel.low, "face.distance"
    for i in range(1, len(along) + 1):
        number, before = divmod(i - 1, len(rows))
        diagonal = n(f"construction.diagonal.{number + 1}")
        if not before:
            last = rows[min(len(rows), len(along) - number * len(rows)) - 1]
            start = panel.low if not number else n(f"foot.{i - 1}")
            yield breath, RuleToPoint(diagonal, start, tiles.points[0], "construction", until=last)
        depth = n(f"measure.depth.{i}")
        yield breath, Cross(depth, diagonal, rows[before])
        yield (
            breath,
            Run(n(f"construction.depth.{i}"), n(f"foot.{i}"), depth, panel.up.family, panel.bottom, "construction"),
        )


def _ends_on_edge(tiles: Tiling) -> bool:
    """Tell whether the last tile ends on the edge of the face, or is the only one."""
    up = tiles.shares[1]
    step = up[0] if up else 1.0
    return abs((len(up) + 1) * step - 1) <= SAME_SHARE or not up


def _by_measuring_points(values: Values, tiles: Tiling) -> Iterator[tuple[str, Act]]:
    n, panel, sheet = values.full, tiles.panel, tiles.setting.sheet
    edges = ((panel.bottom, "foot"), (panel.first, "start"))
    marks: list[list[str]] = []
    for axis, (_, called) in enumerate(edges):
        count, side = len(tiles.shares[axis]), tiles.side(axis)
        mine = [n(f"measure.{called}.{k}") for k in range(1, count + 1)]
        if count and not sheet.holds(panel.page[0].x + side * count * tiles.wide_mm, panel.page[0].y):
            raise _other_way(
                "no_room_to_measure", f"The tiles of the {panel.says} have no room on a level line of the sheet."
            )
        for k, mark in enumerate(mine, start=1):
            yield "face.tiles_laid", Shift(mark, panel.low, side * k * tiles.wide_mm)
        if mine:
            yield (
                "face.tiles_laid",
                Rule(n(f"construction.laid.{called}"), panel.low, mine[-1], "level", "construction"),
            )
        marks.append(mine)
    for (edge, called), mine, point in zip(edges, marks, tiles.points, strict=True):
        breath = f"face.tiles_over_{called}"
        for k, mark in enumerate(mine, start=1):
            carry = n(f"construction.over.{called}.{k}")
            yield breath, RuleToPoint(carry, mark, point, "construction", until=edge)
            yield breath, Cross(n(f"{called}.{k}"), carry, edge)
