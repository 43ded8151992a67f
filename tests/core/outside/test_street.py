"""Streets against a camera: roads, posts and people whose places are computed in metres and photographed by OpenCV.

Source: OpenCV's projectPoints (pinhole camera). The world, its lengths and its places are made up here; nothing of it
is asked of the code under test, which gets only what a teacher would measure on the photograph.
"""

import cv2
import numpy as np
import pytest

from conftest import exercise_of
from orthopsis.core.drawing.solved import solve
from orthopsis.core.plane.homogeneous import Point
from orthopsis.core.scene.prepared import prepare

EYE_M, DISTANCE_MM, CENTRE, LEVEL = 1.6, 320.0, 210.0, 150.0
VIEW = [{"kind": "one_point", "x_mm": CENTRE, "distance_mm": DISTANCE_MM}]
Place = tuple[float, float]


def photographed(*places_m: tuple[float, float, float]) -> list[Place]:
    """Where a camera 1.6 m over level ground sees places (to the right, up from the ground, ahead; metres), page mm."""
    camera = np.array([[DISTANCE_MM, 0, CENTRE], [0, DISTANCE_MM, 0], [0, 0, 1.0]])
    world = np.array([(x, EYE_M - up, ahead) for x, up, ahead in places_m])
    seen, _ = cv2.projectPoints(world, np.zeros(3), np.zeros(3), camera, None)
    return [(float(x), LEVEL - float(down)) for x, down in seen.reshape(-1, 2)]


def near(one: Point, other: Place) -> bool:
    return float(np.hypot(one.x - other[0], one.y - other[1])) < 1e-3


def test_a_road_of_four_metres_and_its_dashes_of_three_metres_lie_where_the_camera_sees_them() -> None:
    ahead = [4.0 + 3.0 * k for k in range(8)]
    left, right = photographed((-2.4, 0.0, 4.0), (1.6, 0.0, 4.0))
    marks = photographed(*((-0.4, 0.0, z) for z in ahead))
    dash = float(np.hypot(marks[1][0] - marks[0][0], marks[1][1] - marks[0][1]))
    road = {"kind": "road", "name": "Road", "left": left[0], "bottom": left[1], "width": right[0] - left[0]}
    board = solve(prepare(exercise_of({**road, "dashes": "4", "dash": dash}, views=VIEW))).board
    for i, mark in enumerate(marks):
        assert near(board.points[f"Road.mark.{i}"], mark), i


@pytest.mark.parametrize("tall_m", [0.8, 1.6, 3.2])
def test_lamp_posts_at_equal_spaces_stand_where_the_camera_sees_them(tall_m: float) -> None:
    ahead = [5.0 + 7.0 * k for k in range(6)]
    feet = photographed(*((2.5, 0.0, z) for z in ahead))
    tops = photographed(*((2.5, tall_m, z) for z in ahead))
    gap = float(np.hypot(feet[1][0] - feet[0][0], feet[1][1] - feet[0][1]))
    post = {"kind": "silhouettes", "name": "Posts", "what": "lamp", "left": feet[0][0], "bottom": feet[0][1]}
    size = {"height": tops[0][1] - feet[0][1], "count": "6", "gap": gap}
    board = solve(prepare(exercise_of({**post, **size}, views=VIEW))).board
    for i, (foot, top) in enumerate(zip(feet, tops, strict=True)):
        assert near(board.points[f"Posts.measure.foot.{i}"], foot), i
        assert near(board.points[f"Posts.measure.top.{i}"], top), i


def test_people_as_tall_as_the_eye_is_high_reach_the_eye_level_wherever_they_stand() -> None:
    """Heads of people of one height lie on one line with the eye level on level ground (common practice, no source)."""
    for x, ahead in ((-2.0, 4.0), (0.5, 9.0), (3.0, 25.0)):
        (foot,), (head,) = photographed((x, 0.0, ahead)), photographed((x, EYE_M, ahead))
        person = {"kind": "silhouettes", "name": "Sailor", "what": "figure", "left": foot[0], "bottom": foot[1]}
        board = solve(prepare(exercise_of({**person, "tall_by": "level", "share": "same"}, views=VIEW))).board
        assert head[1] == pytest.approx(LEVEL)
        assert near(board.points["Sailor.measure.top.0"], head)
