"""Is an inside darker than what faces the same way outside? What is said of greys that were measured on a sheet."""

import pytest

from conftest import box, exercise_of
from orthopsis.core.check.answer import FaceGrey
from orthopsis.core.check.check import check
from orthopsis.core.check.stroke import Stroke
from orthopsis.core.check.tones import tone_areas, tone_findings
from orthopsis.core.document.document import Exercise
from orthopsis.core.exercise.solve import draw
from orthopsis.core.plane.homogeneous import Point
from orthopsis.core.wording.findings import ADVICE_TO_STUDENT, PRAISE
from orthopsis.core.wording.vocabulary import LEVELS, USUAL, Level


def tray() -> Exercise:
    """An open box beside a closed one: insides and outsides that face the same way."""
    return exercise_of(
        box("Tray", 60.0, 20.0, 110.0, 40.0, depth_by="measured", depth=90.0, look="open"),
        box("Crate", 260.0, 30.0, 70.0, 50.0, depth_by="measured", depth=60.0),
    )


def greys(exercise: Exercise, inside: float) -> list[FaceGrey]:
    """All faces as dark as the answer has them, in steps of a quarter, the insides by so much darker or lighter."""
    faces = draw(exercise).faces
    tones = {(face.thing, face.name): face.tone / 4 for face in faces}
    return [
        FaceGrey(
            thing=area.thing, face=area.name, direction=area.direction, turned=area.turned,
            darkness=tones[area.thing, area.name] + (inside if area.turned.startswith("inner") else 0.0),
        )
        for area in tone_areas(faces)
    ]  # fmt: skip


def test_the_answer_itself_is_right_and_its_insides_are_darker() -> None:
    measured = greys(tray(), 0.0)
    assert any(grey.turned.startswith("inner") for grey in measured), "one looks into the tray"
    assert tone_findings(measured, USUAL) == []


@pytest.mark.parametrize(("lighter", "is_said"), [(-0.05, False), (-0.6, True)])
def test_an_inside_lighter_than_the_outside_is_said_once_of_its_thing(lighter: float, is_said: bool) -> None:
    # Common practice, no source: insides are darker, since less light falls in.
    found = tone_findings(greys(tray(), lighter), USUAL)
    assert [finding.code for finding in found] == (["inside_too_light"] if is_said else [])
    for finding in found:
        assert finding.line == "Tray"
        assert "lighter than the outside" in finding.text


def test_a_sheet_that_is_not_toned_is_left_alone() -> None:
    pale = [grey.model_copy(update={"darkness": 0.02}) for grey in greys(tray(), 0.0)]
    assert tone_findings(pale, USUAL) == []


@pytest.mark.parametrize("level", LEVELS)
def test_the_student_reads_of_it_when_all_lines_are_right(level: Level) -> None:
    exercise = tray().model_copy(update={"wording": tray().wording.model_copy(update={"level": level})})
    strokes = [
        Stroke(Point(*line.start), Point(*line.end), 1.0)
        for line in draw(exercise).lines
        if line.role in ("edge", "detail") and line.visible
    ]
    note = check(exercise, strokes, greys(exercise, -0.6)).note
    assert PRAISE["all"][LEVELS.index(level)] in note, "the lines are praised all the same"
    assert ADVICE_TO_STUDENT["inside"][LEVELS.index(level)].format(line="Tray") in note
