"""A teacher drags, chooses, types, adds, removes anything in any ready exercise: it is drawn and told, or refused."""

from functools import cache

from any_edit import ACTS, Act, faults
from hypothesis import given, settings
from hypothesis import strategies as st

from orthopsis.core.document.document import Exercise, read_exercise
from orthopsis.core.document.ready import READY
from orthopsis.core.drawing.answer import HandlePlace
from orthopsis.core.editing.edit_together import drag_together
from orthopsis.core.errors import GeometryError
from orthopsis.core.exercise.solve import draw, draw_picture


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
    assert not list(faults(exercise))


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
    assert not list(faults(moved))
