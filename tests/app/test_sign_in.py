"""Who may come in, and who may not."""

from concurrent.futures import ThreadPoolExecutor

import pytest
from fastapi.testclient import TestClient
from starlette.websockets import WebSocketDisconnect

from orthopsis.store import teachers
from orthopsis.store.engine import Sessions


def test_the_first_account_opens_once_and_adds_others(client: TestClient) -> None:
    assert client.get("/api/door").json() == {"demo": False, "first": True}
    body = {"login": "ada", "name": "Ada", "password": "tern-and-gull"}
    assert client.post("/api/sign-in/first", json=body).json()["is_first"]
    assert client.get("/api/door").json() == {"demo": False, "first": False}
    again = client.post("/api/sign-in/first", json={**body, "login": "eve"})
    assert again.status_code == 403
    assert client.get("/api/me").json()["name"] == "Ada"
    client.post("/api/sign-out")
    assert client.get("/api/me").status_code == 401


def test_the_demo_is_open_only_while_there_is_no_real_teacher(client: TestClient, empty: Sessions) -> None:
    with empty.begin() as db:
        teachers.add_teacher(db, "harbour", "Harbour School", "quayside", is_demo=True)
    assert client.get("/api/door").json() == {"demo": True, "first": True}
    assert client.post("/api/sign-in/demo").json()["is_demo"]
    client.post("/api/sign-in/first", json={"login": "ada", "name": "Ada", "password": "tern-and-gull"})
    assert client.post("/api/sign-in/demo").status_code == 403


def test_the_cookie_is_out_of_reach_of_scripts_and_other_sites(teacher: TestClient) -> None:
    answer = teacher.post("/api/sign-in", json={"login": "ada", "password": "tern-and-gull"})
    cookie = answer.headers["set-cookie"].lower()
    assert "httponly" in cookie
    assert "samesite=strict" in cookie
    for headers in ({"sec-fetch-site": "cross-site"}, {"origin": "http://elsewhere.example"}):
        assert teacher.post("/api/classes", json={"name": "x"}, headers=headers).status_code == 403


GUESS = {"login": "ada", "password": "x" * 9}


def guess(browser: TestClient, **more: str) -> int:
    return int(browser.post("/api/sign-in", json={**GUESS, **more}).status_code)


def test_guessing_is_slowed_down_whatever_the_guesser_says_of_itself(client: TestClient, teacher: TestClient) -> None:
    stranger = TestClient(client.app)
    codes = [guess(stranger) for _ in range(10)]
    assert codes == [401] * 10
    assert guess(stranger) == 429
    assert guess(stranger, login=" ADA ") == 429
    assert guess(stranger, login="\uff41da") == 429, "another form of the same letter is the same letter"
    forwarded = stranger.post("/api/sign-in", json=GUESS, headers={"x-forwarded-for": "10.0.0.7"})
    assert forwarded.status_code == 429
    assert guess(TestClient(client.app)) == 429, "nor does a new browser help"


def test_a_guesser_does_not_lock_out_the_one_who_knows(client: TestClient, teacher: TestClient) -> None:
    teacher.post("/api/sign-out")
    stranger = TestClient(client.app)
    for _ in range(11):
        guess(stranger)
    assert guess(stranger, password="tern-and-gull") == 429
    assert guess(teacher, password="tern-and-gull") == 200, "her own browser is known"
    codes = [guess(teacher) for _ in range(11)]
    assert codes[-1] == 429, "even there guesses are counted"


def test_eight_first_accounts_at_once_make_one_first_teacher(client: TestClient, empty: Sessions) -> None:
    def opens(number: int) -> int:
        body = {"login": f"ada{number}", "name": "Ada", "password": "tern-and-gull"}
        return int(TestClient(client.app).post("/api/sign-in/first", json=body).status_code)

    with ThreadPoolExecutor(8) as asking:
        codes = sorted(asking.map(opens, range(8)))
    assert codes[0] == 200
    assert set(codes[1:]) <= {403, 409}
    with empty() as db:
        assert len(teachers.list_teachers(db)) == 1


@pytest.mark.parametrize("password", ["password", " " * 8, "aaaaaaaa", "12345678", "ada.lane", "short", "x" * 300])
def test_passwords_that_are_guessed_first_are_refused(teacher: TestClient, password: str) -> None:
    refused = teacher.post("/api/teachers", json={"login": "ada.lane", "name": "Ada Lane", "password": password})
    assert refused.status_code in (409, 422)
    assert refused.json()["fix"]


def test_the_published_password_of_the_demo_opens_nothing_beside_real_accounts(
    client: TestClient, empty: Sessions
) -> None:
    with empty.begin() as db:
        teachers.add_teacher(db, "harbour", "Harbour School", "quayside", is_demo=True)
    looks = TestClient(client.app)
    known = {"login": "harbour", "password": "quayside"}
    assert looks.post("/api/sign-in", json=known).status_code == 200
    client.post("/api/sign-in/first", json={"login": "ada", "name": "Ada", "password": "tern-and-gull"})
    assert looks.get("/api/exercises").status_code == 401, "who was looking around is signed out"
    assert looks.post("/api/sign-in", json=known).status_code == 401


def test_the_application_is_at_its_own_names_only(client: TestClient, teacher: TestClient) -> None:
    for host in ("harbour.example", "127.0.0.1.harbour.example", "[::1].harbour.example", ""):
        assert teacher.get("/api/me", headers={"host": host}).status_code == 403, host
    with pytest.raises(WebSocketDisconnect):
        teacher.websocket_connect("/api/desk/dragging", headers={"host": "harbour.example"}).__enter__()


def test_data_is_kept_in_no_cache_but_pictures_of_a_version_are(teacher: TestClient) -> None:
    teacher.post("/api/exercises", json={})
    answer = teacher.get("/api/exercises")
    assert answer.headers["cache-control"] == "no-store"
    assert "immutable" in teacher.get(answer.json()[0]["picture"]).headers["cache-control"]


def test_changing_the_password_needs_the_old_one_and_ends_other_sessions(
    client: TestClient, teacher: TestClient
) -> None:
    elsewhere = TestClient(client.app)
    elsewhere.post("/api/sign-in", json={"login": "ada", "password": "tern-and-gull"})
    assert teacher.post("/api/password", json={"old": "wrong", "new": "long-enough-1"}).status_code == 409
    assert teacher.post("/api/password", json={"old": "tern-and-gull", "new": "long-enough-1"}).status_code == 200
    assert elsewhere.get("/api/me").status_code == 401
    assert teacher.get("/api/me").status_code == 200


def test_only_the_first_teacher_manages_accounts(second: TestClient, teacher: TestClient) -> None:
    assert second.get("/api/teachers").status_code == 403
    assert (
        second.post("/api/teachers", json={"login": "c", "name": "C", "password": "gull-and-skua"}).status_code == 403
    )
    ids = {t["login"]: t["id"] for t in teacher.get("/api/teachers").json()}
    assert second.delete(f"/api/teachers/{ids['ada']}").status_code == 403
    assert teacher.delete(f"/api/teachers/{ids['ada']}").status_code == 409
    assert teacher.delete(f"/api/teachers/{ids['bo']}").status_code == 204
    assert second.get("/api/me").status_code == 401
