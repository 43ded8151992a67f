"""The shape of rails on sleepers: in the world for the view route, on the page for the hand.

The first corner is the foot of the left rail's outer side. A rail has three lines to the point: both edges of its top,
and the foot of the side that is turned to the other rail. Sleepers lie flush with the ground under the rails; each is
seen from above and from its front. They lie between two light lines outside of the rails, and as thick as two more say.
"""

import numpy as np
from propcache.api import cached_property

from orthopsis.core.errors import GeometryError
from orthopsis.core.plane.homogeneous import Point, between, distance
from orthopsis.core.sheet.length import format_limit, format_mark
from orthopsis.core.sight.solid import Edge, Face, Solid, Topology
from orthopsis.core.things.spacing import equal_shares, longest_step_mm
from orthopsis.core.things.standing import Standing
from orthopsis.core.view.eye import Array
from orthopsis.core.wording.names import Feature

SLEEPERS = {str(n): f"{n} sleepers" for n in range(2, 13)}
NEARLY_THERE_MM = 1e-4
"""So near to the point the eye's rails end, which have no end: the hand's ones reach it."""
SIDES = ("left", "right")
ENDS = ("near", "far")


class RailsShape(Standing):
    """Two rails on sleepers."""

    @property
    def goal(self) -> Point:
        """The point to which they run."""
        return self.setting.frame.way("away").goal

    @cached_property
    def begins(self) -> dict[str, Point]:
        """Where each line to the point begins on the page: the rails' corners, and the sleepers' upper and lower ends.

        Raises:
            GeometryError: they do not begin under the eye level, or the sleepers begin beside or under the sheet.
        """
        values, sheet, level = self.values, self.setting.sheet, self.goal.y
        first, gauge, rail, high = values.first, values.mm("gauge"), values.mm("rail"), values.mm("high")
        if first.y + high > level - sheet.division_mm:
            most = format_limit(level - high - sheet.division_mm, sheet.units, sheet.division_mm, is_least=False)
            raise GeometryError(
                "not_on_ground",
                f"“{values.name}” would reach up to the eye level where it begins.",
                f"Let it begin at most {most} up.",
                about="bottom",
                nearest=most,
            )
        out, thick = values.mm("out"), values.mm("thick")
        if first.y < thick:
            least = format_limit(thick, sheet.units, sheet.division_mm, is_least=True)
            raise GeometryError(
                "under_the_sheet",
                f"The first sleeper of “{values.name}” would reach under the sheet.",
                f"Let the rails begin at least {least} up, or make the sleepers thinner.",
                about="bottom",
                nearest=least,
            )
        wide = gauge + 2 * rail
        room = min(first.x, sheet.width_mm - first.x - wide)
        if out > room:
            most = format_mark(max(room, sheet.division_mm), sheet.units, sheet.division_mm)
            raise GeometryError(
                "no_room_for_sleepers",
                f"The sleepers of “{values.name}” would begin beside the sheet.",
                f"They can reach at most {most} beyond the rails; or make the rails narrower.",
                about="out",
                nearest=most,
            )
        feet = {"left": first.x, "right": first.x + rail + gauge}
        found = dict[str, Point]()
        for side, x in feet.items():
            inner = x + rail if side == "left" else x
            found[f"rail_{side}.left"] = Point(x, first.y + high)
            found[f"rail_{side}.right"] = Point(x + rail, first.y + high)
            found[f"rail_{side}.foot"] = Point(inner, first.y)
        for side, x in (("left", first.x - out), ("right", first.x + wide + out)):
            found[f"sleepers_{side}"] = Point(x, first.y)
            found[f"under_{side}"] = Point(x, first.y - thick)
        return found

    @property
    def outer_feet(self) -> dict[str, Point]:
        """The feet of the rails' outer sides, from which no line runs: they are hidden."""
        first, values = self.values.first, self.values
        return {"left": first, "right": Point(first.x + values.mm("gauge") + 2 * values.mm("rail"), first.y)}

    @cached_property
    def marks(self) -> tuple[tuple[float, float], ...]:
        """For each sleeper the shares of the way to the point at which it begins and ends.

        Raises:
            GeometryError: the last one would lie too near to the point, or each would reach into the next one.
        """
        count, sheet = int(self.values.word("sleepers")), self.setting.sheet
        reach = distance(self.begins["sleepers_left"], self.goal)
        pitch, deep = self.values.mm("pitch"), self.values.mm("deep")
        if deep >= pitch:
            most = format_limit(pitch - sheet.division_mm, sheet.units, sheet.division_mm, is_least=False)
            raise GeometryError(
                "sleepers_touch",
                f"The sleepers of “{self.values.name}” would reach into each other.",
                f"The deepest that works is {most}.",
                about="deep",
                nearest=most,
            )
        begin = equal_shares(pitch, reach, count)
        if not begin:
            most = format_limit(longest_step_mm(reach, count), sheet.units, sheet.division_mm, is_least=False)
            raise GeometryError(
                "sleepers_past_point",
                f"The last sleeper of “{self.values.name}” would lie too near to the point.",
                f"The most that works is {most}.",
                about="pitch",
                nearest=most,
            )
        # In truth each is as deep as the first: a share s of the way to the point is s / (1 - s) of the eye's distance.
        first = deep / reach / (1 - deep / reach)
        starts = [0.0, *(share / (1 - share) for share in begin)][:count]
        return tuple((at / (1 + at), (at + first) / (1 + at + first)) for at in starts)

    def at(self, line: str, share: float) -> Point:
        """Return the place on the page at a share of the way to the point along one of the lines."""
        return between(self.begins[line], self.goal, share)

    @cached_property
    def solid(self) -> Solid:
        """Rails and sleepers in the world of the frame's eye."""
        names, places, faces, edges = list[str](), list[Array](), list[Face](), list[Edge]()
        for side in SIDES:
            self._add_rail(side, names, places, faces, edges)
        for i, (near, far) in enumerate(self.marks):
            self._add_sleeper(i, near, far, names, places, faces, edges)
        return Solid(Topology(tuple(names), tuple(faces), tuple(edges)), np.array(places))

    def _world(self, start: Point, share: float) -> Array:
        eye = self.setting.frame.eye
        return eye.at(start) + eye.ray(self.goal) * eye.world_length(self.goal, share)

    def _add_rail(self, side: str, names: list[str], places: list[Array], faces: list[Face], edges: list[Edge]) -> None:
        """Add a rail: a bar whose far end lies at the point."""
        inner = {"left": "right", "right": "left"}[side]
        corners = {
            "left": self.begins[f"rail_{side}.left"],
            "right": self.begins[f"rail_{side}.right"],
            f"foot_{inner}": self.begins[f"rail_{side}.foot"],
            f"foot_{side}": self.outer_feet[side],
        }
        for corner, start in corners.items():
            end = 1 - NEARLY_THERE_MM / distance(start, self.goal)
            names += [f"{side}.near.{corner}", f"{side}.far.{corner}"]
            places += [self._world(start, 0.0), self._world(start, end)]

        def face(turned: str, one: str, two: str) -> Face:
            ends = (f"{side}.near.{one}", f"{side}.near.{two}", f"{side}.far.{two}", f"{side}.far.{one}")
            return Face(f"{side}.{turned}", ends, turned)

        front = ("foot_left", "foot_right", "right", "left")
        faces += [
            Face(f"{side}.front", tuple(f"{side}.near.{c}" for c in front), "front"),
            Face(f"{side}.back", tuple(f"{side}.far.{c}" for c in reversed(front)), "back"),
            face("top", "left", "right"),
            face("bottom", "foot_right", "foot_left"),
            face("left", "foot_left", "left"),
            face("right", "right", "foot_right"),
        ]
        for a, b, runs in (
            ("foot_left", "foot_right", "level"), ("left", "right", "level"), ("foot_left", "left", "upright"),
            ("foot_right", "right", "upright"),
        ):  # fmt: skip
            name = f"{side}.front.{a}.{b}"
            edges.append(Edge(name, f"{side}.near.{a}", f"{side}.near.{b}", runs, feature=Feature("front", part=side)))
        away = self.setting.frame.name
        for corner in ("left", "right", f"foot_{inner}"):
            feature = Feature("away", part=side)
            edges.append(
                Edge(f"{side}.{corner}", f"{side}.near.{corner}", f"{side}.far.{corner}", away, feature=feature)
            )

    def _add_sleeper(
        self, number: int, near: float, far: float, names: list[str], places: list[Array], faces: list[Face],
        edges: list[Edge],
    ) -> None:  # fmt: skip
        """Add a sleeper: its top, flush with the ground, its front, and what closes it below, which nobody sees."""
        n, away = f"sleeper.{number}", self.setting.frame.name
        for side in SIDES:
            names += [f"{n}.near.{side}", f"{n}.far.{side}", f"{n}.under.{side}"]
            places += [
                self._world(self.begins[f"sleepers_{side}"], near),
                self._world(self.begins[f"sleepers_{side}"], far),
                self._world(self.begins[f"under_{side}"], near),
            ]
        near_l, near_r, far_l, far_r, low_l, low_r = (
            f"{n}.{end}.{side}" for end in ("near", "far", "under") for side in SIDES
        )
        faces += [
            Face(f"{n}.top", (near_l, near_r, far_r, far_l), "top"),
            Face(f"{n}.front", (low_l, low_r, near_r, near_l), "front"),
            Face(f"{n}.bottom", (low_r, low_l, far_l, far_r), "bottom"),
            Face(f"{n}.left", (near_l, far_l, low_l), "left"),
            Face(f"{n}.right", (near_r, low_r, far_r), "right"),
        ]
        part = Feature("line", part=f"sleeper {number + 1}")
        for end in ("near", "far", "under"):
            edges.append(Edge(f"{n}.{end}", f"{n}.{end}.left", f"{n}.{end}.right", "level", feature=part))
        for side in SIDES:
            edges.append(Edge(f"{n}.{side}", f"{n}.near.{side}", f"{n}.far.{side}", away, feature=part))
            edges.append(Edge(f"{n}.end.{side}", f"{n}.under.{side}", f"{n}.near.{side}", "upright", feature=part))
