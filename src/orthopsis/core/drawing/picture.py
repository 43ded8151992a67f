"""From an exercise to its picture: execute the recipes, look what is seen, number the lines."""

import math
from collections.abc import Iterable, Sequence
from dataclasses import dataclass

import numpy as np

from orthopsis.core.construct.engine import Board, Ruled, execute
from orthopsis.core.construct.moves import EYE_LEVEL, Move
from orthopsis.core.drawing.answer import (
    Aim,
    DrawnLine,
    HandlePlace,
    MeasureMark,
    Picture,
    Place,
    Role,
    SheetSize,
    TapedStrip,
)
from orthopsis.core.drawing.built import Built, build
from orthopsis.core.drawing.curves import bend, curve_pieces
from orthopsis.core.drawing.toned import toned_faces
from orthopsis.core.plane.arc import QUARTER_RAD
from orthopsis.core.plane.homogeneous import Point, between, toward
from orthopsis.core.plane.tolerance import SAME_POINT_MM
from orthopsis.core.scene.placed import GAP, Placed, placed_errors
from orthopsis.core.scene.prepared import Prepared, half_of
from orthopsis.core.scene.sheet_setup import MARGIN, sheet_moves
from orthopsis.core.scene.views import VIEWS
from orthopsis.core.sheet.ruler import round_to
from orthopsis.core.sheet.strip import strips_for
from orthopsis.core.sight.hidden import Piece, Seen, Sight, pieces_alone
from orthopsis.core.sight.solid import Edge, Solid
from orthopsis.core.things.parameters import Length


@dataclass(frozen=True, slots=True)
class Solved:
    """The board after all moves, the moves by thing, and what the eye sees."""

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
    built = []
    for placed in prepared.things:
        with placed_errors(placed):
            thing = build(placed)
        built.append(thing)
    for number in _drawing_order(prepared):
        moves += built[number].moves
        board.points |= built[number].points
        board.lines |= built[number].lines
    lines, light_ids = _light_lines(board)
    seen = [_seen(placed, thing.solid) for placed, thing in zip(prepared.things, built, strict=True)]
    first = len(lines)
    lines += _final_pieces(prepared, board, seen, built, first)
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


def _seen(placed: Placed, solid: Solid) -> Seen:
    """Return a solid for sight, enlarged about the eye where it is joined to another: its picture stays."""
    if placed.factor != 1.0:
        solid = Solid(solid.topology, solid.places * placed.factor)
    return Seen(solid, placed.setting.frame.eye, placed.standing.is_see_through, placed.layer)


def picture(solved: Solved) -> Picture:
    """Return the picture of a solved exercise."""
    prepared = solved.prepared
    sheet = prepared.sheet
    aims = _aims(solved)
    names = {aim.name for aim in aims}
    return Picture(
        sheet=SheetSize(
            width_mm=sheet.width_mm,
            height_mm=sheet.height_mm,
            units=sheet.units,
            division_mm=sheet.division_mm,
            fold_mm=sheet.width_mm / 2 if prepared.exercise.sheet.fold == "folded" else None,
        ),
        eye_level_mm=prepared.eye_level_mm,
        vanishing_points={aim.name: aim.at for aim in aims},
        aims=aims,
        strips=[
            TapedStrip(
                side=s.side,
                aims=[aim.name for aim in aims if s.carries(aim.at)],
                at=(s.x, s.y),
                width_mm=s.width_mm,
                height_mm=s.height_mm,
            )
            for s in strips_for((aim.at for aim in aims), sheet)
        ],
        points={n: p.xy for n, p in solved.board.points.items() if n not in names and not n.startswith("@")},
        lines=list(solved.lines),
        faces=toned_faces(solved.prepared, solved.seen, solved.built),
        handles=_handles(solved),
        measures=_measures(solved),
    )


def _aims(solved: Solved) -> list[Aim]:
    """Return the points of the book of aims that this sheet's moves have made, by name."""
    return [
        Aim(
            name=name,
            at=solved.board.points[name].xy,
            kind="vanishing" if aim.is_vanishing else "aid",
            label=solved.prepared.point_words(name),
            reads=_from_level(solved.prepared, solved.board.points[name]),
        )
        for name, aim in sorted(solved.prepared.aims.items())
        if name in solved.board.points
    ]


def _from_level(prepared: Prepared, at: Point) -> str:
    """Return how far a point lies over or under the eye level."""
    over = at.y - prepared.eye_level_mm
    if abs(over) <= SAME_POINT_MM:
        return ""
    return f"{prepared.length(round_to(abs(over), prepared.sheet.division_mm))} {'above' if over > 0 else 'below'}"


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


