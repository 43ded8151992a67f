"""Name sheets: each student's own name where the teacher's word stands."""

import pytest
from hypothesis import given, settings
from hypothesis import strategies as st

from conftest import exercise_of
from orthopsis.core.check.check import check
from orthopsis.core.check.stroke import Stroke
from orthopsis.core.exercise.document import Exercise
from orthopsis.core.exercise.personal import is_personal, sheet_for
from orthopsis.core.exercise.solve import draw
from orthopsis.core.plane.homogeneous import Point


def name_sheet(long: str = "smaller", whose: str = "student", **more: object) -> Exercise:
    thing = {"kind": "letters", "name": "Name", "text": "GULLS", "left": 30, "bottom": 30, "width": 50, "height": 60}
    return exercise_of({**thing, "gap": 10, "whose": whose, "long": long, **more})


def extent(exercise: Exercise) -> tuple[float, float]:
    """Return how far the front of the word reaches, page mm."""
    points = [at for name, at in draw(exercise).points.items() if name.startswith("Name.front.")]
    return max(x for x, _ in points), max(y for _, y in points)


@settings(max_examples=40, deadline=None)
@given(st.text(st.characters(codec="utf-8", exclude_categories=["Cs"]), min_size=1, max_size=30))
def test_any_name_takes_up_no_more_room_than_the_teacher_s_word(name: str) -> None:
    for long in ("smaller", "rows", "initials"):
        template = name_sheet(long)
        right, top = extent(template)
        own_right, own_top = extent(sheet_for(template, name).exercise)
        assert own_right <= right + 1
        assert own_top <= 30 + 1.5 * (top - 30) + 1


@pytest.mark.parametrize(
    ("long", "name", "text"),
    [
        ("smaller", "Guillemot 12", "GUILLEMOT 12"),
        ("rows", "Guillemot 12", "GUILLEMOT/12"),
        ("rows", "Oystercatcher", "OYSTERC/ATCHER"),
        ("initials", "Guillemot 12", "G12"),
        ("initials", "Anna-Maria Sandpiper", "AMS"),
        ("initials", "Tern 3", "TERN 3"),
    ],
)
def test_what_becomes_of_long_names_is_decided_once_for_all(long: str, name: str, text: str) -> None:
    assert sheet_for(name_sheet(long), name).exercise.things[0].held()["text"] == text


def test_a_teacher_is_told_what_needs_a_look() -> None:
    assert sheet_for(name_sheet(), "Tern 3").remarks == ()
    (small,) = sheet_for(name_sheet(), "Oystercatcher 22").remarks
    assert "hard to draw" in small
    (lacking,) = sheet_for(name_sheet(), "Łuna").remarks
    assert "“Ł”" in lacking
    assert sheet_for(name_sheet(), "Łuna").exercise.things[0].held()["text"] == "LUNA"


def test_an_exercise_that_is_the_same_for_all_stays_as_it_is() -> None:
    same = name_sheet(whose="all")
    assert not is_personal(same)
    assert sheet_for(same, "Tern 3").exercise is same
    assert is_personal(name_sheet())


def test_a_sheet_is_judged_against_the_name_that_is_on_it() -> None:
    own = sheet_for(name_sheet(), "Tern 3").exercise
    drawn = draw(own)
    seen = [line for line in drawn.lines if line.visible and line.role in ("edge", "detail") and not line.bend]
    strokes = [Stroke(Point(*line.start), Point(*line.end), 1.0) for line in seen]
    right, wrong = check(own, strokes), check(name_sheet(), strokes)
    assert right.missing == []
    assert [finding for finding in right.findings if finding.severity] == []
    assert len(wrong.missing) > 10
