"""A large sheet over several pages of the printer's paper, true to size: how many, and what does each show?

Neighbours share a strip that is glued over the other. Crosses on both lie on each other when the pages lie right.
"""

import math
from collections.abc import Iterator
from dataclasses import dataclass

from orthopsis.paperwork.pdf import Pages

UNPRINTED_MM = 8.0
"""So much at each edge a school's printer leaves white (common practice, no source)."""
OVERLAP_MM = 10.0
"""So much neighbours share (no source)."""
_CROSS_MM, _LABEL_MM = 3.0, 2.6


@dataclass(frozen=True, slots=True)
class Tile:
    """One page: row from the top and column from the left, both from 1; what of the sheet it shows, mm."""

    row: int
    column: int
    left: float
    low: float
    wide: float
    tall: float


@dataclass(frozen=True, slots=True)
class Tiling:
    """How a sheet is laid over pages of one size, mm."""

    width: float
    height: float
    page_width: float
    page_height: float

    @property
    def window(self) -> tuple[float, float]:
        """How much a page shows, across and up."""
        return self.page_width - 2 * UNPRINTED_MM, self.page_height - 2 * UNPRINTED_MM

    @property
    def columns(self) -> int:
        """How many pages lie beside each other."""
        return _count(self.width, self.window[0])

    @property
    def rows(self) -> int:
        """How many pages lie over each other."""
        return _count(self.height, self.window[1])

    @property
    def tiles(self) -> Iterator[Tile]:
        """The pages, row by row from the top, each with its part of the sheet; all shared strips are equally broad."""
        across, up = self.window
        for row in range(self.rows):
            top = self.height - row * (up - OVERLAP_MM)
            low = max(top - up, 0.0)
            for column in range(self.columns):
                left = column * (across - OVERLAP_MM)
                right = min(left + across, self.width)
                yield Tile(row + 1, column + 1, left, low, right - left, top - low)


def _count(size: float, window: float) -> int:
    """Return how many windows it takes to cover a length, neighbours overlapping."""
    return max(1, math.ceil((size - OVERLAP_MM - 1e-6) / (window - OVERLAP_MM)))


def tiling_of(width: float, height: float, paper: tuple[float, float]) -> Tiling:
    """Return how a sheet is laid over pages of a printer's paper, upright or lying: over as few as may be."""
    lying = [Tiling(width, height, *size) for size in (paper, paper[::-1])]
    return min(lying, key=lambda tiling: tiling.columns * tiling.rows)


def add_tiled(pages: Pages, recorded: str, size: tuple[float, float], paper: tuple[float, float], title: str) -> None:
    """Add a recorded sheet of this size, laid over pages of a printer's paper."""
    tiling = tiling_of(*size, paper)
    count = tiling.columns * tiling.rows
    for tile in tiling.tiles:
        pages.begin(tiling.page_width, tiling.page_height)
        with pages.clipped(UNPRINTED_MM, UNPRINTED_MM, tile.wide, tile.tall):
            pages.show(recorded, UNPRINTED_MM - tile.left, UNPRINTED_MM - tile.low)
            _add_crosses(pages, tiling, tile)
        if count > 1:
            _add_label(pages, tiling, tile, title)
        pages.end()


def _seams(size: float, window: float, count: int, *, is_from_top: bool) -> list[float]:
    """Return the middles of the strips that neighbours share, along the sheet."""
    middles = [i * (window - OVERLAP_MM) + OVERLAP_MM / 2 for i in range(1, count)]
    return [size - at for at in middles] if is_from_top else middles


def _add_crosses(pages: Pages, tiling: Tiling, tile: Tile) -> None:
    """Mark places of the shared strips that are on both neighbours: at their ends and where they cross."""
    canvas, (across, up) = pages.canvas, tiling.window
    xs = _seams(tiling.width, across, tiling.columns, is_from_top=False)
    ys = _seams(tiling.height, up, tiling.rows, is_from_top=True)
    rims = ((OVERLAP_MM, tiling.width - OVERLAP_MM), (OVERLAP_MM, tiling.height - OVERLAP_MM))
    places = {(x, y) for x in xs for y in (*rims[1], *ys)} | {(x, y) for y in ys for x in (*rims[0], *xs)}
    canvas.setStrokeGray(0.45)
    canvas.setLineWidth(0.15)
    for x, y in places:
        at_x, at_y = UNPRINTED_MM + x - tile.left, UNPRINTED_MM + y - tile.low
        canvas.line(at_x - _CROSS_MM, at_y, at_x + _CROSS_MM, at_y)
        canvas.line(at_x, at_y - _CROSS_MM, at_x, at_y + _CROSS_MM)
    for x in xs:
        _dashed(pages, (x - tile.left, 0.0, x - tile.left, tile.tall))
    for y in ys:
        _dashed(pages, (0.0, y - tile.low, tile.wide, y - tile.low))


def _dashed(pages: Pages, line: tuple[float, float, float, float]) -> None:
    """Draw where a shared strip is cut."""
    pages.canvas.setDash(1.0, 2.0)
    pages.canvas.line(*(at + UNPRINTED_MM for at in line))
    pages.canvas.setDash()


def _add_label(pages: Pages, tiling: Tiling, tile: Tile, title: str) -> None:
    """Say at the lower edge, where the next page lies over it, which part this is and what is done with it."""
    place = f"row {tile.row} of {tiling.rows} from the top, column {tile.column} of {tiling.columns}"
    cut = tile.column < tiling.columns or tile.row < tiling.rows
    what = "cut at the dashed line, lay cross on cross, tape from behind" if cut else "lay cross on cross, tape"
    pages.text(UNPRINTED_MM + 2 * OVERLAP_MM, UNPRINTED_MM + 1.0, f"{title}: {place}; {what}", _LABEL_MM, grey=0.35)
