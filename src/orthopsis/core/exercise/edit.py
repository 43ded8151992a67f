"""What becomes of the exercise when the teacher types at a place, drags a handle, adds or removes a thing?

Every edit returns a new exercise. Typed lengths are kept as typed if the ruler can measure them, dragged
ones snap to its marks.
"""

from collections.abc import Mapping
from typing import Any

from pydantic import ValidationError

from orthopsis.core.errors import GeometryError
from orthopsis.core.exercise.document import MOST_THINGS, THING_MODELS, Exercise
from orthopsis.core.exercise.sentences import choices
from orthopsis.core.exercise.setting import Placed, prepare, setting_of, sheet_of
from orthopsis.core.plane.homogeneous import Point
from orthopsis.core.sheet.length import parse_length
from orthopsis.core.sheet.ruler import round_to, usual_division
from orthopsis.core.things.declare import Choice, Length, Value, Values
from orthopsis.core.things.registry import KINDS

_UNSTATED = ("", "-", "none", "unstated", "an unstated distance", "any")


def type_at(exercise: Exercise, path: str, text: str) -> Exercise:
    """Return the exercise with what was typed or chosen at a place.

    Raises:
        GeometryError: the text is no length or no choice; ``about`` is the path.
    """
    try:
        return set_at(exercise, path, _read(exercise, path, text))
    except GeometryError as error:
        raise error.at(path) from None


def set_at(exercise: Exercise, path: str, value: Value | None) -> Exercise:
    """Return the exercise with a value (mm or word) at a place, and what must follow it.

    Raises:
        GeometryError: there is no such place, or the value cannot be held there.
    """
    if path in ("sheet.paper", "sheet.orientation"):
        return _other_paper(exercise, path, value)
    if path == "sheet.units":
        return _with(exercise, {path: value, "sheet.division": usual_division(value)})  # type: ignore[arg-type]
    return _with(exercise, {path: value})


def drag(exercise: Exercise, handle_id: str, x: float, y: float, *, snap: bool = True) -> Exercise:
    """Return the exercise after a handle was dragged to a page place (mm).

    Raises:
        GeometryError: there is no such handle.
    """
    sheet = sheet_of(exercise)
    division = sheet.division_mm if snap else 0.01
    if handle_id == "eye_level":
        height = min(max(round_to(y, division), division), sheet.height_mm - division)
        return _with(exercise, {"eye_level.height_mm": height})
    parts = handle_id.split(".")
    if len(parts) == 3 and parts[0] == "views" and parts[2] == "point":
        return _with(exercise, {f"views.{parts[1]}.x_mm": round_to(min(max(x, 0.0), sheet.width_mm), division)})
    placed = _placed(exercise, parts)
    handle = placed.kind.handle(parts[2])
    if handle is None:
        raise _no_place(handle_id)
    changed = handle.drag(placed.values, placed.setting, Point(x, y))
    return _with(exercise, {f"things.{placed.index}.{n}": v for n, v in _snapped(placed, changed, division).items()})


def add_thing(exercise: Exercise, kind: str) -> Exercise:
    """Return the exercise with one more thing of this kind, placed where it can be seen.

    Raises:
        GeometryError: unknown kind, or too many things.
    """
    if kind not in KINDS:
        raise GeometryError("unknown_kind", f"“{kind[:40]}” is not a kind of thing.", f"Choose {', '.join(KINDS)}.")
    if len(exercise.things) >= MOST_THINGS:
        raise GeometryError(
            "too_many_things",
            f"An exercise holds at most {MOST_THINGS} things.",
            "Remove some, or begin another sheet.",
        )
    setting = setting_of(exercise)
    held = KINDS[kind].place(setting, len(exercise.things))
    name = _free_name(KINDS[kind].title, {thing.name for thing in exercise.things})
    thing = THING_MODELS[kind].model_validate({"name": name, "view": setting.frame.name, **held})
    return exercise.model_copy(update={"things": (*exercise.things, thing)})


def remove_thing(exercise: Exercise, index: int) -> Exercise:
    """Return the exercise without a thing."""
    _check_index(exercise, index)
    return exercise.model_copy(update={"things": exercise.things[:index] + exercise.things[index + 1 :]})


def move_thing(exercise: Exercise, index: int, by: int) -> Exercise:
    """Return the exercise with a thing moved in the order from near to far."""
    _check_index(exercise, index)
    things = list(exercise.things)
    thing = things.pop(index)
    things.insert(min(max(index + by, 0), len(things)), thing)
    return exercise.model_copy(update={"things": tuple(things)})


