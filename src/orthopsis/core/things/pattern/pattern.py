"""A pattern as a thing: its lines on the face by both routes, its dark fields, its sentence."""

import itertools
from collections.abc import Iterable, Iterator, Mapping, Sequence

import numpy as np
import shapely
from propcache.api import cached_property

from orthopsis.core.construct.grid import Grid
from orthopsis.core.construct.grid_by_line import grid_on
from orthopsis.core.construct.measuring import DrawnLevel
from orthopsis.core.construct.moves import Act, Cross, Curve, Move, Rule
from orthopsis.core.construct.panel import Panel
from orthopsis.core.plane.arc import QUARTER_RAD, FacePlace
from orthopsis.core.sight.solid import Edge, Solid, Topology
from orthopsis.core.things.answers import Clause, Field
from orthopsis.core.things.parameters import Value
from orthopsis.core.things.pattern.designs import DESIGNS, EACH, Node, dark_fields
from orthopsis.core.things.pattern.lines import FACETS, Drawn, PatternLine, PatternPiece, Spot, drawn, rounding
from orthopsis.core.things.setting import Setting
from orthopsis.core.things.standing import Standing
from orthopsis.core.things.values import Values
from orthopsis.core.view.eye import Array
from orthopsis.core.wording.names import Feature


class Pattern(Standing):
    """A pattern on a face."""

    sentence: tuple[Clause, ...] = (
        Clause("A pattern of {design}, {fields}. ", {"design": tuple(DESIGNS)}),
        Clause("{design}. ", {"design": (EACH,)}),
        Clause("{along} parts along, {up} up."),
    )

    @classmethod
    def place(cls, setting: Setting, count: int) -> Mapping[str, Value]:
        """Return values for one more pattern."""
        return {"design": "along"}

    @cached_property
    def drawn(self) -> tuple[Drawn, ...]:
        """The pattern on each part of the face and of those that belong to it."""
        return drawn(self.values, self.panel)

    @cached_property
    def solid(self) -> Solid:
        """The lines in the world of the frame's eye: edges without faces, on the face of the other thing."""
        places: dict[str, Array] = {}
        edges = []
        for one in self.drawn:
            ends = [spot for piece in one.pieces for spot in (piece.start, piece.end)]
            places |= zip((spot.name for spot in ends), one.panel.places(spot.place for spot in ends), strict=True)
            edges += [_edge(one.panel, piece, one.part.name) for piece in one.pieces]
        return Solid(Topology(tuple(places), (), tuple(edges)), np.array(list(places.values())).reshape(-1, 3))

    @cached_property
    def recipe(self) -> tuple[Move, ...]:
        """The hand's moves: on each face the grid, and from crossing to crossing the pattern of each part."""
        faces = itertools.groupby(self.drawn, key=lambda one: one.net.mark)
        return tuple(move for _, done in faces for move in _moves(self.values, self.setting.level, list(done)))

    def turned(self) -> Mapping[str, Value]:
        """Return it with what is along up, and what is up along."""
        return self.values.swapped(("along", "up"))

    @cached_property
    def fields(self) -> tuple[Field, ...]:
        """Every other field of the patterns that have dark ones, as far as the face's outline leaves it."""
        eye, result = self.setting.frame.eye, []
        for one in (one for one in self.drawn if one.look.is_dark):
            dark = _dark(one)
            for face, (outer, *holes) in one.part.pieces:
                shape = shapely.Polygon([c.place for c in outer], [[c.place for c in hole] for hole in holes])
                for area in _polygons(shapely.intersection(dark, shape)):
                    loops = (area.exterior, *area.interiors)
                    seen = (eye.see(one.panel.places(list(loop.coords)[:-1])).tolist() for loop in loops)
                    result.append(Field(face, tuple(tuple((x, y) for x, y in loop) for loop in seen)))
        return tuple(result)


def _edge(panel: Panel, piece: PatternPiece, part: str) -> Edge:
    curve = piece.stroke.curve
    name, angles = (f"curve.{curve}", piece.span) if curve else (piece.name, None)
    runs = _family(panel, piece.stroke)
    return Edge(name, piece.start.name, piece.end.name, runs, angles, Feature("line", part=part))


def _family(panel: Panel, stroke: PatternLine) -> str:
    return {"along": panel.along.family, "up": panel.up.family}.get(stroke.runs, "free")


