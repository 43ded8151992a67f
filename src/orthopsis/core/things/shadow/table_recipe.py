"""How does a hand find the shadow of a table: its corners on lines from the feet, the outline, and the legs up to it?

From each foot one line runs along the floor; on it lie the shadows of both corners over the foot, of the upper side of
the top and of its underside.
"""

from collections.abc import Generator, Iterator, Sequence

from orthopsis.core.construct.moves import Across, Act, Cross, Move, Rule, RuleToPoint, Run, Shift
from orthopsis.core.errors import GeometryError
from orthopsis.core.things.raised import foot_name
from orthopsis.core.things.shadow.table_shape import Shade, TableShadowShape
from orthopsis.core.things.table.shape import leg_foot


def recipe(shadow: TableShadowShape) -> list[Move]:
    """Return the hand's moves.

    Raises:
        GeometryError: two corners of the top stand straight under the light, so that their lines lie on each other.
    """
    told, found = list[tuple[str, Act]](), list[Shade]()
    helpers = [shadow.beside(shade) for shade in shadow.by_edges]
    if None in helpers:
        raise _not_found(shadow)
    by_rays = {shade for shade in (*shadow.by_rays, *helpers) if shade is not None}
    for shade in sorted(by_rays, key=lambda shade: (shade.of == "under", shade.corner)):
        words = "upper" if shade.of == "shade" else "lower"
        told += [(words, act) for act in _by_ray(shadow, shade, found)]
        found.append(shade)
    for shade in shadow.by_edges:
        told += [("carried", act) for act in _by_edge(shadow, shade, found)]
        found.append(shade)
    moves = [shadow.values.move("round", f"table_shadow.{words}{shadow.light_suffix}", act) for words, act in told]
    moves += [shadow.values.move("round", "table_shadow.outline", act) for act in _outline(shadow)]
    return moves + [
        shadow.values.move("round", f"table_shadow.legs{shadow.light_suffix}", act) for act in _legs(shadow)
    ]


def _not_found(shadow: TableShadowShape) -> GeometryError:
    return GeometryError(
        "shadow_not_found",
        f"“{shadow.values.name}” cannot be found: two corners of {shadow.anchor.thing} are straight under the light.",
        "Move the light to one side, or the table.",
        about="joined_to",
        nearest="",
    )


def _by_ray(shadow: TableShadowShape, shade: Shade, found: Sequence[Shade]) -> Iterator[Act]:
    """Yield the acts that find the shadow of a corner where its ray meets the line from its foot."""
    n = shadow.values.full
    ground = yield from _ground(shadow, shade, found)
    corner, rays = shadow.table.values.full(shade.casts), shadow.setting.rays.family
    yield Run(n(f"ray.{shade.name}"), n(shade.name), corner, rays, ground, "construction")
    yield from _drawn(shadow, shade, found)


def _by_edge(shadow: TableShadowShape, shade: Shade, found: Sequence[Shade]) -> Iterator[Act]:
    """Yield the acts that find it where the edge from the shadow beside it meets the line from its foot."""
    n, beside, laid = shadow.values.full, shadow.beside(shade), f"construction.laid.{shade.name}"
    assert beside is not None
    way = shadow.way_between(beside, shade)
    ground = yield from _ground(shadow, shade, found)
    if way.goal.is_ideal:
        yield Run(n(laid), n(shade.name), n(beside.name), way.family, ground, "unseen")
    else:
        yield RuleToPoint(n(laid), n(beside.name), way.family, "unseen")
        yield Cross(n(shade.name), n(laid), ground)
    yield from _drawn(shadow, shade, found)


def _reaches(shade: Shade, found: Sequence[Shade]) -> bool:
    """Tell whether the line from a foot is drawn as far as a shadow: that of a corner of the underside is near."""
    return any(other.corner == shade.corner and (other.of == "shade" or shade.of == "under") for other in found)


def _ground(shadow: TableShadowShape, shade: Shade, found: Sequence[Shade]) -> Generator[Act, None, str]:
    """Yield the acts that lay the line from the foot under a corner, where it is not long enough; return its name."""
    n, setting, foot = shadow.values.full, shadow.setting, foot_name(shade.corner)
    own, ground = n(f"foot.{shade.corner}"), n(f"ground.{shade.corner}")
    if _reaches(shade, found):
        return ground
    if not _is_begun(shade, found):
        yield Shift(own, shadow.table.values.full(foot), 0.0)
    if setting.light.is_beside:
        yield Across(ground, own, shadow.table.page[foot].x, shadow.page[shade].x)
        return ground
    laid = n(f"construction.on_ground.{shade.name}")
    yield RuleToPoint(laid, own, setting.shadows.family, "unseen")
    return laid


def _is_begun(shade: Shade, found: Sequence[Shade]) -> bool:
    return any(other.corner == shade.corner for other in found)


def _drawn(shadow: TableShadowShape, shade: Shade, found: Sequence[Shade]) -> Iterator[Act]:
    """Yield the act that draws the line from a foot to the shadow that is found on it."""
    if shadow.setting.light.is_beside or _reaches(shade, found):
        return
    n = shadow.values.full
    name = f"{'ground_on' if _is_begun(shade, found) else 'ground'}.{shade.corner}"
    yield Rule(n(name), n(f"foot.{shade.corner}"), n(shade.name), shadow.setting.shadows.family, "construction")


def _outline(shadow: TableShadowShape) -> Iterator[Act]:
    """Yield the acts that draw the edges of the shadow of the top."""
    n = shadow.values.full
    for number, (one, other) in enumerate(shadow.pairs):
        yield Rule(n(shadow.edge_name(number)), n(one.name), n(other.name), shadow.way_between(one, other).family)


def _legs(shadow: TableShadowShape) -> Iterator[Act]:
    """Yield the acts that draw the shadows of the legs, up to that of the top."""
    n, family = shadow.values.full, shadow.setting.shadows.family
    for sides in shadow.legs:
        for side in sides:
            foot, name = n(side.name("foot")), n(side.name("side"))
            yield Shift(foot, shadow.table.values.full(leg_foot(side.leg, side.corner)), 0.0)
            if side.meets is not None:
                yield Run(name, n(side.name("end")), foot, family, n(shadow.edge_name(side.meets)))
