"""How long does a step take a class?

Seconds for each light line or dark line, and for each mark, for a class of the middle level; the youngest take longer,
the oldest less. Common practice, no source: teachers correct them by experience.
"""

from orthopsis.core.lesson.levels import RULES
from orthopsis.core.wording.vocabulary import Level

_BASE_S = {
    "setup": 60,
    "front": 40,
    "divide": 40,
    "guides": 30,
    "depth": 40,
    "back": 30,
    "round": 40,
    "pattern": 40,
    "take_away": 60,
    "darken": 30,
    "tone": 60,
}
_EACH_S = {
    "setup": 20,
    "front": 15,
    "divide": 14,
    "guides": 18,
    "depth": 20,
    "back": 25,
    "round": 30,
    "pattern": 6,
    "take_away": 6,
    "darken": 8,
    "tone": 12,
}
_MARK_S = {"divide": 5, "pattern": 1}
"""Where marks are made quicker than lines."""


def step_minutes(phase: str, lines: int, level: Level, marks: int = 0) -> float:
    """Return the minutes of a step with so many lines and marks, to the half minute, at least half a minute."""
    each = _EACH_S[phase]
    seconds = (_BASE_S[phase] + each * lines + _MARK_S.get(phase, each) * marks) * RULES[level].times_as_long
    return max(0.5, round(seconds / 30) / 2)
