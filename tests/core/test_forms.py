"""Round, arched and pointed forms on faces, and openings right through: both routes, and the ellipse itself."""

import math
from typing import Any

import numpy as np
import pytest
import shapely
from hypothesis import given, settings
from scenes import VIEWS, assert_same_point, solved, windowed
from skimage.measure import EllipseModel

from conftest import box, exercise_of
from orthopsis.core.document.document import Exercise
from orthopsis.core.drawing.solved import Solved
from orthopsis.core.editing.edit import type_at
from orthopsis.core.errors import GeometryError
from orthopsis.core.exercise.solve import draw
from orthopsis.core.plane.homogeneous import Point
from orthopsis.core.sight.hidden import Sight
from orthopsis.core.sight.solid import faces_toward_eye
from orthopsis.core.things.rectangles.forms import CORNERS, FORMS
from orthopsis.core.wording.vocabulary import LEVELS

DRAWN = tuple(name for name in FORMS if name != "rectangle")
CURVED = ("round", "arch")
LOFT = {
    "kind": "box", "name": "Loft", "left": 200.0, "bottom": 60.0, "height": 90.0, "left_by": "measured",
    "left_length": 80.0, "right_by": "measured", "right_length": 110.0,
}  # fmt: skip
ONE = {"columns": "1", "rows": "1", "along": "1:2:1", "up": "1:2:1", "wide": "whole", "tall": "whole"}


def loft(view: str = "two_point", by: str = "face_right", **forms: Any) -> Exercise:
    """A net loft with forms on a wall."""
    host = {**LOFT, "bottom": 110.0, "height": 60.0} if view == "from_above" else LOFT
    if view == "one_point":
        host = box("Loft", 40.0, 60.0, 110.0, 120.0, depth_by="measured", depth=80.0)
    on = {"kind": "rectangles", "name": "Forms", "joined_to": "Loft", "joined_by": by}
    return exercise_of(host, {**on, **ONE, **forms}, views=[VIEWS[view]])


@settings(max_examples=300)
@given(windowed(("flat", "out", "in", "through"), DRAWN))
def test_every_corner_of_a_form_is_where_the_eye_sees_it(exercise: Exercise) -> None:
    found = solved(exercise)
    seen = found.seen[1]
    picture, made = seen.solid.picture(seen.eye), found.board.points
    for name, place in picture.items():
        full = f"Windows.{name}"
        assert full in made, f"{name} was never made"
        assert_same_point(made[full].xy, place, name)


@settings(max_examples=100)
@given(windowed(("through",)))
def test_rectangles_go_right_through_and_end_where_the_eye_sees_it(exercise: Exercise) -> None:
    found = solved(exercise)
    for name, place in found.seen[1].solid.picture(found.seen[1].eye).items():
        assert_same_point(found.board.points[f"Windows.{name}"].xy, place, name)


@settings(max_examples=150)
@given(windowed(("flat", "out", "in", "through"), DRAWN))
def test_every_side_of_a_form_that_is_seen_was_drawn(exercise: Exercise) -> None:
    found = solved(exercise)
    lines, solid = found.board.lines, found.seen[1].solid
    if found.seen[0].see_through or found.seen[0].solid.is_open:
        return
    eye = found.seen[1].eye
    page = solid.picture(eye)
    sides = [set(zip(f.corners, (*f.corners[1:], f.corners[0]), strict=True)) for f in faces_toward_eye(solid, eye)]
    for piece in Sight(found.seen).pieces()[1]:
        ends = (piece.edge.start, piece.edge.end)
        if sides and not any(ends in side or ends[::-1] in side for side in sides):
            continue
        long = (piece.end - piece.start) * math.dist(page[ends[0]], page[ends[1]])
        if piece.visible and long > 0.05:
            assert f"Windows.{piece.edge.name}" in lines, piece.edge.name


