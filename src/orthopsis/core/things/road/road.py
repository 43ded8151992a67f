"""A road as a thing: its two sides and its dashes, for the eye and for the hand.

Marks on the middle line are counted from the near end, mark 0, at equal steps in truth; a dash leads from an even mark
to the next one. The foot of its left side lies at its first corner, that of its right side level with it.
"""

from collections.abc import Mapping

import numpy as np
from propcache.api import cached_property

from orthopsis.core.construct.moves import (
    Act,
    Cross,
    Measure,
    MeasureAlong,
    Move,
    Rule,
    RuleToPoint,
    ShareAlong,
    Shift,
    Through,
)
from orthopsis.core.errors import GeometryError
from orthopsis.core.plane.homogeneous import Point, between, distance
from orthopsis.core.sheet.length import format_limit
from orthopsis.core.sheet.ruler import round_to
from orthopsis.core.sight.solid import Edge, Solid, Topology
from orthopsis.core.things.answers import Clause, Free, Handle
from orthopsis.core.things.depth import FARTHEST_SHARE, reached_mm
from orthopsis.core.things.parameters import FIRST_CORNER, Value
from orthopsis.core.things.real_sizes import KERB, LANE, PAVEMENT
from orthopsis.core.things.road.beside import STRIPES
from orthopsis.core.things.road.side_street import BRANCHES, SideStreet
from orthopsis.core.things.setting import Setting
from orthopsis.core.things.spacing import equal_shares, longest_step_mm
from orthopsis.core.things.values import Values
from orthopsis.core.view.eye import Array
from orthopsis.core.view.frame import Way
from orthopsis.core.wording.names import Feature

WAYS = {"road": "A road", "path": "A path", "river": "A river", "canal": "A canal", "quay": "A strip of quay"}
DASHES = {"none": "no dashes", **{str(n): f"{n} dashes" for n in range(2, 9)}}
BY = {"diagonal": "by the diagonals", "eye": "by eye"}
_BRANCHED = tuple(BRANCHES)[1:]
_MARKED, _STRIPED = tuple(DASHES)[1:], tuple(STRIPES)[1:]
_BESIDE = (
    Clause("; {beside}", {"beside": ("none",)}),
    Clause("; {beside}, {pave} wide, its kerb {kerb} high", {"beside": ("both",)}),
)
KERB_LEAST_MM = 0.5
"""A lower kerb cannot be drawn (no source)."""
NEARLY_THERE_MM = 1e-4
"""So near to its point the eye's road ends, which has no end: the hand's one reaches it."""


