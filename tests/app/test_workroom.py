"""Processes of their own: what breaks in one of them breaks nothing else, and none is left behind."""

import os
import signal
import subprocess
import sys
import time
from collections.abc import Iterator
from concurrent.futures import ThreadPoolExecutor
from pathlib import Path

import pytest

from orthopsis.app.workroom import LOST, TooMuchWork, Workroom
from orthopsis.core.document.document import Exercise
from orthopsis.paperwork.write import write_drawing
from orthopsis.scan.picture import UnusablePicture
from orthopsis.scan.upload import clean_upload


@pytest.fixture
def room() -> Iterator[Workroom]:
    """A room with two processes and little patience."""
    room = Workroom(2, most_s=1.0, most_bytes=1_000_000_000)
    yield room
    room.close()


def test_a_job_that_hangs_is_stopped_and_the_next_one_is_done(room: Workroom) -> None:
    begin = time.monotonic()
    with pytest.raises(TooMuchWork, match="stopped"):
        room.do(time.sleep, 60)
    assert time.monotonic() - begin < 10
    assert room.do(abs, -3) == 3


def test_a_job_that_grows_is_stopped(room: Workroom) -> None:
    with pytest.raises(TooMuchWork):
        room.do(bytearray, 2_000_000_000)
    assert room.do(len, b"ab") == 2


def test_a_process_that_is_killed_while_idle_is_replaced(room: Workroom) -> None:
    """Also at the very moment after its answer, when it may still be putting its pipe in order."""
    for pause_s in (0.0, 0.3, 0.0, 0.002, 0.0, 0.01) * 2:
        os.kill(room.do(os.getpid), signal.SIGKILL)
        time.sleep(pause_s)
        assert room.do(abs, -3) == 3


def test_what_a_job_raises_tells_where_and_its_process_goes_on(room: Workroom) -> None:
    first = room.do(os.getpid)
    with pytest.raises(ZeroDivisionError) as told:
        room.do(divmod, 1, 0)
    assert "job(*values)" in told.value.__notes__[0]
    assert room.do(os.getpid) == first


def test_a_closed_room_takes_no_job_and_ends_what_it_was_doing(room: Workroom) -> None:
    child = room.do(os.getpid)
    long = room.begin(time.sleep, 60)
    time.sleep(0.2)
    room.close()
    with pytest.raises(LOST):
        long.result(timeout=5)
    with pytest.raises(LOST):
        room.begin(abs, -3)
    assert not Path(f"/proc/{child}").exists()


def test_a_job_whose_process_is_killed_is_begun_again_and_then_given_up(room: Workroom, tmp_path: Path) -> None:
    assert room.do(die_once, str(tmp_path / "was here")) == "done"
    with pytest.raises(TooMuchWork):
        room.do(die_once, "")


def die_once(mark: str) -> str:
    """Kill the own process unless there is a mark that it was done before."""
    if not mark or not Path(mark).exists():
        if mark:
            Path(mark).touch()
        os.kill(os.getpid(), signal.SIGKILL)
    return "done"


def test_what_cannot_be_used_is_told_as_it_would_be_without_a_process(room: Workroom) -> None:
    with pytest.raises(UnusablePicture) as told:
        room.do(clean_upload, b"MZ")
    assert told.value.code == "not_a_picture"
    assert told.value.fix


def test_many_pdfs_at_once_are_all_read(crates: Exercise) -> None:
    """One library call at a time in each process: in threads side by side it ends the whole program."""
    pdf = write_drawing(crates, "pdf")
    patient = Workroom(2, most_s=30.0, most_bytes=1_500_000_000)
    with ThreadPoolExecutor(6) as asking:
        kept = list(asking.map(lambda _: patient.do(clean_upload, pdf), range(48)))
    patient.close()
    assert {form for form, _ in kept} == {"jpeg"}


def test_the_processes_end_with_a_program_that_is_killed(tmp_path: Path) -> None:
    program = tmp_path / "program.py"
    program.write_text(
        "import os, signal\n"
        "from orthopsis.app.workroom import Workroom\n"
        "if __name__ == '__main__':\n"
        "    room = Workroom(2, most_s=60, most_bytes=10**9)\n"
        "    print(room.do(os.getpid), flush=True)\n"
        "    os.kill(os.getpid(), signal.SIGKILL)\n"
    )
    done = subprocess.run([sys.executable, program], capture_output=True, text=True, check=False, timeout=60)
    child = int(done.stdout)
    end = time.monotonic() + 20
    while time.monotonic() < end and Path(f"/proc/{child}").exists():
        time.sleep(0.05)
    assert not Path(f"/proc/{child}").exists(), "a process was left behind"
