"""Lengths as a teacher says them: sums, shares of the sheet, words; and refusals whose offer can be taken."""

import pytest
from hypothesis import given
from hypothesis import strategies as st

from conftest import box, exercise_of
from orthopsis.core.document.document import Exercise, read_exercise
from orthopsis.core.document.ready import READY
from orthopsis.core.editing import edit
from orthopsis.core.errors import GeometryError, UnreadableLength
from orthopsis.core.exercise.nearest import with_working_nearest
from orthopsis.core.exercise.own_sheet import own_sheet
from orthopsis.core.exercise.solve import draw
from orthopsis.core.sheet.length import format_limit, parse_length
from orthopsis.core.sheet.measure import parse_measure

SAID = [
    ("half", "mm", 210.0, 105.0),
    ("Half way", "cm", 210.0, 105.0),
    ("half", "in", 228.6, 114.3),
    ("a third", "cm", 297.0, 99.0),
    ("1/3", "cm", 297.0, 99.0),
    ("1/3", "in", 304.8, 101.6),
    ("1/2", "cm", 297.0, 148.5),
    ("1/2", "in", 304.8, 12.7),
    ("1/2 of the sheet", "in", 304.8, 152.4),
    ("40 %", "mm", 420.0, 168.0),
    ("37,5%", "mm", 420.0, 157.5),
    ("3 3/8 + 2", "in", None, 5.375 * 25.4),
    ("3 3/8 in + 2 cm", "mm", None, 3.375 * 25.4 + 20),
    ("half - 2 cm", "cm", 420.0, 190.0),
    ("210 - 30 - 5", "mm", None, 175.0),
    ("-30", "mm", None, -30.0),
    ("2-3/8", "in", None, 2.375 * 25.4),
]


@pytest.mark.parametrize(("text", "units", "whole", "mm"), SAID)
def test_sums_shares_and_words_are_lengths(text: str, units: str, whole: float | None, mm: float) -> None:
    assert parse_measure(text, units, whole) == pytest.approx(mm, abs=1e-9)


@pytest.mark.parametrize("text", ["half", "half +", "3 + nonsense", "5/3 of it", "1 + 1 + 1 + 1 + 1 + 1 + 1", ""])
def test_what_is_no_measure_is_refused_with_what_to_do(text: str) -> None:
    with pytest.raises(UnreadableLength) as refused:
        parse_measure(text, "cm", None)
    assert refused.value.fix


@given(st.integers(1, 400), st.integers(1, 400), st.sampled_from(["mm", "cm"]))
def test_a_sum_is_the_sum_of_its_parts(a: int, b: int, units: str) -> None:
    parts = parse_length(f"{a}", units) + parse_length(f"{b}", units)
    assert parse_measure(f"{a} + {b}", units, None) == pytest.approx(parts)
    assert parse_measure(f"{a} - {b} + {b}", units, None) == pytest.approx(parse_length(f"{a}", units))


@given(st.floats(0.1, 3000), st.sampled_from([("mm", 1.0), ("in", 25.4 / 8), ("in", 25.4 / 16)]), st.booleans())
def test_a_limit_is_written_as_a_mark_within_it(mm: float, ruler: tuple[str, float], is_least: bool) -> None:
    units, division = ruler
    shown = parse_length(format_limit(mm, units, division, is_least=is_least), units)
    assert abs(shown - mm) <= division * 1.01
    assert shown >= mm - 1e-6 if is_least else shown <= mm + 1e-6


@pytest.mark.parametrize(("paper", "half"), [("A4", 105.0), ("9 x 12 in", 114.3), ("A3", 148.5)])
def test_half_way_up_is_half_on_every_paper(paper: str, half: float) -> None:
    exercise = edit.type_at(Exercise(), "sheet.paper", paper)
    assert edit.type_at(exercise, "eye_level.height_mm", "half").eye_level.height_mm == pytest.approx(half)


@pytest.mark.parametrize("units", ["mm", "in"])
@pytest.mark.parametrize("number", [0, 4, 6, 8, 17])
def test_the_value_that_a_refusal_offers_is_taken(number: int, units: str) -> None:
    exercise = edit.type_at(read_exercise(READY[number]), "sheet.units", units)
    offered = 0
    places = [p for s in draw(exercise).sentences for p in s.pieces if p.kind in ("length", "free_length", "number")]
    for place in places:
        for text in ("0 in", "-5 in", "5000 in", "0.001 mm", "89.99"):
            try:
                draw(edit.type_at(exercise, place.path, text))
            except GeometryError as error:
                told = with_working_nearest(exercise, error)
                assert told.fix
                if told.nearest:
                    offered += 1
                    draw(edit.type_at(exercise, told.about, told.nearest))
    assert offered > 10


def test_a_margin_that_cannot_be_is_refused_in_a_teacher_s_words() -> None:
    with pytest.raises(GeometryError) as refused:
        edit.type_at(Exercise(), "sheet.margin_mm", "-4")
    assert "at least 0 mm" in refused.value.why
    assert "greater than" not in refused.value.why


def own_remarks(name: str, **more: object) -> tuple[list[str], str]:
    word = {"kind": "letters", "name": "Name", "text": "GULLS", "left": 30, "bottom": 30, "whose": "student"}
    own = own_sheet(exercise_of({**word, **more}, box("A", 300, 20, 40, 40), minutes=600), name)
    return list(own.remarks), str(own.exercise.things[0].held()["text"])


def test_what_becomes_of_a_name_is_always_told() -> None:
    assert own_remarks("Ada") == ([], "ADA")
    remarks, text = own_remarks("山田")
    assert text == "GULLS"
    assert any("no character of this alphabet" in r for r in remarks)
    remarks, text = own_remarks("Oystercatcher", long="initials")
    assert text == "O"
    assert any("cut to initials" in r for r in remarks)
    remarks, _ = own_remarks("Bartholomea", left=330)
    assert any("over the paper's edge" in r for r in remarks)
