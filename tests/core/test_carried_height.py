"""Heights measured at the edge of a floor and carried over their plans: equal there, equal in truth."""

from typing import Any

import numpy as np
import pytest
from found_right import assert_found_right
from hypothesis import HealthCheck, given, settings
from hypothesis import strategies as st
from scenes import VIEWS, assert_same_point, flights, raised, ramps, solved, tables

from conftest import box, exercise_of
from orthopsis.core.document.document import Exercise
from orthopsis.core.drawing.solved import Solved
from orthopsis.core.editing.edit import drag, set_at
from orthopsis.core.errors import GeometryError
from orthopsis.core.exercise.solve import draw
from orthopsis.core.plane.homogeneous import Point, join, meet

SLOW = [HealthCheck.filter_too_much, HealthCheck.too_slow]
IN_VIEWS = ["one_point", "two_point", "two_point_free", "from_above"]


def deck(view: str, *upon: dict[str, Any], reach: str = "edge") -> Exercise:
    """A low deck with things on its top, each as tall as it says where it is measured."""
    if view == "one_point":
        host = box("Deck", 100.0, 20.0, 200.0, 10.0, depth_by="measured", depth=60.0)
    else:
        host = {**box("Deck", 200.0, 30.0, 10.0, 10.0), "left_by": "measured", "left_length": 90.0,
                "right_by": "measured", "right_length": 110.0}  # fmt: skip
    stands = [{"joined_to": "Deck", "joined_by": "face_top", "reach": reach, **thing} for thing in upon]
    return exercise_of(host, *stands, views=[VIEWS[view]])


def block(name: str, along: str, up: str, rise: float = 16.0, **more: Any) -> dict[str, Any]:
    """A block on the deck."""
    return {"kind": "raised_block", "name": name, "along": along, "up": up, "rise": rise, **more}


def flight(name: str, along: str, up: str, rise: float = 16.0, **more: Any) -> dict[str, Any]:
    """Stairs on the deck."""
    return {"kind": "stairs", "name": name, "along": along, "up": up, "rise": rise, "steps": "4", **more}


def table(name: str, along: str, up: str, rise: float = 16.0, **more: Any) -> dict[str, Any]:
    """A table on the deck."""
    return {"kind": "table", "name": name, "along": along, "up": up, "rise": rise, "thick": 3.0, **more}


def world(found: Solved, name: str, corner: str) -> np.ndarray[Any, np.dtype[np.float64]]:
    """Where a corner is in the eye's world."""
    solid = found.seen[found.prepared.by_name[name].index].solid
    return np.asarray(solid.places[solid.index(corner)])


@settings(max_examples=200, suppress_health_check=SLOW)
@given(raised() | flights() | ramps() | tables())
def test_both_routes_agree_wherever_a_height_is_measured(exercise: Exercise) -> None:
    found = solved(exercise)
    placed, seen = found.prepared.things[1], found.seen[1]
    for name, at in seen.solid.picture(seen.eye).items():
        made = found.board.points.get(placed.values.full(name))
        if made is not None:
            assert_same_point(made.xy, at, name)


@pytest.mark.parametrize("view", IN_VIEWS)
def test_what_is_equally_tall_at_the_edge_is_so_in_truth(view: str) -> None:
    """... and by the textbook's rule: lines over tops and under feet of equally tall things meet on the eye level."""
    things = [block("Near", "1:2:9", "1:2:5"), block("Far", "6:2:4", "5:2:1"), table("Table", "8:3:1", "1:3:4")]
    ends = [("Near", "top.0", "foot.0"), ("Far", "top.0", "foot.0"), ("Table", "top.0", "foot.0")]
    if view in ("one_point", "two_point", "two_point_free"):
        things.append(flight("Flight", "4:2:6", "3:2:3"))
        ends.append(("Flight", "near.in.4", "foot.1"))
    found = solved(deck(view, *things))
    ways = [world(found, name, top) - world(found, name, foot) for name, top, foot in ends]
    for way in ways[1:]:
        assert way == pytest.approx(ways[0], abs=1e-6)
    points = found.board.points
    over = join(points["Near.top.0"], points["Far.top.0"])
    under = join(points["Near.foot.0"], points["Far.foot.0"])
    if found.prepared.frames[0].way("up").goal.is_ideal:
        assert meet(over, under).y == pytest.approx(found.prepared.eye_level_mm, abs=1e-6)


@pytest.mark.parametrize("view", IN_VIEWS)
def test_the_same_measure_over_each_own_corner_is_taller_farther_away(view: str) -> None:
    found = solved(deck(view, block("Near", "1:2:9", "1:2:5"), block("Far", "6:2:4", "1:2:5"), reach="measured"))
    near, far = (world(found, name, "top.0") - world(found, name, "foot.0") for name in ("Near", "Far"))
    assert np.linalg.norm(far) > 1.05 * np.linalg.norm(near)


