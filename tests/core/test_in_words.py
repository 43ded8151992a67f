"""At most four values stand in a sentence; more are on the picture, at points that the words name by letters."""

import re
from typing import Any

import pytest
from hypothesis import HealthCheck, given, settings
from scenes import ANY, solved

from orthopsis.core.document.document import Exercise, read_exercise
from orthopsis.core.document.ready import READY
from orthopsis.core.drawing.answer import Drawing
from orthopsis.core.exercise.solve import draw
from orthopsis.core.telling.letters import MOST_IN_WORDS
from orthopsis.core.wording.vocabulary import LEVELS

FIGURE = re.compile(r"\d+(?:[.,]\d+)?(?: \d+/\d+)?")


def crowded(drawing: Drawing) -> list[str]:
    """The sentences with more figures than can be kept in mind on the way to the paper."""
    names = sorted((sentence.title for sentence in drawing.sentences if sentence.title), key=len, reverse=True)
    found = []
    for text in (step.text for step in drawing.steps):
        bare = text
        for name in names:  # a name may have a number, which is no measure
            bare = re.sub(rf"(?:\b\S(?: \d+)? of )?{re.escape(name)}", "it", bare)
        found += [text] if len(FIGURE.findall(bare)) > MOST_IN_WORDS else []
    return found


@pytest.mark.parametrize("level", LEVELS)
@pytest.mark.parametrize("vocabulary", ["eye_level", "horizon"])
@pytest.mark.parametrize("ready", READY, ids=[ready["title"] for ready in READY])
def test_no_sentence_of_a_ready_exercise_has_more_than_four_figures(
    ready: dict[str, Any], vocabulary: str, level: str
) -> None:
    drawing = draw(read_exercise({**ready, "wording": {"vocabulary": vocabulary, "level": level}}))
    assert crowded(drawing) == []


@settings(max_examples=60, suppress_health_check=[HealthCheck.too_slow, HealthCheck.filter_too_much])
@given(ANY)
def test_no_sentence_of_any_exercise_has_more_than_four_figures(exercise: Exercise) -> None:
    solved(exercise)  # what is refused is not told, and does not count
    assert crowded(draw(exercise)) == []


@pytest.mark.parametrize("ready", READY, ids=[ready["title"] for ready in READY])
def test_each_letter_is_one_corner_whose_figures_are_on_the_picture(ready: dict[str, Any]) -> None:
    for step in draw(read_exercise(ready)).steps:
        names = [letter.text for letter in step.letters]
        assert len(set(names)) == len(names)
        if any(
            words in step.title for words in ("carry a height", "carry a place", "carry a corner's", "from the block's")
        ):
            for name in names:  # the words lead from letter to letter
                assert re.search(rf"\b{name}\b", step.text), f"{name}: {step.text}"
        elif re.search(r"the corner a\b", step.text):
            assert names == ["a"]
        elif names:
            assert f"{names[0]} to " in step.text
            shown = {mark.text for scale in step.scales for mark in scale.marks}
            figures = {figure for letter in step.letters for figure in (letter.across, letter.up)}
            assert figures - {""} <= shown | {"0"}
            assert ("A line that leans has no number." in step.text) == ("" in figures)


def test_letters_run_round_the_outline_and_each_hole_has_a_run_of_its_own() -> None:
    ready = next(one for one in READY if one["title"] == "KNOT in block letters, one point")
    drawing = draw(read_exercise(ready))
    oldest = draw(read_exercise({**ready, "wording": {"level": "oldest"}}))
    steps = [
        next(s for s in one.steps if s.title.startswith(("O of Knot: the hole", "O of Knot: its gaps")))
        for one in (drawing, oldest)
    ]
    for step in steps:
        assert "a to d, in mm on the picture" in step.text
    step = next(step for step in oldest.steps if step.title.startswith("N of Knot: its gaps"))
    assert "a to e, and apart from them f to j, in mm on the picture" in step.text
    drawn = {frozenset((line.start, line.end)) for line in drawing.lines if line.id in steps[0].draws}
    at = {letter.text: letter.at for letter in steps[0].letters}
    for loop in ("abcd",):
        for one, other in zip(loop, loop[1:] + loop[0], strict=True):
            assert frozenset((at[one], at[other])) in drawn, f"{one}{other}"


def test_few_figures_stay_in_the_words_and_ticks_that_are_many_go_to_the_picture() -> None:
    named = {one["title"]: one for one in READY}
    found = (
        named[title]
        for title in ("Three tall stores on the quay, two points", "The port from a rowing boat, two points")
    )
    ticks = [s for one in found for s in draw(read_exercise(one)).steps if s.title.endswith("tick the nearest edge")]
    many = next(step for step in ticks if "on the picture" in step.text)
    few = next(step for step in ticks if len(FIGURE.findall(step.text)) == 3)
    (scale,) = many.scales
    assert f"at the {len(scale.marks) - 1} measures in mm on the picture" in many.text
    # Three lengths from one place would lie on each other: the picture has a scale beside the ticks, and no lengths.
    (beside,) = few.scales
    # Where the ruler's 0 lies is shown, too, so that it is in the picture.
    assert [mark.text for mark in beside.marks] == ["0", *FIGURE.findall(few.text)]
    assert few.dimensions == []


def test_two_ticks_are_two_lengths_in_the_picture() -> None:
    ready = next(one for one in READY if one["title"] == "The harbour master's room, one point")
    ticks = next(
        step for step in draw(read_exercise(ready)).steps if step.title == "Worktop: tick the bottom edge of the frame"
    )
    assert ticks.scales == []
    assert {one.text for one in ticks.dimensions} == {"210 mm", "270 mm"}


@pytest.mark.parametrize(("units", "said"), [("mm", "mm"), ("cm", "cm"), ("in", "inches")])
def test_what_is_read_off_a_picture_has_its_unit_in_words(units: str, said: str) -> None:
    sheet = {"units": units, "division": {"mm": "1 mm", "cm": "1 mm", "in": "1/16 in"}[units]}
    knot = next(one for one in READY if one["title"] == "KNOT in block letters, one point")
    loft = next(one for one in READY if one["title"] == "A net loft with windows, door and roof, two points")
    read = [step.text for ready in (knot, loft) for step in draw(read_exercise({**ready, "sheet": sheet})).steps]
    off_a_scale = [text for text in read if "on the picture" in text and "light lines" not in text.lower()]
    assert len(off_a_scale) > 5
    assert all(f" in {said} on the picture" in text for text in off_a_scale), off_a_scale
    assert not any(f" in {said} on the picture" in text for text in read if "are counted from" in text)
