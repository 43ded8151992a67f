"""What does the hand do, with which tool, from what, to make what?

A move names its inputs and makes named outputs. It holds no prose, colour or pixel: picture, words,
animation, print and marking all replay the one list. Names of points and lines are full names
(``Crate.front.top_left``); lengths are page millimetres.
"""

from dataclasses import dataclass
from typing import Literal

Phase = Literal["setup", "front", "guides", "depth", "back", "take_away", "darken", "tone"]
Family = str
"""``level``, ``upright``, ``free``, or the name of a vanishing point."""


@dataclass(frozen=True, slots=True)
class Measure:
    """Mark a point measured from the left and the bottom edge of the sheet."""

    makes: str
    from_left_mm: float
    from_bottom_mm: float


@dataclass(frozen=True, slots=True)
class Across:
    """Rule a level line over the whole sheet, at the height of ``through``."""

    makes: str
    through: str


@dataclass(frozen=True, slots=True)
class Side:
    """From a point rule a level or upright line of a measured length (negative: left or down).

    Makes the line and its end point.
    """

    makes: str
    makes_point: str
    start: str
    runs: Literal["level", "upright"]
    length_mm: float


@dataclass(frozen=True, slots=True)
class Rule:
    """Rule a line through two points; ``family`` says which way it must run."""

    makes: str
    start: str
    end: str
    family: Family


@dataclass(frozen=True, slots=True)
class RuleToPoint:
    """Rest the ruler on a vanishing point, turn it until it touches a corner, draw light."""

    makes: str
    start: str
    point: str
    role: Literal["guide", "construction"] = "guide"


@dataclass(frozen=True, slots=True)
class MeasureAlong:
    """Mark a point at a measured distance along a guide line, counted from its corner."""

    makes: str
    line: str
    length_mm: float


@dataclass(frozen=True, slots=True)
class ShareAlong:
    """Mark a point at a share of the way from a guide line's corner to its vanishing point, by eye."""

    makes: str
    line: str
    share: float


@dataclass(frozen=True, slots=True)
class Cross:
    """Mark the point where two ruled lines cross."""

    makes: str
    first: str
    second: str


@dataclass(frozen=True, slots=True)
class Parallel:
    """From a point rule a level or upright line until it reaches another line; makes line and point."""

    makes: str
    makes_point: str
    start: str
    runs: Literal["level", "upright"]
    until: str


@dataclass(frozen=True, slots=True)
class Shift:
    """Mark a point level with another, at a measured distance (used to lay off an eye distance)."""

    makes: str
    start: str
    across_mm: float


Act = Measure | Across | Side | Rule | RuleToPoint | MeasureAlong | ShareAlong | Cross | Parallel | Shift


@dataclass(frozen=True, slots=True)
class Move:
    """One act of the hand, with what it belongs to.

    Attributes:
        phase: where it belongs in the order of the work.
        thing: the thing's name, or empty for the sheet itself.
        breath: moves of one phase, thing and breath are said as one step.
        act: what is done.
    """

    phase: Phase
    thing: str
    breath: str
    act: Act
