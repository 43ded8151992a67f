"""How does a hand draw eaves: the top's diagonals carried on, four corners on them, the thickness, the upper edges?"""

from collections.abc import Iterator

from orthopsis.core.construct.meeting import meeting
from orthopsis.core.construct.moves import Act, MeasureAlong, Move, Rule, Run
from orthopsis.core.plane.homogeneous import distance
from orthopsis.core.things.eaves.shape import EavesShape
from orthopsis.core.things.raised import foot_name


def recipe(eaves: EavesShape) -> list[Move]:
    """Return the hand's moves."""
    told = [("eaves.corner", act) for act in _corner(eaves)]
    told += [("eaves.under", act) for act in _under(eaves)]
    told += [("eaves.far", act) for act in _far(eaves)]
    moves = [eaves.values.move("divide", breath, act) for breath, act in told]
    told = [("eaves.thick", act) for act in eaves.height_acts(eaves.values.mm("thick"))]
    told += [("eaves.top", act) for act in (*eaves.side_acts(), *eaves.lid_acts())]
    return moves + [eaves.values.move("back", breath, act) for breath, act in told]


def _corner(eaves: EavesShape) -> Iterator[Act]:
    """Yield the acts that carry a diagonal of the top on past its low corner, and mark the eaves' nearest one there."""
    n, panel = eaves.values.full, eaves.panel
    rising, laid = n("construction.rising"), n("construction.laid.rising")
    yield Rule(rising, panel.far_high, panel.low, "free", "construction")
    yield Rule(n("construction.falling"), panel.high, panel.far_low, "free", "construction")
    yield Rule(laid, panel.far_high, panel.low, "free", "unseen")
    long_mm = distance(panel.page[2], panel.page[0])
    yield MeasureAlong(n(foot_name(0)), laid, long_mm + eaves.values.mm("over"))
    yield Rule(n("construction.on.0"), panel.low, n(foot_name(0)), "free", "construction")


def _under(eaves: EavesShape) -> Iterator[Act]:
    """Yield the acts that draw the two edges from there, each to the other diagonal, which is carried on to them."""
    n, panel = eaves.values.full, eaves.panel
    laid, start = n("construction.laid.falling"), n(foot_name(0))
    yield Rule(laid, panel.high, panel.far_low, "free", "unseen")
    for corner, there, side, way in ((1, panel.far_low, "low", panel.along), (3, panel.high, "near", panel.up)):
        role = eaves.role(f"foot.{side}")
        yield Run(n(f"foot.{side}"), n(foot_name(corner)), start, way.family, laid, role)
        yield Rule(n(f"construction.on.{corner}"), there, n(foot_name(corner)), "free", "construction")


def _far(eaves: EavesShape) -> Iterator[Act]:
    """Yield the acts that close the lower edges behind, where something of them is seen."""
    if not eaves.is_drawn("foot.far", "foot.high", "upright.2"):
        return
    n, panel = eaves.values.full, eaves.panel
    first = (n(foot_name(1)), panel.up, n("construction.foot.far"))
    second = (n(foot_name(3)), panel.along, n("foot.high"))
    aside = eaves.page[foot_name(2)].x - eaves.page[foot_name(3)].x
    laid = n("construction.laid.foot.high")
    yield from meeting(first, second, n(foot_name(2)), aside, eaves.role("foot.high"), laid)
    yield Rule(n("foot.far"), n(foot_name(1)), n(foot_name(2)), panel.up.family, eaves.role("foot.far"))
