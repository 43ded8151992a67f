"""From an exercise to all that is drawn and seen of it: execute the recipes, look what is seen, number the lines."""

import math
from collections.abc import Iterable, Sequence
from dataclasses import dataclass

import numpy as np

from orthopsis.core.construct.engine import Board, execute
from orthopsis.core.construct.moves import EYE_LEVEL, Move
from orthopsis.core.drawing.answer import DrawnLine, Place, Role
from orthopsis.core.drawing.built import Built, build
from orthopsis.core.drawing.lines import light_block
from orthopsis.core.drawing.piercing import pierced
from orthopsis.core.plane.homogeneous import Point, between
from orthopsis.core.scene.placed import Placed, placed_errors
from orthopsis.core.scene.prepared import Prepared, half_of
from orthopsis.core.scene.sheet_setup import MARGIN, sheet_moves
from orthopsis.core.scene.views import VIEWS
from orthopsis.core.sight.groups import enlarged, pieces_in_groups, seen_behind
from orthopsis.core.sight.hidden import Seen
from orthopsis.core.sight.solid import Solid


@dataclass(frozen=True, slots=True, eq=False)
class Solved:
    """The board after all moves, the moves by thing, and what the eye sees; one is equal only to itself."""

    prepared: Prepared
    moves: tuple[Move, ...]
    board: Board
    lines: tuple[DrawnLine, ...]
    light_ids: dict[str, int]
    """Line id of each ruled line, by its full name."""
    final_ids: tuple[int, ...]
    """Ids of the pieces that the finished drawing keeps."""
    seen: tuple[Seen, ...]
    built: tuple[Built, ...]


def solve(prepared: Prepared) -> Solved:
    """Carry out every move, and find what is seen.

    Raises:
        GeometryError: something cannot be drawn; it names the place in the exercise.
    """
    board = Board(prepared.sheet)
    moves = _setup_moves(prepared)
    execute(moves, board)
    light = [light_block(board.lines.values())]
    built = []
    for placed in prepared.things:
        with placed_errors(placed):
            thing = build(placed)
        built.append(thing)
    for number in _drawing_order(prepared):
        moves += built[number].moves
        board.points |= built[number].points
        board.lines |= built[number].lines
        light.append((built[number].light_names, built[number].light))
    lines, light_ids = list[DrawnLine](), dict[str, int]()
    for names, block in light:
        light_ids |= {name: len(lines) + i for i, name in enumerate(names)}
        lines += block.numbered(len(lines))
    seen = [_seen(prepared, placed, thing.solid) for placed, thing in zip(prepared.things, built, strict=True)]
    first = len(lines)
    _add_final(lines, prepared, seen, built)
    _add_behind(lines, prepared, board, seen, built)
    final = tuple(line.id for line in lines[first:] if line.visible)
    return Solved(prepared, tuple(moves), board, tuple(lines), light_ids, final, tuple(seen), tuple(built))


def _drawing_order(prepared: Prepared) -> list[int]:
    """Return the numbers of the things as they are drawn: what stands on another after that, patterns last."""
    order: list[int] = []

    def add(placed: Placed) -> None:
        anchor = placed.setting.anchor
        other = prepared.thing(anchor.thing) if anchor is not None else None
        if other is not None and other.index not in order:
            add(other)
        if placed.index not in order:
            order.append(placed.index)

    for placed in sorted(prepared.things, key=lambda p: p.kind.is_late):
        add(placed)
    return order


def _seen(prepared: Prepared, placed: Placed, solid: Solid) -> Seen:
    """Return a solid for sight, with the holes that others cut out of it.

    It is enlarged about the eye where it is joined to another: its picture stays.
    """
    for other in prepared.things:
        anchor = other.setting.anchor
        if anchor is not None and anchor.thing == placed.values.name and other.standing.holes:
            solid = pierced(solid, other.standing)
    if placed.factor != 1.0:
        solid = enlarged(solid, placed.factor)
    return Seen(solid, placed.setting.frame.eye, placed.standing.is_see_through, placed.layer)


def _setup_moves(prepared: Prepared) -> list[Move]:
    height, width = prepared.eye_level_mm, prepared.sheet.width_mm
    points = [p for frame in prepared.frames for p in frame.vanishing.values() if p.y == height]
    reach = min([0.0, *(p.x for p in points)]), max([width, *(p.x for p in points)])
    moves = [Move("setup", "", breath, act) for breath, act in sheet_moves(prepared, reach)]
    for number, (view, frame) in enumerate(zip(prepared.exercise.views, prepared.frames, strict=True)):
        users = [p for p in prepared.things if p.setting.frame == frame]
        needed = frozenset(role for p in users for role in p.standing.needs)
        half = half_of(prepared.exercise, number)
        acts = VIEWS[view.kind].setup(view, frame, prepared.sheet, half, needed)
        moves += [Move("setup", "", breath, act, view.name) for breath, act in acts]
    return moves


def _add_final(lines: list[DrawnLine], prepared: Prepared, seen: Sequence[Seen], built: Sequence[Built]) -> None:
    """Add the seen and hidden pieces of each edge, between the points that the construction made."""
    covered: frozenset[frozenset[str]] = frozenset().union(*(placed.standing.covers for placed in prepared.things))
    boxes = np.array([_box(thing) for thing in built]).reshape(-1, 4)
    for placed, thing, pieces in zip(prepared.things, built, pieces_in_groups(seen, boxes), strict=True):
        role: Role = "edge" if placed.standing.is_body else "detail"
        lines += thing.edges.block(pieces, role, covered).numbered(len(lines))


def _add_behind(
    lines: list[DrawnLine], prepared: Prepared, board: Board, seen: Sequence[Seen], built: Sequence[Built]
) -> None:
    """Add what is seen of the eye level and of the margin, behind all things."""
    level, width = board.lines[EYE_LEVEL].start.y, prepared.sheet.width_mm
    behind = {EYE_LEVEL: (Point(0.0, level), Point(width, level))}
    behind |= {n: (board.lines[n].start, board.lines[n].end) for n in MARGIN if n in board.lines}
    things = tuple(thing for thing, one in zip(seen, built, strict=True) if _meets(_box(one), behind.values()))
    for name, (low, high) in behind.items():
        family = "level" if abs(low.y - high.y) < abs(low.x - high.x) else "upright"
        for t0, t1 in seen_behind(things, low.xy, high.xy):
            start, end = between(low, high, t0).xy, between(low, high, t1).xy
            lines.append(_behind_line(len(lines), name, family, start, end))


def _behind_line(number: int, name: str, family: str, start: Place, end: Place) -> DrawnLine:
    return DrawnLine(id=number, thing="", name=name, start=start, end=end, role="detail", family=family, visible=True)


def _box(thing: Built) -> tuple[float, float, float, float]:
    """Return the rectangle about a thing on the page; of one of which nothing is drawn, one beyond any page."""
    if not thing.page:
        return (math.inf,) * 4
    xs, ys = zip(*thing.page.values(), strict=True)
    return (min(xs), min(ys), max(xs), max(ys))


def _meets(box: tuple[float, float, float, float], lines: Iterable[tuple[Point, Point]]) -> bool:
    """Tell whether a rectangle of the page meets one of some lines that are level or upright."""
    left, low, right, high = box
    return any(
        left <= max(a.x, b.x) and right >= min(a.x, b.x) and low <= max(a.y, b.y) and high >= min(a.y, b.y)
        for a, b in lines
    )
