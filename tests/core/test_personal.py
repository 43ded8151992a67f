"""Name sheets: each student's own name where the teacher's word stands."""

import pytest
from hypothesis import example, given, settings
from hypothesis import strategies as st

from conftest import exercise_of
from orthopsis.core.check.check import check
from orthopsis.core.check.stroke import Stroke
from orthopsis.core.document.document import Exercise
from orthopsis.core.editing.personal import is_personal
from orthopsis.core.errors import GeometryError
from orthopsis.core.exercise.own_sheet import own_sheet
from orthopsis.core.exercise.solve import draw
from orthopsis.core.plane.homogeneous import Point


def name_sheet(
    long: str = "smaller", whose: str = "student", *, minutes: int = 600, level: str = "oldest", **more: object
) -> Exercise:
    thing = {"kind": "letters", "name": "Name", "text": "GULLS", "left": 30, "bottom": 30, "width": 50, "height": 60}
    thing = {**thing, "gap": 10, "whose": whose, "long": long, **more}
    return exercise_of(thing, minutes=minutes, wording={"level": level})


def own_text(exercise: Exercise, name: str) -> object:
    """Return the word on a student's sheet."""
    return own_sheet(exercise, name).exercise.things[0].held()["text"]


def extent(exercise: Exercise) -> tuple[float, float]:
    """Return how far the front of the word reaches, page mm."""
    points = [at for name, at in draw(exercise).points.items() if name.startswith("Name.front.")]
    return max(x for x, _ in points), max(y for _, y in points)


@settings(max_examples=40, deadline=None)
@example("2&ÌÌÆ")  # narrow letters are as wide as their strokes, which the ruler's marks widen
@example("A" * 24)  # as long as a word may be, broken into rows
@example("222Ä")  # an edge of the last letter lies on the line from another of its corners to the point
@given(st.text(st.characters(codec="utf-8", exclude_categories=["Cs"]), min_size=1, max_size=30))
def test_any_name_takes_up_no_more_room_than_the_teacher_s_word(name: str) -> None:
    for long in ("smaller", "rows", "initials"):
        template = name_sheet(long)
        right, top = extent(template)
        own_right, own_top = extent(own_sheet(template, name).exercise)
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
    assert own_text(name_sheet(long), name) == text


def test_a_teacher_is_told_what_needs_a_look() -> None:
    assert own_sheet(name_sheet(), "Tern 3").remarks == ()
    (small,) = own_sheet(name_sheet(), "Oystercatcher 22").remarks
    assert "hard to draw" in small
    (lacking,) = own_sheet(name_sheet(), "Łuna").remarks
    assert "“Ł”" in lacking
    assert own_text(name_sheet(), "Łuna") == "LUNA"


def test_the_youngest_get_strokes_that_their_hands_can_draw() -> None:
    # Hands of the youngest miss by 2 mm, of the middle by 1 mm (common practice, no source): 8 and 4 mm wide at least.
    name, fifth = "Plover 7", {"thickness": "fifth"}
    assert own_text(name_sheet("initials", level="middle", **fifth), name) == "PLOVER 7"
    assert own_text(name_sheet("initials", level="youngest", **fifth), name) == "P7"
    (said,) = own_sheet(name_sheet("smaller", level="youngest", **fifth), name).remarks
    assert "hard to draw" in said


def test_a_name_that_takes_longer_than_the_lesson_is_cut_or_said() -> None:
    whole = own_sheet(name_sheet(minutes=60), "Tern 3")
    assert own_text(name_sheet(minutes=60), "Tern 3") == "TERN 3"
    assert whole.remarks == ("It takes longer than the lesson, which has 60 minutes.",)
    short = own_sheet(name_sheet(minutes=60, late="initials"), "Tern 3")
    assert short.exercise.things[0].held()["text"] == "T3"
    assert short.minutes <= 60
    assert short.remarks == ("“TERN 3” is cut to initials: it would take longer than the lesson.",)
    assert own_text(name_sheet(minutes=600, late="initials"), "Tern 3") == "TERN 3"


@pytest.mark.parametrize(("layout", "width"), [("straight", 24), ("away", 30), ("about", 30)])
def test_letters_behind_each_other_or_in_two_groups_need_not_be_smaller(layout: str, width: float) -> None:
    own = own_sheet(name_sheet(layout=layout, step=20.0, width=30, height=40, text="HUHUH"), "Huhuhu")
    assert own.exercise.things[0].held()["text"] == "HUHUHU"
    assert own.exercise.things[0].held()["width"] == width


def test_two_rows_stand_over_each_other_only_where_all_letters_are_in_one_plane() -> None:
    with pytest.raises(GeometryError) as refused:
        draw(name_sheet(whose="all", layout="steps", text="KN/OT"))
    assert refused.value.about == "things.0.text"
    draw(name_sheet(whose="all", layout="steps", text=refused.value.nearest))


def test_an_exercise_that_is_the_same_for_all_stays_as_it_is() -> None:
    same = name_sheet(whose="all")
    assert not is_personal(same)
    assert own_sheet(same, "Tern 3").exercise is same
    assert is_personal(name_sheet())


def test_a_sheet_is_judged_against_the_name_that_is_on_it() -> None:
    own = own_sheet(name_sheet(), "Tern 3").exercise
    drawn = draw(own)
    seen = [line for line in drawn.lines if line.visible and line.role in ("edge", "detail") and not line.bend]
    strokes = [Stroke(Point(*line.start), Point(*line.end), 1.0) for line in seen]
    right, wrong = check(own, strokes), check(name_sheet(), strokes)
    assert right.missing == []
    assert [finding for finding in right.findings if finding.severity] == []
    assert len(wrong.missing) > 10
