"""What becomes of the exercise when a thing is added, removed, moved, copied or called otherwise?"""

from orthopsis.core.errors import GeometryError
from orthopsis.core.exercise.document import MOST_THINGS, THING_MODELS, Exercise
from orthopsis.core.exercise.edit_document import changed_at, check_index
from orthopsis.core.exercise.joining import faces_for
from orthopsis.core.exercise.landing import landed
from orthopsis.core.exercise.setting import prepare, setting_of, sheet_of
from orthopsis.core.exercise.views import VIEWS
from orthopsis.core.things.parameters import FIRST_CORNER
from orthopsis.core.things.registry import KINDS


def add_thing(exercise: Exercise, kind: str) -> Exercise:
    """Return the exercise with one more thing of this kind, where it is seen, clear of the others.

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
    if KINDS[kind].lies_on_face:
        return _add_on_face(exercise, kind)
    if setting.frame.kind not in builds:
        views = " or ".join(VIEWS[v].title.lower() for v in builds)
        raise GeometryError("cannot_stand_here", "This cannot be drawn in this kind of view.", f"Choose {views} first.")
    held = builds[setting.frame.kind].place(setting, len(exercise.things))
    name = _free_name(KINDS[kind].title, {thing.name for thing in exercise.things})
    thing = THING_MODELS[kind].model_validate({"name": name, "view": setting.frame.name, **held})
    return exercise.model_copy(update={"things": (*exercise.things, landed(exercise, thing))})


def _add_on_face(exercise: Exercise, kind: str) -> Exercise:
    """Return the exercise with one more thing on a face: the first one of the last thing that has any."""
    for host in reversed(prepare(exercise).things):
        panels = faces_for(KINDS[kind], host)
        if panels:
            break
    else:
        raise GeometryError("no_face", "There is no face to lie on.", "Add a box or a word first.")
    name = _free_name(KINDS[kind].title, {thing.name for thing in exercise.things})
    taken = {t.joined_by for t in exercise.things if t.joined_to == host.values.name}
    key = next((k for k in panels if f"face_{k}" not in taken), next(iter(panels)))
    held = KINDS[kind].builds[host.setting.frame.kind].place(host.setting, len(exercise.things))
    lies = {"joined_to": host.values.name, "joined_by": f"face_{key}", "view": host.setting.frame.name}
    thing = THING_MODELS[kind].model_validate({"name": name, **lies, **held})
    return exercise.model_copy(update={"things": (*exercise.things, thing)})


def remove_thing(exercise: Exercise, index: int) -> Exercise:
    """Return the exercise without a thing and what lies on its faces; what stood by it stands alone."""
    check_index(exercise, index)
    host = exercise.things[index].name
    gone = {host, *(t.name for t in exercise.things if t.joined_to == host and KINDS[t.kind].lies_on_face)}
    alone = {f"things.{i}.joined_to": "" for i, t in enumerate(exercise.things) if t.joined_to == host}
    exercise = changed_at(exercise, alone) if alone else exercise
    return exercise.model_copy(
        update={
            "things": tuple(thing for thing in exercise.things if thing.name not in gone),
            "steps": tuple(c for c in exercise.steps if c.step.partition("/")[0] not in gone),
        }
    )


def move_thing(exercise: Exercise, index: int, by: int) -> Exercise:
    """Return the exercise with a thing moved in the order from near to far."""
    check_index(exercise, index)
    things = list(exercise.things)
    thing = things.pop(index)
    things.insert(min(max(index + by, 0), len(things)), thing)
    return exercise.model_copy(update={"things": tuple(things)})


def copy_thing(exercise: Exercise, index: int) -> Exercise:
    """Return the exercise with a copy of a thing behind it, a little to the right."""
    check_index(exercise, index)
    if len(exercise.things) >= MOST_THINGS:
        raise GeometryError("too_many_things", f"An exercise holds at most {MOST_THINGS} things.", "Remove some first.")
    thing = exercise.things[index]
    stem = thing.name.rstrip("0123456789 ") or thing.name
    name = _free_name(stem[:30], {t.name for t in exercise.things})
    shift = 10 * sheet_of(exercise).division_mm
    aside = FIRST_CORNER[0].name
    held = thing.held()
    moved = {aside: float(held[aside]) + shift} if aside in held else {}  # type: ignore[arg-type]
    copy = thing.model_copy(update={"name": name, **moved})
    return exercise.model_copy(update={"things": (*exercise.things[: index + 1], copy, *exercise.things[index + 1 :])})


def rename_thing(exercise: Exercise, index: int, name: str) -> Exercise:
    """Return the exercise with a thing called otherwise.

    Raises:
        GeometryError: the name is taken, empty, too long or holds a full stop.
    """
    check_index(exercise, index)
    before = exercise.things[index].name
    tidy = name.strip()
    joined = {f"things.{i}.joined_to": tidy for i, t in enumerate(exercise.things) if t.joined_to == before}
    renamed = changed_at(exercise, {f"things.{index}.name": tidy, **joined})
    after = renamed.things[index].name
    steps = tuple(
        c.model_copy(update={"step": f"{after}/{c.step.removeprefix(f'{before}/')}"})
        if c.step.startswith(f"{before}/")
        else c
        for c in renamed.steps
    )
    return renamed.model_copy(update={"steps": steps})


def _free_name(stem: str, taken: set[str]) -> str:
    number = 1
    while f"{stem} {number}" in taken:
        number += 1
    return f"{stem} {number}"
