"""Sentences: every phrase fills, in every vocabulary and level; names, counts, minutes and tone."""

import re
from typing import get_args

import pytest

from orthopsis.core.document.document import read_exercise
from orthopsis.core.document.ready import READY
from orthopsis.core.exercise.solve import draw
from orthopsis.core.lesson.minutes import step_minutes
from orthopsis.core.view.aim import AimRole
from orthopsis.core.wording.advice import ADVICE
from orthopsis.core.wording.findings import ADVICE_TO_STUDENT, FINDINGS, NEXT_TIME, PRAISE, TITLES, TRY_NEXT
from orthopsis.core.wording.names import Feature, edge_words, point_words
from orthopsis.core.wording.steps import STEPS
from orthopsis.core.wording.vocabulary import LEVELS, TERMS, Vocabulary, Wording, counted, listed, ordinal

ALL_TEMPLATES = [
    *(t for p in STEPS.values() for t in (p.title, *p.says, p.rule, p.slip)),
    *(t for p in ADVICE.values() for t in (p.text, p.why, *p.cures)),
    *FINDINGS.values(),
    *(t for table in (PRAISE, ADVICE_TO_STUDENT, NEXT_TIME, TRY_NEXT) for says in table.values() for t in says),
]


@pytest.mark.parametrize("vocabulary", ["eye_level", "horizon"])
def test_every_phrase_can_be_said_to_every_class(vocabulary: Vocabulary) -> None:
    for level in LEVELS:
        words = Wording(vocabulary, level)
        for template in ALL_TEMPLATES:
            places = dict.fromkeys(re.findall(r"\{(\w+)\}", template), "x")
            said = words.say(template, places)
            assert said.strip()
            assert not set("{}[]") & set(said), said
            if vocabulary == "horizon":
                assert "eye level" not in said.lower()


def test_every_term_of_the_vocabulary_has_both_words_and_is_used(monkeypatch: pytest.MonkeyPatch) -> None:
    used = {term.lower() for template in ALL_TEMPLATES for term in re.findall(r"\[([\w ]+)\]", template)}
    assert used <= set(TERMS)
    say = Wording.term

    def noted(words: Wording, term: str) -> str:
        used.add(term.lower())
        return say(words, term)

    monkeypatch.setattr(Wording, "term", noted)
    for document in READY:
        draw(read_exercise(document))
    for role in get_args(AimRole):
        point_words(role, "", Wording("eye_level", "middle"))
    assert set(TERMS) - used == set(), "terms that nothing says"
    for both in TERMS.values():
        assert set(both) == {"eye_level", "horizon"}


def test_every_step_has_a_tool_and_every_finding_a_title() -> None:
    assert all(phrases.tool for phrases in STEPS.values())
    assert set(TITLES) == set(FINDINGS)


def test_points_lines_and_counts_are_named_as_people_say_them() -> None:
    assert (counted(1, "line"), counted(3, "line")) == ("1 line", "3 lines")
    assert listed(["a"]) == "a"
    assert listed(["a", "b", "c"]) == "a, b and c"


@pytest.mark.parametrize(
    ("feature", "family", "third", "words"),
    [
        (Feature("front", "top"), "level", (1, 2), "front top edge of Crate"),
        (Feature("away", "top left"), "point", (0, 2), "top left edge of Crate going away"),
        (Feature("upright", "nearest"), "upright", (1, 1), "nearest upright of Crate"),
        (Feature("level", "bottom back left"), "left point", (0, 0), "bottom back left edge of Crate"),
        (Feature("front", part="K"), "upright", (0, 2), "upright front edge at the upper left of K of Crate"),
        (Feature("back", part="K"), "free", (1, 2), "slanted back edge at the top of K of Crate"),
        (Feature("away", part="K"), "point", (1, 1), "edge going away in the middle of K of Crate"),
        (Feature("side", part="Number 3"), "level", (1, 0), "level edge at the bottom of Number 3 of Crate"),
        (Feature("ridge"), "point", (1, 1), "ridge of Crate"),
        (Feature("slope"), "Roof.slope_above", (2, 1), "sloping edge at the right of Crate"),
    ],
)
def test_a_line_is_called_by_what_it_is(feature: Feature, family: str, third: tuple[int, int], words: str) -> None:
    assert edge_words("Crate", feature, family, third) == words


def test_a_line_of_a_part_of_a_part_belongs_to_the_inner_one() -> None:
    whole = Feature("away", part="T", guide="guide.3").within("left half", "left half.")
    assert (whole.part, whole.guide) == ("T", "left half.guide.3")
    assert Feature("front", "top").within("Number 2", "Number 2.").part == "Number 2"


def test_the_youngest_take_longer_and_more_lines_take_longer() -> None:
    for phase in ("setup", "front", "guides", "depth", "back", "take_away", "darken", "tone"):
        by_level = [step_minutes(phase, 6, level) for level in LEVELS]
        assert by_level == sorted(by_level, reverse=True)
        assert step_minutes(phase, 12, "middle") >= step_minutes(phase, 3, "middle") >= 0.5


@pytest.mark.parametrize(
    ("number", "word"),
    [(1, "first"), (10, "tenth"), (11, "11th"), (21, "21st"), (22, "22nd"), (23, "23rd"), (24, "24th")],
)
def test_numbers_of_places_are_said_in_words(number: int, word: str) -> None:
    assert ordinal(number) == word
