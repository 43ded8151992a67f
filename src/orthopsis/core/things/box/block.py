"""A block about its nearest edge, in two- and three-point perspective: shape, moves, and where it may stand.

The box in such views is this block; a profile is cut out of it. Corners are called ``near``, ``left``, ``right`` and
``far``, each at the ``bottom`` and the ``top``. The first corner is where the nearest edge begins: at the bottom, or at
the top in a bird's-eye view, where the edge runs down to the third point. It lies in the picture plane.

It knows sides measured on the page, cut half way, of a true length, and as long as the nearest edge is high.
"""

import math
from collections.abc import Mapping
from functools import lru_cache
from typing import Literal

import numpy as np

from orthopsis.core.construct.moves import (
    Cross,
    MeasureAlong,
    MeasureAside,
    Move,
    Rule,
    RuleToPoint,
    Run,
    ShareAlong,
    Shift,
    Side,
)
from orthopsis.core.errors import GeometryError
from orthopsis.core.plane.homogeneous import Point, between, distance, join, meet, toward
from orthopsis.core.sheet.length import format_length
from orthopsis.core.sheet.ruler import round_to
from orthopsis.core.things.declare import Values
from orthopsis.core.things.parameters import Value
from orthopsis.core.things.standing import Anchor, Joint, Setting
from orthopsis.core.view.eye import Array
from orthopsis.core.view.frame import measuring_name, measuring_point

Role = Literal["left", "right"]
ROLES: tuple[Role, Role] = ("left", "right")
HALF_WAY = 0.5
FARTHEST_SHARE = 0.97
"""Nothing is cut nearer to a vanishing point than this share of the way: it would be a dot."""


def other(role: Role) -> Role:
    """Return the other side."""
    return "right" if role == "left" else "left"


def goal(setting: Setting, role: str) -> Point:
    """Return the vanishing point of a direction."""
    return setting.frame.way(role).goal


def first_level(setting: Setting) -> str:
    """Return the level of the first corner: where the nearest edge begins."""
    frame = setting.frame
    return "top" if frame.kind == "three_point" and not frame.has_third_above else "bottom"


def second_level(setting: Setting) -> str:
    """Return the level of the nearest edge's other end."""
    return "bottom" if first_level(setting) == "top" else "top"


@lru_cache(maxsize=1024)
def near_edge(values: Values, setting: Setting) -> Mapping[str, Point]:
    """Return the two ends of the nearest edge, by level.

    Raises:
        GeometryError: it does not stand between the vanishing points, or is longer than the way to the third.
    """
    first, up, height = values.first, goal(setting, "up"), values.mm("height")
    left, right = (goal(setting, role) for role in ROLES)
    _check_between(values, setting, first, left, right)
    if up.is_ideal:
        return {"bottom": first, "top": Point(first.x, first.y + height)}
    if (first.y - left.y) * (up.y - left.y) >= 0 and not _is_within(first, left, right, up):
        raise GeometryError(
            "outside_triangle",
            f"“{values.name}” begins outside of the triangle of the three points.",
            "Move its nearest corner inside, toward the middle.",
            about="left",
        )
    reach = distance(first, up)
    if height > FARTHEST_SHARE * reach:
        most = _shown(
            math.floor(FARTHEST_SHARE * reach / setting.sheet.division_mm) * setting.sheet.division_mm, setting
        )
        raise GeometryError(
            "edge_past_point",
            f"The nearest edge of “{values.name}” is longer than the way to the third point.",
            f"The longest that works is {most}.",
            about="height",
            nearest=most,
        )
    return {first_level(setting): first, second_level(setting): toward(first, up, height)}


def _check_between(values: Values, setting: Setting, first: Point, left: Point, right: Point) -> None:
    division = setting.sheet.division_mm
    if left.x + division / 2 <= first.x <= right.x - division / 2:
        return
    nearest = left.x + division if first.x < left.x + division else right.x - division
    shown = _shown(round_to(nearest, division), setting)
    raise GeometryError(
        "edge_passes_point",
        f"The nearest edge of “{values.name}” does not stand between the two points.",
        f"The nearest place that works is {shown} from the left edge.",
        about="left",
        nearest=shown,
    )


