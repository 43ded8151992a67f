"""The edits of a cure, however many, are one change: what each alone would make, all of them make together."""

import pytest
from hypothesis import given
from hypothesis import strategies as st

from conftest import box, exercise_of
from orthopsis.core.drawing.answer import CureEdit
from orthopsis.core.editing import edit
from orthopsis.core.errors import GeometryError

PLACES = (
    "things.0.left",
    "things.0.width",
    "things.1.bottom",
    "things.1.height",
    "eye_level.height_mm",
    "views.0.x_mm",
)


@given(st.lists(st.tuples(st.sampled_from(PLACES), st.integers(20, 120)), max_size=8))
def test_all_at_once_is_one_after_the_other(changes: list[tuple[str, int]]) -> None:
    exercise = exercise_of(box("A", 30, 20, 60, 40), box("B", 280, 200, 50, 50))
    edits = [CureEdit(path=path, value=float(mm)) for path, mm in changes]
    alone = exercise
    for change in edits:
        alone = edit.set_at(alone, change.path, change.value)
    assert edit.set_all(exercise, edits) == alone


def test_many_are_not_written_one_by_one(monkeypatch: pytest.MonkeyPatch) -> None:
    exercise = exercise_of(*(box(f"B {i}", 10.2 + i, 20.2, 30, 30) for i in range(100)))
    written = 0
    changed_at = edit.changed_at

    def counted(*arguments: object) -> object:
        nonlocal written
        written += 1
        return changed_at(*arguments)  # type: ignore[arg-type]

    monkeypatch.setattr(edit, "changed_at", counted)
    edits = [CureEdit(path=f"things.{i}.left", value=10.0 + i) for i in range(100)]
    after = edit.set_all(exercise, edits)
    assert [thing.held()["left"] for thing in after.things] == [10.0 + i for i in range(100)]
    assert written == 1


@pytest.mark.parametrize("path", ["things.7.left", "things.x.left", "things.0.nothing", "nowhere", ""])
def test_a_place_that_is_not_there_is_refused(path: str) -> None:
    with pytest.raises(GeometryError):
        edit.set_all(exercise_of(box("A", 30, 20, 60, 40)), [CureEdit(path=path, value=3.0)])
