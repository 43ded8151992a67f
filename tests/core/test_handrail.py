"""Handrails along stairs: both routes, equal posts in truth, the slope point, the order of the hand, bad input."""

from typing import Any

import numpy as np
import pytest
from found_right import assert_found_right
from hypothesis import HealthCheck, given, settings
from scenes import VIEWS, assert_same_point, deck_in, railed, solved

from conftest import box, exercise_of
from orthopsis.core.document.document import Exercise
from orthopsis.core.editing.edit import drag, set_at
from orthopsis.core.errors import GeometryError
from orthopsis.core.exercise.add_thing import add_thing
from orthopsis.core.exercise.solve import draw
from orthopsis.core.plane.homogeneous import join, meet

CASES = [(view, climbs) for view in ("one_point", "two_point") for climbs in ("along", "up")]
STEPS = 5


def stairs(view: str = "two_point", climbs: str = "along", **values: Any) -> Exercise:
    """A deck, stairs on it, and a handrail along them."""
    flight = {"kind": "stairs", "name": "Stairs", "joined_to": "Deck", "joined_by": "face_top", "along": "1:4:1",
              "up": "1:3:2", "rise": 60.0, "steps": str(STEPS), "climbs": climbs}  # fmt: skip
    rail = {"kind": "handrail", "name": "Rail", "joined_to": "Stairs", "joined_by": "face_steps", "high": 24.0}
    return exercise_of(deck_in(view), flight, {**rail, **values}, views=[VIEWS[view]])


@settings(max_examples=200, suppress_health_check=[HealthCheck.filter_too_much])
@given(railed())
def test_every_point_is_where_the_eye_sees_it(exercise: Exercise) -> None:
    found = solved(exercise)
    for name, place in found.seen[2].solid.picture(found.seen[2].eye).items():
        assert_same_point(found.board.points[f"Handrail.{name}"].xy, place, name)


@settings(max_examples=100, suppress_health_check=[HealthCheck.filter_too_much])
@given(railed())
def test_in_truth_all_posts_are_equally_tall_and_stand_on_the_treads(exercise: Exercise) -> None:
    """In the solid, by vectors alone: the posts between end on the line between the first top and the last."""
    found = solved(exercise)
    rail, steps = found.seen[2].solid, found.seen[1].solid
    flight: Any = found.prepared.things[1].standing
    tall = None
    for side in found.prepared.things[2].standing.sides:  # type: ignore[attr-defined]
        for i in found.prepared.things[2].standing.posts:  # type: ignore[attr-defined]
            foot, top = (rail.places[rail.index(f"{side}.{end}.{i}")] for end in ("nose", "top"))
            tread = steps.places[steps.index(flight.corner(side, f"nose.{i}"))]
            size = float(np.abs(rail.places).max())
            assert np.allclose(foot, tread, atol=1e-9 * size)
            tall = top - foot if tall is None else tall
            assert np.allclose(top - foot, tall, atol=1e-9 * size)


@pytest.mark.parametrize(("view", "climbs"), CASES)
def test_it_runs_to_the_slope_point_of_the_stairs(view: str, climbs: str) -> None:
    """What is parallel in truth runs to one point, which lies over that of the treads (slope point: textbooks).

    Of a flight that climbs parallel to the picture both lines have one direction on the page.
    """
    found = solved(stairs(view, climbs, on="both", bars="two"))
    points, flight = found.board.points, found.prepared.things[1].standing
    slope = join(*(points[f"Stairs.{flight.corner('near', name)}"] for name in ("in.0", f"in.{STEPS}")))  # type: ignore[attr-defined]
    rails = [
        join(points[f"Rail.{side}.{end}.0"], points[f"Rail.{side}.{end}.{STEPS - 1}"])
        for side in ("near", "far")
        for end in ("top", "half")
    ]
    goals = [meet(slope, rail) for rail in rails]
    ahead = flight.panel.along if climbs == "along" else flight.panel.up  # type: ignore[attr-defined]
    if ahead.goal.is_ideal:
        assert all(goal.is_ideal or abs(goal.x) > 1e6 for goal in goals)
        return
    for goal in goals:
        assert goal.x == pytest.approx(ahead.goal.x, abs=1e-5)
        assert goal.y == pytest.approx(goals[0].y, abs=1e-4)
        assert goal.y > ahead.goal.y + 1


@pytest.mark.parametrize(("view", "climbs"), CASES)
@pytest.mark.parametrize("bars", ["one", "two"])
def test_it_is_found_right_and_told_in_the_hand_s_order(view: str, climbs: str, bars: str) -> None:
    drawing = assert_found_right(stairs(view, climbs, on="both", bars=bars))
    told = [step for step in drawing.steps if step.thing == "Rail"]
    rail = "the handrail" if bars == "one" else "handrail and lower rail"
    order = [
        "the first post, 24 mm tall", "the last post", rail, "the posts between: 3",
        "the first and the last post of the other side", f"{rail} of the other side",
        "the posts between on the other side: 3",
    ]  # fmt: skip
    assert [step.title.removeprefix("Rail: ") for step in told] == order
    assert ("12 mm" in told[0].text) == (bars == "two")
    assert [step.count for step in told if "between" in step.title] == [3, 3]


