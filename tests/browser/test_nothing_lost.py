"""What a person does is there when the network is back, what was removed can be had back, and the sheet is in sight."""

import re

import pytest
from playwright.sync_api import Page, expect
from test_loop import begin_empty, drag, open_first

pytestmark = [
    pytest.mark.browser,
    pytest.mark.filterwarnings("ignore::pytest.PytestUnraisableExceptionWarning"),
    pytest.mark.filterwarnings("ignore::ResourceWarning"),
]


def type_at(desk: Page, place: str, text: str) -> None:
    desk.get_by_role("button", name=place).first.click()
    desk.keyboard.type(text)
    desk.keyboard.press("Enter")


def edit_without_network(desk: Page) -> None:
    """Type an eye level, drag the point and give a name, with the network cut."""
    desk.context.set_offline(True)
    type_at(desk, "the height of the eye level", "133 mm")
    expect(desk.get_by_text("One change waits")).to_be_visible()
    drag(desk, "Move the vanishing point along the eye level", -80, 0)
    name = desk.get_by_label("Name of the exercise")
    name.fill("Cut off")
    name.press("Enter")
    expect(desk.get_by_text("3 changes wait")).to_be_visible()
    expect(desk.locator(".state")).to_contain_text("not kept yet")


def point_place(desk: Page) -> str:
    return desk.get_by_role("button", name=re.compile("the place of the point")).inner_text()


def test_what_was_done_while_the_network_was_cut_is_drawn_and_kept_when_it_is_back(desk: Page, address: str) -> None:
    desk.goto(f"{address}/desk")
    begin_empty(desk)
    expect(desk.locator(".state")).to_have_text("kept")
    before = point_place(desk)
    edit_without_network(desk)
    desk.context.set_offline(False)
    expect(desk.locator(".state")).to_have_text("kept", timeout=30_000)
    desk.reload()
    expect(desk.get_by_label("Name of the exercise")).to_have_value("Cut off")
    expect(desk.get_by_role("button", name="the height of the eye level")).to_have_text("133 mm")
    assert point_place(desk) != before
    assert "Cut off" in desk.title()


def test_a_window_that_was_closed_without_network_leaves_its_edits_to_the_next(desk: Page, address: str) -> None:
    desk.goto(f"{address}/desk")
    begin_empty(desk)
    expect(desk.locator(".state")).to_have_text("kept")
    where = desk.url
    edit_without_network(desk)
    context = desk.context
    desk.close()
    context.set_offline(False)
    other = context.new_page()
    other.goto(where)
    expect(other.locator(".state")).to_have_text("kept", timeout=30_000)
    expect(other.get_by_label("Name of the exercise")).to_have_value("Cut off")
    expect(other.get_by_role("button", name="the height of the eye level")).to_have_text("133 mm")


def test_a_page_that_could_not_be_loaded_comes_by_itself(desk: Page, address: str) -> None:
    desk.route("**/api/exercises*", lambda route: route.abort())
    desk.goto(f"{address}/desk")
    expect(desk.get_by_role("alert")).to_contain_text("tried again by itself")
    desk.unroute("**/api/exercises*")
    expect(desk.get_by_role("link", name="See-through cubes", exact=True)).to_be_visible(timeout=30_000)
    expect(desk.get_by_role("alert")).to_have_count(0)


def test_typed_text_stays_when_it_is_refused(desk: Page, address: str) -> None:
    open_first(desk, address)
    type_at(desk, "Quay crate, the width", "8,4 furlongs")
    field = desk.get_by_role("textbox", name="Quay crate, the width")
    expect(field).to_have_value("8,4 furlongs")
    expect(field).to_be_focused()
    expect(field).to_have_attribute("aria-invalid", "true")
    field.fill("81 mm")
    field.press("Enter")
    place = desk.get_by_role("button", name="Quay crate, the width")
    expect(place).to_have_text("81 mm")
    expect(place).to_be_focused()
    place.press("Enter")
    desk.keyboard.press("ArrowUp")
    desk.keyboard.press("Escape")
    expect(place).to_have_text("82 mm")
    expect(place).to_be_focused()


def test_a_lesson_an_exercise_and_a_sheet_that_were_removed_can_be_had_back(desk: Page, address: str) -> None:
    desk.goto(f"{address}/today")
    desk.get_by_role("button", name="Plan a lesson").first.click()
    for place, option in (("Class", "Terns"), ("Exercise", "See-through cubes")):
        desk.get_by_role("textbox", name=place, exact=True).click()
        desk.keyboard.type(option[:6])
        desk.locator(".n-base-select-option", has_text=option).first.click()
    desk.get_by_label("Note").fill("Only half the class")
    desk.get_by_role("button", name="Plan it").click()
    expect(desk.get_by_text("Only half the class")).to_be_visible()
    desk.get_by_role("button", name="Not this lesson").click()
    expect(desk.get_by_text("Only half the class")).to_have_count(0)
    desk.get_by_role("button", name="Have it back").click()
    expect(desk.get_by_text("Only half the class")).to_be_visible()

    desk.goto(f"{address}/desk")
    desk.get_by_role("button", name="Put away See-through cubes").click()
    expect(desk.get_by_role("link", name="See-through cubes", exact=True)).to_have_count(0)
    desk.get_by_role("button", name="Have it back").click()
    expect(desk.get_by_role("link", name="See-through cubes", exact=True)).to_be_visible()


def visible_share(desk: Page, selector: str) -> float:
    """Return which share of the window's area an element shows in it."""
    return float(
        desk.locator(selector).first.evaluate(
            """e => { const b = e.getBoundingClientRect()
              const w = Math.min(b.right, innerWidth) - Math.max(b.left, 0)
              const h = Math.min(b.bottom, innerHeight) - Math.max(b.top, 0)
              return Math.max(0, w) * Math.max(0, h) / (innerWidth * innerHeight) }"""
        )
    )


@pytest.mark.parametrize(("width", "height"), [(390, 844), (844, 390), (640, 400), (820, 1180)])
def test_the_picture_is_in_sight_on_a_phone_a_tablet_and_enlarged(
    desk: Page, address: str, width: int, height: int
) -> None:
    desk.set_viewport_size({"width": width, "height": height})
    desk.goto(f"{address}/show/1?step=4")
    desk.locator(".board .sheet").wait_for()
    assert visible_share(desk, ".board .sheet") > 0.25
    expect(desk.locator(".words .text")).to_be_in_viewport()
    expect(desk.get_by_role("button", name="Next")).to_be_in_viewport()
    desk.goto(f"{address}/check/1")
    desk.locator(".table").wait_for()
    assert visible_share(desk, "section.table") > 0.25
