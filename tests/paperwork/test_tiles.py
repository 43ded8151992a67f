"""Large sheets over several pages, and pieces to cut out: true to size, all of it there, seams that fit."""

import io
import itertools

import pypdf
import pytest
import shapely
from hypothesis import given
from hypothesis import strategies as st

from orthopsis.core.document.document import read_exercise
from orthopsis.core.document.ready import READY
from orthopsis.core.drawing.answer import Drawing
from orthopsis.core.exercise.solve import draw
from orthopsis.paperwork.handout import handout_mm
from orthopsis.paperwork.marks import SheetCode
from orthopsis.paperwork.pdf import Pages
from orthopsis.paperwork.pieces import LONGEST_MM, TAB_MM, add_pieces, strip_pieces, tick_pieces
from orthopsis.paperwork.sheets import Copy, add_sheets
from orthopsis.paperwork.tiles import OVERLAP_MM, UNPRINTED_MM, tiling_of

A4, LETTER = (210.0, 297.0), (215.9, 279.4)
PAPERS = st.sampled_from([A4, LETTER])


@given(st.floats(100, 1000), st.floats(100, 1000), PAPERS)
def test_tiles_cover_the_sheet_and_neighbours_share_a_strip(
    width: float, height: float, paper: tuple[float, float]
) -> None:
    tiling = tiling_of(width, height, paper)
    tiles = list(tiling.tiles)
    assert len(tiles) == tiling.columns * tiling.rows
    assert {(tiling.page_width, tiling.page_height)} <= {paper, paper[::-1]}
    boxes = [shapely.box(t.left, t.low, t.left + t.wide, t.low + t.tall) for t in tiles]
    assert shapely.union_all(boxes).area == pytest.approx(width * height)
    for tile in tiles:
        assert tile.wide <= tiling.page_width - 2 * UNPRINTED_MM + 1e-6
        assert tile.tall <= tiling.page_height - 2 * UNPRINTED_MM + 1e-6
    for one, two in itertools.combinations(tiles, 2):
        if one.row == two.row and two.column == one.column + 1:
            assert one.left + one.wide - two.left == pytest.approx(OVERLAP_MM)
        if one.column == two.column and two.row == one.row + 1:
            assert two.low + two.tall - one.low == pytest.approx(OVERLAP_MM)


@given(st.floats(100, 1000), st.floats(100, 1000), PAPERS)
def test_no_page_is_wasted(width: float, height: float, paper: tuple[float, float]) -> None:
    tiling = tiling_of(width, height, paper)
    across, up = tiling.window
    if tiling.columns > 1:
        assert (tiling.columns - 1) * (across - OVERLAP_MM) + OVERLAP_MM < width
    if tiling.rows > 1:
        assert (tiling.rows - 1) * (up - OVERLAP_MM) + OVERLAP_MM < height
    other = tiling_of(width, height, paper[::-1])
    assert tiling.columns * tiling.rows == other.columns * other.rows


def _chests() -> Drawing:
    return draw(read_exercise(next(r for r in READY if "Chests by the boathouse" in r["title"])))


def test_a_large_sheet_comes_on_pages_of_the_printer_that_say_where_they_belong() -> None:
    pages = Pages("Chests")
    add_sheets(pages, _chests(), "answer", "Chests", [Copy(SheetCode("AB12CD", "", 2))] * 2, A4)
    printed = pypdf.PdfReader(io.BytesIO(pages.bytes())).pages
    assert len(printed) == 8, "an A3 sheet with the white edges of a printer lies over four pages"
    for page in printed:
        size = sorted(float(mm) * 25.4 / 72 for mm in page.mediabox[2:])
        assert size == pytest.approx(A4, abs=0.01)
    said = [page.extract_text() for page in printed[:4]]
    for number, (row, column) in enumerate(itertools.product((1, 2), (1, 2))):
        assert f"row {row} of 2 from the top, column {column} of 2" in said[number]
    assert "cut at the dashed line" not in said[3]


def test_strips_carry_their_points_as_far_out_as_those_lie() -> None:
    drawing = _chests()
    pieces = strip_pieces(drawing)
    assert [(p.width, p.height) for p in pieces] == [(s.width_mm + TAB_MM, s.height_mm) for s in drawing.strips]
    pages = Pages("Strips")
    add_pieces(pages, pieces, A4, "Chests: strips")
    (page,) = pypdf.PdfReader(io.BytesIO(pages.bytes())).pages
    text = page.extract_text()
    for aim in drawing.aims:
        assert aim.label in text
    assert text.count("Tape from behind.") == 2
    assert "Dashed line on the left edge," in text


@pytest.mark.parametrize("ready", READY[5:8], ids=[ready["title"] for ready in READY[5:8]])
@pytest.mark.parametrize("units", ["mm", "in"])
def test_every_piece_is_printed_once_on_paper_that_the_printer_has(ready: dict[str, object], units: str) -> None:
    drawing, paper = draw(read_exercise(ready)), handout_mm(units)
    for pieces in (strip_pieces(drawing), tick_pieces(drawing)):
        pages = Pages("Pieces")
        add_pieces(pages, pieces, paper, "Pieces")
        printed = pypdf.PdfReader(io.BytesIO(pages.bytes())).pages
        assert 1 <= len(printed) <= len(pieces) + 4
        for page in printed:
            assert sorted(float(mm) * 25.4 / 72 for mm in page.mediabox[2:]) == pytest.approx(paper, abs=0.01)


def test_ticks_are_printed_whole_and_a_long_edge_in_lengths_that_begin_where_the_one_before_ends() -> None:
    drawing = draw(read_exercise(next(r for r in READY if "Net lofts from above" in r["title"])))
    pieces = tick_pieces(drawing)
    assert all(piece.width <= LONGEST_MM + 60 for piece in pieces)
    pages = Pages("Ticks")
    add_pieces(pages, pieces, A4, "Ticks")
    text = " ".join(page.extract_text() for page in pypdf.PdfReader(io.BytesIO(pages.bytes())).pages)
    for point in ("left point", "right point", "third point"):
        assert text.count(f"for the {point}:") >= 2, "an edge near it and one across"
    assert text.count("join like numbers") == len(pieces)
