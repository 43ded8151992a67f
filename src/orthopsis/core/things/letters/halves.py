"""A word around the nearest corner: half of it on each side, two slices of one block that meet at its nearest edge.

The letters of one side begin where the slice of the other one ends.
"""

from collections.abc import Sequence
from dataclasses import replace

from orthopsis.core.errors import GeometryError
from orthopsis.core.sheet.length import format_mark
from orthopsis.core.things.assembly import Member
from orthopsis.core.things.box.block import FARTHEST_SHARE, ROLES, Block, Role, other
from orthopsis.core.things.letters.layouts import side_by_side
from orthopsis.core.things.letters.measures import letters_of
from orthopsis.core.things.letters.word import Letter
from orthopsis.core.things.outline import Outline, moved, size
from orthopsis.core.things.profile.side import SideProfile
from orthopsis.core.things.values import Values

NAMES: dict[Role, str] = {"left": "left half", "right": "right half"}
MOST_SLICE = 0.6
"""A slice may take this share of the other side; letters need the rest (no source)."""


def halves(block: Block) -> list[Member]:
    """Return the halves of a word, each on its side of the block.

    Raises:
        GeometryError: the slices are too thick for the sides.
    """
    first, second = side_by_side("corner", letters_of(block.values))
    members = [_half(block, "left", first)]
    if second:
        right = _half(block, "right", second)
        members.append(replace(right, shared=_shared(right.standing.values, members[0].standing.values)))
    return members


def _half(block: Block, role: Role, letters: Sequence[Letter]) -> Member:
    values, taken = block.values, _taken(block, role)
    start = letters[0].left
    outline: Outline = tuple(loop for letter in letters for loop in moved(letter.outline, -start, 0.0))
    wide, tall = size(outline)
    room = wide / (1 - taken)
    at_edge = moved(outline, room - wide if role == "right" else 0.0, 0.0)
    over = other(role)
    held = {
        **values.held,
        "outline": at_edge,
        "side": role,
        f"{over}_by": "measured",
        f"{over}_length": values.mm("slice"),
    }
    parts = tuple((letter.name, len(letter.outline)) for letter in letters)
    own = Values(values.full(NAMES[role]), held, parts, (room, max(tall, values.mm("height"))))
    return Member(NAMES[role], SideProfile(own, block.setting), body=NAMES[role])


def _taken(block: Block, role: Role) -> float:
    """Return which share of a side is taken by the slice of the other one, and a mark of the ruler beyond it."""
    values, sheet, eye, goal = block.values, block.setting.sheet, block.setting.frame.eye, block.goal(role)
    reach = block.side_reach(role)
    taken = eye.world_length(goal, min(values.mm("slice") / reach, FARTHEST_SHARE)) / _whole(block, role)
    division = sheet.division_mm
    if taken <= MOST_SLICE:
        return taken + division / values.mm("height")
    shares = (eye.page_share(block.goal(r), _whole(block, r) * MOST_SLICE) for r in ROLES)
    longest = min(s * block.side_reach(r) for s, r in zip(shares, ROLES, strict=True))
    most = format_mark(max(longest // division, 1) * division, sheet.units, division)
    raise GeometryError(
        "slice_too_thick",
        f"Slices as thick as this leave no room for the letters of “{values.name}”.",
        f"The thickest that works is {most}.",
        about="slice",
        nearest=most,
    )


def _whole(block: Block, role: Role) -> float:
    return block.setting.frame.eye.world_length(block.goal(role), block.side_shares[role])


def _shared(own: Values, first: Values) -> dict[str, str]:
    """Return what the second half has in common with the first: the nearest edge, and its lines to both points."""
    names = ["near.bottom", "near.top", "near.edge", "guide.near.edge"]
    names += [f"guide.{level}.{role}" for level in ("bottom", "top") for role in ROLES]
    return {own.full(name): first.full(name) for name in names}
