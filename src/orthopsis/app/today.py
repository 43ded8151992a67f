"""Today: the next lessons, the pile that waits, and who needs what."""

from datetime import date, time
from typing import Annotated

from fastapi import APIRouter
from pydantic import BaseModel, Field

from orthopsis.app.problems import PROBLEMS
from orthopsis.app.session import Db, Me
from orthopsis.app.shelf import picture_address
from orthopsis.core.check.answer import NOT_JUDGED, read_checked
from orthopsis.core.check.decided import MEANT, key_of
from orthopsis.core.document.document import read_exercise
from orthopsis.core.errors import GeometryError
from orthopsis.core.exercise.solve import draw
from orthopsis.core.wording.findings import TITLES, finding_title
from orthopsis.store import classes, exercises, piles
from orthopsis.store.clock import now
from orthopsis.store.errors import Refused
from orthopsis.store.models import ExerciseRow, Lesson, SchoolClass

router = APIRouter(prefix="/api", tags=["today"], responses=PROBLEMS)


class LessonLine(BaseModel):
    """A lesson to come, with the sheet and the step it starts from; ``problem`` where the sheet cannot be read."""

    id: int
    on_date: date
    at_time: time | None
    class_id: int
    class_name: str
    exercise_id: int
    exercise: str
    start_step: int
    steps: int
    step_title: str
    minutes: float
    remark: str
    materials: str
    picture: str
    problem: str


class PileLine(BaseModel):
    """A pile with what is left to do on it."""

    id: int
    class_name: str
    exercise: str
    waiting: int
    reading: int
    to_look_at: int
    kept: int


class NeedLine(BaseModel):
    """A student whose last kept sheet left something to practise."""

    class_id: int
    class_name: str
    alias: str
    finding: str
    exercise: str


class TodayAnswer(BaseModel):
    """The first screen."""

    lessons: list[LessonLine]
    piles: list[PileLine]
    needs: list[NeedLine]
    has_exercises: bool
    has_classes: bool


class LessonRequest(BaseModel):
    """A lesson to plan."""

    class_id: int
    exercise_id: int
    on_date: date
    at_time: time | None = None
    start_step: Annotated[int, Field(ge=1, le=1000)] = 1
    remark: Annotated[str, Field(max_length=200)] = ""
    materials: Annotated[str, Field(max_length=400)] = ""


@router.get("/today")
def today(since: date, db: Db, teacher: Me) -> TodayAnswer:
    """Return the first screen; ``since`` is the teacher's own date."""
    lessons = classes.list_lessons(db, teacher.id, since)
    own = classes.list_classes(db, teacher.id)
    has_exercises = bool(db.query(ExerciseRow.id).filter(ExerciseRow.owner_id == teacher.id).first())
    return TodayAnswer(
        lessons=[_lesson(*row) for row in lessons[:6]],
        piles=[line for line in pile_lines(db, teacher.id) if line.waiting or line.reading or line.to_look_at],
        needs=[need for c in own for need in _needs(db, c)][:12],
        has_exercises=has_exercises,
        has_classes=bool(own),
    )


@router.post("/lessons", status_code=201)
def plan_lesson(body: LessonRequest, db: Db, teacher: Me) -> LessonLine:
    """Plan a lesson."""
    _check_step(db, teacher.id, body)
    return _planned(db, classes.plan_lesson(db, teacher.id, _plan(body)))


@router.put("/lessons/{lesson_id}")
def change_lesson(lesson_id: int, body: LessonRequest, db: Db, teacher: Me) -> LessonLine:
    """Change a planned lesson."""
    _check_step(db, teacher.id, body)
    return _planned(db, classes.plan_lesson(db, teacher.id, _plan(body), lesson_id))


@router.delete("/lessons/{lesson_id}", status_code=204)
def remove_lesson(lesson_id: int, db: Db, teacher: Me) -> None:
    """Remove a planned lesson; for a while it can be had back."""
    classes.get_lesson(db, teacher.id, lesson_id).removed_at = now()
    db.commit()


@router.post("/lessons/{lesson_id}/back", status_code=204)
def have_lesson_back(lesson_id: int, db: Db, teacher: Me) -> None:
    """Have a lesson back that was removed."""
    classes.get_lesson(db, teacher.id, lesson_id).removed_at = None
    db.commit()


def _check_step(db: Db, owner_id: int, body: LessonRequest) -> None:
    """Refuse a lesson that would begin after the last step."""
    row = exercises.get_exercise(db, owner_id, body.exercise_id)
    count = max(1, len(draw(read_exercise(row.document)).steps))
    if body.start_step > count:
        raise Refused(
            "no_such_step", f"“{row.title}” has {count} steps, no step {body.start_step}.", "Choose one of them."
        )


def _plan(body: LessonRequest) -> classes.LessonPlan:
    return classes.LessonPlan(**body.model_dump())


def _planned(db: Db, row: Lesson) -> LessonLine:
    db.commit()
    return _lesson(row, db.get_one(SchoolClass, row.class_id), db.get_one(ExerciseRow, row.exercise_id))


def pile_lines(db: Db, owner_id: int) -> list[PileLine]:
    """Return all piles of a teacher with what is left to do."""
    result = []
    for pile in piles.list_piles(db, owner_id):
        states = piles.count_states(db, pile.id)
        school_class, exercise = db.get(SchoolClass, pile.class_id), db.get(ExerciseRow, pile.exercise_id or 0)
        result.append(
            PileLine(
                id=pile.id,
                class_name=school_class.name if school_class else "",
                exercise=exercise.title if exercise else str(pile.document["title"]),
                waiting=states.get("waiting", 0) + states.get("failed", 0),
                reading=states.get("queued", 0) + states.get("reading", 0),
                to_look_at=states.get("read", 0) + states.get("not_found", 0),
                kept=states.get("kept", 0),
            )
        )
    return result


def _lesson(row: Lesson, school_class: SchoolClass, exercise: ExerciseRow) -> LessonLine:
    try:
        steps, problem = draw(read_exercise(exercise.document)).steps, ""
    except GeometryError as error:
        steps, problem = [], str(error)
    start = min(max(row.start_step, 1), max(1, len(steps)))
    left = steps[start - 1 :]
    return LessonLine(
        id=row.id,
        on_date=row.on_date,
        at_time=row.at_time,
        class_id=school_class.id,
        class_name=school_class.name,
        exercise_id=exercise.id,
        exercise=exercise.title,
        start_step=start,
        steps=len(steps),
        step_title=left[0].title if left else "",
        minutes=sum(step.minutes for step in left),
        remark=row.remark,
        materials=row.materials,
        picture=picture_address(exercise),
        problem=problem,
    )


def _needs(db: Db, school_class: SchoolClass) -> list[NeedLine]:
    last = {sheet.student_id: (sheet, pile) for sheet, pile in piles.kept_sheets(db, school_class.id)}
    result = []
    for student in classes.list_students(db, school_class.id):
        if student.id not in last:
            continue
        sheet, pile = last[student.id]
        open_codes = [
            found.code
            for found in (read_checked(sheet.checked) or NOT_JUDGED).findings
            if found.code in TITLES and found.severity >= 2 and sheet.decisions.get(key_of(found)) != MEANT
        ]
        if open_codes:
            result.append(
                NeedLine(
                    class_id=school_class.id,
                    class_name=school_class.name,
                    alias=student.alias,
                    finding=finding_title(open_codes[0]),
                    exercise=str(pile.document["title"]),
                )
            )
    return result
