"""How does a hand draw windows round a wall: flat first, half a square and half a circle at each height, then back."""

from collections.abc import Iterator

from orthopsis.core.construct.grid import Grid
from orthopsis.core.construct.grid_by_line import grid_on
from orthopsis.core.construct.meeting import meeting
from orthopsis.core.construct.moves import Act, Curve, CurvePart, Move, Rule, RuleToPoint, Run, RunToCurve
from orthopsis.core.plane.homogeneous import Point
from orthopsis.core.plane.tolerance import SAME_SHARE
from orthopsis.core.things.rectangles.forms import CORNERS, SIDES
from orthopsis.core.things.rectangles.solid import part_name
from orthopsis.core.things.round_windows.shape import RoundWindowShapes
from orthopsis.core.view.frame import Way

SIDE_NAMES = ("first", "other")
"""The two halves of the flat wall, from its middle on."""


def recipe(shapes: RoundWindowShapes) -> list[Move]:
    """Return the hand's moves."""
    levels = [shapes.on_flat(across, along) for along in shapes.levels for across in (0.0, 0.5, 1.0)]
    corners = [corner for window in shapes.windows for corner in window]
    grid = grid_on(shapes.values.name, shapes.panel, {"": [*corners, *levels]}, shapes.setting.level)
    is_true = shapes.panel.is_true
    told = list[tuple[str, Act]]()
    for number in range(len(shapes.windows)):
        how = ("more_measured" if number else "first_measured") if is_true else "counted"
        told += [(how, act) for act in _flat(shapes, grid, number)]
    told += [("axis", act) for act in _axis(shapes)]
    for number in range(len(shapes.levels)):
        told += [("more_halves" if number else "half", act) for act in _half_square(shapes, grid, number)]
    for number in range(len(shapes.levels)):
        told += [("curves", act) for act in _half_circle(shapes, number)]
    for number in range(len(shapes.windows)):
        told += [("back", act) for act in _carried_back(shapes, number)]
    for number in range(len(shapes.windows)):
        told += [("windows", act) for act in _edges(shapes, number)]
    moves = [] if is_true else grid.moves()
    return [*moves, *(shapes.values.move("divide", f"round_windows.{breath}", act) for breath, act in told)]


def _ways(shapes: RoundWindowShapes) -> tuple[Way, Way]:
    """Return the directions across the wall and along its axis."""
    panel = shapes.panel
    return (panel.up, panel.along) if shapes.wall.is_along else (panel.along, panel.up)


def _level(number: int, name: str) -> str:
    return f"level.{number}.{name}"


def _flat(shapes: RoundWindowShapes, grid: Grid, number: int) -> Iterator[Act]:
    """Yield the acts that mark the corners of a window on the flat wall; its sides lie on light lines, or are drawn."""
    n, panel, names = shapes.values.full, shapes.panel, [f"{part_name(number)}.flat.{name}" for name in CORNERS]
    for name, corner in zip(names, shapes.windows[number], strict=True):
        yield grid.mark(name, corner)
    if panel.is_true:
        for side, (start, end) in enumerate(zip(names, (*names[1:], names[0]), strict=True)):
            way = panel.up if side % 2 else panel.along
            yield Rule(n(f"{part_name(number)}.flat.{SIDES[side]}"), n(start), n(end), way.family, "construction")


def _axis(shapes: RoundWindowShapes) -> Iterator[Act]:
    """Yield the acts that draw the axis of the round wall, lightly."""
    wall, (_, along) = shapes.wall, _ways(shapes)
    yield from wall.marks
    start, end = wall.centres
    name = shapes.values.full("axis")
    if end:
        yield Rule(name, start, end, along.family, "construction")
    else:
        yield RuleToPoint(name, start, along.family, "construction")


