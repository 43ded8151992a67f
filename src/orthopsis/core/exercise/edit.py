"""What becomes of the exercise when the teacher types at a place, drags a handle, adds or removes a thing?

Every edit returns a new exercise. Typed lengths are kept as typed if the ruler can measure them, dragged
ones snap to its marks.
"""

from collections.abc import Mapping
from typing import Any

from pydantic import ValidationError

from orthopsis.core.errors import GeometryError
from orthopsis.core.exercise.document import MOST_THINGS, MOST_VIEWS, THING_MODELS, Exercise
from orthopsis.core.exercise.placed import Placed
from orthopsis.core.exercise.places import choices, read_view_text, view_path
from orthopsis.core.exercise.setting import setting_of, sheet_of
from orthopsis.core.exercise.views import LONGEST_STRIP_MM, VIEWS, fresh_view
from orthopsis.core.plane.homogeneous import Point
from orthopsis.core.sheet.length import parse_length
from orthopsis.core.sheet.ruler import round_to, usual_division
from orthopsis.core.things.declare import FIRST_CORNER, Choice, Length, Shape, Value, Values
from orthopsis.core.things.outline import parse_outline, scaled, size
from orthopsis.core.things.registry import KINDS


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
    if path.endswith(".kind") and path.startswith("views."):
        return _other_view(exercise, path, str(value))
    view = view_path(exercise, path)
    if view is not None:
        number = value if isinstance(value, float | int) else None
        seen = exercise.views[view.number]
        changed = view.place.write(seen, lambda: setting_of(exercise, seen.name).frame, number)
        return _with(exercise, {f"views.{view.number}.{name}": mm for name, mm in changed.items()})
    if path.startswith("things."):
        return _with(exercise, {path: value, **_followers(exercise, path, value)})
    return _with(exercise, {path: value})


def _followers(exercise: Exercise, path: str, value: Value | None) -> dict[str, Value]:
    """Return what else changes of a thing so that its drawing stays as it is; nothing if it cannot be drawn now."""
    parts = path.split(".")
    if value is None or len(parts) != 3:
        return {}
    placed = _placed(exercise, parts)
    try:
        follow = placed.build.follow(placed.values, placed.setting, parts[2], value)
    except (GeometryError, KeyError):
        return {}
    return {f"things.{placed.index}.{name}": held for name, held in follow.items()}


def _other_view(exercise: Exercise, path: str, kind: str) -> Exercise:
    """Change the kind of a view; things that cannot stand in it as they are find new places."""
    number, sheet = path.split(".")[1], sheet_of(exercise)
    if not number.isdecimal() or int(number) >= len(exercise.views) or kind not in VIEWS:
        raise _no_place(path)
    views = list(exercise.document()["views"])
    name = exercise.views[int(number)].name
    views[int(number)] = fresh_view(kind, name, exercise.eye_level.height_mm, sheet)
    changed = Exercise.model_validate({**exercise.document(), "views": views})
    things: list[Any] = []
    for index, thing in enumerate(changed.things):
        data = thing.model_dump(mode="json")
        if thing.view == name:
            data |= _standing(changed, index)
        things.append(data)
    return Exercise.model_validate({**changed.document(), "things": things})


def _standing(exercise: Exercise, index: int) -> Mapping[str, Value]:
    """Return new values for a thing that cannot be drawn where it stands, or nothing."""
    placed = _placed(exercise, ["things", str(index), "view"])
    if placed.setting.frame.kind not in placed.kind.builds:
        return {}
    try:
        placed.build.recipe(placed.values, placed.setting)
        placed.build.solid(placed.values, placed.setting)
    except GeometryError:
        return placed.build.place(placed.setting, index)
    return {}


