"""The drawing against things outside of this project: OpenCV's camera, the textbook's checker floor, the handbook."""

import json
import subprocess
from pathlib import Path

import cv2
import numpy as np
import pytest
from hypothesis import given, settings
from hypothesis import strategies as st
from scenes import assert_same_point, exercises, hipped, profiles, roads, silhouettes, topped
from scenes import solved as _solved

from conftest import box, exercise_of
from orthopsis.core.document.document import Exercise
from orthopsis.core.drawing.solved import solve
from orthopsis.core.plane.cross_ratio import cross_ratio
from orthopsis.core.plane.homogeneous import HORIZONTAL, Point, join, meet
from orthopsis.core.scene.prepared import prepare
from orthopsis.core.view.cone import cone_radius_mm
from orthopsis.core.view.eye import Eye
from orthopsis.core.view.frame import distance_points, one_point_frame

FRONT_END = Path(__file__).parents[3] / "frontend"


@settings(max_examples=60)
@given(exercises() | roads() | silhouettes() | hipped() | topped())
def test_opencv_s_camera_sees_the_same_points(exercise: Exercise) -> None:
    # Source: OpenCV projectPoints. Its y runs down, ours up; its focal length is our viewing distance.
    solved = _solved(exercise)
    for placed, seen in zip(solved.prepared.things, solved.seen, strict=True):
        px, py = seen.eye.principal.xy
        camera = np.array([[seen.eye.distance_mm, 0, px], [0, seen.eye.distance_mm, 0], [0, 0, 1.0]])
        turned = seen.solid.places * np.array([1.0, -1.0, 1.0])
        picture, _ = cv2.projectPoints(turned, np.zeros(3), np.zeros(3), camera, None)
        for name, (x, down) in zip(seen.solid.names, picture.reshape(-1, 2), strict=True):
            made = solved.board.points.get(f"{placed.values.name}.{name}")
            if made is not None:
                assert_same_point(made.xy, (float(x), py - float(down)), name)


@settings(max_examples=5, deadline=None)
@given(st.lists(exercises() | profiles(), min_size=4, max_size=8))
def test_a_three_js_camera_sees_the_same_points(scenes: list[Exercise]) -> None:
    # Source: the perspective matrix of three.js with an off-centre frustum, run by node.
    solved = [solve(prepare(exercise)) for exercise in scenes]
    asked, made = [], []
    for one in solved:
        for placed, seen in zip(one.prepared.things, one.seen, strict=True):
            sheet = one.prepared.sheet
            asked.append(
                {
                    "width": sheet.width_mm, "height": sheet.height_mm,
                    "principal": seen.eye.principal.xy, "distance": seen.eye.distance_mm,
                    "points": seen.solid.places.tolist(),
                }
            )  # fmt: skip
            made.append([one.board.points.get(f"{placed.values.name}.{name}") for name in seen.solid.names])
    run = subprocess.run(
        ["node", "tests/camera.mjs"], input=json.dumps(asked), cwd=FRONT_END, capture_output=True, check=True, text=True
    )
    for places, points in zip(json.loads(run.stdout), made, strict=True):
        for place, point in zip(places, points, strict=True):
            if point is not None:
                assert_same_point(point.xy, tuple(place), "three.js")


def test_the_checker_floor_drawn_from_the_eye_s_distance_has_straight_diagonals() -> None:
    # Source: Alberti, De pictura, 1435, book I: rows from the eye's distance; checked by their diagonals (from memory).
    frame = one_point_frame("point", Point(200.0, 180.0), 260.0)
    left, right = distance_points(frame)
    ground = [Point(40.0 + 30 * i, 20.0) for i in range(9)]
    orthogonals = [join(p, frame.way("away").goal) for p in ground]
    diagonal = join(ground[0], right)
    rows = [meet(diagonal, line) for line in orthogonals]
    back = join(ground[8], left)
    for n, corner in enumerate(rows):
        row = join(corner, HORIZONTAL)
        opposite = meet(row, orthogonals[8 - n])
        assert abs(back.a * opposite.x + back.b * opposite.y + back.c) < 1e-9, "the other diagonal is straight too"
    heights = [p.y for p in rows[:3]]
    assert cross_ratio(*heights, 180.0) == pytest.approx(2.0), "equal steps going away have cross-ratio 2"


def test_the_height_of_a_row_is_the_textbook_s() -> None:
    # Source: similar triangles, h' = h d / (d + depth). A box of depth d has a back half as large as its front.
    solved = solve(prepare(exercise_of(box("Cube", 20, 20, 300, 10, depth_by="cube", look="see_through"))))
    p = solved.board.points
    back = p["Cube.back.top_right"].x - p["Cube.back.top_left"].x
    assert back == pytest.approx(150.0)


def test_the_distance_points_are_the_limit_of_a_right_angle_and_the_usual_cone_is_57_to_100() -> None:
    # Source: textbooks (from memory): the 90 degree cone is the circle through the distance points,
    # the 60 degree cone has radius d tan 30 = 0.577 d.
    frame = one_point_frame("point", Point(210.0, 148.0), 210.0)
    left, right = distance_points(frame)
    assert right.x - left.x == pytest.approx(2 * cone_radius_mm(210.0, 90.0))
    assert cone_radius_mm(100.0, 60.0) == pytest.approx(57.735, abs=1e-3)


def test_equal_heights_one_step_apart_are_drawn_as_piero_says() -> None:
    # Source: Piero della Francesca, De prospectiva pingendi, book I: equal lines one unit apart seen from
    # four units, 105, 84, 70, 60 (from memory).
    eye = Eye(Point(0.0, 0.0), 4.0)
    drawn = [eye.see(np.array([[0.0, 105.0, 4.0 + step]]))[0, 1] for step in range(4)]
    assert drawn == pytest.approx([105.0, 84.0, 70.0, 60.0])


def test_true_cubes_with_the_distance_points_at_the_sheet_s_ends() -> None:
    # Handbook, common practice, no source: eye level through the sheet's centre, point in the middle, distance
    # points at the ends; the line from a front corner to the opposite one cuts the guide line at the back corner.
    exercise = exercise_of(
        box("Cube", 40, 30, 60, 60, depth_by="cube"),
        eye_level={"height_mm": 148.5},
        views=[{"kind": "one_point", "x_mm": 210.0, "distance_mm": 210.0}],
    )
    board = solve(prepare(exercise)).board
    assert board.points["point left distance"].xy == (0.0, 148.5)
    assert board.points["point right distance"].xy == (420.0, 148.5)
    front, back = board.points["Cube.front.top_right"], board.points["Cube.back.top_left"]
    assert_same_point(meet(join(front, Point(0.0, 148.5)), join(Point(40.0, 90.0), Point(210.0, 148.5))).xy, back.xy)


def test_only_three_kinds_of_lines_in_one_point() -> None:
    # Handbook, common practice, no source: level, upright, and to the central point.
    solved = solve(prepare(exercise_of(box("A", 40, 30, 60, 60), box("B", 300, 200, 40, 50))))
    assert {ruled.family for ruled in solved.board.lines.values()} == {"level", "upright", "point"}
