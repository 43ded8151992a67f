"""How does a hand find the shadow of a block with a roof? Its tops as a block's, then the ends of the ridge.

A place on the ground straight under each is found first. A ridge is level, so that its shadow runs as it does, to the
same point.
"""

from collections.abc import Callable, Collection, Iterator, Sequence

from orthopsis.core.construct.moves import Across, Act, Move, Rule, RuleToPoint, Run, Shift, Through
from orthopsis.core.construct.panel import Panel
from orthopsis.core.things.shadow.recipe import by_edge, by_ray, feet_of, foot_of, not_found, outline
from orthopsis.core.things.shadow.roof_shapes import GabledShape, HalfPyramidShape, HippedShape, LeaningShape
from orthopsis.core.things.shadow.roofed_shape import RIDGE, RIDGE_BEHIND, RoofedShape
from orthopsis.core.things.shadow.shape import foot_name, shade_name

Told = Iterator[tuple[str, Act]]


def gabled(shadow: GabledShape) -> list[Move]:
    """Return the hand's moves for the shadow of a house with a gable roof.

    Raises:
        GeometryError: too little of the block is drawn to find a corner of its shadow.
    """
    return _recipe(shadow, lambda foot: _under_gable(shadow), ())


def hipped(shadow: HippedShape) -> list[Move]:
    """Return the hand's moves for the shadow of a house with a hip roof or a pyramid.

    Raises:
        GeometryError: as of ``gabled``.
    """
    return _recipe(shadow, lambda foot: _under_hips(shadow, foot), range(RIDGE))


def half_pyramid(shadow: HalfPyramidShape) -> list[Move]:
    """Return the hand's moves for the shadow of a house with a half pyramid.

    Raises:
        GeometryError: as of ``gabled``.
    """
    return _recipe(shadow, lambda foot: _under_peak(shadow, str(getattr(foot, shadow.edge))), range(RIDGE))


def leaning(shadow: LeaningShape) -> list[Move]:
    """Return the hand's moves for the shadow of a house with a lean-to roof.

    Raises:
        GeometryError: as of ``gabled``.
    """
    under = [shadow.corners_under[i] for i in shadow.ends]
    return _recipe(shadow, lambda foot: _under_high_edge(shadow, feet_of(foot)), under)


def _recipe(shadow: RoofedShape, of_ridge: Callable[[Panel], Told], also: Collection[int]) -> list[Move]:
    """Return the moves.

    Args:
        of_ridge: yields what finds the shadow of the ridge, from the foot of the block.
        also: the corners of the foot that this takes up; its edges too, if it takes up all.
    """
    corners = [i for i in shadow.chain if i < RIDGE]
    helping = (i for i in shadow.carried.values() if i not in shadow.carried)
    found = [*dict.fromkeys([*(i for i in corners if shadow.has_top(i)), *helping])]
    if any(i not in found and i not in shadow.carried for i in corners):
        raise not_found(shadow)
    taken_up = also if shadow.ends else ()
    needed = {*found, *shadow.carried, *shadow.end_feet, *taken_up}
    foot, moves = foot_of(shadow, sorted(needed), with_edges=len(taken_up) == RIDGE)
    feet, told = feet_of(foot), list[tuple[str, Act]]()
    for corner in found:
        told += [(f"shadow.rays{shadow.light_suffix}", act) for act in by_ray(shadow, feet[corner], corner)]
    for corner, beside in shadow.carried.items():
        acts = by_edge(shadow, feet[corner], corner, beside)
        told += [(f"shadow.carried{shadow.light_suffix}", act) for act in acts]
    if shadow.ends:
        told += of_ridge(foot)
    n, begun = shadow.values.full, {*found, *shadow.carried}
    told += [("", Shift(n(foot_name(i)), feet[i], 0.0)) for i in shadow.end_feet if i not in begun]
    told += [("shadow.outline", act) for act in outline(shadow)]
    return moves + [shadow.values.move("round", breath, act) for breath, act in told]


def _under_peak(shadow: GabledShape | HalfPyramidShape, foot: str) -> Told:
    """Yield the acts that find the shadow of a peak, from the middle of the foot of its wall, by the line's name."""
    peak, up = shadow.uprights[RIDGE], shadow.setting.frame.way("up").family
    yield (
        "shadow.under_peak",
        Run(shadow.values.full("upright.peak"), peak.foot, peak.top, up, foot, "construction"),
    )
    yield from ((f"shadow.peak{shadow.light_suffix}", act) for act in by_ray(shadow, peak.foot, RIDGE))


def _under_gable(shadow: GabledShape) -> Told:
    """Yield the acts that find the shadow of the peak and, where it bounds all, that of the other end of the ridge."""
    yield from _under_peak(shadow, shadow.roof.panel.bottom)
    if RIDGE_BEHIND in shadow.chain:
        n, way = shadow.values.full, shadow.ridge_way
        ridge, start = n("construction.ridge"), n(shade_name(RIDGE))
        xs = shadow.page[RIDGE].x, shadow.page[RIDGE_BEHIND].x
        along = Across(ridge, start, *xs) if way.goal.is_ideal else RuleToPoint(ridge, start, way.family)
        yield "shadow.ridge", along
        yield "shadow.ridge", shadow.ray(str(RIDGE_BEHIND), shadow.uprights[RIDGE_BEHIND].top, ridge)


def _under_high_edge(shadow: LeaningShape, feet: Sequence[str]) -> Told:
    """Yield the acts that find the shadows of the ends of a high edge, which stand over corners of the foot."""
    for i in shadow.ends:
        acts = by_ray(shadow, feet[shadow.corners_under[i]], i)
        yield from ((f"shadow.high{shadow.light_suffix}", act) for act in acts)


def _under_hips(shadow: HippedShape, foot: Panel) -> Told:
    """Yield the acts that find the shadows of the ridge's ends, or of the tip, which bound all.

    What stands over the middle is straight over any diagonal of the foot; the flatter one is crossed best.
    """
    n, roof, suffix = shadow.values.full, shadow.hip, shadow.light_suffix
    up, corners = shadow.setting.frame.way("up").family, feet_of(foot)
    start, end = max(((0, 2), (1, 3)), key=lambda ends: abs(foot.page[ends[0]].x - foot.page[ends[1]].x))
    centre, over = (shadow.unders[0], "tip") if roof.is_pyramid else (n("measure.centre"), "measure.centre")
    diagonal, middle = n("construction.diagonal"), n("construction.middle")
    yield "shadow.under_middle", Rule(diagonal, corners[start], corners[end], "free", "construction")
    yield (
        "shadow.under_middle",
        Run(n("upright.middle"), centre, roof.values.full(over), up, diagonal, "construction"),
    )
    if not roof.is_pyramid:
        edges = (foot.first, foot.far) if roof.is_along else (foot.bottom, foot.top)
        ends = (n("measure.end.0"), n("measure.end.1"))
        way = shadow.ridge_way.family
        yield "shadow.under_ridge", Through(middle, *ends, centre, way, *edges, "construction")
        for i in shadow.ends:
            upright = shadow.uprights[i]
            yield (
                "shadow.under_ridge",
                Run(n(f"upright.{i}"), upright.foot, upright.top, up, middle, "construction"),
            )
    for i in shadow.ends:
        yield from ((f"shadow.tops{suffix}", act) for act in by_ray(shadow, shadow.uprights[i].foot, i))
