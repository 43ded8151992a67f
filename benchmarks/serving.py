"""The application in a process of its own, for benchmarks: a fresh database, no demonstration."""

import os
import signal
import subprocess
import sys
import tempfile
import time
from collections.abc import Iterator
from contextlib import contextmanager
from pathlib import Path

from playwright.sync_api import Page, sync_playwright

CHROMIUM = [
    "--no-sandbox", "--disable-background-networking", "--disable-component-update", "--disable-sync", "--no-first-run",
    "--disable-gpu", "--host-resolver-rules=MAP * ~NOTFOUND, EXCLUDE 127.0.0.1",
]  # fmt: skip


def start_server(folder: Path) -> tuple[subprocess.Popen[str], str, float]:
    """Start the application on the data in a folder; return process, address and the seconds until it served."""
    begin = time.perf_counter()
    process = subprocess.Popen(
        [sys.executable, "-m", "orthopsis.cli", "start", "--no-demo", "--port", "0"],
        env={**os.environ, "ORTHOPSIS_DATA": str(folder / "data"), "PYTHONUNBUFFERED": "1"},
        stdout=subprocess.PIPE, text=True,
    )  # fmt: skip
    assert process.stdout is not None
    for line in process.stdout:
        if "http://" in line:
            return process, line.split()[-1], time.perf_counter() - begin
    raise RuntimeError("the application did not start")


def stop_server(process: subprocess.Popen[str]) -> None:
    """Stop the application as Ctrl-C does."""
    process.send_signal(signal.SIGTERM)
    process.wait(timeout=60)
    if process.stdout is not None:
        process.stdout.close()


@contextmanager
def served() -> Iterator[str]:
    """Yield the address of the application on a fresh database."""
    with tempfile.TemporaryDirectory() as folder:
        process, address, _ = start_server(Path(folder))
        try:
            yield address
        finally:
            stop_server(process)


@contextmanager
def signed_in() -> Iterator[tuple[Page, str]]:
    """Yield a page of 1280 x 800 with a new teacher signed in, and the address of the application it is served by."""
    with served() as address, sync_playwright() as play:
        browser = play.chromium.launch(executable_path="/usr/bin/chromium", args=CHROMIUM)
        page = browser.new_page(viewport={"width": 1280, "height": 800})
        page.request.post(
            f"{address}/api/sign-in/first", data={"login": "bench", "name": "Bench", "password": "net-loft-and-tern"}
        )
        yield page, address
        browser.close()
