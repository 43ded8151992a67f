"""A hand drags anything of any ready exercise anywhere: drawn by both routes alike, or refused in plain words."""

from functools import cache

from hypothesis import given, settings
from hypothesis import strategies as st
from scenes import assert_same_point

from orthopsis.core.document.document import Exercise, read_exercise
from orthopsis.core.document.ready import READY
from orthopsis.core.drawing.answer import HandlePlace
from orthopsis.core.drawing.solved import solve
from orthopsis.core.editing.edit_together import drag_together
from orthopsis.core.errors import GeometryError
from orthopsis.core.exercise.solve import draw, draw_picture
from orthopsis.core.scene.prepared import prepare
from orthopsis.core.telling.completeness import gaps
from orthopsis.core.telling.told import tell

NEAR_MM = 2000.0
"""Farther from the sheet than this a place means nothing to a hand."""


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
        answer = draw(moved)
    except GeometryError as error:
        assert error.why.endswith(".")
        assert error.fix.endswith(".")
        return
    found = solve(prepare(moved))
    assert not list(gaps(tell(found).breaths, found.board))
    assert all(step.text for step in answer.steps)
    for placed, thing in zip(found.prepared.things, found.built, strict=True):
        for name, (x, y) in thing.page.items():
            made = found.board.points.get(f"{placed.values.name}.{name}")
            if made is not None and not made.is_ideal and abs(x) < NEAR_MM and abs(y) < NEAR_MM:
                assert_same_point(made.xy, (x, y), f"{placed.values.name}: {name}")
