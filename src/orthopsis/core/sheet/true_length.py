"""How long are things in truth, in metres or in feet and inches? Millimetres inside the program.

The class's ruler measures the sheet; the world has units of its own: ``1.6 m``, ``160 cm``, ``5 ft 3 in``.
"""

import re

from orthopsis.core.errors import UnreadableLength
from orthopsis.core.sheet.length import Units

FOOT_MM = 304.8
"""The foot is exactly 304.8 mm since 1959 (from memory)."""
_METRIC = {"m": 1000.0, "metre": 1000.0, "metres": 1000.0, "meter": 1000.0, "meters": 1000.0, "cm": 10.0, "mm": 1.0}
_FEET = re.compile(r"^(\d{1,4}(?:\.\d{1,3})?) ?(?:ft|feet|foot|')(?: ?(\d{1,2}(?:\.\d{1,3})?) ?(?:in|inches|\")?)?$")
_NUMBER = re.compile(r"^(\d{1,6}(?:[.,]\d{1,4})?) ?([a-z]*)$")


def parse_true_length(text: str, units: Units) -> float:
    """Return the length in mm that a text says; a bare number is in metres, or in feet where the class has inches.

    Raises:
        UnreadableLength: the text is no length.
    """
    tidy = " ".join(text.lower().split())
    feet = _FEET.match(tidy)
    if feet is not None:
        return float(feet[1]) * FOOT_MM + float(feet[2] or 0) * FOOT_MM / 12
    number = _NUMBER.match(tidy)
    unit = None if number is None else _METRIC.get(number[2]) if number[2] else FOOT_MM if units == "in" else 1000.0
    if number is None or unit is None:
        raise UnreadableLength(
            "unreadable_length", f"“{text.strip()[:40]}” is no length.", "Write for example 1.6 m or 5 ft 3 in."
        )
    return float(number[1].replace(",", ".")) * unit


def format_true_length(mm: float, units: Units) -> str:
    """Return a length as the class writes it: ``1.60 m``, or ``5 ft 3 in``."""
    if units != "in":
        return f"{mm / 1000:.2f} m"
    feet, inches = divmod(round(mm / FOOT_MM * 12), 12)
    return " ".join(part for part, said in ((f"{feet} ft", feet), (f"{inches} in", inches or not feet)) if said)
