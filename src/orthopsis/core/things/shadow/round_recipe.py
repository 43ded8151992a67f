"""How does a hand find the shadow of a round body: that of the square of its upper circle, or that of its tip?"""

from collections.abc import Iterator

from orthopsis.core.construct.moves import Act, Cross, Move, Rule, Shift, Touch
from orthopsis.core.things.raised import foot_name, top_name
from orthopsis.core.things.rectangles.forms import CORNERS, SIDES
from orthopsis.core.things.rectangles.inscribed import Drawn, middle_acts, outline_acts
from orthopsis.core.things.round_body.recipe import base_corner
from orthopsis.core.things.round_body.shape import CIRCLE, touched
from orthopsis.core.things.shadow.round_shape import RoundShadowShape


def recipe(shadow: RoundShadowShape) -> list[Move]:
    """Return the hand's moves."""
    if not shadow.chain:
        return []
    if shadow.body.form.has_tip:
        told = [
            (f"shadow.tip{shadow.light_suffix}", act)
            for act in _cast(shadow, "tip", shadow.of_body("base.middle"), shadow.of_body("tip"))
        ]
    else:
        told = [(f"shadow.square{shadow.light_suffix}", act) for act in _square(shadow)]
        drawn = _drawn(shadow)
        told += [("shadow.middle", act) for act in middle_acts(drawn)]
        told += [("shadow.circle", act) for act in outline_acts(drawn, touched(shadow.nodes))]
    breath = "shadow.from_tip" if shadow.body.form.has_tip else "shadow.touching"
    told += [(breath, act) for act in _outline(shadow)]
    return [shadow.values.move("round", breath, act) for breath, act in told]


def _cast(shadow: RoundShadowShape, name: str, foot: str, top: str) -> Iterator[Act]:
    """Yield the acts that find the shadow of a place on the line from the one under it."""
    yield from shadow.cast_acts(
        name, foot, shadow.cast_places(name), lambda ground: iter((shadow.ray(name, top, ground),))
    )


def _square(shadow: RoundShadowShape) -> Iterator[Act]:
    """Yield the acts that find the shadow of the square of the upper circle."""
    n, ways = shadow.values.full, (shadow.body.panel.along.family, shadow.body.panel.up.family)
    for i in range(4):
        yield from _cast(shadow, f"corner.{i}", shadow.of_body(foot_name(i)), shadow.of_body(top_name(i)))
    for i, side in enumerate(SIDES):
        ends = n(f"shade.corner.{i}"), n(f"shade.corner.{(i + 1) % 4}")
        yield Rule(n(f"shade.square.{side}"), *ends, ways[i % 2], "construction")


def _drawn(shadow: RoundShadowShape) -> Drawn:
    n, at = shadow.values.full, {name: i for i, name in enumerate(CORNERS)}
    return Drawn(
        CIRCLE,
        (shadow.body.panel.along.family, shadow.body.panel.up.family),
        lambda name: n(f"shade.corner.{at[name]}" if name in at else f"shade.{name}"),
        lambda side: n(f"shade.square.{side}"),
    )


def _outline(shadow: RoundShadowShape) -> Iterator[Act]:
    """Yield the acts that draw the two lines which touch both circles."""
    n, form, chain = shadow.values.full, shadow.body.form, shadow.chain
    if chain[0] is chain[-1]:
        return
    goal, family = (shadow.setting.shadows.family,) * 2 if form.is_straight else (n("shade.tip"), "free")
    if not (form.is_straight or form.has_tip):
        goal = n("measure.centre")
        for i in range(2):
            ends = shadow.of_body(base_corner(shadow.body, i)), n(f"shade.corner.{i}")
            yield Rule(n(f"construction.centre.{i}"), *ends, "free", "unseen")
        yield Cross(goal, n("construction.centre.0"), n("construction.centre.1"))
    sharp = [node for node in shadow.nodes if node.is_touched]
    for node in (chain[0], chain[-1]):
        upper = n("shade.tip") if form.has_tip else n(f"shade.{node.name}")
        if node.is_touched:
            side = CIRCLE.sides[node.side].name
            which = [other for other in sharp if other.side == node.side].index(node)
            yield Touch(n(f"base.{node.name}"), shadow.of_body(f"base.{side}"), goal, which)
            if not form.has_tip:
                yield Touch(upper, n(f"shade.{side}"), goal, which)
        else:
            yield Shift(n(f"base.{node.name}"), shadow.of_body(f"base.{node.name}"), 0.0)
        yield Rule(n(f"edge.{node.name}"), upper, n(f"base.{node.name}"), family)
