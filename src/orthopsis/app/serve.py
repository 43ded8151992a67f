"""``orthopsis start``: the database up, the application launched on it, everything stopped again cleanly.

This module loads little, so that the database is on its way before the application is loaded.
"""

import errno
import fcntl
import importlib
import os
import shutil
import signal
import socket
import sys
import threading
import time
from collections.abc import Iterator
from concurrent.futures import ThreadPoolExecutor
from contextlib import contextmanager
from datetime import datetime
from pathlib import Path

from orthopsis.app.settings import DIST, ROOT, Settings
from orthopsis.store.errors import StoreError
from orthopsis.store.server import PrivateServer

DATA = Path(os.environ.get("ORTHOPSIS_DATA", ROOT / ".data"))
FIRST_PORT, LAST_PORT = 8000, 65535
PORT_PATIENCE_S = 15.0
"""How long a port that is taken is waited for: what a killed run left behind ends as soon as it has got going."""


def serve(*, port: int | None, fresh: bool, yes: bool, demo: bool) -> int:
    """Serve until Ctrl-C or SIGTERM; return the exit status."""
    signal.signal(signal.SIGTERM, _as_interrupt)
    if not (DIST / "index.html").is_file():
        return _refuse("The front end is not built. Run ./start, which builds it.")
    if port is not None and not 0 <= port <= LAST_PORT:
        return _refuse(f"There is no port {port}. Give one from 1 to {LAST_PORT}, or leave --port out.")
    try:
        running = _running_at()
        if running:
            return _refuse(f"Orthopsis is already running on this data, at {running}. Open it there, or stop it first.")
        if fresh and not _begin_anew(yes):
            return 0
        listening = _listening_soon(port)
        if listening is None:
            return _refuse(f"Port {port} is taken. Leave --port out, and the next free one is used.")
        with listening, _only_one(listening.getsockname()[1]), _database() as url:
            from orthopsis.app.launch import launch

            data = None if os.environ.get("ORTHOPSIS_DATABASE_URL") else DATA
            launch(Settings(url, data=data), listening, demo=demo, say=_say)
    except StoreError as error:
        return _refuse(f"The database cannot be used: {error}")
    except OSError as error:
        where = f" ({error.filename})" if error.filename else ""
        return _refuse(f"The data folder {DATA} cannot be used: {error.strerror}{where}. May you write there?")
    except KeyboardInterrupt:
        pass
    _say("stopped")
    return 0


@contextmanager
def _only_one(port: int) -> Iterator[None]:
    """Hold the data's lock while the application runs; the system lets go of it even after a crash."""
    DATA.mkdir(parents=True, exist_ok=True)
    with (DATA / "lock").open("a+") as lock:
        fcntl.flock(lock, fcntl.LOCK_EX | fcntl.LOCK_NB)
        lock.truncate(0)
        lock.write(f"http://127.0.0.1:{port}")
        lock.flush()
        yield


def _running_at() -> str:
    """Return where the application runs on this data, or an empty text."""
    try:
        with (DATA / "lock").open("r+") as lock:
            try:
                fcntl.flock(lock, fcntl.LOCK_EX | fcntl.LOCK_NB)
            except BlockingIOError:
                return lock.read().strip() or "another address"
    except FileNotFoundError:
        pass
    return ""


@contextmanager
def _database() -> Iterator[str]:
    """Yield the address of the database: the one that was given, or a private one that lives as long as this."""
    given = os.environ.get("ORTHOPSIS_DATABASE_URL")
    if given:
        yield given
        return
    private = _private()
    _say("starting the database")
    with ThreadPoolExecutor(1) as starting:
        started = starting.submit(private.start)
        importlib.import_module("orthopsis.app.launch")  # takes as long as the database: both at once
        started.result()
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


def _private() -> PrivateServer:
    return PrivateServer(DATA / "mariadb", say=_say)


def _keep_up(private: PrivateServer, stop: threading.Event) -> None:
    """Start the database again if it dies while the application runs; ever more rarely if it will not stay."""
    pause = 0.5
    while not stop.wait(pause):
        if private.is_running():
            pause = max(0.5, pause / 2)
            continue
        _say("the database ended by itself; starting it again")
        try:
            private.start()
        except StoreError as error:
            _say(str(error))
        pause = min(60.0, 2 * max(1.0, pause))


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
    _private().end_left_over()
    backup = DATA.with_name(f"{DATA.name}-backup-{datetime.now():%Y%m%d-%H%M%S}")
    shutil.move(DATA, backup)
    _say(f"the earlier data is kept in {backup}")
    return True


def _listening_soon(wanted: int | None) -> socket.socket | None:
    """Return a socket as ``_listening`` does; what a killed run has left behind is given a moment to let go of it."""
    end = time.monotonic() + PORT_PATIENCE_S
    while True:
        listening = _listening(wanted)
        if listening is not None or time.monotonic() > end:
            return listening
        time.sleep(0.1)


def _listening(wanted: int | None) -> socket.socket | None:
    """Return a socket at the wanted port or the next free one, not yet open to anybody."""
    for port in [wanted] if wanted is not None else range(FIRST_PORT, FIRST_PORT + 50):
        listening = socket.socket()
        listening.setsockopt(socket.SOL_SOCKET, socket.SO_REUSEADDR, 1)
        try:
            listening.bind(("127.0.0.1", port))
        except OSError as error:
            listening.close()
            if error.errno in (errno.EADDRINUSE, errno.EACCES):
                continue
            raise
        listening.set_inheritable(True)
        return listening
    return None


def _as_interrupt(_: int, __: object) -> None:
    raise KeyboardInterrupt


def _say(what: str) -> None:
    print(f"· {what}", flush=True)


def _refuse(why: str) -> int:
    print(f"orthopsis: {why}", file=sys.stderr)
    return 2
