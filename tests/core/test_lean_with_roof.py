"""A lean-to that is as steep as a gable roof and runs to the same slope point: both routes, what is true, refusals."""

from typing import Any

import numpy as np
import pytest
from found_right import assert_found_right
from hypothesis import HealthCheck, given, settings
from scenes import VIEWS, assert_same_point, leaning, solved

from conftest import exercise_of
from orthopsis.core.document.document import Exercise
from orthopsis.core.drawing.solved import Solved, solve
from orthopsis.core.editing.edit import set_at
from orthopsis.core.errors import GeometryError
from orthopsis.core.exercise.solve import draw
from orthopsis.core.plane.homogeneous import Point, distance, join, meet
from orthopsis.core.scene.prepared import prepare
from orthopsis.core.view.eye import Array

SLOW = [HealthCheck.filter_too_much, HealthCheck.too_slow]
HOUSE = {
    "kind": "box", "name": "House", "left": 180.0, "bottom": 40.0, "height": 70.0, "left_by": "measured",
    "left_length": 70.0, "right_by": "measured", "right_length": 90.0,
}  # fmt: skip
SHED = {**HOUSE, "name": "Shed", "height": 40.0, "left_length": 36.0, "right_length": 44.0, "joined_to": "House"}
GABLE = {"kind": "gable_roof", "name": "Gable", "joined_to": "House", "joined_by": "face_left", "rise": 36.0}


def sheds(far_by: str = "slope", **roof: Any) -> Exercise:
    """A house with a gable roof, and a shed beyond it whose lean-to runs with that."""
    lean = {"kind": "lean_to", "name": "Roof", "joined_to": "Shed", "joined_by": "face_top", "over": "left_back"}
    shed = {**SHED, "joined_by": "against_right"}
    things = (HOUSE, shed, {**GABLE, "far_by": far_by}, {**lean, "pitch": "with_roof", **roof})
    return exercise_of(*things, views=[VIEWS["two_point"]])


def slopes(found: Solved) -> dict[str, tuple[Array, Array]]:
    """The sloping edges of the lean-to in the world, by their names: their lower and their upper end."""
    solid = found.seen[found.prepared.by_name["Roof"].index].solid
    at = dict(zip(solid.names, solid.places, strict=True))
    return {edge.name: (at[edge.start], at[edge.end]) for edge in solid.edges if edge.name.startswith("slope.")}


def slope_point(found: Solved) -> Point:
    """The point of the gable's slope to which the lean-to runs, as the hand has marked it."""
    (act,) = (m.act for m in found.moves if m.thing == "Roof" and getattr(m.act, "point", "").startswith("Gable."))
    return found.board.points[act.point]  # type: ignore[union-attr]


def true_sheds(high: str = "left", **gable: Any) -> Exercise:
    """A house whose gable is drawn true, and a shed against it whose lean-to runs with that."""
    house = {"kind": "box", "name": "House", "left": 150.0, "bottom": 50.0, "width": 90.0, "height": 60.0,
             "depth_by": "measured", "depth": 50.0}  # fmt: skip
    shed = {**house, "name": "Shed", "left": 240.0, "width": 50.0, "height": 36.0, "depth": 40.0}
    roof = {**GABLE, "joined_by": "face_front", **gable}
    lean = {"kind": "lean_to", "name": "Roof", "joined_to": "Shed", "joined_by": "face_top", "high": high}
    return exercise_of(
        house, shed, roof, {**lean, "pitch": "with_roof"}, views=[{"kind": "one_point", "x_mm": 330.0}],
        eye_level={"height_mm": 120.0},
    )  # fmt: skip


@settings(max_examples=120, suppress_health_check=SLOW)
@given(leaning())
def test_the_hand_finds_by_the_slope_point_where_the_eye_sees_it(exercise: Exercise) -> None:
    found = solved(exercise)
    seen = found.seen[found.prepared.by_name["Roof"].index]
    for corner, place in seen.solid.picture(seen.eye).items():
        assert_same_point(found.board.points[f"Roof.{corner}"].xy, place, corner)


