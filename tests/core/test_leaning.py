"""Strokes that lean are found by lines from corner to corner, and few light lines lead to any letter on a side."""

import pytest
from hypothesis import given
from hypothesis import strategies as st
from shapely import LineString, Point

from conftest import exercise_of
from orthopsis.core.construct.leaning import Leaning, OnLine, leaning
from orthopsis.core.construct.moves import Cross, Rule
from orthopsis.core.drawing.solved import solve
from orthopsis.core.scene.prepared import prepare
from orthopsis.core.telling.completeness import gaps
from orthopsis.core.telling.told import tell
from orthopsis.core.things.letters.alphabet import ALPHABET
from orthopsis.core.things.profile.side import SideProfile

NEAR_MM = 0.001
MOST_LIGHT_LINES = 6
"""To a letter, each way: common practice, no source."""
VIEWS = [
    {"kind": "two_point", "left_mm": -150, "right_mm": 560},
    {"kind": "three_point", "left_mm": -172, "right_mm": 486, "third_x_mm": 210, "third_y_mm": -420},
]
BLOCK = {
    "left": 250, "bottom": 60, "height": 116, "left_by": "measured", "left_length": 96, "right_by": "measured",
    "right_length": 30, "side": "left", "width": 60,
}  # fmt: skip


def on_side(text: str, view: int, **values: object) -> SideProfile:
    word = {"kind": "letters", "name": "Word", "text": text, **BLOCK, **values}
    high = {"height_mm": 230} if view else {"height_mm": 150}
    standing = prepare(exercise_of(word, views=[VIEWS[view]], eye_level=high)).things[0].standing
    assert isinstance(standing, SideProfile)
    return standing


def inner(places: list[float]) -> int:
    """Return how many light lines lead to places: none at the block's own edges."""
    return len({round(place, 6) for place in places if 1e-6 < place < 1 - 1e-6})


@pytest.mark.parametrize("form", ["block", "round"])
@pytest.mark.parametrize("thickness", ["quarter", "third"])
@pytest.mark.parametrize("character", list(ALPHABET))
def test_few_light_lines_lead_to_a_letter_on_a_side(character: str, thickness: str, form: str) -> None:
    letter = on_side(character, 0, thickness=thickness, form=form)
    along, up = zip(*letter.shares.places, strict=True)
    assert inner(list(up)) <= MOST_LIGHT_LINES
    assert inner(list(along)) <= MOST_LIGHT_LINES


@pytest.mark.parametrize("view", [0, 1])
@pytest.mark.parametrize("text", ["A", "KNOT", "MAW", "VAX", "QZ"])
def test_the_inner_edges_of_strokes_that_lean_lie_on_lines_that_are_drawn(text: str, view: int) -> None:
    """Checked with shapely on the page: the light line is drawn before the corners that lie on it are marked."""
    letter = on_side(text, view, width=44, gap=8)
    moves, leans = letter.recipe, letter.shares.leaning
    drawn = [move.act.makes for move in moves]
    names = [letter.values.full(f"construction.leaning.{i}") for i in range(len(leans.lines))]
    assert leans.found, "such letters have strokes that lean"
    for number, on in leans.found.items():
        start, end = (letter.outline.page[c].xy for c in leans.lines[on.line])
        at = letter.outline.page[number].xy
        assert LineString([start, end]).distance(Point(at)) < NEAR_MM
        mark = next(m.act for m in moves if m.act.makes == letter.values.full(f"front.{number}"))
        assert isinstance(mark, Cross)
        assert names[on.line] in (mark.first, mark.second)
        assert drawn.index(names[on.line]) < drawn.index(mark.makes)
    assert [name for name in drawn if name in names] == names
    assert len(drawn) == len(set(drawn)), "no point is marked twice"


@pytest.mark.parametrize("view", [0, 1])
@pytest.mark.parametrize("text", ["A", "KNOT", "MAW", "VAX", "QZ"])
def test_what_is_told_of_leaning_strokes_leaves_no_gap(text: str, view: int) -> None:
    word = {"kind": "letters", "name": "Word", "text": text, **BLOCK, "width": 44, "gap": 8}
    high = {"height_mm": 230} if view else {"height_mm": 150}
    found = solve(prepare(exercise_of(word, views=[VIEWS[view]], eye_level=high)))
    assert not list(gaps(tell(found).breaths, found.board))


def test_the_tip_of_the_hole_of_an_a_is_where_its_two_lines_cross() -> None:
    letter = on_side("A", 0)
    tips = [number for number, on in letter.shares.leaning.found.items() if on.by == 1]
    assert len(tips) == 1
    rules = [m.act for m in letter.recipe if isinstance(m.act, Rule) and m.breath == "front.leaning"]
    assert len(rules) == 2


SQUARE = {1: (0.0, 0.0), 2: (1.0, 0.0), 3: (1.0, 1.0), 4: (0.0, 1.0)}
RING = [(1, 2), (2, 3), (3, 4), (4, 1)]


