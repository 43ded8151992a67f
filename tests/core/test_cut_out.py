"""A letter is cut out of its block piece by piece: every edge once, every piece by a name of its own."""

import re
from itertools import pairwise

import pytest
from hypothesis import given
from scenes import profiles, solved
from shapely import MultiPolygon, Polygon, box

from conftest import exercise_of
from orthopsis.core.construct.cut_out import MOST_LINES, cut_part
from orthopsis.core.construct.moves import Rule
from orthopsis.core.document.document import Exercise
from orthopsis.core.drawing.answer import Drawing
from orthopsis.core.exercise.solve import draw
from orthopsis.core.scene.prepared import prepare
from orthopsis.core.things.letters.alphabet import ALPHABET
from orthopsis.core.things.profile.front import FrontProfile
from orthopsis.core.wording.pieces import CutPiece, piece_words

WORD = {"kind": "letters", "name": "Word", "left": 40, "bottom": 30, "width": 60, "height": 84}
ONE_PIECE = [character for character in ALPHABET if character not in "!?="]


def front_of(text: str, **values: object) -> FrontProfile:
    exercise = exercise_of({**WORD, "text": text, **values}, views=[{"kind": "one_point", "x_mm": 300}])
    standing = prepare(exercise).things[0].standing
    assert isinstance(standing, FrontProfile)
    return standing


@pytest.mark.parametrize("character", ONE_PIECE)
def test_what_is_cut_away_is_all_of_the_block_that_is_not_the_letter(character: str) -> None:
    """Checked with shapely: the block without the letter falls into as many pieces as are cut out."""
    outline = front_of(character).outline
    cut = cut_part(outline, outline.corners)
    outer, *holes = ([outline.page[c].xy for c in loop] for loop in outline.loops)
    letter = Polygon(outer, holes)
    gone = box(*letter.bounds).difference(letter)
    pieces = [part for part in (gone.geoms if isinstance(gone, MultiPolygon) else [gone]) if part.area > 1e-3]
    told = [out.piece for out in cut.cuts if out.piece.leg < 2]
    assert len(told) == len(pieces)
    assert sum(piece.kind == "hole" for piece in told) == len(holes)


@pytest.mark.parametrize("character", list(ALPHABET))
def test_each_edge_is_drawn_once_and_in_few_lines_a_step(character: str) -> None:
    outline = front_of(character).outline
    cut = cut_part(outline, outline.corners)
    edges = [*cut.whole, *(edge for out in cut.cuts for edge in out.edges)]
    edges += [(a, b) for a, b in outline.edges if any(a in rest for rest in cut.rest)]
    assert sorted(edges) == sorted(outline.edges)
    assert all(len(out.corners) <= MOST_LINES + 1 for out in cut.cuts)


@pytest.mark.parametrize("character", list(ALPHABET))
def test_no_two_pieces_of_a_letter_are_called_alike(character: str) -> None:
    outline = front_of(character).outline
    words = [piece_words(out.piece) for out in cut_part(outline, outline.corners).cuts]
    assert len(set(words)) == len(words)


@pytest.mark.parametrize(
    ("character", "words"),
    [
        ("H", ["the gap at the bottom", "the gap at the top"]),
        ("L", ["the corner at the upper right"]),
        ("B", ["the gap at the right", "the lower hole", "the upper hole"]),
        ("E", ["the first part of the gap at the right", "the second part of the gap at the right"]),
        ("T", ["the corner at the lower right", "the corner at the lower left"]),
        ("A", ["the gap at the bottom", "the corner at the upper right", "the corner at the upper left", "the hole"]),
        ("W", ["the gap at the bottom", "the left gap at the top", "the right gap at the top"]),
    ],
)
def test_pieces_are_called_by_where_they_are(character: str, words: list[str]) -> None:
    outline = front_of(character).outline
    told = [piece_words(out.piece) for out in cut_part(outline, outline.corners).cuts]
    assert set(words) <= set(told), told


def test_many_gaps_in_one_side_are_counted() -> None:
    assert piece_words(CutPiece("gap", ("top",), "across", 4, 6)) == "the fifth gap at the top, from the left"
    assert piece_words(CutPiece("hole", (), "up", 11, 12)) == "the next hole, from below"


