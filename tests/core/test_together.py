"""Several things moved, copied and removed at once."""

import pytest
from hypothesis import given
from hypothesis import strategies as st

from conftest import box, exercise_of
from orthopsis.core.document.document import Exercise
from orthopsis.core.editing.edit_together import copy_together, drag_together, remove_together, shift_together
from orthopsis.core.errors import GeometryError
from orthopsis.core.exercise.solve import draw


def _three() -> Exercise:
    """Two boxes, a third one on top of the second."""
    on_top = box("Top", 0, 0, 20, 20, joined_to="Low", joined_by="on_top")
    return exercise_of(box("Alone", 40, 30, 40, 30), box("Low", 250, 20, 50, 40), on_top)


def _at(exercise: Exercise, name: str) -> tuple[float, float]:
    (thing,) = (t for t in exercise.things if t.name == name)
    held = thing.held()
    return float(held["left"]), float(held["bottom"])  # type: ignore[arg-type]


def test_what_is_removed_together_is_gone_and_the_rest_stands() -> None:
    left = remove_together(_three(), [0, 1])
    assert [thing.name for thing in left.things] == ["Top"]
    assert left.things[0].joined_to == 0


def test_copies_hang_together_as_their_originals_do() -> None:
    copied = copy_together(_three(), [1, 2])
    assert [thing.name for thing in copied.things[:3]] == ["Alone", "Low", "Top"]
    low, top = copied.things[3:]
    assert top.joined_to == low.id
    assert top.joined_by == "on_top"
    drawn = draw(copied)
    foot, under = drawn.points[f"{top.name}.front.bottom_left"], drawn.points[f"{low.name}.front.top_left"]
    assert foot[1] == pytest.approx(under[1])


@given(st.integers(-400, 400), st.integers(-400, 400))
def test_at_the_edge_all_stop_together(right: int, up: int) -> None:
    before = _three()
    after = shift_together(before, [0, 1], (float(right), float(up)))
    for axis in (0, 1):
        apart = _at(before, "Low")[axis] - _at(before, "Alone")[axis]
        assert _at(after, "Low")[axis] - _at(after, "Alone")[axis] == pytest.approx(apart)
        assert min(_at(after, "Low")[axis], _at(after, "Alone")[axis]) >= 0


def test_the_others_go_with_the_one_that_is_dragged_but_only_where_it_is_moved() -> None:
    before = _three()
    x, y = _at(before, "Alone")
    moved = drag_together(before, "things.0.place", x + 17, y + 6, [1])
    assert _at(moved, "Alone") == (57, 36)
    assert _at(moved, "Low") == (267, 26)
    stretched = drag_together(before, "things.0.size", x + 60, y + 50, [1])
    assert _at(stretched, "Low") == _at(before, "Low")
    assert stretched.things[0] != before.things[0]


def test_what_stands_on_another_goes_with_it_and_not_twice() -> None:
    before = draw(_three()).points["Top.front.bottom_left"]
    after = draw(shift_together(_three(), [1, 2], (10.0, 0.0))).points["Top.front.bottom_left"]
    assert after[0] - before[0] == pytest.approx(10.0)


@pytest.mark.parametrize("indices", [[3], [-1], [0, 99]])
def test_a_thing_that_is_not_there_is_refused(indices: list[int]) -> None:
    for act in (remove_together, copy_together):
        with pytest.raises(GeometryError):
            act(_three(), indices)
    with pytest.raises(GeometryError):
        shift_together(_three(), indices, (1.0, 1.0))