def _half_square(shapes: RoundWindowShapes, grid: Grid, number: int) -> Iterator[Act]:
    """Yield the acts that draw the near half of the square about the circle at a height."""
    n, (across, _), out, along = shapes.values.full, _ways(shapes), shapes.panel.out, shapes.levels[number]
    ends = n(_level(number, "corner.first")), n(_level(number, "corner.other"))
    middle, centre = n(_level(number, "middle")), n(_level(number, "centre"))
    for side, share in zip(SIDE_NAMES, (0.0, 1.0), strict=True):
        yield grid.mark(_level(number, f"corner.{side}"), shapes.on_flat(share, along))
    yield grid.mark(_level(number, "middle"), shapes.on_flat(0.5, along))
    yield Rule(n(_level(number, "near")), *ends, across.family, "construction")
    yield Run(n(_level(number, "half")), centre, middle, out.family, n("axis"), "construction")
    at = [Point(*xy) for xy in _page(shapes, along)]
    for side, end, there in zip(SIDE_NAMES, ends, at[1:], strict=True):
        line, aside = (end, out, n(_level(number, f"side.{side}"))), _aside(at[0], there, across)
        cross, makes = (centre, across, n(_level(number, f"cross.{side}"))), n(_level(number, f"end.{side}"))
        yield from meeting(line, cross, makes, aside, "construction", n(_level(number, f"laid.{side}")))
        yield Rule(n(_level(number, f"beside.{side}")), end, makes, out.family, "construction")


def _page(shapes: RoundWindowShapes, along: float) -> list[tuple[float, float]]:
    """Return where the centre of the circle at a height and the ends of its half square are on the page."""
    places = [shapes.on_wall(across, along, 0.5) for across in (0.5, 0.0, 1.0)]
    return [(x, y) for place in places for x, y in shapes.setting.frame.eye.see(place[None]).tolist()]


def _aside(start: Point, end: Point, way: Way) -> float:
    """Return how far a place is aside of another on a line that runs level or upright, mm."""
    return end.x - start.x if way.family == "level" else end.y - start.y


def _half_circle(shapes: RoundWindowShapes, number: int) -> Iterator[Act]:
    """Yield the acts that draw the near half of the circle at a height, lightly."""
    n = shapes.values.full
    for side in SIDE_NAMES:
        places = (n(_level(number, name)) for name in ("middle", f"corner.{side}", f"end.{side}", "centre"))
        start, pole, end, centre = places
        yield Curve(n(_level(number, f"curve.{side}")), start, pole, end, centre, role="construction")


def _at_level(shapes: RoundWindowShapes, along: float, name: str) -> str:
    """Return the full name of what is called so at the height of a place."""
    number = min(range(len(shapes.levels)), key=lambda i: abs(shapes.levels[i] - along))
    return shapes.values.full(_level(number, name))


def _curve(shapes: RoundWindowShapes, across: float, along: float) -> str:
    """Return the full name of the curve on which a place lies."""
    return _at_level(shapes, along, f"curve.{SIDE_NAMES[across > 0.5]}")


def _carried_back(shapes: RoundWindowShapes, number: int) -> Iterator[Act]:
    """Yield the acts that carry the corners of a window back onto the curves at their heights."""
    n, part = shapes.values.full, part_name(number)
    for name, corner in zip(CORNERS, shapes.windows[number], strict=True):
        across, along = shapes.across_along(corner)
        flat, makes, line = n(f"{part}.flat.{name}"), n(f"{part}.{name}"), n(f"{part}.back.{name}")
        out, aside = shapes.panel.out.family, abs(across - 0.5)
        if aside <= SAME_SHARE:  # there the round wall touches the flat one
            yield Run(line, makes, flat, out, _at_level(shapes, along, "near"), "unseen")
        elif aside >= 0.5 - SAME_SHARE:  # there it touches the side of the half square
            yield Run(line, makes, flat, out, _at_level(shapes, along, f"cross.{SIDE_NAMES[across > 0.5]}"), "unseen")
        else:
            yield RunToCurve(line, makes, flat, out, _curve(shapes, across, along), "construction")


def _edges(shapes: RoundWindowShapes, number: int) -> Iterator[Act]:
    """Yield the acts that draw a window: its straight sides first, then those that go round."""
    n, part, (_, along) = shapes.values.full, part_name(number), _ways(shapes)
    sides = sorted(range(4), key=shapes.runs_along, reverse=True)
    for side in sides:
        ends = n(f"{part}.{CORNERS[side]}"), n(f"{part}.{CORNERS[(side + 1) % 4]}")
        name = n(f"{part}.{SIDES[side]}")
        if shapes.runs_along(side):
            yield Rule(name, *ends, along.family)
        else:
            across, there = shapes.across_along(shapes.windows[number][side])
            yield CurvePart(name, _curve(shapes, across, there), *ends)
