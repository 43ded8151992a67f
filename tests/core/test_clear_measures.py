"""Measures stand beside their lengths, clear of lines and of each other as far as there is room."""

import math
from collections.abc import Iterator
from typing import Any

import pytest
import shapely
from hypothesis import given
from hypothesis import strategies as st

from orthopsis.core.document.document import read_exercise
from orthopsis.core.document.ready import READY
from orthopsis.core.drawing.answer import Box, Dimension, Drawing, DrawnLine, OnPaper, Step
from orthopsis.core.drawing.beside import GAP, ROW, TALL, beside, text_wide
from orthopsis.core.drawing.stage import stage_after
from orthopsis.core.exercise.solve import draw, draw_shown
from orthopsis.core.telling.clear_texts import SHOWN, with_clear_texts

DRAWN = [read_exercise(ready) for ready in READY]
TIMES = [25, 34, 66]
"""So many times as wide as its texts are tall is a picture of eight on a page, of four, of one."""


def text_box(length: Dimension, size: float, **other: Any) -> shapely.Polygon:
    where = {"out": length.out, "at": length.at, "row": length.row, "away": length.away, **other}
    found = beside(length.start, length.end, text=length.text, size=size, **where)
    return shapely.box(found.left, found.low, found.left + text_wide(length.text, size), found.low + TALL * size)


def whole(drawing: Drawing) -> Box:
    return 0.0, 0.0, drawing.sheet.width_mm, drawing.sheet.height_mm


def of_four(drawing: Drawing) -> list[Step]:
    """The steps as they are printed four on a page."""
    return with_clear_texts(drawing, whole(drawing), lambda _: 34)


def measured(drawing: Drawing, times: float = SHOWN) -> Iterator[tuple[int, Step, float]]:
    """The steps with measures, and how tall those are in the picture."""
    for count, step in enumerate(drawing.steps, start=1):
        left, _, right, _ = step.close_up or whole(drawing)
        if step.dimensions:
            yield count, step, (right - left) / times


def lines_there(drawing: Drawing, count: int) -> list[shapely.LineString]:
    """What is on the paper after some steps."""
    stage = stage_after(drawing, count)
    there = stage.light | stage.dark
    return [shapely.LineString([line.start, *line.bend, line.end]) for line in drawing.lines if line.id in there]


def any_over(box: shapely.Polygon, lines: list[shapely.LineString]) -> bool:
    return bool(shapely.crosses(lines, box).any())


def check_clear(drawing: Drawing, times: float) -> list[str]:
    """The measures that stand over a line; none stands on another or over the frame."""
    over = list[str]()
    for count, step, size in measured(drawing, times):
        boxes = [text_box(one, size) for one in step.dimensions]
        picture = shapely.box(*(step.close_up or whole(drawing)))
        for i, box in enumerate(boxes):
            assert all(box.intersection(other).area == 0 for other in boxes[:i]), step.title
            assert picture.covers(box), step.title
        there = lines_there(drawing, count)
        over += [
            f"{step.title}: {one.text}" for one, box in zip(step.dimensions, boxes, strict=True) if any_over(box, there)
        ]
    return over


@pytest.mark.parametrize("number", range(len(READY)), ids=[ready["title"] for ready in READY])
def test_no_measure_stands_over_a_line_another_or_the_frame(number: int) -> None:
    assert check_clear(draw_shown(DRAWN[number]), SHOWN) == []


@pytest.mark.parametrize("times", TIMES)
@pytest.mark.parametrize("number", range(0, len(READY), 2), ids=[ready["title"] for ready in READY[::2]])
def test_measures_are_clear_in_pictures_of_other_sizes(number: int, times: int) -> None:
    """Of eight on a page each is only 25 texts wide: then one measure of an exercise may find no place."""
    drawing = draw(DRAWN[number])
    steps = with_clear_texts(drawing, whole(drawing), lambda _: times)
    placed = drawing.model_copy(update={"steps": steps})
    assert len(check_clear(placed, times)) <= (times < 30)


