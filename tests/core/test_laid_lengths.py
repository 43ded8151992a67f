"""What a hand lays off is said by marks that its ruler has: on one, halfway, a little over it or less than it."""

import re

import pytest
from hypothesis import given
from hypothesis import strategies as st

from orthopsis.core.document.document import read_exercise
from orthopsis.core.document.ready import READY
from orthopsis.core.exercise.solve import draw
from orthopsis.core.sheet.length import MM_PER, OVER, PAST, SHORT, UNDER, Units, format_laid, format_tick, parse_length

DIVISIONS: dict[Units, float] = {"mm": 1.0, "cm": 1.0, "in": 25.4 / 16}


def bounds(said: str, sign: str, units: Units) -> tuple[float, float]:
    """Between which lengths a hand would lay one off that is said so, mm."""
    mark, mm = parse_length(said, units), DIVISIONS[units]
    reach = 0.08 * mm + 0.051
    return (mark if sign == PAST else mark - (mm / 2 + reach if sign == SHORT else reach)), (
        mark if sign == SHORT else mark + (mm / 2 + reach if sign == PAST else reach)
    )


@pytest.mark.parametrize("units", ["mm", "cm", "in"])
@given(mm=st.floats(0.6, 900.0))
def test_what_is_said_holds_the_length(units: Units, mm: float) -> None:
    division = DIVISIONS[units]
    said, tick = format_laid(mm, units, division), format_tick(mm, units, division)
    sign = PAST if said.startswith(OVER) else SHORT if said.startswith(UNDER) else ""
    low, high = bounds(said.removeprefix(OVER).removeprefix(UNDER), sign, units)
    assert low - 0.06 <= mm <= high + 0.06
    assert tick == said.removeprefix(OVER).removeprefix(UNDER).removesuffix(f" {units}") + sign


@pytest.mark.parametrize(
    ("mm", "units", "said", "tick"),
    [
        (65.0, "mm", "65 mm", "65"),
        (65.3, "mm", "a little over 65 mm", "65+"),
        (77.8, "mm", "a little less than 78 mm", "78−"),
        (32.5, "mm", "32½ mm", "32½"),
        (0.5, "mm", "½ mm", "½"),
        (56.3, "cm", "a little over 5.6 cm", "5.6+"),
        (56.5, "cm", "5.65 cm", "5.65"),
        (MM_PER["in"] * 2.3125, "in", "2 5/16 in", "2 5/16"),
        (MM_PER["in"] * 2.33, "in", "a little over 2 5/16 in", "2 5/16+"),
    ],
)
def test_each_way_to_say_a_length(mm: float, units: Units, said: str, tick: str) -> None:
    assert format_laid(mm, units, DIVISIONS[units]) == said
    assert format_tick(mm, units, DIVISIONS[units]) == tick


def test_a_class_that_measures_to_five_millimetres_still_reads_single_ones() -> None:
    assert format_laid(63.0, "mm", 5.0) == "63 mm"


@pytest.mark.parametrize("number", range(len(READY)))
def test_no_step_asks_for_a_mark_that_no_ruler_has(number: int) -> None:
    exercise = read_exercise(READY[number])
    assert exercise.sheet.units != "cm"
    for step in draw(exercise).steps:
        figures = [mark.text for scale in step.scales for mark in scale.marks]
        figures += [text for letter in step.letters for text in (letter.across, letter.up)]
        figures += [span.text for span in step.dimensions]
        assert not re.findall(r"\d\.\d", " ".join([step.text, step.title, *figures])), step.title
        signs = {sign for sign in (PAST, SHORT) if any(f.endswith(sign) for f in figures if " " not in f)}
        assert all(f"{sign} after a figure" in step.text for sign in signs), "a sign is explained where it stands"
