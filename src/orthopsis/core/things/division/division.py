"""A division as a thing: its lines on the face by both routes, its sentence and its handle."""

import math
from collections.abc import Mapping

import numpy as np
from propcache.api import cached_property

from orthopsis.core.construct.moves import Move, Role, Run
from orthopsis.core.construct.panel import Panel
from orthopsis.core.plane.homogeneous import Point, between, distance
from orthopsis.core.sheet.ruler import round_to
from orthopsis.core.sight.solid import Edge, Solid, Topology
from orthopsis.core.things.answers import Called, Clause, Field, Free, Handle, Skewed, Spoken
from orthopsis.core.things.division.cells import cells
from orthopsis.core.things.division.marks import mark_moves
from orthopsis.core.things.division.shares import COUNTED, Divided, divided
from orthopsis.core.things.division.tiles import TILES, Tiling, tiling
from orthopsis.core.things.parameters import Value
from orthopsis.core.things.setting import Setting
from orthopsis.core.things.standing import Standing
from orthopsis.core.view.aim import AimRole
from orthopsis.core.wording.names import Feature
from orthopsis.core.wording.vocabulary import counted, listed

REPEATED = ("repeat_near", "repeat_far")
_LINE = Feature("line")
FADES = (1.5, 2.5, math.inf)
"""A dark tile is lighter by one step where it is this many times as far away as the nearest one (no source)."""
TILES_IN_A_ROW = 6


def _column(number: int) -> str:
    return f"column.{number}"


