"""Pieces to be cut out, true to size: the strips that carry points off the sheet, and edges with ticks for them.

Small pieces share a page of the printer's paper; one that is longer than the page is laid over several (``tiles``).
"""

import math
from collections.abc import Callable, Iterator, Sequence
from dataclasses import dataclass

from orthopsis.core.drawing.answer import Drawing, TapedStrip
from orthopsis.core.sheet.edge_ticks import TickedEdge, far_spacing_mm, ticked_edges
from orthopsis.core.sheet.length import MM_PER
from orthopsis.core.sheet.paper import Sheet
from orthopsis.core.sheet.ruler import round_to
from orthopsis.paperwork.pdf import BOLD, Pages
from orthopsis.paperwork.tiles import UNPRINTED_MM, add_tiled

TAB_MM = 15.0
"""So much of a strip lies under the sheet, to be taped on from behind (no source)."""
EDGE_MM = 26.0
"""How broad an edge with ticks is (no source)."""
FAR_TICKS_MM = 20.0
"""About so far apart are the ticks on the far edge (no source)."""
LONGEST_MM = 230.0
"""So far the ticks of one piece reach: it lies on the smallest printer's paper with room at its ends."""
_TEXT_MM, _SMALL_MM = 4.2, 3.2
_END_MM, _GAP_MM = 12.0, 6.0
_ZERO = {"level": "0 at the height of the point", "upright": "0 straight over or under the point"}
Tick = tuple[int, float]
"""Number and place along an edge, mm."""


@dataclass(frozen=True, slots=True)
class Piece:
    """A piece: its size, mm, what it is called, and what draws it with its lower left corner at the origin."""

    width: float
    height: float
    title: str
    draw: Callable[[Pages], None]


def strip_pieces(drawing: Drawing) -> list[Piece]:
    """Return the strips of a sheet, each with its points marked and the line by which it is laid right."""
    return [_strip_piece(drawing, strip) for strip in drawing.strips]


def _strip_piece(drawing: Drawing, strip: TapedStrip) -> Piece:
    """Return a strip with a tab that lies under the sheet."""
    is_level = strip.side in ("left", "right")
    wide, tall = strip.width_mm + TAB_MM * is_level, strip.height_mm + TAB_MM * (not is_level)
    left, low = (TAB_MM if strip.side == "right" else 0.0), (TAB_MM if strip.side == "top" else 0.0)
    aims = [aim for aim in drawing.aims if aim.name in strip.aims]

    def draw(pages: Pages) -> None:
        canvas = pages.canvas
        canvas.setStrokeGray(0.4)
        canvas.setLineWidth(0.2)
        canvas.rect(0, 0, wide, tall)
        canvas.setDash(2.0, 1.5)
        edge = {"left": strip.width_mm, "right": TAB_MM, "bottom": strip.height_mm, "top": TAB_MM}[strip.side]
        canvas.line(*((edge, 0, edge, tall) if is_level else (0, edge, wide, edge)))
        canvas.setDash()
        for aim in aims:
            x, y = left + aim.at[0] - strip.at[0], low + aim.at[1] - strip.at[1]
            canvas.setLineWidth(0.3)
            canvas.line(*((0, y, wide, y) if is_level else (x, 0, x, tall)))
            canvas.setLineWidth(0.5)
            canvas.line(x - 4, y - 4, x + 4, y + 4)
            canvas.line(x - 4, y + 4, x + 4, y - 4)
            room = pages.width_of(aim.label, _TEXT_MM, BOLD)
            pages.text(min(max(x - room / 2, 2.0), wide - room - 2.0), y + 6.0, aim.label, _TEXT_MM, BOLD)
        beside = TAB_MM if strip.side == "right" else 0.0
        low_mm, room = (3.0, wide - beside - 6.0) if is_level else (tall / 2, wide / 2 - 6.0)
        _say(pages, _how_to_lay(drawing, strip), beside + 3.0, low_mm, room)

    return Piece(wide, tall, f"strip, {strip.side}", draw)


def _how_to_lay(drawing: Drawing, strip: TapedStrip) -> list[str]:
    """Return what is done with a strip, row by row."""
    is_level = strip.side in ("left", "right")
    on_level = [a for a in drawing.aims if a.name in strip.aims and abs(a.at[1] - drawing.eye_level_mm) < 1e-6]
    first = "Dashed line on the sheet’s edge" if not is_level else f"Dashed line on the {strip.side} edge,"
    if is_level and on_level:
        return [first, "long line on the eye level.", "Tape from behind."]
    if is_level:
        return [first, "long line level. Tape from behind."]
    return [first, f"at the {strip.side}, long line upright.", "Tape from behind."]


def _say(pages: Pages, rows: Sequence[str], left: float, low: float, room: float) -> None:
    """Write rows over each other, the last one lowest, no wider than there is room."""
    size = min(_SMALL_MM, *(_SMALL_MM * room / pages.width_of(row, _SMALL_MM) for row in rows))
    for number, row in enumerate(reversed(rows)):
        pages.text(left, low + number * 1.35 * size, row, size, grey=0.3)


