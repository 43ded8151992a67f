"""Every line that is asked for has words of its own kind: no raw names, no numbers that say nothing on the sheet."""

import re

import pytest

from orthopsis.core.check.check import check
from orthopsis.core.check.line_names import LineNames
from orthopsis.core.check.stroke import Expected, Stroke, expected_lines
from orthopsis.core.document.document import read_exercise
from orthopsis.core.document.ready import READY
from orthopsis.core.drawing.picture import picture
from orthopsis.core.drawing.solved import Solved, solve
from orthopsis.core.plane.homogeneous import Point
from orthopsis.core.scene.prepared import adornments, prepare

TITLES = [ready["title"] for ready in READY]


def _asked(solved: Solved) -> list[Expected]:
    prepared = solved.prepared
    return expected_lines(picture(solved), prepared.things, adornments(prepared))


def _solved(number: int) -> Solved:
    return solve(prepare(read_exercise(READY[number])))


@pytest.mark.parametrize("number", range(len(READY)), ids=TITLES)
def test_lines_are_named_in_words(number: int) -> None:
    expected = _asked(_solved(number))
    names = LineNames(expected)
    for line in expected:
        words, own = names.words(line.name), line.feature.part
        assert line.thing in words, words
        said = words.replace(f"{own} of {line.thing}" if own else line.thing, "it")
        assert not re.search(r"[_.\d]|  ", said), words


@pytest.mark.parametrize("number", range(len(READY)), ids=TITLES)
def test_a_receding_edge_is_asked_for_only_once(number: int) -> None:
    # An edge that lies on its light line is there when that line is drawn: the light line holds both of its ends.
    expected = {line.name: line for line in _asked(_solved(number))}
    for edge in (line for line in expected.values() if line.along in expected):
        guide = expected[edge.along]
        way = (guide.end.x - guide.start.x, guide.end.y - guide.start.y)
        for end in (edge.start, edge.end):
            aside = way[0] * (end.y - guide.start.y) - way[1] * (end.x - guide.start.x)
            assert abs(aside) / guide.length_mm < 1e-3


def test_a_back_that_leans_is_said_to_be_a_back_whatever_its_thing() -> None:
    # A profile as well as a box: the finding follows from what the line is, not from its name.
    number = TITLES.index("A stepped quay and a bench, one point")
    exercise = read_exercise(READY[number])
    strokes = []
    for line in (line for line in _asked(_solved(number)) if line.is_asked):
        leans = line.feature.kind == "back" and line.family == "upright" and line.length_mm > 12
        end = Point(line.end.x + (0.12 * line.length_mm if leans else 0.0), line.end.y)
        strokes.append(Stroke(line.start, end))
    found = {finding.code for finding in check(exercise, strokes).findings}
    assert "back_not_parallel" in found
    assert "upright_leans" not in found
