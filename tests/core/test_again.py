"""What is kept from one move of the hand to the next changes nothing: a drawing is the same as one made anew."""

import gc

import numpy as np
from hypothesis import given, settings
from hypothesis import strategies as st
from scenes import exercises, roofed, rows, windowed

from conftest import box, exercise_of
from orthopsis.core.document.document import Exercise
from orthopsis.core.drawing import built
from orthopsis.core.drawing.picture import picture
from orthopsis.core.drawing.solved import solve
from orthopsis.core.editing.edit import drag
from orthopsis.core.errors import GeometryError
from orthopsis.core.scene.prepared import prepare
from orthopsis.core.sight.groups import _groups, pieces_in_groups
from orthopsis.core.sight.hidden import Sight
from orthopsis.core.things import declare


def _anew(exercise: Exercise) -> str:
    built.forget()
    gc.collect()
    return picture(solve(prepare(exercise))).model_dump_json()


@settings(max_examples=80)
@given(
    exercises(most=6) | roofed() | rows() | windowed(),
    st.lists(st.tuples(st.integers(-9, 9), st.integers(-9, 9)), min_size=1, max_size=4),
)
def test_a_picture_after_some_drags_is_as_if_it_were_made_anew(
    exercise: Exercise, shifts: list[tuple[int, int]]
) -> None:
    for across, up in shifts:
        try:
            before = picture(solve(prepare(exercise)))
            at = next(handle.at for handle in before.handles if handle.id == "things.0.place")
            exercise = drag(exercise, "things.0.place", at[0] + across, at[1] + up)
            after = picture(solve(prepare(exercise))).model_dump_json()
        except GeometryError:
            return
        assert after == _anew(exercise)


@settings(max_examples=60)
@given(exercises(least=2, most=6))
def test_hidden_lines_group_by_group_are_those_of_all_together(exercise: Exercise) -> None:
    try:
        solved = solve(prepare(exercise))
    except GeometryError:
        return
    boxes = np.array(
        [[*np.min(list(b.page.values()), axis=0), *np.max(list(b.page.values()), axis=0)] for b in solved.built]
    )
    grouped = pieces_in_groups(solved.seen, boxes)
    for ours, whole in zip(grouped, Sight(solved.seen).pieces(), strict=True):
        assert [(p.edge.name, p.visible, p.behind) for p in ours] == [(p.edge.name, p.visible, p.behind) for p in whole]
        assert np.allclose([(p.start, p.end) for p in ours], [(p.start, p.end) for p in whole], atol=1e-9)


def test_rectangles_hang_together_through_others() -> None:
    boxes = np.array([[0, 0, 2, 2], [3, 0, 5, 2], [2, 1, 3, 1.5], [9, 9, 10, 10], [10, 10, 11, 11]], dtype=float)
    assert _groups(boxes).tolist() == [0, 0, 0, 3, 3]
    assert _groups(np.full((2, 4), np.inf)).tolist() in ([0, 0], [0, 1])
    assert _groups(np.empty((0, 4))).tolist() == []


def test_what_nobody_keeps_is_gone() -> None:
    exercise = exercise_of(box("Kept for a while", 31.0, 33.0, 60.0, 50.0))
    solved = solve(prepare(exercise))
    names = [standing.values.name for standing in declare._STANDING.values()]
    assert "Kept for a while" in names
    del solved
    built.forget()
    gc.collect()
    assert "Kept for a while" not in [standing.values.name for standing in declare._STANDING.values()]
