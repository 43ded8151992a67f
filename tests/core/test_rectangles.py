"""Windows, doors and what stands out of a wall: both routes on every face, in every kind of view."""

import itertools
import math
from typing import Any

import numpy as np
import pytest
import shapely
from hypothesis import assume, given, settings
from hypothesis import strategies as st
from scenes import VIEWS, assert_same_point, solved, windowed

from conftest import box, exercise_of
from orthopsis.core.check.check import check
from orthopsis.core.check.stroke import Stroke
from orthopsis.core.document.document import Exercise
from orthopsis.core.editing.edit import drag, set_at, type_at
from orthopsis.core.errors import GeometryError
from orthopsis.core.exercise.add_thing import add_thing
from orthopsis.core.exercise.solve import draw
from orthopsis.core.plane.homogeneous import Point
from orthopsis.core.sight.hidden import Sight
from orthopsis.core.sight.solid import faces_toward_eye
from orthopsis.core.things.face_part import STEPS, ratio_of
from orthopsis.core.things.rectangles.forms import CORNERS

LOFT = {
    "kind": "box", "name": "Loft", "left": 200.0, "bottom": 60.0, "height": 90.0, "left_by": "measured",
    "left_length": 80.0, "right_by": "measured", "right_length": 110.0,
}  # fmt: skip


def loft(view: str = "two_point", by: str = "face_right", **windows: Any) -> Exercise:
    """A net loft with windows."""
    host = {**LOFT, "bottom": 110.0, "height": 60.0} if view == "from_above" else LOFT
    if view == "one_point":
        host = box("Loft", 40.0, 60.0, 110.0, 120.0, depth_by="measured", depth=80.0)
    on = {"kind": "rectangles", "name": "Windows", "joined_to": "Loft", "joined_by": by}
    return exercise_of(host, {**on, **windows}, views=[VIEWS[view]])


@settings(max_examples=400)
@given(windowed())
def test_every_corner_is_where_the_eye_sees_it(exercise: Exercise) -> None:
    found = solved(exercise)
    seen = found.seen[1]
    picture = seen.solid.picture(seen.eye)
    made = {n.removeprefix("Windows."): p for n, p in found.board.points.items() if n.startswith("Windows.Number")}
    # The middle of one with bars is where they cross, and no corner.
    assert {name for name in made if not name.endswith(".middle")} == picture.keys(), "every corner is made"
    for name, place in picture.items():
        assert_same_point(made[name].xy, place, name)


@settings(max_examples=200)
@given(windowed(reliefs=("out", "in")))
def test_every_edge_that_is_seen_was_drawn_between_corners_of_the_hand(exercise: Exercise) -> None:
    found = solved(exercise)
    lines, solid = found.board.lines, found.seen[1].solid
    eye = found.seen[1].eye
    page = solid.picture(eye)
    # An edge whose sides are all seen edge-on lies under another line, and is not drawn again.
    sides = [set(zip(f.corners, (*f.corners[1:], f.corners[0]), strict=True)) for f in faces_toward_eye(solid, eye)]
    for piece in Sight(found.seen).pieces()[1]:
        ends = (piece.edge.start, piece.edge.end)
        if not any(ends in side or ends[::-1] in side for side in sides):
            continue
        long = (piece.end - piece.start) * math.dist(page[piece.edge.start], page[piece.edge.end])
        if piece.visible and long > 0.05 and found.seen[0].see_through is False and not found.seen[0].solid.is_open:
            assert f"Windows.{piece.edge.name}" in lines, piece.edge.name


@settings(max_examples=150)
@given(windowed(reliefs=("flat",)))
def test_they_lie_on_their_face_and_never_reach_over_its_rim(exercise: Exercise) -> None:
    found = solved(exercise)
    panel = found.prepared.things[1].standing.panel
    start, axes = np.array(panel.start), np.array(panel.axes)
    for place in found.seen[1].solid.places:
        shares, off, *_ = np.linalg.lstsq(axes.T, place - start, rcond=None)
        assert not len(off) or off[0] < 1e-12
        assert all(-1e-9 <= share <= 1 + 1e-9 for share in shares)


@pytest.mark.parametrize(
    ("view", "by"), [("one_point", "face_front"), ("two_point", "face_left"), ("one_point", "face_right")]
)
def test_all_are_equally_large_and_equally_far_apart_in_truth(view: str, by: str) -> None:
    solid = solved(loft(view, by, columns="5", rows="2")).seen[1].solid
    at = {name: solid.places[solid.index(name)] for name in solid.names}
    wide = [float(np.linalg.norm(at[f"Number {k}.low_far"] - at[f"Number {k}.low_near"])) for k in range(1, 11)]
    apart = [
        float(np.linalg.norm(at[f"Number {b}.low_near"] - at[f"Number {a}.low_near"]))
        for a, b in itertools.pairwise(range(1, 6))
    ]
    assert wide == pytest.approx([wide[0]] * 10)
    assert apart == pytest.approx([apart[0]] * 4)
    assert np.allclose(
        at["Number 6.low_near"] - at["Number 1.low_near"], at["Number 10.low_near"] - at["Number 5.low_near"]
    )


