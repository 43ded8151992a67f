"""A bench: legs and seat in their shares, on marks of the ruler, stretched by hand, and drawn like any shape."""

import math

import pytest
from hypothesis import given, settings
from scenes import VIEWS, benches

from conftest import exercise_of
from orthopsis.core.document.document import Exercise
from orthopsis.core.drawing.solved import solve
from orthopsis.core.editing.edit import drag, type_at
from orthopsis.core.exercise.add_thing import add_thing
from orthopsis.core.exercise.solve import draw
from orthopsis.core.scene.prepared import prepare
from orthopsis.core.sight.hidden import Sight

BENCH = {"kind": "bench", "name": "Bench", "left": 40, "bottom": 40, "width": 96, "height": 36, "legs": "eighth"}


def test_legs_and_seat_have_their_shares_and_no_edge_is_missing() -> None:
    front = solve(prepare(exercise_of({**BENCH, "seat": "quarter"}))).built[0].page
    across = sorted({round(front[f"front.{i}"][0] - 40, 6) for i in range(1, 9)})
    up = sorted({round(front[f"front.{i}"][1] - 40, 6) for i in range(1, 9)})
    assert across == [0, 12, 84, 96]
    assert up == [0, 27, 36]


def test_both_legs_are_equally_wide_on_the_ruler() -> None:
    front = solve(prepare(exercise_of({**BENCH, "width": 97, "legs": "tenth"}))).built[0].page
    left, right = (abs(front[f"front.{a}"][0] - front[f"front.{b}"][0]) for a, b in ((1, 2), (5, 6)))
    assert left == right == 10


def test_under_the_eye_level_and_beside_the_point_it_has_the_guide_lines_of_its_corners() -> None:
    # Counted by hand on a drawing: both top corners, the outer foot, and the inner foot of the far leg (common
    # practice, no source: a corner gets a line only if that does not cross the front).
    steps = draw(exercise_of(BENCH)).steps
    assert sum(step.count for step in steps if step.phase == "guides") == 4


@settings(max_examples=60)
@given(benches())
def test_every_edge_of_a_bench_that_is_seen_was_drawn(exercise: Exercise) -> None:
    found = solve(prepare(exercise))
    page = found.seen[0].solid.picture(found.seen[0].eye)
    for piece in Sight(found.seen).pieces()[0]:
        long = (piece.end - piece.start) * math.dist(page[piece.edge.start], page[piece.edge.end])
        if piece.visible and long > 0.05:
            assert {f"Shape.{piece.edge.start}", f"Shape.{piece.edge.end}"} <= found.board.points.keys()


@pytest.mark.parametrize("view", ["one_point", "two_point", "from_above"])
def test_a_new_bench_lands_where_nothing_is_said_against_it_and_is_told_in_sentences(view: str) -> None:
    exercise = add_thing(exercise_of(views=[VIEWS[view]]), "bench")
    drawing = draw(exercise)
    # Points like these, seen from above, leave only a small part of the sheet within the cone.
    codes = {a.code for a in drawing.advice if a.about == "things.0"}
    assert codes <= ({"outside_comfortable_cone"} if view == "from_above" else set())
    said = "".join(piece.text for piece in drawing.sentences[-1].pieces)
    assert "Legs" in said
    assert "seat" in said
    assert not [handle for handle in drawing.handles if handle.shape == "corner"], "its corners follow from its shares"


def test_it_is_stretched_by_hand_and_keeps_its_shares() -> None:
    wider = drag(exercise_of(BENCH), "things.0.size", 200.0, 100.0)
    assert (wider.things[0].held()["width"], wider.things[0].held()["height"]) == (160, 60)
    assert wider.things[0].held()["legs"] == "eighth"
    tiny = drag(wider, "things.0.size", 0.0, 0.0)
    assert (tiny.things[0].held()["width"], tiny.things[0].held()["height"]) == (8, 8)
    assert draw(tiny).lines


def test_another_share_is_typed_in_its_sentence() -> None:
    changed = type_at(exercise_of(BENCH), "things.0.legs", "a quarter")
    front = solve(prepare(changed)).built[0].page
    assert front["front.2"][0] - 40 == 24
