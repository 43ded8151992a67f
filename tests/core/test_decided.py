"""What was meant so is neither blamed nor praised, and lines are called so that a pupil finds them."""

import pytest
from hypothesis import given
from hypothesis import strategies as st

from conftest import box, exercise_of
from orthopsis.core.check.along import share_along
from orthopsis.core.check.check import check
from orthopsis.core.check.decided import MEANT, decided, home, key_of
from orthopsis.core.check.feedback import gravest, note
from orthopsis.core.check.stroke import Stroke
from orthopsis.core.document.document import Exercise, read_exercise
from orthopsis.core.document.ready import READY
from orthopsis.core.drawing.answer import Picture
from orthopsis.core.exercise.solve import draw
from orthopsis.core.plane.homogeneous import Point
from orthopsis.core.wording.vocabulary import LEVELS, Wording


def strokes_of(exercise: Exercise, leaning: frozenset[str] = frozenset(), left_out: str = "") -> list[Stroke]:
    """Return the finished sheet's lines as strokes, some leaning clearly."""
    drawing = draw(exercise)
    level = drawing.eye_level_mm
    strokes = [Stroke(Point(0.0, level), Point(drawing.sheet.width_mm, level))]
    for line in drawing.lines:
        name = f"{line.thing}.{line.name}"
        if line.role == "edge" and line.visible and name != left_out:
            shift = 14.0 if name in leaning else 0.0
            strokes.append(Stroke(Point(*line.start), Point(line.end[0] + shift, line.end[1])))
    return strokes


LEANING = frozenset({"Tall.front.left", "Tall.front.right"})


@pytest.mark.parametrize("level", LEVELS)
def test_what_was_meant_so_is_neither_blamed_nor_praised(crates: Exercise, level: str) -> None:
    exercise = crates.model_copy(update={"wording": crates.wording.model_copy(update={"level": level})})
    words, picture = Wording("eye_level", exercise.wording.level), draw(exercise)
    checked = check(exercise, strokes_of(exercise, LEANING))
    leans = [f for f in checked.findings if f.code == "upright_leans"]
    assert len(leans) == 2
    everything = decided(checked, {})
    both = decided(checked, {key_of(f): MEANT for f in leans})
    one = decided(checked, {key_of(leans[0]): MEANT})
    assert not any(f.severity for f in both.standing)
    assert both.meant == {n for f in leans for n in f.lines}
    assert home(checked, everything).judged - home(checked, both).judged == 2
    assert home(checked, both).home == home(checked, both).judged, "all the others ran home"
    said = note(checked, both, picture, words)
    assert "All your lines" not in said
    assert "Every line" not in said
    assert "2 lines" in said
    assert "on purpose" in said
    assert "1 line " in note(checked, one, picture, words)
    assert gravest(one) == leans[1]
    assert gravest(both) is None
    assert "on purpose" not in note(checked, everything, picture, words) == checked.note


def told_next(*things: dict[str, object]) -> str:
    exercise = exercise_of(*things)
    return check(exercise, strokes_of(exercise)).note.rpartition("Next time")[2]


def test_what_to_try_next_is_something_that_the_sheet_does_not_have() -> None:
    low, tall = box("Low", 40, 30, 80, 60, depth_by="half"), box("Tall", 320, 90, 60, 110, depth_by="half")
    glass = box("Glass", 300, 20, 40, 40, depth_by="half", look="see_through")
    assert "across the eye level" in told_next(low)
    assert "on the other side" in told_next(tall)
    assert "see-through" in told_next(low, tall)
    assert "again" in told_next(low, tall, glass) or "same sheet" in told_next(low, tall, glass)


def test_lines_of_letters_are_called_by_direction_and_place() -> None:
    exercise = next(read_exercise(d) for d in READY if d["title"] == "KNOT in block letters, one point")
    picture: Picture = draw(exercise)
    names = [f"{line.thing}.{line.name}" for line in picture.lines if line.visible and line.role == "edge"]
    uprights = {f"{line.thing}.{line.name}" for line in picture.lines if line.family == "upright" and line.visible}
    lost = max(
        (n for n in names if n in uprights),
        key=lambda n: max(line.start[0] for line in picture.lines if f"{line.thing}.{line.name}" == n),
    )
    findings = check(exercise, strokes_of(exercise, left_out=lost)).findings
    (missing,) = (f for f in findings if f.code == "missing_line")
    assert missing.line in missing.text
    assert missing.line.startswith("upright ")
    assert " right of " in missing.line
    assert not any(ch.isdigit() for ch in missing.line)


LINE = (Point(10.0, 10.0), Point(60.0, 10.0))


def test_a_line_lies_along_others_by_the_share_of_it_that_has_one_beside_it() -> None:
    halves = [(Point(5.0, 10.5), Point(35.0, 10.5)), (Point(62.0, 9.6), Point(34.0, 9.6))]
    assert share_along(LINE, halves, 1.0) == 1.0
    assert share_along(LINE, halves[:1], 1.0) == pytest.approx(0.5, abs=0.04)
    assert share_along(LINE, halves, 0.3) == 0.0
    assert share_along(LINE, [(Point(30.0, 0.0), Point(40.0, 20.0))], 1.0) == 0.0, "one that crosses it"
    assert share_along(LINE, [], 1.0, curves=[(Point(30.0, 0.0), Point(30.0, 20.0))]) > 0.0, "curves turn"
    assert share_along((LINE[0], LINE[0]), halves, 1.0) == 0.0
    assert share_along(LINE, [], 1.0) == 0.0


@given(st.floats(-200, 200), st.floats(-200, 200), st.floats(0.1, 5.0))
def test_a_line_lies_along_itself_wherever_it_is_and_not_along_one_farther_off(x: float, y: float, near: float) -> None:
    line = (Point(x, y), Point(x + 40.0, y + 9.0))
    assert share_along(line, [(line[1], line[0])], near) == 1.0
    moved = [(Point(p.x, p.y + 1.2 * near) if near < 3 else Point(p.x, p.y + 7.0)) for p in line]
    assert share_along(line, [(moved[0], moved[1])], near) < 1.0
