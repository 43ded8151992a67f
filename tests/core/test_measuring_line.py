"""A measuring line has room on the sheet, its marks are on the ruler, and it divides truly."""

from typing import Any

import pytest
from hypothesis import assume, given
from hypothesis import strategies as st

from orthopsis.core.construct.measuring import measuring_line
from orthopsis.core.document.document import read_exercise
from orthopsis.core.document.ready import READY
from orthopsis.core.exercise.solve import draw
from orthopsis.core.plane.cross_ratio import cross_ratio
from orthopsis.core.plane.homogeneous import Point, distance, join, meet
from orthopsis.core.sheet.paper import Sheet

SHEET, LEVEL = Sheet(420.0, 297.0), 180.0
ON_SHEET = st.tuples(st.floats(20, 400), st.floats(20, 160))


@given(ON_SHEET, st.floats(-200, 620), st.floats(0.1, 0.6), st.integers(2, 6))
def test_all_of_it_lies_on_the_sheet_and_it_divides_as_the_eye_would(
    at: tuple[float, float], goal_x: float, share: float, parts: int
) -> None:
    start, goal = Point(*at), Point(goal_x, LEVEL)
    end = Point(start.x + share * (goal.x - start.x), start.y + share * (goal.y - start.y))
    assume(SHEET.holds(*end.xy) and abs(end.y - start.y) > 2.0 and distance(start, end) > 20.0)
    line = measuring_line(start, end, LEVEL, SHEET, parts)
    if line is None:
        return
    assert SHEET.holds(start.x + line.length_mm, start.y)
    assert SHEET.holds(*line.pivot.xy)
    assert line.pivot.y == pytest.approx(LEVEL)
    assert line.length_mm / parts == pytest.approx(round(line.length_mm / parts)), "each part ends on a mark"
    # Equal parts in truth: their ends and the vanishing point have the cross-ratio of 0, 1, k and infinity.
    marks = [Point(start.x + line.length_mm * k / parts, start.y) for k in range(parts + 1)]
    feet = [meet(join(mark, line.pivot), join(start, end)) for mark in marks]
    along = [distance(start, foot) for foot in feet]
    assert along[-1] == pytest.approx(distance(start, end), abs=1e-6)
    for k in range(2, parts + 1):
        assert cross_ratio(along[0], along[1], along[k], distance(start, goal)) == pytest.approx(k / (k - 1), rel=1e-6)


def test_the_usual_one_is_as_long_as_its_edge_toward_the_side_to_which_that_runs() -> None:
    line = measuring_line(Point(60, 40), Point(140, 70), LEVEL, SHEET, 1)
    assert line is not None
    assert line.length_mm == round(distance(Point(60, 40), Point(140, 70)))


def test_none_has_room_where_a_short_steep_edge_stands_at_the_rim() -> None:
    assert measuring_line(Point(1, 20), Point(2, 30), LEVEL, SHEET, 1) is None
    assert measuring_line(Point(201, 20), Point(202, 30), LEVEL, SHEET, 1) is not None


@pytest.mark.parametrize("ready", READY, ids=[ready["title"] for ready in READY])
def test_no_share_of_an_edge_is_told_where_its_line_runs_to_the_eye_level(ready: dict[str, Any]) -> None:
    drawing = draw(read_exercise(ready))
    is_level = all(abs(aim.at[1] - drawing.eye_level_mm) < 1e-6 for aim in drawing.aims)
    for step in drawing.steps:
        shown = [mark.text for scale in step.scales for mark in scale.marks]
        assert not is_level or "%" not in step.text + "".join(shown), step.text


def test_marks_of_a_letter_that_lies_on_the_quay_are_on_the_ruler() -> None:
    steps = draw(read_exercise(next(r for r in READY if r["title"] == "H lying on the quay, two points"))).steps
    laid = next(step for step in steps if "measuring line" in step.title)
    figures = [mark.text for scale in laid.scales for mark in scale.marks]
    assert figures
    assert all(figure.isdigit() for figure in figures), "whole millimetres"
    titles = [step.title for step in steps]
    at = titles.index(laid.title)
    assert "carries them over" in titles[at + 1]
    assert "carry the marks over" in titles[at + 2]
