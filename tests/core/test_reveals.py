"""Openings whose wall is thicker at one end: on sheets drawn by rule, by hand, or wrongly."""

import numpy as np
import pytest

from conftest import box, exercise_of
from orthopsis.core.check.answer import Checked
from orthopsis.core.check.check import check
from orthopsis.core.check.stroke import Stroke, expected_lines
from orthopsis.core.document.document import Exercise
from orthopsis.core.drawing.picture import picture
from orthopsis.core.drawing.solved import solve
from orthopsis.core.plane.homogeneous import Point
from orthopsis.core.scene.prepared import prepare

OPENINGS = {"kind": "rectangles", "name": "Gates", "columns": "2", "wide": "half", "tall": "three_quarters",
            "along": "1:10:1", "up": "1:6:1", "relief": "in", "deep": 14.0}  # fmt: skip


def wall(view: str) -> Exercise:
    if view == "one_point":
        host = box("Wall", 40.0, 30.0, 200.0, 110.0, depth_by="measured", depth=40.0)
        seen, face = {"kind": "one_point", "x_mm": 300.0}, "front"
    else:
        host = {"kind": "box", "name": "Wall", "left": 120.0, "bottom": 40.0, "height": 150.0, "left_by": "measured",
                "left_length": 60.0, "right_by": "measured", "right_length": 190.0}  # fmt: skip
        seen, face = {"kind": "two_point", "left_mm": -120.0, "right_mm": 560.0}, "right"
    return exercise_of(host, {**OPENINGS, "joined_to": "Wall", "joined_by": f"face_{face}"}, views=[seen])


def perfect(exercise: Exercise) -> dict[str, Stroke]:
    prepared = prepare(exercise)
    lines = expected_lines(picture(solve(prepared)), prepared.things)
    return {e.name: Stroke(e.start, e.end) for e in lines if e.is_asked}


def found(checked: Checked) -> list[str]:
    return [finding.text for finding in checked.findings if finding.code == "reveal_uneven"]


def leaning(strokes: dict[str, Stroke], name: str, mm: float) -> dict[str, Stroke]:
    """The sheet with the upper end of an inner upright moved away from the opening's edge, into the opening."""
    stroke = strokes[name]
    outer = strokes[name.replace(".front.", ".")]
    low, high = sorted((stroke.start, stroke.end), key=lambda end: end.y)
    away = np.sign(low.x - outer.middle.x)
    return {**strokes, name: Stroke(low, Point(high.x + away * mm, high.y))}


def inner(strokes: dict[str, Stroke]) -> str:
    """An inner upright that shows, of the first opening."""
    return next(
        name
        for name in ("Gates.Number 1.front.near", "Gates.Number 1.front.far")
        if name in strokes and strokes[name].length_mm > 30
    )


@pytest.mark.parametrize("view", ["one_point", "two_point"])
def test_a_wall_that_is_thicker_at_the_top_is_found_and_one_that_is_even_is_not(view: str) -> None:
    exercise = wall(view)
    strokes = perfect(exercise)
    assert found(check(exercise, list(strokes.values()))) == []
    name = inner(strokes)
    (text,) = found(check(exercise, list(leaning(strokes, name, 9.0).values())))
    assert text.startswith("The wall seen in Gates is ")
    assert text.endswith(" at the other; in truth it is even.")


def test_the_note_tells_the_student_of_it() -> None:
    exercise = wall("one_point")
    strokes = perfect(exercise)
    checked = check(exercise, list(leaning(strokes, inner(strokes), 9.0).values()))
    assert [finding.code for finding in checked.findings if finding.severity] == ["reveal_uneven"]
    assert "Gates" in checked.note


@pytest.mark.parametrize("view", ["one_point", "two_point"])
def test_a_careful_hand_is_not_blamed(view: str) -> None:
    exercise = wall(view)
    strokes = perfect(exercise)
    for seed in range(30):
        rng = np.random.default_rng(seed)
        shaken = [
            Stroke(*(Point(end.x + dx, end.y + dy) for end, (dx, dy) in zip((s.start, s.end), d, strict=True)))
            for s, d in ((s, rng.normal(0.0, 0.5, (2, 2))) for s in strokes.values())
        ]
        assert found(check(exercise, shaken)) == []
