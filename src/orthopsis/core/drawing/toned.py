"""Which tone has each face that shows, and the fields that patterns put on it? Far faces come first."""

from collections.abc import Iterator, Sequence
from functools import lru_cache
from typing import NamedTuple

import numpy as np
import shapely

from orthopsis.core.construct.panel import Vector
from orthopsis.core.drawing.answer import Place, TonedFace
from orthopsis.core.drawing.built import Built, Tones
from orthopsis.core.drawing.lines import IDS
from orthopsis.core.light.light import Light
from orthopsis.core.light.tone import CONTRAST, DARKEST, FAR_TIMES, face_tone, inside_tone, lamp_tone
from orthopsis.core.plane.normal import area_vector
from orthopsis.core.plane.tolerance import SAME_POINT_MM
from orthopsis.core.scene.placed import Placed
from orthopsis.core.scene.prepared import Prepared
from orthopsis.core.sight.hidden import Seen
from orthopsis.core.sight.order import painted_together
from orthopsis.core.sight.solid import Face
from orthopsis.core.things.answers import Field
from orthopsis.core.view.eye import Array
from orthopsis.core.view.frame import Frame

UP = np.array([0.0, 1.0, 0.0])
"""Up in the world of an eye that looks straight ahead."""
Fields = dict[tuple[str, str], list[tuple[Placed, int, Field]]]


def toned_faces(prepared: Prepared, seen: Sequence[Seen], built: Sequence[Built]) -> list[TonedFace]:
    """Return the faces that show with their tones, the far ones first; of things in one layer by their true places."""
    fields, far = _fields(prepared), _far(prepared, built)
    groups: dict[int, list[int]] = {}
    for number, one in enumerate(seen):
        if not one.see_through and one.solid.faces:
            groups.setdefault(one.layer, []).append(number)
    result = []
    for layer in sorted(groups, reverse=True):
        group = groups[layer]
        tones = [_tones(prepared, prepared.things[i], seen[i], built[i], is_far=i in far) for i in group]
        for i, face in _painted([seen[i] for i in group], built[group[0]]):
            toned = tones[i][face.name]
            result.append(toned)
            for by, number, own in fields.get((toned.thing, face.name), ()):
                result.append(_field(by, number, own, toned))
    return result


def _far(prepared: Prepared, built: Sequence[Built]) -> frozenset[int]:
    """Return the numbers of the things that are far, where these are toned lighter.

    Source: on level ground how far a foot lies under the eye level is inversely as its distance (textbook; from
    memory).
    """
    if prepared.exercise.far == "alike":
        return frozenset()
    level = prepared.eye_level_mm
    drops = {placed.index: level - built[_base(prepared, placed).index].box[1] for placed in prepared.things}
    nearest = max(drops.values(), default=0.0)
    return frozenset(index for index, drop in drops.items() if 0 < drop * FAR_TIMES < nearest)


def _base(prepared: Prepared, placed: Placed) -> Placed:
    """Return the thing that bears another one; what stands on the floor of a room bears itself."""
    while placed.kind.hangs and (anchor := placed.setting.anchor) is not None:
        if anchor.panel is not None and anchor.panel.is_floor:
            break
        placed = prepared.by_name[anchor.thing]
    return placed


def _field(by: Placed, number: int, field: Field, toned: TonedFace) -> TonedFace:
    """Return what a thing tones of a face."""
    apart = toned.tone + field.steps if toned.tone < DARKEST else toned.tone - field.steps
    tone = min(max(apart, 0), DARKEST) if field.steps else CONTRAST[toned.tone]
    loops = [list(loop) for loop in field.loops]
    return TonedFace(id=by.index * IDS + number, thing=by.values.name, name=field.face, loops=loops, tone=tone)


def _painted(group: Sequence[Seen], first: Built) -> Sequence[tuple[int, Face]]:
    """Return the faces that show of things in one layer, with the place of each in the group, the far ones first."""
    if len(group) == 1:
        return [(0, face) for face in first.faces]
    return _painted_together(tuple(group))


@lru_cache(maxsize=128)
def _painted_together(group: tuple[Seen, ...]) -> Sequence[tuple[int, Face]]:
    return tuple(painted_together(group))


def _tones(prepared: Prepared, placed: Placed, seen: Seen, thing: Built, *, is_far: bool) -> Tones:
    """Return the faces of a thing with their tones, by name; the same ones while nothing of it changes."""
    light = prepared.exercise.lighting.on_thing((thing.box[0] + thing.box[2]) / 2, placed.setting.frame)
    lamp = _lamp(prepared, placed, light) if light.is_lamp and placed.setting.frame.kind != "three_point" else None
    return thing.tones.answer(
        (seen, light, placed.index, lamp, is_far),
        lambda: {face.name: face for face in _toned(placed, seen, thing, light, lamp, is_far=is_far)},
    )


