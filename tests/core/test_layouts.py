"""Words whose letters stand one behind the other, step back, stand about the point or around the nearest corner."""

from typing import Any

import numpy as np
import pytest
from hypothesis import assume, given, settings
from scenes import CORNER, ROW, VIEWS, assert_same_point, laid_out

from conftest import exercise_of
from orthopsis.core.check.check import check
from orthopsis.core.check.stroke import Stroke
from orthopsis.core.document.document import Exercise
from orthopsis.core.drawing.solved import Solved, solve
from orthopsis.core.editing.edit import drag, set_at, type_at
from orthopsis.core.errors import GeometryError
from orthopsis.core.exercise.own_sheet import own_sheet
from orthopsis.core.exercise.solve import draw
from orthopsis.core.plane.cross_ratio import repeated_mark
from orthopsis.core.plane.homogeneous import Point, distance
from orthopsis.core.scene.prepared import prepare
from orthopsis.core.sight.crossing import crossing_pairs
from orthopsis.core.sight.hidden import Seen

REFUSED = (
    "row_past_point",
    "depth_swallows",
    "slice_too_thick",
    "corner_on_point",
    "outside_triangle",
    "depth_past_point",
)


def row(**more: Any) -> Exercise:
    return exercise_of({**ROW, **more}, views=[{"kind": "one_point", "x_mm": 330.0}])


def solved(exercise: Exercise) -> Solved:
    return solve(prepare(exercise))


@settings(max_examples=200)
@given(laid_out())
def test_every_corner_of_every_letter_is_where_the_eye_sees_it(exercise: Exercise) -> None:
    try:
        answer = solved(exercise)
    except GeometryError as error:
        assert error.code in REFUSED
        assume(False)
    seen, points = answer.seen[0], answer.board.points
    for name, place in seen.solid.picture(seen.eye).items():
        assert_same_point(points[f"Knot.{name}"].xy, place, name)
    for line in draw(exercise).lines:
        if line.role == "edge" and line.family in points:
            goal, (ax, ay), (bx, by) = points[line.family], line.start, line.end
            off = (bx - ax) * (goal.y - ay) - (by - ay) * (goal.x - ax)
            assert abs(off) <= 1e-6 * distance(Point(ax, ay), goal), line.name


@settings(max_examples=60)
@given(laid_out())
def test_no_letter_stands_in_another(exercise: Exercise) -> None:
    try:
        seen = solved(exercise).seen[0]
    except GeometryError:
        assume(False)
    solid, names = seen.solid, {name.partition(".")[0] for name in seen.solid.names}
    letters = [_only(seen, name) for name in names]
    assert crossing_pairs(letters) == []
    assert len(set(solid.names)) == len(solid.places)


def _only(seen: Seen, member: str) -> Seen:
    """Return the solid of one letter or half."""
    topology = seen.solid.topology
    faces = tuple(f for f in topology.faces if f.name.startswith(f"{member}."))
    edges = tuple(e for e in topology.edges if e.name.startswith(f"{member}."))
    solid = type(seen.solid)(type(topology)(topology.names, faces, edges), seen.solid.places)
    return Seen(solid, seen.eye, see_through=False)


@pytest.mark.parametrize("layout", ["away", "steps"])
def test_letters_stand_in_planes_at_equal_steps(layout: str) -> None:
    answer, goal = solved(row(layout=layout, step=60.0)), Point(330, 150)
    first = answer.board.points["Knot.K.measure.origin"]
    planes = [distance(first, answer.board.points[f"Knot.measure.plane.{k}"]) for k in (1, 2, 3)]
    assert planes == pytest.approx([repeated_mark(60.0, distance(first, goal), n) for n in (1, 2, 3)]), "textbook"
    solid = answer.seen[0].solid
    depths = [solid.places[solid.index(f"{letter}.front.1")][2] for letter in "KNOT"]
    assert np.diff(depths) == pytest.approx([depths[1] - depths[0]] * 3)
    heights = [
        np.ptp([solid.places[solid.index(n)][1] for n in solid.names if n.startswith(f"{c}.front")]) for c in "KNOT"
    ]
    assert heights == pytest.approx([60.0] * 4), "all as tall in the world"