@pytest.mark.parametrize("view", ["one_point", "two_point"])
@pytest.mark.parametrize("climbs", ["along", "up"])
def test_a_flight_ends_level_with_a_landing_of_its_height(view: str, climbs: str) -> None:
    landing = block("Landing", "6:6:0", "0:6:0") if climbs == "along" else block("Landing", "1:6:5", "4:2:0")
    stairs = (
        flight("Flight", "3:3:6", "1:2:3") if climbs == "along" else flight("Flight", "3:2:7", "1:3:2", climbs="up")
    )
    found = solved(deck(view, landing, stairs))
    tops = [world(found, "Flight", "near.in.4")[1], world(found, "Landing", "top.0")[1]]
    assert tops[0] == pytest.approx(tops[1], abs=1e-6)


@pytest.mark.parametrize("view", IN_VIEWS)
@pytest.mark.parametrize("make", [block, flight, table])
def test_a_finished_one_is_found_right_and_told(view: str, make: Any) -> None:
    if make is flight and view == "from_above":
        return
    drawing = assert_found_right(deck(view, make("Upon", "4:3:5", "2:3:2")))
    said = [step for step in drawing.steps if "height_carried" in step.key or "risers_carried" in step.key]
    assert len(said) == 1
    assert "16 mm" in said[0].text
    assert ("near corner" in said[0].title) == (view != "one_point"), "at the corner, and carried along two edges"
    assert "{" not in said[0].text


@pytest.mark.parametrize("make", [block, flight, table])
def test_where_it_stands_at_the_edge_it_is_simply_measured_there(make: Any) -> None:
    keys = [step.key for step in draw(deck("one_point", make("Upon", "0:3:5", "2:3:2"))).steps]
    assert not any("carried" in key for key in keys)


@pytest.mark.parametrize("view", IN_VIEWS)
def test_how_thick_a_top_is_goes_with_its_height(view: str) -> None:
    """The underside lies 13 of 16 up in truth too, where uprights do not go away."""
    found = solved(deck(view, table("Table", "4:4:4", "2:3:2")))
    foot, under, top = (world(found, "Table", name) for name in ("foot.0", "slab.0", "top.0"))
    share = float(np.linalg.norm(under - foot) / np.linalg.norm(top - foot))
    if found.prepared.frames[0].way("up").goal.is_ideal:
        assert share == pytest.approx(13.0 / 16.0, abs=1e-9)
    else:
        assert 13.0 / 16.0 < share < 1.0, "toward the third point lengths grow shorter on the page"
    said = [
        step.text for step in draw(deck(view, table("Table", "4:4:4", "2:3:2"))).steps if "height_carried" in step.key
    ]
    assert "3 mm" in said[0]


@pytest.mark.parametrize("view", IN_VIEWS)
def test_its_height_is_dragged_where_it_is_measured(view: str) -> None:
    exercise = deck(view, block("Upon", "4:3:5", "2:3:2"))
    handle = next(handle for handle in draw(exercise).handles if handle.id == "things.1.rise")
    higher = drag(exercise, handle.id, handle.at[0], handle.at[1] + 5.0)
    assert higher.things[1].rise == pytest.approx(21.0, abs=1.0)  # type: ignore[attr-defined]


def test_what_lies_straight_before_the_point_cannot_be_carried_there_and_that_is_said() -> None:
    exercise = exercise_of(
        box("Deck", 110.0, 20.0, 200.0, 10.0, depth_by="measured", depth=60.0),
        {**block("Upon", "4:3:5", "1:1:0"), "joined_to": "Deck", "joined_by": "face_top", "reach": "edge"},
        views=[VIEWS["one_point"]],
    )
    with pytest.raises(GeometryError, match="edge-on") as refused:
        draw(exercise)
    assert (refused.value.about, "over its own corner" in refused.value.fix) == ("things.1.up", True)
    assert draw(set_at(exercise, "things.1.reach", "measured")).lines


@settings(max_examples=60, suppress_health_check=SLOW)
@given(st.floats(4.0, 120.0), st.sampled_from(IN_VIEWS))
def test_a_top_on_the_eye_level_is_refused_with_a_height_that_works(rise: float, view: str) -> None:
    exercise = deck(view, block("Upon", "4:3:5", "2:3:2", rise))
    try:
        draw(exercise)
    except GeometryError as error:
        assert error.nearest
        assert error.code in ("lid_on_eye_level", "edge_past_point", "seen_edge_on")
        mm = float(error.nearest.split()[0]) if error.about == "things.1.rise" else rise
        assert draw(set_at(exercise, "things.1.rise", mm)).lines


def test_points_named_alike_do_not_meet() -> None:
    """Two carried heights on one deck keep their marks apart."""
    found = solved(deck("two_point", block("One", "1:2:9", "1:2:5"), block("Two", "6:2:4", "4:2:2", 24.0)))
    marks = {name: at for name, at in found.board.points.items() if ".measure.edge." in name}
    assert len(marks) == 2
    assert len({Point(round(at.x, 6), round(at.y, 6)) for at in marks.values()}) == 2
