"""Gable roofs: both routes, in every kind of view, and what a textbook says of them."""

import math
from typing import Any

import numpy as np
import pytest
import shapely
from hypothesis import given, settings
from scenes import VIEWS, assert_same_point, hipped, roofed, rows, solved, topped, windowed

from conftest import box, exercise_of
from orthopsis.core.check.check import check
from orthopsis.core.check.stroke import Stroke
from orthopsis.core.construct.moves import inputs, outputs
from orthopsis.core.document.document import Exercise
from orthopsis.core.drawing.solved import solve
from orthopsis.core.editing.edit import drag, set_at
from orthopsis.core.errors import GeometryError
from orthopsis.core.exercise.add_thing import add_thing
from orthopsis.core.exercise.solve import draw
from orthopsis.core.plane.homogeneous import Point, distance
from orthopsis.core.scene.prepared import prepare
from orthopsis.core.sight.hidden import Sight
from orthopsis.core.view.slope import slope_points

LOFT = {
    "kind": "box", "name": "Loft", "left": 200.0, "bottom": 60.0, "height": 70.0, "left_by": "measured",
    "left_length": 60.0, "right_by": "measured", "right_length": 90.0,
}  # fmt: skip


def loft(view: str = "two_point", by: str = "face_left", **roof: Any) -> Exercise:
    """A net loft with a gable roof."""
    host = {**LOFT, "bottom": {"from_above": 100.0, "from_below": 170.0}.get(view, 60.0)}
    if view == "one_point":
        host = box("Loft", 40.0, 90.0, 90.0, 80.0, depth_by="measured", depth=60.0)
    roof = {"rise": 110.0 if view == "from_below" else 30.0, **roof}
    over = {"kind": "gable_roof", "name": "Roof", "joined_to": "Loft", "joined_by": by, **roof}
    return exercise_of(host, over, views=[VIEWS[view]])


@settings(max_examples=400)
@given(roofed())
def test_every_point_of_a_roof_is_where_the_eye_sees_it(exercise: Exercise) -> None:
    found = solved(exercise)
    placed, seen = found.prepared.things[1], found.seen[1]
    picture = seen.solid.picture(seen.eye)
    made = {n.removeprefix("Roof."): p for n, p in found.board.points.items() if n.startswith("Roof.")}
    assert made.keys() >= {"front.first", "front.far", "front.peak"}
    for name in made.keys() & picture.keys():
        assert_same_point(made[name].xy, picture[name], name)
    for aim in placed.standing.aims:
        ours, theirs = found.board.points[aim.name], aim.at
        assert distance(ours, theirs) <= 1e-9 * distance(ours, found.board.points["Roof.front.peak"]) ** 2 + 1e-3


@settings(max_examples=400)
@given(roofed() | hipped() | topped())
def test_every_edge_of_a_roof_that_is_seen_was_made_by_the_hand(exercise: Exercise) -> None:
    found = solved(exercise)
    for placed, pieces in zip(found.prepared.things, Sight(found.seen).pieces(), strict=True):
        page = found.seen[placed.index].solid.picture(found.seen[placed.index].eye)
        drawn = [shapely.LineString([page[p.edge.start], page[p.edge.end]]) for p in pieces if p.visible]
        for piece in pieces:
            ends = page[piece.edge.start], page[piece.edge.end]
            seen = [(a + share * (b - a)) for share in (piece.start, piece.end) for a, b in zip(*ends, strict=True)]
            long, middle = (
                math.dist(seen[:2], seen[2:]),
                shapely.Point((seen[0] + seen[2]) / 2, (seen[1] + seen[3]) / 2),
            )
            # Where a far edge lies exactly on a near one on the page, only one line is drawn.
            lies_on_another = sum(line.distance(middle) < 1e-6 for line in drawn) > 1
            if piece.visible and long > 0.01 and not lies_on_another:
                names = (f"{placed.values.name}.{end}" for end in (piece.edge.start, piece.edge.end))
                assert all(name in found.board.points for name in names), (placed.values.name, piece.edge.name)


