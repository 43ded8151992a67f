"""How dark are the faces that a student has toned? Measured on the sheet laid flat, against the paper beside them."""

from collections.abc import Iterable, Sequence

import cv2
import numpy as np
from numpy.typing import NDArray

from orthopsis.core.check.answer import FaceGrey
from orthopsis.core.check.tones import tone_areas
from orthopsis.core.drawing.answer import Place, TonedFace

RINGS_MM = (26.0, 60.0, 150.0, 1000.0)
"""The paper beside a face is looked for no farther than this from it; a face among others has its paper farther off."""
PAPER_QUANTILE = 0.7
"""Paper is lighter than this share of what lies beside a face: lines and other faces are darker."""
LEAST_PX, LEAST_PAPER_PX = 50, 400
FACES_RIM_MM = 5.0
"""Paper is looked for this far from any face: lines are drawn about it, and hands shade beyond them."""

Mask = NDArray[np.uint8]


def greys_of(flat_jpeg: bytes, faces: Sequence[TonedFace], px_per_mm: float) -> list[FaceGrey]:
    """Return how dark what is seen of each face is, 0 (as the paper beside it) to 1; too small ones are left out.

    Args:
        flat_jpeg: the sheet laid flat, its upper left corner first.
        faces: all the faces of the drawing, the far ones first.
        px_per_mm: its scale.
    """
    if not flat_jpeg:
        return []
    # Half the size is fine enough for areas, and four times as quick.
    grey = np.asarray(cv2.imdecode(np.frombuffer(flat_jpeg, np.uint8), cv2.IMREAD_REDUCED_GRAYSCALE_2), dtype=np.uint8)
    px_per_mm /= 2
    outlines = [_mask((tuple(map(tuple, face.loops)),), grey.shape, px_per_mm) for face in faces]
    covered = np.bitwise_or.reduce([np.zeros(grey.shape, np.uint8), *outlines])
    is_paper = _away_from(covered) > FACES_RIM_MM * px_per_mm
    found = []
    for area in tone_areas(faces):
        mask = _mask(area.loops, grey.shape, px_per_mm)
        inside, paper = grey[mask > 0], _paper_beside(grey, is_paper, _away_from(mask), px_per_mm)
        if len(paper) >= LEAST_PX and len(inside) >= LEAST_PX:
            white = float(np.quantile(paper, PAPER_QUANTILE))
            darkness = max(0.0, 1.0 - float(np.median(inside)) / max(white, 1.0))
            shown = round(darkness, 3)
            found.append(
                FaceGrey(thing=area.thing, face=area.name, direction=area.direction, darkness=shown, turned=area.turned)
            )
    return found


def _paper_beside(grey: Mask, is_paper: NDArray[np.bool_], away: NDArray[np.float32], px_per_mm: float) -> Mask:
    """Return the pixels of the nearest paper."""
    paper = grey[:0].reshape(-1)
    for ring in RINGS_MM:
        paper = grey[is_paper & (away <= ring * px_per_mm)]
        if len(paper) >= LEAST_PAPER_PX:
            break
    return np.asarray(paper, dtype=np.uint8)


def _mask(parts: Iterable[Sequence[Sequence[Place]]], shape: tuple[int, ...], px_per_mm: float) -> Mask:
    mask = np.zeros(shape[:2], np.uint8)
    for part in parts:
        rings = [np.round(np.array(ring) * px_per_mm).astype(np.int32) for ring in part]
        for ring in rings:
            ring[:, 1] = shape[0] - ring[:, 1]
        cv2.fillPoly(mask, rings, 255)
    return mask


def _away_from(mask: Mask) -> NDArray[np.float32]:
    """Return how far each pixel is from a mask."""
    return np.asarray(cv2.distanceTransform(np.asarray(mask == 0, dtype=np.uint8), cv2.DIST_L2, 3), dtype=np.float32)
