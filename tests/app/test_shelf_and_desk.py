"""Exercises: edited, saved by version, never overwritten, never seen by others."""

import io
from itertools import pairwise
from typing import Any

import pypdf
import pytest
from fastapi.testclient import TestClient
from starlette.websockets import WebSocketDisconnect

from conftest import box, exercise_of
from orthopsis.core.document.document import Exercise
from orthopsis.core.document.ready import READY


def added(teacher: TestClient, exercise: Exercise) -> int:
    return int(teacher.post("/api/exercises", json={"exercise": exercise.document()}).json()["id"])


def test_an_exercise_is_made_by_acts_and_saved(teacher: TestClient) -> None:
    made = teacher.post("/api/exercises", json={}).json()
    document = made["exercise"]
    for act in (
        {"op": "add", "kind": "box"},
        {"op": "type", "path": "things.0.width", "text": "2 3/8 in"},
        {"op": "rename", "index": 0, "name": "Crate"},
        {"op": "copy", "index": 0},
        {"op": "move", "index": 0, "by": 1},
    ):
        answer = teacher.post("/api/desk/act", json={"exercise": document, "act": act})
        assert answer.status_code == 200, answer.text
        document = answer.json()["exercise"]
    assert [t["name"] for t in document["things"]] == ["Crate 1", "Crate"]
    assert document["things"][1]["width"] == pytest.approx(60.325)
    saved = teacher.put(f"/api/exercises/{made['id']}", json={"base_version": 1, "exercise": document})
    assert saved.json()["version"] == 2
    assert teacher.get(f"/api/exercises/{made['id']}").json()["exercise"] == document
    assert [v["version"] for v in teacher.get(f"/api/exercises/{made['id']}/versions").json()] == [2, 1]
    assert teacher.get(f"/api/exercises/{made['id']}/versions/1").json()["exercise"]["things"] == []


def test_two_windows_never_overwrite_each_other(teacher: TestClient, crates: Exercise) -> None:
    number = added(teacher, crates)
    first = {"base_version": 1, "exercise": {**crates.document(), "title": "First window"}}
    second = {"base_version": 1, "exercise": {**crates.document(), "title": "Second window"}}
    assert teacher.put(f"/api/exercises/{number}", json=first).status_code == 200
    stale = teacher.put(f"/api/exercises/{number}", json=second)
    assert stale.status_code == 409
    assert stale.json()["code"] == "stale_version"
    assert stale.json()["version"] == 2
    assert teacher.get(f"/api/exercises/{number}").json()["exercise"]["title"] == "First window"


def test_dragging_answers_with_the_picture_and_snaps(teacher: TestClient, crates: Exercise) -> None:
    drag = {"op": "drag", "handle": "views.0.point", "x": 187.4, "y": 3}
    answer = teacher.post("/api/desk/drag", json={"exercise": crates.document(), "drag": drag}).json()
    assert answer["picture"]["vanishing_points"]["point"] == [187, 150]
    assert "steps" not in answer["picture"]


def test_a_drag_is_a_conversation_in_which_a_refused_move_changes_nothing(
    teacher: TestClient, crates: Exercise
) -> None:
    def drag(handle: str, x: float, y: float) -> dict[str, object]:
        return {"drag": {"op": "drag", "handle": handle, "x": x, "y": y}}

    with teacher.websocket_connect("/api/desk/dragging") as socket:
        socket.send_json({"exercise": crates.document(), **drag("views.0.point", 187.4, 3)})
        assert socket.receive_json()["picture"]["vanishing_points"]["point"] == [187, 150]
        for refused in (drag("things.0.nothing", 1, 1), {"drag": 7}, {"exercise": {"schema": "other"}}):
            socket.send_json(refused)
            assert socket.receive_json()["problem"]["why"]
        socket.send_text("no JSON")
        assert socket.receive_json()["problem"]["code"] == "bad_request"
        socket.send_json({"rest": True})
        assert socket.receive_json()["exercise"]["views"][0]["x_mm"] == 187


