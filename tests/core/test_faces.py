"""What lies on a face: divisions and patterns. Textbook: cross-ratio, harmonic conjugates; the rest common practice."""

import itertools
import math
from collections.abc import Sequence
from typing import Any

import numpy as np
import pytest
import shapely
from hypothesis import assume, given, settings
from hypothesis import strategies as st
from scenes import (
    CORNER,
    ROW,
    VIEWS,
    assert_same_point,
    divided,
    drawn_faces_of,
    exercises,
    faces_of,
    patterned,
)

from conftest import box, exercise_of
from orthopsis.core.check.check import check
from orthopsis.core.check.stroke import Stroke
from orthopsis.core.document.document import Exercise
from orthopsis.core.drawing.built import forget
from orthopsis.core.drawing.solved import Solved, solve
from orthopsis.core.editing.edit import drag, set_at, type_at
from orthopsis.core.editing.edit_things import move_thing, remove_thing
from orthopsis.core.errors import GeometryError
from orthopsis.core.exercise.add_thing import add_thing
from orthopsis.core.exercise.solve import draw
from orthopsis.core.plane.cross_ratio import cross_ratio, harmonic_conjugate, repeated_mark
from orthopsis.core.plane.homogeneous import Point, distance
from orthopsis.core.scene.prepared import prepare
from orthopsis.core.things.letters.measures import letters_of
from orthopsis.core.things.values import Values

WALL = {
    "kind": "box", "name": "Loft", "left": 200, "bottom": 60, "height": 150, "left_by": "measured", "left_length": 120,
    "right_by": "measured", "right_length": 140,
}  # fmt: skip
TWO = {"kind": "two_point", "left_mm": -90.0, "right_mm": 480.0}


def wall(**division: Any) -> Exercise:
    """A loft in two points, its right side divided."""
    parts = {"kind": "division", "name": "Parts", "joined_to": "Loft", "joined_by": "face_right", **division}
    return exercise_of(WALL, parts, views=[TWO])


def solved(exercise: Exercise) -> Solved:
    return solve(prepare(exercise))


def feet(exercise: Exercise) -> list[float]:
    """Distances of the marks on the lower edge from the nearest edge, mm, the edge's two ends with them."""
    points = solved(exercise).board.points
    near, far = points["Loft.near.bottom"], points["Loft.right.bottom"]
    inner = [p for n, p in points.items() if n.startswith("Parts.foot.")]
    return sorted(distance(near, p) for p in (near, *inner, far))


@settings(max_examples=300)
@given(divided() | patterned())
def test_what_lies_on_a_face_is_where_the_eye_sees_it(exercise: Exercise) -> None:
    try:
        answer = solved(exercise)
    except GeometryError as error:
        assert error.code in ("bays_too_long", "foot_too_flat", "no_room_to_measure", "depth_past_point")
        assume(False)
    name = exercise.things[1].name
    for corner, place in answer.seen[1].solid.picture(answer.seen[1].eye).items():
        assert_same_point(answer.board.points[f"{name}.{corner}"].xy, place, corner)


@settings(max_examples=150)
@given(patterned())
def test_a_pattern_stays_on_its_face(exercise: Exercise) -> None:
    answer = solved(exercise)
    panel = faces_of(exercise)[exercise.things[1].joined_by.removeprefix("face_")]  # type: ignore[attr-defined]
    parts = [part for one in panel.all for part in one.parts or (one.whole,)]
    loops = [[[c.at.xy for c in loop] for loop in one] for part in parts for _, one in part.pieces]
    area = shapely.union_all([shapely.make_valid(shapely.Polygon(outer, holes)) for outer, *holes in loops])
    for line in draw(exercise).lines:
        if line.thing == exercise.things[1].name and line.role == "detail":
            # A wave is cut where its straight pieces are, a fiftieth of its size beside the curve.
            within = area.buffer(1.5 if line.name.startswith("curve.") else 1e-4)
            assert shapely.LineString([line.start, *line.bend, line.end]).difference(within).length < 1e-3
    assert len(answer.built[1].solid.faces) == 0, "it hides nothing"