class Division(Standing):
    """A face divided."""

    sentence: tuple[Clause, ...] = (
        Clause("Divided {way}: {along} along and {up} up. ", {"way": COUNTED}),
        Clause("Divided {way}, {bay} wide at the corner where they begin; they are {fields}. ", {"way": (TILES,)}),
        Clause("The first part is {bay} long. ", {"way": REPEATED}),
        Clause("Its lines {stays}."),
    )

    @classmethod
    def place(cls, setting: Setting, count: int) -> Mapping[str, Value]:
        """Return values for one more division: in two, by the face's diagonals."""
        return {"way": "halving", "along": "2", "up": "1"}

    @property
    def way(self) -> str:
        """How it is divided."""
        return self.values.word("way")

    @cached_property
    def ends(self) -> Divided:
        """Where the parts end."""
        return divided(self.values, self.setting, self.panel)

    @property
    def keeps_lines(self) -> bool:
        """Whether its lines stay."""
        return self.values.word("stays") == "lines"

    @cached_property
    def solid(self) -> Solid:
        """The lines in the world of the frame's eye: edges without faces, on the face of the other thing."""
        panel, at = self.panel, self.ends
        columns, rows = range(1, len(at.along) + 1), range(1, len(at.up) + 1)
        shares = [(along, up) for along in at.along for up in (0.0, 1.0)]
        shares += [(along, up) for up in at.up for along in (0.0, 1.0)]
        names = [f"{end}.{i}" for i in columns for end in ("foot", "head")]
        names += [f"{end}.{j}" for j in rows for end in ("start", "end")]
        edges = [Edge(_column(i), f"foot.{i}", f"head.{i}", panel.up.family, feature=_LINE) for i in columns]
        edges += [Edge(f"row.{j}", f"start.{j}", f"end.{j}", panel.along.family, feature=_LINE) for j in rows]
        return Solid(Topology(tuple(names), (), tuple(edges) if self.keeps_lines else ()), panel.places(shares))

    @cached_property
    def recipe(self) -> tuple[Move, ...]:
        """The hand's moves: the marks in the chosen way, and the lines through them."""
        n, at, panel = self.values.full, self.ends, self.panel
        role: Role = "edge" if self.keeps_lines else "construction"
        lines = [
            Run(n(_column(i)), n(f"head.{i}"), n(f"foot.{i}"), panel.up.family, panel.top, role)
            for i in range(1, len(at.along) + 1)
        ]
        lines += [
            Run(n(f"row.{j}"), n(f"end.{j}"), n(f"start.{j}"), panel.along.family, panel.far, role)
            for j in range(1, len(at.up) + 1)
        ]
        breath = "face.checkered" if self.is_checkered else "face.lines" if role == "edge" else "face.light"
        marks = mark_moves(self.values, self.setting, panel, at)
        return (*marks, *(self.values.move("divide", breath, line) for line in lines))

    @cached_property
    def _tiles(self) -> Tiling:
        """How square tiles lie on it."""
        return tiling(self.values, self.setting, self.panel)

    @property
    def needs(self) -> frozenset[AimRole]:
        """The distance or measuring points by which square tiles are found."""
        return self._tiles.needs if self.way == TILES else frozenset()

    @property
    def is_checkered(self) -> bool:
        """Whether every other tile is dark."""
        return self.way == TILES and self.keeps_lines and self.values.word("fields") == "checkered"

    @cached_property
    def fields(self) -> tuple[Field, ...]:
        """Every other tile, where it is dark: strongest in front, and fading with distance."""
        if not self.is_checkered:
            return ()
        panel, eye = self.panel, self.setting.frame.eye
        along, up = ((0.0, *shares, 1.0) for shares in (self.ends.along, self.ends.up))
        shares = [
            [(along[i], up[j]), (along[i + 1], up[j]), (along[i + 1], up[j + 1]), (along[i], up[j + 1])]
            for i in range(len(along) - 1)
            for j in range(i % 2, len(up) - 1, 2)
        ]
        places = panel.places(place for corners in shares for place in corners)
        page, depths = eye.see(places).reshape(-1, 4, 2), places[:, 2].reshape(-1, 4).mean(axis=1)
        times = depths / depths.min()
        return tuple(
            Field(panel.face, (tuple((x, y) for x, y in corners),), sum(far < limit for limit in FADES))
            for corners, far in zip(page.tolist(), times.tolist(), strict=True)
        )

    @property
    def spoken(self) -> Mapping[str, Spoken]:
        """How square tiles are laid: how wide, by which points, how many to each side."""
        if self.way != TILES:
            return {}
        tiles, (along, up) = self._tiles, (self.ends.along, self.ends.up)
        said: dict[str, Spoken] = {"tile": tiles.wide_mm, "tile_point": Called(tiles.points[0])}
        if tiles.is_from_front:
            again = tiles.is_repeated
            return {
                **said,
                "again": " Begin again at the foot of the last one, as often as there is floor." if again else "",
            }
        counts = {tiles.side(axis): len(shares) for axis, shares in enumerate((along, up)) if shares}
        sides = [
            f"{counted(counts[side], 'time')} to the {says}"
            for side, says in ((-1, "left"), (1, "right"))
            if side in counts
        ]
        return {**said, "second_point": Called(tiles.points[1]), "tile_sides": listed(sides)}

    @cached_property
    def _bay(self) -> tuple[Point, Point]:
        """Between which points a repeated part or a tile is measured."""
        low, far, _, high = self.panel.page
        if self.way == TILES:
            side = self._tiles.side(0) if not self._tiles.is_from_front else 1 if high.x > low.x else -1
            return low, Point(low.x + side * self.values.mm("bay"), low.y)
        start, end = (low, far) if self.way == "repeat_near" else (far, low)
        return start, between(start, end, self.values.mm("bay") / self.panel.bottom_mm)

    @property
    def handles(self) -> Mapping[str, Handle]:
        """The end of a repeated part, or of a tile."""
        if self.way not in (*REPEATED, TILES):
            return {}
        return {"bay": Handle("Change the first part", self._bay[1], ("bay",), self._drag_bay)}

    def _drag_bay(self, at: Point) -> Mapping[str, Value]:
        return {"bay": max(distance(self._bay[0], at), self.setting.sheet.division_mm)}

    @cached_property
    def spans(self) -> Mapping[str, tuple[Point, Point]]:
        """Between which points a repeated part or a tile is measured."""
        return {"bay": self._bay} if self.way in (*REPEATED, TILES) else {}

    @cached_property
    def free_lines(self) -> tuple[Free, ...]:
        """The lines whose place is free: those that are found by eye."""
        along = self.panel.along
        if self.way != "eye" or along.goal.is_ideal:
            return ()
        return (Free(along.family, frozenset(_column(i) for i in range(1, len(self.ends.along) + 1))),)

    @cached_property
    def faces(self) -> Mapping[str, Panel]:
        """Its parts, where its lines stay."""
        return cells(self.values, self.setting, self.panel, self.ends) if self.keeps_lines else {}

    def turned(self) -> Mapping[str, Value]:
        """Return it with what is along up, and what is up along."""
        return self.values.swapped(("along", "up"))

    def follow(self, name: str, value: Value) -> Mapping[str, Value]:
        """Return the length of a part with which the drawing stays nearly as it is, or with which tiles fit."""
        if name == "way" and value == TILES:
            return {"bay": self._fitting_tile}
        if name != "way" or value not in REPEATED:
            return {}
        panel, count = self.panel, len(self.ends.along) + 1
        share = panel.page_share(1 / count) if value == "repeat_near" else 1 - panel.page_share(1 - 1 / count)
        division = self.setting.sheet.division_mm
        return {"bay": max(round_to(share * panel.bottom_mm - division / 2, division), division)}

    @property
    def _fitting_tile(self) -> float:
        """How wide tiles are of which some six lie along the first edge."""
        panel, eye, division = self.panel, self.setting.frame.eye, self.setting.sheet.division_mm
        page_mm = float(np.linalg.norm(panel.axes[1])) * eye.distance_mm / panel.start[2]
        return max(round_to(page_mm / TILES_IN_A_ROW, division), division)

    @cached_property
    def skewed(self) -> tuple[Skewed, ...]:
        """The mark that lies farthest from where it would be in truth: none unless a ruler divided the page."""
        if self.way != "page":
            return ()
        panel = self.panel
        low, far, _, _ = panel.page
        drawn = {share: panel.page_share(share) for share in self.ends.along}
        places = [(between(low, far, page), between(low, far, panel.page_share(page))) for page in drawn.values()]
        return (Skewed(*max(places, key=lambda ends: distance(*ends)), {"way": "diagonal"}),) if places else ()
