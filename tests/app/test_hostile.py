"""Requests with anything wrong in them are answered with a sentence, never with a failure of the server."""

import json
import random
from typing import Any

import pytest
from fastapi.testclient import TestClient

from conftest import box, exercise_of
from orthopsis.app import desk

JUNK: list[Any] = [
    None, True, -1, 0, 1e308, -1e308, 10**30, "", "a" * 5000, "\x00", "ÿ", "../../x", [], {}, [[]], "NaN", 3.7, -0.0,
    "2 3/8 in", "1e5 mm", "things.0.width",
]  # fmt: skip


def mutated(value: Any, rng: random.Random) -> Any:
    """Return the value with junk in some places, some fields misnamed and some lists three times as long."""
    if rng.random() < 0.12:
        return rng.choice(JUNK)
    if isinstance(value, dict):
        return {(k if rng.random() > 0.02 else f"{k}x"): mutated(v, rng) for k, v in value.items()}
    if isinstance(value, list):
        return [mutated(v, rng) for v in value] * (1 if rng.random() > 0.02 else 3)
    return value


@pytest.mark.parametrize("seed", [1, 2])
def test_mutated_requests_never_break_the_server(teacher: TestClient, seed: int) -> None:
    rng = random.Random(seed)
    document = exercise_of(
        box("A", 30, 20, 60, 40, depth_by="half"), box("B", 280, 200, 50, 50, depth_by="cube", look="see_through")
    ).document()
    exercise = teacher.post("/api/exercises", json={"exercise": document}).json()["id"]
    school_class = teacher.post("/api/classes", json={"name": "Terns"}).json()["id"]
    teacher.post(f"/api/classes/{school_class}/students", json={"text": "Tern 1\nTern 2"})
    pair = {"class_id": school_class, "exercise_id": exercise}
    pile = teacher.post("/api/piles", json=pair).json()["sheets"]
    svg = teacher.get(f"/api/exercises/{exercise}/file.svg").content
    sheet = teacher.post(f"/api/piles/{pile}/sheets", files={"file": ("a.svg", svg)}).json()["id"]
    acts: list[dict[str, Any]] = [
        {"op": "type", "path": "things.0.width", "text": "30 mm"},
        {"op": "cure", "edits": [{"path": "things.0.left", "value": 3}]},
        {"op": "points_apart", "index": 0},
        {"op": "points_apart", "index": -3},
        {"op": "move", "index": 0, "by": 1},
        {"op": "copy", "index": 0},
        {"op": "rename", "index": 0, "name": "Crate"},
        {"op": "add", "kind": "box"},
    ]
    requests: list[tuple[str, str, dict[str, Any]]] = [
        *(("POST", "/api/desk/act", {"exercise": document, "act": act}) for act in acts),
        ("POST", "/api/desk/draw", {"exercise": document}),
        (
            "POST",
            "/api/desk/drag",
            {"exercise": document, "drag": {"op": "drag", "handle": "things.0.depth", "x": 5, "y": 5}},
        ),
        ("PUT", f"/api/exercises/{exercise}", {"base_version": 1, "exercise": document}),
        ("POST", "/api/exercises", {"exercise": document}),
        ("PUT", f"/api/classes/{school_class}", {"name": "Terns"}),
        ("POST", f"/api/classes/{school_class}/students", {"text": "Tern 1\nTern 2"}),
        ("POST", "/api/lessons", {**pair, "on_date": "2026-12-01", "start_step": 2}),
        ("POST", "/api/piles", pair),
        ("POST", f"/api/sheets/{sheet}/decide", {"key": "a:b", "decision": "meant"}),
        ("POST", f"/api/sheets/{sheet}/keep", {"note": "n", "remark": "r"}),
        ("POST", f"/api/sheets/{sheet}/corners", {"corners": [[0, 0], [10, 0], [10, 10], [0, 10]]}),
        ("PUT", f"/api/sheets/{sheet}/student", {"student_id": 1}),
        ("POST", "/api/teachers", {"login": "bo", "name": "Bo", "password": "gull-and-skua"}),
    ]
    for _ in range(250):
        method, address, body = rng.choice(requests)
        text = json.dumps(mutated(body, rng))
        answer = teacher.request(method, address, content=text, headers={"content-type": "application/json"})
        assert answer.status_code < 500, f"{method} {address} {text[:300]}: {answer.text[:200]}"
        assert answer.status_code < 400 or answer.json()["why"]


