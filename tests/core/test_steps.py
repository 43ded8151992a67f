"""Steps that a teacher changed: what is told, in which order, and that the changes stay when the exercise changes."""

import pytest

from conftest import box, exercise_of
from orthopsis.core.document.document import Exercise, read_exercise
from orthopsis.core.document.ready import READY
from orthopsis.core.drawing.answer import Step
from orthopsis.core.drawing.stage import stage_after
from orthopsis.core.editing import edit, edit_things
from orthopsis.core.errors import GeometryError
from orthopsis.core.exercise.edit_steps import bring_back, change_step
from orthopsis.core.exercise.solve import draw


@pytest.fixture
def two() -> Exercise:
    """Two crates beside each other."""
    return exercise_of(box("Low", 40, 30, 80, 60, depth_by="half"), box("Right", 300, 40, 60, 60, depth_by="half"))


def keys(exercise: Exercise) -> list[str]:
    """Return the names of the steps in order."""
    return [step.key for step in draw(exercise).steps]


def step_of(exercise: Exercise, key: str) -> Step:
    """Return a step by its name."""
    return next(step for step in draw(exercise).steps if step.key == key or key in step.joins)


def test_a_step_moves_as_far_as_what_it_needs_allows(two: Exercise) -> None:
    assert keys(two).index("Right/front") > keys(two).index("Low/back")
    moved = two
    while "earlier" in step_of(moved, "Right/front").can:
        moved = change_step(moved, "Right/front", "earlier")
    order = keys(moved)
    assert order.index("Right/front") == order.index("Low/front") - 1, "all fronts can be drawn first"
    with pytest.raises(GeometryError) as refused:
        change_step(moved, "Right/front", "earlier")
    assert refused.value.code == "step_cannot"
    guides = step_of(two, "Low/guides")
    assert "earlier" not in guides.can, "lines to the point need the front"


def test_changes_stay_when_the_exercise_changes_and_follow_a_new_name(two: Exercise) -> None:
    said = change_step(two, "Low/front", "say", "Draw the lobster crate as we practised.")
    dragged = edit.set_at(said, "things.0.width", 95.0)
    assert step_of(dragged, "Low/front").text == "Draw the lobster crate as we practised."
    renamed = edit_things.rename_thing(dragged, 0, "Lobster crate")
    assert step_of(renamed, "Lobster crate/front").text == "Draw the lobster crate as we practised."
    assert read_exercise(renamed.document()) == renamed
    own = change_step(renamed, "Lobster crate/front", "own")
    assert "95 mm" in step_of(own, "Lobster crate/front").text
    assert not edit_things.remove_thing(said, 0).steps, "what was changed of a thing goes with it"


def test_steps_told_in_one_breath_or_line_by_line_draw_the_same(two: Exercise) -> None:
    joined = change_step(two, "Low/depth.front_half", "join")
    assert len(keys(joined)) == len(keys(two)) - 1
    assert "Low/depth.front_half" in step_of(joined, "Low/guides").joins
    assert keys(change_step(joined, "Low/guides", "part")) == keys(two)
    split = change_step(two, "Low/guides", "split")
    lines = [key for key in keys(split) if key.startswith("Low/guides~")]
    assert len(lines) == step_of(two, "Low/guides").count
    assert all(step_of(split, key).count == 1 for key in lines)
    assert keys(change_step(split, lines[0], "whole")) == keys(two)
    whole = draw(two)
    for changed in (joined, split):
        told = draw(changed)
        assert stage_after(told, len(told.steps)) == stage_after(whole, len(whole.steps))


def test_a_step_is_left_out_only_if_nothing_needs_it(two: Exercise) -> None:
    without = change_step(two, "/tone", "leave_out")
    assert "/tone" not in keys(without)
    assert [left.key for left in draw(without).left_out] == ["/tone"]
    assert keys(bring_back(without, "/tone")) == keys(two)
    with pytest.raises(GeometryError) as refused:
        change_step(two, "Low/front", "leave_out")
    assert refused.value.code == "step_cannot"


def test_extra_steps_do_not_count_against_the_lesson(two: Exercise) -> None:
    short = two.model_copy(update={"minutes": 10})
    assert any(a.code == "more_than_the_minutes" for a in draw(short).advice)
    for key in keys(short):
        short = change_step(short, key, "extra")
    assert not any(a.code == "more_than_the_minutes" for a in draw(short).advice)
    assert all(step.extra for step in draw(short).steps)


def test_a_lesson_may_end_when_the_sheet_is_set_up_and_after_each_thing(two: Exercise) -> None:
    stops = [step.key for step in draw(two).steps if step.stop]
    assert stops == ["/setup.point", "Low/back", "Right/back"]


@pytest.mark.parametrize("level", ["youngest", "middle", "oldest"])
@pytest.mark.parametrize(
    ("looks", "stays"),
    [(("solid", "solid"), False), (("see_through", "open"), True), (("see_through", "see_through"), True)],
)
def test_what_is_taken_away_is_said_as_it_is_on_this_sheet(looks: tuple[str, str], stays: bool, level: str) -> None:
    first, second = (box(f"Box {i}", 40.0 + 200 * i, 40.0, 60.0, 50.0, look=look) for i, look in enumerate(looks))
    steps = draw(exercise_of(first, second, wording={"level": level})).steps
    (away,) = (step for step in steps if step.phase == "take_away")
    assert ("stay" in away.text or "keep" in away.text) == stays
    assert ("hidden edges, " in away.text) == (looks == ("solid", "solid") and level != "youngest")


def test_one_line_is_said_in_the_singular() -> None:
    sheet = exercise_of(box("Crate", 40.0, 40.0, 60.0, 50.0, depth_by="measured", depth=30.0), division("2"))
    said = " ".join(step.text for step in draw(sheet).steps)
    assert "light line 1, counted" in said
    assert "light lines 1, counted" not in said
    assert "1 line, each" not in said


def division(along: str) -> dict[str, object]:
    """A division of the crate's right side by ticks and its diagonal."""
    on = {"joined_to": "Crate", "joined_by": "face_right"}
    return {"kind": "division", "name": "Bays", **on, "way": "diagonal", "along": along, "up": "1"}


@pytest.mark.parametrize("ready", READY, ids=[ready["title"] for ready in READY])
def test_nothing_is_dark_or_new_when_what_is_not_seen_is_taken_away(ready: dict[str, object]) -> None:
    drawing = draw(read_exercise(ready))
    for count, step in enumerate(drawing.steps, start=1):
        stage = stage_after(drawing, count)
        if step.phase == "take_away":
            assert not stage.fresh
            assert not stage.dark
        elif step.phase == "darken":
            assert stage.fresh == stage.dark


def test_who_goes_round_a_back_is_told_where_to_begin() -> None:
    """At the one mark of the depth; once light lines have found more corners of the back, at those."""
    told = draw(read_exercise(next(r for r in READY if r["title"].startswith("An E with measured strokes")))).steps
    rounds = [step for step in told if "go round the back" in step.text]
    assert rounds
    assert all(step.text.startswith("From the corners of the back that are marked") for step in rounds)
    lying = draw(read_exercise(next(r for r in READY if r["title"].startswith("H lying on the quay")))).steps
    assert next(step for step in lying if "go round the back" in step.text).text.startswith("From the mark go")
