"""Step sheets: pictures as large as the page allows, all of one scale, with room for their words."""

import io
from typing import Any

import pypdf
import pytest

from orthopsis.core.document.document import read_exercise
from orthopsis.core.document.ready import READY
from orthopsis.core.exercise.solve import draw
from orthopsis.paperwork.pdf import Pages
from orthopsis.paperwork.step_sheets import add_steps, handout_mm, layout_of


@pytest.mark.parametrize("per_page", [1, 2, 4, 6, 8])
@pytest.mark.parametrize("ready", READY[::5], ids=[ready["title"] for ready in READY[::5]])
def test_words_never_run_over_the_end_of_their_room(ready: dict[str, Any], per_page: int) -> None:
    drawing = draw(read_exercise(ready))
    pages, layout = Pages("Steps"), layout_of(drawing, per_page)
    add_steps(pages, drawing, "Steps", per_page)
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
    scales = [layout_of(drawing, per_page).scale for per_page in (1, 2, 4, 8)]
    assert scales == sorted(scales, reverse=True)
    assert all(0 < scale <= 1 for scale in scales)


def test_what_is_empty_over_the_drawing_is_left_out_and_all_else_is_shown() -> None:
    low = draw(read_exercise(next(r for r in READY if r["title"] == "KNOT in block letters, one point")))
    highest = max(y for line in low.lines for _, y in (line.start, line.end))
    assert highest < layout_of(low, 4).shown_mm < low.sheet.height_mm
    full = draw(read_exercise(next(r for r in READY if "tower from below" in r["title"])))
    assert layout_of(full, 4).shown_mm == full.sheet.height_mm


def test_inch_classes_read_on_letter_paper() -> None:
    assert handout_mm("in") == (215.9, 279.4)
    assert handout_mm("cm") == handout_mm("mm") == (210.0, 297.0)
