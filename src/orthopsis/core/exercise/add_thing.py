"""What becomes of the exercise when a thing is added?"""

from collections.abc import Mapping

from orthopsis.core.construct.panel import Panel
from orthopsis.core.document.document import MOST_THINGS, Exercise
from orthopsis.core.document.thing_models import THING_MODELS
from orthopsis.core.editing.edit_document import free_id
from orthopsis.core.editing.edit_things import free_name
from orthopsis.core.errors import GeometryError
from orthopsis.core.exercise.landing import landed
from orthopsis.core.plane.homogeneous import distance
from orthopsis.core.scene.joining import faces_for, row_joints
from orthopsis.core.scene.placed import Placed
from orthopsis.core.scene.prepared import prepare, setting_of
from orthopsis.core.scene.views import VIEWS
from orthopsis.core.sheet.ruler import round_to
from orthopsis.core.things.registry import KINDS

FIRST_SPACE = 0.28
"""A new row begins at this share of the way to its point (no source)."""
MOST_TRIED = 24
"""On so many things a new one is tried, the last ones first; each asks for the whole exercise."""


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
    in_view = KINDS[kind].in_view
    if all(view.kind not in in_view for view in exercise.views) or not (
        KINDS[kind].hangs or setting.frame.kind in in_view
    ):
        views = " or ".join(VIEWS[v].title.lower() for v in in_view)
        raise GeometryError("cannot_stand_here", "This cannot be drawn in this kind of view.", f"Choose {views} first.")
    if KINDS[kind].hangs:
        return _add_on_face(exercise, kind) if KINDS[kind].lies_on_face else _add_row(exercise, kind)
    held = in_view[setting.frame.kind].place(setting, len(exercise.things))
    name = free_name(KINDS[kind].title, {thing.name for thing in exercise.things})
    known = {"name": name, "id": free_id(exercise), "view": setting.frame.name}
    thing = THING_MODELS[kind].model_validate({**known, **held})
    return exercise.model_copy(update={"things": (*exercise.things, landed(exercise, thing))})


def _add_on_face(exercise: Exercise, kind: str) -> Exercise:
    """Return the exercise with one more thing on a face: the first one of the last thing that has any.

    Raises:
        GeometryError: there is no such face.
    """
    hosts = [(host, panels) for host in reversed(prepare(exercise).things) if (panels := _free_faces(kind, host))]
    if not hosts:
        fix = f"Add {KINDS[kind].lies_on} first."
        raise GeometryError("no_face", f"There is nothing that {KINDS[kind].adds} can stand or lie on.", fix)
    if any(thing.kind in KINDS[kind].goes_on_with for thing in exercise.things):
        # What goes on in it reaches some things only: there it is of use.
        tried = (_lying(exercise, kind, *host) for host in hosts[:MOST_TRIED])
        return next((made for made in tried if _is_drawn(made)), _lying(exercise, kind, *hosts[0]))
    return _lying(exercise, kind, *hosts[0])


def _free_faces(kind: str, host: Placed) -> Mapping[str, Panel]:
    """Return the whole faces of a thing on which one of a kind can lie, where such a kind can stand."""
    if host.setting.frame.kind not in KINDS[kind].in_view:
        return {}
    return {key: panel for key, panel in faces_for(KINDS[kind], host).items() if not panel.is_part}


def _is_drawn(exercise: Exercise) -> bool:
    """Tell whether something of the last thing is there."""
    try:
        return bool(prepare(exercise).things[-1].standing.solid.faces)
    except GeometryError:
        return False


def _lying(exercise: Exercise, kind: str, host: Placed, panels: Mapping[str, Panel]) -> Exercise:
    """Return the exercise with one more thing on a face of another one, a free one if there is any."""
    name = free_name(KINDS[kind].title, {thing.name for thing in exercise.things})
    host_id = exercise.things[host.index].id
    taken = {t.joined_by for t in exercise.things if t.joined_to == host_id}
    key = next((k for k in panels if k not in taken), next(iter(panels)))
    held = KINDS[kind].in_view[host.setting.frame.kind].place(host.setting, len(exercise.things))
    lies = {"joined_to": host_id, "joined_by": key, "view": host.setting.frame.name}
    thing = THING_MODELS[kind].model_validate({"name": name, "id": free_id(exercise), **lies, **held})
    return exercise.model_copy(update={"things": (*exercise.things, thing)})


def _add_row(exercise: Exercise, kind: str) -> Exercise:
    """Return the exercise with a row of the last thing that can have one."""
    for host in reversed(prepare(exercise).things):
        joints = row_joints(host)
        if joints:
            break
    else:
        raise GeometryError("no_row", "There is nothing to repeat.", "Add a box first.")
    name = free_name(KINDS[kind].title, {thing.name for thing in exercise.things})
    frame, (key, joint) = host.setting.frame, next(iter(joints.items()))
    reach = distance(joint.corner, frame.way(joint.runs).goal)
    gap = round_to(FIRST_SPACE * reach, host.setting.sheet.division_mm)
    held = KINDS[kind].in_view[frame.kind].place(host.setting, len(exercise.things))
    goes = {"joined_to": exercise.things[host.index].id, "joined_by": key, "gap_mm": gap, "view": frame.name}
    thing = THING_MODELS[kind].model_validate({"name": name, "id": free_id(exercise), **goes, **held})
    return exercise.model_copy(update={"things": (*exercise.things, thing)})
