"""From an exercise to all that is drawn and seen of it: execute the recipes, look what is seen, number the lines."""

from collections.abc import Iterable, Iterator, Sequence
from dataclasses import dataclass
from itertools import chain, count

import numpy as np
from propcache.api import cached_property

from orthopsis.core.construct.engine import Board, execute
from orthopsis.core.construct.moves import EYE_LEVEL, Cross, Move, Offset
from orthopsis.core.drawing.answer import DrawnLine, Place, Role
from orthopsis.core.drawing.built import Built, build_all, build_moving
from orthopsis.core.drawing.lines import IDS, LightLines
from orthopsis.core.drawing.one_shade import as_one_shade
from orthopsis.core.drawing.piercing import pierced
from orthopsis.core.plane.homogeneous import Point, between
from orthopsis.core.scene.order import Order, order_of
from orthopsis.core.scene.placed import Placed, placed_errors
from orthopsis.core.scene.prepared import Prepared, half_of
from orthopsis.core.scene.sheet_setup import MARGIN, sheet_moves
from orthopsis.core.scene.views import VIEWS, light_setup
from orthopsis.core.sight.groups import enlarged, pieces_in_groups, seen_behind
from orthopsis.core.sight.hidden import Piece, Seen
from orthopsis.core.sight.solid import NOTHING
from orthopsis.core.things.answers import WHOLE, Spans
from orthopsis.core.view.aim import AimRole

SETUP, BEHIND = 0, 1
"""The blocks of lines of the sheet itself: what is drawn on it first, and what is seen of that behind all things."""


@dataclass(frozen=True, eq=False)
class Solved:
    """The board after all moves, the moves by thing, and what the eye sees; one is equal only to itself.

    Attributes:
        prepared: the exercise.
        moves: all moves, as they are made.
        board: what they make.
        light: the light lines in blocks as they are drawn: by their full names, and the lines.
        edges: for each thing the pieces of its edges.
        behind: what is seen of the eye level and of the margin.
        seen: what the eye sees of each thing.
        built: each thing by both routes.
        order: who may hide whom.
        is_one_shade: whether edges of shadows went that lie within other shadows.
    """

    prepared: Prepared
    moves: tuple[Move, ...]
    board: Board
    light: tuple[tuple[tuple[str, ...], tuple[DrawnLine, ...]], ...]
    edges: tuple[tuple[DrawnLine, ...], ...]
    behind: tuple[DrawnLine, ...]
    seen: tuple[Seen, ...]
    built: tuple[Built, ...]
    order: Order
    is_one_shade: bool

    @property
    def lines(self) -> Iterator[DrawnLine]:
        """All lines: the light ones, those of the finished drawing, and what is seen behind the things."""
        return chain(*(lines for _, lines in self.light), *self.edges, self.behind)

    @property
    def final(self) -> Iterator[DrawnLine]:
        """The pieces that the finished drawing keeps."""
        return (line for line in chain(*self.edges, self.behind) if line.visible)

    @cached_property
    def light_ids(self) -> dict[str, int]:
        """Line id of each ruled line, by its full name."""
        return {name: line.id for names, lines in self.light for name, line in zip(names, lines, strict=True)}

    @cached_property
    def corner_marks(self) -> dict[str, Offset | Cross]:
        """The acts that mark a corner by two figures, by what they make: measured, or counted on a divided face."""
        acts = (move.act for move in self.moves)
        return {a.makes: a for a in acts if isinstance(a, Offset) or (isinstance(a, Cross) and a.counted is not None)}


def solve(prepared: Prepared, *, is_moving: bool = False) -> Solved:
    """Carry out every move, and find what is seen.

    Args:
        is_moving: whether a hand moves something just now: see ``build_moving``.

    Raises:
        GeometryError: something cannot be drawn; it names the place in the exercise.
    """
    board = Board(prepared.sheet)
    moves = _setup_moves(prepared)
    execute(moves, board)
    setup = LightLines(board.lines.values())
    light = [(setup.names, setup.numbered(SETUP))]
    built = build_moving(prepared.things) if is_moving else build_all(prepared.things)
    for number in _drawing_order(prepared):
        thing = built[number]
        moves += thing.moves
        board.points |= thing.points
        board.lines |= thing.lines
        light.append((thing.light.names, thing.light.numbered(block_of(number))))
    order = order_of(prepared, np.array([thing.box for thing in built]).reshape(-1, 4))
    seen = _seen(prepared, built, order)
    boxes = np.array([thing.box for thing in built]).reshape(-1, 4)
    pieces, is_one_shade = as_one_shade(prepared, seen, pieces_in_groups(seen, boxes))
    return Solved(
        prepared,
        tuple(moves),
        board,
        tuple(light),
        tuple(_edges(prepared, pieces, built)),
        tuple(_behind(prepared, board, seen, built)),
        seen,
        tuple(built),
        order,
        is_one_shade,
    )


def block_of(index: int, *, is_final: bool = False) -> int:
    """Return the block of a thing's lines: of its light ones, or of those of the finished drawing."""
    return BEHIND + 1 + 2 * index + is_final


def _drawing_order(prepared: Prepared) -> list[int]:
    """Return the numbers of the things as they are drawn: what stands on another after that, patterns last."""
    order: dict[int, None] = {}
    for placed in sorted(prepared.things, key=lambda p: p.kind.is_late or p.kind.is_after_all):
        _draw_before(prepared, placed, order)
    return list(order)


