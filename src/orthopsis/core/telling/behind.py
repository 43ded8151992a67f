"""Where does a step draw what stands behind a thing that is there already, so that it will be taken away again?"""

from collections.abc import Iterator, Mapping, Sequence

from shapely import MultiPoint
from shapely import Point as Place
from shapely.geometry.base import BaseGeometry

from orthopsis.core.construct.moves import full_name
from orthopsis.core.drawing.answer import DrawnLine, Step
from orthopsis.core.drawing.solved import Solved
from orthopsis.core.plane.homogeneous import Point, distance
from orthopsis.core.wording.step import behind_words

LEAST_MM = 2.0
"""Less than this of a line behind another thing is not worth a word (no source)."""


def with_what_lies_behind(solved: Solved, steps: Sequence[Step]) -> list[Step]:
    """Return steps, in the order in which they are told, that say of a thing once that it stands behind others."""
    before = _before(solved)
    if not before:
        return list(steps)
    names = {number: name for name, number in solved.light_ids.items()}
    result, told, said = [], dict[str, None](), set[str]()
    for step in steps:
        hiding = before.get(step.thing, ()) if step.thing not in said else ()
        drawn = {names[number] for number in step.draws if number in names}
        over = [name for name in hiding if name in told and _is_over(solved, name, step.thing, drawn)]
        if over:
            said.add(step.thing)
            if "own" not in step.can:
                words = behind_words(over, solved.prepared.wording)
                step = step.model_copy(update={"text": f"{step.text} {words}"})
        told[step.thing] = None
        result.append(step)
    return result


def _before(solved: Solved) -> Mapping[str, tuple[str, ...]]:
    """Return for each thing that stands behind others the names of those that may hide it."""
    things, gone, found = solved.prepared.things, solved.prepared.gone, dict[str, tuple[str, ...]]()
    for overlap in solved.order.overlaps:
        nearer = tuple(p.values.name for p in things if p.layer == overlap.nearer and p.values.name not in gone)
        for placed in things:
            if placed.layer == overlap.farther and placed.standing.is_body:
                found[placed.values.name] = (*found.get(placed.values.name, ()), *nearer)
    return found


def _is_over(solved: Solved, nearer: str, farther: str, drawn: set[str]) -> bool:
    """Tell whether a thing hides something of the lines that a step draws of another one."""
    outline = _outline(solved, nearer)
    return any(
        outline.contains(Place((piece.start[0] + piece.end[0]) / 2, (piece.start[1] + piece.end[1]) / 2))
        for piece in _hidden(solved, farther)
        if full_name(farther, piece.name) in drawn
    )


def _hidden(solved: Solved, thing: str) -> Iterator[DrawnLine]:
    placed = solved.prepared.by_name[thing]
    for piece in solved.edges[placed.index]:
        if not piece.visible and distance(Point(*piece.start), Point(*piece.end)) >= LEAST_MM:
            yield piece


def _outline(solved: Solved, thing: str) -> BaseGeometry:
    """Return the least convex outline about a thing on the page."""
    placed = solved.prepared.by_name[thing]
    return MultiPoint(list(solved.built[placed.index].page.values())).convex_hull
