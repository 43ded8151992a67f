"""Ramps: both routes, what is true of them, the order of the hand, bad input."""

from typing import Any

import numpy as np
import pytest
from found_right import assert_found_right
from hypothesis import HealthCheck, given, settings
from scenes import VIEWS, assert_same_point, deck_in, ramps, solved

from conftest import box, exercise_of
from orthopsis.core.document.document import Exercise
from orthopsis.core.drawing.solved import solve
from orthopsis.core.editing.edit import drag, set_at
from orthopsis.core.errors import GeometryError
from orthopsis.core.exercise.add_thing import add_thing
from orthopsis.core.exercise.solve import draw
from orthopsis.core.plane.homogeneous import join, meet
from orthopsis.core.scene.prepared import prepare

CASES = [(view, climbs) for view in ("one_point", "two_point") for climbs in ("along", "up")]


def deck(view: str = "two_point", climbs: str = "along", **values: Any) -> Exercise:
    ramp = {"kind": "ramp", "name": "Ramp", "joined_to": "Deck", "joined_by": "face_top", "along": "1:4:1",
            "up": "1:3:2", "rise": 24.0, "climbs": climbs}  # fmt: skip
    return exercise_of(deck_in(view), {**ramp, **values}, views=[VIEWS[view]])


@settings(max_examples=300, suppress_health_check=[HealthCheck.filter_too_much])
@given(ramps())
def test_every_point_is_where_the_eye_sees_it(exercise: Exercise) -> None:
    found = solved(exercise)
    for name, place in found.seen[1].solid.picture(found.seen[1].eye).items():
        assert_same_point(found.board.points[f"Ramp.{name}"].xy, place, name)


@settings(max_examples=100, suppress_health_check=[HealthCheck.filter_too_much])
@given(ramps())
def test_in_truth_it_is_half_of_a_block_cut_along_its_diagonals(exercise: Exercise) -> None:
    """In the solid, by vectors alone: both sides alike, the end straight over the far edge of the plan."""
    found = solved(exercise)
    ramp, solid = found.prepared.things[1].standing, found.seen[1].solid

    def at(side: str, name: str) -> Any:
        return solid.places[solid.index(ramp.corner(side, name))]

    scale = float(np.abs(solid.places).max())
    over = at("far", "in.0") - at("near", "in.0")
    for name in ("end", "top"):
        assert np.allclose(at("far", name) - at("near", name), over, atol=1e-9 * scale)
    rise = at("near", "top") - at("near", "end")
    out = np.array(ramp.panel.outward)
    assert np.linalg.norm(np.cross(rise, out)) < 1e-9 * scale
    assert float(rise @ out) > 0
    face = next(face for face in solid.faces if face.name == "slope")
    corners = np.array([solid.places[solid.index(name)] for name in face.corners])
    normal = np.cross(corners[1] - corners[0], corners[3] - corners[0])
    assert np.abs((corners - corners[0]) @ normal).max() < 1e-9 * scale**3


@pytest.mark.parametrize(("view", "climbs"), CASES)
def test_its_slopes_meet_straight_over_the_point_of_its_foot(view: str, climbs: str) -> None:
    """Lines up one slope vanish straight over the point of the level lines under them (textbooks of perspective)."""
    found = solved(deck(view, climbs))
    ramp, points = found.prepared.things[1].standing, found.board.points
    sides = [[points[f"Ramp.{ramp.corner(side, name)}"] for name in ("in.0", "top")] for side in ("near", "far")]
    slope = meet(*(join(*ends) for ends in sides))
    goal = ramp.ahead.goal
    if goal.is_ideal:
        assert slope.is_ideal, "parallel to the picture, they stay parallel"
    else:
        assert slope.x == pytest.approx(goal.x, abs=1e-6)
        assert slope.y > goal.y


@pytest.mark.parametrize(("view", "climbs"), CASES)
def test_a_finished_ramp_is_found_right_and_told_in_the_hand_s_order(view: str, climbs: str) -> None:
    drawing = assert_found_right(deck(view, climbs))
    titles = [step.short for step in drawing.steps if step.thing == "Ramp"]
    order = ["plan", "how high it is: 24 mm", "over its end", "the slope", "over to the other side"]
    places = [next(i for i, title in enumerate(titles) if words in title) for words in order]
    assert places == sorted(places)


@pytest.mark.parametrize("reach", ["measured", "edge"])
def test_two_ramps_of_one_height_at_the_edge_are_equally_high_in_truth(reach: str) -> None:
    """What is measured at one place and carried is as high wherever it stands; what is measured over itself is not."""
    near, far = ({"along": "1:4:1", "up": up, "reach": reach} for up in ("1:3:8", "8:3:1"))
    things = [thing.model_dump(mode="json") for thing in deck(**near).things]
    other = {**deck(**far).things[1].model_dump(mode="json"), "name": "Other", "joined_to": "Deck"}
    first = {**things[1], "joined_to": "Deck"}
    for thing in (things[0], first, other):
        thing.pop("id", None)
    found = solved(exercise_of(things[0], first, other, views=[VIEWS["two_point"]]))
    highs = []
    for seen in found.seen[1:]:
        low, high = seen.solid.places[:, 1].min(), seen.solid.places[:, 1].max()
        highs.append((high - low) / abs(low))
    assert (abs(highs[0] - highs[1]) < 1e-9) == (reach == "edge")


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
    ramp = deck().things[1].model_dump(mode="json")
    exercise = exercise_of(host, {**ramp, "joined_to": "Deck", "up": "2:1:1"}, views=[VIEWS["one_point"]])
    with pytest.raises(GeometryError) as refused:
        draw(exercise)
    assert (refused.value.code, refused.value.about) == ("seen_edge_on", "things.1.up")
    assert draw(set_at(exercise, "things.1.up", refused.value.nearest)).lines


@pytest.mark.parametrize(("view", "climbs"), CASES)
def test_its_height_is_dragged(view: str, climbs: str) -> None:
    exercise = deck(view, climbs)
    at = next(handle for handle in draw(exercise).handles if handle.id == "things.1.rise").at
    taller: Any = drag(exercise, "things.1.rise", at[0], at[1] + 15.0).things[1]
    assert taller.rise == pytest.approx(39.0, abs=0.5)


@pytest.mark.parametrize("kind", ["pattern", "division", "rectangles", "figure", "lettering"])
def test_on_its_slope_whose_edges_run_to_a_point_of_their_own_nothing_is_laid_but_shadows(kind: str) -> None:
    """What divides a face by its two points would find wrong places there."""
    exercise = deck()
    assert "face_slope" in {f"face_{key}" for key in solved_faces(exercise)}
    added = add_thing(exercise, kind)
    assert (added.things[-1].joined_to, added.things[-1].joined_by) != (exercise.things[1].id, "face_slope")
    laid = {"kind": kind, "name": "On it", "joined_to": "Ramp", "joined_by": "face_slope"}
    drawing = draw(exercise_of(deck_in("two_point"), exercise.things[1].model_dump(mode="json") | {"joined_to": "Deck"},
                               laid, views=[VIEWS["two_point"]]))  # fmt: skip
    assert not [line for line in drawing.lines if line.thing == "On it"]
    assert [one for one in drawing.advice if one.about.startswith("things.2")]


def solved_faces(exercise: Exercise) -> set[str]:
    return set(solve(prepare(exercise)).prepared.things[1].standing.faces)
