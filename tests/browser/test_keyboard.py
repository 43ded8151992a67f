"""The loop walked with the keyboard alone: every place is reached by Tab, and the focus is never lost on the way."""

import pytest
from playwright.sync_api import Page, TimeoutError, expect

pytestmark = [
    pytest.mark.browser,
    pytest.mark.filterwarnings("ignore::pytest.PytestUnraisableExceptionWarning"),
    pytest.mark.filterwarnings("ignore::ResourceWarning"),
]

FOCUSED = """() => {
  const it = document.activeElement
  if (!it || it === document.body) return ''
  const label = it.getAttribute('aria-label') || it.labels?.[0]?.innerText
  return (label || it.innerText || it.textContent || it.tagName).trim().replace(/\\s+/g, ' ')
}"""
MOST_TABS = 70
TAKEN_OVER_MS = 3000


class Hands:
    """Two hands on the keyboard, and eyes that see what has the focus."""

    def __init__(self, page: Page) -> None:
        self.page = page

    @property
    def at(self) -> str:
        """What has the focus; empty if nothing has."""
        return str(self.page.evaluate(FOCUSED))

    def go(self, name: str, key: str = "Tab") -> None:
        """Press Tab until something of this name has the focus."""
        for _ in range(MOST_TABS):
            self.page.keyboard.press(key)
            if name in self.at:
                return
        pytest.fail(f"{MOST_TABS} times {key} do not lead to “{name}”; the focus is at “{self.at[:60]}”")

    def press(self, *keys: str) -> None:
        """Press keys, and see that the focus is somewhere afterwards."""
        for key in keys:
            self.page.keyboard.press(key)
        self.page.wait_for_timeout(700)
        # A view that opens takes its time on a busy machine, and what takes the focus over is looked for now and then.
        try:
            self.page.wait_for_function(f"({FOCUSED})() !== ''", timeout=TAKEN_OVER_MS)
        except TimeoutError:
            pytest.fail(f"after {keys} nothing has the focus")


def test_an_exercise_is_made_shown_and_printed_without_a_mouse(desk: Page) -> None:
    hands = Hands(desk)
    hands.go("Desk")
    hands.press("Enter")
    hands.go("New exercise")
    hands.press("Enter")
    hands.go("An empty sheet")
    hands.press("Enter")
    expect(desk.get_by_role("button", name="Add a box")).to_be_visible()
    hands.go("the height of the eye level")
    hands.press("Enter")
    desk.keyboard.press("Control+a")
    desk.keyboard.type("140")
    hands.press("Enter")
    assert hands.at == "the height of the eye level: 140 mm"
    hands.go("Add a box")
    hands.press("Enter")
    hands.press("Enter")
    expect(desk.locator("article.thing")).to_have_count(2)
    hands.go("Choose several", "Shift+Tab")
    hands.press("Enter")
    hands.press("Enter")
    expect(desk.get_by_text("2 chosen.")).to_be_visible()
    hands.press("Escape")
    assert hands.at == "Choose several"
    hands.go("Move the box: Box 1")
    before = desk.get_by_label("Move the box: Box 1").get_attribute("aria-valuetext")
    hands.press("ArrowRight", "ArrowRight")
    assert desk.get_by_label("Move the box: Box 1").get_attribute("aria-valuetext") != before
    assert "Move the box: Box 1" in hands.at
    hands.press("Control+z")
    hands.go("Show", "Shift+Tab")
    hands.press("Enter")
    desk.wait_for_url("**/show/*")
    first = desk.url
    hands.press("ArrowRight", "ArrowRight", "ArrowRight")
    assert desk.url != first
    hands.press("Escape")
    desk.wait_for_url("**/desk/*")
    hands.go("Print", "Shift+Tab")
    hands.press("Enter")
    desk.wait_for_url("**/print/*")
    hands.go("Starter sheet")
    hands.press("ArrowDown")
    assert "Step sheets" in hands.at
    hands.go("Open the PDF to print")


def test_a_sheet_is_judged_and_the_register_opened_without_a_mouse(desk: Page) -> None:
    hands = Hands(desk)
    hands.go("Check")
    hands.press("Enter")
    hands.go("Waders")
    hands.press("Enter")
    desk.wait_for_url("**/check/*")
    if desk.get_by_role("button", name="Read 1 sheet").count():
        hands.go("Read 1 sheet")
        hands.press("Enter")
    expect(desk.get_by_role("button", name="Keep and next")).to_be_visible(timeout=60_000)
    hands.press("n")
    hands.go("Place the corners by hand", "Shift+Tab")
    hands.press("Enter")
    hands.go("Lower left corner")
    hands.press("ArrowLeft")
    hands.go("Leave it")
    hands.press("Enter")
    hands.go("Register", "Shift+Tab")
    hands.press("Enter")
    desk.wait_for_url("**/register")