def _is_within(at: Point, a: Point, b: Point, c: Point) -> bool:
    turns = [(q.x - p.x) * (at.y - p.y) - (q.y - p.y) * (at.x - p.x) for p, q in ((a, b), (b, c), (c, a))]
    return all(t > 0 for t in turns) or all(t < 0 for t in turns)


def _shown(mm: float, setting: Setting) -> str:
    return format_length(mm, setting.sheet.units, setting.sheet.division_mm).removeprefix("about ")


def true_height(values: Values, setting: Setting) -> float:
    """Return the world length of the nearest edge, at the scale of its first corner."""
    up = goal(setting, "up")
    if up.is_ideal:
        return values.mm("height")
    near_edge(values, setting)
    return setting.frame.eye.world_length(up, values.mm("height") / distance(values.first, up))


@lru_cache(maxsize=2048)
def side_share(values: Values, setting: Setting, role: Role) -> float:
    """Return how far toward its vanishing point a side is cut, 0 at the nearest edge, 1 at the point.

    Raises:
        GeometryError: the measure passes the point, or a true length is asked of a frame without an eye.
    """
    near_edge(values, setting)
    how, point = values.word(f"{role}_by"), goal(setting, role)
    if how == "half":
        return HALF_WAY
    if how in ("true", "cube"):
        _check_metric(values, setting, role)
        length = values.mm(f"{role}_length") if how == "true" else true_height(values, setting)
        share = setting.frame.eye.page_share(point, length)
    else:
        share = values.mm(f"{role}_length") / side_reach(values, setting, role)
    if share <= FARTHEST_SHARE:
        return share
    if how == "measured":
        most = math.floor(FARTHEST_SHARE * side_reach(values, setting, role) / setting.sheet.division_mm)
        shown = _shown(most * setting.sheet.division_mm, setting)
        fix, nearest = f"The longest that works is {shown}.", shown
    else:
        fix, nearest = "Make it shorter.", ""
    raise GeometryError(
        "side_past_point",
        f"The {role} side of “{values.name}” reaches past its vanishing point.",
        fix,
        about=f"{role}_length",
        nearest=nearest,
    )


def side_reach(values: Values, setting: Setting, role: Role) -> float:
    """Return how far a side could be measured: aside to the point, or along the guide line if uprights converge."""
    first, point = values.first, goal(setting, role)
    return abs(point.x - first.x) if setting.frame.kind == "two_point" else distance(first, point)


def _check_metric(values: Values, setting: Setting, role: Role) -> None:
    if not setting.frame.is_metric:
        raise GeometryError(
            "no_distance",
            f"The {role} side of “{values.name}” has a true length only if the place of the eye is known.",
            "Say first over which place of the eye level the eye is, or measure the side on the page.",
            about=f"{role}_by",
            nearest="measured",
        )


def end_corner(values: Values, setting: Setting, role: Role, level: str) -> Point:
    """Return where the end of a side lies on the page, by the share of its guide line."""
    edge = near_edge(values, setting)
    first = first_level(setting)
    share, point = side_share(values, setting, role), goal(setting, role)
    end = between(edge[first], point, share)
    if level == first:
        return end
    return meet(join(end, goal(setting, "up")), join(edge[level], point))


def axes(values: Values, setting: Setting) -> tuple[Array, dict[str, Array]]:
    """Return the first corner in the world, and the world vectors of the left, right and upright edges from there.

    The upright vector leads from the first corner to the other end of the nearest edge.
    """
    eye = setting.frame.eye
    vectors: dict[str, Array] = {
        role: eye.ray(goal(setting, role)) * eye.world_length(goal(setting, role), side_share(values, setting, role))
        for role in ROLES
    }
    up = eye.ray(goal(setting, "up")) * true_height(values, setting)
    return eye.at(values.first), {**vectors, "up": np.asarray(up)}


