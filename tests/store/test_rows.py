"""Classes, lessons and piles in the database: limits, states, and what happens when something is removed."""

from collections.abc import Iterator
from datetime import date, datetime, timedelta

import pytest
from sqlalchemy import update
from sqlalchemy.orm import Session

from conftest import exercise_of
from orthopsis.store import classes, exercises, piles, teachers
from orthopsis.store.clock import KEPT_REMOVED, now
from orthopsis.store.engine import Sessions
from orthopsis.store.errors import NotFound, Refused, Stale
from orthopsis.store.exercises import versions_to_drop
from orthopsis.store.models import ExerciseVersion, Teacher


@pytest.fixture
def db(sessions: Sessions) -> Iterator[Session]:
    """A session whose work is thrown away."""
    with sessions() as session:
        yield session
        session.rollback()


@pytest.fixture
def owner(db: Session) -> Teacher:
    """A teacher."""
    return teachers.add_teacher(db, "rows", "Rows", "net-and-gull-3")


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
        classes.plan_lesson(db, owner.id, classes.LessonPlan(row.id, exercise.id, date(2026, 3, day)))
    listed = classes.list_lessons(db, owner.id, date(2026, 3, 4))
    assert [lesson.on_date.day for lesson, _, _ in listed] == [6, 9]
    listed[0][0].removed_at = now()
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


def test_names_are_told_apart_by_their_accents_but_not_by_upper_and_lower_case(db: Session, owner: Teacher) -> None:
    row = classes.add_class(db, owner.id, "Terns")
    names = ["Muller", "Müller", "Mu\u0308ller", "MÜLLER", "José", "Jose"]
    listed = classes.add_students(db, owner.id, row.id, names)
    assert [s.alias for s in listed] == ["Muller", "Müller", "Müller (2)", "MÜLLER (3)", "José", "Jose"]
    assert classes.add_students(db, owner.id, row.id, names) == listed, "the same list again enters nobody"
    teachers.add_teacher(db, "jose", "Jose", "net-and-gull-8")
    other = teachers.add_teacher(db, "José", "José", "net-and-gull-9")
    assert teachers.check_password(db, " JOSÉ ", "net-and-gull-9") is other
    assert teachers.check_password(db, "jose", "net-and-gull-9") is None


def test_of_earlier_versions_a_day_is_kept_whole_and_less_of_what_is_older() -> None:
    today = datetime(2026, 3, 20, 12)
    each_hour = [(n, today - timedelta(hours=n / 2)) for n in range(2000, -1, -1)]
    dropped = set(versions_to_drop(each_hour, today))
    stay = [at for number, at in each_hour if number not in dropped]
    assert len([at for at in stay if today - at <= timedelta(days=1)]) == 49, "every half hour of the last day"
    of_week = [at for at in stay if timedelta(days=1) < today - at <= timedelta(days=7)]
    assert len({(at.date(), at.hour) for at in of_week}) == len(of_week) == 6 * 24
    older = [at for at in stay if today - at > timedelta(days=7)]
    assert len({at.date() for at in older}) == len(older) - 1, "one a day, and the first of all"
    assert each_hour[0][0] not in dropped
    assert versions_to_drop([], today) == []


def test_a_long_history_is_thinned_while_it_is_saved(db: Session, owner: Teacher) -> None:
    row = exercises.add_exercise(db, owner.id, exercise_of())
    db.execute(update(ExerciseVersion).values(saved_at=datetime(2025, 1, 1)))
    for number in range(1, 2 * exercises.THIN_EVERY):
        exercises.save_exercise(db, owner.id, row.id, exercise_of(title=f"State {number}"), number)
        if number <= 20:
            aged = update(ExerciseVersion).where(ExerciseVersion.version == number + 1)
            db.execute(aged.values(saved_at=datetime(2025, 1, 2, 8, number)))
    versions = [v.version for v in exercises.list_versions(db, owner.id, row.id)]
    assert versions == [*range(50, 21, -1), 21, 1]