def _moves(values: Values, level: DrawnLevel, done: Sequence[Drawn]) -> list[Move]:
    """Return the moves on one face."""
    panel, nodes = done[0].panel, _nodes(done)
    grid = grid_on(values.name, panel, {"": [*nodes.values()]}, level)
    moves = [] if panel.is_true else grid.moves()
    made: set[str] = set()
    for one in done:
        acts: list[tuple[str, Act]] = []
        breath = f"pattern.{one.look.design}.dark" if one.look.is_dark else f"pattern.{one.look.design}"
        spots = [spot for piece in one.pieces for spot in (piece.stroke.start, piece.stroke.end)]
        for spot in (*spots, *(spot for _, *ends in one.quarters for spot in ends)):
            if spot.name in nodes and spot.name not in made:
                made.add(spot.name)
                acts.append((breath, grid.mark(spot.name, spot.place)))
        for curve, start, end in one.quarters:
            acts += _quarter(values, grid, (curve, start, end), breath)
        acts += [act for piece in one.pieces for act in _piece(values, panel, piece, breath)]
        moves += [values.move("pattern", told, act, one.part.name) for told, act in acts]
    return moves


def _nodes(done: Sequence[Drawn]) -> dict[str, FacePlace]:
    """Return the crossings that are needed, by name."""
    strokes = [piece.stroke for one in done for piece in one.pieces]
    spots = [spot for stroke in strokes for spot in (stroke.start, stroke.end)]
    spots += [spot for one in done for _, start, end in one.quarters for spot in (start, end)]
    return {spot.name: spot.place for spot in spots if spot.is_crossing}


def _quarter(values: Values, grid: Grid, quarter: tuple[str, Spot, Spot], breath: str) -> list[tuple[str, Act]]:
    """Return the acts that make the places along a quarter of a wave, which is then drawn by hand through them."""
    curve, start, end = quarter
    n, arc = values.full, rounding(start, end)
    pole, centre = Spot(f"pole.{curve}", arc.pole), Spot(f"centre.{curve}", arc.centre)
    own = [Spot(f"{end_name}.{curve}", spot.place) for end_name, spot in (("from", start), ("to", end))]
    marks = tuple((n(f"wave.{curve}.{i}"), QUARTER_RAD * i / FACETS) for i in range(1, FACETS))
    told: list[tuple[str, Act]] = [("", grid.mark(spot.name, spot.place)) for spot in (*own, pole, centre)]
    ends = (n(own[0].name), n(pole.name), n(own[1].name), n(centre.name))
    return [*told, (breath, Curve(n(f"curve.{curve}"), *ends, marks, "unseen"))]


def _piece(values: Values, panel: Panel, piece: PatternPiece, breath: str) -> list[tuple[str, Act]]:
    """Return the acts that draw a piece; where sides of the outline cut it, these lines are there already."""
    n, told = values.full, list[tuple[str, Act]]()
    line = n(f"stroke.{piece.stroke.name}")
    if piece.cuts:
        ends = n(piece.stroke.start.name), n(piece.stroke.end.name)
        told.append((breath, Rule(line, *ends, _family(panel, piece.stroke), "unseen")))
    for spot, (one, two) in piece.cuts:
        side = n(f"side.{spot.name}")
        told.append((breath, Rule(side, one.name, two.name, "free", "unseen")))
        told.append((breath, Cross(n(spot.name), line, side)))
    drawn_line = Rule(n(piece.name), n(piece.start.name), n(piece.end.name), _family(panel, piece.stroke))
    return [*told, (breath, drawn_line)]


def _dark(one: Drawn) -> list[shapely.Geometry]:
    """Return the dark fields of a pattern, in shares of the face."""
    outlines = dark_fields(one.look.design, one.net.columns, one.net.rows)
    return [shapely.make_valid(shapely.Polygon(_boundary(one, outline))) for outline in outlines]


def _boundary(one: Drawn, outline: Sequence[Node]) -> list[FacePlace]:
    """Return the corners of a field; what runs from foot to crest of a wave follows the wave."""
    places: list[FacePlace] = []
    for a, b in itertools.pairwise((*outline, outline[0])):
        start, end = one.net.spot(a), one.net.spot(b)
        places.append(start.place)
        if one.look.design == "waves" and abs(a[0] - b[0]) == 1:
            arc = rounding(start, end)
            places += [arc.at(QUARTER_RAD * i / FACETS) for i in range(1, FACETS)]
    return places


def _polygons(shapes: Iterable[shapely.Geometry]) -> Iterator[shapely.Polygon]:
    for shape in shapes:
        yield from (a for a in getattr(shape, "geoms", [shape]) if isinstance(a, shapely.Polygon) and a.area > 0)