@pytest.mark.parametrize("way", ["diagonal", "halving", "measuring"])
def test_equal_parts_keep_the_cross_ratio(way: str) -> None:
    marks, reach = feet(wall(way=way, along="4")), distance(Point(200, 60), Point(480, 150))
    assert marks == pytest.approx([0, *(repeated_mark(marks[1], reach, n) for n in (1, 2, 3, 4))])
    for a, b, c in zip(marks, marks[1:], marks[2:], strict=False):
        assert cross_ratio(a, c, b, reach) == pytest.approx(cross_ratio(0, 2, 1, math.inf)), "harmonic, textbook"
    assert marks[2] == pytest.approx(harmonic_conjugate(0.0, marks[4], reach))


def test_a_repeated_part_shrinks_as_the_textbook_says_and_not_by_a_fixed_ratio() -> None:
    exercise, reach = wall(way="repeat_near", along="3", bay=40.0), distance(Point(200, 60), Point(480, 150))
    marks = feet(exercise)
    assert marks[:4] == pytest.approx([0, *(repeated_mark(40.0, reach, n) for n in (1, 2, 3))])
    steps = np.diff(marks[:4])
    assert steps[2] / steps[1] != pytest.approx(steps[1] / steps[0], rel=1e-2), "shrinking by one ratio is wrong"


def test_a_part_repeated_from_the_far_end_ends_where_the_near_one_would_begin() -> None:
    near = feet(wall(way="diagonal", along="4"))
    far = feet(wall(way="repeat_far", along="4", bay=near[4] - near[3]))
    assert far == pytest.approx(near)


def test_all_ways_that_are_true_find_the_same_places() -> None:
    for along in ("2", "4"):
        places = [feet(wall(way=way, along=along)) for way in ("diagonal", "halving", "measuring", "eye")]
        for other in places[1:]:
            assert other == pytest.approx(places[0])


def test_a_ratio_divides_in_that_ratio() -> None:
    answer = solved(wall(way="diagonal", along="2:1:1"))
    assert answer.built[1].solid.places[0] == pytest.approx(
        answer.built[0].solid.places[0] / 2 + answer.built[0].solid.places[2] / 2
    ), "half way in truth"


def test_the_ruler_on_the_page_is_told_to_be_skewed_and_cured() -> None:
    exercise = wall(way="page", along="2")
    marks = feet(exercise)
    assert marks[1] == pytest.approx(marks[2] / 2)
    true = harmonic_conjugate(0.0, marks[2], distance(Point(200, 60), Point(480, 150)))
    advice = next(a for a in draw(exercise).advice if a.code == "measured_middle")
    assert advice.value == pytest.approx(abs(true - marks[1]), abs=0.01)
    (edit,) = advice.cures[0].edits
    cured = set_at(exercise, edit.path, edit.value)
    assert "measured_middle" not in {a.code for a in draw(cured).advice}
    parts = wall(way="page").document()["things"][1]
    flat = exercise_of(box("Loft", 20, 30, 90, 60), {**parts, "joined_by": "face_front"})
    assert "measured_middle" not in {a.code for a in draw(flat).advice}, "a ruler is right on a face drawn true"


@pytest.mark.parametrize(
    ("place", "typed"),
    [
        ("along", "many"), ("along", "0"), ("up", "99"), ("along", "1:0"), ("along", ""),
    ],
)  # fmt: skip
def test_parts_that_cannot_be_are_refused_with_the_nearest_that_works(place: str, typed: str) -> None:
    exercise = type_at(wall(), f"things.1.{place}", typed)
    with pytest.raises(GeometryError) as fault:
        solved(exercise)
    assert (fault.value.code, fault.value.about) == ("not_parts", f"things.1.{place}")
    solved(type_at(exercise, f"things.1.{place}", fault.value.nearest))


@pytest.mark.parametrize(
    ("division", "about"),
    [
        ({"way": "halving", "along": "3"}, "along"),
        ({"way": "repeat_near", "along": "5", "bay": 60.0}, "bay"),
        ({"way": "repeat_far", "along": "4", "bay": 100.0}, "bay"),
        ({"way": "repeat_near", "along": "1:2"}, "along"),
    ],
)
def test_ways_that_cannot_find_the_parts_say_what_would_do(division: dict[str, Any], about: str) -> None:
    with pytest.raises(GeometryError) as fault:
        solved(wall(**division))
    assert fault.value.about == f"things.1.{about}"
    solved(type_at(wall(**division), f"things.1.{about}", fault.value.nearest))


