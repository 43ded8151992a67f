"""Things that hang together: joined to each other, or one on a face of another. They have one place in the world."""

from collections.abc import Sequence
from dataclasses import dataclass
from functools import lru_cache

from orthopsis.core.scene.ground import Plan, plan_of
from orthopsis.core.scene.placed import Placed
from orthopsis.core.sight.crossing import are_crossed
from orthopsis.core.sight.groups import enlarged
from orthopsis.core.sight.solid import Solid
from orthopsis.core.things.standing import Standing

MOST_FACES = 400
"""Two wholes with more faces are not looked at for whether they stand in each other: it would take long."""


@dataclass(frozen=True, slots=True)
class Whole:
    """Things that hang together.

    Attributes:
        root: the number of the first of them.
        members: the numbers of all.
        standings: those of them that have faces, where they stand.
        factors: how many times each is enlarged about the eye, so that they touch.
        is_ground: whether it is drawn on the ground itself.
    """

    root: int
    members: tuple[int, ...]
    standings: tuple[Standing, ...]
    factors: tuple[float, ...]
    is_ground: bool = False

    @property
    def plan(self) -> Plan | None:
        """What they cover of the ground; None where they do not stand on it."""
        return plan_of(self.standings, self.factors) if self.standings else None

    def stands_in(self, other: "Whole", scale: float) -> bool:
        """Tell whether one of its things stands in one of another whole that is enlarged so many times."""
        factors = tuple(factor * scale for factor in other.factors)
        return _are_crossed(self.standings, self.factors, other.standings, factors)


def members_of(things: Sequence[Placed]) -> dict[int, list[int]]:
    """Return the numbers of the things that hang together, by the first one of each whole, as these are listed."""
    members: dict[int, list[int]] = {}
    for number, placed in enumerate(things):
        members.setdefault(placed.layer, []).append(number)
    return members


def whole_of(things: Sequence[Placed], members: Sequence[int]) -> Whole:
    """Return the whole that some things make which hang together."""
    own = [things[i] for i in members]
    bodies = [placed for placed in own if placed.standing.is_body and not placed.is_carved_away]
    return Whole(
        things[members[0]].layer,
        tuple(members),
        tuple(b.standing for b in bodies),
        tuple(b.factor for b in bodies),
        things[members[0]].standing.lies_on_ground,
    )


@lru_cache(maxsize=256)
def _are_crossed(
    ones: tuple[Standing, ...], sizes: tuple[float, ...], others: tuple[Standing, ...], other_sizes: tuple[float, ...]
) -> bool:  # fmt: skip
    if sum(len(standing.solid.faces) for standing in (*ones, *others)) > MOST_FACES:
        return True
    return are_crossed(_solids(ones, sizes), _solids(others, other_sizes))


def _solids(standings: Sequence[Standing], factors: Sequence[float]) -> list[Solid]:
    return [enlarged(one.solid, factor) for one, factor in zip(standings, factors, strict=True)]
