"""How long does a step take a class?

Seconds for each mark, light line or dark line, for a class of the middle level; the youngest take longer,
the oldest less. Common practice, no source: teachers correct them by experience.
"""

from orthopsis.core.wording.vocabulary import Level

_BASE_S = {
    "setup": 60,
    "front": 40,
    "divide": 40,
    "guides": 30,
    "depth": 40,
    "back": 30,
    "round": 40,
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
    "take_away": 6,
    "darken": 8,
    "tone": 12,
}
_FACTOR: dict[Level, float] = {"youngest": 1.6, "middle": 1.0, "oldest": 0.75}


def step_minutes(phase: str, acts: int, level: Level) -> float:
    """Return the minutes of a step with this many acts, to the half minute, at least half a minute."""
    seconds = (_BASE_S[phase] + _EACH_S[phase] * acts) * _FACTOR[level]
    return max(0.5, round(seconds / 30) / 2)
