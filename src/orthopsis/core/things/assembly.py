"""A thing that is made of things: each of its members stands like a thing of its own; how do they become one?

Its points are called by the member's name within the whole: ``K.front.3``. In the world a member is moved away and
enlarged about the eye as far as its place asks, which leaves its picture as it is.
"""

from collections.abc import Iterator, Mapping, Sequence
from dataclasses import dataclass, field, replace

import numpy as np
from propcache.api import cached_property

from orthopsis.core.construct.moves import Act, Measure, Move, Shift, outputs, renamed
from orthopsis.core.construct.panel import Panel, Part, PartCorner
from orthopsis.core.sight.solid import Solid, Topology
from orthopsis.core.things.answers import Free
from orthopsis.core.things.standing import Standing


@dataclass(frozen=True, slots=True)
class Member:
    """A part of a whole that is built like a thing.

    Attributes:
        name: within the whole: a letter, or a half.
        standing: it where it stands; its full name is such as ``Word.K``.
        factor: how many times it is enlarged about the eye in the world.
        part: what its steps are told of, where they are told of it alone.
        room: the moves that find where it stands; ``origin`` is the point where its lower left then is.
        told: by which words steps of it are told otherwise than they would be of a thing of its own.
        shared: points and lines that it has in common with another member, by its own names for them.
        body: what those steps are told of that measure its own body, where it has parts that are told alone.
    """

    name: str
    standing: Standing
    factor: float = 1.0
    part: str = ""
    room: tuple[Move, ...] = ()
    origin: str = ""
    told: Mapping[str, str] = field(default_factory=dict)
    shared: Mapping[str, str] = field(default_factory=dict)
    body: str = ""

    @property
    def moves(self) -> Iterator[Move]:
        """Its moves as a part of the whole; what has a room begins there instead of at a measured place."""
        yield from self.room
        for move in self.standing.recipe:
            act: Act = move.act
            if self.origin and isinstance(act, Measure):
                act = Shift(act.makes, self.origin, 0.0)
            part = self.part or move.part or (self.body if move.phase in ("depth", "divide") else "")
            yield replace(move, act=act, breath=self.told.get(move.breath, move.breath), part=part)


class Assembled(Standing):
    """A thing that is made of members; without any it is what it is besides."""

    @cached_property
    def members(self) -> Sequence[Member]:
        """What it is made of, in the order of the hand."""
        return ()

    @cached_property
    def solid(self) -> Solid:
        """The solids of all members as one, in the world of the frame's eye."""
        if not self.members:
            return super().solid
        solids = [(m, m.standing.solid) for m in self.members]
        names = tuple(f"{m.name}.{name}" for m, solid in solids for name in solid.names)
        faces = tuple(face.within(m.name) for m, solid in solids for face in solid.faces)
        edges = tuple(edge.within(m.name) for m, solid in solids for edge in solid.edges)
        return Solid(Topology(names, faces, edges), np.vstack([solid.places * m.factor for m, solid in solids]))

    @cached_property
    def recipe(self) -> tuple[Move, ...]:
        """The moves of all members, one after the other; what an earlier one has made is not made again."""
        if not self.members:
            return super().recipe
        made, result = set[str](), list[Move]()
        for member in self.members:
            for move in member.moves:
                act = renamed(move.act, member.shared) if member.shared else move.act
                if not outputs(act) <= made:
                    made |= outputs(act)
                    result.append(replace(move, thing=self.values.name, act=act))
        return tuple(result)

    @cached_property
    def free_lines(self) -> tuple[Free, ...]:
        """The free lines of all members; what is carried to one point goes together."""
        if not self.members:
            return super().free_lines
        own = [(m.name, free) for m in self.members for free in m.standing.free_lines]
        return tuple(
            Free(goal, frozenset(f"{name}.{line}" for name, free in own if free.about == goal for line in free.lines))
            for goal in dict.fromkeys(free.about for _, free in own)
        )

    @cached_property
    def corner_words(self) -> Mapping[str, str]:
        """What the corners of all members are called."""
        if not self.members:
            return super().corner_words
        return {f"{m.name}.{name}": words for m in self.members for name, words in m.standing.corner_words.items()}


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
