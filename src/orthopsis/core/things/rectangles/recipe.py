"""How does a hand draw forms on a face? Their rectangles first, from crossing to crossing of light lines or measured.

A form that is not the rectangle itself is drawn into it: its middles are found by the diagonals (``inscribed``). What
stands out or leads in follows (``relief``).
"""

from collections.abc import Callable, Iterable, Iterator

from orthopsis.core.construct.grid import Grid
from orthopsis.core.construct.grid_by_line import grid_on
from orthopsis.core.construct.moves import Act, Move, Phase, Role, Rule
from orthopsis.core.things.rectangles.bars import Bars
from orthopsis.core.things.rectangles.carried import CarriedShapes
from orthopsis.core.things.rectangles.forms import CORNERS, SIDES
from orthopsis.core.things.rectangles.inscribed import drawn_of, middle_acts, outline_acts, twelve_places
from orthopsis.core.things.rectangles.relief import edge_acts, front_acts
from orthopsis.core.things.rectangles.solid import part_name


def recipe(shapes: CarriedShapes) -> list[Move]:
    """Return the hand's moves: the light lines, one form told fully, the others like it; then what stands out."""
    panel, layout = shapes.panel, shapes.layout.rectangles
    marked = [corner for corners in layout for corner in corners]
    marked += [place for number in range(len(layout)) for _, place in twelve_places(shapes, number)]
    marked += shapes.shutters.places if shapes.shutters else ()
    grid = grid_on(shapes.values.name, panel, {"": marked}, shapes.setting.level)
    moves = [] if panel.is_true else grid.moves()
    how, is_whole = "measured" if panel.is_true else "counted", shapes.form.is_whole
    moves += _each(shapes, "divide", f"_{how}", lambda number: _flat(shapes, grid, number))
    if shapes.shutters is not None:
        moves += _each(shapes, "divide", f"_shutters_{how}", lambda number: _shutters(shapes, grid, number))
    if shapes.has_twelve:
        twelve = f"_twelve_{how}"
        moves += _each(
            shapes, "divide", twelve, lambda i: [grid.mark(name, place) for name, place in twelve_places(shapes, i)]
        )
    if not is_whole:
        moves += _inscribed(shapes, "")
    if shapes.bars is not None:
        moves += _barred(shapes, shapes.bars)
    if not shapes.is_flat:
        leads = "in" if shapes.is_open else shapes.values.word("relief")
        leads += "_at_edge" if shapes.is_through and shapes.is_at_edge else ""
        if is_whole:
            moves += _each(shapes, "back", f"_{leads}", lambda i: [*front_acts(shapes, grid, i), *edge_acts(shapes, i)])
        else:
            moves += _each(shapes, "back", f"_{leads}", lambda number: front_acts(shapes, grid, number))
            moves += _inscribed(shapes, "front.")
            moves += _each(shapes, "back", _joining(shapes), lambda number: edge_acts(shapes, number))
    return moves


def _each(shapes: CarriedShapes, phase: Phase, how: str, acts: Callable[[int], Iterable[Act]]) -> list[Move]:
    """Return the moves of every form; the first one is told fully."""
    kind = "rectangles" if shapes.form.is_whole else "forms"
    return [
        shapes.values.move(phase, f"{kind}.{'more' if number else 'first'}{how}", act)
        for number in range(len(shapes.layout.rectangles))
        for act in acts(number)
    ]


def _joining(shapes: CarriedShapes) -> str:
    """Return how the edges between are told: from corners, where the ruler touches curves, or both."""
    numbers = range(len(shapes.layout.rectangles))
    if not any(shapes.touches(number) for number in numbers):
        return "_corners"
    return "_joined" if any(shapes.shown_corners(number) for number in numbers) else "_touching"


def _inscribed(shapes: CarriedShapes, end: str) -> list[Move]:
    """Return the moves that draw the forms into their rectangles, on the face or where they are carried to."""
    phase: Phase = "back" if end else "divide"
    of_all = shapes.bars is not None
    middles = _each(shapes, phase, "_middle", lambda number: middle_acts(drawn_of(shapes, number, end), of_all=of_all))
    form = shapes.values.word("form")
    return middles + _each(
        shapes, phase, f"_{form}", lambda number: outline_acts(drawn_of(shapes, number, end), shapes.touched(number))
    )


def _barred(shapes: CarriedShapes, bars: Bars) -> list[Move]:
    """Return the moves that draw bars into forms; the middle of a rectangle is found for them."""
    moves = list[Move]()
    if shapes.form.is_whole:
        moves += _each(
            shapes, "divide", "_middle", lambda number: middle_acts(drawn_of(shapes, number, ""), of_all=True)
        )

    def acts(number: int) -> Iterator[Act]:
        drawn = drawn_of(shapes, number, "")
        return bars.acts(drawn.named, drawn.families)

    return moves + _each(shapes, "divide", "_bars", acts)


def _shutters(shapes: CarriedShapes, grid: Grid, number: int) -> Iterator[Act]:
    """Yield the acts that draw the shutters of a window."""
    assert shapes.shutters is not None
    families = shapes.panel.along.family, shapes.panel.up.family
    return shapes.shutters.acts(number, grid, shapes.values.full, families)


def _flat(shapes: CarriedShapes, grid: Grid, number: int) -> Iterator[Act]:
    """Yield the acts that mark the corners of a rectangle and draw its sides; lightly, where a form comes into it."""
    n, part, families = shapes.values.full, part_name(number), (shapes.panel.along.family, shapes.panel.up.family)
    for corner, place in zip(CORNERS, shapes.layout.rectangles[number], strict=True):
        yield grid.mark(f"{part}.{corner}", place)
    role: Role = "edge" if shapes.form.is_whole else "construction"
    for i, side in enumerate(SIDES):
        start, end = n(f"{part}.{CORNERS[i]}"), n(f"{part}.{CORNERS[(i + 1) % 4]}")
        yield Rule(shapes.side_name(number, side), start, end, families[i % 2], role)
