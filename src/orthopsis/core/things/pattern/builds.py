"""A pattern as a thing: its lines on the face by both routes, its sentence.

Lines run from crossing to crossing of a light grid. Where a letter's edge cuts them, they end there.
"""

import itertools
from collections.abc import Iterable, Iterator, Mapping
from dataclasses import dataclass
from functools import lru_cache

import shapely

from orthopsis.core.construct.grid import Grid
from orthopsis.core.construct.moves import Act, Cross, Curve, Move, Rule
from orthopsis.core.construct.panel import Panel, Part, PartCorner
from orthopsis.core.errors import GeometryError
from orthopsis.core.plane.arc import QUARTER_RAD, Place, Rounding
from orthopsis.core.sight.solid import NOTHING, Edge, Solid, Topology
from orthopsis.core.things.declare import Build, Clause, Field, Values
from orthopsis.core.things.division.parts import are_equal, read_parts
from orthopsis.core.things.parameters import Value
from orthopsis.core.things.pattern.cut import End, pieces
from orthopsis.core.things.pattern.designs import DESIGNS, EACH, Node, Path, paths
from orthopsis.core.things.standing import Setting

FACETS = 4
"""Straight pieces to which a quarter of a wave is cut."""


@dataclass(frozen=True, slots=True)
class Spot:
    """A place that a pattern's line starts from or ends at: its name within the thing, and its share of the face."""

    name: str
    place: Place


@dataclass(frozen=True, slots=True)
class Stroke:
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
class Piece:
    """What is drawn of a stroke: between two spots, each with the side that cuts it there."""

    name: str
    stroke: Stroke
    start: Spot
    end: Spot
    span: tuple[float, float]
    cuts: tuple[tuple[Spot, tuple[PartCorner, PartCorner]], ...]


@dataclass(frozen=True, slots=True)
class Drawn:
    """A pattern on one part of the face."""

    part: Part
    design: str
    quarters: tuple[tuple[str, Spot, Spot], ...]
    pieces: tuple[Piece, ...]


class Net:
    """The crossings of the light lines of a pattern, by node."""

    def __init__(self, values: Values) -> None:
        counts = [_count(values, name) for name in ("along", "up")]
        self.columns, self.rows = counts

    def spot(self, node: Node) -> Spot:
        """Return the place of a node."""
        return Spot(f"at.{node[0]}.{node[1]}", (node[0] / (2 * self.columns), node[1] / (2 * self.rows)))


def _count(values: Values, name: str) -> int:
    ends = read_parts(values.word(name), name)
    if not are_equal(ends):
        fix = "Type how many there are."
        raise GeometryError("parts_differ", "The parts of a pattern are equal.", fix, about=name, nearest="6")
    return len(ends) + 1


@lru_cache(maxsize=512)
def drawn(values: Values, panel: Panel) -> tuple[Drawn, ...]:
    """Return the pattern on each part of a face.

    Raises:
        GeometryError: no number of parts.
    """
    net, order, result = Net(values), list(DESIGNS), []
    for number, part in enumerate(panel.parts or (panel.whole,)):
        design = values.word("design")
        design = order[number % len(order)] if design == EACH else design
        begin = f"{number}." if number else ""
        quarters: list[tuple[str, Spot, Spot]] = []
        found: list[Piece] = []
        for k, path in enumerate(paths(design, net.columns, net.rows)):
            for stroke in _strokes(net, f"{begin}{k}", path, quarters):
                found += _pieces(stroke, part)
        used = {piece.stroke.curve for piece in found}
        result.append(Drawn(part, design, tuple(q for q in quarters if q[0] in used), tuple(found)))
    return tuple(result)


