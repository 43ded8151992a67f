"""What becomes of the exercise when the teacher says who hides whom?"""

from typing import Literal

from orthopsis.core.document.document import Exercise
from orthopsis.core.document.parts import Hides
from orthopsis.core.editing.edit_document import check_index
from orthopsis.core.errors import GeometryError
from orthopsis.core.scene.prepared import prepare

HidesHow = Literal["before", "behind", "unsaid"]


def say_hides(exercise: Exercise, index: int, other: int, how: HidesHow) -> Exercise:
    """Return the exercise with a thing said to stand before or behind another one, or with nothing said of the two.

    Raises:
        GeometryError: there is no such thing, or the two hang together, so that their true places decide.
    """
    check_index(exercise, index)
    check_index(exercise, other)
    things = prepare(exercise).things
    if things[index].layer == things[other].layer:
        one, two = exercise.things[index].name, exercise.things[other].name
        raise GeometryError(
            "stands_together",
            f"“{one}” and “{two}” hang together: which of them hides the other follows from that.",
            "Let one of them stand on its own, then say it.",
        )
    by_id = {thing.id: placed.layer for thing, placed in zip(exercise.things, things, strict=True)}
    mine = {things[index].layer, things[other].layer}
    kept = tuple(word for word in exercise.hides if {by_id.get(word.nearer), by_id.get(word.farther)} != mine)
    if how == "unsaid":
        return exercise.model_copy(update={"hides": kept})
    nearer, farther = (index, other) if how == "before" else (other, index)
    said = Hides(nearer=exercise.things[nearer].id, farther=exercise.things[farther].id)
    return exercise.model_copy(update={"hides": (*kept, said)})
