"""While a hand moves a word, it is drawn by the view alone: the same edges, without its light lines."""

from typing import Any

import pytest
from hypothesis import given, settings
from hypothesis import strategies as st
from scenes import VIEWS

from conftest import box, exercise_of
from orthopsis.core.document.document import Exercise
from orthopsis.core.drawing.answer import Picture
from orthopsis.core.drawing.built import forget
from orthopsis.core.editing.edit import drag
from orthopsis.core.exercise.solve import draw_moving, draw_picture

LONG = "BREAKWATER"


def sheet(text: str, view: str, **values: Any) -> Exercise:
    """A word before a box."""
    where = {"left": 40.0, "bottom": 30.0, "width": 20.0, "height": 26.0, "gap": 4.0, "depth_by": "half"}
    if view != "one_point":
        where = {"left": 200.0, "bottom": 60.0, "height": 60.0, "left_by": "measured", "left_length": 120.0}
    word = {"kind": "letters", "name": "Word", "text": text, **where, **values}
    other = box("Crate", 60.0, 40.0, 60.0, 40.0) if view == "one_point" else {**word, "name": "Crate", "kind": "box"}
    return exercise_of({k: v for k, v in other.items() if k != "text"}, word, views=[VIEWS[view]])


def seen(picture: Picture, thing: str) -> dict[str, list[tuple[float, ...]]]:
    """The pieces of a thing's edges that are seen, by name, in order."""
    found: dict[str, list[tuple[float, ...]]] = {}
    for line in picture.lines:
        if line.thing == thing and line.role in ("edge", "detail") and line.visible:
            found.setdefault(line.name, []).append((*line.start, *line.end))
    return found


@settings(max_examples=12)
@given(st.sampled_from(["one_point", "two_point", "from_above"]), st.sampled_from(["solid", "see_through"]))
def test_a_word_that_is_moved_shows_the_same_edges(view: str, look: str) -> None:
    exercise = sheet(LONG, view, look=look)
    forget()
    moving = draw_moving(exercise)
    whole = draw_picture(exercise)
    by_view, by_hand = seen(moving, "Word"), seen(whole, "Word")
    # An edge that lies under another one is made by no hand, and the view shows it; no other is more or less.
    assert by_hand.keys() <= by_view.keys()
    for name, pieces in by_hand.items():
        assert len(by_view[name]) == len(pieces), name
        for one, other in zip(by_view[name], pieces, strict=True):
            assert one == pytest.approx(other, abs=0.001), name
    assert not [line for line in moving.lines if line.thing == "Word" and (line.role == "guide" or not line.visible)]
    assert moving.handles == whole.handles
    assert moving.measures == whole.measures


@pytest.mark.parametrize(("text", "form"), [("KNOT", "block"), (LONG, "round")])
def test_what_is_short_or_round_is_drawn_as_ever(text: str, form: str) -> None:
    exercise = sheet(text, "one_point", form=form)
    forget()
    assert draw_moving(exercise).lines == draw_picture(exercise).lines


def test_a_word_that_stays_keeps_its_light_lines_while_another_thing_moves() -> None:
    exercise = sheet(LONG, "one_point")
    before = draw_picture(exercise)
    moved = draw_moving(drag(exercise, "things.0.place", 70.0, 44.0))
    mine = [line for line in before.lines if line.thing == "Word" and line.role == "guide"]
    assert mine
    assert mine == [line for line in moved.lines if line.thing == "Word" and line.role == "guide"]


def test_what_cannot_stand_there_is_refused_while_the_hand_moves() -> None:
    exercise = sheet(LONG, "one_point", depth_by="measured", depth=30.0)
    far = drag(exercise, "things.1.place", 41.0, 31.0)
    assert far.things[1].held()["left"] == 41.0
    assert len(draw_moving(far).lines) < len(draw_picture(far).lines)
