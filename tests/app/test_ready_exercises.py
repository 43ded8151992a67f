"""The ready exercises as the shelf offers them; streets from the shelf to the printed page."""

import io
from typing import Any

import pypdf
import pytest
from fastapi.testclient import TestClient

from orthopsis.core.document.ready import GROUPS, READY

TOWN = [document["title"] for document in (*GROUPS["Roads, streets and roofs"], *GROUPS["Town and port"])]


def lines(teacher: TestClient) -> list[dict[str, Any]]:
    found = teacher.get("/api/exercises/ready")
    assert found.status_code == 200
    return list(found.json())


def test_every_ready_exercise_comes_once_with_its_group_and_its_picture(teacher: TestClient) -> None:
    found = lines(teacher)
    assert [line["title"] for line in found] == [document["title"] for document in READY]
    groups = [line["group"] for line in found]
    assert list(dict.fromkeys(groups)) == list(GROUPS), "those of a group stand together"
    assert all(groups.count(name) == len(documents) for name, documents in GROUPS.items())
    picture = teacher.get(found[-1]["picture"])
    assert picture.headers["content-type"].startswith("image/svg")
    assert picture.content.startswith(b"<svg")


@pytest.mark.parametrize("title", TOWN)
def test_a_street_is_opened_drawn_and_its_steps_are_printed(teacher: TestClient, title: str) -> None:
    document = next(line["exercise"] for line in lines(teacher) if line["title"] == title)
    made = teacher.post("/api/exercises", json={"exercise": document})
    assert made.status_code == 201, made.text
    number = made.json()["id"]
    drawing = teacher.post("/api/desk/draw", json={"exercise": made.json()["exercise"]})
    assert drawing.status_code == 200, drawing.text
    steps = drawing.json()["drawing"]["steps"]
    printed = teacher.get(f"/api/exercises/{number}/print/steps.pdf?per_page=4")
    assert printed.status_code == 200
    text = " ".join(page.extract_text() for page in pypdf.PdfReader(io.BytesIO(printed.content)).pages)
    assert str(steps[-1]["title"]).split(":")[0] in " ".join(text.split())


def test_what_has_nothing_to_stand_on_is_refused_with_what_it_needs(teacher: TestClient) -> None:
    document = teacher.post("/api/exercises", json={}).json()["exercise"]
    for kind, needs in (("chimney", "a gable roof"), ("lean_to", "a box"), ("rectangles", "a box or a word")):
        refused = teacher.post("/api/desk/act", json={"exercise": document, "act": {"op": "add", "kind": kind}})
        assert refused.status_code == 422
        assert needs in refused.text
