"""The construction route and the view route must agree, for every box in every place."""

from hypothesis import given, settings
from scenes import assert_same_point, exercises

from conftest import box, exercise_of
from orthopsis.core.construct.moves import RuleToPoint
from orthopsis.core.exercise.document import Exercise
from orthopsis.core.exercise.picture import solve
from orthopsis.core.exercise.setting import prepare
from orthopsis.core.plane.homogeneous import join, meet, offset


@settings(max_examples=300)
@given(exercises())
def test_every_named_point_is_where_the_eye_sees_it(exercise: Exercise) -> None:
    solved = solve(prepare(exercise))
    for placed, seen in zip(solved.prepared.things, solved.seen, strict=True):
        view = seen.solid.picture(seen.eye)
        made = {n: p for n, p in solved.board.points.items() if n.startswith(f"{placed.values.name}.")}
        assert made
        for name, point in made.items():
            assert_same_point(point.xy, view[name.partition(".")[2]], name)


@settings(max_examples=150)
@given(exercises())
def test_every_line_runs_where_its_family_says(exercise: Exercise) -> None:
    solved = solve(prepare(exercise))
    vanishing = solved.board.points["point"]
    for ruled in solved.board.lines.values():
        if ruled.family == "level":
            assert abs(ruled.start.y - ruled.end.y) < 1e-6
        elif ruled.family == "upright":
            assert abs(ruled.start.x - ruled.end.x) < 1e-6
        elif ruled.family == "point":
            assert abs(offset(vanishing, ruled.line)) < 1e-6


@settings(max_examples=150)
@given(exercises())
def test_as_many_guide_lines_as_receding_edges_and_nothing_is_left_open(exercise: Exercise) -> None:
    solved = solve(prepare(exercise))
    for placed in solved.prepared.things:
        name = placed.values.name
        guides = [m for m in solved.moves if m.thing == name and m.phase == "guides" and isinstance(m.act, RuleToPoint)]
        backs = [n for n in solved.board.points if n.startswith(f"{name}.back.")]
        assert len(guides) == len(backs), "each guide line ends in a back corner"
        if placed.values.is_see_through:
            assert len(guides) == 4


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
