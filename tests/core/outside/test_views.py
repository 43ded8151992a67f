"""Two- and three-point frames against a camera, exact algebra, and the figures of the trade.

Sources: OpenCV's projectPoints (pinhole camera); SymPy's exact triangle geometry; textbook facts on vanishing points as
named at each test.
"""

import math

import cv2
import numpy as np
import pytest
import sympy
from hypothesis import given, settings
from hypothesis import strategies as st
from scenes import VIEWS, assert_same_point

from conftest import exercise_of
from orthopsis.core.drawing.solved import Solved, solve
from orthopsis.core.errors import GeometryError
from orthopsis.core.plane.homogeneous import Point, distance, join, offset
from orthopsis.core.plane.triangle import orthocentre
from orthopsis.core.scene.prepared import prepare
from orthopsis.core.sheet.edge_ticks import far_spacing_mm
from orthopsis.core.sheet.paper import Sheet
from orthopsis.core.view.frame import Frame, measuring_point, three_point_frame, two_point_frame
from orthopsis.core.view.placing import corner_angle_deg
from orthopsis.core.view.slope import slope_points
from orthopsis.core.view.stance import Stance, level_points, stance_of, third_point

ANGLES = st.floats(12, 78)


def solved_box(view: str, **more: object) -> Solved:
    """Return a see-through box with sides of true length, solved."""
    bottom = {"two_point": 40, "from_above": 120, "from_below": 170}[view]
    sides = {"left_by": "true", "left_length": 47, "right_by": "true", "right_length": 31}
    thing = {"kind": "box", "name": "Box", "left": 215, "bottom": bottom, "height": 52, "look": "see_through"}
    return solve(prepare(exercise_of({**thing, **sides, **more}, views=[VIEWS[view]])))


@pytest.mark.parametrize("view", ["two_point", "from_above", "from_below"])
def test_a_box_is_where_a_camera_of_that_stance_sees_it(view: str) -> None:
    # The camera is turned by the stance's angles alone; OpenCV projects. World: x right, y down, z level ahead.
    solved = solved_box(view)
    frame = solved.prepared.frames[0]
    stance = stance_of(frame)
    turn, tilt = math.radians(stance.turn_deg), math.radians(stance.tilt_deg)
    axes = np.array([[1, 0, 0], [0, math.cos(tilt), -math.sin(tilt)], [0, math.sin(tilt), math.cos(tilt)]])
    right = np.array([math.sin(turn), 0, math.cos(turn)])
    left = np.array([-math.cos(turn), 0, math.sin(turn)])
    up = np.array([0.0, -1.0, 0.0])
    px, py = frame.eye.principal.xy
    first_name = "near.top" if view == "from_above" else "near.bottom"
    first = solved.board.points[f"Box.{first_name}"]
    start = axes.T @ np.array([first.x - px, py - first.y, stance.distance_mm])
    tall = np.linalg.norm(np.subtract(*(place_of(solved, n) for n in ("near.top", "near.bottom"))))
    foot = start - tall * up if view == "from_above" else start
    corners = {
        f"{name}.{level}": foot + aside + rise * up
        for name, aside in (
            ("near", 0 * up),
            ("left", 47 * left),
            ("right", 31 * right),
            ("far", 47 * left + 31 * right),
        )
        for level, rise in (("bottom", 0.0), ("top", tall))
    }
    camera = np.array([[stance.distance_mm, 0, px], [0, stance.distance_mm, -py], [0, 0, 1.0]])
    rotation, _ = cv2.Rodrigues(axes)
    picture, _ = cv2.projectPoints(np.array(list(corners.values())), rotation, np.zeros(3), camera, None)
    for name, (x, down) in zip(corners, picture.reshape(-1, 2), strict=True):
        assert_same_point((float(x), float(-down)), solved.board.points[f"Box.{name}"].xy, name)


def place_of(solved: Solved, name: str) -> np.ndarray:
    """Return the world place of a corner."""
    solid = solved.seen[0].solid
    return solid.places[solid.index(name)]


@settings(max_examples=60)
@given(st.tuples(*[st.integers(-300, 700)] * 3), st.tuples(*[st.integers(-300, 700)] * 3))
def test_the_orthocentre_is_the_exact_one(xs: tuple[int, ...], ys: tuple[int, ...]) -> None:
    # Source: SymPy's Triangle, exact rational arithmetic.
    corners = list(zip(xs, ys, strict=True))
    exact = sympy.Polygon(*(sympy.Point(x, y) for x, y in corners)) if len(set(corners)) == 3 else None
    if not isinstance(exact, sympy.Triangle) or abs(exact.area) < 500:
        return
    ours = orthocentre(*(Point(float(x), float(y)) for x, y in corners))
    assert_same_point(ours.xy, (float(exact.orthocenter.x), float(exact.orthocenter.y)))


@settings(max_examples=100)
@given(st.floats(150, 900), ANGLES, st.floats(12, 60), st.booleans())
def test_a_stance_is_read_back_from_its_points(d: float, turn: float, tilt: float, up: bool) -> None:
    level = 180.0
    stance = Stance(200.0, d, turn, -tilt if up else tilt)
    left, right = level_points(stance)
    x, y = third_point(stance, level)
    again = stance_of(three_point_frame("point", Point(left, level), Point(right, level), Point(x, y)))
    assert again.distance_mm == pytest.approx(d)
    assert (again.centre_x, again.turn_deg, again.tilt_deg) == pytest.approx((200.0, turn, stance.tilt_deg))
    flat = Stance(200.0, d, turn)
    left, right = level_points(flat)
    again = stance_of(two_point_frame("point", Point(left, level), Point(right, level), 200.0))
    assert (again.distance_mm, again.turn_deg) == pytest.approx((d, turn))


