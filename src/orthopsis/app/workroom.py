"""Work in processes of its own: what a file may hold can crash, hang or grow, and must not take the server with it.

A job has a bound of time and of memory. A process that ends is replaced, a job that it took with it is begun once
more, and all processes end with the one that began them, however that ends.
"""

import os
import resource
import signal
import threading
from collections.abc import Callable
from concurrent.futures import CancelledError
from concurrent.futures.process import BrokenProcessPool
from multiprocessing import get_context, parent_process
from typing import Any, TypeVar

from pebble import ProcessExpired, ProcessFuture, ProcessPool

from orthopsis.core.errors import GeometryError

T = TypeVar("T")
LOST = (ProcessExpired, BrokenProcessPool, CancelledError)
"""What a job ends with when its process ended under it."""


class TooMuchWork(GeometryError):
    """The work took more time or memory than it may."""


class Workroom:
    """Up to ``workers`` processes, begun when the first job comes."""

    def __init__(self, workers: int, *, most_s: float, most_bytes: int) -> None:
        self._workers, self._most_s, self._most_bytes = workers, most_s, most_bytes
        self._pool: ProcessPool | None = None
        self._lock = threading.Lock()
        self._closed = False

    def begin(self, job: Callable[..., T], *values: Any) -> ProcessFuture[T]:
        """Hand over a job; what it was given and what it returns must be able to travel."""
        with self._lock:
            if self._closed:
                raise CancelledError
            if self._pool is not None and not self._pool.active:
                self._end()
            if self._pool is None:
                self._pool = ProcessPool(
                    self._workers,
                    initializer=_settle_in,
                    initargs=(self._most_bytes,),
                    context=get_context("spawn"),
                )
            return self._pool.schedule(job, args=values, timeout=self._most_s)

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
            self._end()

    def _end(self) -> None:
        if self._pool is not None:
            self._pool.stop()  # type: ignore[no-untyped-call]
            self._pool.join()
            self._pool = None


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


def _settle_in(most_bytes: int) -> None:
    signal.signal(signal.SIGINT, signal.SIG_IGN)  # Ctrl-C reaches all processes of a terminal; the first one ends us.
    resource.setrlimit(resource.RLIMIT_DATA, (most_bytes, most_bytes))
    end_with_parent()
