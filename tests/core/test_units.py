"""A class meets no unit but its own: in advice, in findings, in errors."""

import random
import re

import pytest

from conftest import box, exercise_of
from orthopsis.core.check.check import check
from orthopsis.core.check.stroke import Stroke
from orthopsis.core.document.document import Exercise
from orthopsis.core.editing.edit import set_at
from orthopsis.core.errors import GeometryError
from orthopsis.core.exercise.solve import draw
from orthopsis.core.plane.homogeneous import Point
from orthopsis.core.sheet.length import Units, format_nearly
from orthopsis.core.things.outline import parse_outline

UNITS: tuple[Units, ...] = ("mm", "cm", "in")


def crowded(units: Units) -> Exercise:
    """A sheet with much to say: over the edge, too thin, lines too close, off the marks."""
    made = exercise_of(
        box("Crate", 400.0, 30.0, 60.0, 60.0),
        box("Thin", 196.0, 60.0, 13.0, 80.0),
        box("Flat", 60.0, 140.0, 70.0, 9.6, depth_by="measured", depth=30.0),
        box("Odd", 90.3, 40.2, 51.7, 33.3, depth_by="measured", depth=33.7),
    )
    return set_at(made, "sheet.units", units)


def foreign(text: str, units: Units) -> list[str]:
    """The units in a text that are not the class's; its ruler's marks are called as on the ruler."""
    told = text.replace("marks of 1 mm", "marks")
    return [found for found in re.findall(r"\d (mm|cm|in)\b(?! at| the| front)", told) if found != units]


@pytest.mark.parametrize("units", UNITS)
def test_advice_speaks_in_the_units_of_the_class(units: Units) -> None:
    found = {advice.code: advice for advice in draw(crowded(units)).advice}
    assert {"off_the_paper", "side_too_thin", "lines_too_close", "between_marks"} <= found.keys()
    for advice in found.values():
        said = (advice.text, *(cure.text for cure in advice.cures))
        assert not [text for text in said if foreign(text, units)], advice.code


@pytest.mark.parametrize("units", UNITS)
def test_findings_speak_in_the_units_of_the_class(units: Units) -> None:
    exercise, dice = set_at(exercise_of(box("Crate", 60.0, 40.0, 90.0, 60.0)), "sheet.units", units), random.Random(3)
    strokes = [
        Stroke(*(Point(end[0] + dice.gauss(0, 4), end[1] + dice.gauss(0, 4)) for end in (line.start, line.end)))
        for line in draw(exercise).lines
        if line.visible or line.role == "guide"
    ]
    texts = [finding.text for finding in check(exercise, strokes).findings]
    assert [text for text in texts if re.search(rf"\d {units}\b", text)], "something is off by a length"
    assert not [text for text in texts if foreign(text, units)]


@pytest.mark.parametrize("units", UNITS)
@pytest.mark.parametrize("typed", ["0 0, 4 0, oops", "0 0, 4 0, 4 3 r 2, 0 3 r 3", "0 0, 4 0, 4 0, 0 4"])
def test_an_outline_is_spoken_of_as_it_was_typed(units: Units, typed: str) -> None:
    with pytest.raises(GeometryError) as refused:
        parse_outline(typed, units)
    said = f"{refused.value.why} {refused.value.fix}"
    assert not foreign(said, units)
    assert "101.6" not in said, "4 in are 101.6 mm, which nobody typed"


@pytest.mark.parametrize(
    ("mm", "units", "division", "said"),
    [
        (39.7, "mm", 1.0, "40 mm"),
        (0.4, "mm", 1.0, "less than 1 mm"),
        (0.4, "cm", 1.0, "less than 0.1 cm"),
        (12.4, "cm", 5.0, "1.2 cm"),
        (6.4, "in", 3.175, "1/4 in"),
        (0.5, "in", 3.175, "less than 1/16 in"),
    ],
)
def test_what_nobody_measures_is_said_to_the_nearest_fine_mark(
    mm: float, units: Units, division: float, said: str
) -> None:
    assert format_nearly(mm, units, division) == said