class Road(SideStreet):
    """A road to a point."""

    @property
    def is_by_eye(self) -> bool:
        """Whether its dashes are set by eye."""
        return True

    @classmethod
    def in_truth(cls, setting: Setting, values: Values) -> Mapping[str, Value]:
        """Return the width of one or two lanes about the same middle, and a kerb and a pavement of the true size."""
        sheet, at = setting.sheet, values.first
        lane, kerb, pave = (setting.true_mm(real, at.y) for real in (LANE, KERB, PAVEMENT))
        middle = at.x + values.mm("width") / 2
        half_room = min(middle, sheet.width_mm - middle)
        lanes = [width for width in (lane, 2 * lane) if 0 < width <= 2 * half_room]
        if not lanes:
            return {}
        left, width = round_to(middle - max(lanes) / 2, sheet.division_mm), max(lanes)
        beside = {"kerb": max(kerb, KERB_LEAST_MM), "pave": pave} if width / 2 + pave <= half_room else {}
        return {"left": max(left, 0.0), "width": width, **beside}

    @cached_property
    def feet(self) -> tuple[Point, Point, Point]:
        """Where its left side, its right side and its middle line begin on the page."""
        left, right = self.begins["left"], self.begins["right"]
        return left, right, between(left, right, 0.5)

    @cached_property
    def shares(self) -> tuple[float, ...]:
        """How far along the middle line each mark lies after the first, 0 at the near end, 1 at the point.

        Raises:
            GeometryError: the first dash is so long that the last one comes too near to the point.
        """
        if self.values.word("dashes") == "none":
            return ()
        reach, count = distance(self.feet[2], self.way.goal), 2 * int(self.values.word("dashes")) - 1
        found = equal_shares(self.values.mm("dash"), reach, count)
        if not found:
            sheet = self.setting.sheet
            most = format_limit(longest_step_mm(reach, count), sheet.units, sheet.division_mm, is_least=False)
            raise GeometryError(
                "dash_too_long",
                f"With a first dash of that length the last one of “{self.values.name}” would come too near to the "
                "point.",
                f"The longest that works is {most}.",
                about="dash",
                nearest=most,
            )
        return found

    @cached_property
    def marks(self) -> tuple[Point, ...]:
        """The marks on the middle line on the page."""
        return (self.feet[2], *(between(self.feet[2], self.way.goal, share) for share in self.shares))

    @property
    def dashes(self) -> range:
        """The numbers of the marks at which a dash begins."""
        return range(0, len(self.shares), 2)

    @cached_property
    def solid(self) -> Solid:
        """Its lines on the ground of the eye's world."""
        away, lines = self.way.family, list(self.begins)
        edges = [*self.side_edges, *self.crossing_edges, *self.branch_edges]
        edges += [Edge(f"dash.{i}", f"mark.{i}", f"mark.{i + 1}", away, feature=Feature("line")) for i in self.dashes]
        names = [f"{end}.{line}" for line in lines for end in ("near", "far")]
        places = [self._along(self.begins[line], share) for line in lines for share in (0.0, None)]
        if self.shares:
            names += [f"mark.{i}" for i in range(len(self.marks))]
            places += [self._along(self.feet[2], share) for share in (0.0, *self.shares)]
        for name, (across, along) in self.crossing.items():
            names.append(name)
            places.append(self._along(between(*self.feet[:2], across), along))
        for name, place in self.branch_places.items():
            names.append(name)
            places.append(place)
        return Solid(Topology(tuple(names), (), tuple(edges)), np.array(places))

    def _along(self, foot: Point, share: float | None) -> Array:
        """Return the place in the world at a share of the way on the page from a foot to the point, or its end."""
        eye, goal = self.setting.frame.eye, self.way.goal
        if share is None:
            share = 1 - NEARLY_THERE_MM / distance(foot, goal)
        return eye.at(foot) + eye.ray(goal) * eye.world_length(goal, share)

    @cached_property
    def recipe(self) -> tuple[Move, ...]:
        """The hand's moves: the feet, the sides to the point, the middle line, the dashes on it."""
        n, move, goal = self.values.full, self.values.move, self.way.family
        left, right, middle = (foot.xy for foot in self.feet)
        on_edge = "_on_edge" if left[1] == 0 else ""
        moves = [move("front", f"road.feet{on_edge}", Measure(n(f"near.{s}"), *at)) for s, at in
                 (("left", left), ("right", right))]  # fmt: skip
        for side in ("left", "right"):
            moves.append(move("front", "road.sides", RuleToPoint(n(side), n(f"near.{side}"), goal, "edge")))
            moves.append(move("front", "", Shift(n(f"far.{side}"), goal, 0.0)))
        moves += self.pavement_moves + self.crossing_moves + self.branch_moves
        if not self.shares:
            return tuple(moves)
        moves.append(move("divide", f"road.middle{on_edge}", Measure(n("mark.0"), *middle)))
        moves.append(move("divide", f"road.middle{on_edge}", RuleToPoint(n("guide.middle"), n("mark.0"), goal)))
        moves += self._by_eye() if self.is_by_eye else self._by_diagonals()
        rules = [Rule(n(f"dash.{i}"), n(f"mark.{i}"), n(f"mark.{i + 1}"), goal) for i in self.dashes]
        return (*moves, *(move("divide", "road.dashes", rule) for rule in rules))

    def _by_eye(self) -> list[Move]:
        """Return the moves that mark the dashes where they look right."""
        n = self.values.full
        acts = [ShareAlong(n(f"mark.{i}"), n("guide.middle"), share) for i, share in enumerate(self.shares, start=1)]
        return [self.values.move("depth", "road.by_eye", act) for act in acts]

    def _by_diagonals(self) -> list[Move]:
        """Return the moves that repeat the first step: from its left end through the middle of its end to the right."""
        n, across = self.values.full, self.setting.frame.way("across").family
        told: list[tuple[str, Act]] = [
            ("road.first", MeasureAlong(n("mark.1"), n("guide.middle"), self.values.mm("dash")))
        ]
        before = n("near.left")
        for i in range(1, len(self.shares) + 1):
            level, ends = n(f"construction.level.{i}"), (n(f"measure.left.{i}"), n(f"measure.right.{i}"))
            first = "road.first" if i == 1 else "road.again"
            told.append((first, Through(level, *ends, n(f"mark.{i}"), across, n("left"), n("right"), "construction")))
            if i == len(self.shares):
                break
            laid, slant = n(f"construction.laid.{i}"), n(f"construction.slant.{i}")
            found, line = n(f"measure.found.{i}"), n(f"construction.across.{i}")
            told += [
                ("road.again", Rule(laid, before, n(f"mark.{i}"), "free", "unseen")),
                ("road.again", Cross(found, laid, n("right"))),
                ("road.again", Rule(slant, before, found, "free", "construction")),
                ("road.again", Through(line, n(f"measure.on_middle.{i}"), n(f"measure.on_left.{i}"), found, across,
                                       n("guide.middle"), n("left"), "unseen")),
                ("road.again", Cross(n(f"mark.{i + 1}"), line, n("guide.middle"))),
            ]  # fmt: skip
            before = ends[0]
        return [self.values.move("depth", breath, act) for breath, act in told]

    @property
    def lies_on_ground(self) -> bool:
        """A road is hidden by whatever stands there."""
        return True

    @property
    def has_depth(self) -> bool:
        """A road is flat."""
        return False

    @cached_property
    def free_lines(self) -> tuple[Free, ...]:
        """The dashes, if they are set by eye."""
        names = frozenset(f"dash.{i}" for i in self.dashes)
        return (Free(self.way.family, names),) if names and self.is_by_eye else ()

    @property
    def handles(self) -> Mapping[str, Handle]:
        """The feet of its sides, and the end of its first dash."""
        left, right, _ = self.feet
        found = {
            "place": Handle("Move the road", left, tuple(p.name for p in FIRST_CORNER), self._drag_place, "place"),
            "width": Handle("Change the width", right, ("width",), self._drag_width, "size"),
        }
        if self.stripes:
            at = self.on_page(0.0, self.crossing_shares[0])
            found["crossing"] = Handle("Move the crossing", at, ("cross_at",), self._drag_crossing)
        if self.branches:
            found["branch"] = Handle(
                "Move the side street", self.branch_lines[0].start, ("branch_at",), self._drag_branch
            )
        if self.shares:
            found["dash"] = Handle("Change the first dash", self.marks[1], ("dash",), self._drag_dash)
        return found

    def _drag_place(self, at: Point) -> Mapping[str, Value]:
        division = self.setting.sheet.division_mm
        return {"left": at.x, "bottom": min(max(at.y, 0.0), self.way.goal.y - division)}

    def _drag_width(self, at: Point) -> Mapping[str, Value]:
        return {"width": max(at.x - self.values.mm("left"), 2 * self.setting.sheet.division_mm)}

    def _drag_crossing(self, at: Point) -> Mapping[str, Value]:
        division = self.setting.sheet.division_mm
        most = FARTHEST_SHARE * distance(self.feet[0], self.way.goal) - self.values.mm("cross_deep")
        return {"cross_at": min(self._reached(self.feet[0], at), max(most // division * division, division))}

    def _drag_branch(self, at: Point) -> Mapping[str, Value]:
        division, begin = self.setting.sheet.division_mm, self.begins[self.branches[0]]
        most = FARTHEST_SHARE * distance(self.feet[0], self.way.goal) - self.values.mm("branch_deep")
        return {"branch_at": min(self._reached(begin, at), max(most // division * division, division))}

    def _drag_dash(self, at: Point) -> Mapping[str, Value]:
        return {"dash": self._reached(self.feet[2], at)}

    def _reached(self, start: Point, at: Point) -> float:
        """Return how far along the line from a place to the point the hand is, mm, at least one mark of the ruler."""
        return max(reached_mm(start, self.way.goal, at), self.setting.sheet.division_mm)

    @cached_property
    def spans(self) -> Mapping[str, tuple[Point, Point]]:
        """Between which points each length is measured."""
        left, right, middle = self.feet
        found = {"left": (Point(0.0, left.y), left), "width": (left, right)}
        if left.y > 0:
            found["bottom"] = (Point(left.x, 0.0), left)
        if self.shares:
            found["dash"] = (middle, self.marks[1])
        if self.stripes:
            begin, end = (self.on_page(0.0, share) for share in self.crossing_shares)
            found |= {"cross_at": (left, begin), "cross_deep": (begin, end)}
        if self.branches:
            near, far = (self.branch_lines[i].start for i in (0, 1))
            found |= {"branch_at": (self.begins[self.branches[0]], near), "branch_deep": (near, far)}
        if self.has_pavement:
            kerb = self.begins["kerb_right"]
            found |= {"kerb": (right, kerb), "pave": (kerb, self.begins["pavement_right"])}
        return found


class LevelRoad(Road):
    """A road to the one point: across it lines are level."""

    sentence: tuple[Clause, ...] = (
        Clause("{what} to the point, {width} wide where it begins, {left} from the left edge and {bottom} up. "),
        Clause("It has {dashes}", {"dashes": ("none",)}),
        Clause("It has {dashes}, found {dashes_by}, the first {dash} long", {"dashes": _MARKED}),
        *_BESIDE,
        Clause("; {crossing}", {"crossing": ("none",)}),
        Clause("; {crossing}, {cross_at} along its left side and {cross_deep} deep", {"crossing": _STRIPED}),
        Clause("; {branch}.", {"branch": ("none",)}),
        Clause("; {branch}, {branch_at} along its side and {branch_deep} wide there.", {"branch": _BRANCHED}),
    )

    @classmethod
    def place(cls, setting: Setting, count: int) -> Mapping[str, Value]:
        """Return values for one more road: from the lower edge, about the point, each a little farther to the side."""
        sheet, goal = setting.sheet, setting.frame.way("away").goal
        width = round_to(setting.fresh_size * 2, setting.sheet.division_mm)
        left = round_to(goal.x - width / 2 + count * sheet.division_mm, sheet.division_mm)
        return {"left": max(left, 0.0), "bottom": 0.0, "width": width}

    @property
    def way(self) -> Way:
        """Straight away."""
        return self.setting.frame.way("away")

    @property
    def is_by_eye(self) -> bool:
        """Whether its dashes are set by eye."""
        return self.values.word("dashes_by") == "eye"


class TurnedRoad(Road):
    """A road to one of two points on the eye level; its dashes are set by eye, and it has no crossing."""

    sentence: tuple[Clause, ...] = (
        Clause("{what} to {to}, {width} wide where it begins, {left} from the left edge and {bottom} up. "),
        Clause("It has {dashes}", {"dashes": ("none",)}),
        Clause("It has {dashes}, set by eye, the first {dash} long", {"dashes": _MARKED}),
        *_BESIDE,
        Clause("."),
    )

    @classmethod
    def place(cls, setting: Setting, count: int) -> Mapping[str, Value]:
        """Return values for one more road: from the lower edge, away from its point."""
        width = round_to(setting.fresh_size * 2, setting.sheet.division_mm)
        to = ("right", "left")[count % 2]
        return {
            "left": setting.across(0.2 if to == "right" else 0.5),
            "bottom": 0.0,
            "width": width,
            "to": to,
        }

    @property
    def stripes(self) -> int:
        """No level line is parallel to its crossings."""
        return 0

    @property
    def branches(self) -> tuple[str, ...]:
        """A street that leads off is a road to the other point."""
        return ()

    @property
    def way(self) -> Way:
        """To the point that is chosen."""
        return self.setting.frame.way(self.values.word("to"))
