"""Outlines carried back: how many guide lines, which lines, and what cannot be cut."""

import math

import pytest
from any_edit import faults
from hypothesis import given, settings
from hypothesis import strategies as st
from scenes import VIEWS, assert_same_point, profiles

from conftest import exercise_of
from orthopsis.core.document.document import Exercise
from orthopsis.core.drawing.answer import HandlePlace
from orthopsis.core.drawing.solved import solve
from orthopsis.core.editing import edit
from orthopsis.core.errors import GeometryError
from orthopsis.core.exercise.solve import draw
from orthopsis.core.scene.prepared import prepare
from orthopsis.core.sight.order import painted
from orthopsis.core.telling.completeness import gaps
from orthopsis.core.telling.told import tell
from orthopsis.core.things.outline import format_outline, parse_outline, scaled, size
from orthopsis.core.things.profile.shapes import READY

BLOCK_H = "0 0, 1.5 0, 1.5 2.5, 4 2.5, 4 0, 5.5 0, 5.5 6, 4 6, 4 3.5, 1.5 3.5, 1.5 6, 0 6"
BLOCK_F = "0 0, 2 0, 2 2, 3 2, 3 3, 2 3, 2 4.5, 5.5 4.5, 5.5 6, 0 6"


def letter(outline: str, **more: object) -> Exercise:
    """Return a sheet with one letter above the eye level and left of the point."""
    thing = {"kind": "profile", "name": "Letter", "left": 70, "bottom": 200, "outline": parse_outline(outline, "cm")}
    return exercise_of({**thing, "depth_by": "measured", "depth": 20, **more})


def guides(exercise: Exercise) -> int:
    """Return how many guide lines the class is told to draw."""
    return sum(step.count for step in draw(exercise).steps if step.phase == "guides")


def test_the_block_h_has_seven_guide_lines_and_the_block_f_eight() -> None:
    # Figures of the two letters and their counts: common practice, no source.
    assert guides(letter(BLOCK_H, depth=35, depth_corner="2")) == 7
    assert guides(letter(BLOCK_F, depth=15)) == 8


def test_a_guide_line_stops_where_it_would_run_behind_the_front() -> None:
    board = solve(prepare(letter(BLOCK_H))).board
    inner = board.lines["Letter.guide.11"]
    assert inner.end.xy == pytest.approx((110.0, inner.end.y)), "it stops at the other leg's edge"
    assert board.lines["Letter.guide.6"].end == board.points["point"], "an outer corner's line goes on to the point"


def test_a_see_through_letter_has_a_line_from_every_corner() -> None:
    assert guides(letter(BLOCK_H, look="see_through")) == 12


def test_faces_are_painted_from_far_to_near() -> None:
    seen = solve(prepare(letter(BLOCK_H))).seen[0]
    names = [face.name for face in painted(seen)]
    assert names[-1] == "front" or "front" in names[1:], "the front covers the sides of the notches"
    assert names.index("front") > max(names.index(n) for n in names if n in ("side.2", "side.3", "side.10"))


def test_an_outline_is_typed_and_shown_as_it_was_typed() -> None:
    outline = parse_outline("0 0, 4 0, 4 6, 0 6 / 1 1, 1 2, 2 2, 2 1", "cm")
    assert outline[0] == ((0, 0), (40, 0), (40, 60), (0, 60))
    assert format_outline(outline, "cm") == "0 0, 4 0, 4 6, 0 6 / 1 1, 1 2, 2 2, 2 1"
    rounded = "0 0, 4 0 r1, 4 6 r1 2.5, 0 6 / 6 1, 7 1, 7 3"
    assert format_outline(parse_outline(rounded, "cm"), "cm") == rounded, "a loop outside is a second piece"
    turned = parse_outline("0 6, 4 6, 4 0, 0 0", "cm")
    assert format_outline(turned, "cm") == "0 0, 4 0, 4 6, 0 6", "outlines run anticlockwise"


@pytest.mark.parametrize(
    ("text", "code"),
    [
        ("0 0, 4 0", "too_few_corners"),
        ("0 0, 4 4, 4 0, 0 4", "outline_crosses_itself"),
        ("0 0, 4 0, 4 0, 4 4", "corner_twice"),
        ("0 0, 4 0, 2 0, 2 4", "outline_crosses_itself"),
        ("0 0, 4 0, 2 4 r1", "corner_not_square"),
        ("0 0 r3, 4 0 r3, 4 4, 0 4", "rounding_too_large"),
        ("0 0, 4 0, 4 4, 0 4 / 3 3, 3 6, 6 6", "outline_crosses_itself"),
        ("0 0, 4 x, 4 4", "unreadable_corner"),
        (", ".join(f"{i} {i * i}" for i in range(90)), "too_many_corners"),
        ("-1 0, 4 0, 4 4", "unreadable_corner"),
        ("", "unreadable_corner"),
    ],
)
def test_an_outline_that_cannot_be_cut_is_refused(text: str, code: str) -> None:
    with pytest.raises(GeometryError) as refused:
        parse_outline(text, "cm")
    assert refused.value.code == code


