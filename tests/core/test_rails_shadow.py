"""The shadow of rails: nearer on the sleepers than on the ground between, told from sleeper to sleeper, bad input."""

import math
import re
from typing import Any

import numpy as np
import pytest
from found_right import assert_found_right
from hypothesis import HealthCheck, given, settings
from scenes import VIEWS, assert_same_point, shaded_tracks, solved

from conftest import exercise_of
from orthopsis.core.document.document import Exercise
from orthopsis.core.editing.edit import set_at
from orthopsis.core.errors import GeometryError
from orthopsis.core.exercise.add_thing import add_thing
from orthopsis.core.exercise.solve import draw
from orthopsis.core.plane.homogeneous import Point
from orthopsis.core.sheet.paper import PAPERS
from orthopsis.core.things.shadow.rails_shape import RailsShadowShape, corner_name

RAILS = {
    "kind": "rails", "name": "Track", "left": 150, "bottom": 20, "gauge": 90, "rail": 8, "high": 10, "out": 34,
    "sleepers": "4", "deep": 14, "pitch": 34, "thick": 6,
}  # fmt: skip
SHADOW = {"kind": "shadow", "name": "Shadow", "joined_to": "Track", "joined_by": "face_ground"}
BOTH = ["left", "right"]
VIEW_AT = np.array([VIEWS["one_point"]["x_mm"], 150.0])


def track(x_mm: float = 210.0, light: str = "left", rays: str = "45", **rails: Any) -> Exercise:
    """Rails to the point and their shadow."""
    view = {"kind": "one_point", "x_mm": x_mm, "distance_mm": 400}
    return exercise_of({**RAILS, **rails}, SHADOW, views=[view], eye_level={"height_mm": 150}, light=light, rays=rays)


def standing(exercise: Exercise) -> RailsShadowShape:
    """The shadow where it falls."""
    found = solved(exercise).prepared.by_name["Shadow"].standing
    assert isinstance(found, RailsShadowShape)
    return found


def on_page(shadow: RailsShadowShape, corner: Any, rail: str, sleeper: int) -> Point:
    at = shadow.corners[corner_name(corner, rail, sleeper)]
    x, y = shadow.setting.frame.eye.see(at[None])[0].tolist()
    return Point(x, y)


@settings(max_examples=150, suppress_health_check=[HealthCheck.filter_too_much, HealthCheck.too_slow])
@given(shaded_tracks())
def test_every_corner_of_its_edge_is_where_the_eye_sees_it(exercise: Exercise) -> None:
    found = solved(exercise)
    shadow = found.prepared.by_name["Shadow"].standing
    assert isinstance(shadow, RailsShadowShape)
    for name, place in shadow.corners.items():
        (seen,) = shadow.setting.frame.eye.see(place[None]).tolist()
        assert_same_point(found.board.points[f"Shadow.{name}"].xy, (seen[0], seen[1]), name)


@settings(max_examples=100, suppress_health_check=[HealthCheck.filter_too_much, HealthCheck.too_slow])
@given(shaded_tracks())
def test_from_every_place_of_its_edge_the_light_is_just_kept_off_by_the_upper_edge_of_the_rail(
    exercise: Exercise,
) -> None:
    """Back along the light, in a plane parallel to the picture: vectors alone, in the world of an eye of the test's."""
    shadow = standing(exercise)
    rails, turn = shadow.rails, math.radians(float(exercise.rays))
    toward = -1.0 if exercise.light == "left" else 1.0
    side = "right" if exercise.light == "left" else "left"
    for rail in BOTH:
        top = np.array(rails.begins[f"rail_{rail}.{side}"].xy) - VIEW_AT
        for corner in ("over.near", "over.far", "low", "out"):
            for sleeper in range(len(rails.marks)):
                at = shadow.corners[corner_name(corner, rail, sleeper)]  # type: ignore[arg-type]
                rise = float(top[1] - at[1])
                assert rise > 0
                assert at[0] + toward * rise / math.tan(turn) == pytest.approx(float(top[0]), abs=1e-6), corner


@pytest.mark.parametrize("light", BOTH)
@pytest.mark.parametrize("rays", ["45", "60"])
def test_it_runs_down_each_front_at_the_angle_of_the_rays_and_steps_outward(light: str, rays: str) -> None:
    shadow, way = standing(track(light=light, rays=rays)), 1 if light == "left" else -1
    for rail in BOTH:
        for sleeper in range(4):
            over, low = on_page(shadow, "over.near", rail, sleeper), on_page(shadow, "low", rail, sleeper)
            assert way * (low.x - over.x) > 0
            assert (over.y - low.y) / abs(low.x - over.x) == pytest.approx(math.tan(math.radians(float(rays))))


