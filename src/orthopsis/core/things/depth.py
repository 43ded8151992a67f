"""How deep is a thing whose front is drawn true: cut along the guide line of one corner, in one-point perspective?

A depth is measured along the guide line, or by eye about half way. It is a share of the way: 0 at the front, 1 at the
point.
"""

import math
from collections.abc import Mapping

from orthopsis.core.construct.moves import MeasureAlong, Move, ShareAlong
from orthopsis.core.errors import GeometryError
from orthopsis.core.plane.homogeneous import Point, distance
from orthopsis.core.sheet.length import format_length
from orthopsis.core.sheet.ruler import round_to
from orthopsis.core.things.parameters import Value
from orthopsis.core.things.setting import Setting
from orthopsis.core.things.values import Values

HALF_WAY = 0.5
FARTHEST_SHARE = 0.97
"""A depth nearer to the point than this share of its guide line is refused: the back would be a dot."""


def longest_mm(reach: float, setting: Setting) -> float:
    """Return the longest depth that can be cut on a guide line of this length, on a mark of the ruler."""
    division = setting.sheet.division_mm
    return math.floor(FARTHEST_SHARE * reach / division) * division


def measured_share(values: Values, setting: Setting, reach: float) -> float:
    """Return the share at which the measured depth is cut.

    Args:
        reach: length of the guide line, from its corner to the point, mm.

    Raises:
        GeometryError: the depth is longer than its guide line.
    """
    share = values.mm("depth") / reach
    if share <= FARTHEST_SHARE:
        return share
    sheet = setting.sheet
    whole = format_length(round_to(reach, sheet.division_mm), sheet.units, sheet.division_mm)
    most = format_length(longest_mm(reach, setting), sheet.units, sheet.division_mm)
    raise GeometryError(
        "depth_past_point",
        f"The depth of “{values.name}” is longer than its guide line, which is {whole} long.",
        f"The longest depth that works is {most}.",
        about="depth",
        nearest=most,
    )


def cut_move(values: Values, breath: str, makes: str, line: str, share: float) -> Move:
    """Return the move that cuts the depth at a share of the line, measured or by eye: then its breath ends so.

    Without a breath nothing is told of it.
    """
    if values.word("depth_by") == "half":
        return values.move("depth", breath and f"{breath}_half", ShareAlong(makes, line, share))
    return values.move("depth", breath, MeasureAlong(makes, line, values.mm("depth")))


def reached_mm(start: Point, goal: Point, at: Point) -> float:
    """Return how far along the line from a place to its point a hand is, mm: where it comes nearest to that line."""
    along = (at.x - start.x) * (goal.x - start.x) + (at.y - start.y) * (goal.y - start.y)
    return along / distance(start, goal)


def dragged(setting: Setting, start: Point, goal: Point, at: Point) -> Mapping[str, Value]:
    """Return the measured depth whose mark is nearest to where the hand is."""
    along, most = reached_mm(start, goal, at), longest_mm(distance(start, goal), setting)
    return {"depth_by": "measured", "depth": min(max(along, setting.sheet.division_mm), most)}


def kept(setting: Setting, reach: float, share: float) -> Mapping[str, Value]:
    """Return the measured depth that leaves the drawing as it is."""
    return {"depth": round_to(reach * share, setting.sheet.division_mm)}
