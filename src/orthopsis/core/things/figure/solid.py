"""How does a carried figure hang together: its outline on the face, the same at the other end, the sides between?"""

from collections.abc import Iterator, Sequence

import numpy as np

from orthopsis.core.construct.panel import Panel
from orthopsis.core.sight.solid import Edge, Face, Topology
from orthopsis.core.things.flat import Corner, family
from orthopsis.core.things.rectangles.solid import turned_over
from orthopsis.core.wording.names import Feature

Loop = tuple[Corner, ...]


def sides(loops: Sequence[Loop]) -> Iterator[tuple[Corner, Corner]]:
    """Yield the sides of all outlines, each from corner to corner."""
    for loop in loops:
        yield from zip(loop, (*loop[1:], loop[0]), strict=True)


def carried_topology(panel: Panel, loops: Sequence[Loop], relief: str) -> Topology:
    """Return the topology of a figure that stands out, is sunk in, goes through, or is what is left of the body.

    Args:
        loops: its outline, anticlockwise in shares of the face, and its holes.
    """
    low, far, high, near = panel.around
    around = (high, near, low, far) if relief in ("in", "through") else (low, far, high, near)
    lengths = (float(np.linalg.norm(panel.axes[0])), float(np.linalg.norm(panel.axes[1])))
    # What is left of the body begins at the face and ends behind it; the others end at their front.
    outer, inner = ("corner", "front") if relief == "carved" else ("front", "corner")
    faces = list(_ends(panel, loops, relief, (outer, inner)))
    edges = list[Edge]()
    for (a, p), (b, q) in sides(loops):
        way = (q[0] - p[0], q[1] - p[1])
        corners = f"{outer}.{b}", f"{outer}.{a}", f"{inner}.{a}", f"{inner}.{b}"
        faces.append(Face(f"side.{a}", corners, turned_over(way, lengths, around)))
        runs = family(panel, p, q)
        edges.append(Edge(f"edge.{a}", f"corner.{a}", f"corner.{b}", runs, feature=Feature()))
        edges.append(Edge(f"front_edge.{a}", f"front.{a}", f"front.{b}", runs, feature=Feature("front")))
        edges.append(Edge(f"depth.{a}", f"corner.{a}", f"front.{a}", panel.out.family, feature=Feature("away")))
    if panel.is_mirrored:
        faces = [Face(f.name, f.corners[::-1], f.turned, tuple(h[::-1] for h in f.holes)) for f in faces]
    names = tuple(f"{end}.{k}" for loop in loops for k, _ in loop for end in ("corner", "front"))
    return Topology(names, tuple(faces), tuple(edges))


def _ends(panel: Panel, loops: Sequence[Loop], relief: str, ends: tuple[str, str]) -> Iterator[Face]:
    """Yield its outer end and its inner one, where they are faces of a body; through a hole one looks."""
    outer, inner = ([tuple(f"{end}.{k}" for k, _ in loop) for loop in loops] for end in ends)
    if relief != "through":
        yield Face("front", outer[0], panel.turned, tuple(outer[1:]))
    if relief in ("out", "carved"):
        yield Face("wall", inner[0][::-1], "back", tuple(loop[::-1] for loop in inner[1:]))
