"""Judging lines that belong together: windows drawn flat, one off its row, a tip that is not over the middle."""

from typing import Any

import numpy as np
import pytest

from conftest import box, exercise_of
from orthopsis.core.check.answer import Checked, Finding
from orthopsis.core.check.check import check
from orthopsis.core.check.stroke import Expected, Stroke, expected_lines
from orthopsis.core.document.document import Exercise
from orthopsis.core.drawing.picture import picture
from orthopsis.core.drawing.solved import solve
from orthopsis.core.editing.edit import set_at
from orthopsis.core.lesson.levels import RULES
from orthopsis.core.plane.homogeneous import Point
from orthopsis.core.scene.prepared import prepare
from orthopsis.core.wording.vocabulary import LEVELS, Level

TOGETHER = ("copied_flat", "off_row", "tip_off_middle")
HOUSE = {
    "kind": "box", "name": "Store", "left": 170.0, "bottom": 40.0, "height": 120.0, "left_by": "measured",
    "left_length": 90.0, "right_by": "measured", "right_length": 150.0,
}  # fmt: skip
WINDOWS = {
    "kind": "rectangles", "name": "Windows", "joined_to": "Store", "joined_by": "face_right", "columns": "5",
    "wide": "half", "tall": "half", "along": "1:10:1", "up": "1:3:1",
}  # fmt: skip
ROOF = {"kind": "gable_roof", "name": "Roof", "joined_to": "Store", "joined_by": "face_left", "rise": 40.0}
VIEW = {"kind": "two_point", "left_mm": -100.0, "right_mm": 560.0}


def store(*more: dict[str, Any], **host: Any) -> Exercise:
    exercise = exercise_of({**HOUSE, **host}, *more, views=[VIEW])
    return set_at(exercise, "eye_level.height_mm", 206.0)


def asked(exercise: Exercise) -> dict[str, Expected]:
    """The lines that a finished sheet shows, by name."""
    prepared = prepare(exercise)
    lines = expected_lines(picture(solve(prepared)), prepared.things)
    return {e.name: e for e in lines if e.is_asked}


def perfect(exercise: Exercise) -> dict[str, Stroke]:
    return {name: Stroke(e.start, e.end) for name, e in asked(exercise).items()}


def judged(exercise: Exercise, strokes: dict[str, Stroke]) -> Checked:
    return check(exercise, list(strokes.values()))


def found(exercise: Exercise, strokes: dict[str, Stroke]) -> list[Finding]:
    return [f for f in judged(exercise, strokes).findings if f.code in TOGETHER]


def flat(exercise: Exercise, thing: str) -> dict[str, Stroke]:
    """A perfect sheet on which the receding lines of a thing are drawn level, from where they begin."""
    strokes = perfect(exercise)
    for name, e in asked(exercise).items():
        if e.thing == thing and e.family not in ("upright", "level", "free"):
            strokes[name] = Stroke(e.start, Point(e.end.x, e.start.y))
    return strokes


def test_windows_copied_flat_are_one_finding_and_not_ten() -> None:
    exercise = store(WINDOWS)
    sheet = judged(exercise, flat(exercise, "Windows"))
    of_windows = [f for f in sheet.findings if f.severity and f.code != "missing_line"]
    assert [f.code for f in of_windows] == ["copied_flat"]
    assert len(of_windows[0].lines) >= 8
    assert "right point" in of_windows[0].text
    assert "Windows" in sheet.note


def test_one_window_at_another_slant_is_not_said_to_be_flat() -> None:
    exercise = store(WINDOWS)
    strokes = perfect(exercise)
    name = next(n for n, e in asked(exercise).items() if e.thing == "Windows" and e.family not in ("upright", "free"))
    strokes[name] = Stroke(strokes[name].start, Point(strokes[name].end.x, strokes[name].start.y))
    assert "copied_flat" not in [f.code for f in found(exercise, strokes)]


def test_windows_on_a_front_that_is_drawn_true_are_never_flat() -> None:
    host = box("Store", 40.0, 40.0, 120.0, 100.0, depth_by="measured", depth=60.0)
    exercise = exercise_of(host, {**WINDOWS, "joined_by": "face_front"}, views=[{"kind": "one_point", "x_mm": 300.0}])
    assert found(exercise, perfect(exercise)) == []


def tops(exercise: Exercise) -> list[Expected]:
    """The upper edges of the windows, which lie in one row."""
    mine = [e for e in asked(exercise).values() if e.thing == "Windows" and e.family not in ("upright", "free")]
    return [e for e in mine if e.name.endswith("high")]


@pytest.mark.parametrize(("by", "side"), [(5.0, "above"), (-5.0, "below")])
def test_a_top_off_the_line_of_the_others_is_found(by: float, side: str) -> None:
    exercise = store(WINDOWS)
    strokes, row = perfect(exercise), tops(exercise)
    assert len(row) == 5
    stroke = strokes[row[2].name]
    strokes[row[2].name] = Stroke(*(Point(p.x, p.y + by) for p in (stroke.start, stroke.end)))
    (finding,) = found(exercise, strokes)
    assert finding.code == "off_row"
    assert side in finding.text
    assert finding.about == row[2].name


