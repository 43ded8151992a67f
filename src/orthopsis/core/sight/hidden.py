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
from threading import RLock

import numpy as np
from cachetools import LRUCache, cached
from numpy.typing import NDArray
from shapely import STRtree, linestrings

from orthopsis.core.errors import GeometryError
from orthopsis.core.plane.tolerance import INSIDE_MM, SAME_DEPTH, THIN_FACE_MM2
from orthopsis.core.sight.solid import Edge, Solid, Topology
from orthopsis.core.view.eye import Array, Eye, behind_the_eye

MOST_ASKED = 5_000_000
"""Pairs of a piece of an edge and a face that may be asked about: some seconds' work."""
ASKED_AT_ONCE = 400_000
TINY = 1e-300
Index = NDArray[np.int64]
Mask = NDArray[np.bool_]
_NOTHING = Topology((), (), ())


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


MOST_KEPT = 8_000
"""So many pieces are kept, more than of any picture: what a hand has passed by goes soon, so that the search for
garbage has little to look through."""


@dataclass(frozen=True, slots=True)
class _Segments:
    """Edges on the page: ends (E, 2), nearness at both ends, layer, and the first layer that cannot hide them."""

    start: Array
    end: Array
    near_start: Array
    near_end: Array
    layer: Index
    hidden_below: Index


@cached(LRUCache(maxsize=MOST_KEPT, getsizeof=len), lock=RLock())
def pieces_alone(solid: Solid, eye: Eye, *, see_through: bool) -> tuple[Piece, ...]:
    """Return the seen and hidden pieces of a solid's edges as far as it hides them itself, in edge order."""
    return tuple(Sight([Seen(solid, eye, see_through)]).pieces()[0])


