"""The solid of an outline that is carried back: the same for every kind of view, once its corners are placed."""

from collections.abc import Callable, Iterator, Mapping, Sequence
from dataclasses import dataclass
from functools import lru_cache, partial

import numpy as np

from orthopsis.core.construct.carried_back import SeenBack
from orthopsis.core.construct.carry import CarriedOutline
from orthopsis.core.construct.moves import Family
from orthopsis.core.construct.panel import Part, PartCorner
from orthopsis.core.construct.rounding import Node, nodes
from orthopsis.core.plane.arc import QUARTER_RAD, FacePlace
from orthopsis.core.plane.homogeneous import Point
from orthopsis.core.plane.tolerance import SAME_SHARE
from orthopsis.core.sight.hidden import pieces_alone
from orthopsis.core.sight.solid import Edge, Face, Solid, Topology
from orthopsis.core.things.answers import Handle
from orthopsis.core.things.parameters import Value
from orthopsis.core.things.setting import Setting
from orthopsis.core.view.eye import Array
from orthopsis.core.wording.names import Feature, LineKind

Turned = Callable[[float, float], str]
"""From the outward normal of a side face, across and up on the front, to the way it is turned."""
Places = Callable[[Array], Array]
"""From places on the front, shape (n, 2), to the world, shape (n, 3)."""


@dataclass(frozen=True, slots=True)
class _Hanging:
    """All that says how a body hangs together, wherever its outline is placed.

    Attributes:
        loops: the nodes; of each node ``parts`` names its part, ``families`` says which way the edge to the next one
            runs, and ``turned`` how the side behind that edge faces.
        pieces: numbers of the loops of each piece, its own outline first.
        goal_name: where the outline is carried to; ``front_turned``: how the front faces.
    """

    loops: tuple[tuple[Node, ...], ...]
    parts: tuple[str, ...]
    families: tuple[Family, ...]
    turned: tuple[str, ...]
    pieces: tuple[tuple[int, ...], ...]
    goal_name: str
    front_turned: str


def body(outline: CarriedOutline, places: Places, carried: Array, turned: Turned, front_turned: str) -> Solid:
    """Return the solid between the front, where ``places`` puts it, and the same carried by a world vector."""
    loops, part_of = tuple(tuple(loop) for loop in nodes(outline)), outline.part_of
    every, pairs = [node for loop in loops for node in loop], list(_pairs(loops))
    hanging = _Hanging(
        loops,
        tuple(part_of[node.corner] for node in every),
        tuple("free" if _is_curve(a, b) else outline.family(a.corner, b.corner) for a, b in pairs),
        tuple(turned(b.flat[1] - a.flat[1], a.flat[0] - b.flat[0]) for a, b in pairs),
        tuple(tuple(piece) for piece in outline.pieces),
        outline.goal_name,
        front_turned,
    )
    front = places(np.array([node.flat for node in every]))
    return Solid(_topology(hanging), np.vstack((front, front + carried)))


@lru_cache(maxsize=32)
def _topology(hanging: _Hanging) -> Topology:
    """Return how it hangs together; the same one while the outline only moves, for a whole row of letters too."""
    names = tuple(f"{end}.{node.name}" for end in ("front", "back") for loop in hanging.loops for node in loop)
    return Topology(names, (*_ends(hanging), *_sides(hanging)), _edges(hanging))


def _ends(hanging: _Hanging) -> Iterator[Face]:
    """Yield the front and back of each piece."""
    fronts = [tuple(f"front.{node.name}" for node in loop) for loop in hanging.loops]
    backs = [tuple(f"back.{node.name}" for node in reversed(loop)) for loop in hanging.loops]
    for number, (outer, *holes) in enumerate(hanging.pieces):
        yield Face(_end_name("front", number), fronts[outer], hanging.front_turned, tuple(fronts[i] for i in holes))
        yield Face(_end_name("back", number), backs[outer], "back", tuple(backs[i] for i in holes))


def _sides(hanging: _Hanging) -> Iterator[Face]:
    for (a, b), turned in zip(_pairs(hanging.loops), hanging.turned, strict=True):
        corners = (f"front.{b.name}", f"front.{a.name}", f"back.{a.name}", f"back.{b.name}")
        yield Face(f"side.{a.name}", corners, turned, is_curved=_is_curve(a, b))