def add_view(exercise: Exercise, kind: str) -> Exercise:
    """Return the exercise with one more view on the same eye level.

    Raises:
        GeometryError: unknown kind, or too many views.
    """
    if kind not in VIEWS:
        raise GeometryError("unknown_kind", f"“{kind[:40]}” is not a kind of view.", f"Choose {', '.join(VIEWS)}.")
    if len(exercise.views) >= MOST_VIEWS:
        raise GeometryError("too_many_views", f"A sheet carries at most {MOST_VIEWS} views.", "Remove one first.")
    names = {view.name for view in exercise.views}
    name = next(f"point {n}" for n in range(2, MOST_VIEWS + 2) if f"point {n}" not in names)
    sheet = sheet_of(exercise)
    fresh = fresh_view(kind, name, exercise.eye_level.height_mm, sheet)
    if kind == "one_point":
        fresh["x_mm"] = round_to(sheet.width_mm * (0.25 + 0.25 * len(names)) % sheet.width_mm, sheet.division_mm)
    return Exercise.model_validate({**exercise.document(), "views": [*exercise.document()["views"], fresh]})


def remove_view(exercise: Exercise, index: int) -> Exercise:
    """Return the exercise without a view; the things in it go over to the first one that is left.

    Raises:
        GeometryError: it is the only one.
    """
    if not 0 <= index < len(exercise.views):
        raise _no_place(f"views.{index}")
    if len(exercise.views) == 1:
        raise GeometryError("last_view", "A sheet needs a view.", "Change its kind in the sentence instead.")
    data = exercise.document()
    gone = data["views"].pop(index)["name"]
    first = data["views"][0]["name"]
    moved = [i for i, thing in enumerate(data["things"]) if thing["view"] == gone]
    for i in moved:
        data["things"][i]["view"] = first
    changed = Exercise.model_validate(data)
    for i in moved:
        data["things"][i] |= _standing(changed, i)
    return Exercise.model_validate(data)


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
    if len(parts) == 3 and parts[0] == "views":
        return _drag_view(exercise, parts, Point(x, y), division)
    placed = _placed(exercise, parts)
    handle = placed.build.handle(parts[2])
    if handle is None:
        raise _no_place(handle_id)
    changed = handle.drag(placed.values, placed.setting, Point(x, y))
    return _with(exercise, {f"things.{placed.index}.{n}": v for n, v in _snapped(placed, changed, division).items()})


def _drag_view(exercise: Exercise, parts: list[str], at: Point, division: float) -> Exercise:
    sheet = sheet_of(exercise)
    if not parts[1].isdecimal() or int(parts[1]) >= len(exercise.views):
        raise _no_place(".".join(parts))
    view = exercise.views[int(parts[1])]
    held = VIEWS[view.kind].handles.get(parts[2])
    if held is None:
        raise _no_place(".".join(parts))
    reach = 0.0 if view.kind == "one_point" else LONGEST_STRIP_MM
    x = min(max(at.x, -reach), sheet.width_mm + reach)
    y = min(max(at.y, -reach), sheet.height_mm + reach)
    changed = held.drag(Point(x, y))
    on_mark = {f"views.{parts[1]}.{n}": v if v is None else round_to(v, division) for n, v in changed.items()}
    return _with(exercise, on_mark)


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
    setting = setting_of(exercise, exercise.things[-1].view if exercise.things else "")
    builds = KINDS[kind].builds
    if setting.frame.kind not in builds:
        views = " or ".join(VIEWS[v].title.lower() for v in builds)
        raise GeometryError("cannot_stand_here", "This cannot be drawn in this kind of view.", f"Choose {views} first.")
    held = builds[setting.frame.kind].place(setting, len(exercise.things))
    name = _free_name(KINDS[kind].title, {thing.name for thing in exercise.things})
    thing = THING_MODELS[kind].model_validate({"name": name, "view": setting.frame.name, **held})
    return exercise.model_copy(update={"things": (*exercise.things, thing)})