@pytest.mark.parametrize(("view", "by"), [
    ("one_point", "face_front"), ("one_point", "face_right"), ("two_point", "face_left"), ("from_above", "face_top"),
])  # fmt: skip
def test_a_round_form_is_one_ellipse_that_touches_the_sides_at_their_middles(view: str, by: str) -> None:
    # Source: scikit-image's EllipseModel (algebraic fit of a conic), another library than ours.
    found = solved(loft(view, by, form="round"))
    points, arcs = found.board.points, [line.arc for line in found.board.lines.values() if line.arc is not None]
    assert len(arcs) == 4
    on_it = np.array([at.xy for arc in arcs for at in arc.places(np.linspace(0, math.pi / 2, 9))])
    ellipse = EllipseModel.from_estimate(on_it)
    assert ellipse
    assert np.abs(ellipse.residuals(on_it)).max() < 0.01
    for side in ("low", "far", "high", "near"):
        middle = points[f"Forms.Number 1.middle_{side}"]
        line = found.board.lines[f"Forms.Number 1.square.{side}"].line
        assert abs(line.a * middle.x + line.b * middle.y + line.c) < 1e-6
        away = [line.a * x + line.b * y + line.c for x, y in on_it]
        assert min(away) > -1e-6 or max(away) < 1e-6, "the whole curve lies on one side of it"


def test_the_widest_place_of_a_circle_is_not_at_the_middle_of_its_square() -> None:
    # A circle draws as an ellipse whose centre is nearer to the viewer than the centre's picture (projective geometry;
    # from memory).
    found = solved(loft("two_point", "face_right", form="round"))
    arcs = [line.arc for line in found.board.lines.values() if line.arc is not None]
    on_it = np.array([at.xy for arc in arcs for at in arc.places(np.linspace(0, math.pi / 2, 9))])
    centre = EllipseModel.from_estimate(on_it).center
    middle = found.board.points["Forms.Number 1.middle"]
    assert centre[0] < middle.x - 0.3, "the wall goes away to the right, so nearer is to the left"


def test_the_curve_crosses_the_half_diagonal_at_seven_tenths_in_truth() -> None:
    # cos 45 degrees = 0.7071; on a wall that is drawn true it can be measured.
    found = solved(loft("one_point", "face_front", form="round"))
    points = found.board.points
    middle, corner = points["Forms.Number 1.middle"], points["Forms.Number 1.high_far"]
    at = points["Forms.Number 1.curve.high_far.at.4"]
    assert math.dist(at.xy, middle.xy) / math.dist(corner.xy, middle.xy) == pytest.approx(math.cos(math.pi / 4))


@pytest.mark.parametrize(("view", "by"), [
    ("one_point", "face_front"), ("two_point", "face_left"), ("from_above", "face_right"),
])  # fmt: skip
@pytest.mark.parametrize("form", CURVED)
def test_twelve_points_that_are_found_by_ticks_lie_on_the_curve(form: str, view: str, by: str) -> None:
    # 3² + 4² = 5²: the points at tenths of the square lie on its circle, in every picture of it.
    found = solved(loft(view, by, form=form, points="twelve"))
    tenths = {name: at for name, at in found.board.points.items() if ".tenth." in name}
    arcs = {name: line.arc for name, line in found.board.lines.items() if line.arc is not None}
    assert len(tenths) == 2 * len(arcs) == (8 if form == "round" else 4)
    for name, at in tenths.items():
        curve, number = name.split(".tenth.")
        assert_same_point(at.xy, arcs[curve].at(math.asin((0.6, 0.8)[int(number) - 1])).xy, name)
    steps = [step for step in draw(loft(view, by, form=form, points="twelve")).steps if "points of" in step.title]
    assert len(steps) == 1
    assert "{" not in steps[0].text


def test_the_tip_of_a_pointed_form_lies_over_the_true_middle() -> None:
    # The middle by the diagonals (common practice, no source): nearer to the far side on the page.
    found = solved(loft("two_point", "face_right", form="pointed"))
    p = {name.rsplit(".", 1)[-1]: at for name, at in found.board.points.items() if name.startswith("Forms.Number 1.")}
    tip = p["middle_high"]
    assert abs(tip.x - p["middle"].x) < 1e-6, "straight over the middle"
    assert math.dist(tip.xy, p["high_near"].xy) > math.dist(tip.xy, p["high_far"].xy)


def seen_through(found: Solved) -> list[shapely.LineString]:
    """The farther box's lines that show through the opening."""
    return [shapely.LineString([line.start, line.end]) for line in found.final if line.thing == "Far"]


