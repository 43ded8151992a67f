"""How does a hand carry forms out of a face, into it, or right through the body?

The first corner of the first one is measured, or found from a corner of the far face that is there; all others follow
from it by lines that run along the face, up it, and out of it.
"""

from collections.abc import Iterator

from orthopsis.core.construct.grid import Grid
from orthopsis.core.construct.meeting import level_or_upright, meeting
from orthopsis.core.construct.moves import Act, MeasureAlong, Role, Rule, RuleToPoint, Side, Touch
from orthopsis.core.things.rectangles.carried import CarriedShapes
from orthopsis.core.things.rectangles.forms import CORNERS
from orthopsis.core.things.rectangles.solid import part_name
from orthopsis.core.things.through import through_acts
from orthopsis.core.view.frame import Way


def front_acts(shapes: CarriedShapes, grid: Grid, number: int) -> Iterator[Act]:
    """Yield the acts that draw the rectangle where a form is carried to."""
    n, part, panel = shapes.values.full, part_name(number), shapes.panel
    along, up = panel.along, panel.up
    first, far, beyond, high = (n(f"{part}.front.{corner}") for corner in CORNERS)
    yield from _first_out(shapes, grid, number)
    yield from _carry(shapes, number, 1, first, along, shapes.side_name(number, "low", "front."), far)
    yield from _carry(shapes, number, 3, first, up, shapes.side_name(number, "near", "front."), high)
    yield from _carry(shapes, number, 2, high, along, shapes.side_name(number, "high", "front."), beyond)
    yield Rule(shapes.side_name(number, "far", "front."), far, beyond, up.family, _role(shapes))


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


def _first_out(shapes: CarriedShapes, grid: Grid, number: int) -> Iterator[Act]:
    """Yield the acts that find the first corner of a front: measured for the first one, carried over for the others."""
    panel, columns = shapes.panel, len(shapes.layout.along)
    if number == 0:
        if shapes.is_through:
            yield from through_acts(shapes, grid, _wall(shapes, 0, 0), _front(shapes, 0, 0))
        else:
            yield from _measured(shapes)
        return
    is_new_row = number % columns == 0
    before = 0 if is_new_row else number - number % columns
    line = shapes.values.full(f"construction.front.{number}")
    way = panel.up if is_new_row else panel.along
    yield from _carry(shapes, number, 0, _front(shapes, before, 0), way, line, _front(shapes, number, 0), is_edge=False)


def _measured(shapes: CarriedShapes) -> Iterator[Act]:
    """Yield the acts that measure how far the first one stands out, from its first corner."""
    n, out, deep = shapes.values.full, shapes.panel.out, shapes.values.mm("deep")
    start, end = _wall(shapes, 0, 0), _front(shapes, 0, 0)
    if out.goal.is_ideal:
        yield Side(n("construction.out"), end, start, level_or_upright(out), shapes.sign * deep)
        return
    yield RuleToPoint(n("construction.out"), start, out.family, "unseen")
    yield MeasureAlong(end, n("construction.out"), shapes.sign * deep)


def _carry(
    shapes: CarriedShapes, number: int, corner: int, start: str, way: Way, line: str, makes: str, *,
    is_edge: bool = True,
) -> Iterator[Act]:  # fmt: skip
    """Yield the acts that find a corner of a front: on the line from another one, over its own corner on the wall.

    Args:
        start: the corner of the front from which the line runs that way; ``line`` is what the line is called.
        is_edge: whether the line is a side of the front; else it only helps.
    """
    n, out, wall = shapes.values.full, shapes.panel.out, _wall(shapes, number, corner)
    over = n(f"construction.out.{number}.{CORNERS[corner]}")
    role: Role = _role(shapes) if is_edge else "construction"
    if is_edge or not (out.goal.is_ideal and way.goal.is_ideal):
        # What leads out level or upright stays as near as it was: the front's edge is as long as that on the wall.
        as_long = shapes.edge_mm(number, corner) if is_edge else 0.0
        helper = n(f"construction.along.{number}.{CORNERS[corner]}")
        yield from meeting((wall, out, over), (start, way, line), makes, as_long, role, helper)
    else:
        yield Side(over, makes, wall, level_or_upright(out), shapes.sign * shapes.out_mm)