@settings(max_examples=80, suppress_health_check=SLOW)
@given(leaning())
def test_in_truth_it_is_parallel_to_a_slope_of_the_gable_roof(exercise: Exercise) -> None:
    """The eye's own solids: the hand's slope point has no part in this."""
    found = solved(exercise)
    gable = found.seen[found.prepared.by_name["Gable"].index].solid
    at = dict(zip(gable.names, gable.places, strict=True))
    ways = [at["front.peak"] - at[foot] for foot in ("front.first", "front.far")]
    for low, high in slopes(found).values():
        way = high - low
        # Lengths may differ and places be enlarged about the eye, directions not.
        turns = [float(np.linalg.norm(np.cross(way, one)) / np.linalg.norm(way) / np.linalg.norm(one)) for one in ways]
        assert min(turns) < 1e-9


def test_on_the_page_both_its_slopes_meet_in_the_slope_point_of_the_other_roof() -> None:
    found = solve(prepare(sheds()))
    eye = found.seen[3].eye
    lines = [join(*(Point(x, y) for x, y in eye.see(np.array(ends)).tolist())) for ends in slopes(found).values()]
    assert distance(meet(*lines), slope_point(found)) < 1e-6


def test_a_steeper_gable_makes_it_steeper_and_a_measured_one_stays() -> None:
    heights = {
        pitch: [
            draw(set_at(sheds(pitch=pitch), "things.2.rise", rise)).points["Roof.lid.2"][1] for rise in (30.0, 50.0)
        ]
        for pitch in ("with_roof", "measured")
    }
    low, high = heights["with_roof"]
    assert high > low + 4
    assert heights["measured"][0] == heights["measured"][1]


def test_it_is_drawn_after_the_gable_roof_wherever_it_stands_in_the_list() -> None:
    exercise = sheds()
    house, shed, gable, lean = exercise.things
    drawing = draw(exercise.model_copy(update={"things": (house, shed, lean, gable)}))
    order = [step.thing for step in drawing.steps]
    assert order.index("Gable") < order.index("Roof")


def test_a_finished_one_is_found_right_and_told_without_a_measure() -> None:
    drawing = assert_found_right(sheds())
    own = [step for step in drawing.steps if step.thing == "Roof"]
    assert "slope point of Gable" in own[0].text
    assert not any("mm" in step.text for step in own)
    assert not [handle for handle in drawing.handles if handle.id.startswith("things.3.")]
    assert not [mark for mark in drawing.measures if mark.about == "things.3"]


@pytest.mark.parametrize(("far_by", "over"), [("middle", "left_back"), ("slope", "right_back"), ("slope", "left")])
def test_without_a_slope_that_rises_the_same_way_and_has_its_point_it_is_refused(far_by: str, over: str) -> None:
    with pytest.raises(GeometryError) as caught:
        draw(sheds(far_by, over=over))
    assert (caught.value.code, caught.value.about) == ("no_roof_to_run_with", "things.3.pitch")
    assert draw(set_at(sheds(far_by, over=over), "things.3.pitch", caught.value.nearest)).steps


def test_beside_a_gable_that_is_drawn_true_it_is_parallel_to_that_on_the_page() -> None:
    """What is parallel to the picture keeps its direction (textbook)."""
    drawing = assert_found_right(true_sheds())
    low, high = (np.array(drawing.points[f"Roof.{corner}"]) for corner in ("corner.3", "lid.0"))
    foot, peak = (np.array(drawing.points[f"Gable.front.{corner}"]) for corner in ("far", "peak"))
    one, two = high - low, peak - foot
    assert abs(one[0] * two[1] - one[1] * two[0]) < 1e-9 * np.linalg.norm(one) * np.linalg.norm(two)
    step = next(step for step in drawing.steps if step.title.startswith("Roof: its slope"))
    assert "without turning it" in step.text
    assert "mm" not in step.text
    assert not step.dimensions


@pytest.mark.parametrize("far_by", ["slope", "middle"])
def test_the_far_end_of_a_true_gable_has_no_part_in_it(far_by: str) -> None:
    tip = draw(true_sheds(far_by=far_by)).points["Roof.lid.0"]
    assert tip == pytest.approx((240.0, 86.0 + 50 * 36 / 45))


@pytest.mark.parametrize("high", ["back", "front"])
def test_a_slope_that_rises_another_way_than_the_true_gable_is_refused(high: str) -> None:
    with pytest.raises(GeometryError) as caught:
        draw(true_sheds(high))
    assert (caught.value.code, caught.value.about) == ("no_roof_to_run_with", "things.3.pitch")
