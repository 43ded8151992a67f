"""What is kept from one move of the hand to the next changes nothing: a drawing is the same as one made anew."""

import gc
from typing import Any

import numpy as np
import pytest
from hypothesis import given, settings
from hypothesis import strategies as st
from scenes import exercises, patterned, roads, roofed, rows, silhouettes, windowed, words

from conftest import box, exercise_of
from orthopsis.core.document.document import Exercise, read_exercise
from orthopsis.core.document.ready import READY
from orthopsis.core.drawing import built
from orthopsis.core.drawing.change import change
from orthopsis.core.drawing.picture import picture
from orthopsis.core.drawing.solved import solve
from orthopsis.core.editing.edit import drag
from orthopsis.core.errors import GeometryError
from orthopsis.core.exercise.solve import draw_picture
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
    exercises(most=6) | roofed() | rows() | roads() | silhouettes() | windowed(),
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


@settings(max_examples=80)
@given(exercises(most=5) | roofed() | rows() | roads() | silhouettes() | windowed() | patterned() | words(), st.data())
def test_the_picture_before_with_what_is_other_is_the_picture_after(exercise: Exercise, data: st.DataObject) -> None:
    try:
        before = draw_picture(exercise)
        handle = data.draw(st.sampled_from(before.handles))
        across, up = data.draw(st.integers(-12, 12)), data.draw(st.integers(-12, 12))
        after = draw_picture(drag(exercise, handle.id, handle.at[0] + across, handle.at[1] + up))
    except GeometryError:
        return
    said = change(before, after)

    def merged(was: list[Any], other: list[Any], gone: list[Any], key: str) -> dict[Any, Any]:
        assert set(gone) <= {getattr(one, key) for one in was}
        kept = {getattr(one, key): one for one in was if getattr(one, key) not in gone}
        return kept | {getattr(one, key): one for one in other}

    faces = merged(before.faces, said.faces, [], "id")
    assert [faces[number] for number in said.painted] == after.faces
    for name, key in (("lines", "id"), ("handles", "id"), ("measures", "path")):
        found = merged(getattr(before, name), getattr(said, name), getattr(said, f"gone_{name}"), key)
        assert found == {getattr(one, key): one for one in getattr(after, name)}
    for name in ("eye_level_mm", "vanishing_points", "aims", "strips"):
        assert getattr(said, name) == getattr(after, name)


def test_only_what_moves_is_said() -> None:
    flat = {"depth_by": "measured", "depth": 10.0}
    exercise = exercise_of(*(box(f"Crate {i}", 20.0 + 50 * i, 30.0, 30.0, 30.0, **flat) for i in range(6)))
    before = draw_picture(exercise)
    said = change(before, draw_picture(drag(exercise, "things.2.place", 122.0, 33.0)))
    assert {line.thing for line in said.lines} <= {"Crate 2", ""}, "and what is seen of the eye level behind it"
    assert {face.thing for face in said.faces} == {"Crate 2"}
    assert {handle.about for handle in said.handles} - {"eye_level", "views.0"} == {"things.2"}
    assert {line.thing for line in change(before, draw_picture(exercise)).lines} <= {""}


@pytest.mark.parametrize("document", READY, ids=lambda document: str(document["title"]))
def test_what_nobody_keeps_is_gone_at_once(document: dict[str, Any]) -> None:
    """Nothing of a drawing holds itself: else only the search for garbage, which stops a hand, would find it."""
    exercise = read_exercise(document)
    draw_picture(exercise)
    built.forget()
    gc.collect()
    gc.disable()
    try:
        draw_picture(exercise)
        built.forget()
        assert gc.collect() == 0
    finally:
        gc.enable()


def test_a_thing_that_nobody_keeps_stands_nowhere() -> None:
    exercise = exercise_of(box("Kept for a while", 31.0, 33.0, 60.0, 50.0))
    solved = solve(prepare(exercise))
    names = [standing.values.name for standing in declare._STANDING.values()]
    assert "Kept for a while" in names
    del solved
    built.forget()
    assert "Kept for a while" not in [standing.values.name for standing in declare._STANDING.values()]
