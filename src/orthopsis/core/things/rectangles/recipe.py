"""How does a hand draw rectangles on a face: from crossing to crossing of light lines, or measured on a true one?"""

from collections.abc import Iterator
from typing import Literal

from orthopsis.core.construct.grid import Grid
from orthopsis.core.construct.moves import Act, MeasureAlong, Move, Role, Rule, RuleToPoint, Run, Side
from orthopsis.core.things.rectangles.shape import CORNERS, SIDES, RectangleShapes
from orthopsis.core.view.frame import Way


def recipe(shapes: RectangleShapes) -> list[Move]:
    """Return the hand's moves: the light lines, one rectangle told fully, the others like it; then what stands out."""
    panel, layout = shapes.panel, shapes.layout.rectangles
    grid = Grid(shapes.values.name, panel, (corner for corners in layout for corner in corners), "face")
    moves = [] if panel.is_true else grid.moves()
    how = "measured" if panel.is_true else "counted"
    for number in range(len(layout)):
        breath = f"rectangles.{'more' if number else 'first'}_{how}"
        moves += [shapes.values.move("divide", breath, act) for act in _flat(shapes, grid, number)]
    if not shapes.is_flat:
        for number in range(len(layout)):
            breath = f"rectangles.{'more' if number else 'first'}_{'in' if shapes.is_sunk else 'out'}"
            moves += [shapes.values.move("back", breath, act) for act in _out(shapes, number)]
    return moves


def _flat(shapes: RectangleShapes, grid: Grid, number: int) -> Iterator[Act]:
    """Yield the acts that mark the corners of a rectangle and draw its sides."""
    n, part, families = shapes.values.full, shapes.part(number), (shapes.panel.along.family, shapes.panel.up.family)
    for corner, place in zip(CORNERS, shapes.layout.rectangles[number], strict=True):
        yield grid.mark(f"{part}.{corner}", place)
    for i, side in enumerate(SIDES):
        start, end = n(f"{part}.{CORNERS[i]}"), n(f"{part}.{CORNERS[(i + 1) % 4]}")
        yield Rule(n(f"{part}.{side}"), start, end, families[i % 2])


def _out(shapes: RectangleShapes, number: int) -> Iterator[Act]:
    """Yield the acts that draw a rectangle out of its face: how far, its front, and the edges that lead back to it."""
    n, part, panel = shapes.values.full, shapes.part(number), shapes.panel
    along, up = panel.along, panel.up
    first, far, beyond, high = (n(f"{part}.front.{corner}") for corner in CORNERS)
    yield from _first_out(shapes, number)
    yield from _carry(shapes, number, 1, first, along, n(f"{part}.front.low"), far)
    yield from _carry(shapes, number, 3, first, up, n(f"{part}.front.near"), high)
    yield from _carry(shapes, number, 2, high, along, n(f"{part}.front.high"), beyond)
    yield Rule(n(f"{part}.front.far"), far, beyond, up.family)
    shown = shapes.shown_sides(shapes.front_on_page(number), shapes.page[number])
    for i in sorted({corner for side in shown for corner in (side, (side + 1) % 4)}):
        yield Rule(
            n(f"{part}.depth.{CORNERS[i]}"), _wall(shapes, number, i), _front(shapes, number, i), panel.out.family
        )


def _wall(shapes: RectangleShapes, number: int, corner: int) -> str:
    return shapes.values.full(f"{shapes.part(number)}.{CORNERS[corner]}")


def _front(shapes: RectangleShapes, number: int, corner: int) -> str:
    return shapes.values.full(f"{shapes.part(number)}.front.{CORNERS[corner]}")


def _first_out(shapes: RectangleShapes, number: int) -> Iterator[Act]:
    """Yield the acts that find the first corner of a front: measured for the first one, carried over for the others."""
    panel, columns = shapes.panel, len(shapes.layout.along)
    if number == 0:
        yield from _measured(shapes)
        return
    is_new_row = number % columns == 0
    before = 0 if is_new_row else number - number % columns
    line = shapes.values.full(f"construction.front.{number}")
    way = panel.up if is_new_row else panel.along
    yield from _carry(shapes, number, 0, _front(shapes, before, 0), way, line, _front(shapes, number, 0), is_edge=False)


def _measured(shapes: RectangleShapes) -> Iterator[Act]:
    """Yield the acts that measure how far the first one stands out, from its first corner."""
    n, out, deep = shapes.values.full, shapes.panel.out, shapes.values.mm("deep")
    start, end = _wall(shapes, 0, 0), _front(shapes, 0, 0)
    if out.goal.is_ideal:
        yield Side(n("construction.out"), end, start, _runs(out), shapes.sign * deep)
        return
    yield RuleToPoint(n("construction.out"), start, out.family, "unseen")
    yield MeasureAlong(end, n("construction.out"), shapes.sign * deep)


def _runs(way: Way) -> Literal["level", "upright"]:
    return "level" if way.family == "level" else "upright"


def _carry(
    shapes: RectangleShapes, number: int, corner: int, start: str, way: Way, line: str, makes: str, *,
    is_edge: bool = True,
) -> Iterator[Act]:  # fmt: skip
    """Yield the acts that find a corner of a front: on the line from another one, over its own corner on the wall.

    Args:
        start: the corner of the front from which the line runs that way; ``line`` is what the line is called.
        is_edge: whether the line is an edge of the front; else it only helps.
    """
    n, out, wall = shapes.values.full, shapes.panel.out, _wall(shapes, number, corner)
    over = n(f"construction.out.{number}.{CORNERS[corner]}")
    role: Role = "edge" if is_edge else "construction"
    if not out.goal.is_ideal:
        yield RuleToPoint(over, wall, out.family, "unseen")
        yield Run(line, makes, start, way.family, over, role)
    elif not way.goal.is_ideal:
        helper = n(f"construction.along.{number}.{CORNERS[corner]}")
        yield RuleToPoint(helper, start, way.family, "unseen")
        yield Run(over, makes, wall, out.family, helper, "unseen")
        yield Rule(line, start, makes, way.family, role)
    elif is_edge:
        # What leads out level or upright stays as near as it was: the front's edge is as long as that on the wall.
        yield Side(line, makes, start, _runs(way), shapes.edge_mm(number, corner))
    else:
        yield Side(over, makes, wall, _runs(out), shapes.sign * shapes.values.mm("deep"))