@pytest.mark.parametrize(
    "address",
    [
        "/api/today?since=9999-99-99",
        "/api/today",
        "/api/exercises/-1",
        "/api/exercises/1/versions/99999999999999999999",
        "/api/exercises/1/print/steps.pdf?per_page=99",
        "/api/exercises/1/print/steps.pdf?first=99999999999999999999",
        "/api/exercises/1/print/steps.pdf?type_pt=nan",
        "/api/exercises/1/print/steps.pdf?paper=papyrus",
        "/api/exercises/1/print/starter.pdf?class_id=99999999999999999999",
        "/api/exercises/1/file.exe",
        "/api/sheets/1/flat.jpg",
        "/api/piles/1/notes.pdf",
        "/%00",
        "/" + "a" * 256,
        "/" + "a/" * 3000,
        "/api/exercises/ready/99.svg",
        "/assets/..%2f..%2fetc/passwd",
    ],
)
def test_strange_addresses_never_break_the_server(teacher: TestClient, address: str) -> None:
    answer = teacher.get(address)
    assert answer.status_code < 500
    assert "root:" not in answer.text


def three_point(**more: float) -> dict[str, Any]:
    return exercise_of(box("A", 30, 20, 60, 40)).document() | {
        "views": [{"kind": "three_point", "left_mm": 20.0, "right_mm": 400.0, **more}]
    }


@pytest.mark.parametrize(
    "document",
    [
        {"schema": "orthopsis/exercise/²"},
        {"schema": "orthopsis/exercise/" + "9" * 5000},
        {"schema": "\ud800"},
        {"schema": "orthopsis/exercise/1", "things": [{"kind": "\ud800", "name": "A"}]},
        {"schema": "orthopsis/exercise/1", "title": "\udfff"},
        {"schema": "orthopsis/exercise/1", "\ud800": 1},
        *(three_point(**{name: 1e-263}) for name in ("left_mm", "right_mm", "third_x_mm", "third_y_mm")),
        three_point(left_mm=1e-263, right_mm=2e-263, third_x_mm=1e-263, third_y_mm=3e-263),
        three_point(left_mm=0.0, right_mm=1e-263, third_x_mm=0.0, third_y_mm=150.0 + 1e-263),
        {**exercise_of().document(), "views": [{"kind": "two_point", "left_mm": 0, "right_mm": 1e-263}]},
        {**exercise_of().document(), "views": [{"kind": "one_point", "x_mm": 1e-263, "distance_mm": 1e-263}]},
    ],
)
def test_documents_with_strange_values_never_break_the_server(teacher: TestClient, document: dict[str, Any]) -> None:
    for address in ("/api/desk/draw", "/api/exercises"):
        answer = teacher.post(
            address, content=json.dumps({"exercise": document}), headers={"content-type": "application/json"}
        )
        assert answer.status_code < 500, answer.text
        assert answer.status_code < 400 or answer.json()["why"]


def test_names_with_strange_characters_never_break_the_server(teacher: TestClient) -> None:
    school_class = teacher.post("/api/classes", json={"name": "Terns"}).json()["id"]
    students = f"/api/classes/{school_class}/students"
    for text in ("Tern 1\rTern 2", "Tern 3\r\nTern 4", 'a"b\rc', "\ud800", "\x00", '"open', "x\ty;z\n1,2\n"):
        body = json.dumps({"text": text})
        answer = teacher.post(students, content=body, headers={"content-type": "application/json"})
        assert answer.status_code < 500, (text, answer.text)
    listed = [s["alias"] for s in teacher.get(f"/api/classes/{school_class}").json()["students"]]
    assert listed[:4] == ["Tern 1", "Tern 2", "Tern 3", "Tern 4"], "a line ends however the file ends its lines"


def test_a_socket_that_says_nonsense_is_answered(teacher: TestClient) -> None:
    with teacher.websocket_connect("/api/desk/dragging") as socket:
        for frame in (b"\x00\xff", b"{}"):
            socket.send_bytes(frame)
            assert socket.receive_json()["problem"]["why"]
        socket.send_text('{"exercise": {"schema": "\\ud800"}}')
        assert socket.receive_json()["problem"]["why"]


def test_a_fault_of_our_own_is_told_and_carries_the_headers_of_every_answer(
    teacher: TestClient, monkeypatch: pytest.MonkeyPatch
) -> None:
    def fails(*_: object, **__: object) -> None:
        raise RuntimeError("a fault")

    monkeypatch.setattr(desk, "draw", fails)
    answer = teacher.post("/api/desk/draw", json={"exercise": exercise_of().document()})
    assert answer.status_code == 500
    assert answer.json()["code"] == "unexpected"
    assert "form-action 'self'" in answer.headers["content-security-policy"]
    assert answer.headers["cache-control"] == "no-store"
