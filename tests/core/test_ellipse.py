"""Ellipses on the page: the conic of an arc, and the one that fits places best."""

import math

import cv2
import numpy as np
import pytest
from hypothesis import assume, given
from hypothesis import strategies as st

from orthopsis.core.errors import GeometryError
from orthopsis.core.plane.arc import QUARTER_RAD, Arc
from orthopsis.core.plane.ellipse import Ellipse, ellipse_of, fit_ellipse
from orthopsis.core.plane.homogeneous import Point, join

ALL_ROUND = np.linspace(0.0, math.tau, 60, endpoint=False)


@st.composite
def ellipses(draw: st.DrawFn) -> Ellipse:
    """Any ellipse that fits on a sheet and is not too thin for a pencil."""
    major = draw(st.floats(5.0, 120.0))
    place = Point(draw(st.floats(-200.0, 600.0)), draw(st.floats(-200.0, 500.0)))
    return Ellipse(place, major, major * draw(st.floats(0.08, 0.98)), draw(st.floats(-1.5, 1.57)))


def quarter(ellipse: Ellipse) -> Arc:
    """The first quarter of an ellipse, by its four points."""
    start, end = (Point(*place) for place in ellipse.at(np.array([0.0, QUARTER_RAD])))
    centre = ellipse.centre
    return Arc(start, Point(start.x + end.x - centre.x, start.y + end.y - centre.y), end, centre)


@given(ellipses())
def test_places_of_an_ellipse_lead_back_to_it(ellipse: Ellipse) -> None:
    found = fit_ellipse(ellipse.at(ALL_ROUND))
    assert found.centre.xy == pytest.approx(ellipse.centre.xy, abs=1e-5)
    assert (found.major, found.minor) == pytest.approx((ellipse.major, ellipse.minor), rel=1e-6)
    assert math.sin(found.turn_rad - ellipse.turn_rad) == pytest.approx(0.0, abs=1e-4)


@given(ellipses())
def test_a_quarter_knows_its_whole_ellipse(ellipse: Ellipse) -> None:
    whole = ellipse_of(quarter(ellipse))
    assert np.allclose(whole.at(whole.angles_of(ellipse.at(ALL_ROUND))), ellipse.at(ALL_ROUND), atol=1e-5)


@given(st.floats(60.0, 160.0), st.floats(20.0, 60.0), st.floats(0.05, 0.6))
def test_the_widest_place_of_a_circle_going_away_is_not_at_its_middle(left: float, wide: float, far: float) -> None:
    """A square on the ground whose back is nearer to the point: the middle's picture lies behind the ellipse's own."""
    near, goal = 40.0, Point(210.0, 150.0)

    def back(x: float, share: float) -> Point:
        return Point(x + share * (goal.x - x), near + share * (goal.y - near))

    corners = [back(left, 0.0), back(left + wide, 0.0), back(left + wide, far), back(left, far)]
    square = np.array([[0, 0], [1, 0], [1, 1], [0, 1]], np.float32)
    to_page = cv2.getPerspectiveTransform(square, np.array([p.xy for p in corners], np.float32))
    marks = np.array([[[1, 0.5], [1, 1], [0.5, 1], [0.5, 0.5]]])
    arc = Arc(*(Point(*place) for place in cv2.perspectiveTransform(marks, to_page)[0].tolist()))
    assert ellipse_of(arc).centre.y < arc.centre.y


@given(ellipses(), st.floats(0.5, 5.0))
def test_places_of_an_even_walk_are_equally_far_apart_along_the_curve(ellipse: Ellipse, step: float) -> None:
    angles = ellipse.even_angles(step)
    ends = np.append(angles[1:], angles[0] + math.tau)
    fine = ellipse.at((angles[:, None] + np.linspace(0.0, 1.0, 60) * (ends - angles)[:, None]).ravel())
    ways = np.hypot(*np.diff(fine.reshape(len(angles), 60, 2), axis=1).transpose(2, 0, 1)).sum(axis=1)
    assert ways.max() <= step * 1.01
    assert ways.min() >= 0.98 * ways.max()


@given(ellipses())
def test_outward_is_square_to_the_curve(ellipse: Ellipse) -> None:
    out, step = ellipse.outward(ALL_ROUND), 1e-4
    run = ellipse.at(ALL_ROUND + step) - ellipse.at(ALL_ROUND - step)
    run /= np.hypot(*run.T)[:, None]
    assert np.abs((out * run).sum(axis=1)).max() < 1e-5
    assert ((ellipse.at(ALL_ROUND) - ellipse.centre.xy) * out).sum(axis=1).min() > 0


STRAIGHT = [(float(i), 2.0 * i) for i in range(9)]


@pytest.mark.parametrize("places", [[(0.0, 0.0), (1.0, 1.0)], STRAIGHT])
def test_what_is_no_ellipse_is_said(places: list[tuple[float, float]]) -> None:
    with pytest.raises(GeometryError) as refused:
        fit_ellipse(places)
    assert refused.value.code == "no_ellipse"


def test_arcs_of_other_conics_are_said() -> None:
    """Four points that make the quarter a piece of a hyperbola: its centre lies beyond its chord."""
    arc = Arc(Point(0, 0), Point(10, 0.5), Point(10, 10), Point(7, 2))
    with pytest.raises(GeometryError, match="ellipse"):
        ellipse_of(arc)


ANGLES = st.floats(0.05, 2 * np.pi - 0.05)


@given(ellipses(), ANGLES, st.floats(0.05, 2.6))
def test_a_part_of_an_ellipse_lies_on_it_from_place_to_place(ellipse: Ellipse, begin: float, long: float) -> None:
    whole = quarter(ellipse)
    part = whole.part(begin, begin + long)
    for share in np.linspace(0, 1, 9):
        at = part.at(share * QUARTER_RAD)
        ahead = (whole.angle_of(at) - begin + 1e-9) % (2 * np.pi)
        assert -1e-6 <= ahead <= long + 1e-6
        again = whole.at(whole.angle_of(at))
        assert math.hypot(again.x - at.x, again.y - at.y) < 1e-6
    same = whole.between(whole.at(begin), whole.at(begin + long)) if long < np.pi - 0.1 else part
    assert math.hypot(same.centre.x - part.centre.x, same.centre.y - part.centre.y) < 1e-5


@given(ellipses(), ANGLES, ANGLES)
def test_a_line_through_two_places_of_an_ellipse_meets_it_there(ellipse: Ellipse, one: float, other: float) -> None:
    assume(0.1 < abs(one - other) < 2 * np.pi - 0.1)
    whole = quarter(ellipse)
    met = sorted(whole.meets(join(whole.at(one), whole.at(other))))
    assert met == pytest.approx(sorted((one, other)), abs=1e-6)


@given(ellipses())
def test_a_line_beside_an_ellipse_misses_it(ellipse: Ellipse) -> None:
    whole = quarter(ellipse)
    far = Point(whole.centre.x + 1e4, whole.centre.y)
    assert whole.meets(join(far, Point(far.x + 1, far.y + 9e3))) == []
