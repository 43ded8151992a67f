"""Take the pictures of docs/screenshots anew, from the demonstration on a database of their own.

Run it with .venv/bin/python tools/screenshots.py [NAME...] after ./start has built everything once.
"""

import os
import re
import signal
import subprocess
import sys
import tempfile
from collections.abc import Callable
from pathlib import Path

from playwright.sync_api import Page, Playwright, expect, sync_playwright

from orthopsis.core.document.ready import READY
from orthopsis.paperwork.raster import png_of_pdf

FOLDER = Path(__file__).parents[1] / "docs" / "screenshots"
CHROMIUM = [
    "--no-sandbox", "--disable-background-networking", "--disable-component-update", "--disable-sync", "--no-first-run",
    "--disable-gpu", "--force-color-profile=srgb", "--font-render-hinting=none",
    "--host-resolver-rules=MAP * ~NOTFOUND, EXCLUDE 127.0.0.1",
]  # fmt: skip


def number(title: str) -> int:
    """Return the number in the demonstration of the one ready exercise whose title begins so."""
    (found,) = (i for i, ready in enumerate(READY, start=1) if str(ready["title"]).startswith(title))
    return found


def today(page: Page) -> None:
    page.goto("/today")
    page.locator(".lessons li").first.wait_for()
    page.wait_for_load_state("networkidle")


def desk(page: Page) -> None:
    page.goto(f"/desk/{number('Three crates:')}")
    page.locator(".handle").first.wait_for()
    page.get_by_label("Move the box: Quay crate").focus()


def desk_house(page: Page) -> None:
    page.goto(f"/desk/{number('A net loft with chimney')}")
    page.get_by_label("Change the height of the ridge: Roof").focus()


def desk_two_points(page: Page) -> None:
    page.goto(f"/desk/{number('Chests by the boathouse')}")
    page.get_by_label("Move the box: Sail chest").focus()


def desk_letters(page: Page) -> None:
    page.goto(f"/desk/{number('KNOT around a corner, two points')}")
    page.locator(".handle").first.wait_for()
    page.locator("[data-step='11'] .rung").click()


def desk_shadows(page: Page) -> None:
    page.goto(f"""/desk/{number("A mooring post's shadow over")}""")
    page.locator(".handle").first.wait_for()
    page.locator("article.thing").last.scroll_into_view_if_needed()


def desk_division(page: Page) -> None:
    page.goto(f"/desk/{number('The wall of a net loft')}")
    page.locator(".handle").first.wait_for()
    page.locator("[data-step='9'] .rung").click()
    page.locator("article.thing").nth(1).scroll_into_view_if_needed()


def desk_room(page: Page) -> None:
    page.goto(f"""/desk/{number("The harbour master's room by lamplight")}""")
    page.locator(".handle").first.wait_for()
    page.get_by_role("button", name="Add a box").scroll_into_view_if_needed()


def desk_street(page: Page) -> None:
    page.goto(f"/desk/{number('A quay street with both sides, one point')}")
    page.locator(".handle").first.wait_for()
    page.locator("article.thing", has=page.get_by_label("Name of Lamps")).click(position={"x": 4, "y": 60})
    page.get_by_label("Change the height: Lamps").focus()


def own_sheets(page: Page) -> None:
    page.goto(f"/print/{number('Your name over the harbour')}")
    page.get_by_text("Everything for each student").click()
    page.get_by_label("Sheets for whom").click()
    page.locator(".n-base-select-option", has_text="Terns").click()
    page.get_by_text("24 sheets").wait_for()


def trial(page: Page) -> None:
    page.goto(f"/desk/{number('Chests by the boathouse')}")
    page.get_by_role("button", name="Put the points at the sheet's ends").click()
    page.get_by_text("As it would be").wait_for()


def ready(page: Page) -> None:
    page.goto("/desk")
    page.get_by_role("button", name="New exercise", exact=True).click()
    page.get_by_role("button", name="Two true cubes, two points", exact=True).wait_for()
    page.wait_for_load_state("networkidle")


