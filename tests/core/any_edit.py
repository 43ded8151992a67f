"""What a teacher may do with an exercise at the Desk, taken at random, and what may be wrong with it afterwards."""

import math
from collections.abc import Callable, Iterator

from orthopsis.core.check.check import check
from orthopsis.core.check.stroke import Stroke
from orthopsis.core.document.document import Exercise
from orthopsis.core.drawing.answer import Drawing, SentencePiece
from orthopsis.core.drawing.solved import Solved, solve
from orthopsis.core.editing.edit import set_all, set_at, type_at
from orthopsis.core.editing.edit_things import copy_thing, move_thing, remove_thing
from orthopsis.core.editing.edit_together import drag_together
from orthopsis.core.exercise.add_thing import add_thing
from orthopsis.core.plane.homogeneous import Point
from orthopsis.core.plane.tolerance import AGREE_MM
from orthopsis.core.scene.prepared import prepare
from orthopsis.core.telling.completeness import gaps
from orthopsis.core.telling.told import tell
from orthopsis.core.things.registry import KINDS

NEAR_MM = 2000.0
"""Farther from the sheet than this a place means nothing to a hand."""
TYPED = ("10", "3", "45", "200", "1:2:1", "0:1:0", "1:1:0", "BUOY")
TIMES = (0.3, 0.6, 0.9, 1.1, 1.5, 2.5)
Pick = Callable[[int], int]
"""From how many there are to which one is taken."""
Act = Callable[[Exercise, Drawing, Pick], Exercise]


def _pieces(drawing: Drawing) -> list[SentencePiece]:
    return [piece for sentence in drawing.sentences for piece in sentence.pieces if piece.path]


def choose(exercise: Exercise, drawing: Drawing, pick: Pick) -> Exercise:
    """Choose another option of a place in the sentences."""
    pieces = [piece for piece in _pieces(drawing) if piece.options]
    piece = pieces[pick(len(pieces))]
    value = piece.options[pick(len(piece.options))].value
    return set_at(exercise, piece.path, int(value) if piece.kind == "thing" and value.isdigit() else value)


def write(exercise: Exercise, drawing: Drawing, pick: Pick) -> Exercise:
    """Type another number, or something that may not fit there."""
    pieces = [piece for piece in _pieces(drawing) if not piece.options]
    piece = pieces[pick(len(pieces))]
    try:
        text = f"{float(piece.text.split(' ')[0]) * TIMES[pick(len(TIMES))]:.0f}"
    except ValueError:
        text = TYPED[pick(len(TYPED))]
    return type_at(exercise, piece.path, text)


def add(exercise: Exercise, _: Drawing, pick: Pick) -> Exercise:
    """Add a thing of any kind."""
    return add_thing(exercise, list(KINDS)[pick(len(KINDS))])


def rearrange(exercise: Exercise, _: Drawing, pick: Pick) -> Exercise:
    """Remove, copy or move one in the list."""
    if not exercise.things:
        return exercise
    which = pick(len(exercise.things))
    ways = (remove_thing, copy_thing, lambda e, i: move_thing(e, i, 1))
    return ways[pick(len(ways))](exercise, which)


def pull(exercise: Exercise, drawing: Drawing, pick: Pick) -> Exercise:
    """Drag a handle."""
    handle = drawing.handles[pick(len(drawing.handles))]
    x, y = (at + pick(101) - 50.0 for at in handle.at)
    return drag_together(exercise, handle.id, x, y, [])


def cure(exercise: Exercise, drawing: Drawing, pick: Pick) -> Exercise:
    """Take a cure that is offered."""
    offered = [cure for advice in drawing.advice for cure in advice.cures]
    return set_all(exercise, offered[pick(len(offered))].edits) if offered else exercise


ACTS: tuple[Act, ...] = (choose, choose, choose, write, add, rearrange, pull, cure)


def faults(exercise: Exercise) -> Iterator[str]:
    """Yield what is wrong with an exercise that can be drawn.

    A step takes up what nobody has told; the two routes put a corner in different places; of a sheet on which all is
    drawn something is said to be missing.
    """
    found = solve(prepare(exercise))
    yield from (f"{gap.breath.name}: {gap.name} {gap.why}" for gap in gaps(tell(found).breaths, found.board))
    yield from _apart(found)
    kept = [line for line in found.final if line.role in ("edge", "detail") and not line.bend]
    checked = check(exercise, [Stroke(Point(*line.start), Point(*line.end), 1.0) for line in kept])
    yield from (f"{name} is said to be missing" for name in checked.missing)


def _apart(found: Solved) -> Iterator[str]:
    for placed, thing in zip(found.prepared.things, found.built, strict=True):
        for name, (x, y) in thing.page.items():
            made = found.board.points.get(f"{placed.values.name}.{name}")
            if made is None or made.is_ideal or abs(x) > NEAR_MM or abs(y) > NEAR_MM:
                continue
            if math.dist(made.xy, (x, y)) > AGREE_MM:
                yield f"{placed.values.name}: {name} is made at {made.xy} and seen at {(x, y)}"
