"""The values of one thing in one exercise, and the acts and moves that are called by its name."""

import math
from collections.abc import Mapping
from dataclasses import dataclass, field

from orthopsis.core.construct.moves import Act, Measure, MeasureAlong, Move, Phase, RuleToPoint, Shift, full_name
from orthopsis.core.plane.homogeneous import Point
from orthopsis.core.plane.tolerance import SAME_POINT_MM
from orthopsis.core.things.outline import Outline, size
from orthopsis.core.things.parameters import LOOK, Value
from orthopsis.core.things.setting import Anchor, InLine, Setting


@dataclass(frozen=True, slots=True)
class Values:
    """The parameter values of one thing in one exercise.

    Attributes:
        name: what the thing is called; the first part of its points' names.
        held: value by parameter name; lengths in page mm.
        parts: the parts that are told one by one, such as letters: what each is called, and how many loops of the
            outline it has.
        room: width and height of the rectangle in which the outline stands, where it does not fill it, mm.
    """

    name: str
    held: Mapping[str, Value]
    parts: tuple[tuple[str, int], ...] = ()
    room: tuple[float, float] | None = None
    _hash: int = field(init=False, repr=False, compare=False, default=0)

    def __post_init__(self) -> None:
        """Find the hash once: things are looked up by their values each time that a picture is made."""
        object.__setattr__(self, "_hash", hash((self.name, tuple(self.held.values()))))

    def __hash__(self) -> int:
        return self._hash

    def mm(self, name: str) -> float:
        """Return a length in mm."""
        held = self.held[name]
        assert isinstance(held, float | int)
        return float(held)

    def word(self, name: str) -> str:
        """Return a choice."""
        return str(self.held[name])

    def outline(self, name: str) -> Outline:
        """Return an outline, mm from the lower left corner of its face."""
        held = self.held[name]
        assert not isinstance(held, float | str)
        return held

    def face(self, name: str) -> tuple[float, float]:
        """Return width and height of the face that an outline is cut from, mm."""
        return self.room or size(self.outline(name))

    @property
    def first(self) -> Point:
        """The corner that is drawn first, page mm."""
        return Point(self.mm("left"), self.mm("bottom"))

    @property
    def is_see_through(self) -> bool:
        """Whether hidden edges are shown and nothing is hidden by this thing."""
        return self.held.get(LOOK.name) == "see_through"

    @property
    def is_open(self) -> bool:
        """Whether one looks into it."""
        return self.held.get(LOOK.name) == "open"

    @property
    def shows_inside(self) -> bool:
        """Whether its inner sides are seen, and so drawn."""
        return self.is_see_through or self.is_open

    def full(self, name: str) -> str:
        """Return the full name of a point or line of this thing."""
        return full_name(self.name, name)

    def swapped(self, *pairs: tuple[str, str]) -> dict[str, Value]:
        """Return the values of pairs of parameters, each with that of the other one."""
        return {name: self.held[other] for one, two in pairs for name, other in ((one, two), (two, one))}

    def begin(self, setting: Setting, name: str) -> Act:
        """Return the act that marks the first corner: measured, or where it stands on another thing."""
        anchor = setting.anchor
        if anchor is not None and anchor.point and math.dist(anchor.at.xy, self.first.xy) <= SAME_POINT_MM:
            return Shift(self.full(name), anchor.point, 0.0)
        return Measure(self.full(name), *self.first.xy)

    def line_up(self, anchor: Anchor, in_line: InLine, foot: str) -> list[Act]:
        """Return the acts that run the other's foot to the point, mark the foot there, and run its top there too.

        What keeps its own height needs no top; the other's light line is there, on which it is marked.
        """
        ground, rise = self.full("construction.ground"), self.full("construction.rise")
        acts: list[Act] = [
            RuleToPoint(ground, anchor.point, in_line.runs, "construction" if in_line.top else "unseen"),
            MeasureAlong(self.full(foot), ground, in_line.gap_mm),
        ]
        return acts + ([RuleToPoint(rise, in_line.top, in_line.runs, "construction")] if in_line.top else [])

    def move(self, phase: Phase, breath: str, act: Act, part: str = "") -> Move:
        """Return a move of this thing, or of a part of it."""
        return Move(phase, self.name, breath, act, part=part)