def copy_thing(exercise: Exercise, index: int) -> Exercise:
    """Return the exercise with a copy of a thing behind it, a little to the right."""
    _check_index(exercise, index)
    if len(exercise.things) >= MOST_THINGS:
        raise GeometryError("too_many_things", f"An exercise holds at most {MOST_THINGS} things.", "Remove some first.")
    thing = exercise.things[index]
    stem = thing.name.rstrip("0123456789 ") or thing.name
    name = _free_name(stem[:30], {t.name for t in exercise.things})
    shift = 10 * sheet_of(exercise).division_mm
    moved = {"left": getattr(thing, "left") + shift} if hasattr(thing, "left") else {}  # noqa: B009
    copy = thing.model_copy(update={"name": name, **moved})
    return exercise.model_copy(update={"things": (*exercise.things[: index + 1], copy, *exercise.things[index + 1 :])})


def rename_thing(exercise: Exercise, index: int, name: str) -> Exercise:
    """Return the exercise with a thing called otherwise.

    Raises:
        GeometryError: the name is taken, empty, too long or holds a full stop.
    """
    _check_index(exercise, index)
    return _with(exercise, {f"things.{index}.name": name.strip()})


def _read(exercise: Exercise, path: str, text: str) -> Value | None:
    units = sheet_of(exercise).units
    parts = path.split(".")
    if parts[0] == "things":
        placed = _placed(exercise, parts)
        parameter = next((p for p in placed.kind.parameters if p.name == parts[2]), None)
        if parameter is None:
            raise _no_place(path)
        if isinstance(parameter, Choice):
            return _chosen(text, parameter.options, parameter.says)
        return parse_length(text, units)
    if path.endswith("distance_mm") and text.strip().lower() in _UNSTATED:
        return None
    if path.endswith("_mm"):
        mm = parse_length(text, units)
        if path.endswith("distance_mm") and mm <= 0:
            raise GeometryError(
                "no_distance",
                "A viewing distance is longer than nothing.",
                "Give a length, or leave it empty.",
            )
        return mm
    if path == "minutes":
        return _whole_number(text)
    try:
        return _chosen(text, choices(prepare(exercise), path), path.rsplit(".", maxsplit=1)[-1])
    except KeyError:
        raise _no_place(path) from None


def _whole_number(text: str) -> int:
    words = text.strip().removesuffix("minutes").removesuffix("min").strip()
    if not words.isdecimal() or not 5 <= int(words[:6]) <= 600:
        raise GeometryError("not_minutes", f"“{text.strip()[:40]}” is no length of a lesson.", "Type 5 to 600 minutes.")
    return int(words)


def _chosen(text: str, options: Mapping[str, str], says: str) -> str:
    for value, shown in options.items():
        if text.strip() in (value, shown):
            return value
    raise GeometryError(
        "unknown_choice",
        f"“{text.strip()[:40]}” is not a choice for {says}.",
        f"Choose {', '.join(options.values())}.",
    )


def _other_paper(exercise: Exercise, path: str, value: Value | None) -> Exercise:
    """Keep the eye level and the point at their share of the new sheet, on marks of the ruler."""
    before = sheet_of(exercise)
    changed = _with(exercise, {path: value})
    after = sheet_of(changed)
    height = exercise.eye_level.height_mm * after.height_mm / before.height_mm
    x = exercise.views[0].x_mm * after.width_mm / before.width_mm
    division = after.division_mm
    return _with(changed, {"eye_level.height_mm": round_to(height, division), "views.0.x_mm": round_to(x, division)})


def _with(exercise: Exercise, changes: Mapping[str, Any]) -> Exercise:
    data = exercise.document()
    for path, value in changes.items():
        part: Any = data
        *way, last = path.split(".")
        for name in way:
            part = _child(part, name, path)
        if not isinstance(part, dict) or last not in part:
            raise _no_place(path)
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
        raise _no_place(path) from None


def _placed(exercise: Exercise, parts: list[str]) -> Placed:
    path = ".".join(parts)
    if len(parts) != 3 or parts[0] != "things" or not parts[1].isdecimal() or int(parts[1]) >= len(exercise.things):
        raise _no_place(path)
    thing = exercise.things[int(parts[1])]
    return Placed(int(parts[1]), KINDS[thing.kind], Values(thing.name, thing.held()), setting_of(exercise))


def _snapped(placed: Placed, changed: Mapping[str, Value], division: float) -> dict[str, Value]:
    result: dict[str, Value] = {}
    for name, value in changed.items():
        parameter = placed.kind.parameter(name)
        if isinstance(parameter, Length):
            on_mark = round_to(float(value), division)
            value = min(max(on_mark, parameter.least_mm), parameter.most_mm)
        result[name] = value
    return result


def _free_name(stem: str, taken: set[str]) -> str:
    number = 1
    while f"{stem} {number}" in taken:
        number += 1
    return f"{stem} {number}"


def _check_index(exercise: Exercise, index: int) -> None:
    if not 0 <= index < len(exercise.things):
        raise _no_place(f"things.{index}")


def _no_place(path: str) -> GeometryError:
    return GeometryError("no_such_place", f"There is no “{path[:60]}” in this exercise.", "Load the exercise again.")
