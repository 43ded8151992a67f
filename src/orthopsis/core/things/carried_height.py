"""A height that is measured where a ruler measures for all that stand on a face, and carried to its own thing.

On a face with an edge that is drawn true, that is on the edge, in line with the first corner of the plan; else it is at
the corner at which the face begins. From there lines to the points of the face carry the height over the plan. What is
equally tall there is so in truth, wherever it stands (textbooks of perspective; from memory).
"""

from collections.abc import Iterator, Mapping, Sequence

import numpy as np
from propcache.api import cached_property

from orthopsis.core.construct.moves import Act, Cross, MeasureAlong, Role, Rule, RuleToPoint, Run
from orthopsis.core.plane.homogeneous import Point
from orthopsis.core.plane.tolerance import SAME_SHARE
from orthopsis.core.things.answers import Handle, Spoken
from orthopsis.core.things.parameters import Value
from orthopsis.core.things.plan import OnPlan
from orthopsis.core.things.raised import foot_name
from orthopsis.core.things.upward import Upward
from orthopsis.core.view.eye import Array
from orthopsis.core.view.frame import Way

AT_EDGE = "edge"
AT_EDGE_SAYS = "measured at the first edge"


class CarriedHeight(OnPlan):
    """What rises from a plan, its height measured over its first corner, or at the first edge of the face."""

    @property
    def is_carried(self) -> bool:
        """Whether its height is measured at the first edge of the face, and it does not itself stand there."""
        return self.values.held.get("reach") == AT_EDGE and bool(self._hops)

    @property
    def _begins(self) -> tuple[float, float]:
        """The first corner of its plan, as shares of the face."""
        return self.foot_shares[0]

    @cached_property
    def _base_share(self) -> float:
        """At which share of the first edge its height is measured."""
        if self.panel.up.goal.is_ideal:
            return self._begins[1]
        return 0.0 if self.panel.drawn_from == "low" else 1.0

    @cached_property
    def _base(self) -> Array:
        """The place in the world over which its height is measured."""
        place = (0.0, self._base_share) if self.is_carried else self._begins
        return np.asarray(self.panel.places([place])[0])

    @cached_property
    def measured_upward(self) -> Upward:
        """The upright on which its height is measured."""
        return Upward(self._seen(self._base[None])[0], self.panel.out)

    def _on_edge(self, share: float) -> str:
        """Return the full name of a place of the first edge: a tick of its light lines, or an end."""
        if share <= SAME_SHARE:
            return self.panel.low
        return self.panel.high if share >= 1 - SAME_SHARE else self.grid.tick_name(share)

    @cached_property
    def _hops(self) -> tuple[tuple[str, tuple[float, float], Way], ...]:
        """Over which places its height is carried, one after the other: full name, place on the face, way there."""
        along, up = self._begins
        found = list[tuple[str, tuple[float, float], Way]]()
        if abs(up - self._base_share) > SAME_SHARE:
            found.append((self._on_edge(up), (0.0, up), self.panel.up))
        if along > SAME_SHARE:
            found.append((self.values.full(foot_name(0)), (along, up), self.panel.along))
        return tuple(found)

    def risen(self, mm: float) -> Array:
        """Return the way up in the world to where a height ends that is measured.

        Raises:
            GeometryError: it cannot be carried over its first corner, since that lies straight before a point.
        """
        assert self.panel.outward is not None
        if self.is_carried:
            for _, place, way in self._hops:
                if self.is_edge_on(self._seen(self.panel.places([place]))[0], way):
                    raise self.edge_on("Move it to one side, or measure its height over its own corner.")
        return self.measured_upward.risen(self.setting.frame.eye, self._base, np.array(self.panel.outward), mm)

    def check_carried(self, mm: float, up: Array) -> None:
        """Refuse a height that reaches the third point where it is measured, or with which its top is on the eye level.

        Args:
            up: the way up in the world.
        """
        most, division = self.measured_upward.longest_mm, self.setting.sheet.division_mm
        if mm > most:
            raise self.refused("edge_past_point", "is higher than the third point", most, is_least=False)
        top = self._seen(self.panel.places([self._begins]) + up)[0]
        if abs(top.y - self.setting.frame.level_mm) < division / 2:
            why = "would have its top on the eye level, as a mere line"
            raise self.refused("lid_on_eye_level", why, mm + 2 * division, is_least=True)

    def measured_mm(self, high_mm: float) -> float:
        """Return how long a height is where it is measured, mm on the page; ``high_mm``: how tall in the world."""
        return self.page_mm(self._base, 0.0, high_mm)

    @property
    def measured_span(self) -> tuple[Point, Point]:
        """Between which points of the page its height is measured."""
        upward = self.measured_upward
        return upward.foot, upward.mark(self.values.mm("rise"))

    @property
    def measured_handle(self) -> Handle:
        """The end of its height, where that is measured."""
        return Handle("Change its height", self.measured_span[1], ("rise",), self._drag_measured)

    def _drag_measured(self, at: Point) -> Mapping[str, Value]:
        return {"rise": max(self.measured_upward.reached_mm(at), self.setting.sheet.division_mm)}

    def carried_acts(self, heights: Sequence[float], names: Sequence[str], line: str, role: Role) -> Iterator[Act]:
        """Yield the acts that measure heights at the first edge and carry them over the first corner.

        Args:
            heights: mm, the lowest first; ``names``: what their places over the corner are called within the thing.
            line: what the upright there is called within the thing; ``role``: how it is drawn.
        """
        n, out, last = self.values.full, self.panel.out.family, len(heights) - 1
        upright, marks = n("construction.edge"), [n(f"measure.edge.{i}") for i in range(len(heights))]
        yield from self.measured_upward.acts(
            self._on_edge(self._base_share),
            upright,
            marks[last],
            n("construction.edge_laid"),
            heights[last],
            "construction",
        )
        for mark, mm in zip(marks[:last], heights[:last], strict=True):
            yield MeasureAlong(mark, upright, mm)
        for number, (foot, _, way) in enumerate(self._hops, start=1):
            is_last = number == len(self._hops)
            there = [n(name) for name in names] if is_last else [n(f"measure.over.{i}") for i in range(len(heights))]
            over, laid = n(line if is_last else "construction.over"), n(f"construction.over_laid.{number}")
            yield RuleToPoint(laid, marks[last], way.family, "unseen")
            yield Run(over, there[last], foot, out, laid, role if is_last else "construction")
            carried = n(f"construction.carried.{number}.{last}")
            yield Rule(carried, marks[last], there[last], way.family, "construction")
            for i in range(last):
                carried = n(f"construction.carried.{number}.{i}")
                yield RuleToPoint(carried, marks[i], way.family, "construction", until=over)
                yield Cross(there[i], carried, over)
            marks = there

    @property
    def carried_suffix(self) -> str:
        """What the words of the step are called by that finds its height."""
        return f"_carried_{len(self._hops)}" if self.is_carried else ""

    @property
    def spoken(self) -> Mapping[str, Spoken]:
        """Where a height that is carried is measured, and which way it is carried first."""
        if not self.is_carried:
            return super().spoken
        first = self.panel.first_says
        if self.panel.up.goal.is_ideal:
            where = f"on the {first}, where the light line of the {self.first_look} corner begins"
        else:
            where = f"at the nearer end of the {first}"
        return {**super().spoken, "measured_where": where, "edge_way": self.panel.up}
