"""A part: some things of an exercise that a teacher keeps under a name, to set them down again elsewhere.

A part is an exercise of its own: the sheet, eye level and points with which its things were drawn, and those things.
"""

from collections.abc import Sequence

from orthopsis.core.document.document import Exercise
from orthopsis.core.document.thing_models import ThingDocument
from orthopsis.core.editing.edit_document import check_index
from orthopsis.core.errors import GeometryError
from orthopsis.core.scene.prepared import Prepared, prepare
from orthopsis.core.things.registry import KINDS

MOST_IN_A_PART = 40


def part_of(exercise: Exercise, indices: Sequence[int], name: str) -> Exercise:
    """Return some things of an exercise as a part of this name, those that they hang on with them.

    Raises:
        GeometryError: no name, no things or too many, or things that do not share their points.
    """
    if not name.strip():
        raise GeometryError("no_name", "The part has no name.", "Type a name, such as Table.", about="name")
    for index in indices:
        check_index(exercise, index)
    prepared = prepare(exercise)
    chosen = _with_hosts(exercise, {exercise.things[i].id for i in indices})
    things = [thing for thing in exercise.things if thing.id in chosen]
    views = {prepared.by_name[thing.name].setting.frame.name for thing in things}
    if not things or len(things) > MOST_IN_A_PART:
        raise GeometryError(
            "part_too_large", f"A part holds 1 to {MOST_IN_A_PART} things.", "Choose others.", about="name"
        )
    if len(views) > 1:
        raise GeometryError(
            "views_differ", "The things of a part share their points; these do not.", "Choose things of one view.",
            about="name",
        )  # fmt: skip
    return exercise.model_copy(
        update={
            "title": " ".join(name.split())[:80],
            "views": tuple(view for view in exercise.views if view.name in views),
            "things": tuple(_on_its_own(prepared, thing, chosen) for thing in _hosts_first(things)),
            "steps": (),
        }
    )


def _with_hosts(exercise: Exercise, ids: set[int]) -> set[int]:
    """Return the ids of some things and of all that they hang on."""
    by_id = {thing.id: thing for thing in exercise.things}
    found = set(ids)
    for number in ids:
        thing = by_id[number]
        while KINDS[thing.kind].hangs and thing.joined_to in by_id:
            thing = by_id[thing.joined_to]
            found.add(thing.id)
    return found


def _hosts_first(things: Sequence[ThingDocument]) -> list[ThingDocument]:
    """Return things in their order, but each after what it is joined to."""
    by_id, done = {thing.id: thing for thing in things}, dict[int, ThingDocument]()
    for thing in things:
        below = [thing]
        while (host := by_id.get(below[-1].joined_to)) is not None:
            below.append(host)
        done |= {one.id: one for one in reversed(below) if one.id not in done}
    return list(done.values())


def _on_its_own(prepared: Prepared, thing: ThingDocument, chosen: set[int]) -> ThingDocument:
    """Return a thing as it is; one that stands by another which is not chosen stands where it is, alone."""
    if not thing.joined_to or thing.joined_to in chosen:
        return thing
    placed = prepared.by_name[thing.name]
    held = {name: placed.values.held[name] for name in placed.given}
    return thing.model_copy(update={"joined_to": 0, **held})
