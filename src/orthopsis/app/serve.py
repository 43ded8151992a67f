"""``orthopsis start``: database up, migrated, filled, application served, everything stopped again cleanly."""

import os
import shutil
import signal
import socket
import sys
import threading
from collections.abc import Iterator
from contextlib import contextmanager
from datetime import datetime
from pathlib import Path

import uvicorn
from sqlalchemy.exc import SQLAlchemyError

from orthopsis.app.demo import DEMO_LOGIN, DEMO_PASSWORD, load_demo
from orthopsis.app.main import create_app
from orthopsis.app.settings import DIST, ROOT, Settings
from orthopsis.store import teachers
from orthopsis.store.engine import open_engine, open_sessions
from orthopsis.store.errors import StoreError
from orthopsis.store.migrate import migrate
from orthopsis.store.server import PrivateServer

DATA = Path(os.environ.get("ORTHOPSIS_DATA", ROOT / ".data"))
FIRST_PORT = 8000


def serve(*, port: int | None, fresh: bool, yes: bool, demo: bool) -> int:
    """Serve until Ctrl-C or SIGTERM; return the exit status."""
    signal.signal(signal.SIGTERM, _as_interrupt)
    if not (DIST / "index.html").is_file():
        return _refuse("The front end is not built. Run ./start, which builds it.")
    if fresh and not _begin_anew(yes):
        return 0
    free = _free_port(port)
    if free is None:
        return _refuse(f"Port {port} is taken. Leave --port out, and the next free one is used.")
    try:
        with _database() as url:
            _say("bringing the database up to date")
            first = _prepare(url, demo)
            _run(url, free, first)
    except (StoreError, SQLAlchemyError) as error:
        return _refuse(f"The database cannot be used: {error}")
    except KeyboardInterrupt:
        _say("stopped")
    return 0


def _run(url: str, port: int, demo_login: bool) -> None:
    app = create_app(Settings(url))
    config = uvicorn.Config(app, host="127.0.0.1", port=port, log_level="warning", timeout_graceful_shutdown=3)
    server = uvicorn.Server(config)
    threading.Thread(target=_announce, args=(server, port, demo_login), daemon=True).start()
    server.run()


def _announce(server: uvicorn.Server, port: int, demo_login: bool) -> None:
    while not server.started:
        if server.should_exit:
            return
        threading.Event().wait(0.02)
    print(f"\nOrthopsis is at http://127.0.0.1:{port}", flush=True)
    if demo_login:
        print(
            f"Demo sign-in: name {DEMO_LOGIN}, password {DEMO_PASSWORD}, or one click on the sign-in page.",
            flush=True,
        )
    print("Ctrl-C stops it.", flush=True)


@contextmanager
def _database() -> Iterator[str]:
    """Yield the address of the database: the one that was given, or a private one that lives as long as this."""
    given = os.environ.get("ORTHOPSIS_DATABASE_URL")
    if given:
        yield given
        return
    private = PrivateServer(DATA / "mariadb", say=_say)
    _say("starting the database")
    private.start()
    stop = threading.Event()
    watch = threading.Thread(target=_keep_up, args=(private, stop), daemon=True)
    watch.start()
    try:
        yield private.url
    finally:
        stop.set()
        watch.join(timeout=70)
        _say("stopping the database")
        private.stop()


def _keep_up(private: PrivateServer, stop: threading.Event) -> None:
    """Start the database again if it dies while the application runs."""
    while not stop.wait(0.5):
        if not private.is_running():
            _say("the database ended by itself; starting it again")
            try:
                private.start()
            except StoreError as error:
                _say(str(error))
                stop.wait(5.0)


def _prepare(url: str, demo: bool) -> bool:
    """Migrate, load the demonstration into an empty database, and tell whether its sign-in is open."""
    engine = open_engine(url)
    migrate(engine)
    sessions = open_sessions(engine)
    with sessions() as db:
        if demo and not teachers.list_teachers(db):
            load_demo(db, _say)
        is_open = teachers.is_only_demo(db) and teachers.demo_teacher(db) is not None
    engine.dispose()
    return is_open


def _begin_anew(yes: bool) -> bool:
    """Put the present data aside as a backup; return whether to go on."""
    if os.environ.get("ORTHOPSIS_DATABASE_URL"):
        _say("--fresh concerns only the private database; the given one is left as it is")
        return True
    if not DATA.exists():
        return True
    if not yes:
        print(
            f"This puts all exercises, classes and sheets in {DATA} aside and begins anew. Go on? [y/N] ",
            end="",
            flush=True,
        )
        if sys.stdin.readline().strip().lower() not in ("y", "yes"):
            print("Nothing was changed.")
            return False
    backup = DATA.with_name(f"{DATA.name}-backup-{datetime.now():%Y%m%d-%H%M%S}")
    shutil.move(DATA, backup)
    _say(f"the earlier data is kept in {backup}")
    return True


def _free_port(wanted: int | None) -> int | None:
    for port in [wanted] if wanted else range(FIRST_PORT, FIRST_PORT + 50):
        with socket.socket() as probe:
            probe.setsockopt(socket.SOL_SOCKET, socket.SO_REUSEADDR, 1)
            try:
                probe.bind(("127.0.0.1", port))
            except (OSError, OverflowError):
                continue
            return port
    return None


def _as_interrupt(_: int, __: object) -> None:
    raise KeyboardInterrupt


def _say(what: str) -> None:
    print(f"· {what}", flush=True)


def _refuse(why: str) -> int:
    print(f"orthopsis: {why}", file=sys.stderr)
    return 2
