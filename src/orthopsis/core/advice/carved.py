"""Advice on what stands on a block of which only a carved figure stays: is there still something under it?"""

from collections.abc import Iterator

import numpy as np
import shapely
from shapely.geometry.base import BaseGeometry

from orthopsis.core.advice.piece import piece
from orthopsis.core.drawing.answer import Advice, CureEdit
from orthopsis.core.drawing.solved import Solved
from orthopsis.core.plane.normal import area_vector
from orthopsis.core.plane.tolerance import AGREE_MM
from orthopsis.core.scene.placed import Placed
from orthopsis.core.sight.groups import enlarged
from orthopsis.core.sight.solid import Face, Solid
from orthopsis.core.view.eye import Array

LEAST_LEFT = 0.99
"""So much of what it touches has to stay, as a share of that (no source)."""


def on_carved(solved: Solved, placed: Placed) -> Iterator[Advice]:
    """Yield advice on a thing that touches a part of its block which is carved away."""
    anchor = placed.setting.anchor
    if anchor is None or placed.standing.replaces_host or not solved.prepared.by_name[anchor.thing].is_carved_away:
        return
    block = solved.prepared.by_name[anchor.thing]
    carved = next(p for p in solved.prepared.things if p.standing.replaces_host and p.standing.host is block.standing)
    own, body, left = (enlarged(p.standing.solid, p.factor) for p in (placed, block, carved))
    touched = [(area.area, _share_left(left, plane, area)) for plane, area in _touched(own, body)]
    if touched and max(touched)[1] < LEAST_LEFT:
        shown = {"thing": placed.values.name, "other": anchor.thing, "carved": carved.values.name}
        edits = [CureEdit(path=f"things.{carved.index}.relief", value="flat")]
        yield piece(
            solved, "carved_under_it", f"things.{placed.index}", max(touched)[1], LEAST_LEFT, "of it", shown, edits
        )


class _Plane:
    """The plane of a face, with places in it as two lengths."""

    def __init__(self, corners: Array) -> None:
        self.origin = corners[0]
        off, across = corners - corners[0], np.array(area_vector(corners.tolist()))
        self.normal = across / np.linalg.norm(across)
        self.along = off[1] / np.linalg.norm(off[1])
        self.up = np.cross(self.normal, self.along)

    def holds(self, places: Array) -> Array:
        """Tell of each place whether it lies in the plane."""
        return np.asarray(np.abs((places - self.origin) @ self.normal) <= AGREE_MM)

    def within(self, places: Array) -> Array:
        """Return places of the plane as two lengths in it, mm."""
        off = places - self.origin
        return np.stack((off @ self.along, off @ self.up), axis=-1)


def _touched(own: Solid, body: Solid) -> Iterator[tuple[_Plane, BaseGeometry]]:
    """Yield the planes of a block's faces with what a thing covers of the face, where it covers any of it."""
    for face in body.faces:
        corners = _corners(body, face.corners)
        plane = _Plane(corners)
        covers = shapely.MultiPoint(plane.within(own.places[plane.holds(own.places)])).convex_hull
        common = covers.intersection(shapely.Polygon(plane.within(corners)))
        if common.area > 0:
            yield plane, common


def _share_left(solid: Solid, plane: _Plane, area: BaseGeometry) -> float:
    """Return how much of a part of a plane faces of a solid cover, as a share of that part."""
    faces = [_on_plane(solid, face, plane) for face in solid.faces]
    left = shapely.union_all([face for face in faces if face is not None])
    return float(area.intersection(left).area / area.area)


def _on_plane(solid: Solid, face: Face, plane: _Plane) -> BaseGeometry | None:
    loops = [_corners(solid, loop) for loop in face.loops]
    if not plane.holds(loops[0]).all():
        return None
    outline, *holes = (plane.within(loop) for loop in loops)
    return shapely.Polygon(outline, holes)


def _corners(solid: Solid, names: tuple[str, ...]) -> Array:
    return solid.places[[solid.index(name) for name in names]]
