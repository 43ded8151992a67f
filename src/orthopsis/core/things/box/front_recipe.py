"""How does a hand draw a box whose front is drawn true: guide lines, the depth on one of them, the back?"""

import math
from collections.abc import Callable

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
from orthopsis.core.things.box.front_block import CORNER_AT, CORNER_OF, CORNERS, EDGE, OVER, FrontBlock
from orthopsis.core.things.depth import cut_move
from orthopsis.core.view.frame import distance_names, distance_points

CLEAR_CROSSING_DEG = 12.0
"""Lines that cross flatter than this give no sharp point (common practice, no source)."""


def recipe(block: FrontBlock) -> list[Move]:
    """Return the hand's moves from the front face to the back edges."""
    guided, moves = block.guided, _front(block)
    if not guided:
        return moves
    breath = "guides.see_through" if len(guided) == len(CORNERS) else "guides"
    moves += [block.values.move("guides", breath, _guide(block, corner)) for corner in guided]
    return moves + _cut_depth(block) + _back(block)


def _front(block: FrontBlock) -> list[Move]:
    values, anchor = block.values, block.setting.anchor

    def n(name: str) -> str:
        return values.full(f"front.{name}")

    w, h = values.mm("width"), block.height
    if anchor is not None and anchor.in_line is not None and not anchor.in_line.top:
        lead = values.line_up(anchor, anchor.in_line, f"front.{anchor.in_line.holds}")
        ends = ("bottom_right", "bottom_left", -w) if anchor.in_line.holds == "bottom_right" else (
            "bottom_left", "bottom_right", w)  # fmt: skip
        acts: list[Act] = [*lead, Side(n("bottom"), n(ends[1]), n(ends[0]), "level", ends[2]), *_upright_acts(n, h)]
        return [values.move("front", "front.alley", act) for act in acts]
    if anchor is not None and anchor.in_line is not None:
        rise = values.full("construction.rise")
        acts = [
            *values.line_up(anchor, anchor.in_line, "front.bottom_left"),
            Run(n("left"), n("top_left"), n("bottom_left"), "upright", rise),
            Side(n("bottom"), n("bottom_right"), n("bottom_left"), "level", w),
            Side(n("top"), n("top_right"), n("top_left"), "level", w),
            Rule(n("right"), n("bottom_right"), n("top_right"), "upright"),
        ]
        return [values.move("front", "front.in_line", act) for act in acts]
    acts = [
        values.begin(block.setting, "front.bottom_left"),
        Side(n("bottom"), n("bottom_right"), n("bottom_left"), "level", w),
        *_upright_acts(n, h),
    ]
    return [values.move("front", "front", act) for act in acts]


def _upright_acts(n: Callable[[str], str], height: float) -> list[Act]:
    """Return the acts that raise both sides of a front from its lower corners, and close it."""
    return [
        Side(n("left"), n("top_left"), n("bottom_left"), "upright", height),
        Side(n("right"), n("top_right"), n("bottom_right"), "upright", height),
        Rule(n("top"), n("top_left"), n("top_right"), "level"),
    ]


def _guide(block: FrontBlock, corner: str) -> RuleToPoint:
    n = block.values.full
    return RuleToPoint(n(f"guide.{corner}"), n(f"front.{corner}"), block.setting.frame.name)


def _cut_depth(block: FrontBlock) -> list[Move]:
    values, corner = block.values, _first_back(block)
    if values.word("depth_by") == "cube":
        return _cut_cube(block)
    makes, line = values.full(f"back.{corner}"), values.full(f"guide.{corner}")
    return [cut_move(values, "depth.front", makes, line, block.depth_share)]


def _first_back(block: FrontBlock) -> str:
    """Return the corner of the back that is found first."""
    return _cube_corner(block)[0] if block.values.word("depth_by") == "cube" else block.depth_corner


def _cut_cube(block: FrontBlock) -> list[Move]:
    """Cut a guide line with the diagonal from the front corner beside it to the distance point beyond."""
    corner, beside, point = _cube_corner(block)
    values, n = block.values, block.values.full
    rule = RuleToPoint(n("diagonal"), n(f"front.{beside}"), point, "construction")
    cross = Cross(n(f"back.{corner}"), n("diagonal"), n(f"guide.{corner}"))
    return [values.move("depth", "depth.cube", rule), values.move("depth", "depth.cube", cross)]


def _cube_corner(block: FrontBlock) -> tuple[str, str, str]:
    """Return the corner whose guide line is cut, the one its diagonal starts at, and the distance point."""
    block.check_metric()
    frame, points, goal = block.setting.frame, block.corners, block.goal
    points_at = dict(zip(("left", "right"), distance_points(frame), strict=True))
    called = dict(zip(("left", "right"), distance_names(frame), strict=True))
    options = []
    for corner in block.guided:
        height, side = CORNER_AT[corner]
        beside = CORNER_OF[height, OVER[side]]
        guide, diagonal = join(points[corner], goal), join(points[beside], points_at[side])
        crossing = math.degrees(math.asin(min(1.0, abs(guide.a * diagonal.b - guide.b * diagonal.a))))
        is_shown = (height == "top") == (points[corner].y < goal.y)
        options.append(((is_shown and crossing >= CLEAR_CROSSING_DEG, crossing), corner, beside, called[side]))
    _, corner, beside, name = max(options)
    return corner, beside, name


def _back(block: FrontBlock) -> list[Move]:
    """Go round the back: level from an upright guide's corner, upright from a level one's."""
    values, n, points = block.values, block.values.full, block.corners
    known, moves, drawn = [_first_back(block)], [], set()
    for here in known:
        for there in _neighbours(here):
            name, runs = EDGE[frozenset((here, there))]
            if there not in block.guided or there in known or _is_parallel(points[there], block.goal, runs):
                continue
            act = Run(n(f"back.{name}"), n(f"back.{there}"), n(f"back.{here}"), runs, n(f"guide.{there}"))
            moves.append(values.move("back", "back", act))
            known.append(there)
            drawn.add(name)
    for a, b in zip(CORNERS, (*CORNERS[1:], CORNERS[0]), strict=True):
        name, runs = EDGE[frozenset((a, b))]
        if a in known and b in known and name not in drawn:
            rule = Rule(n(f"back.{name}"), n(f"back.{a}"), n(f"back.{b}"), runs)
            moves.append(values.move("back", "back", rule))
    return moves


def _neighbours(corner: str) -> tuple[str, str]:
    i = CORNERS.index(corner)
    return CORNERS[(i + 1) % 4], CORNERS[i - 1]


def _is_parallel(corner: Point, goal: Point, runs: str) -> bool:
    gap = goal.y - corner.y if runs == "level" else goal.x - corner.x
    return abs(gap) < 1e-9
