"""Bring a running database up to date, fill it if it is empty, and serve the application on it."""

import threading
from collections.abc import Callable

import uvicorn
from sqlalchemy.exc import SQLAlchemyError

from orthopsis.app.demo import DEMO_LOGIN, DEMO_PASSWORD, load_demo
from orthopsis.app.main import create_app
from orthopsis.app.settings import Settings
from orthopsis.store import teachers
from orthopsis.store.engine import open_engine, open_sessions
from orthopsis.store.errors import StoreError
from orthopsis.store.migrate import migrate


def launch(settings: Settings, port: int, *, demo: bool, say: Callable[[str], None]) -> None:
    """Serve until interrupted.

    Raises:
        StoreError: the database cannot be used.
    """
    say("bringing the database up to date")
    try:
        is_demo_open = _prepare(settings.database_url, demo, say)
    except SQLAlchemyError as error:
        why = str(error).splitlines()[0]
        raise StoreError("database_unusable", why, "Check its address, or put it aside with --fresh.") from None
    config = uvicorn.Config(
        create_app(settings), host="127.0.0.1", port=port, log_level="warning", timeout_graceful_shutdown=3
    )
    server = uvicorn.Server(config)
    threading.Thread(target=_announce, args=(server, port, is_demo_open), daemon=True).start()
    server.run()


def _prepare(url: str, demo: bool, say: Callable[[str], None]) -> bool:
    """Migrate, load the demonstration into an empty database, and tell whether its sign-in is open."""
    engine = open_engine(url)
    migrate(engine)
    with open_sessions(engine)() as db:
        if demo and not teachers.list_teachers(db):
            load_demo(db, say)
        is_open = teachers.is_only_demo(db) and teachers.demo_teacher(db) is not None
    engine.dispose()
    return is_open


def _announce(server: uvicorn.Server, port: int, is_demo_open: bool) -> None:
    while not server.started:
        if server.should_exit:
            return
        threading.Event().wait(0.02)
    print(f"\nOrthopsis is at http://127.0.0.1:{port}", flush=True)
    if is_demo_open:
        print(
            f"Demo sign-in: name {DEMO_LOGIN}, password {DEMO_PASSWORD}, or one click on the sign-in page.", flush=True
        )
    print("Ctrl-C stops it.", flush=True)
