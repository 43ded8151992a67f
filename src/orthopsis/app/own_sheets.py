"""Each student's own sheet, as a small picture, before a class's sheets are printed."""

from fastapi import APIRouter
from pydantic import BaseModel

from orthopsis.app.problems import PROBLEMS
from orthopsis.app.session import Db, Me
from orthopsis.core.document.document import read_exercise
from orthopsis.core.drawing.answer import Picture
from orthopsis.core.editing.personal import is_personal
from orthopsis.core.exercise.own_sheet import own_sheet
from orthopsis.store import classes, exercises
from orthopsis.store.errors import NotFound

router = APIRouter(prefix="/api/exercises", tags=["shelf"], responses=PROBLEMS)


class OwnSheetsAnswer(BaseModel):
    """Whether students have sheets of their own, and which students there are."""

    is_personal: bool
    students: list[int]


class OwnSheetLine(BaseModel):
    """The sheet of one student; ``remarks`` say what a teacher should look at."""

    student_id: int
    alias: str
    remarks: list[str]
    steps: int
    minutes: float
    picture: Picture


@router.get("/{exercise_id}/own/{class_id}")
def own_sheets(exercise_id: int, class_id: int, db: Db, teacher: Me) -> OwnSheetsAnswer:
    """Return for which students of a class there is a sheet of their own."""
    exercise = read_exercise(exercises.get_exercise(db, teacher.id, exercise_id).document)
    students = classes.list_students(db, classes.get_class(db, teacher.id, class_id).id)
    return OwnSheetsAnswer(is_personal=is_personal(exercise), students=[student.id for student in students])


@router.get("/{exercise_id}/own/{class_id}/{student_id}")
def sheet_of_student(exercise_id: int, class_id: int, student_id: int, db: Db, teacher: Me) -> OwnSheetLine:
    """Return the sheet of one student."""
    exercise = read_exercise(exercises.get_exercise(db, teacher.id, exercise_id).document)
    student = classes.get_student(db, teacher.id, student_id)
    if student.class_id != class_id:
        raise NotFound("student")
    own = own_sheet(exercise, student.alias)
    drawing = own.drawing
    picture = Picture.model_construct(**{name: getattr(drawing, name) for name in Picture.model_fields})
    return OwnSheetLine(
        student_id=student.id,
        alias=student.alias,
        remarks=list(own.remarks),
        steps=len(drawing.steps),
        minutes=own.minutes,
        picture=picture,
    )
