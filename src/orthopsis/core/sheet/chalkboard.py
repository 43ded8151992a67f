"""On a board of the teacher's own size the same drawing is larger: by how much, and how are its measures written?"""

from dataclasses import dataclass

from orthopsis.core.errors import GeometryError
from orthopsis.core.sheet.length import MM_PER, Units, format_mark
from orthopsis.core.sheet.paper import Sheet

NARROWEST_MM, WIDEST_MM = 300.0, 8000.0
"""What a drawing on a board may be wide: from a clipboard to two boards side by side (no source)."""
BOARD_DIVISIONS_MM: dict[Units, float] = {"mm": 5.0, "cm": 5.0, "in": MM_PER["in"] / 2}
"""To so much a board is measured with chalk (no source)."""


@dataclass(frozen=True, slots=True)
class Chalkboard:
    """How the lengths of a sheet are written for a board: so many times as long, in its units, on its marks."""

    times: float
    units: Units
    division_mm: float


def chalkboard_of(sheet: Sheet, width_mm: float) -> Chalkboard:
    """Return how lengths are written on a board on which the whole sheet is drawn so wide.

    Raises:
        GeometryError: no board is so narrow or so wide.
    """
    units: Units = "in" if sheet.units == "in" else "cm"
    if not NARROWEST_MM <= width_mm <= WIDEST_MM:
        least, most = (format_mark(mm, units, BOARD_DIVISIONS_MM[units]) for mm in (NARROWEST_MM, WIDEST_MM))
        raise GeometryError(
            "no_such_board",
            "A drawing on a board is not so wide.",
            f"Type a width between {least} and {most}.",
            about="board",
        )
    return Chalkboard(width_mm / sheet.width_mm, units, BOARD_DIVISIONS_MM[units])
