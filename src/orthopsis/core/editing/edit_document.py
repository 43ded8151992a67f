"""Changing a document at named places: the ground on which all edits stand."""

from collections.abc import Mapping
from typing import Any

from pydantic import ValidationError

from orthopsis.core.document.document import Exercise
from orthopsis.core.document.faults import fault_words
from orthopsis.core.errors import GeometryError
from orthopsis.core.scene.placed import Placed
from orthopsis.core.scene.prepared import setting_of, sheet_of
from orthopsis.core.sheet.length import format_limit
from orthopsis.core.things.parameters import Length
from orthopsis.core.things.registry import KINDS
from orthopsis.core.things.values import Values


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
        about = next(iter(changes))
        is_length = about.endswith("_mm") or about.startswith("things.")
        is_least = "greater" in error.errors()[0]["type"]
        written = (lambda mm: _written(exercise, mm, is_least)) if is_length else (lambda number: f"{number:g}")
        why, nearest = fault_words(dict(error.errors()[0]), written)
        raise GeometryError(
            "cannot_hold", f"This cannot be kept here: {why}.", "Type another value.", about=about, nearest=nearest
        ) from None


def _written(exercise: Exercise, mm: float, is_least: bool) -> str:
    sheet = sheet_of(exercise)
    return format_limit(mm, sheet.units, sheet.division_mm, is_least=is_least)


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
    kind = KINDS[thing.kind]
    return Placed(int(parts[1]), kind, kind.stand(Values(thing.name, thing.held()), setting_of(exercise, thing.view)))


def placed_value(exercise: Exercise, path: str) -> bool:
    """Tell whether a path names a length of a thing: nothing else follows from such a value."""
    parts = path.split(".")
    if len(parts) != 3 or parts[0] != "things" or not parts[1].isdecimal() or int(parts[1]) >= len(exercise.things):
        return False
    parameters = KINDS[exercise.things[int(parts[1])].kind].parameters
    return any(p.name == parts[2] and isinstance(p, Length) for p in parameters)


def free_id(exercise: Exercise) -> int:
    """Return an id that no thing of the exercise has, nor what was changed of its steps."""
    taken = {thing.id for thing in exercise.things} | {change.step.thing for change in exercise.steps}
    return max(taken, default=0) + 1


def check_index(exercise: Exercise, index: int) -> None:
    """Refuse the number of a thing that is not there."""
    if not 0 <= index < len(exercise.things):
        raise no_place(f"things.{index}")


def no_place(path: str) -> GeometryError:
    """Return the error for a place that the exercise does not have."""
    return GeometryError("no_such_place", f"There is no “{path[:60]}” in this exercise.", "Load the exercise again.")
