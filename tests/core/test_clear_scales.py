"""The figures of scales stand clear of lines, of letters, of each other, and within the frame."""

from itertools import pairwise

import numpy as np
import pytest
import shapely
from hypothesis import given
from hypothesis import strategies as st
from scipy.optimize import isotonic_regression

from orthopsis.core.document.document import read_exercise
from orthopsis.core.document.ready import READY
from orthopsis.core.drawing.answer import Drawing, Scale, ScaleMark, Step
from orthopsis.core.drawing.beside import TALL, WIDE, letter_begins, scale_text, text_wide
from orthopsis.core.drawing.stage import stage_after
from orthopsis.core.exercise.solve import draw
from orthopsis.core.telling.clear_scales import spread
from orthopsis.core.telling.clear_texts import SHOWN, with_clear_texts

DRAWN = [read_exercise(ready) for ready in READY]
NUMBERS = pytest.mark.parametrize("number", range(len(READY)), ids=[ready["title"] for ready in READY])


def figure_box(mark: ScaleMark, scale: Scale, size: float) -> shapely.Polygon:
    _, (left, low) = scale_text(mark.at, scale.side, mark.out, mark.text, size, mark.aside)
    return shapely.box(left, low, left + text_wide(mark.text, size), low + TALL * size)


def shown(drawing: Drawing, times: float) -> tuple[list[Step], tuple[float, float, float, float]]:
    whole = (0.0, 0.0, drawing.sheet.width_mm, drawing.sheet.height_mm)
    return with_clear_texts(drawing, whole, lambda _: times), whole


@pytest.mark.parametrize(("times", "most"), [(SHOWN, 0.06), (50, 0.04)])
def test_hardly_a_figure_is_over_a_line_or_another_text_and_none_over_the_frame(times: int, most: float) -> None:
    """Of all ready exercises: where lines and corners are too close all about, a figure has its rim of paper."""
    count = over = on = 0
    for exercise in DRAWN:
        drawing = draw(exercise)
        steps, whole = shown(drawing, times)
        lines = {line.id: shapely.LineString([line.start, *line.bend, line.end]) for line in drawing.lines}
        for done, step in enumerate(steps, start=1):
            if not step.scales:
                continue
            part = step.close_up or whole
            size, stage = (part[2] - part[0]) / times, stage_after(drawing, done)
            there = [lines[i] for i in stage.light | stage.dark if i in lines]
            boxes = [figure_box(mark, scale, size) for scale in step.scales for mark in scale.marks]
            letters = [
                shapely.box(x, y, x + WIDE * size, y + TALL * size)
                for x, y in (letter_begins(letter.at, letter.beside, size) for letter in step.letters)
            ]
            assert all(shapely.box(*part).covers(box) for box in boxes), f"{step.title}: over the frame"
            count += len(boxes)
            over += sum(bool(shapely.crosses(there, box).any()) for box in boxes)
            for i, box in enumerate(boxes):
                on += any(box.intersection(other).area > 0 for other in (*boxes[:i], *letters))
    assert count > 2500
    assert over <= most * count
    assert on <= most / 10 * count


@NUMBERS
def test_figures_stand_in_their_order_at_one_side(number: int) -> None:
    """Whoever reads along the scale meets them one after the other."""
    drawing = draw(DRAWN[number])
    steps, whole = shown(drawing, SHOWN)
    for step in steps:
        left, _, right, _ = step.close_up or whole
        for scale in step.scales:
            along = 0 if scale.side in ("below", "above") else 1
            size = (right - left) / SHOWN
            marks = sorted(scale.marks, key=lambda mark: mark.at[along])
            read = [mark.at[along] + mark.aside * size for mark in marks]
            rooms = [text_wide(mark.text, size) if along == 0 else TALL * size for mark in marks]
            gaps = [b - a - (p + q) / 2 for (a, b), (p, q) in zip(pairwise(read), pairwise(rooms), strict=True)]
            assert all(gap > 0 for gap in gaps), step.title


def test_figures_at_the_foot_of_the_sheet_go_to_the_side_that_has_room() -> None:
    ready = next(one for one in READY if one["title"].startswith("The pilots' room with a sofa"))
    step = next(s for s in shown(draw(read_exercise(ready)), 16)[0] if s.title.startswith("Box: a measuring line"))
    (scale,) = step.scales
    assert scale.side == "above"
    assert [mark.text for mark in scale.marks] == ["144", "90", "54", "18", "0"]


ROWS = st.lists(st.tuples(st.floats(0, 400), st.floats(1, 30)), min_size=1, max_size=12)


@given(ROWS)
def test_what_is_spread_moves_as_little_as_can_be(row: list[tuple[float, float]]) -> None:
    """Compared with the isotonic regression of SciPy."""
    places, rooms = sorted(place for place, _ in row), [room for _, room in row]
    before = np.cumsum([0.0, *((a + b) / 2 for a, b in pairwise(rooms))])
    wanted = isotonic_regression(np.array(places) - before).x + before
    assert spread(places, rooms, -1e4, 1e4) == pytest.approx(wanted.tolist(), abs=1e-6)


@given(ROWS, st.floats(-50, 100), st.floats(0, 500))
def test_what_is_spread_has_room_in_its_order_and_keeps_within_limits_that_hold_it(
    row: list[tuple[float, float]], low: float, more: float
) -> None:
    places, rooms = sorted(place for place, _ in row), [room for _, room in row]
    high = low + sum(rooms) + more
    found = spread(places, rooms, low, high)
    for (a, b), (p, q) in zip(pairwise(found), pairwise(rooms), strict=True):
        assert b - a >= (p + q) / 2 - 1e-6
    if more > max(places[-1] - places[0], 0.0) + sum(rooms):
        assert found[0] - rooms[0] / 2 >= low - 1e-6
        assert found[-1] + rooms[-1] / 2 <= high + 1e-6


@pytest.mark.parametrize("number", range(0, len(READY), 9), ids=[ready["title"] for ready in READY[::9]])
def test_nothing_but_the_places_of_texts_changes(number: int) -> None:
    drawing = draw(DRAWN[number])
    for step, other in zip(drawing.steps, shown(drawing, 20)[0], strict=True):
        bare = []
        for s in (step, other):
            letters = [one.model_copy(update={"beside": (0.0, 0.0)}) for one in s.letters]
            bare.append(s.model_copy(update={"scales": [], "dimensions": [], "letters": letters}).model_dump())
        assert bare[0] == bare[1]
        read = [[(mark.at, mark.text) for scale in s.scales for mark in scale.marks] for s in (step, other)]
        assert read[0] == read[1], "and they are counted in the same order"
