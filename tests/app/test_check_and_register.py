"""One whole turn: print for a class, photograph, read in the background, decide, keep, find it in the register."""

import csv
import io
import time
from typing import Any

import pypdf
import pytest
from fastapi.testclient import TestClient

from conftest import exercise_of
from orthopsis.core.document.document import Exercise, read_exercise
from orthopsis.core.document.ready import READY
from orthopsis.paperwork.marks import SheetCode
from orthopsis.scan.simulate import SMALL, simulate_photo
from orthopsis.store.engine import Sessions
from orthopsis.store.models import ExerciseRow, Student


def pile_of(teacher: TestClient, crates: Exercise) -> tuple[int, int, int]:
    """Return the numbers of an exercise, a class of three and an empty pile."""
    exercise = teacher.post("/api/exercises", json={"exercise": crates.document()}).json()["id"]
    school_class = teacher.post("/api/classes", json={"name": "Terns"}).json()["id"]
    teacher.post(f"/api/classes/{school_class}/students", json={"text": "Tern 1\nTern 2\n=Tern 3"})
    pile = teacher.post("/api/piles", json={"class_id": school_class, "exercise_id": exercise}).json()["sheets"]
    return exercise, school_class, pile


def read_all(teacher: TestClient, pile: int) -> list[dict[str, Any]]:
    teacher.post(f"/api/piles/{pile}/read").raise_for_status()
    end = time.monotonic() + 90
    while time.monotonic() < end:
        sheets = teacher.get(f"/api/piles/{pile}").json()["sheets"]
        if not any(s["state"] in ("queued", "reading", "waiting") for s in sheets):
            return list(sheets)
        time.sleep(0.1)
    raise AssertionError("the pile was not read in time")


def test_from_photos_to_the_register(teacher: TestClient, crates: Exercise, empty: Sessions) -> None:
    exercise, school_class, pile = pile_of(teacher, crates)
    with empty() as db:
        code = db.get_one(ExerciseRow, exercise).code
        students = {s.alias: s.code for s in db.query(Student)}
    plans = (("Tern 1", ()), ("Tern 2", ("upright_leans",)), ("=Tern 3", ("missing_line",)))
    for seed, (alias, mistakes) in enumerate(plans, start=50):
        photo = simulate_photo(
            read_exercise(crates.document()), SheetCode(code, students[alias], 1), seed, mistakes=mistakes, camera=SMALL
        )
        answer = teacher.post(f"/api/piles/{pile}/sheets", files={"file": (f"{alias}.jpg", photo.jpeg)})
        assert answer.status_code == 201
    sheets = {s["alias"]: s for s in read_all(teacher, pile)}
    assert set(sheets) == set(students), "each sheet was given to its student by its code"
    assert [s["state"] for s in sheets.values()] == ["read"] * 3

    leaning = teacher.get(f"/api/sheets/{sheets['Tern 2']['id']}").json()
    assert len(leaning["corners"]) == 4, "the corners that were found are where placing them by hand begins"
    finding = next(f for f in leaning["checked"]["findings"] if f["code"] == "upright_leans")
    assert finding["severity"] >= 2
    key = f"{finding['code']}:{finding['about']}"
    meant = teacher.post(f"/api/sheets/{leaning['id']}/decide", json={"key": key, "decision": "meant"}).json()
    assert meant["decisions"] == {key: "meant"}
    assert meant["note"] != leaning["note"], "what was meant is not in the note"
    assert set(meant["meant"]) >= set(finding["lines"])
    assert meant["judged"] == leaning["judged"] - 1
    own = teacher.put(f"/api/sheets/{leaning['id']}/note", json={"note": "Look at your set square, Tern."}).json()
    assert own["own_note"]
    kept_words = teacher.post(f"/api/sheets/{leaning['id']}/decide", json={"key": key, "decision": "agreed"}).json()
    assert kept_words["note"] == "Look at your set square, Tern.", "the teacher's own words stay"
    back = teacher.put(f"/api/sheets/{leaning['id']}/note", json={}).json()
    assert (back["note"], back["own_note"]) == (leaning["note"], False)
    teacher.post(f"/api/sheets/{leaning['id']}/decide", json={"key": key, "decision": "meant"}).raise_for_status()
    reopened = teacher.post(f"/api/sheets/{leaning['id']}/decide", json={"key": key, "decision": "open"}).json()
    assert reopened["note"] == leaning["note"]
    struck = teacher.post(f"/api/sheets/{leaning['id']}/decide", json={"key": key, "decision": "not_line"}).json()
    assert finding["about"] in struck["checked"]["missing"], "the line that it was not is missing now"

    for alias, sheet in sheets.items():
        body = {"note": f"Note for {alias}", "remark": "=HYPERLINK(1)"}
        assert teacher.post(f"/api/sheets/{sheet['id']}/keep", json=body).json()["state"] == "kept"
    notes = pypdf.PdfReader(io.BytesIO(teacher.get(f"/api/piles/{pile}/notes.pdf").content))
    assert "Note for Tern 2" in notes.pages[0].extract_text()
    record = teacher.get(f"/api/classes/{school_class}").json()
    by_alias = {s["alias"]: s["sheets"] for s in record["students"]}
    assert by_alias["Tern 1"][0]["findings"] == []
    assert by_alias["Tern 1"][0]["home"] == by_alias["Tern 1"][0]["judged"] > 10
    assert "A line is missing" in by_alias["=Tern 3"][0]["findings"]
    text = teacher.get(f"/api/classes/{school_class}/register.csv").text
    rows = list(csv.reader(io.StringIO(text.removeprefix("\ufeff"))))
    assert {row[0] for row in rows[1:]} == {"Tern 1", "Tern 2", "'=Tern 3"}
    assert all(not cell.startswith("=") for row in rows for cell in row)
    needs = teacher.get("/api/today", params={"since": "2026-01-05"}).json()["needs"]
    assert "=Tern 3" in {n["alias"] for n in needs}


