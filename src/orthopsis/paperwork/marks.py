"""Where on a sheet are the corner marks, and what do they carry?

Four square marks stand in the corners; each has a number of its own, so that the sheet's way round is
known from any one photo. Beside the lower right one stands a QR code with exercise, student and page.
Page mm, origin lower left. The marks keep clear of the 5 mm that printers cannot reach.
"""

import re
from dataclasses import dataclass

import segno

MARK_MM = 9.0
INSET_MM = 7.0
QR_MM = 14.0
QR_GAP_MM = 3.0
CORNER_NUMBERS = (0, 1, 2, 3)
"""Marks at lower left, lower right, upper right, upper left."""

_CODE = re.compile(r"^ORT1:([0-9A-Z]{1,12}):([0-9A-Z]{0,12}):(\d{1,3})$")


@dataclass(frozen=True, slots=True)
class SheetCode:
    """What a printed sheet says of itself; ``student`` is empty on a sheet for anybody."""

    exercise: str
    student: str
    page: int

    def text(self) -> str:
        """Return the text of the QR code."""
        return f"ORT1:{self.exercise}:{self.student}:{self.page}"


def read_code(text: str) -> SheetCode | None:
    """Return what a QR code's text says, or None if it is not one of ours."""
    match = _CODE.match(text)
    return None if match is None else SheetCode(match[1], match[2], int(match[3]))


def mark_squares(width_mm: float, height_mm: float) -> list[tuple[float, float]]:
    """Return the lower left corners of the four marks."""
    far_x, far_y = width_mm - INSET_MM - MARK_MM, height_mm - INSET_MM - MARK_MM
    return [(INSET_MM, INSET_MM), (far_x, INSET_MM), (far_x, far_y), (INSET_MM, far_y)]


def qr_square(width_mm: float) -> tuple[float, float]:
    """Return the lower left corner of the QR code's square."""
    return width_mm - INSET_MM - MARK_MM - QR_GAP_MM - QR_MM, INSET_MM


def qr_rows(code: SheetCode) -> list[list[bool]]:
    """Return the QR code's modules, top row first, True for dark; no quiet zone."""
    return [[bool(cell) for cell in row] for row in segno.make(code.text(), error="m", micro=False).matrix]
