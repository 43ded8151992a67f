"""A cure cures: once it is taken, the advice that offered it is not given again."""

import pytest
from hypothesis import given, settings
from hypothesis import strategies as st

from conftest import box, exercise_of
from orthopsis.core.advice.advise import sought_cure
from orthopsis.core.document.document import Exercise
from orthopsis.core.drawing.answer import Advice
from orthopsis.core.editing import edit
from orthopsis.core.errors import GeometryError
from orthopsis.core.exercise.add_thing import add_thing
from orthopsis.core.exercise.solve import draw

CONE = ("outside_comfortable_cone", "outside_outer_cone")


def taken(exercise: Exercise, advice: Advice) -> Exercise:
    """Return the exercise after the first cure of a piece of advice."""
    cure = advice.cures[0]
    for change in sought_cure(exercise, advice.code, advice.about) if cure.is_sought else cure.edits:
        exercise = edit.set_at(exercise, change.path, change.value)
    return exercise


@settings(max_examples=25)
@given(st.integers(20, 330), st.integers(10, 230), st.integers(60, 260), st.sampled_from(["half", "measured", "cube"]))
def test_the_distance_that_is_advised_is_far_enough(left: int, bottom: int, distance: int, by: str) -> None:
    view = {"kind": "one_point", "x_mm": 210.0, "distance_mm": float(distance)}
    exercise = exercise_of(box("A", left, bottom, 60, 40, depth_by=by, depth=30), views=[view])
    try:
        found = [a for a in draw(exercise).advice if a.code in CONE and a.cures]
    except GeometryError:
        return
    for advice in found:
        after = draw(taken(exercise, advice))
        assert not [a for a in after.advice if a.code in CONE], advice.text


@pytest.mark.parametrize("third", [-500.0, 800.0])
def test_a_third_point_off_the_sheet_has_a_cure_where_there_is_one(third: float) -> None:
    view = {"kind": "three_point", "left_mm": 120.0, "right_mm": 300.0, "third_x_mm": 210.0, "third_y_mm": third}
    exercise = exercise_of(box("A", 210, 120, 40, 40), views=[view])
    (advice,) = (a for a in draw(exercise).advice if a.code == "third_point_off_sheet")
    assert "edge" in advice.cures[0].text
    after = draw(taken(exercise, advice)).advice
    assert not [a for a in after if a.code in ("third_point_off_sheet", "third_point_too_near")]


def test_strips_are_named_for_the_sides_that_need_them() -> None:
    view = {"kind": "one_point", "x_mm": 150.0, "distance_mm": 220.0}
    exercise = exercise_of(box("A", 120, 40, 40, 40, depth_by="cube"), views=[view])
    (advice,) = (a for a in draw(exercise).advice if a.code == "distance_point_off_sheet")
    assert "The left distance point lies 70 mm off" in advice.text
    assert "on the right" not in advice.text


def test_rounding_to_the_ruler_never_moves_a_drawing_by_nothing() -> None:
    exercise = exercise_of(box("A", 30.02, 20.0, 60.0, 40.0, depth_by="half"))
    (advice,) = (a for a in draw(exercise).advice if a.code == "between_marks")
    assert "moves by less than 1 mm" in advice.text
    assert "0.0" not in advice.text


MOVED = ("side_too_thin", "line_too_flat", "outside_triangle")


@settings(max_examples=40, deadline=None)
@given(
    st.sampled_from(["one_point", "two_point", "three_point"]),
    st.sampled_from(["box", "profile"]),
    st.integers(0, 400),
    st.integers(0, 280),
)
def test_where_a_thing_is_moved_to_nothing_more_is_said(view: str, kind: str, left: int, bottom: int) -> None:
    exercise = add_thing(edit.set_at(Exercise(), "views.0.kind", view), kind)
    exercise = edit.set_at(exercise, "things.0.left", float(left))
    exercise = edit.set_at(exercise, "things.0.bottom", float(bottom))
    try:
        before = [a for a in draw(exercise).advice if a.about == "things.0"]
    except GeometryError:
        return
    for advice in before:
        if advice.code in MOVED:
            try:
                moved = taken(exercise, advice)
            except GeometryError as error:
                assert error.code == "no_place_found"
                continue
            after = [a for a in draw(moved).advice if a.about == "things.0"]
            assert advice.code not in [a.code for a in after], advice.text
            assert len(after) < len(before) or any(a.code in CONE for a in after), advice.text


