"""Which pieces of each edge are seen?

Exact for plane faces, with holes or without: an edge can only change between seen and hidden where it crosses the
outline of a face on the page, so it is cut there, and the middle of each piece is asked. Depth is compared as
nearness (distance / z), which changes evenly along the page.

Things stand in layers, the nearest first. A thing stands behind all of the layers before its own, as far as they
overlap on the page (each may be thought of as moved away and enlarged about the eye, which leaves its picture as
it is). Within one layer the solids' true places decide.

All edges are worked on together, in arrays: E edges, F hiding faces, S sides of those faces, and the
pairs of an edge and a face whose boxes touch. Solids of one layer that cross each other are not known here; see
``sight.crossing``.
"""

from collections.abc import Sequence
from dataclasses import dataclass, replace

import numpy as np
from numpy.typing import NDArray

from orthopsis.core.plane.tolerance import INSIDE_MM, SAME_DEPTH
from orthopsis.core.sight.solid import Edge, Solid, faces_toward_eye, is_broad
from orthopsis.core.view.eye import Array, Eye

Index = NDArray[np.int64]
Mask = NDArray[np.bool_]


@dataclass(frozen=True, slots=True)
class Seen:
    """A solid with the eye that sees it, and its layer (0 is nearest); a see-through one hides nothing."""

    solid: Solid
    eye: Eye
    see_through: bool
    layer: int = 0


@dataclass(frozen=True, slots=True)
class Piece:
    """A part of an edge, from share ``start`` to share ``end`` (0 to 1) along it on the page."""

    edge: Edge
    start: float
    end: float
    visible: bool
    behind: bool = False
    """Whether a face of its own see-through solid lies before it."""


@dataclass(frozen=True, slots=True)
class _Segments:
    """Edges on the page: ends (E, 2), nearness at both ends, layer, and the first layer that cannot hide them."""

    start: Array
    end: Array
    near_start: Array
    near_end: Array
    layer: Index
    hidden_below: Index