def remove_thing(exercise: Exercise, index: int) -> Exercise:
    """Return the exercise without a thing."""
    _check_index(exercise, index)
    gone = exercise.things[index].name
    alone = {f"things.{i}.joined_to": "" for i, t in enumerate(exercise.things) if t.joined_to == gone}
    exercise = _with(exercise, alone) if alone else exercise
    return exercise.model_copy(
        update={
            "things": exercise.things[:index] + exercise.things[index + 1 :],
            "steps": tuple(c for c in exercise.steps if not c.step.startswith(f"{gone}/")),
        }
    )


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
    aside = FIRST_CORNER[0].name
    moved = {aside: float(thing.held()[aside]) + shift}  # type: ignore[arg-type]
    copy = thing.model_copy(update={"name": name, **moved})
    return exercise.model_copy(update={"things": (*exercise.things[: index + 1], copy, *exercise.things[index + 1 :])})


def rename_thing(exercise: Exercise, index: int, name: str) -> Exercise:
    """Return the exercise with a thing called otherwise.

    Raises:
        GeometryError: the name is taken, empty, too long or holds a full stop.
    """
    _check_index(exercise, index)
    before = exercise.things[index].name
    tidy = name.strip()
    joined = {f"things.{i}.joined_to": tidy for i, t in enumerate(exercise.things) if t.joined_to == before}
    renamed = _with(exercise, {f"things.{index}.name": tidy, **joined})
    after = renamed.things[index].name
    steps = tuple(
        c.model_copy(update={"step": f"{after}/{c.step.removeprefix(f'{before}/')}"})
        if c.step.startswith(f"{before}/")
        else c
        for c in renamed.steps
    )
    return renamed.model_copy(update={"steps": steps})


def _read(exercise: Exercise, path: str, text: str) -> Value | None:
    units = sheet_of(exercise).units
    parts = path.split(".")
    if parts[0] == "things":
        placed = _placed(exercise, parts)
        if parts[2] in ("view", "joined_to", "joined_by"):
            return _chosen(text, choices(exercise, path), "this place")
        parameter = next((p for p in placed.kind.parameters if p.name == parts[2]), None)
        if parameter is None:
            raise _no_place(path)
        if isinstance(parameter, Choice):
            return _chosen(text, parameter.options, parameter.says)
        if isinstance(parameter, Shape):
            ready = parameter.ready.get(text.strip())
            if ready is None:
                return parse_outline(text, units)
            return scaled(ready, *size(placed.values.outline(parameter.name)))
        return parse_length(text, units)
    view = view_path(exercise, path)
    if view is not None:
        return read_view_text(view, text, units)
    if path.endswith("_mm"):
        return parse_length(text, units)
    if path == "minutes":
        return _whole_number(text)
    try:
        return _chosen(text, choices(exercise, path), path.rsplit(".", maxsplit=1)[-1])
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
    """Keep the eye level and the points at their share of the new sheet, on marks of the ruler."""
    before = sheet_of(exercise)
    changed = _with(exercise, {path: value})
    after = sheet_of(changed)
    height = exercise.eye_level.height_mm * after.height_mm / before.height_mm
    division = after.division_mm
    moved: dict[str, Any] = {"eye_level.height_mm": round_to(height, division)}
    for i, view in enumerate(exercise.views):
        for name, place in VIEWS[view.kind].places.items():
            mm = getattr(view, name, None)
            if place.kind == "angle" or mm is None or name == "distance_mm":
                continue
            share = after.height_mm / before.height_mm if name.endswith("y_mm") else after.width_mm / before.width_mm
            moved[f"views.{i}.{name}"] = round_to(mm * share, division)
    return _with(changed, moved)


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
    return Placed(int(parts[1]), KINDS[thing.kind], Values(thing.name, thing.held()), setting_of(exercise, thing.view))


def _snapped(placed: Placed, changed: Mapping[str, Value], division: float) -> dict[str, Value]:
    result: dict[str, Value] = {}
    for name, value in changed.items():
        parameter = placed.kind.parameter(name)
        if isinstance(parameter, Length):
            on_mark = round_to(float(value), division)  # type: ignore[arg-type]
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
