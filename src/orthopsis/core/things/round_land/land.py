"""The round land of a small world as a thing: its circle or its waves, for the eye and for the hand, and its handle.

The quarters of the circle are counted anticlockwise from that at the upper right; the place at the right of the point
is 0. Waves are sketched about the light circle.
"""

import math
from collections.abc import Iterator, Mapping

import numpy as np
from propcache.api import cached_property

from orthopsis.core.construct.moves import Act, Curve, Move, Offset, Role, Rule
from orthopsis.core.errors import GeometryError
from orthopsis.core.plane.arc import QUARTER_RAD
from orthopsis.core.plane.homogeneous import Point, distance
from orthopsis.core.sheet.length import format_limit
from orthopsis.core.sheet.ruler import round_to
from orthopsis.core.sight.solid import Edge, Solid, Topology
from orthopsis.core.things.answers import Clause, Handle
from orthopsis.core.things.parameters import Value
from orthopsis.core.things.setting import Setting
from orthopsis.core.things.standing import Standing
from orthopsis.core.wording.names import Feature

LEAST_MM = 2.0
"""The smallest radius that can be drawn (no source)."""
QUARTERS = 4
FACETS = 8
"""Straight pieces to which sight cuts a quarter of the circle."""
RIMS = {"circle": "a circle", "waves": "wavy"}
WAVES = ((0.045, 11, 0.0), (0.02, 7, 1.0))
"""Of what the waves are made: how high in radii, how many all round, where they begin (made up here)."""
STROKES = 88
"""Short lines of which the waves are drawn."""
UNITS = ((1.0, 0.0), (0.0, 1.0), (-1.0, 0.0), (0.0, -1.0))
"""Where the quarters begin, in radii from the point."""


