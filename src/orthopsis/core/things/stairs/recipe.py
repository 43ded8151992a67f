"""How does a hand draw a flight of stairs: risers on an upright, a slope line, step by step, then across?"""

from collections.abc import Iterator

from orthopsis.core.construct.meeting import meeting
from orthopsis.core.construct.moves import Act, Cross, MeasureAlong, Move, Role, Rule, RuleToPoint, Run, Shift, Side
from orthopsis.core.things.climbing import FAR, NEAR
from orthopsis.core.things.raised import foot_name
from orthopsis.core.things.stairs.shape import StairsShape
from orthopsis.core.view.aim import Aim


def recipe(stairs: StairsShape) -> list[Move]:
    """Return the hand's moves."""
    told = [("stairs.plan", act) for act in stairs.foot_acts()]
    told += [(f"stairs.risers{stairs.carried_suffix}", act) for act in _risers(stairs)]
    told += [("stairs.levels", act) for act in _levels(stairs)]
    told += [("stairs.slope", act) for act in _slope(stairs)]
    told += [("stairs.steps", act) for act in _steps(stairs)]
    told += _string(stairs, NEAR)
    told += _other_slope(stairs)
    told += [("stairs.across", act) for act in _across(stairs)]
    told += _string(stairs, FAR)
    return [*stairs.grid.moves(), *(stairs.values.move("back", breath, act) for breath, act in told)]


def _risers(stairs: StairsShape) -> Iterator[Act]:
    """Yield the acts that measure the height of the flight on the first upright, and divide it."""
    n, rise, count = stairs.values.full, stairs.values.mm("rise"), stairs.count
    line = n("construction.rise")
    if stairs.is_carried:
        heights = [rise * i / count for i in range(1, count + 1)]
        names = [stairs.corner(NEAR, "nose.0"), *(f"measure.tick.of.{i}" for i in range(2, count + 1))]
        yield from stairs.carried_acts(heights, names, "construction.rise", "construction")
        return
    yield Side(line, n("measure.high"), n(foot_name(0)), "upright", rise, "construction")
    for i in range(1, count + 1):
        name = stairs.corner(NEAR, "nose.0") if i == 1 else f"measure.tick.of.{i}"
        yield MeasureAlong(n(name), line, rise * i / count)


def _tick(stairs: StairsShape, number: int) -> str:
    return stairs.values.full(stairs.corner(NEAR, "nose.0") if number == 1 else f"measure.tick.of.{number}")


def _levels(stairs: StairsShape) -> Iterator[Act]:
    """Yield the acts that run the marks the way it climbs, up to the upright over its end."""
    n, count, aside = stairs.values.full, stairs.count, _aside(stairs, "in.0", "end")
    top = n(stairs.corner(NEAR, f"in.{count}"))
    over = (n(stairs.corner(NEAR, "end")), stairs.panel.out, n("construction.end"))
    line = (_tick(stairs, count), stairs.ahead, n(f"construction.flight.{count}"))
    yield from meeting(over, line, top, aside, "construction", n("construction.laid.end"))
    yield Rule(n("construction.over.end"), n(stairs.corner(NEAR, "end")), top, stairs.panel.out.family, "construction")
    for i in range(1, count):
        ends = n(f"construction.flight.{i}"), n(f"measure.end.of.{i}")
        yield Run(*ends, _tick(stairs, i), stairs.ahead.family, n("construction.over.end"), "construction")


def _aside(stairs: StairsShape, start: str, end: str, side: str = NEAR) -> float:
    """Return how far to the right a corner of a side lies from another one, mm."""
    return stairs.page[stairs.corner(side, end)].x - stairs.page[stairs.corner(side, start)].x


def _slope(stairs: StairsShape) -> Iterator[Act]:
    n = stairs.values.full
    yield Rule(n("construction.slope"), n(foot_name(0)), n(stairs.corner(NEAR, f"in.{stairs.count}")), "free",
               "construction")  # fmt: skip


def _steps(stairs: StairsShape) -> Iterator[Act]:
    """Yield the acts that draw the near outline: an upright, then the way it climbs until the slope line, and again."""
    n, up = stairs.values.full, stairs.panel.out.family
    for i in range(stairs.count):
        here, nose, after = (n(stairs.corner(NEAR, name)) for name in (f"in.{i}", f"nose.{i}", f"in.{i + 1}"))
        riser, tread = f"{NEAR}.riser.{i}", f"{NEAR}.tread.{i}"
        if i:
            yield Run(n(riser), nose, here, up, n(f"construction.flight.{i + 1}"), stairs.role(riser))
        else:
            yield Rule(n(riser), here, nose, up, stairs.role(riser))
        if i + 1 < stairs.count:
            yield Cross(after, n(f"construction.flight.{i + 1}"), n("construction.slope"))
        yield Rule(n(tread), nose, after, stairs.ahead.family, stairs.role(tread))
    for name in (f"{NEAR}.foot", f"{NEAR}.back"):
        if stairs.role(name) == "edge":
            seam = stairs.seams[name]
            yield Rule(n(name), n(seam.start), n(seam.end), seam.family)


