"""The pattern of a corner mark: a square code of OpenCV's 4 x 4 dictionary with its black border."""

import cv2
import numpy as np

DICTIONARY = cv2.aruco.getPredefinedDictionary(cv2.aruco.DICT_4X4_50)
CELLS = 6


def mark_rows(number: int) -> list[list[bool]]:
    """Return the cells of a mark, top row first, True for dark."""
    picture = cv2.aruco.generateImageMarker(DICTIONARY, number, CELLS)
    return [[bool(cell) for cell in row] for row in np.asarray(picture) < 128]
