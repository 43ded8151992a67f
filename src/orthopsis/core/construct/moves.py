"""What does the hand do, with which tool, from what, to make what?

A move names its inputs and makes named outputs. It holds no prose, colour or pixel: picture, words,
animation, print and marking all replay the one list. Names of points and lines are full names
(``Crate.front.top_left``); lengths are page millimetres.
"""

from collections.abc import Mapping
from dataclasses import dataclass, fields, replace
from typing import Any, Literal, get_args

from orthopsis.core.wording.pieces import CutPiece

Phase = Literal[
    "setup", "front", "divide", "guides", "depth", "back", "round", "pattern", "take_away", "darken", "tone"
]
EYE_LEVEL = "eye level"
"""The full name of that line."""
Family = str
"""``level``, ``upright``, ``free``, or the name of a vanishing point."""


@dataclass(frozen=True, slots=True)
class Measure:
    """Mark a point measured from the left and the bottom edge of the sheet."""

    makes: str
    from_left_mm: float
    from_bottom_mm: float


@dataclass(frozen=True, slots=True)
class Offset:
    """Mark a point measured from another, level and upright (true faces only; negative: left or down)."""

    makes: str
    start: str
    across_mm: float
    up_mm: float


@dataclass(frozen=True, slots=True)
class Across:
    """Rule a level line at the height of ``through``, from one place to another (mm from the left edge)."""

    makes: str
    through: str
    from_left_mm: float
    to_left_mm: float


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
    role: "Role" = "edge"


Role = Literal["edge", "guide", "construction", "unseen"]
"""``unseen`` lines are where the ruler lies; the hand does not draw them."""


@dataclass(frozen=True, slots=True)
class Rule:
    """Rule a line through two points; ``family`` says which way it must run.

    ``stops_at`` names lines behind which its end is hidden: where the first of them is met the hand stops.
    """

    makes: str
    start: str
    end: str
    family: Family
    role: Role = "edge"
    stops_at: tuple[str, ...] = ()


@dataclass(frozen=True, slots=True)
class RuleToPoint:
    """Rest the ruler on a vanishing point, turn it until it touches a corner, draw light.

    ``stops_at`` names lines of the thing's own front: where the first of them is met the hand stops. ``until`` is a
    line to which it is drawn instead, to this side of the point or away from it.
    """

    makes: str
    start: str
    point: str
    role: Role = "guide"
    stops_at: tuple[str, ...] = ()
    until: str = ""


@dataclass(frozen=True, slots=True)
class MeasureAside:
    """Mark the point of a line that lies a measured distance aside of its start, to the right or (negative) left."""

    makes: str
    line: str
    across_mm: float


@dataclass(frozen=True, slots=True)
class Divide:
    """Mark the point at a share of the true length of an edge that goes away, by a level measuring line.

    Equal parts are laid off on a level line through ``start`` and carried over to the edge ``start``-``end``
    from the one point that fits: where the line from the last mark through ``end`` reaches the level line
    through the edge's vanishing point.
    """

    makes: str
    start: str
    end: str
    point: str
    share: float


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
    """Mark the point where two ruled lines cross.

    ``counted``: on a divided face, which light lines they are, counted from its nearest edge and from its foot; none
    for one that leans.
    """

    makes: str
    first: str
    second: str
    counted: tuple[int | None, int | None] | None = None


@dataclass(frozen=True, slots=True)
class Run:
    """From a point rule a line of a family until it reaches another line; makes line and point.

    ``stops_at`` as in ``Rule``: the point is then where it would end, and nobody marks it.
    """

    makes: str
    makes_point: str
    start: str
    runs: Family
    until: str
    role: Role = "edge"
    stops_at: tuple[str, ...] = ()


@dataclass(frozen=True, slots=True)
class Through:
    """Through a point rule a line of a family from one line to another one; makes the line and both its ends."""

    makes: str
    makes_point: str
    makes_other: str
    through: str
    runs: Family
    first: str
    second: str
    role: Role = "edge"


@dataclass(frozen=True, slots=True)
class Slide:
    """From a point rule a line parallel on the page to another one, until it reaches a third; makes line and point.

    ``stops_at`` as in ``Run``.
    """

    makes: str
    makes_point: str
    start: str
    like: tuple[str, str]
    until: str
    role: Role = "edge"
    stops_at: tuple[str, ...] = ()


