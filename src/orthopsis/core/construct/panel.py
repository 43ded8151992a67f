"""A face that can be divided: four corners, its four edges on the board, and where they run.

Its *first edge* is the one that is ticked: drawn true, or nearest. *Along* runs from there on, *up* runs with the first
edge from its *low* to its *high* end. Places on it are shares ``(along, up)``, from the low end of the first edge. In
the world it is a parallelogram.
"""

from collections.abc import Iterable, Mapping
from dataclasses import dataclass, replace
from typing import Literal

import numpy as np

from orthopsis.core.construct.moves import Act
from orthopsis.core.plane.arc import FacePlace
from orthopsis.core.plane.homogeneous import Point, distance
from orthopsis.core.plane.polygon import signed_area
from orthopsis.core.view.eye import Array
from orthopsis.core.view.frame import Way

End = Literal["low", "high"]
Vector = tuple[float, float, float]


def vector(array: Array) -> Vector:
    """Return a world vector of shape (3,) as plain numbers."""
    x, y, z = array.tolist()
    return (x, y, z)


AROUND_FRONT = ("bottom", "right", "top", "left")
"""How what stands out of a front is turned over its edges (see ``Panel.around``)."""


LEVEL_WORDS = {"top": "top", "bottom": "underside"}
"""How level faces are called."""


def away_from(inward: Array) -> Vector:
    """Return the world vector of length 1 that leads the other way."""
    return vector(-inward / np.linalg.norm(inward))


@dataclass(frozen=True, slots=True)
class PartCorner:
    """A corner of a part of a face: its full name, its share along and up, its place on the page, mm."""

    name: str
    place: FacePlace
    at: Point


@dataclass(frozen=True, slots=True)
class Part:
    """A part of a face with outlines of its own, such as a letter.

    Attributes:
        name: what it is called, such as the letter.
        pieces: the loops of each piece, its outline before its holes, by the name of the piece's face in the solid.
    """

    name: str
    pieces: tuple[tuple[str, tuple[tuple[PartCorner, ...], ...]], ...]

    @property
    def loops(self) -> tuple[tuple[PartCorner, ...], ...]:
        """All its loops."""
        return tuple(loop for _, loops in self.pieces for loop in loops)


@dataclass(frozen=True, slots=True)
class Back:
    """Where the body behind a face ends: the corners opposite to those of the face.

    Attributes:
        low, high, far_low, far_high: full names of the corners opposite to those called so.
        upper: full names of the edges that lead there from the high and the far high corner.
        page: the corners low, far low, far high and high on the page, mm.
        vector: in the world, from the face to there, mm.
        face: the name of the face opposite in the thing's solid.
    """

    low: str
    high: str
    far_low: str
    far_high: str
    upper: tuple[str, str]
    page: tuple[Point, Point, Point, Point]
    vector: Vector
    face: str

    @property
    def points(self) -> Mapping[str, Point]:
        """The corners on the page, by full name."""
        return dict(zip((self.low, self.far_low, self.far_high, self.high), self.page, strict=True))


@dataclass(frozen=True, slots=True)
class Pitch:
    """How a slope rises from its low end to its high one: level by its run, and up by its rise.

    Attributes:
        way: the level direction straight up the slope.
        run, rise: in the world, mm; together they are the slope's vector up.
    """

    way: Way
    run: Vector
    rise: Vector


@dataclass(frozen=True, slots=True)
class Ceiling:
    """Where a room ends over a floor: the edge over the floor's far one, and how high it is.

    Attributes:
        edge: the full name of the edge; ``ends``: from where to where it is drawn; ``way``: which way it runs.
        vector: from the floor to the ceiling in the world, mm.
    """

    edge: str
    ends: tuple[Point, Point]
    way: Way
    vector: Vector


@dataclass(frozen=True, slots=True)
class Flight:
    """The steps of which a face is the side.

    Attributes:
        noses: the fronts of the treads on this side, from the first: full name, and where it is on the page.
        over: those on the other side.
        shares: where those on this side lie, as shares of the face.
        across: the direction from this side to the other one; ``wide``: that way in the world, mm.
    """

    noses: tuple[tuple[str, Point], ...]
    over: tuple[tuple[str, Point], ...]
    shares: tuple[FacePlace, ...]
    across: Way
    wide: Vector


@dataclass(frozen=True, slots=True)
class Incline:
    """How a slope leads up from the ground.

    Attributes:
        under: the places on the ground straight under the ends of its upper edge, by full name, as that runs.
        run: in the world, level from the slope's foot to there, mm.
    """

    under: tuple[str, str]
    run: Vector


