"""Trees, people and posts: both routes, one height by the eye level, what hides them, and what is not judged."""

from typing import Any

import pytest
from hypothesis import given, settings
from scenes import VIEWS, assert_same_point, silhouettes, solved

from conftest import box, exercise_of
from orthopsis.core.check.check import check
from orthopsis.core.check.stroke import Stroke
from orthopsis.core.document.document import Exercise
from orthopsis.core.editing.edit import drag, set_at
from orthopsis.core.errors import GeometryError
from orthopsis.core.exercise.add_thing import add_thing
from orthopsis.core.exercise.solve import draw
from orthopsis.core.plane.homogeneous import Point
from orthopsis.core.sight.hidden import Sight
from orthopsis.core.things.silhouette.outlines import OUTLINES


def row(*others: dict[str, Any], view: str = "one_point", **values: Any) -> Exercise:
    """Trees along the quay."""
    thing = {"kind": "silhouettes", "name": "Trees", "left": 60.0, "bottom": 40.0, "height": 100.0, "gap": 40.0}
    return exercise_of({**thing, **values}, *others, views=[VIEWS[view]])


@settings(max_examples=200)
@given(silhouettes())
def test_every_point_is_where_the_eye_sees_it_and_every_edge_is_drawn(exercise: Exercise) -> None:
    found = solved(exercise)
    picture = found.seen[0].solid.picture(found.seen[0].eye)
    for name, place in picture.items():
        assert_same_point(found.board.points[f"Row.{name}"].xy, place, name)
    for piece in Sight(found.seen).pieces()[0]:
        assert f"Row.{piece.edge.name}" in found.board.lines


@pytest.mark.parametrize("what", sorted(OUTLINES))
def test_an_outline_runs_once_round_from_foot_to_top_and_is_the_same_on_both_sides(what: str) -> None:
    corners = OUTLINES[what].corners
    assert min(y for _, y in corners) == 0.0
    assert max(y for _, y in corners) == 1.0
    assert {(-x, y) for x, y in corners} == set(corners) | {(-0.0, y) for x, y in corners if x == 0}
    assert len(set(corners)) == len(corners)
    area = sum(a[0] * b[1] - b[0] * a[1] for a, b in zip(corners, (*corners[1:], corners[0]), strict=True))
    assert area > 0, "anticlockwise"


@pytest.mark.parametrize(("share", "times"), [("half", 0.5), ("same", 1.0), ("double", 2.0)])
def test_people_keep_their_share_of_the_eye_level_wherever_they_stand(share: str, times: float) -> None:
    for bottom in (10.0, 60.0, 120.0):
        exercise = row(bottom=bottom, what="figure", tall_by="level", share=share)
        top = solved(exercise).board.points["Trees.measure.top.0"]
        assert top.y - bottom == pytest.approx(times * (150.0 - bottom))


def test_by_the_middle_line_and_by_eye_they_stand_at_the_same_places() -> None:
    one, two = (solved(row(count="6", spaced=spaced)).board.points for spaced in ("diagonal", "eye"))
    for i in range(6):
        assert_same_point(one[f"Trees.measure.foot.{i}"].xy, two[f"Trees.measure.foot.{i}"].xy)


def test_a_house_in_front_hides_a_tree_and_a_tree_in_front_hides_a_house() -> None:
    """Who stands nearer on the ground hides the other, whatever the list says."""
    near = box("Near", 20.0, 10.0, 80.0, 150.0, depth_by="measured", depth=5.0)
    far = box("Far", 40.0, 110.0, 80.0, 60.0, depth_by="measured", depth=5.0)
    hidden = [line for line in solved(row(near)).final if line.thing == "Trees"]
    assert hidden == []
    exercise = row(far, left=80.0)
    edges = {line.name for line in solved(exercise).final if line.thing == "Trees"}
    assert len(edges) == len(OUTLINES["tree"].corners)


def test_poles_have_wires_that_run_to_the_point_from_the_first_to_the_last() -> None:
    found = solved(row(what="pole", count="4"))
    wires = [line for name, line in found.board.lines.items() if ".wire." in name]
    assert len(wires) == 2
    assert {wire.family for wire in wires} == {"point"}
    assert all(".wire." not in name for name in solved(row(what="pole")).board.lines), "one pole has none"


