"""How does a hand draw a round body: its square on the floor, the circle in it, its box, the rim, the outline?"""

from collections.abc import Callable, Iterator
from dataclasses import replace

from orthopsis.core.construct.grid import Grid
from orthopsis.core.construct.grid_by_line import grid_on
from orthopsis.core.construct.moves import Act, Cross, Curve, Move, Rule, Run, Touch
from orthopsis.core.things.raised import foot_name, top_name
from orthopsis.core.things.rectangles.forms import CORNERS, SIDES
from orthopsis.core.things.rectangles.inscribed import Drawn, middle_acts, outline_acts
from orthopsis.core.things.rectangles.layout import Corners
from orthopsis.core.things.round_body import bands
from orthopsis.core.things.round_body.bands import Band
from orthopsis.core.things.round_body.shape import CIRCLE, RoundShape, touched


def recipe(body: RoundShape) -> list[Move]:
    """Return the hand's moves."""
    form, rim, squares = body.form, _rim(body), (body.base_shares, body.foot_shares)
    places = [place for corners in squares for place in corners]
    grid = grid_on(body.values.name, body.panel, {"": places}, body.setting.level)
    told, circle = _foot(body, grid)
    if form.has_tip:
        told += [("round_body.tip", act) for act in _tip(body)]
        outline = "slopes"
    else:
        told += [("round_body.height", act) for act in body.height_acts(body.values.mm("rise"))]
        told += [("round_body.box", act) for act in body.box_acts()]
        told += [("round_body.band_marks", bands.mark(body, band)) for band in body.bands]
        told += [("round_body.rim_middle", act) for act in middle_acts(rim)]
        told += [("round_body.rim", act) for act in outline_acts(rim, touched(body.nodes))]
        outline = "touching" if form.is_straight else "tapering"
    told += [(f"round_body.{outline}", act) for act in (*circle, *_outline(body))]
    moves = [*grid.moves(), *(body.values.move("back", breath, act) for breath, act in told)]
    return moves + [
        body.values.move("back", breath, act, band.says) for band in body.bands for breath, act in _band(body, band)
    ]


def _band(body: RoundShape, band: Band) -> Iterator[tuple[str, Act]]:
    """Yield the acts that draw a band, each with its breath."""
    drawn = _drawn(body, band.name, lambda i: bands.corner(band, i), lambda side: f"{band.name}.{side}")
    yield from (("round_body.band_square", act) for act in bands.square(body, band))
    yield from (("round_body.band_middle", act) for act in middle_acts(drawn))
    yield from (("round_body.band", act) for act in outline_acts(drawn, touched(body.nodes)))
    yield from (("", act) for act in bands.touches(body, band, body.panel.out.family))


def _foot(body: RoundShape, grid: Grid) -> tuple[list[tuple[str, Act]], list[Act]]:
    """Return the acts on the floor, each with its breath, and those of a circle that is there and is only touched."""
    form, base = body.form, _base(body)
    plan, middle = list(_square(body, grid, body.taken_shares)), list(middle_acts(base))
    circle, inner = list(outline_acts(base, touched(body.nodes))), list[tuple[str, Act]]()
    if not (form.is_straight or form.has_tip):
        shares = next(corners for corners in (body.base_shares, body.foot_shares) if corners != body.taken_shares)
        inner = [("round_body.second_plan", act) for act in _square(body, grid, shares)]
    if body.goes_on:
        return [*(("", _unseen(act)) for act in (*plan, *middle)), *inner], [_unseen(act) for act in circle]
    told = [("round_body.plan", act) for act in plan] + inner
    told += [("round_body.middle", act) for act in middle]
    return [*told, *(("round_body.base", act) for act in circle)], []


def _unseen(act: Act) -> Act:
    """Return an act whose line is there already, as part of the round body under this one."""
    return replace(act, role="unseen") if isinstance(act, Rule | Run | Curve) else act


def base_corner(body: RoundShape, number: int) -> str:
    """Return what a corner of the square of the circle on the floor is called."""
    return _corner(body, body.base_shares, number)


def _corner(body: RoundShape, corners: Corners, number: int) -> str:
    """Return what a corner of a square on the floor is called: that under the rim, or that of the lower circle."""
    return foot_name(number) if corners == body.foot_shares else f"base.corner.{number % 4}"


def _side(body: RoundShape, corners: Corners, side: str) -> str:
    return f"foot.{side}" if corners == body.foot_shares else f"base.square.{side}"


def _square(body: RoundShape, grid: Grid, corners: Corners) -> Iterator[Act]:
    """Yield the acts that mark the corners of a square on the floor and draw its sides lightly."""
    n, ways = body.values.full, (body.panel.along.family, body.panel.up.family)
    names = [_corner(body, corners, i) for i in range(4)]
    for name, place in zip(names, corners, strict=True):
        yield grid.mark(name, place)
    for i, side in enumerate(SIDES):
        ends = n(names[i]), n(names[(i + 1) % 4])
        yield Rule(n(_side(body, corners, side)), *ends, ways[i % 2], "construction")


def _base(body: RoundShape) -> Drawn:
    corners = body.base_shares
    return _drawn(body, "base", lambda i: _corner(body, corners, i), lambda side: _side(body, corners, side))


def _rim(body: RoundShape) -> Drawn:
    return _drawn(body, "rim", top_name, lambda side: f"top.{side}")


def _drawn(body: RoundShape, end: str, corner: Callable[[int], str], side: Callable[[str], str]) -> Drawn:
    """Return a square that is drawn, for the circle that comes into it."""
    n, at = body.values.full, {name: i for i, name in enumerate(CORNERS)}
    return Drawn(
        CIRCLE,
        (body.panel.along.family, body.way_back.family),
        lambda name: n(corner(at[name]) if name in at else f"{end}.{name}"),
        lambda name: n(side(name)),
    )


def _tip(body: RoundShape) -> Iterator[Act]:
    """Yield the acts that measure how high the tip is over the middle of the plan."""
    n = body.values.full
    yield from body.tip_upward.acts(
        n("base.middle"), n("axis"), n("tip"), n("construction.laid"), body.values.mm("rise"), "construction"
    )


def _outline(body: RoundShape) -> Iterator[Act]:
    """Yield the acts that draw the lines which touch the circles: upright, or where the sides would meet."""
    n, form = body.values.full, body.form
    goal, family = (n("tip"), "free") if form.has_tip else (body.panel.out.family, body.panel.out.family)
    outlined = [node for node in body.nodes if node.is_sharp]
    if not outlined:
        return
    if not (form.is_straight or form.has_tip):
        goal, family = n("measure.apex"), "free"
        for i in range(2):
            ends = n(_corner(body, body.base_shares, i)), n(top_name(i))
            yield Rule(n(f"construction.slope.{i}"), *ends, "free", "unseen")
        yield Cross(goal, n("construction.slope.0"), n("construction.slope.1"))
    touching = {node: (side, which) for node, side, which in body.touched_nodes}
    for node in outlined:
        if node in touching:
            side, which = touching[node]
            for end in ("base",) if form.has_tip else ("base", "rim"):
                yield Touch(n(f"{end}.{node.name}"), n(f"{end}.{side}"), goal, which)
        upper = n("tip") if form.has_tip else n(f"rim.{node.name}")
        yield Rule(n(f"outline.{node.name}"), n(f"base.{node.name}"), upper, family)
