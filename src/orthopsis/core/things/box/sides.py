"""The faces of a block about its nearest edge, on which others stand: its two sides, its top and bottom."""

from collections.abc import Mapping

from orthopsis.core.construct.panel import LEVEL_WORDS, Back, Panel, away_from, vector
from orthopsis.core.plane.homogeneous import Point, join, meet
from orthopsis.core.plane.tolerance import SAME_POINT_MM
from orthopsis.core.things.box.block import ROLES, Block, Role, other

SIDE_WORDS: dict[Role, str] = {"left": "left side", "right": "right side"}


def side_panel(block: Block, role: Role) -> Panel:
    """Return the side beside the nearest edge that runs to a point."""
    n, (_, vectors) = block.values.full, block.axes
    edge, is_from_low = block.near_edge, block.first == "bottom"
    ends = {level: block.end_corner(role, level) for level in ("bottom", "top")}
    return Panel(
        says=SIDE_WORDS[role],
        face=role,
        turned=role,
        low=n("near.bottom"),
        high=n("near.top"),
        far_low=n(f"{role}.bottom"),
        far_high=n(f"{role}.top"),
        first=n("near.edge"),
        bottom=n(f"guide.bottom.{role}"),
        top=n(f"guide.top.{role}"),
        far=n(f"{role}.edge"),
        around=("bottom", "back", "top", other(role)),
        along=block.setting.frame.way(role),
        up=block.setting.frame.way("up"),
        out=block.setting.frame.way(other(role)),
        drawn_from="low" if is_from_low else "high",
        page=(edge["bottom"], ends["bottom"], ends["top"], edge["top"]),
        start=vector(block.foot),
        axes=(vector(vectors[role]), vector(vectors["up"] if is_from_low else -vectors["up"])),
        back=_back_of_side(block, role),
        outward=away_from(vectors[other(role)]),
    )


def _back_of_side(block: Block, role: Role) -> Back:
    """Return where the block ends behind a side: at the end of the other one."""
    n, over = block.values.full, other(role)
    ends = {level: block.end_corner(over, level) for level in ("bottom", "top")}
    return Back(
        low=n(f"{over}.bottom"),
        high=n(f"{over}.top"),
        far_low=n("far.bottom"),
        far_high=n("far.top"),
        upper=(n(f"guide.top.{over}"), n(f"guide.top.back_{over}")),
        page=(ends["bottom"], far_corner(block, "bottom"), far_corner(block, "top"), ends["top"]),
        vector=vector(block.axes[1][over]),
        face=f"back_{role}",
    )


def _back_of_level(block: Block, level: str) -> Back:
    """Return where the block ends over or under a level face."""
    n, over = block.values.full, "top" if level == "bottom" else "bottom"
    left, right = (block.end_corner(role, over) for role in ROLES)
    up = block.axes[1]["up"]
    return Back(
        low=n(f"near.{over}"),
        high=n(f"left.{over}"),
        far_low=n(f"right.{over}"),
        far_high=n(f"far.{over}"),
        upper=(n("left.edge"), n("far.edge")),
        page=(block.near_edge[over], right, far_corner(block, over), left),
        vector=vector(up if level == block.first else -up),
        face=over,
    )


def far_corner(block: Block, level: str) -> Point:
    """Return where the corner lies on the page that comes by itself.

    On the eye level itself the lines to the two points lie on each other: there it is carried from the other level.
    """
    left, right = (block.end_corner(role, level) for role in ROLES)
    if abs(block.near_edge[level].y - block.setting.frame.level_mm) > SAME_POINT_MM:
        return meet(join(left, block.goal("right")), join(right, block.goal("left")))
    far = far_corner(block, "top" if level == "bottom" else "bottom")
    return meet(join(far, block.goal("up")), join(left, block.goal("right")))


def level_panel(block: Block, level: str) -> Panel:
    """Return the top or the bottom."""
    n, (start, vectors) = block.values.full, block.axes
    left, right = (block.setting.frame.way(role) for role in ROLES)
    ends = [block.end_corner(role, level) for role in ROLES]
    return Panel(
        says=LEVEL_WORDS[level],
        face=level,
        turned=level,
        low=n(f"near.{level}"),
        high=n(f"left.{level}"),
        far_low=n(f"right.{level}"),
        far_high=n(f"far.{level}"),
        first=n(f"guide.{level}.left"),
        bottom=n(f"guide.{level}.right"),
        top=n(f"{level}.back_right"),
        far=n(f"{level}.back_left"),
        around=("right", "back", "back", "left"),
        along=right,
        up=left,
        out=block.setting.frame.way("up"),
        drawn_from="low",
        page=(block.near_edge[level], ends[1], far_corner(block, level), ends[0]),
        start=vector(start if level == block.first else start + vectors["up"]),
        axes=(vector(vectors["right"]), vector(vectors["left"])),
        first_says=f"{level} edge of the left side",
        is_level=True,
        back=_back_of_level(block, level),
        is_seen=block.shows(level),
        outward=away_from(vectors["up"] if level == block.first else -vectors["up"]),
    )


def side_panels(block: Block) -> Mapping[str, Panel]:
    """Return the two sides beside the nearest edge, which always show."""
    return {role: side_panel(block, role) for role in ROLES}
