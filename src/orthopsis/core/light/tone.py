"""How dark is each face, if the light comes from one side?

Four steps, from 0 (paper) to 3 (darkest). One tone for each direction of face, the same for every thing
on the sheet (common practice, no source).
"""

from collections.abc import Mapping
from dataclasses import dataclass
from typing import Literal

from orthopsis.core.light.light import Light, Stands


@dataclass(frozen=True, slots=True)
class Tones:
    """The tone steps of the faces that are upright, and of what lies in shadow on the ground.

    Attributes:
        sunny: of the side from which the light comes; ``other`` of the opposite one; ``front``: to the viewer.
    """

    sunny: int = 1
    front: int = 1
    other: int = 3
    shadow: int = 2


_TONES: Mapping[tuple[Stands, bool], Tones] = {
    ("beside", True): Tones(),
    ("beside", False): Tones(),
    ("ahead", True): Tones(front=3, other=2, shadow=1),
    ("ahead", False): Tones(sunny=2, front=3, shadow=1),
    ("behind", True): Tones(),
    ("lamp", True): Tones(),
    ("lamp", False): Tones(),
    ("behind", False): Tones(other=2, shadow=3),
}
"""By where the sun stands, and whether blocks are drawn from their front or from their nearest edge.

Against the sun all that is turned to the viewer is in the shade; what it shines on from behind the viewer is light.
"""
_TOP, _BOTTOM, _BACK = 0, 3, 2

FarTones = Literal["alike", "lighter"]
"""Whether far things are toned like near ones, or each face of theirs a step lighter: air lies between."""
FAR_TIMES = 2.0
"""So many times as far away as the nearest thing is what counts as far (common practice, no source)."""
DARKEST = 3
ON_WALL = "shadow_on_wall"
"""Which way the part of a cast shadow is turned that has climbed a wall."""
CONTRAST = (2, 3, 0, 1)
"""For each tone step the one in which fields on such a face are told apart from it."""


def face_tone(turned: str, light: Light, *, is_from_front: bool) -> int:
    """Return the tone step 0 to 3 of a face that is turned this way.

    Args:
        is_from_front: whether blocks are drawn from their front, as in one-point, so that sides are turned aside.
    """
    tones = _TONES[light.stands, is_from_front]
    sides = {light.side: tones.sunny, "right" if light.side == "left" else "left": tones.other}
    found = {"top": _TOP, "bottom": _BOTTOM, "back": _BACK, "front": tones.front, "shadow": tones.shadow, **sides}
    if turned == ON_WALL:
        return tones.shadow
    return found[turned]


_OPPOSITE = {"left": "right", "right": "left", "top": "bottom", "bottom": "top", "front": "back", "back": "front"}


def lamp_tone(turned: str, light: Light, *, is_lit: bool, is_outer: bool) -> int:
    """Return the tone step of a face by a lamp: what it shines on is light, what is turned away from it dark.

    Two sides that are both light, or both dark, are told apart: the one toward the lamp's side is a step lighter.

    Args:
        light: the lamp as it hangs beside the thing.
        is_outer: whether the outer side of the face is seen.
    """
    looks = turned if is_outer else _OPPOSITE.get(turned, turned)
    if looks in ("shadow", ON_WALL):
        return Tones().shadow + (looks == ON_WALL)  # a wall is darker than the floor
    if looks == "top":
        return 0 if is_lit else 2
    is_away = looks == ("right" if light.side == "left" else "left")
    return (2 if is_away else 1) if is_lit else (2 if looks == light.side else 3)


def inside_tone(turned: str, light: Light, *, is_from_front: bool) -> int:
    """Return the tone step of the inner side of a face: what is seen faces the other way, and insides are darker.

    A shadow has no inner side, however it is seen: where it is a mere sliver its corners may run the other way round.
    """
    if turned not in _OPPOSITE:
        return face_tone(turned, light, is_from_front=is_from_front)
    return min(3, face_tone(_OPPOSITE[turned], light, is_from_front=is_from_front) + 1)
