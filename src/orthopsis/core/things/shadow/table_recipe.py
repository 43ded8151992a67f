"""How does a hand find the shadow of a table: its corners on lines from the feet, the outline, and the legs up to it?

From each foot one line runs along the floor; on it lie the shadows of both corners over the foot, of the upper side of
the top and of its underside.
"""

from collections.abc import Iterator

from orthopsis.core.construct.moves import Across, Act, Move, Rule, RuleToPoint, Run, Shift
from orthopsis.core.errors import GeometryError
from orthopsis.core.things.raised import foot_name
from orthopsis.core.things.shadow.table_shape import Shade, TableShadowShape
from orthopsis.core.things.table.shape import leg_foot


def recipe(shadow: TableShadowShape) -> list[Move]:
    """Return the hand's moves.

    Raises:
        GeometryError: a corner of the top stands straight under the light, so that its lines lie on each other.
    """
    upper = [shade for shade in shadow.outline if shade.of == "shade"]
    lower = [shade for shade in shadow.outline if shade.of == "under"]
    told = [("upper", act) for shade in upper for act in _found(shadow, shade, is_first=True)]
    corners = {shade.corner for shade in upper}
    told += [("lower", act) for shade in lower for act in _found(shadow, shade, is_first=shade.corner not in corners)]
    moves = [shadow.values.move("round", f"table_shadow.{words}{shadow.light_suffix}", act) for words, act in told]
    moves += [shadow.values.move("round", "table_shadow.outline", act) for act in _outline(shadow)]
    return moves + [
        shadow.values.move("round", f"table_shadow.legs{shadow.light_suffix}", act) for act in _legs(shadow)
    ]


def _found(shadow: TableShadowShape, shade: Shade, *, is_first: bool) -> Iterator[Act]:
    """Yield the acts that find the shadow of a corner on the line from its foot, which is drawn where it is the first.

    Raises:
        GeometryError: both lines lie on each other.
    """
    n, of_table, setting = shadow.values.full, shadow.table.values.full, shadow.setting
    own, ground, page = n(f"foot.{shade.corner}"), n(f"ground.{shade.corner}"), shadow.table.page
    if not shadow.crosses_well(page[foot_name(shade.corner)], page[shade.casts]):
        raise GeometryError(
            "shadow_not_found",
            f"“{shadow.values.name}” cannot be found: a corner of {shadow.anchor.thing} is straight under the light.",
            "Move the light to one side, or the table.",
            about="joined_to",
            nearest="",
        )
    laid = ground
    if is_first:
        yield Shift(own, of_table(foot_name(shade.corner)), 0.0)
        if setting.light.is_beside:
            yield Across(ground, own, page[foot_name(shade.corner)].x, shadow.page[shade].x)
        else:
            laid = n(f"construction.on_ground.{shade.corner}")
            yield RuleToPoint(laid, own, setting.shadows.family, "unseen")
    ray = n(f"ray.{shade.name}")
    yield Run(ray, n(shade.name), of_table(shade.casts), setting.rays.family, laid, "construction")
    if is_first and not setting.light.is_beside:
        yield Rule(ground, own, n(shade.name), setting.shadows.family, "construction")


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
