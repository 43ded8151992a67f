"""A teacher drags, chooses, types, adds, removes anything in any ready exercise: it is drawn and told, or refused."""

from collections.abc import Callable
from functools import cache

from hypothesis import given, settings
from hypothesis import strategies as st
from scenes import assert_same_point

from orthopsis.core.check.check import check
from orthopsis.core.check.stroke import Stroke
from orthopsis.core.document.document import Exercise, read_exercise
from orthopsis.core.document.ready import READY
from orthopsis.core.drawing.answer import Drawing, HandlePlace, SentencePiece
from orthopsis.core.drawing.solved import solve
from orthopsis.core.editing.edit import set_all, set_at, type_at
from orthopsis.core.editing.edit_things import copy_thing, move_thing, remove_thing
from orthopsis.core.editing.edit_together import drag_together
from orthopsis.core.errors import GeometryError
from orthopsis.core.exercise.add_thing import add_thing
from orthopsis.core.exercise.solve import draw, draw_picture
from orthopsis.core.plane.homogeneous import Point
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


def assert_told_and_alike(exercise: Exercise) -> None:
    """Every step follows from what was told before, and both routes put every corner in the same place."""
    found = solve(prepare(exercise))
    assert not list(gaps(tell(found).breaths, found.board))
    for placed, thing in zip(found.prepared.things, found.built, strict=True):
        for name, (x, y) in thing.page.items():
            made = found.board.points.get(f"{placed.values.name}.{name}")
            if made is not None and not made.is_ideal and abs(x) < NEAR_MM and abs(y) < NEAR_MM:
                assert_same_point(made.xy, (x, y), f"{placed.values.name}: {name}")
    kept = [line for line in found.final if line.role in ("edge", "detail") and not line.bend]
    checked = check(exercise, [Stroke(Point(*line.start), Point(*line.end), 1.0) for line in kept])
    assert checked.missing == [], "of a sheet on which all is drawn nothing is missing"


@settings(max_examples=150)
@given(st.integers(0, len(READY) - 1), st.lists(st.sampled_from(ACTS), min_size=1, max_size=3), st.data())
def test_whatever_is_changed_is_drawn_and_told_or_refused(number: int, acts: list[Act], data: st.DataObject) -> None:
    exercise = read_exercise(READY[number])
    drawing = draw(exercise)

    def pick(count: int) -> int:
        return data.draw(st.integers(0, count - 1))

    for act in acts:
        try:
            changed = act(exercise, drawing, pick)
            drawing = draw(changed)
        except GeometryError as error:
            assert error.why.endswith((".", "?")), error.why
            assert error.fix.endswith("."), error.fix
            continue
        exercise = changed
    assert_told_and_alike(exercise)


@cache
def ready(number: int) -> tuple[Exercise, tuple[HandlePlace, ...]]:
    exercise = read_exercise(READY[number])
    return exercise, tuple(draw_picture(exercise).handles)


ways = st.floats(-70, 70) | st.floats(-8, 8)


@settings(max_examples=250)
@given(st.integers(0, len(READY) - 1), st.integers(0, 10_000), ways, ways, st.booleans())
def test_whatever_is_dragged_is_drawn_and_told_or_refused(
    number: int, which: int, aside: float, up: float, snap: bool
) -> None:
    exercise, handles = ready(number)
    handle = handles[which % len(handles)]
    try:
        moved = drag_together(exercise, handle.id, handle.at[0] + aside, handle.at[1] + up, [], snap=snap)
        draw(moved)
    except GeometryError as error:
        assert error.why.endswith(".")
        assert error.fix.endswith(".")
        return
    assert_told_and_alike(moved)