class Sight:
    """All hiding faces of a drawing."""

    def __init__(self, things: Sequence[Seen]) -> None:
        self._things = things
        counts = [len(thing.solid.places) for thing in things]
        self._first_row = np.concatenate(([0], np.cumsum(counts))).astype(np.int64)
        places = np.vstack([thing.solid.places for thing in things]) if things else np.empty((0, 3))
        eyes = np.array([(*thing.eye.principal.xy, thing.eye.distance_mm) for thing in things]).reshape(-1, 3)
        eye = np.repeat(eyes, counts, axis=0)
        if np.any(places[:, 2] <= 0):
            raise behind_the_eye()
        self._near = eye[:, 2] / places[:, 2]
        self._page = eye[:, :2] + places[:, :2] * self._near[:, None]
        self._set_faces(places, eyes)

    def _set_faces(self, places: Array, eyes: Array) -> None:
        """Keep the faces that hide: turned toward the eye, or any face of a thing that one looks into."""
        solid = [(i, thing.solid.topology) for i, thing in enumerate(self._things) if not thing.see_through]
        if not solid:
            solid = [(0, _NOTHING)]
        counts = np.concatenate([t.side_counts for _, t in solid])
        sides = np.vstack([t.side_rows + self._first_row[i] for i, t in solid])
        face_counts = [len(t.side_counts) for _, t in solid]
        owner = np.repeat([i for i, _ in solid], face_counts)
        is_open = np.repeat([t.is_open for _, t in solid], face_counts)
        a, b = self._page[sides[:, 0]], self._page[sides[:, 1]]
        begins = begins_of(counts)
        area = np.add.reduceat(a[:, 0] * b[:, 1] - b[:, 0] * a[:, 1], begins) if len(sides) else np.zeros(0)
        keep = np.where(is_open, np.abs(area), area) > 2 * THIN_FACE_MM2
        self._set_turned_away(solid, face_counts, (area < -2 * THIN_FACE_MM2) & ~is_open)
        kept = np.repeat(keep, counts)
        sides, self._sides, owner = sides[kept], counts[keep], owner[keep]
        self._first_side = begins_of(self._sides)
        self._side_start, self._side_end = a[kept], b[kept]
        self._layer = np.array([thing.layer for thing in self._things], dtype=np.int64)[owner]
        self._plane = face_planes(places[sides[:, 0]], places[sides[:, 1]], self._first_side, eyes[owner])
        some = len(sides) > 0
        self._low = np.minimum.reduceat(self._side_start, self._first_side) if some else np.empty((0, 2))
        self._high = np.maximum.reduceat(self._side_start, self._first_side) if some else np.empty((0, 2))
        self._tree = STRtree(_boxes(self._low, self._high))

    def _set_turned_away(self, solid: Sequence[tuple[int, Topology]], face_counts: Sequence[int], away: Mask) -> None:
        """Keep which edges no eye can see from here, since both their faces are turned away from it."""
        self._is_away = [np.zeros(len(thing.solid.edges), dtype=bool) for thing in self._things]
        first = 0
        for (i, topology), count in zip(solid, face_counts, strict=True):
            if len(topology.edges) and count:
                faces = topology.faces_at
                self._is_away[i] = np.all((faces >= 0) & away[first : first + count][faces], axis=1)
            first += count

    def pieces(self) -> list[list[Piece]]:
        """Return for each thing the seen and hidden pieces of its edges, in edge order."""
        owners = [(thing, edge) for thing, seen in enumerate(self._things) for edge in seen.solid.edges]
        result: list[list[Piece]] = [[] for _ in self._things]
        is_away = np.concatenate(self._is_away) if owners else np.zeros(0, dtype=bool)
        asked, unseen = np.flatnonzero(~is_away), np.flatnonzero(is_away)
        edge, low, high, visible = self._cut(self._segments(asked))
        number = np.concatenate((asked[edge], unseen))
        none = np.zeros(len(unseen))
        columns = number, *(np.concatenate(two) for two in ((low, none), (high, none + 1), (visible, none > 0)))
        order = np.argsort(number, kind="stable")
        for i, start, end, is_visible in zip(*(column[order].tolist() for column in columns), strict=True):
            thing, own = owners[i]
            result[thing].append(Piece(own, start, end, is_visible))
        for thing, seen in enumerate(self._things):
            if seen.see_through:
                alone = Sight([replace(seen, see_through=False)]).pieces()[0]
                result[thing] = _split(result[thing], alone)
        return result

    def seen_behind_all(self, start: tuple[float, float], end: tuple[float, float]) -> list[tuple[float, float]]:
        """Return the shares (from, to) of a page line behind everything, such as the eye level, that are seen."""
        zero, last = np.zeros(1), np.array([1 + max((t.layer for t in self._things), default=0)], dtype=np.int64)
        line = _Segments(np.array([start], float), np.array([end], float), zero, zero, last, last)
        _, low, high, visible = self._cut(line)
        return list(zip(low[visible].tolist(), high[visible].tolist(), strict=True))

    def _segments(self, asked: Index) -> _Segments:
        """Return those edges that are asked about."""
        if not self._things:
            none = np.empty(0)
            return _Segments(np.empty((0, 2)), np.empty((0, 2)), none, none, none.astype(int), none.astype(int))
        rows = [t.solid.topology.edge_rows + first for t, first in zip(self._things, self._first_row, strict=False)]
        start, end = np.vstack(rows)[asked].T
        layer = np.repeat([thing.layer for thing in self._things], [len(r) for r in rows])[asked]
        return _Segments(self._page[start], self._page[end], self._near[start], self._near[end], layer, layer + 1)

    def _cut(self, segments: _Segments) -> tuple[Index, Array, Array, Mask]:
        """Return edge numbers, from, to, visible, in order along each edge, neighbours of one kind joined."""
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
        """Return edge and face numbers of the pairs whose boxes touch and of which the face may hide the edge.

        Nearness changes evenly: a face that is nearer at neither end of an edge is so nowhere along it.
        """
        low = np.minimum(segments.start, segments.end)
        high = np.maximum(segments.start, segments.end)
        edge, face = self._tree.query(_boxes(low, high))
        may = self._layer[face] < segments.hidden_below[edge]
        edge, face = edge[may], face[may]
        nearer = self._layer[face] < segments.layer[edge]
        for ends, near in ((segments.start, segments.near_start), (segments.end, segments.near_end)):
            nearer |= self._is_nearer(face, ends[edge], near[edge])
        edge, face = edge[nearer], face[nearer]
        order = np.argsort(edge, kind="stable")
        return edge[order], face[order]

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
        """Tell of each piece, by its middle, whether a face of its edge's pairs hides it.

        Each piece is asked against each face of its edge, a stretch of pieces at a time, so that memory stays small.

        Raises:
            GeometryError: there are too many to ask.
        """
        first = np.searchsorted(edge, piece_edge, side="left")
        count = np.searchsorted(edge, piece_edge, side="right") - first
        asked = np.concatenate(([0], np.cumsum(count)))
        if asked[-1] > MOST_ASKED:
            raise GeometryError(
                "too_crowded",
                "So many things lie over each other here that working out what is seen would take minutes.",
                "Take some away, or spread them over the sheet.",
            )
        hides = np.zeros(len(piece_edge), dtype=bool)
        low = 0
        while low < len(piece_edge):
            high = max(low + 1, int(np.searchsorted(asked, asked[low] + ASKED_AT_ONCE)))
            some = slice(low, high)
            hides[some] = self._hidden_among(segments, piece_edge[some], middle[some], first[some], count[some], face)
            low = high
        return hides

    def _hidden_among(
        self, segments: _Segments, piece_edge: Index, middle: Array, first: Index, count: Index, face: Index
    ) -> Mask:
        """Tell the same of some of the pieces; ``first`` and ``count`` say which of the faces are asked."""
        piece = np.repeat(np.arange(len(piece_edge)), count)
        begins = np.concatenate(([0], np.cumsum(count)[:-1])).astype(np.int64) if len(count) else count
        screen = face[np.arange(len(piece)) - begins[piece] + first[piece]]
        start, end = segments.start[piece_edge], segments.end[piece_edge]
        at = (start + middle[:, None] * (end - start))[piece]
        in_box = np.flatnonzero(np.all((at > self._low[screen]) & (at < self._high[screen]), axis=1))
        at, piece, screen = at[in_box], piece[in_box], screen[in_box]
        near = segments.near_start + 0.0
        nearness = near[piece_edge] + middle * (segments.near_end[piece_edge] - near[piece_edge])
        nearer = self._is_nearer(screen, at, nearness[piece])
        before = self._layer[screen] < segments.layer[piece_edge][piece]
        maybe = np.flatnonzero(nearer | before)
        hides = np.zeros(len(piece_edge), dtype=bool)
        inside = self._inside(at[maybe], screen[maybe])
        hides[piece[maybe[inside]]] = True
        return hides

    def _is_nearer(self, face: Index, at: Array, nearness: Array) -> Mask:
        """Tell of each place on the page, with its nearness, whether a face's plane is nearer to the eye there."""
        plane = self._plane[face]
        here = plane[:, 0] * at[:, 0] + plane[:, 1] * at[:, 1] + plane[:, 2]
        return np.asarray(here > nearness + SAME_DEPTH * np.maximum(1.0, np.abs(nearness)))

    def _inside(self, at: Array, face: Index) -> Mask:
        """Tell of each point whether it lies inside its face, the outline left out."""
        if not len(face):
            return np.zeros(0, dtype=bool)
        owner, side, _ = self._spread(face)
        point, a, b = at[owner], self._side_start[side], self._side_end[side]
        rising = np.flatnonzero((a[:, 1] > point[:, 1]) != (b[:, 1] > point[:, 1]))
        a, e, x = a[rising], b[rising] - a[rising], point[rising]
        left = x[:, 0] - a[:, 0] < (x[:, 1] - a[:, 1]) * e[:, 0] / e[:, 1]
        inside = np.bincount(owner[rising[left]], minlength=len(face)) % 2 == 1
        return np.asarray(inside & self._is_clear(at, face, inside))

    def _is_clear(self, at: Array, face: Index, asked: Mask) -> Mask:
        """Tell of the points that are asked about whether they lie clear of the outline of their face."""
        clear, some = np.zeros(len(face), dtype=bool), np.flatnonzero(asked)
        if len(some):
            owner, side, begins = self._spread(face[some])
            a = self._side_start[side]
            e, away = self._side_end[side] - a, at[some][owner] - a
            size = np.maximum(np.einsum("ij,ij->i", e, e), TINY)  # corners of a face may lie on one another
            share = np.clip(np.einsum("ij,ij->i", away, e) / size, 0.0, 1.0)
            gap = np.hypot(*(away - share[:, None] * e).T)
            clear[some] = np.minimum.reduceat(gap, begins) > INSIDE_MM
        return clear


