"""Rails on sleepers: both routes, equal sleepers in truth, what passes under the rails, and what is not blamed."""

from itertools import pairwise
from typing import Any

import cv2
import numpy as np
import pytest
from hypothesis import given, settings
from scenes import VIEWS, assert_same_point, solved, tracks

from conftest import exercise_of
from orthopsis.core.document.document import Exercise
from orthopsis.core.editing.edit import drag, set_at
from orthopsis.core.errors import GeometryError
from orthopsis.core.exercise.add_thing import add_thing
from orthopsis.core.exercise.solve import draw
from orthopsis.core.sight.hidden import Sight


def rails(view: str = "one_point", **values: Any) -> Exercise:
    """The harbour railway."""
    thing = {"kind": "rails", "name": "Rails", "left": 140.0, "bottom": 12.0, "gauge": 100.0}
    size = {"rail": 10.0, "high": 6.0, "out": 30.0, "sleepers": "6", "deep": 8.0, "pitch": 18.0, "thick": 4.0}
    return exercise_of({**thing, **size, **values}, views=[VIEWS[view]])


@settings(max_examples=150)
@given(tracks())
def test_every_point_is_where_the_eye_sees_it(exercise: Exercise) -> None:
    found = solved(exercise)
    for name, place in found.seen[0].solid.picture(found.seen[0].eye).items():
        made = found.board.points.get(f"Rails.{name}")
        if made is not None:
            assert_same_point(made.xy, place, name)


@settings(max_examples=120)
@given(tracks())
def test_every_edge_that_is_seen_was_made_by_the_hand(exercise: Exercise) -> None:
    found = solved(exercise)
    page = found.seen[0].solid.picture(found.seen[0].eye)
    for piece in Sight(found.seen).pieces()[0]:
        a, b = page[piece.edge.start], page[piece.edge.end]
        if piece.visible and (piece.end - piece.start) * np.hypot(b[0] - a[0], b[1] - a[1]) > 0.01:
            assert f"Rails.{piece.edge.name}" in found.board.lines, piece.edge.name


def test_a_rail_has_three_lines_to_the_point_and_none_from_its_outer_foot() -> None:
    """Common practice, no source: three lines a rail, and a light outer one."""
    found = solved(rails())
    lines = [name for name, line in found.board.lines.items() if line.family == "point" and line.role == "edge"]
    own = [name for name in lines if not name.startswith("Rails.sleeper.")]
    assert sorted(own) == [f"Rails.{end}" for end in ("left.foot_right", "left.left", "left.right", "right.foot_left",
                                                      "right.left", "right.right")]  # fmt: skip
    light = [name for name, line in found.board.lines.items() if line.role == "guide"]
    assert len(light) == 4, "two outer ones, and two that say how thick the sleepers are"


def test_sleepers_are_equally_deep_and_equally_far_apart_in_truth() -> None:
    solid = solved(rails()).seen[0].solid
    near = [solid.places[solid.index(f"sleeper.{i}.near.left")] for i in range(6)]
    far = [solid.places[solid.index(f"sleeper.{i}.far.left")] for i in range(6)]
    steps = [float(np.linalg.norm(b - a)) for a, b in pairwise(near)]
    deep = [float(np.linalg.norm(b - a)) for a, b in zip(near, far, strict=True)]
    assert steps == pytest.approx([steps[0]] * 5)
    assert deep == pytest.approx([deep[0]] * 6)


def test_sleepers_lie_where_a_camera_over_the_track_sees_them() -> None:
    """Source: OpenCV's projectPoints; sleepers of 0.25 m every 0.6 m, 2.6 m long, the eye 1.6 m up (made up here)."""
    camera = np.array([[300.0, 0, 210.0], [0, 300.0, 0], [0, 0, 1.0]])

    def photographed(x: float, ahead: float, down: float = 0.0) -> tuple[float, float]:
        seen, _ = cv2.projectPoints(np.array([[x, 1.6 + down, ahead]]), np.zeros(3), np.zeros(3), camera, None)
        return float(seen[0, 0, 0]), 150.0 - float(seen[0, 0, 1])

    near = [photographed(-1.3, 4.0 + 0.6 * i) for i in range(5)]
    far = [photographed(-1.3, 4.25 + 0.6 * i) for i in range(5)]
    rail, gauge = 5.0, 100.0
    pitch, deep = (float(np.hypot(p[0] - near[0][0], p[1] - near[0][1])) for p in (near[1], far[0]))
    out = 210.0 - (gauge / 2 + rail) - near[0][0]
    exercise = rails(left=210.0 - gauge / 2 - rail, bottom=near[0][1], rail=rail, gauge=gauge, out=out, sleepers="5",
                     pitch=pitch, deep=deep, thick=2.0)  # fmt: skip
    points = solved(exercise).board.points
    for i in range(5):
        assert_same_point(points[f"Rails.sleeper.{i}.near.left"].xy, near[i])
        assert_same_point(points[f"Rails.sleeper.{i}.far.left"].xy, far[i])


def test_a_sleeper_passes_under_the_rails() -> None:
    found = solved(rails())
    pieces = [line for line in found.final if line.name == "sleeper.2.near"]
    assert len(pieces) == 3, "left of the rails, between them, right of them"
    whole = found.board.lines["Rails.sleeper.2.near"]
    seen = sum(abs(line.end[0] - line.start[0]) for line in pieces)
    assert seen < abs(whole.end.x - whole.start.x)


@pytest.mark.parametrize(
    ("values", "code", "about"),
    [
        ({"bottom": 2.0}, "under_the_sheet", "bottom"),
        ({"bottom": 149.0}, "not_on_ground", "bottom"),
        ({"out": 200.0}, "no_room_for_sleepers", "out"),
        ({"deep": 18.0}, "sleepers_touch", "deep"),
        ({"sleepers": "12", "pitch": 150.0}, "sleepers_past_point", "pitch"),
    ],
)
def test_what_cannot_be_drawn_is_refused_with_the_nearest_that_works(
    values: dict[str, Any], code: str, about: str
) -> None:
    exercise = rails(**values)
    with pytest.raises(GeometryError) as refused:
        draw(exercise)
    assert (refused.value.code, refused.value.about) == (code, f"things.0.{about}")
    nearest = float((refused.value.nearest or "").split()[0])
    assert draw(set_at(exercise, f"things.0.{about}", nearest)).lines


def test_rails_are_added_dragged_and_only_in_one_point() -> None:
    exercise = add_thing(exercise_of(), "rails")
    place = draw(exercise)
    for handle in place.handles:
        if handle.id.startswith("things.0."):
            assert draw(drag(exercise, handle.id, handle.at[0] + 3.0, handle.at[1])).lines
    with pytest.raises(GeometryError):
        draw(rails("two_point"))