class Sight:
    """All hiding faces of a drawing."""

    def __init__(self, things: Sequence[Seen]) -> None:
        self._things = things
        self._pictures = [thing.eye.see(thing.solid.places) for thing in things]
        self._nearness = [thing.eye.nearness(thing.solid.places) for thing in things]
        loops: list[Array] = []
        owners: list[int] = []
        planes: list[Array] = []
        layers: list[int] = []
        for number, thing in enumerate(things):
            for face in _hiding_faces(thing, self._pictures[number]):
                for rows in face:
                    loops.append(self._pictures[number][rows])
                    owners.append(len(planes))
                planes.append(face_plane(thing.eye, thing.solid.places[face[0]]))
                layers.append(thing.layer)
        self._set_faces(loops, np.array(owners, dtype=np.int64), planes, layers)

    def _set_faces(self, loops: list[Array], owners: Index, planes: list[Array], layers: list[int]) -> None:
        self._layer = np.array(layers, dtype=np.int64)
        self._plane = np.array(planes).reshape(-1, 3)
        counts = np.array([len(loop) for loop in loops], dtype=np.int64)
        self._sides = np.bincount(owners, weights=counts, minlength=len(planes)).astype(np.int64)
        self._first_side = np.concatenate(([0], np.cumsum(self._sides)[:-1])).astype(np.int64)
        self._side_start = np.vstack(loops) if loops else np.empty((0, 2))
        ends = [np.roll(loop, -1, axis=0) for loop in loops]
        self._side_end = np.vstack(ends) if ends else np.empty((0, 2))
        first = self._first_side[self._sides > 0]
        self._low = np.minimum.reduceat(self._side_start, first) if len(first) else np.empty((0, 2))
        self._high = np.maximum.reduceat(self._side_start, first) if len(first) else np.empty((0, 2))

    def pieces(self) -> list[list[Piece]]:
        """Return for each thing the seen and hidden pieces of its edges, in edge order."""
        owners = [(thing, edge) for thing, seen in enumerate(self._things) for edge in seen.solid.edges]
        result: list[list[Piece]] = [[] for _ in self._things]
        for number, start, end, visible in self._cut(self._segments()):
            thing, edge = owners[number]
            result[thing].append(Piece(edge, start, end, visible))
        for thing, seen in enumerate(self._things):
            if seen.see_through:
                alone = Sight([replace(seen, see_through=False)]).pieces()[0]
                result[thing] = _split(result[thing], alone)
        return result

    def seen_behind_all(self, start: tuple[float, float], end: tuple[float, float]) -> list[tuple[float, float]]:
        """Return the shares (from, to) of a page line behind everything, such as the eye level, that are seen."""
        zero, last = np.zeros(1), np.array([1 + max((t.layer for t in self._things), default=0)], dtype=np.int64)
        line = _Segments(np.array([start], float), np.array([end], float), zero, zero, last, last)
        return [(t0, t1) for _, t0, t1, visible in self._cut(line) if visible]

    def _segments(self) -> _Segments:
        starts, ends, near0, near1, layers, below = [], [], [], [], [], []
        for number, thing in enumerate(self._things):
            row = {name: i for i, name in enumerate(thing.solid.names)}
            i = [row[e.start] for e in thing.solid.edges]
            j = [row[e.end] for e in thing.solid.edges]
            starts.append(self._pictures[number][i])
            ends.append(self._pictures[number][j])
            near0.append(self._nearness[number][i])
            near1.append(self._nearness[number][j])
            layers.append(np.full(len(i), thing.layer))
            below.append(np.full(len(i), thing.layer + 1))
        if not starts:
            none = np.empty(0)
            return _Segments(np.empty((0, 2)), np.empty((0, 2)), none, none, none.astype(int), none.astype(int))
        flat = [np.concatenate(part) for part in (starts, ends, near0, near1, layers, below)]
        return _Segments(*flat)

    def _cut(self, segments: _Segments) -> list[tuple[int, float, float, bool]]:
        """Return (edge number, from, to, visible), in order along each edge, neighbours of one kind joined."""
        edge, face = self._pairs(segments)
        cut_edge, cut_at = self._crossings(segments, edge, face)
        count = len(segments.start)
        every = np.arange(count)
        number = np.concatenate((every, every, cut_edge))
        at = np.concatenate((np.zeros(count), np.ones(count), cut_at))
        order = np.lexsort((at, number))
        number, at = number[order], at[order]
        within = number[1:] == number[:-1]
        size = np.hypot(*(segments.end - segments.start).T)
        within &= (at[1:] - at[:-1]) * size[number[1:]] > INSIDE_MM
        piece_edge, low, high = number[:-1][within], at[:-1][within], at[1:][within]
        hidden = self._hidden(segments, piece_edge, (low + high) / 2, edge, face)
        return _joined(piece_edge, low, high, hidden)

    def _pairs(self, segments: _Segments) -> tuple[Index, Index]:
        """Return edge and face numbers of the pairs whose boxes touch and of which the face may hide the edge."""
        low = np.minimum(segments.start, segments.end)
        high = np.maximum(segments.start, segments.end)
        touches = self._layer[None, :] < segments.hidden_below[:, None]
        for axis in (0, 1):
            touches &= self._low[None, :, axis] <= high[:, None, axis]
            touches &= self._high[None, :, axis] >= low[:, None, axis]
        edge, face = np.nonzero(touches)
        return edge, face

    def _spread(self, face: Index) -> tuple[Index, Index, Index]:
        """Return for a list of faces: the place in the list and the side of every side, and where each begins."""
        counts = self._sides[face]
        begins = np.concatenate(([0], np.cumsum(counts)[:-1])).astype(np.int64) if len(face) else counts
        owner = np.repeat(np.arange(len(face)), counts)
        side = np.arange(len(owner)) - begins[owner] + self._first_side[face][owner]
        return owner, side, begins

    def _crossings(self, segments: _Segments, edge: Index, face: Index) -> tuple[Index, Array]:
        """Return edge numbers and the shares along them at which they cross an outline."""
        owner, side, _ = self._spread(face)
        number = edge[owner]
        start, a = segments.start[number], self._side_start[side]
        d, e = segments.end[number] - start, self._side_end[side] - a
        across = d[:, 0] * e[:, 1] - d[:, 1] * e[:, 0]
        crossing = np.abs(across) > 1e-12 * np.hypot(*d.T) * np.hypot(*e.T)
        safe = np.where(crossing, across, 1.0)
        away = a - start
        t = (away[:, 0] * e[:, 1] - away[:, 1] * e[:, 0]) / safe
        u = (away[:, 0] * d[:, 1] - away[:, 1] * d[:, 0]) / safe
        good = crossing & (t > 0) & (t < 1) & (u >= -1e-9) & (u <= 1 + 1e-9)
        return number[good], t[good]

    def _hidden(self, segments: _Segments, piece_edge: Index, middle: Array, edge: Index, face: Index) -> Mask:
        """Tell of each piece, by its middle, whether a face of its edge's pairs hides it."""
        first = np.searchsorted(edge, piece_edge, side="left")
        count = np.searchsorted(edge, piece_edge, side="right") - first
        piece = np.repeat(np.arange(len(piece_edge)), count)
        begins = np.concatenate(([0], np.cumsum(count)[:-1])).astype(np.int64) if len(count) else count
        screen = face[np.arange(len(piece)) - begins[piece] + first[piece]]
        start, end = segments.start[piece_edge], segments.end[piece_edge]
        at = (start + middle[:, None] * (end - start))[piece]
        near = segments.near_start + 0.0
        nearness = near[piece_edge] + middle * (segments.near_end[piece_edge] - near[piece_edge])
        plane = self._plane[screen]
        here = plane[:, 0] * at[:, 0] + plane[:, 1] * at[:, 1] + plane[:, 2]
        nearer = here > nearness[piece] + SAME_DEPTH * np.maximum(1.0, np.abs(nearness[piece]))
        before = self._layer[screen] < segments.layer[piece_edge][piece]
        maybe = np.flatnonzero(nearer | before)
        hides = np.zeros(len(piece_edge), dtype=bool)
        inside = self._inside(at[maybe], screen[maybe])
        hides[piece[maybe[inside]]] = True
        return hides

    def _inside(self, at: Array, face: Index) -> Mask:
        """Tell of each point whether it lies inside its face, the outline left out."""
        if not len(face):
            return np.zeros(0, dtype=bool)
        owner, side, begins = self._spread(face)
        point, a = at[owner], self._side_start[side]
        b = self._side_end[side]
        e, away = b - a, point - a
        share = np.clip(np.einsum("ij,ij->i", away, e) / np.einsum("ij,ij->i", e, e), 0.0, 1.0)
        gap = np.hypot(*(away - share[:, None] * e).T)
        rising = (a[:, 1] > point[:, 1]) != (b[:, 1] > point[:, 1])
        left = away[:, 0] < away[:, 1] * e[:, 0] / np.where(rising, e[:, 1], 1.0)
        crossings = np.add.reduceat((rising & left).astype(np.int64), begins)
        nearest = np.minimum.reduceat(gap, begins)
        return np.asarray((crossings % 2 == 1) & (nearest > INSIDE_MM))


