"""The lesson sheet as a PDF: all of it is printed, on as many pages as it takes."""

import io

import pytest
from pypdf import PdfReader

from orthopsis.core.document.document import read_exercise
from orthopsis.core.document.ready import READY
from orthopsis.core.exercise.lesson_sheet import lesson_sheet
from orthopsis.core.exercise.solve import draw
from orthopsis.paperwork.lesson import add_lesson
from orthopsis.paperwork.pdf import Pages


@pytest.mark.parametrize("number", [0, 9, 19, 29], ids=[READY[i]["title"] for i in (0, 9, 19, 29)])
@pytest.mark.parametrize(("units", "size"), [("mm", (595, 842)), ("in", (612, 792))])
def test_all_of_it_is_printed(number: int, units: str, size: tuple[int, int]) -> None:
    exercise = read_exercise(READY[number])
    drawing = draw(exercise)
    sheet = lesson_sheet(exercise, drawing, 17)
    pages = Pages("Lesson")
    add_lesson(pages, exercise.title, "for 17", sheet, units)
    printed = PdfReader(io.BytesIO(pages.bytes())).pages
    text = " ".join(" ".join(page.extract_text().split()) for page in printed)
    for said in (exercise.title, *(what for what, _ in sheet.materials), *sheet.cautions):
        assert " ".join(said.split()) in text
    for step in sheet.steps:
        assert f"{step.number} {step.title}" in text
    assert text.count("a good stop") == sum(step.may_stop for step in sheet.steps)
    assert {(round(float(page.mediabox.width)), round(float(page.mediabox.height))) for page in printed} == {size}