def _draw_before(prepared: Prepared, placed: Placed, order: dict[int, None]) -> None:
    """Put what a thing needs into the order of drawing, and then itself."""
    anchor = placed.setting.anchor
    needs = [anchor.thing] if anchor is not None else []
    for name in (*needs, *(cast.values.name for cast in placed.setting.casts)):
        if (other := prepared.thing(name)) is not None and other.index not in order:
            _draw_before(prepared, other, order)
    order[placed.index] = None


def _seen(prepared: Prepared, built: Sequence[Built], order: Order) -> tuple[Seen, ...]:
    """Return the solids for sight, with the holes that others cut out of them.

    One that is joined to another, or stands among others on the ground, is enlarged about the eye: its picture stays.
    """
    shared = _shared_layers(prepared, order)
    solids = {placed.values.name: thing.solid for placed, thing in zip(prepared.things, built, strict=True)}
    for other in prepared.things:
        if other.setting.anchor is not None and other.standing.holes:
            bearer = bearer_of(prepared, other)
            solids[bearer] = pierced(solids[bearer], other.standing)
    solids |= dict.fromkeys(prepared.gone, NOTHING)
    result = []
    for placed, solid, layer, scale in zip(prepared.things, solids.values(), order.layers, order.scales, strict=True):
        factor = placed.factor * (scale if layer in shared else 1.0)
        true = enlarged(solid, factor) if factor != 1.0 else solid
        result.append(Seen(true, placed.setting.frame.eye, placed.standing.is_see_through, layer))
    return tuple(result)


def bearer_of(prepared: Prepared, placed: Placed) -> str:
    """Return the name of the body on which a thing lies: what lies flat on a face, such as a division, is none."""
    while (anchor := placed.setting.anchor) is not None:
        placed = prepared.by_name[anchor.thing]
        if placed.standing.is_body:
            break
    return placed.values.name


def _shared_layers(prepared: Prepared, order: Order) -> set[int]:
    """Return the layers in which things stand among each other that do not hang together."""
    roots: dict[int, set[int]] = {}
    for placed, layer in zip(prepared.things, order.layers, strict=True):
        roots.setdefault(layer, set()).add(placed.layer)
    return {layer for layer, of in roots.items() if len(of) > 1}


def _setup_moves(prepared: Prepared) -> list[Move]:
    height, width = prepared.eye_level_mm, prepared.sheet.width_mm
    points = [p for frame in prepared.frames for p in frame.vanishing.values() if p.y == height]
    reach = min([0.0, *(p.x for p in points)]), max([width, *(p.x for p in points)])
    moves = [Move("setup", "", breath, act) for breath, act in sheet_moves(prepared, reach)]
    for number, (view, frame) in enumerate(zip(prepared.exercise.views, prepared.frames, strict=True)):
        users = [p for p in prepared.things if p.setting.frame == frame]
        needed = frozenset(role for p in users for role in _needs(p))
        half = half_of(prepared.exercise, number)
        acts = VIEWS[view.kind].setup(view, frame, prepared.sheet, half, needed)
        of_light = [aim for aim in prepared.exercise.lighting.aims(frame) if aim.role in needed]
        acts += light_setup(of_light, prepared.sheet)
        moves += [Move("setup", "", breath, act, view.name) for breath, act in acts]
    return moves


def _needs(placed: Placed) -> frozenset[AimRole]:
    with placed_errors(placed):
        return placed.standing.needs


def _edges(
    prepared: Prepared, found: Sequence[Sequence[Piece]], built: Sequence[Built]
) -> Iterator[tuple[DrawnLine, ...]]:
    """Yield for each thing the seen and hidden pieces of its edges, between the points that the construction made."""
    gone: dict[frozenset[str], Spans] = {}
    for placed in prepared.things:
        for ends, spans in placed.standing.takes_away.items():
            gone[ends] = WHOLE if spans == WHOLE or gone.get(ends) == WHOLE else (*gone.get(ends, ()), *spans)
    for placed, thing, pieces in zip(prepared.things, built, found, strict=True):
        own = placed.standing
        role: Role = "edge" if own.is_body or own.lies_on_ground or own.draws_edges else "detail"
        yield thing.edges.numbered(block_of(placed.index, is_final=True), pieces, role, gone)


def _behind(prepared: Prepared, board: Board, seen: Sequence[Seen], built: Sequence[Built]) -> Iterator[DrawnLine]:
    """Yield what is seen of the eye level and of the margin, behind all things."""
    level, width = board.lines[EYE_LEVEL].start.y, prepared.sheet.width_mm
    behind = {EYE_LEVEL: (Point(0.0, level), Point(width, level))}
    behind |= {n: (board.lines[n].start, board.lines[n].end) for n in MARGIN if n in board.lines}
    things = tuple(thing for thing, one in zip(seen, built, strict=True) if _meets(one.box, behind.values()))
    ids = count(BEHIND * IDS)
    for name, (low, high) in behind.items():
        family = "level" if abs(low.y - high.y) < abs(low.x - high.x) else "upright"
        for t0, t1 in seen_behind(things, low.xy, high.xy):
            start, end = between(low, high, t0).xy, between(low, high, t1).xy
            yield _behind_line(next(ids), name, family, start, end)


def _behind_line(number: int, name: str, family: str, start: Place, end: Place) -> DrawnLine:
    return DrawnLine(id=number, thing="", name=name, start=start, end=end, role="detail", family=family, visible=True)


def _meets(box: tuple[float, float, float, float], lines: Iterable[tuple[Point, Point]]) -> bool:
    """Tell whether a rectangle of the page meets one of some lines that are level or upright."""
    left, low, right, high = box
    return any(
        left <= max(a.x, b.x) and right >= min(a.x, b.x) and low <= max(a.y, b.y) and high >= min(a.y, b.y)
        for a, b in lines
    )