def _lamp(prepared: Prepared, placed: Placed, light: Light) -> Vector | None:
    """Return where a lamp hangs in the world of a thing, over the ground or floor on which all of it stands."""
    places = prepared.root(placed).standing.solid.places
    if not len(places):
        return None
    foot, high = light.hangs(placed.setting.frame, places[np.argmin(places[:, 1])], UP)
    x, y, z = (foot + high * UP).tolist()
    return x, y, z


def _is_lit(corners: Array, lamp: Array) -> bool:
    """Tell whether a lamp shines on the side of a face that is seen: eye and lamp are on the same side of its plane."""
    normal, start = np.array(area_vector(corners.tolist())), corners[0]
    return bool((normal @ -start) * (normal @ (lamp - start)) > 0)


def _toned(
    placed: Placed, seen: Seen, thing: Built, light: Light, lamp: Vector | None, *, is_far: bool
) -> Iterator[TonedFace]:  # fmt: skip
    page = thing.page if seen.solid is thing.solid else seen.solid.picture(seen.eye)
    frame = placed.setting.frame
    # What is seen may be enlarged about the eye, so that it touches what it stands on.
    times = float(np.linalg.norm(seen.solid.places[0]) / np.linalg.norm(thing.solid.places[0])) if lamp else 1.0
    name = placed.values.name
    looks: dict[tuple[str, bool, bool | None], _Look] = {}
    is_pierced = seen.solid.topology is not thing.solid.topology
    for number, face in enumerate(seen.solid.faces, start=placed.index * IDS):
        is_lit = None
        if lamp is not None:
            corners = seen.solid.places[[seen.solid.index(corner) for corner in face.corners]]
            is_lit = _is_lit(corners, times * np.array(lamp))
        key = face.turned, face.name in thing.outward, is_lit
        look = looks.get(key)
        if look is None:
            look = looks[key] = _look(*key, light, frame, is_far=is_far)
        loops = [[page[c] for c in loop] for loop in face.loops]
        loops = _apart(loops) if is_pierced else loops
        yield TonedFace(
            number, name, face.name, loops, look.tone, "" if face.is_curved else look.direction, look.turned
        )


class _Look(NamedTuple):
    """How a face looks that is turned so, in this light: its tone, the direction it shares, and how it is turned."""

    tone: int
    direction: str
    turned: str


def _look(
    turned: str, is_outer: bool, is_lit: bool | None, light: Light, frame: Frame, *, is_far: bool
) -> _Look:  # fmt: skip
    """Return how a face looks.

    Args:
        is_lit: whether a lamp shines on the side that is seen; None where the light is no lamp.
    """
    side, lit = f"{'' if is_outer else 'inner '}{turned}", ""
    if is_lit is None:
        tone = (face_tone if is_outer else inside_tone)(turned, light, is_from_front=frame.kind == "one_point")
    else:
        # By a lamp, and far away, faces that are turned alike may be light here and dark there.
        tone = lamp_tone(turned, light, is_lit=is_lit, is_outer=is_outer)
        lit = f" {tone}"
    if is_far:
        tone, lit = max(tone - 1, 0), f"{lit} far"
    return _Look(tone, f"{side}{lit}@{frame.name}", side)


def _apart(loops: list[list[Place]]) -> list[list[Place]]:
    """Return the loops of a face of which no hole touches the outline: such a hole is a notch of it."""
    outline, *holes = loops
    if not holes:
        return loops
    rim = shapely.LinearRing(outline)
    at_rim = [bool(np.any(shapely.distance(rim, shapely.points(hole)) <= SAME_POINT_MM)) for hole in holes]
    if not any(at_rim):
        return loops
    notches = shapely.union_all(
        [shapely.Polygon(hole) for hole, is_notch in zip(holes, at_rim, strict=True) if is_notch]
    )
    # A notch that ends a hair within the outline would leave a thread of it.
    left = shapely.difference(shapely.Polygon(outline), notches.buffer(SAME_POINT_MM, join_style="mitre"))
    parts = [part for part in getattr(left, "geoms", [left]) if isinstance(part, shapely.Polygon) and not part.is_empty]
    whole = [hole for hole, is_notch in zip(holes, at_rim, strict=True) if not is_notch]
    return [
        *(_places(part.exterior) for part in parts),
        *(_places(r) for part in parts for r in part.interiors),
        *whole,
    ]


def _places(ring: shapely.LinearRing) -> list[Place]:
    return [(float(x), float(y)) for x, y in list(ring.coords)[:-1]]


def _fields(prepared: Prepared) -> Fields:
    """Return what things on faces tone of them: by thing and face, the toning thing, the field's number, its loops."""
    found: Fields = {}
    for placed in prepared.things:
        if placed.setting.anchor is not None and placed.kind.lies_on_face:
            for number, field in enumerate(placed.standing.fields):
                mine = found.setdefault((placed.setting.anchor.thing, field.face), [])
                mine.append((placed, number, field))
    return found
