"""How does a hand carry forms out of a face, into it, or right through the body?

A corner of the first one is measured, or found from a corner of the far face that is there; all others follow from it
by lines that run along the face, up it, and out of it. It is the first corner, unless lines from there lie on one
another: a side on the eye level, from which another side leads out, is found from the other corners.
"""

from collections.abc import Iterator

from orthopsis.core.construct.grid import Grid
from orthopsis.core.construct.meeting import level_or_upright, meeting
from orthopsis.core.construct.moves import Act, MeasureAlong, Role, Rule, RuleToPoint, Side, Touch
from orthopsis.core.things.rectangles.carried import CarriedShapes
from orthopsis.core.things.rectangles.forms import CORNERS
from orthopsis.core.things.rectangles.solid import part_name
from orthopsis.core.things.route import side_between
from orthopsis.core.things.through import through_acts
from orthopsis.core.view.frame import Way


def front_acts(shapes: CarriedShapes, grid: Grid, number: int) -> Iterator[Act]:
    """Yield the acts that draw the rectangle where a form is carried to."""
    panel, route = shapes.panel, shapes.route(number)
    yield from _first_out(shapes, grid, number)
    for start, corner in route.sides:
        yield from _side(shapes, number, start, corner)
    start, corner = route.last
    side, way = side_between(start, corner, panel)
    ends = _front(shapes, number, start), _front(shapes, number, corner)
    yield Rule(shapes.side_name(number, side, "front."), *ends, way.family, _role(shapes))


def edge_acts(shapes: CarriedShapes, number: int) -> Iterator[Act]:
    """Yield the acts that draw the edges that lead out of the face: from corners, and where they touch curves."""
    n, part, out = shapes.values.full, part_name(number), shapes.panel.out.family
    for name in shapes.shown_corners(number):
        yield Rule(n(f"{part}.depth.{name}"), n(f"{part}.{name}"), n(f"{part}.front.{name}"), out)
    for name in shapes.touches(number):
        if (touched := shapes.touched_side(number, name)) is not None:
            side, which = touched
            for end in ("", "front."):
                yield Touch(n(f"{part}.{end}{name}"), n(f"{part}.{end}{side}"), out, which)
        yield Rule(n(f"{part}.depth.{name}"), n(f"{part}.{name}"), n(f"{part}.front.{name}"), out)


def _role(shapes: CarriedShapes) -> Role:
    """Return how the rectangle is drawn: it is the form itself, or only helps."""
    return "edge" if shapes.form.is_whole else "construction"


def _wall(shapes: CarriedShapes, number: int, corner: int) -> str:
    return shapes.values.full(f"{part_name(number)}.{CORNERS[corner]}")


def _front(shapes: CarriedShapes, number: int, corner: int) -> str:
    return shapes.values.full(f"{part_name(number)}.front.{CORNERS[corner]}")


def _side(shapes: CarriedShapes, number: int, start: int, corner: int) -> Iterator[Act]:
    """Yield the acts that draw a side of a front from a corner that is there to the next one, and find that."""
    side, way = side_between(start, corner, shapes.panel)
    line = shapes.side_name(number, side, "front.")
    # What leads out level or upright stays as near as it was: the front's edge is as long as that on the wall.
    as_long = shapes.edge_mm(number, start, corner)
    yield from _carry(shapes, number, corner, _front(shapes, number, start), way, line, as_long)


def _first_out(shapes: CarriedShapes, grid: Grid, number: int) -> Iterator[Act]:
    """Yield the acts that find the first corner of a front: measured for the first one, carried over for the others."""
    panel, columns, first = shapes.panel, len(shapes.layout.along), shapes.route(number).first
    if number == 0:
        if shapes.is_through:
            yield from through_acts(shapes, grid, _wall(shapes, 0, first), _front(shapes, 0, first))
        else:
            yield from _measured(shapes, first)
        return
    is_new_row = number % columns == 0
    before = 0 if is_new_row else number - number % columns
    line = shapes.values.full(f"construction.front.{number}")
    yield from _carry(
        shapes, number, first, _front(shapes, before, first), panel.up if is_new_row else panel.along, line
    )


def _measured(shapes: CarriedShapes, first: int) -> Iterator[Act]:
    """Yield the acts that measure how far the first one stands out, from one of its corners."""
    n, out, deep = shapes.values.full, shapes.panel.out, shapes.values.mm("deep")
    start, end = _wall(shapes, 0, first), _front(shapes, 0, first)
    if out.goal.is_ideal:
        yield Side(n("construction.out"), end, start, level_or_upright(out), shapes.sign * deep)
        return
    yield RuleToPoint(n("construction.out"), start, out.family, "unseen")
    yield MeasureAlong(end, n("construction.out"), shapes.sign * deep)


def _carry(
    shapes: CarriedShapes, number: int, corner: int, start: str, way: Way, line: str, as_long: float | None = None
) -> Iterator[Act]:
    """Yield the acts that find a corner of a front: on the line from another one, over its own corner on the wall.

    Args:
        start: the corner of the front from which the line runs that way; ``line`` is what the line is called.
        as_long: for a side of the front, how long it is on the page where nothing goes away; else the line only helps.
    """
    n, out = shapes.values.full, shapes.panel.out
    wall, makes = _wall(shapes, number, corner), _front(shapes, number, corner)
    over = n(f"construction.out.{number}.{CORNERS[corner]}")
    role: Role = "construction" if as_long is None else _role(shapes)
    if as_long is not None or not (out.goal.is_ideal and way.goal.is_ideal):
        helper = n(f"construction.along.{number}.{CORNERS[corner]}")
        yield from meeting((wall, out, over), (start, way, line), makes, as_long or 0.0, role, helper)
    else:
        yield Side(over, makes, wall, level_or_upright(out), shapes.sign * shapes.out_mm)