@dataclass(frozen=True, slots=True)
class Curve:
    """Draw the curve that rounds a corner: it touches the two edges where it starts and ends (see ``plane.arc``).

    ``marks`` are points through which it is drawn, by full name, with their angles in rad.
    """

    makes: str
    start: str
    pole: str
    end: str
    centre: str
    marks: tuple[tuple[str, float], ...] = ()
    role: Role = "edge"


@dataclass(frozen=True, slots=True)
class RunToCurve:
    """From a point rule a line of a family until it first meets the ellipse of a curve; makes line and point."""

    makes: str
    makes_point: str
    start: str
    runs: Family
    until: str
    role: Role = "edge"


@dataclass(frozen=True, slots=True)
class CurvePart:
    """Draw the part of the ellipse of a curve between two places on it, less than half of it."""

    makes: str
    line: str
    start: str
    end: str
    role: Role = "edge"


@dataclass(frozen=True, slots=True)
class Touch:
    """Rest the ruler on a vanishing point, or upright, move it until it touches a curve, mark; ``number`` counts them.

    They are counted from the start of the curve, from 0, those at its ends left out.
    """

    makes: str
    line: str
    point: str
    number: int


@dataclass(frozen=True, slots=True)
class Shift:
    """Mark a point level with another, at a measured distance (used to lay off an eye distance)."""

    makes: str
    start: str
    across_mm: float


Act = (
    Measure
    | Offset
    | Across
    | Side
    | Rule
    | RuleToPoint
    | MeasureAlong
    | MeasureAside
    | ShareAlong
    | Divide
    | Cross
    | Run
    | Through
    | Slide
    | Curve
    | RunToCurve
    | CurvePart
    | Touch
    | Shift
)


def full_name(thing: str, name: str) -> str:
    """Return the full name of a point or line from its name within its thing."""
    return f"{thing}.{name}"


def name_within(thing: str, full: str) -> str:
    """Return the name of a point or line within its thing, from its full name; of what belongs to none as it is."""
    return full[len(thing) + 1 :] if thing else full


def _fields_among(names: tuple[str, ...]) -> dict[type, tuple[str, ...]]:
    """Return for each kind of act which of some fields it has."""
    return {kind: tuple(f.name for f in fields(kind) if f.name in names) for kind in get_args(Act)}


_INPUTS = _fields_among(("start", "end", "point", "line", "first", "second", "until", "through", "pole", "centre"))
_SEVERAL_INPUTS = _fields_among(("like", "stops_at"))
_OUTPUTS = _fields_among(("makes", "makes_point", "makes_other"))


def inputs(act: Act) -> set[str]:
    """Return the full names of the points and lines that an act takes up."""
    names = {getattr(act, field) for field in _INPUTS[type(act)]}
    for field in _SEVERAL_INPUTS[type(act)]:
        names.update(getattr(act, field))
    return names - {""}


def outputs(act: Act) -> set[str]:
    """Return the full names of the points and lines that an act makes."""
    names = {getattr(act, field) for field in _OUTPUTS[type(act)]}
    if isinstance(act, Curve):
        names.update(name for name, _ in act.marks)
    return names


def renamed(act: Act, names: Mapping[str, str]) -> Act:
    """Return an act with other names for some of the points and lines that it takes up or makes."""
    changes: dict[str, Any] = {field.name: _renamed(getattr(act, field.name), names) for field in fields(act)}
    return replace(act, **changes)


def _renamed(value: object, names: Mapping[str, str]) -> object:
    if isinstance(value, tuple):
        return tuple(_renamed(v, names) for v in value)
    return names.get(value, value) if isinstance(value, str) else value


@dataclass(frozen=True, slots=True)
class Move:
    """One act of the hand, with what it belongs to.

    Attributes:
        phase: where it belongs in the order of the work.
        thing: the thing's name, or empty for the sheet itself.
        breath: which words say it; moves of one phase, thing, view and breath are said as one step. Empty for what
            the ruler shows without being told or drawn.
        act: what is done.
        view: the view whose points it marks, or empty.
        part: the part of the thing that it belongs to, such as a letter, or empty.
        piece: which of several pieces that are cut away it belongs to; they are told one by one.
        face: what the face is called on which it is drawn, of what goes on over several; they are told one by one.
    """

    phase: Phase
    thing: str
    breath: str
    act: Act
    view: str = ""
    part: str = ""
    piece: CutPiece | None = None
    face: str = ""
