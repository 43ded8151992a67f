"""A road over the ground: both routes, dashes that are equal in truth, hidden by what stands there."""

import itertools
from typing import Any

import numpy as np
import pytest
from hypothesis import given, settings
from scenes import VIEWS, assert_same_point, roads, solved

from conftest import box, exercise_of
from orthopsis.core.check.check import check
from orthopsis.core.check.stroke import Stroke
from orthopsis.core.document.document import Exercise
from orthopsis.core.editing.edit import drag, set_at
from orthopsis.core.errors import GeometryError
from orthopsis.core.exercise.add_thing import add_thing
from orthopsis.core.exercise.solve import draw
from orthopsis.core.plane.cross_ratio import repeated_mark
from orthopsis.core.plane.homogeneous import Point, distance
from orthopsis.core.scene.order import Overlap
from orthopsis.core.sheet.length import parse_length


def road(view: str = "one_point", *others: dict[str, Any], **values: Any) -> Exercise:
    """A quay road."""
    thing = {"kind": "road", "name": "Road", "left": 140.0, "bottom": 0.0, "width": 140.0, **values}
    return exercise_of(thing, *others, views=[VIEWS[view]])


@settings(max_examples=200)
@given(roads())
def test_every_point_of_a_road_is_where_the_eye_sees_it(exercise: Exercise) -> None:
    found = solved(exercise)
    picture = found.seen[0].solid.picture(found.seen[0].eye)
    made = {name: at for name, at in found.board.points.items() if name.startswith("Road.")}
    for name, place in picture.items():
        assert_same_point(made[f"Road.{name}"].xy, place, name)


@settings(max_examples=150)
@given(roads())
def test_a_road_lies_level_on_the_ground_and_its_steps_are_equal_there(exercise: Exercise) -> None:
    """Measured in the eye's world, where the recipe never looks."""
    solid = solved(exercise).seen[0].solid
    near = [np.array(solid.places[solid.index(name)]) for name in ("near.left", "near.right")]
    assert abs(near[0][1] - near[1][1]) < 1e-9 or exercise.views[0].kind == "three_point"
    marks = [solid.places[solid.index(name)] for name in solid.names if name.startswith("mark.")]
    steps = [np.linalg.norm(b - a) for a, b in itertools.pairwise(marks)]
    assert np.allclose(steps, steps[:1] * len(steps), rtol=1e-6)


@pytest.mark.parametrize("by", ["diagonal", "eye"])
def test_dashes_close_up_as_the_cross_ratio_says(by: str) -> None:
    """Equal lengths on a line to its vanishing point (projective geometry, textbook)."""
    found = solved(road(dashes="4", dash=26.0, dashes_by=by))
    foot, goal = found.board.points["Road.mark.0"], found.board.points["point"]
    for n in range(1, 8):
        at = found.board.points[f"Road.mark.{n}"]
        assert distance(foot, at) == pytest.approx(repeated_mark(26.0, distance(foot, goal), n), abs=1e-6)


def test_a_road_of_five_centimetres_to_each_side_of_the_middle() -> None:
    """Common practice, no source: eye level across the middle, five centimetres to each side at the lower edge."""
    exercise = road(left=160.0, width=100.0)
    feet = next(step.text for step in draw(exercise).steps if step.thing == "Road")
    assert "160 mm and 260 mm from the left on the lower edge" in feet
    sides = {line.name: line for line in draw(exercise).lines if line.thing == "Road" and line.role == "edge"}
    assert {line.end for line in sides.values()} == {(210.0, 150.0)}
    assert sorted(line.start for line in sides.values()) == [(160.0, 0.0), (260.0, 0.0)]


@pytest.mark.parametrize("is_first", [True, False])
def test_what_stands_on_a_road_hides_it_wherever_it_is_listed(is_first: bool) -> None:
    crate = box("Crate", 190.0, 20.0, 40.0, 40.0)
    middle = road("one_point", crate, dashes="5", dash=24.0)
    things = list(middle.things) if not is_first else list(reversed(middle.things))
    found = solved(middle.model_copy(update={"things": tuple(things)}))
    dashes = [line for line in found.final if line.thing == "Road" and line.name == "dash.0"]
    assert [max(line.start[1], line.end[1]) for line in dashes] == [pytest.approx(20.0)]
    order = found.order
    at = {thing.name: number for number, thing in enumerate(things)}
    assert order.overlaps == (Overlap(at["Crate"], at["Road"], "lies"),)


