"""Where shadows on one ground lie over each other they are one dark field: an edge within another one is not seen.

The picture of one ground is one to one, and so is that of a wall over it: what overlaps on the page overlaps in truth.
"""

from collections.abc import Iterable, Iterator, Mapping, Sequence
from dataclasses import replace

import numpy as np
import shapely

from orthopsis.core.scene.placed import Placed
from orthopsis.core.scene.prepared import Prepared
from orthopsis.core.sight.hidden import Piece, Seen
from orthopsis.core.things.shadow.ground import GroundShadow
from orthopsis.core.view.eye import Array

WITHIN_MM = 0.05
"""An edge lies within another shadow where it is farther than this from that one's own edge (no source)."""

Ground = tuple[str, str]
"""On what a shadow falls: the frame, and the thing on whose face that stands which casts it; none for the ground."""


def as_one_shade(
    prepared: Prepared, seen: Sequence[Seen], pieces: Sequence[Sequence[Piece]]
) -> tuple[list[Sequence[Piece]], bool]:
    """Return for each thing the pieces of its edges; of a shadow what lies within another one is not seen.

    And whether anything went so that would have been seen.
    """
    result, grounds, has_gone = list(pieces), _grounds(prepared), False
    for shadows in grounds.values():
        if len(shadows) < 2:
            continue
        areas = {number: _area(seen[number]) for number in shadows}
        for number in shadows:
            others = shapely.union_all([area for other, area in areas.items() if other != number])
            left = [*_outside(seen[number], pieces[number], shapely.buffer(others, -WITHIN_MM))]
            has_gone = has_gone or len(left) > len(pieces[number]) or _seen(left) < _seen(pieces[number])
            result[number] = left
    return result, has_gone


def _seen(pieces: Iterable[Piece]) -> int:
    return sum(piece.visible for piece in pieces)


def _grounds(prepared: Prepared) -> Mapping[Ground, list[int]]:
    """Return the numbers of the shadows, by what they fall on."""
    found: dict[Ground, list[int]] = {}
    for placed in prepared.things:
        if isinstance(placed.standing, GroundShadow) and placed.standing.solid.faces:
            found.setdefault(_ground_of(prepared, placed), []).append(placed.index)
    return found


def _ground_of(prepared: Prepared, shadow: Placed) -> Ground:
    caster = prepared.by_name[shadow.standing.anchor.thing]
    on = caster.standing.anchor.thing if caster.kind.hangs else ""
    return shadow.setting.frame.name, on


def _area(shadow: Seen) -> shapely.Geometry:
    """Return what a shadow covers of the page."""
    page = shadow.solid.picture(shadow.eye)
    faces = [shapely.Polygon([page[name] for name in face.corners]) for face in shadow.solid.faces]
    return shapely.union_all([shapely.make_valid(face) for face in faces])


def _outside(shadow: Seen, pieces: Iterable[Piece], others: shapely.Geometry) -> Iterator[Piece]:
    """Yield the pieces of a shadow's edges, cut where they come into other shadows and go out again."""
    page = shadow.solid.picture(shadow.eye)
    for piece in pieces:
        start, end = (np.array(page[name]) for name in (piece.edge.start, piece.edge.end))
        long = float(np.linalg.norm(end - start))
        if not piece.visible or long == 0:
            yield piece
            continue
        line = shapely.LineString([start + share * (end - start) for share in (piece.start, piece.end)])
        inside = shapely.intersection(line, others)
        reach = piece.start
        for low, high in sorted(_spans(inside, start, end, long)):
            if low > reach:
                yield replace(piece, start=reach, end=low)
            yield replace(piece, start=max(low, reach), end=high, visible=False)
            reach = high
        if reach < piece.end:
            yield replace(piece, start=reach)


def _spans(inside: shapely.Geometry, start: Array, end: Array, long: float) -> Iterator[tuple[float, float]]:
    """Yield from where to where parts of an edge lie on it, as shares of it."""
    way = (end - start) / long
    for part in shapely.get_parts(inside):
        if isinstance(part, shapely.LineString) and part.length > 0:
            low, high = sorted(float((np.array(at) - start) @ way) / long for at in (part.coords[0], part.coords[-1]))
            yield low, high
