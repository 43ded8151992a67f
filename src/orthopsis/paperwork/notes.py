"""Notes to the students of a pile: slips to cut apart, each with the sheet's lines small and the note beside them."""

from collections.abc import Sequence
from dataclasses import dataclass

from orthopsis.core.check.answer import Checked, Finding
from orthopsis.core.check.decided import NOTHING_DECIDED, Decided
from orthopsis.core.drawing.answer import Place, SheetSize
from orthopsis.paperwork.pdf import BOLD, REGULAR, Pages

SLIPS_A_PAGE = 4
_PAGE_MM = {"in": (215.9, 279.4)}
_A4 = (210.0, 297.0)
_MARGIN = 14.0
_PICTURE_MM = 70.0
RING_MM = 2.6
_BAD = ("off", "wrong_point", "slightly_off")


@dataclass(frozen=True, slots=True)
class Slip:
    """One student's note; ``what`` says which lines deviate on purpose, ``ringed`` what the note is about."""

    alias: str
    checked: Checked
    note: str
    what: Decided = NOTHING_DECIDED
    ringed: Finding | None = None


def notes_pdf(title: str, sheet: SheetSize, slips: Sequence[Slip]) -> bytes:
    """Return a PDF of slips, four a page, on the school's ordinary paper."""
    pages = Pages(f"{title}: notes")
    width, height = _PAGE_MM.get(sheet.units, _A4)
    tall = (height - 2 * _MARGIN) / SLIPS_A_PAGE
    for start in range(0, len(slips), SLIPS_A_PAGE):
        pages.begin(width, height)
        for place, slip in enumerate(slips[start : start + SLIPS_A_PAGE]):
            _slip(pages, title, sheet, slip, height - _MARGIN - place * tall, width, tall)
        pages.end()
    return pages.bytes()


def _slip(pages: Pages, title: str, sheet: SheetSize, slip: Slip, top: float, width: float, tall: float) -> None:
    scale = min(_PICTURE_MM / sheet.width_mm, (tall - 14) / sheet.height_mm)
    low = top - 5 - scale * sheet.height_mm
    canvas = pages.canvas
    canvas.saveState()
    canvas.translate(_MARGIN, low)
    canvas.scale(scale, scale)
    canvas.setStrokeGray(0.6)
    canvas.setLineWidth(0.2 / scale)
    canvas.rect(0, 0, sheet.width_mm, sheet.height_mm, stroke=1, fill=0)
    for number, line in enumerate(slip.checked.lines):
        _pencil(pages, line.verdict, scale, is_meant=number in slip.what.meant)
        canvas.line(*line.start, *line.end)
    for curve in slip.checked.curves:
        if curve.verdict != "missing":
            _pencil(pages, curve.verdict, scale, is_meant=curve.name in slip.what.meant_curves)
            for run in curve.runs:
                _through(pages, run)
    canvas.setDash()
    if slip.ringed is not None:
        _ring(pages, slip.checked, slip.ringed, scale)
    canvas.restoreState()
    left = _MARGIN + _PICTURE_MM + 8
    y = pages.paragraph(left, top - 4, slip.alias, 5.0, width - left - _MARGIN, BOLD)
    y = pages.paragraph(left, y, title, 3.4, width - left - _MARGIN, REGULAR)
    pages.paragraph(left, y - 2, slip.note, 4.2, width - left - _MARGIN)
    canvas.setDash(2, 2)
    canvas.setLineWidth(0.2)
    canvas.setStrokeGray(0.7)
    canvas.line(_MARGIN, top - tall + 3, width - _MARGIN, top - tall + 3)
    canvas.setDash()


def _pencil(pages: Pages, verdict: str, scale: float, *, is_meant: bool) -> None:
    """Take the pencil for a line or a curve: thick where it is off, dashed where it was meant so."""
    is_bad = verdict in _BAD and not is_meant
    pages.canvas.setStrokeGray(0.0 if is_bad else 0.5)
    pages.canvas.setLineWidth((0.9 if is_bad else 0.3) / scale)
    pages.canvas.setDash([1.2 / scale, 0.8 / scale] if is_meant else [])


def _through(pages: Pages, run: Sequence[Place]) -> None:
    path = pages.canvas.beginPath()
    path.moveTo(*run[0])
    for place in run[1:]:
        path.lineTo(*place)
    pages.canvas.drawPath(path, stroke=1, fill=0)


def _ring(pages: Pages, checked: Checked, finding: Finding, scale: float) -> None:
    """Ring what the note is about, so that it is found on the sheet: the middle of its first line, or of its curve."""
    if finding.lines:
        line = checked.lines[finding.lines[0]]
        x, y = (line.start[0] + line.end[0]) / 2, (line.start[1] + line.end[1]) / 2
    else:
        runs = [run for curve in checked.curves if curve.name == finding.curve for run in curve.runs]
        if not runs:
            return
        x, y = runs[0][len(runs[0]) // 2]
    pages.canvas.setStrokeGray(0.0)
    pages.canvas.setLineWidth(0.35 / scale)
    pages.canvas.circle(x, y, RING_MM / scale, stroke=1, fill=0)
