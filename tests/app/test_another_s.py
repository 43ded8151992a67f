"""Every request that takes a number of something: with another teacher's number it is answered as if it were not there.

The requests are read off the application's own description, so that a new one is asked too.
"""

import json
from typing import Any

import schemathesis
from fastapi.testclient import TestClient
from hypothesis import HealthCheck, Phase, given, settings
from schemathesis import Case
from schemathesis.generation import GenerationMode

from orthopsis.core.document.document import Exercise

EACH = 9
"""How many forms of each request are asked."""
PUBLIC = {"/api/exercises/ready/{number}.svg"}


def _owned(teacher: TestClient, exercise: Exercise) -> dict[str, int]:
    """Return the numbers of one of everything that a teacher can have, by what the description calls them."""
    made = teacher.post("/api/exercises", json={"exercise": exercise.document()}).json()["id"]
    school_class = teacher.post("/api/classes", json={"name": "Terns"}).json()["id"]
    student = teacher.post(f"/api/classes/{school_class}/students", json={"text": "Tern 1"}).json()[0]["id"]
    pair = {"class_id": school_class, "exercise_id": made}
    lesson = teacher.post("/api/lessons", json={**pair, "on_date": "2026-12-01", "start_step": 1}).json()["id"]
    pile = teacher.post("/api/piles", json=pair).json()["sheets"]
    svg = teacher.get(f"/api/exercises/{made}/file.svg").content
    sheet = teacher.post(f"/api/piles/{pile}/sheets", files={"file": ("a.svg", svg)}).json()["id"]
    kept = {"exercise": exercise.document(), "indices": [0], "name": "Part"}
    part = teacher.post("/api/parts", json=kept).json()["id"]
    me = teacher.get("/api/teachers").json()[0]["id"]
    return {
        **pair, "student_id": student, "lesson_id": lesson, "pile_id": pile, "sheet_id": sheet, "part_id": part,
        "teacher_id": me,
    }  # fmt: skip


def _theirs(body: Any, owned: dict[str, Any]) -> Any:
    """Return a body whose numbers are the other teacher's, and whose exercise and corners can be read."""
    if isinstance(body, dict):
        return {name: owned.get(name, _theirs(value, owned)) for name, value in body.items()}
    return [_theirs(value, owned) for value in body] if isinstance(body, list) else body


def _seen(teacher: TestClient, owned: dict[str, int]) -> str:
    """Return what its owner sees of everything."""
    addresses = (
        "/api/exercises", "/api/piles", "/api/classes", "/api/today", "/api/parts",
        f"/api/exercises/{owned['exercise_id']}", f"/api/exercises/{owned['exercise_id']}/versions",
        f"/api/classes/{owned['class_id']}",
    )  # fmt: skip
    return json.dumps([teacher.get(address).json() for address in addresses])


def test_another_teacher_s_numbers_open_nothing_and_change_nothing(
    teacher: TestClient, second: TestClient, crates: Exercise
) -> None:
    owned = _owned(teacher, crates)
    before = _seen(teacher, owned)
    found = schemathesis.openapi.from_dict(teacher.app.openapi()).get_all_operations()  # type: ignore[attr-defined]
    operations = [o for o in (result.ok() for result in found) if "{" in o.path and o.path not in PUBLIC]
    sayable = {**owned, "exercise": crates.document(), "corners": [[0, 0], [90, 0], [90, 90], [0, 90]]}
    answered: dict[str, set[int]] = {}
    for operation in operations:

        @settings(max_examples=EACH, database=None, phases=[Phase.generate], suppress_health_check=list(HealthCheck))
        @given(case=operation.as_strategy(generation_mode=GenerationMode.POSITIVE))
        def ask(case: Case) -> None:
            case.path_parameters = {name: owned.get(name, value) for name, value in case.path_parameters.items()}
            sent = case.as_transport_kwargs(base_url="http://testserver")
            body = {"json": _theirs(sent["json"], sayable)} if "json" in sent else {}
            files = {"files": {"file": ("a.svg", b"<svg/>")}} if case.path.endswith("/sheets") else {}
            answer = second.request(case.method, sent["url"], **body, **files)
            answered.setdefault(f"{case.method} {case.path}", set()).add(answer.status_code)

        ask()
    assert len(answered) > 30
    refused = {"DELETE /api/teachers/{teacher_id}": {403}}
    for name, codes in answered.items():
        # 422: what was said could not be read at all; each must also have been read, and not found.
        assert codes - {422} == refused.get(name, {404}), f"{name} was answered {sorted(codes)}"
    assert _seen(teacher, owned) == before