@pytest.mark.parametrize(("posts", "treads"), [("1", [0, 1, 2, 3, 4]), ("2", [0, 2, 4]), ("3", [0, 3, 4])])
def test_a_post_stands_at_the_first_the_last_and_every_so_many_steps(posts: str, treads: list[int]) -> None:
    found = solved(stairs(posts=posts))
    names = {f"Rail.near.post.{i}" for i in treads}
    assert {name for name in found.board.lines if ".post." in name and "construction" not in name} == names


def test_its_lines_are_dark_edges_that_the_check_looks_for() -> None:
    lines = [line for line in draw(stairs(on="both")).lines if line.thing == "Rail" and line.role == "edge"]
    assert len({line.name for line in lines if line.visible}) == 2 * (STEPS + 1)


def test_the_height_of_the_first_post_is_dragged() -> None:
    exercise = stairs()
    at = next(handle for handle in draw(exercise).handles if handle.id == "things.2.high").at
    taller: Any = drag(exercise, "things.2.high", at[0], at[1] + 9.0).things[2]
    assert taller.high == pytest.approx(33.0, abs=1.0)


def test_a_new_one_goes_up_with_the_stairs_that_are_there() -> None:
    exercise = add_thing(add_thing(add_thing(exercise_of(views=[VIEWS["one_point"]]), "room"), "stairs"), "handrail")
    rail = exercise.things[2]
    assert (rail.joined_to, rail.joined_by) == (exercise.things[1].id, "face_steps")
    assert [line for line in draw(exercise).lines if line.thing == rail.name and line.visible]


def test_without_stairs_it_is_not_offered_a_place() -> None:
    with pytest.raises(GeometryError) as refused:
        add_thing(add_thing(exercise_of(views=[VIEWS["one_point"]]), "room"), "handrail")
    assert "flight of stairs" in f"{refused.value.why} {refused.value.fix}"


@pytest.mark.parametrize("kind", ["lettering", "rectangles", "division", "figure", "pattern", "raised_block"])
def test_nothing_else_can_lie_on_the_side_of_steps(kind: str) -> None:
    exercise = stairs()
    other = {"kind": kind, "name": "Other", "joined_to": "Stairs", "joined_by": "face_steps"}
    flight = {**exercise.things[1].model_dump(mode="json"), "joined_to": "Deck"}
    drawing = draw(exercise_of(deck_in("two_point"), flight, other, views=[VIEWS["two_point"]]))
    assert not [line for line in drawing.lines if line.thing == "Other"]


def test_stairs_that_cannot_be_drawn_say_so_themselves() -> None:
    """A handrail asks for their side first: the error is at the stairs' place all the same."""
    host = box("Deck", 110.0, 20.0, 200.0, 10.0, depth_by="measured", depth=60.0)
    flight, rail = (thing.model_dump(mode="json") for thing in stairs().things[1:])
    things = [host, {**flight, "joined_to": "Deck", "up": "2:1:1"}, {**rail, "joined_to": "Stairs"}]
    with pytest.raises(GeometryError) as refused:
        draw(exercise_of(*things, views=[VIEWS["one_point"]]))
    assert (refused.value.code, refused.value.about) == ("seen_edge_on", "things.1.up")


@pytest.mark.parametrize(("value", "code"), [(0.0, "length_out_of_limits"), (9000.0, "length_out_of_limits")])
def test_a_height_outside_its_limits_is_refused_at_its_place(value: float, code: str) -> None:
    with pytest.raises(GeometryError) as refused:
        draw(stairs(high=value))
    assert (refused.value.code, refused.value.about) == (code, "things.2.high")


@pytest.mark.parametrize(("climbs", "x_mm"), [("up", 110.0), ("along", 270.0)])
def test_a_far_side_straight_before_the_point_is_refused_with_what_works(climbs: str, x_mm: float) -> None:
    """Lines across run straight up there, or the far side itself is a line: no crossing tells where posts end."""
    host = box("Deck", 110.0, 20.0, 200.0, 10.0, depth_by="measured", depth=60.0)
    flight, rail = (thing.model_dump(mode="json") for thing in stairs(climbs=climbs).things[1:])
    flight = {**flight, "joined_to": "Deck", "along": "0:4:1", "up": "0:4:1"}
    under = {**VIEWS["one_point"], "x_mm": x_mm}
    exercise = exercise_of(host, flight, {**rail, "joined_to": "Stairs", "on": "both"}, views=[under])
    with pytest.raises(GeometryError) as refused:
        draw(exercise)
    assert (refused.value.code, refused.value.about) == ("seen_edge_on", "things.2.on")
    assert draw(set_at(exercise, "things.2.on", "near")).lines
