"""Where in the photo is the sheet?

By its four corner marks, by the outline of the paper, or by corners that a person placed. The answer is
a homography from photo pixels (origin upper left) to page millimetres (origin lower left).
"""

from collections.abc import Sequence
from dataclasses import dataclass
from typing import Literal

import cv2
import numpy as np
from numpy.typing import NDArray

from orthopsis.paperwork.mark_bits import DICTIONARY
from orthopsis.paperwork.marks import CORNER_NUMBERS, MARK_MM, mark_squares

Picture = NDArray[np.uint8]
Matrix = NDArray[np.float64]
FoundBy = Literal["marks", "edges", "hand", "whole_picture"]

LEAST_SHARE = 0.2
"""A paper's outline covers at least this share of the photo, or it is not taken for the sheet."""


@dataclass(frozen=True, slots=True)
class FoundSheet:
    """The sheet in the photo; ``confidence`` 0 to 1 from how well the corners agree."""

    found_by: FoundBy
    confidence: float
    to_page: Matrix


@dataclass(frozen=True, slots=True)
class NoSheet:
    """Why the sheet was not found."""

    reason: str


def find_sheet(grey: Picture, width_mm: float, height_mm: float) -> FoundSheet | NoSheet:
    """Return the sheet found by its marks or, failing them, by the paper's outline."""
    by_marks = _by_marks(grey, width_mm, height_mm)
    if by_marks is not None:
        return by_marks
    by_edges = _by_edges(grey, width_mm, height_mm)
    if by_edges is not None:
        return by_edges
    return NoSheet("neither the corner marks nor the paper's edges were found")


def sheet_from_corners(
    corners: Sequence[tuple[float, float]], width_mm: float, height_mm: float
) -> FoundSheet | NoSheet:
    """Return the sheet from four corners in photo pixels, from lower left, anticlockwise on the paper."""
    source = np.array(corners, dtype=np.float32)
    if source.shape != (4, 2) or abs(cv2.contourArea(source)) < 100 or not cv2.isContourConvex(source):
        return NoSheet("the four corners do not enclose a sheet")
    return FoundSheet("hand", 1.0, _perspective(source, _page_corners(width_mm, height_mm)))


def corners_in_photo(to_page: Matrix, width_mm: float, height_mm: float) -> tuple[tuple[float, float], ...]:
    """Return where the corners of the sheet are in the photo, from lower left, anticlockwise, pixels."""
    page = _page_corners(width_mm, height_mm).astype(np.float64).reshape(-1, 1, 2)
    seen = cv2.perspectiveTransform(page, np.linalg.inv(to_page)).reshape(-1, 2)
    return tuple((round(float(x), 1), round(float(y), 1)) for x, y in seen)


def _perspective(source: NDArray[np.float32], target: NDArray[np.float32]) -> Matrix:
    return np.asarray(cv2.getPerspectiveTransform(source, target), dtype=np.float64)


def _page_corners(width_mm: float, height_mm: float) -> NDArray[np.float32]:
    return np.array([[0, 0], [width_mm, 0], [width_mm, height_mm], [0, height_mm]], dtype=np.float32)


def _by_marks(grey: Picture, width_mm: float, height_mm: float) -> FoundSheet | None:
    settings = cv2.aruco.DetectorParameters()
    settings.cornerRefinementMethod = cv2.aruco.CORNER_REFINE_SUBPIX
    found, numbers, _ = cv2.aruco.ArucoDetector(DICTIONARY, settings).detectMarkers(grey)
    if numbers is None:
        return None
    squares = dict(zip(CORNER_NUMBERS, mark_squares(width_mm, height_mm), strict=True))
    source: list[NDArray[np.float32]] = []
    target: list[tuple[float, float]] = []
    for corners, number in zip(found, np.asarray(numbers).reshape(-1), strict=True):
        if int(number) in squares:
            x, y = squares[int(number)]
            source.extend(np.asarray(corners).reshape(4, 2))
            target.extend([(x, y + MARK_MM), (x + MARK_MM, y + MARK_MM), (x + MARK_MM, y), (x, y)])
    if len(source) < 12:
        return None
    to_page, _ = cv2.findHomography(np.array(source), np.array(target, dtype=np.float64))
    if to_page is None:
        return None
    seen = cv2.perspectiveTransform(np.array(source, dtype=np.float64).reshape(-1, 1, 2), to_page).reshape(-1, 2)
    error = float(np.sqrt(np.mean(np.sum((seen - np.array(target)) ** 2, axis=1))))
    if error > 3.0:
        return None
    return FoundSheet(
        "marks", round(max(0.0, 1 - error / 3.0) * len(source) / 16, 2), np.asarray(to_page, dtype=np.float64)
    )