def _split(pieces: list[Piece], alone: list[Piece]) -> list[Piece]:
    """Cut the pieces of a see-through solid where its own faces come before them, and mark those parts."""
    result = []
    for piece in pieces:
        for own in alone:
            start, end = max(piece.start, own.start), min(piece.end, own.end)
            if own.edge is piece.edge and start < end:
                result.append(replace(piece, start=start, end=end, behind=not own.visible))
    return result


def _hiding_faces(thing: Seen, page: Array) -> list[list[list[int]]]:
    """Return the faces that hide, each as the rows of its loops; of an open solid both sides of each face do."""
    if thing.see_through:
        return []
    row = {name: i for i, name in enumerate(thing.solid.names)}
    corners = {name: (float(page[i, 0]), float(page[i, 1])) for name, i in row.items()}
    faces = thing.solid.faces if thing.solid.is_open else faces_toward_eye(thing.solid, corners)
    return [[[row[c] for c in loop] for loop in face.loops] for face in faces if is_broad(face, corners)]


def face_plane(eye: Eye, outline: Array) -> Array:
    """Return (a, b, c) with nearness = a x + b y + c on a face, from its normal in the world.

    For points X on the face n·X = h; with X = z (u/d, v/d, 1) follows d/z = d (n·(u/d, v/d, 1)) / h.
    Source: Newell's normal (from memory).
    """
    normal = np.cross(outline, np.roll(outline, -1, axis=0)).sum(axis=0)
    height = float(normal @ outline.mean(axis=0))
    px, py = eye.principal.xy
    a, b = normal[0] / height, normal[1] / height
    return np.array([a, b, eye.distance_mm * normal[2] / height - a * px - b * py])


def _joined(edge: Index, low: Array, high: Array, hidden: Mask) -> list[tuple[int, float, float, bool]]:
    result: list[tuple[int, float, float, bool]] = []
    for number, t0, t1, is_hidden in zip(edge.tolist(), low.tolist(), high.tolist(), hidden.tolist(), strict=True):
        if result and result[-1][0] == number and result[-1][3] != is_hidden:
            result[-1] = (number, result[-1][1], t1, not is_hidden)
        else:
            result.append((number, t0, t1, not is_hidden))
    return result
