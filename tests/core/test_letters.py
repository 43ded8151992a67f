"""Letters and words: the alphabet, what is refused, and what a teacher measures."""

import itertools

import pytest

from conftest import exercise_of
from orthopsis.core.document.document import Exercise
from orthopsis.core.drawing.answer import Drawing
from orthopsis.core.editing import edit
from orthopsis.core.errors import GeometryError
from orthopsis.core.exercise.solve import draw
from orthopsis.core.things.letters.alphabet import ACCENTS, ALPHABET
from orthopsis.core.things.letters.grid import Measures
from orthopsis.core.things.letters.word import read_word, set_word
from orthopsis.core.things.outline import Outline, check_outline, format_outline, parse_outline, pieces, size

EVERY = [*ALPHABET, *"ÀÁÂÃÄÅÇÈÉÊËÌÍÎÏÑÒÓÔÕÖÙÚÛÜÝŠŽ"]
COMMON = Measures(50, 60, 12.5, 12, 12, 24)


def outline_of(character: str, measures: Measures = COMMON, *, is_round: bool = False) -> Outline:
    return set_word(read_word(character), measures, 10, is_round=is_round)[0].outline


def word(text: str, **more: object) -> Exercise:
    return exercise_of({"kind": "letters", "name": "Word", "text": text, "left": 40, "bottom": 30, **more})


@pytest.mark.parametrize("is_round", [False, True])
@pytest.mark.parametrize(
    "measures",
    [COMMON, Measures(50, 60, 10, 12, 12, 24), Measures(70, 50, 20, 12, 9, 17), Measures(30, 90, 9, 9, 9, 50)],
)
def test_every_letter_can_be_cut_whatever_its_measures(measures: Measures, is_round: bool) -> None:
    for character in EVERY:
        outline = outline_of(character, measures, is_round=is_round)
        check_outline(outline, character)
        assert parse_outline(format_outline(outline, "mm"), "mm") is not None
        assert min(c[0] for loop in outline for c in loop) >= -1e-9, character
        assert size(outline)[1] <= measures.height + 3.5 * measures.bar


@pytest.mark.parametrize("is_round", [False, True])
def test_no_two_letters_are_alike(is_round: bool) -> None:
    shapes = {c: format_outline(outline_of(c, is_round=is_round), "mm") for c in EVERY}
    for a, b in itertools.combinations(EVERY, 2):
        assert shapes[a] != shapes[b], f"{a} and {b}"


def test_strokes_of_a_block_letter_are_equally_thick() -> None:
    for character in "EFHILTU":
        for loop in outline_of(character):
            for a, b in zip(loop, (*loop[1:], loop[0]), strict=True):
                if abs(a[0] - b[0]) < 1e-9:
                    assert abs(a[1] - b[1]) >= 12 - 1e-9, f"a bar of {character}"
                else:
                    assert abs(a[0] - b[0]) >= 12.5 - 1e-9, f"a stroke of {character}"


def test_the_h_and_the_f_that_are_set_most_have_their_guide_lines() -> None:
    """Common practice, no source: 7 for the H; 8 for the F, two of them nearly together.

    The F's second bar ends where our letters end theirs, 5 mm further right.
    """
    h = {"width": 55, "height": 60, "thickness": "measured", "stroke": 15, "bar": 10, "middle": 10, "middle_up": 25}
    assert guides(draw(word("H", **h, left=60, bottom=200))) == 7
    f = {"width": 55, "height": 60, "thickness": "measured", "stroke": 20, "bar": 15, "middle": 10, "middle_up": 20}
    assert guides(draw(word("F", **f, left=60, bottom=200))) == 8


def guides(drawing: Drawing) -> int:
    return sum(line.role == "guide" for line in drawing.lines)


def test_a_word_is_told_letter_by_letter() -> None:
    titles = [step.title for step in draw(word("OAR", form="round")).steps if step.thing]
    assert [t.partition(" ")[0] for t in titles if ": the block" in t] == ["O", "A", "R"]
    rounds = [t for t in titles if "round the corners of the front" in t]
    assert [t[0] for t in rounds] == ["O", "R"], "an A has no round corner"
    twice = [step.title for step in draw(word("TOOT")).steps if ": the block" in step.title]
    assert [t.partition(" of")[0] for t in twice] == ["T", "O", "O 2", "T 2"]


@pytest.mark.parametrize(
    ("text", "code", "nearest"),
    [
        ("", "empty_word", "K"),
        ("   ", "empty_word", "K"),
        ("KNØ☂", "no_such_letter", "KNØ"),
        ("ŁÓDŹ", "no_such_letter", "LÓDŹ"),
        ("A" * 40, "too_many_letters", "A" * 24),
    ],
)
def test_a_word_that_cannot_be_drawn_is_refused_with_one_that_can(text: str, code: str, nearest: str) -> None:
    with pytest.raises(GeometryError) as refused:
        draw(word(text))
    assert (refused.value.code, refused.value.nearest) == (code, nearest)
    assert refused.value.about == "things.0.text"


def test_small_letters_and_a_sharp_s_are_drawn_as_capitals() -> None:
    assert read_word("  quay   straße ") == "QUAY STRASSE"


@pytest.mark.parametrize(("name", "value"), [("stroke", 30), ("bar", 30), ("middle_up", 3), ("middle", 40)])
def test_strokes_for_which_there_is_no_room_are_refused_where_they_are_typed(name: str, value: float) -> None:
    exercise = word("HE", thickness="measured", **{name: value})
    with pytest.raises(GeometryError) as refused:
        draw(exercise)
    assert (refused.value.code, refused.value.about) == ("no_room_for_strokes", f"things.0.{name}")
    cured = edit.type_at(exercise, f"things.0.{name}", refused.value.nearest)
    assert draw(cured).steps, "the nearest value works"


@pytest.mark.parametrize("name", ["stroke", "bar", "middle_up", "middle"])
def test_in_a_class_of_inches_the_nearest_stroke_that_has_room_is_said_in_inches(name: str) -> None:
    exercise = edit.set_at(word("HE", thickness="measured"), "sheet.units", "in")
    wrong = edit.type_at(exercise, f"things.0.{name}", "1/8 in" if name == "middle_up" else "1 1/2 in")
    with pytest.raises(GeometryError) as refused:
        draw(wrong)
    assert refused.value.about == f"things.0.{name}"
    assert refused.value.nearest.endswith(" in")
    assert "mm" not in str(refused.value)
    cured = edit.type_at(wrong, f"things.0.{name}", refused.value.nearest)
    assert draw(cured).steps, "the nearest value works"


def test_stretching_a_word_keeps_its_strokes_in_proportion() -> None:
    before = word("KNOT", thickness="measured", width=40, height=50, stroke=10, bar=10, middle=10, middle_up=20, gap=8)
    after = edit.drag(before, "things.0.size", 40 + 2 * (4 * 40 + 3 * 8), 30 + 100)
    assert after.things[0].held()["width"] == 80
    assert after.things[0].held()["stroke"] == 20
    assert after.things[0].held()["bar"] == 20


def test_every_accent_is_in_pieces_of_its_own() -> None:
    for accent in ACCENTS:
        letter = {"\u0327": "Ç", "\u030a": "Å", "\u030c": "Š", "\u0303": "Õ"}.get(accent, "O" + accent)
        assert len(pieces(outline_of(letter))) >= 2
