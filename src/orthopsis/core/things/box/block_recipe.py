"""How does a hand draw a block about its nearest edge: edge, guide lines, sides, back?"""

from orthopsis.core.construct.moves import (
    EYE_LEVEL,
    Act,
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
from orthopsis.core.construct.moves import Role as LineRole
from orthopsis.core.things.box.block import ROLES, Block, Role, other
from orthopsis.core.things.setting import Anchor
from orthopsis.core.view.frame import measuring_name, measuring_point

ON_LEVEL_MM = 1e-3
"""A level of a block this near to the eye level lies on it."""


def edge_moves(block: Block) -> list[Move]:
    """Return the moves of the nearest edge."""
    values, first, second = block.values, block.first, block.second
    n, anchor, family = values.full, block.setting.anchor, block.family("up")
    if anchor is not None and anchor.in_line is not None and not anchor.in_line.top:
        acts = [*values.line_up(anchor, anchor.in_line, "near.bottom"), *_raised(block)]
        return [values.move("front", "front.edge_alley", act) for act in acts]
    if anchor is not None and anchor.in_line is not None:
        rise = Run(n("near.edge"), n("near.top"), n("near.bottom"), family, n("construction.rise"))
        acts = [*values.line_up(anchor, anchor.in_line, "near.bottom"), rise]
        return [values.move("front", "front.edge_in_line", act) for act in acts]
    begin = values.move("front", "front.edge", values.begin(block.setting, f"near.{first}"))
    if block.goal("up").is_ideal:
        side = Side(n("near.edge"), n(f"near.{second}"), n(f"near.{first}"), "upright", values.mm("height"))
        return [begin, values.move("front", "front.edge", side)]
    if anchor is not None and first == "top":
        return _edge_on_another(block, anchor)
    aimed = (
        RuleToPoint(n("guide.near.edge"), n(f"near.{first}"), family),
        MeasureAlong(n(f"near.{second}"), n("guide.near.edge"), values.mm("height")),
        Rule(n("near.edge"), n(f"near.{first}"), n(f"near.{second}"), family),
    )
    begin = values.move("front", "front.edge_aimed", values.begin(block.setting, f"near.{first}"))
    return [begin, *(values.move("front", "front.edge_aimed", act) for act in aimed)]


def _raised(block: Block) -> list[Act]:
    """Return the acts that raise the nearest edge from its foot, which is there."""
    family, n, height = block.family("up"), block.values.full, block.values.mm("height")
    if block.goal("up").is_ideal:
        return [Side(n("near.edge"), n("near.top"), n("near.bottom"), "upright", height)]
    is_away = block.first == "top"  # from the point: there the ruler only lies, and no light line leads
    return [
        RuleToPoint(n("guide.near.edge"), n("near.bottom"), family, "unseen" if is_away else "guide"),
        MeasureAlong(n("near.top"), n("guide.near.edge"), -height if is_away else height),
        Rule(n("near.edge"), n("near.bottom"), n("near.top"), family),
    ]


def _edge_on_another(block: Block, anchor: Anchor) -> list[Move]:
    """Return the moves of a nearest edge that stands on another thing and is drawn away from the third point."""
    values = block.values
    acts = (Shift(values.full("near.bottom"), anchor.point, 0.0), *_raised(block))
    return [values.move("front", "front.edge_raised", act) for act in acts]


def guide_moves(block: Block) -> list[Move]:
    """Return the four light lines from the ends of the nearest edge to the two points on the eye level."""
    n = block.values.full
    return [
        block.values.move(
            "guides",
            "guides.edge",
            RuleToPoint(n(f"guide.{level}.{role}"), n(f"near.{level}"), block.family(role)),
        )
        for role in ROLES
        for level in ("bottom", "top")
    ]


def side_moves(block: Block, role: Role) -> list[Move]:
    """Return the moves that cut one side: the mark on a guide line, and the end's upright between the two."""
    values, first, second = block.values, block.first, block.second
    n = values.full
    how, guide, end = values.word(f"{role}_by"), n(f"guide.{first}.{role}"), n(f"{role}.{first}")
    share, moves = block.side_shares[role], list[Move]()
    if how == "half":
        breath = f"depth.{role}.half"
        moves.append(values.move("depth", breath, ShareAlong(end, guide, share)))
    elif how == "measured":
        breath, length = f"depth.{role}.along", values.mm(f"{role}_length")
        act: MeasureAside | MeasureAlong = MeasureAlong(end, guide, length)
        if block.setting.frame.kind == "two_point":
            breath, act = f"depth.{role}.measured", MeasureAside(end, guide, -length if role == "left" else length)
        moves.append(values.move("depth", breath, act))
    else:
        breath = f"depth.{role}.true"
        length = block.true_height if how == "cube" else values.mm(f"{role}_length")
        moves += _true_cut(block, role, breath, length)
    upright = Run(n(f"{role}.edge"), n(f"{role}.{second}"), end, block.family("up"), n(f"guide.{second}.{role}"))
    return [*moves, values.move("depth", breath, upright)]


def _true_cut(block: Block, role: Role, breath: str, length: float) -> list[Move]:
    """Lay the true length off on a level line, and carry it over with the measuring point."""
    n, first, frame = block.values.full, block.first, block.setting.frame
    mark, over = n(f"measure.{role}"), n(f"construction.{role}")
    measuring_point(frame, role)
    acts = (
        Shift(mark, n(f"near.{first}"), -length if role == "left" else length),
        RuleToPoint(over, mark, measuring_name(frame, role), "construction"),
        Cross(n(f"{role}.{first}"), over, n(f"guide.{first}.{role}")),
    )
    return [block.values.move("depth", breath, act) for act in acts]


def body_moves(block: Block) -> list[Move]:
    """Return the moves from the nearest edge to the ends of both sides."""
    moves = edge_moves(block) + guide_moves(block)
    for role in ROLES:
        moves += side_moves(block, role)
    return moves


def back_moves(block: Block, levels: tuple[str, ...]) -> list[Move]:
    """Return the two back lines that cross for each level that shows, and the far upright if both do.

    On the eye level all lines lie on one another: there the far upright leads to the back corner.
    """
    values = block.values
    n, moves = values.full, list[Move]()
    on_level = _on_eye_level(block) if len(levels) == 2 and block.goal("up").is_ideal else ""
    for level in sorted(levels, key=lambda level: level == on_level):
        breath: tuple[str, LineRole] = ("", "unseen") if level == on_level else ("back.cross", "guide")
        for role in ROLES:
            start, family = n(f"{role}.{level}"), block.family(other(role))
            aim = RuleToPoint(n(f"guide.{level}.back_{other(role)}"), start, family, breath[1])
            moves.append(values.move("back", breath[0], aim))
        moves.append(_far_corner(block, level, is_on_level=level == on_level))
        for role in ROLES:
            family = block.family(other(role))
            edge = Rule(n(f"{level}.back_{other(role)}"), n(f"{role}.{level}"), n(f"far.{level}"), family)
            moves.append(values.move("back", "back.edges", edge))
    if len(levels) == 2:
        far = Rule(n("far.edge"), n("far.bottom"), n("far.top"), block.family("up"))
        moves.append(values.move("back", "back.edges", far))
    return moves


def _on_eye_level(block: Block) -> str:
    """Return which level of a block lies on the eye level; empty if none does."""
    height = block.setting.frame.level_mm
    return next((level for level, at in block.near_edge.items() if abs(at.y - height) <= ON_LEVEL_MM), "")


def _far_corner(block: Block, level: str, *, is_on_level: bool) -> Move:
    n = block.values.full
    if not is_on_level:
        cross = Cross(n(f"far.{level}"), n(f"guide.{level}.back_left"), n(f"guide.{level}.back_right"))
        return block.values.move("back", "back.cross", cross)
    start, up = n(f"far.{'bottom' if level == 'top' else 'top'}"), block.family("up")
    upright = Run(n("construction.far"), n(f"far.{level}"), start, up, EYE_LEVEL, "construction")
    return block.values.move("back", "back.upright", upright)
