"""How does a hand draw a ramp: its plan, its height over the end of the plan, the slope, then across?"""

from collections.abc import Iterator

from orthopsis.core.construct.meeting import meeting
from orthopsis.core.construct.moves import Act, Move, Rule, Side
from orthopsis.core.things.climbing import FAR, NEAR, Climbing
from orthopsis.core.things.raised import foot_name


def recipe(ramp: Climbing) -> list[Move]:
    """Return the hand's moves."""
    told = [("ramp.plan", act) for act in ramp.foot_acts()]
    told += [(f"ramp.height{ramp.carried_suffix}", act) for act in _height(ramp)]
    told += [("ramp.end", act) for act in _end(ramp)]
    told += [("ramp.slope", act) for act in _seam(ramp, f"{NEAR}.slope", f"{NEAR}.foot")]
    told += [("ramp.over", act) for act in _over(ramp)]
    return [*ramp.grid.moves(), *(ramp.values.move("back", breath, act) for breath, act in told)]


def _height(ramp: Climbing) -> Iterator[Act]:
    """Yield the acts that measure its height on an upright over its first corner."""
    n, rise, line, mark = ramp.values.full, ramp.values.mm("rise"), "construction.rise", "measure.high"
    if ramp.is_carried:
        yield from ramp.carried_acts([rise], [mark], line, "construction")
    else:
        yield Side(n(line), n(mark), n(foot_name(0)), "upright", rise, "construction")


def _end(ramp: Climbing) -> Iterator[Act]:
    """Yield the acts that carry the height over the end of the near side."""
    n, end, top = ramp.values.full, ramp.corner(NEAR, "end"), ramp.corner(NEAR, "top")
    aside = ramp.page[top].x - ramp.page[foot_name(0)].x
    upright = (n(end), ramp.panel.out, n("construction.end"))
    line = (n("measure.high"), ramp.ahead, n("construction.level"))
    yield from meeting(upright, line, n(top), aside, "construction", n("construction.laid.end"))
    name = f"{NEAR}.back"
    yield Rule(n(name), n(end), n(top), ramp.panel.out.family, ramp.role(name))


def _over(ramp: Climbing) -> Iterator[Act]:
    """Yield the acts that carry the top over to the far side, and draw what is seen there."""
    n, top, name = ramp.values.full, ramp.corner(NEAR, "top"), "across.top"
    aside = ramp.page[ramp.corner(FAR, "top")].x - ramp.page[top].x
    upright = (n(ramp.corner(FAR, "end")), ramp.panel.out, n("construction.far.end"))
    line = (n(top), ramp.across, n(name))
    yield from meeting(upright, line, n(ramp.corner(FAR, "top")), aside, ramp.role(name), n("construction.laid.over"))
    yield from _seam(ramp, "across.in.0", "across.end", f"{FAR}.foot", f"{FAR}.back", f"{FAR}.slope")


def _seam(ramp: Climbing, *names: str) -> Iterator[Act]:
    """Yield the acts that rule those of some edges that are drawn as edges."""
    for name in names:
        if ramp.role(name) == "edge":
            seam = ramp.seams[name]
            yield Rule(ramp.values.full(name), ramp.values.full(seam.start), ramp.values.full(seam.end), seam.family)
