"""Who may come in, and who may not."""

from fastapi.testclient import TestClient

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


def test_guessing_is_slowed_down(client: TestClient, teacher: TestClient) -> None:
    codes = [client.post("/api/sign-in", json={"login": "ada", "password": "x" * 9}).status_code for _ in range(12)]
    assert codes[0] == 401
    assert codes[-1] == 429


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
    assert second.post("/api/teachers", json={"login": "c", "name": "C", "password": "12345678"}).status_code == 403
    ids = {t["login"]: t["id"] for t in teacher.get("/api/teachers").json()}
    assert second.delete(f"/api/teachers/{ids['ada']}").status_code == 403
    assert teacher.delete(f"/api/teachers/{ids['ada']}").status_code == 409
    assert teacher.delete(f"/api/teachers/{ids['bo']}").status_code == 204
    assert second.get("/api/me").status_code == 401
