"""What becomes of the exercise when the teacher types at a place or drags a handle?

Every edit returns a new exercise. Typed lengths are kept as typed if the ruler can measure them, dragged
ones snap to its marks.
"""

import math
from collections.abc import Mapping, Sequence
from typing import Any

from orthopsis.core.document.document import Exercise
from orthopsis.core.drawing.answer import CureEdit
from orthopsis.core.editing.edit_document import changed_at, no_place, placed_at, placed_value
from orthopsis.core.editing.edit_views import drag_view, other_half, other_view, to_view
from orthopsis.core.editing.places import OVER_GROUND, choices, read_over_ground, read_view_text, view_path
from orthopsis.core.errors import GeometryError
from orthopsis.core.plane.homogeneous import Point, distance
from orthopsis.core.scene.placed import GAP, Placed
from orthopsis.core.scene.prepared import prepare, setting_of, sheet_of
from orthopsis.core.scene.views import VIEWS
from orthopsis.core.sheet.measure import parse_measure
from orthopsis.core.sheet.paper import OWN
from orthopsis.core.sheet.ruler import round_to, usual_division
from orthopsis.core.things.depth import FARTHEST_SHARE
from orthopsis.core.things.outline import parse_outline, scaled, size
from orthopsis.core.things.parameters import Choice, Length, Shape, Text, Value

HALF_WAY_MM = 2.0
"""An eye level this near to half the sheet's height is meant to be half way, and stays so on another paper."""


def type_at(exercise: Exercise, path: str, text: str) -> Exercise:
    """Return the exercise with what was typed or chosen at a place.

    Raises:
        GeometryError: the text is no length or no choice; ``about`` is the path.
    """
    if path == "title":
        return changed_at(exercise, {"title": " ".join(text.split())[:80] or exercise.title})
    try:
        return set_at(exercise, path, _read(exercise, path, text))
    except GeometryError as error:
        raise error.at(path) from None


def set_at(exercise: Exercise, path: str, value: Value | None) -> Exercise:
    """Return the exercise with a value (mm or word) at a place, and what must follow it.

    Raises:
        GeometryError: there is no such place, or the value cannot be held there.
    """
    if path in ("sheet.paper", "sheet.orientation", "sheet.own_width_mm", "sheet.own_height_mm"):
        return _other_paper(exercise, path, value)
    if path == "sheet.units":
        return changed_at(exercise, {path: value, "sheet.division": usual_division(value)})  # type: ignore[arg-type]
    if path.endswith(".kind") and path.startswith("views."):
        return other_view(exercise, path, str(value))
    if path.endswith(".half") and path.startswith("views."):
        return other_half(exercise, path, str(value))
    if path.endswith(".view") and path.startswith("things."):
        return to_view(exercise, path, str(value))
    view = view_path(exercise, path)
    if view is not None:
        number = value if isinstance(value, float | int) else None
        seen = exercise.views[view.number]
        changed = view.place.write(seen, lambda: setting_of(exercise, seen.name).frame, number)
        return changed_at(exercise, {f"views.{view.number}.{name}": mm for name, mm in changed.items()})
    if path.startswith("things."):
        return changed_at(exercise, {path: value, **_followers(exercise, path, value)})
    return changed_at(exercise, {path: value})


def set_all(exercise: Exercise, edits: Sequence[CureEdit]) -> Exercise:
    """Return the exercise with several values, such as a cure changes; those of things at once, since they may be many.

    Raises:
        GeometryError: as ``set_at``.
    """
    of_things = {change.path: change.value for change in edits if placed_value(exercise, change.path)}
    for change in edits:
        if change.path not in of_things:
            exercise = set_at(exercise, change.path, change.value)
    return changed_at(exercise, of_things) if of_things else exercise


def _followers(exercise: Exercise, path: str, value: Value | None) -> dict[str, Value]:
    """Return what else changes of a thing so that its drawing stays as it is; nothing if it cannot be drawn now."""
    parts = path.split(".")
    if value is None or len(parts) != 3:
        return {}
    try:
        placed = _standing(exercise, parts)
        follow = placed.standing.follow(parts[2], value)
    except (GeometryError, KeyError):
        return {}
    return {f"things.{placed.index}.{name}": held for name, held in follow.items()}


def drag(exercise: Exercise, handle_id: str, x: float, y: float, *, snap: bool = True) -> Exercise:
    """Return the exercise after a handle was dragged to a page place (mm).

    Raises:
        GeometryError: there is no such handle.
    """
    sheet = sheet_of(exercise)
    division = sheet.division_mm if snap else 0.01
    if handle_id == "eye_level":
        height = min(max(round_to(y, division), division), sheet.height_mm - division)
        return changed_at(exercise, {"eye_level.height_mm": height})
    parts = handle_id.split(".")
    if len(parts) == 3 and parts[0] == "views":
        return drag_view(exercise, parts, Point(x, y), division)
    placed = _standing(exercise, parts)
    if parts[2] == GAP:
        return _drag_gap(exercise, placed.index, Point(x, y), division)
    handle = placed.standing.handles.get(parts[2])
    if handle is None:
        raise no_place(handle_id)
    changed = handle.drag(Point(x, y))
    return changed_at(
        exercise, {f"things.{placed.index}.{n}": v for n, v in _snapped(placed, changed, division).items()}
    )


