"""Which things of an exercise stand for each student's own, and what becomes of them for a name?"""

from orthopsis.core.document.document import Exercise
from orthopsis.core.editing.edit_document import changed_at
from orthopsis.core.scene.placed import placed_errors
from orthopsis.core.scene.setting import prepare
from orthopsis.core.things.declare import Fit, Values
from orthopsis.core.things.parameters import Value
from orthopsis.core.things.registry import KINDS


def is_personal(exercise: Exercise) -> bool:
    """Tell whether sheets differ from student to student."""
    views = {view.name: view.kind for view in exercise.views}
    for thing in exercise.things:
        build = KINDS[thing.kind].builds.get(views.get(thing.view, exercise.views[0].kind))
        if build is not None and build.is_personal(Values(thing.name, thing.held())):
            return True
    return False


def exercise_for(exercise: Exercise, name: str, fit: Fit) -> tuple[Exercise, tuple[str, ...]]:
    """Return the exercise for the student of that name, and what a teacher should look at in it.

    Raises:
        GeometryError: a value of the exercise cannot be used.
    """
    changes, remarks = dict[str, Value](), list[str]()
    for placed in prepare(exercise).things:
        with placed_errors(placed):
            personal = placed.build.personal(placed.values, placed.setting, name, fit)
        if personal is not None:
            changes |= {f"things.{placed.index}.{key}": value for key, value in personal.changes.items()}
            remarks += personal.remarks
    return (changed_at(exercise, changes) if changes else exercise), tuple(remarks)