def tick_pieces(drawing: Drawing) -> list[Piece]:
    """Return for each point off the sheet two edges with ticks: joining like numbers gives lines to the point."""
    size = drawing.sheet
    sheet = Sheet(size.width_mm, size.height_mm)
    mark_mm = MM_PER["in"] / 8 if size.units == "in" else 1.0
    carried = [aim for strip in drawing.strips for aim in drawing.aims if aim.name in strip.aims]
    edges = [
        (edge, aim.label)
        for aim in carried
        for edge in ticked_edges(aim.at, sheet, max(2 * mark_mm, round_to(_near_for_mm(aim.at, sheet), mark_mm)))
    ]
    return [_tick_piece(edge, ticks, label) for edge, label in edges for ticks in _lengths(edge.ticks)]


def _near_for_mm(at: tuple[float, float], sheet: Sheet) -> float:
    """Return how far apart ticks on the near edge lie that go with usual ones on the far edge."""
    return FAR_TICKS_MM / far_spacing_mm(at, sheet, 1.0)


def _lengths(ticks: Sequence[Tick]) -> Iterator[Sequence[Tick]]:
    """Yield ticks in as many lengths as it takes to print them; the last one of each is the first of the next."""
    spaces = len(ticks) - 1
    if spaces < 1:
        return
    count = min(spaces, math.ceil((ticks[-1][1] - ticks[0][1]) / LONGEST_MM))
    each = math.ceil(spaces / count)
    for first in range(0, spaces, each):
        yield ticks[first : first + each + 1]


def _tick_piece(edge: TickedEdge, ticks: Sequence[Tick], point: str) -> Piece:
    """Return a piece that is laid beside an edge of the sheet, its upper side to it.

    Turned so that it lies at a left or an upper edge its ends change places: what was at the left is above, or right.
    """
    (_, low), (_, high) = ticks[0], ticks[-1]
    is_turned, wide = edge.side in ("left", "top"), high - low + 2 * _END_MM

    def draw(pages: Pages) -> None:
        canvas = pages.canvas
        canvas.setStrokeGray(0.4)
        canvas.setLineWidth(0.2)
        canvas.rect(0, 0, wide, EDGE_MM)
        canvas.setStrokeGray(0.1)
        for number, at in ticks:
            place = _END_MM + (high - at if is_turned else at - low)
            canvas.setLineWidth(0.4 if number == 0 else 0.25)
            canvas.line(place, EDGE_MM, place, EDGE_MM - (8.0 if number == 0 else 5.0))
            text = str(number)
            pages.text(place - pages.width_of(text, _SMALL_MM) / 2, EDGE_MM - 11.5, text, _SMALL_MM)
        zero = _ZERO["level" if edge.side in ("left", "right") else "upright"]
        says = [f"{edge.side} edge, for the {point}: {zero}.", "This side to the sheet; join like numbers."]
        _say(pages, says, 3.0, 2.5, wide - 6.0)

    return Piece(wide, EDGE_MM, f"ticks, {edge.side}", draw)


def add_pieces(pages: Pages, pieces: Sequence[Piece], paper: tuple[float, float], title: str) -> None:
    """Add pieces to a PDF: those that fit on a page together, row under row; a longer one over several pages."""
    width, height = max(paper), min(paper)
    room = width - 2 * UNPRINTED_MM, height - 2 * UNPRINTED_MM - 8.0
    small = [piece for piece in pieces if _fits(piece, room)]
    for page in _packed(small, room):
        pages.begin(width, height)
        pages.text(UNPRINTED_MM, height - UNPRINTED_MM - 4.0, title, _TEXT_MM, BOLD)
        for piece, left, top in page:
            with pages.moved(UNPRINTED_MM + left, height - UNPRINTED_MM - 8.0 - top):
                if piece.width > room[0] or piece.height > piece.width:
                    pages.turn(piece.height)
                piece.draw(pages)
        pages.end()
    for piece in pieces:
        if not _fits(piece, room):
            with pages.recorded(piece.width, piece.height) as whole:
                piece.draw(pages)
            add_tiled(pages, whole, (piece.width, piece.height), paper, f"{title}, {piece.title}")


def _lying(piece: Piece) -> tuple[float, float]:
    return max(piece.width, piece.height), min(piece.width, piece.height)


def _fits(piece: Piece, room: tuple[float, float]) -> bool:
    long, broad = _lying(piece)
    return long <= room[0] and broad <= room[1]


def _packed(pieces: Sequence[Piece], room: tuple[float, float]) -> Iterator[list[tuple[Piece, float, float]]]:
    """Yield pages of pieces, each with its left and its lower side under the upper rim of the page's room."""
    page, x, row_top, row_broad = list[tuple[Piece, float, float]](), 0.0, 0.0, 0.0
    for piece in pieces:
        long, broad = _lying(piece)
        if x and x + long > room[0]:
            x, row_top, row_broad = 0.0, row_top + row_broad + _GAP_MM, 0.0
        if page and row_top + broad > room[1]:
            yield page
            page, x, row_top, row_broad = [], 0.0, 0.0, 0.0
        page.append((piece, x, row_top + broad))
        x, row_broad = x + long + _GAP_MM, max(row_broad, broad)
    if page:
        yield page
