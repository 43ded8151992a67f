"""Lengths as people type them, and papers."""

import pytest
from hypothesis import given
from hypothesis import strategies as st

from orthopsis.core.errors import UnreadableLength
from orthopsis.core.sheet.length import MM_PER, Units, format_length, parse_length
from orthopsis.core.sheet.paper import PAPERS, paper_size
from orthopsis.core.sheet.ruler import DIVISIONS_MM


@pytest.mark.parametrize(
    ("text", "units", "mm"),
    [
        ("2 3/8 in", "mm", 60.325),
        ('2 3/8"', "mm", 60.325),
        ("2⅜", "in", 60.325),
        ("2-3/8 in", "cm", 60.325),
        ("3/4 inch", "cm", 19.05),
        ("6,2 cm", "mm", 62.0),
        ("6.2", "cm", 62.0),
        (" 62mm ", "in", 62.0),
        (".5 in", "mm", 12.7),
        ("-10 mm", "mm", -10.0),
        ("½ in", "mm", 12.7),
    ],
)
def test_lengths_are_read_as_teachers_type_them(text: str, units: Units, mm: float) -> None:
    assert parse_length(text, units) == pytest.approx(mm)


@pytest.mark.parametrize(
    "text", ["2 3/8 im", "", "cm", "3/0 in", "1/2/3 in", "one inch", "1e9", "9" * 60, "12 km", "inf"]
)
def test_what_is_no_length_is_refused_with_what_to_do(text: str) -> None:
    with pytest.raises(UnreadableLength) as refusal:
        parse_length(text, "mm")
    assert refusal.value.why
    assert refusal.value.fix


@given(st.integers(0, 400), st.sampled_from(["1/16 in", "1/8 in", "1/4 in", "1 mm", "5 mm"]))
def test_what_the_ruler_can_measure_is_written_and_read_back_exactly(steps: int, division: str) -> None:
    size = DIVISIONS_MM[division]  # type: ignore[index]
    units: Units = "in" if division.endswith("in") else "cm"
    text = format_length(steps * size, units, size)
    assert "about" not in text
    assert parse_length(text, "mm") == pytest.approx(steps * size, abs=1e-9)


def test_a_length_off_the_marks_is_written_with_about() -> None:
    assert format_length(10.0, "in", DIVISIONS_MM["1/16 in"]) == "about 3/8 in"


def test_inches_and_papers_have_their_published_sizes() -> None:
    # Source: the inch of 1959; ISO 216; ANSI and architectural sheet sizes (all from memory).
    assert MM_PER["in"] == 25.4
    assert PAPERS["A4"] == (210, 297)
    assert PAPERS["A3"] == (297, 420)
    assert PAPERS["A2"] == (420, 594)
    for name, (short, long) in PAPERS.items():
        if name.startswith("A"):
            assert long / short == pytest.approx(2**0.5, abs=0.005), "the sides of A papers are as 1 to root 2"
    assert paper_size("12 x 18 in", "landscape") == pytest.approx((457.2, 304.8))
    assert paper_size("11 x 17 in", "portrait") == pytest.approx((279.4, 431.8))
