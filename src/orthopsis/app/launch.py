"""Bring a running database up to date, fill it if it is empty, and serve the application on it.

The application runs in processes of its own, and is begun anew when one of them ends; this process reads the piles,
keeps the others alive, and takes them with it when it ends.
"""

import gc
import os
import socket
import threading
from collections.abc import Callable
from functools import partial

import uvicorn
from fastapi import FastAPI
from sqlalchemy.exc import SQLAlchemyError
from uvicorn.supervisors import Multiprocess

from orthopsis.app.demo import DEMO_LOGIN, DEMO_PASSWORD, load_demo
from orthopsis.app.main import create_app
from orthopsis.app.patience import PatientProtocol
from orthopsis.app.reading import Reader
from orthopsis.app.settings import Settings
from orthopsis.app.workroom import end_with_parent
from orthopsis.store import teachers
from orthopsis.store.engine import open_engine, open_sessions
from orthopsis.store.errors import StoreError
from orthopsis.store.migrate import migrate

PROCESSES = min(2, os.cpu_count() or 1)
HEALTH_S = 30
"""A serving process that does not answer its parent for so long is taken to hang."""


def launch(settings: Settings, listening: socket.socket, *, demo: bool, say: Callable[[str], None]) -> None:
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
    engine = open_engine(settings.database_url)
    reader = Reader(open_sessions(engine), 2)
    config = uvicorn.Config(
        partial(_served, settings), factory=True, workers=PROCESSES, http=PatientProtocol, log_level="warning",
        proxy_headers=False, timeout_graceful_shutdown=3, timeout_worker_healthcheck=HEALTH_S,
        ws_per_message_deflate=False,  # packing takes longer than the way on the same machine
    )  # fmt: skip
    threading.Thread(target=_announce, args=(listening.getsockname()[1], is_demo_open), daemon=True).start()
    reader.start()
    try:
        _Serving(config, listening, say).run()
    finally:
        reader.stop()
        engine.dispose()


def _served(settings: Settings) -> FastAPI:
    """Return the application in a process of its own."""
    end_with_parent()
    application = create_app(settings)
    rarely_look_for_garbage()
    return application


def rarely_look_for_garbage() -> None:
    """Leave what has been loaded, and most of what is kept, alone: a drawing goes by itself when nobody holds it.

    To look through all of it again and again would take longer than a drawing, and now and then stop a hand.
    """
    gc.collect()
    gc.freeze()
    gc.set_threshold(10_000, 5, 1000)


class _Serving(Multiprocess):
    """The serving processes; says it when one has ended and another one is begun."""

    def __init__(self, config: uvicorn.Config, listening: socket.socket, say: Callable[[str], None]) -> None:
        super().__init__(config, sockets=[listening])
        self._say = say

    def keep_subprocess_alive(self) -> None:
        before = [process.pid for process in self.processes]
        super().keep_subprocess_alive()
        for old, process in zip(before, self.processes, strict=True):
            if process.pid != old:
                self._say(f"serving process {old} ended by itself; another one was begun")


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


def _announce(port: int, is_demo_open: bool) -> None:
    while not _answers(port):
        threading.Event().wait(0.02)
    print(f"\nOrthopsis is at http://127.0.0.1:{port}", flush=True)
    if is_demo_open:
        print(
            f"Demo sign-in: name {DEMO_LOGIN}, password {DEMO_PASSWORD}, or one click on the sign-in page.", flush=True
        )
    print("Ctrl-C stops it.", flush=True)


def _answers(port: int) -> bool:
    with socket.socket() as probe:
        return probe.connect_ex(("127.0.0.1", port)) == 0
