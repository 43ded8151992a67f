"""Words on a side that goes away: widths are laid off in whole marks on a level line and carried over by one point."""

from itertools import pairwise
from typing import Any

import numpy as np
import pytest
from hypothesis import given
from hypothesis import strategies as st
from scenes import VIEWS, solved

from conftest import exercise_of
from orthopsis.core.construct.laid_widths import LaidWidths
from orthopsis.core.construct.moves import MeasureAlong, Shift
from orthopsis.core.document.document import Exercise, read_exercise
from orthopsis.core.document.ready import READY
from orthopsis.core.errors import GeometryError
from orthopsis.core.exercise.solve import draw

WORD = {
    "kind": "letters", "name": "Word", "left": 300, "bottom": 40, "height": 100, "side": "left",
    "left_by": "measured", "left_length": 200, "right_by": "measured", "right_length": 26,
}  # fmt: skip
widths = st.lists(st.floats(0.02, 1.0), min_size=1, max_size=5)


@st.composite
def like_parts(draw: st.DrawFn) -> list[list[float]]:
    """Parts that are alike, such as the letters of EEE, with one gap between them: shares of all."""
    strokes, count = draw(widths), draw(st.integers(1, 5))
    gap = draw(st.floats(0.05, 0.5))
    inner = np.cumsum([0.0, *strokes])
    whole = count * inner[-1] + (count - 1) * gap
    return [[float((i * (inner[-1] + gap) + at) / whole) for at in inner] for i in range(count)]


@given(like_parts(), st.integers(60, 400))
def test_parts_that_are_alike_stay_alike_on_the_marks(parts: list[list[float]], marks: int) -> None:
    found = LaidWidths(parts)
    (places,) = found.laid(np.array([marks]))
    share = found.shares_on(places)
    rounded = [[share(at) * places[-1] for at in part] for part in parts]
    first = [at - rounded[0][0] for at in rounded[0]]
    for part in rounded[1:]:
        assert [at - part[0] for at in part] == pytest.approx(first, abs=1e-9)


@given(like_parts(), st.integers(60, 400))
def test_every_place_lies_on_a_mark_and_within_one_of_its_true_place_in_the_part(
    parts: list[list[float]], marks: int
) -> None:
    found = LaidWidths(parts)
    (places,) = found.laid(np.array([marks]))
    share = found.shares_on(places)
    for part in parts:
        begin = share(part[0]) * places[-1]
        for at in part:
            there = share(at) * places[-1]
            assert there == pytest.approx(round(there), abs=1e-9)
            assert there - begin == pytest.approx((at - part[0]) * marks, abs=1.0 + 1e-9)


@given(like_parts(), st.integers(20, 200))
def test_lines_on_which_two_places_would_be_one_are_left_out(parts: list[list[float]], marks: int) -> None:
    for places in LaidWidths(parts).best(range(marks, marks + 40)):
        assert all(b > a for a, b in pairwise([0, *places.tolist()]))


def test_of_all_lines_the_one_comes_first_on_which_all_is_a_whole_number_of_marks() -> None:
    """Strokes of a fifth, letters half as far apart as they are wide: 5, 5, 5 and 5 marks at 65."""
    parts = [[0.0, 1 / 13, 4 / 13, 5 / 13], [8 / 13, 9 / 13, 12 / 13, 1.0]]
    assert LaidWidths(parts).best(range(60, 77))[0].tolist() == [5, 20, 25, 40, 45, 60, 65]


def word(text: str, **values: Any) -> Exercise:
    """A word on the left side of a long block."""
    return exercise_of({**WORD, "text": text, **values}, views=[VIEWS["two_point"]])


def laid(exercise: Exercise) -> dict[str, list[float]]:
    """What is laid off for each letter, mm from the foot of the nearest edge."""
    found: dict[str, list[float]] = {}
    for move in solved(exercise).moves:
        if move.breath == "divide.level_marks" and isinstance(move.act, Shift):
            found.setdefault(move.part, []).append(abs(move.act.across_mm))
    return found


@pytest.mark.parametrize("text", ["OHO", "TENT", "BUOY", "COVE"])
def test_a_ruler_has_a_mark_for_every_width(text: str) -> None:
    found = laid(word(text))
    assert {letter.split()[0] for letter in found} == set(text)
    for places in found.values():
        assert places == pytest.approx([round(mm) for mm in places], abs=1e-9)


@pytest.mark.parametrize("text", ["OHO", "TENT", "ELLE"])
def test_letters_that_are_alike_are_as_wide_wherever_they_stand(text: str) -> None:
    """Of the first and the last letter the outer ends are the ends of the line: their inner widths are compared."""
    found = laid(word(text))
    for letter, places in found.items():
        twin = sorted(found.get(f"{letter} 2", []))
        if twin:
            widths = {round(abs(a - b), 6) for own in (sorted(places), twin) for a, b in pairwise(own)}
            assert len(widths) <= 2, "strokes, and what is between them"


@pytest.mark.parametrize("text", ["OHO", "BUOY", "COVE", "LIGHTHOUSE"])
def test_light_lines_across_the_side_are_those_of_its_heights_alone(text: str) -> None:
    found = solved(word(text))
    ticks = [move.act for move in found.moves if move.breath == "divide.ticks" and isinstance(move.act, MeasureAlong)]
    heights = {round(place[1], 6) for place in found.prepared.things[0].standing.shares.places} - {0.0, 1.0}  # type: ignore[attr-defined]
    assert len(ticks) == len(heights) <= 7


def test_a_word_for_which_few_lines_do_is_divided_by_the_diagonal_as_before() -> None:
    told = [step.key.split("/")[1] for step in draw(word("E")).steps if step.thing == "Word"]
    assert "divide.columns" in told
    assert not [key for key in told if key.startswith("divide.level_")]


@pytest.mark.parametrize("over_mm", [-4.0, 4.0])
def test_where_a_level_line_would_cross_too_flatly_the_diagonal_finds_the_places(over_mm: float) -> None:
    """The foot lies almost on the eye level."""
    level = word("COVE").eye_level.height_mm
    told = [step.key.split("/")[1] for step in draw(word("COVE", bottom=level + over_mm)).steps]
    assert "divide.columns" in told


@pytest.mark.parametrize(("bottom", "end"), [(0.0, "foot"), (-100.0, "top")])
def test_a_word_whose_end_lies_on_the_eye_level_is_refused_with_what_to_do(bottom: float, end: str) -> None:
    """Its lines lie on one another there: nobody finds the corners of its back."""
    level = word("COVE").eye_level.height_mm
    with pytest.raises(GeometryError) as caught:
        draw(word("COVE", bottom=level + bottom))
    assert (caught.value.code, caught.value.about) == ("end_on_eye_level", "things.0.bottom")
    assert end in caught.value.why
    draw(word("COVE", bottom=float(caught.value.nearest.split()[0])))


@pytest.mark.parametrize("ready", READY, ids=lambda document: str(document["title"]))
def test_no_step_of_a_ready_word_on_a_side_ticks_an_edge_at_more_than_ten_measures(ready: dict[str, Any]) -> None:
    """Letters alone; patterns and windows have as many as their parts."""
    if not any(thing["kind"] in ("letters", "lettering") for thing in ready["things"]):
        return
    words = {thing["name"] for thing in ready["things"] if thing["kind"] in ("letters", "lettering")}
    for step in draw(read_exercise(ready)).steps:
        if step.thing in words and "tick" in step.title:
            assert all(len(scale.marks) <= 10 for scale in step.scales), step.title
