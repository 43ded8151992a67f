"""A step that has nothing left to do is not told; one that speaks of the step before it is not told without that."""

from typing import Any

import pytest

from orthopsis.core.document.document import Exercise, read_exercise
from orthopsis.core.document.ready import READY
from orthopsis.core.drawing.solved import Solved, solve
from orthopsis.core.scene.prepared import prepare
from orthopsis.core.telling import told
from orthopsis.core.telling.told import Telling, tell
from orthopsis.core.wording.steps import STEPS

BINS: dict[str, Any] = next(ready for ready in READY if ready["title"].startswith("Bait bins"))


def telling(exercise: Exercise) -> tuple[Solved, Telling]:
    found = solve(prepare(exercise))
    return found, tell(found)


def places(found: Solved, keys: list[str], steps: Telling) -> set[tuple[float, float]]:
    """Where some steps mark points."""
    marks = [name for step in steps.steps if step.key in keys for name in step.marks if name in found.board.points]
    return {(round(x, 3), round(y, 3)) for x, y in (found.board.points[name].xy for name in marks)}


def test_what_stands_between_light_lines_that_are_all_there_begins_with_its_plan() -> None:
    _, steps = telling(read_exercise(BINS))
    first = {name: next(step.short for step in steps.steps if step.thing == name) for name in ("Bait bin", "Ice bin")}
    assert first == {
        "Bait bin": "a measuring line for the top edge of the left side",
        "Ice bin": "its square on the top",
    }


@pytest.mark.parametrize("ready", READY, ids=[ready["title"] for ready in READY])
def test_what_is_not_told_draws_and_marks_nothing_that_earlier_steps_have_not(
    ready: dict[str, Any], monkeypatch: pytest.MonkeyPatch
) -> None:
    found, short = telling(read_exercise(ready))
    monkeypatch.setattr(told, "idle", lambda *_: set())
    _, whole = telling(read_exercise(ready))
    keys = [step.key for step in whole.steps]
    gone = [key for key in keys if key not in {step.key for step in short.steps}]
    assert [step.key for step in short.steps] == [key for key in keys if key not in gone]
    for key in gone:
        step = whole.steps[keys.index(key)]
        assert not step.draws
        assert places(found, [key], whole) <= places(found, keys[: keys.index(key)], whole)


@pytest.mark.parametrize("ready", READY, ids=[ready["title"] for ready in READY])
def test_a_step_that_speaks_of_the_one_before_comes_right_after_one_of_the_same_thing(ready: dict[str, Any]) -> None:
    _, steps = telling(read_exercise(ready))
    for before, step in zip(steps.steps, steps.steps[1:], strict=False):
        if step.key in steps.refs and STEPS.get(steps.refs[step.key].words, STEPS["tone"]).follows:
            assert before.thing == step.thing, step.title


def test_one_that_a_teacher_has_words_for_is_told() -> None:
    _, steps = telling(read_exercise(BINS))
    ice = next(thing for thing in read_exercise(BINS).things if thing.name == "Ice bin")
    ref = {"thing": ice.id, "words": "face.ticks_laid", "turn": 1}
    _, again = telling(read_exercise({**BINS, "steps": [{"step": ref, "text": "Use the level line of the bait bin."}]}))
    shorts = {step.short for step in again.steps if step.thing == "Ice bin"}
    assert "Use the level line of the bait bin." in [step.text for step in again.steps]
    assert "the point that carries them over" in shorts, "what follows on it is told with it"
    assert len(again.steps) > len(steps.steps)
