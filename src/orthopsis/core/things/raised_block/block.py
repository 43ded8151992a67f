"""A block over its plan on a level top: where it is, how it is drawn, the faces that it offers."""

from collections.abc import Callable, Iterator, Mapping
from dataclasses import replace

import numpy as np
from propcache.api import cached_property

from orthopsis.core.construct.meeting import meeting
from orthopsis.core.construct.moves import Act, Move, Rule, RuleToPoint, Run
from orthopsis.core.construct.panel import Back, Ceiling, Panel, away_from, vector
from orthopsis.core.errors import GeometryError
from orthopsis.core.plane.homogeneous import Point
from orthopsis.core.sheet.ruler import round_to
from orthopsis.core.things.answers import Clause, Handle
from orthopsis.core.things.carried_height import AT_EDGE, AT_EDGE_SAYS, CarriedHeight
from orthopsis.core.things.parameters import Value
from orthopsis.core.things.raised import Raised, foot_name, top_name
from orthopsis.core.things.rectangles.forms import SIDES
from orthopsis.core.things.setting import Setting
from orthopsis.core.things.upward import Upward
from orthopsis.core.view.eye import Array

_WALLS = {"low": (0, 1), "far": (1, 2), "high": (3, 2), "near": (0, 3)}
"""The corners of each wall: at its upright that is nearer to the first corner of the plan, and at the other one."""


_WALL_WORDS = {"front": "front", "back": "back", "left": "left side", "right": "right side"}

REACHES = {"measured": "measured", AT_EDGE: AT_EDGE_SAYS, "ceiling": "up to the ceiling"}


