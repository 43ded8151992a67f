"""How does a hand draw rails on sleepers: the rails' ends, their lines to the point, light lines, the sleepers?"""

from collections.abc import Iterator

from orthopsis.core.construct.moves import (
    Act,
    Measure,
    MeasureAlong,
    Move,
    Offset,
    Rule,
    RuleToPoint,
    Run,
    ShareAlong,
    Shift,
    Side,
)
from orthopsis.core.things.rails.shape import SIDES, RailsShape

INNER = {"left": "right", "right": "left"}


def recipe(rails: RailsShape) -> list[Move]:
    """Return the hand's moves."""
    told = [("front", "rails.first", act) for act in _end_of_left(rails)]
    told += [("front", "rails.second", act) for act in _end_of_right(rails)]
    told += [("guides", "rails.lines", act) for act in _lines(rails)]
    told += [("front", "", act) for act in _far(rails)]
    told += [("guides", "rails.outer", act) for act in _outer(rails)]
    told += [("depth", "rails.marks", act) for act in _marks(rails)]
    for number in range(len(rails.marks)):
        breath = "rails.more" if number else "rails.sleeper"
        told += [("back", breath, act) for act in _sleeper(rails, number)]
    return [rails.values.move(phase, breath, act) for phase, breath, act in told]  # type: ignore[arg-type]


def _end(rails: RailsShape, side: str) -> Iterator[Act]:
    """Yield the acts that draw the end of a rail from its left foot."""
    n, rail, high = rails.values.full, rails.values.mm("rail"), rails.values.mm("high")

    def at(corner: str) -> str:
        return n(f"{side}.near.{corner}")

    yield Side(n(f"{side}.front.foot_left.foot_right"), at("foot_right"), at("foot_left"), "level", rail)
    yield Side(n(f"{side}.front.foot_left.left"), at("left"), at("foot_left"), "upright", high)
    yield Side(n(f"{side}.front.foot_right.right"), at("right"), at("foot_right"), "upright", high)
    yield Rule(n(f"{side}.front.left.right"), at("left"), at("right"), "level")


def _end_of_left(rails: RailsShape) -> Iterator[Act]:
    yield Measure(rails.values.full("left.near.foot_left"), *rails.values.first.xy)
    yield from _end(rails, "left")


def _end_of_right(rails: RailsShape) -> Iterator[Act]:
    n = rails.values.full
    yield Shift(n("right.near.foot_left"), n("left.near.foot_right"), rails.values.mm("gauge"))
    yield from _end(rails, "right")


def _seen_corners(side: str) -> tuple[str, str, str]:
    return ("left", "right", f"foot_{INNER[side]}")


def _lines(rails: RailsShape) -> Iterator[Act]:
    n, goal = rails.values.full, rails.setting.frame.name
    for side in SIDES:
        for corner in _seen_corners(side):
            yield RuleToPoint(n(f"{side}.{corner}"), n(f"{side}.near.{corner}"), goal, "edge")


def _far(rails: RailsShape) -> Iterator[Act]:
    """Yield the acts that call the point by the names of the rails' far ends."""
    for side in SIDES:
        for corner in (*_seen_corners(side), f"foot_{side}"):
            yield Shift(rails.values.full(f"{side}.far.{corner}"), rails.setting.frame.name, 0.0)


def _outer(rails: RailsShape) -> Iterator[Act]:
    """Yield the acts that draw the light lines between which sleepers lie, and those that say how thick they are."""
    n, goal, out, thick = rails.values.full, rails.setting.frame.name, rails.values.mm("out"), rails.values.mm("thick")
    for side, way in (("left", -1), ("right", 1)):
        top, under = n(f"sleeper.0.near.{side}"), n(f"sleeper.0.under.{side}")
        yield Shift(top, n(f"{side}.near.foot_{side}"), way * out)
        yield Offset(under, top, 0.0, -thick)
        yield RuleToPoint(n(f"guide.sleepers.{side}"), top, goal)
        yield RuleToPoint(n(f"guide.under.{side}"), under, goal)


def _marks(rails: RailsShape) -> Iterator[Act]:
    """Yield the acts that mark where sleepers begin and end: the first ones measured, the others by eye."""
    n, line = rails.values.full, rails.values.full("guide.sleepers.left")
    for number, (near, far) in enumerate(rails.marks):
        if number == 1:
            yield MeasureAlong(n("sleeper.1.near.left"), line, rails.values.mm("pitch"))
        elif number:
            yield ShareAlong(n(f"sleeper.{number}.near.left"), line, near)
        mark = n(f"sleeper.{number}.far.left")
        yield ShareAlong(mark, line, far) if number else MeasureAlong(mark, line, rails.values.mm("deep"))


def _sleeper(rails: RailsShape, number: int) -> Iterator[Act]:
    """Yield the acts that draw a sleeper: two level lines, its ends, its front."""
    n, i = rails.values.full, f"sleeper.{number}"
    right = n("guide.sleepers.right")
    if number:
        yield Run(n(f"{i}.near"), n(f"{i}.near.right"), n(f"{i}.near.left"), "level", right)
        for side in SIDES:
            until = n(f"guide.under.{side}")
            yield Run(n(f"{i}.end.{side}"), n(f"{i}.under.{side}"), n(f"{i}.near.{side}"), "upright", until)
    else:
        yield Rule(n(f"{i}.near"), n(f"{i}.near.left"), n(f"{i}.near.right"), "level")
        for side in SIDES:
            yield Rule(n(f"{i}.end.{side}"), n(f"{i}.under.{side}"), n(f"{i}.near.{side}"), "upright")
    yield Run(n(f"{i}.far"), n(f"{i}.far.right"), n(f"{i}.far.left"), "level", right)
    yield Rule(n(f"{i}.under"), n(f"{i}.under.left"), n(f"{i}.under.right"), "level")
    for side in SIDES:
        yield Rule(n(f"{i}.{side}"), n(f"{i}.near.{side}"), n(f"{i}.far.{side}"), rails.setting.frame.name)