def test_in_two_point_it_runs_to_the_point_that_is_chosen_and_its_dashes_are_free() -> None:
    for to in ("left", "right"):
        exercise = road("two_point", to=to, dashes="3", dash=10.0)
        drawing = draw(exercise)
        lines = [line for line in drawing.lines if line.thing == "Road" and line.role == "edge"]
        assert {line.family for line in lines} == {f"{to} point"}
        assert any(f"to the {to} point" in step.text for step in drawing.steps)


@pytest.mark.parametrize(
    ("view", "to"),
    [("one_point", "right"), ("two_point", "left"), ("two_point", "right"), ("from_above", "right")],
)
def test_dashes_set_by_eye_are_not_blamed_for_where_they_lie(view: str, to: str) -> None:
    exercise = road(view, dashes="3", dash=26.0, dashes_by="eye", to=to)
    strokes = []
    for line in draw(exercise).lines:
        if line.role in ("edge", "detail") and line.visible:
            ends = [np.array(end) for end in (line.start, line.end)]
            along = (ends[1] - ends[0]) / np.linalg.norm(ends[1] - ends[0])
            if line.name.startswith("dash"):
                ends = [end + 4.0 * along for end in ends]
            strokes.append(Stroke(Point(*ends[0]), Point(*ends[1]), 1.0))
    assert [finding for finding in check(exercise, strokes).findings if finding.severity] == []


@pytest.mark.parametrize(
    ("values", "code", "about"),
    [
        ({"bottom": 160.0}, "not_on_ground", "things.0.bottom"),
        ({"dashes": "5", "dash": 900.0}, "dash_too_long", "things.0.dash"),
        ({"width": 0.5}, "length_out_of_limits", "things.0.width"),
        ({"beside": "both", "pave": 150.0}, "no_room_for_pavement", "things.0.pave"),
        ({"crossing": "4", "cross_at": 400.0}, "crossing_past_point", "things.0.cross_at"),
        ({"crossing": "4", "cross_deep": 600.0}, "crossing_past_point", "things.0.cross_deep"),
    ],
)
def test_what_cannot_be_drawn_is_refused_with_the_nearest_that_works(
    values: dict[str, Any], code: str, about: str
) -> None:
    exercise = road(**values)
    with pytest.raises(GeometryError) as refused:
        draw(exercise)
    assert (refused.value.code, refused.value.about) == (code, about)
    name = about.rpartition(".")[2]
    nearest = parse_length(refused.value.nearest or "", "mm")
    assert draw(set_at(exercise, f"things.0.{name}", nearest)).lines


def test_it_is_added_and_dragged_like_any_other_thing() -> None:
    exercise = add_thing(exercise_of(box("Crate", 40.0, 30.0, 60.0, 40.0)), "road")
    added = exercise.things[-1]
    name = f"things.{len(exercise.things) - 1}"
    moved = drag(exercise, f"{name}.width", added.left + 60.0, 0.0)  # type: ignore[attr-defined]
    assert moved.things[-1].width == pytest.approx(60.0)  # type: ignore[attr-defined]
    below = drag(exercise, f"{name}.place", added.left, 400.0)  # type: ignore[attr-defined]
    assert below.things[-1].bottom < 150.0  # type: ignore[attr-defined]
    assert draw(below).lines


def test_stripes_are_equally_wide_and_as_far_apart_and_run_to_the_point() -> None:
    exercise = road(crossing="5", cross_at=40.0, cross_deep=20.0)
    board = solved(exercise).board
    near = [board.points[f"Road.cross.near.{i}"] for i in range(10)]
    steps = [b.x - a.x for a, b in itertools.pairwise(near)]
    assert steps == pytest.approx([steps[0]] * 9)
    assert near[0].y == pytest.approx(near[-1].y)
    stripes = [line for name, line in board.lines.items() if ".stripe." in name and line.family == "point"]
    assert len(stripes) == 10
    told = [step.text for step in draw(exercise).steps if "equal parts" in step.text]
    assert told == ["Divide the nearer level line into 9 equal parts."]


