"""The shadow of a house with a gable or hip roof: both routes, what bounds it, what is told, where it is not found."""

from typing import Any

import numpy as np
import pytest
import shapely
from any_edit import faults
from found_right import assert_found_right
from hypothesis import HealthCheck, given, settings
from scenes import VIEWS, assert_same_point, roof_shadowed, solved

from conftest import box, exercise_of
from orthopsis.core.document.document import Exercise
from orthopsis.core.drawing.solved import Solved
from orthopsis.core.exercise.solve import draw
from orthopsis.core.things.shadow.roof_shapes import HalfPyramidShape, HippedShape, LeaningShape
from orthopsis.core.things.shadow.roofed_shape import RIDGE, RIDGE_BEHIND, RoofedShape
from orthopsis.core.view.eye import Array

STORE = box("Store", 90.0, 40.0, 90.0, 60.0, depth_by="measured", depth=90.0)
CORNER = {
    "kind": "box", "name": "Store", "left": 190.0, "bottom": 40.0, "height": 60.0, "left_by": "measured",
    "left_length": 70.0, "right_by": "measured", "right_length": 80.0,
}  # fmt: skip
WALL = {"one_point": "front", "two_point": "left"}


def store(view: str = "two_point", rise: float = 30.0, *more: dict[str, Any], **sheet: Any) -> Exercise:
    """A store house with a gable roof, and its shadow."""
    host = STORE if view == "one_point" else CORNER
    roof = {
        "kind": "gable_roof", "name": "Roof", "joined_to": "Store", "joined_by": f"face_{WALL[view]}", "rise": rise,
    }  # fmt: skip
    return exercise_of(host, roof, *more, SHADE, views=[VIEWS[view]], **sheet)


LONG = {
    "one_point": box("Store", 90.0, 40.0, 110.0, 20.0, depth_by="measured", depth=70.0),
    "two_point": {**CORNER, "height": 20.0, "right_length": 110.0},
}
"""Low houses, longer than wide."""
SHADE = {"kind": "shadow", "name": "Shade", "joined_to": "Store", "joined_by": "face_ground"}


def with_roof(view: str, roof: dict[str, Any], *more: dict[str, Any], **sheet: Any) -> Exercise:
    """A low house with a steep roof over its top, and its shadow."""
    on = {"name": "Roof", "joined_to": "Store", "joined_by": "face_top", "rise": 70.0}
    return exercise_of(LONG[view], {**on, **roof}, *more, SHADE, views=[VIEWS[view]], **sheet)


def hipped(view: str, ridge: str, **sheet: Any) -> Exercise:
    """... with a hip roof or a pyramid."""
    return with_roof(view, {"kind": "hip_roof", "ridge": ridge}, **sheet)


def corners(found: Solved) -> Array:
    """All corners of house and roof in the world."""
    return np.vstack([found.built[i].solid.places for i in (0, 1)])


def thrown(found: Solved) -> Array:
    """Where light lays the corners of house and roof on the ground, on the page: ray by ray, without the hand's way.

    A ray from P that falls along d meets the plane (X - F)·n = 0 at P + t d with t = (F - P)·n / d·n (from memory).
    """
    shadow = found.prepared.things[-1].standing
    foot, falls = shadow.panel.places([(0.0, 0.0)])[0], shadow.setting.light.falls(shadow.setting.frame)
    normal = np.array(shadow.panel.back.vector)  # type: ignore[union-attr]
    places = corners(found)
    times = (foot - places) @ normal / (falls @ normal)
    return shadow.setting.frame.eye.see(places + times[:, None] * falls)


@settings(max_examples=150, suppress_health_check=[HealthCheck.filter_too_much, HealthCheck.too_slow])
@given(roof_shadowed())
def test_every_point_is_where_the_eye_sees_it_and_what_is_told_is_enough(exercise: Exercise) -> None:
    found = solved(exercise)
    for name, at in found.built[-1].page.items():
        made = found.board.points.get(f"Shadow.{name}")
        if made is not None:
            assert_same_point(made.xy, at, name)
    assert list(faults(exercise)) == []


@settings(max_examples=150, suppress_health_check=[HealthCheck.filter_too_much, HealthCheck.too_slow])
@given(roof_shadowed())
def test_it_covers_what_the_rays_of_all_corners_bound_and_nothing_else(exercise: Exercise) -> None:
    """House and roof are convex, and so is the picture of their shadow: the hull of where rays end (shapely)."""
    found = solved(exercise)
    shadow = found.prepared.things[-1].standing
    if not isinstance(shadow, RoofedShape):
        return
    hull = shapely.MultiPoint([*thrown(found).tolist(), *(at.xy for at in shadow.panel.page)]).convex_hull
    drawn = shapely.Polygon([*found.built[-1].page.values()])
    covered = shapely.union_all([drawn, shapely.Polygon([at.xy for at in shadow.panel.page])]).convex_hull
    assert shapely.area(shapely.symmetric_difference(hull, covered)) < 1e-6 * (1 + shapely.area(hull))
    assert shapely.area(shapely.difference(drawn, hull.buffer(1e-6))) < 1e-6


