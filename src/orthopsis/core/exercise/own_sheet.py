"""The sheet of one student: fitted to the paper, to the hands of the class's level and to the lesson's minutes."""

from dataclasses import dataclass, replace

from orthopsis.core.document.document import Exercise
from orthopsis.core.drawing.answer import Drawing
from orthopsis.core.editing.personal import exercise_for
from orthopsis.core.exercise.solve import draw
from orthopsis.core.lesson.levels import thinnest_stroke_mm
from orthopsis.core.things.answers import Fit


@dataclass(frozen=True, slots=True)
class OwnSheet:
    """An exercise as it is on one student's sheet, drawn, and what a teacher should look at."""

    exercise: Exercise
    drawing: Drawing
    remarks: tuple[str, ...]

    @property
    def minutes(self) -> float:
        """Minutes of the steps that everybody does."""
        return sum(step.minutes for step in self.drawing.steps if not step.extra)


def own_sheet(exercise: Exercise, name: str) -> OwnSheet:
    """Return the sheet of the student of that name.

    A sheet that would take longer than the lesson is made shorter where the teacher has decided so.

    Raises:
        GeometryError: something cannot be drawn.
    """
    thinnest = thinnest_stroke_mm(exercise.wording.level)
    own, remarks = exercise_for(exercise, name, Fit(thinnest))
    sheet = OwnSheet(own, draw(own), remarks)
    if sheet.minutes > exercise.minutes:
        shorter, remarks = exercise_for(exercise, name, Fit(thinnest, is_late=True))
        if shorter != own:
            sheet = OwnSheet(shorter, draw(shorter), remarks)
    return replace(sheet, remarks=sheet.remarks + _to_look_at(sheet))


def _to_look_at(sheet: OwnSheet) -> tuple[str, ...]:
    remarks = [piece.text for piece in sheet.drawing.advice if piece.code in ("off_the_paper", "over_the_fold")]
    if sheet.minutes > sheet.exercise.minutes:
        remarks.insert(0, f"It takes longer than the lesson, which has {sheet.exercise.minutes} minutes.")
    return tuple(remarks)