def test_on_a_true_face_all_lies_on_marks_of_the_ruler() -> None:
    found = solved(loft("one_point", "face_front", columns="3", rows="2"))
    for name, point in found.board.points.items():
        if name.startswith("Windows.Number"):
            assert point.x == pytest.approx(round(point.x), abs=1e-9)
            assert point.y == pytest.approx(round(point.y), abs=1e-9)
    (step,) = (s for s in draw(loft("one_point", "face_front", columns="3", rows="2")).steps if "first one" in s.title)
    assert "." not in step.text.partition("and up: ")[2].partition(". Join")[0]


@pytest.mark.parametrize(
    ("view", "by"), [("one_point", "face_right"), ("two_point", "face_left"), ("from_above", "face_right")]
)
def test_all_stand_out_equally_far_in_truth_and_measured_once(view: str, by: str) -> None:
    found = solved(loft(view, by, columns="3", rows="2", relief="out", deep=7.0))
    solid = found.seen[1].solid
    at = {name: solid.places[solid.index(name)] for name in solid.names}
    out = [
        float(np.linalg.norm(at[f"Number {k}.front.{c}"] - at[f"Number {k}.{c}"]))
        for k in range(1, 7)
        for c in ("low_near", "high_far")
    ]
    assert out == pytest.approx([out[0]] * 12)
    points = found.board.points
    near, front = points["Windows.Number 1.low_near"], points["Windows.Number 1.front.low_near"]
    assert math.dist(near.xy, front.xy) == pytest.approx(7.0)


@settings(max_examples=150)
@given(windowed(reliefs=("in",)))
def test_inside_is_seen_only_through_the_opening(exercise: Exercise) -> None:
    found = solved(exercise)
    solid, host = found.seen[1].solid, found.seen[0]
    on_the_ground = found.prepared.things[1].standing.layout.up[0][0] == 0.0
    assume(not host.see_through and not host.solid.is_open and not on_the_ground)
    eye = found.seen[1].eye
    page = solid.picture(eye)
    for piece in Sight(found.seen).pieces()[1]:
        if not piece.visible or "front" not in piece.edge.name:
            continue
        start, end = (np.array(page[name]) for name in (piece.edge.start, piece.edge.end))
        number = piece.edge.name.partition(".")[0]
        rim = shapely.Polygon([page[f"{number}.{corner}"] for corner in CORNERS]).buffer(1e-3)
        middle = start + (piece.start + piece.end) / 2 * (end - start)
        assert rim.covers(shapely.Point(middle)), piece.edge.name


@pytest.mark.parametrize(
    ("view", "by"), [("one_point", "face_front"), ("two_point", "face_left"), ("from_above", "face_top")]
)
def test_what_is_sunk_is_cut_out_of_the_wall(view: str, by: str) -> None:
    found = solved(loft(view, by, columns="2", relief="in", deep=6.0))
    (face,) = (face for face in found.seen[0].solid.faces if face.holes)
    assert face.name == by.removeprefix("face_")
    assert len(face.holes) == 2
    toned = [
        f
        for f in draw(loft(view, by, columns="2", relief="in", deep=6.0)).faces
        if f.thing == "Loft" and len(f.loops) > 1
    ]
    assert [len(f.loops) for f in toned] == [3]


@pytest.mark.parametrize(("field", "ratio"), [("along", "0:1:1"), ("along", "2:1:0"), ("up", "1:3:0")])
def test_what_is_sunk_leaves_a_rim_but_a_door_may_reach_the_ground(field: str, ratio: str) -> None:
    draw(loft("two_point", relief="in", deep=4.0, along="1:2:1", up="0:3:1", tall="whole"))
    with pytest.raises(GeometryError) as refused:
        draw(loft("two_point", relief="in", deep=4.0, columns="1", wide="whole", tall="whole", **{field: ratio}))
    assert (refused.value.code, refused.value.about) == ("no_wall_left", f"things.1.{field}")


def test_what_is_sunk_leaves_some_wall_between() -> None:
    with pytest.raises(GeometryError) as refused:
        draw(loft("two_point", relief="in", deep=4.0, wide="whole", columns="3"))
    assert refused.value.about == "things.1.wide"
    draw(
        type_at(
            loft("two_point", relief="in", deep=4.0, wide="whole", columns="3"), "things.1.wide", refused.value.nearest
        )
    )


def test_sunk_through_the_wall_is_refused_with_the_most_that_works() -> None:
    with pytest.raises(GeometryError) as refused:
        draw(loft("two_point", "face_right", relief="in", deep=300.0))
    assert (refused.value.code, refused.value.about) == ("too_deep", "things.1.deep")
    draw(
        set_at(
            loft("two_point", "face_right", relief="in", deep=300.0),
            "things.1.deep",
            float(refused.value.nearest.split()[0]),
        )
    )