def test_a_sheet_that_is_not_found_is_read_with_corners_placed_by_hand(teacher: TestClient, crates: Exercise) -> None:
    _, _, pile = pile_of(teacher, crates)
    photo = simulate_photo(crates, SheetCode("A", "", 1), 9, mistakes=(), with_marks=False, camera=SMALL)
    sheet = teacher.post(f"/api/piles/{pile}/sheets", files={"file": ("a.jpg", photo.jpeg)}).json()["id"]
    teacher.post(f"/api/sheets/{sheet}/corners", json={"corners": photo.corners_px}).raise_for_status()
    read_all(teacher, pile)
    answer = teacher.get(f"/api/sheets/{sheet}").json()
    assert answer["found_by"] == "hand"
    assert answer["corners"] == [pytest.approx(corner) for corner in photo.corners_px]
    assert answer["checked"]["missing"] == []
    assert teacher.get(f"/api/sheets/{sheet}/flat.jpg").content[:3] == b"\xff\xd8\xff"


def test_bad_files_are_refused_and_the_pile_stays(teacher: TestClient, crates: Exercise) -> None:
    _, _, pile = pile_of(teacher, crates)
    for name, data in (("a.jpg", b"\xff\xd8\xff cut"), ("b.exe", b"MZ"), ("c.pdf", b"%PDF-1.4"), ("", b"")):
        answer = teacher.post(f"/api/piles/{pile}/sheets", files={"file": (name or "x", data)})
        assert answer.status_code == 422
        assert answer.json()["fix"]
    assert teacher.get(f"/api/piles/{pile}").json()["sheets"] == []


def test_reading_can_be_stopped_and_taken_up_again(teacher: TestClient, crates: Exercise) -> None:
    _, _, pile = pile_of(teacher, crates)
    photo = simulate_photo(crates, SheetCode("A", "", 1), 4, mistakes=(), camera=SMALL).jpeg
    for i in range(4):
        teacher.post(f"/api/piles/{pile}/sheets", files={"file": (f"{i}.jpg", photo)}).raise_for_status()
    assert teacher.post(f"/api/piles/{pile}/read").json()["sheets"] == 4
    stopped = teacher.post(f"/api/piles/{pile}/cancel").json()["sheets"]
    assert stopped >= 2
    assert {s["state"] for s in read_all(teacher, pile)} == {"read"}


