"""Is anything lost that was acknowledged, when the application or its database is killed again and again?

Some hands save all the while, each an exercise of its own; each kill hits, in turn, a serving process, the database and
the whole program, which is then begun again on the same data.
"""

import argparse
import itertools
import os
import signal
import socket
import subprocess
import sys
import tempfile
import threading
import time
import uuid
from collections.abc import Callable
from dataclasses import dataclass
from pathlib import Path

import httpx2 as httpx

from orthopsis.core.document.ready import READY
from report import report

HANDS = 4
AFTER_A_KILL_S = 60.0
"""Longer than this nobody waits: then it counts as not come back."""


@dataclass
class Hand:
    """One who saves: the exercise, and what was last acknowledged and last said of it."""

    exercise: int
    version: int
    document: dict[str, object]
    acknowledged: int = 0
    said: int = 0
    saves: int = 0


class Program:
    """The application on a folder and a port, begun again after it was killed."""

    def __init__(self, folder: Path) -> None:
        self.folder = folder
        with socket.socket() as free:
            free.bind(("127.0.0.1", 0))
            self.port = free.getsockname()[1]
        self.begin()

    @property
    def address(self) -> str:
        """Where it serves."""
        return f"http://127.0.0.1:{self.port}"

    def begin(self) -> None:
        """Begin it and wait until it serves."""
        command = [sys.executable, "-m", "orthopsis.cli", "start", "--no-demo", "--port", str(self.port)]
        log = (self.folder / "log.txt").open("a")
        environment = {**os.environ, "ORTHOPSIS_DATA": str(self.folder / "data"), "PYTHONUNBUFFERED": "1"}
        self.process = subprocess.Popen(command, env=environment, stdout=log, stderr=log)
        log.close()
        self.wait()

    def wait(self) -> None:
        """Wait until it answers from its database."""
        end = time.monotonic() + AFTER_A_KILL_S
        while time.monotonic() < end:
            try:
                if httpx.get(f"{self.address}/api/door", timeout=5).status_code == 200:
                    return
            except httpx.HTTPError:
                pass
            time.sleep(0.1)
        raise TimeoutError(f"the application did not come back: {(self.folder / 'log.txt').read_text()[-1500:]}")

    def kill_a_server(self) -> None:
        """Kill one serving process; the program begins another."""
        os.kill(_children(self.process.pid, b"spawn_main")[0], signal.SIGKILL)

    def kill_the_database(self) -> None:
        """Kill the database; the program begins it again, or is begun again where it gave up."""
        for pid in _children(self.process.pid, b"mariadbd"):
            os.kill(pid, signal.SIGKILL)
        time.sleep(1.0)
        if self.process.poll() is not None:
            self.begin()

    def kill_all(self) -> None:
        """Kill the program itself, and begin it again."""
        self.process.kill()
        self.process.wait()
        self.begin()

    def stop(self) -> None:
        """Stop it as Ctrl-C does."""
        self.process.terminate()
        self.process.wait(timeout=60)


def _children(parent: int, name: bytes) -> list[int]:
    found = []
    for folder in Path("/proc").iterdir():
        if folder.name.isdigit():
            try:
                mother = (folder / "stat").read_text().rpartition(")")[2].split()[1]
                if int(mother) == parent and name in (folder / "cmdline").read_bytes():
                    found.append(int(folder.name))
            except OSError:
                continue
    return found


def _save_on(address: str, cookies: dict[str, str], hand: Hand, is_over: threading.Event) -> None:
    """Save again and again, each time with the next number of minutes; what was not answered is said again."""
    with httpx.Client(base_url=address, cookies=cookies, timeout=20) as browser:
        while not is_over.is_set():
            number = hand.said = hand.acknowledged + 1
            exercise = {**hand.document, "title": f"Save {number}"}
            save_id = uuid.uuid4().hex
            while not is_over.is_set():
                try:
                    body = {"base_version": hand.version, "exercise": exercise, "save_id": save_id}
                    answer = browser.put(f"/api/exercises/{hand.exercise}", json=body)
                except httpx.HTTPError:
                    time.sleep(0.1)
                    continue
                if answer.status_code == 200:
                    hand.version, hand.acknowledged = answer.json()["version"], number
                    hand.saves += 1
                    break
                if answer.status_code < 500:
                    raise RuntimeError(f"save {number} was refused: {answer.text[:200]}")
                time.sleep(0.1)
            time.sleep(0.02)


def _lost(address: str, cookies: dict[str, str], hands: list[Hand]) -> int:
    """Return of how many exercises the state on the shelf is older than what was acknowledged."""
    lost = 0
    with httpx.Client(base_url=address, cookies=cookies, timeout=60) as browser:
        for hand in hands:
            kept = browser.get(f"/api/exercises/{hand.exercise}").json()
            number = int(kept["exercise"]["title"].split()[-1]) if hand.acknowledged else 0
            lost += not hand.acknowledged <= number <= hand.said or kept["version"] < hand.version
    return lost


def main() -> None:
    """Print how many kills there were, how many saves were acknowledged, and how many were lost."""
    parser = argparse.ArgumentParser()
    parser.add_argument("--kills", type=int, default=100)
    kills = parser.parse_args().kills
    with tempfile.TemporaryDirectory() as folder:
        program = Program(Path(folder))
        with httpx.Client(base_url=program.address, timeout=60) as first:
            who = {"login": "kill", "name": "Kill", "password": "net-loft-and-tern"}
            first.post("/api/sign-in/first", json=who).raise_for_status()
            made = [first.post("/api/exercises", json={"exercise": READY[n]}).json() for n in range(HANDS)]
            cookies = dict(first.cookies)
        hands = [Hand(one["id"], one["version"], one["exercise"]) for one in made]
        is_over, faults = threading.Event(), list[str]()

        def save_on(hand: Hand) -> None:
            try:
                _save_on(program.address, cookies, hand, is_over)
            except Exception as error:
                faults.append(str(error))

        threads = [threading.Thread(target=save_on, args=(hand,), daemon=True) for hand in hands]
        for thread in threads:
            thread.start()
        ways: list[Callable[[], None]] = [program.kill_a_server, program.kill_the_database, program.kill_all]
        back = []
        for kill in itertools.islice(itertools.cycle(ways), kills):
            time.sleep(1.0)
            start = time.monotonic()
            kill()
            program.wait()
            back.append(time.monotonic() - start)
        time.sleep(1.0)
        is_over.set()
        for thread in threads:
            thread.join()
        lost = _lost(program.address, cookies, hands)
        program.stop()
    on = f"{kills} kills of a serving process, the database and the program, {sum(h.saves for h in hands)} saves"
    report("kill.lost", lost, "exercises", "0", lost == 0, on)
    report("kill.refused", len(faults), "saves", "0", not faults, "; ".join(faults) or on)
    report("kill.longest_away", max(back), "s", "-", True, on)


if __name__ == "__main__":
    main()
