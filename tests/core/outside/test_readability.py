"""The words of steps against a readability library, and the library against its formula.

Flesch-Kincaid grade: 0.39 words per sentence + 11.8 syllables per word - 15.59 (Kincaid, Fishburne, Rogers and Chissom,
Derivation of new readability formulas for Navy enlisted personnel, 1975). It is defined for passages, so an exercise's
steps are read as one text.
"""

import warnings
from typing import Any

import pytest

from orthopsis.core.document.document import read_exercise
from orthopsis.core.document.ready import READY
from orthopsis.core.exercise.solve import draw
from orthopsis.core.lesson.levels import RULES
from orthopsis.core.wording.vocabulary import LEVELS, Level

with warnings.catch_warnings():
    warnings.simplefilter("ignore")  # the library still asks for its version in a way that is going out of use
    import textstat


def grade(text: str) -> float:
    """The school grade whose readers follow a text."""
    return float(textstat.flesch_kincaid_grade(text))


@pytest.mark.parametrize(
    ("text", "words", "sentences", "syllables"),
    [
        ("The cat sat on the mat. The dog ran home.", 10, 2, 10),
        ("Draw a light line to the point. Stop at the next line.", 12, 2, 12),
        ("Measure the upper corner now. Mark it there once more.", 10, 2, 13),
    ],
)
def test_the_library_counts_as_the_formula_says(text: str, words: int, sentences: int, syllables: int) -> None:
    # Counted by hand; the library rounds to tenths, downward below zero, and takes syllables from hyphenation.
    assert grade(text) == pytest.approx(0.39 * words / sentences + 11.8 * syllables / words - 15.59, abs=0.11)


@pytest.mark.parametrize("level", LEVELS)
@pytest.mark.parametrize("ready", READY, ids=[ready["title"] for ready in READY])
def test_a_class_of_the_level_reads_the_words_of_an_exercise(ready: dict[str, Any], level: Level) -> None:
    exercise = read_exercise({**ready, "wording": {**ready.get("wording", {}), "level": level}})
    text = " ".join(step.text for step in draw(exercise).steps)
    assert grade(text) <= RULES[level].grade


def test_the_words_get_harder_with_the_level() -> None:
    exercise = next(r for r in READY if r["title"] == "KNOT in block letters, one point")
    grades = [
        grade(" ".join(step.text for step in draw(read_exercise({**exercise, "wording": {"level": level}})).steps))
        for level in LEVELS
    ]
    assert grades == sorted(grades)