@pytest.mark.parametrize("number", range(0, len(READY), 7), ids=[ready["title"] for ready in READY[::7]])
def test_where_a_measure_was_does_not_matter(number: int) -> None:
    """What was placed for one picture is placed for another as if for the first time."""
    drawing = draw(DRAWN[number])
    small, twice = [
        with_clear_texts(drawing.model_copy(update={"steps": steps}), whole(drawing), lambda _: 34)
        for steps in (
            drawing.steps,
            with_clear_texts(drawing, whole(drawing), lambda _: 25),
        )
    ]
    for one, other in zip(small, twice, strict=True):
        for a, b in zip(one.dimensions, other.dimensions, strict=True):
            assert {(a.start, a.end), *(e[:2] for e in a.equal)} == {(b.start, b.end), *(e[:2] for e in b.equal)}


@pytest.mark.parametrize("number", range(0, len(READY), 3), ids=[ready["title"] for ready in READY[::3]])
def test_a_lone_measure_crosses_no_more_lines_than_in_the_middle_of_its_length(number: int) -> None:
    """Lines that run over a text are counted with shapely."""
    drawing = draw_shown(DRAWN[number])
    for count, step, size in measured(drawing):
        there = lines_there(drawing, count)
        if len(step.dimensions) > 1:
            continue
        (one,) = step.dimensions
        chosen = sum(line.crosses(text_box(one, size)) for line in there)
        middles = [
            text_box(one, size, at=0.5, row=0, away=None, out=out) for out in (one.out, (-one.out[0], -one.out[1]))
        ]
        picture = shapely.box(*(step.close_up or whole(drawing)))
        for middle in middles:
            if picture.covers(middle):
                assert chosen <= sum(line.crosses(middle) for line in there), f"{step.title}: {one.text}"


@pytest.mark.parametrize("number", range(0, len(READY), 5), ids=[ready["title"] for ready in READY[::5]])
def test_only_a_length_that_is_too_short_has_its_measure_beyond_an_end(number: int) -> None:
    for _, step, size in measured(draw_shown(DRAWN[number])):
        for one in step.dimensions:
            is_aside = abs(one.out[0]) > abs(one.out[1])
            needed = TALL * size if is_aside else text_wide(one.text, size)
            assert 0 < one.at < 1 or math.dist(one.start, one.end) < needed, step.title


def test_a_measure_goes_to_the_equal_side_that_has_room() -> None:
    """The left side of a small block near the edge of the sheet has none; its right side has."""
    ready = next(one for one in READY if one["title"].startswith("A small world"))
    step = next(s for s in of_four(draw(read_exercise(ready))) if s.title.startswith("Net tower: the block"))
    tall = next(one for one in step.dimensions if one.text == "44 mm")
    assert tall.start[0] == tall.end[0] == 24 + 46
    assert tall.out == (1.0, 0.0)


def test_equal_lengths_are_sent_to_nobody() -> None:
    length = Dimension(start=(0, 0), end=(9, 0), out=(0, 1), text="9 mm", equal=[((0, 5), (9, 5), (0, 1))])
    assert "equal" not in length.model_dump()


@given(
    st.floats(5, 200), st.floats(0, 2 * math.pi), st.sampled_from([1, -1]), st.floats(0.0, 1.0),
    st.sampled_from(["4 mm", "126 mm", "12 7/8 in"]), st.floats(1, 20), st.integers(0, 4),
)  # fmt: skip
def test_line_and_text_stand_on_the_outer_side(
    long: float, turn: float, side: int, at: float, text: str, size: float, row: int
) -> None:
    end = (long * math.cos(turn), long * math.sin(turn))
    out = (-side * math.sin(turn), side * math.cos(turn))
    found = beside((0.0, 0.0), end, out, at, text, size, row)
    outward = [x * out[0] + y * out[1] for x, y in (found.start, found.end)]
    assert outward == pytest.approx([outward[0]] * 2)
    assert outward[0] > 0
    for (ax, ay), (bx, by) in found.ticks:
        assert math.dist((ax, ay), (bx, by)) < size * (1 + ROW * row)
        assert (bx - ax) * out[1] == pytest.approx((by - ay) * out[0], abs=1e-9)
    middle = (found.left + text_wide(text, size) / 2, found.low + TALL * size / 2)
    assert middle[0] * out[0] + middle[1] * out[1] > outward[0]
    nearer = beside((0.0, 0.0), end, out, at, text, size)
    assert math.dist(found.start, nearer.start) == pytest.approx(ROW * row * size)


