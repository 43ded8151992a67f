"""How dark is each face, if the light comes from one side?

Four steps, from 0 (paper) to 3 (darkest). One tone for each direction of face, the same for every thing
on the sheet (common practice, no source).
"""

from typing import Literal

LightSide = Literal["left", "right"]
Rays = Literal["30", "45", "60"]
"""How steeply light from the side falls: the angles of a set square, in degrees."""

_FROM_LEFT = {"top": 0, "left": 1, "front": 1, "right": 3, "bottom": 3, "back": 2, "shadow": 2}
_FROM_RIGHT = {"top": 0, "right": 1, "front": 1, "left": 3, "bottom": 3, "back": 2, "shadow": 2}


CONTRAST = (2, 3, 0, 1)
"""For each tone step the one in which fields on such a face are told apart from it."""


def face_tone(turned: str, light: LightSide) -> int:
    """Return the tone step 0 to 3 of a face that is turned this way."""
    return (_FROM_LEFT if light == "left" else _FROM_RIGHT)[turned]


def inside_tone(turned: str, light: LightSide) -> int:
    """Return the tone step of the inner side of a face: what is seen faces the other way, and insides are darker."""
    opposite = {"left": "right", "right": "left", "top": "bottom", "bottom": "top", "front": "back", "back": "front"}
    return min(3, face_tone(opposite[turned], light) + 1)
