"""Where trees, people and posts stand and how tall they are: in the world for the eye, on the page for the hand."""

from collections.abc import Sequence

import numpy as np
from propcache.api import cached_property

from orthopsis.core.errors import GeometryError
from orthopsis.core.plane.homogeneous import Point, between, distance
from orthopsis.core.sheet.length import format_limit
from orthopsis.core.sight.solid import Edge, Face, Solid, Topology
from orthopsis.core.things.answers import Crowded, Receding
from orthopsis.core.things.silhouette.outlines import OUTLINES, Silhouette
from orthopsis.core.things.spacing import crowded_row, equal_shares, longest_step_mm
from orthopsis.core.things.standing import Standing
from orthopsis.core.view.frame import Way
from orthopsis.core.wording.names import Feature

TALL_BY = {"measured": "measured", "level": "by the eye level"}
SHARES = {
    "third": "a third as high as the eye level",
    "half": "half as high as the eye level",
    "three_quarters": "three quarters as high as the eye level",
    "same": "as high as the eye level",
    "five_quarters": "a quarter higher than the eye level",
    "double": "twice as high as the eye level",
    "treble": "three times as high as the eye level",
}
SHARE_OF = {
    "third": 1 / 3, "half": 1 / 2, "three_quarters": 3 / 4, "same": 1.0, "five_quarters": 5 / 4, "double": 2.0,
    "treble": 3.0,
}  # fmt: skip
COUNTS = {str(n): str(n) for n in range(1, 13)}
BY = {"diagonal": "by the middle line", "eye": "by eye"}


class SilhouetteShape(Standing):
    """Outlines that stand upright on the ground."""

    @property
    def way(self) -> Way:
        """The direction in which a row of them goes away."""
        raise NotImplementedError

    @property
    def drawn_as(self) -> Silhouette:
        """What they look like."""
        return OUTLINES[self.values.word("what")]

    @property
    def is_by_level(self) -> bool:
        """Whether the eye level says how tall they are."""
        return self.values.word("tall_by") == "level"

    @property
    def is_by_eye(self) -> bool:
        """Whether their places are set by eye."""
        return self.values.word("spaced") == "eye"

    @property
    def count(self) -> int:
        """How many there are."""
        return int(self.values.word("count"))

    @cached_property
    def foot(self) -> Point:
        """Where the first one stands on the page.

        Raises:
            GeometryError: not on the ground: at the eye level or above it.
        """
        first, sheet, level = self.values.first, self.setting.sheet, self.setting.frame.level_mm
        if first.y > level - sheet.division_mm:
            most = format_limit(level - sheet.division_mm, sheet.units, sheet.division_mm, is_least=False)
            raise GeometryError(
                "not_on_ground",
                f"“{self.values.name}” must stand on the ground, which is seen under the eye level only.",
                f"Let it stand at most {most} up.",
                about="bottom",
                nearest=most,
            )
        return first

    @cached_property
    def height_mm(self) -> float:
        """How tall the first one is on the page, mm."""
        if not self.is_by_level:
            return self.values.mm("height")
        return SHARE_OF[self.values.word("share")] * (self.setting.frame.level_mm - self.foot.y)

    @cached_property
    def shares(self) -> tuple[float, ...]:
        """How far along the line from the first foot to the point each stands, 0 at the first one.

        Raises:
            GeometryError: the gap is so long that the last one would stand too near to the point.
        """
        if self.count == 1:
            return (0.0,)
        reach, others = distance(self.foot, self.way.goal), self.count - 1
        found = equal_shares(self.values.mm("gap"), reach, others)
        if not found:
            sheet = self.setting.sheet
            most = format_limit(longest_step_mm(reach, others), sheet.units, sheet.division_mm, is_least=False)
            raise GeometryError(
                "row_past_point",
                f"The last one of “{self.values.name}” would stand too near to the vanishing point.",
                f"The longest distance that works is {most}.",
                about="gap",
                nearest=most,
            )
        return (0.0, *found)

    @cached_property
    def feet(self) -> tuple[Point, ...]:
        """Where each stands on the page."""
        return tuple(between(self.foot, self.way.goal, share) for share in self.shares)

    @property
    def receding(self) -> Receding | None:
        """Their row, unless it is set by eye."""
        return Receding(self.feet, self.way.goal) if self.count > 1 and not self.is_by_eye else None

    @property
    def person_height(self) -> float:
        """How tall a person is, in heights of the eye over the ground; 0 for what is none."""
        drop = self.setting.frame.level_mm - self.foot.y
        return self.height_mm / drop if self.values.word("what") == "figure" else 0.0

    @property
    def crowded(self) -> tuple[Crowded, ...]:
        """How near the last two of a row come to each other."""
        reach = distance(self.foot, self.way.goal) if self.count > 1 else 0.0
        return (crowded_row("count", self.shares, reach),)

    def corners_mm(self, number: int) -> Sequence[tuple[float, float]]:
        """Return the corners of one across and up from its foot on the page, mm."""
        tall = self.height_mm * (1 - self.shares[number])
        return [(x * tall, y * tall) for x, y in self.drawn_as.corners]

    @property
    def tied(self) -> tuple[tuple[int, int], ...]:
        """Between which corners wires or rails run: the corner of the first one, and the number of the last one."""
        if self.count == 1:
            return ()
        corners, found = self.drawn_as.corners, self.drawn_as.tied
        if self.drawn_as.tied_by == "rails" and self.way.goal.x < self.foot.x:
            # Rails lie on the side of the posts that is turned to the point.
            found = tuple(corners.index((-corners[i][0], corners[i][1])) for i in found)
        return tuple((corner, self.count - 1) for corner in found)

    @cached_property
    def solid(self) -> Solid:
        """Their outlines in the world of the frame's eye, each parallel to the picture."""
        eye, goal, first = self.setting.frame.eye, self.way.goal, self.foot
        names, places, faces, edges = list[str](), list[object](), list[Face](), list[Edge]()
        for number, share in enumerate(self.shares):
            away = eye.ray(goal) * eye.world_length(goal, share)
            own = [f"{number}.{i}" for i in range(len(self.drawn_as.corners))]
            names += own
            for x, y in self.drawn_as.corners:
                places.append(eye.at(Point(first.x + x * self.height_mm, first.y + y * self.height_mm)) + away)
            faces += [Face(f"{number}", tuple(own), "front"), Face(f"{number}.back", tuple(own[::-1]), "back")]
            for a, b in zip(own, (*own[1:], own[0]), strict=True):
                edges.append(Edge(f"edge.{a}", a, b, "free", feature=Feature("side")))
        for corner, last in self.tied:
            wire = f"wire.{corner}"
            edges.append(Edge(wire, f"0.{corner}", f"{last}.{corner}", self.way.family, feature=Feature("line")))
        return Solid(Topology(tuple(names), tuple(faces), tuple(edges)), np.array(places, dtype=float))