def test_a_lower_edge_on_the_eye_level_needs_another_way() -> None:
    flat = {**WALL, "bottom": 149.0, "height": 60}
    parts = {"kind": "division", "name": "Parts", "joined_to": "Loft", "joined_by": "face_right", "way": "measuring"}
    exercise = exercise_of(flat, parts, views=[TWO])
    with pytest.raises(GeometryError) as fault:
        solved(exercise)
    assert fault.value.code == "foot_too_flat"
    solved(type_at(exercise, "things.1.way", fault.value.nearest))


def test_a_face_that_is_not_seen_is_said_and_another_offered() -> None:
    exercise = wall(joined_by="face_bottom")
    drawing = draw(exercise)
    assert not [line for line in drawing.lines if line.thing == "Parts"]
    advice = next(a for a in drawing.advice if a.code == "face_unseen")
    assert (
        draw(set_at(exercise, advice.cures[0].edits[0].path, advice.cures[0].edits[0].value)).advice != drawing.advice
    )


def test_what_lies_on_a_thing_goes_with_it() -> None:
    exercise = add_thing(exercise_of(WALL, views=[TWO]), "division")
    exercise = add_thing(exercise, "pattern")
    assert [thing.joined_to for thing in exercise.things[1:]] == [exercise.things[0].id] * 2
    assert len({thing.joined_by for thing in exercise.things[1:]}) == 2, "each on a face of its own"
    assert remove_thing(exercise, 0).things == ()
    moved = move_thing(exercise, 0, 2)
    assert solved(moved).board.points["Division 1.foot.1"] == solved(exercise).board.points["Division 1.foot.1"]
    with pytest.raises(GeometryError, match="Add a box"):
        add_thing(exercise_of(), "division")


def test_the_first_part_is_dragged_along_the_lower_edge() -> None:
    exercise = wall(way="repeat_near", along="2", bay=20.0)
    dragged = drag(exercise, "things.1.bay", 200 + 33, 60 + 11)
    assert dragged.things[1].held()["bay"] == pytest.approx(round(math.hypot(33, 11)))


@pytest.mark.parametrize(
    "word",
    [
        {**ROW, "text": "HARBOUR", "width": 40, "height": 60},
        {**ROW, "text": "ROPE", "layout": "steps", "step": 40},
        {**CORNER, "text": "HARBOUR", "width": 60},
    ],
)
def test_neighbouring_letters_have_patterns_that_are_told_apart_in_grey(word: dict[str, Any]) -> None:
    view = TWO if word.get("layout") == "corner" else {"kind": "one_point", "x_mm": 330.0}
    face = "left" if view is TWO else "front"
    pattern = {"kind": "pattern", "name": "Pattern", "joined_to": "Knot", "joined_by": f"face_{face}", "design": "each"}
    exercise = exercise_of(word, {**pattern, "along": "16", "up": "8"}, views=[view])
    steps = [step for step in draw(exercise).steps if step.phase == "pattern"]
    letters = [step.short.partition(":")[0] for step in steps]
    assert letters == [letter.name for letter in letters_of(read_values(exercise))][: len(letters)]
    greys = greys_on_page(exercise)
    for one, two in itertools.pairwise(letters):
        assert abs(greys[one] - greys[two]) >= 0.4, f"{one} and {two} look alike, steps of tone"
    assert all(a.short.partition(":")[2] != b.short.partition(":")[2] for a, b in itertools.pairwise(steps))


def test_a_pattern_is_drawn_again_after_what_was_built_is_forgotten() -> None:
    word = {**ROW, "text": "KNOT", "layout": "steps", "step": 40}
    pattern = {"kind": "pattern", "name": "Pattern", "joined_to": "Knot", "joined_by": "face_front", "design": "each"}
    exercise = exercise_of(word, pattern, views=[{"kind": "one_point", "x_mm": 330.0}])
    first = draw(exercise)
    forget()
    assert draw(exercise) == first


def read_values(exercise: Exercise) -> Values:
    return prepare(exercise).things[0].values


def greys_on_page(exercise: Exercise) -> dict[str, float]:
    """How dark each letter's front looks on the page, in steps of tone: its tone, the fields on it and the lines.

    Area coverage (textbook, from memory), measured on the drawing; a pencil line is 0.7 mm wide (common practice).
    """
    drawing = draw(exercise)
    panel = faces_of(exercise)[exercise.things[1].joined_by.removeprefix("face_")]  # type: ignore[attr-defined]
    fields = [(shapely.make_valid(_area(face.loops)), face.tone) for face in drawing.faces if face.thing == "Pattern"]
    lines = [shapely.LineString([a.start, a.end]) for a in drawing.lines if a.thing == "Pattern" and a.role == "detail"]
    found = {}
    for part in (part for one in panel.all for part in one.parts):
        area = shapely.union_all([_area([[c.at.xy for c in loop] for loop in loops]) for _, loops in part.pieces])
        tone = next(face.tone for face in drawing.faces if face.name == part.pieces[0][0])
        dark = sum(shape.intersection(area).area * (own - tone) for shape, own in fields) / area.area
        ink = sum(line.intersection(area).length for line in lines) * 0.7 / area.area
        found[part.name] = (tone + dark) * (1 - ink) + 3 * ink
    return found