def joints(values: Values, setting: Setting) -> Mapping[str, Joint]:
    """Return where others can stand: on its nearest edge, and against the ends of its sides."""
    start, vectors = axes(values, setting)
    low = start if first_level(setting) == "bottom" else start + vectors["up"]
    high = start + vectors["up"] if first_level(setting) == "bottom" else start
    n, edge = values.full, near_edge(values, setting)
    result = {"on_top": Joint("on top of", edge["top"], n("near.top"), float(high[2]))}
    for role in ROLES:
        end = end_corner(values, setting, role, "bottom")
        depth = float((low + vectors[role])[2])
        result[f"against_{role}"] = Joint(f"against the {role} end of", end, n(f"{role}.bottom"), depth)
        over = (edge["top"], n("near.top"))
        says = f"further {role} in line with"
        result[f"in_line_{role}"] = Joint(says, edge["bottom"], n("near.bottom"), float(low[2]), over, role)
    return result


def stand(values: Values, setting: Setting, joint: Joint) -> Mapping[str, Value]:
    """Return the place of the first corner with which the foot of the nearest edge comes to a joint."""
    first, up = joint.corner, goal(setting, "up")
    if joint.top is not None:
        begin = first if first_level(setting) == "bottom" else joint.top[0]
        return {"left": begin.x, "bottom": begin.y, "height": distance(first, joint.top[0])}
    if first_level(setting) == "top":
        first = toward(first, up, -values.mm("height"))
    return {"left": first.x, "bottom": first.y}


def foot_depth(values: Values, setting: Setting) -> float:
    """Return the world depth of the foot of the nearest edge."""
    start, vectors = axes(values, setting)
    return float((start if first_level(setting) == "bottom" else start + vectors["up"])[2])


def shows(values: Values, setting: Setting, level: str) -> bool:
    """Tell whether the top or the bottom face is turned toward the eye."""
    height, edge = setting.frame.level_mm, near_edge(values, setting)
    return edge["top"].y < height if level == "top" else edge["bottom"].y > height


def edge_moves(values: Values, setting: Setting) -> list[Move]:
    """Return the moves of the nearest edge."""
    n, first, second = values.full, first_level(setting), second_level(setting)
    anchor, family = setting.anchor, setting.frame.way("up").family
    if anchor is not None and anchor.in_line is not None:
        rise = Run(n("near.edge"), n("near.top"), n("near.bottom"), family, n("construction.rise"))
        acts = [*values.line_up(anchor, anchor.in_line, "near.bottom"), rise]
        return [values.move("front", "front.edge_in_line", act) for act in acts]
    begin = values.move("front", "front.edge", values.begin(setting, f"near.{first}"))
    if goal(setting, "up").is_ideal:
        side = Side(n("near.edge"), n(f"near.{second}"), n(f"near.{first}"), "upright", values.mm("height"))
        return [begin, values.move("front", "front.edge", side)]
    if anchor is not None and first == "top":
        return _edge_on_another(values, anchor, family)
    aimed = (
        RuleToPoint(n("guide.near.edge"), n(f"near.{first}"), family),
        MeasureAlong(n(f"near.{second}"), n("guide.near.edge"), values.mm("height")),
        Rule(n("near.edge"), n(f"near.{first}"), n(f"near.{second}"), family),
    )
    begin = values.move("front", "front.edge_aimed", values.begin(setting, f"near.{first}"))
    return [begin, *(values.move("front", "front.edge_aimed", act) for act in aimed)]