def _strokes(net: Net, name: str, path: Path, quarters: list[tuple[str, Spot, Spot]]) -> Iterator[Stroke]:
    """Yield the strokes of a path; the quarters of curves are noted by the way."""
    for m, (a, b) in enumerate(itertools.pairwise(path.nodes)):
        start, end = net.spot(a), net.spot(b)
        if path.runs != "curve":
            yield Stroke(f"{name}.{m}", start, end, path.runs)
            continue
        curve = f"{name}.{m}"
        quarters.append((curve, start, end))
        arc = _rounding(start, end)
        inner = [Spot(f"wave.{curve}.{i}", arc.at(QUARTER_RAD * i / FACETS)) for i in range(1, FACETS)]
        for i, (one, two) in enumerate(itertools.pairwise((start, *inner, end))):
            angles = (QUARTER_RAD * i / FACETS, QUARTER_RAD * (i + 1) / FACETS)
            yield Stroke(f"{curve}.{i}", one, two, "free", curve, angles)


def _rounding(start: Spot, end: Spot) -> Rounding:
    """Return the quarter between a foot and a crest: upright at the foot, level at the crest."""
    foot, crest = sorted((start, end), key=lambda spot: spot.place[1])
    pole, centre = (foot.place[0], crest.place[1]), (crest.place[0], foot.place[1])
    return Rounding(0, 0, start.place, pole, end.place, centre, is_convex=True)


def _pieces(stroke: Stroke, part: Part) -> Iterator[Piece]:
    found = pieces(stroke.start.place, stroke.end.place, part.loops)
    for i, ends in enumerate(found):
        cuts: list[tuple[Spot, tuple[PartCorner, PartCorner]]] = []
        start, to = (_spot(stroke, f"{i}.{which}", end, cuts) for which, end in zip("ab", ends, strict=True))
        span = (stroke.angle(ends[0].at), stroke.angle(ends[1].at))
        yield Piece(f"line.{stroke.name}.{i}", stroke, start, to, span, tuple(cuts))


def _spot(stroke: Stroke, name: str, end: End, cuts: list[tuple[Spot, tuple[PartCorner, PartCorner]]]) -> Spot:
    if end.side is None:
        return stroke.start if end.at == 0 else stroke.end
    (ax, ay), (bx, by) = stroke.start.place, stroke.end.place
    spot = Spot(f"cut.{stroke.name}.{name}", (ax + end.at * (bx - ax), ay + end.at * (by - ay)))
    cuts.append((spot, end.side))
    return spot


@lru_cache(maxsize=512)
def solid(values: Values, setting: Setting) -> Solid:
    """Return the lines in the world of the frame's eye: edges without faces, on the face of the other thing."""
    panel = setting.panel
    if panel is None:
        return NOTHING
    spots: dict[str, Place] = {}
    edges = []
    for piece in (piece for done in drawn(values, panel) for piece in done.pieces):
        spots |= {piece.start.name: piece.start.place, piece.end.name: piece.end.place}
        curve = piece.stroke.curve
        name, angles = (f"curve.{curve}", piece.span) if curve else (piece.name, None)
        edges.append(Edge(name, piece.start.name, piece.end.name, _family(panel, piece.stroke), angles))
    return Solid(Topology(tuple(spots), (), tuple(edges)), panel.places(spots.values()))


def _family(panel: Panel, stroke: Stroke) -> str:
    return {"along": panel.along.family, "up": panel.up.family}.get(stroke.runs, "free")


def recipe(values: Values, setting: Setting) -> list[Move]:
    """Return the hand's moves: the grid, and from crossing to crossing the pattern of each part."""
    panel = setting.panel
    if panel is None:
        return []
    done = drawn(values, panel)
    nodes = _nodes(done)
    grid = Grid(values.name, panel, nodes.values(), "face")
    moves = [] if panel.is_true else grid.moves()
    made: set[str] = set()
    for one in done:
        acts: list[tuple[str, Act]] = []
        for curve, start, end in one.quarters:
            acts += _quarter(values, panel, grid, curve, start, end)
        breath = f"pattern.{one.design}"
        for piece in one.pieces:
            for spot in (piece.stroke.start, piece.stroke.end):
                if spot.name in nodes and spot.name not in made:
                    made.add(spot.name)
                    acts.append((breath, grid.mark(spot.name, spot.place)))
            acts += _piece(values, panel, piece, breath)
        moves += [values.move("pattern", told, act, one.part.name) for told, act in acts]
    return moves


