"""Rooms about their back corner: both routes, faces seen from inside, what stands in them, bad input."""

from typing import Any

import cv2
import numpy as np
import pytest
from found_right import assert_found_right
from hypothesis import HealthCheck, given, settings
from scenes import VIEWS, assert_same_point, corner_rooms, solved

from conftest import exercise_of
from orthopsis.core.document.document import Exercise
from orthopsis.core.editing.edit import drag
from orthopsis.core.errors import GeometryError
from orthopsis.core.exercise.add_thing import add_thing
from orthopsis.core.exercise.solve import draw

ROOM = {"kind": "room", "name": "Room", "left": 210.0, "bottom": 100.0, "height": 90.0, "left_length": 100.0,
        "right_length": 90.0}  # fmt: skip


def room(*more: dict[str, Any], view: dict[str, Any] = VIEWS["two_point"], **values: Any) -> Exercise:
    """A room about its back corner, and what is in it."""
    return exercise_of({**ROOM, **values}, *more, views=[view])


def on(face: str, kind: str, name: str = "Thing", **values: Any) -> dict[str, Any]:
    """A thing on a face of the room."""
    place = {"along": "1:2:1", "up": "1:2:1", "joined_to": "Room", "joined_by": f"face_{face}"}
    return {"kind": kind, "name": name, **place, **values}


@settings(max_examples=200, suppress_health_check=[HealthCheck.filter_too_much, HealthCheck.too_slow])
@given(corner_rooms())
def test_every_point_is_where_the_eye_sees_it(exercise: Exercise) -> None:
    found = solved(exercise)
    picture = found.seen[0].solid.picture(found.seen[0].eye)
    corners = {name: at for name, at in picture.items() if ".hole." not in name}
    assert len(corners) in (7, 8)
    for name, at in corners.items():
        assert_same_point(found.board.points[f"Room.{name}"].xy, at, name)
    for thing, seen in list(zip(exercise.things, found.seen, strict=True))[1:]:
        for name, at in seen.solid.picture(seen.eye).items():
            made = found.board.points.get(f"{thing.name}.{name}")
            if made is not None:
                assert_same_point(made.xy, at, name)


@pytest.mark.parametrize("turn_deg", [30.0, 45.0, 58.0])
def test_a_true_room_before_a_camera_has_these_corners(turn_deg: float) -> None:
    """OpenCV's projectPoints: a right-angled room of the test's own, its back corner in the picture plane.

    The points are where the camera sees its directions vanish: at the tangent of their angle, in viewing distances.
    """
    far, level, at_x = 320.0, 150.0, 200.0
    turn, tall, long = np.radians(turn_deg), 95.0, {"left": 120.0, "right": 105.0}
    ahead = {"left": np.array([np.cos(turn), 0, np.sin(turn)]), "right": np.array([-np.sin(turn), 0, np.cos(turn)])}
    corner = np.array([18.0, -60.0, far])
    ends = {"back": corner, **{side: corner - long[side] * ahead[side] for side in long}}
    ends["near"] = ends["left"] + ends["right"] - corner
    places = np.array([at + rise for at in ends.values() for rise in ([0, 0, 0], [0, tall, 0])])
    matrix = np.array([[far, 0, at_x], [0, far, -level], [0, 0, 1]])
    seen, _ = cv2.projectPoints(places * [1, -1, 1], np.zeros(3), np.zeros(3), matrix, None)
    page = dict(zip([(c, e) for c in ends for e in ("bottom", "top")], (seen[:, 0] * [1, -1]).tolist(), strict=True))
    goals = {side: at_x + far * way[0] / way[2] for side, way in ahead.items()}
    view = {"kind": "two_point", "left_mm": goals["right"], "right_mm": goals["left"], "centre_mm": at_x}
    back = page["back", "bottom"]
    values = {"left": back[0], "bottom": back[1], "height": tall, "ceiling": "drawn"}
    values |= {f"{side}_length": abs(page[side, "bottom"][0] - back[0]) for side in long}
    found = solved(room(view=view, **values))
    for (name, end), at in page.items():
        assert_same_point(found.board.points[f"Room.{name}.{end}"].xy, tuple(at), f"{name} {end}")


