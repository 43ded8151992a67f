"""The document, its edits, its steps and its advice."""

import json
from pathlib import Path
from typing import get_args

import jsonschema
import pytest
from hypothesis import given, settings
from hypothesis import strategies as st
from scenes import exercises, profiles

from conftest import box, exercise_of
from orthopsis.core.advice.advise import sought_cure
from orthopsis.core.construct.moves import Phase
from orthopsis.core.document.document import Exercise, read_exercise
from orthopsis.core.document.schema import exercise_schema
from orthopsis.core.drawing.stage import stage_after
from orthopsis.core.editing import edit, edit_things, edit_views
from orthopsis.core.errors import GeometryError, UnreadableExercise
from orthopsis.core.exercise.add_thing import add_thing
from orthopsis.core.exercise.solve import draw
from orthopsis.core.wording.vocabulary import LEVELS

SCHEMA_FILE = Path(__file__).parents[2] / "docs" / "exercise.schema.json"


def test_the_published_schema_is_the_code_s_own() -> None:
    assert json.loads(SCHEMA_FILE.read_text()) == exercise_schema(), "write it anew with: orthopsis schema"


@settings(max_examples=40)
@given(exercises())
def test_a_document_is_valid_by_the_schema_and_read_back_whole(exercise: Exercise) -> None:
    document = json.loads(json.dumps(exercise.document()))
    jsonschema.validate(document, exercise_schema())
    assert read_exercise(document).document() == exercise.document()


@pytest.mark.parametrize(
    ("source", "code"),
    [
        (b"\x00\xff", "not_json"),
        ("[1]", "not_an_exercise"),
        ("[" * 100_000, "not_json"),
        ({"schema": "orthopsis/exercise/7"}, "newer_schema"),
        ({"title": "No schema"}, "unknown_schema"),
        ({"schema": "orthopsis/exercise/1", "extra": 1}, "bad_field"),
        ({"schema": "orthopsis/exercise/1", "things": [{"kind": "ship", "name": "A"}]}, "bad_field"),
        ({"schema": "orthopsis/exercise/1", "things": [box("A", float("nan"), 0, 9, 9)]}, "bad_field"),
        ({"schema": "orthopsis/exercise/1", "things": [box("A", 0, 0, 9, 9), box("A", 9, 9, 9, 9)]}, "bad_field"),
    ],
)
def test_what_is_no_exercise_is_refused_in_a_sentence(source: str | bytes | dict[str, object], code: str) -> None:
    with pytest.raises(UnreadableExercise) as refusal:
        read_exercise(source)
    assert refusal.value.code == code
    assert refusal.value.fix


def test_eye_level_and_point_must_lie_on_the_sheet() -> None:
    for change in ({"eye_level": {"height_mm": 400}}, {"views": [{"x_mm": 500}]}):
        with pytest.raises(GeometryError) as refusal:
            draw(exercise_of(**change))
        repaired = edit.type_at(exercise_of(**change), refusal.value.about, refusal.value.nearest)
        draw(repaired)


def test_steps_come_in_the_handbook_s_order_and_end_with_what_is_seen(crates: Exercise) -> None:
    drawing = draw(crates)
    first = [drawing.steps[0].phase, drawing.steps[1].phase]
    assert first == ["setup", "setup"]
    for name in ("Low", "Tall", "High"):
        own = [get_args(Phase).index(step.phase) for step in drawing.steps if step.thing == name]
        assert own == sorted(own)
        assert len(own) == 4
    assert [step.phase for step in drawing.steps[-3:]] == ["take_away", "darken", "tone"]
    final = stage_after(drawing, len(drawing.steps))
    edges = {line.id for line in drawing.lines if line.role == "edge" and line.visible}
    assert final.dark == edges
    left = {line.name for line in drawing.lines if line.id in final.light}
    assert left == {"eye level"}, "no construction line is left"


