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
from orthopsis.core.wording.names import Feature

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
        said = words.replace(f"{own} of {line.thing}" if own else line.thing, "it").partition(" (")[0]
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


@pytest.mark.parametrize("number", range(len(READY)), ids=TITLES)
def test_no_two_lines_have_one_name_and_a_light_line_has_that_of_its_edge(number: int) -> None:
    expected = _asked(_solved(number))
    names = LineNames(expected)
    called = [names.words(line.name) for line in expected if line.is_asked]
    assert len(set(called)) == len(called)
    for edge in (line for line in expected if line.along and line.is_asked):
        assert names.words(edge.along) == names.words(edge.name)


def _upright(name: str, x: float, low: float, high: float) -> Expected:
    feature = Feature("front", part="K")
    return Expected(f"Knot.{name}", "Knot", "upright", Point(x, low), Point(x, high), True, feature=feature)


def test_lines_that_lie_near_each_other_are_told_apart_as_one_sees_them() -> None:
    rim = [_upright("left", 0, 0, 90), _upright("right", 90, 0, 90)]
    beside = LineNames([*rim, _upright("a", 40, 40, 50), _upright("b", 46, 40, 50)])
    assert beside.words("Knot.a").endswith("in the middle of K of Knot (the left one)")
    assert beside.words("Knot.b").endswith("(the right one)")
    over = LineNames([*rim, *(_upright(name, 45, low, low + 5) for name, low in (("a", 35), ("b", 42), ("c", 50)))])
    assert [over.words(f"Knot.{name}").rpartition(" (")[2] for name in "abc"] == [
        "the first of 3 from below)", "the second of 3 from below)", "the third of 3 from below)",
    ]  # fmt: skip
    assert over.words("Knot.left") == "upright front edge at the left of K of Knot"
