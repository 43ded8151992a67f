"""The teacher's parts: kept, listed, set down, taken away."""

from fastapi.testclient import TestClient

from orthopsis.core.document.document import Exercise
from orthopsis.store.parts import MOST_PARTS


def keep(teacher: TestClient, exercise: Exercise, indices: list[int], name: str) -> dict[str, object]:
    body = {"exercise": exercise.document(), "indices": indices, "name": name}
    answer = teacher.post("/api/parts", json=body)
    assert answer.status_code == 201, answer.text
    return dict(answer.json())


def test_a_part_is_kept_shown_set_down_and_taken_away(teacher: TestClient, crates: Exercise) -> None:
    assert teacher.get("/api/parts").json() == []
    kept = keep(teacher, crates, [0, 2], "Two crates")
    assert [thing["name"] for thing in kept["part"]["things"]] == ["Low", "High"]  # type: ignore[index]
    assert teacher.get("/api/parts").json() == [kept]
    picture = teacher.get(str(kept["picture"]))
    assert picture.headers["content-type"] == "image/svg+xml"
    assert b"<svg" in picture.content
    act = {"op": "set_down", "part": kept["part"]}
    answer = teacher.post("/api/desk/act", json={"exercise": crates.document(), "act": act})
    assert [thing["name"] for thing in answer.json()["exercise"]["things"]] == [
        "Low",
        "Tall",
        "High",
        "Low 1",
        "High 1",
    ]
    assert teacher.delete(f"/api/parts/{kept['id']}").status_code == 204
    assert teacher.delete(f"/api/parts/{kept['id']}").status_code == 404
    assert teacher.get("/api/parts").json() == []


def test_two_parts_of_one_name_are_told_apart(teacher: TestClient, crates: Exercise) -> None:
    names = [keep(teacher, crates, [0], "Crate")["name"] for _ in range(3)]
    assert names == ["Crate", "Crate 2", "Crate 3"]
    assert [part["name"] for part in teacher.get("/api/parts").json()] == names


def test_what_cannot_be_kept_or_set_down_is_said_and_keeps_nothing(teacher: TestClient, crates: Exercise) -> None:
    document = crates.document()
    for indices, name, code in (([0], "  ", "no_name"), ([9], "Crate", "no_such_place")):
        answer = teacher.post("/api/parts", json={"exercise": document, "indices": indices, "name": name})
        assert (answer.status_code, answer.json()["code"]) == (422, code)
    assert teacher.post("/api/parts", json={"exercise": document, "indices": [], "name": "None"}).status_code == 422
    for part in ({}, {"schema": "orthopsis/exercise/1", "things": [{"kind": "box"}]}, {"schema": "other"}):
        answer = teacher.post("/api/desk/act", json={"exercise": document, "act": {"op": "set_down", "part": part}})
        assert answer.status_code == 422
        assert answer.json()["why"]
    empty = {"schema": "orthopsis/exercise/1", "things": []}
    answer = teacher.post("/api/desk/act", json={"exercise": document, "act": {"op": "set_down", "part": empty}})
    assert (answer.status_code, answer.json()["code"]) == (422, "no_things")
    assert teacher.get("/api/parts").json() == []


def test_parts_have_a_limit_that_is_said(teacher: TestClient, crates: Exercise) -> None:
    for number in range(MOST_PARTS):
        keep(teacher, crates, [0], f"Part {number}")
    body = {"exercise": crates.document(), "indices": [0], "name": "One more"}
    answer = teacher.post("/api/parts", json=body)
    assert answer.status_code in (409, 422)
    assert answer.json()["code"] == "too_many_parts"


def test_parts_are_each_teacher_s_own(teacher: TestClient, second: TestClient, crates: Exercise) -> None:
    kept = keep(teacher, crates, [0], "Crate")
    assert second.get("/api/parts").json() == []
    assert second.get(str(kept["picture"])).status_code == 404
    assert second.delete(f"/api/parts/{kept['id']}").status_code == 404
    assert len(teacher.get("/api/parts").json()) == 1
