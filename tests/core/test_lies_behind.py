"""What stands behind a thing that is there already: the step says so, once, and only where it is true."""

from typing import Any

import pytest

from conftest import box, exercise_of
from orthopsis.core.document.document import Exercise
from orthopsis.core.drawing.answer import Step
from orthopsis.core.editing.edit import set_at
from orthopsis.core.exercise.edit_steps import change_step
from orthopsis.core.exercise.solve import draw

NEAR = box("Store", 40.0, 30.0, 90.0, 100.0, depth_by="measured", depth=40.0)
FAR = box("Tower", 60.0, 60.0, 40.0, 150.0, depth_by="measured", depth=12.0)
ASIDE = box("Shed", 250.0, 30.0, 40.0, 40.0, depth_by="measured", depth=12.0)
SAYS = {"youngest": "not seen", "middle": "it goes away again", "oldest": "keep it light"}


def town(*things: dict[str, Any], level: str = "middle") -> Exercise:
    exercise = exercise_of(*things, views=[{"kind": "one_point", "x_mm": 210.0}])
    return set_at(exercise, "wording.level", level)


def saying(exercise: Exercise) -> list[Step]:
    """The steps that say that something lies behind another thing."""
    return [step for step in draw(exercise).steps if "behind Store" in step.text or "Behind Store" in step.text]


@pytest.mark.parametrize("level", SAYS)
def test_its_front_is_told_to_be_light_behind_the_nearer_one(level: str) -> None:
    (step,) = saying(town(NEAR, FAR, ASIDE, level=level))
    assert (step.thing, step.phase) == ("Tower", "front")
    assert SAYS[level] in step.text


def test_nothing_is_said_where_the_farther_one_is_drawn_first() -> None:
    assert saying(town(FAR, NEAR)) == []


def test_nothing_is_said_where_one_sees_through_the_nearer_one() -> None:
    assert saying(town({**NEAR, "look": "see_through"}, FAR)) == []


def test_nothing_is_said_of_what_stands_before_or_aside() -> None:
    small = box("Crate", 60.0, 20.0, 30.0, 20.0, depth_by="measured", depth=6.0)
    assert saying(town(NEAR, small, ASIDE)) == []


def test_the_teacher_s_own_words_stay_as_they_are() -> None:
    exercise = town(NEAR, FAR)
    (step,) = saying(exercise)
    changed = change_step(exercise, step.key, "say", "Draw the tower.")
    assert saying(changed) == []
    assert "Draw the tower." in [step.text for step in draw(changed).steps]


def test_the_hidden_part_is_not_darkened_and_not_asked_of_a_sheet() -> None:
    drawing = draw(town(NEAR, FAR))
    seen = [line for line in drawing.lines if line.thing == "Tower" and line.role == "edge" and line.visible]
    assert min(min(line.start[1], line.end[1]) for line in seen) > 130.0, "over the top of the store"
