"""What becomes of an exercise when the teacher changes a step? Every edit returns a new exercise."""

from typing import Any

from orthopsis.core.document.document import Exercise, StepChange
from orthopsis.core.drawing.answer import StepAct
from orthopsis.core.errors import GeometryError
from orthopsis.core.exercise.solve import draw
from orthopsis.core.telling.told import change_of


def change_step(exercise: Exercise, key: str, act: StepAct, text: str = "") -> Exercise:
    """Return the exercise with a step changed.

    Args:
        key: the step's name in the drawing.
        text: the teacher's words, for ``say``.

    Raises:
        GeometryError: there is no such step, or what it needs or what needs it does not allow the change.
    """
    step = next((s for s in draw(exercise).steps if s.key == key or key in s.joins), None)
    if step is None:
        raise GeometryError("no_such_step", "There is no such step in this exercise.", "Load the exercise again.")
    if act not in step.can:
        raise _refused(act)
    whole = key.partition("~")[0]
    match act:
        case "earlier" | "later":
            by = 1 if act == "later" else -1
            return _with(exercise, key, later=change_of(exercise, key).later + by)
        case "join":
            return _with(exercise, key, joined=True)
        case "part":
            for joined in step.joins:
                exercise = _with(exercise, joined, joined=False)
            return exercise
        case "split" | "whole":
            return _with(exercise, whole, split=act == "split")
        case "extra" | "required":
            return _with(exercise, whole, extra=act == "extra")
        case "leave_out":
            return _with(exercise, key, left_out=True)
        case "say":
            return _with(exercise, key, text=text.strip())
        case _:
            return _with(exercise, key, text="")


def bring_back(exercise: Exercise, key: str) -> Exercise:
    """Return the exercise with a step told that was left out."""
    return _with(exercise, key, left_out=False)


def _refused(act: StepAct) -> GeometryError:
    if act in ("earlier", "later"):
        why, fix = "This step cannot go there: one needs what the other makes.", "Move the other one first."
    elif act == "leave_out":
        why, fix = "This step cannot be left out: later steps need it.", "Make it extra, or leave those out first."
    else:
        why, fix = "This cannot be done with this step.", "Choose something else."
    return GeometryError("step_cannot", why, fix, about="steps")


def _with(exercise: Exercise, key: str, **change: Any) -> Exercise:
    changed = StepChange.model_validate({**change_of(exercise, key).model_dump(), **change})
    others = tuple(c for c in exercise.steps if c.step != key)
    is_none = changed == StepChange(step=key)
    return exercise.model_copy(update={"steps": others if is_none else (*others, changed)})