def test_every_step_says_all_it_has_to_in_both_vocabularies_and_at_three_levels(crates: Exercise) -> None:
    said = set()
    for vocabulary in ("eye_level", "horizon"):
        for level in LEVELS:
            words = {"vocabulary": vocabulary, "level": level}
            drawing = draw(read_exercise({**crates.document(), "wording": words}))
            for step in drawing.steps:
                for text in (step.title, step.text, step.rule, step.slip, step.tool):
                    assert text.strip()
                    assert not set("{}[]") & set(text), text
                assert step.minutes >= 0.5
                if vocabulary == "horizon":
                    assert "eye level" not in step.text.lower()
            said.add(" ".join(step.text for step in drawing.steps))
    assert len(said) == 6, "each choice of words gives other sentences"


def test_a_farther_crate_hides_behind_a_nearer_one_and_the_eye_level_behind_both() -> None:
    drawing = draw(exercise_of(box("Near", 40, 100, 100, 90), box("Far", 100, 120, 100, 90)))
    hidden = [line for line in drawing.lines if line.thing == "Far" and line.role == "edge" and not line.visible]
    assert hidden
    level = [line for line in drawing.lines if line.name == "eye level" and line.role == "detail"]
    assert all(not (40 < (line.start[0] + line.end[0]) / 2 < 140) for line in level)


ENDS = {"kind": "two_point", "left_mm": 0, "right_mm": 420}
FAR = {"kind": "two_point", "left_mm": -400, "right_mm": 800, "centre_mm": 200}
NEAR_THIRD = {"kind": "three_point", "left_mm": 0, "right_mm": 420, "third_x_mm": 210, "third_y_mm": 10}
TIGHT = {"kind": "three_point", "left_mm": 20, "right_mm": 380, "third_x_mm": 200, "third_y_mm": -160}
STEEP = {"kind": "three_point", "left_mm": -180, "right_mm": 560, "third_x_mm": 190, "third_y_mm": -280}
BIRD = {"kind": "three_point", "left_mm": -90, "right_mm": 500, "third_x_mm": 190, "third_y_mm": -260}


FOLDED: dict[str, object] = {"sheet": {"fold": "folded"}}


def corner_box(**more: object) -> dict[str, object]:
    """Return a box about its nearest edge."""
    sides = {"left_by": "measured", "left_length": 40, "right_by": "measured", "right_length": 40}
    return {"kind": "box", "name": "A", **sides, **more}


ADVICE = [
    (box("A", 390, 20, 60, 40), {}, "off_the_paper"),
    (box("A", 10, 10, 60, 40), {"views": [{"x_mm": 210, "distance_mm": 150}]}, "outside_outer_cone"),
    (box("A", 60, 40, 60, 40), {"views": [{"x_mm": 210, "distance_mm": 260}]}, "outside_comfortable_cone"),
    (box("A", 212, 40, 40, 40), {}, "side_too_thin"),
    (box("A", 180, 120, 60, 60), {}, "straight_before"),
    (box("A", 60, 40, 60, 40), {"eye_level": {"height_mm": 150, "school": "composition"}}, "eye_level_across_middle"),
    (box("A", 30, 90, 60, 59.8), {}, "lines_too_close"),
    (box("A", 30, 90, 60, 50.3), {}, "between_marks"),
    (corner_box(left=200, bottom=5, height=60), {"views": [ENDS], "eye_level": {"height_mm": 270}}, "points_too_close"),
    (corner_box(left=200, bottom=60, height=40), {"views": [FAR]}, "points_off_sheet"),
    (corner_box(left=200, bottom=145, height=40), {"views": [FAR]}, "line_too_flat"),
    (corner_box(left=200, bottom=60, height=40, left_length=520), {"views": [FAR]}, "absurd_depth"),
    (corner_box(left=215, bottom=120, height=20), {"views": [NEAR_THIRD]}, "third_point_too_near"),
    (corner_box(left=190, bottom=140, height=60), {"views": [STEEP]}, "outside_outer_cone"),
    (
        corner_box(left=200, bottom=60, height=60),
        {"views": [TIGHT], "eye_level": {"height_mm": 250}},
        "points_too_close",
    ),
    (corner_box(left=195, bottom=165, height=60), {"views": [BIRD]}, "outside_triangle"),
    (corner_box(left=190, bottom=100, height=40), {"views": [BIRD]}, "third_point_off_sheet"),
    (box("A", 20, 20, 20, 14, depth_by="measured", depth=150), {}, "absurd_depth"),
    (box("A", 190, 30, 40, 30), {"views": [{"x_mm": 100, "half": "left"}], **FOLDED}, "over_the_fold"),
]