def two_points() -> Frame:
    """Return a metric two-point frame."""
    return two_point_frame("point", Point(-90.0, 150.0), Point(480.0, 150.0), 200.0)


def test_the_eye_s_distance_is_the_same_for_each_pair_of_points() -> None:
    # Textbook: d² = -(V1 - P)·(V2 - P) for each pair of the three points, and (xP - x1)(x2 - xP) = d² in two-point.
    corners = [Point(-90.0, 150.0), Point(500.0, 150.0), Point(190.0, -260.0)]
    frame = three_point_frame("point", *corners)
    p, d = frame.eye.principal, frame.distance_mm
    for a, b in ((0, 1), (1, 2), (2, 0)):
        dot = sum((getattr(corners[a], k) - getattr(p, k)) * (getattr(corners[b], k) - getattr(p, k)) for k in "xy")
        assert -dot == pytest.approx(d * d)
    assert two_points().distance_mm ** 2 == pytest.approx((200 + 90) * (480 - 200))


def test_measuring_points_lie_as_far_from_their_vanishing_points_as_the_eye() -> None:
    # Textbook construction: turn the eye about the vanishing point into the eye level.
    frame = two_points()
    eye = Point(200.0, 150.0 - frame.distance_mm)
    for role in ("left", "right"):
        goal = frame.way(role).goal
        assert distance(measuring_point(frame, role), goal) == pytest.approx(distance(eye, goal))


@settings(max_examples=60)
@given(st.floats(-50, 450), st.floats(-200, 140))
def test_a_right_angle_looks_blunt_exactly_inside_the_circle_over_both_points(x: float, y: float) -> None:
    # Thales: the corner test of the trade.
    left, right = Point(-90.0, 150.0), Point(480.0, 150.0)
    inside = distance(Point(x, y), Point(195.0, 150.0)) < 285.0
    assert (corner_angle_deg(Point(x, y), left, right) > 90.0) == inside


def test_ticks_on_both_edges_lead_to_a_point_off_the_sheet() -> None:
    spacing = far_spacing_mm((-130.0, 150.0), Sheet(420.0, 297.0), 20.0)
    for n in (1, 2, 5):
        slope = (n * spacing - n * 20.0) / 420.0
        assert n * 20.0 - slope * 130.0 == pytest.approx(0.0), "the line through like ticks meets the eye level there"


@pytest.mark.parametrize(
    ("change", "code"),
    [
        ({"left_mm": 300.0, "right_mm": 310.0}, "points_together"),
        ({"left_mm": 400.0, "right_mm": 20.0}, "points_together"),
        ({"centre_mm": 700.0}, "eye_beside_points"),
        ({"left_mm": -1e5}, "strip_too_long"),
        ({"kind": "three_point", "third_y_mm": 151.0}, "points_on_a_line"),
        ({"kind": "three_point", "third_y_mm": -1e5}, "strip_too_long"),
    ],
)
def test_points_that_make_no_view_are_refused_at_their_place(change: dict[str, object], code: str) -> None:
    view = {"kind": "two_point", "left_mm": 0.0, "right_mm": 420.0, **change}
    with pytest.raises(GeometryError) as refused:
        prepare(exercise_of(views=[view]))
    assert refused.value.code == code
    assert refused.value.about.startswith("views.0.")


@pytest.mark.parametrize(
    ("change", "code", "about"),
    [
        ({"left": 500.0}, "edge_passes_point", "left"),
        ({"left_by": "measured", "left_length": 400.0}, "side_past_point", "left_length"),
        ({"left_by": "true"}, "no_distance", "left_by"),
    ],
)
def test_a_block_that_passes_a_point_is_refused_with_what_works(
    change: dict[str, object], code: str, about: str
) -> None:
    thing = {"kind": "box", "name": "A", "left": 200.0, "bottom": 60.0, "height": 50.0, **change}
    exercise = exercise_of(thing, views=[VIEWS["two_point_free"]])
    with pytest.raises(GeometryError) as refused:
        solve(prepare(exercise))
    assert (refused.value.code, refused.value.about) == (code, f"things.0.{about}")
    if code != "no_distance":
        assert refused.value.nearest


@pytest.mark.parametrize("role", ["left", "right"])
@pytest.mark.parametrize("slope", [12.0, 30.0, 57.0])
def test_slope_points_lie_where_the_textbook_has_them(role: str, slope: float) -> None:
    # Two-point: on the upright through V, |VE| tan(slope) over and under the eye level (textbook, from memory).
    frame = two_points()
    goal = frame.way(role).goal
    reach = math.hypot(goal.x - 200.0, frame.distance_mm) * math.tan(math.radians(slope))
    above, below = slope_points(frame, role, slope)
    assert_same_point(above.xy, (goal.x, goal.y + reach))
    assert_same_point(below.xy, (goal.x, goal.y - reach))
    three = three_point_frame("point", Point(-90.0, 150.0), Point(500.0, 150.0), Point(190.0, -260.0))
    spine = join(three.way(role).goal, three.way("up").goal)
    assert all(abs(offset(p, spine)) < 1e-6 for p in slope_points(three, role, slope)), "on the line to the third point"


@pytest.mark.parametrize("slope", [0.0, -10.0, 90.0, 120.0])
def test_a_slope_that_is_none_is_refused(slope: float) -> None:
    with pytest.raises(GeometryError) as refused:
        slope_points(two_points(), "left", slope)
    assert refused.value.code == "no_slope"
