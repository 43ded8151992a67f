"""How does a hand draw a box whose front is drawn true: guide lines, the depth on one of them, the back?"""

import math

from orthopsis.core.construct.moves import (
    Act,
    Cross,
    Move,
    Rule,
    RuleToPoint,
    Run,
    Side,
)
from orthopsis.core.plane.homogeneous import Point, join
from orthopsis.core.things.box.face import (
    CORNERS,
    EDGE,
    check_metric,
    corner_points,
    depth_corner,
    depth_share,
    goal_of,
    guided_corners,
    height_of,
)
from orthopsis.core.things.declare import Values
from orthopsis.core.things.depth import cut_move
from orthopsis.core.things.standing import Setting
from orthopsis.core.view.frame import distance_names, distance_points

CLEAR_CROSSING_DEG = 12.0
"""Lines that cross flatter than this give no sharp point (common practice, no source)."""


def recipe(values: Values, setting: Setting) -> list[Move]:
    """Return the hand's moves from the front face to the back edges."""
    guided = guided_corners(values, setting)
    moves = _front(values, setting)
    if not guided:
        return moves
    breath = "guides.see_through" if len(guided) == len(CORNERS) else "guides"
    moves += [values.move("guides", breath, _guide(values, c, setting)) for c in guided]
    moves += _cut_depth(values, setting)
    return moves + _back(values, setting, guided)


def _front(values: Values, setting: Setting) -> list[Move]:
    def n(name: str) -> str:
        return values.full(f"front.{name}")

    w, h, anchor = values.mm("width"), height_of(values), setting.anchor
    if anchor is not None and anchor.in_line is not None:
        rise = values.full("construction.rise")
        acts: list[Act] = [
            *values.line_up(anchor, anchor.in_line, "front.bottom_left"),
            Run(n("left"), n("top_left"), n("bottom_left"), "upright", rise),
            Side(n("bottom"), n("bottom_right"), n("bottom_left"), "level", w),
            Side(n("top"), n("top_right"), n("top_left"), "level", w),
            Rule(n("right"), n("bottom_right"), n("top_right"), "upright"),
        ]
        return [values.move("front", "front.in_line", act) for act in acts]
    acts = [
        values.begin(setting, "front.bottom_left"),
        Side(n("bottom"), n("bottom_right"), n("bottom_left"), "level", w),
        Side(n("left"), n("top_left"), n("bottom_left"), "upright", h),
        Side(n("right"), n("top_right"), n("bottom_right"), "upright", h),
        Rule(n("top"), n("top_left"), n("top_right"), "level"),
    ]
    return [values.move("front", "front", act) for act in acts]


def _guide(values: Values, corner: str, setting: Setting) -> RuleToPoint:
    return RuleToPoint(values.full(f"guide.{corner}"), values.full(f"front.{corner}"), setting.frame.name)


def _cut_depth(values: Values, setting: Setting) -> list[Move]:
    how = values.word("depth_by")
    if how == "cube":
        return _cut_cube(values, setting)
    corner = depth_corner(values, setting)
    makes, line = values.full(f"back.{corner}"), values.full(f"guide.{corner}")
    depth_share(values, setting)
    return [cut_move(values, "depth.front", makes, line)]


def _cut_cube(values: Values, setting: Setting) -> list[Move]:
    """Cut a guide line with the diagonal from the front corner beside it to the distance point beyond."""
    check_metric(values, setting)
    corner, beside, point = _cube_corner(values, setting)
    diagonal = values.full("diagonal")
    rule = RuleToPoint(diagonal, values.full(f"front.{beside}"), point, "construction")
    cross = Cross(values.full(f"back.{corner}"), diagonal, values.full(f"guide.{corner}"))
    return [values.move("depth", "depth.cube", rule), values.move("depth", "depth.cube", cross)]


def _cube_corner(values: Values, setting: Setting) -> tuple[str, str, str]:
    """Return the corner whose guide line is cut, the one its diagonal starts at, and the distance point."""
    points, goal = corner_points(values), goal_of(setting)
    points_at = dict(zip(("left", "right"), distance_points(setting.frame), strict=True))
    called = dict(zip(("left", "right"), distance_names(setting.frame), strict=True))
    options = []
    for corner in guided_corners(values, setting):
        height, side = corner.split("_")
        beside = f"{height}_{'right' if side == 'left' else 'left'}"
        guide, diagonal = join(points[corner], goal), join(points[beside], points_at[side])
        crossing = math.degrees(math.asin(min(1.0, abs(guide.a * diagonal.b - guide.b * diagonal.a))))
        is_shown = (height == "top") == (points[corner].y < goal.y)
        options.append(((is_shown and crossing >= CLEAR_CROSSING_DEG, crossing), corner, beside, called[side]))
    _, corner, beside, name = max(options)
    return corner, beside, name


def _back(values: Values, setting: Setting, guided: tuple[str, ...]) -> list[Move]:
    """Go round the back: level from an upright guide's corner, upright from a level one's."""
    points, goal = corner_points(values), goal_of(setting)
    start = _cube_corner(values, setting)[0] if values.word("depth_by") == "cube" else depth_corner(values, setting)
    known, moves, drawn = [start], [], set()
    for here in known:
        for there in _neighbours(here):
            name, runs = EDGE[frozenset((here, there))]
            if there not in guided or there in known or _is_parallel(points[there], goal, runs):
                continue
            made, end = values.full(f"back.{name}"), values.full(f"back.{there}")
            act = Run(made, end, values.full(f"back.{here}"), runs, values.full(f"guide.{there}"))
            moves.append(values.move("back", "back", act))
            known.append(there)
            drawn.add(name)
    for a, b in zip(CORNERS, (*CORNERS[1:], CORNERS[0]), strict=True):
        name, runs = EDGE[frozenset((a, b))]
        if a in known and b in known and name not in drawn:
            rule = Rule(values.full(f"back.{name}"), values.full(f"back.{a}"), values.full(f"back.{b}"), runs)
            moves.append(values.move("back", "back", rule))
    return moves


def _neighbours(corner: str) -> tuple[str, str]:
    i = CORNERS.index(corner)
    return CORNERS[(i + 1) % 4], CORNERS[i - 1]


def _is_parallel(corner: Point, goal: Point, runs: str) -> bool:
    gap = goal.y - corner.y if runs == "level" else goal.x - corner.x
    return abs(gap) < 1e-9
