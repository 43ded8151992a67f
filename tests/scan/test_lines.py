"""Lines found in ink whose truth is known: drawn by OpenCV at sixteen times the finest scale, on a bare flat sheet."""

import itertools
import math

import cv2
import numpy as np
import pytest
from hypothesis import given, settings
from hypothesis import strategies as st
from numpy.typing import NDArray

from orthopsis.core.check.stroke import Stroke
from orthopsis.core.plane.homogeneous import Point, join, offset
from orthopsis.scan.flat import FlatSheet, lay_flat, without_shading
from orthopsis.scan.lines import KNEE_MM, find_lines

WIDTH, HEIGHT, K = 120.0, 90.0, 5.0
SUB = 4
"""Lines are drawn on a finer grid and made smaller, so that they have soft edges as on a photo."""
Ends = tuple[tuple[float, float], tuple[float, float]]


def sheet(lines: list[Ends], *, darkness: float = 0.6, width_mm: float = 0.5, noise: float = 0.0) -> FlatSheet:
    """Return a flat sheet with these lines on it, page mm."""
    fine = np.zeros((round(HEIGHT * K * SUB), round(WIDTH * K * SUB)), np.float32)
    shift = 4
    for (x1, y1), (x2, y2) in lines:
        ends = [
            tuple(round((v * K * SUB + (SUB - 1) / 2) * (1 << shift)) for v in (x, HEIGHT - y))
            for x, y in ((x1, y1), (x2, y2))
        ]
        cv2.line(fine, ends[0], ends[1], darkness, round(width_mm * K * SUB), cv2.LINE_AA, shift)
    dark = cv2.resize(fine, None, fx=1 / SUB, fy=1 / SUB, interpolation=cv2.INTER_AREA)
    if noise:
        dark = np.clip(dark + np.random.default_rng(3).normal(0, noise, dark.shape), 0, 1).astype(np.float32)
    return FlatSheet(dark, without_shading(dark, K), WIDTH, HEIGHT, K)


def gap_mm(stroke: Stroke, line: Ends) -> float:
    """Return how far the ends of a stroke are from those of a line, in the better order."""
    a, b = line
    pairs = ((stroke.start.xy, stroke.end.xy), (stroke.end.xy, stroke.start.xy))
    return min(max(math.dist(p, a), math.dist(q, b)) for p, q in pairs)


@settings(max_examples=40, deadline=None)
@given(
    st.floats(15, 105), st.floats(15, 75), st.floats(0, math.pi), st.floats(12, 60), st.sampled_from([0.3, 0.5, 0.9])
)
def test_a_line_alone_is_found_where_it_is(x: float, y: float, way: float, length: float, thick: float) -> None:
    ends = (x, y), (x + length * math.cos(way), y + length * math.sin(way))
    if not (5 < ends[1][0] < WIDTH - 5 and 5 < ends[1][1] < HEIGHT - 5):
        return
    (found,) = find_lines(sheet([ends], width_mm=thick))
    # A pencil's end is round, and the line is asked for graphite every 0.4 mm, a little blurred.
    assert gap_mm(found, ends) < thick / 2 + 0.8
    carrier = join(Point(*ends[0]), Point(*ends[1]))
    assert max(abs(offset(end, carrier)) for end in (found.start, found.end)) < 0.1


@pytest.mark.parametrize("angle", [8.0, 12.0, 20.0, 45.0, 90.0])
def test_lines_that_cross_are_two_and_each_is_whole(angle: float) -> None:
    way = math.radians(angle)
    first = (15.0, 45.0), (105.0, 45.0)
    second = (
        (60 - 35 * math.cos(way), 45 - 35 * math.sin(way)),
        (60 + 35 * math.cos(way), 45 + 35 * math.sin(way)),
    )
    found = find_lines(sheet([first, second]))
    for line in (first, second):
        assert min(gap_mm(stroke, line) for stroke in found) < 2.0
    assert len(found) == 2


@pytest.mark.parametrize("apart", [2.0, 3.0, 6.0])
def test_lines_beside_each_other_are_two(apart: float) -> None:
    lines: list[Ends] = [((20.0, 40.0), (100.0, 40.0)), ((20.0, 40.0 + apart), (100.0, 40.0 + apart))]
    found = find_lines(sheet(lines))
    assert [round(stroke.start.y + stroke.end.y) / 2 for stroke in sorted(found, key=lambda s: s.start.y)] == [
        40.0,
        40.0 + apart,
    ]


def test_a_gap_that_the_pencil_left_is_bridged_and_a_wide_one_is_not() -> None:
    small: list[Ends] = [((20.0, 30.0), (58.0, 30.0)), ((60.0, 30.0), (100.0, 30.0))]
    (whole,) = find_lines(sheet(small))
    assert gap_mm(whole, ((20.0, 30.0), (100.0, 30.0))) < 1.0
    wide: list[Ends] = [((20.0, 30.0), (50.0, 30.0)), ((65.0, 30.0), (100.0, 30.0))]
    assert len(find_lines(sheet(wide))) == 2