def _area(loops: Sequence[Sequence[tuple[float, float]]]) -> shapely.Polygon:
    return shapely.Polygon(loops[0], loops[1:])


def test_a_pattern_need_not_be_drawn_but_is_known_and_a_division_is_asked_for() -> None:
    pattern = {"kind": "pattern", "name": "Pattern", "joined_to": "Loft", "joined_by": "face_left", "design": "along"}
    exercise = exercise_of(WALL, {"kind": "division", "name": "Parts", "joined_to": "Loft", "joined_by": "face_right"},
                           pattern, views=[TWO])  # fmt: skip
    lines = [line for line in draw(exercise).lines if line.role in ("edge", "detail") and line.visible]
    strokes = [Stroke(Point(*line.start), Point(*line.end)) for line in lines if line.thing != "Parts"]
    checked = check(exercise, strokes)
    assert {name.partition(".")[0] for name in checked.missing} == {"Parts"}
    assert "unexpected" not in {line.verdict for line in checked.lines}
    assert check(exercise, strokes[:4]).missing == [
        n for n in check(exercise, strokes[:4]).missing if "Pattern" not in n
    ]


@pytest.mark.parametrize("view", ["one_point", "two_point_free", "from_above"])
def test_stripes_run_to_the_point_of_their_face(view: str) -> None:
    exercise = exercise_of({**WALL, "bottom": 90, "height": 40, "width": 60, "depth_by": "half", "left": 120,
                            "right_length": 40, "left_length": 40},
                           views=[VIEWS[view]])  # fmt: skip
    panel = faces_of(exercise)["right"]
    stripes = {"kind": "pattern", "name": "Pattern", "joined_to": "Loft", "joined_by": "face_right", "design": "along"}
    exercise = exercise_of(exercise.things[0].model_dump(mode="json"), stripes, views=[VIEWS[view]])
    lines = [line for line in draw(exercise).lines if line.thing == "Pattern" and line.role == "detail"]
    assert len(lines) == 5
    for line in lines:
        (ax, ay), (bx, by), goal = line.start, line.end, panel.along.goal
        assert (bx - ax) * (goal.y - ay) - (by - ay) * (goal.x - ax) == pytest.approx(0, abs=1e-6)


@settings(max_examples=120)
@given(exercises(most=1), st.sampled_from(["K", "RF", "QUAY 7", "ÅS/OF"]), st.sampled_from(["none", "fifth"]))
def test_letters_on_any_face_are_where_the_eye_sees_them_and_never_mirrored(
    host: Exercise, text: str, rim: str
) -> None:
    views = [view.model_dump(mode="json") for view in host.views]
    for face in drawn_faces_of(host):
        sign = {"kind": "lettering", "name": "Sign", "joined_to": "Box 1", "joined_by": f"face_{face}", "text": text}
        answer = solved(exercise_of(host.things[0].model_dump(mode="json"), {**sign, "rim": rim}, views=views))
        picture = answer.seen[1].solid.picture(answer.seen[1].eye)
        for corner, place in picture.items():
            assert_same_point(answer.board.points[f"Sign.{corner}"].xy, place, corner)
        edges = {edge.start: edge.end for edge in answer.seen[1].solid.edges}
        loop, at = [picture["corner.1"]], edges["corner.1"]
        while at != "corner.1":
            loop.append(picture[at])
            at = edges[at]
        assert shapely.LinearRing(loop).is_ccw, "an outline runs round as it does on the grid"


def test_a_sign_is_refused_as_a_word_is() -> None:
    sign = {"kind": "lettering", "name": "Sign", "joined_to": "Loft", "joined_by": "face_left", "text": "Ж"}
    with pytest.raises(GeometryError, match="alphabet") as fault:
        solved(exercise_of(WALL, sign, views=[TWO]))
    assert fault.value.about == "things.1.text"
