"""What is otherwise for the youngest, the middle and the oldest? All of it but the words stands in one table.

Common practice, no source: half a millimetre for careful hands, one is usual, two for the youngest; the youngest read
large type and short words, and take longer.
"""

from collections.abc import Mapping
from dataclasses import dataclass

from orthopsis.core.wording.vocabulary import Level


@dataclass(frozen=True, slots=True)
class LevelRules:
    """What is otherwise for a level.

    Attributes:
        hand_error_mm: by how much an end of a line misses its place (standard deviation), page mm.
        times_as_long: how long a step takes, against the middle level.
        type_pt: how large the type of step sheets is where nobody says otherwise, points.
        cuts_at_once: whether all pieces that are cut away from a block are told in one step.
        grade: the school grade whose readers follow the words of an exercise, at most (Flesch-Kincaid).
    """

    hand_error_mm: float
    times_as_long: float
    type_pt: float
    cuts_at_once: bool
    grade: int


RULES: Mapping[Level, LevelRules] = {
    "youngest": LevelRules(hand_error_mm=2.0, times_as_long=1.6, type_pt=14.0, cuts_at_once=False, grade=3),
    "middle": LevelRules(hand_error_mm=1.0, times_as_long=1.0, type_pt=11.0, cuts_at_once=False, grade=5),
    "oldest": LevelRules(hand_error_mm=0.5, times_as_long=0.75, type_pt=11.0, cuts_at_once=True, grade=8),
}
STROKE_ERRORS = 4
"""A letter's stroke is at least as wide as so many errors of the hand: its two sides then stay apart (no source)."""


def thinnest_stroke_mm(level: Level) -> float:
    """Return the width of the thinnest stroke of a letter that hands of a level draw well, mm."""
    return STROKE_ERRORS * RULES[level].hand_error_mm
