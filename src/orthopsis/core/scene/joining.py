"""Where does a thing stand that is joined to another one: on top of it, against it, behind it?

The corner at which it touches the other fixes its place on the page. In the world it is enlarged about the eye until it
touches there too: that leaves its picture as it is. In line with another it does not touch, but is as tall.
"""

import math
from collections.abc import Callable, Iterable, Mapping, Sequence
from dataclasses import replace

from orthopsis.core.construct.hidden_face import drawn_through
from orthopsis.core.construct.moves import Move
from orthopsis.core.construct.panel import Panel
from orthopsis.core.document.thing_models import ThingDocument
from orthopsis.core.errors import GeometryError
from orthopsis.core.plane.homogeneous import Point, between, distance, join, meet
from orthopsis.core.scene.placed import Placed, placed_errors
from orthopsis.core.sheet.length import format_mark
from orthopsis.core.things.declare import Hanging, ThingKind
from orthopsis.core.things.depth import FARTHEST_SHARE
from orthopsis.core.things.setting import Anchor, InLine, Joint


def join_things(documents: Sequence[ThingDocument], alone: Sequence[Placed]) -> tuple[Placed, ...]:
    """Return the things where they stand, those that are joined to others brought there.

    Raises:
        GeometryError: a thing is joined to itself, to one that is not there or stands in another view, or in a way
            that the other one does not offer.
    """
    number = {document.id: i for i, document in enumerate(documents)}
    done: dict[int, Placed] = {}
    for index in range(len(documents)):
        for one in reversed(_chain(index, documents, alone, number, done)):
            document, placed = documents[one], alone[one]
            if document.joined_to or placed.kind.hangs:
                other = done[number[document.joined_to]]
                with placed_errors(other):  # one that cannot be drawn has no faces and no joints: that is its own fault
                    _ = other.standing.faces if placed.kind.lies_on_face else other.standing.joints
                with placed_errors(placed):
                    placed = _JOINS[placed.kind.hangs](placed, other, document)
            done[one] = placed
    return _without_carved([_going_on(done[i], done.values()) for i in range(len(documents))])


def _without_carved(things: Sequence[Placed]) -> tuple[Placed, ...]:
    """Return the things, those marked of which nothing stays but what is carved from them.

    Raises:
        GeometryError: two are carved from the same one.
    """
    carved: dict[str, Placed] = {}
    for placed in things:
        if not placed.standing.replaces_host:
            continue
        first = carved.setdefault(placed.standing.anchor.thing, placed)
        if first is not placed:
            with placed_errors(placed):
                raise GeometryError(
                    "carved_twice",
                    f"“{first.values.name}” and “{placed.values.name}” cannot both be carved from "
                    f"{placed.standing.anchor.thing}: there is only one block.",
                    "Let one of them lie flat on it, or give it a block of its own.",
                    about="relief",
                    nearest="flat",
                )
    if not carved:
        return tuple(things)
    return tuple(replace(placed, is_carved_away=placed.values.name in carved) for placed in things)


def _going_on(placed: Placed, others: Iterable[Placed]) -> Placed:
    """Return a thing where it stands, where others go on in it with these: on a crate the shadows that reach it."""
    kinds, frame = placed.kind.goes_on_with, placed.setting.frame
    if not kinds or not placed.standing.goes_on:
        return placed
    those = (p for p in others if p.kind.kind in kinds and p.setting.frame == frame)
    casts = sorted((p for p in those if placed.standing.takes_up(p.standing)), key=lambda p: p.index)
    for cast in casts:
        with placed_errors(cast):  # one that cannot be drawn is its own fault
            _ = cast.standing.solid
    setting = replace(placed.setting, casts=tuple(cast.standing for cast in casts))
    return replace(placed, standing=placed.kind.stand(placed.values, setting))


def _chain(
    index: int, documents: Sequence[ThingDocument], alone: Sequence[Placed], number: Mapping[int, int],
    done: Mapping[int, Placed],
) -> list[int]:  # fmt: skip
    """Return a thing and, one after the other, those it is joined to, as far as they do not stand yet.

    Raises:
        GeometryError: one of them cannot be joined to the next.
    """
    chain: list[int] = []
    while index not in done:
        chain.append(index)
        document = documents[index]
        if not document.joined_to and not alone[index].kind.hangs:
            break
        other = number.get(document.joined_to, -1)
        with placed_errors(alone[index]):
            _check(document, index, other, tuple(chain), alone)
        index = other
    return chain


def _check(document: ThingDocument, index: int, other: int, below: tuple[int, ...], alone: Sequence[Placed]) -> None:
    hangs = alone[index].kind.hangs
    if hangs and not document.joined_to:
        why, fix = f"“{document.name}” {_VERBS[hangs]} nothing.", "Choose a thing for it."
    elif other < 0:
        verb = _VERBS[hangs]
        why, fix = f"“{document.name}” {verb} a thing that is not there.", "Choose another one."
    elif other == index or other in below:
        why, fix = f"“{document.name}” would stand on itself.", "Let one of them stand on its own."
    elif hangs and alone[other].kind.hangs == "in_line":
        why, fix = f"“{alone[other].values.name}” is a row.", "Choose a thing that stands for itself."
    elif not hangs and alone[other].setting.frame.name != document.view:
        why, fix = "Things that stand together share their points.", "Choose the same points for both."
    else:
        return
    raise GeometryError("cannot_join", why, fix, about="joined_to", nearest="")


_VERBS: Mapping[Hanging, str] = {"": "stands by", "on_face": "lies on", "in_line": "repeats"}


