"""From what was read off a sheet to its judgement: lines, greys and curves."""

from orthopsis.core.check.answer import Checked
from orthopsis.core.check.check import check
from orthopsis.core.document.document import Exercise
from orthopsis.core.exercise.solve import draw_picture
from orthopsis.scan.curves import judged_curves
from orthopsis.scan.greys import greys_of
from orthopsis.scan.read import PREVIEW_PX_PER_MM, Reading


def judge_reading(exercise: Exercise, reading: Reading) -> Checked:
    """Return the judgement of a sheet; of an SVG only its lines are judged.

    Raises:
        GeometryError: the exercise itself cannot be drawn.
    """
    greys = greys_of(reading.flat_jpeg, draw_picture(exercise).faces, PREVIEW_PX_PER_MM)
    curves = judged_curves(reading.flat_jpeg, exercise, reading.strokes, PREVIEW_PX_PER_MM)
    return check(exercise, reading.strokes, greys, curves)
