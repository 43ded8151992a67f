"""A room in two-point perspective as a thing: its sentence, its moves, its handles."""

from collections.abc import Iterator, Mapping
from functools import partial

from propcache.api import cached_property

from orthopsis.core.construct.moves import Act, Cross, MeasureAside, Move, Rule, RuleToPoint, Run, Side
from orthopsis.core.plane.homogeneous import Point
from orthopsis.core.sheet.ruler import round_to
from orthopsis.core.things.answers import Clause, Handle
from orthopsis.core.things.box.block import ROLES, Role, other
from orthopsis.core.things.parameters import FIRST_CORNER, Value
from orthopsis.core.things.room.corner_shape import LEVELS, PLANES, CornerRoomShape
from orthopsis.core.things.setting import Setting


class CornerRoom(CornerRoomShape):
    """A room about its back corner."""

    sentence: tuple[Clause, ...] = (
        Clause("Its back corner is {height} tall, {left} from the left edge and {bottom} up. The left wall reaches "
               "{left_length} to the left, the right wall {right_length} to the right. It has {ceiling}."),
    )  # fmt: skip

    @classmethod
    def place(cls, setting: Setting, count: int) -> Mapping[str, Value]:
        """Return values for a new room: its back corner in the middle, as large as the sheet has room for."""
        sheet, frame, (low, high) = setting.sheet, setting.frame, setting.sheet.part(setting.half)
        left, right = (frame.way(role).goal.x for role in ROLES)
        begin, end = max(low, left), min(high, right)
        x = round_to((begin + end) / 2, sheet.division_mm)
        tall = max(round_to(sheet.height_mm * 0.3, sheet.division_mm), 20.0)
        foot = max(round_to(min(frame.level_mm - tall * 0.3, sheet.height_mm * 0.35), sheet.division_mm), 0.0)
        wide = max(round_to(min(x - begin, end - x) * 0.55, sheet.division_mm), sheet.division_mm)
        return {"left": x, "bottom": foot, "height": tall, "left_length": wide, "right_length": wide}

    @cached_property
    def recipe(self) -> tuple[Move, ...]:
        """The hand's moves: the back corner, one wall, the other, floor and ceiling."""
        n, values = self.values.full, self.values
        edge = Side(n("back.edge"), n("back.top"), n("back.bottom"), "upright", values.mm("height"))
        told: list[tuple[str, Act]] = [("corner_room.edge", values.begin(self.setting, "back.bottom"))]
        told.append(("corner_room.edge", edge))
        for role in ROLES:
            told += [(f"corner_room.{role}", act) for act in self._wall_acts(role)]
        for level in self.levels:
            told += [(f"corner_room.{PLANES[level]}", act) for act in self._level_acts(level)]
        return tuple(values.move("front", breath, act) for breath, act in told)

    def _wall_acts(self, role: Role) -> Iterator[Act]:
        """Yield the acts that draw a wall from the back corner, away from its point."""
        n, way, aside = self.values.full, self.way(role), self.length(role) * (-1 if role == "left" else 1)
        for level in LEVELS:
            yield RuleToPoint(n(f"construction.laid.{level}.{role}"), n(f"back.{level}"), way.family, "unseen")
        yield MeasureAside(n(f"{role}.bottom"), n(f"construction.laid.bottom.{role}"), aside)
        until = n(f"construction.laid.top.{role}")
        yield Run(n(f"{role}.edge"), n(f"{role}.top"), n(f"{role}.bottom"), "upright", until)
        for level in LEVELS:
            yield Rule(n(f"{level}.{role}"), n(f"back.{level}"), n(f"{role}.{level}"), way.family)

    def _level_acts(self, level: str) -> Iterator[Act]:
        """Yield the acts that close the floor or the ceiling at its nearest corner."""
        n = self.values.full
        for role in ROLES:
            family = self.way(other(role)).family
            yield RuleToPoint(n(f"construction.laid.{level}.front_{role}"), n(f"{role}.{level}"), family, "unseen")
        first, second = (n(f"construction.laid.{level}.front_{role}") for role in ROLES)
        yield Cross(n(f"near.{level}"), first, second)
        for role in ROLES:
            ends = n(f"{role}.{level}"), n(f"near.{level}")
            yield Rule(n(f"{level}.front_{role}"), *ends, self.way(other(role)).family)

    @property
    def handles(self) -> Mapping[str, Handle]:
        """The two ends of the back corner, and the ends of the walls."""
        place = tuple(parameter.name for parameter in FIRST_CORNER)
        found = {
            "place": Handle("Move the room", self.back["bottom"], place, self._drag_place, "place"),
            "size": Handle("Change the height", self.back["top"], ("height",), self._drag_height, "size"),
        }
        for role in ROLES:
            at, changes = self.end(role, "bottom"), (f"{role}_length",)
            found[f"{role}_end"] = Handle(f"Change the {role} wall", at, changes, partial(self._drag_wall, role))
        return found

    def _drag_place(self, at: Point) -> Mapping[str, Value]:
        left, right = (self.setting.frame.way(role).goal.x for role in ROLES)
        division = self.setting.sheet.division_mm
        return {"left": min(max(at.x, left + division), right - division), "bottom": at.y}

    def _drag_height(self, at: Point) -> Mapping[str, Value]:
        return {"height": max(at.y - self.values.first.y, 20.0)}

    def _drag_wall(self, role: Role, at: Point) -> Mapping[str, Value]:
        aside = (at.x - self.values.first.x) * (-1 if role == "left" else 1)
        return {f"{role}_length": max(aside, self.setting.sheet.division_mm)}

    @cached_property
    def spans(self) -> Mapping[str, tuple[Point, Point]]:
        """Between which points each length is measured."""
        first = self.values.first
        found = {
            "left": (Point(0.0, first.y), first), "bottom": (Point(first.x, 0.0), first),
            "height": (first, self.back["top"]),
        }  # fmt: skip
        ends = {f"{role}_length": (first, Point(self.end(role, "bottom").x, first.y)) for role in ROLES}
        return {**found, **ends}