@given(st.floats(1, 20), st.floats(0.1, 3.0), st.sampled_from([(0.0, 1.0), (0.0, -1.0)]))
def test_the_line_goes_on_under_a_text_beyond_its_end(long: float, past: float, out: tuple[float, float]) -> None:
    """Shown for level lengths: the line ends where the text does; the ticks stay where the length ends."""
    wide = text_wide("8 mm", 4.0)
    right = beside((0.0, 0.0), (long, 0.0), out, 1 + past, "8 mm", 4.0)
    assert (right.start[0], right.end[0]) == pytest.approx((min(0.0, right.left), max(long, right.left + wide)))
    left = beside((0.0, 0.0), (long, 0.0), out, -past, "8 mm", 4.0)
    assert (left.start[0], left.end[0]) == pytest.approx((min(0.0, left.left), max(long, left.left + wide)))
    assert [tick[0][0] for tick in left.ticks] == pytest.approx([0.0, long])


@given(
    st.floats(0, 2 * math.pi), st.floats(2.0, 12.0), st.floats(0, 2 * math.pi), st.floats(1, 20),
    st.sampled_from(["4 mm", "126 mm", "12 7/8 in"]),
)  # fmt: skip
def test_a_line_leads_to_a_text_that_stands_away(turn: float, far: float, way: float, size: float, text: str) -> None:
    """From the middle of the length's line to the nearest place of the text with its rim, as shapely finds it."""
    end, out = (40 * math.cos(turn), 40 * math.sin(turn)), (-math.sin(turn), math.cos(turn))
    away = (far * math.cos(way), far * math.sin(way))
    found = beside((0.0, 0.0), end, out, 0.5, text, size, away=away)
    middle = ((found.start[0] + found.end[0]) / 2, (found.start[1] + found.end[1]) / 2)
    assert found.leader is not None
    assert found.leader[0] == middle
    wide, rim = text_wide(text, size), GAP * size
    box = shapely.box(found.left - rim, found.low - rim, found.left + wide + rim, found.low + TALL * size + rim)
    assert (box.centroid.x - middle[0], box.centroid.y - middle[1]) == pytest.approx([size * x for x in away])
    assert shapely.distance(box, shapely.Point(found.leader[1])) == pytest.approx(0, abs=1e-9)
    assert math.dist(*found.leader) == pytest.approx(shapely.distance(box, shapely.Point(middle)), abs=1e-9)
    assert found.lines == [(found.start, found.end), *found.ticks, found.leader]


def test_a_measure_with_lines_all_about_it_stands_away() -> None:
    """The top of a table is 5 mm thick, between the corner's uprights; its line leads out to where there is room."""
    ready = next(one for one in READY if one["title"].startswith("The sail loft with its ceiling"))
    step = next(s for s in of_four(draw(read_exercise(ready))) if s.title.startswith("Table: how thick its top is"))
    (one,) = step.dimensions
    assert one.away is not None
    assert 2.4 <= math.hypot(*one.away) <= 5
    assert (one.at, one.row) == (0.5, 0)


def test_a_long_text_beside_a_long_line_in_a_full_picture_is_placed_all_the_same() -> None:
    """Near the middle of such a length there is no place at all that is off its own line."""
    grid = [((float(x), 0.0), (float(x), 297.0)) for x in range(0, 420, 4)]
    lines = [
        DrawnLine(id=i, thing="", name=f"line {i}", start=start, end=end, role="edge", family="upright", visible=True)
        for i, (start, end) in enumerate(grid)
    ]
    length = Dimension(start=(210, 5), end=(210, 290), out=(1, 0), text="5000 15/16 inches")
    any_one = draw(DRAWN[0])
    step = any_one.steps[0].model_copy(update={"close_up": None, "dimensions": [length], "scales": []})
    paper = OnPaper(lines=[(1, 2, 2)] * len(lines), points={}, tone=2)
    drawing = any_one.model_copy(update={"steps": [step], "lines": lines, "on_paper": paper})
    (placed,) = with_clear_texts(drawing, (0.0, 0.0, 420.0, 297.0))
    assert [one.text for one in placed.dimensions] == ["5000 15/16 inches"]
    assert placed.dimensions[0].start[0] == placed.dimensions[0].end[0] == 210
