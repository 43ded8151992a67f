"""What is drawn beside a road and over it: kerbs with pavements, and a crossing of stripes.

A kerb rises from each side of the road; from its upper edge the pavement leads outward to a line of its own. All of
these lines run to the road's point. A crossing lies between two level lines; its stripes run to the point.
"""

from collections.abc import Iterator

from propcache.api import cached_property

from orthopsis.core.construct.moves import Act, Measure, MeasureAlong, Move, Rule, RuleToPoint, Run, Shift, Through
from orthopsis.core.errors import GeometryError
from orthopsis.core.plane.homogeneous import Point, between, distance
from orthopsis.core.sheet.length import format_limit, format_mark
from orthopsis.core.sight.solid import Edge
from orthopsis.core.things.depth import FARTHEST_SHARE
from orthopsis.core.things.standing import Standing
from orthopsis.core.view.frame import Way
from orthopsis.core.wording.names import Feature

BESIDE = {"none": "no pavement", "both": "a pavement on both sides"}
STRIPES = {"none": "no crossing", **{str(n): f"a crossing of {n} stripes" for n in range(3, 10)}}
SIDES = ("left", "right")


class RoadSides(Standing):
    """The lines of a road that run to its point, and the crossing over it."""

    @property
    def way(self) -> Way:
        """The direction in which it leads away."""
        raise NotImplementedError

    @property
    def has_pavement(self) -> bool:
        """Whether it has kerbs and pavements."""
        return self.values.word("beside") == "both"

    @property
    def stripes(self) -> int:
        """How many stripes its crossing has; 0 without one."""
        return int(self.values.word("crossing")) if self.values.word("crossing") != "none" else 0

    @cached_property
    def begins(self) -> dict[str, Point]:
        """Where each line that runs to the point begins on the page: the sides, the kerbs, the pavements.

        Raises:
            GeometryError: it does not begin under the eye level, or a pavement has no room on the sheet.
        """
        first, width, goal, sheet = self.values.first, self.values.mm("width"), self.way.goal, self.setting.sheet
        if first.y > goal.y - sheet.division_mm:
            most = format_limit(goal.y - sheet.division_mm, sheet.units, sheet.division_mm, is_least=False)
            raise GeometryError(
                "not_on_ground",
                f"“{self.values.name}” lies on the ground, which is seen under the eye level only.",
                f"Let it begin at most {most} up.",
                about="bottom",
                nearest=most,
            )
        feet = {"left": first, "right": Point(first.x + width, first.y)}
        if not self.has_pavement:
            return feet
        kerb, pave = self.values.mm("kerb"), self.values.mm("pave")
        room = min(first.x, sheet.width_mm - first.x - width)
        if pave > room:
            most = format_mark(max(room, sheet.division_mm), sheet.units, sheet.division_mm)
            raise GeometryError(
                "no_room_for_pavement",
                f"A pavement of that width beside “{self.values.name}” would begin beside the sheet.",
                f"The widest that works is {most}.",
                about="pave",
                nearest=most,
            )
        for side, way in (("left", -1), ("right", 1)):
            at = feet[side]
            feet[f"kerb_{side}"] = Point(at.x, at.y + kerb)
            feet[f"pavement_{side}"] = Point(at.x + way * pave, at.y + kerb)
        return feet

    @property
    def side_edges(self) -> Iterator[Edge]:
        """The lines that run to the point, and those that lead from one to the next where they begin."""
        for name in self.begins:
            feature = Feature("away", name.replace("_", " "))
            yield Edge(name, f"near.{name}", f"far.{name}", self.way.family, feature=feature)
        for side in SIDES if self.has_pavement else ():
            yield Edge(f"end.kerb_{side}", f"near.{side}", f"near.kerb_{side}", "upright", feature=Feature("line"))
            ends = f"near.kerb_{side}", f"near.pavement_{side}"
            yield Edge(f"end.pavement_{side}", *ends, "level", feature=Feature("line"))

    @property
    def pavement_moves(self) -> list[Move]:
        """The moves that draw kerbs and pavements; none where there are none."""
        n, goal, moves = self.values.full, self.way.family, list[Move]()
        beside = {name: at for name, at in self.begins.items() if name not in SIDES}
        for name, at in beside.items():
            moves.append(self.values.move("front", "road.beside", Measure(n(f"near.{name}"), *at.xy)))
        for side in SIDES if self.has_pavement else ():
            foot, kerb, far = n(f"near.{side}"), n(f"near.kerb_{side}"), n(f"near.pavement_{side}")
            for act in (
                Rule(n(f"end.kerb_{side}"), foot, kerb, "upright"),
                Rule(n(f"end.pavement_{side}"), kerb, far, "level"),
            ):
                moves.append(self.values.move("front", "road.beside", act))
        for name in beside:
            line = RuleToPoint(n(name), n(f"near.{name}"), goal, "edge")
            moves.append(self.values.move("front", "road.beside_lines", line))
            moves.append(self.values.move("front", "", Shift(n(f"far.{name}"), goal, 0.0)))
        return moves

    @cached_property
    def crossing_shares(self) -> tuple[float, float]:
        """How far along the left side the crossing begins and ends, 0 at the near end, 1 at the point.

        Raises:
            GeometryError: it would lie too near to the point.
        """
        reach, sheet = distance(self.begins["left"], self.way.goal), self.setting.sheet
        begin, deep = self.values.mm("cross_at"), self.values.mm("cross_deep")
        if begin + deep > FARTHEST_SHARE * reach:
            about = "cross_at" if deep < FARTHEST_SHARE * reach / 2 else "cross_deep"
            other = deep if about == "cross_at" else min(begin, FARTHEST_SHARE * reach / 2)
            most = format_limit(FARTHEST_SHARE * reach - other, sheet.units, sheet.division_mm, is_least=False)
            raise GeometryError(
                "crossing_past_point",
                f"The crossing of “{self.values.name}” would lie too near to the point.",
                f"The most that works is {most}.",
                about=about,
                nearest=most,
            )
        return begin / reach, (begin + deep) / reach

    @cached_property
    def crossing(self) -> dict[str, tuple[float, float]]:
        """Where the corners of the stripes lie: the share across the road, and along its sides on the page."""
        if not self.stripes:
            return {}
        parts = 2 * self.stripes - 1
        ends = dict(zip(("near", "far"), self.crossing_shares, strict=True))
        return {f"cross.{end}.{i}": (i / parts, along) for end, along in ends.items() for i in range(parts + 1)}

    @property
    def crossing_edges(self) -> Iterator[Edge]:
        """The sides of the stripes."""
        across, away = self.setting.frame.way("across").family if self.stripes else "", self.way.family
        for i in range(0, 2 * self.stripes, 2):
            for end in ("near", "far"):
                yield Edge(
                    f"stripe.{end}.{i}", f"cross.{end}.{i}", f"cross.{end}.{i + 1}", across, feature=Feature("line")
                )
            for j in (i, i + 1):
                yield Edge(f"stripe.{j}", f"cross.near.{j}", f"cross.far.{j}", away, feature=Feature("line"))

    @property
    def crossing_moves(self) -> list[Move]:
        """The moves that draw the crossing: its two level lines, equal parts on the near one, the stripes."""
        if not self.stripes:
            return []
        n, goal, across = self.values.full, self.way.family, self.setting.frame.way("across").family
        told: list[tuple[str, Act]] = []
        lengths = {"near": self.values.mm("cross_at"), "far": self.values.mm("cross_at") + self.values.mm("cross_deep")}
        for end, mm in lengths.items():
            mark, line = n(f"measure.cross.{end}"), n(f"construction.cross.{end}")
            told.append(("road.crossing", MeasureAlong(mark, n("left"), mm)))
            ends = n(f"measure.cross.{end}.left"), n(f"measure.cross.{end}.right")
            told.append(("road.crossing", Through(line, *ends, mark, across, n("left"), n("right"), "construction")))
        parts = 2 * self.stripes - 1
        wide = (1 - self.crossing_shares[0]) * self.values.mm("width")
        told += [
            ("road.parts", Shift(n(f"cross.near.{i}"), n("measure.cross.near"), wide * i / parts))
            for i in range(parts + 1)
        ]
        for i in range(parts + 1):
            run = Run(n(f"stripe.{i}"), n(f"cross.far.{i}"), n(f"cross.near.{i}"), goal, n("construction.cross.far"))
            told.append(("road.stripes", run))
        for i in range(0, parts + 1, 2):
            for end in ("near", "far"):
                ends = n(f"cross.{end}.{i}"), n(f"cross.{end}.{i + 1}")
                told.append(("road.stripes", Rule(n(f"stripe.{end}.{i}"), *ends, across)))
        return [self.values.move("divide", breath, act) for breath, act in told]

    def on_page(self, across: float, along: float) -> Point:
        """Return where a place of the road lies on the page, from its share across and along the sides."""
        left, right = self.begins["left"], self.begins["right"]
        return between(between(left, right, across), self.way.goal, along)
