"""What lies on a slope of a roof: tiles, lights and rows run to the slope's own point and to that of the ridge."""

from typing import Any

import pytest
from hypothesis import assume, given, settings
from hypothesis import strategies as st
from scenes import VIEWS, assert_same_point, roofed, solved

from conftest import exercise_of
from orthopsis.core.construct.moves import inputs, outputs
from orthopsis.core.document.document import Exercise, read_exercise
from orthopsis.core.document.place import thing_place
from orthopsis.core.editing import edit, edit_things
from orthopsis.core.editing.places import choices
from orthopsis.core.errors import GeometryError
from orthopsis.core.exercise.add_thing import add_thing
from orthopsis.core.exercise.solve import draw
from orthopsis.core.scene.prepared import prepare

LOFT = {
    "kind": "box", "name": "Loft", "left": 200.0, "bottom": 60.0, "height": 70.0, "left_by": "measured",
    "left_length": 60.0, "right_by": "measured", "right_length": 90.0,
}  # fmt: skip
ROOF = {"kind": "gable_roof", "name": "Roof", "joined_to": "Loft", "joined_by": "face_left", "rise": 30.0}
POINT = "Roof.slope_above"
"""The slope's own point."""
FLAT: tuple[dict[str, Any], ...] = (
    {"kind": "rectangles", "columns": "3", "rows": "2"},
    {"kind": "division", "along": "4", "up": "3"},
    {"kind": "pattern", "design": "bricks", "along": "4", "up": "3"},
)


def tiled(**flat: Any) -> Exercise:
    """Return a loft with a roof, and something on its slope."""
    on = {"name": "Tiles", "joined_to": "Roof", "joined_by": "face_slope_first"}
    return exercise_of(LOFT, ROOF, {**on, **flat}, views=[VIEWS["two_point"]])


@st.composite
def on_slopes(draw: Any) -> Exercise:
    """Return a box with a roof, and something flat on a slope that is offered."""
    exercise = draw(roofed())
    try:
        offered = list(prepare(exercise).things[1].standing.faces)
    except GeometryError:
        assume(False)
    assume(offered)
    flat = {**draw(st.sampled_from(FLAT)), "name": "Tiles", "joined_to": exercise.things[1].id}
    document = exercise.document()
    lies = {**flat, "joined_by": f"face_{draw(st.sampled_from(offered))}"}
    return read_exercise({**document, "things": [*document["things"], lies]})


@settings(max_examples=120)
@given(on_slopes())
def test_what_lies_on_a_slope_is_where_the_eye_sees_it(exercise: Exercise) -> None:
    found = solved(exercise)
    tiles = found.built[2]
    assert tiles.moves
    assert tiles.page
    for name, place in tiles.page.items():
        assert_same_point(found.board.points[f"Tiles.{name}"].xy, place, name)


@settings(max_examples=80)
@given(on_slopes())
def test_each_move_takes_up_only_what_is_there_already(exercise: Exercise) -> None:
    found = solved(exercise)
    there = {"eye level", *found.prepared.aims}
    for built in found.built[:2]:
        there |= {*built.points, *built.lines}
    for move in found.built[2].moves:
        assert inputs(move.act) <= there, move.act
        there |= outputs(move.act)


@pytest.mark.parametrize("flat", FLAT, ids=lambda flat: str(flat["kind"]))
def test_lines_up_the_slope_run_to_its_own_point(flat: dict[str, Any]) -> None:
    """Common practice, no source: shingle columns use the slope's point, the courses go to that of the ridge."""
    found = solved(tiled(**flat))
    families = {edge.runs for edge in found.built[2].solid.edges}
    assert families - {"free"} == {POINT, "right point"}
    point = found.board.points[POINT]
    uprights = [line for line in found.board.lines.values() if line.thing == "Tiles" and line.family == POINT]
    assert len(uprights) >= 3
    for ruled in uprights:
        gap = ruled.line.a * point.x + ruled.line.b * point.y + ruled.line.c
        assert abs(gap) < 1e-6


def test_the_paper_of_the_slope_stays_until_its_tiles_are_drawn() -> None:
    steps = draw(tiled(**FLAT[0])).steps
    done = [i for i, step in enumerate(steps) if "may come off" in step.after]
    assert len(done) == 1
    assert steps[done[0]].thing == "Tiles"


def test_a_roof_can_be_chosen_to_lie_on_and_goes_with_what_lies_on_it() -> None:
    exercise = tiled(**FLAT[2])
    assert "Roof" in choices(exercise, thing_place(2, "joined_to")).values()
    texts = [piece.text for piece in draw(exercise).sentences[-1].pieces]
    assert "the right slope" in texts
    fresh = add_thing(exercise_of(LOFT, ROOF, views=[VIEWS["two_point"]]), "pattern")
    assert fresh.things[2].joined_to == fresh.things[1].id, "a new pattern lies on the last thing that has a face"
    assert edit_things.remove_thing(exercise, 0).things == ()
    assert [thing.name for thing in edit_things.remove_thing(exercise, 1).things] == ["Loft"]
    by_middle = edit.set_at(exercise, "things.1.far_by", "middle")
    assert solved(by_middle).built[2].moves == (), "without a point of its own nothing can be drawn up the slope"


def test_nothing_stands_out_of_a_slope_yet() -> None:
    with pytest.raises(GeometryError) as told:
        draw(tiled(kind="rectangles", relief="out"))
    assert (told.value.code, told.value.about, told.value.nearest) == ("no_way_out", "things.2.relief", "flat")
