"""Flights of stairs: both routes, equal steps in truth, the order of the hand, bad input."""

import math
from typing import Any

import numpy as np
import pytest
from found_right import assert_found_right
from hypothesis import HealthCheck, given, settings
from scenes import VIEWS, assert_same_point, deck_in, flights, solved

from conftest import box, exercise_of
from orthopsis.core.document.document import Exercise
from orthopsis.core.drawing.solved import Solved
from orthopsis.core.editing.edit import drag, set_at
from orthopsis.core.errors import GeometryError
from orthopsis.core.exercise.add_thing import add_thing
from orthopsis.core.exercise.solve import draw
from orthopsis.core.plane.homogeneous import join, offset
from orthopsis.core.sight.hidden import Sight

CASES = [(view, climbs) for view in ("one_point", "two_point") for climbs in ("along", "up")]


def deck(view: str = "two_point", climbs: str = "along", **values: Any) -> Exercise:
    stairs = {"kind": "stairs", "name": "Stairs", "joined_to": "Deck", "joined_by": "face_top", "along": "1:4:1",
              "up": "1:3:2", "rise": 60.0, "steps": "5", "climbs": climbs}  # fmt: skip
    return exercise_of(deck_in(view), {**stairs, **values}, views=[VIEWS[view]])


def corners(found: Solved, side: str, what: str) -> np.ndarray[Any, Any]:
    """The corners of a side in the eye's world, from the foot up."""
    standing, solid = found.prepared.things[1].standing, found.seen[1].solid
    names = [standing.corner(side, f"{what}.{i}") for i in range(standing.count + (what == "in"))]
    return np.array([solid.places[solid.index(name)] for name in names])


@settings(max_examples=300, suppress_health_check=[HealthCheck.filter_too_much])
@given(flights())
def test_every_point_is_where_the_eye_sees_it(exercise: Exercise) -> None:
    found = solved(exercise)
    for name, place in found.seen[1].solid.picture(found.seen[1].eye).items():
        assert_same_point(found.board.points[f"Stairs.{name}"].xy, place, name)


@settings(max_examples=100, suppress_health_check=[HealthCheck.filter_too_much])
@given(flights())
def test_in_truth_all_steps_are_equal_and_both_sides_alike(exercise: Exercise) -> None:
    """In the solid, by vectors alone: equal risers along one way, equal treads along another, one side moved across."""
    found = solved(exercise)
    near_in, near_nose = corners(found, "near", "in"), corners(found, "near", "nose")
    risers, treads = near_nose - near_in[:-1], near_in[1:] - near_nose
    scale = float(np.abs(near_in).max())
    assert np.allclose(risers, risers[0], atol=1e-9 * scale)
    assert np.allclose(treads, treads[0], atol=1e-9 * scale)
    assert abs(float(risers[0] @ treads[0])) < 1e-6 * float(np.linalg.norm(risers[0]) * np.linalg.norm(treads[0])) or (
        not found.prepared.frames[0].is_metric
    )
    over = corners(found, "far", "in") - near_in
    assert np.allclose(over, over[0], atol=1e-9 * scale)
    assert np.allclose(corners(found, "far", "nose") - near_nose, over[0], atol=1e-9 * scale)


@pytest.mark.parametrize(("view", "climbs"), CASES)
def test_inner_corners_lie_on_the_slope_line_of_their_side(view: str, climbs: str) -> None:
    """Where a tread meets the next riser the corner lies on the slope line (common practice, no source)."""
    found = solved(deck(view, climbs))
    standing, points = found.prepared.things[1].standing, found.board.points
    for side in ("near", "far"):
        names = [f"Stairs.{standing.corner(side, f'in.{i}')}" for i in range(6)]
        line = join(points[names[0]], points[names[-1]])
        assert max(abs(offset(points[name], line)) for name in names) < 1e-6


@pytest.mark.parametrize(("view", "climbs"), CASES)
def test_a_finished_flight_is_found_right_and_told_in_the_hand_s_order(view: str, climbs: str) -> None:
    drawing = assert_found_right(deck(view, climbs))
    titles = [step.title for step in drawing.steps if step.thing == "Stairs"]
    order = ["plan", "risers on an upright", "from the marks", "slope line", "step by step", "other side", "across"]
    places = [next(i for i, title in enumerate(titles) if words in title) for words in order]
    assert places == sorted(places)
    told = next(step.text for step in drawing.steps if "risers on an upright" in step.title)
    assert "60 mm" in told
    assert "12 mm" in told


