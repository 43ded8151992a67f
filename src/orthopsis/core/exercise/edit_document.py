"""Changing a document at named places: the ground on which all edits stand."""

from collections.abc import Mapping
from typing import Any

from pydantic import ValidationError

from orthopsis.core.errors import GeometryError
from orthopsis.core.exercise.document import Exercise
from orthopsis.core.exercise.placed import Placed
from orthopsis.core.exercise.setting import setting_of
from orthopsis.core.things.declare import Values
from orthopsis.core.things.registry import KINDS


def changed_at(exercise: Exercise, changes: Mapping[str, Any]) -> Exercise:
    """Return the exercise with values at places, by their paths.

    Raises:
        GeometryError: there is no such place, or a value cannot be held there.
    """
    data = exercise.document()
    for path, value in changes.items():
        part: Any = data
        *way, last = path.split(".")
        for name in way:
            part = _child(part, name, path)
        if not isinstance(part, dict) or last not in part:
            raise no_place(path)
        part[last] = value
    try:
        return Exercise.model_validate(data)
    except ValidationError as error:
        message = str(error.errors()[0]["msg"]).removeprefix("Value error, ")
        about = next(iter(changes))
        raise GeometryError(
            "cannot_hold", f"This cannot be kept here: {message}.", "Type another value.", about=about
        ) from None


def _child(part: Any, name: str, path: str) -> Any:
    try:
        return part[int(name)] if isinstance(part, list) else part[name]
    except (KeyError, IndexError, ValueError, TypeError):
        raise no_place(path) from None


def placed_at(exercise: Exercise, parts: list[str]) -> Placed:
    """Return the thing that a path in its parts names, on its own.

    Raises:
        GeometryError: there is no such thing.
    """
    path = ".".join(parts)
    if len(parts) != 3 or parts[0] != "things" or not parts[1].isdecimal() or int(parts[1]) >= len(exercise.things):
        raise no_place(path)
    thing = exercise.things[int(parts[1])]
    return Placed(int(parts[1]), KINDS[thing.kind], Values(thing.name, thing.held()), setting_of(exercise, thing.view))


def check_index(exercise: Exercise, index: int) -> None:
    """Refuse the number of a thing that is not there."""
    if not 0 <= index < len(exercise.things):
        raise no_place(f"things.{index}")


def no_place(path: str) -> GeometryError:
    """Return the error for a place that the exercise does not have."""
    return GeometryError("no_such_place", f"There is no “{path[:60]}” in this exercise.", "Load the exercise again.")
