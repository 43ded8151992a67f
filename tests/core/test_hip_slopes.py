"""Slopes of a hip roof as faces: their points, what stands on them, when they are offered, both routes, bad input."""

from typing import Any

import numpy as np
import pytest
from found_right import assert_found_right
from hypothesis import HealthCheck, assume, given, settings
from hypothesis import strategies as st
from scenes import VIEWS, assert_same_point, exercises, faces_of, solved
from scenes.base import views_of
from test_hip import HOUSE

from conftest import box, exercise_of
from orthopsis.core.document.document import Exercise
from orthopsis.core.drawing.solved import Solved
from orthopsis.core.editing.edit import type_at
from orthopsis.core.errors import GeometryError
from orthopsis.core.exercise.add_thing import add_thing
from orthopsis.core.exercise.solve import draw
from orthopsis.core.telling.completeness import gaps
from orthopsis.core.telling.told import tell

ROOF = {"kind": "hip_roof", "name": "Roof", "joined_to": "House", "joined_by": "face_top", "rise": 34.0,
        "slopes": "points"}  # fmt: skip
LONG_BOX = box("House", 120.0, 30.0, 190.0, 60.0, depth_by="measured", depth=40.0)
"""In one point its ridge runs across, so that its slopes lead away."""


def house(view: str, *more: dict[str, Any], **roof: Any) -> Exercise:
    host = {**HOUSE, "bottom": 90.0 if view == "from_above" else 40.0}
    return exercise_of(LONG_BOX if view == "one_point" else host, {**ROOF, **roof}, *more, views=[VIEWS[view]])


def upon(kind: str, **values: Any) -> dict[str, Any]:
    return {"kind": kind, "name": "Upon", "joined_to": "Roof", "joined_by": "face_slope_first", **values}


IN_VIEWS = ["one_point", "two_point", "from_above"]


def at_of(found: Solved, thing: int) -> dict[str, np.ndarray[Any, Any]]:
    solid = found.seen[thing].solid
    return dict(zip(solid.names, solid.places, strict=True))


@pytest.mark.parametrize("view", IN_VIEWS)
def test_lines_up_a_slope_run_to_the_point_that_a_place_far_up_it_tends_to(view: str) -> None:
    """By the eye alone: a place a million times as far up the slope as the ridge is pictured at the point."""
    found = solved(house(view))
    panel = found.prepared.things[1].standing.faces["slope_first"]
    eye, up = found.prepared.frames[0].eye, np.array(panel.axes[1])
    far = np.array(panel.start) + np.sign(up[2]) * 1e6 * up
    x, y = eye.see(far[None])[0].tolist()
    point = found.board.points["Roof.slope_above"]
    assert (x, y) == pytest.approx(point.xy, rel=1e-4, abs=0.05)
    for end in ("near", "far"):
        low, high = found.board.points[f"Roof.eave.first.{end}"], found.board.points[f"Roof.ridge.{end}"]
        cross = (high.x - low.x) * (point.y - low.y) - (high.y - low.y) * (point.x - low.x)
        assert abs(cross) / np.hypot(high.x - low.x, high.y - low.y) < 1e-6 * np.hypot(point.x - low.x, point.y - low.y)


@pytest.mark.parametrize("view", IN_VIEWS)
def test_its_face_is_straight_under_the_ridge(view: str) -> None:
    """By vectors alone: its foot lies on the edge of the house, its head is the ridge, and it is a rectangle."""
    found = solved(house(view))
    roof = at_of(found, 1)
    panel = found.prepared.things[1].standing.faces["slope_first"]
    low, far_low, far_high, high = panel.places([(0, 0), (1, 0), (1, 1), (0, 1)])
    assert np.allclose(high, roof["ridge.near"])
    assert np.allclose(far_high, roof["ridge.far"])
    along, up = far_low - low, high - low
    assert abs(along @ up) < 1e-9 * np.linalg.norm(along) * np.linalg.norm(up)
    ends = [roof[f"corner.{i}"] for i in range(4)]
    aside = min(
        np.linalg.norm(np.cross(low - a, b - a)) / np.linalg.norm(b - a)
        for a, b in zip(ends, (*ends[1:], ends[0]), strict=True)
    )
    assert aside < 1e-6


