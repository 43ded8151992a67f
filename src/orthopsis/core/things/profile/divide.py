"""How is a side of a block divided, so that places on it can be marked where light lines cross?

The nearest edge is ticked at all heights, and at all shares of the way along the side too. The ticks run to the side's
point; where the side's diagonal meets them are the places along it. Places are in shares of the side's width, from
its left end, and of its height.
"""

from collections.abc import Iterable

from orthopsis.core.construct.moves import Act, Cross, Divide, MeasureAlong, Move, Rule, RuleToPoint, Run
from orthopsis.core.plane.arc import Place
from orthopsis.core.things.box import block
from orthopsis.core.things.box.block import Role
from orthopsis.core.things.declare import Values
from orthopsis.core.things.standing import Setting

SAME_SHARE = 1e-9


class Grid:
    """The light lines over a side.

    Attributes:
        ticks: shares of the nearest edge at which it is ticked, from its foot.
        columns: shares of the way from the nearest edge at which there are uprights.
    """

    def __init__(self, values: Values, setting: Setting, role: Role, places: Iterable[Place]) -> None:
        self._values, self._setting, self._role = values, setting, role
        marked = list(places)
        self.columns = _inner(self.from_near(across) for across, _ in marked)
        self.ticks = _inner([*(up for _, up in marked), *self.columns])

    def from_near(self, across: float) -> float:
        """Return the share of the way from the nearest edge, for a share from the left end of the side."""
        return 1 - across if self._role == "left" else across

    def moves(self) -> list[Move]:
        """Return the moves that draw the lines."""
        n, values, frame = self._values.full, self._values, self._setting.frame
        told = [values.move("divide", "divide.ticks", self._tick(i, share)) for i, share in enumerate(self.ticks)]
        for i in range(len(self.ticks)):
            goal = frame.way(self._role).family
            level = RuleToPoint(n(f"construction.level.{i}"), self.tick_name(self.ticks[i]), goal, "construction")
            told.append(values.move("divide", "divide.levels", level))
        if not self.columns:
            return told
        top = n(f"{self._role}.top")
        acts: list[Act] = [Rule(n("construction.diagonal"), n("near.bottom"), top, "free", "construction")]
        for i, share in enumerate(self.columns):
            mark, foot = n(f"measure.column.{i}"), n(f"measure.foot.{i}")
            acts.append(Cross(mark, n("construction.diagonal"), self._row(share)))
            ground = n(f"guide.bottom.{self._role}")
            acts.append(Run(n(f"construction.column.{i}"), foot, mark, frame.way("up").family, ground, "construction"))
        return told + [values.move("divide", "divide.columns", act) for act in acts]

    def mark(self, name: str, place: Place) -> Cross:
        """Return the act that marks a place of the side under a name within the thing."""
        across, up = place
        return Cross(self._values.full(name), self._column(self.from_near(across)), self._row(up))

    def tick_name(self, share: float) -> str:
        """Return the full name of the tick at a share of the nearest edge."""
        return self._values.full(f"measure.tick.{_number(self.ticks, share)}")

    def _tick(self, number: int, share: float) -> MeasureAlong | Divide:
        """Return the act that ticks the nearest edge: by ruler if it is upright, else by a measuring line."""
        n, up = self._values.full, self._setting.frame.way("up")
        name = n(f"measure.tick.{number}")
        if up.goal.is_ideal:
            return MeasureAlong(name, n("near.edge"), share * self._values.mm("height"))
        first, second = block.first_level(self._setting), block.second_level(self._setting)
        from_first = share if first == "bottom" else 1 - share
        return Divide(name, n(f"near.{first}"), n(f"near.{second}"), up.family, from_first)

    def _row(self, share: float) -> str:
        n = self._values.full
        if share <= SAME_SHARE:
            return n(f"guide.bottom.{self._role}")
        if share >= 1 - SAME_SHARE:
            return n(f"guide.top.{self._role}")
        return n(f"construction.level.{_number(self.ticks, share)}")

    def _column(self, share: float) -> str:
        n = self._values.full
        if share <= SAME_SHARE:
            return n("near.edge")
        if share >= 1 - SAME_SHARE:
            return n(f"{self._role}.edge")
        return n(f"construction.column.{_number(self.columns, share)}")


def _inner(shares: Iterable[float]) -> list[float]:
    found: list[float] = []
    for share in sorted(shares):
        if SAME_SHARE < share < 1 - SAME_SHARE and (not found or share - found[-1] > SAME_SHARE):
            found.append(share)
    return found


def _number(shares: list[float], share: float) -> int:
    return min(range(len(shares)), key=lambda i: abs(shares[i] - share))
