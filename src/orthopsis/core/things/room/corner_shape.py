"""The shape of a room in two-point perspective: two back walls that meet in an upright, floor and ceiling before them.

The walls over against them are cut away, so that one looks in. Corners are called ``back``, ``left``, ``right`` and
``near``, each at the ``bottom`` and the ``top``; the back corner lies in the picture plane, all others nearer.
"""

from collections.abc import Iterator, Mapping

import numpy as np
from propcache.api import cached_property

from orthopsis.core.construct.panel import Ceiling, Panel, vector
from orthopsis.core.errors import GeometryError
from orthopsis.core.plane.homogeneous import Point, join, meet
from orthopsis.core.sight.solid import Edge, Face, Solid, Topology
from orthopsis.core.things.box.block import ROLES, Role, other
from orthopsis.core.things.setting import Setting
from orthopsis.core.things.standing import Standing
from orthopsis.core.view.eye import Array
from orthopsis.core.view.frame import Way
from orthopsis.core.wording.names import Feature

LEVELS = ("bottom", "top")
PLANES = {"bottom": "floor", "top": "ceiling"}
"""What lies at each level."""
_WHERE = {"bottom": "lower", "top": "upper"}
ROOM_SHARE = 0.25
"""So far from each point, as a share of the way between them, a back corner leaves room for both walls (no source)."""
NEAREST_SHARE = 0.25
"""Its nearest corner comes no nearer to the eye than by this share of the way to the back corner (no source)."""