def _by_edges(grey: Picture, width_mm: float, height_mm: float) -> FoundSheet | None:
    """Take the largest bright shape with four corners for the paper."""
    scale = 900 / max(grey.shape)
    small = cv2.GaussianBlur(cv2.resize(grey, None, fx=scale, fy=scale, interpolation=cv2.INTER_AREA), (5, 5), 0)
    _, bright = cv2.threshold(small, 0, 255, cv2.THRESH_BINARY + cv2.THRESH_OTSU)
    bright = cv2.morphologyEx(bright, cv2.MORPH_CLOSE, np.ones((15, 15), np.uint8))
    outlines, _ = cv2.findContours(bright, cv2.RETR_EXTERNAL, cv2.CHAIN_APPROX_NONE)
    for outline in sorted(outlines, key=cv2.contourArea, reverse=True)[:3]:
        if cv2.contourArea(outline) < LEAST_SHARE * small.size:
            return None
        corners = _four_corners(np.asarray(outline, dtype=np.int32))
        if corners is not None:
            to_page = _perspective(
                (_from_lower_left(corners) / scale).astype(np.float32), _page_corners(width_mm, height_mm)
            )
            filled = cv2.contourArea(outline) / max(1.0, cv2.contourArea(corners.astype(np.float32)))
            return FoundSheet("edges", round(max(0.0, 0.8 * min(1.0, filled)), 2), to_page)
    return None


def _four_corners(outline: NDArray[np.int32]) -> NDArray[np.float64] | None:
    """Return the corners as crossings of lines fitted to the four sides, which beats the rounded corner pixels."""
    rough = cv2.approxPolyDP(outline, 0.03 * cv2.arcLength(outline, True), True).reshape(-1, 2)
    if len(rough) != 4 or not cv2.isContourConvex(rough.reshape(-1, 1, 2)):
        return None
    points = outline.reshape(-1, 2).astype(np.float64)
    sides = []
    for a, b in zip(rough, np.roll(rough, -1, axis=0), strict=True):
        d = (b - a) / np.hypot(*(b - a))
        along = (points - a) @ d
        across = np.abs((points - a) @ np.array([-d[1], d[0]]))
        length = float(np.hypot(*(b - a)))
        near = points[(across < 6) & (along > 0.08 * length) & (along < 0.92 * length)]
        if len(near) < 20:
            return None
        vx, vy, x, y = cv2.fitLine(near.astype(np.float32), cv2.DIST_HUBER, 0, 0.01, 0.01).ravel()
        sides.append(np.cross([x, y, 1.0], [x + vx, y + vy, 1.0]))
    corners = [np.cross(sides[i - 1], sides[i]) for i in range(4)]
    if any(abs(c[2]) < 1e-9 for c in corners):
        return None
    return np.array([[c[0] / c[2], c[1] / c[2]] for c in corners])


def _from_lower_left(corners: NDArray[np.float64]) -> NDArray[np.float64]:
    """Return the corners from lower left, anticlockwise on the paper, for a photo the right way up."""
    centre = corners.mean(axis=0)
    angle = np.arctan2(-(corners[:, 1] - centre[1]), corners[:, 0] - centre[0])
    ordered = corners[np.argsort(angle)]
    start = int(np.argmin(ordered[:, 0] - ordered[:, 1]))
    return np.roll(ordered, -start, axis=0)
