"""Advice on a cast shadow: does it reach another thing, or over the edge of what it falls on?"""

from collections.abc import Iterator, Mapping

import numpy as np
import shapely

from orthopsis.core.advice.piece import piece
from orthopsis.core.construct.panel import Panel
from orthopsis.core.document.parts import FARTHEST_SUN_MM, LOWEST_SUN_MM
from orthopsis.core.drawing.answer import Advice, CureEdit
from orthopsis.core.drawing.solved import Solved
from orthopsis.core.light.light import Rays
from orthopsis.core.plane.tolerance import SAME_SHARE, THIN_FACE_MM2
from orthopsis.core.scene.placed import Placed
from orthopsis.core.sheet.ruler import round_to
from orthopsis.core.things.shadow.fallen import FallenShadow
from orthopsis.core.things.shadow.ground import GroundShadow
from orthopsis.core.things.shadow.roof_shapes import roof_on
from orthopsis.core.things.table.rest import NO_REST
from orthopsis.core.things.table.shape import TableShape
from orthopsis.core.view.eye import Array

STEEPER: Mapping[Rays, Rays] = {"30": "45", "45": "60"}
FLATTER: Mapping[Rays, Rays] = {"60": "45", "45": "30"}
"""To the next angle of the set square."""
HIGHER = 1.5
"""So many times as high is a sun that stands higher (no source)."""


def on_shadow(solved: Solved, placed: Placed) -> Iterator[Advice]:
    """Yield advice on a cast shadow, of whatever it is."""
    shadow, about = placed.standing, f"things.{placed.index}"
    if isinstance(shadow, FallenShadow):
        yield from _on_fallen(solved, shadow, about)
    if not isinstance(shadow, GroundShadow):
        return
    caster = solved.prepared.by_name[shadow.anchor.thing]
    shown: dict[str, object] = {"thing": placed.values.name}
    if not shadow.solid.faces:
        edits = _other_sun(solved, FLATTER, 1 / HIGHER)
        yield piece(solved, "shadow_within", about, 0, 1, "things", {**shown, "other": caster.values.name}, edits)
        return
    yield from _lamp_outside(solved, shadow, caster)
    for carved in solved.prepared.things:
        if carved.standing.replaces_host and carved.standing.host is caster.standing:
            named = {**shown, "carved": carved.values.name, "other": caster.values.name}
            yield piece(solved, "shadow_of_block", about, 0, 1, "things", named, [])
    known = roof_on(shadow.setting) if not _is_caught(solved, shadow) else None
    over = next((other for other in _rising_over(solved, caster) if other.standing is not known), None)
    if over is not None:
        named = {**shown, "over": over.values.name, "other": caster.values.name}
        yield piece(solved, "shadow_of_lower", about, 0, 1, "things", named, [])
    if isinstance(caster.standing, TableShape) and caster.standing.has_rest:
        bare = [CureEdit(path=f"things.{caster.index}.rest", value=NO_REST)]
        yield piece(solved, "shadow_without_rest", about, 1, 0, "bars", {**shown, "other": caster.values.name}, bare)
    edits = _other_sun(solved, STEEPER, HIGHER)
    reached = next((other for other in _reached(solved, shadow, caster) if not _climbs(solved, shadow, other)), None)
    if reached is not None:
        yield piece(solved, "shadow_climbs", about, 0, 1, "things", {**shown, "other": reached.values.name}, edits)
    elif _is_over_edge(shadow, caster) and not _is_caught(solved, shadow):
        yield piece(
            solved, "shadow_over_edge", about, 0, 1, "things", {**shown, "other": caster.standing.anchor.thing}, edits
        )


def _rising_over(solved: Solved, caster: Placed) -> Iterator[Placed]:
    """Yield the bodies that stand on what casts a shadow and rise over it, such as a roof."""
    panel = caster.standing.faces.get("ground")
    if panel is None or panel.back is None:
        return
    up = np.array(panel.back.vector)
    for other in solved.prepared.things:
        anchor = other.setting.anchor
        if anchor is None or anchor.thing != caster.values.name or not other.standing.is_body:
            continue
        if other.standing.replaces_host or not len(other.standing.solid.places):
            continue
        places = other.standing.solid.places * (other.factor / caster.factor) - np.array(panel.start)
        high = places @ up / float(up @ up)
        is_on_it = bool(other.kind.hangs) or float(high.min()) >= 1 - SAME_SHARE
        if is_on_it and float(high.max()) > 1 + SAME_SHARE:
            yield other


def _on_fallen(solved: Solved, shadow: FallenShadow, about: str) -> Iterator[Advice]:
    """Yield advice on what falls on a thing: nothing does, or nobody can find it."""
    shown: dict[str, object] = {"thing": shadow.values.name, "other": shadow.anchor.thing}
    if shadow.is_hidden:
        yield piece(solved, "shadow_not_found_upon", about, 1, 0, "things", shown, _other_sun(solved, STEEPER, HIGHER))
    elif not shadow.falls:
        edits = _other_sun(solved, FLATTER, 1 / HIGHER)
        yield piece(solved, "no_shadow_upon", about, 0, 1, "things", shown, edits)


def _is_caught(solved: Solved, shadow: GroundShadow) -> bool:
    """Tell whether all rays that bound a shadow are kept from the ground by other things."""
    upon = [p.standing for p in solved.prepared.things if isinstance(p.standing, FallenShadow)]
    falls = [fall for own in upon for fall in own.falls if fall.cast.values == shadow.values]
    caught = {spot.corner for fall in falls for spot in fall.spots}
    return bool(falls) and set(falls[0].caster.chain) <= caught