@pytest.mark.parametrize("light", BOTH)
@pytest.mark.parametrize("x_mm", [210.0, 120.0, 320.0])
def test_a_finished_one_is_found_right_and_told_from_sleeper_to_sleeper(light: str, x_mm: float) -> None:
    drawing = assert_found_right(track(x_mm, light))
    steps = [step for step in drawing.steps if step.thing == "Shadow"]
    assert [step.title for step in steps] == [
        "Shadow: one ray at each rail, 45°",
        "Shadow: how far the shadows reach",
        "Shadow: the shadows on the first sleeper",
        "Shadow: on the ground and over the other sleepers",
    ]
    assert [step.count for step in steps[:2]] == [2, 4], "a ray goes on in one stroke, and gives two places"
    other = "right" if light == "left" else "left"
    assert f"upper {other} corner" in steps[0].text


def test_grey_lies_between_each_rail_and_the_edge() -> None:
    """On the first sleeper by the left rail: from its foot to the edge, at the middle of the sleeper's depth."""
    drawing = draw(track())
    faces = {face.name: face for face in drawing.faces if face.thing == "Shadow"}
    assert {face.tone for face in faces.values()} == {2}
    (loop,) = faces["over.left.0"].loops
    assert min(x for x, _ in loop) == pytest.approx(158.0), "the foot of the rail"
    assert (168.0, 20.0) in [pytest.approx(place) for place in loop], "as far from it as the rail is high, at 45°"
    (by_right,) = faces["over.right.0"].loops
    assert min(x for x, _ in by_right) >= 150 + 8 + 90 + 8 - 6, "the rail hides what lies behind it"


def test_fields_have_no_hole_where_the_end_of_a_rail_hides_what_is_behind_it() -> None:
    """Beside the right rail the grey begins at the end's own upright, and only over its top at the upper edge."""
    faces = {face.name: face for face in draw(track()).faces if face.thing == "Shadow"}
    (loop,) = faces["over.right.0"].loops
    assert (256.0, 20.0) in [pytest.approx(place, abs=1e-6) for place in loop]


@pytest.mark.parametrize(
    ("sun", "rails", "code"),
    [
        ({"stands": "behind", "aside_mm": 60.0, "height_mm": 90.0}, {}, "rails_by_side_light"),
        ({}, {"high": 30}, "rails_shadow_too_long"),
        ({}, {"out": 15}, "rails_shadow_too_long"),
        ({}, {"gauge": 14}, "rails_shadow_too_long"),
        ({}, {"pitch": 15, "thick": 14}, "sleepers_hide_shadow"),
    ],
)
def test_what_cannot_be_shaded_is_said_at_its_place(sun: dict[str, Any], rails: dict[str, Any], code: str) -> None:
    exercise = track(**{"rays": "60" if code == "sleepers_hide_shadow" else "45", **rails})
    shaded = exercise.model_copy(update={"sun": exercise.sun.model_copy(update=sun)}) if sun else exercise
    with pytest.raises(GeometryError) as caught:
        draw(shaded)
    assert caught.value.code == code
    assert caught.value.about == "things.1.joined_to"


def test_the_height_that_is_said_to_work_does() -> None:
    with pytest.raises(GeometryError) as caught:
        draw(track(high=30))
    most = float(re.search(r"at most (\d+) mm high", caught.value.fix)[1])  # type: ignore[index]
    assert 25 <= most <= 28
    draw(track(high=most))
    with pytest.raises(GeometryError):
        draw(track(high=most + 1))


@pytest.mark.parametrize("rays", ["30", "45", "60"])
@pytest.mark.parametrize("paper", sorted(PAPERS))
@pytest.mark.parametrize(("units", "division"), [("mm", "1 mm"), ("in", "1/8 in")])
def test_rails_and_shadow_as_they_are_added_can_be_drawn_on_each_paper(
    rays: str, paper: str, units: str, division: str
) -> None:
    sheet = {"paper": paper, "units": units, "division": division}
    view = {"kind": "one_point", "x_mm": 100}
    empty = exercise_of(sheet=sheet, views=[view], rays=rays, eye_level={"height_mm": 90})
    drawing = draw(add_thing(add_thing(empty, "rails"), "shadow"))
    assert [step for step in drawing.steps if "ray at each rail" in step.title]


def test_a_new_shadow_lands_on_rails_and_follows_them() -> None:
    exercise = add_thing(exercise_of(RAILS, views=[VIEWS["one_point"]]), "shadow")
    assert (exercise.things[1].joined_to, exercise.things[1].joined_by) == (exercise.things[0].id, "face_ground")
    before = [line.end for line in draw(exercise).lines if line.thing == exercise.things[1].name]
    after = [line.end for line in draw(set_at(exercise, "things.0.high", 12.0)).lines if line.thing == "Cast shadow 1"]
    assert before != after
