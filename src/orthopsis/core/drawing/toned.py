"""Which tone has each face that shows, and the fields that patterns put on it? Far faces come first."""

from collections.abc import Mapping, Sequence

from orthopsis.core.drawing.answer import Place, TonedFace
from orthopsis.core.drawing.built import Built
from orthopsis.core.light.tone import CONTRAST, face_tone, inside_tone
from orthopsis.core.scene.prepared import Prepared
from orthopsis.core.sight.hidden import Seen
from orthopsis.core.sight.order import painted_together


def toned_faces(prepared: Prepared, seen: Sequence[Seen], built: Sequence[Built]) -> list[TonedFace]:
    """Return the faces that show with their tones, the far ones first; of things in one layer by their true places."""
    light, fields = prepared.exercise.light, _fields(prepared)
    result = []
    groups: dict[int, list[int]] = {}
    for number, one in enumerate(seen):
        if not one.see_through:
            groups.setdefault(one.layer, []).append(number)
    for layer in sorted(groups, reverse=True):
        group = [i for i in groups[layer] if seen[i].solid.faces]
        if not group:
            continue
        faces = [(0, face) for face in built[group[0]].faces]
        if len(group) > 1:
            faces = painted_together([seen[i] for i in group])
        for i, face in faces:
            thing = built[group[i]]
            page = thing.page if seen[group[i]].solid is thing.solid else _page(seen[group[i]])
            loops: list[list[Place]] = [[page[c] for c in loop] for loop in face.loops]
            is_outer = face.name in thing.outward
            tone = face_tone(face.turned, light) if is_outer else inside_tone(face.turned, light)
            placed = prepared.things[group[i]]
            name, side = placed.values.name, f"{'' if is_outer else 'inner '}{face.turned}"
            direction = "" if face.is_curved else f"{side}@{placed.setting.frame.name}"
            result.append(TonedFace(thing=name, name=face.name, loops=loops, tone=tone, direction=direction))
            for by, own in fields.get((name, face.name), ()):
                result.append(TonedFace(thing=by, name=face.name, loops=own, tone=CONTRAST[tone]))
    return result


def _page(seen: Seen) -> Mapping[str, Place]:
    """Return the corners of a solid on the page, those of holes in it too."""
    return seen.solid.picture(seen.eye)


def _fields(prepared: Prepared) -> dict[tuple[str, str], list[tuple[str, list[list[Place]]]]]:
    """Return what things on faces tone of them: by thing and face, the toning thing and the loops."""
    found: dict[tuple[str, str], list[tuple[str, list[list[Place]]]]] = {}
    for placed in prepared.things:
        if placed.setting.anchor is not None and placed.kind.lies_on_face:
            for field in placed.standing.fields:
                mine = found.setdefault((placed.setting.anchor.thing, field.face), [])
                mine.append((placed.values.name, [list(loop) for loop in field.loops]))
    return found
