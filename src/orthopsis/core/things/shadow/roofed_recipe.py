"""How does a hand find the shadow of a block with a gable roof? Its tops as a block's, then the ends of the ridge.

Under the peak of the gable lies the middle of the foot of its wall. The ridge is level, so that its shadow runs as it
does, to the same point.
"""

from collections.abc import Iterator

from orthopsis.core.construct.moves import Across, Act, Move, RuleToPoint, Run, Shift
from orthopsis.core.things.shadow.recipe import by_edge, by_ray, feet_of, not_found, outline
from orthopsis.core.things.shadow.roofed_shape import RIDGE, RIDGE_BEHIND, RoofedShape
from orthopsis.core.things.shadow.shape import foot_name, shade_name


def recipe(shadow: RoofedShape) -> list[Move]:
    """Return the hand's moves.

    Raises:
        GeometryError: too little of the block is drawn to find a corner of its shadow.
    """
    corners = [i for i in shadow.chain if i < RIDGE]
    helping = (i for i in shadow.carried.values() if i not in shadow.carried)
    found = [*dict.fromkeys([*(i for i in corners if shadow.has_top(i)), *helping])]
    if any(i not in found and i not in shadow.carried for i in corners):
        raise not_found(shadow)
    feet, moves = feet_of(shadow, [*found, *shadow.carried, *shadow.end_feet])
    told: list[tuple[str, Act]] = []
    for corner in found:
        told += [(f"shadow.rays{shadow.light_suffix}", act) for act in by_ray(shadow, feet[corner], corner)]
    for corner, beside in shadow.carried.items():
        acts = by_edge(shadow, feet[corner], corner, beside)
        told += [(f"shadow.carried{shadow.light_suffix}", act) for act in acts]
    if max(shadow.chain) >= RIDGE:
        told += _ridge(shadow)
    n, begun = shadow.values.full, {*found, *shadow.carried}
    told += [("", Shift(n(foot_name(i)), feet[i], 0.0)) for i in shadow.end_feet if i not in begun]
    told += [("shadow.outline", act) for act in outline(shadow)]
    return moves + [shadow.values.move("round", breath, act) for breath, act in told]


def _ridge(shadow: RoofedShape) -> Iterator[tuple[str, Act]]:
    """Yield the acts that find the shadow of the peak and, where it bounds all, that of the other end of the ridge."""
    n, peak, suffix = shadow.values.full, shadow.uprights[RIDGE], shadow.light_suffix
    up = shadow.setting.frame.way("up").family
    yield (
        "shadow.under_peak",
        Run(n("upright.peak"), shadow.under, peak.top, up, shadow.roof.panel.bottom, "construction"),
    )
    yield from ((f"shadow.peak{suffix}", act) for act in by_ray(shadow, shadow.under, RIDGE))
    if RIDGE_BEHIND in shadow.chain:
        ridge, way = n("construction.ridge"), shadow.roof.panel.out
        start = n(shade_name(RIDGE))
        xs = shadow.page[RIDGE].x, shadow.page[RIDGE_BEHIND].x
        along = Across(ridge, start, *xs) if way.goal.is_ideal else RuleToPoint(ridge, start, way.family)
        yield "shadow.ridge", along
        yield "shadow.ridge", shadow.ray(str(RIDGE_BEHIND), shadow.uprights[RIDGE_BEHIND].top, ridge)
