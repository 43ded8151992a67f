"""Which curves does a finished sheet show that can be judged, and where is each of them looked for?

A circle stands on the sheet as several quarters; those that belong to one circle are one curve. Page millimetres.
"""

import math
from collections.abc import Collection, Iterable
from dataclasses import dataclass, replace

import numpy as np
from numpy.typing import NDArray
from propcache.api import cached_property

from orthopsis.core.check.stroke import FINISHED, Expected
from orthopsis.core.document.document import Exercise
from orthopsis.core.drawing.answer import DrawnLine, Picture, Place
from orthopsis.core.drawing.picture import picture
from orthopsis.core.drawing.solved import Solved, solve
from orthopsis.core.errors import GeometryError
from orthopsis.core.plane.arc import QUARTER_RAD, Arc
from orthopsis.core.plane.ellipse import Ellipse, ellipse_of
from orthopsis.core.plane.homogeneous import Point
from orthopsis.core.scene.prepared import adornments, prepare
from orthopsis.core.wording.names import ANY, Feature

Array = NDArray[np.float64]
SAMPLE_MM = 1.0
"""How far apart on a curve it is looked for."""
SHORTEST_MM = 25.0
"""Of a shorter curve a free hand makes a bend that nobody would judge (common practice, no source)."""
THINNEST_MM = 1.5
"""Half of the short way of an ellipse that can still be told from a line (no source)."""
WHOLE = 0.8
"""From this share of all its places on a curve is seen whole enough to tell its own ellipse from its place."""
SAME_CURVE_MM = 1e-3


@dataclass(frozen=True)
class SoughtCurve:
    """A curve that a finished sheet should show.

    Attributes:
        name: the full name of the first of its lines.
        thing: whose it is.
        feature: what it is on that thing.
        ellipse: the whole ellipse that it is a part of.
        middle: the picture of the circle's middle, where the diagonals of its square cross.
        pieces: what is seen of it, by places in order.
    """

    name: str
    thing: str
    feature: Feature
    ellipse: Ellipse
    middle: Point
    pieces: tuple[tuple[Place, ...], ...]

    @cached_property
    def angles(self) -> Array:
        """Where on its ellipse it is looked for, all round, also where it is hidden."""
        return self.ellipse.even_angles(SAMPLE_MM)

    @cached_property
    def places(self) -> Array:
        """The places at these angles, shape (n, 2)."""
        return self.ellipse.at(self.angles)

    @cached_property
    def outward(self) -> Array:
        """The ways straight out of it there, shape (n, 2)."""
        return self.ellipse.outward(self.angles)

    @cached_property
    def is_seen(self) -> NDArray[np.bool_]:
        """At which angles it is seen."""
        seen = np.zeros(len(self.angles), dtype=bool)
        for piece in self.pieces:
            along = np.unwrap(self.ellipse.angles_of(np.array(piece)))
            low, high = sorted((along[0], along[-1]))
            seen |= (self.angles - low) % math.tau <= high - low
        return seen

    @property
    def is_whole(self) -> bool:
        """Whether enough of it is seen to tell which ellipse was drawn."""
        return bool(self.is_seen.mean() >= WHOLE)

    @property
    def as_line(self) -> Expected:
        """The curve as the line over it, from one corner of what is seen to the other: so its place gets words."""
        seen = self.places[self.is_seen]
        low, high = (Point(float(x), float(y)) for x, y in (seen.min(axis=0), seen.max(axis=0)))
        return Expected(self.name, self.thing, "curve", low, high, True, feature=self.feature)

    @property
    def seen_mm(self) -> float:
        """How much of it is seen."""
        return float(self.is_seen.sum() * SAMPLE_MM)


@dataclass(frozen=True, slots=True, eq=False)
class DrawnCurve:
    """Where a curve was drawn on a sheet.

    Attributes:
        curve: the one that was asked for.
        shift_mm: how far to the right and up the drawn one lies as a whole.
        outward_mm: how far outward it was drawn at each place of the curve, after that, shape (n,).
        is_inked: at which of these places there is graphite, shape (n,).
    """

    curve: SoughtCurve
    shift_mm: tuple[float, float]
    outward_mm: Array
    is_inked: NDArray[np.bool_]

    @property
    def inked_share(self) -> float:
        """Which share of what should be seen of it is drawn, 0 to 1."""
        return float((self.is_inked & self.curve.is_seen).sum() / max(1, self.curve.is_seen.sum()))

    def places(self, outward_mm: Array) -> Array:
        """Return the places that lie outward of the moved curve by so much, page mm, shape (n, 2)."""
        return self.curve.places + self.shift_mm + outward_mm[:, None] * self.curve.outward


def sought_curves(exercise: Exercise) -> list[SoughtCurve]:
    """Return the curves of an exercise that can be judged.

    Raises:
        GeometryError: the exercise cannot be drawn.
    """
    found = solve(prepare(exercise))
    return curves_of(found, picture(found))


def curves_of(found: Solved, drawing: Picture) -> list[SoughtCurve]:
    """Return the curves that can be judged, in the order of the drawing.

    Patterns are left out, as nobody has to draw them so; likewise what is too short or too flat.
    """
    left_out = adornments(found.prepared)
    features = {
        (placed.values.name, edge.name): edge.feature
        for placed in found.prepared.things
        for edge in placed.standing.solid.edges
        if edge.angles is not None
    }
    circles: list[SoughtCurve] = []
    for line, arc in _bent(found, drawing, left_out):
        feature, piece = features.get((line.thing, line.name), ANY), (line.start, *line.bend, line.end)
        for number, known in enumerate(circles):
            if (known.thing, known.feature) == (line.thing, feature) and _is_on(known.ellipse, arc):
                circles[number] = replace(known, pieces=(*known.pieces, piece))
                break
        else:
            ellipse = _ellipse_of(arc)
            if ellipse is not None:
                name = f"{line.thing}.{line.name}"
                circles.append(SoughtCurve(name, line.thing, feature, ellipse, arc.centre, (piece,)))
    return [curve for curve in circles if curve.ellipse.minor >= THINNEST_MM and curve.seen_mm >= SHORTEST_MM]


def _ellipse_of(arc: Arc) -> Ellipse | None:
    """Return the ellipse of an arc; None where it is none, since it runs past the eye."""
    try:
        return ellipse_of(arc)
    except GeometryError:
        return None


def _is_on(ellipse: Ellipse, arc: Arc) -> bool:
    """Tell whether an arc is a part of an ellipse: both its ends and its middle lie on it."""
    places = np.array([at.xy for at in arc.places([0.0, QUARTER_RAD / 2, QUARTER_RAD])])
    return bool(np.hypot(*(ellipse.at(ellipse.angles_of(places)) - places).T).max() <= SAME_CURVE_MM)


def _bent(found: Solved, drawing: Picture, left_out: Collection[str]) -> Iterable[tuple[DrawnLine, Arc]]:
    """Yield the lines of a finished sheet that are curves, each with the arc that the hand constructed."""
    for line in drawing.lines:
        if line.bend and line.visible and line.role in FINISHED and line.thing not in left_out:
            arc = found.board.lines[f"{line.thing}.{line.name}"].arc
            if arc is not None:
                yield line, arc