def _string(stairs: StairsShape, side: str) -> list[tuple[str, Act]]:
    """Return the acts that draw the lower edge of the stringer of a side, each with its breath; none are told of one
    that nobody sees.
    """
    if not stairs.has_stringers:
        return []
    n, up, name = stairs.values.full, stairs.panel.out.family, f"{side}.string"
    foot, head, inner = (n(stairs.corner(side, at)) for at in ("string.foot", "string.head", "in.1"))
    is_seen = stairs.role(name) == "edge"
    role: Role = "construction" if is_seen else "unseen"
    edge = n(stairs.foot_edge(side))
    acts: list[Act] = [Run(n(f"construction.{side}.down"), foot, inner, up, edge, role)]
    last = n(f"measure.end.of.{stairs.count - 1}")
    if side == NEAR:
        acts.append(Shift(head, last, 0.0))
    else:
        back = n(f"{FAR}.back")
        if stairs.role(f"{FAR}.back") != "edge":  # nobody has drawn it
            seam = stairs.seams[f"{FAR}.back"]
            acts.append(Rule(back, n(seam.start), n(seam.end), up, "unseen"))
        acts.append(Run(n("construction.string.over"), head, last, stairs.across.family, back, role))
    if not is_seen:
        return [("", act) for act in acts]
    acts.append(Rule(n(name), foot, head, stairs.seams[name].family))
    return [(f"stairs.string_{side}", act) for act in acts]


def _other_slope(stairs: StairsShape) -> list[tuple[str, Act]]:
    """Return the acts that draw the slope line of the far side, and the top over to there."""
    if stairs.slope_aim is None:
        return [("stairs.over", act) for act in _over(stairs)]
    marked = [("stairs.slope_point", act) for act in _slope_point(stairs, stairs.slope_aim)]
    return marked + [("stairs.over_by_point", act) for act in _over_by_point(stairs, stairs.slope_aim)]


def _slope_point(stairs: StairsShape, aim: Aim) -> Iterator[Act]:
    """Yield the acts that mark where the slope line, carried on, meets the upright through the point ahead."""
    n, foot, top = stairs.values.full, stairs.corner(NEAR, "in.0"), stairs.corner(NEAR, f"in.{stairs.count}")
    laid = n("construction.laid.slope")
    yield Rule(laid, n(foot), n(top), "free", "unseen")
    upright = n("construction.upright.slope")
    yield Run(upright, aim.name, stairs.ahead.family, stairs.panel.out.family, laid, "construction")
    yield RuleToPoint(n("construction.slope.on"), n(top), aim.name, "construction")


def _over_by_point(stairs: StairsShape, aim: Aim) -> Iterator[Act]:
    """Yield the acts that draw the slope line of the far side from its foot to the point, and join the tops."""
    n, slope = stairs.values.full, stairs.values.full("construction.far.slope")
    top, end = n(stairs.corner(FAR, f"in.{stairs.count}")), n(stairs.corner(FAR, "end"))
    yield RuleToPoint(slope, n(stairs.corner(FAR, "in.0")), aim.name, "construction")
    yield Run(n("construction.far.end"), top, end, stairs.panel.out.family, slope, "unseen")
    name = f"across.in.{stairs.count}"
    seam = stairs.seams[name]
    yield Rule(n(name), n(seam.start), n(seam.end), seam.family, stairs.role(name))


def _over(stairs: StairsShape) -> Iterator[Act]:
    """Yield the acts that carry the top over to the far side, and draw the slope line there."""
    n, top = stairs.values.full, f"in.{stairs.count}"
    aside = stairs.page[stairs.corner(FAR, top)].x - stairs.page[stairs.corner(NEAR, top)].x
    end = (n(stairs.corner(FAR, "end")), stairs.panel.out, n("construction.far.end"))
    name = f"across.{top}"
    line = (n(stairs.corner(NEAR, top)), stairs.across, n(name))
    yield from meeting(end, line, n(stairs.corner(FAR, top)), aside, stairs.role(name), n("construction.laid.over"))
    yield Rule(n("construction.far.slope"), n(stairs.corner(FAR, "in.0")), n(stairs.corner(FAR, top)), "free",
               "construction")  # fmt: skip


def _across(stairs: StairsShape) -> Iterator[Act]:
    """Yield the acts that carry the corners across: the inner ones to the far slope line, the others over them."""
    n, across = stairs.values.full, stairs.across.family
    for i in range(1, stairs.count):
        name, ends = f"across.in.{i}", (n(stairs.corner(FAR, f"in.{i}")), n(stairs.corner(NEAR, f"in.{i}")))
        yield Run(n(name), *ends, across, n("construction.far.slope"), stairs.role(name))
    for i in range(stairs.count):
        yield from _nose(stairs, i)
    for name in ("across.in.0", "across.end", *_of_side(stairs)):
        if stairs.role(name) == "edge":
            seam = stairs.seams[name]
            yield Rule(n(name), n(seam.start), n(seam.end), seam.family)


def _nose(stairs: StairsShape, number: int) -> Iterator[Act]:
    """Yield the acts that carry the front of a tread across, over the inner corner there.

    Straight before the point, where an upright and the line across all but lie on each other, it is found on the tread.
    """
    n, panel = stairs.values.full, stairs.panel
    far, near, name = (
        stairs.corner(FAR, f"nose.{number}"),
        stairs.corner(NEAR, f"nose.{number}"),
        f"across.nose.{number}",
    )
    aside = stairs.page[far].x - stairs.page[near].x
    line, laid = (n(near), stairs.across, n(name)), n(f"construction.laid.nose.{number}")
    inner = stairs.corner(FAR, f"in.{number}")
    start = (n(inner), panel.out, n(f"construction.far.riser.{number}"))
    if not stairs.across.goal.is_ideal and stairs.is_edge_on(stairs.page[inner], stairs.across):
        after = stairs.corner(FAR, f"in.{number + 1}")
        start = (n(after), stairs.ahead, n(f"construction.far.tread.{number}"))
    yield from meeting(start, line, n(far), aside, stairs.role(name), laid)


def _of_side(stairs: StairsShape) -> Iterator[str]:
    yield from (f"{FAR}.foot", f"{FAR}.back")
    for i in range(stairs.count):
        yield from (f"{FAR}.riser.{i}", f"{FAR}.tread.{i}")
