"""Work in processes of its own: what a file may hold can crash, hang or grow, and must not take the server with it.

A job has a bound of time and of memory. A process that ends is replaced, a job that it took with it is begun once
more, and all processes end with the one that began them, however that ends.

The processes share nothing: each has a pipe of its own, whose other end this process alone holds. So one that is
killed, at whatever moment, is seen by the end of its pipe, and leaves no lock behind on which the others would wait.
"""

import os
import resource
import signal
import threading
import traceback
from collections.abc import Callable
from concurrent.futures import CancelledError, Future, ThreadPoolExecutor
from multiprocessing import get_context, parent_process
from multiprocessing.connection import Connection
from multiprocessing.reduction import ForkingPickler
from typing import Any, TypeVar

from orthopsis.core.errors import GeometryError

T = TypeVar("T")
MOST_BEGINNING_S = 60.0
"""So long a process may take to start and to load what a job needs; the job's own time begins after it."""


class ProcessEnded(Exception):
    """A job's process ended under it."""


class TooMuchWork(GeometryError):
    """The work took more time or memory than it may."""


LOST = (ProcessEnded, CancelledError)
"""What a job ends with when its process ended under it."""


class Workroom:
    """Up to ``workers`` processes, each begun when a job comes that finds none idle."""

    def __init__(self, workers: int, *, most_s: float, most_bytes: int) -> None:
        self._most_s, self._most_bytes = most_s, most_bytes
        self._waiting = ThreadPoolExecutor(workers, thread_name_prefix="workroom")  # one thread waits for one process
        self._lock = threading.Lock()
        self._idle: list[_Worker] = []
        self._all: set[_Worker] = set()
        self._closed = False

    def begin(self, job: Callable[..., T], *values: Any) -> Future[T]:
        """Hand over a job; what it was given and what it returns must be able to travel."""
        with self._lock:
            if self._closed:
                raise CancelledError
            return self._waiting.submit(self._have_done, job, values)

    def do(self, job: Callable[..., T], *values: Any) -> T:
        """Hand over a job and wait for it.

        Raises:
            TooMuchWork: it took too long or too much memory, or its process ended twice.
        """
        for _ in range(2):
            try:
                return self.begin(job, *values).result()
            except LOST:
                continue
            except (TimeoutError, MemoryError):
                break
        raise too_much_work(self._most_s)

    def close(self) -> None:
        """End all processes; what they were doing is lost."""
        with self._lock:
            self._closed = True
            for worker in self._all:
                worker.kill()
        self._waiting.shutdown(cancel_futures=True)
        for worker in self._idle:
            worker.end()
        self._idle.clear()
        self._all.clear()

    def _have_done(self, job: Callable[..., T], values: tuple[Any, ...]) -> T:
        worker = self._worker()
        try:
            done, result = worker.do(job, values, self._most_s)
        except BaseException:
            with self._lock:
                self._all.discard(worker)
            worker.end()
            raise
        with self._lock:
            self._idle.append(worker)
        if not done:
            raise result
        answer: T = result
        return answer

    def _worker(self) -> "_Worker":
        """Return a process that is ready: an idle one that still lives, or a new one."""
        with self._lock:
            while self._idle:
                worker = self._idle.pop()
                if worker.lives:
                    return worker
                worker.end()
                self._all.discard(worker)
            if self._closed:
                raise ProcessEnded
            worker = _Worker(self._most_bytes)
            self._all.add(worker)
            return worker


class _Worker:
    """One process and this end of its pipe."""

    def __init__(self, most_bytes: int) -> None:
        spawn = get_context("spawn")
        self._pipe, theirs = spawn.Pipe()
        self._process = spawn.Process(target=_work, args=(theirs, most_bytes), daemon=True)
        self._process.start()
        theirs.close()

    @property
    def lives(self) -> bool:
        """Tell whether the process has not ended."""
        return self._process.is_alive()

    def do(self, job: Callable[..., Any], values: tuple[Any, ...], most_s: float) -> tuple[bool, Any]:
        """Have a job done.

        Returns:
            Whether it came to its end, and what it returned; else what it raised.

        Raises:
            ProcessEnded: the process ended under it.
            TimeoutError: it took more than ``most_s`` seconds; the process is of no more use.
        """
        try:
            self._pipe.send((job, values))
            self._answer(MOST_BEGINNING_S)
            answer: tuple[bool, Any] = self._answer(most_s)
        except (EOFError, ConnectionError) as ended:
            raise ProcessEnded from ended
        return answer

    def _answer(self, most_s: float) -> Any:
        if not self._pipe.poll(most_s):
            raise TimeoutError
        return self._pipe.recv()

    def kill(self) -> None:
        """End the process at once; who waits for its answer is told by the end of the pipe."""
        self._process.kill()

    def end(self) -> None:
        """End the process and let go of what belongs to it."""
        self._process.kill()
        self._process.join()
        self._process.close()
        self._pipe.close()


def too_much_work(most_s: float) -> TooMuchWork:
    """Return what is said of a job that went over its bounds."""
    return TooMuchWork(
        "too_much_work",
        f"This takes more than {most_s:.0f} seconds or more memory than it may, so it was stopped.",
        "Use a plainer file: a photo, or a scan at 200 dpi.",
    )


def end_with_parent() -> None:
    """End this process when the one that began it ends, even if that was killed."""
    parent = parent_process()
    if parent is None:
        return

    def wait() -> None:
        parent.join()
        os._exit(1)

    threading.Thread(target=wait, name="end with parent", daemon=True).start()


def _work(pipe: Connection, most_bytes: int) -> None:
    """Do one job after the other until the pipe ends (runs in the process of its own)."""
    signal.signal(signal.SIGINT, signal.SIG_IGN)  # Ctrl-C reaches all processes of a terminal; the first one ends us.
    resource.setrlimit(resource.RLIMIT_DATA, (most_bytes, most_bytes))
    end_with_parent()
    while True:
        try:
            job, values = pipe.recv()
        except EOFError:
            return
        pipe.send(None)
        try:
            answer = ForkingPickler.dumps((True, job(*values)))
        except Exception as error:
            error.add_note(traceback.format_exc())  # the way to it, which does not travel by itself
            answer = ForkingPickler.dumps((False, error))
        pipe.send_bytes(answer)