def test_one_is_told_fully_and_the_others_in_one_step() -> None:
    steps = {step.title: step for step in draw(loft("two_point", columns="4", rows="3", relief="out")).steps}
    first, more = (steps[f"Windows: the {which} on the right side"] for which in ("first one", "others"))
    assert (first.count, more.count) == (4, 44)
    out = draw(loft("two_point", columns="2", rows="1", relief="out")).steps
    told = [[step.key for step in own if "/rectangles." in step.key] for own in (steps.values(), out)]
    assert len(told[0]) == len(told[1]) == 4, "however many there are"


@given(st.floats(0, 1), st.floats(0, 1))
def test_a_dragged_part_is_said_in_small_whole_numbers(start: float, end: float) -> None:
    numbers = [int(n) for n in ratio_of(start, end).split(":")]
    assert numbers[1] >= 1
    assert STEPS % sum(numbers) == 0


def test_the_part_that_is_taken_is_dragged_by_its_corners() -> None:
    exercise = loft("one_point", "face_front", along="1:6:1", up="1:3:1")
    handles = {handle.id: handle.at for handle in draw(exercise).handles}
    assert handles["things.1.begin"] == pytest.approx((40 + 110 / 8, 60 + 120 / 5))
    wider = drag(exercise, "things.1.begin", 40.0, 60.0)
    assert (wider.things[1].held()["along"], wider.things[1].held()["up"]) == ("0:7:1", "0:19:5")
    standing_out = loft("two_point", relief="out", deep=5.0)
    at = next(handle.at for handle in draw(standing_out).handles if handle.id == "things.1.deep")
    corner = draw(standing_out).points["Windows.Number 1.low_near"]
    out = (at[0] + (at[0] - corner[0]), at[1] + (at[1] - corner[1]))
    deeper = drag(standing_out, "things.1.deep", *out)
    assert float(str(deeper.things[1].held()["deep"])) == pytest.approx(10.0, abs=1.0)


@pytest.mark.parametrize(("field", "typed"), [("along", "1:0:1"), ("along", "two"), ("up", "1:2"), ("up", "1:2:3:4")])
def test_what_is_no_ratio_is_refused_with_one_that_works(field: str, typed: str) -> None:
    with pytest.raises(GeometryError) as refused:
        draw(loft(**{field: typed}))
    assert (refused.value.code, refused.value.about) == ("not_taken", f"things.1.{field}")
    draw(set_at(loft(**{field: typed}), f"things.1.{field}", refused.value.nearest))


def test_too_many_are_refused_with_the_most_that_work() -> None:
    with pytest.raises(GeometryError) as refused:
        draw(loft(columns="24", rows="24"))
    draw(set_at(loft(columns="24", rows="24"), "things.1.rows", refused.value.nearest))


def test_new_ones_lie_on_the_last_thing_that_has_a_face() -> None:
    exercise = add_thing(exercise_of(LOFT, views=[VIEWS["two_point"]]), "rectangles")
    assert exercise.things[1].joined_by == "face_left"
    assert (
        len([line for line in draw(exercise).lines if line.thing == exercise.things[1].name and line.role == "detail"])
        == 12
    )


@pytest.mark.parametrize("relief", ["flat", "out", "in"])
def test_a_perfect_answer_is_perfect(relief: str) -> None:
    exercise = loft("two_point", "face_right", columns="2", relief=relief, deep=9.0)
    lines = [line for line in draw(exercise).lines if line.role in ("edge", "detail") and line.visible and line.thing]
    level = Stroke(Point(0.0, 150.0), Point(420.0, 150.0))
    checked = check(exercise, [level, *(Stroke(Point(*line.start), Point(*line.end)) for line in lines)])
    assert checked.missing == []
    assert {line.verdict for line in checked.lines} <= {"fine", "cannot_tell"}


def test_the_thickness_of_a_wall_is_not_said_to_be_too_thin_but_a_roof_s_slope_is() -> None:
    sunk = draw(loft("two_point", relief="in", deep=3.0)).advice
    assert not [a for a in sunk if a.code == "side_too_thin" and a.about == "things.1"]
    flat = {"kind": "gable_roof", "name": "Roof", "joined_to": "Loft", "joined_by": "face_right", "rise": 30.0}
    host = box("Loft", 60.0, 90.0, 90.0, 90.0, depth_by="measured", depth=80.0)
    roof = draw(exercise_of(host, flat, views=[{"kind": "one_point", "x_mm": 260.0}])).advice
    assert [a.about for a in roof if a.code == "side_too_thin"] == ["things.1"]


@pytest.mark.parametrize("relief", ["flat", "in", "out", "through"])
@pytest.mark.parametrize("form", ["rectangle", "round"])
def test_one_alone_is_no_first_one(form: str, relief: str) -> None:
    """A pupil who reads of a first window looks for the others."""
    for level in ("youngest", "middle", "oldest"):
        for columns, is_said in (("1", False), ("2", True)):
            exercise = loft("one_point", "face_front", columns=columns, rows="1", form=form, relief=relief, deep=8)
            drawn = draw(exercise.model_copy(update={"wording": exercise.wording.model_copy(update={"level": level})}))
            said = " ".join(f"{s.title} {s.text}" for s in drawn.steps if s.title.startswith("Windows"))
            assert ("first one" in said or "first form" in said) is is_said, said
