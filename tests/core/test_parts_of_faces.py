"""Parts of a divided face bear other things: both routes, on every part, in every kind of view."""

from typing import Any

import pytest
import shapely
from hypothesis import assume, given, settings
from hypothesis import strategies as st
from scenes import VIEWS, assert_same_point, exercises, faces_of, solved

from conftest import box, exercise_of
from orthopsis.core.document.document import Exercise
from orthopsis.core.editing.edit import type_at
from orthopsis.core.errors import UnreadableExercise
from orthopsis.core.exercise.add_thing import add_thing
from orthopsis.core.exercise.solve import draw
from orthopsis.core.things.division.cells import MOST_CELLS
from orthopsis.core.things.standing import Unheld

LOFT = {
    "kind": "box", "name": "Loft", "left": 200.0, "bottom": 60.0, "height": 90.0, "left_by": "measured",
    "left_length": 80.0, "right_by": "measured", "right_length": 110.0,
}  # fmt: skip
STOREYS = {
    "kind": "division", "name": "Storeys", "joined_to": "Loft", "joined_by": "face_right", "way": "diagonal",
    "along": "3", "up": "2",
}  # fmt: skip


def loft(part: str = "face_part_1_2", stays: str = "lines", **more: Any) -> Exercise:
    """A net loft, its right side divided in three bays and two storeys, with windows in a part of it."""
    windows = {"kind": "rectangles", "name": "Windows", "joined_to": "Storeys", "joined_by": part, **more}
    return exercise_of(LOFT, {**STOREYS, "stays": stays}, windows, views=[VIEWS["two_point"]])


@st.composite
def divided(draw: Any) -> Exercise:
    """A box anywhere with a divided face and something in a part of it."""
    exercise = draw(exercises(most=1))
    faces = sorted(faces_of(exercise))
    assume(faces)
    columns, rows = draw(st.integers(1, 4)), draw(st.integers(1, 4))
    assume(columns * rows > 1)
    division = {
        "kind": "division", "name": "Fields", "joined_to": "Box 1", "joined_by": f"face_{draw(st.sampled_from(faces))}",
        "way": draw(st.sampled_from(["diagonal", "page", "eye"])), "along": str(columns), "up": str(rows),
    }  # fmt: skip
    part = f"face_part_{draw(st.integers(1, columns))}_{draw(st.integers(1, rows))}"
    inside = {
        "kind": "rectangles", "name": "Windows", "joined_to": "Fields", "joined_by": part, "columns": "2",
        "relief": draw(st.sampled_from(["flat", "out", "in"])), "form": draw(st.sampled_from(["rectangle", "arch"])),
        "deep": draw(st.floats(1.0, 4.0)),
    }  # fmt: skip
    views = [view.model_dump(mode="json") for view in exercise.views]
    return exercise_of(exercise.things[0].model_dump(mode="json"), division, inside, views=views)


@settings(max_examples=150)
@given(divided())
def test_what_lies_in_a_part_is_where_the_eye_sees_it(exercise: Exercise) -> None:
    found = solved(exercise)
    assume(not isinstance(found.prepared.things[2].standing, Unheld))
    for name, place in found.built[2].page.items():
        assert_same_point(found.board.points[f"Windows.{name}"].xy, place, name)
    host = found.prepared.things[2].standing.panel
    # Source: shapely, another library: it lies within its part of the face.
    part = shapely.Polygon([p.xy for p in host.page]).buffer(1e-6)
    flat = [place for name, place in found.built[2].page.items() if ".front." not in name]
    assert all(part.covers(shapely.Point(place)) for place in flat)


def test_a_window_is_sunk_into_the_wall_behind_its_part() -> None:
    found = solved(loft(relief="in", deep=4, columns="1", wide="half", tall="half"))
    wall = next(face for face in found.seen[0].solid.faces if face.name == "right")
    assert len(wall.holes) == 1
    assert not found.seen[1].solid.faces, "the division itself is only lines"


def test_all_parts_are_offered_by_their_place_and_can_be_chosen() -> None:
    exercise = loft()
    sentence = draw(exercise).sentences[-1]
    (which,) = (piece for piece in sentence.pieces if piece.path == "things.2.joined_by")
    assert which.text == "the first part from the nearest edge, second row"
    assert len(which.options) == 6
    for option in which.options:
        moved = type_at(exercise, which.path, option.text)
        assert moved.things[2].joined_by == option.value
        assert draw(moved).steps


def test_storeys_are_counted_from_the_foot() -> None:
    exercise = type_at(loft("face_part_1_2"), "things.1.along", "1")
    words = "".join(piece.text for piece in draw(exercise).sentences[-1].pieces)
    assert "the second part from the foot of Storeys" in words


def test_a_part_that_is_gone_is_said_with_a_cure_that_works() -> None:
    exercise = type_at(loft("face_part_3_2"), "things.1.along", "2")
    drawing = draw(exercise)
    (advice,) = (a for a in drawing.advice if a.code == "face_unseen")
    edit = advice.cures[0].edits[0]
    assert not [a for a in draw(type_at(exercise, edit.path, str(edit.value))).advice if a.code == "face_unseen"]
    assert "not there" in "".join(piece.text for piece in drawing.sentences[-1].pieces)


def test_a_division_whose_lines_go_away_or_that_is_too_fine_offers_no_parts() -> None:
    assert isinstance(solved(loft(stays="light")).prepared.things[2].standing, Unheld)
    fine = type_at(type_at(loft(), "things.1.along", "13"), "things.1.up", "5")
    assert MOST_CELLS < 13 * 5
    assert isinstance(solved(fine).prepared.things[2].standing, Unheld)


def test_a_part_is_divided_again() -> None:
    panes = {"kind": "division", "name": "Panes", "joined_to": "Storeys", "joined_by": "face_part_2_1"}
    found = solved(exercise_of(LOFT, STOREYS, {**panes, "way": "halving"}, views=[VIEWS["two_point"]]))
    assert found.built[2].page
    for name, place in found.built[2].page.items():
        assert_same_point(found.board.points[f"Panes.{name}"].xy, place, name)


def test_new_windows_lie_on_a_whole_face_first() -> None:
    exercise = exercise_of(LOFT, STOREYS, views=[VIEWS["two_point"]])
    assert add_thing(exercise, "rectangles").things[-1].joined_to == exercise.things[0].id


def test_a_part_may_stand_in_a_box_that_is_drawn_in_one_point_too() -> None:
    crate = box("Loft", 40.0, 60.0, 110.0, 120.0, depth_by="measured", depth=80.0)
    windows = {"kind": "rectangles", "name": "Windows", "joined_to": "Storeys", "joined_by": "face_part_2_2"}
    found = solved(exercise_of(crate, STOREYS, windows))
    for name, place in found.built[2].page.items():
        assert_same_point(found.board.points[f"Windows.{name}"].xy, place, name)


@pytest.mark.parametrize("by", ["face_part_0_0x", "face_part_1", "face_window", "face_part_123_1", ""])
def test_what_is_no_part_is_refused(by: str) -> None:
    with pytest.raises(UnreadableExercise):
        loft(by)
