"""From an uploaded file to the lines on the sheet: the scan, whole."""

from collections.abc import Sequence
from dataclasses import dataclass

import cv2
import numpy as np

from orthopsis.core.check.stroke import Stroke
from orthopsis.paperwork.marks import INSET_MM, QR_MM, SheetCode, qr_square, read_code
from orthopsis.scan.flat import lay_flat
from orthopsis.scan.lines import find_lines
from orthopsis.scan.picture import kind_of, open_picture
from orthopsis.scan.sheet import (
    FoundBy,
    FoundSheet,
    Matrix,
    NoSheet,
    Picture,
    corners_in_photo,
    find_sheet,
    sheet_from_corners,
)
from orthopsis.scan.vector import lines_of_svg

PREVIEW_PX_PER_MM = 4.0
CODE_TRIES_PX_PER_MM = (24.0, 12.0, 36.0, 18.0)
CODE_RIM_MM = 2.5


@dataclass(frozen=True, slots=True)
class Reading:
    """What was read off a sheet.

    Attributes:
        photo_jpeg: the upload re-encoded; empty for an SVG.
        flat_jpeg: the sheet laid flat, the whole sheet and nothing else; empty for an SVG.
        corners_px: where the sheet's corners are in the photo, from lower left, anticlockwise.
    """

    found_by: FoundBy
    confidence: float
    strokes: tuple[Stroke, ...]
    code: SheetCode | None
    photo_jpeg: bytes
    flat_jpeg: bytes
    corners_px: tuple[tuple[float, float], ...] = ()


@dataclass(frozen=True, slots=True)
class NotRead:
    """The file is a picture, but the sheet was not found in it."""

    reason: str
    photo_jpeg: bytes


def read_sheet(
    data: bytes, width_mm: float, height_mm: float, corners: Sequence[tuple[float, float]] | None = None
) -> Reading | NotRead:
    """Return the lines on the sheet.

    Args:
        corners: the sheet's corners in photo pixels, if a person placed them, from lower left, anticlockwise.

    Raises:
        UnusablePicture: the file cannot be used at all.
    """
    if kind_of(data) == "svg":
        return Reading("whole_picture", 1.0, tuple(lines_of_svg(data, width_mm, height_mm)), None, b"", b"")
    opened = open_picture(data)
    sheet = (
        find_sheet(opened.grey, width_mm, height_mm)
        if corners is None
        else sheet_from_corners(corners, width_mm, height_mm)
    )
    if isinstance(sheet, NoSheet):
        return NotRead(sheet.reason, opened.jpeg)
    flat = lay_flat(opened.grey, sheet.to_page, width_mm, height_mm)
    return Reading(
        sheet.found_by,
        sheet.confidence,
        tuple(find_lines(flat)),
        _code(opened.grey, sheet, width_mm),
        opened.jpeg,
        _flat_jpeg(opened.jpeg, sheet.to_page, width_mm, height_mm),
        corners_in_photo(sheet.to_page, width_mm, height_mm),
    )


def _flat_jpeg(photo: bytes, to_page: Matrix, width_mm: float, height_mm: float) -> bytes:
    colour = np.asarray(cv2.imdecode(np.frombuffer(photo, np.uint8), cv2.IMREAD_COLOR), dtype=np.uint8)
    k = PREVIEW_PX_PER_MM
    to_flat = np.array([[k, 0, 0], [0, -k, height_mm * k], [0, 0, 1.0]]) @ to_page
    flat = cv2.warpPerspective(colour, to_flat, (round(width_mm * k), round(height_mm * k)), flags=cv2.INTER_AREA)
    return cv2.imencode(".jpg", flat, [cv2.IMWRITE_JPEG_QUALITY, 80])[1].tobytes()


def _code(grey: Picture, sheet: FoundSheet, width_mm: float) -> SheetCode | None:
    """Read the QR code from its place on the sheet, laid flat and enlarged; a soft photo takes several tries."""
    for px_per_mm in CODE_TRIES_PX_PER_MM:
        patch = _code_patch(grey, sheet.to_page, width_mm, px_per_mm)
        sharp = cv2.addWeighted(patch, 1.8, cv2.GaussianBlur(patch, (0, 0), 0.3 * px_per_mm), -0.8, 0)
        _, hard = cv2.threshold(sharp, 0, 255, cv2.THRESH_BINARY + cv2.THRESH_OTSU)
        for picture in (patch, sharp, hard):
            code = _decode(np.asarray(picture, dtype=np.uint8))
            if code is not None:
                return code
    return None


def _code_patch(grey: Picture, to_page: Matrix, width_mm: float, k: float) -> Picture:
    x, _ = qr_square(width_mm)
    left, top = x - CODE_RIM_MM, INSET_MM + QR_MM + CODE_RIM_MM
    to_patch = np.array([[k, 0, -left * k], [0, -k, top * k], [0, 0, 1.0]]) @ to_page
    side = round((QR_MM + 2 * CODE_RIM_MM) * k)
    patch = cv2.warpPerspective(grey, to_patch, (side, side), flags=cv2.INTER_CUBIC, borderValue=255)
    return np.asarray(patch, dtype=np.uint8)


def _decode(patch: Picture) -> SheetCode | None:
    try:
        text, _, _ = cv2.QRCodeDetector().detectAndDecode(patch)
    except cv2.error:
        return None
    return read_code(text)
