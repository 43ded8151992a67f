"""What a lesson takes: it follows from the drawing, and is shown where it applies and only there."""

from dataclasses import replace
from typing import Any

import pytest
from hypothesis import given
from hypothesis import strategies as st

from conftest import box, exercise_of
from orthopsis.core.document.document import Exercise, read_exercise
from orthopsis.core.document.ready import READY
from orthopsis.core.exercise.lesson_sheet import LessonSheet, lesson_sheet
from orthopsis.core.exercise.solve import draw
from orthopsis.core.lesson.materials import RULERS_MM, Needs, cautions, materials, ruler_for
from orthopsis.core.sheet.strip import Strip
from orthopsis.core.wording.materials import CAUTIONS, MATERIALS

NOTHING = Needs((), 200.0, has_parallels=False, has_curves=False, has_compass=False, has_tones=True, has_building=False)


def made(exercise: Exercise, students: int = 24) -> LessonSheet:
    return lesson_sheet(exercise, draw(exercise), students)


def ready(title: str) -> Exercise:
    return read_exercise(next(one for one in READY if one["title"] == title))


def said(sheet: LessonSheet) -> str:
    return " ".join(what for what, _ in sheet.materials) + " ".join(sheet.cautions)


@given(st.integers(1, 40))
def test_each_student_has_one_of_all_and_some_sheets_are_spare(students: int) -> None:
    found = {one.key: one.count for one in materials(NOTHING, students, "A3 paper", [])}
    assert found["sheets"] > students
    assert found["sheets"] <= students + max(1, students / 10 + 1)
    assert found["rulers"] == found["erasers"] == found["set_squares"] == students
    assert found.keys() <= MATERIALS.keys()


@given(st.floats(0, 3000))
def test_the_shortest_ruler_that_reaches_is_taken(farthest: float) -> None:
    ruler = ruler_for(farthest)
    assert ruler in RULERS_MM
    assert ruler >= farthest or ruler == max(RULERS_MM)
    assert not [shorter for shorter in RULERS_MM if farthest <= shorter < ruler]


def test_strips_of_one_size_are_counted_together_and_bring_tape_and_a_knife() -> None:
    strip = Strip("left", -130.0, 80.0, 130.0, 80.0)
    needs = Needs((strip, strip), 500.0, has_parallels=True, has_curves=True, has_compass=True, has_tones=True,
                  has_building=True)  # fmt: skip
    found = materials(needs, 10, "A3 paper", ["130 mm by 80 mm", "130 mm by 80 mm"])
    assert [(one.key, one.count) for one in found if one.key in ("strips", "tape")] == [("strips", 20), ("tape", 1)]
    assert cautions(needs) == ["knife", "liners", "compasses", "building", "school"]
    by_hand = replace(needs, has_compass=False)
    assert cautions(by_hand) == ["knife", "liners", "curves", "building", "school"], "a compass may still be tried"
    assert cautions(NOTHING) == ["liners", "school"]
    assert set(cautions(needs)) | set(cautions(by_hand)) == set(CAUTIONS)


def test_points_on_the_sheet_need_no_strip_and_no_knife() -> None:
    words = said(made(ready("Three crates: below, on and above")))
    assert "strip" not in words
    assert "knife" not in words
    assert "no design" not in words


@pytest.mark.parametrize(
    ("title", "parts"),
    [
        ("Chests by the boathouse, two points", ("48 strips of paper", "Masking tape", "knife")),
        ("A boathouse with a gable roof, two points", ("no design", "knife")),
        ("A small world of towers about one point", ("24 compasses", "points covered")),
        ("TIDE in rounded letters, one point", ("see-through rulers", "point down")),
    ],
)
def test_what_a_drawing_takes_follows_from_it(title: str, parts: tuple[str, ...]) -> None:
    words = said(made(ready(title)))
    for part in parts:
        assert part in words


def test_the_ruler_reaches_from_the_farthest_corner_to_its_point() -> None:
    near: dict[str, Any] = {"views": [{"kind": "one_point", "x_mm": 210.0}]}
    crate = box("Crate", 60.0, 40.0, 60.0, 40.0, depth_by="half")
    assert "24 rulers of 30 cm" in said(made(exercise_of(crate, **near)))
    assert "24 rulers of 100 cm" in said(made(ready("KNOT around a corner, two points")))


@pytest.mark.parametrize("one", READY, ids=[one["title"] for one in READY])
def test_steps_come_one_after_the_other_as_long_as_they_take(one: dict[str, Any]) -> None:
    exercise = read_exercise(one)
    drawing, sheet = draw(exercise), made(exercise)
    assert [step.title for step in sheet.steps] == [step.title for step in drawing.steps]
    assert sheet.steps[0].begins == 0
    assert sheet.minutes == pytest.approx(sum(step.minutes for step in drawing.steps))
    lasts = [b.begins - a.begins for a, b in zip(sheet.steps, sheet.steps[1:], strict=False)]
    assert lasts == pytest.approx([step.minutes for step in drawing.steps[:-1]])
    assert [step.may_stop for step in sheet.steps] == [step.stop for step in drawing.steps]
    assert len({what for what, _ in sheet.materials}) == len(sheet.materials)


def test_a_class_that_measures_in_inches_reads_inches() -> None:
    document = {**next(one for one in READY if one["title"] == "Chests by the boathouse, two points")}
    document["sheet"] = {**document.get("sheet", {}), "units": "in", "division": "1/8 in", "paper": "11 x 17 in"}
    words = said(made(read_exercise(document)))
    assert " in by " in words
    assert " mm" not in words
