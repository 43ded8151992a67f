"""The application on a database of its own, asked without a network."""

from collections.abc import Iterator
from pathlib import Path

import pytest
from fastapi.testclient import TestClient
from sqlalchemy import text

from orthopsis.app.main import create_app
from orthopsis.app.reading import Reader
from orthopsis.app.settings import Settings
from orthopsis.store.engine import Sessions
from orthopsis.store.models import Base
from orthopsis.store.server import PrivateServer


@pytest.fixture
def empty(sessions: Sessions) -> Sessions:
    """The database without any rows."""
    with sessions.begin() as db:
        db.execute(text("SET FOREIGN_KEY_CHECKS=0"))
        for table in Base.metadata.sorted_tables:
            db.execute(table.delete())
        db.execute(text("SET FOREIGN_KEY_CHECKS=1"))
    return sessions


@pytest.fixture
def client(empty: Sessions, server: PrivateServer, tmp_path: Path) -> Iterator[TestClient]:
    """A browser that nobody is signed in with."""
    (tmp_path / "index.html").write_text("<!doctype html><title>Orthopsis</title>")
    app = create_app(Settings(server.url, dist=tmp_path, hosts=("testserver",)))
    reader = app.state.reader = Reader(empty, 1)
    reader.start()
    with TestClient(app, raise_server_exceptions=False) as browser:
        yield browser
    reader.stop()


@pytest.fixture
def teacher(client: TestClient) -> TestClient:
    """A browser with the first teacher signed in."""
    client.post(
        "/api/sign-in/first", json={"login": "ada", "name": "Ada", "password": "tern-and-gull"}
    ).raise_for_status()
    return client


@pytest.fixture
def second(client: TestClient, teacher: TestClient) -> Iterator[TestClient]:
    """Another browser, with a second teacher."""
    body = {"login": "bo", "name": "Bo", "password": "puffin-and-auk"}
    teacher.post("/api/teachers", json=body).raise_for_status()
    other = TestClient(client.app, raise_server_exceptions=False)
    other.post("/api/sign-in", json=body).raise_for_status()
    yield other
    other.close()