@pytest.mark.parametrize("view", sorted(WALL))
@pytest.mark.parametrize("light", ["left", "right"])
def test_the_ridge_reaches_beyond_the_eaves_and_is_told_before_the_outline(view: str, light: str) -> None:
    exercise = store(view, 50.0, light=light, rays="45")
    shadow = solved(exercise).prepared.things[-1].standing
    assert isinstance(shadow, RoofedShape)
    assert {RIDGE, RIDGE_BEHIND} & set(shadow.chain)
    steps = [step.title for step in draw(exercise).steps if step.thing == "Shade"]
    behind = ["the other end of the ridge"] if RIDGE_BEHIND in shadow.chain else []
    titles = ["under the peak of Roof", "the shadow of the peak of Roof", *behind, "its outline"]
    told = [steps.index(f"Shade: {title}") for title in titles]
    assert told == sorted(told)
    # A gable in line with the light throws its shadow into one line: its top corners bound nothing.
    assert ("Shade: its rays at 45°" in steps) is (view == "two_point")
    assert "shadow_of_lower" not in {advice.code for advice in draw(exercise).advice}


def test_a_flat_roof_s_ridge_that_bounds_nothing_is_not_told() -> None:
    exercise = store("two_point", 2.0, light="left", rays="60")
    shadow = solved(exercise).prepared.things[-1].standing
    assert isinstance(shadow, RoofedShape)
    titles = [step.title for step in draw(exercise).steps]
    assert ("Shade: under the peak of Roof" in titles) is (max(shadow.chain) >= RIDGE)


@pytest.mark.parametrize("view", sorted(WALL))
@pytest.mark.parametrize("stands", ["beside", "ahead", "behind"])
@pytest.mark.parametrize("ridge", ["ridge", "tip"])
def test_a_hip_roof_s_ridge_or_tip_is_found_from_the_middle_of_the_foot(view: str, stands: str, ridge: str) -> None:
    exercise = hipped(view, ridge, rays="30", sun={"stands": stands, "aside_mm": 150.0, "height_mm": 140.0})
    shadow = solved(exercise).prepared.things[-1].standing
    assert isinstance(shadow, HippedShape)
    assert shadow.ends, "so steep a roof bounds it"
    titles = [step.title for step in draw(exercise).steps if step.thing == "Shade"]
    under = ["under the ridge"] if ridge == "ridge" else []
    told = [titles.index(f"Shade: {title}") for title in ["the middle of the foot", *under, "the shadow of the roof"]]
    assert told == sorted(told)
    assert list(faults(exercise)) == []
    assert "shadow_of_lower" not in {advice.code for advice in draw(exercise).advice}


def test_the_places_under_a_hip_roof_s_ridge_are_a_quarter_in_from_the_sides() -> None:
    """The ends of the ridge lie over the middle line of the foot, a quarter of it from either side."""
    found = solved(hipped("one_point", "ridge", rays="30"))
    shadow = found.prepared.things[-1].standing
    for name, share in zip(shadow.unders, (0.25, 0.75), strict=True):
        at = shadow.setting.frame.eye.see(shadow.panel.places([(share, 0.5)]))[0]
        assert_same_point(found.board.points[name].xy, tuple(at.tolist()), name)


@pytest.mark.parametrize(("light", "end"), [("left", "the right end"), ("right", "the left end")])
def test_of_a_ridge_in_line_with_the_light_one_end_bounds_the_shadow(light: str, end: str) -> None:
    roof = {"kind": "hip_roof", "name": "Roof", "joined_to": "Store", "joined_by": "face_top", "rise": 70.0}
    narrow = {**LONG["one_point"], "depth": 20.0}
    exercise = exercise_of(narrow, roof, SHADE, views=[VIEWS["one_point"]], light=light, rays="30")
    shadow = solved(exercise).prepared.things[-1].standing
    assert len(shadow.ends) == 1
    (text,) = (step.text for step in draw(exercise).steps if step.title == "Shade: under the ridge")
    assert f"from {end} of the ridge" in text
    assert_found_right(exercise)


