"""Where are the posts and the rails of a handrail?

On each side ``nose.i`` is the front of tread i, on which a post stands, ``top.i`` its upper end, ``half.i`` its middle,
of the first and the last one. It has no thickness: posts and rails are lines in the planes of the sides of the stairs.
"""

from collections.abc import Iterator, Mapping

import numpy as np
from propcache.api import cached_property

from orthopsis.core.construct.panel import Flight
from orthopsis.core.errors import GeometryError
from orthopsis.core.plane.homogeneous import Point, unit_toward
from orthopsis.core.sheet.ruler import round_to
from orthopsis.core.sight.solid import Edge, Solid, Topology
from orthopsis.core.things.answers import Spoken
from orthopsis.core.things.plan import EDGE_ON
from orthopsis.core.things.standing import Standing
from orthopsis.core.things.upward import Upward
from orthopsis.core.view.eye import Array
from orthopsis.core.view.frame import Way
from orthopsis.core.wording.names import Feature

POSTS = {"1": "every step", "2": "every second step", "3": "every third step"}
BARS = {"one": "A handrail", "two": "A handrail, and a rail half way up,"}
ON = {"near": "on this side", "both": "on both sides"}
NEAR, FAR = "near", "far"


class HandrailShape(Standing):
    """A handrail on the steps."""

    @property
    def flight(self) -> Flight:
        """The steps."""
        assert self.panel.flight is not None
        return self.panel.flight

    @property
    def last(self) -> int:
        """The number of the last tread."""
        return len(self.flight.noses) - 1

    @property
    def posts(self) -> tuple[int, ...]:
        """The treads on which a post stands: the first, so many after each other, and the last."""
        return (*range(0, self.last, int(self.values.word("posts"))), self.last)

    @property
    def sides(self) -> tuple[str, ...]:
        """The sides on which it stands."""
        return (NEAR, FAR) if self.values.word("on") == "both" else (NEAR,)

    @property
    def has_half(self) -> bool:
        """Whether a rail runs half way up the posts."""
        return self.values.word("bars") == "two"

    @property
    def half_mm(self) -> float:
        """How high the middle of the first post is on the page, on a mark of the ruler, mm."""
        return round_to(self.values.mm("high") / 2, self.setting.sheet.division_mm)

    @property
    def may_be_thin(self) -> bool:
        """It is a line."""
        return True

    @property
    def draws_edges(self) -> bool:
        """Posts and rails are edges."""
        return True

    @property
    def ends(self) -> tuple[str, ...]:
        """What lies over each nose, the upper ends first."""
        return ("top", "half") if self.has_half else ("top",)

    @cached_property
    def noses(self) -> Array:
        """The fronts of the treads on this side in the world, shape (n, 3)."""
        return self.panel.places(self.flight.shares)

    @cached_property
    def upward(self) -> Upward:
        """The upright over the front of the first tread, on which its height is measured."""
        (foot,) = self.setting.frame.eye.see(self.noses[:1]).tolist()
        return Upward(Point(*foot), self.panel.up)

    def risen(self, mm: float) -> Array:
        """Return the way up in the world of a height that is measured over the first tread."""
        way = np.array(self.panel.axes[1])
        return self.upward.risen(self.setting.frame.eye, self.noses[0], way / np.linalg.norm(way), mm)

    @cached_property
    def world(self) -> Mapping[str, Array]:
        """Its corners in the world, by name.

        Raises:
            GeometryError: the far side is seen edge-on.
        """
        ways = {"nose": np.zeros(3), "top": self.risen(self.values.mm("high")), "half": self.risen(self.half_mm)}
        aside = {NEAR: np.zeros(3), FAR: np.array(self.flight.wide)}
        found = {
            f"{side}.{end}.{i}": self.noses[i] + ways[end] + aside[side]
            for side in self.sides
            for end in ("nose", *self.ends)
            for i in (self.posts if end != "half" else (0, self.last))
        }
        if FAR in self.sides:
            self._check_crossing(found)
        return found

    def _check_crossing(self, places: Mapping[str, Array]) -> None:
        """Refuse a far side that cannot be found: lines across, or those the steps climb along, run nearly upright."""
        across, ahead = (NEAR, self.flight.across), (FAR, self.panel.along)
        for side, way in (across, ahead):
            corners = np.array([places[f"{side}.top.{i}"] for i in (0, self.last)])
            for x, y in self.setting.frame.eye.see(corners).tolist():
                if not way.goal.is_ideal and self._is_upright(Point(x, y), way):
                    raise GeometryError(
                        "seen_edge_on",
                        f"The other side of “{self.values.name}” cannot be found: it is seen edge-on here.",
                        "Let it stand on this side, or move the stairs to one side of the point.",
                        about="on",
                        nearest=ON["near"],
                    )

    def _is_upright(self, at: Point, way: Way) -> bool:
        """Tell whether a line that runs some way from a place all but lies on the upright there."""
        one, two = unit_toward(at, way.goal), unit_toward(at, self.panel.up.goal)
        return abs(one[0] * two[1] - one[1] * two[0]) < EDGE_ON

    @cached_property
    def page(self) -> Mapping[str, Point]:
        """Its corners on the page, as the eye sees them."""
        seen = self.setting.frame.eye.see(np.array(list(self.world.values()))).tolist()
        return {name: Point(x, y) for name, (x, y) in zip(self.world, seen, strict=True)}

    @cached_property
    def solid(self) -> Solid:
        """Its lines in the world of the frame's eye: edges without faces."""
        return Solid(Topology(tuple(self.world), (), tuple(self._edges())), np.array(list(self.world.values())))

    def _edges(self) -> Iterator[Edge]:
        up = self.panel.up.family
        for side in self.sides:
            for i in self.posts:
                yield Edge(f"{side}.post.{i}", f"{side}.nose.{i}", f"{side}.top.{i}", up, feature=Feature("line"))
            for end in self.ends:
                rail = f"{side}.{end}.0", f"{side}.{end}.{self.last}"
                yield Edge(f"{side}.rail.{end}", *rail, "free", feature=Feature("line"))

    @property
    def spoken(self) -> Mapping[str, Spoken]:
        """Which way the steps climb, which way they are carried across, and where the middle of a post is."""
        return {
            "ahead": self.panel.along,
            "over_way": self.flight.across,
            "half": self.half_mm,
            "between": str(len(self.posts) - 2),
            "every": POSTS[self.values.word("posts")],
        }