def test_a_letter_behind_another_is_hidden_by_it() -> None:
    drawing = draw(row(layout="away", step=60.0))
    hidden = {line.name.partition(".")[0] for line in drawing.lines if line.role == "edge" and not line.visible}
    assert {"N", "O", "T"} <= hidden
    alone = {line.name for line in draw(row(layout="away", text="K", step=60.0)).lines if line.visible and line.thing}
    assert alone <= {line.name for line in drawing.lines if line.visible}, "nothing hides the first letter"


def test_letters_about_the_point_leave_it_free_and_read_row_by_row() -> None:
    exercise = exercise_of({**ROW, "layout": "about", "text": "HARBOURS", "spread": 20})
    points = solved(exercise).board.points
    lows = [points[f"Knot.{name}.measure.origin"] for name in ("H", "A", "R", "B", "O", "U", "R 2", "S")]
    assert [round(p.y) for p in lows] == [170, 170, 170, 120, 120, 70, 70, 70]
    assert [p.x for p in lows[:3]] == sorted(p.x for p in lows[:3])
    assert lows[3].x < 210 - 50 < 210 < lows[4].x


@pytest.mark.parametrize(
    ("more", "about"),
    [
        ({"layout": "away", "step": 290.0}, "step"),
        ({"layout": "steps", "step": 40.0, "depth_by": "measured", "depth": 90.0}, "depth"),
        ({"layout": "corner"}, "layout"),
    ],
)
def test_rows_that_cannot_stand_are_refused_with_the_nearest_that_works(more: dict[str, Any], about: str) -> None:
    with pytest.raises(GeometryError) as fault:
        solved(row(**more))
    assert fault.value.about == f"things.0.{about}"
    assert solved(type_at(row(**more), f"things.0.{about}", fault.value.nearest)).moves


def test_slices_thicker_than_the_sides_are_refused() -> None:
    exercise = exercise_of({**CORNER, "slice": 100}, views=[VIEWS["two_point"]])
    with pytest.raises(GeometryError) as fault:
        solved(exercise)
    assert fault.value.about == "things.0.slice"
    assert solved(type_at(exercise, "things.0.slice", fault.value.nearest)).moves


def test_a_word_finds_one_row_again_when_the_view_changes() -> None:
    changed = set_at(row(layout="away"), "views.0.kind", "two_point")
    assert changed.things[0].held()["layout"] == "straight"
    offered = [piece for s in draw(changed).sentences for piece in s.pieces if piece.path == "things.0.layout"]
    assert {option.value for option in offered[0].options} == {"straight", "corner"}


def test_steps_and_room_are_dragged() -> None:
    assert drag(row(layout="steps"), "things.0.step", 30 + 60, 30 + 24).things[0].held()["step"] == pytest.approx(
        65, abs=1
    )
    about = exercise_of({**ROW, "layout": "about"})
    assert drag(about, "things.0.spread", 200, 150 + 44).things[0].held()["spread"] == 44


@pytest.mark.parametrize("layout", ["away", "steps", "about"])
def test_a_sheet_drawn_as_asked_is_found_right(layout: str) -> None:
    exercise = row(layout=layout, step=60.0, depth_by="half")
    lines = [line for line in draw(exercise).lines if line.role in ("edge", "detail") and line.visible]
    checked = check(exercise, [Stroke(Point(*line.start), Point(*line.end)) for line in lines])
    assert checked.missing == []
    assert not [finding for finding in checked.findings if finding.severity > 1]


def test_names_of_any_length_stand_in_a_row_of_their_own() -> None:
    exercise = row(layout="steps", whose="student", step=40.0)
    for name in ("Ada", "Guillemot 14", "Oystercatcher"):
        assert solved(own_sheet(exercise, name).exercise).moves


def test_a_round_letter_straight_over_the_point_can_be_drawn() -> None:
    # The middle of its curves then lies on the one line that runs upright to the point.
    exercise = exercise_of({**ROW, "text": "O", "form": "round", "left": 185, "bottom": 200})
    seen = solved(exercise).seen[0]
    for name, place in seen.solid.picture(seen.eye).items():
        assert_same_point(solved(exercise).board.points[f"Knot.{name}"].xy, place, name)
