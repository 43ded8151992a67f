"""How does a hand round the corners of a shape that stands there in its block form?

Where a curve begins and ends is marked on the two edges of its corner; it touches them there. The marks are carried
back to the vanishing point like corners, and the curve is drawn once more at the back. Where the ruler, resting on
the point, touches a curve from outside, a line goes from the front curve to the back one.

Names: ``front.round.5.start`` and ``.end``, ``front.curve.5``, ``front.round.5.touch.1``; ``back`` likewise.
"""

import math
from collections.abc import Callable
from dataclasses import dataclass

from orthopsis.core.construct.carry import Outline
from orthopsis.core.construct.moves import Act, Cross, Curve, Move, Role, RuleToPoint, Run, Touch
from orthopsis.core.plane.arc import QUARTER_RAD, Place
from orthopsis.core.plane.homogeneous import unit_toward

FACETS = 8
"""Plane pieces to which the surface behind a quarter is cut for sight; it differs from the curve by 0.5 % of its size.

That is 1 - cos(90 / 8 / 2 degrees).
"""
SAME_ANGLE_RAD = 1e-3
SAME_SHARE = 1e-9


@dataclass(frozen=True, slots=True)
class Node:
    """A corner of the rounded outline, where its edge or a piece of its curve begins.

    Attributes:
        name: within the front or back: ``4``, ``round.5.start``.
        flat: its place on the face.
        corner: the corner of the block form that it belongs to.
        angle: its place on the curve, rad; none for a corner that stays.
        is_sharp: whether an edge goes back from it.
    """

    name: str
    flat: Place
    corner: int
    angle: float | None = None
    is_sharp: bool = True


def nodes(outline: Outline) -> list[list[Node]]:
    """Return the corners of the rounded outline, loop by loop."""
    result = []
    for loop in outline.loops:
        found: list[Node] = []
        for corner in loop:
            if corner in outline.rounded:
                found += _curve_nodes(outline, corner)
            else:
                found.append(Node(str(corner), outline.flat[corner], corner))
        result.append(_apart(found))
    return result


def _curve_nodes(outline: Outline, corner: int) -> list[Node]:
    rounding = outline.rounded[corner]
    return [
        Node(f"round.{corner}.{name}", rounding.at(angle), corner, angle, name.startswith("touch"))
        for name, angle in [("start", 0.0), *_turns(outline, corner), ("end", QUARTER_RAD)]
    ]


def _apart(found: list[Node]) -> list[Node]:
    """Return the nodes without a curve's start where the curve before it has just ended."""
    return [
        node
        for i, node in enumerate(found)
        if not (node.name.endswith(".start") and math.dist(node.flat, found[i - 1].flat) <= SAME_SHARE)
    ]


def touches(outline: Outline, corner: int) -> list[float]:
    """Return where lines to the vanishing point touch a curve from outside the shape, rad."""
    return outline.arcs[corner].touches(outline.goal) if outline.rounded[corner].is_convex else []


def _turns(outline: Outline, corner: int) -> list[tuple[str, float]]:
    """Return the inner corners of a curve's pieces by name, with their angles, in order."""
    touching = touches(outline, corner)
    even = [(f"at.{i}", QUARTER_RAD * i / FACETS) for i in range(1, FACETS)]
    apart = [(n, a) for n, a in even if all(abs(a - t) > SAME_ANGLE_RAD for t in touching)]
    return sorted([*apart, *((f"touch.{i}", a) for i, a in enumerate(touching, start=1))], key=lambda turn: turn[1])


def round_moves(outline: Outline, shown: set[int], mark: Callable[[str, Place], Act]) -> list[Move]:
    """Return the moves that round the front, carry the curves back, and join them where the ruler touches them.

    Args:
        shown: the corners of whose curve at the back something will be seen.
        mark: from the name of a point within the thing and its place on the face to the act that marks it.
    """
    moves = []
    for corner in outline.rounded:
        moves += _front_curve(outline, corner, mark)
    for corner in outline.rounded:
        moves += _back_curve(outline, corner, is_told=corner in shown)
    for corner in outline.rounded:
        moves += _touching(outline, corner)
    return moves