def _edge_on_another(values: Values, anchor: Anchor, family: str) -> list[Move]:
    """Return the moves of a nearest edge that stands on another thing and is drawn away from the third point."""
    n = values.full
    acts = (
        Shift(n("near.bottom"), anchor.point, 0.0),
        RuleToPoint(n("guide.near.edge"), n("near.bottom"), family),
        MeasureAlong(n("near.top"), n("guide.near.edge"), -values.mm("height")),
        Rule(n("near.edge"), n("near.bottom"), n("near.top"), family),
    )
    return [values.move("front", "front.edge_raised", act) for act in acts]


def guide_moves(values: Values, setting: Setting) -> list[Move]:
    """Return the four light lines from the ends of the nearest edge to the two points on the eye level."""
    n = values.full
    return [
        values.move(
            "guides",
            "guides.edge",
            RuleToPoint(n(f"guide.{level}.{role}"), n(f"near.{level}"), setting.frame.way(role).family),
        )
        for role in ROLES
        for level in ("bottom", "top")
    ]


def side_moves(values: Values, setting: Setting, role: Role) -> list[Move]:
    """Return the moves that cut one side: the mark on a guide line, and the end's upright between the two."""
    n, first, second = values.full, first_level(setting), second_level(setting)
    how, guide, end = values.word(f"{role}_by"), n(f"guide.{first}.{role}"), n(f"{role}.{first}")
    side_share(values, setting, role)
    moves = []
    if how == "half":
        breath = f"depth.{role}.half"
        moves.append(values.move("depth", breath, ShareAlong(end, guide, HALF_WAY)))
    elif how == "measured":
        breath, length = f"depth.{role}.along", values.mm(f"{role}_length")
        act: MeasureAside | MeasureAlong = MeasureAlong(end, guide, length)
        if setting.frame.kind == "two_point":
            breath, act = f"depth.{role}.measured", MeasureAside(end, guide, -length if role == "left" else length)
        moves.append(values.move("depth", breath, act))
    else:
        breath = f"depth.{role}.true"
        length = true_height(values, setting) if how == "cube" else values.mm(f"{role}_length")
        moves += _true_cut(values, setting, role, breath, length)
    upright = Run(
        n(f"{role}.edge"), n(f"{role}.{second}"), end, setting.frame.way("up").family, n(f"guide.{second}.{role}")
    )
    return [*moves, values.move("depth", breath, upright)]


def _true_cut(values: Values, setting: Setting, role: Role, breath: str, length: float) -> list[Move]:
    """Lay the true length off on a level line, and carry it over with the measuring point."""
    n, first = values.full, first_level(setting)
    mark, over = n(f"measure.{role}"), n(f"construction.{role}")
    measuring_point(setting.frame, role)
    acts = (
        Shift(mark, n(f"near.{first}"), -length if role == "left" else length),
        RuleToPoint(over, mark, measuring_name(setting.frame, role), "construction"),
        Cross(n(f"{role}.{first}"), over, n(f"guide.{first}.{role}")),
    )
    return [values.move("depth", breath, act) for act in acts]


def back_moves(values: Values, setting: Setting, levels: tuple[str, ...]) -> list[Move]:
    """Return the two back lines that cross for each level that shows, and the far upright if both do."""
    n, breath = values.full, "back.cross"
    moves = []
    for level in levels:
        for role in ROLES:
            aim = RuleToPoint(
                n(f"guide.{level}.back_{other(role)}"), n(f"{role}.{level}"), setting.frame.way(other(role)).family
            )
            moves.append(values.move("back", breath, aim))
        crossing = Cross(n(f"far.{level}"), n(f"guide.{level}.back_left"), n(f"guide.{level}.back_right"))
        moves.append(values.move("back", breath, crossing))
        for role in ROLES:
            family = setting.frame.way(other(role)).family
            edge = Rule(n(f"{level}.back_{other(role)}"), n(f"{role}.{level}"), n(f"far.{level}"), family)
            moves.append(values.move("back", "back.edges", edge))
    if len(levels) == 2:
        family = setting.frame.way("up").family
        moves.append(values.move("back", "back.edges", Rule(n("far.edge"), n("far.bottom"), n("far.top"), family)))
    return moves
