"""What does a class need on its tables, and which care does that ask for?

Common practice, no source: what teachers of the subject put on their lists. The school's own rules come first.
"""

import math
from collections.abc import Iterable, Sequence
from dataclasses import dataclass

from orthopsis.core.sheet.strip import Strip

RULERS_MM = (300.0, 500.0, 1000.0)
"""The rulers of a school, shortest first (common practice, no source)."""
SPARE = 0.1
"""So many sheets more than students are laid out, as a share of them, and one at least (common practice, no source)."""


@dataclass(frozen=True, slots=True)
class Needs:
    """What drawing a sheet takes.

    Attributes:
        strips: the paper that is taped on, on each sheet.
        farthest_mm: how far apart two points are at most that the ruler lies on.
        has_parallels: whether lines are drawn parallel to others that run neither level nor upright.
        has_curves: whether something is drawn by a free hand.
        has_compass: whether a circle is drawn about a vanishing point.
        has_tones: whether faces are toned.
        has_building: whether it shows something that is built in truth.
    """

    strips: Sequence[Strip]
    farthest_mm: float
    has_parallels: bool
    has_curves: bool
    has_compass: bool
    has_tones: bool
    has_building: bool


@dataclass(frozen=True, slots=True)
class Material:
    """Something that is laid out: the key of its words, how many, and how large, in the class's units."""

    key: str
    count: int
    size: str = ""


def ruler_for(farthest_mm: float) -> float:
    """Return the shortest ruler that reaches so far, else the longest, mm."""
    return next((ruler for ruler in RULERS_MM if ruler >= farthest_mm), RULERS_MM[-1])


def materials(needs: Needs, students: int, sheet: str, strip_sizes: Iterable[str]) -> list[Material]:
    """Return what is laid out for a class.

    Args:
        sheet: which paper is drawn on; ``strip_sizes``: how large each strip is, and from what it is cut.
    """
    strips = list(strip_sizes)
    found = [Material("sheets", students + max(1, math.ceil(SPARE * students)), sheet)]
    found += [Material("strips", students * strips.count(size), size) for size in dict.fromkeys(strips)]
    if strips:
        found.append(Material("tape", 1))
    found.append(Material("rulers", students, f"{ruler_for(needs.farthest_mm) / 10:.0f} cm"))
    found.append(Material("set_squares", students))
    if needs.has_parallels:
        found.append(Material("see_through", students))
    if needs.has_compass:
        found.append(Material("compasses", students))
    found += [Material("hard_pencils", students), Material("soft_pencils", students), Material("erasers", students)]
    return found


def cautions(needs: Needs) -> list[str]:
    """Return the keys of the words about the care that this takes, those first that are needed first."""
    asked = {
        "knife": bool(needs.strips),
        "liners": True,
        "compasses": needs.has_compass,
        "curves": needs.has_curves and not needs.has_compass,
        "building": needs.has_building,
    }
    return [*(key for key, is_asked in asked.items() if is_asked), "school"]