def _front_curve(outline: Outline, corner: int, mark: Callable[[str, Place], Act]) -> list[Move]:
    rounding, name = outline.rounded[corner], f"front.round.{corner}"
    told = [mark(f"{name}.start", rounding.start), mark(f"{name}.end", rounding.end)]
    return [
        *(_move(outline, "front.rounded", act) for act in told),
        _move(outline, "", mark(f"{name}.centre", rounding.centre)),
        _move(outline, "front.rounded", _curve(outline, "front", corner, "edge")),
    ]


def _curve(outline: Outline, end: str, corner: int, role: Role) -> Curve:
    def full(part: str) -> str:
        return outline.full(f"{end}.round.{corner}.{part}")

    marks = tuple((full(name), angle) for name, angle in _turns(outline, corner) if name.startswith("at"))
    name, pole = outline.full(f"{end}.curve.{corner}"), outline.full(f"{end}.{corner}")
    return Curve(name, full("start"), pole, full("end"), full("centre"), marks, role)


def _back_curve(outline: Outline, corner: int, *, is_told: bool) -> list[Move]:
    breath = "back.rounded" if is_told else ""
    edges = {"start": outline.rounded[corner].before, "end": corner}
    moves = []
    for part, edge in edges.items():
        guide = _guide(outline, corner, part, "construction" if is_told else "unseen")
        back = outline.full(f"back.round.{corner}.{part}")
        moves += [
            _move(outline, breath, guide),
            _move(outline, breath, Cross(back, guide.makes, outline.full(f"back.edge.{edge}"))),
        ]
    centre = _guide(outline, corner, "centre", "unseen")
    role: Role = "edge" if is_told else "unseen"
    return [
        *moves,
        _move(outline, "", centre),
        _move(outline, "", _to_centre(outline, corner, centre.makes)),
        _move(outline, breath, _curve(outline, "back", corner, role)),
    ]


def _to_centre(outline: Outline, corner: int, guide: str) -> Run:
    """Run from one end of the back curve, like the edge at its other end, until the line of the centre."""
    rounding, arc = outline.rounded[corner], outline.arcs[corner]
    after = dict(outline.edges)[corner]
    ways = {"start": outline.family(corner, after), "end": outline.family(rounding.before, corner)}
    goals = dict((outline.across, outline.up))
    aim = unit_toward(arc.centre, outline.goal)

    def clear(part: str) -> float:
        way = unit_toward(arc.centre, goals[ways[part]])
        return abs(aim[0] * way[1] - aim[1] * way[0])

    part = max(ways, key=clear)
    name = f"back.round.{corner}"
    line, point = outline.full(f"construction.round.{corner}"), outline.full(f"{name}.centre")
    return Run(line, point, outline.full(f"{name}.{part}"), ways[part], guide, "unseen")


def _touching(outline: Outline, corner: int) -> list[Move]:
    moves = []
    for number in range(len(touches(outline, corner))):
        part = f"touch.{number + 1}"
        guide = _guide(outline, corner, part, "guide")
        for end in ("front", "back"):
            at = outline.full(f"{end}.round.{corner}.{part}")
            touch = Touch(at, outline.full(f"{end}.curve.{corner}"), outline.goal_name, number)
            moves.append(_move(outline, "guides.touching", touch))
            if end == "front":
                moves.append(_move(outline, "guides.touching", guide))
    return moves


def _guide(outline: Outline, corner: int, part: str, role: Role) -> RuleToPoint:
    name = f"round.{corner}.{part}"
    return RuleToPoint(outline.full(f"guide.{name}"), outline.full(f"front.{name}"), outline.goal_name, role)


def _move(outline: Outline, breath: str, act: Act) -> Move:
    return Move("round", outline.thing, breath, act)