def test_a_corner_straight_before_the_point_is_found_on_its_tread() -> None:
    """In one point a flight to the side passes under the point: there uprights and lines across lie on each other."""
    host = box("Deck", 110.0, 20.0, 200.0, 10.0, depth_by="measured", depth=60.0)
    stairs = deck(climbs="up").things[1].model_dump(mode="json")
    exercise = exercise_of(host, {**stairs, "joined_to": "Deck", "up": "0:4:1"}, views=[VIEWS["one_point"]])
    found = solved(exercise)
    for name, place in found.seen[1].solid.picture(found.seen[1].eye).items():
        assert_same_point(found.board.points[f"Stairs.{name}"].xy, place, name)
    assert_found_right(exercise)


@pytest.mark.parametrize(
    ("values", "code", "about"),
    [({"rise": 0.0}, "length_out_of_limits", "rise"), ({"along": "up there"}, "not_taken", "along")],
)
def test_what_cannot_be_drawn_is_refused_at_its_place(values: dict[str, Any], code: str, about: str) -> None:
    with pytest.raises(GeometryError) as refused:
        draw(deck(**values))
    assert (refused.value.code, refused.value.about) == (code, f"things.1.{about}")


def test_a_side_straight_before_the_point_is_refused_with_a_place_that_works() -> None:
    host = box("Deck", 110.0, 20.0, 200.0, 10.0, depth_by="measured", depth=60.0)
    stairs = deck().things[1].model_dump(mode="json")
    exercise = exercise_of(host, {**stairs, "joined_to": "Deck", "up": "2:1:1"}, views=[VIEWS["one_point"]])
    with pytest.raises(GeometryError) as refused:
        draw(exercise)
    assert (refused.value.code, refused.value.about) == ("seen_edge_on", "things.1.up")
    assert draw(set_at(exercise, "things.1.up", refused.value.nearest)).lines


@pytest.mark.parametrize(("view", "climbs"), CASES)
def test_their_height_is_dragged(view: str, climbs: str) -> None:
    exercise = deck(view, climbs)
    at = next(handle for handle in draw(exercise).handles if handle.id == "things.1.rise").at
    taller: Any = drag(exercise, "things.1.rise", at[0], at[1] + 15.0).things[0 + 1]
    assert taller.rise == pytest.approx(75.0, abs=1.0)


def test_new_stairs_stand_on_the_floor_and_are_no_design() -> None:
    exercise = add_thing(add_thing(exercise_of(views=[VIEWS["one_point"]]), "room"), "stairs")
    assert exercise.things[1].joined_by == "face_floor"
    assert [line for line in draw(exercise).lines if line.thing == exercise.things[1].name and line.visible]


def test_in_three_points_they_are_refused_with_words() -> None:
    high = deck_in("from_above")
    with pytest.raises(GeometryError, match="cannot be drawn in this kind of view") as refused:
        add_thing(exercise_of(high, views=[VIEWS["from_above"]]), "stairs")
    assert refused.value.fix == "Choose one point or two points first."
    stairs = deck().things[1].model_dump(mode="json")
    with pytest.raises(GeometryError) as refused:
        draw(exercise_of(high, {**stairs, "joined_to": "Deck"}, views=[VIEWS["from_above"]]))
    assert refused.value.why


GOING_AWAY = [("one_point", "along"), ("two_point", "along"), ("two_point", "up")]


@pytest.mark.parametrize(("view", "climbs"), GOING_AWAY)
def test_the_point_of_the_slope_is_in_the_book_of_aims_and_where_a_far_point_of_it_is_seen(
    view: str, climbs: str
) -> None:
    """Where the eye sees a place of the slope line that is a million times as far away as the flight is long."""
    found = solved(deck(view, climbs, over_by="slope"))
    (aim,) = [aim for aim in found.prepared.aims.values() if aim.owner == "Stairs"]
    assert aim.role == "slope_above"
    line, eye = corners(found, "far", "in"), found.seen[1].eye
    far = line[0] + 1e6 * (line[-1] - line[0])
    assert far[2] > 0, "it goes away"
    assert math.dist(aim.at.xy, eye.see(far[None])[0].tolist()) < 0.01
    goal = found.prepared.things[1].standing.ahead.goal
    assert aim.at.x == pytest.approx(goal.x, abs=1e-6)
    assert_same_point(found.board.points[aim.name].xy, aim.at.xy, "found by hand")