def test_each_further_move_is_answered_with_what_is_other_in_the_picture(teacher: TestClient, crates: Exercise) -> None:
    def move(x: float) -> dict[str, object]:
        return {"drag": {"op": "drag", "handle": "things.0.place", "x": x, "y": 40}}

    with teacher.websocket_connect("/api/desk/dragging") as socket:
        socket.send_json({"exercise": crates.document(), **move(60)})
        whole = socket.receive_json()["picture"]
        socket.send_json(move(62))
        change = socket.receive_json()["change"]
        moved = crates.things[0].name
        assert change["lines"]
        assert moved in {line["thing"] for line in change["lines"]}
        assert len(change["lines"]) < len(whole["lines"])
        assert [face["id"] for face in whole["faces"]] == change["painted"]
        socket.send_json({"exercise": crates.document(), **move(60)})
        assert socket.receive_json()["picture"]["lines"] == whole["lines"], "an exercise said anew begins anew"


def test_a_drag_of_nobody_is_refused(client: TestClient) -> None:
    with pytest.raises(WebSocketDisconnect), client.websocket_connect("/api/desk/dragging"):
        pass


def test_a_drag_from_another_site_is_refused(teacher: TestClient) -> None:
    elsewhere = {"origin": "http://elsewhere.example"}
    with pytest.raises(WebSocketDisconnect), teacher.websocket_connect("/api/desk/dragging", headers=elsewhere):
        pass


def test_a_board_of_the_teacher_s_own_changes_the_measures_and_not_the_drawing(
    teacher: TestClient, crates: Exercise
) -> None:
    body = {"exercise": crates.document()}
    plain = teacher.post("/api/desk/draw", json=body).json()["drawing"]
    answer = teacher.post("/api/desk/draw-shown", json={**body, "board_mm": 2100})
    assert answer.status_code == 200
    on_board = answer.json()["drawing"]
    assert on_board["lines"] == plain["lines"]
    assert any(" mm" in step["text"].replace("\N{NO-BREAK SPACE}", " ") for step in plain["steps"])
    assert not any("mm" in step["text"] for step in on_board["steps"])
    for width in (1, 1e7, -5, "wide"):
        refused = teacher.post("/api/desk/draw-shown", json={**body, "board_mm": width})
        assert refused.status_code == 422
        assert refused.json()["why"]


def test_texts_of_steps_are_placed_where_they_are_to_be_shown(teacher: TestClient, crates: Exercise) -> None:
    """The drawing is the same, and all words are; only where texts stand is other, and other on a small screen."""
    body = {"exercise": crates.document()}
    plain = teacher.post("/api/desk/draw", json=body).json()["drawing"]
    wall, phone = (
        teacher.post("/api/desk/draw-shown", json={**body, "times": times}).json()["drawing"] for times in (36, 15)
    )
    placed = [[step.pop("dimensions") + step.pop("scales") for step in one["steps"]] for one in (plain, wall, phone)]
    assert plain == wall == phone
    assert all(one != other for one, other in pairwise((*placed, placed[0])))
    for times in (0, -36, 9, 1e6, "wide"):
        assert teacher.post("/api/desk/draw-shown", json={**body, "times": times}).status_code == 422


BAD = [
    ({"op": "type", "path": "things.0.width", "text": "2 3/8 im"}, "unknown_unit", "things.0.width"),
    ({"op": "type", "path": "things.0.width", "text": "-4 cm"}, "length_out_of_limits", "things.0.width"),
    ({"op": "type", "path": "things.0.depth", "text": "900 mm"}, "depth_past_point", "things.0.depth"),
    ({"op": "type", "path": "eye_level.height_mm", "text": "2 m"}, "unknown_unit", "eye_level.height_mm"),
    ({"op": "type", "path": "eye_level.height_mm", "text": "99 cm"}, "eye_level_off_sheet", "eye_level.height_mm"),
    ({"op": "type", "path": "views.0.x_mm", "text": "-3 cm"}, "point_off_sheet", "views.0.x_mm"),
    ({"op": "type", "path": "things.9.width", "text": "4"}, "no_such_place", "things.9.width"),
    ({"op": "type", "path": "__class__.x", "text": "4"}, "no_such_place", "__class__.x"),
    ({"op": "add", "kind": "ship"}, "unknown_kind", ""),
    ({"op": "remove", "index": -1}, "no_such_place", ""),
    ({"op": "drag", "handle": "things.0.nothing", "x": 1, "y": 1}, "no_such_place", ""),
]


@pytest.mark.parametrize(("act", "code", "about"), BAD)
def test_bad_input_gets_a_sentence_at_its_place(
    teacher: TestClient, crates: Exercise, act: dict[str, object], code: str, about: str
) -> None:
    answer = teacher.post("/api/desk/act", json={"exercise": crates.document(), "act": act})
    assert answer.status_code == 422
    problem = answer.json()
    assert problem["code"] == code
    assert problem["about"] == about
    assert problem["why"]
    assert problem["fix"]


