"""What is on the paper after a step: the same as on the sheet of one who does the steps one after the other."""

from collections.abc import Iterator, Mapping
from dataclasses import dataclass, field
from typing import Any

import pytest
from hypothesis import HealthCheck, given, settings
from scenes import ANY, solved

from orthopsis.core.document.document import Exercise, read_exercise
from orthopsis.core.document.ready import READY
from orthopsis.core.drawing.answer import Drawing, Step
from orthopsis.core.drawing.stage import stage_after
from orthopsis.core.exercise.edit_steps import change_step
from orthopsis.core.exercise.solve import draw


@dataclass
class Sheet:
    """A sheet on which one works."""

    light: set[int] = field(default_factory=set)
    dark: set[int] = field(default_factory=set)
    points: set[str] = field(default_factory=set)
    toned: bool = False

    def do(self, step: Step) -> None:
        """Rub out, draw, go over."""
        self.light -= set(step.takes_away)
        again = (set(step.draws) | set(step.leaves)) & (self.light | self.dark)
        assert not again, f"{step.title}: draws once more what is there"
        self.light |= set(step.draws) | set(step.leaves)
        self.dark |= set(step.darkens)
        self.light -= self.dark
        self.points |= set(step.marks)
        self.toned |= step.tones


def worked(drawing: Drawing) -> Iterator[tuple[int, Sheet]]:
    """The sheet before the first step and after each."""
    sheet = Sheet()
    yield 0, sheet
    for count, step in enumerate(drawing.steps, start=1):
        sheet.do(step)
        yield count, sheet


def check(drawing: Drawing) -> None:
    """Compare it with what the drawing says is on the paper."""
    there = {line.id for line in drawing.lines}
    for count, sheet in worked(drawing):
        stage = stage_after(drawing, count)
        assert stage.light == sheet.light & there
        assert stage.dark == sheet.dark & there
        assert (stage.points, stage.toned) == (sheet.points, sheet.toned)
        assert stage.fresh <= stage.light | stage.dark, "what is new is there"


@pytest.mark.parametrize("ready", READY, ids=[ready["title"] for ready in READY])
def test_ready_exercises(ready: Mapping[str, Any]) -> None:
    check(draw(read_exercise(dict(ready))))


@settings(max_examples=150, suppress_health_check=[HealthCheck.too_slow, HealthCheck.filter_too_much])
@given(ANY)
def test_random_exercises(exercise: Exercise) -> None:
    solved(exercise)
    check(draw(exercise))


def test_with_steps_told_together_left_out_and_in_parts() -> None:
    exercise = read_exercise(READY[0])
    for act in ("join", "split", "leave_out", "later", "extra"):
        done = 0
        for step in draw(exercise).steps:
            if act in step.can:
                check(draw(change_step(exercise, step.key, act)))
                done += 1
        assert done, act


def test_lines_that_no_step_draws_are_never_there() -> None:
    crates = read_exercise(READY[0])
    drawing = draw(change_step(crates, "/take_away", "leave_out"))
    told = {number for step in drawing.steps for number in (*step.draws, *step.leaves, *step.darkens)}
    never = [when for line, when in zip(drawing.lines, drawing.on_paper.lines, strict=True) if line.id not in told]
    assert never, "what would be left of lines that are taken away"
    assert {*never} == {(len(drawing.steps) + 1,) * 3}
