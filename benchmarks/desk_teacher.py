"""A teacher at the Desk: one act of the hand after another, with a pause for looking and aiming before each."""

import time

from playwright.sync_api import Locator, Page

PAUSE_S = 2.5
"""Time to look, decide and aim before each act of the hand (no source)."""
TYPED_S = 0.25
"""Time for each character typed."""


class Teacher:
    """One hand on the mouse, one on the keyboard; counts what it does."""

    def __init__(self, page: Page, address: str) -> None:
        self.page, self.address, self.acts = page, address, 0

    def look(self, characters: int = 0) -> None:
        self.acts += 1
        time.sleep(PAUSE_S + TYPED_S * characters)

    def press(self, name: str, within: Locator | None = None, *, exact: bool = False) -> None:
        """Press a button."""
        self.look()
        (within or self.page).get_by_role("button", name=name, exact=exact).first.click()

    def add(self, name: str) -> None:
        """Press a button that adds a thing, and wait until its sentence is there."""
        things = self.page.locator("article.thing")
        there = things.count()
        self.press(name)
        things.nth(there).wait_for()

    def pick(self, place: str, option: str) -> None:
        """Choose another value at a place of a sentence."""
        self.press(place)
        self.look()
        self.page.locator(".n-base-select-option", has_text=option).first.click()

    def pick_last(self, place: str, option: str) -> None:
        """Choose another value at a place of the last sentence that has it."""
        self.look()
        self.page.get_by_role("button", name=place).last.click()
        self.look()
        self.page.locator(".n-base-select-option", has_text=option).first.click()

    def type(self, place: str, value: str) -> None:
        """Type another value at a place of the last sentence that has it."""
        self.look(len(value))
        self.page.get_by_role("button", name=place).last.click()
        self.page.keyboard.type(value)
        self.page.keyboard.press("Enter")

    def type_here(self, value: str) -> None:
        """Type into the place that is open already, such as the word of a new one."""
        self.look(len(value))
        self.page.keyboard.type(value)
        self.page.keyboard.press("Enter")

    def corners(self, outline: str) -> None:
        """Type the corners of a shape, as from a list on paper."""
        self.look()
        self.page.get_by_role("button", name="the outline").last.click()
        if outline.startswith("letter"):
            self.press(outline)
            return
        self.look(len(outline))
        self.page.get_by_label("Corners, across and up").fill(outline)
        self.press("Use these corners")
        self.page.get_by_role("button", name="Use these corners").wait_for(state="detached")

    def drag(self, label: str, dx: float, dy: float) -> None:
        """Drag a handle."""
        self.look()
        spot = self.page.get_by_label(label).bounding_box()
        assert spot is not None
        x, y = spot["x"] + spot["width"] / 2, spot["y"] + spot["height"] / 2
        self.page.mouse.move(x, y)
        self.page.mouse.down()
        self.page.mouse.move(x + dx, y + dy, steps=8)
        self.page.mouse.up()

    def begin(self) -> None:
        """Begin with an empty sheet."""
        self.page.goto(f"{self.address}/desk")
        self.press("New exercise")
        self.press("An empty sheet")
        self.page.get_by_role("button", name="Add a box").wait_for()

    def show_and_print(self) -> None:
        """Show two steps to the class, then see the sheets that would be printed."""
        self.page.locator(".state", has_text="kept").wait_for()
        self.look()
        self.page.get_by_role("link", name="Show").click()
        self.page.locator(".sheet").first.wait_for()
        for _ in range(2):
            self.look()
            self.page.keyboard.press("ArrowRight")
        self.look()
        self.page.keyboard.press("Escape")
        self.page.get_by_role("link", name="Print").click()
        self.page.locator(".preview img").first.wait_for()