@pytest.mark.parametrize(("left", "toward"), [(40.0, 1), (360.0, -1)])
def test_a_fence_has_two_rails_at_the_side_of_its_posts_that_is_turned_to_the_point(left: float, toward: int) -> None:
    exercise = row(what="fence", count="5", left=left, gap=20.0)
    found = solved(exercise)
    rails = [line for name, line in found.board.lines.items() if ".wire." in name]
    assert [rail.family for rail in rails] == ["point"] * 4
    foot = found.board.points["Trees.measure.foot.0"]
    assert all((rail.start.x - foot.x) * toward > 0 for rail in rails)
    step = next(step for step in draw(exercise).steps if "rails" in step.text)
    assert step.count == 4
    assert all("rails" not in step.text for step in draw(row(what="fence")).steps), "one post has none"


def test_they_are_sketched_so_nobody_counts_their_lines_or_misses_them() -> None:
    exercise = row(box("Crate", 200.0, 20.0, 60.0, 50.0), count="3")
    drawing = draw(exercise)
    sketches = [step for step in drawing.steps if "by hand" in step.tool]
    assert [step.count for step in sketches] == [0, 0]
    assert all(len(step.draws) > 10 for step in sketches)
    strokes = [
        Stroke(Point(*line.start), Point(*line.end), 1.0)
        for line in drawing.lines
        if line.role in ("edge", "detail") and line.visible and line.thing != "Trees"
    ]
    assert check(exercise, strokes).missing == []
    darken = next(step for step in drawing.steps if step.phase == "darken")
    assert darken.count == 7, "only the crate's"


def test_a_sheet_of_trees_alone_is_not_toned() -> None:
    assert [step.phase for step in draw(row()).steps if step.phase == "tone"] == []


@pytest.mark.parametrize(
    ("values", "code", "about"),
    [
        ({"bottom": 155.0}, "not_on_ground", "bottom"),
        ({"count": "8", "gap": 400.0}, "row_past_point", "gap"),
        ({"height": 0.5}, "length_out_of_limits", "height"),
    ],
)
def test_what_cannot_be_drawn_is_refused_with_the_nearest_that_works(
    values: dict[str, Any], code: str, about: str
) -> None:
    exercise = row(**values)
    with pytest.raises(GeometryError) as refused:
        draw(exercise)
    assert (refused.value.code, refused.value.about) == (code, f"things.0.{about}")
    nearest = float((refused.value.nearest or "").split()[0])
    assert draw(set_at(exercise, f"things.0.{about}", nearest)).lines


def test_where_uprights_run_to_a_point_it_is_refused_with_words() -> None:
    exercise = row(view="from_above")
    with pytest.raises(GeometryError) as refused:
        draw(exercise)
    assert refused.value.fix


def test_dragging_the_top_changes_the_height_and_choosing_to_measure_keeps_it() -> None:
    dragged = drag(row(), "things.0.height", 60.0, 170.0)
    assert dragged.things[0].height == 130.0  # type: ignore[attr-defined]
    exercise = row(tall_by="level", share="double")
    assert "things.0.height" not in {handle.id for handle in draw(exercise).handles}
    chosen = set_at(exercise, "things.0.tall_by", "measured")
    assert chosen.things[0].height == pytest.approx(220.0)  # type: ignore[attr-defined]
    added = add_thing(exercise_of(), "silhouettes").things[0]
    assert added.bottom < 150.0  # type: ignore[attr-defined]


def test_nothing_is_said_against_a_tree_that_leaves_the_sheet_or_a_road_to_a_point_beyond_it() -> None:
    codes = [piece.code for piece in draw(row(left=5.0, height=280.0)).advice]
    assert not {"off_the_paper", "straight_before", "side_too_thin"} & set(codes)
    road = {"kind": "road", "name": "Road", "left": 40.0, "bottom": 0.0, "width": 90.0}
    codes = [piece.code for piece in draw(exercise_of(road, views=[VIEWS["two_point"]])).advice]
    assert not {"off_the_paper", "straight_before"} & set(codes)