@pytest.mark.parametrize("ceiling", ["none", "drawn"])
def test_a_finished_room_is_found_right_and_told_from_its_back_corner_on(ceiling: str) -> None:
    chest = on("floor", "raised_block", "Chest", rise=20.0)
    drawing = assert_found_right(room(chest, ceiling=ceiling))
    titles = [step.title for step in drawing.steps if step.thing == "Room"]
    expected = [
        "the back corner, 90 mm tall",
        "the left wall, 100 mm",
        "the right wall, 90 mm",
        "the front of the floor",
    ]
    expected += ["the front of the ceiling"] if ceiling == "drawn" else []
    assert titles == [f"Room: {title}" for title in expected]
    faces = {face.name: face.turned for face in drawing.faces if face.thing == "Room"}
    assert faces["left_wall"].endswith("right")
    assert faces["right_wall"].endswith("left")
    assert ("ceiling" in faces) == (ceiling == "drawn")
    hidden = [line for line in drawing.lines if line.thing == "Room" and line.role == "edge" and not line.visible]
    assert hidden, "the chest hides a part of the room"


@pytest.mark.parametrize("face", ["floor", "left_wall", "right_wall", "ceiling"])
@pytest.mark.parametrize("relief", ["flat", "in", "out", "open"])
def test_windows_niches_and_shelves_lie_on_all_inner_faces(face: str, relief: str) -> None:
    window = on(face, "rectangles", "Window", columns="1", wide="whole", tall="whole", relief=relief, deep=5.0)
    assert_found_right(room(window, ceiling="drawn"))


def test_a_box_on_the_floor_stands_parallel_to_the_walls() -> None:
    """In truth, by vectors alone."""
    found = solved(room(on("floor", "raised_block", "Chest", rise=20.0)))
    inner, chest = (dict(zip(s.solid.names, s.solid.places, strict=True)) for s in found.seen)
    for side, (one, two) in {"left": ("foot.0", "foot.1"), "right": ("foot.0", "foot.3")}.items():
        wall, foot = inner[f"{side}.bottom"] - inner["back.bottom"], chest[two] - chest[one]
        assert np.linalg.norm(np.cross(wall, foot)) < 1e-6 * np.linalg.norm(wall) * np.linalg.norm(foot)
    assert chest["foot.0"][1] == pytest.approx(inner["back.bottom"][1])


@pytest.mark.parametrize(
    ("values", "code", "about"),
    [({"left": 900.0}, "edge_passes_point", "left"), ({"left_length": 1500.0}, "wall_too_long", "left_length"),
     ({"right_length": 1500.0}, "wall_too_long", "right_length"),
     ({"right_length": 0.0}, "length_out_of_limits", "right_length")],
)  # fmt: skip
def test_what_cannot_be_drawn_is_refused_with_what_works(values: dict[str, Any], code: str, about: str) -> None:
    with pytest.raises(GeometryError) as refused:
        draw(room(**values))
    assert (refused.value.code, refused.value.about) == (code, f"things.0.{about}")
    assert draw(room(**{**values, about: float((refused.value.nearest or "").split()[0])})).lines


@pytest.mark.parametrize(
    ("handle", "by", "name", "change"),
    [("size", (0.0, 12.0), "height", 12.0), ("left_end", (-9.0, 0.0), "left_length", 9.0),
     ("right_end", (7.0, 0.0), "right_length", 7.0), ("place", (6.0, 0.0), "left", 6.0)],
)  # fmt: skip
def test_its_handles_change_what_they_say(handle: str, by: tuple[float, float], name: str, change: float) -> None:
    exercise = room()
    at = next(h for h in draw(exercise).handles if h.id == f"things.0.{handle}").at
    after = drag(exercise, f"things.0.{handle}", at[0] + by[0], at[1] + by[1])
    assert getattr(after.things[0], name) == pytest.approx(getattr(exercise.things[0], name) + change)


def test_a_new_room_has_room_on_the_sheet_for_what_is_added_to_it() -> None:
    exercise = add_thing(exercise_of(views=[VIEWS["two_point"]]), "room")
    drawing = draw(exercise)
    assert not [a for a in drawing.advice if a.code == "off_the_paper"]
    for kind in ("table", "round_body", "stairs", "raised_block"):
        furnished = add_thing(exercise, kind)
        assert furnished.things[1].joined_by == "face_floor"
        assert [line for line in draw(furnished).lines if line.thing == furnished.things[1].name and line.visible]