def test_a_save_that_is_said_twice_is_one_save(db: Session, owner: Teacher) -> None:
    row = exercises.add_exercise(db, owner.id, exercise_of())
    first = exercises.save_exercise(db, owner.id, row.id, exercise_of(title="Mine"), 1, "a1").version
    assert exercises.save_exercise(db, owner.id, row.id, exercise_of(title="Mine"), 1, "a1").version == first == 2
    assert len(exercises.list_versions(db, owner.id, row.id)) == 2
    with pytest.raises(Stale):
        exercises.save_exercise(db, owner.id, row.id, exercise_of(title="Other"), 1, "b1")
    exercises.save_exercise(db, owner.id, row.id, exercise_of(title="Other"), 2, "b2")
    with pytest.raises(Stale):
        exercises.save_exercise(db, owner.id, row.id, exercise_of(title="Mine"), 1, "a1")


def test_a_deleted_exercise_leaves_the_sheets_that_were_kept(db: Session, owner: Teacher) -> None:
    row = classes.add_class(db, owner.id, "Terns")
    exercise = exercises.add_exercise(db, owner.id, exercise_of(title="Quay"))
    pile = piles.add_pile(db, owner.id, row.id, exercise.id)
    sheet = piles.add_sheet(db, pile.id, "a.jpg", "jpeg", b"x")
    sheet.state = "kept"
    with pytest.raises(Refused):
        exercises.delete_exercise(db, owner.id, exercise.id)
    exercises.put_away(db, owner.id, exercise.id, True)
    exercises.delete_exercise(db, owner.id, exercise.id)
    db.flush()
    db.expire_all()
    ((kept, of),) = piles.kept_sheets(db, row.id)
    assert (kept.id, of.exercise_id, of.document["title"]) == (sheet.id, None, "Quay")


def test_what_was_removed_is_deleted_for_good_only_after_a_while(db: Session, owner: Teacher) -> None:
    row = classes.add_class(db, owner.id, "Terns")
    exercise = exercises.add_exercise(db, owner.id, exercise_of())
    pile = piles.add_pile(db, owner.id, row.id, exercise.id)
    fresh, old = (piles.add_sheet(db, pile.id, f"{n}.jpg", "jpeg", b"x") for n in "ab")
    piles.queue_pile(db, pile.id)
    for sheet in (fresh, old):
        piles.take_off(db, sheet)
    old.removed_at = now() - KEPT_REMOVED - timedelta(hours=1)
    db.flush()
    assert piles.list_sheets(db, pile.id) == []
    assert piles.take_queued(db, 5) == []
    piles.purge_removed(db)
    piles.put_back(db, fresh)
    assert piles.list_sheets(db, pile.id) == [fresh]
    assert fresh.state == "waiting"
    with pytest.raises(NotFound):
        piles.get_sheet(db, owner.id, old.id)


def test_what_is_read_off_a_sheet_says_where_its_corners_were_and_leaves_the_teacher_s_own_note(
    db: Session, owner: Teacher
) -> None:
    terns = classes.add_class(db, owner.id, "Terns")
    exercise = exercises.add_exercise(db, owner.id, exercise_of())
    pile = piles.add_pile(db, owner.id, terns.id, exercise.id)
    sheet = piles.add_sheet(db, pile.id, "a.jpg", "jpeg", b"x")
    result = {
        "found_by": "marks", "confidence": 0.9, "corners": [[1, 2], [9, 2], [9, 8], [1, 8]], "strokes": [],
        "checked": {"note": "All your lines are right."},
    }  # fmt: skip
    piles.set_read(sheet, result)
    assert sheet.found_corners == result["corners"]
    assert (sheet.state, sheet.note) == ("read", "All your lines are right.")
    sheet.own_note, sheet.note = True, "Well seen."
    piles.set_read(sheet, {**result, "corners": []})
    assert sheet.found_corners is None
    assert sheet.note == "Well seen."
