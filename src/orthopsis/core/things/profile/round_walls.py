"""The round walls of a shape whose whole outline is a circle or an oval: a tower seen from above, a drum that lies.

The shape comes into its block; each side of that which shows touches the round wall along its middle.
"""

from collections.abc import Mapping
from dataclasses import dataclass

import numpy as np

from orthopsis.core.construct.carry import CarriedOutline
from orthopsis.core.construct.moves import Cross, Rule
from orthopsis.core.construct.panel import Panel, RoundWall, away_from, vector
from orthopsis.core.construct.rounding import nodes
from orthopsis.core.plane.arc import FacePlace
from orthopsis.core.plane.homogeneous import Point, between
from orthopsis.core.plane.tolerance import SAME_SHARE
from orthopsis.core.view.frame import Frame

_CORNERS: dict[str, FacePlace] = {"low_left": (0, 0), "low_right": (1, 0), "high_right": (1, 1), "high_left": (0, 1)}


@dataclass(frozen=True, slots=True)
class _Side:
    """A side of the block: its ends on the front, from the one that is lower or more to the left, and those opposite.

    ``says``: how it is called; ``is_level``: whether its edge on the front is.
    """

    ends: tuple[str, str]
    over: tuple[str, str]
    says: str
    is_level: bool


_SIDES: dict[str, _Side] = {
    "left": _Side(("low_left", "high_left"), ("low_right", "high_right"), "left side", is_level=False),
    "right": _Side(("low_right", "high_right"), ("low_left", "high_left"), "right side", is_level=False),
    "bottom": _Side(("low_left", "low_right"), ("high_left", "high_right"), "underside", is_level=True),
    "top": _Side(("high_left", "high_right"), ("low_left", "low_right"), "top", is_level=True),
}


def round_walls(outline: CarriedOutline, frame: Frame, share: float) -> Mapping[str, Panel]:
    """Return the sides of its block that show, each with the half of the round wall behind it; none if it has corners.

    Args:
        share: how far from the front to the point its back is, 0 to 1.
    """
    numbers = _corners_of(outline)
    if numbers is None:
        return {}
    at = {name: outline.page[number] for name, number in numbers.items()}
    low, high = at["low_left"], at["high_right"]
    seen = {
        "left": outline.goal.x < low.x,
        "right": outline.goal.x > high.x,
        "bottom": outline.goal.y < low.y,
        "top": outline.goal.y > high.y,
    }
    return {f"round_{side}": _wall(outline, frame, numbers, side, share) for side in _SIDES if seen[side]}


def _corners_of(outline: CarriedOutline) -> Mapping[str, int] | None:
    """Return the numbers of the corners of its block, if each of them is rounded from middle to middle of its edges."""
    if len(outline.rounded) != len(_CORNERS) or len(outline.page) != len(_CORNERS):
        return None
    for rounding in outline.rounded.values():
        ends = [*rounding.start, *rounding.end]
        if sum(abs(share - 1 / 2) <= SAME_SHARE for share in ends) != 2:
            return None
    found = {
        name: number
        for name, place in _CORNERS.items()
        for number, flat in outline.flat.items()
        if abs(flat[0] - place[0]) <= SAME_SHARE and abs(flat[1] - place[1]) <= SAME_SHARE
    }
    return found if len(found) == len(_CORNERS) else None


def _wall(outline: CarriedOutline, frame: Frame, numbers: Mapping[str, int], side: str, share: float) -> Panel:
    """Return a side of the block, from its edge on the front on."""
    own, n, eye, page = _SIDES[side], outline.full, frame.eye, outline.page
    low, high = (numbers[name] for name in own.ends)
    after = dict(outline.edges)
    edge = low if after[low] == high else high
    behind = {number: between(at, outline.goal, share) for number, at in page.items()}
    away = eye.ray(outline.goal) * eye.world_length(outline.goal, share)
    start, across = eye.at(page[low]), eye.at(page[numbers[own.over[0]]]) - eye.at(page[low])
    ways = {name: frame.way(name) for name in ("away", "across", "up")}
    return Panel(
        says=f"{own.says} of the block",
        face=side,
        turned=side,
        low=n(f"front.{low}"),
        high=n(f"front.{high}"),
        far_low=n(f"back.{low}"),
        far_high=n(f"back.{high}"),
        first=n(f"front.edge.{edge}"),
        bottom=n(f"guide.{low}"),
        top=n(f"guide.{high}"),
        far=n(f"back.edge.{edge}"),
        around=("left", "back", "right", "front") if own.is_level else ("bottom", "back", "top", "front"),
        along=ways["away"],
        up=ways["across" if own.is_level else "up"],
        out=ways["up" if own.is_level else "across"],
        drawn_from="low" if edge == low else "high",
        page=(page[low], behind[low], behind[high], page[high]),
        start=vector(start),
        axes=(vector(away), vector(eye.at(page[high]) - start)),
        first_says=f"{side} edge of the front",
        round_wall=_round(outline, side, vector(across)),
        outward=away_from(np.array(across)),
    )


def _round(outline: CarriedOutline, side: str, across: tuple[float, float, float]) -> RoundWall:
    """Return the round wall; its axis starts where the diagonals of the block's front cross."""
    n, middle = outline.full, outline.full("front.middle")
    at: dict[str, Point] = {n(f"front.{number}"): place for number, place in outline.page.items()}
    one, two, three, four = at
    diagonals = n("front.diagonal.1"), n("front.diagonal.2")
    marks = (
        Rule(diagonals[0], one, three, "free", "construction"),
        Rule(diagonals[1], two, four, "free", "construction"),
        Cross(middle, *diagonals),
    )
    deep = {"left": (0, 0.0), "right": (0, 1.0), "bottom": (1, 0.0), "top": (1, 1.0)}
    which, begin = deep[side]
    flats = [node.flat for loop in nodes(outline) for node in loop]
    near = [flat[1 - which] for flat in flats if abs(flat[which] - begin) <= 1 / 2]
    return RoundWall(True, (middle, ""), marks, tuple(at.items()), across, tuple(sorted(near)))
