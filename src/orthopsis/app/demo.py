"""The demonstration: a made-up harbour school with two classes, a shelf and two piles.

Figures, names and photos are made up; photos come from the simulated document camera.
"""

from collections.abc import Callable, Sequence
from concurrent.futures import ProcessPoolExecutor
from datetime import timedelta
from multiprocessing import get_context
from typing import Any

from sqlalchemy.orm import Session

from orthopsis.app.reading import read_and_check
from orthopsis.core.exercise.document import Exercise, read_exercise
from orthopsis.paperwork.marks import SheetCode
from orthopsis.scan.simulate import SMALL, simulate_photo
from orthopsis.store import classes, exercises, piles, teachers
from orthopsis.store.clock import now
from orthopsis.store.models import ExerciseRow, Pile, SchoolClass, SheetRow, Student

DEMO_LOGIN = "harbour"
DEMO_PASSWORD = "quayside"
DEMO_NAME = "Harbour School"
_HEAD = {"schema": "orthopsis/exercise/1", "light": "left"}


def _box(name: str, left: float, bottom: float, width: float, height: float, **more: Any) -> dict[str, Any]:
    return {
        "kind": "box",
        "name": name,
        "left": left,
        "bottom": bottom,
        "width": width,
        "height": height,
        **more,
    }


def _cube(name: str, left: float, bottom: float, side: float) -> dict[str, Any]:
    return _box(name, left, bottom, side, side, depth_by="cube", look="see_through")


def _measured(mm: float) -> dict[str, Any]:
    return {"depth_by": "measured", "depth": mm}


_INCH = 25.4
DEMO_EXERCISES: tuple[dict[str, Any], ...] = (
    {
        **_HEAD,
        "title": "Three crates: below, on and above",
        "eye_level": {"height_mm": 160, "school": "exercise"},
        "views": [{"kind": "one_point", "x_mm": 225}],
        "things": [
            _box("Quay crate", 46, 34, 84, 62, **_measured(72)),
            _box("Tall crate", 330, 96, 58, 112, **_measured(52)),
            _box("Hanging crate", 138, 222, 66, 46, depth_by="half"),
        ],
    },
    {
        **_HEAD,
        "title": "See-through cubes",
        "eye_level": {"height_mm": 148, "school": "exercise"},
        "views": [{"kind": "one_point", "x_mm": 210, "distance_mm": 210}],
        "things": [
            _cube("Left cube", 108, 62, 52),
            _cube("Right cube", 276, 58, 44),
            _cube("Upper cube", 246, 196, 40),
        ],
        "wording": {"level": "oldest"},
    },
    {
        **_HEAD,
        "title": "A row on the quay",
        "eye_level": {"height_mm": 190, "school": "composition"},
        "views": [{"kind": "one_point", "x_mm": 320}],
        "things": [
            _box("First crate", 30, 30, 80, 70, **_measured(55)),
            _box("Second crate", 117, 78, 56, 49, **_measured(38)),
            _box("Third crate", 178, 112, 39, 34, **_measured(27)),
        ],
    },
    {
        **_HEAD,
        "title": "Boxes in the net loft",
        "sheet": {"paper": "12 x 18 in", "orientation": "landscape", "units": "in", "division": "1/8 in"},
        "eye_level": {"height_mm": 4 * _INCH, "school": "composition"},
        "views": [{"kind": "one_point", "x_mm": 8.5 * _INCH}],
        "things": [
            _box("Float box", 2 * _INCH, 7.25 * _INCH, 3 * _INCH, 2.25 * _INCH, **_measured(2.5 * _INCH)),
            _box("Rope chest", 12.5 * _INCH, 1 * _INCH, 3.5 * _INCH, 2 * _INCH, depth_by="half"),
            _box(
                "Open frame",
                7.5 * _INCH,
                3 * _INCH,
                2.5 * _INCH,
                2.25 * _INCH,
                depth_by="half",
                look="see_through",
            ),
        ],
        "wording": {"vocabulary": "horizon", "level": "youngest"},
    },
)


def load_demo(db: Session, say: Callable[[str], None]) -> None:
    """Load the demonstration into an empty database; one transaction, so that it is there whole or not at all."""
    teacher = teachers.add_teacher(db, DEMO_LOGIN, DEMO_NAME, DEMO_PASSWORD, is_demo=True)
    rows = [exercises.add_exercise(db, teacher.id, read_exercise(document)) for document in DEMO_EXERCISES]
    terns = classes.add_class(db, teacher.id, "Terns")
    puffins = classes.add_class(db, teacher.id, "Puffins")
    tern_list = classes.add_students(db, teacher.id, terns.id, [f"Tern {n}" for n in range(1, 25)])
    puffin_list = classes.add_students(db, teacher.id, puffins.id, [f"Puffin {n}" for n in range(1, 21)])
    say("photographing the demonstration's made-up sheets")
    with ProcessPoolExecutor(2, mp_context=get_context("spawn")) as pool:
        _judged_pile(db, pool, puffins, rows[2], puffin_list[:10], teacher.id)
        _waiting_pile(db, pool, terns, rows[0], tern_list, teacher.id)
    today = now().date()
    plan = ((terns, rows[1], 1, 1), (puffins, rows[0], 2, 6), (terns, rows[3], 8, 1))
    for school_class, row, days, step in plan:
        classes.add_lesson(db, teacher.id, school_class.id, row.id, today + timedelta(days=days), step)
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
    piles.set_read(sheet, result["found_by"], result["confidence"], result["strokes"], result["checked"])
    piles.set_picture(db, sheet.id, "flat", result["flat"])
    sheet.state, sheet.kept_at = "kept", now() - timedelta(days=3)
