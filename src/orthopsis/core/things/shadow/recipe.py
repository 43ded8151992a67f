"""How does a hand find a cast shadow: a line from each foot, a ray from each top, the edges between?

Where a foot is hidden the foot of the block is drawn lightly; where a top is hidden its shadow is found from the one
beside it, by the edge that runs as the top's does.
"""

from collections.abc import Iterable, Iterator, Sequence

from orthopsis.core.construct.hidden_face import drawn_through
from orthopsis.core.construct.moves import Act, Cross, Move, Rule, RuleToPoint, Run
from orthopsis.core.construct.panel import Panel
from orthopsis.core.errors import GeometryError
from orthopsis.core.things.shadow.shape import ShadowShape, shade_name
from orthopsis.core.things.shadow.wall_recipe import outline_up, up_wall


def recipe(shadow: ShadowShape) -> list[Move]:
    """Return the hand's moves.

    Raises:
        GeometryError: too little of the block is drawn to find a corner of its shadow.
    """
    panel, moves = foot_of(shadow, shadow.chain)
    feet = feet_of(panel)
    found = [i for i in shadow.chain if shadow.has_top(i)]
    if not found:
        raise not_found(shadow)
    told: list[tuple[str, Act]] = []
    for corner in sorted(shadow.chain, key=lambda i: (i not in found, _apart(shadow, i, found))):
        if corner in found:
            told += [(f"shadow.rays{shadow.light_suffix}", act) for act in by_ray(shadow, feet[corner], corner)]
            continue
        acts = by_edge(shadow, feet[corner], corner, _beside(shadow, corner, found))
        told += [(f"shadow.carried{shadow.light_suffix}", act) for act in acts]
    climb = shadow.climb
    if climb is None:
        told += [("shadow.outline", act) for act in outline(shadow)]
    else:
        told += up_wall(shadow, climb, found)
        told += [("shadow.outline_up", act) for act in outline_up(shadow, climb)]
    return moves + [shadow.values.move("round", breath, act) for breath, act in told]


def foot_of(shadow: ShadowShape, corners: Iterable[int], *, with_edges: bool = False) -> tuple[Panel, list[Move]]:
    """Return the foot of the block, and the moves that draw what is missing of it lightly.

    Args:
        corners: those that are asked for.
        with_edges: whether all its edges are asked for too.

    Raises:
        GeometryError: too little of the block is drawn.
    """
    panel, made = shadow.panel, shadow.anchor.made
    needed = [shadow.uprights[i].foot for i in corners]
    if with_edges:
        needed += [panel.bottom, panel.far, panel.top, panel.first]
    if all(name in made for name in needed):
        return panel, []
    drawn = drawn_through(panel, shadow.values.name, made)
    if drawn is None:
        raise not_found(shadow)
    return drawn[0], list(drawn[1])


def feet_of(panel: Panel) -> tuple[str, str, str, str]:
    """Return what the feet of the uprights are called."""
    return panel.low, panel.far_low, panel.far_high, panel.high


def _apart(shadow: ShadowShape, corner: int, found: Sequence[int]) -> int:
    """Return how many places of the chain lie between a corner and the next one whose top is there."""
    return min(abs(shadow.chain.index(corner) - shadow.chain.index(other)) for other in found)


def _beside(shadow: ShadowShape, corner: int, found: Sequence[int]) -> int:
    """Return the corner next to one with a hidden top from which its shadow is found."""
    place = shadow.chain.index(corner)
    neighbours = [shadow.chain[i] for i in (place - 1, place + 1) if 0 <= i < len(shadow.chain)]
    return min(neighbours, key=lambda i: _apart(shadow, i, found))


def by_ray(shadow: ShadowShape, foot: str, corner: int) -> Iterator[Act]:
    """Yield the acts that find the shadow of a top by the line from its foot and the ray from it."""
    upright = shadow.uprights[corner]
    yield from shadow.cast_acts(
        str(corner), foot, (upright.at_foot, shadow.page[corner]),
        lambda ground: [shadow.ray(str(corner), upright.top, ground)],
    )  # fmt: skip


def by_edge(shadow: ShadowShape, foot: str, corner: int, beside: int) -> Iterator[Act]:
    """Yield the acts that find the shadow of a hidden top by the line from its foot and the edge that leads to it."""
    n, way = shadow.values.full, shadow.way_between(corner, beside)
    laid = n(f"construction.laid.{corner}")

    def along(ground: str) -> Iterator[Act]:
        if way.goal.is_ideal:
            yield Run(laid, n(shade_name(corner)), n(shade_name(beside)), way.family, ground, "unseen")
            return
        yield RuleToPoint(laid, n(shade_name(beside)), way.family, "unseen")
        yield Cross(n(shade_name(corner)), laid, ground)

    yield from shadow.cast_acts(str(corner), foot, (shadow.uprights[corner].at_foot, shadow.page[corner]), along)


def outline(shadow: ShadowShape) -> Iterator[Act]:
    """Yield the acts that draw its edges: from the feet, and between the shadows of the tops."""
    n = shadow.values.full
    for edge in shadow.edges:
        yield Rule(n(edge.name), n(edge.start), n(edge.end), edge.runs)


def not_found(shadow: ShadowShape) -> GeometryError:
    """Return the refusal of a shadow that nobody can find."""
    return GeometryError(
        "shadow_not_found",
        f"Too little of {shadow.anchor.thing} is drawn to find “{shadow.values.name}”.",
        "Move the block to one side of the point, so that a side of it shows"
        + ("." if shadow.setting.light.is_beside else ", or move the light to one side."),
        about="joined_to",
        nearest="",
    )
