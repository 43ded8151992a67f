"""The one way in which a finished drawing is handed to the checker as a student's perfect sheet."""

from orthopsis.core.check.check import check
from orthopsis.core.check.stroke import Stroke
from orthopsis.core.document.document import Exercise
from orthopsis.core.drawing.answer import Drawing
from orthopsis.core.exercise.solve import draw
from orthopsis.core.plane.homogeneous import Point


def assert_found_right(exercise: Exercise) -> Drawing:
    """Check that of a sheet on which all is drawn that is seen nothing is missing and nothing blamed."""
    drawing = draw(exercise)
    strokes = [
        Stroke(Point(*line.start), Point(*line.end), 1.0)
        for line in drawing.lines
        if line.role in ("edge", "detail") and line.visible
    ]
    checked = check(exercise, strokes)
    assert checked.missing == []
    assert [finding for finding in checked.findings if finding.severity] == []
    return drawing
