"""Classes, their students by alias, and the lessons to come."""

import unicodedata
from collections import Counter
from collections.abc import Sequence
from dataclasses import dataclass
from datetime import date, time

from sqlalchemy import delete, select
from sqlalchemy.orm import Session

from orthopsis.store.clock import KEPT_REMOVED, now
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


def fates_of(known: Sequence[str], names: Sequence[str]) -> list[tuple[str, bool]]:
    """Return for each name of a list the alias that it stands for, and whether that is a new student.

    A name that is there is not entered again, so that a list can be brought in twice. Two of one name in a list are two
    students: the second is told apart by a number. Names that differ only in upper and lower case are one name; a name
    with an accent is another one than the name without.
    """
    taken = {_same(alias) for alias in known}
    times = Counter[str]()
    fates: list[tuple[str, bool]] = []
    for name in names:
        times[_same(name)] += 1
        count = times[_same(name)]
        alias = unicodedata.normalize("NFC", name if count == 1 else f"{name[:34]} ({count})")
        fates.append((alias, _same(alias) not in taken))
        taken.add(_same(alias))
    return fates


def _same(alias: str) -> str:
    return unicodedata.normalize("NFC", alias).casefold()


def add_students(db: Session, owner_id: int, class_id: int, names: Sequence[str]) -> list[Student]:
    """Add the students of a list that are not yet there, and return all students.

    Raises:
        Refused: the class would become too large.
    """
    get_class(db, owner_id, class_id)
    known = [s.alias for s in list_students(db, class_id)]
    fresh = [alias for alias, is_new in fates_of(known, names) if is_new]
    if len(known) + len(fresh) > MOST_STUDENTS:
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
    alias = unicodedata.normalize("NFC", " ".join(alias.split()))[:40]
    others = {_same(s.alias) for s in list_students(db, row.class_id) if s.id != row.id}
    if not alias or _same(alias) in others:
        raise Refused("alias_taken", "This alias is empty or taken in this class.", "Choose another one.")
    row.alias = alias
    return row


@dataclass(frozen=True, slots=True)
class LessonPlan:
    """What is planned for a lesson; ``at_time`` None where only the day is known."""

    class_id: int
    exercise_id: int
    on_date: date
    start_step: int = 1
    at_time: time | None = None
    remark: str = ""
    materials: str = ""


def plan_lesson(db: Session, owner_id: int, plan: LessonPlan, lesson_id: int | None = None) -> Lesson:
    """Plan a lesson, or change one that is planned.

    Raises:
        NotFound: class, exercise or lesson are not this teacher's.
    """
    get_class(db, owner_id, plan.class_id)
    get_exercise(db, owner_id, plan.exercise_id)
    row = Lesson() if lesson_id is None else get_lesson(db, owner_id, lesson_id)
    row.class_id, row.exercise_id, row.on_date, row.at_time = (
        plan.class_id, plan.exercise_id, plan.on_date, plan.at_time,
    )  # fmt: skip
    row.start_step, row.remark, row.materials = max(1, plan.start_step), plan.remark[:200], plan.materials[:400]
    db.add(row)
    db.flush()
    return row


def list_lessons(db: Session, owner_id: int, since: date) -> list[tuple[Lesson, SchoolClass, ExerciseRow]]:
    """Return a teacher's lessons from a day on, the next first."""
    wanted = (
        select(Lesson, SchoolClass, ExerciseRow)
        .join(SchoolClass, SchoolClass.id == Lesson.class_id)
        .join(ExerciseRow, ExerciseRow.id == Lesson.exercise_id)
        .where(SchoolClass.owner_id == owner_id, Lesson.on_date >= since, Lesson.removed_at.is_(None))
        .order_by(Lesson.on_date, Lesson.at_time, Lesson.id)
        .limit(50)
    )
    return [(lesson, school_class, exercise) for lesson, school_class, exercise in db.execute(wanted)]


def get_lesson(db: Session, owner_id: int, lesson_id: int) -> Lesson:
    """Return a lesson of this teacher, removed ones too.

    Raises:
        NotFound: there is none.
    """
    row = db.get(Lesson, lesson_id)
    if row is None:
        raise NotFound("lesson")
    get_class(db, owner_id, row.class_id)
    return row


def purge_removed(db: Session) -> None:
    """Delete the lessons for good that were removed more than a while ago."""
    db.execute(delete(Lesson).where(Lesson.removed_at < now() - KEPT_REMOVED))
