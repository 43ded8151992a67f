"""How does a hand round the corners of a shape that stands there in its block form?

Where a curve begins and ends is marked on the two edges of its corner; it touches them there. The marks are carried
back to the vanishing point like corners, and the curve is drawn once more at the back. Where the ruler, resting on
the point, touches a curve from outside, a line goes from the front curve to the back one.

Names: ``front.round.5.start`` and ``.end``, ``front.curve.5``, ``front.round.5.touch.1``; ``back`` likewise.
"""

import math
from collections.abc import Callable, Collection, Mapping, Sequence
from dataclasses import dataclass, replace

from orthopsis.core.construct.carry import CarriedOutline
from orthopsis.core.construct.moves import Act, Cross, Curve, Family, Move, Role, RuleToPoint, Run, Shift, Touch
from orthopsis.core.plane.arc import QUARTER_RAD, SAME_ANGLE_RAD, FacePlace
from orthopsis.core.plane.homogeneous import Point, distance, unit_toward
from orthopsis.core.plane.tolerance import SAME_POINT_MM, SAME_SHARE

FACETS = 8
"""Plane pieces to which the surface behind a quarter is cut for sight; it differs from the curve by 0.5 % of its size.

That is 1 - cos(90 / 8 / 2 degrees).
"""
FLAT_SINE = 1e-6
"""Sine of the angle under which a line to the vanishing point counts as running along an edge."""


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
    flat: FacePlace
    corner: int
    angle: float | None = None
    is_sharp: bool = True

    @property
    def is_start(self) -> bool:
        """Whether a curve begins there."""
        return self.angle == 0.0


@dataclass(frozen=True, slots=True)
class Turn:
    """A place on a quarter where one of its pieces ends, by its name and its angle, rad.

    ``is_touched``: whether a line to the vanishing point touches the curve there.
    """

    name: str
    angle: float
    is_touched: bool = False


def nodes(outline: CarriedOutline) -> list[list[Node]]:
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


def _curve_nodes(outline: CarriedOutline, corner: int) -> list[Node]:
    rounding = outline.rounded[corner]
    turns = (Turn("start", 0.0), *_turns(outline, corner), Turn("end", QUARTER_RAD))
    touching = outline.arcs[corner].touches(outline.goal) if rounding.is_convex else []
    return [
        Node(
            f"round.{corner}.{turn.name}", rounding.at(turn.angle), corner, turn.angle, _is_one_of(turn.angle, touching)
        )
        for turn in turns
    ]


def _is_one_of(angle: float, angles: Sequence[float], apart_rad: float = SAME_ANGLE_RAD) -> bool:
    return any(abs(angle - other) <= apart_rad for other in angles)


def _apart(found: list[Node]) -> list[Node]:
    """Return the nodes without a curve's start where the curve before it has just ended."""
    return [
        node
        for i, node in enumerate(found)
        if not (node.is_start and math.dist(node.flat, found[i - 1].flat) <= SAME_SHARE)
    ]


def touches(outline: CarriedOutline, corner: int) -> list[float]:
    """Return where lines to the vanishing point touch a curve from outside the shape, between its ends, rad."""
    return outline.arcs[corner].touches_between(outline.goal) if outline.rounded[corner].is_convex else []


def _turns(outline: CarriedOutline, corner: int) -> list[Turn]:
    """Return the inner corners of a curve's pieces, in order."""
    return turns_of(touches(outline, corner))


def turns_of(touching: Sequence[float]) -> list[Turn]:
    """Return the inner corners of the pieces of a quarter, in order.

    Args:
        touching: where lines touch it, rad; there is a corner at each.
    """
    even = (Turn(f"at.{i}", QUARTER_RAD * i / FACETS) for i in range(1, FACETS))
    apart = (turn for turn in even if not _is_one_of(turn.angle, touching, QUARTER_RAD / FACETS / 4))
    touched = (Turn(f"touch.{i}", angle, is_touched=True) for i, angle in enumerate(touching, start=1))
    return sorted((*apart, *touched), key=lambda turn: turn.angle)


def round_moves(outline: CarriedOutline, shown: Collection[int], mark: Callable[[str, FacePlace], Act]) -> list[Move]:
    """Return the moves that round the front, carry the curves back, and join them where the ruler touches them.

    Args:
        shown: the corners of whose curve at the back something will be seen.
        mark: from the name of a point within the thing and its place on the face to the act that marks it.
    """
    moves = []
    for part, corners in outline.part_corners:
        rounded = [corner for corner in corners if corner in outline.rounded]
        mine = [
            move for corner in rounded for move in _front_curve(outline, corner, mark, is_back_told=corner in shown)
        ]
        mine += [m for corner in rounded for m in _back_curve(outline, corner, is_told=corner in shown)]
        mine += [move for corner in rounded for move in _touching(outline, corner, is_seen=corner in shown)]
        moves += [replace(move, part=part) for move in mine]
    return moves


def _front_curve(
    outline: CarriedOutline, corner: int, mark: Callable[[str, FacePlace], Act], *, is_back_told: bool
) -> list[Move]:
    rounding, name = outline.rounded[corner], f"front.round.{corner}"
    told = [mark(f"{name}.start", rounding.start), mark(f"{name}.end", rounding.end)]
    centre = "front.rounded" if is_back_told and _is_from_centre(outline, corner) else ""
    return [
        *(_move(outline, "front.rounded", act) for act in told),
        _move(outline, centre, mark(f"{name}.centre", rounding.centre)),
        _move(outline, "front.rounded", _curve(outline, "front", corner, "edge")),
    ]


