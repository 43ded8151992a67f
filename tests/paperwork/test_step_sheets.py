"""Step sheets: pictures as large as the page allows, all of one scale, with room for their words."""

import io
import itertools
from typing import Any

import pypdf
import pytest

from orthopsis.core.document.document import read_exercise
from orthopsis.core.document.ready import READY
from orthopsis.core.drawing.answer import Drawing
from orthopsis.core.exercise.solve import draw
from orthopsis.paperwork.art import step_art
from orthopsis.paperwork.handout import Handout, handout_mm
from orthopsis.paperwork.pdf import REGULAR, Pages, rows_of
from orthopsis.paperwork.step_sheets import StepPages, add_steps, layout_of


@pytest.mark.parametrize("per_page", [1, 2, 4, 6, 8])
@pytest.mark.parametrize("ready", READY[::5], ids=[ready["title"] for ready in READY[::5]])
def test_words_never_run_over_the_end_of_their_room(ready: dict[str, Any], per_page: int) -> None:
    drawing = draw(read_exercise(ready))
    pages, layout = Pages("Steps"), layout_of(drawing, StepPages(per_page))
    add_steps(pages, drawing, "Steps", StepPages(per_page))
    printed = pypdf.PdfReader(io.BytesIO(pages.bytes())).pages
    assert len(printed) == -(-len(drawing.steps) // per_page)
    lowest = [place[1] - layout.cell[1] for place in layout.places][-1]
    for page in printed:
        heights: list[float] = []

        def seen(text: str, _cm: Any, tm: list[float], _font: Any, _size: Any, into: list[float] = heights) -> None:
            if text.strip():
                into.append(tm[5])  # the page is written in millimetres

        page.extract_text(visitor_text=seen)
        assert min(height for height in heights if height > 0) >= lowest - 0.5


@pytest.mark.parametrize("ready", READY[::5], ids=[ready["title"] for ready in READY[::5]])
def test_fewer_steps_on_a_page_are_larger_and_none_is_drawn_smaller_than_standing(ready: dict[str, Any]) -> None:
    drawing = draw(read_exercise(ready))
    scales = [layout_of(drawing, StepPages(per_page)).scale for per_page in (1, 2, 4, 8)]
    assert scales == sorted(scales, reverse=True)
    assert all(0 < scale <= 1 for scale in scales)


def test_what_is_empty_over_the_drawing_is_left_out_and_all_else_is_shown() -> None:
    low = draw(read_exercise(next(r for r in READY if r["title"] == "KNOT in block letters, one point")))
    highest = max(y for line in low.lines for _, y in (line.start, line.end))
    assert highest < layout_of(low, StepPages()).shown_mm < low.sheet.height_mm
    full = draw(read_exercise(next(r for r in READY if "tower from below" in r["title"])))
    assert layout_of(full, StepPages()).shown_mm == full.sheet.height_mm


def test_points_over_the_drawing_are_shown_where_they_lie_on_the_sheet() -> None:
    drawing = draw(read_exercise(next(r for r in READY if "Fish boxes against the sun" in r["title"])))
    light = next(aim for aim in drawing.aims if aim.label == "light point")
    assert max(y for line in drawing.lines for _, y in (line.start, line.end)) < light.at[1]
    assert light.at[1] < layout_of(drawing, StepPages()).shown_mm


def test_inch_classes_read_on_letter_paper() -> None:
    assert handout_mm("in") == (215.9, 279.4)
    assert handout_mm("cm") == handout_mm("mm") == (210.0, 297.0)


def _texts(drawing: Drawing, wanted: StepPages) -> list[str]:
    pages = Pages("Steps")
    add_steps(pages, drawing, "Steps", wanted)
    return [" ".join(page.extract_text().split()) for page in pypdf.PdfReader(io.BytesIO(pages.bytes())).pages]


def _crates() -> Drawing:
    return draw(read_exercise(next(r for r in READY if r["title"] == "Three crates: below, on and above")))


def test_who_joins_late_gets_the_steps_from_one_on_with_their_own_numbers() -> None:
    drawing = _crates()
    text = " ".join(_texts(drawing, StepPages(first=5)))
    for number, step in enumerate(drawing.steps, start=1):
        assert (f"{number} {step.title}" in text) == (number >= 5)


def test_who_has_a_starter_sheet_gets_no_step_that_is_on_it() -> None:
    drawing = _crates()
    wanted = StepPages(without_starter=True)
    on_it = {step.title for step in drawing.steps if step.phase == "setup"}
    assert on_it
    assert drawing.steps[wanted.begin(drawing) - 1].phase != "setup"
    assert all(step.phase == "setup" for step in drawing.steps[: wanted.begin(drawing) - 1])
    assert not any(title in text for text in _texts(drawing, wanted) for title in on_it)


def test_beyond_the_last_step_the_last_one_is_printed() -> None:
    drawing = _crates()
    [text] = _texts(drawing, StepPages(first=999))
    assert f"{len(drawing.steps)} {drawing.steps[-1].title}" in text


@pytest.mark.parametrize("paper", ["a4", "letter"])
def test_the_printers_paper_goes_before_the_units_of_the_class(paper: Handout) -> None:
    pages = Pages("Steps")
    add_steps(pages, _crates(), "Steps", StepPages(paper=paper))
    box = pypdf.PdfReader(io.BytesIO(pages.bytes())).pages[0].mediabox
    size = sorted(float(side) * 25.4 / 72 for side in (box.width, box.height))
    assert size == pytest.approx(handout_mm("mm", paper), abs=0.01)


@pytest.mark.parametrize("ready", READY[::5], ids=[ready["title"] for ready in READY[::5]])
def test_large_type_takes_more_pages_rather_than_a_picture_or_a_word(ready: dict[str, Any]) -> None:
    drawing = draw(read_exercise(ready))
    large, usual = (layout_of(drawing, StepPages(8, type_pt=points)) for points in (18.0, 11.0))
    assert large.per_page <= usual.per_page
    assert large.type_mm > 1.5 * usual.type_mm
    assert large.scale >= 0.75 * usual.scale
    texts = _texts(drawing, StepPages(8, type_pt=18.0))
    assert len(texts) == -(-len(drawing.steps) // large.per_page)
    assert all(any(step.title in text for text in texts) for step in drawing.steps)


@pytest.mark.parametrize("ready", READY, ids=[ready["title"] for ready in READY])
def test_the_picture_of_a_step_that_only_marks_shows_its_marks(ready: dict[str, Any]) -> None:
    drawing = draw(read_exercise(ready))
    for count, step in enumerate(drawing.steps, start=1):
        there = {mark.name: mark.at for mark in step_art(drawing, count).marks}
        if step.marks and not step.draws:
            for name in step.marks:
                assert there[name] == {**drawing.points, **drawing.vanishing_points}[name]


def _chests() -> Drawing:
    return draw(read_exercise(next(r for r in READY if "Chests by the boathouse" in r["title"])))


def test_a_picture_carries_the_measures_of_its_step_and_where_points_off_the_sheet_lie() -> None:
    drawing = _chests()
    texts = _texts(drawing, StepPages(per_page=1))
    assert len(texts) == len(drawing.steps)
    for step, text in zip(drawing.steps, texts, strict=True):
        for dimension in step.dimensions:
            assert text.count(dimension.text) >= 2, f"{step.title}: in the words, and in the picture"
        for beyond in step.beyond:
            assert beyond.text in text
            assert beyond.past in text


def test_small_work_is_drawn_larger_beside_a_small_whole() -> None:
    drawing = _chests()
    for step in drawing.steps:
        pages = Pages("Steps")
        count = drawing.steps.index(step) + 1
        add_steps(pages, drawing, "Steps", StepPages(per_page=1, first=count))
        page = pypdf.PdfReader(io.BytesIO(pages.bytes())).pages[0]
        content = page.get_contents()
        assert content is not None
        scales = [float(row.split()[0]) for row in content.get_data().decode("latin-1").splitlines()
                  if row.endswith(" cm") and row.split()[1] == "0"
                  and row.split()[0] == row.split()[3] and row.split()[0] not in ("1",)]  # fmt: skip
        shown = [scale for scale in scales if scale != pytest.approx(72 / 25.4, abs=1e-3)]
        if step.close_up is None:
            assert len(shown) == 1
        else:
            whole, large = shown
            assert large > 3 * whole


@pytest.mark.parametrize("width", [20.0, 34.0, 60.0])
def test_no_measure_is_broken_over_two_rows(width: float) -> None:
    inches = {"sheet": {"paper": "12 x 18 in", "units": "in", "division": "1/8 in"}}
    for document in (READY[0], {**READY[4], **inches}):
        for step in draw(read_exercise(document)).steps:
            rows = rows_of(step.text, REGULAR, 3.9, width)
            assert " ".join(rows).split() == step.text.split()
            for row, following in itertools.pairwise(rows):
                assert not (row[-1].isdigit() and following.split()[0].rstrip(",.") in ("mm", "cm", "in")), row
                assert not (row[-1].isdigit() and "/" in following.split()[0]), row
