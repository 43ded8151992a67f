"""A lean-to roof: one slope, from one edge of the top up to the edge of the lid that lies over the opposite one.

Its high wall and its two triangles stand in the walls of the house. One that runs with a gable roof is as steep as
that: the hand finds its high edge by the slope point of the other roof, or parallel to a gable that is drawn true, and
measures nothing.
"""

from collections.abc import Iterator, Mapping
from dataclasses import dataclass

import numpy as np
from propcache.api import cached_property

from orthopsis.core.construct.meeting import meeting
from orthopsis.core.construct.moves import Act, Move, Rule, RuleToPoint, Run, Side, Slide
from orthopsis.core.errors import GeometryError
from orthopsis.core.plane.homogeneous import Point, distance, join, meet
from orthopsis.core.things.answers import WHOLE, Clause, Handle, Spans, Spoken
from orthopsis.core.things.corner_look import corner_look
from orthopsis.core.things.gable.shape import SLOPES, GableShape
from orthopsis.core.things.hip.at_edge import CornerHigh, FrontHigh, HighAtEdge, corner_name, lid_name
from orthopsis.core.things.hip.recipe import corner_acts, lid_moves
from orthopsis.core.things.seamed import Seam
from orthopsis.core.view.eye import Array
from orthopsis.core.view.frame import Way

WITH_ROOF = "with_roof"
PITCHES = {"measured": "measured", WITH_ROOF: "such that it runs with the gable roof"}
_SAYS_PITCH = (
    Clause(". Its height is {pitch}"),
    Clause(", {rise} over the wall", {"pitch": ("measured",)}),
    Clause("."),
)
SAME_WAY = 1e-9
"""Two slopes run the same way whose level directions differ by less, as 1 less the cosine between them."""


@dataclass(frozen=True, slots=True)
class Pitched:
    """How steep a slope of a gable roof is, and by what a hand knows it.

    Attributes:
        steep: how much it rises for each millimetre that it runs.
        point: the point to which it runs; empty where it is drawn true.
        like: full names of the ends of its edge; ``ends``: where those are on the page.
    """

    steep: float
    point: str
    like: tuple[str, str]
    ends: tuple[Point, Point]


