"""Which papers are there, and how large is the sheet in front of the class?"""

from dataclasses import dataclass
from typing import Literal

from orthopsis.core.sheet.length import Units

PaperName = Literal[
    "A5", "A4", "A3", "A2", "8 1/2 x 11 in", "8 1/2 x 14 in", "9 x 12 in", "11 x 17 in", "12 x 18 in", "18 x 24 in",
    "24 x 36 in",
]  # fmt: skip
OWN = "own"
"""A paper of another size, which is stated as it lies."""
LEAST_OWN_MM, MOST_OWN_MM = 100.0, 2000.0
Orientation = Literal["landscape", "portrait"]
Half = Literal["whole", "left", "right"]
"""Which part of a sheet a drawing has: all of it, or one half of a sheet that is folded in two."""

PAPERS: dict[PaperName, tuple[float, float]] = {
    "A5": (148.0, 210.0),
    "A4": (210.0, 297.0),
    "A3": (297.0, 420.0),
    "A2": (420.0, 594.0),
    "8 1/2 x 11 in": (8.5 * 25.4, 11 * 25.4),
    "8 1/2 x 14 in": (8.5 * 25.4, 14 * 25.4),
    "9 x 12 in": (9 * 25.4, 12 * 25.4),
    "11 x 17 in": (11 * 25.4, 17 * 25.4),
    "12 x 18 in": (12 * 25.4, 18 * 25.4),
    "18 x 24 in": (18 * 25.4, 24 * 25.4),
    "24 x 36 in": (24 * 25.4, 36 * 25.4),
}
TRADE_NAMES: dict[PaperName, str] = {
    "8 1/2 x 11 in": "letter", "8 1/2 x 14 in": "legal", "9 x 12 in": "arch A", "11 x 17 in": "tabloid",
    "12 x 18 in": "arch B", "18 x 24 in": "arch C", "24 x 36 in": "arch D",
}  # fmt: skip
"""What the inch papers are called in shops (from memory)."""
"""Short and long side in mm. Source: ISO 216; ASME Y14.1 and custom for the inch papers (from memory)."""


@dataclass(frozen=True, slots=True)
class Sheet:
    """The paper on the student's desk.

    Attributes:
        width_mm, height_mm: as it lies, origin at the lower left corner.
        units: how the class writes lengths.
        division_mm: the smallest division of the class's ruler that measures are rounded to.
    """

    width_mm: float
    height_mm: float
    units: Units = "mm"
    division_mm: float = 1.0

    def holds(self, x: float, y: float, margin_mm: float = 0.0) -> bool:
        """Tell whether a page point lies on the paper, at least ``margin_mm`` from its edges."""
        return margin_mm <= x <= self.width_mm - margin_mm and margin_mm <= y <= self.height_mm - margin_mm

    def part(self, half: Half) -> tuple[float, float]:
        """Return from where to where a part of the sheet reaches, mm from the left edge."""
        middle = self.width_mm / 2
        return (middle if half == "right" else 0.0, middle if half == "left" else self.width_mm)


def paper_size(paper: PaperName, orientation: Orientation) -> tuple[float, float]:
    """Return width and height in mm of a paper as it lies."""
    short, long = PAPERS[paper]
    return (long, short) if orientation == "landscape" else (short, long)
