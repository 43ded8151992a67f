"""How long from a warm start to a usable page?"""

import tempfile
import time
from pathlib import Path

from playwright.sync_api import sync_playwright

from report import report
from serving import CHROMIUM, start_server, stop_server


def main() -> None:
    """Start once to make the database, then again, and wait for the sign-in page to be usable."""
    with tempfile.TemporaryDirectory() as folder, sync_playwright() as play:
        process, _, first = start_server(Path(folder))
        stop_server(process)
        browser = play.chromium.launch(executable_path="/usr/bin/chromium", args=CHROMIUM)
        page = browser.new_page()
        begin = time.perf_counter()
        process, address, _ = start_server(Path(folder))
        page.goto(address)
        page.get_by_role("button", name="Sign in").wait_for()
        warm = time.perf_counter() - begin
        browser.close()
        stop_server(process)
    report(
        "start.warm",
        warm,
        "s",
        "<=5",
        warm <= 5,
        f"second start to a usable sign-in page; the first took {first:.1f} s",
    )


if __name__ == "__main__":
    main()
