"""The file to take home: whole, small, and safe whatever a teacher has called things."""

import json
import re
from typing import Any

import pytest

from conftest import box, exercise_of
from orthopsis.core.document.document import Exercise, read_exercise
from orthopsis.core.document.ready import READY
from orthopsis.core.drawing.stage import stage_after
from orthopsis.core.exercise.solve import draw
from orthopsis.paperwork.take_home import take_home_html

MOST_BYTES = 500_000


def data_of(page: bytes) -> dict[str, Any]:
    """What the page holds for its script."""
    found = re.search(r'<script type="application/json" id="data">(.*?)</script>', page.decode(), re.DOTALL)
    assert found is not None
    held: dict[str, Any] = json.loads(found[1])
    return held


def made(exercise: Exercise) -> bytes:
    return take_home_html(draw(exercise), exercise.title)


@pytest.mark.parametrize("ready", READY, ids=[ready["title"] for ready in READY])
def test_after_each_step_the_same_lines_are_there_as_on_the_wall(ready: dict[str, Any]) -> None:
    exercise = read_exercise(ready)
    drawing, page = draw(exercise), made(exercise)
    assert len(page) <= MOST_BYTES
    held = data_of(page)
    ids = [line.id for line in drawing.lines]
    for count, step in enumerate(held["steps"], start=1):
        stage = stage_after(drawing, count)
        dark = {at for at, (_, _, _, darkened, _) in enumerate(held["lines"]) if darkened <= count}
        light = {at for at, (_, since, until, _, _) in enumerate(held["lines"]) if since <= count < until}
        assert {ids[number] for number in light} == stage.light
        assert {ids[number] for number in dark} == stage.dark
        assert {ids[number] for number in step["fresh"]} == stage.fresh
        signs = [[x, y] for since, x, y in held["signs"] if since <= count]
        points = [at for name, at in drawing.vanishing_points.items() if name in stage.points]
        assert sorted(signs) == [pytest.approx(list(at), abs=0.01) for at in sorted(points)]
        assert step["text"].startswith(drawing.steps[count - 1].text)
        shown = [text for *_, text in step["texts"] if text]
        told = drawing.steps[count - 1]
        assert step["part"] == (
            told.close_up and [pytest.approx(list(told.close_up[i : i + 2]), abs=0.01) for i in (0, 2)]
        )
        figures = [mark.text for scale in told.scales for mark in scale.marks]
        assert sorted(shown[: len(figures)]) == sorted(figures), "the picture has another size: they may change sides"
        assert shown[len(figures) :] == [
            *(length.text for length in told.dimensions),
            *(one.text for one in told.letters),
        ]
    assert [len(way) for *_, way in held["lines"]] == [2 + len(line.bend) for line in drawing.lines]


def test_a_full_sheet_is_still_small() -> None:
    boxes = [
        box(f"Loft {i}", 20.0 + 60 * (i % 6), 20.0 + 100 * (i // 6), 40.0, 60.0, depth_by="half") for i in range(12)
    ]
    windows = [
        {"kind": "rectangles", "name": f"Windows {i}", "joined_to": f"Loft {i}", "joined_by": "face_front",
         "columns": "6", "rows": "3", "along": "0:1:0", "up": "0:1:0"}
        for i in range(12)
    ]  # fmt: skip
    assert len(made(exercise_of(*boxes, *windows))) <= MOST_BYTES


@pytest.mark.parametrize("name", ["</script><script>alert(1)</script>", "A & B <i>", 'Say "hm"', "__DATA__", "Möwe ⚓"])
def test_names_are_shown_and_never_run(name: str) -> None:
    exercise = exercise_of(box(name[:40], 60, 40, 60, 40))
    renamed = Exercise.model_validate({**exercise.document(), "title": name})
    page = made(renamed).decode()
    assert page.count("<script") == 2
    assert data_of(page.encode())["steps"][2]["title"].startswith(name[:20])
    assert "<i>" not in page.replace("\\u003ci>", "")


def test_nothing_is_loaded_from_elsewhere() -> None:
    page = made(read_exercise(READY[0])).decode()
    assert "default-src 'none'" in page
    assert not re.search(r"(?:src|href)\s*=|@import|url\(|fetch\(", page)


def test_without_scripts_the_steps_can_be_read() -> None:
    exercise = read_exercise(READY[0])
    words = re.search(r"<noscript>(.*?)</noscript>", made(exercise).decode(), re.DOTALL)
    assert words is not None
    assert words[1].count("<p>") == len(draw(exercise).steps)
