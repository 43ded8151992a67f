"""The sheet of one student: what in an exercise stands for each student's own."""

from dataclasses import dataclass

from orthopsis.core.exercise.document import Exercise
from orthopsis.core.exercise.edit_document import changed_at
from orthopsis.core.things.declare import Personal, Values
from orthopsis.core.things.parameters import Value
from orthopsis.core.things.registry import KINDS


@dataclass(frozen=True, slots=True)
class OwnSheet:
    """An exercise as it is on one student's sheet, and what a teacher should look at."""

    exercise: Exercise
    remarks: tuple[str, ...]


def is_personal(exercise: Exercise) -> bool:
    """Tell whether sheets differ from student to student."""
    return bool(_personal(exercise, "A"))


def sheet_for(exercise: Exercise, name: str) -> OwnSheet:
    """Return the exercise on the sheet of the student of that name.

    Raises:
        GeometryError: a value of the exercise cannot be used.
    """
    changes, remarks = dict[str, Value](), list[str]()
    for index, personal in _personal(exercise, name).items():
        changes |= {f"things.{index}.{key}": value for key, value in personal.changes.items()}
        remarks += personal.remarks
    return OwnSheet(changed_at(exercise, changes) if changes else exercise, tuple(remarks))


def _personal(exercise: Exercise, name: str) -> dict[int, Personal]:
    found, views = {}, {view.name: view.kind for view in exercise.views}
    for index, thing in enumerate(exercise.things):
        build = KINDS[thing.kind].builds.get(views.get(thing.view, exercise.views[0].kind))
        personal = build.personal(Values(thing.name, thing.held()), name) if build is not None else None
        if personal is not None:
            found[index] = personal
    return found