def _edges(hanging: _Hanging) -> tuple[Edge, ...]:
    result, ends = list[Edge](), tuple[LineKind, ...](("front", "back"))
    for end in ends:
        features = {part: Feature(end, part=part) for part in set(hanging.parts)}
        for (a, b), part, runs in zip(_pairs(hanging.loops), hanging.parts, hanging.families, strict=True):
            start, to = f"{end}.{a.name}", f"{end}.{b.name}"
            if _is_curve(a, b):
                assert a.angle is not None
                assert b.angle is not None
                angles = (a.angle % QUARTER_RAD, b.angle)
                result.append(Edge(f"{end}.curve.{b.corner}", start, to, runs, angles, features[part]))
            else:
                result.append(Edge(f"{end}.edge.{a.corner}", start, to, runs, feature=features[part]))
    every = (node for loop in hanging.loops for node in loop)
    for node, part in zip(every, hanging.parts, strict=True):
        if node.is_sharp:
            away = Feature("away", part=part, guide=f"guide.{node.name}")
            ends_at = f"front.{node.name}", f"back.{node.name}"
            result.append(Edge(f"depth.{node.name}", *ends_at, hanging.goal_name, feature=away))
    return tuple(result)


def _is_curve(a: Node, b: Node) -> bool:
    """Tell whether the way from one node to the next is a piece of a curve; a curve may begin where another ends."""
    on_curves = a.angle is not None and b.angle is not None
    return on_curves and (a.corner == b.corner or not b.is_start)


def _pairs(loops: Sequence[Sequence[Node]]) -> Iterator[tuple[Node, Node]]:
    for loop in loops:
        yield from zip(loop, (*loop[1:], loop[0]), strict=True)


def parts_of(outline: CarriedOutline, on_panel: Callable[[FacePlace], FacePlace]) -> tuple[Part, ...]:
    """Return what a shape covers of its face, part by part, as a pattern needs it.

    Args:
        on_panel: from a place on the front to the one that the face counts.
    """
    loops = [tuple(_corner(outline, node, on_panel) for node in loop) for loop in nodes(outline)]
    pieces = [(_end_name("front", i), tuple(loops[loop] for loop in piece)) for i, piece in enumerate(outline.pieces)]
    left, result = iter(pieces), []
    for name, count in outline.parts or (("", len(outline.loops)),):
        mine: list[tuple[str, tuple[tuple[PartCorner, ...], ...]]] = []
        while sum(len(own) for _, own in mine) < count:
            mine.append(next(left))
        result.append(Part(name, tuple(mine)))
    return tuple(result)


def _end_name(end: str, piece: int) -> str:
    """Return what the front or the back of a piece is called."""
    return f"{end}.{piece + 1}" if piece else end


def _corner(outline: CarriedOutline, node: Node, on_panel: Callable[[FacePlace], FacePlace]) -> PartCorner:
    at = outline.page[node.corner] if node.angle is None else outline.arcs[node.corner].at(node.angle)
    return PartCorner(outline.full(f"front.{node.name}"), on_panel(node.flat), at)


def corner_handles(outline: CarriedOutline, drag: Callable[[int, Point], Mapping[str, Value]]) -> Mapping[str, Handle]:
    """Return the handles of the corners of an outline, each of which can be dragged."""
    return {
        f"corner_{number}": Handle(f"Move corner {number}", at, ("outline",), partial(drag, number), "corner")
        for number, at in outline.page.items()
    }


def seen_back(
    outline: CarriedOutline, block_form: Solid, rounded: Solid, setting: Setting, *, is_see_through: bool
) -> SeenBack:  # fmt: skip
    """Return what is seen of the back, as far as the thing itself hides it.

    Args:
        block_form: the solid without its curves, from which the hand starts; ``rounded``: with them.
    """
    ends: dict[str, list[tuple[float, float]]] = {}
    for piece in pieces_alone(block_form, setting.frame.eye, see_through=is_see_through):
        if piece.visible:
            ends.setdefault(piece.edge.name, []).append((piece.start, piece.end))
    edges = {
        corner: (min(s for s, _ in own) <= SAME_SHARE, max(e for _, e in own) >= 1 - SAME_SHARE)
        for corner in outline.corners
        if (own := ends.get(f"back.edge.{corner}"))
    }
    if not outline.rounded:
        return SeenBack(edges, frozenset())
    shown = pieces_alone(rounded, setting.frame.eye, see_through=is_see_through)
    names = {piece.edge.name for piece in shown if piece.visible}
    return SeenBack(edges, frozenset(corner for corner in outline.rounded if f"back.curve.{corner}" in names))
