"""What becomes of the exercise when the teacher types at a place or drags a handle?

Every edit returns a new exercise. Typed lengths are kept as typed if the ruler can measure them, dragged
ones snap to its marks.
"""

import math
from collections.abc import Mapping, Sequence
from typing import Any

from orthopsis.core.document.document import Exercise
from orthopsis.core.document.parts import FARTHEST_SUN_MM, LOWEST_SUN_MM
from orthopsis.core.document.place import (
    DIVISION,
    EYE_LEVEL,
    LAMP_FOOT,
    LENGTHS,
    MINUTES,
    ORIENTATION,
    OVER_GROUND,
    OWN_SIZE,
    PAPER,
    SUN,
    SUN_ASIDE,
    SUN_HEIGHT,
    TITLE,
    UNITS,
    PlaceRef,
    no_place,
    read_place,
    thing_place,
    view_place,
)
from orthopsis.core.drawing.answer import CureEdit
from orthopsis.core.editing.edit_document import changed_at, is_length_of_thing, placed_at
from orthopsis.core.editing.edit_views import drag_view, other_half, other_view, to_view
from orthopsis.core.editing.places import choices, read_over_ground, read_view_text, value_at, view_value
from orthopsis.core.errors import GeometryError
from orthopsis.core.light.light import dragged, foot_dragged
from orthopsis.core.plane.homogeneous import Point, distance
from orthopsis.core.scene.joining import faces_for
from orthopsis.core.scene.placed import GAP, Placed
from orthopsis.core.scene.prepared import prepare, setting_of, sheet_of
from orthopsis.core.scene.views import VIEWS
from orthopsis.core.sheet.length import Units
from orthopsis.core.sheet.measure import parse_measure
from orthopsis.core.sheet.paper import OWN
from orthopsis.core.sheet.ruler import round_to, usual_division
from orthopsis.core.things.depth import FARTHEST_SHARE
from orthopsis.core.things.outline import parse_outline, scaled, size
from orthopsis.core.things.parameters import Choice, Length, Shape, Text, Value
from orthopsis.core.things.registry import KINDS

HALF_WAY_MM = 2.0
"""An eye level this near to half the sheet's height is meant to be half way, and stays so on another paper."""


def type_at(exercise: Exercise, path: str, text: str) -> Exercise:
    """Return the exercise with what was typed or chosen at a place.

    Raises:
        GeometryError: the text is no length or no choice; ``about`` is the path.
    """
    try:
        place = read_place(path)
        if place == TITLE:
            return changed_at(exercise, {place: " ".join(text.split())[:80] or exercise.title})
        return set_at(exercise, path, _read(exercise, place, text))
    except GeometryError as error:
        raise error.at(path) from None


def set_at(exercise: Exercise, path: str, value: Value | None) -> Exercise:
    """Return the exercise with a value (mm or word) at a place, and what must follow it.

    Raises:
        GeometryError: there is no such place, or the value cannot be held there.
    """
    place = read_place(path)
    if place in (PAPER, ORIENTATION, *OWN_SIZE):
        return exercise if value_at(exercise, place) == value else _other_paper(exercise, place, value)
    if place == UNITS:
        return changed_at(exercise, {place: value, DIVISION: usual_division(value)})  # type: ignore[arg-type]
    if place.owner == "views":
        return _set_view(exercise, place, value)
    if place == thing_place(place.number, "view"):
        return to_view(exercise, place, str(value))
    if place.owner == "things":
        return changed_at(exercise, {place: value, **_followers(exercise, place, value)})
    return changed_at(exercise, {place: value})


def _set_view(exercise: Exercise, place: PlaceRef, value: Value | None) -> Exercise:
    """Return the exercise with a value of a view, and what follows from it."""
    if place.name == "kind":
        return other_view(exercise, place, str(value))
    if place.name == "half":
        return other_half(exercise, place, str(value))
    held = view_value(exercise, place)
    if held is None:
        return changed_at(exercise, {place: value})
    number, view = value if isinstance(value, float | int) else None, exercise.views[place.number]
    changed = held.write(view, lambda: setting_of(exercise, view.name).frame, number)
    return changed_at(exercise, {place.of(name): mm for name, mm in changed.items()})


