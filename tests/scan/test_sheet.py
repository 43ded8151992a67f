"""Where the sheet is in a photo: corners from the homography and back, the paper's outline, and what is none."""

import math

import cv2
import numpy as np
import pytest
from hypothesis import given
from hypothesis import strategies as st

from orthopsis.scan.sheet import FoundSheet, NoSheet, corners_in_photo, find_sheet, sheet_from_corners

WIDTH, HEIGHT = 420.0, 297.0
Corners = list[tuple[float, float]]


def _seen(found: FoundSheet, at: tuple[float, float]) -> tuple[float, float]:
    x, y, w = found.to_page @ np.array([*at, 1.0])
    return x / w, y / w


@st.composite
def placed(draw: st.DrawFn) -> Corners:
    """Four corners of a sheet in a photo of 4000 x 3000, from lower left, anticlockwise on the paper."""
    usual = [(500.0, 2600.0), (3500.0, 2600.0), (3500.0, 400.0), (500.0, 400.0)]
    return [(x + draw(st.integers(-350, 350)), y + draw(st.integers(-250, 250))) for x, y in usual]


@given(placed())
def test_corners_go_to_the_page_and_back(corners: Corners) -> None:
    found = sheet_from_corners(corners, WIDTH, HEIGHT)
    assert isinstance(found, FoundSheet)
    page = [(0.0, 0.0), (WIDTH, 0.0), (WIDTH, HEIGHT), (0.0, HEIGHT)]
    for at, place in zip(corners, page, strict=True):
        assert _seen(found, at) == pytest.approx(place, abs=1e-3)
    back = corners_in_photo(found.to_page, WIDTH, HEIGHT)
    assert np.array(back) == pytest.approx(np.array(corners), abs=0.06)


@given(placed(), st.floats(0.1, 0.9), st.floats(0.1, 0.9))
def test_straight_lines_stay_straight_and_the_middle_is_where_the_diagonals_cross(
    corners: Corners, along: float, up: float
) -> None:
    found = sheet_from_corners(corners, WIDTH, HEIGHT)
    assert isinstance(found, FoundSheet)
    (ax, ay), (bx, by), (cx, cy), (dx, dy) = corners
    # The crossing of the diagonals, by elimination (textbook algebra).
    system = np.array([[cx - ax, bx - dx], [cy - ay, by - dy]])
    s, _ = np.linalg.solve(system, np.array([bx - ax, by - ay]))
    middle = (ax + s * (cx - ax), ay + s * (cy - ay))
    assert _seen(found, middle) == pytest.approx((WIDTH / 2, HEIGHT / 2), abs=1e-3)
    on_edge = (ax + along * (bx - ax), ay + along * (by - ay))
    assert _seen(found, on_edge)[1] == pytest.approx(0.0, abs=1e-3)
    on_side = (ax + up * (dx - ax), ay + up * (dy - ay))
    assert _seen(found, on_side)[0] == pytest.approx(0.0, abs=1e-3)


@pytest.mark.parametrize(
    "corners",
    [
        [],
        [(0, 0), (10, 0), (10, 10)],
        [(0, 0)] * 4,
        [(0, 0), (100, 0), (200, 0), (300, 0)],
        [(0, 0), (100, 100), (100, 0), (0, 100)],
        [(0, 0), (100, 0), (30, 30), (0, 100)],
        [(0, 0), (5, 0), (5, 5), (0, 5)],
    ],
    ids=["none", "three", "one place", "a line", "crossed over", "dented", "tiny"],
)
def test_corners_that_enclose_no_sheet_are_refused(corners: Corners) -> None:
    assert isinstance(sheet_from_corners(corners, WIDTH, HEIGHT), NoSheet)


@pytest.mark.parametrize("turn_deg", [-12.0, 0.0, 7.0])
def test_paper_without_marks_is_found_by_its_outline(turn_deg: float) -> None:
    photo = np.full((1500, 2000), 60, np.uint8)
    c, s = math.cos(math.radians(turn_deg)), math.sin(math.radians(turn_deg))
    half = np.array([[-700, 495], [700, 495], [700, -495], [-700, -495]], dtype=np.float64)
    corners = half @ np.array([[c, s], [-s, c]]) + [1000, 750]
    cv2.fillConvexPoly(photo, np.round(corners).astype(np.int32), 230)
    found = find_sheet(photo, WIDTH, HEIGHT)
    assert isinstance(found, FoundSheet)
    assert found.found_by == "edges"
    assert np.array(corners_in_photo(found.to_page, WIDTH, HEIGHT)) == pytest.approx(corners, abs=3.0)


def test_a_scrap_of_paper_or_a_round_one_is_no_sheet() -> None:
    scrap = np.full((1500, 2000), 60, np.uint8)
    cv2.rectangle(scrap, (200, 200), (600, 500), 230, -1)
    assert isinstance(find_sheet(scrap, WIDTH, HEIGHT), NoSheet)
    round_one = np.full((1500, 2000), 60, np.uint8)
    cv2.circle(round_one, (1000, 750), 650, 230, -1)
    assert isinstance(find_sheet(round_one, WIDTH, HEIGHT), NoSheet)