def test_the_teacher_says_who_stands_before_whom(teacher: TestClient) -> None:
    crates = exercise_of(box("Far", 120, 90, 60, 50), box("Near", 90, 40, 80, 70, depth_by="measured", depth=12))

    def said(exercise: dict[str, object], how: str) -> dict[str, Any]:
        act = {"op": "hides", "index": 0, "other": 1, "how": how}
        answer = teacher.post("/api/desk/act", json={"exercise": exercise, "act": act})
        assert answer.status_code == 200
        return answer.json()  # type: ignore[no-any-return]

    before = said(crates.document(), "before")
    assert [(line["names"], line["is_said"]) for line in before["drawing"]["hides"]] == [(["Far", "Near"], True)]
    after = said(before["exercise"], "unsaid")
    assert [(line["names"], line["is_said"]) for line in after["drawing"]["hides"]] == [(["Near", "Far"], False)]
    act = {"op": "hides", "index": 0, "other": 7, "how": "before"}
    refused = teacher.post("/api/desk/act", json={"exercise": crates.document(), "act": act})
    assert (refused.status_code, refused.json()["code"]) == (422, "no_such_place")


def test_hostile_requests_are_refused_and_never_break_the_server(teacher: TestClient, crates: Exercise) -> None:
    document = crates.document()
    requests = [
        ("/api/desk/draw", {"exercise": {"schema": "orthopsis/exercise/9"}}),
        ("/api/desk/draw", {"exercise": {**document, "things": "many"}}),
        ("/api/desk/draw", {"exercise": {**document, "things": [box("A", 1e308, 0, 5, 5)]}}),
        ("/api/desk/draw", {"exercise": {**document, "views": []}}),
        ("/api/desk/act", {"exercise": document, "act": {"op": "explode"}}),
        ("/api/exercises", {"exercise": {**document, "title": ""}}),
        ("/api/lessons", {"class_id": 10**30, "exercise_id": 1, "on_date": "2026-13-40"}),
        ("/api/piles", {"class_id": 2**63, "exercise_id": 2**63}),
    ]
    for address, body in requests:
        answer = teacher.post(address, json=body)
        assert 400 <= answer.status_code < 500, (address, answer.status_code, answer.text)
        assert answer.json()["why"]
    assert teacher.post("/api/desk/draw", content=b"{", headers={"content-type": "application/json"}).status_code == 422
    assert teacher.get(f"/api/exercises/{10**30}").status_code < 500
    assert teacher.post("/api/desk/draw", content=b"x", headers={"content-length": "99999999999"}).status_code == 413
    assert teacher.get("/api/nothing").status_code == 404
    assert "Orthopsis" in teacher.get("/../../etc/passwd").text


def test_nobody_sees_what_is_another_s(teacher: TestClient, second: TestClient, crates: Exercise) -> None:
    exercise = added(teacher, crates)
    school_class = teacher.post("/api/classes", json={"name": "Terns"}).json()["id"]
    student = teacher.post(f"/api/classes/{school_class}/students", json={"text": "Tern 1"}).json()[0]["id"]
    pile = teacher.post("/api/piles", json={"class_id": school_class, "exercise_id": exercise}).json()["sheets"]
    svg = teacher.get(f"/api/exercises/{exercise}/file.svg").content
    sheet = teacher.post(f"/api/piles/{pile}/sheets", files={"file": ("a.svg", svg)}).json()["id"]
    for address in (
        f"/api/exercises/{exercise}",
        f"/api/exercises/{exercise}/versions",
        f"/api/exercises/{exercise}/print/answer.pdf",
        f"/api/exercises/{exercise}/print/answer/pages",
        f"/api/exercises/{exercise}/file.json",
        f"/api/classes/{school_class}",
        f"/api/classes/{school_class}/register.csv",
        f"/api/piles/{pile}",
        f"/api/sheets/{sheet}",
        f"/api/sheets/{sheet}/upload.jpg",
    ):
        assert teacher.get(address).status_code != 404, address
        assert second.get(address).status_code == 404, address
    assert second.delete(f"/api/classes/{school_class}").status_code == 404
    assert second.put(f"/api/classes/students/{student}", json={"name": "x"}).status_code == 404
    assert second.post(f"/api/piles/{pile}/read").status_code == 404
    assert second.post("/api/piles", json={"class_id": school_class, "exercise_id": exercise}).status_code == 404
    assert second.get("/api/exercises").json() == []
    assert teacher.get(f"/api/exercises/{exercise}").status_code == 200