def _light_lines(board: Board) -> tuple[list[DrawnLine], dict[str, int]]:
    lines: list[DrawnLine] = []
    ids: dict[str, int] = {}
    for ruled in board.lines.values():
        if ruled.role == "unseen":
            continue
        ids[ruled.name] = len(lines)
        lines.append(_light_line(len(lines), ruled))
    return lines, ids


def _light_line(number: int, ruled: Ruled) -> DrawnLine:
    name = ruled.name.removeprefix(f"{ruled.thing}.") if ruled.thing else ruled.name
    return DrawnLine(
        id=number,
        thing=ruled.thing,
        name=name,
        start=ruled.start.xy,
        end=ruled.end.xy,
        role="guide" if ruled.role == "guide" else "construction",
        family=ruled.family,
        visible=True,
        rests_on=ruled.rests_on,
        turns_to=ruled.turns_to,
        bend=bend(ruled.arc, 0.0, QUARTER_RAD) if ruled.arc is not None else [],
    )


def _pieces(seen: Sequence[Seen], built: Sequence[Built]) -> list[Sequence[Piece]]:
    """Return the pieces of each thing's edges; what overlaps no other thing on the page is as if it were alone."""
    boxes = np.array([_box(thing) for thing in built]).reshape(-1, 4)
    low, high = boxes[:, :2], boxes[:, 2:]
    touch = np.all((low[:, None] <= high[None]) & (low[None] <= high[:, None]), axis=2)
    among = [i for i in range(len(built)) if touch[i].sum() > 1]
    together = dict(zip(among, Sight([seen[i] for i in among]).pieces() if among else [], strict=True))
    return [
        together[i] if i in together else pieces_alone(thing.solid, seen[i].eye, see_through=seen[i].see_through)
        for i, thing in enumerate(built)
    ]


def _box(thing: Built) -> tuple[float, float, float, float]:
    """Return the rectangle about a thing on the page; of one of which nothing is drawn, one beyond any page."""
    if not thing.page:
        return (math.inf,) * 4
    xs, ys = zip(*thing.page.values(), strict=True)
    return (min(xs), min(ys), max(xs), max(ys))


def _final_pieces(
    prepared: Prepared, board: Board, seen: list[Seen], built: Sequence[Built], first: int
) -> list[DrawnLine]:
    """Cut each edge, between the points that the construction made, into its seen and hidden pieces."""
    result: list[DrawnLine] = []
    covered = frozenset().union(*(placed.standing.covers for placed in prepared.things))
    for placed, pieces in zip(prepared.things, _pieces(seen, built), strict=True):
        name = placed.values.name
        role: Role = "edge" if placed.standing.is_body else "detail"
        straight = [
            piece for piece in pieces if piece.edge.angles is None and not _is_covered(name, piece.edge, covered)
        ]
        for piece in straight:
            ends = _ends(board, name, piece.edge)
            if ends is not None:
                start, end = _along(*ends, piece.start), _along(*ends, piece.end)
                result.append(_edge_line(first + len(result), name, piece, role, start, end))
        if len(straight) < len(pieces):
            for piece, arc, span in curve_pieces(board, name, pieces):
                ends_on = arc.at(span[0]).xy, arc.at(span[1]).xy
                result.append(_edge_line(first + len(result), name, piece, role, *ends_on, bend(arc, *span)))
    level, width = board.lines[EYE_LEVEL].start.y, prepared.sheet.width_mm
    behind = {EYE_LEVEL: (Point(0.0, level), Point(width, level))}
    behind |= {n: (board.lines[n].start, board.lines[n].end) for n in MARGIN if n in board.lines}
    sight = Sight([thing for thing, one in zip(seen, built, strict=True) if _meets(_box(one), behind.values())])
    for line, (low, high) in behind.items():
        for t0, t1 in sight.seen_behind_all(low.xy, high.xy):
            result.append(
                DrawnLine(
                    id=first + len(result),
                    thing="",
                    name=line,
                    start=between(low, high, t0).xy,
                    end=between(low, high, t1).xy,
                    role="detail",
                    family="level" if abs(low.y - high.y) < abs(low.x - high.x) else "upright",
                    visible=True,
                )
            )
    return result


