"""Houses of one side of a street, each beyond an alley, with its own height: both routes, hidden lines, words."""

from typing import Any

import numpy as np
import pytest
from cad import visible_segments
from hypothesis import assume, given, settings
from hypothesis import strategies as st
from scenes import VIEWS, assert_same_point, exercises

from conftest import box, exercise_of
from orthopsis.core.construct.steps import breaths
from orthopsis.core.document.document import Exercise
from orthopsis.core.drawing.solved import Solved, solve
from orthopsis.core.editing.edit import drag, set_at
from orthopsis.core.errors import GeometryError
from orthopsis.core.exercise.solve import draw
from orthopsis.core.plane.homogeneous import distance, join, offset
from orthopsis.core.scene.prepared import prepare
from orthopsis.core.telling.completeness import gaps

LOFT = box("Loft", 14.0, 22.0, 84.0, 160.0, depth_by="measured", depth=60.0)
STORE = {
    "kind": "box", "name": "Store", "left": 206.0, "bottom": 44.0, "height": 140.0, "left_by": "measured",
    "left_length": 60.0, "right_by": "measured", "right_length": 60.0,
}  # fmt: skip


def street(view: str = "one_point", by: str = "alley", **house: Any) -> Exercise:
    """A house and one beyond an alley."""
    host = LOFT if view == "one_point" else {**STORE, "bottom": {"from_above": 110.0}.get(view, 44.0)}
    name = {"name": "House", "joined_to": host["name"], "joined_by": by, "gap_mm": 12.0}
    size = {"width": 40.0, "depth_by": "half"}
    if view != "one_point":
        size = {"left_by": "measured", "left_length": 30.0, "right_by": "measured", "right_length": 26.0}
    return exercise_of(host, {"kind": "box", **name, "height": 60.0, **size, **house}, views=[VIEWS[view]])


ALLEYS = [("one_point", "alley"), *((v, f"alley_{r}") for v in ("two_point", "from_above") for r in ("left", "right"))]


def found_of(exercise: Exercise) -> Solved:
    return solve(prepare(exercise))


@pytest.mark.parametrize(("view", "by"), ALLEYS)
def test_it_stands_on_the_ground_line_of_the_row_with_its_own_height(view: str, by: str) -> None:
    found = found_of(street(view, by))
    points = found.board.points
    side = by.partition("_")[2]
    ends = ("Loft.back.bottom_right", "House.front.bottom_right") if view == "one_point" else (
        f"Store.{side}.bottom", "House.near.bottom")  # fmt: skip
    start, foot = (points[end] for end in ends)
    goal = points["point" if view == "one_point" else f"{side} point"]
    assert distance(start, foot) == pytest.approx(12.0)
    assert abs(offset(foot, join(start, goal))) < 1e-6
    top = points["House.front.top_right" if view == "one_point" else "House.near.top"]
    assert distance(foot, top) == pytest.approx(60.0)


@pytest.mark.parametrize(("view", "by"), ALLEYS)
def test_every_point_is_where_the_eye_sees_it_and_both_stand_on_one_ground(view: str, by: str) -> None:
    found = found_of(street(view, by))
    for placed, seen in zip(found.prepared.things, found.seen, strict=True):
        for name, place in seen.solid.picture(seen.eye).items():
            made = found.board.points.get(f"{placed.values.name}.{name}")
            if made is not None:
                assert_same_point(made.xy, place, name)
    feet = [
        seen.solid.places[seen.solid.index("front.bottom_left" if view == "one_point" else "near.bottom")]
        for seen in found.seen
    ]
    end = found.seen[0].solid.places[
        found.seen[0].solid.index("back.bottom_left" if view == "one_point" else "right.bottom")
    ]
    up = np.cross(end - feet[0], found.prepared.frames[0].eye.ray(found.prepared.frames[0].way(
        "across" if view == "one_point" else "left").goal))  # fmt: skip
    assert abs((feet[1] - feet[0]) @ up) < 1e-6 * np.linalg.norm(up) * np.linalg.norm(feet[1])


@pytest.mark.parametrize(("view", "by"), ALLEYS)
def test_what_is_seen_of_it_agrees_with_the_cad_kernel(view: str, by: str) -> None:
    """Source: Open CASCADE's hidden line removal, as in the other checks against it."""
    found = found_of(street(view, by))
    ours = sum(
        distance_of(line.start, line.end) for line in found.final if line.thing == "House" and line.role == "edge"
    )
    theirs = sum(distance_of(a, b) for a, b in visible_segments([s.solid for s in found.seen], found.seen[0].eye))
    both = sum(distance_of(line.start, line.end) for line in found.final if line.thing and line.role == "edge")
    assert 0 < ours < both
    assert both == pytest.approx(theirs, rel=1e-4)


def distance_of(a: tuple[float, float], b: tuple[float, float]) -> float:
    return float(np.hypot(a[0] - b[0], a[1] - b[1]))


@settings(max_examples=150)
@given(exercises(most=1), st.floats(1.0, 60.0), st.floats(10.0, 80.0))
def test_a_house_beyond_an_alley_of_any_house_is_told_whole(exercise: Exercise, gap: float, tall: float) -> None:
    host = prepare(exercise).things[0]
    offered = [key for key, joint in host.standing.joints.items() if joint.is_alley]
    assume(offered)
    for by in offered:
        house = {"kind": "box", "name": "House", "joined_to": "Box 1", "joined_by": by, "gap_mm": gap, "height": tall}
        views = [view.model_dump(mode="json") for view in exercise.views]
        try:
            found = found_of(exercise_of(exercise.things[0].model_dump(mode="json"), house, views=views))
        except GeometryError:
            continue
        assert list(gaps(breaths(found.moves), found.board)) == []


def test_the_words_say_the_gap_the_other_house_and_no_length_below_nothing() -> None:
    for view, by in ALLEYS:
        step = next(step for step in draw(street(view, by)).steps if step.thing == "House")
        assert "12 mm" in step.text
        assert "60 mm tall" in step.text
        assert "-" not in step.text.replace("three-point", "")


def test_dragging_the_gap_moves_the_house_along_its_line() -> None:
    exercise = street("two_point", "alley_right")
    foot = found_of(exercise).board.points["House.near.bottom"]
    goal = found_of(exercise).board.points["right point"]
    share = 20.0 / distance(foot, goal)
    moved = drag(exercise, "things.1.gap_mm", foot.x + share * (goal.x - foot.x), foot.y + share * (goal.y - foot.y))
    assert moved.things[1].gap_mm == pytest.approx(32.0, abs=1.0)


def test_a_gap_past_the_point_and_what_is_no_box_are_refused() -> None:
    with pytest.raises(GeometryError) as refused:
        draw(street(gap_mm=900.0))
    assert (refused.value.code, refused.value.about) == ("gap_past_point", "things.1.gap_mm")
    word = {"kind": "letters", "name": "Word", "text": "K", "joined_to": "Loft", "joined_by": "alley"}
    with pytest.raises(GeometryError) as refused:
        draw(exercise_of(LOFT, word))
    assert (refused.value.code, refused.value.about) == ("cannot_join", "things.1.joined_by")
    over = set_at(street(), "things.0.left", 180.0)
    with pytest.raises(GeometryError, match="cannot stand there"):
        draw(over)