def _split(pieces: list[Piece], alone: list[Piece]) -> list[Piece]:
    """Cut the pieces of a see-through solid where its own faces come before them, and mark those parts."""
    result = []
    for piece in pieces:
        for own in alone:
            start, end = max(piece.start, own.start), min(piece.end, own.end)
            if own.edge is piece.edge and start < end:
                result.append(replace(piece, start=start, end=end, behind=not own.visible))
    return result


def _boxes(low: Array, high: Array) -> NDArray[np.object_]:
    """Return shapes with these bounding boxes, which are all that the tree asks for; diagonals are the quickest."""
    return np.asarray(linestrings(np.stack((low, high), axis=1)), dtype=object)


def begins_of(counts: Index) -> Index:
    """Return where each of several runs begins that follow each other."""
    return np.cumsum(counts) - counts


def runs(begins: Index, counts: Index) -> Index:
    """Return the numbers in each of several runs, run after run."""
    return np.repeat(begins - begins_of(counts), counts) + np.arange(counts.sum())


def face_planes(start: Array, end: Array, begins: Index, eyes: Array) -> Array:
    """Return (a, b, c) of each face with nearness = a x + b y + c on it, from its normal in the world.

    For points X on the face n·X = h; with X = z (u/d, v/d, 1) follows d/z = d (n·(u/d, v/d, 1)) / h.
    Source: Newell's normal (from memory).

    Args:
        start, end: ends of all sides, shape (s, 3), face after face.
        begins: the first side of each face.
        eyes: principal point and distance for each face, shape (f, 3).
    """
    if not len(begins):
        return np.empty((0, 3))
    normal = np.add.reduceat(np.cross(start, end), begins)
    height = np.einsum("ij,ij->i", normal, start[begins])
    a, b = normal[:, 0] / height, normal[:, 1] / height
    return np.column_stack((a, b, eyes[:, 2] * normal[:, 2] / height - a * eyes[:, 0] - b * eyes[:, 1]))


def _joined(edge: Index, low: Array, high: Array, hidden: Mask) -> tuple[Index, Array, Array, Mask]:
    """Return the pieces with those neighbours on one edge joined that look alike."""
    if not len(edge):
        return edge, low, high, hidden
    begins = np.flatnonzero(np.concatenate(([True], (edge[1:] != edge[:-1]) | (hidden[1:] != hidden[:-1]))))
    ends = np.concatenate((begins[1:], [len(edge)])) - 1
    return edge[begins], low[begins], high[ends], ~hidden[begins]
