"""Where a street leads off a road, to one side or to both: level lines from its side to the sheet's edge.

Between them the road has no side. A road with pavements has no side street here: its kerbs would turn the corner.
"""

from collections.abc import Iterator, Mapping
from dataclasses import dataclass

import numpy as np
from propcache.api import cached_property

from orthopsis.core.construct.moves import Act, MeasureAlong, Move, Run, Side
from orthopsis.core.errors import GeometryError
from orthopsis.core.plane.homogeneous import Point, between, distance
from orthopsis.core.sheet.length import format_limit
from orthopsis.core.sight.solid import Edge
from orthopsis.core.things.answers import Spans, Spoken
from orthopsis.core.things.depth import FARTHEST_SHARE
from orthopsis.core.things.road.beside import SIDES, RoadSides
from orthopsis.core.view.eye import Array
from orthopsis.core.wording.names import Feature

BRANCHES = {
    "none": "no side street", "left": "a side street to the left", "right": "a side street to the right",
    "both": "a street across it",
}  # fmt: skip
ENDS = ("near", "far")


@dataclass(frozen=True, slots=True)
class BranchLine:
    """A line of a side street.

    Attributes:
        side: of the road; ``which``: whether it is the near or the far one.
        share: how far along the side of the road it begins; ``start``, ``end``: where it runs on the page.
    """

    side: str
    which: str
    share: float
    start: Point
    end: Point

    @property
    def name(self) -> str:
        """What it is called within the road."""
        return f"street.{self.side}.{self.which}"

    @property
    def start_name(self) -> str:
        """What its end at the road is called."""
        return f"{self.name}.start"

    @property
    def end_name(self) -> str:
        """What its end at the sheet's edge is called."""
        return f"{self.name}.end"


class SideStreet(RoadSides):
    """What leads off a road."""

    @property
    def branches(self) -> tuple[str, ...]:
        """The sides of the road at which a street leads off."""
        where = self.values.word("branch")
        return () if where == "none" else SIDES if where == "both" else (where,)

    @cached_property
    def branch_shares(self) -> tuple[float, float]:
        """How far along the side of the road the street begins and ends, 0 at the near end, 1 at the point.

        It is measured on the side at which it leads off, on the left one where it crosses the road.

        Raises:
            GeometryError: it would lie too near to the point, or there is a pavement.
        """
        if self.has_pavement:
            raise GeometryError(
                "street_over_pavement",
                f"A street that leads off “{self.values.name}” would cross its pavement.",
                "Take the pavement away, or have no side street.",
                about="beside",
                nearest="none",
            )
        reach, sheet = distance(self.begins[self.branches[0]], self.way.goal), self.setting.sheet
        begin, deep = self.values.mm("branch_at"), self.values.mm("branch_deep")
        if begin + deep > FARTHEST_SHARE * reach:
            about = "branch_at" if deep < FARTHEST_SHARE * reach / 2 else "branch_deep"
            other = deep if about == "branch_at" else min(begin, FARTHEST_SHARE * reach / 2)
            most = format_limit(FARTHEST_SHARE * reach - other, sheet.units, sheet.division_mm, is_least=False)
            raise GeometryError(
                "street_past_point",
                f"The side street of “{self.values.name}” would lie too near to the point.",
                f"The most that works is {most}.",
                about=about,
                nearest=most,
            )
        return begin / reach, (begin + deep) / reach

    @cached_property
    def branch_lines(self) -> tuple[BranchLine, ...]:
        """Its lines. Both sides of the road are cut at one depth: at one share of their ways."""
        found = []
        for side in self.branches:
            edge_x = 0.0 if side == "left" else self.setting.sheet.width_mm
            for end, share in zip(ENDS, self.branch_shares, strict=True):
                start = between(self.begins[side], self.way.goal, share)
                found.append(BranchLine(side, end, share, start, Point(edge_x, start.y)))
        return tuple(found)

    @property
    def branch_edges(self) -> Iterator[Edge]:
        """Its lines as edges."""
        across = self.setting.frame.way("across").family if self.branches else ""
        for line in self.branch_lines:
            yield Edge(line.name, line.start_name, line.end_name, across, feature=Feature("line"))

    @property
    def branch_places(self) -> Mapping[str, Array]:
        """Their ends in the world of the eye: level with each other, as deep as the side of the road there."""
        eye, goal, found = self.setting.frame.eye, self.way.goal, dict[str, Array]()
        for line in self.branch_lines:
            at = eye.at(self.begins[line.side]) + eye.ray(goal) * eye.world_length(goal, line.share)
            wide = (line.end.x - line.start.x) * at[2] / eye.distance_mm
            found |= {line.start_name: at, line.end_name: at + np.array([wide, 0.0, 0.0])}
        return found

    @property
    def branch_moves(self) -> list[Move]:
        """The moves that draw it: marks on the sides of the road, level lines from there to the sheet's edge."""
        n, marks, rules = self.values.full, list[Act](), list[Act]()
        first = {line.which: line for line in self.branch_lines if line.side == self.branches[0]}
        for line in self.branch_lines:
            mm = line.share * distance(self.begins[line.side], self.way.goal)
            if line is first[line.which]:
                marks.append(MeasureAlong(n(line.start_name), n(line.side), mm))
            else:
                over, across = n(f"construction.{line.name}"), self.setting.frame.way("across").family
                start = n(first[line.which].start_name)
                marks.append(Run(over, n(line.start_name), start, across, n(line.side), "construction"))
            wide = line.end.x - line.start.x
            rules.append(Side(n(line.name), n(line.end_name), n(line.start_name), "level", wide))
        moves = [self.values.move("divide", "road.street_marks", mark) for mark in marks]
        return moves + [self.values.move("divide", "road.street", rule) for rule in rules]

    @property
    def spoken(self) -> Mapping[str, Spoken]:
        """On which side the street is measured, and that its marks are carried over where it crosses the road."""
        crosses = len(self.branches) > 1
        over = " Light level lines from these marks to the other side find it there." if crosses else ""
        return {"branch_side": self.branches[0] if self.branches else "", "branch_over": over}

    @cached_property
    def takes_away(self) -> Mapping[frozenset[str], Spans]:
        """The pieces of the road's own sides between the lines of the street."""
        n, found = self.values.full, dict[frozenset[str], Spans]()
        for side in self.branches:
            near, far = (line.start for line in self.branch_lines if line.side == side)
            found[frozenset((n(f"near.{side}"), n(f"far.{side}")))] = ((near, far),)
        return found
