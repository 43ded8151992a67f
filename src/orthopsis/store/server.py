"""A private MariaDB beside the application: on loopback, in a folder of its own, started and stopped with it.

A server that crashed leaves a lock and a half-written log: MariaDB recovers its data by itself at the next
start; a process id that belongs to nobody, or to another program, is not believed.
"""

import getpass
import os
import shutil
import signal
import socket
import subprocess
import tempfile
import time
import zlib
from collections.abc import Callable
from pathlib import Path

from orthopsis.store.errors import StoreError

DATABASE = "orthopsis"
_WAIT_S = 60.0
_LONGEST_SOCKET = 100
LEAST_ROOM_BYTES = 150_000_000
"""Of the disk: MariaDB neither begins nor goes on with less."""


class ServerFailed(StoreError):
    """The private database server does not start."""


class PrivateServer:
    """One MariaDB server in ``folder``. ``safe`` writes every commit through to the disk."""

    def __init__(self, folder: Path, *, safe: bool = True, say: Callable[[str], None] = lambda _: None) -> None:
        self.folder = folder.resolve()
        self._safe = safe
        self._say = say
        self._process: subprocess.Popen[bytes] | None = None
        self.port = 0
        run = self.folder / "run"
        if len(str(run / "m.sock")) > _LONGEST_SOCKET:
            run = Path(tempfile.gettempdir()) / f"orthopsis-{os.getuid()}-{zlib.crc32(str(self.folder).encode())}"
        self._run = run

    @property
    def url(self) -> str:
        """SQLAlchemy's address of the database, over the socket: no password leaves the machine."""
        return f"mariadb+pymysql://{getpass.getuser()}@localhost/{DATABASE}?charset=utf8mb4&unix_socket={self._socket}"

    @property
    def _socket(self) -> Path:
        return self._run / "m.sock"

    @property
    def _temporary(self) -> Path:
        """Where the server puts what it needs for a moment: a folder of its own, so that two are not in each other's
        way."""
        return self.folder / "temporary"

    def start(self) -> None:
        """Initialise the folder if it is new, start the server and wait until it answers.

        Raises:
            ServerFailed: with the last lines of the server's own log.
        """
        self.folder.mkdir(parents=True, exist_ok=True)
        self._run.mkdir(parents=True, exist_ok=True, mode=0o700)
        self._temporary.mkdir(exist_ok=True)
        self.end_left_over()
        if self._process is not None:
            self._process.wait()
            self._process = None
        if not (self.folder / "db").exists():
            self._initialise()
        if not (self.folder / "db" / "mysql").is_dir():
            raise ServerFailed(
                "database_not_whole",
                f"{self.folder / 'db'} holds no whole database; perhaps a restore was broken off. It is left as it is.",
                "Put the whole folder back, or begin anew with --fresh, which keeps it aside.",
            )
        self._check_room()
        self.port = _free_port()
        self._process = subprocess.Popen(
            self._command(),
            stdin=subprocess.DEVNULL,
            stdout=subprocess.DEVNULL,
            stderr=subprocess.DEVNULL,
            start_new_session=True,
        )
        self._wait()
        self._client(f"CREATE DATABASE IF NOT EXISTS {DATABASE} CHARACTER SET utf8mb4 COLLATE utf8mb4_unicode_520_ci")

    def stop(self) -> None:
        """Stop the server cleanly and wait until it is gone."""
        if self._process is None:
            return
        self._process.terminate()
        try:
            self._process.wait(timeout=30)
        except subprocess.TimeoutExpired:
            self._process.kill()
            self._process.wait()
        self._process = None

    def kill(self) -> None:
        """End the server at once, as a power cut would (for tests of recovery)."""
        if self._process is not None:
            self._process.kill()
            self._process.wait()
            self._process = None

    def is_running(self) -> bool:
        """Tell whether the server that was started here still runs."""
        return self._process is not None and self._process.poll() is None

    def _command(self) -> list[str]:
        return [
            _program("mariadbd"),
            "--no-defaults",
            f"--user={getpass.getuser()}",
            f"--datadir={self.folder / 'db'}",
            f"--socket={self._socket}",
            f"--tmpdir={self._temporary}",
            f"--pid-file={self._run / 'm.pid'}",
            "--bind-address=127.0.0.1",
            f"--port={self.port}",
            "--skip-name-resolve",
            "--skip-log-bin",
            "--character-set-server=utf8mb4",
            "--collation-server=utf8mb4_unicode_520_ci",
            "--innodb-log-file-size=16M",
            "--innodb-buffer-pool-size=64M",
            "--max-allowed-packet=64M",
            "--performance-schema=OFF",
            f"--innodb-flush-log-at-trx-commit={1 if self._safe else 2}",
            f"--log-error={self.folder / 'error.log'}",
        ]

    def _initialise(self) -> None:
        """Make the database beside its place and then put it there, so that a half-made one is never taken for one."""
        self._say("making the database")
        user = getpass.getuser()
        half_made = self.folder / "db-half-made"
        shutil.rmtree(half_made, ignore_errors=True)
        self._check_room()
        made = subprocess.run(
            [
                _program("mariadb-install-db"),
                "--no-defaults",
                f"--user={user}",
                f"--datadir={half_made}",
                f"--tmpdir={self._temporary}",
                "--auth-root-authentication-method=socket",
                f"--auth-root-socket-user={user}",
                "--skip-test-db",
                "--skip-name-resolve",
                "--innodb-log-file-size=16M",
            ],
            capture_output=True,
            text=True,
            check=False,
            stdin=subprocess.DEVNULL,
        )
        if made.returncode != 0:
            shutil.rmtree(half_made, ignore_errors=True)
            said = (made.stderr.strip() or made.stdout.strip())[-400:]
            raise ServerFailed("database_not_made", f"The database could not be made: {said}", "Try again.")
        half_made.rename(self.folder / "db")

    def _check_room(self) -> None:
        free = shutil.disk_usage(self.folder).free
        if free < LEAST_ROOM_BYTES:
            raise ServerFailed(
                "disk_full",
                f"The disk is full: {free // 1_000_000} MB are left where {self.folder} is.",
                f"Make {LEAST_ROOM_BYTES // 1_000_000} MB of room.",
            )

    def _wait(self) -> None:
        end = time.monotonic() + _WAIT_S
        while time.monotonic() < end:
            if not self.is_running():
                break
            if self._client("SELECT 1"):
                return
            time.sleep(0.1)
        log = self.folder / "error.log"
        tail = log.read_text(errors="replace").splitlines()[-6:] if log.exists() else []
        self.stop()
        raise ServerFailed("database_not_started", "The database does not start: " + " | ".join(tail), f"See {log}.")

    def _client(self, statement: str) -> bool:
        command = [
            _program("mariadb"),
            "--no-defaults",
            f"-u{getpass.getuser()}",
            "-S",
            str(self._socket),
            "-e",
            statement,
        ]
        return subprocess.run(command, capture_output=True, check=False, stdin=subprocess.DEVNULL).returncode == 0

    def end_left_over(self) -> None:
        """End a server that an earlier run left behind on this very folder; clear what a dead one left."""
        pid_file = self._run / "m.pid"
        try:
            pid = int(pid_file.read_text())
            arguments = Path(f"/proc/{pid}/cmdline").read_bytes().split(b"\0")
        except (OSError, ValueError):
            pid, arguments = 0, []
        if pid and f"--datadir={self.folder / 'db'}".encode() in arguments:
            self._say("ending a database server that an earlier run left behind")
            os.kill(pid, signal.SIGTERM)
            end = time.monotonic() + 30
            while time.monotonic() < end and _is_alive(pid):
                time.sleep(0.1)
        pid_file.unlink(missing_ok=True)
        self._socket.unlink(missing_ok=True)


def _program(name: str) -> str:
    """Return where a program is, also for users whose search path leaves out the system's own folders.

    Raises:
        ServerFailed: MariaDB is not installed.
    """
    found = shutil.which(name, path=f"{os.environ.get('PATH', '')}:/usr/sbin:/usr/local/sbin:/usr/bin")
    if found is None:
        raise ServerFailed(
            "no_mariadb", f"The program {name} is not installed.", "Run ./start, which says how to install it."
        )
    return found


def _is_alive(pid: int) -> bool:
    """Tell whether a process runs; one that has ended and waits for its parent does not."""
    try:
        return Path(f"/proc/{pid}/stat").read_text().rpartition(")")[2].split()[0] != "Z"
    except OSError:
        return False


def _free_port() -> int:
    with socket.socket() as probe:
        probe.bind(("127.0.0.1", 0))
        return int(probe.getsockname()[1])
