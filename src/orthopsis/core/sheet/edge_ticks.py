"""Which ticks on two edges of the sheet give lines to a point off the sheet, without a strip or a long ruler?

Equal ticks on the edge near the point, larger ones on the edge across from it, in the ratio of how far the two edges
lie from the point. Lines that join like ticks all run to the point: intercept theorem (Euclid, Elements VI.2).
"""

import math
from dataclasses import dataclass

from orthopsis.core.sheet.paper import Sheet
from orthopsis.core.sheet.strip import Side, beyond

_ACROSS: dict[Side, Side] = {"left": "right", "right": "left", "top": "bottom", "bottom": "top"}


@dataclass(frozen=True, slots=True)
class TickedEdge:
    """An edge of the sheet with ticks: numbers, counted from the place nearest to the point, and where each lies.

    Attributes:
        side: which edge; ``length_mm``: how long it is.
        ticks: number and place along the edge, mm from its left or lower end, in order.
    """

    side: Side
    length_mm: float
    ticks: tuple[tuple[int, float], ...]


def far_spacing_mm(at: tuple[float, float], sheet: Sheet, near_mm: float) -> float:
    """Return the spacing of ticks on the far edge that go with these on the edge near a point off the sheet."""
    reach, side, _ = beyond(at, sheet)
    size = sheet.width_mm if side in ("left", "right") else sheet.height_mm
    return near_mm * (reach + size) / reach


def ticked_edges(at: tuple[float, float], sheet: Sheet, near_mm: float) -> tuple[TickedEdge, TickedEdge]:
    """Return the edge near a point off the sheet and the one across from it, with the ticks that are on both.

    Args:
        near_mm: spacing of the ticks on the near edge.
    """
    _, side, (x, y) = beyond(at, sheet)
    middle, length = (y, sheet.height_mm) if side in ("left", "right") else (x, sheet.width_mm)
    far_mm = far_spacing_mm(at, sheet, near_mm)
    spacings = {side: near_mm, _ACROSS[side]: far_mm}
    least = max(math.ceil(-middle / mm - 1e-9) for mm in spacings.values())
    most = min(math.floor((length - middle) / mm + 1e-9) for mm in spacings.values())
    near, far = (
        TickedEdge(name, length, tuple((n, middle + n * mm) for n in range(least, most + 1)))
        for name, mm in spacings.items()
    )
    return near, far
