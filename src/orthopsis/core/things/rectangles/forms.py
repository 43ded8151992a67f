"""Which forms can lie in a rectangle? All their corners are corners of it, or the middles of its sides.

The middles are found by the crossing of its diagonals. A curve touches two sides at their middles: it is a quarter of
the ellipse that touches all four. Places are shares of the rectangle, along and up.
"""

import math
from collections.abc import Sequence
from dataclasses import dataclass

from orthopsis.core.construct.rounding import turns_of
from orthopsis.core.plane.arc import QUARTER_RAD, FacePlace

CORNERS = ("low_near", "low_far", "high_far", "high_near")
"""Round a rectangle: ``near`` and ``far`` from the first edge of the face."""
SIDES = ("low", "far", "high", "near")
"""The sides, each from the corner of the same number to the next."""
MIDDLES = tuple(f"middle_{side}" for side in SIDES)
PLACES: dict[str, FacePlace] = {
    "low_near": (0.0, 0.0), "low_far": (1.0, 0.0), "high_far": (1.0, 1.0), "high_near": (0.0, 1.0),
    "middle_low": (0.5, 0.0), "middle_far": (1.0, 0.5), "middle_high": (0.5, 1.0), "middle_near": (0.0, 0.5),
}  # fmt: skip
CENTRE: FacePlace = (0.5, 0.5)


@dataclass(frozen=True, slots=True)
class Side:
    """A side of a form, from one of its corners to the next.

    Attributes:
        name: what it is called.
        start, end: the corners, by their names in ``PLACES``.
        pole: the corner of the rectangle that it rounds; empty for a straight one.
    """

    name: str
    start: str
    end: str
    pole: str = ""

    @property
    def way(self) -> FacePlace:
        """From its start to its end, along and up."""
        (x, y), (to_x, to_y) = PLACES[self.start], PLACES[self.end]
        return (to_x - x, to_y - y)

    def at(self, angle_rad: float) -> FacePlace:
        """Return the place at an angle of the curve, 0 at its start, a right angle at its end."""
        cos, sin = math.cos(angle_rad), math.sin(angle_rad)
        (x, y), start, end = CENTRE, PLACES[self.start], PLACES[self.end]
        return (x + cos * (start[0] - x) + sin * (end[0] - x), y + cos * (start[1] - y) + sin * (end[1] - y))


POINTS = {"eight": "four middles and half diagonals", "twelve": "twelve points"}
"""Through which places a hand draws a whole circle."""


def between_middles(side: Side) -> tuple[FacePlace, FacePlace]:
    """Return the two places of a curve whose distances from the rectangle's sides are tenths of it.

    With them and the middles a circle has twelve points: 3, 4 and 5 make a right-angled triangle, so what lies 3 and 4
    tenths aside of the middle lies 5 tenths away (Pythagoras).
    """
    (x, y), start, end = CENTRE, PLACES[side.start], PLACES[side.end]
    return tuple(
        (x + a * (start[0] - x) + b * (end[0] - x), y + a * (start[1] - y) + b * (end[1] - y))
        for a, b in ((0.8, 0.6), (0.6, 0.8))
    )  # type: ignore[return-value]


@dataclass(frozen=True, slots=True)
class Form:
    """A form, by its sides: round the rectangle from its low end at the first edge, or from the middle there."""

    says: str
    sides: tuple[Side, ...]

    @property
    def is_whole(self) -> bool:
        """Whether it is the rectangle itself."""
        return self.sides[0].end == "low_far" and len(self.sides) == len(SIDES)

    @property
    def is_curved(self) -> bool:
        """Whether some of its sides are curves."""
        return any(side.pole for side in self.sides)

    @property
    def middles(self) -> tuple[str, ...]:
        """The middles of sides that it needs."""
        return tuple(name for name in MIDDLES if any(side.start == name for side in self.sides))

    @property
    def sharp(self) -> tuple[str, ...]:
        """The corners at which two straight sides meet; where a curve begins it runs on as the side before it."""
        before = (self.sides[-1], *self.sides[:-1])
        return tuple(b.start for a, b in zip(before, self.sides, strict=True) if not a.pole and not b.pole)


def _round(*corners: str) -> tuple[Side, ...]:
    """Return curves that round corners of the rectangle."""
    ends = {corner: (MIDDLES[i], MIDDLES[(i + 1) % 4]) for i, corner in enumerate((*CORNERS[1:], CORNERS[0]))}
    return tuple(Side(f"curve.{corner}", *ends[corner], corner) for corner in corners)


_LOW = Side("low", "low_near", "low_far")
_UP = Side("far", "low_far", "middle_far")
_DOWN = Side("near", "middle_near", "low_near")
FORMS: dict[str, Form] = {
    "rectangle": Form(
        "a rectangle", tuple(Side(s, CORNERS[i], CORNERS[(i + 1) % 4]) for i, s in enumerate(SIDES))
    ),
    "round": Form("round", _round("low_far", "high_far", "high_near", "low_near")),
    "arch": Form("an arch", (_LOW, _UP, *_round("high_far", "high_near"), _DOWN)),
    "pointed": Form(
        "pointed",
        (_LOW, _UP, Side("slope_far", "middle_far", "middle_high"), Side("slope_near", "middle_high", "middle_near"),
         _DOWN),
    ),
    "lozenge": Form(
        "a lozenge",
        tuple(
            Side(f"slope.{corner}", MIDDLES[i], MIDDLES[(i + 1) % 4])
            for i, corner in enumerate((*CORNERS[1:], CORNERS[0]))
        ),
    ),
    "triangle": Form(
        "a triangle", (_LOW, Side("slope_far", "low_far", "middle_high"), Side("slope_near", "middle_high", "low_near"))
    ),
}  # fmt: skip


@dataclass(frozen=True, slots=True)
class Node:
    """A place on a form's outline where a side or a piece of a curve begins.

    Attributes:
        name: the corner, or ``curve.high_far.at.3``, ``curve.high_far.touch.1``.
        place: in shares of the rectangle.
        side: number of the side that begins or goes on there.
        angle: where it lies on that curve, rad; 0 on a straight side.
        is_sharp: whether an edge leads out of the face from it.
    """

    name: str
    place: FacePlace
    side: int
    angle: float = 0.0
    is_sharp: bool = False

    @property
    def is_touched(self) -> bool:
        """Whether it lies within a curve, where such an edge touches it."""
        return self.is_sharp and self.angle > 0


Touching = tuple[tuple[float, ...], ...]
"""For each side the angles at which lines that lead out of the face touch it, rad; none where it is straight."""


def nodes_of(form: Form, touching: Touching) -> tuple[Node, ...]:
    """Return the corners of a form and of the plane pieces of its curves, in order."""
    found = []
    for number, (side, touches) in enumerate(zip(form.sides, touching, strict=True)):
        is_touched = any(abs(angle - at) < 1e-3 for angles, at in _meeting(touching, number) for angle in angles)
        found.append(Node(side.start, PLACES[side.start], number, 0.0, side.start in form.sharp or is_touched))
        if side.pole:
            inner = [angle for angle in touches if 1e-3 < angle < QUARTER_RAD - 1e-3]
            found += [
                Node(f"{side.name}.{turn.name}", side.at(turn.angle), number, turn.angle, turn.is_touched)
                for turn in turns_of(inner)
            ]
    return tuple(found)


def _meeting(touching: Touching, number: int) -> Sequence[tuple[tuple[float, ...], float]]:
    """Return the angles at which the two sides that meet at a corner are touched, and where the corner lies on each."""
    return ((touching[number], 0.0), (touching[number - 1], QUARTER_RAD))
