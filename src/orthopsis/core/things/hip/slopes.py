"""The two slopes under the ridge of a hip roof, as faces on which dormers and chimneys stand.

The part of a slope straight under the ridge is a rectangle in the world. It is called ``first`` where it rises as it
goes away, ``far`` where it comes down; its lower corners are ``eave.first.near`` and ``eave.first.far``, under the ends
of the ridge. The lines up to those run to a point of their own, over or under the point of the short way of the top.
"""

from collections.abc import Iterator, Mapping
from typing import TYPE_CHECKING

import numpy as np

from orthopsis.core.construct.moves import Act, Rule, RuleToPoint, Run, Through
from orthopsis.core.construct.panel import Panel, Pitch, vector
from orthopsis.core.plane.arc import FacePlace
from orthopsis.core.plane.homogeneous import Point
from orthopsis.core.things.gable.shape import ROLES, SLOPES, Slope
from orthopsis.core.things.hip.lid import EDGES
from orthopsis.core.view.aim import Aim
from orthopsis.core.view.frame import Way

if TYPE_CHECKING:
    from orthopsis.core.things.hip.shape import HipShape

FOUND = {"edges": "nothing stands", "points": "dormers and chimneys can stand, by slope points"}
"""What may stand on the slopes, for which a hand finds their points."""
ENDS = ("near", "far")
"""The ends of the ridge."""


def _edge(roof: "HipShape", slope: Slope) -> int:
    """Return the number of the edge of the top from which a slope rises."""
    first, far = (0, 2) if roof.is_along else (3, 1)
    return first if slope == "first" else far


def short_way(roof: "HipShape") -> Way:
    """Return the direction of the top across its ridge."""
    return roof.panel.up if roof.is_along else roof.panel.along


def found_slopes(roof: "HipShape") -> tuple[Slope, ...]:
    """Return the slopes that are offered: those that show, where the hand shall find their points and they have one."""
    if roof.is_pyramid or roof.values.word("slopes") != "points" or short_way(roof).goal.is_ideal:
        return ()
    return tuple(slope for slope in SLOPES if roof.shows(_edge(roof, slope)))


def aims(roof: "HipShape") -> tuple[Aim, ...]:
    """Return the points to which the slopes run that are found."""
    result = list[Aim]()
    for slope in found_slopes(roof):
        x, y, z = (roof.ridge_at["near"] - _eave(roof, slope, "near")).tolist()
        at = roof.setting.frame.eye.vanishing_point((x, y, z))
        result.append(Aim(roof.values.full(ROLES[slope]), at, ROLES[slope], roof.values.name))
    return tuple(result)


def _share(roof: "HipShape", slope: Slope, end: str) -> FacePlace:
    """Return where on the top a lower corner of a slope is."""
    along, across = roof.ridge_share(end), 0.0 if slope == "first" else 1.0
    return (along, across) if roof.is_along else (across, along)


def _eave(roof: "HipShape", slope: Slope, end: str) -> np.ndarray[tuple[int, ...], np.dtype[np.float64]]:
    return np.asarray(roof.panel.places([_share(roof, slope, end)])[0])


def panels(roof: "HipShape") -> Mapping[str, Panel]:
    """Return the parts of the slopes under the ridge, by the key of their faces."""
    return {f"slope_{slope}": _panel(roof, slope) for slope in found_slopes(roof)}


def _panel(roof: "HipShape", slope: Slope) -> Panel:
    n, top, edge = roof.values.full, roof.panel, _edge(roof, slope)
    low, far_low = (_eave(roof, slope, end) for end in ENDS)
    high, far_high = (roof.ridge_at[end] for end in ENDS)
    page = [Point(x, y) for x, y in roof.setting.frame.eye.see(np.stack((low, far_low, far_high, high))).tolist()]
    run = np.array(top.axes[1 if roof.is_along else 0]) * (0.5 if slope == "first" else -0.5)
    beside = (3, 1) if roof.is_along else (0, 2)
    middle = sum(at.x for at in page[:2]) < sum(at.x for at in page[2:])
    aim = next(aim for aim in aims(roof) if aim.role == ROLES[slope])
    return Panel(
        says="left slope" if middle else "right slope",
        face=f"slope.{EDGES[edge]}",
        turned="top",
        low=n(f"eave.{slope}.near"),
        high=n("ridge.near"),
        far_low=n(f"eave.{slope}.far"),
        far_high=n("ridge.far"),
        first=n(f"slope.{slope}.near"),
        bottom=_host_edge(roof, slope),
        top=n("ridge"),
        far=n(f"slope.{slope}.far"),
        around=(top.around[edge], top.around[beside[1]], top.around[(edge + 2) % 4], top.around[beside[0]]),
        along=roof.ridge_way,
        up=Way(aim.name, aim.at),
        out=top.out,
        drawn_from="low",
        page=(page[0], page[1], page[2], page[3]),
        start=vector(low),
        axes=(vector(far_low - low), vector(high - low)),
        first_says="light line up to the ridge",
        pitch=Pitch(short_way(roof), vector(run), vector(high - low - run)),
    )


def _host_edge(roof: "HipShape", slope: Slope) -> str:
    """Return the full name of the edge of the house from which a slope rises."""
    panel = roof.panel
    return (panel.bottom, panel.far, panel.top, panel.first)[_edge(roof, slope)]


def acts(roof: "HipShape") -> Iterator[tuple[str, Act]]:
    """Yield the acts that find the lower corners of the slopes, the lines up to the ridge, and their points."""
    found = found_slopes(roof)
    if not found:
        return
    n, way = roof.values.full, short_way(roof)
    sides = ("bottom", "top") if roof.is_along else ("first", "far")
    first, other = (n(f"construction.lid.{edge}") for edge in sides)
    for end in ENDS:
        line, tip = n(f"construction.over.{end}"), n(f"ridge.{end}")
        on_lid = n(f"measure.lid.first.{end}"), n(f"measure.lid.far.{end}")
        yield "hip.across_ends", Through(line, *on_lid, tip, way.family, first, other, "construction")
    for slope in found:
        for end in ENDS:
            eave, line = n(f"eave.{slope}.{end}"), n(f"construction.drop.{slope}.{end}")
            until = _host_edge(roof, slope)
            start = n(f"measure.lid.{slope}.{end}")
            yield "hip.to_eave", Run(line, eave, start, roof.panel.out.family, until, "construction")
    for slope in found:
        family = n(ROLES[slope])
        for end in ENDS:
            ends = n(f"eave.{slope}.{end}"), n(f"ridge.{end}")
            yield "hip.up_slope", Rule(n(f"slope.{slope}.{end}"), *ends, family, "construction")
    for slope in found:
        upright, point = n(f"construction.upright.{ROLES[slope]}"), n(ROLES[slope])
        line, ends = n(f"construction.laid.{ROLES[slope]}"), (n(f"eave.{slope}.near"), n("ridge.near"))
        yield f"hip.{ROLES[slope]}", Rule(line, *ends, "free", "unseen")
        yield f"hip.{ROLES[slope]}", Run(upright, point, way.family, roof.panel.out.family, line, "construction")
        yield (
            f"hip.{ROLES[slope]}",
            RuleToPoint(n(f"construction.slope.{slope}"), n("ridge.near"), point, "construction"),
        )
