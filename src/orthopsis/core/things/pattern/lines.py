"""Where do the lines of a pattern run? From crossing to crossing of a light grid, as far as the edges of a letter."""

import itertools
import math
from collections.abc import Iterator
from dataclasses import dataclass

from orthopsis.core.construct.panel import Panel, Part, PartCorner
from orthopsis.core.errors import GeometryError
from orthopsis.core.plane.arc import QUARTER_RAD, FacePlace, Rounding
from orthopsis.core.things.division.parts import are_equal, read_parts
from orthopsis.core.things.pattern.cut import End, pieces
from orthopsis.core.things.pattern.designs import EACH, Node, Path, paths
from orthopsis.core.things.pattern.greys import Look, different_looks
from orthopsis.core.things.values import Values

MARK = "at"
"""How the crossings of the light lines are called."""
FACETS = 4
"""Straight pieces to which a quarter of a wave is cut."""


@dataclass(frozen=True, slots=True)
class Spot:
    """A place that a pattern's line starts from or ends at: its name within the thing, and its share of the face.

    ``is_crossing``: whether two lines of its net cross there.
    """

    name: str
    place: FacePlace
    is_crossing: bool = False


@dataclass(frozen=True, slots=True)
class PatternLine:
    """A line between two spots before the face's outline cuts it; ``runs`` as its path does."""

    name: str
    start: Spot
    end: Spot
    runs: str
    curve: str = ""
    angles: tuple[float, float] = (0.0, 0.0)
    """For a piece of a wave: the curve it belongs to, and from where to where on it, rad."""

    def angle(self, at: float) -> float:
        """Return the place on its curve at a share of the stroke."""
        return self.angles[0] + at * (self.angles[1] - self.angles[0])


@dataclass(frozen=True, slots=True)
class PatternPiece:
    """What is drawn of a stroke: between two spots, each with the side that cuts it there."""

    name: str
    stroke: PatternLine
    start: Spot
    end: Spot
    span: tuple[float, float]
    cuts: tuple[tuple[Spot, tuple[PartCorner, PartCorner]], ...]


@dataclass(frozen=True, slots=True)
class Drawn:
    """A pattern on one part of a face; the crossings of its light lines are those of ``net``."""

    panel: Panel
    part: Part
    net: "Net"
    look: Look
    quarters: tuple[tuple[str, Spot, Spot], ...]
    pieces: tuple[PatternPiece, ...]


@dataclass(frozen=True, slots=True)
class Net:
    """The crossings of the light lines on one face: into how many parts it is divided, and how they are called."""

    columns: int
    rows: int
    mark: str

    def place(self, node: Node) -> FacePlace:
        """Return the place of a node."""
        return (node[0] / (2 * self.columns), node[1] / (2 * self.rows))

    def spot(self, node: Node) -> Spot:
        """Return the place of a node with its name."""
        return Spot(f"{self.mark}.{node[0]}.{node[1]}", self.place(node), is_crossing=True)


def _count(values: Values, name: str) -> int:
    ends = read_parts(values.word(name), name)
    if not are_equal(ends):
        fix = "Type how many there are."
        raise GeometryError("parts_differ", "The parts of a pattern are equal.", fix, about=name, nearest="6")
    return len(ends) + 1


def drawn(values: Values, first: Panel) -> tuple[Drawn, ...]:
    """Return the pattern on each part of a face and of those that belong to it.

    Raises:
        GeometryError: no number of parts.
    """
    columns, rows = (_count(values, name) for name in ("along", "up"))
    parts = [(i, panel, part) for i, panel in enumerate(first.all) for part in panel.parts or (panel.whole,)]
    result = []
    for number, ((i, panel, part), look) in enumerate(zip(parts, _looks(values, first, columns, rows), strict=False)):
        net = Net(columns, rows, f"{MARK}.{i}" if i else MARK)
        begin = f"{number}." if number else ""
        quarters: list[tuple[str, Spot, Spot]] = []
        found: list[PatternPiece] = []
        for k, path in enumerate(paths(look.design, columns, rows)):
            for stroke in _strokes(net, f"{begin}{k}", path, quarters):
                found += _pieces(stroke, part)
        used = {piece.stroke.curve for piece in found}
        result.append(Drawn(panel, part, net, look, tuple(q for q in quarters if q[0] in used), tuple(found)))
    return tuple(result)


def _looks(values: Values, panel: Panel, columns: int, rows: int) -> Iterator[Look]:
    """Return the look of each part, one after the other."""
    design = values.word("design")
    if design != EACH:
        return itertools.repeat(Look(design, values.word("fields") == "dark"))
    return different_looks(columns, rows, *(math.hypot(*axis) for axis in panel.axes))


def _strokes(net: Net, name: str, path: Path, quarters: list[tuple[str, Spot, Spot]]) -> Iterator[PatternLine]:
    """Yield the strokes of a path; the quarters of curves are noted by the way."""
    for m, (a, b) in enumerate(itertools.pairwise(path.nodes)):
        start, end = net.spot(a), net.spot(b)
        if path.runs != "curve":
            yield PatternLine(f"{name}.{m}", start, end, path.runs)
            continue
        curve = f"{name}.{m}"
        quarters.append((curve, start, end))
        arc = rounding(start, end)
        inner = [Spot(f"wave.{curve}.{i}", arc.at(QUARTER_RAD * i / FACETS)) for i in range(1, FACETS)]
        for i, (one, two) in enumerate(itertools.pairwise((start, *inner, end))):
            angles = (QUARTER_RAD * i / FACETS, QUARTER_RAD * (i + 1) / FACETS)
            yield PatternLine(f"{curve}.{i}", one, two, "free", curve, angles)


def rounding(start: Spot, end: Spot) -> Rounding:
    """Return the quarter between a foot and a crest: upright at the foot, level at the crest."""
    foot, crest = sorted((start, end), key=lambda spot: spot.place[1])
    pole, centre = (foot.place[0], crest.place[1]), (crest.place[0], foot.place[1])
    return Rounding(0, 0, start.place, pole, end.place, centre, is_convex=True)


def _pieces(stroke: PatternLine, part: Part) -> Iterator[PatternPiece]:
    found = pieces(stroke.start.place, stroke.end.place, part.loops)
    for i, ends in enumerate(found):
        cuts: list[tuple[Spot, tuple[PartCorner, PartCorner]]] = []
        start, to = (_spot(stroke, f"{i}.{which}", end, cuts) for which, end in zip("ab", ends, strict=True))
        span = (stroke.angle(ends[0].at), stroke.angle(ends[1].at))
        yield PatternPiece(f"line.{stroke.name}.{i}", stroke, start, to, span, tuple(cuts))


def _spot(stroke: PatternLine, name: str, end: End, cuts: list[tuple[Spot, tuple[PartCorner, PartCorner]]]) -> Spot:
    if end.side is None:
        return stroke.start if end.at == 0 else stroke.end
    (ax, ay), (bx, by) = stroke.start.place, stroke.end.place
    spot = Spot(f"cut.{stroke.name}.{name}", (ax + end.at * (bx - ax), ay + end.at * (by - ay)))
    cuts.append((spot, end.side))
    return spot
