"""What is printed of an exercise, and for whom: the same for all, or each student's own sheet."""

from collections.abc import Iterator
from dataclasses import dataclass
from typing import Literal

from sqlalchemy.orm import Session

from orthopsis.core.document.document import Exercise, read_exercise
from orthopsis.core.drawing.answer import Drawing
from orthopsis.core.editing.personal import is_personal
from orthopsis.core.exercise.lesson_sheet import lesson_sheet
from orthopsis.core.exercise.own_sheet import own_sheet
from orthopsis.core.exercise.solve import draw
from orthopsis.core.wording.vocabulary import Level
from orthopsis.paperwork.handout import handout_mm
from orthopsis.paperwork.lesson import add_lesson
from orthopsis.paperwork.marks import SheetCode
from orthopsis.paperwork.pdf import Pages
from orthopsis.paperwork.pieces import add_pieces, strip_pieces, tick_pieces
from orthopsis.paperwork.sheets import Copy, SheetKind, add_sheets
from orthopsis.paperwork.step_sheets import StepPages, add_steps
from orthopsis.store import classes
from orthopsis.store.errors import Refused
from orthopsis.store.models import ExerciseRow, SchoolClass, Student

PrintName = Literal["starter", "steps", "answer", "overlay", "strips", "ticks", "whole", "lesson"]
_Part = SheetKind | Literal["steps", "strips", "ticks"]
_PAGE: dict[SheetKind, int] = {"starter": 1, "answer": 2, "overlay": 3}


_KINDS: dict[PrintName, tuple[_Part, ...]] = {
    "starter": ("starter",),
    "steps": ("steps",),
    "answer": ("answer",),
    "overlay": ("overlay",),
    "strips": ("strips",),
    "ticks": ("ticks",),
    "whole": ("starter", "steps", "answer"),
}
"""What is printed together."""


@dataclass(frozen=True, slots=True)
class PrintOrder:
    """What a teacher wants printed.

    Attributes:
        class_id, student_id: for whom; none: for anybody, in so many ``copies``.
        steps: how step sheets are wanted, and which paper the printer has.
        is_tiled: whether sheets that are drawn on are laid over pages of that paper.
        level: for which age the words are; none: as the exercise says.
    """

    kind: PrintName
    class_id: int | None
    student_id: int | None
    copies: int
    steps: StepPages
    is_tiled: bool = False
    level: Level | None = None


def printed(db: Session, owner_id: int, row: ExerciseRow, order: PrintOrder, *, only_first: bool = False) -> Pages:
    """Return the pages that were ordered.

    Raises:
        Refused: the class is empty, or the student is in another one.
        GeometryError: the exercise cannot be drawn.
    """
    pages = Pages(row.title)
    if order.kind == "lesson":
        _add_lesson(pages, db, owner_id, row, order)
        return pages
    for drawing, title, students in _sheets(db, owner_id, row, order):
        _add(pages, drawing, title, students, row.code, order)
        if only_first:
            break
    return pages


def _exercise(row: ExerciseRow, order: PrintOrder) -> Exercise:
    """Return the exercise, in words for the age that is wanted."""
    exercise = read_exercise(row.document)
    if order.level is None:
        return exercise
    return exercise.model_copy(update={"wording": exercise.wording.model_copy(update={"level": order.level})})


def _add_lesson(pages: Pages, db: Session, owner_id: int, row: ExerciseRow, order: PrintOrder) -> None:
    """Add what a lesson takes: for a class, or for as many as there are copies."""
    exercise, students, whose = _exercise(row, order), order.copies, ""
    if order.class_id is not None:
        school_class = classes.get_class(db, owner_id, order.class_id)
        students, whose = len(_students(db, school_class, None)), school_class.name
    drawing = draw(exercise)
    sheet = lesson_sheet(exercise, drawing, students)
    whose = whose or f"for {students}"
    add_lesson(pages, row.title, whose, sheet, drawing.sheet.units, order.steps.paper)


def _sheets(
    db: Session, owner_id: int, row: ExerciseRow, order: PrintOrder
) -> Iterator[tuple[Drawing, str, list[tuple[Student, SchoolClass]]]]:
    """Yield the drawings with their titles and the students that they are for; no student where it is for anybody."""
    exercise = _exercise(row, order)
    if order.class_id is None:
        yield draw(exercise), row.title, []
        return
    school_class = classes.get_class(db, owner_id, order.class_id)
    students = _students(db, school_class, order.student_id)
    if not is_personal(exercise):
        yield draw(exercise), row.title, [(student, school_class) for student in students]
        return
    for student in students:
        own = own_sheet(exercise, student.alias).drawing
        yield own, f"{row.title}: {student.alias}", [(student, school_class)]


def _students(db: Session, school_class: SchoolClass, student_id: int | None) -> list[Student]:
    students = classes.list_students(db, school_class.id)
    if not students:
        raise Refused(
            "empty_class",
            f"“{school_class.name}” has no students yet.",
            "Enter their aliases in the register.",
        )
    if student_id is None:
        return students
    chosen = [student for student in students if student.id == student_id]
    if not chosen:
        raise Refused("other_class", "This student is in another class.", "Choose one of this class.")
    return chosen


def _add(
    pages: Pages,
    drawing: Drawing,
    title: str,
    students: list[tuple[Student, SchoolClass]],
    code: str,
    order: PrintOrder,
) -> None:
    paper = handout_mm(drawing.sheet.units, order.steps.paper)
    for kind in _KINDS[order.kind]:
        if kind == "steps":
            add_steps(pages, drawing, title, order.steps)
        elif kind == "strips" or kind == "ticks":
            _add_pieces(pages, drawing, kind, title, paper)
        else:
            page = _PAGE[kind]
            copies = [Copy(SheetCode(code, s.code, page), f"{s.alias}  ·  {c.name}") for s, c in students]
            copies = copies or [Copy(SheetCode(code, "", page))] * order.copies
            add_sheets(pages, drawing, kind, title, copies, paper if order.is_tiled else None)


def _add_pieces(
    pages: Pages, drawing: Drawing, kind: Literal["strips", "ticks"], title: str, paper: tuple[float, float]
) -> None:
    if not drawing.strips:
        raise Refused("nothing_off_the_sheet", "All points of this exercise lie on the sheet.", "Nothing is taped on.")
    if kind == "strips":
        add_pieces(pages, strip_pieces(drawing), paper, f"{title}: strips to tape on")
    else:
        add_pieces(pages, tick_pieces(drawing), paper, f"{title}: ticks beside the sheet")
