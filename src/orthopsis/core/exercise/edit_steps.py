"""What becomes of an exercise when the teacher changes a step? Every edit returns a new exercise."""

from typing import Any

from orthopsis.core.document.document import Exercise
from orthopsis.core.document.parts import MOST_LATER, StepChange, StepRef
from orthopsis.core.drawing.answer import StepAct
from orthopsis.core.drawing.solved import solve
from orthopsis.core.errors import GeometryError
from orthopsis.core.scene.prepared import prepare
from orthopsis.core.telling.told import Telling, change_of, tell


def change_step(exercise: Exercise, key: str, act: StepAct, text: str = "") -> Exercise:
    """Return the exercise with a step changed.

    Args:
        key: the step's name in the drawing.
        text: the teacher's words, for ``say``.

    Raises:
        GeometryError: there is no such step, or what it needs or what needs it does not allow the change.
    """
    telling = tell(solve(prepare(exercise)))
    step = next((s for s in telling.steps if s.key == key or key in s.joins), None)
    if step is None:
        raise _no_such_step()
    if act not in step.can:
        raise _refused(act)
    ref = _ref(telling, key)
    match act:
        case "earlier" | "later":
            by = 1 if act == "later" else -1
            later = change_of(exercise, ref).later + by
            return _with(exercise, ref, later=min(max(later, -MOST_LATER), MOST_LATER))
        case "join":
            return _with(exercise, ref, joined=True)
        case "part":
            for joined in step.joins:
                exercise = _with(exercise, _ref(telling, joined), joined=False)
            return exercise
        case "split" | "whole":
            return _with(exercise, ref.whole, split=act == "split")
        case "extra" | "required":
            return _with(exercise, ref.whole, extra=act == "extra")
        case "leave_out":
            return _with(exercise, ref, left_out=True)
        case "say":
            return _with(exercise, ref, text=text.strip())
        case _:
            return _with(exercise, ref, text="")


def bring_back(exercise: Exercise, key: str) -> Exercise:
    """Return the exercise with a step told that was left out.

    Raises:
        GeometryError: there is no such step.
    """
    return _with(exercise, _ref(tell(solve(prepare(exercise))), key), left_out=False)


def forget_unused(exercise: Exercise) -> Exercise:
    """Return the exercise without the changes of steps that there are not any more."""
    unused = tell(solve(prepare(exercise))).unused
    return exercise.model_copy(update={"steps": tuple(change for change in exercise.steps if change not in unused)})


def _ref(telling: Telling, key: str) -> StepRef:
    ref = telling.refs.get(key)
    if ref is None:
        raise _no_such_step()
    return ref


def _no_such_step() -> GeometryError:
    return GeometryError("no_such_step", "There is no such step in this exercise.", "Load the exercise again.")


def _refused(act: StepAct) -> GeometryError:
    if act in ("earlier", "later"):
        why, fix = "This step cannot go there: one needs what the other makes.", "Move the other one first."
    elif act == "leave_out":
        why, fix = "This step cannot be left out: later steps need it.", "Make it extra, or leave those out first."
    else:
        why, fix = "This cannot be done with this step.", "Choose something else."
    return GeometryError("step_cannot", why, fix, about="steps")


def _with(exercise: Exercise, ref: StepRef, **change: Any) -> Exercise:
    changed = change_of(exercise, ref).model_copy(update=change)
    others = tuple(c for c in exercise.steps if c.step != ref)
    is_none = changed == StepChange(step=ref)
    return exercise.model_copy(update={"steps": others if is_none else (*others, changed)})
