"""Round bodies against OpenCV's camera and shapely's hull, and their ellipses against SymPy's conics and scikit-image.

Sources: OpenCV's projectPoints pictures places of two circles that the test itself makes; a round body is convex, so
its outline is the convex hull of their pictures (shapely); SymPy's exact rational matrices: a conic C goes under a
projective map H to H^-T C H^-1 (Hartley and Zisserman, Multiple View Geometry, result 2.13; from memory).
"""

from typing import Any

import cv2
import numpy as np
import pytest
import shapely
import sympy
from numpy.typing import NDArray
from scenes import solved
from skimage.measure import EllipseModel
from test_curves import off_ellipse
from test_round_body import IN_VIEWS, deck
from test_round_windows import tower

from orthopsis.core.drawing.solved import Solved
from orthopsis.core.view.eye import Eye

CHORD = 4e-4
"""Curves come as chords of three degrees: these lie off the curve by 1 - cos(1.5 degrees) of the radius, 0.034 %."""
TURN = np.linspace(0, 2 * np.pi, 4000, endpoint=False)
Places = NDArray[np.float64]


def camera(eye: Eye, places: Places) -> Places:
    """OpenCV's picture of places, on the page in mm; its y runs down."""
    px, py = eye.principal.xy
    matrix = np.array([[eye.distance_mm, 0, px], [0, eye.distance_mm, -py], [0, 0, 1]])
    seen, _ = cv2.projectPoints(places * [1, -1, 1], np.zeros(3), np.zeros(3), matrix, None)
    return np.asarray(seen[:, 0] * [1, -1], dtype=np.float64)


def circles(found: Solved) -> tuple[Places, Places]:
    """Both circles as the camera sees them; the upper one of a cone is its tip."""
    solid = found.seen[1].solid
    at = dict(zip(solid.names, solid.places, strict=True))

    def circle(end: str) -> Places:
        middle = (at[f"{end}.middle_near"] + at[f"{end}.middle_far"]) / 2
        across, back = at[f"{end}.middle_far"] - middle, at[f"{end}.middle_high"] - middle
        return np.asarray(middle + np.cos(TURN)[:, None] * across + np.sin(TURN)[:, None] * back)

    upper = at["tip"][None] if "tip" in at else circle("rim")
    return camera(found.seen[1].eye, circle("base")), camera(found.seen[1].eye, upper)


def drawn(found: Solved) -> shapely.Geometry:
    """All lines of the body that are seen."""
    mine = [line for line in found.final if line.thing == "Tub" and line.visible]
    return shapely.union_all([shapely.LineString([line.start, *line.bend, line.end]) for line in mine])


@pytest.mark.parametrize("view", IN_VIEWS)
@pytest.mark.parametrize("form", ["cylinder", "pail", "stool", "cone"])
def test_its_outline_is_that_of_both_circles_in_the_camera_and_no_more_is_seen(view: str, form: str) -> None:
    found = solved(deck(view, form=form))
    (base, upper), ours = circles(found), drawn(found)
    outline = shapely.convex_hull(shapely.multipoints(np.vstack((base, upper)))).exterior
    near_mm = CHORD * float(np.ptp(base, axis=0).max())
    along = [outline.interpolate(share, normalized=True) for share in np.linspace(0, 1, 500)]
    assert max(shapely.distance(along, ours)) < near_mm, "nothing of the outline is missing"
    rim = shapely.LinearRing(upper) if len(upper) > 1 else shapely.Point(upper[0])
    places = [ours.interpolate(share, normalized=True) for share in np.linspace(0, 1, 500)]
    off = np.minimum(shapely.distance(places, outline), shapely.distance(places, rim))
    assert off.max() < near_mm, "what is seen is the outline, and the rim where one looks down on it"


def conic_of(corners: Any) -> sympy.Matrix:
    """The exact conic that touches the sides of a quadrilateral at the middles of a square's picture.

    Args:
        corners: four page places of the square's corners, in order, as whole numbers of micrometres.
    """
    square = [(-1, -1), (1, -1), (1, 1), (-1, 1)]
    rows = []
    for (x, y), (u, v) in zip(square, corners, strict=True):
        rows += [[x, y, 1, 0, 0, 0, -u * x, -u * y, -u], [0, 0, 0, x, y, 1, -v * x, -v * y, -v]]
    (kernel,) = sympy.Matrix(rows).nullspace()
    inverse = sympy.Matrix(3, 3, list(kernel)).inv()
    return inverse.T * sympy.diag(1, 1, -1) * inverse


@pytest.mark.parametrize("view", IN_VIEWS)
def test_its_rim_is_the_conic_in_the_picture_of_its_square(view: str) -> None:
    found = solved(deck(view))
    points, lines = found.board.points, found.board.lines
    corners = [points[f"Tub.top.{i}"] for i in range(4)]
    conic = conic_of([(round(p.x * 1000), round(p.y * 1000)) for p in corners])
    exact = np.array(conic / conic.norm(), dtype=float)
    curves = [line.arc for name, line in lines.items() if name.startswith("Tub.rim.curve.")]
    assert len(curves) == 4
    for curve in curves:
        assert curve is not None
        for at in curve.places(np.linspace(0, np.pi / 2, 9).tolist()):
            place = np.array([at.x * 1000, at.y * 1000, 1.0])
            gradient = 2 * (exact @ place)[:2]
            assert abs(place @ exact @ place) / np.linalg.norm(gradient) < 2.0, "off by less than two micrometres"


@pytest.mark.parametrize("view", IN_VIEWS)
def test_its_widest_place_is_not_at_the_middle_of_the_square(view: str) -> None:
    """The centre of the ellipse on the page lies nearer to the viewer than the picture of the circle's centre."""
    found = solved(deck(view))
    lines, middle = found.board.lines, found.board.points["Tub.base.middle"]
    curves = [line.arc for name, line in lines.items() if name.startswith("Tub.base.curve.")]
    places = np.array([at.xy for curve in curves if curve for at in curve.places(np.linspace(0, 1.5, 20).tolist())])
    fit = EllipseModel.from_estimate(places)
    assert off_ellipse(fit, places) < 1e-3
    assert fit.center[1] < middle.y - 0.05


@pytest.mark.parametrize("view", IN_VIEWS)
def test_windows_round_its_wall_lie_on_circles_in_the_camera(view: str) -> None:
    """What goes round lies on the circle about the axis at its height, as OpenCV's camera sees that."""
    found = solved(tower(view))
    eye, (body, panes) = found.seen[1].eye, (found.seen[i].solid for i in (1, 2))
    at = dict(zip(body.names, body.places, strict=True))
    middle = (at["base.middle_near"] + at["base.middle_far"]) / 2
    across, back = at["base.middle_far"] - middle, at["base.middle_high"] - middle
    up = at["rim.middle_far"] - at["base.middle_far"]
    ring = middle + np.cos(TURN)[:, None] * across + np.sin(TURN)[:, None] * back
    heights = np.linalg.solve(np.column_stack((across, back, up)), (panes.places - middle).T)[2]
    seen = [shapely.LineString(camera(eye, ring + share * up)) for share in np.unique(heights.round(9))]
    near_mm = CHORD * float(np.ptp(camera(eye, ring), axis=0).max())
    curves = [line for line in found.final if line.thing == "Panes" and line.visible and line.bend]
    assert len(curves) >= 4
    for line in curves:
        drawn_mm = [min(shapely.distance(one, shapely.Point(p)) for one in seen) for p in (line.start, *line.bend)]
        assert max(drawn_mm) < near_mm
