"""A thing built by both routes: its moves, what they make on the paper, and its solid.

All of it follows from the thing's values and what it stands in, so it is kept: while one thing is dragged, the others
are not built again.
"""

import math
from collections.abc import Collection, Hashable, Mapping, Sequence
from dataclasses import dataclass, field
from functools import lru_cache
from threading import RLock

from cachetools import LRUCache, cached
from cachetools.keys import hashkey

from orthopsis.core.construct.engine import Board, Ruled, execute
from orthopsis.core.construct.moves import EYE_LEVEL, Move
from orthopsis.core.construct.panel import Panel
from orthopsis.core.drawing.answer import HandlePlace, MeasureMark, TonedFace
from orthopsis.core.drawing.last import Last
from orthopsis.core.drawing.lines import EdgePieces, LightLines
from orthopsis.core.light.light import Light
from orthopsis.core.plane.homogeneous import Point, join
from orthopsis.core.scene.placed import Placed, placed_errors
from orthopsis.core.sheet.chalkboard import Chalkboard
from orthopsis.core.sight.hidden import Seen
from orthopsis.core.sight.order import painted
from orthopsis.core.sight.solid import Face, Solid, faces_toward_eye
from orthopsis.core.things.setting import Setting
from orthopsis.core.things.standing import Standing
from orthopsis.core.view.aim import frame_aims

Box = tuple[float, float, float, float]
Tones = Mapping[str, TonedFace]
Marks = tuple[tuple[HandlePlace, ...], tuple[MeasureMark, ...]]


@dataclass(frozen=True, slots=True, eq=False)
class Built:
    """A thing by both routes.

    Attributes:
        moves: the hand's moves.
        points, lines: what they make, by full name.
        places: where the points lie on the page, by full name, mm.
        solid: its shape in the world.
        page: its corners as the eye sees them, page mm.
        box: the rectangle about it on the page: left, low, right, high; beyond any page where nothing is drawn.
        faces: the faces that show, the far ones first.
        outward: names of the faces whose outer side is seen.
        light: its light lines.
        edges: its edges as lines.
        tones: its faces with their tones, as they were painted last.
        marks: its handles and measures, as they were shown last.
    """

    moves: tuple[Move, ...]
    points: dict[str, Point]
    lines: dict[str, Ruled]
    places: dict[str, tuple[float, float]]
    solid: Solid
    page: dict[str, tuple[float, float]]
    box: Box
    faces: tuple[Face, ...]
    outward: frozenset[str]
    light: LightLines
    edges: EdgePieces
    tones: Last[tuple[Seen, Light, int, tuple[float, float, float] | None, bool], Tones] = field(default_factory=Last)
    marks: Last[tuple[int, frozenset[str], Chalkboard | None], Marks] = field(default_factory=Last)


def build_all(things: Sequence[Placed]) -> list[Built]:
    """Return placed things, built.

    Raises:
        GeometryError: one cannot be drawn.
    """
    built = []
    for placed in things:
        with placed_errors(placed):
            built.append(_build(placed.standing))
    return built


LONG_EDGES = 250
"""Where what a hand moves has more edges, all together, what is long of it is drawn by the view alone meanwhile."""
LEAST_EDGES = 40
"""A thing of fewer edges is not long: a box has 12, a letter some 36, a row of four windows 16."""


def build_moving(things: Sequence[Placed]) -> list[Built]:
    """Return things as they are drawn while a hand moves some of them: what is long to construct by the view alone.

    Such a thing has no light lines and no hidden edges until the hand rests. One that stays where it is, is as it was.

    Raises:
        GeometryError: one cannot be drawn.
    """
    edges, built = list[int](), list[Built]()
    for placed in things:
        with placed_errors(placed):
            solid, is_there = placed.standing.solid, hashkey(placed.standing) in _KEPT
            edges.append(0 if is_there or any(edge.angles for edge in solid.edges) else len(solid.edges))
    is_long = sum(edges) > LONG_EDGES
    for placed, count in zip(things, edges, strict=True):
        with placed_errors(placed):
            by_view = is_long and count > LEAST_EDGES
            built.append(_by_view(placed.standing) if by_view else _build(placed.standing))
    return built


MOST_KEPT = 25_000
"""So many moves and corners are kept, built: some 60 MB of words, or the boxes of twelve full sheets."""


def _weight(built: Built) -> int:
    return len(built.moves) + len(built.solid.names) + 1


_KEPT: LRUCache[tuple[Hashable, ...], Built] = LRUCache(maxsize=MOST_KEPT, getsizeof=_weight)