CORNER = {
    "kind": "box", "name": "Crate", "left": 200.0, "bottom": 60.0, "height": 70.0, "left_by": "measured",
    "left_length": 60.0, "right_by": "measured", "right_length": 60.0,
}  # fmt: skip
CLOSE = {"kind": "two_point", "left_mm": 60.0, "right_mm": 360.0}


def sheet_on_pile(teacher: TestClient, exercise: Exercise) -> tuple[dict[str, Any], int]:
    """Put a sheet on a pile of an exercise; return the pile, and the number of the sheet, which nobody has read."""
    _, _, pile = pile_of(teacher, exercise)
    drawing = b'<svg xmlns="http://www.w3.org/2000/svg" width="420mm" height="297mm"><path d="M10 10L50 50"/></svg>'
    sheet = teacher.post(f"/api/piles/{pile}/sheets", files={"file": ("sheet.svg", drawing)})
    sheet.raise_for_status()
    return teacher.get(f"/api/piles/{pile}").json(), sheet.json()["id"]


def test_beside_a_sheet_the_same_drawing_stands_with_its_points_farther_apart(teacher: TestClient) -> None:
    pile, sheet = sheet_on_pile(teacher, exercise_of(CORNER, views=[CLOSE]))
    assert pile["has_two_points"]
    answer = teacher.get(f"/api/sheets/{sheet}/points_apart").json()
    places = sorted(aim["at"][0] for aim in answer["picture"]["aims"] if aim["kind"] == "vanishing")
    assert places[1] - places[0] == pytest.approx(1.5 * (360 - 60), abs=1.0)
    assert {line["thing"] for line in answer["picture"]["lines"]} >= {"Crate"}
    assert "farther apart next time" in answer["says"]
    assert "[" not in answer["says"], "in the words of the class"


def test_points_of_a_drawing_by_one_point_cannot_be_moved_apart(teacher: TestClient, crates: Exercise) -> None:
    pile, sheet = sheet_on_pile(teacher, crates)
    assert not pile["has_two_points"]
    answer = teacher.get(f"/api/sheets/{sheet}/points_apart")
    assert (answer.status_code, answer.json()["code"]) == (422, "no_two_points")
    assert teacher.get("/api/sheets/987654/points_apart").status_code == 404


def test_a_circle_too_round_is_found_meant_so_misread_and_printed(teacher: TestClient, empty: Sessions) -> None:
    document = next(d for d in READY if d["title"] == "A tub on a crate, one point")
    _, _, pile = pile_of(teacher, read_exercise(document))
    code = SheetCode("T", "S1", 1)
    photo = simulate_photo(read_exercise(document), code, 21, mistakes=("curve_round",), camera=SMALL)
    teacher.post(f"/api/piles/{pile}/sheets", files={"file": ("tub.jpg", photo.jpeg)}).raise_for_status()
    (row,) = read_all(teacher, pile)
    sheet = f"/api/sheets/{row['id']}"

    first = teacher.get(sheet).json()
    (finding,) = [f for f in first["checked"]["findings"] if f["severity"]]
    assert finding["code"] == "curve_round"
    rim = next(curve for curve in first["checked"]["curves"] if curve["name"] == finding["curve"])
    assert (rim["verdict"], rim["fault"]) == ("off", "round")
    assert first["judged"] == first["home"] + 1

    key = f"{finding['code']}:{finding['about']}"
    meant = teacher.post(f"{sheet}/decide", json={"key": key, "decision": "meant"}).json()
    assert meant["meant_curves"] == [rim["name"]]
    assert meant["judged"] == meant["home"] == first["home"]
    assert "on purpose" in meant["note"]

    teacher.post(f"{sheet}/keep", json={"note": meant["note"], "remark": ""}).raise_for_status()
    slips = pypdf.PdfReader(io.BytesIO(teacher.get(f"/api/piles/{pile}/notes.pdf").content))
    assert "purpose" in slips.pages[0].extract_text()

    misread = teacher.post(f"{sheet}/decide", json={"key": key, "decision": "not_line"}).json()
    assert [curve["name"] for curve in misread["checked"]["curves"]] == ["Tub.base.curve.low_far"]
    assert not [f for f in misread["checked"]["findings"] if f["severity"]]
    assert teacher.get(sheet).json()["meant_curves"] == []
