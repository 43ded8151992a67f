"""How does a hand find the shadow of rails: one ray down the end of each, two lines to the point, then from sleeper to
sleeper?
"""

from collections.abc import Iterator

from orthopsis.core.construct.moves import Act, Cross, Move, Rule, RuleToPoint, Run, Shift
from orthopsis.core.things.rails.shape import SIDES
from orthopsis.core.things.shadow.rails_shape import Piece, RailsShadowShape, corner_name


def recipe(shadow: RailsShadowShape) -> list[Move]:
    """Return the hand's moves."""
    told = [("rails_shadow.rays", act) for act in _rays(shadow)]
    told += [("rails_shadow.lines", act) for act in _lines(shadow)]
    for sleeper in range(len(shadow.rails.marks)):
        breath = "rails_shadow.more" if sleeper else "rails_shadow.first"
        told += [(breath, act) for rail in SIDES for act in _about(shadow, rail, sleeper)]
    return [shadow.values.move("round", breath, act) for breath, act in told]


def _rays(shadow: RailsShadowShape) -> Iterator[Act]:
    """Yield the acts that draw the ray from the end of each rail, down the front of the first sleeper."""
    n, host, family = shadow.values.full, shadow.rails.values.full, shadow.setting.rays.family
    for rail in SIDES:
        top, over, low = host(f"{rail}.near.{shadow.falls_to}"), *_beginnings(rail)
        yield Run(n(f"ray.{rail}"), n(over), top, family, host("sleeper.0.near"), "construction")
        yield Run(n(f"ray_on.{rail}"), n(low), n(over), family, host("sleeper.0.under"), "construction")


def _beginnings(rail: str) -> tuple[str, str]:
    return corner_name("over.near", rail, 0), corner_name("low", rail, 0)


def _lines(shadow: RailsShadowShape) -> Iterator[Act]:
    """Yield the acts that draw the light lines to the point on which the shadow ends, above and below."""
    n, goal = shadow.values.full, shadow.setting.frame.name
    for rail in SIDES:
        over, low = _beginnings(rail)
        yield RuleToPoint(n(f"guide.over.{rail}"), n(over), goal)
        yield RuleToPoint(n(f"guide.between.{rail}"), n(low), goal)


def _about(shadow: RailsShadowShape, rail: str, sleeper: int) -> Iterator[Act]:
    """Yield the acts that draw the edge about a sleeper, from the ground before it over its front and its top."""
    n, host = shadow.values.full, shadow.rails.values.full
    over, ground = n(f"guide.over.{rail}"), n(f"guide.between.{rail}")
    if sleeper:
        yield Cross(n(corner_name("low", rail, sleeper)), ground, host(f"sleeper.{sleeper}.under"))
        yield Cross(n(corner_name("over.near", rail, sleeper)), over, host(f"sleeper.{sleeper}.near"))
    yield Cross(n(corner_name("over.far", rail, sleeper)), over, host(f"sleeper.{sleeper}.far"))
    yield Cross(n(corner_name("out", rail, sleeper)), ground, host(f"sleeper.{sleeper}.far"))
    for piece in shadow.pieces(rail, sleeper):
        if piece.end == corner_name("end", rail, sleeper):
            yield from _to_the_point(shadow, piece)
        else:
            yield Rule(n(piece.name), n(piece.start), n(piece.end), piece.runs)


def _to_the_point(shadow: RailsShadowShape, piece: Piece) -> Iterator[Act]:
    """Yield the acts that draw the last piece, which ends at the point as the rails do."""
    n, goal = shadow.values.full, shadow.setting.frame.name
    yield Shift(n(piece.end), goal, 0.0)
    yield RuleToPoint(n(piece.name), n(piece.start), goal, "edge")
