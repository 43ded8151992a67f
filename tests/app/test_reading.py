"""Piles are read whatever happens to the processes that read them."""

import os
import signal
import time
from typing import Any

import pytest
from fastapi.testclient import TestClient
from processes import children_of
from sqlalchemy import update
from test_check_and_register import pile_of, read_all

from orthopsis.app import reading
from orthopsis.app.reading import Reader
from orthopsis.core.document.document import Exercise
from orthopsis.store.engine import Sessions
from orthopsis.store.models import Pile


def lines(teacher: TestClient, pile: int, count: int, exercise: int) -> None:
    """Put sheets on a pile that are quick to read: they came as lines."""
    svg = teacher.get(f"/api/exercises/{exercise}/file.svg").content
    for number in range(count):
        teacher.post(f"/api/piles/{pile}/sheets", files={"file": (f"{number}.svg", svg)}).raise_for_status()


def test_a_pile_is_read_after_an_idle_process_was_killed(teacher: TestClient, crates: Exercise) -> None:
    exercise, _, pile = pile_of(teacher, crates)
    lines(teacher, pile, 1, exercise)
    assert [s["state"] for s in read_all(teacher, pile)] == ["read"]
    processes = children_of(os.getpid())
    assert processes
    for process in processes:
        os.kill(process, signal.SIGKILL)
    lines(teacher, pile, 2, exercise)
    assert [s["state"] for s in read_all(teacher, pile)] == ["read"] * 3


def slow_to_read(*_: Any) -> dict[str, Any]:
    """Stand in for a picture that is never done."""
    time.sleep(60)
    return {}


def killed_while_reading(*_: Any) -> dict[str, Any]:
    """Stand in for a picture that breaks its reader."""
    os.kill(os.getpid(), signal.SIGKILL)
    return {}


@pytest.mark.parametrize(("job", "said"), [(slow_to_read, "takes too long"), (killed_while_reading, "broke off 3")])
def test_a_sheet_that_cannot_be_read_is_told_so_and_the_others_go_on(
    client: TestClient,
    teacher: TestClient,
    crates: Exercise,
    empty: Sessions,
    monkeypatch: pytest.MonkeyPatch,
    job: Any,
    said: str,
) -> None:
    exercise, _, pile = pile_of(teacher, crates)
    lines(teacher, pile, 1, exercise)
    client.app.state.reader.stop()
    monkeypatch.setattr(reading, "read_and_check", job)
    impatient = Reader(empty, 1, most_s=0.5)
    impatient.start()
    (sheet,) = read_all(teacher, pile)
    assert sheet["state"] == "failed"
    assert said in sheet["problem"]
    monkeypatch.undo()
    lines(teacher, pile, 1, exercise)
    sheets = read_all(teacher, pile)
    impatient.stop()
    assert [s["state"] for s in sheets] == ["read", "read"], "and the first one is read when it is tried again"


def test_a_pile_whose_exercise_cannot_be_read_does_not_stop_the_others(
    teacher: TestClient, crates: Exercise, empty: Sessions
) -> None:
    exercise, school_class, broken = pile_of(teacher, crates)
    pair = {"class_id": school_class, "exercise_id": exercise}
    whole = teacher.post("/api/piles", json=pair).json()["sheets"]
    for pile in (broken, whole):
        lines(teacher, pile, 1, exercise)
    with empty.begin() as db:
        db.execute(update(Pile).where(Pile.id == broken).values(document={"schema": "orthopsis/exercise/99"}))
    teacher.post(f"/api/piles/{broken}/read").raise_for_status()
    assert [s["state"] for s in read_all(teacher, whole)] == ["read"]
