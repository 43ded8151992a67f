"""Which lines make a pattern, and which of its fields are dark? Over a face that is divided into rows and columns.

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
FIELDS = {"plain": "in lines", "dark": "with every other field darkened"}
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
    return [Path(nodes, "free" if design == "zigzag" else "curve") for nodes in _rising_and_falling(design, wide, high)]


def dark_fields(design: str, columns: int, rows: int) -> list[tuple[Node, ...]]:
    """Return the outlines of the fields that are dark, every other one; waves with straight sides from node to node."""
    wide, high = 2 * columns, 2 * rows
    if design == "along":
        return [_field(0, v, wide, v + 2) for v in range(2, high, 4)]
    if design == "up":
        return [_field(u, 0, u + 2, high) for u in range(2, wide, 4)]
    if design == "checks":
        return [_field(u, v, u + 2, v + 2) for v in range(0, high, 2) for u in range(v % 4, wide, 4)]
    if design == "bricks":
        return [field for v in range(0, high, 2) for field in _dark_bricks(v, wide)]
    lines = [*_rising_and_falling(design, wide, high), ((0, high), (wide, high))]
    return [(*low, *reversed(top)) for low, top in zip(lines[::2], lines[1::2], strict=False)]


def _rising_and_falling(design: str, wide: int, high: int) -> list[tuple[Node, ...]]:
    """Return the zigzags or waves of a design, the lowest first."""
    if design == "zigzag":
        return [tuple((u, v + u % 4) for u in range(0, wide + 1, 2)) for v in range(0, high - 1, 2)]
    return [tuple((u, v + u % 2) for u in range(wide + 1)) for v in range(2, high, 2)]


def _field(left: int, low: int, right: int, top: int) -> tuple[Node, ...]:
    return ((left, low), (right, low), (right, top), (left, top))


def _dark_bricks(course: int, wide: int) -> list[tuple[Node, ...]]:
    ends = [0, *range(2 - course // 2 % 2, wide, 2), wide]
    return [_field(ends[i], course, ends[i + 1], course + 2) for i in range(course // 2 % 2, len(ends) - 1, 2)]
