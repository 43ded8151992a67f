"""Rows going away: both routes, equal spacing as the textbook has it, free places, and what a teacher changes."""

import itertools
import math
from typing import Any

import numpy as np
import pytest
from hypothesis import given, settings
from scenes import VIEWS, assert_same_point, rows, solved

from conftest import box, exercise_of
from orthopsis.core.check.check import check
from orthopsis.core.check.stroke import Stroke
from orthopsis.core.document.document import Exercise
from orthopsis.core.editing.edit import drag, set_at
from orthopsis.core.editing.edit_things import remove_thing
from orthopsis.core.editing.edit_together import drag_together
from orthopsis.core.errors import GeometryError
from orthopsis.core.exercise.add_thing import add_thing
from orthopsis.core.exercise.solve import draw
from orthopsis.core.plane.cross_ratio import repeated_mark
from orthopsis.core.plane.homogeneous import Point, distance
from orthopsis.core.sight.hidden import Sight

BLOCK = {
    "kind": "box", "name": "Bollard", "left": 180.0, "bottom": 60.0, "height": 50.0, "left_by": "measured",
    "left_length": 10.0, "right_by": "measured", "right_length": 14.0,
}  # fmt: skip
POST = box("Bollard", 40.0, 30.0, 16.0, 44.0, depth_by="measured", depth=12.0)


def quay(view: str = "one_point", **row: Any) -> Exercise:
    """A row of bollards along a quay."""
    host = POST if view == "one_point" else {**BLOCK, "bottom": {"from_above": 110.0}.get(view, 60.0)}
    by = "in_line" if view == "one_point" else "in_line_right"
    goes = {"kind": "row", "name": "Row", "joined_to": "Bollard", "joined_by": by, "gap_mm": 48.0}
    return exercise_of(host, {**goes, **row}, views=[VIEWS[view]])