def show_close_up(page: Page) -> None:
    page.goto(f"/show/{number('KNOT in block letters, one point')}?step=4")
    page.locator(".ruler").wait_for()
    page.wait_for_timeout(6200)


def shelf(page: Page) -> None:
    page.goto("/desk")
    page.locator(".shelf li").first.wait_for()
    page.wait_for_load_state("networkidle")


def show(page: Page) -> None:
    page.goto(f"/show/{number('Three crates:')}?step=4")
    page.locator(".ruler").wait_for()
    page.wait_for_timeout(3000)


def print_view(page: Page) -> None:
    page.goto(f"/print/{number('Chests by the boathouse')}")
    page.locator(".preview img").wait_for()
    page.get_by_text("Answer").click()
    page.wait_for_load_state("networkidle")


def step_sheet(page: Page) -> None:
    pdf = page.request.get(f"/api/exercises/{number('Three crates:')}/print/steps.pdf?per_page=4").body()
    (FOLDER / "step-sheet.png").write_bytes(png_of_pdf(pdf, 90))


def check(page: Page) -> None:
    page.goto("/check")
    page.get_by_role("link", name=re.compile("Terns")).click()
    page.get_by_role("button", name=re.compile("^Read")).click()
    expect(page.locator(".progress")).to_be_visible()
    expect(page.locator(".progress")).to_have_count(0, timeout=180_000)
    page.reload()
    page.locator(".findings article").first.wait_for()
    page.wait_for_load_state("networkidle")


def register(page: Page) -> None:
    page.goto("/register/2")
    page.locator("tbody tr").first.wait_for()


VIEWS: dict[str, Callable[[Page], None]] = {
    "today": today, "desk": desk, "desk-house": desk_house, "desk-two-points": desk_two_points,
    "desk-letters": desk_letters, "desk-shadows": desk_shadows, "desk-street": desk_street,
    "desk-division": desk_division, "desk-room": desk_room,
    "own-sheets": own_sheets, "trial": trial, "ready": ready,
    "show-close-up": show_close_up, "shelf": shelf, "show": show,
    "print": print_view, "step-sheet": step_sheet, "check": check, "register": register,
}  # fmt: skip


def main() -> None:
    """Take the named pictures, or all."""
    names = sys.argv[1:] or list(VIEWS)
    FOLDER.mkdir(parents=True, exist_ok=True)
    with tempfile.TemporaryDirectory() as data, sync_playwright() as play:
        server = subprocess.Popen(
            [sys.executable, "-m", "orthopsis.cli", "start"], stdout=subprocess.PIPE, text=True,
            env={**os.environ, "ORTHOPSIS_DATA": data, "PYTHONUNBUFFERED": "1"},
        )  # fmt: skip
        try:
            _take(names, server, play)
        finally:
            server.send_signal(signal.SIGTERM)
            server.wait(timeout=60)


def _take(names: list[str], server: subprocess.Popen[str], play: Playwright) -> None:
    assert server.stdout is not None
    address = next(line.split()[-1] for line in server.stdout if "http://" in line)
    browser = play.chromium.launch(executable_path="/usr/bin/chromium", args=CHROMIUM)
    page = browser.new_context(base_url=address, viewport={"width": 1280, "height": 800}).new_page()
    page.add_init_script(
        "for (const n of ['desk', 'today', 'pile']) localStorage.setItem(`orthopsis.hint.${n}`, 'true')"
    )
    page.goto("/sign-in")
    page.get_by_role("button", name="Look around").click()
    page.wait_for_url("**/today")
    for name in names:
        VIEWS[name](page)
        page.wait_for_timeout(400)
        if name != "step-sheet":
            page.screenshot(path=FOLDER / f"{name}.png")
    browser.close()


if __name__ == "__main__":
    main()
