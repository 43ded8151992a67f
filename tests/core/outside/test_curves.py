"""Rounded corners against a reference library for ellipses, and against facts of conics.

scikit-image fits an ellipse to points by least squares; a quarter of an ellipse, seen in any perspective in which it
does not reach the eye's plane, is a piece of an ellipse again (projective geometry, from memory).
"""

import itertools

import numpy as np
import pytest
from hypothesis import given, settings
from numpy.typing import NDArray
from scenes import rounded
from skimage.measure import EllipseModel

from orthopsis.core.document.document import Exercise
from orthopsis.core.drawing.solved import solve
from orthopsis.core.plane.arc import QUARTER_RAD, Arc
from orthopsis.core.plane.homogeneous import Point, join, offset
from orthopsis.core.scene.prepared import prepare

ANGLES = np.linspace(0, QUARTER_RAD, 60)


@settings(max_examples=40, deadline=None)
@given(rounded())
def test_a_constructed_curve_is_a_piece_of_an_ellipse(exercise: Exercise) -> None:
    curves = [line for line in solve(prepare(exercise)).board.lines.values() if line.arc is not None]
    assert curves
    for curve in curves:
        assert curve.arc is not None
        places = np.array([curve.arc.at(angle).xy for angle in ANGLES.tolist()])
        size = np.ptp(places, axis=0).max()
        if np.linalg.svd(places - places.mean(axis=0), compute_uv=False)[1] < 0.01 * size:
            continue  # seen nearly edge-on: any flat ellipse fits
        # The library divides by zero where the axes lie level and upright.
        with np.errstate(divide="ignore", invalid="ignore"):
            fit = EllipseModel.from_estimate(places)
        assert fit, "an ellipse was found"
        assert off_ellipse(fit, places) < 1e-4 * size
        low, *_, high = itertools.pairwise(places[[0, 1, -2, -1]])
        for (start, end), edge in ((low, curve.arc.start), (high, curve.arc.end)):
            tangent = join(edge, curve.arc.pole)
            assert max(abs(offset(Point(*p), tangent)) for p in (start, end)) < 0.01 * size, "it touches the edges"


def off_ellipse(fit: EllipseModel, places: NDArray[np.float64]) -> float:
    """Return how far places are from an ellipse at most, along the ray from its centre, in its smaller half axis.

    The library's own residuals look for the nearest place on the ellipse and now and then find another one.
    """
    cos, sin = np.cos(fit.theta), np.sin(fit.theta)
    turned = (places - fit.center) @ np.array([[cos, -sin], [sin, cos]])
    return float(np.abs(np.linalg.norm(turned / fit.axis_lengths, axis=1) - 1).max() * min(fit.axis_lengths))


def test_lines_that_touch_a_circle_do_so_at_right_angles_to_the_radius() -> None:
    """Euclid, Elements III 18 (from memory)."""
    quarter = Arc(Point(30, 10), Point(30, 30), Point(10, 30), Point(10, 10))
    goal = Point(40, 25)
    angles = quarter.touches(goal)
    assert len(angles) == 1, "the other one touches the lower half of the circle"
    for angle in angles:
        at = quarter.at(angle)
        assert np.hypot(at.x - 10, at.y - 10) == pytest.approx(20)
        assert (at.x - 10) * (goal.x - at.x) + (at.y - 10) * (goal.y - at.y) == pytest.approx(0, abs=1e-9)
    assert quarter.touches(Point(12, 12)) == [], "no line from inside touches"
    assert len(quarter.touches(Point(27, 27))) == 2, "between the corner and the curve both lines touch this quarter"
