"""What was removed can be had back, what cannot be read closes nothing else, what was drawn is not drawn again."""

from typing import Any

import pytest
from fastapi.testclient import TestClient
from sqlalchemy import update
from test_check_and_register import pile_of
from test_shelf_and_desk import added

from conftest import box, exercise_of
from orthopsis.app import shelf
from orthopsis.core.document.document import Exercise
from orthopsis.store.engine import Sessions
from orthopsis.store.models import ExerciseRow

DAY = {"since": "2026-01-05"}


def test_one_exercise_that_cannot_be_read_closes_neither_the_shelf_nor_today(
    teacher: TestClient, crates: Exercise, empty: Sessions
) -> None:
    whole, strange, newer = (added(teacher, crates) for _ in range(3))
    school_class = teacher.post("/api/classes", json={"name": "Terns"}).json()["id"]
    for exercise in (whole, strange, newer):
        body = {"class_id": school_class, "exercise_id": exercise, "on_date": "2026-02-03"}
        teacher.post("/api/lessons", json=body).raise_for_status()
    with empty.begin() as db:
        for number, document in ((strange, {**crates.document(), "x": 1}), (newer, {"schema": "orthopsis/exercise/9"})):
            db.execute(update(ExerciseRow).where(ExerciseRow.id == number).values(document=document))
            db.execute(
                ExerciseRow.__table__.update().where(ExerciseRow.id == number).values(version=ExerciseRow.version + 1)
            )
    lines = {line["id"]: line for line in teacher.get("/api/exercises").json()}
    assert lines[whole]["problem"] == ""
    assert "x" in lines[strange]["problem"]
    assert "newer Orthopsis" in lines[newer]["problem"]
    assert [teacher.get(lines[n]["picture"]).status_code for n in (whole, strange, newer)] == [200, 422, 422]
    lessons = teacher.get("/api/today", params=DAY).json()["lessons"]
    assert {lesson["exercise_id"]: bool(lesson["problem"]) for lesson in lessons} == {
        whole: False, strange: True, newer: True,
    }  # fmt: skip


def test_the_shelf_draws_nothing_that_was_drawn_before(
    teacher: TestClient, crates: Exercise, monkeypatch: pytest.MonkeyPatch
) -> None:
    number = added(teacher, crates)
    body = {"base_version": 1, "exercise": {**crates.document(), "title": "Second"}}
    teacher.put(f"/api/exercises/{number}", json=body).raise_for_status()

    def draws(*_: Any) -> None:
        raise AssertionError("it was drawn again")

    monkeypatch.setattr(shelf, "draw_picture", draws)
    monkeypatch.setattr(shelf, "draw", draws)
    (line,) = teacher.get("/api/exercises").json()
    assert (line["title"], line["version"], line["views"]) == ("Second", 2, ["one_point"])
    svg = teacher.get(line["picture"])
    assert svg.headers["content-type"] == "image/svg+xml"
    assert svg.text.count("<path") > 4


def test_a_lesson_is_planned_with_hour_and_note_changed_removed_and_had_back(
    teacher: TestClient, crates: Exercise
) -> None:
    exercise = added(teacher, crates)
    school_class = teacher.post("/api/classes", json={"name": "Terns"}).json()["id"]
    body = {"class_id": school_class, "exercise_id": exercise, "on_date": "2026-02-03", "at_time": "10:15:00"}
    lesson = teacher.post("/api/lessons", json={**body, "remark": "Half the class", "materials": "Tape"}).json()
    early = teacher.post("/api/lessons", json={**body, "at_time": "08:30:00"}).json()
    late = teacher.post("/api/lessons", json={**body, "start_step": 99})
    assert late.status_code == 409
    assert "no step 99" in late.json()["why"]
    listed = teacher.get("/api/today", params=DAY).json()["lessons"]
    assert [line["id"] for line in listed] == [early["id"], lesson["id"]], "by the hour"
    assert (listed[1]["remark"], listed[1]["materials"]) == ("Half the class", "Tape")
    teacher.put(
        f"/api/lessons/{lesson['id']}", json={**body, "at_time": "07:45:00", "start_step": 3}
    ).raise_for_status()
    listed = teacher.get("/api/today", params=DAY).json()["lessons"]
    assert [(line["id"], line["start_step"]) for line in listed] == [(lesson["id"], 3), (early["id"], 1)]
    teacher.delete(f"/api/lessons/{lesson['id']}").raise_for_status()
    assert [line["id"] for line in teacher.get("/api/today", params=DAY).json()["lessons"]] == [early["id"]]
    teacher.post(f"/api/lessons/{lesson['id']}/back").raise_for_status()
    assert len(teacher.get("/api/today", params=DAY).json()["lessons"]) == 2


