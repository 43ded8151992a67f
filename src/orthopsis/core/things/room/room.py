"""A room as a thing: an open box that is seen from inside, its words, its inner faces."""

from collections.abc import Mapping
from dataclasses import replace
from functools import lru_cache

import numpy as np
from propcache.api import cached_property

from orthopsis.core.construct.moves import Move
from orthopsis.core.construct.panel import AROUND_FRONT, Ceiling, Panel, away_from, vector
from orthopsis.core.errors import GeometryError
from orthopsis.core.sheet.length import format_mark
from orthopsis.core.sheet.ruler import round_to
from orthopsis.core.sight.solid import Face, Solid, Topology
from orthopsis.core.things.answers import Clause, Handle
from orthopsis.core.things.box.front import FrontBox
from orthopsis.core.things.box.front_block import CORNERS, OVER, SIDE_FACES
from orthopsis.core.things.parameters import Value
from orthopsis.core.things.setting import Joint, Setting

INNER = {"floor": "bottom", "ceiling": "top", "left_wall": "left", "right_wall": "right"}
"""The faces of a room by the side of its frame from which they lead away."""
WORDS = {"floor": "floor", "ceiling": "ceiling", "left_wall": "left wall", "right_wall": "right wall"}
_TOLD = {
    "front": "room.frame", "guides.see_through": "room.lines", "depth.front": "room.depth",
    "depth.front_half": "room.depth_half", "back": "room.back",
}  # fmt: skip
"""What of a box is told of a room in other words."""


class Room(FrontBox):
    """A room that is looked into from the front."""

    sentence: tuple[Clause, ...] = (
        Clause("Its frame is {width} wide and {height} tall, {left} from the left edge and {bottom} up. "),
        Clause("The back wall {depth_by}: {depth} along {depth_corner}.", {"depth_by": ("measured",)}),
        Clause("The back wall {depth_by} along {depth_corner}.", {"depth_by": ("half",)}),
    )

    @classmethod
    def place(cls, setting: Setting, count: int) -> Mapping[str, Value]:
        """Return values for a new room: a frame all round the sheet, its point within."""
        sheet, (low, high) = setting.sheet, setting.sheet.part(setting.half)
        rim = max(round_to(sheet.height_mm / 15, sheet.division_mm), sheet.division_mm)
        wide = max(round_to(high - low - 2 * rim, sheet.division_mm), 20.0)
        tall = max(round_to(sheet.height_mm - 2 * rim, sheet.division_mm), 20.0)
        return {"left": round_to(low + rim, sheet.division_mm), "bottom": rim, "width": wide, "height": tall}

    @cached_property
    def guided(self) -> tuple[str, ...]:
        """All four corners: one looks in.

        Raises:
            GeometryError: the point lies outside the frame, so that a wall would be seen from outside.
        """
        first, sheet, goal = self.values.first, self.setting.sheet, self.goal
        for name, begin, length, at in (
            ("left", first.x, self.values.mm("width"), goal.x), ("bottom", first.y, self.values.mm("height"), goal.y),
        ):  # fmt: skip
            if not begin + sheet.division_mm <= at <= begin + length - sheet.division_mm:
                nearest = max(round_to(at - length / 2, sheet.division_mm), 0.0)
                shown = format_mark(nearest, sheet.units, sheet.division_mm)
                raise GeometryError(
                    "point_outside_frame",
                    f"The point lies outside the frame of “{self.values.name}”: one cannot look in from there.",
                    f"Let the frame begin {shown} {'from the left' if name == 'left' else 'up'}, or make it larger.",
                    about=name,
                    nearest=shown,
                )
        return CORNERS

    @cached_property
    def solid(self) -> Solid:
        """The room in the world of the frame's eye, its faces seen from inside."""
        outer = super().solid
        return Solid(_turned_inside(outer.topology), outer.places)

    @cached_property
    def recipe(self) -> tuple[Move, ...]:
        """The hand's moves, those of an open box."""
        return tuple(replace(move, breath=_TOLD.get(move.breath, move.breath)) for move in super().recipe)

    @property
    def handles(self) -> Mapping[str, Handle]:
        """The lower left and the upper right of the frame, and the mark of the back wall."""
        says = {"place": "Move the room", "size": "Change the frame", "depth": "Change how far back the wall is"}
        return {name: replace(handle, says=says[name]) for name, handle in super().handles.items()}

    @cached_property
    def joints(self) -> Mapping[str, Joint]:
        """Nothing stands by a room: things stand in it."""
        return {}

    @cached_property
    def faces(self) -> Mapping[str, Panel]:
        """Floor, walls and ceiling, seen from inside."""
        found = {"floor": self._inner("floor"), "back_wall": self._back_wall()}
        return found | {key: self._inner(key) for key in ("left_wall", "right_wall", "ceiling")}

    def _inner(self, key: str) -> Panel:
        side = INNER[key]
        one, two = SIDE_FACES[side]
        low, top = (one, two) if side in ("right", "bottom") else (two, one)
        outer = self._side_panel(side, low, top)
        assert outer.back is not None
        # Out of a wall leads into the room: to where the wall over against it is.
        inward = away_from(-np.array(outer.back.vector))
        return replace(
            outer,
            says=WORDS[key],
            turned=OVER[side],
            is_seen=True,
            is_inner=True,
            back=None,
            outward=inward,
            first_says=f"{side} edge of the frame",
            ceiling=self._ceiling if key == "floor" else None,
        )

    @property
    def _ceiling(self) -> Ceiling:
        """Where the room ends over its floor: at the upper edge of the back wall."""
        frame, at = self.setting.frame, self.setting.frame.eye.at
        high = at(self.corners["top_left"]) - at(self.corners["bottom_left"])
        ends = self.behind("top_left"), self.behind("top_right")
        return Ceiling(self.values.full("back.top"), ends, frame.way("across"), vector(high))

    def _back_wall(self) -> Panel:
        """Return the back wall, which is drawn true as the frame is."""
        n, way, eye = self.values.full, self.setting.frame.way, self.setting.frame.eye
        low, far, _, high = (eye.at(self.corners[corner]) + self.deep for corner in CORNERS)
        page = [self.behind(corner) for corner in CORNERS]
        return Panel(
            says="back wall", face="back", turned="front",
            low=n("back.bottom_left"), far_low=n("back.bottom_right"), far_high=n("back.top_right"),
            high=n("back.top_left"), first=n("back.left"), bottom=n("back.bottom"), top=n("back.top"),
            far=n("back.right"), around=AROUND_FRONT, along=way("across"), up=way("up"), out=way("away"),
            drawn_from="low", page=(page[0], page[1], page[2], page[3]), start=vector(low),
            axes=(vector(far - low), vector(high - low)), first_says="left edge of the back wall", is_inner=True,
            outward=away_from(self.deep),
        )  # fmt: skip


@lru_cache(maxsize=64)
def _turned_inside(outer: Topology) -> Topology:
    """Return an open box as it is seen from inside: its faces turned round."""
    faces = tuple(Face(face.name, face.corners[::-1], OVER.get(face.turned, "front")) for face in outer.faces)
    return Topology(outer.names, faces, outer.edges, is_open=True)
