"""The picture of a step shows marks of earlier ones that it takes up, where no line would show them."""

from typing import Any

import pytest

from orthopsis.core.document.document import read_exercise
from orthopsis.core.document.ready import READY
from orthopsis.core.drawing.answer import Drawing, Step
from orthopsis.core.exercise.solve import draw
from orthopsis.core.wording.vocabulary import LEVELS
from orthopsis.paperwork.art import step_art

BY_LINE = [
    ready for ready in READY if ready["title"].startswith(("KNOT around a corner", "LOFT", "SEA", "Patterns on"))
]


def drawing_of(title: str, level: str = "middle") -> Drawing:
    ready = next(one for one in READY if one["title"].startswith(title))
    return draw(read_exercise({**ready, "wording": {"level": level}}))


def the_step(drawing: Drawing, title: str) -> Step:
    return next(step for step in drawing.steps if title in step.title)


def test_marks_on_a_level_line_are_seen_when_they_are_carried_over() -> None:
    drawing = drawing_of("LOFT")
    marked = [step for step in drawing.steps if "its widths on the level line" in step.title]
    carried = the_step(drawing, "carry the widths over")
    assert len(marked) > 1
    assert set(carried.takes_up) >= {name for step in marked for name in step.marks}


def test_a_mark_from_which_a_line_was_drawn_is_not_marked_once_more() -> None:
    """The point of a one-point sheet and the corners of a box: lines show them."""
    drawing = drawing_of("Three crates")
    assert not any(step.takes_up for step in drawing.steps)


def test_where_the_ruler_is_laid_but_no_line_drawn_its_points_are_seen() -> None:
    drawing = drawing_of("LOFT")
    pivot = the_step(drawing, "the point that carries the marks over")
    assert {drawing.points[name] for name in pivot.takes_up} >= {drawing.points["Loft.left.bottom"]}
    found = [drawing.points[name] for name in pivot.marks]
    assert {drawing.points[name] for name in the_step(drawing, "carry the widths over").takes_up} >= set(found)


@pytest.mark.parametrize("level", LEVELS)
@pytest.mark.parametrize("ready", READY, ids=lambda one: one["title"])
def test_what_a_step_takes_up_was_marked_before(ready: dict[str, Any], level: str) -> None:
    drawing = draw(read_exercise({**ready, "wording": {"level": level}}))
    marked = set[str]()
    for step in drawing.steps:
        assert marked.issuperset(step.takes_up), step.title
        assert not {*step.takes_up} & {*step.marks}
        assert drawing.points.keys() >= {*step.takes_up}
        marked |= set(step.marks)


@pytest.mark.parametrize("ready", BY_LINE, ids=lambda one: one["title"])
def test_the_printed_picture_shows_them_smaller_than_new_ones(ready: dict[str, Any]) -> None:
    drawing = draw(read_exercise(ready))
    with_old = [i for i, step in enumerate(drawing.steps, start=1) if step.takes_up]
    assert with_old
    for count in with_old:
        marks = step_art(drawing, count).marks
        assert {mark.name for mark in marks if not mark.is_new} == set(drawing.steps[count - 1].takes_up)


@pytest.mark.parametrize("ready", BY_LINE, ids=lambda one: one["title"])
def test_an_enlarged_part_holds_them(ready: dict[str, Any]) -> None:
    drawing = draw(read_exercise(ready))
    for step in drawing.steps:
        for name in step.takes_up if step.close_up is not None else ():
            (x, y), (left, low, right, high) = drawing.points[name], step.close_up or (0, 0, 0, 0)
            assert left <= x <= right
            assert low <= y <= high
