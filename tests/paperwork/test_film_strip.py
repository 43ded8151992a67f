"""The film strip: all steps as pictures of one size, read again by the standard library."""

import itertools
from xml.etree import ElementTree
from xml.etree.ElementTree import Element

import pytest

from orthopsis.core.document.document import Exercise, read_exercise
from orthopsis.core.document.ready import READY
from orthopsis.core.drawing.stage import stage_after
from orthopsis.core.exercise.solve import draw
from orthopsis.paperwork.write import write_drawing

SVG = "{http://www.w3.org/2000/svg}"
EXERCISES = [pytest.param(read_exercise(ready), id=ready["title"]) for ready in READY[::6]]


def strip_of(exercise: Exercise) -> Element:
    return ElementTree.fromstring(write_drawing(exercise, "steps.svg"))


def box_of(part: Element) -> tuple[float, float, float, float]:
    x, y, wide, tall = (float(part.attrib[name]) for name in ("x", "y", "width", "height"))
    return x, y, x + wide, y + tall


@pytest.mark.parametrize("exercise", EXERCISES)
def test_each_frame_shows_what_is_drawn_by_then(exercise: Exercise) -> None:
    drawing, strip = draw(exercise), strip_of(exercise)
    frames = strip.findall(f"{SVG}svg")
    assert len(frames) == len(drawing.steps)
    for count, frame in enumerate(frames, start=1):
        stage = stage_after(drawing, count)
        lines = sum(1 for kind in ("line", "polyline") for _ in frame.iter(f"{SVG}{kind}"))
        assert lines == sum(line.id in stage.dark or line.id in stage.light for line in drawing.lines)
        toned = sum(part.attrib.get("fill-rule") == "evenodd" for part in frame.iter(f"{SVG}path"))
        assert toned == (len(drawing.faces) if stage.toned else 0)


@pytest.mark.parametrize("exercise", EXERCISES)
def test_frames_stand_apart_on_the_sheet_in_order_with_their_titles_under_them(exercise: Exercise) -> None:
    drawing, strip = draw(exercise), strip_of(exercise)
    width, height = (float(strip.attrib[name].removesuffix("mm")) for name in ("width", "height"))
    boxes = [box_of(frame) for frame in strip.findall(f"{SVG}svg")]
    assert all(left > 0 and right < width and top > 0 and bottom < height for left, top, right, bottom in boxes)
    for one, two in itertools.pairwise(boxes):
        assert two[0] > one[2] or two[1] > one[3], "after it in the row, or in a row below it"
    said = [(float(t.attrib["x"]), float(t.attrib["y"]), t.text or "") for t in strip.findall(f"{SVG}text")]
    for number, (step, (left, _, _, bottom)) in enumerate(zip(drawing.steps, boxes, strict=True), start=1):
        rows = [text for x, y, text in said if x == left and 0 < y - bottom < 15]
        title = " ".join(rows).removesuffix(" …")
        assert title
        assert f"{number} {' '.join(step.title.split())}".startswith(" ".join(title.split()))


def shown_in(frame: Element, height_mm: float) -> tuple[float, float, float, float]:
    """Which part of the sheet a frame shows: left, low, right, high."""
    x, y, wide, tall = (float(figure) for figure in frame.attrib["viewBox"].split())
    return x, height_mm - y - tall, x + wide, height_mm - y


@pytest.mark.parametrize("exercise", EXERCISES)
def test_what_is_small_is_shown_enlarged_with_the_whole_sheet_beside_it(exercise: Exercise) -> None:
    drawing, strip = draw(exercise), strip_of(exercise)
    size = drawing.sheet.width_mm, drawing.sheet.height_mm
    beside = iter(strip.findall(f"{SVG}g[@data-name='whole sheet']"))
    for step, frame in zip(drawing.steps, strip.findall(f"{SVG}svg"), strict=True):
        left, low, right, high = shown = shown_in(frame, size[1])
        assert -0.01 <= left < right <= size[0] + 0.01
        assert -0.01 <= low < high <= size[1] + 0.01
        if step.close_up is None:
            assert shown == pytest.approx((0.0, 0.0, *size), abs=0.01)
            continue
        part = step.close_up
        assert (left, low) <= (part[0] + 0.01, part[1] + 0.01)
        assert (right, high) >= (part[2] - 0.01, part[3] - 0.01)
        (whole,) = next(beside).findall(f"{SVG}svg")
        assert shown_in(whole, size[1]) == pytest.approx((0.0, 0.0, *size), abs=0.01)
        assert box_of(whole)[0] > box_of(frame)[2], "beside it, not over it"
        (mark,) = whole.findall(f"{SVG}rect")
        assert float(mark.attrib["width"]) == pytest.approx(right - left, abs=0.01)
    assert next(beside, None) is None


def test_a_title_that_would_break_the_file_is_only_text() -> None:
    exercise = read_exercise({**READY[0], "title": "<script>alert(1)</script> & “Gulls”"})
    strip = strip_of(exercise)
    assert strip.findtext(f"{SVG}title") == "<script>alert(1)</script> & “Gulls”"
    assert not list(strip.iter(f"{SVG}script"))
