"""Which lines make a pattern? Paths over a face that is divided into rows and columns.

Places are counted in half columns along and half rows up, so that each is a crossing of two light lines.
"""

from dataclasses import dataclass
from typing import Literal

DESIGNS = {
    "along": "stripes along",
    "checks": "checks",
    "zigzag": "zigzags",
    "up": "stripes up",
    "bricks": "bricks",
    "waves": "waves",
}
"""In an order in which neighbours differ both in the way their lines run and in their kind."""
EACH = "each"
"""Another design for each part of the face, such as each letter."""

Node = tuple[int, int]
"""Half columns along, half rows up."""


@dataclass(frozen=True, slots=True)
class Path:
    """Lines from node to node. ``runs``: which way; a curve is a row of quarters between nodes, risen upright first."""

    nodes: tuple[Node, ...]
    runs: Literal["along", "up", "free", "curve"]


def paths(design: str, columns: int, rows: int) -> list[Path]:
    """Return the lines of a design over so many columns and rows."""
    wide, high = 2 * columns, 2 * rows
    along = [Path(((0, v), (wide, v)), "along") for v in range(2, high, 2)]
    up = [Path(((u, 0), (u, high)), "up") for u in range(2, wide, 2)]
    if design == "along":
        return along
    if design == "up":
        return up
    if design == "checks":
        return along + up
    if design == "bricks":
        joints = [(u, v) for v in range(0, high, 2) for u in range(2 - v // 2 % 2, wide, 2)]
        return along + [Path(((u, v), (u, v + 2)), "up") for u, v in joints]
    if design == "zigzag":
        turns = [tuple((u, v + u % 4) for u in range(0, wide + 1, 2)) for v in range(0, high - 1, 2)]
        return [Path(turn, "free") for turn in turns]
    crests = [tuple((u, v + u % 2) for u in range(wide + 1)) for v in range(2, high, 2)]
    return [Path(crest, "curve") for crest in crests]