@dataclass(frozen=True, slots=True)
class BareSide:
    """A side of which only an outline within a rectangle is there, and on which nothing is told.

    Attributes:
        start, axes: in the world, where the rectangle begins, and its vectors along and up, mm.
        outward: the way out in the world, a vector of length 1.
        outline: its corners, as shares of the rectangle.
        is_level, incline: that it is neither a top nor a slope.
    """

    start: Vector
    axes: tuple[Vector, Vector]
    outward: Vector
    outline: tuple[FacePlace, ...]
    is_level: bool = False
    incline: None = None


@dataclass(frozen=True, slots=True)
class RoundWall:
    """The half of a round wall that touches a flat one along its middle.

    Attributes:
        is_along: whether its axis runs along the flat wall; else it runs up it.
        centres: full names of the middles of its circles, at the begin of the flat wall and at its end; the last one
            is empty where nobody has marked it.
        marks: the acts that find the first of them, where nobody has marked it yet.
        known: the points from which all these are found, by full name, on the page, mm.
        back: in the world, from the flat wall over the axis to the other side, mm.
        breaks: where the plane pieces meet in which its solid is made: across the wall, as shares of it.
    """

    is_along: bool
    centres: tuple[str, str]
    marks: tuple[Act, ...]
    known: tuple[tuple[str, Point], ...]
    back: Vector
    breaks: tuple[float, ...]


