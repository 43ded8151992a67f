"""The built application in Chromium, on a database of its own with the demonstration's exercises."""

import socket
import threading
import time
from collections.abc import Iterator
from typing import Any

import pytest
import uvicorn
from playwright.sync_api import Page, expect

from orthopsis.app.demo import DEMO_LOGIN, DEMO_NAME, DEMO_PASSWORD
from orthopsis.app.main import create_app
from orthopsis.app.reading import Reader
from orthopsis.app.settings import DIST, Settings
from orthopsis.core.document.document import read_exercise
from orthopsis.core.document.ready import READY
from orthopsis.paperwork.marks import SheetCode
from orthopsis.scan.simulate import SMALL, simulate_photo
from orthopsis.store import classes, exercises, piles, teachers
from orthopsis.store.engine import open_engine, open_sessions
from orthopsis.store.migrate import migrate
from orthopsis.store.models import Base
from orthopsis.store.server import PrivateServer

# On a busy machine a page takes longer to come than the usual 5 s; what does not come at all still fails.
expect.set_options(timeout=25_000)

CHROMIUM_ARGUMENTS = [
    "--no-sandbox", "--disable-background-networking", "--disable-component-update", "--disable-domain-reliability",
    "--disable-sync", "--no-first-run", "--disable-gpu", "--force-color-profile=srgb", "--font-render-hinting=none",
    "--host-resolver-rules=MAP * ~NOTFOUND, EXCLUDE 127.0.0.1",
]  # fmt: skip


@pytest.fixture(scope="session")
def browser_type_launch_args() -> dict[str, Any]:
    """Debian's Chromium; nothing is asked of the network."""
    return {"executable_path": "/usr/bin/chromium", "headless": True, "args": CHROMIUM_ARGUMENTS}


@pytest.fixture(scope="session")
def address(server: PrivateServer) -> Iterator[str]:
    """The address of the application."""
    assert (DIST / "index.html").is_file(), "build the front end first: ./test does"
    engine = open_engine(server.url)
    migrate(engine)
    with engine.begin() as connection:
        connection.exec_driver_sql("SET FOREIGN_KEY_CHECKS=0")
        for table in Base.metadata.sorted_tables:
            # Truncated, so that numbers begin at 1 again and the tests may name addresses.
            connection.exec_driver_sql(f"TRUNCATE TABLE {table.name}")
    with open_sessions(engine).begin() as db:
        teacher = teachers.add_teacher(db, DEMO_LOGIN, DEMO_NAME, DEMO_PASSWORD, is_demo=True)
        rows = [exercises.add_exercise(db, teacher.id, read_exercise(d)) for d in READY]
        terns = classes.add_class(db, teacher.id, "Terns")
        students = classes.add_students(db, teacher.id, terns.id, ["Tern 1", "Tern 2"])
        pile = piles.add_pile(db, teacher.id, terns.id, rows[0].id)
        for student, mistakes in zip(students, (("upright_leans",), ()), strict=True):
            code = SheetCode(rows[0].code, student.code, 1)
            photo = simulate_photo(read_exercise(rows[0].document), code, 12, mistakes=mistakes, camera=SMALL)
            piles.add_sheet(db, pile.id, f"{student.alias}.jpg", "jpeg", photo.jpeg)
        # A pile of its own for those who only look at one.
        waders = classes.add_class(db, teacher.id, "Waders")
        looked_at = piles.add_pile(db, teacher.id, waders.id, rows[0].id)
        piles.add_sheet(db, looked_at.id, "Wader 1.jpg", "jpeg", photo.jpeg)
    reader = Reader(open_sessions(engine), 1)
    reader.start()
    with socket.socket() as probe:
        probe.bind(("127.0.0.1", 0))
        port = probe.getsockname()[1]
    web = uvicorn.Server(uvicorn.Config(create_app(Settings(server.url)), port=port, log_level="warning"))
    thread = threading.Thread(target=web.run, daemon=True)
    thread.start()
    while not web.started:
        time.sleep(0.05)
    yield f"http://127.0.0.1:{port}"
    web.should_exit = True
    thread.join(timeout=10)
    reader.stop()
    engine.dispose()


@pytest.fixture
def desk(page: Page, address: str) -> Page:
    """A page of 1280 x 800 with the demo teacher signed in; any script error fails the test."""
    page.set_viewport_size({"width": 1280, "height": 800})
    page.on("pageerror", lambda error: pytest.fail(f"script error: {error}"))
    page.goto(f"{address}/sign-in")
    page.get_by_role("button", name="Look around").click()
    page.wait_for_url("**/today")
    return page