class RaisedBlock(Raised, CarriedHeight):
    """A block over its plan."""

    sentence: tuple[Clause, ...] = (
        Clause("Its plan, free, taken, free: {along} along the top, {up} up it. Its height is {reach}"),
        Clause(", {rise}", {"reach": ("measured", AT_EDGE)}),
        Clause("."),
    )

    @classmethod
    def place(cls, setting: Setting, count: int) -> Mapping[str, Value]:
        """Return values for one more: in the middle of the top."""
        return {"along": "1:2:1", "up": "1:2:1", "rise": round_to(setting.fresh_size / 2, setting.sheet.division_mm)}

    @property
    def may_be_thin(self) -> bool:
        """What stands on a table may be thin."""
        return True

    @cached_property
    def feet(self) -> Array:
        """The corners of its plan in the world, shape (4, 3).

        Raises:
            GeometryError: a wall of it is seen edge-on.
        """
        feet, panel = self.panel.places(self.foot_shares), self.panel
        seen = self._seen(feet)
        if panel.up.goal.is_ideal:
            # A wall that goes away, seen edge-on, is found by the other one.
            is_narrow = all(self.is_edge_on(seen[i], panel.along) for i in (0, 3))
        else:
            is_narrow = any(self.is_edge_on(at, way) for at in seen for way in (panel.along, panel.up))
        if is_narrow:
            raise self.edge_on("Move it to one side, make it wider, or move what it stands on.")
        return feet

    @property
    def goes_round(self) -> bool:
        """Whether the wall over the lower edge of its plan is seen edge-on: the hand then goes round the other way."""
        return self.panel.up.goal.is_ideal and self.is_edge_on(self._seen(self.feet[:1])[0], self.panel.along)

    @cached_property
    def upward(self) -> Upward:
        """The upright over its nearest corner, on which the height is measured."""
        return Upward(self._seen(self.feet[:1])[0], self.panel.out)

    @cached_property
    def world(self) -> Mapping[str, Array]:
        """Its corners in the world.

        Raises:
            GeometryError: its top would reach the third point, or lie on the eye level.
        """
        feet, up = self.feet, self._up
        return {foot_name(i): at for i, at in enumerate(feet)} | {top_name(i): at + up for i, at in enumerate(feet)}

    def keep_shape(self, after: Setting) -> Mapping[str, float]:
        """Return the height over its nearest corner with which it is as high in the world as before."""
        if self.reaches_ceiling:
            return {}
        there, high = type(self)(self.values, after), float(np.linalg.norm(self._up))
        return {"rise": there.measured_mm(high)}

    @property
    def reaches_ceiling(self) -> bool:
        """Whether it is as high as the room in which it stands."""
        return self.values.held.get("reach") == "ceiling"

    @property
    def _up(self) -> Array:
        """The way up to its top in the world, mm.

        Raises:
            GeometryError: its top would reach the third point, or lie on the eye level; or there is no ceiling, or it
                cannot be found there.
        """
        assert self.panel.outward is not None
        if not self.reaches_ceiling:
            return self._measured_up
        ceiling = self._ceiling
        if self.is_edge_on(self._seen(self.feet[:1])[0], self.panel.along):
            raise self.edge_on("Move it to one side, or measure its height.")
        return np.array(ceiling.vector)

    @property
    def _ceiling(self) -> Ceiling:
        """The ceiling up to which it reaches.

        Raises:
            GeometryError: there is none.
        """
        if self.panel.ceiling is not None:
            return self.panel.ceiling
        raise GeometryError(
            "no_ceiling",
            f"There is no ceiling over {self.anchor.thing}, up to which “{self.values.name}” could reach.",
            "Measure its height, or let it stand in a room with a ceiling.",
            about="reach",
            nearest="measured",
        )

    @property
    def _measured_up(self) -> Array:
        rise = self.values.mm("rise")
        if not self.is_carried:
            self.check_lid(rise)
            return self.risen(rise)
        up = self.risen(rise)
        self.check_carried(rise, up)
        return up

    def _ceiling_acts(self) -> Iterator[Act]:
        """Yield the acts that carry its height over: on the floor to the wall, up that, and along the ceiling."""
        n, panel, ceiling = self.values.full, self.panel, self._ceiling
        foot, wall, over = n(foot_name(0)), n("measure.wall"), n("measure.over")
        yield Run(n("construction.floor"), wall, foot, panel.along.family, panel.far, "construction")
        yield Run(n("construction.wall"), over, wall, panel.out.family, ceiling.edge, "construction")
        laid = n("construction.laid.ceiling")
        yield RuleToPoint(laid, over, panel.along.family, "unseen")
        yield Run(n("upright.0"), n(top_name(0)), foot, panel.out.family, laid, self.role("upright.0"))
        yield Rule(n("construction.ceiling"), over, n(top_name(0)), panel.along.family, "construction")

    @cached_property
    def recipe(self) -> tuple[Move, ...]:
        """The hand's moves: light lines, the plan, its height, two walls, the top."""
        told = [("raised.plan", act) for act in self.foot_acts()]
        if self.reaches_ceiling:
            told += [("raised.to_ceiling", act) for act in self._ceiling_acts()]
        else:
            told += [(f"raised.height{self.carried_suffix}", act) for act in self._height_acts()]
        if self.goes_round:
            told += [("raised.around", act) for act in self.round_acts()]
        else:
            told += [("raised.sides", act) for act in self.side_acts()]
            told += [("raised.top", act) for act in self.lid_acts()]
        return (*self.grid.moves(), *(self.values.move("back", breath, act) for breath, act in told))

    def _height_acts(self) -> Iterator[Act]:
        rise, line = self.values.mm("rise"), "upright.0"
        if self.is_carried:
            return self.carried_acts([rise], [top_name(0)], line, self.role(line))
        return self.height_acts(rise)

    def round_acts(self) -> Iterator[Act]:
        """Yield the acts that find the top's corners one after the other, away from the wall that is seen edge-on."""
        n, panel, page = self.values.full, self.panel, self.page
        steps = ((0, 3, "near", panel.up), (3, 2, "high", panel.along), (2, 1, "far", panel.up))
        for here, there, side, way in steps:
            aside = page[top_name(there)].x - page[top_name(here)].x
            upright = (n(foot_name(there)), panel.out, n(f"construction.upright.{there}"))
            edge = (n(top_name(here)), way, n(f"top.{side}"))
            role = self.role(f"top.{side}")
            yield from meeting(upright, edge, n(top_name(there)), aside, role, n(f"construction.laid.{side}"))
            name = f"upright.{there}"
            yield Rule(n(name), n(foot_name(there)), n(top_name(there)), panel.out.family, self.role(name))
        yield Rule(n("top.low"), n(top_name(0)), n(top_name(1)), panel.along.family, self.role("top.low"))

    @property
    def handles(self) -> Mapping[str, Handle]:
        """The two corners of the part of the top that it takes, and its height."""
        return self.part_handles if self.reaches_ceiling else {**self.part_handles, "rise": self.measured_handle}

    @cached_property
    def spans(self) -> Mapping[str, tuple[Point, Point]]:
        """Between which points its height is measured."""
        return {} if self.reaches_ceiling else {"rise": self.measured_span}

    @cached_property
    def faces(self) -> Mapping[str, Panel]:
        """Its top, the walls that show, and what its shadow falls on."""
        walls = [wall for _, wall in self.seen_walls]
        return {
            "top": replace(self.lid, back=self._under_top),
            **{wall.turned: wall for wall in walls},
            "ground": replace(self.foot, back=self.over_foot).ground,
        }

    @property
    def seen_walls(self) -> Iterator[tuple[str, Panel]]:
        """The walls that show, each with its name in the solid."""
        yield from ((side, self._wall(side)) for side in _WALLS if side in self.shown)

    @property
    def over_foot(self) -> Back:
        """Where it ends over its foot."""
        return self._end(foot_name, top_name, "top")

    @property
    def _under_top(self) -> Back:
        """Where it ends under its top: on its plan."""
        return self._end(top_name, foot_name, "under")

    def _end(self, here: Callable[[int], str], there: Callable[[int], str], face: str) -> Back:
        """Return where it ends behind its foot or its top, by the names of their corners."""
        n, names = self.values.full, [there(i) for i in range(4)]
        low, far_low, far_high, high = (n(name) for name in names)
        at = [self.page[name] for name in names]
        return Back(
            low=low, far_low=far_low, far_high=far_high, high=high, upper=(n("upright.3"), n("upright.2")),
            page=(at[0], at[1], at[2], at[3]), vector=vector(self.world[there(0)] - self.world[here(0)]), face=face,
        )  # fmt: skip

    def _wall(self, side: str) -> Panel:
        """Return a wall, from its upright that is nearer to the first corner of the plan."""
        first, other = _WALLS[side]
        n, panel, number, page, around = self.values.full, self.panel, SIDES.index(side), self.page, self.panel.around
        along, out = (panel.up, panel.along) if number % 2 else (panel.along, panel.up)
        low, far, high = (self.world[name] for name in (foot_name(first), foot_name(other), top_name(first)))
        corners = foot_name(first), foot_name(other), top_name(other), top_name(first)
        before, after = self._beside(side)
        back = self._back(side)
        return Panel(
            says=_WALL_WORDS[around[number]], face=side, turned=around[number],
            low=n(corners[0]), far_low=n(corners[1]), far_high=n(corners[2]), high=n(corners[3]),
            first=n(f"upright.{first}"), bottom=n(f"foot.{side}"), top=n(f"top.{side}"), far=n(f"upright.{other}"),
            around=("bottom", around[after], "top", around[before]), along=along, up=panel.out, out=out,
            drawn_from="low", page=(page[corners[0]], page[corners[1]], page[corners[2]], page[corners[3]]),
            start=vector(low), axes=(vector(far - low), vector(high - low)), first_says="nearest upright",
            back=back, outward=away_from(np.array(back.vector)),
        )  # fmt: skip

    def _beside(self, side: str) -> tuple[int, int]:
        """Return the numbers of the walls beside one: at its first upright, and at the other one."""
        number, (first, _) = SIDES.index(side), _WALLS[side]
        before, after = (number - 1) % 4, (number + 1) % 4
        return (before, after) if first == number else (after, before)

    def _back(self, side: str) -> Back:
        """Return where the block ends behind a wall."""
        opposite = SIDES[(SIDES.index(side) + 2) % 4]
        (first, _), (back, beyond) = _WALLS[side], _WALLS[opposite]
        n, page, (before, after) = self.values.full, self.page, self._beside(side)
        corners = foot_name(back), foot_name(beyond), top_name(beyond), top_name(back)
        return Back(
            low=n(corners[0]), far_low=n(corners[1]), far_high=n(corners[2]), high=n(corners[3]),
            upper=(n(f"top.{SIDES[before]}"), n(f"top.{SIDES[after]}")),
            page=(page[corners[0]], page[corners[1]], page[corners[2]], page[corners[3]]),
            vector=vector(self.world[corners[0]] - self.world[foot_name(first)]), face=opposite,
        )  # fmt: skip