@given(profiles(views=("one_point",)))
def test_a_shape_begins_with_its_block(exercise: Exercise) -> None:
    """The block is four straight lines around all corners, and every cut begins and ends at corners of the outline."""
    found = solved(exercise)
    board, moves = found.board, found.moves
    block = [m.act for m in moves if m.breath == "front.block" and isinstance(m.act, Rule)]
    assert len(block) == 4
    around = [board.points[act.start].xy for act in block]
    assert [board.points[act.end].xy for act in block] == [*around[1:], around[0]]
    (left, low), (right, high) = around[0], around[2]
    for move in moves:
        if move.breath in ("front.cut", "front.rest") and isinstance(move.act, Rule):
            for x, y in (board.points[move.act.start].xy, board.points[move.act.end].xy):
                assert left - 1e-6 <= x <= right + 1e-6
                assert low - 1e-6 <= y <= high + 1e-6


def steps_of(text: str, level: str) -> Drawing:
    exercise = exercise_of({**WORD, "text": text}, views=[{"kind": "one_point", "x_mm": 300}])
    return draw(exercise.model_copy(update={"wording": exercise.wording.model_copy(update={"level": level})}))


def test_the_oldest_have_all_cuts_in_one_step_and_the_others_one_by_one() -> None:
    fronts = {
        level: [step for step in steps_of("H", level).steps if step.phase == "front"]
        for level in ("youngest", "middle", "oldest")
    }
    assert [len(steps) for steps in fronts.values()] == [3, 3, 2]
    assert fronts["oldest"][1].count == sum(step.count for step in fronts["middle"][1:])


def test_a_step_joins_its_letters_and_nothing_else() -> None:
    """As many lines as ways between the lettered points, one after the other."""
    for step in steps_of("KNE", "middle").steps:
        found = re.search(r"([a-z]) to ([a-z]) on the picture\. Join them: (\d+) lines", step.text)
        if found is None:
            continue
        letters = [letter.text for letter in step.letters]
        assert letters == [chr(n) for n in range(ord(found[1]), ord(found[2]) + 1)]
        assert len(list(pairwise(letters))) == int(found[3]) == step.count


@pytest.mark.parametrize("text", ["'", "-", "I'", "=!", "Ä-L", "O'K"])
@pytest.mark.parametrize("side", ["left", "right", "level"])
def test_letters_that_do_not_fill_their_block_are_cut_from_it_too(text: str, side: str) -> None:
    """On a side the corners of such a letter are none of the block's."""
    block = {"left": 200, "bottom": 30, "height": 90, "left_by": "measured", "right_by": "measured"}
    word = {"kind": "letters", "name": "Word", "text": text, "side": side, "left_length": 90, "right_length": 60}
    view = {"kind": "two_point", "left_mm": -90, "right_mm": 480}
    drawing = draw(exercise_of({**word, **block}, views=[view]))
    drawn = {number for step in drawing.steps for number in (*step.draws, *step.leaves)}
    assert {line.id for line in drawing.lines if line.role == "edge" and line.visible} <= drawn


def test_a_comb_with_more_corners_than_there_are_letters_is_told_to_the_oldest_too() -> None:
    """All its gaps are one step then; corners past Z are called by two letters, and none by the same."""
    teeth = [
        place for i in range(19) for place in ((76.0 - 4 * i, 40.0), (74.0 - 4 * i, 40.0), (74.0 - 4 * i, 20.0),
                                               (72.0 - 4 * i, 20.0))
    ]  # fmt: skip
    comb = {"kind": "profile", "name": "Comb", "left": 40, "bottom": 20, "outline": [[(0, 0), (76, 0), *teeth[:-1]]]}
    exercise = exercise_of(comb, views=[{"kind": "one_point", "x_mm": 300}])
    oldest = exercise.wording.model_copy(update={"level": "oldest"})
    step = next(s for s in draw(exercise.model_copy(update={"wording": oldest})).steps if "its gaps" in s.title)
    names = [letter.text for letter in step.letters]
    assert len(names) == len(set(names)) > 52
    assert f"{names[0]} to {names[-1]}, in mm on the picture" in step.text
