"""The page for who gives the lesson, the teacher or whoever stands in: what to lay out, the care, the steps in time."""

from collections.abc import Sequence

from orthopsis.core.exercise.lesson_sheet import LessonSheet, LessonStep
from orthopsis.paperwork.handout import Handout, handout_mm
from orthopsis.paperwork.pdf import BOLD, REGULAR, Pages

_MARGIN = 15.0
_SIZE, _SMALL, _GAP = 3.9, 3.4, 3.0
_CLOCK, _STOP = 17.0, 26.0
"""How much room the minute takes at the left of a step, and a good stop at its right, mm."""


def add_lesson(
    pages: Pages, title: str, whose: str, sheet: LessonSheet, units: str, paper: Handout | None = None
) -> None:
    """Add the page, and as many further ones as the steps take."""
    width, height = handout_mm(units, paper)
    room = width - 2 * _MARGIN
    pages.begin(width, height)
    y = pages.paragraph(_MARGIN, height - _MARGIN, f"{title}, {whose}", 5.2, room, BOLD)
    parts = max(1, -(-int(sheet.minutes) // int(sheet.lesson_minutes)))
    lessons = "one lesson" if parts == 1 else f"{parts} lessons"
    said = f"About {sheet.minutes:.0f} minutes of drawing, in {lessons} of {sheet.lesson_minutes:.0f} minutes."
    y = pages.paragraph(_MARGIN, y - 1, said, _SIZE, room)
    y = pages.paragraph(_MARGIN, y - _GAP, "To lay out", 4.4, room, BOLD)
    for what, why in sheet.materials:
        y = pages.paragraph(_MARGIN, y, f"{what}: {why}", _SIZE, room)
    y = pages.paragraph(_MARGIN, y - _GAP, "To take care of", 4.4, room, BOLD)
    for caution in sheet.cautions:
        y = pages.paragraph(_MARGIN, y, caution, _SIZE, room)
    y = pages.paragraph(_MARGIN, y - _GAP, "The steps", 4.4, room, BOLD)
    _add_steps(pages, (width, height), y, sheet.steps)
    pages.end()


def _add_steps(pages: Pages, size: tuple[float, float], y: float, steps: Sequence[LessonStep]) -> None:
    width, height = size
    room = width - 2 * _MARGIN - _CLOCK - _STOP
    for step in steps:
        if y < _MARGIN + 2 * _SIZE:
            pages.end()
            pages.begin(width, height)
            y = height - _MARGIN
        pages.text(_MARGIN, y - _SIZE * 1.4, f"{step.begins:.0f} min", _SMALL, REGULAR, 0.4)
        if step.may_stop:
            pages.text(width - _MARGIN - _STOP + 2, y - _SIZE * 1.4, "a good stop", _SMALL, BOLD)
        extra = ", extra" if step.is_extra else ""
        y = pages.paragraph(_MARGIN + _CLOCK, y, f"{step.number}  {step.title}{extra}", _SIZE, room)
