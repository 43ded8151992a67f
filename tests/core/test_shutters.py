"""Shutters beside windows: where the eye sees them, each half as wide as its window, or refused with what works."""

import numpy as np
import pytest
from hypothesis import assume, given
from scenes import solved, windowed

from conftest import box, exercise_of
from orthopsis.core.document.document import Exercise, read_exercise
from orthopsis.core.drawing.solved import Solved, solve
from orthopsis.core.errors import GeometryError
from orthopsis.core.exercise.solve import draw
from orthopsis.core.scene.prepared import prepare


def with_shutters(exercise: Exercise, **more: object) -> Solved:
    """Solve the same sheet with shutters beside its windows, if they have room."""
    document = exercise.document()
    document["things"][1] |= {"beside": "shutters", **more}
    try:
        found = solved(read_exercise(document))
        assert found.prepared.things[1].standing.solid is not None
    except GeometryError as error:
        assume(error.code != "no_room_for_shutters")
        raise
    return found


@given(windowed(reliefs=("flat", "in")))
def test_every_corner_is_where_the_eye_sees_it(exercise: Exercise) -> None:
    found = with_shutters(exercise)
    thing = found.built[1]
    corners = [name for name in thing.page if ".shutter." in name]
    assert len(corners) == 4 * int(exercise.things[1].model_dump()["columns"]) * int(
        exercise.things[1].model_dump()["rows"]
    )
    for name in corners:
        made = found.board.points[f"Windows.{name}"]
        assert (made.x, made.y) == pytest.approx(thing.page[name], abs=1e-3)


@given(windowed(reliefs=("flat", "in")))
def test_each_is_half_as_wide_as_its_window_and_as_tall(exercise: Exercise) -> None:
    """In truth: on a ruler's marks to half a mark, elsewhere exactly."""
    found = with_shutters(exercise)
    solid = found.prepared.things[1].standing.solid
    at = dict(zip(solid.names, solid.places, strict=True))
    ruler = found.prepared.things[1].standing.ruler
    window = at["Number 1.low_far"] - at["Number 1.low_near"]
    for side in ("near", "far"):
        low, high = at[f"Number 1.shutter.{side}.corner.low"], at[f"Number 1.shutter.{side}.corner.high"]
        hangs = at[f"Number 1.low_{side}"]
        own = np.linalg.norm(low - hangs) / np.linalg.norm(window)
        share = np.linalg.norm(window) / np.linalg.norm(found.prepared.things[1].standing.panel.axes[0])
        mark = 0.5 / (share * ruler.marks[0]) if ruler.marks[0] else 0.0
        assert own == pytest.approx(0.5, abs=mark + 1e-9)
        assert np.allclose(high - low, at["Number 1.high_near"] - at["Number 1.low_near"])


WALL = box("Wall", 20, 40, 160, 90, depth_by="measured", depth=40)


def wall_with(**more: object) -> Exercise:
    windows = {"kind": "rectangles", "name": "Windows", "joined_to": "Wall", "joined_by": "face_front"}
    return exercise_of(WALL, {**windows, "along": "1:8:1", "up": "1:1:1", "tall": "whole", **more})


@pytest.mark.parametrize("relief", ["flat", "in", "through"])
def test_a_shutter_is_three_lines_and_shares_its_fourth_with_the_window(relief: str) -> None:
    exercise = wall_with(columns="2", wide="third", beside="shutters", relief=relief)
    lines = {
        (line.thing, line.name) for line in draw(exercise).lines if ".shutter." in line.name and line.visible
    }  # fmt: skip
    assert len(lines) == 2 * 2 * 3
    told = [step for step in draw(exercise).steps if "shutter" in step.title]
    assert [step.title for step in told] == [
        "Windows: the first one's shutters",
        "Windows: the shutters of the others",
    ]
    assert all("6 lines" in step.text for step in told)


def test_what_stands_out_and_what_is_round_has_none() -> None:
    for more in ({"relief": "out", "deep": 4.0}, {"form": "round"}):
        drawing = draw(wall_with(columns="2", wide="third", beside="shutters", **more))
        assert not [line for line in drawing.lines if ".shutter." in line.name]
        assert [line for line in drawing.lines if line.thing == "Windows"]


@pytest.mark.parametrize(("columns", "wide"), [("3", "three_quarters"), ("2", "whole"), ("4", "two_thirds")])
def test_shutters_without_room_are_refused_and_what_is_offered_works(columns: str, wide: str) -> None:
    exercise = wall_with(columns=columns, wide=wide, beside="shutters")
    with pytest.raises(GeometryError) as refused:
        solve(prepare(exercise))
    assert (refused.value.code, refused.value.about) == ("no_room_for_shutters", "things.1.wide")
    words = {"a third": "third", "a quarter": "quarter", "a fifth": "fifth", "half": "half"}
    found = solve(prepare(wall_with(columns=columns, wide=words[refused.value.nearest], beside="shutters")))
    assert len([name for name in found.built[1].page if ".shutter." in name]) == 4 * int(columns)


def test_where_no_width_helps_it_is_offered_to_do_without() -> None:
    """The outer windows lie at the very ends of the face: their shutters would hang beyond it."""
    with pytest.raises(GeometryError) as refused:
        solve(prepare(wall_with(columns="2", along="0:1:0", spread="ends", beside="shutters")))
    assert (refused.value.about, refused.value.nearest) == ("things.1.beside", "nothing")


def test_turned_over_windows_leave_their_shutters() -> None:
    found = solve(prepare(wall_with(columns="2", wide="third", beside="shutters")))
    assert found.prepared.things[1].standing.turned()["beside"] == "nothing"
