"""Nobody shut out: every view and dialog is looked over by an accessibility checker (axe-core, WCAG 2.2 A and AA)."""

import json
import re
from collections.abc import Callable
from pathlib import Path

import pytest
from playwright.sync_api import Page, expect

from orthopsis.app.settings import ROOT

pytestmark = [
    pytest.mark.browser,
    pytest.mark.filterwarnings("ignore::pytest.PytestUnraisableExceptionWarning"),
    pytest.mark.filterwarnings("ignore::ResourceWarning"),
]

AXE = Path(ROOT, "frontend", "node_modules", "axe-core", "axe.min.js")
TAGS = ["wcag2a", "wcag2aa", "wcag21a", "wcag21aa", "wcag22aa"]
RUN = """async (tags) => {
  const found = await axe.run(document, { runOnly: { type: 'tag', values: tags }, resultTypes: ['violations'] })
  return found.violations.flatMap((v) => v.nodes.map((n) => `${v.id}: ${n.target.join(' ')} ${n.failureSummary}`))
}"""


def faults(page: Page) -> list[str]:
    """Return what the checker finds on the page as it is now."""
    page.wait_for_timeout(450)  # what fades in has faded in
    page.evaluate(AXE.read_text())
    return list(page.evaluate(RUN, TAGS))


def button(name: str) -> Callable[[Page], None]:
    """Return an act: press the first button of this name."""
    return lambda page: page.get_by_role("button", name=name).first.click()


def press(key: str) -> Callable[[Page], None]:
    """Return an act: press a key."""
    return lambda page: page.keyboard.press(key)


def choose(kind: str) -> Callable[[Page], None]:
    """Return an act: choose what is printed."""
    return lambda page: page.locator(f"input[value={kind}]").check()


def nothing(page: Page) -> None:
    """Leave the view as it opens."""


def read_pile(page: Page) -> None:
    read = page.get_by_role("button", name=re.compile("^Read "))
    if read.count():
        read.click()
    expect(page.get_by_role("button", name="Keep and next")).to_be_visible(timeout=60_000)


def place_corners(page: Page) -> None:
    read_pile(page)
    page.get_by_role("button", name="Place the corners by hand").click()


def refused(page: Page) -> None:
    page.get_by_role("button", name="the height of the eye level").click()
    page.keyboard.type("nonsense")
    page.keyboard.press("Enter")
    expect(page.get_by_role("alert")).to_be_visible()


def choose_thing(page: Page) -> None:
    page.locator("article.thing").first.click()


def whole_list(page: Page) -> None:
    button("Enter students")(page)
    page.get_by_label("Students, one a line").fill("No;Name\n1;Ada\n2;Bo")
    expect(page.get_by_text("Ada").first).to_be_visible()


SCREENS: list[tuple[str, str, Callable[[Page], None]]] = [
    ("today", "/today", nothing),
    ("plan a lesson", "/today", button("Plan a lesson")),
    ("shelf", "/desk", nothing),
    ("ready exercises", "/desk", button("New exercise")),
    ("desk", "/desk/1", nothing),
    ("desk, a thing chosen", "/desk/1", choose_thing),
    ("desk, a value refused", "/desk/1", refused),
    ("desk, a choice", "/desk/1", button("the paper")),
    ("desk, a thing's menu", "/desk/1", button("more to do with")),
    ("desk, a step's menu", "/desk/1", button("Change step 3")),
    ("desk, earlier states", "/desk/1", button("kept")),
    ("desk, two points", "/desk/6", nothing),
    ("account menu", "/desk/1", button("Harbour School")),
    ("show chosen", "/show", nothing),
    ("show", "/show/1", nothing),
    ("show, a later step", "/show/1?step=6", nothing),
    ("show, how it looks", "/show/1", button("Looks")),
    ("show, all steps", "/show/1", button("Steps")),
    ("show, a close-up in a dark room", "/show/9?step=4", press("d")),
    ("class window", "/show/1/class", nothing),
    ("print chosen", "/print", nothing),
    ("print", "/print/1", nothing),
    ("print, strips", "/print/5", choose("strips")),
    ("piles", "/check", nothing),
    ("pile", "/check/2", read_pile),
    ("corners", "/check/2", place_corners),
    ("register", "/register", nothing),
    ("enter students", "/register", button("Enter students")),
    ("a class list", "/register", whole_list),
    ("another alias", "/register", button("Rename")),
    ("remove the class", "/register", button("Remove the class")),
    ("account", "/account", nothing),
    ("not here", "/nowhere", nothing),
]


@pytest.mark.parametrize(("path", "act"), [s[1:] for s in SCREENS], ids=[s[0] for s in SCREENS])
def test_the_checker_finds_nothing(desk: Page, address: str, path: str, act: Callable[[Page], None]) -> None:
    desk.goto(address + path)
    desk.wait_for_load_state("networkidle")
    act(desk)
    found = faults(desk)
    assert not found, json.dumps(found, indent=1)


@pytest.mark.parametrize("act", [nothing, button("Open an account of your own")], ids=["sign in", "first account"])
def test_the_checker_finds_nothing_at_the_door(page: Page, address: str, act: Callable[[Page], None]) -> None:
    page.goto(f"{address}/sign-in")
    page.wait_for_load_state("networkidle")
    act(page)
    found = faults(page)
    assert not found, json.dumps(found, indent=1)


def test_with_forced_colours_what_is_chosen_is_told_and_no_box_stands_about_the_lines(desk: Page, address: str) -> None:
    desk.emulate_media(forced_colors="active")
    desk.goto(f"{address}/desk/1")
    desk.locator("article.thing").first.click()
    style = "(one) => getComputedStyle(one).outlineStyle"
    assert desk.locator("article.chosen").evaluate(style) == "solid"
    assert desk.locator(".rung").first.evaluate(style) == "none"
    desk.locator(".rung").nth(3).click()
    assert desk.locator(".rung").nth(3).evaluate(style) == "solid"
    desk.locator("article.thing").first.click()
    chosen = desk.locator(".sheet .lines .chosen")
    expect(chosen.first).to_be_attached()
    assert {chosen.nth(i).evaluate(style) for i in range(chosen.count())} == {"none"}
