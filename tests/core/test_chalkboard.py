"""Measures for a board of the teacher's own size: every length so many times as long, on the board's own marks."""

import re

import pytest
from hypothesis import given
from hypothesis import strategies as st

from conftest import exercise_of
from orthopsis.core.document.document import read_exercise
from orthopsis.core.document.ready import READY
from orthopsis.core.errors import GeometryError
from orthopsis.core.exercise.solve import draw
from orthopsis.core.sheet.chalkboard import NARROWEST_MM, WIDEST_MM, chalkboard_of
from orthopsis.core.sheet.paper import Sheet

CRATE = {
    "kind": "box", "name": "Crate", "left": 60, "bottom": 40, "width": 90, "height": 70, "depth_by": "measured",
    "depth": 25,
}  # fmt: skip


def test_words_and_figures_tell_the_measures_of_the_board() -> None:
    exercise = exercise_of(CRATE)  # a sheet of 420 mm
    on_sheet, on_board = draw(exercise), draw(exercise, 2100.0)
    front = next(s for s in on_board.steps if s.phase == "front" and s.thing)
    assert {one.text for one in front.dimensions} == {"30 cm", "20 cm", "45 cm", "35 cm"}
    assert "30 cm from the left, 20 cm up" in front.text
    assert [s.text for s in on_board.steps if s.phase == "guides"] == [
        s.text for s in on_sheet.steps if s.phase == "guides"
    ]


def test_the_drawing_itself_is_the_sheet_s_and_a_board_leaves_nothing_behind() -> None:
    exercise = read_exercise(READY[0])
    before, on_board, after = draw(exercise), draw(exercise, 1800.0), draw(exercise)
    assert before.model_dump_json() == after.model_dump_json()
    assert on_board.lines == before.lines
    assert on_board.measures != before.measures


@pytest.mark.parametrize("ready", READY[::4], ids=[ready["title"] for ready in READY[::4]])
def test_no_measure_of_the_sheet_is_left_on_a_board(ready: dict[str, object]) -> None:
    exercise = read_exercise(ready)
    units = "in" if draw(exercise).sheet.units == "in" else "cm"
    for step in draw(exercise, 2400.0).steps:
        found = re.findall(r"\d (mm|cm|in)\b", " ".join([step.text, *(one.text for one in step.dimensions)]))
        assert set(found) <= {units}, step.text


@given(st.floats(NARROWEST_MM, WIDEST_MM), st.sampled_from(["mm", "cm", "in"]))
def test_the_whole_sheet_is_as_wide_as_the_board(width_mm: float, units: str) -> None:
    sheet = Sheet(420.0, 297.0, units, 1.0)  # type: ignore[arg-type]
    board = chalkboard_of(sheet, width_mm)
    assert board.times * sheet.width_mm == pytest.approx(width_mm)
    assert board.units == ("in" if units == "in" else "cm")


@pytest.mark.parametrize("width_mm", [1.0, 299.0, 9000.0])
def test_a_board_that_nobody_has_is_refused_with_what_works(width_mm: float) -> None:
    with pytest.raises(GeometryError, match="not so wide") as refused:
        draw(exercise_of(CRATE), width_mm)
    assert "30 cm" in refused.value.fix
    assert "800 cm" in refused.value.fix
