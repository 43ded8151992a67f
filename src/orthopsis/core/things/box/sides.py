"""The faces of a block about its nearest edge, as faces that can be divided: its two sides, its top and bottom."""

from collections.abc import Mapping

from orthopsis.core.construct.panel import Panel, vector
from orthopsis.core.plane.homogeneous import join, meet
from orthopsis.core.things.box import block
from orthopsis.core.things.box.block import ROLES, Role
from orthopsis.core.things.declare import Values
from orthopsis.core.things.standing import Setting

SIDE_WORDS: dict[Role, str] = {"left": "left side", "right": "right side"}


def side_panel(values: Values, setting: Setting, role: Role) -> Panel:
    """Return the side beside the nearest edge that runs to a point, as a face that can be divided."""
    n, (start, vectors) = values.full, block.axes(values, setting)
    edge, first = block.near_edge(values, setting), block.first_level(setting)
    is_from_low = first == "bottom"
    ends = {level: block.end_corner(values, setting, role, level) for level in ("bottom", "top")}
    return Panel(
        says=SIDE_WORDS[role],
        face=role,
        low=n("near.bottom"),
        high=n("near.top"),
        far_low=n(f"{role}.bottom"),
        far_high=n(f"{role}.top"),
        first=n("near.edge"),
        bottom=n(f"guide.bottom.{role}"),
        top=n(f"guide.top.{role}"),
        far=n(f"{role}.edge"),
        along=setting.frame.way(role),
        up=setting.frame.way("up"),
        drawn_from="low" if is_from_low else "high",
        page=(edge["bottom"], ends["bottom"], ends["top"], edge["top"]),
        start=vector(start if is_from_low else start + vectors["up"]),
        axes=(vector(vectors[role]), vector(vectors["up"] if is_from_low else -vectors["up"])),
    )


def level_panel(values: Values, setting: Setting, level: str) -> Panel:
    """Return the top or the bottom, where it is drawn, as a face that can be divided."""
    n, (start, vectors) = values.full, block.axes(values, setting)
    left, right = (setting.frame.way(role) for role in ROLES)
    near = block.near_edge(values, setting)[level]
    ends = [block.end_corner(values, setting, role, level) for role in ROLES]
    far = meet(join(ends[0], right.goal), join(ends[1], left.goal))
    return Panel(
        says=level,
        face=level,
        low=n(f"near.{level}"),
        high=n(f"left.{level}"),
        far_low=n(f"right.{level}"),
        far_high=n(f"far.{level}"),
        first=n(f"guide.{level}.left"),
        bottom=n(f"guide.{level}.right"),
        top=n(f"{level}.back_right"),
        far=n(f"{level}.back_left"),
        along=right,
        up=left,
        drawn_from="low",
        page=(near, ends[1], far, ends[0]),
        start=vector(start if level == block.first_level(setting) else start + vectors["up"]),
        axes=(vector(vectors["right"]), vector(vectors["left"])),
        first_says=f"{level} edge of the left side",
    )


def side_panels(values: Values, setting: Setting) -> Mapping[str, Panel]:
    """Return the two sides beside the nearest edge, which always show."""
    return {role: side_panel(values, setting, role) for role in ROLES}
