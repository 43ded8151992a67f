"""Which things of an exercise stand for each student's own, and what becomes of them for a name?"""

from orthopsis.core.document.document import Exercise
from orthopsis.core.document.place import PlaceRef, thing_place
from orthopsis.core.document.thing_models import values_of
from orthopsis.core.editing.edit_document import changed_at
from orthopsis.core.scene.placed import placed_errors
from orthopsis.core.scene.prepared import prepare
from orthopsis.core.things.answers import Fit
from orthopsis.core.things.parameters import Value
from orthopsis.core.things.registry import KINDS


def is_personal(exercise: Exercise) -> bool:
    """Tell whether sheets differ from student to student."""
    views = {view.name: view.kind for view in exercise.views}
    for thing in exercise.things:
        how = KINDS[thing.kind].in_view.get(views.get(thing.view, exercise.views[0].kind))
        if how is not None and how.is_personal(values_of(thing)):
            return True
    return False


def exercise_for(exercise: Exercise, name: str, fit: Fit) -> tuple[Exercise, tuple[str, ...]]:
    """Return the exercise for the student of that name, and what a teacher should look at in it.

    Raises:
        GeometryError: a value of the exercise cannot be used.
    """
    changes, remarks = dict[PlaceRef, Value](), list[str]()
    for placed in prepare(exercise).things:
        with placed_errors(placed):
            personal = placed.standing.personal(name, fit)
        if personal is not None:
            changes |= {thing_place(placed.index, key): value for key, value in personal.changes.items()}
            remarks += personal.remarks
    return (changed_at(exercise, changes) if changes else exercise), tuple(remarks)
