"""Pages of a PDF, true to size: millimetres on the page are millimetres on the paper."""

import io
from collections.abc import Iterator
from contextlib import contextmanager
from functools import lru_cache
from itertools import groupby
from pathlib import Path

from reportlab.lib.units import mm
from reportlab.pdfbase import pdfmetrics
from reportlab.pdfbase.ttfonts import TTFont
from reportlab.pdfgen.canvas import Canvas

from orthopsis.core.sheet.length import NO_BREAK, unbroken
from orthopsis.paperwork.art import DASH_MM, GREY, OLD_ARM_MM, TONE_GREY, WIDTH_MM, Art
from orthopsis.paperwork.mark_bits import mark_rows
from orthopsis.paperwork.marks import (
    CORNER_NUMBERS,
    INSET_MM,
    MARK_MM,
    QR_MM,
    SheetCode,
    mark_squares,
    qr_rows,
    qr_square,
)

REGULAR, BOLD = "Andika", "Andika-Bold"
_FONTS = Path(__file__).parent / "fonts"
_PT_PER_MM = mm


class Pages:
    """A PDF that is written page by page."""

    def __init__(self, title: str) -> None:
        _register_fonts()
        self._out = io.BytesIO()
        self.canvas = Canvas(self._out, pageCompression=1, invariant=1)
        self.canvas.setTitle(title)
        self.canvas.setCreator("Orthopsis")
        self._forms = 0
        self.count = 0
        """So many pages are finished."""

    def begin(self, width_mm: float, height_mm: float) -> None:
        """Begin a page of this size; lengths after this are millimetres."""
        self.canvas.setPageSize((width_mm * mm, height_mm * mm))
        self.canvas.scale(mm, mm)
        self.canvas.setLineCap(1)

    def end(self) -> None:
        """Finish the page."""
        self.canvas.showPage()
        self.count += 1

    def bytes(self) -> bytes:
        """Return the whole PDF."""
        self.canvas.save()
        return self._out.getvalue()

    def keep(self, art: Art, pens: float = 1.0) -> str:
        """Record a drawing once, to be shown on many pages; return its name.

        Args:
            pens: how many times as wide its pens are, so that lines stay clear where it is shown small.
        """
        with self.recorded(art.width_mm, art.height_mm) as name:
            draw_art(self.canvas, art, pens)
        return name

    @contextmanager
    def recorded(self, width_mm: float, height_mm: float) -> Iterator[str]:
        """Record what is drawn meanwhile, to be shown on pages; yield its name."""
        self._forms += 1
        name = f"art{self._forms}"
        self.canvas.beginForm(name, 0, 0, width_mm, height_mm)
        self.canvas.setLineCap(1)
        yield name
        self.canvas.endForm()

    @contextmanager
    def clipped(self, left: float, low: float, wide: float, tall: float) -> Iterator[None]:
        """Show of what is drawn meanwhile only what lies in a rectangle."""
        self.canvas.saveState()
        path = self.canvas.beginPath()
        path.rect(left, low, wide, tall)
        self.canvas.clipPath(path, stroke=0, fill=0)
        yield
        self.canvas.restoreState()

    def show(self, name: str, x: float = 0.0, y: float = 0.0, scale: float = 1.0) -> None:
        """Show a recorded drawing with its lower left corner at a place (mm)."""
        self.canvas.saveState()
        self.canvas.translate(x, y)
        self.canvas.scale(scale, scale)
        self.canvas.doForm(name)
        self.canvas.restoreState()

    @contextmanager
    def moved(self, x: float, y: float) -> Iterator[None]:
        """Count from another place (mm) meanwhile."""
        self.canvas.saveState()
        self.canvas.translate(x, y)
        yield
        self.canvas.restoreState()

    def turn(self, height_mm: float) -> None:
        """Lay what follows, and is so high, on its side: its upper side to the left."""
        self.canvas.translate(height_mm, 0)
        self.canvas.rotate(90)

    def text(self, x: float, y: float, words: str, size_mm: float, font: str = REGULAR, grey: float = 0.15) -> None:
        """Write one line of text; ``size_mm`` is the type size."""
        self.canvas.setFillGray(grey)
        self.canvas.setFont(font, size_mm)
        self.canvas.drawString(x, y, words)

    def width_of(self, words: str, size_mm: float, font: str = REGULAR) -> float:
        """Return how wide a line of text is, mm."""
        return float(self.canvas.stringWidth(words, font, size_mm))

    def paragraph(self, x: float, y: float, words: str, size_mm: float, width_mm: float, font: str = REGULAR) -> float:
        """Write a paragraph downward from ``y`` and return where the next may begin."""
        for row in rows_of(words, font, size_mm, width_mm):
            y -= size_mm * 1.4
            self.text(x, y, row, size_mm, font)
        return y

    def furniture(self, width_mm: float, height_mm: float, code: SheetCode | None, title: str, student: str) -> None:
        """Print corner marks, code, title and test line."""
        if code is not None:
            for number, (x, y) in zip(CORNER_NUMBERS, mark_squares(width_mm, height_mm), strict=True):
                self._cells(mark_rows(number), x, y, MARK_MM)
            x, y = qr_square(width_mm)
            self._cells(qr_rows(code), x, y, QR_MM)
        left = INSET_MM + MARK_MM + 4
        self.text(left, height_mm - INSET_MM - 4, title, 4.2, BOLD, 0.25)
        if student:
            self.text(left, height_mm - INSET_MM - 9.5, student, 4.2, REGULAR, 0.25)
        self._test_line(left, INSET_MM + 2)

    def _test_line(self, x: float, y: float) -> None:
        """A line of 10 cm with a mark at 4 in: if it measures otherwise, the printer has scaled the page."""
        canvas = self.canvas
        canvas.setStrokeGray(0.3)
        canvas.setLineWidth(0.2)
        canvas.line(x, y, x + 101.6, y)
        for at, tall in ((0.0, 2.5), (100.0, 2.5), (101.6, 1.5)):
            canvas.line(x + at, y, x + at, y + tall)
        self.text(
            x + 2,
            y + 1.0,
            "10 cm to the tall mark, 4 in to the end: if not, print at 100 %",
            2.6,
            REGULAR,
            0.35,
        )

    def _cells(self, rows: list[list[bool]], x: float, y: float, size_mm: float) -> None:
        cell = size_mm / len(rows)
        self.canvas.setFillGray(0.0)
        path = self.canvas.beginPath()
        for r, row in enumerate(rows):
            top = y + size_mm - (r + 1) * cell
            start = None
            for c, dark in enumerate([*row, False]):
                if dark and start is None:
                    start = c
                elif not dark and start is not None:
                    path.rect(x + start * cell, top, (c - start) * cell, cell)
                    start = None
        self.canvas.drawPath(path, stroke=0, fill=1)