def _joined(placed: Placed, other: Placed, document: ThingDocument) -> Placed:
    joint = _joint(placed, other, document)
    anchor = Anchor(other.values.name, joint.point, joint.corner, says=joint.at)
    if joint.top is not None:
        joint, line = _along(placed, joint, joint.top, document.gap_mm)
        anchor = replace(anchor, in_line=line)
    held = placed.standing.at_joint(joint)
    values = replace(placed.values, held={**placed.values.held, **held})
    setting = replace(placed.setting, anchor=anchor)
    standing = placed.kind.stand(values, setting)
    factor = other.factor * joint.depth / standing.foot_depth
    return replace(placed, standing=standing, given=frozenset(held), factor=factor, layer=other.layer)


def _repeated(placed: Placed, other: Placed, document: ThingDocument) -> Placed:
    """Return a row of copies of another thing."""
    joints = row_joints(other)
    joint = joints.get(document.joined_by)
    if joint is None or joint.top is None:
        raise _cannot_stand(placed, other, joints)
    placed = replace(placed, standing=placed.kind.stand(placed.values, other.setting))
    _, line = _along(placed, joint, joint.top, document.gap_mm)
    anchor = Anchor(other.values.name, joint.point, joint.corner, line, other=other.standing)
    standing = placed.kind.stand(placed.values, replace(other.setting, anchor=anchor))
    return replace(placed, standing=standing, factor=other.factor, layer=other.layer)


def row_joints(other: Placed) -> Mapping[str, Joint]:
    """Return where a row of a thing can go: from corners that stay when it is drawn, other than a word's block."""
    joints = {key: joint for key, joint in other.standing.joints.items() if joint.top is not None}
    corners = {other.values.full(name) for name in other.standing.solid.names} if joints else set()
    return {key: joint for key, joint in joints.items() if not joint.is_alley and joint.point in corners}


def _joint(placed: Placed, other: Placed, document: ThingDocument) -> Joint:
    joints = other.standing.joints
    joint = joints.get(document.joined_by)
    if joint is None:
        raise _cannot_stand(placed, other, joints)
    return joint


def _cannot_stand(placed: Placed, other: Placed, joints: Mapping[str, Joint]) -> GeometryError:
    offered = ", ".join(j.says for j in joints.values())
    return GeometryError(
        "cannot_join",
        f"“{placed.values.name}” cannot stand there: {other.values.name} has no such corner that is drawn.",
        f"It can stand {offered}." if offered else "Let it stand on its own.",
        about="joined_by",
        nearest=next(iter(joints), ""),
    )


def _laid(placed: Placed, other: Placed, document: ThingDocument) -> Placed:
    """Return a thing on a face of another one; where that face is not drawn, nothing can be drawn on it."""
    panel = _face(placed.kind, other, document.joined_by)
    anchor = Anchor(other.values.name, "", Point(0.0, 0.0), other=other.standing)
    if panel is not None:
        marks = tuple(Move("divide", placed.values.name, "", act) for act in panel.marks)
        found = (panel, marks) if panel.is_drawn else drawn_through(panel, placed.values.name, other.standing.made)
        if found is not None:
            panel, light = found
            anchor = replace(anchor, point=panel.low, at=panel.page[0], panel=panel, light=light)
    standing = placed.kind.stand(placed.values, replace(other.setting, anchor=anchor, light=placed.setting.light))
    return replace(placed, standing=standing, factor=other.factor, layer=other.layer)


_JOINS: Mapping[Hanging, Callable[[Placed, Placed, ThingDocument], Placed]] = {
    "": _joined,
    "on_face": _laid,
    "in_line": _repeated,
}


def face_key(name: str) -> str:
    """Return how the document says that a thing lies on a face."""
    return f"face_{name}"


def faces_for(kind: ThingKind, other: Placed) -> Mapping[str, Panel]:
    """Return the faces of a thing on which one of this kind can lie, by how the document says it: ``face_left``."""
    return {face_key(name): panel for name, panel in other.standing.faces.items() if _is_offered(kind, panel)}


def _face(kind: ThingKind, other: Placed, key: str) -> Panel | None:
    """Return that one of these faces that the document calls so; the others need not be found."""
    faces = other.standing.faces
    panel = next((faces[name] for name in faces if face_key(name) == key), None)
    return panel if panel is not None and _is_offered(kind, panel) else None


def _is_offered(kind: ThingKind, panel: Panel) -> bool:
    return (panel.is_drawn or kind.may_be_hidden) and kind.can_lie_on(panel)


def _along(placed: Placed, joint: Joint, top: tuple[Point, str], gap_mm: float) -> tuple[Joint, InLine]:
    """Return the joint a gap further along its line, with the corner over it, and how it is found.

    Source: along a line to its vanishing point depth grows as 1 / (1 - share of the way) (textbook; from memory).
    """
    way, up = placed.setting.frame.way(joint.runs), placed.setting.frame.way("up")
    reach, division = distance(joint.corner, way.goal), placed.setting.sheet.division_mm
    if not division / 2 <= gap_mm <= FARTHEST_SHARE * reach:
        nearest = division if gap_mm < division else math.floor(FARTHEST_SHARE * reach / division) * division
        shown = format_mark(nearest, placed.setting.sheet.units, division)
        raise GeometryError(
            "gap_past_point",
            f"“{placed.values.name}” would not stand between there and the vanishing point.",
            f"The nearest that works is {shown}.",
            about="gap_mm",
            nearest=shown,
        )
    share = gap_mm / reach
    foot = between(joint.corner, way.goal, share)
    high = meet(join(top[0], way.goal), join(foot, up.goal))
    over = None if joint.is_alley else (high, "")
    moved = replace(joint, corner=foot, point="", depth=joint.depth / (1 - share), top=over)
    name = "" if joint.is_alley else top[1]
    return moved, InLine(name, top[0], way.family, way.goal, gap_mm, joint.depth, joint.holds)