def test_a_pavement_lies_outside_its_kerb_at_one_height_on_both_sides() -> None:
    points = solved(road(beside="both", pave=30.0, kerb=4.0)).board.points
    for side, way in (("left", -1), ("right", 1)):
        foot, kerb, far = (points[f"Road.near.{name}"] for name in (side, f"kerb_{side}", f"pavement_{side}"))
        assert (kerb.x - foot.x, kerb.y - foot.y) == (0.0, 4.0)
        assert (far.x - kerb.x, far.y - kerb.y) == (way * 30.0, 0.0)


def test_where_two_points_are_a_road_has_no_crossing() -> None:
    drawing = draw(road("two_point", crossing="5"))
    assert not [line for line in drawing.lines if "stripe" in line.name]
    assert not any("crossing" in step.text for step in drawing.steps)


def test_the_crossing_is_dragged_along_the_road_and_not_past_the_point() -> None:
    exercise = road(crossing="4", cross_at=40.0, cross_deep=20.0)
    handle = next(handle for handle in draw(exercise).handles if handle.id == "things.0.crossing")
    assert drag(exercise, handle.id, *handle.at) == exercise
    beyond = drag(exercise, handle.id, 210.0, 149.0)
    assert draw(beyond).lines


@pytest.mark.parametrize(("branch", "lines"), [("none", 0), ("left", 2), ("right", 2), ("both", 4)])
def test_where_a_street_leads_off_the_road_has_no_side(branch: str, lines: int) -> None:
    exercise = road(branch=branch, branch_at=60.0, branch_deep=24.0)
    drawing = draw(exercise)
    seen = [line for line in drawing.lines if line.thing == "Road" and line.visible and line.role == "edge"]
    streets = [line for line in seen if line.name.startswith("street.")]
    assert len(streets) == lines
    for line in streets:
        assert line.start[1] == pytest.approx(line.end[1])
        assert line.end[0] in (0.0, drawing.sheet.width_mm)
    for side in ("left", "right"):
        pieces = sorted((line for line in seen if line.name == side), key=lambda line: line.start[1])
        is_open = branch in (side, "both")
        assert len(pieces) == (2 if is_open else 1)
        if is_open:
            if side == ("right" if branch == "right" else "left"):
                assert distance(Point(*pieces[0].start), Point(*pieces[0].end)) == pytest.approx(60.0)
            ends = sorted((pieces[0].end[1], pieces[1].start[1]))
            assert ends == pytest.approx(sorted({round(line.start[1], 6) for line in streets}), abs=1e-5)


def test_a_finished_road_with_a_street_across_it_is_found_right() -> None:
    exercise = road(branch="both", branch_at=60.0, branch_deep=24.0)
    strokes = [
        Stroke(Point(*line.start), Point(*line.end))
        for line in draw(exercise).lines
        if line.visible and line.role in ("edge", "detail")
    ]
    checked = check(exercise, strokes)
    assert checked.missing == []
    assert [finding.text for finding in checked.findings if finding.severity] == []


def test_a_street_past_the_point_or_over_a_pavement_is_refused_with_what_works() -> None:
    exercise = road(branch="left", branch_at=60.0, branch_deep=24.0)
    with pytest.raises(GeometryError) as refused:
        draw(set_at(exercise, "things.0.branch_at", 600.0))
    assert (refused.value.code, refused.value.about) == ("street_past_point", "things.0.branch_at")
    assert draw(set_at(exercise, "things.0.branch_at", parse_length(refused.value.nearest or "", "mm"))).lines
    with pytest.raises(GeometryError) as refused:
        draw(set_at(exercise, "things.0.beside", "both"))
    assert (refused.value.code, refused.value.about) == ("street_over_pavement", "things.0.beside")


def test_a_hand_moves_the_street_along_the_road() -> None:
    exercise = road(branch="right", branch_at=60.0, branch_deep=24.0)
    at = next(handle for handle in draw(exercise).handles if handle.id == "things.0.branch").at
    after: Any = drag(exercise, "things.0.branch", at[0], at[1] + 20.0).things[0]
    assert after.branch_at > 60.0
    far: Any = drag(exercise, "things.0.branch", 210.0, 290.0).things[0]
    assert draw(drag(exercise, "things.0.branch", 210.0, 290.0)).lines
    assert far.branch_at >= after.branch_at
