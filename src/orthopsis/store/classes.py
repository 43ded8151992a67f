"""Classes, their students by alias, and the lessons to come."""

from collections.abc import Sequence
from datetime import date

from sqlalchemy import select
from sqlalchemy.orm import Session

from orthopsis.store.clock import now
from orthopsis.store.codes import new_code
from orthopsis.store.errors import NotFound, Refused
from orthopsis.store.exercises import get_exercise
from orthopsis.store.models import ExerciseRow, Lesson, SchoolClass, Student

MOST_STUDENTS = 60


def add_class(db: Session, owner_id: int, name: str) -> SchoolClass:
    """Add a class.

    Raises:
        Refused: no name.
    """
    if not name.strip():
        raise Refused("empty_name", "A class needs a name.", "Type one.")
    row = SchoolClass(owner_id=owner_id, name=name.strip()[:80], created_at=now())
    db.add(row)
    db.flush()
    return row


def list_classes(db: Session, owner_id: int) -> list[SchoolClass]:
    """Return a teacher's classes by name."""
    return list(db.scalars(select(SchoolClass).where(SchoolClass.owner_id == owner_id).order_by(SchoolClass.name)))


def get_class(db: Session, owner_id: int, class_id: int) -> SchoolClass:
    """Return a class of this teacher.

    Raises:
        NotFound: it is not there, or somebody else's.
    """
    row = db.get(SchoolClass, class_id)
    if row is None or row.owner_id != owner_id:
        raise NotFound("class")
    return row


def list_students(db: Session, class_id: int) -> list[Student]:
    """Return the students of a class in the order in which they were entered."""
    return list(db.scalars(select(Student).where(Student.class_id == class_id).order_by(Student.id)))


def add_students(db: Session, owner_id: int, class_id: int, aliases: Sequence[str]) -> list[Student]:
    """Add the aliases that are not yet there, and return all students.

    Raises:
        Refused: the class would become too large.
    """
    get_class(db, owner_id, class_id)
    known = {s.alias.casefold() for s in list_students(db, class_id)}
    fresh: list[str] = []
    for alias in aliases:
        if alias.casefold() not in known:
            known.add(alias.casefold())
            fresh.append(alias)
    if len(known) > MOST_STUDENTS:
        raise Refused("class_too_large", f"A class has at most {MOST_STUDENTS} students.", "Make two classes.")
    db.add_all([Student(class_id=class_id, alias=alias, code=new_code(6)) for alias in fresh])
    db.flush()
    return list_students(db, class_id)


def get_student(db: Session, owner_id: int, student_id: int) -> Student:
    """Return a student in one of this teacher's classes.

    Raises:
        NotFound: there is none.
    """
    row = db.get(Student, student_id)
    if row is None:
        raise NotFound("student")
    get_class(db, owner_id, row.class_id)
    return row


def rename_student(db: Session, owner_id: int, student_id: int, alias: str) -> Student:
    """Give a student another alias.

    Raises:
        Refused: empty, or taken in this class.
    """
    row = get_student(db, owner_id, student_id)
    alias = " ".join(alias.split())[:40]
    others = {s.alias.casefold() for s in list_students(db, row.class_id) if s.id != row.id}
    if not alias or alias.casefold() in others:
        raise Refused("alias_taken", "This alias is empty or taken in this class.", "Choose another one.")
    row.alias = alias
    return row


def add_lesson(db: Session, owner_id: int, class_id: int, exercise_id: int, on_date: date, start_step: int) -> Lesson:
    """Plan a lesson."""
    get_class(db, owner_id, class_id)
    get_exercise(db, owner_id, exercise_id)
    row = Lesson(class_id=class_id, exercise_id=exercise_id, on_date=on_date, start_step=max(1, start_step))
    db.add(row)
    db.flush()
    return row


def list_lessons(db: Session, owner_id: int, since: date) -> list[tuple[Lesson, SchoolClass, ExerciseRow]]:
    """Return a teacher's lessons from a day on, the next first."""
    wanted = (
        select(Lesson, SchoolClass, ExerciseRow)
        .join(SchoolClass, SchoolClass.id == Lesson.class_id)
        .join(ExerciseRow, ExerciseRow.id == Lesson.exercise_id)
        .where(SchoolClass.owner_id == owner_id, Lesson.on_date >= since)
        .order_by(Lesson.on_date, Lesson.id)
        .limit(50)
    )
    return [(lesson, school_class, exercise) for lesson, school_class, exercise in db.execute(wanted)]


def remove_lesson(db: Session, owner_id: int, lesson_id: int) -> None:
    """Remove a planned lesson.

    Raises:
        NotFound: there is none.
    """
    row = db.get(Lesson, lesson_id)
    if row is None:
        raise NotFound("lesson")
    get_class(db, owner_id, row.class_id)
    db.delete(row)
