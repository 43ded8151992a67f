"""The private database: kept through a crash, saves that are acknowledged stay, and its migrations are whole."""

import gc
import signal
import tempfile
import time
from collections.abc import Iterator
from pathlib import Path

import pytest
from alembic.autogenerate import compare_metadata
from alembic.migration import MigrationContext
from fastapi.testclient import TestClient

from conftest import exercise_of
from orthopsis.app.main import create_app
from orthopsis.app.settings import Settings
from orthopsis.store import exercises, teachers
from orthopsis.store import server as server_module
from orthopsis.store.engine import Sessions, open_engine, open_sessions
from orthopsis.store.errors import StoreError
from orthopsis.store.migrate import migrate
from orthopsis.store.models import Base
from orthopsis.store.server import PrivateServer, ServerFailed

# A killed server leaves sockets that the driver closes only when they are collected.
pytestmark = pytest.mark.filterwarnings("ignore::pytest.PytestUnraisableExceptionWarning")


@pytest.fixture
def own_server() -> Iterator[PrivateServer]:
    """A server that this test may kill; its folder is deep, so that its socket has to go elsewhere."""
    with tempfile.TemporaryDirectory() as folder:
        private = PrivateServer(Path(folder) / ("deep-" * 16) / "mariadb")
        private.start()
        yield private
        private.stop()
        gc.collect()


def test_the_migrations_make_what_the_models_say(sessions: Sessions) -> None:
    with sessions() as db:
        assert compare_metadata(MigrationContext.configure(db.connection()), Base.metadata) == []


def test_what_was_acknowledged_survives_a_killed_database_and_the_application_goes_on(
    own_server: PrivateServer,
) -> None:
    engine = open_engine(own_server.url)
    migrate(engine)
    app = create_app(Settings(own_server.url, hosts=("testserver",)))
    with TestClient(app, raise_server_exceptions=False) as browser:
        browser.post("/api/sign-in/first", json={"login": "ada", "name": "Ada", "password": "tern-and-gull"})
        number = browser.post("/api/exercises", json={}).json()["id"]
        body = {"base_version": 1, "exercise": exercise_of(title="Kept").document()}
        assert browser.put(f"/api/exercises/{number}", json=body).status_code == 200
        own_server.kill()
        gone = browser.put(f"/api/exercises/{number}", json={**body, "base_version": 2})
        assert gone.status_code == 503
        assert gone.json()["code"] == "database_gone"
        own_server.start()
        assert browser.get(f"/api/exercises/{number}").json()["exercise"]["title"] == "Kept"
        again = browser.put(f"/api/exercises/{number}", json={**body, "base_version": 2})
        assert again.json()["version"] == 3
    engine.dispose()


def test_a_stale_lock_and_a_server_left_behind_are_cleared(own_server: PrivateServer) -> None:
    left = PrivateServer(own_server.folder)
    left.start()
    assert left.is_running(), "the server that an earlier run left behind was ended first"
    left.kill()
    own_server.start()
    engine = open_engine(own_server.url)
    migrate(engine)
    with open_sessions(engine)() as db:
        assert teachers.list_teachers(db) == []
    engine.dispose()


def test_versions_are_kept_and_owners_told_apart(sessions: Sessions) -> None:
    with sessions() as db:
        one = teachers.add_teacher(db, "one", "One", "net-and-gull-1")
        other = teachers.add_teacher(db, "other", "Other", "net-and-gull-2")
        row = exercises.add_exercise(db, one.id, exercise_of())
        for n in range(3):
            exercises.save_exercise(db, one.id, row.id, exercise_of(title=f"State {n}"), n + 1)
        assert [v.version for v in exercises.list_versions(db, one.id, row.id)] == [4, 3, 2, 1]
        assert exercises.get_version(db, one.id, row.id, 2).document["title"] == "State 0"
        with pytest.raises(exercises.NotFound):
            exercises.get_exercise(db, other.id, row.id)
        with pytest.raises(exercises.Stale):
            exercises.save_exercise(db, one.id, row.id, exercise_of(), 2)
        db.rollback()


def test_a_folder_that_a_restore_left_half_done_is_not_touched(tmp_path: Path) -> None:
    folder = tmp_path / "mariadb"
    (folder / "db" / "orthopsis").mkdir(parents=True)
    kept = folder / "db" / "orthopsis" / "exercise.ibd"
    kept.write_bytes(b"a year of work")
    with pytest.raises(ServerFailed) as refused:
        PrivateServer(folder).start()
    assert refused.value.code == "database_not_whole"
    assert kept.read_bytes() == b"a year of work"


def test_a_full_disk_is_said(tmp_path: Path, monkeypatch: pytest.MonkeyPatch) -> None:
    monkeypatch.setattr(server_module, "LEAST_ROOM_BYTES", 10**18)
    with pytest.raises(ServerFailed, match="disk is full"):
        PrivateServer(tmp_path / "mariadb").start()


@pytest.mark.parametrize("url", ["postgresql://x/y", "nonsense", "mariadb+asyncmy://x/y", "sqlite:///x"])
def test_an_address_of_another_database_is_refused(url: str) -> None:
    with pytest.raises(StoreError) as refused:
        open_engine(url)
    assert "mariadb+pymysql://" in refused.value.fix


def test_a_database_that_hangs_is_told_in_less_than_half_a_minute_and_taken_up_when_it_answers(
    own_server: PrivateServer,
) -> None:
    engine = open_engine(own_server.url)
    migrate(engine)
    app = create_app(Settings(own_server.url, hosts=("testserver",)))
    with TestClient(app, raise_server_exceptions=False) as browser:
        browser.post("/api/sign-in/first", json={"login": "ada", "name": "Ada", "password": "tern-and-gull"})
        assert own_server._process is not None
        own_server._process.send_signal(signal.SIGSTOP)
        begin = time.monotonic()
        hangs = browser.get("/api/exercises")
        waited = time.monotonic() - begin
        own_server._process.send_signal(signal.SIGCONT)
        assert hangs.status_code == 503
        assert hangs.json()["code"] == "database_gone"
        assert waited < 30
        assert browser.get("/api/exercises").status_code == 200
    engine.dispose()
