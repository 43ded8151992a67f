"""The solid of an outline that is carried back: the same for every kind of view, once its corners are placed."""

from collections.abc import Callable

import numpy as np

from orthopsis.core.construct.carry import Outline
from orthopsis.core.sight.hidden import Seen, Sight
from orthopsis.core.sight.solid import Edge, Face, Solid, Topology
from orthopsis.core.things.declare import Setting
from orthopsis.core.view.eye import Array

Turned = Callable[[float, float], str]
"""From the outward normal of a side face, across and up on the front, to the way it is turned."""


def body(outline: Outline, front: Array, carried: Array, turned: Turned, front_turned: str) -> Solid:
    """Return the solid between the front corners, shape (n, 3), and the same carried by a world vector."""
    corners = outline.corners
    names = tuple(f"{end}.{c}" for end in ("front", "back") for c in corners)
    faces = (*_ends(outline, front_turned), *_sides(outline, turned))
    return Solid(Topology(names, faces, _edges(outline)), np.vstack((front, front + carried)))


def _ends(outline: Outline, front_turned: str) -> tuple[Face, Face]:
    loops = [tuple(f"front.{c}" for c in loop) for loop in outline.loops]
    backs = [tuple(f"back.{c}" for c in reversed(loop)) for loop in outline.loops]
    return (
        Face("front", loops[0], front_turned, tuple(loops[1:])),
        Face("back", backs[0], "back", tuple(backs[1:])),
    )


def _sides(outline: Outline, turned: Turned) -> list[Face]:
    faces = []
    for a, b in outline.edges:
        (ax, ay), (bx, by) = outline.flat[a], outline.flat[b]
        way = turned(by - ay, ax - bx)
        faces.append(Face(f"side.{a}", (f"front.{b}", f"front.{a}", f"back.{a}", f"back.{b}"), way))
    return faces


def _edges(outline: Outline) -> tuple[Edge, ...]:
    result = []
    for end in ("front", "back"):
        for a, b in outline.edges:
            result.append(Edge(f"{end}.edge.{a}", f"{end}.{a}", f"{end}.{b}", outline.family(a, b)))
    result += [Edge(f"depth.{c}", f"front.{c}", f"back.{c}", outline.goal_name) for c in outline.corners]
    return tuple(result)


def shown_back_edges(solid: Solid, setting: Setting, *, is_see_through: bool) -> set[int]:
    """Return the numbers of the back edges of which something is seen, as far as the thing itself hides them."""
    pieces = Sight([Seen(solid, setting.frame.eye, is_see_through)]).pieces()[0]
    return {
        int(piece.edge.name.rpartition(".")[2])
        for piece in pieces
        if piece.visible and piece.edge.name.startswith("back.edge.")
    }
