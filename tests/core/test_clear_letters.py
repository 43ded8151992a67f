"""Letters stand beside their points: off each other, in the picture, each nearest to its own point, clear of lines."""

import math
from collections.abc import Iterator

import numpy as np
import pytest
import shapely

from orthopsis.core.document.document import read_exercise
from orthopsis.core.document.ready import READY
from orthopsis.core.drawing.answer import Box, Drawing, DrawnLine, OnPaper, PointLetter, Step
from orthopsis.core.drawing.beside import DOWN, TALL, WIDE, letter_ways
from orthopsis.core.drawing.stage import stage_after
from orthopsis.core.exercise.solve import draw_shown
from orthopsis.core.telling.clear_letters import with_clear_letters
from orthopsis.core.telling.clear_room import Room, Segments
from orthopsis.core.telling.clear_texts import SHOWN

SIZE = 10.0
PART = (0.0, 0.0, 400.0, 300.0)


def letter(text: str, at: tuple[float, float]) -> PointLetter:
    return PointLetter(at=at, text=text, across="1", up="2")


def middle(one: PointLetter, size: float) -> tuple[float, float]:
    return one.at[0] + one.beside[0] * size, one.at[1] + one.beside[1] * size


def box_of(one: PointLetter, size: float) -> shapely.Polygon:
    x, y = middle(one, size)
    low = y - DOWN * size
    return shapely.box(x - WIDE * size / 2, low, x + WIDE * size / 2, low + TALL * size)


def placed(letters: list[PointLetter], *lines: tuple[tuple[float, float], tuple[float, float]]) -> list[PointLetter]:
    drawn = [
        DrawnLine(id=i, thing="", name=f"line {i}", start=a, end=b, role="edge", family="free", visible=True)
        for i, (a, b) in enumerate(lines)
    ]
    segments = Segments(drawn, OnPaper(lines=[(1, 2, 2)] * len(drawn), points={}, tone=2))
    segments.go_to(1)
    return with_clear_letters(letters, Room(segments, PART, SIZE, np.zeros((0, 4))))[0]


def test_corners_of_a_square_have_theirs_outside() -> None:
    square = [
        letter(text, at) for text, at in zip("abcd", [(100, 100), (160, 100), (160, 160), (100, 160)], strict=True)
    ]
    sides = [(one.at, other.at) for one, other in zip(square, (*square[1:], square[0]), strict=True)]
    for one in placed(square, *sides):
        outward = one.at[0] - 130, one.at[1] - 130
        assert outward[0] * one.beside[0] + outward[1] * one.beside[1] > 0
        assert not any(shapely.LineString(side).crosses(box_of(one, SIZE)) for side in sides)


@pytest.mark.parametrize("turn", range(0, 360, 15))
def test_on_a_line_it_stands_beside_that(turn: int) -> None:
    way = math.cos(math.radians(turn)), math.sin(math.radians(turn))
    line = ((200 - 90 * way[0], 150 - 90 * way[1]), (200 + 90 * way[0], 150 + 90 * way[1]))
    (one,) = placed([letter("a", (200.0, 150.0))], line)
    assert not shapely.LineString(line).crosses(box_of(one, SIZE))
    assert math.hypot(*one.beside) < 1.4


def test_at_the_rim_of_the_picture_it_stands_within() -> None:
    for at in [(0.0, 0.0), (400.0, 0.0), (400.0, 300.0), (0.0, 300.0), (0.0, 150.0)]:
        (one,) = placed([letter("a", at)])
        assert shapely.box(*PART).covers(box_of(one, SIZE)), at


def test_two_near_points_keep_their_own() -> None:
    near = [letter("a", (200.0, 150.0)), letter("b", (207.0, 150.0))]
    a, b = placed(near)
    assert box_of(a, SIZE).intersection(box_of(b, SIZE)).area == 0
    for one, other in ((a, b), (b, a)):
        assert math.dist(middle(one, SIZE), one.at) < math.dist(middle(one, SIZE), other.at)


def test_without_a_way_out_it_stands_beside_its_point_all_the_same() -> None:
    assert all(math.hypot(*way) == pytest.approx(0.85) for way in letter_ways([(3.0, 4.0)]))
    assert all(math.hypot(*way) == pytest.approx(0.85) for way in letter_ways([(0, 0), (2, 0), (1, 0)]))
    assert letter_ways([]) == []


def steps_of(drawing: Drawing) -> Iterator[tuple[int, Step, Box, float]]:
    for count, step in enumerate(drawing.steps, start=1):
        part = step.close_up or (0.0, 0.0, drawing.sheet.width_mm, drawing.sheet.height_mm)
        if step.letters:
            yield count, step, part, (part[2] - part[0]) / SHOWN


def test_in_the_ready_exercises_they_can_be_read() -> None:
    """None on another; of all, at most one in twelve stands over a line; where three or more meet there is no room."""
    count, over_line = 0, 0
    for ready in READY:
        drawing = draw_shown(read_exercise(ready))
        for number, step, part, size in steps_of(drawing):
            boxes = [box_of(one, size) for one in step.letters]
            stage = stage_after(drawing, number)
            there = [
                shapely.LineString([line.start, *line.bend, line.end])
                for line in drawing.lines
                if line.id in stage.light | stage.dark
            ]
            for i, box in enumerate(boxes):
                assert all(box.intersection(other).area == 0 for other in boxes[:i]), f"{ready['title']}: {step.title}"
                assert shapely.box(*part).covers(box), f"{ready['title']}: {step.title}"
                over_line += bool(shapely.crosses(there, box).any())
            count += len(boxes)
    assert count > 1000
    assert over_line <= count / 12