@settings(max_examples=200)
@given(roofed() | hipped() | rows() | windowed())
def test_each_move_takes_up_only_what_is_there_already(exercise: Exercise) -> None:
    found = solved(exercise)
    anchor = found.prepared.things[1].setting.anchor
    there = {aim for aim in found.prepared.aims if found.prepared.aims[aim].owner not in found.prepared.by_name}
    there |= {"eye level", *found.built[0].points, *found.built[0].lines}
    if anchor is not None and anchor.panel is not None:
        there |= {*anchor.points, *anchor.panel.lines}
    for move in found.built[1].moves:
        assert inputs(move.act) - {"", "level", "upright", "free"} <= there, move
        there |= outputs(move.act)
    for step in draw(exercise).steps:
        assert step.text
        assert not set("{[") & set(step.text), step.text


@pytest.mark.parametrize(
    ("view", "by"),
    [("one_point", "face_front"), ("one_point", "face_right")]
    + [(view, by) for view in VIEWS if view not in ("one_point", "obtuse") for by in ("face_left", "face_right")],
)
def test_both_ways_find_the_same_end_of_the_ridge(view: str, by: str) -> None:
    ends = [solved(loft(view, by, far_by=way)).board.points["Roof.back.peak"] for way in ("slope", "middle")]
    assert_same_point(ends[0].xy, ends[1].xy)


@pytest.mark.parametrize("view", ["one_point", "two_point", "from_above", "from_below"])
def test_the_slope_point_is_where_the_textbook_puts_it(view: str) -> None:
    """Height ± |VE| tan(slope) over the eye level in one- and two-point, in three-point by the direction (textbook)."""
    found = solved(loft(view, "face_right"))
    places = dict(zip(found.seen[1].solid.names, found.seen[1].solid.places, strict=True))
    first, far, peak = (places[f"front.{corner}"] for corner in ("first", "far", "peak"))
    half = float(np.linalg.norm((first + far) / 2 - first))
    slope = math.degrees(math.atan2(float(np.linalg.norm(peak - (first + far) / 2)), half))
    frame = found.prepared.frames[0]
    above, _ = slope_points(frame, "away" if view == "one_point" else "right", slope)
    at = found.board.points["Roof.slope_above"]
    assert distance(above, at) < 1e-6 * (1 + distance(at, frame.eye.principal))
    if view != "one_point" and "from" not in view:
        reach = distance(frame.way("right").goal, frame.eye.principal)
        height = math.hypot(reach, frame.distance_mm) * math.tan(math.radians(slope))
        assert at.y - frame.level_mm == pytest.approx(height)


def test_the_peak_is_as_high_as_measured_over_the_true_middle() -> None:
    places = solved(loft()).seen[1].solid
    at = dict(zip(places.names, places.places, strict=True))
    middle = (at["front.first"] + at["front.far"]) / 2
    assert float(np.linalg.norm(at["front.peak"] - middle)) == pytest.approx(30.0)
    assert np.allclose((at["back.peak"] - at["front.peak"]), at["back.first"] - at["front.first"])


def test_in_one_point_the_far_slope_is_parallel_to_the_near_one() -> None:
    points = solved(loft("one_point", "face_front")).board.points
    near, far = (
        math.atan2(points[f"Roof.{end}.peak"].y - points[f"Roof.{end}.far"].y,
                   points[f"Roof.{end}.peak"].x - points[f"Roof.{end}.far"].x) for end in ("front", "back")
    )  # fmt: skip
    assert near == pytest.approx(far)


@pytest.mark.parametrize(("view", "by"), [("one_point", "face_front"), ("two_point", "face_left")])
def test_wall_and_gable_are_one_plane_and_no_line_parts_them(view: str, by: str) -> None:
    with_roof, without = draw(loft(view, by)), draw(exercise_of(LOFT, views=[VIEWS["two_point"]]))
    edge = "front.top" if view == "one_point" else "top.left"
    drawn = {line.name for line in with_roof.lines if line.thing == "Loft" and line.role == "edge"}
    assert edge not in drawn
    if view == "two_point":
        assert edge in {line.name for line in without.lines if line.role == "edge"}


