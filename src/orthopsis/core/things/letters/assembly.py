"""A word whose letters, or halves, are things of their own: how do they become one?

Each member stands like a thing of its own; its points are called by its name within the word: ``K.front.3``. In the
world it is moved away and enlarged about the eye as far as its place asks, which leaves its picture as it is.
"""

from collections.abc import Mapping, Sequence
from dataclasses import dataclass, field, replace

import numpy as np

from orthopsis.core.construct.moves import Act, Measure, Move, Shift, outputs, renamed
from orthopsis.core.construct.panel import Panel, Part, PartCorner
from orthopsis.core.sight.solid import Edge, Face, Solid, Topology
from orthopsis.core.things.standing import Free, Standing


@dataclass(frozen=True, slots=True)
class Member:
    """A part of a word that is built like a thing.

    Attributes:
        name: within the word: a letter, or a half.
        standing: it where it stands; its full name is such as ``Word.K``.
        factor: how many times it is enlarged about the eye in the world.
        part: what its steps are told of, where it is one letter.
        room: the moves that find where it stands; ``origin`` is the point where its lower left then is.
        shared: points and lines that it has in common with another member, by its own names for them.
    """

    name: str
    standing: Standing
    factor: float = 1.0
    part: str = ""
    room: tuple[Move, ...] = ()
    origin: str = ""
    shared: Mapping[str, str] = field(default_factory=dict)


def assembled_solid(members: Sequence[Member]) -> Solid:
    """Return the solids of all members as one."""
    solids = [(m, m.standing.solid) for m in members]
    names = tuple(f"{m.name}.{name}" for m, solid in solids for name in solid.names)
    faces = tuple(_face(m.name, face) for m, solid in solids for face in solid.faces)
    edges = tuple(_edge(m.name, edge) for m, solid in solids for edge in solid.edges)
    return Solid(Topology(names, faces, edges), np.vstack([solid.places * m.factor for m, solid in solids]))


def _face(name: str, face: Face) -> Face:
    corners, holes = (f"{name}.{c}" for c in face.corners), (tuple(f"{name}.{c}" for c in h) for h in face.holes)
    return replace(face, name=f"{name}.{face.name}", corners=tuple(corners), holes=tuple(holes))


def _edge(name: str, edge: Edge) -> Edge:
    return replace(edge, name=f"{name}.{edge.name}", start=f"{name}.{edge.start}", end=f"{name}.{edge.end}")


def panel_of(member: Member, key: str) -> Panel:
    """Return a face of a member as a face of the word."""
    panel = member.standing.faces[key]
    pieces = tuple(_part(member, part) for part in panel.parts)
    start, along, up = (
        (x * member.factor, y * member.factor, z * member.factor) for x, y, z in (panel.start, *panel.axes)
    )
    names = ("low", "high", "far_low", "far_high", "first", "bottom", "top", "far")
    own = {name: member.shared.get(getattr(panel, name), getattr(panel, name)) for name in names}
    return replace(panel, **own, face=f"{member.name}.{panel.face}", parts=pieces, start=start, axes=(along, up))


def _part(member: Member, part: Part) -> Part:
    pieces = tuple(
        (f"{member.name}.{face}", tuple(tuple(_corner(member, c) for c in loop) for loop in loops))
        for face, loops in part.pieces
    )
    return Part(member.part or part.name, pieces)


def _corner(member: Member, corner: PartCorner) -> PartCorner:
    return replace(corner, name=member.shared.get(corner.name, corner.name))


def assembled_moves(word: str, members: Sequence[Member]) -> list[Move]:
    """Return the moves of all members, one after the other; what an earlier one has made is not made again."""
    made: set[str] = set()
    result: list[Move] = []
    for member in members:
        moves = [*member.room, *(_own(member, move) for move in member.standing.recipe)]
        for move in moves:
            act = renamed(move.act, member.shared) if member.shared else move.act
            if not outputs(act) <= made:
                made |= outputs(act)
                result.append(replace(move, thing=word, act=act))
    return result


def _own(member: Member, move: Move) -> Move:
    """Return a move as a part of the word; a letter with a room begins there instead of at a measured place."""
    act: Act = move.act
    breath = move.breath
    if member.origin and isinstance(act, Measure):
        act = Shift(act.makes, member.origin, 0.0)
    if member.origin and breath == "front.profile":
        breath = "front.in_room"
    return replace(move, act=act, breath=breath, part=member.part or move.part)


def assembled_free_lines(members: Sequence[Member]) -> tuple[Free, ...]:
    """Return the free lines of all members; what is carried to one point goes together."""
    own = [(m.name, free) for m in members for free in m.standing.free_lines]
    goals = dict.fromkeys(free.about for _, free in own)
    return tuple(
        Free(goal, tuple(f"{name}.{b}" for name, free in own if free.about == goal for b in free.begins))
        for goal in goals
    )
