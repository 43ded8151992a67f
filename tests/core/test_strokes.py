"""What a step counts is what the hand counts: different straight strokes, and curves."""

import itertools
import math

import pytest
import shapely

from conftest import box, exercise_of
from orthopsis.core.construct.engine import Ruled
from orthopsis.core.document.document import read_exercise
from orthopsis.core.document.ready import READY
from orthopsis.core.drawing.answer import DrawnLine
from orthopsis.core.drawing.solved import solve
from orthopsis.core.exercise.edit_steps import change_step
from orthopsis.core.exercise.solve import draw
from orthopsis.core.plane.arc import Arc
from orthopsis.core.plane.homogeneous import Point, join
from orthopsis.core.scene.prepared import prepare
from orthopsis.core.telling.strokes import Strokes
from orthopsis.core.telling.told import tell
from orthopsis.core.wording.step import there_words


def ruled(name: str, start: tuple[float, float], end: tuple[float, float], arc: Arc | None = None) -> Ruled:
    a, b = Point(*start), Point(*end)
    return Ruled(name, join(a, b), a, b, "free", "edge", "Thing", arc=arc)


def count(*ends: tuple[tuple[float, float], tuple[float, float]]) -> int:
    lines = {str(i): ruled(str(i), *both) for i, both in enumerate(ends)}
    return Strokes(lines).count(lines)


def test_two_halves_of_a_line_are_one_stroke_and_parallels_are_two() -> None:
    assert count(((0, 0), (10, 0)), ((10, 0), (25, 0))) == 1
    assert count(((0, 0), (10, 0)), ((25, 0), (10, 0))) == 1, "whichever way they are drawn"
    assert count(((0, 0), (10, 0)), ((4, 0), (6, 0))) == 1, "one within the other"
    assert count(((0, 0), (10, 0)), ((12, 0), (20, 0))) == 2, "with a gap between them"
    assert count(((0, 0), (10, 0)), ((0, 0.5), (10, 0.5))) == 2
    assert count(((0, 0), (10, 10)), ((10, 10), (20, 0))) == 2, "around a corner"
    assert count() == 0


def test_nearly_level_lines_are_one_whichever_way_their_direction_is_rounded() -> None:
    tiny = 1e-9
    assert count(((0, 0), (10, tiny)), ((10, tiny), (20, 0)), ((20, 0), (30, -tiny))) == 1


def test_each_curve_is_a_stroke() -> None:
    arc = Arc(Point(0, 0), Point(10, 0), Point(10, 10), Point(0, 10))
    lines = {
        "a": ruled("a", (0, 0), (10, 10), arc),
        "b": ruled("b", (0, 0), (10, 10)),
        "c": ruled("c", (10, 10), (20, 20)),
    }
    assert Strokes(lines).count(["a", "b", "c"]) == 2
    assert Strokes(lines).count(["a"]) == 1


def are_one(one: DrawnLine, two: DrawnLine) -> bool:
    """Tell whether two lines lie on one straight line and touch: the test's own way, by distances."""
    (a, b), (c, d) = (one.start, one.end), (two.start, two.end)
    if math.dist(a, b) < math.dist(c, d):
        (a, b), (c, d) = (c, d), (a, b)
    reach = math.dist(a, b)
    aside = [abs((b[0] - a[0]) * (p[1] - a[1]) - (b[1] - a[1]) * (p[0] - a[0])) / reach for p in (c, d)]
    along = sorted(((b[0] - a[0]) * (p[0] - a[0]) + (b[1] - a[1]) * (p[1] - a[1])) / reach for p in (c, d))
    return max(aside) < 2e-3 and along[0] <= reach + 1e-3 and along[1] >= -1e-3


@pytest.mark.parametrize("document", READY[::2], ids=lambda document: str(document["title"]))
def test_every_step_counts_its_strokes(document: dict[str, object]) -> None:
    drawing = draw(read_exercise(document))
    lines = {line.id: line for line in drawing.lines}
    for step in drawing.steps:
        if not step.draws or step.phase == "take_away":
            continue
        if "by hand" in step.tool and not any(lines[number].bend for number in step.draws):
            assert step.count == 0, "what is sketched is not counted"
            continue
        mine = [lines[number] for number in step.draws]
        straight = [line for line in mine if not line.bend]
        group = list(range(len(straight)))
        for i, j in itertools.combinations(range(len(straight)), 2):
            if are_one(straight[i], straight[j]):
                old, new = group[j], group[i]
                group = [new if one == old else one for one in group]
        assert step.count == len(set(group)) + len(mine) - len(straight), step.title


@pytest.mark.parametrize("document", READY[1::2], ids=lambda document: str(document["title"]))
def test_no_step_draws_what_an_earlier_one_has_drawn_as_darkly(document: dict[str, object]) -> None:
    # Source: shapely's buffers and differences, another way than ours by places along a line.
    solved = solve(prepare(read_exercise(document)))
    dark = {number for name, number in solved.light_ids.items() if solved.board.lines[name].role == "edge"}
    lines = {line.id: line for line in solved.lines}
    before: list[tuple[shapely.Geometry, bool]] = []
    for step in tell(solved).steps:
        if step.takes_away or step.darkens:
            continue
        mine = [lines[number] for number in step.draws if not lines[number].bend]
        for line in mine:
            there = [shape for shape, is_dark in before if is_dark or line.id not in dark]
            left = shapely.LineString([line.start, line.end]).difference(shapely.unary_union(there))
            assert left.length > 1e-3, f"{step.title}: {line.name}"
        before += [(shapely.LineString([line.start, line.end]).buffer(2e-3), line.id in dark) for line in mine]


CRATES = (
    box("First", 40.0, 40.0, 60.0, 50.0, depth_by="measured", depth=40.0),
    box("Second", 82.5, 67.5, 45.0, 37.5, depth_by="measured", depth=20.0),
)
"""The second one stands on the first one's lines to the point: three quarters as large, as far from it."""


def test_lines_that_are_there_are_said_and_not_counted() -> None:
    steps = [step for step in draw(exercise_of(*CRATES)).steps if step.phase == "guides"]
    first, second = steps
    assert (first.thing, first.count, second.count) == ("First", 3, 0)
    assert len(second.draws) == second.count
    assert "there already." in second.text
    assert "there already." not in first.text


def test_a_teacher_s_own_words_stay_as_they_are() -> None:
    exercise = exercise_of(*CRATES)
    key = next(step.key for step in draw(exercise).steps if step.phase == "guides" and step.thing == "Second")
    said = change_step(exercise, key, "say", "Look: they are there.")
    (step,) = (step for step in draw(said).steps if step.text == "Look: they are there.")
    assert step.count == 0


@pytest.mark.parametrize(
    ("there", "count", "words"),
    [
        (1, 1, "This line is there already."),
        (3, 3, "All of these lines are there already."),
        (1, 3, "One of these lines is there already."),
        (2, 5, "Two of these lines are there already."),
        (12, 15, "12 of these lines are there already."),
    ],
)
def test_how_it_is_said(there: int, count: int, words: str) -> None:
    assert there_words(there, count) == words
