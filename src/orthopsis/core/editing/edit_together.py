"""What becomes of the exercise when several things are moved, copied or removed at once?"""

from collections.abc import Sequence
from typing import Any

from orthopsis.core.document.document import Exercise
from orthopsis.core.document.place import PlaceRef, read_place, thing_place
from orthopsis.core.editing.edit import drag
from orthopsis.core.editing.edit_document import changed_at, check_index
from orthopsis.core.editing.edit_things import copy_thing, remove_thing
from orthopsis.core.scene.prepared import prepare, sheet_of
from orthopsis.core.sheet.ruler import round_to
from orthopsis.core.things.parameters import FIRST_CORNER
from orthopsis.core.things.registry import KINDS

Shift = tuple[float, float]


def remove_together(exercise: Exercise, indices: Sequence[int]) -> Exercise:
    """Return the exercise without some things, and without what lies on their faces."""
    for wanted in _ids(exercise, indices):
        index = next((i for i, thing in enumerate(exercise.things) if thing.id == wanted), None)
        if index is not None:
            exercise = remove_thing(exercise, index)
    return exercise


def copy_together(exercise: Exercise, indices: Sequence[int]) -> Exercise:
    """Return the exercise with a copy of some things after the last of them: the copies hang together as they do.

    Raises:
        GeometryError: too many things.
    """
    copies: dict[int, int] = {}
    for wanted in _ids(exercise, indices):
        index = next(i for i, thing in enumerate(exercise.things) if thing.id == wanted)
        exercise = copy_thing(exercise, index)
        copies[wanted] = exercise.things[index + 1].id
    originals = [thing for thing in exercise.things if thing.id not in copies.values()]
    copied = [
        thing.model_copy(update={"joined_to": copies.get(thing.joined_to, thing.joined_to)})
        for thing in exercise.things
        if thing.id in copies.values()
    ]
    after = max(i for i, thing in enumerate(originals) if thing.id in copies) + 1
    return exercise.model_copy(update={"things": (*originals[:after], *copied, *originals[after:])})


def shift_together(exercise: Exercise, indices: Sequence[int], shift: Shift) -> Exercise:
    """Return the exercise with some things moved by as much (mm); what stands by another or on a face goes with it.

    At the sheet's edge all of them stop together, so that they keep their places to each other.
    """
    movers = _movers(exercise, indices)
    if not movers:
        return exercise
    changes: dict[PlaceRef, Any] = {}
    for parameter, by in zip(FIRST_CORNER, shift, strict=True):
        held = {i: float(getattr(exercise.things[i], parameter.name)) for i in movers}
        low, high = parameter.least_mm - min(held.values()), parameter.most_mm - max(held.values())
        moved = min(max(by, low), high)
        changes |= {thing_place(i, parameter.name): mm + moved for i, mm in held.items()}
    return changed_at(exercise, changes)


def drag_together(
    exercise: Exercise, handle_id: str, x: float, y: float, others: Sequence[int], *, snap: bool = True
) -> Exercise:
    """Return the exercise after a handle was dragged, and other things with it if that moved its thing.

    Raises:
        GeometryError: as ``drag``.
    """
    dragged = drag(exercise, handle_id, x, y, snap=snap)
    place = read_place(handle_id)
    index = place.number
    if not others or place.owner != "things" or KINDS[exercise.things[index].kind].hangs:
        return dragged
    before, after = exercise.things[index], dragged.things[index]
    left, bottom = (getattr(after, p.name) - getattr(before, p.name) for p in FIRST_CORNER)
    is_moved_alone = before.model_copy(update={p.name: getattr(after, p.name) for p in FIRST_CORNER}) == after
    if not is_moved_alone:
        return dragged
    division = sheet_of(exercise).division_mm if snap else 0.01
    shift = (round_to(left, division), round_to(bottom, division))
    return shift_together(exercise, [*others, index], shift)


def _ids(exercise: Exercise, indices: Sequence[int]) -> list[int]:
    for index in indices:
        check_index(exercise, index)
    return [exercise.things[index].id for index in sorted(set(indices))]


def _movers(exercise: Exercise, indices: Sequence[int]) -> list[int]:
    """Return which of some things have a place of their own."""
    _ids(exercise, indices)
    placed = prepare(exercise).things
    own = {p.name for p in FIRST_CORNER}
    return [i for i in sorted(set(indices)) if not KINDS[exercise.things[i].kind].hangs and not own <= placed[i].given]