def test_a_ridge_that_runs_straight_away_has_no_place_under_it_and_that_is_said() -> None:
    """Under the point the middle line of the foot is upright, as the lines down from the ridge are."""
    point = VIEWS["one_point"]["x_mm"]
    away = box("Store", point - 30.0, 40.0, 60.0, 20.0, depth_by="measured", depth=85.0)
    roof = {"kind": "hip_roof", "name": "Roof", "joined_to": "Store", "joined_by": "face_top", "rise": 70.0}
    under = exercise_of(away, roof, SHADE, views=[VIEWS["one_point"]], rays="30")
    assert not isinstance(solved(under).prepared.things[-1].standing, RoofedShape)
    assert "shadow_of_lower" in {advice.code for advice in draw(under).advice}


@pytest.mark.parametrize("stands", ["beside", "ahead", "behind"])
@pytest.mark.parametrize(
    ("view", "high"),
    [("one_point", {"high": high}) for high in ("back", "front", "left", "right")]
    + [("two_point", {"over": over}) for over in ("left_back", "right_back", "left", "right")],
)
@pytest.mark.parametrize("kind", ["lean_to", "half_pyramid"])
def test_what_is_highest_at_one_edge_is_in_the_shadow(view: str, high: dict[str, str], kind: str, stands: str) -> None:
    sun = {"stands": stands, "aside_mm": 150.0, "height_mm": 140.0}
    exercise = with_roof(view, {"kind": kind, **high}, rays="30", sun=sun)
    shadow = solved(exercise).prepared.things[-1].standing
    assert isinstance(shadow, LeaningShape if kind == "lean_to" else HalfPyramidShape)
    assert list(faults(exercise)) == []
    titles = [step.title for step in draw(exercise).steps]
    last = "the shadow of the high edge" if kind == "lean_to" else "the shadow of the tip of Roof"
    assert (f"Shade: {last}" in titles) is bool(shadow.ends)
    assert "shadow_of_lower" not in {advice.code for advice in draw(exercise).advice}
    assert_found_right(exercise)


def test_a_lean_to_is_high_over_corners_of_the_foot_and_a_half_pyramid_over_the_middle_of_an_edge() -> None:
    lean = solved(with_roof("one_point", {"kind": "lean_to", "high": "right"})).prepared.things[-1].standing
    for i, corner in lean.corners_under.items():
        np.testing.assert_allclose(lean.feet[i], lean.feet[corner], atol=1e-9)
    half = solved(with_roof("one_point", {"kind": "half_pyramid", "high": "back"})).prepared.things[-1].standing
    behind = sorted(half.feet[:RIDGE].tolist(), key=lambda place: -place[2])[:2]
    np.testing.assert_allclose(half.feet[RIDGE], np.mean(behind, axis=0), atol=1e-9)


def test_of_a_lean_to_that_runs_with_a_gable_roof_the_shadow_is_left_out_and_that_is_said() -> None:
    hall = box("Hall", 260.0, 40.0, 90.0, 30.0, depth_by="measured", depth=60.0)
    gable = {"kind": "gable_roof", "name": "Gable", "joined_to": "Hall", "joined_by": "face_front", "rise": 20.0}
    exercise = with_roof("one_point", {"kind": "lean_to", "high": "left", "pitch": "with_roof"}, hall, gable)
    assert "shadow_of_lower" in {advice.code for advice in draw(exercise).advice if advice.about == "things.4"}


def test_by_a_lamp_and_of_other_roofs_the_block_s_shadow_is_drawn_and_that_is_said() -> None:
    lamp = store(sun={"stands": "lamp", "aside_mm": 130.0, "height_mm": 130.0, "foot_mm": 60.0})
    assert not isinstance(solved(lamp).prepared.things[-1].standing, RoofedShape)
    assert "shadow_of_lower" in {advice.code for advice in draw(lamp).advice}


def test_of_two_houses_each_shadow_takes_up_its_own_roof() -> None:
    other = {**CORNER, "name": "Shed", "left": 330.0, "height": 30.0, "left_length": 30.0, "right_length": 30.0}
    shade = {"kind": "shadow", "name": "Shed's", "joined_to": "Shed", "joined_by": "face_ground"}
    found = solved(store("two_point", 30.0, other, shade))
    kinds = {
        p.values.name: isinstance(p.standing, RoofedShape) for p in found.prepared.things if p.kind.kind == "shadow"
    }
    assert kinds == {"Shade": True, "Shed's": False}


@settings(max_examples=40, suppress_health_check=[HealthCheck.filter_too_much, HealthCheck.too_slow])
@given(roof_shadowed())
def test_a_perfect_sheet_is_found_right(exercise: Exercise) -> None:
    solved(exercise)
    assert_found_right(exercise)