def _standing(exercise: Exercise, parts: list[str]) -> Placed:
    """Return the thing that a path in its parts names, on its face if it lies on one."""
    placed = placed_at(exercise, parts)
    return prepare(exercise).things[placed.index] if placed.kind.hangs else placed


def _drag_gap(exercise: Exercise, index: int, at: Point, division: float) -> Exercise:
    """Return the exercise with the gap of a thing in line with another, as far along their line as the hand is."""
    anchor = prepare(exercise).things[index].setting.anchor
    if anchor is None or anchor.in_line is None:
        raise no_place(f"things.{index}.{GAP}")
    start, goal = anchor.at, anchor.in_line.goal
    reach = distance(start, goal)
    along = ((at.x - start.x) * (goal.x - start.x) + (at.y - start.y) * (goal.y - start.y)) / reach
    farthest = math.floor(FARTHEST_SHARE * reach / division) * division
    return changed_at(exercise, {f"things.{index}.{GAP}": min(max(round_to(along, division), division), farthest)})


def _read(exercise: Exercise, path: str, text: str) -> Value | None:
    units = sheet_of(exercise).units
    parts = path.split(".")
    if parts[0] == "things":
        placed = placed_at(exercise, parts)
        if parts[2] == "joined_to":
            return float(_chosen(text, choices(exercise, path), "this place"))
        if parts[2] in ("view", "joined_by"):
            return _chosen(text, choices(exercise, path), "this place")
        if parts[2] == GAP:
            return parse_measure(text, units, None)
        parameter = next((p for p in placed.kind.parameters if p.name == parts[2]), None)
        if parameter is None:
            raise no_place(path)
        if isinstance(parameter, Choice):
            return _chosen(text, parameter.options, parameter.says)
        if isinstance(parameter, Text):
            return text.strip()[: parameter.longest]
        if isinstance(parameter, Shape):
            ready = parameter.ready.get(text.strip())
            if ready is None:
                return parse_outline(text, units)
            return scaled(ready, *size(placed.values.outline(parameter.name)))
        return parse_measure(text, units, _whole_mm(exercise, parts[2]))
    view = view_path(exercise, path)
    if view is not None:
        return read_view_text(view, text, units, _whole_mm(exercise, parts[-1]))
    if path == OVER_GROUND:
        return read_over_ground(text, units)
    if path.endswith("_mm"):
        return parse_measure(text, units, _whole_mm(exercise, path))
    if path == "minutes":
        return _whole_number(text)
    try:
        return _chosen(text, choices(exercise, path), path.rsplit(".", maxsplit=1)[-1])
    except KeyError:
        raise no_place(path) from None


_ACROSS = ("left", "width", "x_mm", "left_mm", "right_mm", "third_x_mm")
_UP = ("bottom", "height", "eye_level.height_mm", "third_y_mm")
"""Values of which a share is a share of the sheet's width, or of its height."""


def _whole_mm(exercise: Exercise, name: str) -> float | None:
    """Return what a share that is typed at a place is a share of, or None where that is not clear."""
    sheet = sheet_of(exercise)
    return sheet.width_mm if name in _ACROSS else sheet.height_mm if name in _UP else None


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
    # A size of its own begins with the size that the paper had.
    own = {"sheet.own_width_mm": before.width_mm, "sheet.own_height_mm": before.height_mm} if value == OWN else {}
    changed = changed_at(exercise, {path: value, **own})
    after = sheet_of(changed)
    height = exercise.eye_level.height_mm * after.height_mm / before.height_mm
    division = after.division_mm
    is_half = abs(exercise.eye_level.height_mm - before.height_mm / 2) <= HALF_WAY_MM
    moved: dict[str, Any] = {"eye_level.height_mm": after.height_mm / 2 if is_half else round_to(height, division)}
    for i, view in enumerate(exercise.views):
        for name, place in VIEWS[view.kind].places.items():
            mm = getattr(view, name, None)
            if place.kind == "angle" or mm is None or name == "distance_mm":
                continue
            share = after.height_mm / before.height_mm if name.endswith("y_mm") else after.width_mm / before.width_mm
            moved[f"views.{i}.{name}"] = round_to(mm * share, division)
    return changed_at(changed, moved)


def _snapped(placed: Placed, changed: Mapping[str, Value], division: float) -> dict[str, Value]:
    result: dict[str, Value] = {}
    for name, value in changed.items():
        parameter = placed.kind.parameter(name)
        if isinstance(parameter, Length):
            on_mark = round_to(float(value), division)  # type: ignore[arg-type]
            value = min(max(on_mark, parameter.least_mm), parameter.most_mm)
        result[name] = value
    return result