def test_a_sheet_taken_off_the_pile_can_be_put_back_with_all_that_was_known_of_it(
    teacher: TestClient, second: TestClient, crates: Exercise
) -> None:
    exercise, _, pile = pile_of(teacher, crates)
    svg = teacher.get(f"/api/exercises/{exercise}/file.svg").content
    sheet = teacher.post(f"/api/piles/{pile}/sheets", files={"file": ("a.svg", svg)}).json()["id"]
    before = teacher.get(f"/api/sheets/{sheet}").json()
    teacher.delete(f"/api/sheets/{sheet}").raise_for_status()
    assert teacher.get(f"/api/piles/{pile}").json()["sheets"] == []
    assert second.post(f"/api/sheets/{sheet}/back").status_code == 404
    teacher.post(f"/api/sheets/{sheet}/back").raise_for_status()
    assert teacher.get(f"/api/sheets/{sheet}").json() == before


def test_a_save_whose_answer_was_lost_is_no_quarrel_with_oneself(teacher: TestClient, crates: Exercise) -> None:
    number = added(teacher, crates)
    body = {"base_version": 1, "exercise": {**crates.document(), "title": "Mine"}, "save_id": "w1-1"}
    first = teacher.put(f"/api/exercises/{number}", json=body)
    again = teacher.put(f"/api/exercises/{number}", json=body)
    assert (first.json(), again.status_code) == (again.json(), 200)
    other = {**body, "save_id": "w2-1", "exercise": {**crates.document(), "title": "Another window"}}
    assert teacher.put(f"/api/exercises/{number}", json=other).status_code == 409


def test_an_exercise_is_deleted_for_good_only_from_what_is_put_away(teacher: TestClient, crates: Exercise) -> None:
    exercise, school_class, pile = pile_of(teacher, crates)
    body = {"class_id": school_class, "exercise_id": exercise, "on_date": "2026-02-03"}
    teacher.post("/api/lessons", json=body).raise_for_status()
    assert teacher.delete(f"/api/exercises/{exercise}").status_code == 409
    teacher.post(f"/api/exercises/{exercise}/away", json={"put_away": True}).raise_for_status()
    assert teacher.delete(f"/api/exercises/{exercise}").status_code == 204
    assert teacher.get(f"/api/exercises/{exercise}").status_code == 404
    assert teacher.get("/api/today", params=DAY).json()["lessons"] == []
    assert teacher.get(f"/api/piles/{pile}").json()["exercise"] == crates.title, "the pile stays"


def test_a_student_of_another_class_has_no_sheet_in_this_one(teacher: TestClient) -> None:
    word = {"kind": "letters", "name": "Name", "text": "GULLS", "left": 30, "bottom": 30, "whose": "student"}
    number = added(teacher, exercise_of(word, box("A", 200, 30, 20, 20)))
    terns, puffins = (teacher.post("/api/classes", json={"name": n}).json()["id"] for n in ("Terns", "Puffins"))
    student = teacher.post(f"/api/classes/{terns}/students", json={"text": "Ada"}).json()[0]["id"]
    assert teacher.get(f"/api/exercises/{number}/own/{terns}/{student}").status_code == 200
    assert teacher.get(f"/api/exercises/{number}/own/{puffins}/{student}").status_code == 404


def test_a_class_list_is_seen_before_it_is_entered(teacher: TestClient) -> None:
    terns = teacher.post("/api/classes", json={"name": "Terns"}).json()["id"]
    teacher.post(f"/api/classes/{terns}/students", json={"text": "Bo"}).raise_for_status()
    text = "No;Name;Age\n1;Ada;9\n2;Bo;9\n3;Ada;10"
    seen = teacher.post(f"/api/classes/{terns}/students/look", json={"text": text}).json()
    assert (seen["columns"], seen["column"], seen["new"]) == (["No", "Name", "Age"], 1, 2)
    assert [(n["name"], n["alias"], n["is_new"]) for n in seen["names"]] == [
        ("Ada", "Ada", True), ("Bo", "Bo", False), ("Ada", "Ada (2)", True),
    ]  # fmt: skip
    assert len(teacher.get(f"/api/classes/{terns}").json()["students"]) == 1, "looking enters nobody"
    entered = teacher.post(f"/api/classes/{terns}/students", json={"text": text}).json()
    assert [s["alias"] for s in entered] == ["Bo", "Ada", "Ada (2)"]
    other = teacher.post(f"/api/classes/{terns}/students/look", json={"text": text, "column": 2}).json()
    assert [n["name"] for n in other["names"]] == ["9", "9", "10"]
