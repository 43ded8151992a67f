"""Classes, lessons and piles in the database: limits, states, and what happens when something is removed."""

from collections.abc import Iterator
from datetime import date

import pytest
from sqlalchemy.orm import Session

from conftest import exercise_of
from orthopsis.store import classes, exercises, piles, teachers
from orthopsis.store.engine import Sessions
from orthopsis.store.errors import NotFound, Refused
from orthopsis.store.models import Teacher


@pytest.fixture
def db(sessions: Sessions) -> Iterator[Session]:
    """A session whose work is thrown away."""
    with sessions() as session:
        yield session
        session.rollback()


@pytest.fixture
def owner(db: Session) -> Teacher:
    """A teacher."""
    return teachers.add_teacher(db, "rows", "Rows", "password-3")


def test_aliases_are_entered_once_whatever_their_case(db: Session, owner: Teacher) -> None:
    row = classes.add_class(db, owner.id, "Terns")
    first = classes.add_students(db, owner.id, row.id, ["Tern 1", "Tern 2"])
    again = classes.add_students(db, owner.id, row.id, ["tern 1", "Tern 3"])
    assert [s.alias for s in again] == ["Tern 1", "Tern 2", "Tern 3"]
    assert len({s.code for s in again}) == 3
    with pytest.raises(Refused):
        classes.rename_student(db, owner.id, first[0].id, "TERN 2")
    with pytest.raises(Refused):
        classes.add_students(db, owner.id, row.id, [f"More {n}" for n in range(80)])


def test_lessons_are_listed_from_a_day_on_the_next_first(db: Session, owner: Teacher) -> None:
    row = classes.add_class(db, owner.id, "Terns")
    exercise = exercises.add_exercise(db, owner.id, exercise_of())
    for day in (9, 3, 6):
        classes.add_lesson(db, owner.id, row.id, exercise.id, date(2026, 3, day), 1)
    listed = classes.list_lessons(db, owner.id, date(2026, 3, 4))
    assert [lesson.on_date.day for lesson, _, _ in listed] == [6, 9]
    classes.remove_lesson(db, owner.id, listed[0][0].id)
    assert len(classes.list_lessons(db, owner.id, date(2026, 3, 1))) == 2


def test_a_pile_is_queued_stopped_and_taken_up_after_a_crash(db: Session, owner: Teacher) -> None:
    row = classes.add_class(db, owner.id, "Terns")
    exercise = exercises.add_exercise(db, owner.id, exercise_of(title="Then"))
    pile = piles.add_pile(db, owner.id, row.id, exercise.id)
    for n in range(4):
        piles.add_sheet(db, pile.id, f"{n}.jpg", "jpeg", b"x")
    assert piles.queue_pile(db, pile.id) == 4
    taken = piles.take_queued(db, 2)
    db.flush()
    assert len(taken) == 2
    assert piles.cancel_pile(db, pile.id) == 2
    db.expire_all()
    assert piles.count_states(db, pile.id) == {"reading": 2, "waiting": 2}
    piles.requeue_interrupted(db)
    assert piles.count_states(db, pile.id) == {"queued": 2, "waiting": 2}
    exercises.save_exercise(db, owner.id, exercise.id, exercise_of(title="Now"), 1)
    assert piles.get_pile(db, owner.id, pile.id).document["title"] == "Then", "a pile keeps what was drawn"


def test_removing_a_student_leaves_the_sheet_and_removing_a_class_takes_all(db: Session, owner: Teacher) -> None:
    row = classes.add_class(db, owner.id, "Terns")
    student = classes.add_students(db, owner.id, row.id, ["Tern 1"])[0]
    exercise = exercises.add_exercise(db, owner.id, exercise_of())
    pile = piles.add_pile(db, owner.id, row.id, exercise.id)
    sheet = piles.add_sheet(db, pile.id, "a.jpg", "jpeg", b"x", student.id)
    sheet_id, pile_id = sheet.id, pile.id
    db.flush()
    db.delete(student)
    db.flush()
    db.expire_all()
    assert piles.get_sheet(db, owner.id, sheet_id).student_id is None
    db.delete(classes.get_class(db, owner.id, row.id))
    db.flush()
    db.expire_all()
    with pytest.raises(NotFound):
        piles.get_pile(db, owner.id, pile_id)
