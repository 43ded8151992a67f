"""The construction route and the view route must agree, for every box in every place."""

import math

import numpy as np
import pytest
from hypothesis import given, settings
from scenes import VIEWS, assert_same_point, benches, exercises, profiles, words

from conftest import box, exercise_of
from orthopsis.core.construct.moves import RuleToPoint
from orthopsis.core.document.document import Exercise
from orthopsis.core.drawing.solved import Solved, solve
from orthopsis.core.plane.homogeneous import join, meet, offset
from orthopsis.core.scene.prepared import prepare
from orthopsis.core.sight.hidden import Sight
from orthopsis.core.sight.solid import Edge


@settings(max_examples=500)
@given(exercises())
def test_every_named_point_is_where_the_eye_sees_it(exercise: Exercise) -> None:
    solved = solve(prepare(exercise))
    for placed, seen in zip(solved.prepared.things, solved.seen, strict=True):
        view = seen.solid.picture(seen.eye)
        made = {
            n.partition(".")[2]: p for n, p in solved.board.points.items() if n.startswith(f"{placed.values.name}.")
        }
        corners = made.keys() & view.keys()
        assert len(corners) >= 4
        assert {n for n in made if not n.startswith("measure.")} == corners
        for name in corners:
            assert_same_point(made[name].xy, view[name], name)


@settings(max_examples=250)
@given(profiles() | words() | benches())
def test_every_corner_of_a_profile_is_made_and_is_where_the_eye_sees_it(exercise: Exercise) -> None:
    solved = solve(prepare(exercise))
    for name, place in solved.seen[0].solid.picture(solved.seen[0].eye).items():
        assert_same_point(solved.board.points[f"Shape.{name}"].xy, place, name)


@settings(max_examples=200)
@given(exercises() | profiles() | words() | benches())
def test_every_line_runs_where_its_family_says(exercise: Exercise) -> None:
    solved = solve(prepare(exercise))
    for ruled in solved.board.lines.values():
        if ruled.family == "level":
            assert abs(ruled.start.y - ruled.end.y) < 1e-6
        elif ruled.family == "upright":
            assert abs(ruled.start.x - ruled.end.x) < 1e-6
        elif ruled.family in solved.board.points:
            assert abs(offset(solved.board.points[ruled.family], ruled.line)) < 1e-6


@settings(max_examples=150)
@given(exercises(views=("one_point",)))
def test_as_many_guide_lines_as_receding_edges_and_nothing_is_left_open(exercise: Exercise) -> None:
    solved = solve(prepare(exercise))
    for placed in solved.prepared.things:
        name = placed.values.name
        guides = [m for m in solved.moves if m.thing == name and m.phase == "guides" and isinstance(m.act, RuleToPoint)]
        backs = [n for n in solved.board.points if n.startswith(f"{name}.back.")]
        assert len(guides) == len(backs), "each guide line ends in a back corner"
        if placed.values.is_see_through:
            assert len(guides) == 4


@settings(max_examples=200)
@given(exercises() | profiles() | words() | benches())
def test_every_seen_edge_was_made_by_the_hand(exercise: Exercise) -> None:
    solved = solve(prepare(exercise))
    for placed, pieces in zip(solved.prepared.things, Sight(solved.seen).pieces(), strict=True):
        for piece in pieces:
            seen_mm = (piece.end - piece.start) * solved_length(solved, placed.index, piece.edge)
            if piece.visible and seen_mm > 0.01:
                ends = (f"{placed.values.name}.{end}" for end in (piece.edge.start, piece.edge.end))
                assert all(end in solved.board.points for end in ends), piece.edge.name


def solved_length(solved: Solved, thing: int, edge: Edge) -> float:
    """Return how long an edge is on the page, mm."""
    page = solved.seen[thing].solid.picture(solved.seen[thing].eye)
    return math.dist(page[edge.start], page[edge.end])


@pytest.mark.parametrize("view", ["two_point", "from_above", "from_below"])
def test_true_lengths_and_cubes_are_true_in_the_world(view: str) -> None:
    bottom = {"two_point": 30, "from_above": 120, "from_below": 170}[view]
    thing = {"kind": "box", "name": "Cube", "left": 230, "bottom": bottom, "height": 55, "left_by": "cube"}
    solved = solve(prepare(exercise_of({**thing, "right_by": "true", "right_length": 33.0}, views=[VIEWS[view]])))
    solid = solved.seen[0].solid
    at = {
        name: solid.places[solid.index(f"{name}")]
        for name in ("near.bottom", "near.top", "left.bottom", "right.bottom")
    }
    tall, left, right = (np.linalg.norm(at[n] - at["near.bottom"]) for n in ("near.top", "left.bottom", "right.bottom"))
    assert abs(tall - left) < 1e-9
    assert abs(right - 33.0) < 1e-9
    corner = (at["left.bottom"] - at["near.bottom"]) @ (at["right.bottom"] - at["near.bottom"])
    assert abs(corner) < 1e-6, "the sides stand at right angles"


def test_a_true_cube_is_as_deep_as_wide_wherever_it_stands() -> None:
    for left, bottom in ((20, 20), (300, 40), (180, 20), (30, 230), (280, 190), (195, 60)):
        solved = solve(prepare(exercise_of(box("Cube", left, bottom, 48, 10, depth_by="cube"))))
        solid = solved.seen[0].solid
        depth = solid.places[solid.index("back.top_left")][2] - solid.places[solid.index("front.top_left")][2]
        assert abs(depth - 48) < 1e-9


def test_the_diagonals_of_a_receding_face_cross_in_its_true_middle() -> None:
    # The centre of any face is the crossing of its diagonals, and lies beyond the measured middle (common practice).
    board = solve(prepare(exercise_of(box("Crate", 40, 30, 80, 60, depth_by="half")))).board
    near, far = board.points["Crate.front.top_right"], board.points["Crate.back.top_right"]
    low_near, low_far = board.points["Crate.front.bottom_right"], board.points["Crate.back.bottom_right"]
    middle = meet(join(near, low_far), join(low_near, far))
    assert middle.x > (near.x + far.x) / 2