def test_the_depth_is_cut_only_on_a_line_that_is_there() -> None:
    with pytest.raises(GeometryError) as refused:
        draw(letter(BLOCK_H, depth_corner="12"))
    assert (refused.value.code, refused.value.about) == ("no_guide_line", "things.0.depth_corner")
    draw(letter(BLOCK_H, depth_corner=refused.value.nearest))


@settings(max_examples=30)
@given(profiles(), st.data())
def test_a_dragged_corner_of_a_shape_lies_under_the_hand(exercise: Exercise, data: st.DataObject) -> None:
    handles = [h for h in draw(exercise).handles if h.shape == "corner"]
    handle = data.draw(st.sampled_from(handles))
    across, up = data.draw(st.floats(3, 9)), data.draw(st.floats(-9, 9))
    hand = (handle.at[0] + across, handle.at[1] + up)
    moved = edit.drag(exercise, handle.id, *hand)
    try:
        drawn = draw(moved)
    except GeometryError as refused:
        assert refused.about.startswith("things.0")  # the outline would cross itself, or a corner meets the point
        return
    now = next(h for h in drawn.handles if h.id == handle.id)
    before, after = size(exercise.things[0].held()["outline"]), size(moved.things[0].held()["outline"])
    if before == after and min(moved_corner(moved, handle.id)) > 0:
        assert math.dist(now.at, hand) < one_mark(moved, handles), "the outline is kept on the ruler's marks"


def one_mark(exercise: Exercise, corners: list[HandlePlace]) -> float:
    """Return how far apart on the page marks can be: of the front, or on a side those of its nearest edge."""
    if exercise.views[0].kind == "one_point":
        return 1.0
    widest = max(math.dist(a.at, b.at) for a in corners for b in corners)
    return 1.0 + widest / float(exercise.things[0].held()["height"])


def moved_corner(exercise: Exercise, handle_id: str) -> tuple[float, float]:
    """Return where a corner of the first thing's outline is now."""
    corners = [corner for loop in exercise.things[0].held()["outline"] for corner in loop]
    return corners[int(handle_id.rpartition("_")[2]) - 1]


def test_a_curve_whose_ends_fall_between_marks_stays_a_quarter() -> None:
    # The same place reckoned from both sides of a corner differs by rounding; both must come to the same mark.
    outline = scaled(READY["round D"], 30, 30)
    shape = {"kind": "profile", "name": "Shape", "outline": outline, "left": 60, "bottom": 0.3, "height": 21}
    solved = solve(prepare(exercise_of(shape, views=[VIEWS["two_point"]])))
    for name, place in solved.seen[0].solid.picture(solved.seen[0].eye).items():
        assert_same_point(solved.board.points[f"Shape.{name}"].xy, place, name)


@pytest.mark.parametrize("outline", ["0 0, 8 0, 8 6, 0 6", "0 0 r3, 6 0 r3, 6 6 r3, 0 6 r3"])
@pytest.mark.parametrize("depth_by", ["half", "measured"])
def test_straight_before_the_point_the_front_hides_the_rest_and_no_depth_is_told(outline: str, depth_by: str) -> None:
    """Each light line would run across the front: none is drawn, and nothing is measured on one."""
    exercise = letter(outline, left=180.0, bottom=120.0, depth_by=depth_by)
    solved = solve(prepare(exercise))
    steps = draw(exercise).steps
    assert not list(gaps(tell(solved).breaths, solved.board))
    assert not {"guides", "depth", "back"} & {step.phase for step in steps if step.thing == "Letter"}
    seen = [line for line in draw(exercise).lines if line.visible and line.role == "edge"]
    assert {line.name.split(".")[0] for line in seen} == {"front"}


@pytest.mark.parametrize("depth_by", ["measured", "half"])
def test_where_only_a_curve_of_the_back_shows_the_depth_is_told_over_the_front(depth_by: str) -> None:
    """The point lies in the block of a round shape, but beside the shape: no guide line stays clear of the block."""
    circle = [[(0, 0, 42, 42), (84, 0, 42, 42), (84, 84, 42, 42), (0, 84, 42, 42)]]
    drum = {
        "kind": "profile", "name": "Drum", "left": 46, "bottom": 52, "outline": circle, "depth_by": depth_by,
        "depth": 40.0,
    }  # fmt: skip
    exercise = exercise_of(
        drum, views=[{"kind": "one_point", "name": "point", "x_mm": 124.0}], eye_level={"height_mm": 128.0}
    )
    assert list(faults(exercise)) == []
    (depth,) = (step for step in draw(exercise).steps if step.title.startswith("Drum: depth"))
    assert "over the front" in depth.text
    assert len(depth.draws) == 1
    assert [letter.text for letter in depth.letters] == ["a"]
    covered = exercise_of(
        drum, views=[{"kind": "one_point", "name": "point", "x_mm": 88.0}], eye_level={"height_mm": 94.0}
    )
    assert not [step for step in draw(covered).steps if step.title.startswith("Drum: depth")], "all of it is hidden"