@cached(_KEPT, lock=RLock())
def _build(standing: Standing) -> Built:
    setting, moves, solid = standing.setting, standing.moves, standing.solid
    given = _given(setting)
    if setting.anchor is not None:
        given = {**given, **setting.anchor.points}
    lines = _given_lines(setting)
    host = _host_of_all(setting)
    if host is not None:
        lines |= _walls(host)
    for other in (*([host] if host is not None else []), *setting.casts):
        given, lines = {**given, **_build(other).points}, {**lines, **_build(other).lines}
    board = execute(moves, Board(setting.sheet, dict(given), dict(lines)))
    own_points = {name: point for name, point in board.points.items() if name not in given}
    own_lines = {name: line for name, line in board.lines.items() if name not in lines}
    made = ((name, own_points.get(standing.values.full(name))) for name in solid.names)
    corners = {name: point.xy for name, point in made if point is not None}
    edges = EdgePieces(standing.values.name, corners, own_lines)
    return _built(standing, solid.picture(setting.frame.eye), edges, moves, own_points, own_lines)


def _walls(standing: Standing) -> dict[str, Ruled]:
    """Return the edges of the walls of the room in which a thing stands: its shadow may climb one."""
    floor = standing.setting.panel
    if floor is None or not floor.is_floor:
        return {}
    walls = [panel for panel in standing.host.faces.values() if panel.is_wall]
    return {name: line for wall in walls for name, line in _panel_lines(wall, standing.host.values.name).items()}


def _panel_lines(panel: Panel, owner: str) -> dict[str, Ruled]:
    """Return the edges of a face as lines that are drawn."""
    found = {}
    for name, (start, end, way) in panel.lines.items():
        rests_on = "" if way.goal.is_ideal else way.family
        found[name] = Ruled(name, join(start, end), start, end, way.family, "edge", owner, rests_on)
    return found


def _host_of_all(setting: Setting) -> Standing | None:
    """Return the other thing of which everything may be used: by what repeats it, is its shadow, or falls on it."""
    anchor = setting.anchor
    if anchor is None:
        return None
    is_of_all = (
        anchor.in_line is not None or bool(setting.casts) or (anchor.panel is not None and anchor.panel.is_ground)
    )
    return anchor.other if is_of_all else None


@lru_cache(maxsize=32)
def _by_view(standing: Standing) -> Built:
    page = standing.solid.picture(standing.setting.frame.eye)
    return _built(standing, page, EdgePieces(standing.values.name, page, {}, only_seen=True), (), {}, {})


def _built(
    standing: Standing, page: dict[str, tuple[float, float]], edges: EdgePieces, moves: tuple[Move, ...],
    points: dict[str, Point], lines: dict[str, Ruled],
) -> Built:  # fmt: skip
    solid, eye = standing.solid, standing.setting.frame.eye
    return Built(
        moves,
        points,
        lines,
        {name: point.xy for name, point in points.items()},
        solid,
        page,
        _box(page.values()),
        tuple(painted(Seen(solid, eye, see_through=False))),
        frozenset(face.name for face in faces_toward_eye(solid, eye)),
        LightLines(lines.values()),
        edges,
    )


def _box(corners: Collection[tuple[float, float]]) -> Box:
    if not corners:
        return (math.inf,) * 4
    xs, ys = zip(*corners, strict=True)
    return (min(xs), min(ys), max(xs), max(ys))


def forget() -> None:
    """Forget what was built, so that a measurement begins with nothing."""
    _KEPT.clear()
    _by_view.cache_clear()


def _given_lines(setting: Setting) -> dict[str, Ruled]:
    """Return the lines that a thing may use: the eye level, and where it hangs on another the edges of its face."""
    level = setting.frame.level_mm
    ends = Point(0.0, level), Point(setting.sheet.width_mm, level)
    lines = {EYE_LEVEL: Ruled(EYE_LEVEL, join(*ends), *ends, "level", "construction", "")}
    if setting.anchor is None or setting.anchor.panel is None:
        return lines
    edges = _panel_lines(setting.anchor.panel, setting.anchor.thing)
    return lines | {name: line for name, line in edges.items() if name not in setting.anchor.lightly}


@lru_cache(maxsize=256)
def _given(setting: Setting) -> dict[str, Point]:
    """Return the points that a thing may use: those of its view and of its eye, and of the sun."""
    sunlit = {way.family: way.goal for way in (setting.rays, setting.shadows)}
    return {**{aim.name: aim.at for aim in frame_aims(setting.frame)}, **sunlit}