@pytest.mark.parametrize(
    ("view", "at", "code"),
    [
        ("one_point", (7.0, 99.0), "side_too_thin"),
        ("two_point", (49.0, 9.0), "line_too_flat"),
        ("three_point", (7.0, 189.0), "outside_triangle"),
    ],
)
def test_the_usual_faults_of_place_have_a_button(view: str, at: tuple[float, float], code: str) -> None:
    exercise = add_thing(edit.set_at(Exercise(), "views.0.kind", view), "box")
    exercise = edit.set_at(edit.set_at(exercise, "things.0.left", at[0]), "things.0.bottom", at[1])
    (advice,) = (a for a in draw(exercise).advice if a.code == code)
    after = draw(taken(exercise, advice))
    assert code not in [a.code for a in after.advice]


def test_what_stands_on_another_is_moved_along_it_but_not_off_it() -> None:
    on_top = box("B", 176, 0, 28, 30, joined_to="A", joined_by="on_top")
    exercise = exercise_of(box("A", 150, 30, 120, 40), on_top)
    (thin,) = (a for a in draw(exercise).advice if a.code == "side_too_thin" and a.about == "things.1")
    assert thin.cures[0].is_sought
    assert [change.path for change in sought_cure(exercise, thin.code, thin.about)] == ["things.1.left"]


def test_a_cure_that_is_no_longer_due_is_refused_in_a_sentence() -> None:
    with pytest.raises(GeometryError) as refused:
        sought_cure(exercise_of(box("A", 30, 20, 60, 40)), "line_too_flat", "things.0")
    assert refused.value.code == "no_such_advice"


WALL = {
    "kind": "box", "name": "Wall", "left": 60.0, "bottom": 40.0, "height": 90.0, "left_by": "measured",
    "left_length": 20.0, "right_by": "measured", "right_length": 250.0,
}  # fmt: skip


def windows_of(columns: int, wide: str = "half", rows: int = 1) -> Exercise:
    row = {"kind": "rectangles", "name": "Windows", "joined_to": "Wall", "joined_by": "face_right", "wide": wide}
    row |= {"columns": str(columns), "rows": str(rows), "along": "0:1:0"}
    return exercise_of(WALL, row, views=[{"kind": "two_point", "left_mm": -60.0, "right_mm": 340.0}])


@pytest.mark.parametrize(("columns", "wide"), [(24, "half"), (24, "fifth")])
def test_windows_that_a_pencil_cannot_part_are_said_with_the_number_that_fits(columns: int, wide: str) -> None:
    exercise = windows_of(columns, wide)
    (advice,) = (a for a in draw(exercise).advice if a.code == "crowded")
    fits = int(str(advice.cures[0].edits[0].value))
    assert 1 <= fits < columns
    assert [a for a in draw(taken(exercise, advice)).advice if a.code == "crowded"] == []
    assert [a.code for a in draw(windows_of(fits + 1, wide)).advice if a.code == "crowded"] == ["crowded"]


def test_a_few_windows_are_not_too_many() -> None:
    assert [a for a in draw(windows_of(4, rows=2)).advice if a.code == "crowded"] == []


def test_rows_that_a_pencil_cannot_part_are_said_too() -> None:
    exercise = exercise_of(
        box("Wall", 60, 40, 120, 24, depth_by="half"),
        {"kind": "rectangles", "name": "Windows", "joined_to": "Wall", "joined_by": "face_front", "rows": "20"},
    )
    (advice,) = (a for a in draw(exercise).advice if a.code == "crowded")
    assert advice.cures[0].edits[0].path.endswith("rows")
