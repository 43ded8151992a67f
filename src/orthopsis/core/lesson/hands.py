"""How far do the hands of a class miss, and how thin can they draw?

Common practice, no source: half a millimetre for careful hands, one is usual, two for the youngest.
"""

from orthopsis.core.wording.vocabulary import Level

HAND_ERROR_MM: dict[Level, float] = {"youngest": 2.0, "middle": 1.0, "oldest": 0.5}
"""By how much an end of a line misses its place (standard deviation), page mm."""
STROKE_ERRORS = 4
"""A letter's stroke is at least as wide as so many errors of the hand: its two sides then stay apart (no source)."""


def thinnest_stroke_mm(level: Level) -> float:
    """Return the width of the thinnest stroke of a letter that hands of a level draw well, mm."""
    return STROKE_ERRORS * HAND_ERROR_MM[level]
