"""The file to take home in a browser whose network is cut: opened from the disk, by keyboard, on a phone."""

from pathlib import Path

import pytest
from playwright.sync_api import Browser, Page, expect

from orthopsis.core.document.document import read_exercise
from orthopsis.core.document.ready import READY
from orthopsis.core.exercise.solve import draw
from orthopsis.paperwork.take_home import take_home_html


@pytest.fixture
def at_home(browser: Browser, tmp_path: Path) -> Page:
    """The file of a word, opened with the network cut."""
    exercise = read_exercise(next(one for one in READY if one["title"] == "KNOT in block letters, one point"))
    file = tmp_path / "knot.html"
    file.write_bytes(take_home_html(draw(exercise), exercise.title))
    page = browser.new_context(offline=True, reduced_motion="reduce").new_page()
    faults: list[str] = []
    page.on("pageerror", lambda error: faults.append(str(error)))
    page.on("request", lambda request: faults.append(request.url) if not request.url.startswith("file:") else None)
    page.goto(file.as_uri())
    assert faults == []
    return page


def test_steps_are_played_by_buttons_by_keys_and_by_the_list(at_home: Page) -> None:
    title = at_home.locator("#title")
    expect(title).to_contain_text("Step 1 of")
    expect(at_home.get_by_role("button", name="Back")).to_be_disabled()
    expect(at_home.locator("#sheet .sign")).to_have_count(0)
    at_home.get_by_role("button", name="Next").click()
    expect(title).to_contain_text("Step 2 of")
    expect(at_home.locator("#sheet .sign")).to_have_count(1)
    at_home.keyboard.press("ArrowRight")
    expect(title).to_contain_text("K of Knot: the block")
    expect(at_home.locator("#sheet .sign")).to_have_count(1)
    at_home.keyboard.press("ArrowRight")
    expect(title).to_contain_text("K of Knot: the gap at the bottom")
    expect(at_home.locator("svg text", has_text="e")).to_have_count(1)
    assert at_home.locator("#sheet path.fresh").count() == 4
    expect(at_home.get_by_role("img", name="The whole sheet")).to_be_visible()
    large, whole = (at_home.locator(f"#{name} path.fresh").first.bounding_box() for name in ("sheet", "whole"))
    assert large is not None
    assert whole is not None
    assert large["height"] > 3 * whole["height"], "small work is shown large"
    at_home.keyboard.press("ArrowLeft")
    expect(title).to_contain_text("Step 3 of")
    at_home.keyboard.press("End")
    expect(at_home.get_by_role("button", name="Next")).to_be_disabled()
    assert at_home.locator("#sheet path.dark").count() > 40
    expect(at_home.get_by_role("img", name="The whole sheet")).to_be_hidden()
    at_home.get_by_label("Go to a step").select_option("0")
    expect(title).to_contain_text("Step 1 of")


def test_on_a_phone_all_of_it_has_room(at_home: Page) -> None:
    for size in ({"width": 390, "height": 780}, {"width": 780, "height": 390}):
        at_home.set_viewport_size(size)  # type: ignore[arg-type]
        at_home.keyboard.press("End")
        wide = at_home.evaluate("document.documentElement.scrollWidth")
        assert wide <= size["width"]
        for name in ("Back", "Again"):
            place = at_home.get_by_role("button", name=name).bounding_box()
            assert place is not None
            assert place["height"] >= 44
        sheet = at_home.locator("#sheet").bounding_box()
        assert sheet is not None
        assert sheet["height"] > 200


def test_one_finger_turns_a_step_and_two_do_not(at_home: Page) -> None:
    def swipe(fingers: int) -> None:
        at_home.evaluate(
            """(fingers) => {
              const at = (x) => Array.from({ length: fingers }, (_, identifier) =>
                new Touch({ identifier, target: document.body, clientX: x, clientY: 200 + 40 * identifier }))
              const send = (type, x, left) => window.dispatchEvent(new TouchEvent(type, {
                changedTouches: at(x), touches: left ? at(x) : [] }))
              send('touchstart', 300, true)
              send('touchend', 120, false)
            }""",
            fingers,
        )

    expect(at_home.locator("#title")).to_contain_text("Step 1 of")
    swipe(2)
    expect(at_home.locator("#title")).to_contain_text("Step 1 of")
    swipe(1)
    expect(at_home.locator("#title")).to_contain_text("Step 2 of")