def _nodes(done: tuple[Drawn, ...]) -> dict[str, Place]:
    """Return the crossings that are needed, by name."""
    strokes = [piece.stroke for one in done for piece in one.pieces]
    spots = [spot for stroke in strokes for spot in (stroke.start, stroke.end)]
    spots += [spot for one in done for _, start, end in one.quarters for spot in (start, end)]
    return {spot.name: spot.place for spot in spots if spot.name.startswith("at.")}


def _quarter(values: Values, panel: Panel, grid: Grid, curve: str, start: Spot, end: Spot) -> list[tuple[str, Act]]:
    """Return the acts that make the places along a quarter of a wave, which is then drawn by hand through them."""
    n, arc = values.full, _rounding(start, end)
    pole, centre = Spot(f"pole.{curve}", arc.pole), Spot(f"centre.{curve}", arc.centre)
    own = [Spot(f"{end_name}.{curve}", spot.place) for end_name, spot in (("from", start), ("to", end))]
    marks = tuple((n(f"wave.{curve}.{i}"), QUARTER_RAD * i / FACETS) for i in range(1, FACETS))
    told: list[tuple[str, Act]] = [("", grid.mark(spot.name, spot.place)) for spot in (*own, pole, centre)]
    ends = (n(own[0].name), n(pole.name), n(own[1].name), n(centre.name))
    return [*told, ("", Curve(n(f"curve.{curve}"), *ends, marks, "unseen"))]


def _piece(values: Values, panel: Panel, piece: Piece, breath: str) -> list[tuple[str, Act]]:
    """Return the acts that draw a piece; where sides of the outline cut it, these lines are there already."""
    n, told = values.full, list[tuple[str, Act]]()
    line = n(f"stroke.{piece.stroke.name}")
    if piece.cuts:
        ends = n(piece.stroke.start.name), n(piece.stroke.end.name)
        told.append(("", Rule(line, *ends, _family(panel, piece.stroke), "unseen")))
    for spot, (one, two) in piece.cuts:
        side = n(f"side.{spot.name}")
        told.append(("", Rule(side, one.name, two.name, "free", "unseen")))
        told.append(("", Cross(n(spot.name), line, side)))
    drawn_line = Rule(n(piece.name), n(piece.start.name), n(piece.end.name), _family(panel, piece.stroke))
    return [*told, (breath, drawn_line)]


@lru_cache(maxsize=512)
def fields(values: Values, setting: Setting) -> tuple[Field, ...]:
    """Return every other field of checks, as far as the face's outline leaves it."""
    panel = setting.panel
    if panel is None:
        return ()
    net, eye = Net(values), setting.frame.eye
    dark = [(i, j) for i in range(net.columns) for j in range(net.rows) if (i + j) % 2 == 0]
    cells = [shapely.box(i / net.columns, j / net.rows, (i + 1) / net.columns, (j + 1) / net.rows) for i, j in dark]
    result = []
    for one in drawn(values, panel):
        if one.design != "checks":
            continue
        for face, (outer, *holes) in one.part.pieces:
            shape = shapely.Polygon([c.place for c in outer], [[c.place for c in hole] for hole in holes])
            for area in _polygons(shapely.intersection(cells, shape)):
                loops = (area.exterior, *area.interiors)
                seen = (eye.see(panel.places(list(loop.coords)[:-1])).tolist() for loop in loops)
                result.append(Field(face, tuple(tuple((x, y) for x, y in loop) for loop in seen)))
    return tuple(result)


def _polygons(shapes: Iterable[shapely.Geometry]) -> Iterator[shapely.Polygon]:
    for shape in shapes:
        yield from (a for a in getattr(shape, "geoms", [shape]) if isinstance(a, shapely.Polygon) and a.area > 0)


def place(setting: Setting, count: int) -> Mapping[str, Value]:
    """Return values for one more pattern."""
    return {"design": "along"}


PATTERNED = Build(
    sentence=(
        Clause("A pattern of {design}. ", {"design": tuple(DESIGNS)}),
        Clause("{design}. ", {"design": (EACH,)}),
        Clause("{along} parts along, {up} up."),
    ),
    handles=(),
    solid=solid,
    recipe=recipe,
    fields=fields,
    place=place,
)
