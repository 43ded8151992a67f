"""How do the corners, edges and faces of forms on a face hang together?"""

from collections.abc import Iterator, Sequence
from dataclasses import dataclass
from functools import lru_cache

from orthopsis.core.plane.arc import QUARTER_RAD
from orthopsis.core.sight.solid import Edge, Face, Topology
from orthopsis.core.things.rectangles.forms import SIDES, Form, Node, Side
from orthopsis.core.wording.names import Feature

Nodes = tuple[tuple[Node, ...], ...]
"""Of each form its corners and those of the pieces of its curves."""
Families = tuple[str, str]
"""Along and up."""


def part_name(number: int) -> str:
    """Return what a form is called, by its number from 0."""
    return f"Number {number + 1}"


@dataclass(frozen=True, slots=True)
class Relief:
    """How forms with depth are built.

    Attributes:
        families: of their lines along and up; ``out`` of those that lead out of the face.
        turned: which way they face, then the sides below, far, above and near.
        lengths: how long the face is in truth along and up.
        is_mirrored: whether the corners run clockwise as seen from outside.
        has_front: whether they are closed where they end; ``has_wall``: whether they are closed at the face.
        ends_floor: whether a floor ends where they do.
    """

    families: Families
    out: str
    turned: tuple[str, ...]
    lengths: tuple[float, float]
    is_mirrored: bool
    has_front: bool
    has_wall: bool
    ends_floor: bool = False


@lru_cache(maxsize=256)
def flat_topology(form: Form, nodes: Nodes, families: Families) -> Topology:
    """Return forms that are lines on a face."""
    names, edges = list[str](), list[Edge]()
    for part, mine in ((part_name(i), mine) for i, mine in enumerate(nodes)):
        names += [f"{part}.{node.name}" for node in mine]
        edges += _around(form, mine, f"{part}.", families, Feature(part=part))
    return Topology(tuple(names), (), tuple(edges))


@lru_cache(maxsize=256)
def relief_topology(form: Form, nodes: Nodes, kind: Relief, is_open: tuple[bool, ...]) -> Topology:
    """Return forms that stand out of a face or lead into it; of each corner the one at the face comes first.

    Args:
        is_open: which of them have no sill at the face, nor one behind where they go right through.
    """
    names, faces, edges = list[str](), list[Face](), list[Edge]()
    for number, mine in enumerate(nodes):
        part, sills = part_name(number), set[str]()
        if is_open[number]:
            sills = {f"{part}.low"} if kind.has_front or kind.ends_floor else {f"{part}.low", f"{part}.front.low"}
        wall, front = ([f"{part}.{end}{node.name}" for node in mine] for end in ("", "front."))
        names += [name for pair in zip(wall, front, strict=True) for name in pair]
        ends = [Face(f"{part}.front", tuple(front), kind.turned[0])] if kind.has_front else []
        ends += [Face(f"{part}.wall", tuple(wall[::-1]), "back")] if kind.has_wall else []
        own = [*ends, *_sides(form, mine, (part, wall, front), kind)]
        faces += [Face(f.name, f.corners[::-1], f.turned, (), f.is_curved) for f in own] if kind.is_mirrored else own
        around = _around(form, mine, f"{part}.", kind.families, Feature(part=part))
        around += _around(form, mine, f"{part}.front.", kind.families, Feature("front", part=part))
        edges += [edge for edge in around if edge.name not in sills]
        edges += [
            Edge(f"{part}.depth.{node.name}", w, f, kind.out, feature=Feature("away", part=part))
            for node, w, f in zip(mine, wall, front, strict=True)
            if node.is_sharp
        ]
    return Topology(tuple(names), tuple(faces), tuple(edges))


def _around(form: Form, nodes: Sequence[Node], begin: str, families: Families, feature: Feature) -> list[Edge]:
    """Return the edges round a form; those of a curve share one name."""
    result = []
    for node, after in zip(nodes, (*nodes[1:], nodes[0]), strict=True):
        side = form.sides[node.side]
        angles = (node.angle, after.angle if after.side == node.side else QUARTER_RAD) if side.pole else None
        ends = f"{begin}{node.name}", f"{begin}{after.name}"
        result.append(Edge(f"{begin}{side.name}", *ends, family_of(side, families), angles, feature))
    return result


def family_of(side: Side, families: Families) -> str:
    """Return which way a side runs: along the face, up it, or freely."""
    if side.pole or all(side.way):
        return "free"
    return families[0] if side.way[0] else families[1]


def _sides(
    form: Form, nodes: Sequence[Node], body: tuple[str, Sequence[str], Sequence[str]], kind: Relief
) -> Iterator[Face]:  # fmt: skip
    part, wall, front = body
    for i, node in enumerate(nodes):
        j, side = (i + 1) % len(nodes), form.sides[node.side]
        corners = (front[j], front[i], wall[i], wall[j])
        if side.pole:
            (x, y), (to_x, to_y) = node.place, nodes[j].place
            turned = turned_over((to_x - x, to_y - y), kind.lengths, kind.turned[1:])
            yield Face(f"{part}.{side.name}.{node.name}", corners, turned, is_curved=True)
        else:
            yield Face(f"{part}.{side.name}", corners, turned_over(side.way, kind.lengths, kind.turned[1:]))


def turned_over(way: tuple[float, float], lengths: tuple[float, float], around: Sequence[str]) -> str:
    """Return which way a side faces that runs a way round a form: over which side of the rectangle it looks.

    Args:
        way: from its start to its end, in shares along and up; ``lengths``: how long the face is in truth that way.
        around: which way one looks over the low, far, high and near side.
    """
    across, up = way[1] * lengths[1], -way[0] * lengths[0]
    if abs(up) >= abs(across):
        return around[SIDES.index("low" if up < 0 else "high")]
    return around[SIDES.index("far" if across > 0 else "near")]