def _climbs(solved: Solved, shadow: GroundShadow, other: Placed) -> bool:
    """Tell whether a shadow is drawn where it falls on another thing."""
    upon = [p.standing for p in solved.prepared.things if isinstance(p.standing, FallenShadow)]
    return any(fall.cast.values == shadow.values for own in upon if own.host is other.standing for fall in own.falls)


def _other_sun(solved: Solved, angles: Mapping[Rays, Rays], times: float) -> list[CureEdit]:
    """Return what lets the light fall more steeply, or less: the next angle, or the sun higher or lower."""
    sun, division = solved.prepared.exercise.lighting, solved.prepared.sheet.division_mm
    if sun.is_beside:
        return [CureEdit(path="rays", value=angles[sun.rays])] if sun.rays in angles else []
    height = min(max(round_to(sun.height_mm * times, division), LOWEST_SUN_MM), FARTHEST_SUN_MM)
    return [CureEdit(path="sun.height_mm", value=height)] if height != sun.height_mm else []


def _reached(solved: Solved, shadow: GroundShadow, caster: Placed) -> Iterator[Placed]:
    """Yield the other things on the same ground whose feet it reaches.

    The picture of one ground is one to one: what overlaps on the page overlaps in truth.
    """
    area = shapely.convex_hull(shapely.multipoints(shadow.setting.frame.eye.see(shadow.solid.places)))
    for other in solved.prepared.things:
        foot = other.standing.faces.get("ground")
        if foot is None or other is caster or not _share_ground(other, caster):
            continue
        own = shapely.Polygon([corner.xy for corner in foot.page])
        if own.is_valid and shapely.area(shapely.intersection(area, own)) > THIN_FACE_MM2:
            yield other


def _lamp_outside(solved: Solved, shadow: GroundShadow, caster: Placed) -> Iterator[Advice]:
    """Say that a lamp does not hang in the room in which that stands which casts the shadow."""
    floor, light = caster.setting.panel, shadow.setting.light
    if floor is None or floor.ceiling is None or not light.is_lamp or not _is_first_in_room(solved, shadow, caster):
        return
    up = np.array(floor.ceiling.vector)
    foot, high = light.hangs(shadow.setting.frame, np.array(floor.start), up / np.linalg.norm(up))
    shares = _shares(floor, foot[None])
    is_over_floor = float(shares.min()) >= -SAME_SHARE and float(shares.max()) <= 1 + SAME_SHARE
    if not (is_over_floor and high <= float(np.linalg.norm(up))):
        shown: dict[str, object] = {
            "room": caster.standing.anchor.thing,
            "where": "over its ceiling" if is_over_floor else "beside its floor",
        }
        yield piece(solved, "lamp_outside", "sun", 1, 0, "lamps", shown, _over_the_middle(solved, floor, up))


def _is_first_in_room(solved: Solved, shadow: GroundShadow, caster: Placed) -> bool:
    """Tell whether no shadow before it falls in the same room: of that the lamp has been spoken then."""
    rooms = (
        (p.standing, p.standing.host.setting.anchor)
        for p in solved.prepared.things
        if isinstance(p.standing, GroundShadow)
    )
    first = next(own for own, anchor in rooms if anchor is not None and anchor.thing == caster.standing.anchor.thing)
    return first is shadow


LAMP_SHARE = 0.85
"""So high under the ceiling hangs a lamp that is brought into a room (no source)."""


def _over_the_middle(solved: Solved, floor: Panel, up: Array) -> list[CureEdit]:
    """Return what hangs a lamp over the middle of a floor, a little under the ceiling."""
    frame, division = solved.prepared.frames[0], solved.prepared.sheet.division_mm
    (middle,) = floor.places([(0.5, 0.5)])
    (x, y), (_, over) = frame.eye.see(np.array([middle, middle + LAMP_SHARE * up])).tolist()
    aside, height, foot = x - frame.eye.principal.x, over - frame.level_mm, frame.level_mm - y
    lengths = {"aside_mm": abs(aside), "height_mm": max(height, LOWEST_SUN_MM), "foot_mm": foot}
    return [
        CureEdit(path="light", value="left" if aside < 0 else "right"),
        *(CureEdit(path=f"sun.{name}", value=round_to(mm, division)) for name, mm in lengths.items()),
    ]


def _share_ground(one: Placed, other: Placed) -> bool:
    """Tell whether two blocks stand on one face, or both on the ground under one eye."""
    hosts = [p.setting.anchor.thing if p.kind.hangs and p.setting.anchor is not None else "" for p in (one, other)]
    return hosts[0] == hosts[1] and one.setting.frame.name == other.setting.frame.name


def _is_over_edge(shadow: GroundShadow, caster: Placed) -> bool:
    """Tell whether it falls over the edge of the face on which that stands which casts it."""
    panel = caster.setting.panel
    if panel is None:
        return False
    shares = _shares(panel, shadow.solid.places)
    return bool(shares.min() < -SAME_SHARE or shares.max() > 1 + SAME_SHARE)


def _shares(panel: Panel, places: Array) -> Array:
    """Return places of the plane of a face as shares of it, along and up, shape (2, n)."""
    ways = np.column_stack((*np.array(panel.axes), np.cross(*np.array(panel.axes))))
    return np.asarray(np.linalg.solve(ways, (places - np.array(panel.start)).T)[:2])