@pytest.mark.parametrize("view", IN_VIEWS)
@pytest.mark.parametrize("roof", ["gable", "flat"])
def test_a_dormer_on_it_is_upright_and_its_roof_is_level(view: str, roof: str) -> None:
    found = solved(house(view, upon("dormer", along="1:1:1", up="1:2:3", roof=roof, peak=4.0)))
    house_at, at = at_of(found, 1), at_of(found, 2)
    panel = found.prepared.things[1].standing.faces["slope_first"]
    normal = np.cross(*np.array(panel.axes))
    upright = at["top.0"] - at["foot.0"]
    level = house_at["corner.1"] - house_at["corner.0"], house_at["corner.3"] - house_at["corner.0"]
    assert all(abs(upright @ way) < 1e-6 * np.linalg.norm(upright) * np.linalg.norm(way) for way in level)
    for name in ("foot.0", "foot.1", "foot.2", "foot.3", *(["end"] if roof == "gable" else [])):
        assert abs((at[name] - np.array(panel.start)) @ normal) < 1e-6 * np.linalg.norm(normal), name
    back = at["foot.3"] - at["top.0"]
    assert abs(back @ upright) < 1e-6 * np.linalg.norm(back) * np.linalg.norm(upright), "its eaves are level"


@pytest.mark.parametrize("view", IN_VIEWS)
@pytest.mark.parametrize("kind", ["dormer", "chimney"])
def test_a_perfect_sheet_with_something_on_it_is_found_right(view: str, kind: str) -> None:
    values = {"peak": 4.0} if kind == "dormer" else {"rise": 24.0}
    drawing = assert_found_right(house(view, upon(kind, along="1:1:1", up="1:2:3", **values)))
    titles = [step.title for step in drawing.steps if step.thing == "Roof"]
    assert titles[-1] == "Roof: the point of the slope that goes up"


@st.composite
def hips_with_more(draw: Any) -> Exercise:
    exercise = draw(exercises(most=1, views=tuple(VIEWS)))
    host = exercise.things[0].model_dump(mode="json")
    roof = {**ROOF, "joined_to": host["name"], "rise": draw(st.floats(15.0, 80.0))}
    made = exercise_of(host, roof, views=views_of(exercise))
    slopes = sorted(faces_of(made, 1))
    assume(slopes)
    part = st.sampled_from(["2:1:2", "1:1:1", "1:2:3", "0:1:3"])
    more = {
        "name": "Upon", "joined_to": "Roof", "joined_by": f"face_{draw(st.sampled_from(slopes))}", "along": draw(part),
        "up": draw(part), **draw(st.sampled_from([{"kind": "chimney", "rise": 30.0}, {"kind": "dormer", "peak": 3.0}])),
    }  # fmt: skip
    return exercise_of(host, roof, *draw(st.sampled_from([[], [more]])), views=views_of(exercise))


@settings(max_examples=120, suppress_health_check=[HealthCheck.filter_too_much, HealthCheck.too_slow])
@given(hips_with_more())
def test_every_point_is_where_the_eye_sees_it_and_follows_from_earlier_steps(exercise: Exercise) -> None:
    found = solved(exercise)
    for thing, seen in list(zip(exercise.things, found.seen, strict=True))[1:]:
        for name, at in seen.solid.picture(seen.eye).items():
            if (made := found.board.points.get(f"{thing.name}.{name}")) is not None:
                assert_same_point(made.xy, at, name)
    assert [(gap.breath.name, gap.name, gap.why) for gap in gaps(tell(found).breaths, found.board)] == []


def test_a_new_dormer_stands_on_a_hip_roof_whose_points_are_found() -> None:
    bare = house("two_point", slopes="edges")
    with pytest.raises(GeometryError):
        add_thing(bare, "dormer")
    more = add_thing(house("two_point"), "dormer")
    assert more.document()["things"][-1]["joined_to"] == 2
    assert [line for line in draw(more).lines if line.thing.startswith("Dormer") and line.visible]


def test_where_slopes_run_to_no_point_none_is_offered() -> None:
    """A tip has no ridge; in one point a ridge that runs away has slopes that are parallel to the picture."""
    deep = box("House", 120.0, 30.0, 60.0, 60.0, depth_by="measured", depth=70.0)
    for exercise in (
        house("two_point", ridge="tip"),
        house("two_point", slopes="edges"),
        exercise_of(deep, ROOF, views=[VIEWS["one_point"]]),
    ):
        assert solved(exercise).prepared.things[1].standing.faces == {}
        assert not [aim for aim in solved(exercise).prepared.aims.values() if aim.owner == "Roof"]


def test_what_was_drawn_before_stays_as_it_was() -> None:
    """Finding the points only adds light lines: the edges are the same."""
    for view in IN_VIEWS:
        edges = [
            {
                (line.name, line.start, line.end)
                for line in draw(house(view, slopes=slopes)).lines
                if line.role == "edge"
            }
            for slopes in ("edges", "points")
        ]
        assert edges[0] == edges[1]


def test_its_tip_stays_under_the_ridge() -> None:
    exercise = house("two_point", upon("dormer", along="1:1:1", up="1:2:3", peak=60.0))
    with pytest.raises(GeometryError) as refused:
        draw(exercise)
    assert (refused.value.code, refused.value.about) == ("over_ridge", "things.2.peak")
    assert draw(type_at(exercise, "things.2.peak", refused.value.nearest)).lines