@pytest.mark.parametrize(("thing", "more", "code"), ADVICE)
def test_advice_is_given_with_number_limit_and_a_cure_that_cures(
    thing: dict[str, object], more: dict[str, object], code: str
) -> None:
    exercise = exercise_of(thing, **more)
    advice = {a.code: a for a in draw(exercise).advice}
    assert code in advice
    given_advice = advice[code]
    assert given_advice.text
    assert given_advice.why
    assert given_advice.value != given_advice.limit
    for cure in given_advice.cures:
        cured = exercise
        for change in sought_cure(exercise, code, given_advice.about) if cure.is_sought else cure.edits:
            cured = edit.set_at(cured, change.path, change.value)
        assert code not in {a.code for a in draw(cured).advice}, cure.text


def test_a_well_placed_sheet_gets_no_advice() -> None:
    exercise = exercise_of(box("A", 110, 70, 50, 40), views=[{"x_mm": 210, "distance_mm": 420}])
    assert draw(exercise).advice == []


@settings(max_examples=80)
@given(st.one_of(exercises(), profiles()), st.data())
def test_dragging_any_handle_anywhere_gives_a_drawing_or_a_reason(exercise: Exercise, data: st.DataObject) -> None:
    handle = data.draw(st.sampled_from([h.id for h in draw(exercise).handles]))
    x, y = data.draw(st.floats(-900, 900)), data.draw(st.floats(-900, 900))
    try:
        after = edit.drag(exercise, handle, x, y)
        moved = draw(after)
    except GeometryError as refusal:
        assert refusal.why
        assert refusal.fix
        assert refusal.about.partition(".")[0] in ("things", "views", "eye_level", "sheet"), refusal.about
        assert draw(exercise).handles, "what was there before can still be drawn"
        return
    assert read_exercise(after.document()) == after
    assert moved.handles


def test_a_dragged_handle_snaps_to_the_ruler_and_lies_under_the_hand() -> None:
    exercise = exercise_of(box("A", 60, 40, 60, 40, depth_by="half"))
    after = edit.drag(exercise, "things.0.place", 71.4, 33.6)
    assert (after.things[0].held()["left"], after.things[0].held()["bottom"]) == (71, 34)
    at = {h.id: h.at for h in draw(exercise).handles}
    pulled = edit.drag(exercise, "things.0.depth", at["things.0.depth"][0] + 6, at["things.0.depth"][1] + 4)
    assert pulled.things[0].held()["depth_by"] == "measured"
    new = {h.id: h.at for h in draw(pulled).handles}["things.0.depth"]
    assert abs(new[0] - at["things.0.depth"][0] - 6) < 3


def test_things_are_added_copied_ordered_renamed_and_removed() -> None:
    exercise = exercise_of()
    for _ in range(6):
        exercise = add_thing(exercise, "box")
    draw(exercise)
    exercise = edit_things.copy_thing(edit_things.rename_thing(exercise, 0, "Crate"), 0)
    assert [t.name for t in exercise.things[:2]] == ["Crate", "Crate 1"]
    assert edit_things.move_thing(exercise, 0, 1).things[1].name == "Crate"
    assert len(edit_things.remove_thing(exercise, 3).things) == 6
    for bad in ("", "Crate 1", "a.b", "x" * 60):
        with pytest.raises(GeometryError):
            edit_things.rename_thing(exercise, 0, bad)


def test_another_paper_keeps_eye_level_and_point_at_their_share() -> None:
    half = edit.set_at(exercise_of(), "sheet.paper", "A4")
    assert half.eye_level.height_mm == 105, "half way up is half way up on every paper"
    low = exercise_of(eye_level={"height_mm": 99.0})
    after = edit.set_at(low, "sheet.paper", "A4")
    assert after.eye_level.height_mm == pytest.approx(99 * 210 / 297, abs=0.6)
    assert edit.set_at(after, "sheet.units", "in").sheet.division == "1/8 in"


