"""The perfect answer is taken as perfect: every ready exercise, drawn by the program, as a picture, read and judged."""

import pytest

from orthopsis.core.check.curve import sought_curves
from orthopsis.core.check.tones import tone_areas
from orthopsis.core.document.document import read_exercise
from orthopsis.core.document.ready import READY
from orthopsis.core.exercise.solve import draw_picture
from orthopsis.core.scene.prepared import sheet_of
from orthopsis.paperwork.write import write_drawing
from orthopsis.scan.judge import judge_reading
from orthopsis.scan.read import Reading, read_sheet


@pytest.mark.parametrize("number", range(len(READY)), ids=[str(d["title"]) for d in READY])
def test_nothing_is_missing_and_nothing_blamed(number: int) -> None:
    exercise = read_exercise(READY[number])
    sheet = sheet_of(exercise)
    reading = read_sheet(write_drawing(exercise, "png"), sheet.width_mm, sheet.height_mm)
    assert isinstance(reading, Reading)
    checked = judge_reading(exercise, reading)
    assert checked.missing == []
    assert [f.text for f in checked.findings if f.severity] == []
    assert {line.verdict for line in checked.lines} <= {"fine", "cannot_tell", "unexpected"}
    assert {curve.verdict for curve in checked.curves} <= {"fine"}
    assert len(checked.curves) == len(sought_curves(exercise))
    assert sum(line.verdict == "fine" for line in checked.lines) > 5
    assert bool(checked.greys) == bool(tone_areas(draw_picture(exercise).faces))