class LeanTo(HighAtEdge):
    """A lean-to roof over the top of a block: its height is measured, or it is as steep as a gable roof."""

    @property
    def goes_on(self) -> bool:
        """Whether it runs with a gable roof: to the same slope point."""
        return self.values.word("pitch") == WITH_ROOF

    @property
    def high_ends(self) -> tuple[str, str]:
        """What the ends of its high edge are called."""
        return lid_name(self.at), lid_name(self.at + 1)

    @property
    def level(self) -> Way:
        """Which way its high edge runs."""
        return self.panel.up if self.at % 2 else self.panel.along

    @cached_property
    def _flat(self) -> Array:
        """The corners of the top in the world, shape (4, 3)."""
        return self.panel.places([(0, 0), (1, 0), (1, 1), (0, 1)])

    @property
    def _run(self) -> Array:
        """The level way that its slope runs up, in the world."""
        return np.asarray(self._flat[self.at] - self._flat[self.at - 1])

    @cached_property
    def _pitched(self) -> Pitched:
        """The slope of a gable roof with which it runs.

        Raises:
            GeometryError: none runs that way that is drawn true, or whose point is marked.
        """
        up, run = np.array(self.panel.outward), self._run
        for roof in (cast for cast in self.setting.casts if isinstance(cast, GableShape)):
            for slope in SLOPES if roof.panel.is_true else roof.marked:
                way = roof.way_up(slope)
                rise = float(way @ up)
                level = way - rise * up
                long = float(np.linalg.norm(level))
                if level @ run > (1 - SAME_WAY) * long * np.linalg.norm(run):
                    point = "" if roof.panel.is_true else roof.aim_of[slope].name
                    names = roof.values.full(f"front.{slope}"), roof.values.full("front.peak")
                    return Pitched(rise / long, point, names, (roof.eave(slope)[0], roof.peak))
        raise GeometryError(
            "no_roof_to_run_with",
            f"“{self.values.name}” finds no gable roof with which it could run: none has a slope that rises the same "
            "way, drawn true or with its slope point marked.",
            "Measure its height, let it be highest elsewhere, or let the far end of the gable roof be found by its "
            "slope point.",
            about="pitch",
            nearest="measured",
        )

    def raised_by(self, low: Array) -> Array:
        """Return the way up to its high edge in the world.

        Raises:
            GeometryError: as ``_pitched``; or it would reach the third point.
        """
        if not self.goes_on:
            return super().raised_by(low)
        raised = np.array(self.panel.outward) * float(np.linalg.norm(self._run)) * self._pitched.steep
        is_behind = bool(np.any((self._flat + raised)[:, 2] <= 0))
        if is_behind or distance(*self._seen(np.array([low, low + raised]))) > self.upward.longest_mm:
            raise GeometryError(
                "edge_past_point",
                f"“{self.values.name}” would reach the third point, or the viewer.",
                "Measure its height, or let the house be lower or the gable roof flatter.",
                about="pitch",
                nearest="measured",
            )
        return np.asarray(raised)

    @property
    def handles(self) -> Mapping[str, Handle]:
        """Where its height is measured, if it is."""
        return {} if self.goes_on else super().handles

    @cached_property
    def spans(self) -> Mapping[str, tuple[Point, Point]]:
        """Between which points its height is measured, if it is."""
        return {} if self.goes_on else super().spans

    @property
    def spoken(self) -> Mapping[str, Spoken]:
        """Of one that runs with a gable roof: over which corners it is found, and which way its high edge runs."""
        if not self.goes_on:
            return super().spoken
        level = self.setting.frame.level_mm
        low, high = (corner_look(self.panel.page, i % 4, level) for i in (self.at - 1, self.at))
        return {**super().spoken, "low_look": low, "high_look": high, "high_way": self.level}

    @cached_property
    def world(self) -> Mapping[str, Array]:
        """Its corners in the world: those of the top, and over its high edge those of the lid."""
        k, flat = self.at, self._flat
        up = self.raised_by(flat[0])
        high = {lid_name(i): flat[i % 4] + up for i in (k, k + 1)}
        return {corner_name(i): at for i, at in enumerate(flat)} | high

    def outline_of(self, face: str) -> tuple[str, ...]:
        """Return the corners of a face."""
        k = self.at
        return {
            "slope": (corner_name(k + 2), corner_name(k + 3), lid_name(k), lid_name(k + 1)),
            "wall": (corner_name(k), corner_name(k + 1), lid_name(k + 1), lid_name(k)),
            "after": (corner_name(k + 1), corner_name(k + 2), lid_name(k + 1)),
            "before": (corner_name(k + 3), corner_name(k), lid_name(k)),
            "under": tuple(corner_name(3 - i) for i in range(4)),
        }[face]

    @property
    def face_names(self) -> Mapping[str, str]:
        """Its faces: the slope, the high wall, the two triangles, and where it lies on the house."""
        k, around = self.at, self.panel.around
        walls = {"wall": around[k], "after": around[(k + 1) % 4], "before": around[k - 1]}
        return {"slope": "top", **walls, "under": "bottom"}

    @cached_property
    def seams(self) -> Mapping[str, Seam]:
        """Its edges, by name."""
        k, up = self.at, self.panel.out.family
        level, runs = self.level.family, (self.goes_on and self._pitched.point) or "free"
        return {
            "upright.0": Seam(corner_name(k), lid_name(k), up, ("wall", "before")),
            "upright.1": Seam(corner_name(k + 1), lid_name(k + 1), up, ("wall", "after")),
            "high": Seam(lid_name(k), lid_name(k + 1), level, ("wall", "slope"), "ridge"),
            "slope.0": Seam(corner_name(k + 3), lid_name(k), runs, ("slope", "before"), "slope"),
            "slope.1": Seam(corner_name(k + 2), lid_name(k + 1), runs, ("slope", "after"), "slope"),
        }

    @cached_property
    def takes_away(self) -> Mapping[frozenset[str], Spans]:
        """The edges of the top over which its wall and its triangles stand, each in one plane with the wall below."""
        panel, k = self.panel, self.at
        corners = (panel.low, panel.far_low, panel.far_high, panel.high)
        return {frozenset((corners[i % 4], corners[(i + 1) % 4])): WHOLE for i in (k - 1, k, k + 1)}

    @cached_property
    def recipe(self) -> tuple[Move, ...]:
        """The hand's moves: the box on the house, then what stays of it."""
        if not self.goes_on:
            edges = [self.values.move("front", "lean.edges", act) for act in self.drawn_acts()]
            return (*lid_moves(self), *edges)
        told = [("", act) for act in corner_acts(self)]
        told += list(self._with_roof())
        found = [self.values.move("divide", breath, act) for breath, act in told]
        told_so = "lean.edges_with_roof" if self._pitched.point else "lean.edges_true_roof"
        return (*found, *(self.values.move("front", told_so, act) for act in self.drawn_acts()))

    def _with_roof(self) -> Iterator[tuple[str, Act]]:
        """Yield the acts that find its high edge by the slope of the other roof, each with its breath."""
        n, k, out = self.values.full, self.at, self.panel.out
        breath = "lean.with_roof" if self._pitched.point else "lean.with_true_roof"
        for act in self._to_point() if self._pitched.point else self._parallel():
            yield breath, act
        aside = self.page[lid_name(k + 1)].x - self.page[lid_name(k)].x
        for act in meeting(
            (n(corner_name(k + 1)), out, n("construction.over")), (n(lid_name(k)), self.level, n("construction.high")),
            n(lid_name(k + 1)), aside, "construction", n("construction.laid"),
        ):  # fmt: skip
            yield breath, act

    def _to_point(self) -> Iterator[Act]:
        """Yield the acts that find a high corner: the ruler lies on the slope point and on a low corner."""
        n, k, slope = self.values.full, self.at, self.values.full("construction.slope")
        yield RuleToPoint(slope, n(corner_name(k - 1)), self._pitched.point, "unseen")
        yield Run(
            n("construction.upright"), n(lid_name(k)), n(corner_name(k)), self.panel.out.family, slope, "construction"
        )

    def _parallel(self) -> Iterator[Act]:
        """Yield the acts that find it where a line from a low corner, parallel to the gable's edge, is over it."""
        n, k, upright = self.values.full, self.at, self.values.full("construction.upright")
        low, high = self.panel.page[k - 1], self.panel.page[k]
        parallel = join(low, join(*self._pitched.ends).direction)
        tall = meet(parallel, join(high, self.panel.out.goal)).y - high.y
        laid = n("construction.laid.upright")
        yield Side(laid, n("measure.high"), n(corner_name(k)), "upright", tall, "unseen")
        yield Slide(n("construction.slope"), n(lid_name(k)), n(corner_name(k - 1)), self._pitched.like, laid, "unseen")
        yield Rule(upright, n(corner_name(k)), n(lid_name(k)), self.panel.out.family, "construction")


class FrontLeanTo(FrontHigh, LeanTo):
    """A lean-to roof over a block that is drawn from its front."""

    sentence: tuple[Clause, ...] = (Clause("Its one slope is highest {high}"), *_SAYS_PITCH)


class CornerLeanTo(CornerHigh, LeanTo):
    """A lean-to roof over a block that is drawn from its nearest edge."""

    sentence: tuple[Clause, ...] = (Clause("Its one slope is highest {over}"), *_SAYS_PITCH)
