"""How does a hand draw a gable roof: the middle of the wall, the peak over it, the ridge, and where it ends?"""

from orthopsis.core.construct.moves import (
    Across,
    Act,
    Cross,
    MeasureAlong,
    Move,
    Role,
    Rule,
    RuleToPoint,
    Run,
    Shift,
    Side,
    Slide,
)
from orthopsis.core.things.gable.shape import ROLES, SLOPES, GableShape, Slope


def recipe(roof: GableShape) -> list[Move]:
    """Return the hand's moves; where no slope shows, the gable is all there is."""
    moves = _corners(roof) + _peak(roof) + _gable(roof)
    if not roof.drawn:
        return moves
    lead, *others = roof.drawn
    moves += _ridge(roof) + _far_end(roof, lead)
    for slope in others:
        moves += _other_slope(roof, slope)
    return moves


def _corners(roof: GableShape) -> list[Move]:
    """Return the corners that are there already, under the roof's own names."""
    n, back = roof.values.full, roof.back
    there = {"front.first": roof.panel.high, "front.far": roof.panel.far_high}
    there |= {f"back.{slope}": back.high if slope == "first" else back.far_high for slope in roof.drawn}
    return [roof.values.move("divide", "", Shift(n(name), at, 0.0)) for name, at in there.items()]


def _peak(roof: GableShape) -> list[Move]:
    """Cross the wall's diagonals, and find the peak on the upright through their crossing."""
    n, panel, values = roof.values.full, roof.panel, roof.values
    centre, upright = n("measure.centre"), n("construction.upright")
    acts: list[tuple[str, Act]] = [
        ("roof.centre", Rule(n("construction.rising"), panel.low, panel.far_high, "free", "construction")),
        ("roof.centre", Rule(n("construction.falling"), panel.high, panel.far_low, "free", "construction")),
        ("roof.centre", Cross(centre, n("construction.rising"), n("construction.falling"))),
    ]
    if panel.is_true:
        up = Run(upright, n("measure.top"), centre, panel.up.family, panel.top, "construction")
        acts.append(("roof.peak_true", up))
        peak = Side(n("construction.rise"), n("front.peak"), n("measure.top"), "upright", values.mm("rise"))
        acts.append(("roof.peak_true", peak))
    else:
        mark, height = n("measure.rise"), n("construction.height")
        acts += [
            *(("roof.height", act) for act in _rise(roof, mark)),
            ("roof.height", RuleToPoint(height, mark, panel.along.family, "construction")),
            ("roof.peak", Run(upright, n("front.peak"), centre, panel.up.family, height, "construction")),
        ]
    return [values.move("divide", breath, act) for breath, act in acts]


def _rise(roof: GableShape, mark: str) -> list[Act]:
    """Carry the wall's first edge on by the height of the ridge, and mark where it ends."""
    n, panel, rise = roof.values.full, roof.panel, roof.values.mm("rise")
    line, laid = n("construction.rise"), n("construction.edge")
    if panel.up.goal.is_ideal:
        return [Side(line, mark, panel.high, "upright", rise, "construction")]
    ends = (panel.low, panel.high) if panel.drawn_from == "low" else (panel.high, panel.low)
    along = panel.first_mm + rise if panel.drawn_from == "low" else -rise
    return [
        Rule(laid, *ends, panel.up.family, "unseen"),
        MeasureAlong(mark, laid, along),
        Rule(line, panel.high, mark, panel.up.family, "construction"),
    ]


def _gable(roof: GableShape) -> list[Move]:
    n = roof.values.full
    acts = [
        Rule(n(f"front.slope.{slope}"), n(f"front.{slope}"), n("front.peak"), roof.family(slope)) for slope in SLOPES
    ]
    return [roof.values.move("front", "roof.gable", act) for act in acts]


def _ridge(roof: GableShape) -> list[Move]:
    line = _away(roof, "guide.ridge", "front.peak", "guide")
    return [roof.values.move("guides", "roof.ridge", line)]


def _away(roof: GableShape, line: str, start: str, role: Role) -> Act:
    """Return the act that rules a light line away from the gable wall."""
    n, out = roof.values.full, roof.panel.out
    if not out.goal.is_ideal:
        return RuleToPoint(n(line), n(start), out.family, role)
    xs = [at.x for slope in SLOPES for at in roof.eave(slope)]
    return Across(n(line), n(start), min(xs), max(xs))


def _far_end(roof: GableShape, lead: Slope) -> list[Move]:
    """Find where the ridge ends, and draw what ends there."""
    n, values = roof.values.full, roof.values
    ridge, foot, peak, slope = n("guide.ridge"), n(f"back.{lead}"), n("back.peak"), n(f"back.slope.{lead}")
    edges = [
        values.move("back", "roof.edges", Rule(n("ridge"), n("front.peak"), peak, roof.panel.out.family)),
        values.move("back", "roof.edges", Rule(slope, foot, peak, roof.family(lead))),
    ]
    if values.word("far_by") == "middle":
        return [values.move("depth", "roof.far_middle", act) for act in _by_middle(roof, lead)] + edges
    if roof.panel.is_true:
        parallel = Slide(slope, peak, foot, (n(f"front.{lead}"), n("front.peak")), ridge)
        return [values.move("depth", "roof.far_parallel", parallel), edges[0]]
    aimed = n(f"guide.slope.{lead}")
    far: list[Act] = [RuleToPoint(aimed, foot, roof.family(lead), until=ridge), Cross(peak, aimed, ridge)]
    return _slope_point(roof, lead) + [values.move("depth", "roof.far_slope", act) for act in far] + edges


def _slope_point(roof: GableShape, slope: Slope) -> list[Move]:
    """Mark where a slope, carried on, meets the upright through the point of the wall."""
    n, panel = roof.values.full, roof.panel
    upright, point = n(f"construction.upright.{ROLES[slope]}"), roof.family(slope)
    laid = n(f"construction.laid.{ROLES[slope]}")
    acts = (
        Rule(laid, n(f"front.{slope}"), n("front.peak"), "free", "unseen"),
        Run(upright, point, panel.along.family, panel.up.family, laid, "construction"),
        RuleToPoint(n(f"construction.slope.{slope}"), n("front.peak"), point, "construction"),
    )
    return [roof.values.move("depth", f"roof.{ROLES[slope]}", act) for act in acts]


def _by_middle(roof: GableShape, lead: Slope) -> list[Act]:
    """Carry the middle of the wall's upper edge to the far one, and go up from there to the ridge."""
    n, panel = roof.values.full, roof.panel
    top, middle, far = n("measure.top"), "construction.middle", n("measure.far_middle")
    acts: list[Act] = [] if panel.is_true else [Cross(top, n("construction.upright"), panel.top)]
    return [
        *acts,
        _away(roof, middle, "measure.top", "construction"),
        Run(n("construction.far_top"), far, n(f"back.{lead}"), panel.along.family, n(middle), "construction"),
        Run(n("construction.far_upright"), n("back.peak"), far, panel.up.family, n("guide.ridge"), "construction"),
    ]


def _other_slope(roof: GableShape, slope: Slope) -> list[Move]:
    """Draw the far edge of the other slope, between points that are there; its own point shows whether it is right."""
    n = roof.values.full
    edge = Rule(n(f"back.slope.{slope}"), n("back.peak"), n(f"back.{slope}"), roof.family(slope))
    told = _slope_point(roof, slope) if slope in roof.marked else []
    return [*told, roof.values.move("back", "roof.other_slope", edge)]
