"""What can the class's ruler measure, and by how much does rounding to it move the drawing?"""

from typing import Literal

from orthopsis.core.sheet.length import Units

Division = Literal["1 mm", "5 mm", "1/16 in", "1/8 in", "1/4 in"]

DIVISIONS_MM: dict[Division, float] = {
    "1 mm": 1.0,
    "5 mm": 5.0,
    "1/16 in": 25.4 / 16,
    "1/8 in": 25.4 / 8,
    "1/4 in": 25.4 / 4,
}


_OF_INCHES: tuple[Division, ...] = ("1/16 in", "1/8 in", "1/4 in")


def divisions(units: Units) -> tuple[Division, ...]:
    """Return the divisions of rulers that measure in these units."""
    return tuple(name for name in DIVISIONS_MM if (name in _OF_INCHES) == (units == "in"))


def usual_division(units: Units) -> Division:
    """Return the division that a class with these units measures to by custom."""
    return "1/8 in" if units == "in" else "1 mm"


def round_to(mm: float, division_mm: float) -> float:
    """Return ``mm`` rounded to the ruler's nearest mark."""
    return round(mm / division_mm) * division_mm