def test_a_sheet_may_have_a_size_of_its_own_or_one_of_the_shops() -> None:
    letter = edit.type_at(exercise_of(), "sheet.paper", "letter, 8 1/2 x 11 in")
    # ANSI A, letter: 8.5 x 11 in (ASME Y14.1, from memory).
    assert (draw(letter).sheet.width_mm, draw(letter).sheet.height_mm) == pytest.approx((279.4, 215.9))
    own = edit.type_at(letter, "sheet.paper", "specially cut")
    assert draw(own).sheet.width_mm == pytest.approx(279.4), "it begins with the size that was there"
    own = edit.type_at(own, "sheet.own_width_mm", "14 in + 2 cm")
    assert draw(own).sheet.width_mm == pytest.approx(14 * 25.4 + 20)
    said = "".join(piece.text for piece in draw(own).sentences[0].pieces)
    assert "specially cut paper, 375.6 mm wide and 215.9 mm tall" in said
    with pytest.raises(GeometryError) as refused:
        edit.type_at(own, "sheet.own_width_mm", "1 cm")
    assert refused.value.nearest == "100 mm"


def test_each_half_of_a_folded_sheet_has_points_of_its_own_told_with_their_own_measures() -> None:
    first = corner_box(left=100, bottom=60, height=40)
    exercise = exercise_of(first, views=[{"kind": "two_point", "left_mm": 10, "right_mm": 400}], **FOLDED)
    exercise = edit.set_at(exercise, "views.0.half", "left")
    assert (exercise.views[0].left_mm, exercise.views[0].right_mm, exercise.things[0].held()["left"]) == (5, 200, 50)
    exercise = edit_views.add_view(exercise, "two_point")
    assert (exercise.views[1].half, exercise.views[1].left_mm, exercise.views[1].right_mm) == ("right", 210, 420)
    exercise = edit.set_at(add_thing(exercise, "box"), "things.1.view", exercise.views[1].name)
    drawing = draw(exercise)
    told = [(step.title, step.text) for step in drawing.steps if step.phase == "setup" and "fold" not in step.key]
    assert [title.partition(":")[0] for title, _ in told[1:]] == ["View 1", "View 2"]
    assert "5 mm" in told[1][1]
    assert "200 mm" in told[1][1]
    assert "the right half" in told[2][1]
    assert "over_the_fold" not in {a.code for a in drawing.advice}
    labels = {aim.label for aim in drawing.aims}
    assert labels == {"left point of view 1", "right point of view 1", "left point of view 2", "right point of view 2"}


def test_a_view_may_be_called_anything_as_long_as_no_two_points_are_called_alike() -> None:
    views: list[dict[str, object]] = [
        {"kind": "one_point", "name": "left bank", "x_mm": 100, "distance_mm": 200},
        {"kind": "two_point", "name": "a left distance"},
    ]
    cube = box("A", 20, 30, 40, 40, depth_by="cube", view="left bank")
    drawing = draw(exercise_of(cube, views=views))
    assert {aim.name: aim.label for aim in drawing.aims} == {
        "left bank": "point of left bank",
        "left bank left distance": "left distance point of left bank",
        "left bank right distance": "right distance point of left bank",
        "left a left distance": "left point of a left distance",
        "right a left distance": "right point of a left distance",
    }
    alike = [{**views[0], "name": "left point"}, {"kind": "two_point"}]
    with pytest.raises(GeometryError, match="would both be called"):
        draw(exercise_of(views=alike))


@pytest.mark.parametrize("centre", ["diagonals", "halving"])
def test_a_sheet_is_made_ready_with_margin_fold_and_centre(centre: str) -> None:
    sheet = {"margin_mm": 12.0, "centre": centre, "fold": "folded"}
    drawing = draw(exercise_of(box("A", 5, 40, 60, 40), sheet=sheet, eye_level={"height_mm": 148.5}))
    keys = [step.key for step in drawing.steps if step.phase == "setup"]
    assert keys == [
        "/setup.margin", "/setup.fold", f"/setup.centre_{centre}", "/setup.eye_level_through_centre", "/setup.point",
    ]  # fmt: skip
    kept = {line.name for line in drawing.lines if line.role == "detail"}
    assert {"margin left", "margin right", "margin top", "margin bottom", "eye level"} == kept
    margin = [line for line in drawing.lines if line.name == "margin left" and line.role == "detail"]
    assert len(margin) == 2, "the box stands over the margin"
