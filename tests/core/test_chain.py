"""Documents of earlier schemas are read without loss, and what was changed of a step stays with it."""

import json
from typing import Any

import pytest
from hypothesis import given
from hypothesis import strategies as st

from conftest import box, exercise_of
from orthopsis.core.document.chain import FAMILY, NEWEST, upgraded
from orthopsis.core.document.document import Exercise, read_exercise
from orthopsis.core.document.parts import StepRef
from orthopsis.core.document.ready import READY
from orthopsis.core.editing import edit, edit_things
from orthopsis.core.errors import UnreadableExercise
from orthopsis.core.exercise.edit_steps import bring_back, change_step, forget_unused
from orthopsis.core.exercise.solve import draw

JSON = st.recursive(
    st.none() | st.booleans() | st.integers(-5, 5) | st.text(max_size=8),
    lambda inner: st.lists(inner, max_size=3) | st.dictionaries(st.text(max_size=6), inner, max_size=3),
    max_leaves=8,
)


def first(*things: dict[str, Any], **more: Any) -> dict[str, Any]:
    """Return a document as version 1 wrote it."""
    return {"schema": "orthopsis/exercise/1", "things": list(things), **more}


@pytest.mark.parametrize("document", READY, ids=lambda document: str(document["title"]))
def test_every_ready_exercise_of_version_1_is_drawn_as_it_was_and_written_anew(document: dict[str, Any]) -> None:
    assert document["schema"] == f"{FAMILY}/1"
    exercise = read_exercise(document)
    written = exercise.document()
    assert written["schema"] == f"{FAMILY}/{NEWEST}"
    assert read_exercise(json.dumps(written)) == exercise
    names = {thing["id"]: thing["name"] for thing in written["things"]}
    for before, after in zip(document["things"], written["things"], strict=True):
        assert after["name"] == before["name"]
        assert names.get(after["joined_to"], "") == before.get("joined_to", "")
        kept = {name: value for name, value in before.items() if name not in ("outline", "joined_to")}
        assert kept.items() <= after.items()
    assert draw(exercise).model_dump() == draw(read_exercise(written)).model_dump()


def test_changes_of_steps_find_their_steps_again() -> None:
    crate = box("Crate / A", 40.0, 30.0, 80.0, 60.0, depth_by="measured", depth=60.0)
    other = box("Crate", 200.0, 30.0, 80.0, 60.0, depth_by="measured", depth=60.0)
    steps = [
        {"step": "Crate / A/front", "text": "Draw the crate of the quay."},
        {"step": "Crate/guides", "split": True},
        {"step": "Crate/guides~2", "text": "And the second one."},
        {"step": "/tone", "left_out": True},
    ]
    exercise = read_exercise(first(crate, other, steps=steps))
    refs = [change.step for change in exercise.steps]
    assert refs == [
        StepRef(thing=1, words="front"),
        StepRef(thing=2, words="guides"),
        StepRef(thing=2, words="guides", line=2),
        StepRef(words="tone"),
    ]
    drawing = draw(exercise)
    texts = [step.text for step in drawing.steps]
    assert "Draw the crate of the quay." in texts
    assert "And the second one." in texts
    assert [left.key for left in drawing.left_out] == ["/tone"]
    assert drawing.unused == []


def test_steps_of_letters_and_of_the_same_words_again_are_told_apart() -> None:
    word = {"kind": "letters", "name": "Knot", "text": "KO", "left": 30, "bottom": 30, "width": 50, "height": 60}
    steps = [{"step": "Knot/guides.profile@O", "extra": True}, {"step": "Knot/guides#2@3", "text": "x"}]
    exercise = read_exercise(first(word, steps=steps))
    assert exercise.steps[0].step == StepRef(thing=1, words="guides.profile", part="O")
    drawing = draw(exercise)
    assert [step.extra for step in drawing.steps if step.key == "Knot/guides.profile@O"] == [True]
    assert len(drawing.unused) == 1, "what cannot be understood is kept and said"


@given(st.dictionaries(st.sampled_from(["things", "steps", "views", "title"]), JSON), JSON)
def test_a_broken_document_of_version_1_is_refused_as_one_of_today_is(data: dict[str, Any], more: Any) -> None:
    document = {"schema": f"{FAMILY}/1", **data, "more": more}
    upgraded(document, 1)
    with pytest.raises(UnreadableExercise):
        read_exercise(document)


def test_a_change_stays_with_its_thing_when_that_is_called_otherwise(crates: Exercise) -> None:
    said = change_step(crates, "Low/front", "say", "Draw the lowest one first.")
    renamed = edit_things.rename_thing(said, 0, "Lobster crate")
    assert renamed.steps == said.steps
    assert "Draw the lowest one first." in [step.text for step in draw(renamed).steps]
    typed = edit.set_at(said, "things.0.name", "Whatever")
    assert "Draw the lowest one first." in [step.text for step in draw(typed).steps]


def test_a_change_that_fits_no_step_any_more_is_said_and_can_be_forgotten(crates: Exercise) -> None:
    changed = change_step(crates, "High/depth.front_half", "say", "Cut it about half way.")
    changed = change_step(changed, "Low/guides", "extra")
    measured = edit.type_at(changed, "things.2.depth_by", "measured")
    assert draw(measured).unused == ["High: “Cut it about half way.”"]
    assert draw(edit.type_at(measured, "things.2.depth_by", "half")).unused == [], "it comes back with its step"
    forgotten = forget_unused(measured)
    assert draw(forgotten).unused == []
    assert [step.extra for step in draw(forgotten).steps if step.key == "Low/guides"] == [True]
    gone = edit_things.remove_thing(measured, 2)
    assert draw(gone).unused == [], "what belongs to a thing goes with it"


def test_a_thing_gets_an_id_that_nobody_has_and_keeps_it(crates: Exercise) -> None:
    assert [thing.id for thing in crates.things] == [1, 2, 3]
    copied = edit_things.copy_thing(crates, 0)
    assert sorted(thing.id for thing in copied.things) == [1, 2, 3, 4]
    without = edit_things.remove_thing(change_step(copied, "Low/front", "extra"), 1)
    assert read_exercise(without.document()) == without
    data = crates.document()
    data["things"][1]["id"] = 0
    data["things"][2]["id"] = 1
    with pytest.raises(UnreadableExercise, match="same id"):
        read_exercise(data)
    del data["things"][0]["id"]
    assert [thing.id for thing in read_exercise(data).things] == [2, 3, 1]


def test_a_step_that_is_not_there_cannot_be_brought_back(crates: Exercise) -> None:
    with pytest.raises(Exception, match="no such step"):
        bring_back(crates, "Low/nothing")
    assert exercise_of() == read_exercise(exercise_of().document())
