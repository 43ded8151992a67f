"""Changing a document at named places: the ground on which all edits stand."""

from collections.abc import Mapping
from functools import partial
from typing import Any

from pydantic import BaseModel, ValidationError

from orthopsis.core.document.document import Exercise
from orthopsis.core.document.faults import fault_words
from orthopsis.core.document.place import PlaceRef, no_place, thing_place
from orthopsis.core.document.thing_models import values_of
from orthopsis.core.errors import GeometryError
from orthopsis.core.scene.placed import Placed
from orthopsis.core.scene.prepared import setting_of, sheet_of
from orthopsis.core.sheet.length import format_limit
from orthopsis.core.things.parameters import Length
from orthopsis.core.things.registry import KINDS


def changed_at(exercise: Exercise, changes: Mapping[PlaceRef, Any]) -> Exercise:
    """Return the exercise with values at places.

    Raises:
        GeometryError: there is no such place, or a value cannot be held there.
    """
    data: dict[str, Any] = {**dict(exercise), "things": list(exercise.things), "views": list(exercise.views)}
    for place, value in changes.items():
        part = _opened(data, place)
        name = place.name or place.owner
        if name not in part:
            raise no_place(place)
        part[name] = value
    try:
        return Exercise.model_validate(data)
    except ValidationError as error:
        about = next(iter(changes))
        is_least = "greater" in error.errors()[0]["type"]
        as_length = partial(_written, exercise, is_least=is_least)
        written = as_length if about.holds_length else (lambda number: f"{number:g}")
        why, nearest = fault_words(dict(error.errors()[0]), written)
        raise GeometryError(
            "cannot_hold", f"This cannot be kept here: {why}.", "Type another value.", about=about.path, nearest=nearest
        ) from None


def _written(exercise: Exercise, mm: float, *, is_least: bool) -> str:
    sheet = sheet_of(exercise)
    return format_limit(mm, sheet.units, sheet.division_mm, is_least=is_least)


def _opened(data: dict[str, Any], place: PlaceRef) -> dict[str, Any]:
    """Return the part of a document that holds a value, opened so that it can be changed; the others stay as they are.

    Raises:
        GeometryError: there is no such view or thing.
    """
    if not place.name:
        return data
    held: Any = data[place.owner]
    holder: Any = held if isinstance(held, list) else data
    key = place.number if isinstance(held, list) else place.owner
    if isinstance(held, list) and not 0 <= place.number < len(held):
        raise no_place(place)
    opened: dict[str, Any] = holder[key] if isinstance(holder[key], dict) else _plain(holder[key])
    holder[key] = opened
    return opened


def _plain(part: Any) -> dict[str, Any]:
    """Return a part of a document as plain data; what only has one value has no names in it."""
    return part.model_dump(mode="json") if isinstance(part, BaseModel) else {}


def placed_at(exercise: Exercise, place: PlaceRef) -> Placed:
    """Return the thing that a place belongs to, on its own.

    Raises:
        GeometryError: there is no such thing.
    """
    if place.owner != "things" or not 0 <= place.number < len(exercise.things):
        raise no_place(place)
    thing = exercise.things[place.number]
    kind, setting = KINDS[thing.kind], setting_of(exercise, thing.view)
    return Placed(place.number, kind, kind.stand(values_of(thing), setting))


def is_length_of_thing(exercise: Exercise, place: PlaceRef) -> bool:
    """Tell whether a place is a length of a thing: nothing else follows from such a value."""
    if place.owner != "things" or not 0 <= place.number < len(exercise.things):
        return False
    parameters = KINDS[exercise.things[place.number].kind].parameters
    return any(p.name == place.name and isinstance(p, Length) for p in parameters)


def free_id(exercise: Exercise) -> int:
    """Return an id that no thing of the exercise has, nor what was changed of its steps."""
    taken = {thing.id for thing in exercise.things} | {change.step.thing for change in exercise.steps}
    return max(taken, default=0) + 1


def check_index(exercise: Exercise, index: int) -> None:
    """Refuse the number of a thing that is not there."""
    if not 0 <= index < len(exercise.things):
        raise no_place(thing_place(index))