def test_what_stands_square_has_no_lines_that_lean() -> None:
    assert leaning(SQUARE, RING, [[1, 2, 3, 4]]) == Leaning()


def test_a_line_with_two_corners_leads_to_nothing() -> None:
    corners = {**SQUARE, 3: (0.7, 1.0)}
    assert leaning(corners, RING, [[1, 2, 3, 4]]) == Leaning()


def test_a_corner_on_a_line_is_found_by_a_light_line_that_is_needed_anyway() -> None:
    """A notch whose edge runs to the far corner; its depth is that of another corner."""
    corners = {1: (0.0, 0.0), 2: (1.0, 0.0), 3: (1.0, 0.4), 4: (0.4, 0.4), 5: (0.2, 0.2), 6: (0.0, 1.0), 7: (1.0, 1.0)}
    edges = [(1, 2), (2, 3), (3, 4), (4, 5), (5, 6), (6, 1)]
    found = leaning(corners, edges, [list(corners)])
    assert found.lines == ((1, 7),)
    assert found.found == {4: OnLine(0, "row"), 5: OnLine(0, "row")}


def test_rounded_corners_are_neither_ends_nor_found() -> None:
    corners = {1: (0.0, 0.0), 2: (0.5, 0.5), 3: (1.0, 1.0), 4: (0.0, 1.0)}
    edges = [(1, 2), (2, 3), (3, 4), (4, 1)]
    assert leaning(corners, edges, [[1, 2, 3, 4]]).lines == ((1, 3),)
    for kept in (1, 2, 3):
        assert leaning(corners, edges, [[1, 2, 3, 4]], [kept]) == Leaning()


@given(
    st.sampled_from([60, 80, 100]), st.floats(15, 25), st.floats(0.02, 0.25), st.floats(0.15, 0.4),
    st.floats(0.55, 0.85), st.sampled_from([60.0, 90.0, 120.0]), st.sampled_from([50.0, 80.0, 110.0]),
)  # fmt: skip
def test_corners_on_a_flat_line_of_a_shape_stay_where_they_were_drawn(
    width: float, up: float, slope: float, first: float, second: float, tall: float, long: float
) -> None:
    """A teeth-like notch in an edge that all but lies: rounding to the ruler's marks moves no corner by two of them."""
    x1, x2 = first * width, second * width
    outline = [
        (0, 0), (width, 0), (width, up + slope * width), (x2, up + slope * x2), ((x1 + x2) / 2, up + slope * x1 - 8),
        (x1, up + slope * x1), (0, up),
    ]  # fmt: skip
    shape = {"kind": "profile", "name": "Shape", "outline": [[list(corner) for corner in outline]], **BLOCK,
             "height": tall, "left_length": long}  # fmt: skip
    del shape["width"]
    standing = prepare(exercise_of(shape, views=[VIEWS[0]])).things[0].standing
    assert isinstance(standing, SideProfile)
    assert standing.shares.leaning.found
    wide, high = standing.shaped.face("outline")
    mark = max(1 / tall, 1 / long)
    for number, (x, y) in standing.shares.corners.items():
        across, above = outline[number - 1]
        assert abs(x - across / wide) < 2 * mark
        assert abs(y - above / high) < 2 * mark


def test_two_lines_that_hardly_differ_do_not_find_a_corner() -> None:
    """It is found by a light line then."""
    corners = {1: (0.0, 0.0), 2: (0.5, 0.5), 3: (1.0, 1.0), 4: (0.0, 0.05), 5: (1.0, 0.95), 6: (0.0, 1.0)}
    edges = [(1, 2), (2, 3), (4, 2), (2, 5), (5, 6), (6, 1)]
    found = leaning(corners, edges, [list(corners)])
    assert found.lines == ((1, 3), (4, 5))
    assert found.found == {2: OnLine(0, "row")}


@given(
    st.floats(0.1, 0.9), st.floats(0.2, 0.8), st.floats(0.2, 0.8),
    st.sampled_from(["row", "column"]),
)  # fmt: skip
def test_corners_stay_on_their_line_when_its_ends_move(share: float, left: float, right: float, by: str) -> None:
    """What is read of the corner itself, where its light line lies, stays; the rest follows from the line."""
    way = OnLine(0, "row" if by == "row" else "column")
    lines = Leaning(((1, 2),), {3: way})
    ends = {1: (0.0, left), 2: (1.0, right + 1)} if by == "column" else {1: (left, 0.0), 2: (right + 1, 1.0)}
    given_place = (share, 0.5) if by == "column" else (0.5, share)
    placed = lines.places({**ends, 3: given_place})
    assert LineString([ends[1], ends[2]]).distance(Point(placed[3])) < 1e-9
    axis = 0 if by == "column" else 1
    assert placed[3][axis] == pytest.approx(share)
    assert lines.light_lines(3, placed)[0][axis] == pytest.approx(share)
    assert lines.light_lines(3, placed)[0][1 - axis] == ends[1][1 - axis]
