"""What becomes of the exercise when a thing is removed, moved, copied or called otherwise?"""

from orthopsis.core.document.document import MOST_THINGS, Exercise
from orthopsis.core.document.place import thing_place
from orthopsis.core.editing.edit_document import changed_at, check_index, free_id
from orthopsis.core.errors import GeometryError
from orthopsis.core.scene.prepared import sheet_of
from orthopsis.core.things.parameters import FIRST_CORNER
from orthopsis.core.things.registry import KINDS


def remove_thing(exercise: Exercise, index: int) -> Exercise:
    """Return the exercise without a thing and what lies on its faces; what stood by it stands alone."""
    check_index(exercise, index)
    gone = {exercise.things[index].id}
    while more := {t.id for t in exercise.things if t.joined_to in gone and KINDS[t.kind].hangs} - gone:
        gone |= more
    alone = {thing_place(i, "joined_to"): 0 for i, t in enumerate(exercise.things) if t.joined_to in gone}
    exercise = changed_at(exercise, alone) if alone else exercise
    return exercise.model_copy(
        update={
            "things": tuple(thing for thing in exercise.things if thing.id not in gone),
            "steps": tuple(change for change in exercise.steps if change.step.thing not in gone),
            "hides": tuple(word for word in exercise.hides if not {word.nearer, word.farther} & gone),
        }
    )


def move_thing(exercise: Exercise, index: int, by: int) -> Exercise:
    """Return the exercise with a thing moved in the order in which they are drawn."""
    check_index(exercise, index)
    things = list(exercise.things)
    thing = things.pop(index)
    things.insert(min(max(index + by, 0), len(things)), thing)
    return exercise.model_copy(update={"things": tuple(things)})


def copy_thing(exercise: Exercise, index: int) -> Exercise:
    """Return the exercise with a copy of a thing behind it, a little to the right."""
    check_index(exercise, index)
    if len(exercise.things) >= MOST_THINGS:
        raise GeometryError("too_many_things", f"An exercise holds at most {MOST_THINGS} things.", "Remove some first.")
    thing = exercise.things[index]
    stem = thing.name.rstrip("0123456789 ") or thing.name
    name = free_name(stem[:30], {t.name for t in exercise.things})
    shift = 10 * sheet_of(exercise).division_mm
    aside = FIRST_CORNER[0].name
    held = thing.held()
    moved = {aside: float(held[aside]) + shift} if aside in held else {}  # type: ignore[arg-type]
    copy = thing.model_copy(update={"name": name, "id": free_id(exercise), **moved})
    return exercise.model_copy(update={"things": (*exercise.things[: index + 1], copy, *exercise.things[index + 1 :])})


def rename_thing(exercise: Exercise, index: int, name: str) -> Exercise:
    """Return the exercise with a thing called otherwise.

    Raises:
        GeometryError: the name is taken, empty, too long or holds a full stop.
    """
    check_index(exercise, index)
    return changed_at(exercise, {thing_place(index, "name"): name.strip()})


def free_name(stem: str, taken: set[str]) -> str:
    """Return the first name of this stem and a number that no thing has yet."""
    number = 1
    while f"{stem} {number}" in taken:
        number += 1
    return f"{stem} {number}"
