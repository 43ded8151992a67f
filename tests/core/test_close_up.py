"""Small work is shown large: the part holds all that the step does, in the sheet's proportions, and nothing jumps."""

import itertools
import math

import pytest
import shapely
from hypothesis import given, settings
from hypothesis import strategies as st
from scenes import exercises, profiles, roofed, solved, windowed, words

from conftest import exercise_of
from orthopsis.core.document.document import Exercise, read_exercise
from orthopsis.core.document.ready import READY
from orthopsis.core.drawing.answer import Drawing, Step
from orthopsis.core.drawing.stage import new_lines
from orthopsis.core.exercise.solve import draw
from orthopsis.core.telling.close_up import FILLS, MOST_ENLARGED

ANY = st.one_of(exercises(), profiles(), words(), roofed(), windowed(("flat", "out"), ("rectangle", "arch")))


def solvable(exercise: Exercise) -> Drawing:
    """The drawing of an exercise that can be solved; another one is asked for if it cannot."""
    solved(exercise)
    return draw(exercise)


def done(drawing: Drawing, step: Step) -> shapely.MultiPoint:
    """All places that a step draws to, marks, measures and writes at."""
    lines = [line for line in drawing.lines if line.id in new_lines(step)]
    places = [place for line in lines for place in (line.start, *line.bend, line.end)]
    known = {**drawing.points, **drawing.vanishing_points}
    places += [known[name] for name in (*step.marks, *step.takes_up) if name in known]
    places += [mark.at for scale in step.scales for mark in scale.marks]
    places += [end for one in step.dimensions for end in (one.start, one.end)]
    return shapely.MultiPoint([*places, *(letter.at for letter in step.letters)])


@settings(max_examples=60)
@given(ANY)
def test_a_close_up_holds_all_that_its_step_does_and_lies_on_the_sheet(exercise: Exercise) -> None:
    drawing = solvable(exercise)
    sheet = shapely.box(0, 0, drawing.sheet.width_mm, drawing.sheet.height_mm)
    for step in drawing.steps:
        if step.close_up is None:
            continue
        part = shapely.box(*step.close_up)
        assert part.buffer(1e-6).covers(done(drawing, step)), step.title
        assert sheet.buffer(1e-6).covers(part)
        assert part.area < FILLS * sheet.area
        left, low, right, high = step.close_up
        assert (right - left) / (high - low) == pytest.approx(drawing.sheet.width_mm / drawing.sheet.height_mm)
        assert right - left >= drawing.sheet.width_mm / MOST_ENLARGED - 1e-6


@settings(max_examples=60)
@given(ANY)
def test_what_is_short_against_the_sheet_is_shown_large(exercise: Exercise) -> None:
    drawing = solvable(exercise)
    sheet = drawing.sheet
    for step in drawing.steps:
        places = done(drawing, step)
        if not step.thing or places.is_empty or step.darkens or step.takes_away or step.scales:
            continue
        left, low, right, high = places.bounds
        share = max((right - left) / sheet.width_mm, (high - low) / sheet.height_mm)
        on_sheet = left >= 0 and low >= 0 and right <= sheet.width_mm and high <= sheet.height_mm
        if on_sheet and share < 0.25 and max(right - left, high - low) < 60:
            assert step.close_up is not None, step.title


def test_steps_on_one_thing_share_a_part_where_one_will_do() -> None:
    drawing = draw(read_exercise(next(r for r in READY if r["title"] == "An E with measured strokes, one point")))
    parts = [step.close_up for step in drawing.steps if step.close_up is not None]
    assert len(set(parts)) < len(parts)
    for before, after in itertools.pairwise(drawing.steps):
        if before.close_up == after.close_up and before.close_up is not None:
            assert before.thing == after.thing


def test_what_is_done_to_the_whole_sheet_is_shown_whole() -> None:
    for ready in READY[::4]:
        steps = draw(read_exercise(ready)).steps
        assert all(step.close_up is None for step in steps if not step.thing)
        assert steps[-1].close_up is None


@settings(max_examples=60)
@given(ANY)
def test_an_arrow_stands_where_a_line_leaves_the_picture_for_a_point_outside(exercise: Exercise) -> None:
    drawing = solvable(exercise)
    sheet = (0.0, 0.0, drawing.sheet.width_mm, drawing.sheet.height_mm)
    aims = {aim.name: aim.at for aim in drawing.aims}
    for step in drawing.steps:
        rim = shapely.box(*(step.close_up or sheet)).exterior
        drawn = [line for line in drawing.lines if line.id in step.draws and line.rests_on]
        for beyond in step.beyond:
            assert rim.distance(shapely.Point(beyond.at)) < 1e-6
            assert math.hypot(*beyond.way) == pytest.approx(1.0)
            at = next(
                place for name, place in aims.items()
                if (name in step.marks or any(line.rests_on == name for line in drawn))
                and math.hypot(
                    (place[0] - beyond.at[0]) / math.dist(place, beyond.at) - beyond.way[0],
                    (place[1] - beyond.at[1]) / math.dist(place, beyond.at) - beyond.way[1],
                ) < 1e-6
            )  # fmt: skip
            assert not shapely.Polygon(rim).contains(shapely.Point(at))
            is_off = not shapely.box(*sheet).covers(shapely.Point(at))
            assert bool(beyond.past) == is_off


def test_a_point_off_the_sheet_is_told_with_how_far_past_the_edge_it_lies() -> None:
    drawing = draw(read_exercise(next(r for r in READY if "Chests by the boathouse" in r["title"])))
    step = next(s for s in drawing.steps if s.phase == "guides")
    assert {(b.text, b.past, b.side) for b in step.beyond} == {
        ("to the left point", "110 mm past the edge", "left"),
        ("to the right point", "110 mm past the edge", "right"),
    }
    marked = next(s for s in drawing.steps if s.phase == "setup" and s.beyond)
    assert {b.side for b in marked.beyond} == {"left", "right"}, "a point that is marked off the sheet is shown too"


def measured(step: Step) -> dict[str, float]:
    """The measures of a step by their texts, with how long each is on the page."""
    return {one.text: math.dist(one.start, one.end) for one in step.dimensions}


def test_lengths_that_are_laid_off_are_as_long_as_they_are_told() -> None:
    box = {
        "kind": "box", "name": "Crate", "left": 60, "bottom": 40, "width": 90, "height": 70, "depth_by": "measured",
        "depth": 25,
    }  # fmt: skip
    steps = draw(exercise_of(box)).steps
    front = next(s for s in steps if s.phase == "front" and s.thing)
    assert {text: round(mm, 6) for text, mm in measured(front).items()} == {
        "60 mm": 60, "40 mm": 40, "90 mm": 90, "70 mm": 70,
    }  # fmt: skip
    depth = next(s for s in steps if s.phase == "depth")
    assert measured(depth) == {"25 mm": pytest.approx(25)}
    level = steps[0]
    assert [round(mm) for mm in measured(level).values()] == [round(draw(exercise_of(box)).eye_level_mm)]


def test_measures_stand_on_the_outer_side_and_never_beside_a_scale() -> None:
    for exercise in (read_exercise(ready) for ready in READY[::2]):
        for step in draw(exercise).steps:
            assert not (step.dimensions and step.scales)
            for one in step.dimensions:
                along = (one.end[0] - one.start[0], one.end[1] - one.start[1])
                assert one.out[0] * along[0] + one.out[1] * along[1] == pytest.approx(0, abs=1e-6)