def test_two_lines_in_a_row_at_a_small_angle_are_parted_at_their_corner() -> None:
    lines: list[Ends] = [((15.0, 40.0), (60.0, 40.0)), ((60.0, 40.0), (105.0, 45.0))]
    found = sorted(find_lines(sheet(lines)), key=lambda s: min(s.start.x, s.end.x))
    assert len(found) == 2
    # They are told apart where they have parted by the knee that is looked for.
    late = KNEE_MM / math.tan(math.atan2(5.0, 45.0))
    for stroke, line in zip(found, lines, strict=True):
        assert gap_mm(stroke, line) < late + 1.0


def test_a_line_in_grain_is_found_and_grain_alone_is_none() -> None:
    line: Ends = (20.0, 20.0), (95.0, 70.0)
    found = find_lines(sheet([line], noise=0.02))
    assert min(gap_mm(stroke, line) for stroke in found) < 1.5
    assert len(found) == 1
    assert find_lines(sheet([], noise=0.02)) == []


def test_the_longest_line_comes_first_and_crumbs_are_left_out() -> None:
    lines: list[Ends] = [((20.0, 20.0), (35.0, 20.0)), ((20.0, 60.0), (100.0, 60.0)), ((60.0, 40.0), (62.0, 40.0))]
    lengths = [stroke.length_mm for stroke in find_lines(sheet(lines))]
    assert len(lengths) == 2
    assert lengths == sorted(lengths, reverse=True)


def test_shading_has_no_lines_at_its_rim() -> None:
    dark = np.zeros((round(HEIGHT * K), round(WIDTH * K)), np.float32)
    dark[100:300, 150:450] = 0.4
    assert find_lines(FlatSheet(dark, without_shading(dark, K), WIDTH, HEIGHT, K)) == []


# Laying flat

CROSS: tuple[Ends, Ends] = ((25.0, 50.0), (95.0, 50.0)), ((60.0, 30.0), (60.0, 78.0))
"""Clear of the corners, in which marks and code of a sheet are left out."""


def _photo(corners: NDArray[np.float64]) -> tuple[NDArray[np.uint8], NDArray[np.float64]]:
    """Return a grey photo of a white sheet with a cross on it, seen askew, and its homography to page mm."""
    flat = np.full((round(HEIGHT * 8), round(WIDTH * 8)), 235, np.uint8)
    for a, b in CROSS:
        ends = [(round(x * 8), round((HEIGHT - y) * 8)) for x, y in (a, b)]
        cv2.line(flat, ends[0], ends[1], 70, 4, cv2.LINE_AA)
    page = np.array([[0, HEIGHT], [WIDTH, HEIGHT], [WIDTH, 0], [0, 0]], np.float32)
    px = np.array([[0, 0], [WIDTH * 8, 0], [WIDTH * 8, HEIGHT * 8], [0, HEIGHT * 8]], np.float32)
    to_photo = cv2.getPerspectiveTransform(px, corners.astype(np.float32))
    photo = cv2.warpPerspective(flat, to_photo, (1400, 1100), borderValue=40)
    to_page = cv2.getPerspectiveTransform(corners.astype(np.float32), page)
    return np.asarray(photo, np.uint8), np.asarray(to_page, np.float64)


@pytest.mark.parametrize("lean", [0.0, 60.0, 140.0])
@pytest.mark.parametrize("light", [False, True])
def test_a_sheet_seen_askew_and_lit_unevenly_is_laid_flat(lean: float, light: bool) -> None:
    corners = np.array([[150 + lean, 120], [1250 - lean, 140 + lean / 3], [1300, 980], [90, 1000]], dtype=np.float64)
    photo, to_page = _photo(corners)
    if light:
        fall = np.linspace(1.0, 0.55, photo.shape[1])
        photo = np.asarray(photo * fall, np.uint8)
    found = find_lines(lay_flat(photo, to_page, WIDTH, HEIGHT))
    for line in CROSS:
        assert min(gap_mm(stroke, line) for stroke in found) < 1.5
    assert len(found) == 2


def test_what_is_printed_in_the_corners_is_no_line() -> None:
    ink = np.zeros((round(HEIGHT * K), round(WIDTH * K)), np.uint8)
    photo = np.full_like(ink, 240)
    for (x, y), size in itertools.product([(6.0, 6.0), (112.0, 6.0), (6.0, 84.0)], [2.0]):
        corner = (round((x - size) * K), round((HEIGHT - y - size) * K))
        cv2.rectangle(photo, corner, (corner[0] + round(2 * size * K), corner[1] + round(2 * size * K)), 0, 2)
    to_page = np.array([[1 / K, 0, 0], [0, -1 / K, HEIGHT], [0, 0, 1.0]])
    assert find_lines(lay_flat(photo, to_page, WIDTH, HEIGHT)) == []
