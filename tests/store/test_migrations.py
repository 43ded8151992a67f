"""A database that an earlier program made is carried over without loss, whatever its character set."""

from collections.abc import Iterator
from datetime import datetime

import pytest
from alembic import command
from alembic.autogenerate import compare_metadata
from alembic.migration import MigrationContext
from sqlalchemy import Engine, text

from conftest import exercise_of
from orthopsis.store import classes, exercises, guesses, piles, teachers
from orthopsis.store.engine import open_engine, open_sessions
from orthopsis.store.errors import Refused
from orthopsis.store.migrate import migrate, migration_config
from orthopsis.store.models import Base, Pile
from orthopsis.store.server import PrivateServer


@pytest.fixture(params=["utf8mb4", "latin1"])
def oldest(request: pytest.FixtureRequest, server: PrivateServer) -> Iterator[Engine]:
    """A database as the first program left it, with a teacher, a class, an exercise and a kept sheet."""
    name = f"oldest_{request.param}"
    main = open_engine(server.url)
    with main.begin() as connection:
        connection.exec_driver_sql(f"DROP DATABASE IF EXISTS {name}")
        connection.exec_driver_sql(f"CREATE DATABASE {name} CHARACTER SET {request.param}")
    engine = open_engine(server.url.replace("/orthopsis?", f"/{name}?"))
    command.upgrade(migration_config(engine), "0001")
    rows = {
        "teacher": {
            "login": "ada", "name": "Ada", "password_hash": "x", "is_first": 1, "is_demo": 0,
            "created_at": NOW,
        },
        "school_class": {"owner_id": 1, "name": "Terns", "created_at": NOW},
        "student": {"class_id": 1, "alias": "Muller", "code": "AB23CD"},
        "exercise": {
            "owner_id": 1, "title": "Quay", "document": exercise_of(title="Quay").model_dump_json(by_alias=True),
            "version": 1, "code": "ABCD2345", "is_put_away": 0, "updated_at": NOW,
        },
        "pile": {"class_id": 1, "exercise_id": 1, "document": '{"title": "Quay"}', "created_at": NOW},
        "lesson": {"class_id": 1, "exercise_id": 1, "on_date": "2026-03-02", "start_step": 2, "remark": ""},
        "sheet": {
            "pile_id": 1, "student_id": 1, "file_name": "a.jpg", "form": "jpeg", "state": "kept", "problem": "",
            "found_by": "marks", "confidence": 1.0, "decisions": "{}", "note": "Well done.", "remark": "",
            "added_at": NOW,
        },
    }  # fmt: skip
    with engine.begin() as connection:
        for table, row in rows.items():
            columns = ", ".join(row)
            places = ", ".join(f":{column}" for column in row)
            connection.execute(text(f"INSERT INTO {table} ({columns}) VALUES ({places})"), row)
    yield engine
    engine.dispose()
    with main.begin() as connection:
        connection.exec_driver_sql(f"DROP DATABASE {name}")
    main.dispose()


NOW = datetime(2026, 3, 1, 8)


def test_the_oldest_database_is_carried_over_whole(oldest: Engine) -> None:
    migrate(oldest)
    with oldest.connect() as connection:
        assert compare_metadata(MigrationContext.configure(connection), Base.metadata) == []
    with open_sessions(oldest)() as db:
        (teacher,) = teachers.list_teachers(db)
        with pytest.raises(Refused, match="first teacher already"):
            teachers.add_first_teacher(db, "eve", "Eve", "puffin-and-auk")
        listed = classes.add_students(db, teacher.id, 1, ["Muller", "Müller", "山田", "Łukasz 🐦"])
        assert [s.alias for s in listed] == ["Muller", "Müller", "山田", "Łukasz 🐦"]
        ((lesson, _, exercise),) = classes.list_lessons(db, teacher.id, NOW.date())
        assert (lesson.start_step, lesson.at_time, exercise.title) == (2, None, "Quay")
        exercises.put_away(db, teacher.id, 1, True)
        exercises.delete_exercise(db, teacher.id, 1)
        db.flush()
        db.expire_all()
        ((sheet, pile),) = piles.kept_sheets(db, 1)
        assert sheet.note == "Well done."
        assert db.get_one(Pile, pile.id).exercise_id is None
        guesses.note_wrong_try(db, "ada", "")
        db.rollback()