def set_all(exercise: Exercise, edits: Sequence[CureEdit]) -> Exercise:
    """Return the exercise with several values, such as a cure changes; those of things at once, since they may be many.

    Raises:
        GeometryError: as ``set_at``.
    """
    places = [(read_place(change.path), change) for change in edits]
    of_things = {place: change.value for place, change in places if is_length_of_thing(exercise, place)}
    for place, change in places:
        if place not in of_things:
            exercise = set_at(exercise, change.path, change.value)
    return changed_at(exercise, of_things) if of_things else exercise


def _followers(exercise: Exercise, place: PlaceRef, value: Value | None) -> dict[PlaceRef, Value]:
    """Return what else changes of a thing so that its drawing stays as it is; nothing if it cannot be drawn now."""
    if value is None:
        return {}
    if place.name == "joined_to":
        return _other_face(exercise, place, int(float(value)))  # type: ignore[arg-type]
    try:
        standing = _standing(exercise, place).standing
        # What is chosen once more is no change, and nothing follows.
        follow = {} if standing.values.held.get(place.name) == value else standing.follow(place.name, value)
    except (GeometryError, KeyError):
        return {}
    return {place.of(name): held for name, held in follow.items()}


def _other_face(exercise: Exercise, place: PlaceRef, host: int) -> dict[PlaceRef, Value]:
    """Return on which face of another thing one comes to lie: on one that is called the same, else on the first."""
    thing = exercise.things[place.number]
    kind = KINDS[thing.kind]
    if not kind.lies_on_face:
        return {}
    try:
        other = prepare(exercise).by_id.get(host)
    except GeometryError:
        return {}
    faces = [] if other is None else [key for key, panel in faces_for(kind, other).items() if not panel.is_part]
    return {} if not faces or thing.joined_by in faces else {place.of("joined_by"): faces[0]}


def drag(exercise: Exercise, handle_id: str, x: float, y: float, *, snap: bool = True) -> Exercise:
    """Return the exercise after a handle was dragged to a page place (mm).

    Raises:
        GeometryError: there is no such handle.
    """
    sheet, place = sheet_of(exercise), read_place(handle_id)
    division = sheet.division_mm if snap else 0.01
    if place == EYE_LEVEL.whole:
        height = min(max(round_to(y, division), division), sheet.height_mm - division)
        return changed_at(exercise, {EYE_LEVEL: height})
    if place in _LIGHT_DRAGS:
        return _drag_light(exercise, place, Point(x, y), division)
    if place.owner == "views":
        return drag_view(exercise, place, Point(x, y), division)
    placed = _standing(exercise, place)
    if place.name == GAP:
        return _drag_gap(exercise, place, Point(x, y), division)
    handle = placed.standing.handles.get(place.name)
    if handle is None:
        raise no_place(place)
    changed = handle.drag(Point(x, y))
    return changed_at(exercise, {place.of(n): v for n, v in _snapped(placed, changed, division).items()})


_LIGHT_DRAGS = {SUN: dragged, LAMP_FOOT: foot_dragged}
"""What becomes of the light when a hand moves one of its points."""


def _drag_light(exercise: Exercise, place: PlaceRef, at: Point, division: float) -> Exercise:
    """Return the exercise with a point of its light where a hand is, as the first view has it."""
    light = _LIGHT_DRAGS[place](exercise.lighting, setting_of(exercise).frame, at)
    aside = min(round_to(light.aside_mm, division), FARTHEST_SUN_MM)
    height, foot = (
        min(max(round_to(mm, division), LOWEST_SUN_MM), FARTHEST_SUN_MM) for mm in (light.height_mm, light.foot_mm)
    )
    changes = {PlaceRef("light"): light.side, SUN.of("stands"): light.stands, SUN_ASIDE: aside, SUN_HEIGHT: height}
    return changed_at(exercise, changes | ({LAMP_FOOT: foot} if light.is_lamp else {}))


def _standing(exercise: Exercise, place: PlaceRef) -> Placed:
    """Return the thing that a place belongs to, on its face if it lies on one."""
    placed = placed_at(exercise, place)
    return prepare(exercise).things[placed.index] if placed.kind.hangs else placed


