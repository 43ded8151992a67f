"""The demonstration: a made-up harbour school with two classes, a shelf and two piles.

Figures, names and photos are made up; photos come from the simulated document camera.
"""

from collections.abc import Callable, Sequence
from concurrent.futures import ProcessPoolExecutor
from datetime import time, timedelta
from multiprocessing import get_context
from typing import Any

from sqlalchemy.orm import Session

from orthopsis.app.reading import read_and_check
from orthopsis.core.document.document import Exercise, read_exercise
from orthopsis.core.document.ready import READY
from orthopsis.core.exercise.parts import part_of
from orthopsis.paperwork.marks import SheetCode
from orthopsis.scan.simulate import SMALL, simulate_photo
from orthopsis.store import classes, exercises, parts, piles, teachers
from orthopsis.store.clock import now
from orthopsis.store.models import ExerciseRow, Pile, SchoolClass, SheetRow, Student

DEMO_LOGIN = "harbour"
DEMO_PASSWORD = "quayside"
DEMO_NAME = "Harbour School"


def load_demo(db: Session, say: Callable[[str], None]) -> None:
    """Load the demonstration into an empty database; one transaction, so that it is there whole or not at all."""
    teacher = teachers.add_teacher(db, DEMO_LOGIN, DEMO_NAME, DEMO_PASSWORD, is_demo=True)
    rows = [exercises.add_exercise(db, teacher.id, read_exercise(document)) for document in READY]
    table = read_exercise(next(row.document for row in rows if "table" in row.title))
    parts.keep_part(db, teacher.id, part_of(table, range(len(table.things)), "Work table"))
    terns = classes.add_class(db, teacher.id, "Terns")
    puffins = classes.add_class(db, teacher.id, "Puffins")
    tern_list = classes.add_students(db, teacher.id, terns.id, [f"Tern {n}" for n in range(1, 25)])
    puffin_list = classes.add_students(db, teacher.id, puffins.id, [f"Puffin {n}" for n in range(1, 21)])
    say("photographing the demonstration's made-up sheets")
    with ProcessPoolExecutor(2, mp_context=get_context("spawn")) as pool:
        _judged_pile(db, pool, puffins, rows[2], puffin_list[:10], teacher.id)
        _waiting_pile(db, pool, terns, rows[0], tern_list, teacher.id)
    today = now().date()
    plans = (
        (terns, rows[1], 1, 1, time(8, 30)),
        (puffins, rows[0], 2, 6, time(10, 15)),
        (terns, rows[3], 8, 1, time(8, 30)),
    )
    for school_class, row, days, step, at in plans:
        plan = classes.LessonPlan(school_class.id, row.id, today + timedelta(days=days), step, at)
        classes.plan_lesson(db, teacher.id, plan)
    db.commit()


def _photos(
    pool: ProcessPoolExecutor, row: ExerciseRow, students: Sequence[Student], seed: int
) -> list[tuple[Student, bytes]]:
    jobs = [
        (student, pool.submit(_photo, row.document, SheetCode(row.code, student.code, 1), seed + i))
        for i, student in enumerate(students)
    ]
    return [(student, job.result()) for student, job in jobs]


def _photo(document: dict[str, Any], code: SheetCode, seed: int) -> bytes:
    return simulate_photo(Exercise.model_validate(document), code, seed, camera=SMALL).jpeg


def _waiting_pile(
    db: Session,
    pool: ProcessPoolExecutor,
    school_class: SchoolClass,
    row: ExerciseRow,
    students: list[Student],
    owner: int,
) -> Pile:
    pile = piles.add_pile(db, owner, school_class.id, row.id)
    for number, (_, photo) in enumerate(_photos(pool, row, students, 4100), start=1):
        piles.add_sheet(db, pile.id, f"photo {number:02}.jpg", "jpeg", photo)
    return pile


def _judged_pile(
    db: Session,
    pool: ProcessPoolExecutor,
    school_class: SchoolClass,
    row: ExerciseRow,
    students: list[Student],
    owner: int,
) -> None:
    pile = piles.add_pile(db, owner, school_class.id, row.id)
    photos = _photos(pool, row, students, 5200)
    results = [pool.submit(read_and_check, photo, row.document, None) for _, photo in photos]
    for number, ((student, photo), job) in enumerate(zip(photos, results, strict=True), start=1):
        sheet = piles.add_sheet(db, pile.id, f"photo {number:02}.jpg", "jpeg", photo, student.id)
        _keep(db, sheet, job.result())


def _keep(db: Session, sheet: SheetRow, result: dict[str, Any]) -> None:
    if result["state"] != "read":
        sheet.state, sheet.problem = result["state"], result["problem"]
        return
    piles.set_read(sheet, result)
    piles.set_picture(db, sheet.id, "flat", result["flat"])
    sheet.state, sheet.kept_at = "kept", now() - timedelta(days=3)