def test_its_own_point_is_set_up_with_a_strip_and_told_to_be_off_the_sheet() -> None:
    view = {"kind": "two_point", "left_mm": 10.0, "right_mm": 400.0}
    host = {**LOFT, "bottom": 40.0, "left_length": 40.0}
    roof = {"kind": "gable_roof", "name": "Roof", "joined_to": "Loft", "joined_by": "face_left", "rise": 60.0}
    drawing = draw(exercise_of(host, roof, views=[view]))
    (own,) = (aim for aim in drawing.aims if aim.name == "Roof.slope_above")
    assert own.at[0] == pytest.approx(10.0)
    assert [strip.side for strip in drawing.strips] == ["top"]
    assert own.label == "upper slope point of Roof"
    assert any(step.text.startswith("Carry the slope that goes up on") for step in drawing.steps)
    assert [advice.about for advice in drawing.advice if advice.code == "own_point_off_sheet"] == ["things.1"]


@pytest.mark.parametrize(
    ("view", "by"), [("one_point", "face_front"), ("two_point", "face_left"), ("from_above", "face_right")]
)
def test_a_perfect_answer_is_perfect_and_a_slope_gone_astray_is_blamed(view: str, by: str) -> None:
    exercise = loft(view, by)
    lines = [line for line in draw(exercise).lines if line.role == "edge" and line.visible]
    strokes = [Stroke(Point(*line.start), Point(*line.end)) for line in lines]
    checked = check(exercise, strokes)
    assert {line.verdict for line in checked.lines} <= {"fine", "cannot_tell"}  # short ones cannot be told
    assert checked.missing == ["eye level"]
    number = next(i for i, line in enumerate(lines) if line.thing == "Roof" and line.name.startswith("back.slope"))
    start, end = strokes[number].start, strokes[number].end
    strokes[number] = Stroke(start, Point(end.x + 6.0, end.y - 4.0))
    after = check(exercise, strokes)
    assert after.lines[number].verdict != "fine"


def test_over_a_wall_that_does_not_show_there_is_no_roof_and_another_wall_is_offered() -> None:
    exercise = loft("one_point", "face_left")
    (advice,) = (a for a in draw(exercise).advice if a.code == "face_unseen")
    assert [edit.value for cure in advice.cures for edit in cure.edits] == ["face_front"]
    assert not [line for line in draw(exercise).lines if line.thing == "Roof"]


def test_a_new_roof_stands_on_the_last_block_and_its_height_can_be_dragged() -> None:
    exercise = add_thing(exercise_of(LOFT, views=[VIEWS["two_point"]]), "gable_roof")
    roof = exercise.things[1]
    assert (roof.joined_to, roof.joined_by) == (exercise.things[0].id, "face_left")
    higher = drag(exercise, "things.1.rise", 190.0, 60.0 + 70.0 + 41.2)
    assert higher.things[1].held()["rise"] == 41.0
    lowest = drag(exercise, "things.1.rise", 200.0, 20.0)
    assert lowest.things[1].held()["rise"] == 1.0


def test_a_ridge_beyond_the_third_point_is_refused_with_the_highest_that_works() -> None:
    with pytest.raises(GeometryError) as refused:
        draw(loft("from_below", rise=900.0))
    assert (refused.value.code, refused.value.about) == ("edge_past_point", "things.1.rise")
    draw(set_at(loft("from_below", rise=900.0), "things.1.rise", float(refused.value.nearest.split()[0])))


def test_a_roof_goes_with_its_house() -> None:
    before = draw(loft())
    after = draw(set_at(loft(), "things.0.left", 210.0))
    ridge = [
        next(line for line in d.lines if line.thing == "Roof" and line.name == "ridge" and line.role == "edge")
        for d in (before, after)
    ]
    assert ridge[0].start[0] < ridge[1].start[0]


@pytest.mark.parametrize("by", ["face_left", "face_right"])
def test_a_house_whose_top_lies_on_the_eye_level_can_have_a_roof(by: str) -> None:
    host = {**LOFT, "bottom": 60.0, "height": 90.0}
    over = {"kind": "gable_roof", "name": "Roof", "joined_to": "Loft", "joined_by": by, "rise": 30.0}
    found = solve(prepare(exercise_of(host, over, views=[VIEWS["two_point"]])))
    picture = found.seen[1].solid.picture(found.seen[1].eye)
    made = {n.removeprefix("Roof."): p for n, p in found.board.points.items() if n.startswith("Roof.")}
    for name in made.keys() & picture.keys():
        assert_same_point(made[name].xy, picture[name], name)
