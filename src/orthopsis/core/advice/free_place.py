"""Where on its face has a piece of furniture room, that stands in another one now?"""

import itertools
import math

from orthopsis.core.drawing.answer import CureEdit
from orthopsis.core.drawing.solved import Solved
from orthopsis.core.scene.placed import Placed
from orthopsis.core.things.face_part import STEPS, ratio_of

Span = tuple[float, float]
APART = 1e-6
"""Plans that come this near to each other touch, in shares of the face."""


def free_place(solved: Solved, placed: Placed) -> list[CureEdit]:
    """Return the values with which its plan, as large as it is, lies clear of all others, as near as can be.

    Returns:
        Nothing where it has no plan, or where there is no room for it.
    """
    mine = placed.standing.plan_shares
    if mine is None:
        return []
    others = [
        plan
        for other in solved.prepared.things
        if other.index != placed.index
        and _is_beside(placed, other)
        and (plan := other.standing.plan_shares) is not None
    ]
    places = list(itertools.product(_moved(mine[0]), _moved(mine[1])))
    free = [place for place in places if not any(_overlap(place, other) for other in others)]
    if not free:
        return []
    along, up = min(free, key=lambda place: math.dist((place[0][0], place[1][0]), (mine[0][0], mine[1][0])))
    about = f"things.{placed.index}"
    return [CureEdit(path=f"{about}.along", value=ratio_of(*along)), CureEdit(path=f"{about}.up", value=ratio_of(*up))]


def _is_beside(one: Placed, other: Placed) -> bool:
    """Tell whether two things stand on one face."""
    first, second = one.setting.anchor, other.setting.anchor
    if first is None or second is None or first.panel is None or second.panel is None:
        return False
    return (first.thing, first.panel.face) == (second.thing, second.panel.face)


def _moved(span: Span) -> list[Span]:
    """Return everywhere a part of a face as long as one can lie, from step to step."""
    long = max(round((span[1] - span[0]) * STEPS), 1)
    return [(i / STEPS, (i + long) / STEPS) for i in range(STEPS - long + 1)]


def _overlap(one: tuple[Span, Span], other: tuple[Span, Span]) -> bool:
    return all(a[0] < b[1] - APART and b[0] < a[1] - APART for a, b in zip(one, other, strict=True))