def _curve(outline: CarriedOutline, end: str, corner: int, role: Role) -> Curve:
    def full(part: str) -> str:
        return outline.full(f"{end}.round.{corner}.{part}")

    marks = tuple((full(turn.name), turn.angle) for turn in _turns(outline, corner) if not turn.is_touched)
    name, pole = outline.full(f"{end}.curve.{corner}"), outline.full(f"{end}.{corner}")
    return Curve(name, full("start"), pole, full("end"), full("centre"), marks, role)


def _back_curve(outline: CarriedOutline, corner: int, *, is_told: bool) -> list[Move]:
    breath = "back.rounded" if is_told else ""
    name, edges = f"back.round.{corner}", {"start": outline.rounded[corner].before, "end": corner}
    arc = outline.arcs[corner]
    drawn: Role = "construction" if is_told else "unseen"
    places = {"start": arc.start, "end": arc.end}
    guides = {part: _guide(outline, corner, part, places[part], drawn) for part in edges}
    ways, clear = _ways(outline, corner), _clear(outline, corner)
    helps, said = (drawn, breath) if _is_from_centre(outline, corner) else ("unseen", "")
    moves = [_move(outline, breath, guides[part]) for part in edges]
    late = []
    for part, edge in edges.items():
        back, guide = outline.full(f"{name}.{part}"), guides[part].makes
        if clear[part] > FLAT_SINE:
            moves.append(_move(outline, breath, Cross(back, guide, outline.full(f"back.edge.{edge}"))))
        else:
            line = outline.full(f"construction.round.{corner}.{part}")
            run = Run(line, back, outline.full(f"{name}.centre"), ways[part], guide, helps)
            late.append(_move(outline, said, run))
    role: Role = "edge" if is_told else "unseen"
    return [
        *moves,
        *(_move(outline, said, act) for act in _to_back_centre(outline, corner, clear, helps)),
        *late,
        _move(outline, breath, _curve(outline, "back", corner, role)),
    ]


def _to_back_centre(
    outline: CarriedOutline, corner: int, clear: Mapping[str, float], helps: Role
) -> tuple[Act, ...]:  # fmt: skip
    """Return the acts that find the centre of a curve at the back; one that lies on the point stays there."""
    makes, centre = outline.full(f"back.round.{corner}.centre"), outline.arcs[corner].centre
    if not outline.goal.is_ideal and distance(centre, outline.goal) <= SAME_POINT_MM:
        return (Shift(makes, outline.full(f"front.round.{corner}.centre"), 0.0),)
    at_centre = _clear_at_centre(outline, corner)
    first = max(clear, key=lambda part: min(clear[part], at_centre[part]))
    line, start = outline.full(f"construction.round.{corner}"), outline.full(f"back.round.{corner}.{first}")
    guide = _guide(outline, corner, "centre", centre, helps)
    return guide, Run(line, makes, start, _ways(outline, corner)[first], guide.makes, helps)


def _ways(outline: CarriedOutline, corner: int) -> dict[str, Family]:
    """Return how the line between the centre and each end of a curve runs: like the edge at the other end."""
    after = dict(outline.edges)[corner]
    return {"start": outline.family(corner, after), "end": outline.family(outline.rounded[corner].before, corner)}


def _is_from_centre(outline: CarriedOutline, corner: int) -> bool:
    """Tell whether the line to the point runs along an edge: the curve's end on that is found from its centre."""
    return min(_clear(outline, corner).values()) <= FLAT_SINE


def _clear(outline: CarriedOutline, corner: int) -> dict[str, float]:
    """Return the sine of the angle between the line to the vanishing point and the edge at each end of a curve."""
    ways, goals, pole = _ways(outline, corner), dict((outline.across, outline.up)), outline.arcs[corner].pole
    aim = unit_toward(pole, outline.goal)
    result = {}
    for part, other in (("start", "end"), ("end", "start")):
        way = unit_toward(pole, goals[ways[other]])
        result[part] = abs(aim[0] * way[1] - aim[1] * way[0])
    return result


def _clear_at_centre(outline: CarriedOutline, corner: int) -> dict[str, float]:
    """Return the sine of the angle under which the line from each end to the curve's centre meets the centre's line."""
    goals, centre = dict((outline.across, outline.up)), outline.arcs[corner].centre
    aim, result = unit_toward(centre, outline.goal), {}
    for part, family in _ways(outline, corner).items():
        way = unit_toward(centre, goals[family])
        result[part] = abs(aim[0] * way[1] - aim[1] * way[0])
    return result


def _touching(outline: CarriedOutline, corner: int, *, is_seen: bool) -> list[Move]:
    """Draw the lines that touch the curve of the front; where they touch that of the back is told if it is there."""
    moves = []
    for number, angle in enumerate(touches(outline, corner)):
        part = f"touch.{number + 1}"
        guide = _guide(outline, corner, part, outline.arcs[corner].at(angle), "guide")
        for end in ("front", "back"):
            at = outline.full(f"{end}.round.{corner}.{part}")
            touch = Touch(at, outline.full(f"{end}.curve.{corner}"), outline.goal_name, number)
            moves.append(_move(outline, "guides.touching" if is_seen or end == "front" else "", touch))
            if end == "front":
                moves.append(_move(outline, "guides.touching", guide))
    return moves


def _guide(outline: CarriedOutline, corner: int, part: str, at: Point, role: Role) -> RuleToPoint | Run:
    name = f"round.{corner}.{part}"
    return outline.aim(f"guide.{name}", outline.full(f"front.{name}"), at, role)


def _move(outline: CarriedOutline, breath: str, act: Act) -> Move:
    return Move("round", outline.thing, breath, act)
