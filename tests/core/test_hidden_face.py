"""A hidden face is drawn through its block, and what stands on it is where the eye sees it."""

from typing import Any

import pytest
from hypothesis import given, settings
from scenes import VIEWS, assert_same_point, drawn_faces_of, exercises, faces_of, solved, windowed

from conftest import box, exercise_of
from orthopsis.core.construct.moves import inputs, outputs
from orthopsis.core.document.document import Exercise
from orthopsis.core.exercise.solve import draw

TOP = box("Top", 120.0, 110.0, 110.0, 10.0, depth_by="measured", depth=60.0)
CORNER_TOP = {
    "kind": "box", "name": "Top", "left": 200.0, "bottom": 110.0, "height": 10.0, "left_by": "measured",
    "left_length": 60.0, "right_by": "measured", "right_length": 90.0,
}  # fmt: skip
LEGS = {
    "kind": "rectangles", "name": "Legs", "joined_to": "Top", "joined_by": "face_bottom", "along": "0:1:0",
    "up": "0:1:0", "columns": "2", "rows": "2", "wide": "fifth", "tall": "fifth", "spread": "ends", "relief": "out",
    "deep": 60.0,
}  # fmt: skip


def table(view: str = "one_point", **legs: Any) -> Exercise:
    """Return a table under the eye level, its legs on the underside of its top, which is hidden."""
    top = TOP if view == "one_point" else CORNER_TOP | ({"bottom": 150.0} if view == "from_above" else {})
    return exercise_of(top, {**LEGS, **legs}, eye_level={"height_mm": 220.0}, views=[VIEWS[view]])


@settings(max_examples=150)
@given(windowed())
def test_the_corners_of_a_hidden_face_are_those_of_the_block(exercise: Exercise) -> None:
    """The hand finds them by lines; the eye sees the corners of the block's solid."""
    found = solved(exercise)
    panel = found.prepared.things[1].setting.panel
    assert panel is not None
    host = found.built[0]
    faces = {face.name: face for face in host.solid.faces}
    seen = [host.page[corner] for corner in faces[panel.face].corners]
    made = [found.board.points[name].xy for name in (panel.low, panel.far_low, panel.far_high, panel.high)]
    for at in made:
        assert_same_point(at, min(seen, key=lambda place: (place[0] - at[0]) ** 2 + (place[1] - at[1]) ** 2))
    for line, (start, end, _) in panel.lines.items():
        ruled = found.board.lines[line].line
        for at in (start, end):
            assert abs(ruled.a * at.x + ruled.b * at.y + ruled.c) < 1e-3, line


@settings(max_examples=100)
@given(exercises(most=1))
def test_every_side_of_a_closed_block_with_a_back_is_offered(exercise: Exercise) -> None:
    faces = faces_of(exercise)
    thing = exercise.things[0]
    if not faces or thing.held()["look"] == "open" or len(drawn_faces_of(exercise)) < 2:
        return
    sides = {"front", "left", "right"} if exercise.views[0].kind == "one_point" else {"left", "right"}
    assert set(faces) == sides | {"top", "bottom"}


@pytest.mark.parametrize("view", ["one_point", "two_point", "from_above"])
def test_a_table_stands_on_four_legs(view: str) -> None:
    found = solved(table(view))
    legs = found.built[1].solid
    feet = [legs.places[legs.index(f"Number {n}.front.{c}")] for n in range(1, 5) for c in ("low_near", "high_far")]
    heights = [at @ found.prepared.things[1].standing.outward.way for at in feet]
    assert max(heights) - min(heights) < 1e-9, "all feet are equally far down"
    there = {"eye level", *found.built[0].points, *found.built[0].lines}
    there |= {aim.name for aim in found.prepared.aims.values()}
    for move in found.built[1].moves:
        assert inputs(move.act) <= there, move.act
        there |= outputs(move.act)


def test_the_legs_of_a_table_as_worked_out_by_hand() -> None:
    """Common practice, no source: the feet of the hind legs lie on the lines from the front feet to the point."""
    found = solved(table())
    points = found.board.points
    goal = points["point"]
    foot = points["Legs.Number 1.front.low_near"]
    assert foot.xy == pytest.approx((120.0, 50.0))
    # The top's depth: 60 mm along the guide line from its upper left corner (120, 120) to the point.
    share = 60.0 / ((goal.x - 120.0) ** 2 + (goal.y - 120.0) ** 2) ** 0.5
    hidden = points["Legs.face.far_low"] if "Legs.face.far_low" in points else points["Legs.face.far_high"]
    assert hidden.y == pytest.approx(110.0 + share * (goal.y - 110.0))
    for name in ("low_near", "low_far", "high_far", "high_near"):
        front, hind = points[f"Legs.Number 1.front.{name}"], points[f"Legs.Number 2.front.{name}"]
        cross = (hind.x - front.x) * (goal.y - front.y) - (hind.y - front.y) * (goal.x - front.x)
        assert cross == pytest.approx(0.0, abs=1e-6), "front and hind leg are in line with the point"


def test_the_hidden_underside_is_told_once_and_lightly() -> None:
    drawing = draw(table())
    hidden = [step for step in drawing.steps if step.key == "Legs/face.hidden"]
    assert len(hidden) == 1
    assert "underside" in hidden[0].text
    assert hidden[0].count == 4, "two to the point, one down from the back of the top, one level"
    light = {line.id: line for line in drawing.lines if line.id in hidden[0].draws}
    assert {line.role for line in light.values()} == {"construction"}
    taken = {number for step in drawing.steps for number in step.takes_away}
    assert set(light) <= taken, "they go away again"
    assert not {advice.code for advice in drawing.advice} & {"absurd_depth", "thin_side"}


def test_a_pattern_or_a_division_is_not_laid_on_a_hidden_face() -> None:
    for kind in ("pattern", "division", "lettering", "gable_roof"):
        exercise = exercise_of(
            TOP, {"kind": kind, "name": "It", "joined_to": "Top", "joined_by": "face_bottom"},
            eye_level={"height_mm": 220.0},
        )  # fmt: skip
        assert solved(exercise).built[1].moves == ()
