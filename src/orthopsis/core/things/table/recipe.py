"""How does a hand draw a table: the legs' squares on the floor, the box over them, the top, the legs up to it?"""

from collections.abc import Iterator

from orthopsis.core.construct.grid import Grid
from orthopsis.core.construct.meeting import meeting
from orthopsis.core.construct.moves import Act, MeasureAlong, Move, Role, Rule, Run
from orthopsis.core.plane.homogeneous import distance
from orthopsis.core.things.raised import foot_name, top_name
from orthopsis.core.things.rectangles.forms import SIDES
from orthopsis.core.things.table import rest
from orthopsis.core.things.table.shape import ROUND, TableShape, leg_face, leg_foot, leg_head, slab_name


def recipe(table: TableShape) -> list[Move]:
    """Return the hand's moves."""
    grid = table.grid
    told: list[tuple[str, Act]] = []
    for leg in ROUND:
        told += [("table.more_feet" if leg else "table.foot", act) for act in _foot(table, grid, leg)]
    told += [(f"table.height{table.carried_suffix}", act) for act in _height(table)]
    told += [("table.sides", act) for act in table.side_acts()]
    told += [("table.lid", act) for act in _lid(table)]
    thick = "table.thick_carried" if table.is_carried else "table.thick"
    told += [(thick, act) for act in _under(table)]
    for leg in ROUND:
        told += [("table.legs", act) for act in _leg(table, leg)]
    if table.has_rest:
        told += rest.acts(table)
    return [*grid.moves(), *(table.values.move("back", breath, act) for breath, act in told)]


def _foot(table: TableShape, grid: Grid, leg: int) -> Iterator[Act]:
    """Yield the acts that mark the corners of a leg on the floor and draw its square."""
    n, ways = table.values.full, (table.panel.along.family, table.panel.up.family)
    for corner, place in enumerate(table.leg_places(leg)):
        yield grid.mark(leg_foot(leg, corner), place)
    for i, side in enumerate(SIDES):
        name = leg_face(leg, f"foot.{side}")
        yield Rule(n(name), n(leg_foot(leg, i)), n(leg_foot(leg, i + 1)), ways[i % 2], table.role(name))


def _height(table: TableShape) -> Iterator[Act]:
    """Yield the acts that draw its first upright; where that is carried, the underside's place comes with it."""
    line = "upright.0"
    if table.is_carried:
        return table.carried_acts(table.heights, [slab_name(0), top_name(0)], line, table.role(line))
    return table.height_acts(table.values.mm("rise"))


def _lid(table: TableShape) -> Iterator[Act]:
    """Yield the acts that close the top; where it is not seen its far corner is found lightly all the same."""
    acts = list(table.lid_acts())
    yield from acts
    if acts:
        return
    n, panel, page = table.values.full, table.panel, table.page
    aside = page[top_name(2)].x - page[top_name(3)].x
    first, second = (n(top_name(1)), panel.up, n("construction.far")), (n(top_name(3)), panel.along, n("top.high"))
    yield from meeting(first, second, n(top_name(2)), aside, "construction", n("construction.laid.high"))


def _under(table: TableShape) -> Iterator[Act]:
    """Yield the acts that draw the lower edges of the top, from the measured thickness round the box."""
    n, panel, page = table.values.full, table.panel, table.page
    foot, laid = n(foot_name(0)), n("construction.laid.thick")
    if not table.is_carried:
        yield Rule(laid, n(top_name(0)), foot, panel.out.family, "unseen")
        yield MeasureAlong(n(slab_name(0)), laid, distance(page[slab_name(0)], page[top_name(0)]))
    steps = ((0, 1, "low", panel.along), (0, 3, "near", panel.up), (3, 2, "high", panel.along))
    for here, there, side, way in steps:
        aside = page[slab_name(there)].x - page[slab_name(here)].x
        box = (n(foot_name(there)), panel.out, n(f"construction.under.{there}"))
        edge = (n(slab_name(here)), way, n(f"under.{side}"))
        role = table.role(f"under.{side}")
        yield from meeting(box, edge, n(slab_name(there)), aside, role, n(f"construction.laid.under.{side}"))
    role = table.role("under.far")
    yield Rule(n("under.far"), n(slab_name(1)), n(slab_name(2)), panel.up.family, role)


def _leg(table: TableShape, leg: int) -> Iterator[Act]:
    """Yield the acts that raise the uprights of a leg which are seen, up to the underside of the top."""
    n, panel, page = table.values.full, table.panel, table.page
    uprights = {i: leg_face(leg, f"upright.{i}") for i in ROUND if i != leg}
    drawn = {i for i, name in uprights.items() if table.role(name) == "edge"}
    inner, beside = (leg + 2) % 4, {(leg + 1) % 4: SIDES[leg], (leg - 1) % 4: SIDES[leg - 1]}
    # Its inner upright ends at a line from beside it: one that is not itself upright there, straight before the point.
    ways = {
        leg_head(leg, leg + 1): panel.along if leg % 2 else panel.up,
        leg_head(leg, leg - 1): panel.up if leg % 2 else panel.along,
    }
    start = next((name for name, way in ways.items() if not table.is_edge_on(page[name], way)), leg_head(leg, leg + 1))
    for corner, side in beside.items():
        role: Role = "edge" if corner in drawn else "construction"
        if corner in drawn or (leg_head(leg, corner) == start and inner in drawn):
            ends = n(leg_head(leg, corner)), n(leg_foot(leg, corner))
            yield Run(n(uprights[corner]), *ends, panel.out.family, n(f"under.{side}"), role)
    if inner in drawn:
        aside = page[leg_head(leg, inner)].x - page[start].x
        over = (n(leg_foot(leg, inner)), panel.out, n(f"construction.leg.{leg}"))
        edge = (n(start), ways[start], n(f"construction.head.{leg}"))
        laid = n(f"construction.laid.leg.{leg}")
        yield from meeting(over, edge, n(leg_head(leg, inner)), aside, "unseen", laid)
        yield Rule(n(uprights[inner]), n(leg_foot(leg, inner)), n(leg_head(leg, inner)), panel.out.family)
