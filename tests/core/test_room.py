"""Rooms that one looks into: both routes, what is seen from inside, things on floor and walls, bad input."""

from typing import Any

import numpy as np
import pytest
from found_right import assert_found_right
from hypothesis import given, settings
from scenes import VIEWS, assert_same_point, rooms, solved

from conftest import box, exercise_of
from orthopsis.core.document.document import Exercise
from orthopsis.core.drawing.picture import picture
from orthopsis.core.editing.edit import drag, set_at
from orthopsis.core.errors import GeometryError
from orthopsis.core.exercise.add_thing import add_thing
from orthopsis.core.exercise.solve import draw
from orthopsis.core.plane.homogeneous import Point
from orthopsis.core.plane.polygon import signed_area

FACES = ("floor", "ceiling", "left_wall", "right_wall", "back_wall")


def room(*more: dict[str, Any], **values: Any) -> Exercise:
    """The harbour master's room."""
    frame = {"kind": "room", "name": "Room", "left": 20.0, "bottom": 20.0, "width": 380.0, "height": 250.0,
             "depth_by": "measured", "depth": 120.0}  # fmt: skip
    return exercise_of({**frame, **values}, *more, views=[VIEWS["one_point"]])


def on(face: str, name: str, kind: str = "rectangles", **more: Any) -> dict[str, Any]:
    alone = {"columns": "1", "wide": "whole", "tall": "whole"} if kind == "rectangles" else {}
    return {"kind": kind, "name": name, "joined_to": "Room", "joined_by": f"face_{face}", **alone, **more}


CHEST = on("floor", "Chest", "raised_block", along="3:4:5", up="1:2:5", rise=40.0)


@settings(max_examples=300)
@given(rooms())
def test_every_point_is_where_the_eye_sees_it(exercise: Exercise) -> None:
    found = solved(exercise)
    for thing in found.prepared.things:
        seen = found.seen[thing.index]
        for name, place in seen.solid.picture(seen.eye).items():
            made = found.board.points.get(thing.values.full(name))
            if made is not None:
                assert_same_point(made.xy, place, name)
    names = {f"Room.{side}.{corner}" for side in ("front", "back") for corner in
             ("bottom_left", "bottom_right", "top_right", "top_left")}  # fmt: skip
    assert names <= found.board.points.keys()


@settings(max_examples=100)
@given(rooms(more=0))
def test_all_its_faces_are_seen_from_inside_and_all_its_edges_are_drawn(exercise: Exercise) -> None:
    found = solved(exercise)
    solid, eye = found.seen[0].solid, found.seen[0].eye
    page = solid.picture(eye)
    assert {face.turned for face in solid.faces} == {"top", "bottom", "left", "right", "front"}
    for face in solid.faces:
        assert signed_area([Point(*page[corner]) for corner in face.corners]) > 0, face.name
    seen = {line.name for line in found.edges[0] if line.visible}
    assert seen == {edge.name for edge in solid.edges}


@pytest.mark.parametrize("face", FACES)
def test_the_way_out_of_each_face_leads_into_the_room(face: str) -> None:
    """By vectors alone: from the middle of the face a step along its way out comes nearer to the room's middle."""
    standing = solved(room()).prepared.things[0].standing
    panel, middle = standing.faces[face], standing.solid.places.mean(axis=0)
    at = panel.places([(0.5, 0.5)])[0]
    step = np.array(panel.outward) * float(np.linalg.norm(middle - at)) / 10
    assert np.linalg.norm(at + step - middle) < np.linalg.norm(at - middle)
    along, up = (np.array(axis) for axis in panel.axes)
    assert abs(float(step @ along)) < 1e-6 * float(np.linalg.norm(step) * np.linalg.norm(along))
    assert abs(float(step @ up)) < 1e-6 * float(np.linalg.norm(step) * np.linalg.norm(up))


@pytest.mark.parametrize("face", FACES)
@pytest.mark.parametrize("relief", ["flat", "in", "out", "open"])
def test_windows_niches_and_boards_on_each_face_are_told_drawn_and_found_right(face: str, relief: str) -> None:
    drawing = assert_found_right(room(on(face, "Window", along="2:3:2", up="3:3:1", relief=relief, deep=8.0)))
    assert [line for line in drawing.lines if line.thing == "Window" and line.visible and line.role != "guide"]


def level_seen(exercise: Exercise, low: float, high: float) -> float:
    """How much of the eye level is seen between two places across the sheet, mm."""
    pieces = [line for line in draw(exercise).lines if line.name == "eye level" and line.role == "detail"]
    return sum(max(min(high, max(p.start[0], p.end[0])) - max(low, min(p.start[0], p.end[0])), 0.0) for p in pieces)


def test_one_sees_out_through_an_open_door_and_not_into_a_niche() -> None:
    doors = {
        relief: room(on("back_wall", "Door", along="1:2:1", up="0:4:1", relief=relief, deep=8.0))
        for relief in ("open", "in")
    }
    page = solved(doors["open"]).prepared.things[1].standing.page[0]
    left, right = sorted((page[0].x, page[1].x))
    assert level_seen(doors["open"], left, right) > 0.6 * (right - left), "the wall's thickness hides the rest"
    assert level_seen(doors["in"], left, right) == 0.0


def test_the_floor_ends_at_the_outer_side_of_an_open_door() -> None:
    edges = {
        line.name: line
        for line in draw(room(on("back_wall", "Door", along="1:2:1", up="0:4:1", relief="open", deep=8.0))).lines
        if line.thing == "Door" and line.visible and line.role == "edge"
    }
    assert "Number 1.front.low" in edges, "where the floor ends"
    assert "Number 1.low" not in edges, "nothing parts the floor from the door's own"