class CornerRoomShape(Standing):
    """A room about its back corner."""

    @property
    def levels(self) -> tuple[str, ...]:
        """The levels at which there is a floor or a ceiling."""
        return LEVELS if self.values.word("ceiling") == "drawn" else LEVELS[:1]

    def way(self, role: Role) -> Way:
        """Return which way the wall on a side runs: to the point of the other side."""
        return self.setting.frame.way(other(role))

    @cached_property
    def back(self) -> Mapping[str, Point]:
        """The ends of the upright in which the walls meet, by level.

        Raises:
            GeometryError: it does not stand between the two points.
        """
        first, division = self.values.first, self.setting.sheet.division_mm
        left, right = (self.setting.frame.way(role).goal.x for role in ROLES)
        if not left + division <= first.x <= right - division:
            inward = ROOM_SHARE * (right - left)
            nearest = left + inward if first.x < left + division else right - inward
            raise self.refused(
                "edge_passes_point",
                "does not have its back corner between the two points",
                nearest,
                "left",
                is_least=True,
            )
        return {"bottom": first, "top": Point(first.x, first.y + self.values.mm("height"))}

    def length(self, role: Role) -> float:
        """Return how far a wall is measured aside from the back corner, mm."""
        return self.values.mm(f"{role}_length")

    def end(self, role: Role, level: str) -> Point:
        """Return where a wall ends on the page: on the line from its point through the back corner, carried on."""
        back, goal = self.back[level], self.way(role).goal
        aside = -self.length(role) if role == "left" else self.length(role)
        share = aside / (goal.x - back.x)
        return Point(back.x + aside, back.y + share * (goal.y - back.y))

    def near(self, level: str) -> Point:
        """Return where the nearest corner lies on the page, by the two edges that cross there."""
        edges = [join(self.end(role, level), self.setting.frame.way(role).goal) for role in ROLES]
        return meet(*edges)

    @cached_property
    def vectors(self) -> Mapping[Role, Array]:
        """The walls in the world from the back corner on, mm.

        Raises:
            GeometryError: the nearest corner would come too near to the viewer.
        """
        eye, back = self.setting.frame.eye, self.back["bottom"]
        found: dict[Role, Array] = {}
        for role in ROLES:
            goal = self.way(role).goal
            aside = -self.length(role) if role == "left" else self.length(role)
            found[role] = np.asarray(eye.ray(goal) * eye.world_length(goal, aside / (goal.x - back.x)))
        room = -(1 - NEAREST_SHARE) * eye.distance_mm
        if found["left"][2] + found["right"][2] < room:
            longer: Role = "left" if self.length("left") >= self.length("right") else "right"
            raise self._too_long(longer, room - float(found[other(longer)][2]))
        return found

    def _too_long(self, role: Role, room: float) -> GeometryError:
        """Return the error for a wall that leads too near to the viewer; ``room``: how deep it may lead, negative."""
        eye, goal = self.setting.frame.eye, self.way(role).goal
        weight = room / float(eye.ray(goal)[2]) / float(np.linalg.norm(eye.at(goal)))
        aside = abs(weight / (1 + weight) * (goal.x - self.back["bottom"].x)) if room < 0 else 0.0
        least = self.setting.sheet.division_mm
        why = "would reach beside the viewer, so long is its wall"
        return self.refused("wall_too_long", why, max(aside, least), f"{role}_length", is_least=False)

    @cached_property
    def world(self) -> Mapping[str, Array]:
        """Its corners in the world, mm."""
        start, vectors = self.setting.frame.eye.at(self.back["bottom"]), self.vectors
        up = np.array([0.0, self.values.mm("height"), 0.0])
        left, right = vectors["left"], vectors["right"]
        aside = {"back": np.zeros(3), "left": left, "right": right, "near": left + right}
        levels = {"bottom": np.zeros(3), "top": up}
        return {
            f"{corner}.{level}": start + way + rise
            for level, rise in levels.items()
            for corner, way in aside.items()
            if corner != "near" or level in self.levels
        }

    @cached_property
    def solid(self) -> Solid:
        """It in the world of the frame's eye, its faces seen from inside."""
        names = tuple(self.world)
        faces = [
            Face("left_wall", ("left.bottom", "back.bottom", "back.top", "left.top"), "right"),
            Face("right_wall", ("back.bottom", "right.bottom", "right.top", "back.top"), "left"),
            Face("floor", ("near.bottom", "right.bottom", "back.bottom", "left.bottom"), "top"),
        ]
        if "top" in self.levels:
            faces.append(Face("ceiling", ("near.top", "left.top", "back.top", "right.top"), "bottom"))
        topology = Topology(names, tuple(faces), tuple(self._edges()), is_open=True)
        return Solid(topology, np.array(list(self.world.values())))

    def _edges(self) -> Iterator[Edge]:
        for corner in ("back", *ROLES):
            ends = f"{corner}.bottom", f"{corner}.top"
            yield Edge(f"{corner}.edge", *ends, "upright", feature=Feature("upright", corner))
        for level in LEVELS:
            for role in ROLES:
                ends, feature = (f"back.{level}", f"{role}.{level}"), Feature("level", f"{_WHERE[level]} {role} wall")
                yield Edge(f"{level}.{role}", *ends, self.way(role).family, feature=feature)
        for level in self.levels:
            for role in ROLES:
                ends, feature = (f"{role}.{level}", f"near.{level}"), Feature("level", f"front {role} {PLANES[level]}")
                yield Edge(f"{level}.front_{role}", *ends, self.way(other(role)).family, feature=feature)

    def keep_shape(self, after: Setting) -> Mapping[str, float]:
        """Return how far the walls reach aside with which they are as long in the world as before."""
        there, eye, found = type(self)(self.values, after), after.frame.eye, dict[str, float]()
        for role in ROLES:
            goal = there.way(role).goal
            weight = -float(np.linalg.norm(self.vectors[role])) / float(np.linalg.norm(eye.at(goal)))
            if weight > NEAREST_SHARE - 1:
                found[f"{role}_length"] = abs(weight / (1 + weight) * (goal.x - there.back["bottom"].x))
        return found

    @property
    def may_be_thin(self) -> bool:
        """A wall may be seen nearly edge-on."""
        return True

    @cached_property
    def foot_depth(self) -> float:
        """World depth of its nearest corner."""
        return float(self.world["near.bottom"][2])

    @cached_property
    def faces(self) -> Mapping[str, Panel]:
        """Floor, walls and ceiling, seen from inside, each from its nearest corner on."""
        found = {"floor": self._level("bottom"), "left_wall": self._wall("left"), "right_wall": self._wall("right")}
        return found if "top" not in self.levels else {**found, "ceiling": self._level("top")}

    def _wall(self, role: Role) -> Panel:
        """Return a wall: it faces as the side of a box does that runs to the same point."""
        n, over, world = self.values.full, other(role), self.world
        low, far, high = (world[name] for name in (f"{role}.bottom", "back.bottom", f"{role}.top"))
        names = f"{role}.bottom", "back.bottom", "back.top", f"{role}.top"
        inward = self.vectors[over] / np.linalg.norm(self.vectors[over])
        return Panel(
            says=f"{role} wall", face=f"{role}_wall", turned=over, low=n(names[0]), far_low=n(names[1]),
            far_high=n(names[2]), high=n(names[3]), first=n(f"{role}.edge"), bottom=n(f"bottom.{role}"),
            top=n(f"top.{role}"), far=n("back.edge"), around=("bottom", "back", "top", role), along=self.way(role),
            up=self.setting.frame.way("up"), out=self.way(over), drawn_from="low",
            page=(self.end(role, "bottom"), self.back["bottom"], self.back["top"], self.end(role, "top")),
            start=vector(low), axes=(vector(far - low), vector(high - low)),
            first_says=f"{role} edge of the wall", is_inner=True, outward=vector(inward),
        )  # fmt: skip

    def _level(self, level: str) -> Panel:
        """Return the floor or the ceiling, from the nearest corner on."""
        n, world = self.values.full, self.world
        names = f"near.{level}", f"right.{level}", f"back.{level}", f"left.{level}"
        low, far, high = (world[name] for name in (names[0], names[1], names[3]))
        turned, upward = ("top", 1.0) if level == "bottom" else ("bottom", -1.0)
        ceiling = None
        if level == "bottom" and "top" in self.levels:
            ends, rise = (self.end("right", "top"), self.back["top"]), world["back.top"] - world["back.bottom"]
            ceiling = Ceiling(n("top.right"), ends, self.way("right"), vector(rise))
        return Panel(
            says=PLANES[level], face=PLANES[level], turned=turned, low=n(names[0]), far_low=n(names[1]),
            far_high=n(names[2]), high=n(names[3]), first=n(f"{level}.front_left"), bottom=n(f"{level}.front_right"),
            top=n(f"{level}.left"), far=n(f"{level}.right"), around=("right", "back", "back", "left"),
            along=self.way("left"), up=self.way("right"), out=self.setting.frame.way("up"), drawn_from="low",
            page=(self.near(level), self.end("right", level), self.back[level], self.end("left", level)),
            start=vector(low), axes=(vector(far - low), vector(high - low)), first_says="left front edge",
            is_level=True, is_inner=True, outward=(0.0, upward, 0.0), ceiling=ceiling,
        )  # fmt: skip
