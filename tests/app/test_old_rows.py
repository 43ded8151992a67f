"""Rows that an earlier version wrote are shown and worked with; what cannot be read of them closes nothing else."""

from typing import Any

import pytest
from fastapi.testclient import TestClient
from sqlalchemy import update
from test_check_and_register import pile_of, read_all

from orthopsis import __version__
from orthopsis.core.document.document import Exercise
from orthopsis.store.engine import Sessions
from orthopsis.store.models import ExerciseRow, ExerciseVersion, Pile, SheetRow

FIRST: dict[str, Any] = {
    "schema": "orthopsis/exercise/1",
    "title": "From an earlier year",
    "eye_level": {"height_mm": 150},
    "views": [{"kind": "one_point", "x_mm": 210, "distance_mm": 300}],
    "things": [
        {"kind": "box", "name": "Low", "left": 40, "bottom": 30, "width": 80, "height": 60},
        {"kind": "gable_roof", "name": "Roof", "joined_to": "Low", "joined_by": "face_front", "rise": 20},
    ],
    "steps": [{"step": "Low/front", "text": "Draw its front."}],
}
"""As version 1 wrote it: things joined by name, steps known by a text."""


@pytest.fixture
def judged(teacher: TestClient, crates: Exercise, empty: Sessions) -> tuple[int, int, int, int]:
    """An exercise, a class, its pile, and a sheet of it that was judged; all documents as version 1 had them."""
    exercise, school_class, pile = pile_of(teacher, crates)
    svg = teacher.get(f"/api/exercises/{exercise}/file.svg").content
    teacher.post(f"/api/piles/{pile}/sheets", files={"file": ("a.svg", svg)}).raise_for_status()
    (sheet,) = read_all(teacher, pile)
    (student, *_) = teacher.get(f"/api/classes/{school_class}").json()["students"]
    of = {"student_id": student["id"]}
    teacher.put(f"/api/sheets/{sheet['id']}/student", json=of).raise_for_status()
    with empty.begin() as db:
        db.execute(update(ExerciseRow).values(document=FIRST))
        db.execute(update(ExerciseVersion).values(document=FIRST))
        db.execute(update(Pile).values(document=FIRST))
    return exercise, school_class, pile, int(sheet["id"])


def shown(teacher: TestClient, judged: tuple[int, int, int, int]) -> dict[str, int]:
    """Return the answers of all that shows a judgement."""
    exercise, school_class, pile, sheet = judged
    addresses = (
        "/api/today?since=2026-01-05", f"/api/classes/{school_class}", f"/api/piles/{pile}", f"/api/sheets/{sheet}",
        f"/api/piles/{pile}/picture", f"/api/piles/{pile}/notes.pdf", f"/api/exercises/{exercise}", "/api/exercises",
    )  # fmt: skip
    return {address: teacher.get(address).status_code for address in addresses}


def test_an_exercise_of_an_earlier_version_is_opened_saved_and_gone_back_to(
    teacher: TestClient, judged: tuple[int, int, int, int]
) -> None:
    exercise = judged[0]
    kept = teacher.get(f"/api/exercises/{exercise}").json()
    drawn = teacher.post("/api/desk/draw", json={"exercise": kept["exercise"]}).json()
    assert drawn["exercise"]["schema"] == "orthopsis/exercise/2"
    assert drawn["exercise"]["things"][1]["joined_to"] == drawn["exercise"]["things"][0]["id"]
    assert "Draw its front." in [step["text"] for step in drawn["drawing"]["steps"]]
    body = {"base_version": kept["version"], "exercise": drawn["exercise"]}
    assert teacher.put(f"/api/exercises/{exercise}", json=body).status_code == 200
    (line, *_) = teacher.get(f"/api/exercises/{exercise}/versions").json()[-1:]
    earlier = teacher.get(f"/api/exercises/{exercise}/versions/{line['version']}")
    assert earlier.status_code == 200


def test_a_judgement_says_by_which_version_it_was_made(teacher: TestClient, judged: tuple[int, int, int, int]) -> None:
    assert teacher.get(f"/api/sheets/{judged[3]}").json()["checked"]["made_by"] == __version__


@pytest.mark.parametrize(
    "stored",
    [
        {"of": "another age"},
        {"vanishing_points": {}, "lines": [], "missing": [], "findings": [], "note": "As it was."},
        {
            "vanishing_points": {}, "lines": [], "missing": [], "note": "",
            "findings": [
                {"code": "no_longer_said", "severity": 3, "title": "?", "text": "?", "lines": [], "about": "Low.front"}
            ],
        },
    ],
    ids=["unreadable", "without new fields", "with a code that is not known any more"],
)  # fmt: skip
def test_old_judgements_never_fail_to_show(
    teacher: TestClient, judged: tuple[int, int, int, int], empty: Sessions, stored: dict[str, Any]
) -> None:
    with empty.begin() as db:
        db.execute(update(SheetRow).values(checked=stored, state="kept"))
    answers = shown(teacher, judged)
    assert set(answers.values()) == {200}, answers
    # What is done to such a sheet is done, or refused with words.
    sheet = judged[3]
    for act in (
        teacher.post(f"/api/sheets/{sheet}/keep", json={}),
        teacher.post(f"/api/sheets/{sheet}/decide", json={"key": "no_longer_said:Low.front", "decision": "meant"}),
    ):
        assert act.status_code < 500
        assert act.status_code == 200 or act.json()["why"] or act.json()["detail"]