def rows_of(words: str, font: str, size_mm: float, width_mm: float) -> list[str]:
    """Return a text in rows that are no wider than this, if their words are not; no length is broken over two."""
    rows, room, (space,) = list[str](), width_mm / size_mm, _widths((" ",), font)
    for line in _lines(words):
        begin, long = 0, -space
        for i, wide in enumerate(_widths(line, font)):
            long += space + wide
            if i > begin and long > room:
                rows.append(" ".join(line[begin:i]))
                begin, long = i, wide
        rows.append(" ".join(line[begin:]))
    return [row.replace(NO_BREAK, " ") for row in rows]


@lru_cache(maxsize=2048)
def _lines(text: str) -> tuple[tuple[str, ...], ...]:
    """Return the words of each line of a text, a length as one word."""
    return tuple(tuple(line.split(" ")) for line in unbroken(text).split("\n"))


@lru_cache(maxsize=4096)
def _widths(words: tuple[str, ...], font: str) -> tuple[float, ...]:
    """Return how wide words are in type of size 1; in a row they add up, since nothing is kerned."""
    _register_fonts()
    return tuple(float(pdfmetrics.stringWidth(word, font, 1.0)) for word in words)


EVEN_ODD = 0
"""The library's number for filling by the even-odd rule, so that holes stay open."""


def draw_art(canvas: Canvas, art: Art, pens: float = 1.0) -> None:
    """Replay a recorded page on a canvas whose unit is the millimetre."""
    canvas.setLineWidth(0.1)  # closes the seams between the pieces of a curved surface
    for face in art.faces:
        canvas.setFillGray(TONE_GREY[face.tone])
        path = canvas.beginPath()
        for loop in face.loops:
            path.moveTo(*loop[0])
            for corner in loop[1:]:
                path.lineTo(*corner)
            path.close()
        canvas.setStrokeGray(TONE_GREY[face.tone])
        canvas.drawPath(path, stroke=1, fill=1, fillMode=EVEN_ODD)
    for pen, lines in groupby(art.lines, key=lambda line: line.pen):
        canvas.setStrokeGray(GREY[pen])
        canvas.setLineWidth(WIDTH_MM[pen] * pens)
        canvas.setDash(*(mm * pens for mm in DASH_MM.get(pen, ())))
        path = canvas.beginPath()
        for line in lines:
            path.moveTo(*line.start)
            for place in (*line.bend, line.end):
                path.lineTo(*place)
        canvas.drawPath(path, stroke=1, fill=0)
    canvas.setDash()
    canvas.setStrokeGray(0.1)
    canvas.setLineWidth(0.3 * pens)
    for mark in art.marks:
        (x, y), arm = mark.at, (2.2 if mark.is_new else OLD_ARM_MM) * pens
        canvas.line(x - arm, y, x + arm, y)
        canvas.line(x, y - arm, x, y + arm)


def _register_fonts() -> None:
    if REGULAR not in pdfmetrics.getRegisteredFontNames():
        pdfmetrics.registerFont(TTFont(REGULAR, str(_FONTS / "Andika-Regular.ttf")))
        pdfmetrics.registerFont(TTFont(BOLD, str(_FONTS / "Andika-Bold.ttf")))
