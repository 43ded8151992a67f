"""Advice on a cast shadow: does it reach another thing, or over the edge of what it falls on?"""

from collections.abc import Iterator

import numpy as np
import shapely

from orthopsis.core.advice.piece import piece
from orthopsis.core.drawing.answer import Advice, CureEdit
from orthopsis.core.drawing.solved import Solved
from orthopsis.core.plane.tolerance import SAME_SHARE, THIN_FACE_MM2
from orthopsis.core.scene.placed import Placed
from orthopsis.core.things.shadow.round_shape import RoundShadowShape
from orthopsis.core.things.shadow.shape import ShadowShape

STEEPER = {"30": "45", "45": "60"}
FLATTER = {"60": "45", "45": "30"}
"""To the next angle of the set square."""


def on_shadow(solved: Solved, placed: Placed) -> Iterator[Advice]:
    """Yield advice on a cast shadow."""
    shadow, rays, about = placed.standing, solved.prepared.exercise.rays, f"things.{placed.index}"
    if isinstance(shadow, RoundShadowShape) and not shadow.chain:
        shown = {"thing": placed.values.name, "other": shadow.anchor.thing}
        edits = [CureEdit(path="rays", value=FLATTER[rays])] if rays in FLATTER else []
        yield piece(solved, "shadow_within", about, 0, 1, "things", shown, edits)
    if not isinstance(shadow, ShadowShape):
        return
    block = solved.prepared.by_name[shadow.anchor.thing]
    edits = [CureEdit(path="rays", value=STEEPER[rays])] if rays in STEEPER else []
    for other in _reached(solved, shadow, block):
        shown = {"thing": placed.values.name, "other": other.values.name}
        yield piece(solved, "shadow_climbs", about, 0, 1, "things", shown, edits)
        return
    if _is_over_edge(shadow, block):
        shown = {"thing": placed.values.name, "other": block.setting.anchor.thing if block.setting.anchor else ""}
        yield piece(solved, "shadow_over_edge", about, 0, 1, "things", shown, edits)


def _reached(solved: Solved, shadow: ShadowShape, block: Placed) -> Iterator[Placed]:
    """Yield the other things on the same ground whose feet it reaches.

    The picture of one ground is one to one: what overlaps on the page overlaps in truth.
    """
    corners = [shadow.uprights[i].at_foot.xy for i in (shadow.chain[0], shadow.chain[-1])]
    area = shapely.convex_hull(shapely.multipoints([*corners, *(shadow.page[i].xy for i in shadow.chain)]))
    for other in solved.prepared.things:
        foot = other.standing.faces.get("ground")
        if foot is None or other is block or not _share_ground(other, block):
            continue
        own = shapely.Polygon([corner.xy for corner in foot.page])
        if own.is_valid and shapely.area(shapely.intersection(area, own)) > THIN_FACE_MM2:
            yield other


def _share_ground(one: Placed, other: Placed) -> bool:
    """Tell whether two blocks stand on one face, or both on the ground under one eye."""
    hosts = [p.setting.anchor.thing if p.kind.hangs and p.setting.anchor is not None else "" for p in (one, other)]
    return hosts[0] == hosts[1] and one.setting.frame.name == other.setting.frame.name


def _is_over_edge(shadow: ShadowShape, block: Placed) -> bool:
    """Tell whether it falls over the edge of the face on which its block stands."""
    panel = block.setting.panel
    if panel is None:
        return False
    ways = np.column_stack((*np.array(panel.axes), np.cross(*np.array(panel.axes))))
    shares = np.linalg.solve(ways, (shadow.shades - np.array(panel.start)).T)[:2]
    return bool(shares.min() < -SAME_SHARE or shares.max() > 1 + SAME_SHARE)