def _is_covered(thing: str, edge: Edge, covered: frozenset[frozenset[str]]) -> bool:
    """Tell whether an edge has gone because another thing goes on in its plane."""
    return bool(covered) and frozenset((f"{thing}.{edge.start}", f"{thing}.{edge.end}")) in covered


def _meets(box: tuple[float, float, float, float], lines: Iterable[tuple[Point, Point]]) -> bool:
    """Tell whether a rectangle of the page meets one of some lines that are level or upright."""
    left, low, right, high = box
    return any(
        left <= max(a.x, b.x) and right >= min(a.x, b.x) and low <= max(a.y, b.y) and high >= min(a.y, b.y)
        for a, b in lines
    )


def _edge_line(
    number: int, thing: str, piece: Piece, role: Role, start: Place, end: Place, bent: Sequence[Place] = ()
) -> DrawnLine:
    return DrawnLine(
        id=number,
        thing=thing,
        name=piece.edge.name,
        start=start,
        end=end,
        role=role,
        family=piece.edge.runs,
        visible=piece.visible,
        behind=piece.behind,
        bend=list(bent),
    )


def _along(start: Point, end: Point, share: float) -> Place:
    return (start.x + share * (end.x - start.x), start.y + share * (end.y - start.y))


def _ends(board: Board, thing: str, edge: Edge) -> tuple[Point, Point] | None:
    """Return the constructed ends of an edge; None where the hand never made them because they are hidden."""
    start, end = board.points.get(f"{thing}.{edge.start}"), board.points.get(f"{thing}.{edge.end}")
    return None if start is None or end is None else (start, end)


def _handles(solved: Solved) -> list[HandlePlace]:
    prepared = solved.prepared
    level = prepared.eye_level_mm
    result = [HandlePlace(id="eye_level", at=(0.0, level), says="Move the eye level", about="eye_level", shape="point")]
    for i, (view, frame) in enumerate(zip(prepared.exercise.views, prepared.frames, strict=True)):
        for name, held in VIEWS[view.kind].handles.items():
            about, at = f"views.{i}", held.at(view, frame).xy
            result.append(HandlePlace(id=f"{about}.{name}", at=at, says=held.says, about=about, shape="point"))
    for placed in prepared.things:
        anchor = placed.setting.anchor
        if anchor is not None and anchor.in_line is not None:
            about, says = f"things.{placed.index}", f"Change the gap: {placed.values.name}"
            foot = toward(anchor.at, anchor.in_line.goal, anchor.in_line.gap_mm)
            result.append(HandlePlace(id=f"{about}.{GAP}", at=foot.xy, says=says, about=about, shape="point"))
        for name, handle in placed.standing.handles.items():
            if not set(handle.changes) <= placed.given:
                about, says = f"things.{placed.index}", f"{handle.says}: {placed.values.name}"
                result.append(
                    HandlePlace(id=f"{about}.{name}", at=handle.at.xy, says=says, about=about, shape=handle.shape)
                )
    return result


def _measures(solved: Solved) -> list[MeasureMark]:
    prepared = solved.prepared
    level = prepared.eye_level_mm
    result = [_mark(prepared, "eye_level.height_mm", Point(0.0, 0.0), Point(0.0, level), level)]
    for i, (view, frame) in enumerate(zip(prepared.exercise.views, prepared.frames, strict=True)):
        for held in VIEWS[view.kind].handles.values():
            at = held.at(view, frame)
            for field in held.measures:
                start = Point(at.x, 0.0) if field.endswith("y_mm") else Point(0.0, at.y)
                result.append(_mark(prepared, f"views.{i}.{field}", start, at, getattr(view, field)))
    for placed in prepared.things:
        result += _thing_measures(prepared, placed)
    return result


def _thing_measures(prepared: Prepared, placed: Placed) -> list[MeasureMark]:
    anchor = placed.setting.anchor
    gaps = []
    if anchor is not None and (line := anchor.in_line) is not None:
        foot = toward(anchor.at, line.goal, line.gap_mm)
        gaps.append(_mark(prepared, f"things.{placed.index}.{GAP}", anchor.at, foot, line.gap_mm))
    return gaps + [
        _mark(prepared, f"things.{placed.index}.{name}", start, end, placed.values.mm(name))
        for name, (start, end) in placed.standing.spans.items()
        if isinstance(placed.kind.parameter(name), Length) and name not in placed.given
    ]


def _mark(prepared: Prepared, path: str, start: Point, end: Point, mm: float) -> MeasureMark:
    return MeasureMark(path=path, start=start.xy, end=end.xy, text=prepared.length(mm))
