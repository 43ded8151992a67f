"""How dark are the faces that a student has toned? Measured on the sheet laid flat, against the paper beside them."""

from collections.abc import Sequence

import cv2
import numpy as np
from numpy.typing import NDArray

from orthopsis.core.check.answer import FaceGrey
from orthopsis.core.check.tones import ToneArea

RING_MM = (6.0, 26.0)
"""The paper beside a face is looked for from this far to that far outside of it."""
PAPER_QUANTILE = 0.7
"""Paper is lighter than this share of what lies beside a face: lines and other faces are darker."""
LEAST_PX = 50
FACES_RIM_MM = 3.0
"""Paper is looked for this far from any toned area: lines are drawn about it."""

Mask = NDArray[np.uint8]


def greys_of(flat_jpeg: bytes, areas: Sequence[ToneArea], px_per_mm: float) -> list[FaceGrey]:
    """Return how dark each area is, 0 (as the paper beside it) to 1; areas without paper near are left out.

    Args:
        flat_jpeg: the sheet laid flat, its upper left corner first.
        px_per_mm: its scale.
    """
    if not flat_jpeg:
        return []
    # Half the size is fine enough for areas, and four times as quick.
    grey = np.asarray(cv2.imdecode(np.frombuffer(flat_jpeg, np.uint8), cv2.IMREAD_REDUCED_GRAYSCALE_2), dtype=np.uint8)
    px_per_mm /= 2
    masks = [_mask(area, grey.shape, px_per_mm) for area in areas]
    faces = np.bitwise_or.reduce([np.zeros(grey.shape, np.uint8), *masks])
    beside = _grown(faces, FACES_RIM_MM * px_per_mm)
    found = []
    for area, mask in zip(areas, masks, strict=True):
        inner, outer = (_grown(mask, mm * px_per_mm) for mm in RING_MM)
        paper = grey[(outer > 0) & (inner == 0) & (beside == 0)]
        inside = grey[mask > 0]
        if len(paper) >= LEAST_PX and len(inside) >= LEAST_PX:
            white = float(np.quantile(paper, PAPER_QUANTILE))
            darkness = max(0.0, 1.0 - float(np.median(inside)) / max(white, 1.0))
            shown = round(darkness, 3)
            found.append(FaceGrey(thing=area.thing, face=area.name, direction=area.direction, darkness=shown))
    return found


def _mask(area: ToneArea, shape: tuple[int, ...], px_per_mm: float) -> Mask:
    mask = np.zeros(shape[:2], np.uint8)
    for part in area.loops:
        rings = [np.round(np.array(ring) * px_per_mm).astype(np.int32) for ring in part]
        for ring in rings:
            ring[:, 1] = shape[0] - ring[:, 1]
        cv2.fillPoly(mask, rings, 255)
    return mask


def _grown(mask: Mask, by_px: float) -> Mask:
    """Return a mask grown on all sides; distances do it quicker than a large kernel."""
    apart = cv2.distanceTransform(np.asarray(mask == 0, dtype=np.uint8), cv2.DIST_L2, 3)
    return np.asarray((apart <= by_px) * 255, dtype=np.uint8)