@pytest.mark.parametrize("form", ["json", "svg", "pdf", "png", "dxf", "obj", "exercise"])
def test_every_format_can_be_had_and_the_document_comes_back(teacher: TestClient, crates: Exercise, form: str) -> None:
    number = added(teacher, crates)
    answer = teacher.get(f"/api/exercises/{number}/file.{form}")
    assert answer.status_code == 200
    assert answer.content
    if form == "exercise":
        again = teacher.post("/api/exercises", json={"exercise": answer.json()})
        assert again.json()["exercise"] == crates.document()


def test_a_class_without_students_is_told_so_when_printing(teacher: TestClient) -> None:
    number = added(teacher, exercise_of(box("A", 30, 20, 60, 40)))
    school_class = teacher.post("/api/classes", json={"name": "Empty"}).json()["id"]
    refused = teacher.get(f"/api/exercises/{number}/print/starter.pdf", params={"class_id": school_class})
    assert refused.status_code == 409
    assert "no students" in refused.json()["why"]


def test_each_student_of_a_class_has_a_sheet_with_the_own_name(teacher: TestClient) -> None:
    word = {"kind": "letters", "name": "Name", "text": "GULLS", "left": 30, "bottom": 30, "whose": "student"}
    number = added(teacher, exercise_of(word))
    terns = teacher.post("/api/classes", json={"name": "Terns"}).json()["id"]
    empty = teacher.get(f"/api/exercises/{number}/print/starter.pdf?class_id={terns}")
    assert empty.json()["code"] == "empty_class"
    teacher.post(f"/api/classes/{terns}/students", json={"text": "Ada\nOystercatcher 14"})
    own = teacher.get(f"/api/exercises/{number}/own/{terns}").json()
    assert own["is_personal"]
    lines = [teacher.get(f"/api/exercises/{number}/own/{terns}/{s}").json() for s in own["students"]]
    assert [line["alias"] for line in lines] == ["Ada", "Oystercatcher 14"]
    assert any("hard to draw" in remark for remark in lines[1]["remarks"])
    assert lines[0]["picture"]["lines"] != lines[1]["picture"]["lines"]
    whole = teacher.get(f"/api/exercises/{number}/print/whole.pdf?class_id={terns}&per_page=8")
    pages = [page.extract_text() for page in pypdf.PdfReader(io.BytesIO(whole.content)).pages]
    assert "Ada" in pages[0]
    assert any("A of Name: the block" in page for page in pages)
    assert any("Oystercatcher 14" in page for page in pages)
    one = teacher.get(f"/api/exercises/{number}/print/answer.pdf?class_id={terns}&student_id={own['students'][1]}")
    assert len(pypdf.PdfReader(io.BytesIO(one.content)).pages) == 1


def test_step_sheets_begin_where_they_are_wanted_on_the_printers_paper(teacher: TestClient, crates: Exercise) -> None:
    number = added(teacher, crates)

    def pages(query: str) -> list[pypdf.PageObject]:
        answer = teacher.get(f"/api/exercises/{number}/print/steps.pdf?per_page=1&{query}")
        assert answer.status_code == 200, answer.text
        return list(pypdf.PdfReader(io.BytesIO(answer.content)).pages)

    every = pages("")
    assert len(pages("first=4")) == len(every) - 3
    assert pages("first=4")[0].extract_text().split() != every[0].extract_text().split()
    assert len(pages("without_starter=true")) < len(every)
    sides = sorted(float(side) / 72 for side in pages("paper=letter")[0].mediabox[2:])
    assert sides == pytest.approx([8.5, 11.0], abs=0.01)
    shown = teacher.get(f"/api/exercises/{number}/print/steps.png?first=4&paper=letter")
    assert shown.content != teacher.get(f"/api/exercises/{number}/print/steps.png?paper=letter").content


