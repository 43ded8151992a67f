"""``orthopsis start`` as a program: what it survives, how it ends, and what it says when it cannot begin."""

import os
import shutil
import signal
import socket
import subprocess
import sys
import threading
import time
from collections.abc import Callable, Iterator
from contextlib import contextmanager
from pathlib import Path

import httpx2 as httpx
import pytest
from processes import children_of

from orthopsis.app.patience import HEADER_S
from orthopsis.store.server import PrivateServer


class Program:
    """The program, what it has said, and where it serves."""

    def __init__(self, data: Path, *arguments: str, database: str = "") -> None:
        command = [sys.executable, "-m", "orthopsis.cli", "start", "--no-demo", *arguments]
        environment = {**os.environ, "ORTHOPSIS_DATA": str(data), "ORTHOPSIS_DATABASE_URL": database}
        self.process = subprocess.Popen(
            command, env=environment, stdout=subprocess.PIPE, stderr=subprocess.STDOUT, text=True
        )
        self.said = ""
        self._listening = threading.Thread(target=self._listen, daemon=True)
        self._listening.start()

    def _listen(self) -> None:
        assert self.process.stdout is not None
        for line in self.process.stdout:
            self.said += line

    @property
    def address(self) -> str:
        """Return where it serves, once it does."""
        wait_until(lambda: "Ctrl-C" in self.said or self.process.poll() is not None)
        return next(word for word in self.said.split() if word.startswith("http://"))

    def children(self) -> list[int]:
        """Return the serving processes."""
        return children_of(self.process.pid)

    def close(self) -> None:
        """End the program at once, whatever it is doing."""
        self.process.kill()
        self.process.wait()
        self._listening.join(timeout=10)
        assert self.process.stdout is not None
        self.process.stdout.close()


def wait_until(is_so: Callable[[], bool], most_s: float = 40.0) -> None:
    """Wait until something is so, but not for ever."""
    end = time.monotonic() + most_s
    while not is_so():
        assert time.monotonic() < end, "it did not come"
        time.sleep(0.05)


@contextmanager
def running(*values: Path | str, **more: str) -> Iterator[Program]:
    """Run the program and end it in any case."""
    program = Program(Path(values[0]), *(str(v) for v in values[1:]), **more)
    try:
        yield program
    finally:
        program.close()


def answers(address: str) -> bool:
    """Tell whether the application answers."""
    try:
        return httpx.get(f"{address}/api/door", timeout=5).status_code == 200
    except httpx.HTTPError:
        return False


def test_a_serving_process_that_ends_is_replaced_and_it_is_said(server: PrivateServer, tmp_path: Path) -> None:
    with running(tmp_path / "data", "--port", "0", database=server.url) as program:
        address = program.address
        wait_until(lambda: answers(address))
        for process in program.children():
            os.kill(process, signal.SIGKILL)
        wait_until(lambda: "ended by itself; another one was begun" in program.said)
        wait_until(lambda: answers(address))
        program.process.send_signal(signal.SIGTERM)
        assert program.process.wait(timeout=30) == 0
        assert "stopped" in program.said
    assert not answers(address)


def test_the_serving_processes_end_with_the_program_even_if_it_is_killed(server: PrivateServer, tmp_path: Path) -> None:
    with running(tmp_path / "data", "--port", "0", database=server.url) as program:
        address = program.address
        wait_until(lambda: answers(address))
        children = program.children()
        program.process.kill()
        wait_until(lambda: not any(Path(f"/proc/{child}").exists() for child in children))
        assert not answers(address)


def test_a_request_that_is_never_said_to_its_end_does_not_hold_its_connection(
    server: PrivateServer, tmp_path: Path
) -> None:
    with running(tmp_path / "data", "--port", "0", database=server.url) as program:
        address = program.address
        wait_until(lambda: answers(address))
        with socket.create_connection(("127.0.0.1", int(address.rpartition(":")[2]))) as half:
            half.sendall(b"GET /api/door HTTP/1.1\r\nHost: 127.0.0.1\r\n")
            half.settimeout(HEADER_S + 10)
            assert half.recv(10) == b""
        assert answers(address)


def test_data_that_is_in_use_is_not_opened_twice(server: PrivateServer, tmp_path: Path) -> None:
    with running(tmp_path / "data", "--port", "0", database=server.url) as first:
        address = first.address
        with running(tmp_path / "data", "--port", "0", database=server.url) as other:
            assert other.process.wait(timeout=30) == 2
            assert f"already running on this data, at {address}" in other.said


def test_beginning_anew_after_a_crash_keeps_the_earlier_data_whole(tmp_path: Path) -> None:
    data = tmp_path / "data"
    with running(data, "--port", "0") as crashed:
        assert crashed.address
    with running(data, "--port", "0", "--fresh", "--yes") as fresh:
        wait_until(lambda: answers(fresh.address))
        assert "ending a database server that an earlier run left behind" in fresh.said
        fresh.process.send_signal(signal.SIGTERM)
        assert fresh.process.wait(timeout=60) == 0
    (backup,) = tmp_path.glob("data-backup-*")
    shutil.rmtree(data)
    backup.rename(data)
    with running(data, "--port", "0") as again:
        wait_until(lambda: answers(again.address))
        again.process.send_signal(signal.SIGTERM)
        assert again.process.wait(timeout=60) == 0


def test_a_program_that_was_killed_is_begun_again_at_once_on_its_port(server: PrivateServer, tmp_path: Path) -> None:
    with running(tmp_path / "data", "--port", "0", database=server.url) as killed:
        address = killed.address
        wait_until(lambda: answers(address))
    port = address.rpartition(":")[2]
    with running(tmp_path / "data", "--port", port, database=server.url) as again:
        assert again.address == address
        wait_until(lambda: answers(address))


def test_no_save_that_was_acknowledged_is_lost_when_program_and_database_are_killed() -> None:
    bench = Path(__file__).parents[2] / "benchmarks" / "kill.py"
    told = subprocess.run([sys.executable, str(bench), "--kills", "3"], capture_output=True, text=True, check=False)
    assert told.returncode == 0, told.stderr[-2000:]
    lost, refused = (line.split("\t") for line in told.stdout.splitlines()[:2])
    assert lost[:2] == ["kill.lost", "0"], lost
    assert refused[:2] == ["kill.refused", "0"], refused
    assert int(lost[5].split()[-2]) > 20, "hardly anything was saved"


@pytest.mark.parametrize(
    ("arguments", "data", "database", "said"),
    [
        (["--port", "70000"], "data", "", "There is no port 70000"),
        (["--port", "0"], "data", "postgresql://x/y", "mariadb+pymysql://"),
        (["--port", "0"], "file/data", "", "cannot be used"),
    ],
)
def test_what_cannot_be_begun_is_said_in_a_sentence(
    tmp_path: Path, arguments: list[str], data: str, database: str, said: str
) -> None:
    (tmp_path / "file").write_text("no folder")
    with running(tmp_path / data, *arguments, database=database) as program:
        assert program.process.wait(timeout=30) == 2
        wait_until(lambda: said in program.said)
    assert "Traceback" not in program.said


def test_a_port_that_is_taken_is_said(tmp_path: Path) -> None:
    with socket.socket() as taken:
        taken.bind(("127.0.0.1", 0))
        taken.listen()
        with running(tmp_path / "data", "--port", str(taken.getsockname()[1])) as program:
            assert program.process.wait(timeout=30) == 2
            wait_until(lambda: "is taken" in program.said)
