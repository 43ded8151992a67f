"""A sheet seen from straight above, at a fixed scale, in even light, and what of its darkness is lines.

Places are page mm.
"""

from dataclasses import dataclass

import cv2
import numpy as np
from numpy.typing import NDArray

from orthopsis.paperwork.marks import INSET_MM, MARK_MM, QR_GAP_MM, QR_MM
from orthopsis.scan.sheet import Matrix, Picture

FINEST_PX_PER_MM = 5.0
MOST_FLAT_PX = 3_300_000
"""A larger sheet is laid flat more coarsely: an A3 sheet takes the finest scale."""
BROAD_MM = 2.4
"""What is dark over a disc of this width is shading: pencil lines are at most half as wide."""
GRAIN_OF_PAPER, GRAIN_OF_TONE = 0.04, 0.25
"""How dark untouched paper may look, and by which share of its darkness shading is uneven."""


@dataclass(frozen=True, slots=True)
class FlatSheet:
    """The sheet laid flat, top row at its top edge: darkness 0 (paper) to 1 of what is on it, of the lines alone."""

    all_dark: NDArray[np.float32]
    dark: NDArray[np.float32]
    width_mm: float
    height_mm: float
    px_per_mm: float


def lay_flat(grey: Picture, to_page: Matrix, width_mm: float, height_mm: float) -> FlatSheet:
    """Return the sheet seen from straight above, with even light."""
    k = min(FINEST_PX_PER_MM, (MOST_FLAT_PX / (width_mm * height_mm)) ** 0.5)
    to_flat = np.array([[k, 0, 0], [0, -k, height_mm * k], [0, 0, 1.0]]) @ to_page
    size = (round(width_mm * k), round(height_mm * k))
    flat = cv2.warpPerspective(grey, to_flat, size, flags=cv2.INTER_AREA, borderMode=cv2.BORDER_REPLICATE)
    small = cv2.resize(flat, None, fx=0.25, fy=0.25, interpolation=cv2.INTER_AREA)
    paper = cv2.morphologyEx(small, cv2.MORPH_CLOSE, cv2.getStructuringElement(cv2.MORPH_ELLIPSE, (15, 15)))
    paper = cv2.resize(cv2.GaussianBlur(paper, (0, 0), 8), size, interpolation=cv2.INTER_LINEAR)
    even = flat.astype(np.float32) / np.maximum(paper.astype(np.float32), 16)
    dark = np.clip(1 - even, 0, 1).astype(np.float32)
    _blank_margins(dark, k)
    return FlatSheet(dark, without_shading(dark, k), width_mm, height_mm, k)


def without_shading(dark: NDArray[np.float32], k: float) -> NDArray[np.float32]:
    """Return the darkness of lines alone: what is broad is shading, and lines on it are darker than its grain."""
    level = np.clip(dark * 255, 0, 255).astype(np.uint8)
    disc = cv2.getStructuringElement(cv2.MORPH_ELLIPSE, (round(BROAD_MM * k),) * 2)
    broad = cv2.morphologyEx(level, cv2.MORPH_OPEN, disc).astype(np.float32) / 255
    shade = np.maximum(broad - GRAIN_OF_PAPER, 0)
    return np.maximum(dark - (1 + GRAIN_OF_TONE) * shade, 0)


def _blank_margins(dark: NDArray[np.float32], k: float) -> None:
    """Take the sheet's rim, its marks and its code out of the picture."""
    rim = round(1.5 * k)
    dark[:rim], dark[-rim:], dark[:, :rim], dark[:, -rim:] = 0, 0, 0, 0
    mark = round((INSET_MM + MARK_MM + 1) * k)
    code = round((INSET_MM + MARK_MM + QR_GAP_MM + QR_MM + 1) * k)
    dark[:mark, :mark], dark[:mark, -mark:], dark[-mark:, :mark] = 0, 0, 0
    dark[-round((INSET_MM + QR_MM + 1) * k) :, -code:] = 0