@pytest.mark.parametrize(
    "what",
    [
        "starter?copies=3", "steps?per_page=2", "steps?type_pt=18", "answer?tiled=true&paper=a4", "lesson?copies=24",
        "strips?paper=a4", "ticks?paper=letter",
    ],
)  # fmt: skip
def test_so_many_pages_are_said_to_come_as_the_pdf_has(teacher: TestClient, what: str) -> None:
    """Pages as an independent reader counts them (pypdf)."""
    two_point = {"kind": "two_point", "left_mm": -110, "right_mm": 540}
    crate = {"kind": "box", "name": "Crate", "left": 200, "bottom": 40, "height": 80}
    number = added(teacher, exercise_of(crate, views=[two_point]))
    kind, _, query = what.partition("?")
    printed = teacher.get(f"/api/exercises/{number}/print/{kind}.pdf?{query}")
    pages = pypdf.PdfReader(io.BytesIO(printed.content)).pages
    assert teacher.get(f"/api/exercises/{number}/print/{kind}/pages?{query}").json() == {"pages": len(pages)}
    assert len(pages) > 1 or kind in ("lesson", "strips", "ticks")


def test_a_lesson_sheet_is_for_a_class_or_for_so_many(teacher: TestClient, crates: Exercise) -> None:
    number = added(teacher, crates)
    terns = teacher.post("/api/classes", json={"name": "Terns"}).json()["id"]
    teacher.post(f"/api/classes/{terns}/students", json={"text": "\n".join(f"Tern {i}" for i in range(1, 13))})

    def text(query: str) -> str:
        answer = teacher.get(f"/api/exercises/{number}/print/lesson.pdf?{query}")
        assert answer.status_code == 200
        return " ".join(page.extract_text() for page in pypdf.PdfReader(io.BytesIO(answer.content)).pages)

    for_class, for_many = text(f"class_id={terns}"), text("copies=30")
    assert "Terns" in for_class
    assert "12 set squares" in for_class
    assert "30 set squares" in for_many
    assert "for 30" in for_many
    assert teacher.get(f"/api/exercises/{number}/print/lesson.png?copies=30").headers["content-type"] == "image/png"
    empty = teacher.post("/api/classes", json={"name": "Nobody"}).json()["id"]
    refused = teacher.get(f"/api/exercises/{number}/print/lesson.pdf?class_id={empty}")
    assert (refused.status_code, refused.json()["code"]) == (409, "empty_class")


def test_pieces_tiles_and_words_for_another_age_are_printed(teacher: TestClient, crates: Exercise) -> None:
    def printed(number: int, what: str) -> list[str]:
        answer = teacher.get(f"/api/exercises/{number}/print/{what}")
        assert answer.status_code == 200, answer.text
        return [page.extract_text() for page in pypdf.PdfReader(io.BytesIO(answer.content)).pages]

    own = teacher.post("/api/exercises", json={"exercise": crates.document()}).json()["id"]
    assert len(printed(own, "answer.pdf")) == 1
    assert len(printed(own, "answer.pdf?tiled=true&paper=a4")) == 4
    assert len(printed(own, "answer.pdf?tiled=true&paper=a4&copies=3")) == 12
    nothing = teacher.get(f"/api/exercises/{own}/print/strips.pdf")
    assert nothing.status_code == 409
    assert "lie on the sheet" in nothing.json()["why"]

    ready = next(r for r in READY if "Chests by the boathouse" in r["title"])
    chests = teacher.post("/api/exercises", json={"exercise": ready}).json()["id"]
    assert "left point" in " ".join(printed(chests, "strips.pdf"))
    assert "join like numbers" in " ".join(printed(chests, "ticks.pdf"))
    words = {level: " ".join(printed(chests, f"steps.pdf?level={level}")) for level in ("youngest", "oldest")}
    assert words["youngest"] != words["oldest"]
    assert teacher.get(f"/api/exercises/{chests}/print/steps.pdf?level=wise").status_code == 422

    drawn = teacher.post("/api/desk/draw", json={"exercise": crates.document()}).json()["drawing"]
    act = {"op": "step", "key": drawn["steps"][4]["key"], "change": "extra"}
    changed = teacher.post("/api/desk/act", json={"exercise": crates.document(), "act": act}).json()["exercise"]
    number = teacher.post("/api/exercises", json={"exercise": changed}).json()["id"]
    title = drawn["steps"][4]["title"].replace("\N{NO-BREAK SPACE}", " ")
    assert f"5 {title} (extra)" in " ".join(" ".join(printed(number, "steps.pdf")).split())
    assert f"5 {title}" not in " ".join(" ".join(printed(number, "steps.pdf?only_required=true")).split())