def test_one_sees_through_an_opening_what_stands_behind() -> None:
    wall = box("Wall", 60.0, 50.0, 120.0, 80.0, depth_by="measured", depth=12.0)
    gate = {"kind": "rectangles", "name": "Gate", "joined_to": "Wall", "joined_by": "face_front", **ONE}
    far = box("Far", 115.0, 92.0, 20.0, 20.0, depth_by="measured", depth=6.0)
    assert not seen_through(solved(exercise_of(wall, {**gate, "relief": "in", "deep": 4}, far)))
    found = solved(exercise_of(wall, {**gate, "relief": "through"}, far))
    page = found.built[1].page
    rims = [[page[f"Number 1.{end}{corner}"] for corner in CORNERS] for end in ("", "front.")]
    # Source: shapely, another library: what shows lies within both rims of the opening.
    window = shapely.Polygon(rims[0]).intersection(shapely.Polygon(rims[1])).buffer(1e-6)
    assert seen_through(found)
    assert all(window.contains(line) for line in seen_through(found))


def test_the_far_rim_of_an_opening_is_as_deep_as_the_body() -> None:
    found = solved(loft("two_point", "face_right", relief="through"))
    wall, rim = (found.built[1].page[f"Number 1.{end}low_near"] for end in ("", "front."))
    goal = found.prepared.frames[0].way("left").goal
    # In line with the point of the other wall, and where the back wall of the body is: both routes agree on it above.
    aside = (rim[0] - wall[0]) * (goal.y - wall[1]) - (rim[1] - wall[1]) * (goal.x - wall[0])
    assert abs(aside) / math.dist(wall, goal.xy) < 1e-6


def test_what_shows_no_corner_behind_cannot_be_gone_through() -> None:
    # A box straight before the point shows no side.
    straight = box("Wall", 180.0, 120.0, 60.0, 60.0)
    gate = {"kind": "rectangles", "name": "Gate", "joined_to": "Wall", "joined_by": "face_front", "relief": "through"}
    with pytest.raises(GeometryError, match="no corner behind"):
        draw(exercise_of(straight, {**gate, **ONE}))


def test_too_many_curves_are_refused_with_a_number_that_works() -> None:
    exercise = loft(columns="12", rows="6", wide="half", tall="half")
    with pytest.raises(GeometryError, match="too many") as refused:
        draw(type_at(exercise, "things.1.form", "round"))
    assert draw(type_at(type_at(exercise, "things.1.rows", refused.value.nearest), "things.1.form", "round"))


@pytest.mark.parametrize("relief", ["flat", "out", "in", "through"])
@pytest.mark.parametrize("form", sorted(FORMS))
def test_every_form_is_told_in_words_of_its_own(form: str, relief: str) -> None:
    for level in LEVELS:
        exercise = type_at(loft(form=form, relief=relief, columns="2", wide="half", deep=8), "wording.level", level)
        steps = [step for step in draw(exercise).steps if step.thing == "Forms"]
        assert steps
        for step in steps:
            assert "{" not in step.text + step.title
            assert "  " not in step.text


def test_a_round_form_out_of_a_wall_has_two_lines_that_touch_both_curves() -> None:
    found = solved(loft("two_point", "face_right", form="round", relief="out", deep=20))
    touching = [line for name, line in found.board.lines.items() if ".depth." in name]
    assert len(touching) == 2
    arcs = [line.arc for line in found.board.lines.values() if line.arc is not None]
    for line in touching:
        for end in (line.start, line.end):
            # Where a curve is touched, all of it lies on one side of the line.
            near = (math.dist(end.xy, at.xy) for arc in arcs for at in arc.places(np.linspace(0, math.pi / 2, 2000)))
            assert min(near) < 0.05
        sides = [
            line.line.a * at.x + line.line.b * at.y + line.line.c
            for arc in arcs for at in arc.places(np.linspace(0, 1.5708, 50))
        ]  # fmt: skip
        assert min(sides) > -1e-3 or max(sides) < 1e-3


def test_the_places_of_a_form_are_points_of_the_page() -> None:
    assert isinstance(solved(loft(form="arch")).board.points["Forms.Number 1.middle_high"], Point)