@settings(max_examples=100, suppress_health_check=[HealthCheck.filter_too_much])
@given(flights())
def test_the_point_of_the_slope_lies_straight_over_the_one_to_which_the_flight_climbs(exercise: Exercise) -> None:
    """On any deck a flight goes away from the viewer as it rises, or runs level with the picture."""
    found = solved(set_at(exercise, "things.1.over_by", "slope"))
    standing, line = found.prepared.things[1].standing, corners(found, "near", "in")
    if standing.slope_aim is None:
        assert line[-1][2] == pytest.approx(line[0][2], abs=1e-9)
    else:
        assert line[-1][2] > line[0][2]
        assert standing.slope_aim.at.x == pytest.approx(standing.ahead.goal.x, abs=1e-6)
        assert standing.slope_aim.at.y > standing.ahead.goal.y


def test_a_flight_parallel_to_the_picture_has_no_point_and_is_carried_over() -> None:
    by_point, carried = (draw(deck("one_point", "up", over_by=way)) for way in ("slope", "carried"))
    assert [step.text for step in by_point.steps] == [step.text for step in carried.steps]


@pytest.mark.parametrize(("view", "climbs"), GOING_AWAY)
def test_both_ways_of_the_other_side_make_the_same_flight(view: str, climbs: str) -> None:
    ways = [solved(deck(view, climbs, over_by=way)) for way in ("slope", "carried")]
    one, other = ({name: found.board.points[name].xy for name in found.board.points} for found in ways)
    names = [f"Stairs.{name}" for name in ways[0].seen[1].solid.names]
    for name in names:
        assert_same_point(one[name], other[name], name)
    drawing = assert_found_right(deck(view, climbs, over_by="slope"))
    titles = [step.title for step in drawing.steps if step.thing == "Stairs"]
    assert any("the point of the slope" in title for title in titles)


def string_of(found: Solved, side: str) -> np.ndarray[Any, Any]:
    solid = found.seen[1].solid
    return np.array([solid.places[solid.index(f"{side}.string.{end}")] for end in ("foot", "head")])


@pytest.mark.parametrize("steps", ["2", "5", "12"])
@pytest.mark.parametrize(("view", "climbs"), CASES)
def test_a_stringer_runs_as_the_slope_does_one_step_behind_it(view: str, climbs: str, steps: str) -> None:
    """By vectors alone: in truth its lower edge lies as far behind the slope line as a tread is deep."""
    found = solved(deck(view, climbs, string="sides", steps=steps))
    for side in ("near", "far"):
        inner, nose = corners(found, side, "in"), corners(found, side, "nose")
        foot, head = string_of(found, side)
        tread, slope = inner[1] - nose[0], inner[-1] - inner[0]
        assert np.allclose(foot, inner[0] + tread)
        assert np.allclose(head, foot + slope * (1 - 1 / int(steps)))


@pytest.mark.parametrize("over_by", ["carried", "slope"])
@pytest.mark.parametrize(("view", "climbs"), CASES)
def test_stringers_are_told_where_they_are_seen_and_found_right(view: str, climbs: str, over_by: str) -> None:
    drawing = assert_found_right(deck(view, climbs, string="sides", over_by=over_by))
    told = [step.title for step in drawing.steps if "stringer" in step.title]
    found = solved(deck(view, climbs, string="sides", over_by=over_by))
    seen = [piece.edge.name for piece in Sight(found.seen).pieces()[1] if piece.visible and "string" in piece.edge.name]
    names = {"near.string": "Stairs: the stringer", "far.string": "Stairs: the stringer on the other side"}
    assert told == [names[name] for name in dict.fromkeys(seen)]
    plain = draw(deck(view, climbs, over_by=over_by))
    assert len(drawing.lines) > len(plain.lines)


@pytest.mark.parametrize(("view", "climbs"), CASES)
def test_without_a_stringer_the_drawing_is_as_before(view: str, climbs: str) -> None:
    stairs = solved(deck(view, climbs)).prepared.things[1].standing
    assert not [name for name in stairs.made if "string" in name]
    assert not [name for name in stairs.solid.names if "string" in name]