@settings(max_examples=300)
@given(rows())
def test_every_point_of_a_row_is_where_the_eye_sees_it(exercise: Exercise) -> None:
    found = solved(exercise)
    placed, seen = found.prepared.things[1], found.seen[1]
    picture = seen.solid.picture(seen.eye)
    made = {n.removeprefix("Row."): p for n, p in found.board.points.items() if n.startswith("Row.")}
    corners = made.keys() & picture.keys()
    assert len(corners) >= 2 * (len(placed.standing.solid.names) // 8)
    for name in corners:
        assert_same_point(made[name].xy, picture[name], name)
    for aim in placed.standing.aims:
        ours = found.board.points[aim.name]
        assert distance(ours, aim.at) <= 1e-3 + 1e-9 * distance(ours, placed.setting.frame.eye.principal) ** 2


@settings(max_examples=250)
@given(rows())
def test_every_edge_of_a_row_that_is_seen_was_made_by_the_hand(exercise: Exercise) -> None:
    found = solved(exercise)
    host, row = ({e.name: e for e in seen.solid.edges} for seen in found.seen)
    alone = Sight([found.seen[0]]).pieces()[0]
    drawn = {
        p.edge.name
        for p in alone
        if p.visible and found.board.points.keys() >= {f"Box 1.{p.edge.start}", f"Box 1.{p.edge.end}"}
    }
    assert drawn <= host.keys()
    for piece in Sight(found.seen).pieces()[1]:
        page = found.seen[1].solid.picture(found.seen[1].eye)
        long = (piece.end - piece.start) * math.dist(page[piece.edge.start], page[piece.edge.end])
        if piece.visible and long > 0.01:
            assert {f"Row.{piece.edge.start}", f"Row.{piece.edge.end}"} <= found.board.points.keys(), piece.edge.name
    assert len(row) == len(host) * len(found.prepared.things[1].standing.solid.names) // len(found.seen[0].solid.names)


@pytest.mark.parametrize("way", ["diagonal", "measured"])
@pytest.mark.parametrize("view", ["one_point", "two_point", "from_above"])
def test_the_spaces_are_equal_in_truth_and_close_up_as_the_cross_ratio_says(view: str, way: str) -> None:
    """Equal spaces on a line to a vanishing point: harmonic marks (projective geometry, textbook)."""
    found = solved(quay(view, count="5", way=way))
    foot = "front.bottom_left" if view == "one_point" else "near.bottom"
    marks = [found.board.points[f"Bollard.{foot}"]]
    marks += [found.board.points[f"Row.Number {n}.{foot}"] for n in (2, 3, 4, 5)]
    goal = found.prepared.frames[0].way("away" if view == "one_point" else "right").goal
    reach = [distance(marks[0], mark) for mark in marks]
    whole = distance(marks[0], goal)
    assert reach == pytest.approx([repeated_mark(reach[1], whole, count) for count in range(5)], abs=1e-6)
    solid = found.seen[1].solid
    at = [solid.places[solid.index(f"Number {n}.{foot}")] for n in (2, 3, 4, 5)]
    spaces = [float(np.linalg.norm(b - a)) for a, b in itertools.pairwise(at)]
    assert spaces == pytest.approx([spaces[0]] * 3)


@pytest.mark.parametrize("view", [view for view in VIEWS if view != "obtuse"])
def test_by_eye_they_are_drawn_where_they_belong(view: str) -> None:
    by_eye, by_diagonal = (solved(quay(view, way=way)).board.points for way in ("eye", "diagonal"))
    shared = [n for n in by_eye.keys() & by_diagonal.keys() if n.startswith("Row.Number")]
    assert len(shared) >= 16
    for name in shared:
        assert_same_point(by_eye[name].xy, by_diagonal[name].xy, name)


@pytest.mark.parametrize("view", ["one_point", "two_point"])
def test_marks_as_far_apart_as_the_spaces_are_in_truth_would_give_the_textbook_s_measuring_point(view: str) -> None:
    # The measuring point lies as far from the vanishing point as the eye does (textbooks; from memory).
    found = solved(quay(view, way="measured", count="4"))
    row, frame = found.prepared.things[1].standing, found.prepared.frames[0]
    goal = frame.way("away" if view == "one_point" else "right").goal
    apart = row.measuring.point.x - goal.x
    true_step = float(np.linalg.norm(row.step)) * frame.eye.distance_mm / row.host.foot_depth
    to_eye = math.hypot(distance(goal, frame.eye.principal), frame.eye.distance_mm)
    assert abs(apart) * true_step / abs(row.measuring.mark_mm) == pytest.approx(to_eye)


@pytest.mark.parametrize("view", ["one_point", "two_point"])
def test_marks_and_their_point_lie_on_the_sheet_and_the_point_on_the_eye_level(view: str) -> None:
    drawing = draw(quay(view, way="measured", count="5"))
    (aim,) = (aim for aim in drawing.aims if aim.label.endswith("of Row") and "measuring" in aim.label)
    assert aim.kind == "aid"
    assert 0 <= aim.at[0] <= 420
    assert aim.at[1] == pytest.approx(150)
    for number in (2, 3, 4, 5):
        x, y = drawing.points[f"Row.measure.mark.{number}"]
        assert 0 <= x <= 420
        assert y == drawing.points["Bollard.front.bottom_left" if view == "one_point" else "Bollard.near.bottom"][1]
    said = [step.text for step in drawing.steps if step.thing == "Row"]
    assert any("4 marks" in text and "apart" in text for text in said)
    assert any("measuring point" in text for text in said)
    assert not any("{" in text for text in said)


def test_what_stands_on_the_eye_level_cannot_be_measured() -> None:
    with pytest.raises(GeometryError, match="lie on the eye level") as refused:
        draw(exercise_of({**POST, "bottom": 150.0}, {**quay().things[1].model_dump(mode="json"), "way": "measured"}))
    assert refused.value.nearest == "diagonal"


def test_one_copy_is_told_fully_and_the_others_in_one_step() -> None:
    steps = [step for step in draw(quay(count="7")).steps if step.thing == "Row"]
    (copy,) = (step for step in steps if step.title == "Row: the second one")
    (more,) = (step for step in steps if step.title == "Row: all the others")
    assert more.count == 5 * copy.count
    assert "48 mm" in next(step.text for step in steps if step.title == "Row: where the second one stands")
    assert len(steps) == len([step for step in draw(quay(count="4")).steps if step.thing == "Row"])


def test_the_last_foot_is_dragged_to_have_more_or_fewer_and_the_first_gap_to_change_the_spacing() -> None:
    exercise = quay(count="4")
    handles = {handle.id: handle.at for handle in draw(exercise).handles}
    goal = Point(210.0, 150.0)
    far = Point(*handles["things.1.count"])
    nearer, farther = (Point(far.x + s * (goal.x - far.x), far.y + s * (goal.y - far.y)) for s in (-0.5, 0.4))
    assert int(str(drag(exercise, "things.1.count", *nearer.xy).things[1].held()["count"])) < 4
    assert int(str(drag(exercise, "things.1.count", *farther.xy).things[1].held()["count"])) > 4
    assert drag(exercise, "things.1.gap_mm", 100.0, 72.0).things[1].gap_mm > 60.0


def test_a_space_beyond_the_point_is_refused_with_the_longest_that_works() -> None:
    with pytest.raises(GeometryError) as refused:
        draw(quay(gap_mm=900.0))
    assert refused.value.about == "things.1.gap_mm"
    draw(set_at(quay(gap_mm=900.0), "things.1.gap_mm", float(refused.value.nearest.split()[0])))


def test_a_row_repeats_a_thing_that_stands_for_itself_and_goes_with_it() -> None:
    exercise = add_thing(exercise_of(POST), "row")
    assert (exercise.things[1].joined_to, exercise.things[1].joined_by) == (exercise.things[0].id, "in_line")
    assert draw(exercise).sentences[-1].title == exercise.things[1].name
    assert [t.name for t in remove_thing(exercise, 0).things] == []
    moved = draw(set_at(exercise, "things.0.left", 60.0))
    first = [next(line.start[0] for line in d.lines if "Number 2" in line.name) for d in (draw(exercise), moved)]
    assert first[0] < first[1]
    with pytest.raises(GeometryError, match="nothing to repeat"):
        add_thing(exercise_of(), "row")
    with pytest.raises(GeometryError, match="is a row"):
        draw(
            exercise_of(
                POST,
                quay().things[1].model_dump(mode="json"),
                {**quay().things[1].model_dump(mode="json"), "name": "Two", "joined_to": "Row"},
            )
        )


def test_a_row_without_its_first_one_says_so() -> None:
    with pytest.raises(GeometryError) as refused:
        draw(exercise_of(POST, {"kind": "row", "name": "Row"}))
    assert (refused.value.code, refused.value.about) == ("cannot_join", "things.1.joined_to")


@pytest.mark.parametrize("side", ["left", "right", "level"])
def test_what_is_cut_from_a_block_is_not_repeated_since_the_block_s_corners_go(side: str) -> None:
    view = VIEWS["from_above"] if side == "level" else VIEWS["two_point"]
    word = {"kind": "letters", "name": "Word", "text": "HE", "left": 200, "bottom": 60, "height": 60, "side": side}
    alone = exercise_of(word, views=[view], eye_level={"height_mm": 200.0})
    draw(alone)
    with pytest.raises(GeometryError) as refused:
        add_thing(alone, "row")
    assert refused.value.code == "no_row"
    row = {"kind": "row", "name": "Row", "joined_to": "Word", "joined_by": "in_line_left"}
    with pytest.raises(GeometryError) as refused:
        draw(exercise_of(word, row, views=[view], eye_level={"height_mm": 200.0}))
    assert (refused.value.code, refused.value.about) == ("cannot_join", "things.1.joined_by")


def test_dragging_a_row_s_handle_moves_nothing_else() -> None:
    exercise = exercise_of(POST, quay().things[1].model_dump(mode="json"), box("Crate", 260, 40, 40, 40))
    after = drag_together(exercise, "things.1.gap_mm", 90.0, 60.0, [2])
    assert after.things[2] == exercise.things[2]
    assert after.things[1].gap_mm != exercise.things[1].gap_mm


def _strokes(exercise: Exercise) -> list[Stroke]:
    lines = [line for line in draw(exercise).lines if line.role == "edge" and line.visible]
    level = Stroke(Point(0.0, 150.0), Point(420.0, 150.0))
    return [level, *(Stroke(Point(*line.start), Point(*line.end)) for line in lines)]


@pytest.mark.parametrize("way", ["diagonal", "measured", "eye"])
def test_a_perfect_row_is_perfect(way: str) -> None:
    exercise = quay(way=way, count="4")
    checked = check(exercise, _strokes(exercise))
    assert checked.missing == []
    assert {line.verdict for line in checked.lines} <= {"fine", "cannot_tell"}


def test_spaces_by_eye_are_not_blamed_and_measured_ones_are_each_judged() -> None:
    drawn = _strokes(quay(way="eye", count="3", gap_mm=54.0))
    by_eye = check(quay(way="eye", count="3", gap_mm=48.0), drawn)
    assert not [line for line in by_eye.lines if line.verdict in ("off", "wrong_point", "unexpected")]
    assert by_eye.missing == []
    measured = check(quay(count="3", gap_mm=48.0), drawn)
    assert [name for name in measured.missing if "Number 2" in name]


@pytest.mark.parametrize("gap_mm", [6.0, 10.0, 16.0])
@pytest.mark.parametrize("look", ["solid", "see_through"])
def test_copies_by_eye_that_lie_close_over_each_other_are_not_taken_for_one_another(gap_mm: float, look: str) -> None:
    post = {**POST, "look": look, "depth_by": "half"}
    goes = {"kind": "row", "name": "Row", "joined_to": "Bollard", "joined_by": "in_line", "way": "eye", "count": "5"}
    exercise = exercise_of(post, {**goes, "gap_mm": gap_mm}, views=[VIEWS["one_point"]])
    checked = check(exercise, _strokes(exercise))
    assert [finding.text for finding in checked.findings if finding.severity] == []
    assert checked.missing == []


def test_an_edge_of_a_copy_that_leans_is_blamed() -> None:
    exercise = quay(count="3")
    lines = [line for line in draw(exercise).lines if line.role == "edge" and line.visible]
    number = next(i for i, line in enumerate(lines) if line.thing == "Row" and line.name == "Number 2.front.left")
    strokes = [Stroke(Point(*line.start), Point(*line.end)) for line in lines]
    strokes[number] = Stroke(strokes[number].start, Point(strokes[number].end.x + 5.0, strokes[number].end.y))
    checked = check(exercise, strokes)
    (leaning,) = (line for line in checked.lines if line.matched == "Row.Number 2.front.left")
    assert leaning.verdict in ("slightly_off", "off", "wrong_point")
    assert any("Number 2 of Row" in finding.text or "Number 2 of Row" in finding.line for finding in checked.findings)