@dataclass(frozen=True, slots=True)
class Panel:
    """A face that can be divided, and on which other things stand.

    Attributes:
        says: how it is called: ``left side``.
        face: its name in the thing's solid.
        low, high, far_low, far_high: full names of its corners.
        first, bottom, top, far: full names of its edges on the board: the first one, from its ends on, opposite.
        turned: which way it faces, as its solid says.
        around: which way faces are turned that stand out of it over its lower, far, upper and first edge.
        along, up, out: its directions, and the one that leads out of it; up a ramp's slope the level one ahead.
        drawn_from: the end from which the first edge is drawn, and so measured.
        page: the corners low, far low, far high and high on the page, mm.
        start, axes: in the world, where low is, and the vectors along and up, mm.
        first_says: how its first edge is called.
        is_level: whether it is a top or an underside.
        pitch: how it rises, for a slope of a roof: its way out is upright, and things lie flat on it or stand upright.
        is_seen: whether its outer side is turned to the eye.
        is_drawn: whether the hand has drawn all of its edges; else it is hidden, and can be drawn through the body.
        is_part: whether it is a part of a divided face.
        is_inner: whether it is a face of a room, seen from inside.
        is_round: whether it is the square about a round top, on which only what is round stands.
        is_ground: whether it is the ground under a block, on which only its shadow falls.
        flight: the steps of which it is the side; only what goes up with them stands on it.
        incline: how it leads up from the ground, for the slope of a ramp; only shadows fall on it.
        ceiling: where the room ends over it, for a floor under a ceiling.
        round_wall: the round wall that it touches, for a side of the box about that; only what goes round stands on it.
        marks: the acts that mark corners of it which nobody has marked yet, though their lines are there.
        back: where its body ends behind it, for a face of a block.
        outward: the way out in the world, a vector of length 1; none where nobody knows.
        parts: what is left of it, where it is cut to an outline; none where it is whole.
        others: faces that are turned the same way and get the same pattern, such as those of a word's other letters.
    """

    says: str
    face: str
    turned: str
    low: str
    high: str
    far_low: str
    far_high: str
    first: str
    bottom: str
    top: str
    far: str
    around: tuple[str, str, str, str]
    along: Way
    up: Way
    out: Way
    drawn_from: End
    page: tuple[Point, Point, Point, Point]
    start: Vector
    axes: tuple[Vector, Vector]
    first_says: str = "nearest edge"
    is_level: bool = False
    pitch: Pitch | None = None
    is_seen: bool = True
    is_drawn: bool = True
    is_part: bool = False
    is_inner: bool = False
    is_round: bool = False
    is_ground: bool = False
    flight: Flight | None = None
    incline: Incline | None = None
    ceiling: Ceiling | None = None
    round_wall: RoundWall | None = None
    marks: tuple[Act, ...] = ()
    back: Back | None = None
    outward: Vector | None = None
    parts: tuple[Part, ...] = ()
    others: "tuple[Panel, ...]" = ()

    @property
    def all(self) -> "tuple[Panel, ...]":
        """It and the others that belong to it."""
        return (self, *self.others)

    @property
    def is_for_some(self) -> bool:
        """Whether only some kinds of things know how to lie on it, such as shadows on the slope of a ramp."""
        return bool(self.is_round or self.is_ground or self.flight or self.incline or self.round_wall)

    @property
    def is_whole(self) -> bool:
        """Whether nothing is cut from it, and things of any kind can lie there."""
        return not (self.parts or self.is_for_some)

    @property
    def is_whole_top(self) -> bool:
        """Whether it is the whole top of a block, on which a roof can stand."""
        return self.is_whole and self.turned == "top" and not (self.is_part or self.is_sloping or self.is_inner)

    @property
    def is_floor(self) -> bool:
        """Whether it is the floor of a room."""
        return self.is_inner and self.turned == "top"

    @property
    def is_wall(self) -> bool:
        """Whether it is a wall of a room."""
        return self.is_inner and not self.is_level

    @property
    def is_sloping(self) -> bool:
        """Whether it is a slope of a roof."""
        return self.pitch is not None

    @property
    def is_mirrored(self) -> bool:
        """Whether its corners run clockwise as seen from outside."""
        return (signed_area(self.page) > 0) != self.is_seen

    @property
    def ground(self) -> "Panel":
        """The ground under a block whose underside it is."""
        return replace(self, says="foot", turned="top", is_drawn=True, is_ground=True)

    @property
    def is_true(self) -> bool:
        """Whether it is parallel to the picture, so that a ruler measures on it."""
        return self.along.goal.is_ideal and self.up.goal.is_ideal

    @property
    def first_mm(self) -> float:
        """How long the first edge is on the page, mm."""
        return distance(self.page[0], self.page[3])

    def places(self, shares: Iterable[FacePlace]) -> Array:
        """Return where places on it are in the world, shape (n, 3), mm."""
        flat = np.array(list(shares), dtype=float).reshape(-1, 2)
        along, up = np.array(self.axes)
        return np.asarray(np.array(self.start) + flat[:, :1] * along + flat[:, 1:] * up)

    @property
    def points(self) -> Mapping[str, Point]:
        """Its corners on the page, those of its steps, of its round wall and of the others of it, by full name."""
        found = dict(zip((self.low, self.far_low, self.far_high, self.high), self.page, strict=True))
        found |= {c.name: c.at for part in self.parts for loop in part.loops for c in loop}
        if self.flight is not None:
            found |= dict((*self.flight.noses, *self.flight.over))
        if self.round_wall is not None:
            found |= dict(self.round_wall.known)
        for other in self.others:
            found |= other.points
        return found

    @property
    def whole(self) -> Part:
        """The face itself as a part."""
        names, places = (self.low, self.far_low, self.far_high, self.high), ((0, 0), (1, 0), (1, 1), (0, 1))
        corners = zip(names, places, self.page, strict=True)
        return Part("", ((self.face, (tuple(PartCorner(name, place, at) for name, place, at in corners),)),))

    @property
    def lines(self) -> Mapping[str, tuple[Point, Point, Way]]:
        """Its edges by full name: from where to where they are drawn, and which way they run; a ceiling's too."""
        low, far_low, far_high, high = self.page
        first = (low, high) if self.drawn_from == "low" else (high, low)
        over = {} if self.ceiling is None else {self.ceiling.edge: (*self.ceiling.ends, self.ceiling.way)}
        return over | {
            self.first: (*first, self.up),
            self.bottom: (low, far_low, self.along),
            self.top: (high, far_high, self.along),
            self.far: (far_low, far_high, self.up),
        }

    def above(self, page_mm: float) -> float:
        """Return how far over the high end of the first edge a place is in truth, in lengths of that edge.

        Args:
            page_mm: how far it is on the page, along the line of that edge.

        Source: as ``true_share``.
        """
        goal, low, high = self.up.goal, self.page[0], self.page[3]
        page = 1 + page_mm / self.first_mm
        if goal.is_ideal:
            return page - 1
        ahead = (goal.x - low.x) * (high.x - low.x) + (goal.y - low.y) * (high.y - low.y)
        reach = ahead / self.first_mm**2
        return page * (reach - 1) / (reach - page) - 1

    def true_share(self, page_share: float) -> float:
        """Return the share of the true way along for a share of its lower edge on the page.

        Source: on a line that vanishes at distance D, what lies x of L along on the page lies
        x (D - L) / (L (D - x)) along in truth: cross-ratio (textbook; from memory).
        """
        reach = self._reach
        return page_share if reach is None else page_share * (reach - 1) / (reach - page_share)

    def page_share(self, true_share: float) -> float:
        """Return the share of its lower edge on the page for a share of the true way along."""
        reach = self._reach
        return true_share if reach is None else true_share * reach / (reach - 1 + true_share)

    @property
    def bottom_mm(self) -> float:
        """How long its lower edge is on the page, mm."""
        return distance(self.page[0], self.page[1])

    @property
    def _reach(self) -> float | None:
        """How far its vanishing point is, in lengths of the lower edge on the page; none where that is drawn true."""
        return None if self.along.goal.is_ideal else distance(self.page[0], self.along.goal) / self.bottom_mm