@pytest.mark.parametrize(("by", "side"), [(6.0, "right of"), (-6.0, "left of")])
def test_one_off_a_column_that_runs_to_the_third_point_is_found_on_its_side(by: float, side: str) -> None:
    """Uprights of windows over each other lie on one steep line where uprights run to a point."""
    view = {"kind": "three_point", "left_mm": -150, "right_mm": 560, "third_x_mm": 206, "third_y_mm": -400}
    column = {**WINDOWS, "columns": "2", "rows": "5", "up": "0:1:0", "tall": "half"}
    exercise = set_at(exercise_of({**HOUSE, "left": 206.0, "bottom": 190.0}, column, views=[view]),
                      "eye_level.height_mm", 262.0)  # fmt: skip
    mine = [e for e in asked(exercise).values() if e.thing == "Windows" and e.name.endswith("near")]
    column_of = sorted(mine, key=lambda e: e.start.x)[: len(mine) // 2]
    assert len(column_of) == 5
    assert found(exercise, perfect(exercise)) == []
    strokes = perfect(exercise)
    one = sorted(column_of, key=lambda e: e.start.y)[2]
    strokes[one.name] = Stroke(Point(one.start.x + by, one.start.y), Point(one.end.x + by, one.end.y))
    texts = [f.text for f in found(exercise, strokes) if f.code == "off_row"]
    assert [side in text for text in texts] == [True], texts


def test_a_whole_row_at_another_height_is_nobody_s_fault() -> None:
    exercise = store(WINDOWS)
    strokes = perfect(exercise)
    for e in tops(exercise):
        stroke = strokes[e.name]
        strokes[e.name] = Stroke(*(Point(p.x, p.y + 4.0) for p in (stroke.start, stroke.end)))
    assert "off_row" not in [f.code for f in found(exercise, strokes)]


@pytest.mark.parametrize(("by", "side"), [(9.0, "right"), (-9.0, "left")])
def test_a_tip_beside_the_middle_is_found(by: float, side: str) -> None:
    exercise = store(ROOF)
    strokes = perfect(exercise)
    slopes = [n for n in strokes if n in ("Roof.front.slope.first", "Roof.front.slope.far")]
    assert len(slopes) == 2
    shared = {strokes[slopes[0]].start.xy, strokes[slopes[0]].end.xy} & {
        strokes[slopes[1]].start.xy, strokes[slopes[1]].end.xy,
    }  # fmt: skip
    (tip,) = shared
    for name in slopes:
        ends = [Point(p.x + by, p.y) if p.xy == tip else p for p in (strokes[name].start, strokes[name].end)]
        strokes[name] = Stroke(*ends)
    finding = next(f for f in found(exercise, strokes) if f.code == "tip_off_middle")
    assert side in finding.text
    assert "9 mm" in finding.text
    assert "diagonals" in judged(exercise, strokes).note


def test_a_tip_over_a_wall_that_was_drawn_by_eye_is_not_judged() -> None:
    exercise = store(ROOF, left_by="half")
    strokes = perfect(exercise)
    for name in ("Roof.front.slope.first", "Roof.front.slope.far"):
        strokes[name] = Stroke(strokes[name].start, Point(strokes[name].end.x + 9.0, strokes[name].end.y))
    assert "tip_off_middle" not in [f.code for f in found(exercise, strokes)]


@pytest.mark.parametrize("level", LEVELS)
def test_hand_error_alone_is_never_held_against_a_student(level: Level) -> None:
    exercise = store(WINDOWS, ROOF)
    exercise = exercise.model_copy(update={"wording": exercise.wording.model_copy(update={"level": level})})
    rng, sigma = np.random.default_rng(5), RULES[level].hand_error_mm
    for _ in range(60):
        shaken = {
            name: Stroke(*(Point(p.x + rng.normal(0, sigma), p.y + rng.normal(0, sigma)) for p in (s.start, s.end)))
            for name, s in perfect(exercise).items()
        }
        assert [f.text for f in found(exercise, shaken)] == []


def test_flat_windows_of_a_shaky_hand_are_found_all_the_same() -> None:
    exercise = store(WINDOWS)
    rng, sigma = np.random.default_rng(8), RULES["middle"].hand_error_mm
    seen = 0
    for _ in range(20):
        shaken = {
            name: Stroke(*(Point(p.x + rng.normal(0, sigma), p.y + rng.normal(0, sigma)) for p in (s.start, s.end)))
            for name, s in flat(exercise, "Windows").items()
        }
        seen += "copied_flat" in [f.code for f in found(exercise, shaken)]
    assert seen >= 19, f"{seen} of 20"