class RoundLand(Standing):
    """A circle about the one point."""

    sentence: tuple[Clause, ...] = (
        Clause("The land lies about the point, {radius} from it all round; its edge is {rim}."),
    )

    @property
    def is_wavy(self) -> bool:
        """Whether its edge is sketched in waves."""
        return self.values.word("rim") == "waves"

    @property
    def middle(self) -> Point:
        """The one point."""
        return self.setting.frame.way("away").goal

    @cached_property
    def radius_mm(self) -> float:
        """How far from the point it reaches, mm.

        Raises:
            GeometryError: it would not lie on the sheet.
        """
        radius, sheet = self.values.mm("radius"), self.setting.sheet
        room = self.room_mm
        if room < LEAST_MM:
            raise GeometryError(
                "point_at_edge",
                f"“{self.values.name}” goes round the vanishing point, which lies at the edge of the sheet.",
                "Move the point farther onto the sheet.",
                about="radius",
            )
        if radius > room:
            most = format_limit(room, sheet.units, sheet.division_mm, is_least=False)
            raise GeometryError(
                "land_past_sheet",
                f"“{self.values.name}” would not lie on the sheet.",
                f"The largest distance from the point that works is {most}.",
                about="radius",
                nearest=most,
            )
        return radius

    @property
    def room_mm(self) -> float:
        """The largest radius with which all of it lies on the sheet, mm."""
        (x, y), sheet = self.middle.xy, self.setting.sheet
        high = sum(wave for wave, *_ in WAVES) if self.is_wavy else 0.0
        return min(x, sheet.width_mm - x, y, sheet.height_mm - y) / (1 + high)

    def at(self, angle_rad: float, radii: float = 1.0) -> Point:
        """Return the place at an angle from the right, anticlockwise, so many radii from the point."""
        (x, y), far = self.middle.xy, self.radius_mm * radii
        return Point(x + far * math.cos(angle_rad), y + far * math.sin(angle_rad))

    @cached_property
    def waves(self) -> tuple[Point, ...]:
        """The places between which the waves are drawn; none of a land that ends in a circle."""
        turns = [2 * math.pi * i / STROKES for i in range(STROKES)] if self.is_wavy else []
        high = [1 + sum(wave * math.sin(count * turn + begin) for wave, count, begin in WAVES) for turn in turns]
        return tuple(map(self.at, turns, high))

    @cached_property
    def solid(self) -> Solid:
        """Its edge in the world of the frame's eye, parallel to the picture."""
        eye, feature = self.setting.frame.eye, Feature("line")
        if self.is_wavy:
            names = tuple(f"wave.{i}" for i in range(STROKES))
            edges = [
                Edge(f"edge.{i}", a, b, "free", feature=feature)
                for i, (a, b) in enumerate(zip(names, (*names[1:], names[0]), strict=True))
            ]
            return Solid(Topology(names, (), tuple(edges)), np.array([eye.at(at) for at in self.waves], dtype=float))
        count = QUARTERS * FACETS
        names = tuple(f"at.{i // FACETS}" if i % FACETS == 0 else f"rim.{i}" for i in range(count))
        places = [eye.at(self.at(QUARTER_RAD * i / FACETS)) for i in range(count)]
        edges = []
        for i, name in enumerate(names):
            step, angles = i % FACETS, QUARTER_RAD / FACETS
            edges.append(
                Edge(f"rim.{i // FACETS}", name, names[(i + 1) % count], "free", (step * angles, (step + 1) * angles),
                     feature)
            )  # fmt: skip
        return Solid(Topology(names, (), tuple(edges)), np.array(places, dtype=float))

    @cached_property
    def recipe(self) -> tuple[Move, ...]:
        """The hand's moves: the circle about the point with the compass, and the waves about that."""
        return tuple(self.values.move("front", breath, act) for breath, act in self._acts())

    def _acts(self) -> Iterator[tuple[str, Act]]:
        n, radius, point = self.values.full, self.radius_mm, self.setting.frame.way("away").family
        told = "round_land.light_circle" if self.is_wavy else "round_land.circle"
        for i, (x, y) in enumerate(UNITS):
            yield told, Offset(n(f"at.{i}"), point, radius * x, radius * y)
        for i, (x, y) in enumerate(UNITS):
            after = UNITS[(i + 1) % QUARTERS]
            yield "", Offset(n(f"pole.{i}"), point, radius * (x + after[0]), radius * (y + after[1]))
        for i in range(QUARTERS):
            ends = n(f"at.{i}"), n(f"pole.{i}"), n(f"at.{(i + 1) % QUARTERS}")
            role: Role = "construction" if self.is_wavy else "edge"
            yield told, Curve(n(f"rim.{i}"), *ends, point, role=role)
        for i, at in enumerate(self.waves):
            yield "round_land.waves", Offset(n(f"wave.{i}"), point, at.x - self.middle.x, at.y - self.middle.y)
        for i in range(len(self.waves)):
            yield "round_land.waves", Rule(n(f"edge.{i}"), n(f"wave.{i}"), n(f"wave.{(i + 1) % STROKES}"), "free")

    @property
    def lies_on_ground(self) -> bool:
        """Whatever stands there hides it."""
        return True

    @property
    def has_depth(self) -> bool:
        """It has no sides."""
        return False

    @property
    def handles(self) -> Mapping[str, Handle]:
        """How far it reaches."""
        return {"radius": Handle("Change how far the land reaches", self.at(0.0), ("radius",), self._drag, "size")}

    def _drag(self, at: Point) -> Mapping[str, Value]:
        division = self.setting.sheet.division_mm
        most = self.room_mm // division * division
        return {"radius": max(min(distance(self.middle, at), most), LEAST_MM)}

    @cached_property
    def spans(self) -> Mapping[str, tuple[Point, Point]]:
        """Between which points each length is measured."""
        return {"radius": (self.middle, self.at(0.0))}

    @classmethod
    def place(cls, setting: Setting, count: int) -> Mapping[str, Value]:
        """Return a value for one more land: each a little larger than the one before."""
        return {"radius": round_to(setting.fresh_size * (1.5 + 0.25 * count), setting.sheet.division_mm)}