def _drag_gap(exercise: Exercise, place: PlaceRef, at: Point, division: float) -> Exercise:
    """Return the exercise with the gap of a thing in line with another, as far along their line as the hand is."""
    anchor = prepare(exercise).things[place.number].setting.anchor
    if anchor is None or anchor.in_line is None:
        raise no_place(place)
    start, goal = anchor.at, anchor.in_line.goal
    reach = distance(start, goal)
    along = ((at.x - start.x) * (goal.x - start.x) + (at.y - start.y) * (goal.y - start.y)) / reach
    farthest = math.floor(FARTHEST_SHARE * reach / division) * division
    return changed_at(exercise, {place: min(max(round_to(along, division), division), farthest)})


def _read(exercise: Exercise, place: PlaceRef, text: str) -> Value | None:
    units = sheet_of(exercise).units
    if place.owner == "things":
        return _read_of_thing(exercise, place, text, units)
    held = view_value(exercise, place)
    if held is not None:
        return read_view_text(held, place.name, text, units, _whole_mm(exercise, place))
    if place == OVER_GROUND:
        return read_over_ground(text, units)
    if place in LENGTHS:
        return parse_measure(text, units, _whole_mm(exercise, place))
    if place == MINUTES:
        return _whole_number(text)
    try:
        return _chosen(text, choices(exercise, place), place.name or place.owner)
    except KeyError:
        raise no_place(place) from None


def _read_of_thing(exercise: Exercise, place: PlaceRef, text: str, units: Units) -> Value:
    placed = placed_at(exercise, place)
    if place.name == "joined_to":
        return float(_chosen(text, choices(exercise, place), "this place"))
    if place.name in ("view", "joined_by"):
        return _chosen(text, choices(exercise, place), "this place")
    if place.name == GAP:
        return parse_measure(text, units, None)
    parameter = next((p for p in placed.kind.parameters if p.name == place.name), None)
    if parameter is None:
        raise no_place(place)
    if isinstance(parameter, Choice):
        return _chosen(text, parameter.options, parameter.says)
    if isinstance(parameter, Text):
        return text.strip()[: parameter.longest]
    if isinstance(parameter, Shape):
        ready = parameter.ready.get(text.strip())
        if ready is None:
            return parse_outline(text, units)
        return scaled(ready, *size(placed.values.outline(parameter.name)))
    return parse_measure(text, units, _whole_mm(exercise, place))


_ACROSS = ("left", "width", "x_mm", "left_mm", "right_mm", "third_x_mm")
_UP = ("bottom", "height", "third_y_mm")
"""Values of which a share is a share of the sheet's width, or of its height."""


def _whole_mm(exercise: Exercise, place: PlaceRef) -> float | None:
    """Return what a share that is typed at a place is a share of, or None where that is not clear."""
    sheet = sheet_of(exercise)
    if place.owner in ("views", "things") and place.name in _ACROSS:
        return sheet.width_mm
    return sheet.height_mm if place == EYE_LEVEL or place.name in _UP else None


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


def _other_paper(exercise: Exercise, place: PlaceRef, value: Value | None) -> Exercise:
    """Keep the eye level and the points at their share of the new sheet, on marks of the ruler."""
    before = sheet_of(exercise)
    # A size of its own begins with the size that the paper had.
    own = dict(zip(OWN_SIZE, (before.width_mm, before.height_mm), strict=True)) if value == OWN else {}
    changed = changed_at(exercise, {place: value, **own})
    after = sheet_of(changed)
    height = exercise.eye_level.height_mm * after.height_mm / before.height_mm
    division = after.division_mm
    is_half = abs(exercise.eye_level.height_mm - before.height_mm / 2) <= HALF_WAY_MM
    moved: dict[PlaceRef, Any] = {EYE_LEVEL: after.height_mm / 2 if is_half else round_to(height, division)}
    for i, view in enumerate(exercise.views):
        for name, held in VIEWS[view.kind].places.items():
            mm = getattr(view, name, None)
            if held.kind == "angle" or mm is None or name == "distance_mm":
                continue
            is_height = held.kind == "height"
            share = after.height_mm / before.height_mm if is_height else after.width_mm / before.width_mm
            moved[view_place(i, name)] = round_to(mm * share, division)
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
