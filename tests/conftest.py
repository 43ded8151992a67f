"""What all tests share: a database server for the session, and exercises to work on."""

import shutil
import tempfile
from collections.abc import Iterator
from pathlib import Path

import pytest
from hypothesis import HealthCheck, settings

from orthopsis.core.document.document import Exercise, read_exercise
from orthopsis.store.engine import Sessions, open_engine, open_sessions
from orthopsis.store.migrate import migrate
from orthopsis.store.server import PrivateServer

# A slow machine is no failure: properties are not timed. The same examples come each time, so that a failure comes from
# a change; `./test --hypothesis-profile=searching` looks among new ones.
settings.register_profile(
    "repeatable", deadline=None, suppress_health_check=[HealthCheck.too_slow], derandomize=True, database=None
)
settings.register_profile("searching", settings.get_profile("repeatable"), derandomize=False)
settings.load_profile("repeatable")


def box(name: str, left: float, bottom: float, width: float, height: float, **more: object) -> dict[str, object]:
    """Return a box as the document has it."""
    return {"kind": "box", "name": name, "left": left, "bottom": bottom, "width": width, "height": height, **more}


def exercise_of(*things: dict[str, object], **more: object) -> Exercise:
    """Return an A3 exercise with its eye level 150 mm up and its point 210 mm from the left."""
    data = {
        "schema": "orthopsis/exercise/1",
        "title": "Test sheet",
        "eye_level": {"height_mm": 150.0},
        "views": [{"kind": "one_point", "x_mm": 210.0, "distance_mm": 300.0}],
        "things": list(things),
    }
    return read_exercise({**data, **more})


@pytest.fixture
def crates() -> Exercise:
    """Three crates: below, across and above the eye level."""
    return exercise_of(
        box("Low", 40.0, 30.0, 80.0, 60.0, depth_by="measured", depth=60.0),
        box("Tall", 320.0, 90.0, 60.0, 110.0, depth_by="measured", depth=50.0),
        box("High", 130.0, 215.0, 66.0, 48.0, depth_by="half"),
    )


def pytest_collection_modifyitems(items: list[pytest.Item]) -> None:
    """Keep together what shares something costly when tests run side by side: those of a file, and all with a browser.

    The browser's tests look at one running application whose rows they make and count.
    """
    for item in items:
        together = "browser" if item.path.parent.name == "browser" else str(item.path)
        item.add_marker(pytest.mark.xdist_group(together))


@pytest.fixture(scope="session")
def server() -> Iterator[PrivateServer]:
    """A private MariaDB for all tests of this session."""
    folder = Path(tempfile.mkdtemp(prefix="orthopsis-test-"))
    private = PrivateServer(folder / "mariadb", safe=False)
    private.start()
    yield private
    private.stop()
    shutil.rmtree(folder, ignore_errors=True)


@pytest.fixture(scope="session")
def sessions(server: PrivateServer) -> Iterator[Sessions]:
    """The factory of database sessions, on a migrated database."""
    engine = open_engine(server.url)
    migrate(engine)
    yield open_sessions(engine)
    engine.dispose()
