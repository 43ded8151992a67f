"""What becomes of the exercise when its views change: another kind, one more, one less, a point dragged?"""

from collections.abc import Mapping
from typing import Any

from orthopsis.core.document.document import Exercise
from orthopsis.core.document.parts import MOST_VIEWS
from orthopsis.core.document.place import PlaceRef, no_place, thing_place, view_place
from orthopsis.core.editing.edit_document import changed_at, placed_at
from orthopsis.core.errors import GeometryError
from orthopsis.core.plane.homogeneous import Point
from orthopsis.core.scene.prepared import half_of, setting_of, sheet_of
from orthopsis.core.scene.views import LONGEST_STRIP_MM, VIEWS, fresh_view
from orthopsis.core.sheet.paper import Half
from orthopsis.core.sheet.ruler import round_to
from orthopsis.core.things.parameters import FIRST_CORNER, Value
from orthopsis.core.things.registry import KINDS
from orthopsis.core.wording.exercise import HALVES


def other_view(exercise: Exercise, place: PlaceRef, kind: str) -> Exercise:
    """Change the kind of a view; things that cannot stand in it as they are find new places."""
    number, sheet = place.number, sheet_of(exercise)
    if number >= len(exercise.views) or kind not in VIEWS:
        raise no_place(place)
    if exercise.views[number].kind == kind:
        return exercise
    views = list(exercise.document()["views"])
    name = exercise.views[number].name
    half = half_of(exercise, number)
    views[number] = fresh_view(kind, name, exercise.eye_level.height_mm, sheet, half)
    changed = Exercise.model_validate({**exercise.document(), "views": views})
    things: list[Any] = []
    for index, thing in enumerate(changed.things):
        data = thing.model_dump(mode="json")
        if thing.view == name:
            data |= _standing(changed, index)
        things.append(data)
    return Exercise.model_validate({**changed.document(), "things": things})


def other_half(exercise: Exercise, place: PlaceRef, half: str) -> Exercise:
    """Draw a view on another part of the folded sheet: its points and things keep their share of that part."""
    sheet = sheet_of(exercise)
    if place.number >= len(exercise.views) or half not in HALVES:
        raise no_place(place)
    view = exercise.views[place.number]
    (low, high), (to_low, to_high) = sheet.part(view.half), sheet.part(half)  # type: ignore[arg-type]

    def moved(mm: float) -> float:
        return round_to(to_low + (mm - low) / (high - low) * (to_high - to_low), sheet.division_mm)

    changes: dict[PlaceRef, Any] = {place: half}
    for name in ("x_mm", "left_mm", "right_mm", "centre_mm", "third_x_mm"):
        held = getattr(view, name, None)
        if held is not None:
            changes[place.of(name)] = moved(held)
    aside = FIRST_CORNER[0].name
    mine = [i for i, t in enumerate(exercise.things) if t.view == view.name and not KINDS[t.kind].hangs]
    for i in mine:
        if KINDS[exercise.things[i].kind].has_first_corner:
            changes[thing_place(i, aside)] = moved(float(exercise.things[i].held()[aside]))  # type: ignore[arg-type]
    changed = changed_at(exercise, changes)
    standing = {thing_place(i, name): value for i in mine for name, value in _standing(changed, i).items()}
    return changed_at(changed, standing) if standing else changed


def to_view(exercise: Exercise, place: PlaceRef, name: str) -> Exercise:
    """Let a thing belong to another view: on another half it keeps its share, and finds a new place if it must."""
    index = placed_at(exercise, place).index
    thing, sheet = exercise.things[index], sheet_of(exercise)
    halves = [setting_of(exercise, view).half for view in (thing.view, name)]
    (low, high), (to_low, to_high) = (sheet.part(half) for half in halves)
    changes: dict[PlaceRef, Any] = {place: name}
    if KINDS[thing.kind].has_first_corner:
        aside = FIRST_CORNER[0].name
        share = (float(thing.held()[aside]) - low) / (high - low)  # type: ignore[arg-type]
        changes[place.of(aside)] = round_to(to_low + share * (to_high - to_low), sheet.division_mm)
    changed = changed_at(exercise, changes)
    standing = {place.of(n): value for n, value in _standing(changed, index).items()}
    return changed_at(changed, standing) if standing else changed


def _free_half(exercise: Exercise) -> Half:
    """Return the half of a folded sheet on which a new view has room; the whole sheet where no half is taken."""
    taken = {view.half for view in exercise.views}
    if exercise.sheet.fold != "folded" or not taken & {"left", "right"}:
        return "whole"
    return "right" if "right" not in taken else "left"


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
    name = next(f"view {n}" for n in range(2, MOST_VIEWS + 2) if f"view {n}" not in names)
    sheet, half = sheet_of(exercise), _free_half(exercise)
    fresh = fresh_view(kind, name, exercise.eye_level.height_mm, sheet, half)
    if kind == "one_point" and half == "whole":
        fresh["x_mm"] = round_to(sheet.width_mm * (0.25 + 0.25 * len(names)) % sheet.width_mm, sheet.division_mm)
    return Exercise.model_validate({**exercise.document(), "views": [*exercise.document()["views"], fresh]})


def remove_view(exercise: Exercise, index: int) -> Exercise:
    """Return the exercise without a view; the things in it go over to the first one that is left.

    Raises:
        GeometryError: it is the only one.
    """
    if not 0 <= index < len(exercise.views):
        raise no_place(view_place(index))
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


def drag_view(exercise: Exercise, place: PlaceRef, at: Point, division: float) -> Exercise:
    """Return the exercise with a point of a view dragged to a page place, on marks of this division (mm).

    Raises:
        GeometryError: there is no such point.
    """
    sheet = sheet_of(exercise)
    view = exercise.views[place.number] if place.number < len(exercise.views) else None
    held = VIEWS[view.kind].handles.get(place.name) if view is not None else None
    if view is None or held is None:
        raise no_place(place)
    reach = 0.0 if view.kind == "one_point" else LONGEST_STRIP_MM
    x = min(max(at.x, -reach), sheet.width_mm + reach)
    y = min(max(at.y, -reach), sheet.height_mm + reach)
    changed = held.drag(Point(x, y))
    on_mark = {place.of(n): v if v is None else round_to(v, division) for n, v in changed.items()}
    return changed_at(exercise, on_mark)


def _standing(exercise: Exercise, index: int) -> Mapping[str, Value]:
    """Return new values for a thing that cannot be drawn where it stands, or nothing."""
    placed = placed_at(exercise, thing_place(index))
    if placed.kind.hangs or placed.setting.frame.kind not in placed.kind.in_view:
        return {}  # what hangs on another thing follows that one
    try:
        is_drawn = placed.standing.recipe and placed.standing.solid
    except GeometryError:
        is_drawn = None
    return {} if is_drawn else placed.standing.place(placed.setting, index)