def test_only_in_a_room_does_one_see_out_and_that_is_said() -> None:
    crate = exercise_of(
        box("Crate", 60.0, 40.0, 90.0, 70.0, depth_by="measured", depth=60.0),
        {"kind": "rectangles", "name": "Window", "joined_to": "Crate", "joined_by": "face_front", "relief": "open"},
    )
    with pytest.raises(GeometryError, match="no wall of a room") as refused:
        draw(crate)
    assert (refused.value.about, refused.value.nearest) == ("things.1.relief", "in")
    assert draw(set_at(crate, "things.1.relief", "in")).lines


def test_furniture_stands_on_the_floor_and_hides_what_is_behind_it() -> None:
    worktop = on("floor", "Worktop", "raised_block", along="8:4:0", up="1:10:2", rise=60.0)
    door = on("back_wall", "Door", along="5:2:1", up="0:3:1")
    drawing = assert_found_right(room(worktop, CHEST, door))
    hidden = {line.thing for line in drawing.lines if not line.visible and line.role in ("edge", "detail")}
    assert "Door" in hidden, "the worktop stands before its foot"
    assert "Worktop" in hidden, "the chest stands before it"
    whole = [line for line in drawing.lines if line.thing == "Chest" and line.name == "top.near"]
    assert all(line.visible for line in whole)


def test_it_is_dragged_by_its_back_wall() -> None:
    exercise = room(CHEST)
    before = draw(exercise)
    handles = {handle.id: handle for handle in before.handles}
    assert handles["things.0.depth"].says == "Change how far back the wall is: Room"
    x, y = handles["things.0.depth"].at
    goal = solved(exercise).prepared.frames[0].way("away").goal
    nearer: Any = drag(exercise, "things.0.depth", x + (x - goal.x) * 0.3, y + (y - goal.y) * 0.3)
    assert nearer.things[0].depth < 120.0
    assert draw(nearer).lines


@pytest.mark.parametrize(
    ("values", "about"),
    [({"left": 230.0, "width": 150.0}, "left"), ({"bottom": 170.0, "height": 100.0}, "bottom")],
)
def test_a_point_outside_the_frame_is_refused_with_a_place_that_works(values: dict[str, float], about: str) -> None:
    with pytest.raises(GeometryError) as refused:
        draw(room(**values))
    assert (refused.value.code, refused.value.about) == ("point_outside_frame", f"things.0.{about}")
    nearest = float((refused.value.nearest or "").split()[0])
    assert draw(room(**{**values, about: nearest})).lines


def test_furniture_through_a_wall_or_another_piece_is_said() -> None:
    other = on("floor", "Table", "raised_block", along="5:4:3", up="2:2:4", rise=30.0)
    exercise = room(CHEST, other)
    (said,) = (advice for advice in draw(exercise).advice if advice.code == "plans_cross")
    assert said.text == "“Table” stands in “Chest”."
    for edit in said.cures[0].edits:
        exercise = set_at(exercise, edit.path, edit.value)
    assert "plans_cross" not in {advice.code for advice in draw(exercise).advice}
    before, after = (solved(one).prepared.things[2].standing.plan_shares for one in (room(CHEST, other), exercise))
    assert before is not None
    assert after is not None
    for old, new in zip(before, after, strict=True):
        assert new[1] - new[0] == pytest.approx(old[1] - old[0], abs=1 / 24), "as large as it was"
    apart = on("floor", "Table", "raised_block", along="5:4:3", up="5:2:1", rise=30.0)
    assert "plans_cross" not in {advice.code for advice in draw(room(CHEST, apart)).advice}


def test_where_there_is_no_room_no_place_is_offered() -> None:
    whole = on("floor", "Stage", "raised_block", along="0:1:0", up="0:1:0", rise=20.0)
    (said,) = (advice for advice in draw(room(whole, CHEST)).advice if advice.code == "plans_cross")
    assert said.cures == []


def test_no_roof_stands_on_a_floor_and_no_house_by_a_room() -> None:
    for kind in ("hip_roof", "eaves", "gable_roof"):
        with pytest.raises(GeometryError):
            add_thing(room(), kind)
    assert solved(room()).prepared.things[0].standing.joints == {}


def test_a_new_room_frames_the_sheet_and_what_is_added_lands_on_its_floor() -> None:
    exercise = add_thing(exercise_of(views=[VIEWS["one_point"]]), "room")
    exercise = add_thing(exercise, "raised_block")
    assert exercise.things[1].joined_by == "face_floor"
    assert [line for line in draw(exercise).lines if line.thing == exercise.things[1].name and line.visible]
    with pytest.raises(GeometryError, match="cannot be drawn in this kind of view"):
        add_thing(exercise_of(views=[VIEWS["from_above"]]), "room")


def test_each_direction_inside_has_its_tone() -> None:
    faces = {face.turned: face.tone for face in picture(solved(room())).faces}
    assert set(faces) == {"top", "bottom", "left", "right", "front"}
    assert faces["left"] != faces["right"], "the light comes from one side"


def test_the_frame_follows_its_sentence() -> None:
    texts = " ".join(piece.text for piece in draw(room()).sentences[-1].pieces)
    assert "Its frame is" in texts
    half = draw(set_at(room(), "things.0.depth_by", "half"))
    assert any("half way" in step.text for step in half.steps)
