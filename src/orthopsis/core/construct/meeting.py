"""How does a hand find where two lines meet that start at points and run in two directions?

One of them is drawn up to the other, along which the ruler only lies. A direction runs to a point, or level or upright.
"""

from collections.abc import Iterator
from typing import Literal

from orthopsis.core.construct.moves import Act, Role, Rule, RuleToPoint, Run, Side
from orthopsis.core.view.frame import Way

Ruled = tuple[str, Way, str]
"""A line that is ruled: from which point, which way, and what it is called."""


def meeting(
    first: Ruled, second: Ruled, makes: str, aside_mm: float, role: Role, helper: str
) -> Iterator[Act]:  # fmt: skip
    """Yield the acts that find where two lines meet; the second one is drawn.

    Args:
        aside_mm: where neither runs to a point of the sheet, how far the second one is measured to the right or up.
        helper: what the second line is called while the ruler only lies on it.
    """
    (one, out, over), (other, way, line) = first, second
    if not out.goal.is_ideal:
        yield RuleToPoint(over, one, out.family, "unseen")
        yield Run(line, makes, other, way.family, over, role)
    elif not way.goal.is_ideal:
        yield RuleToPoint(helper, other, way.family, "unseen")
        yield Run(over, makes, one, out.family, helper, "unseen")
        yield Rule(line, other, makes, way.family, role)
    else:
        yield Side(line, makes, other, level_or_upright(way), aside_mm, role)


def level_or_upright(way: Way) -> Literal["level", "upright"]:
    """Return which way a direction runs that has no point."""
    return "level" if way.family == "level" else "upright"
