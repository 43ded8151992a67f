"""A house with roof and windows, and a row of bollards, made on the Desk, shown and printed, in the real browser."""

import re

import pytest
from playwright.sync_api import Locator, Page, expect

from orthopsis.core.document.ready import READY

pytestmark = [
    pytest.mark.browser,
    pytest.mark.filterwarnings("ignore::pytest.PytestUnraisableExceptionWarning"),
    pytest.mark.filterwarnings("ignore::ResourceWarning"),
]


def number_of(title: str) -> int:
    """The number in the demonstration of the ready exercise that is called so."""
    return next(i for i, document in enumerate(READY, start=1) if document["title"] == title)


def empty_sheet(desk: Page, address: str, kind: str = "") -> None:
    desk.goto(f"{address}/desk")
    desk.get_by_role("button", name="New exercise", exact=True).click()
    desk.get_by_role("button", name="An empty sheet").click()
    if kind:
        desk.get_by_role("button", name="kind: One point").first.click()
        desk.locator(".n-base-select-option", has_text=kind).click()
    desk.get_by_role("button", name="Add a box").click()
    expect(desk.locator("article.thing")).to_have_count(1)


LINES = {count: re.compile(rf"^(?:M[^M]*){{{count}}}$") for count in (12, 20)}
"""The drawing of so many lines."""


def details(desk: Page) -> Locator:
    """The lines that lie on faces, which are drawn as one."""
    return desk.locator(".table .sheet .lines path.thin")


def add(desk: Page, what: str) -> None:
    before = desk.locator("article.thing").count()
    desk.get_by_role("button", name=f"Add {what}", exact=True).click()
    expect(desk.locator("article.thing")).to_have_count(before + 1)


def test_a_roof_is_raised_its_point_taped_on_and_its_steps_shown(desk: Page, address: str) -> None:
    empty_sheet(desk, address, "Two points")
    add(desk, "a gable roof")
    article = desk.locator("article.thing").last
    expect(article).to_contain_text("Its gable stands on the left side of Box 1")
    rise = article.get_by_role("button", name="the height of the ridge over the wall")
    before = rise.inner_text()
    handle = desk.get_by_label(re.compile("^Change the height of the ridge"))
    handle.focus()
    desk.keyboard.press("Shift+ArrowUp")
    expect(rise).not_to_have_text(before)
    expect(desk.locator(".long")).to_contain_text("upper slope point of Gable roof 1")
    expect(desk.locator(".ladder")).to_contain_text("the point of the slope that goes up")
    article.get_by_role("button", name="how its far end is found").click()
    desk.locator(".n-base-select-option", has_text="by the middle of the far wall").click()
    expect(desk.locator(".ladder")).to_contain_text("over the far middle")
    expect(desk.locator(".long")).not_to_contain_text("slope point")
    desk.get_by_role("button", name="Undo").click()
    expect(desk.locator(".long")).to_contain_text("upper slope point")
    desk.get_by_text("kept").first.wait_for()
    number = desk.url.rsplit("/", 1)[-1].partition("?")[0]
    desk.goto(f"{address}/show/{number}?step=1")
    points = desk.locator(".board .vanishing")
    expect(points).to_have_count(0)
    desk.goto(f"{address}/show/{number}?step=40")
    expect(points).to_have_count(3)


def test_windows_are_offered_with_a_wall_and_counted_in_the_sentence(desk: Page, address: str) -> None:
    desk.goto(f"{address}/desk")
    desk.get_by_role("button", name="New exercise", exact=True).click()
    desk.get_by_role("button", name="An empty sheet").click()
    expect(desk.get_by_role("button", name="Add a box")).to_be_visible()
    expect(desk.get_by_role("button", name="Add windows")).to_have_count(0)
    add(desk, "a box")
    add(desk, "windows")
    expect(details(desk)).to_have_attribute("d", LINES[12])
    article = desk.locator("article.thing").last
    article.get_by_role("button", name="how many there are along").click()
    desk.locator(".n-base-select-option", has_text=re.compile("^5$")).click()
    expect(details(desk)).to_have_attribute("d", LINES[20])
    along = article.get_by_role("button", name="how they lie along the face")
    along.click()
    desk.keyboard.type("two")
    desk.keyboard.press("Enter")
    expect(desk.get_by_role("alert")).to_contain_text("free, taken, free")
    desk.keyboard.press("Escape")
    article.get_by_role("button", name="whether they stand out").click()
    desk.locator(".n-base-select-option", has_text="out of it").click()
    expect(desk.get_by_label(re.compile("^Change how far they stand out"))).to_be_visible()


def test_a_row_goes_away_by_the_diagonal_or_by_eye(desk: Page, address: str) -> None:
    empty_sheet(desk, address)
    add(desk, "a row")
    article = desk.locator("article.thing").last
    expect(article).to_contain_text("It goes further back in line with Box 1")
    expect(desk.locator(".ladder")).to_contain_text("the next ones, through the middles")
    article.get_by_role("button", name="how their places are found").click()
    desk.locator(".n-base-select-option", has_text="by eye").click()
    expect(desk.locator(".ladder")).to_contain_text("the others by eye")
    desk.locator("article.thing").first.get_by_role("button", name="more").click()
    desk.get_by_text("Remove", exact=True).first.click()
    expect(desk.locator("article.thing")).to_have_count(0)


def test_the_step_sheets_of_a_house_say_when_the_paper_may_come_off(desk: Page, address: str) -> None:
    house = f"{address}/api/exercises/{number_of('A boathouse with a gable roof, two points')}"
    answer = desk.request.get(f"{house}/print/steps.pdf?per_page=6")
    assert answer.ok
    assert answer.body().startswith(b"%PDF")
    drawing = desk.request.post(
        f"{address}/api/desk/draw",
        data={"exercise": desk.request.get(house).json()["exercise"]},
    ).json()["drawing"]
    said = [step["after"] for step in drawing["steps"] if step["after"]]
    assert said == ["The paper of the upper slope point of Roof may come off now."]


def test_a_table_is_kept_as_a_part_and_set_down_in_another_kind_of_view(desk: Page, address: str) -> None:
    desk.goto(f"{address}/desk/{number_of('A work table of the net loft, one point')}")
    expect(desk.locator("article.thing")).to_have_count(2)
    desk.get_by_role("button", name="Choose several").click()
    desk.get_by_role("button", name="Choose all").click()
    desk.get_by_role("button", name="Keep as a part").click()
    desk.keyboard.type("Work table")
    desk.keyboard.press("Enter")
    expect(desk.get_by_text("Kept as “Work table”")).to_be_visible()
    empty_sheet(desk, address, "Two points")
    desk.get_by_role("button", name="Set down Work table").click()
    expect(desk.locator("article.thing")).to_have_count(3)
    legs = desk.locator("article.thing").last
    expect(legs).to_contain_text("It lies on the underside of Top")
    expect(legs).to_have_attribute("aria-current", "true")
    expect(desk.locator(".ladder")).to_contain_text("the others on the underside")
    desk.get_by_role("button", name="Undo").click()
    expect(desk.locator("article.thing")).to_have_count(1)
    desk.get_by_role("button", name="Redo").click()
    expect(desk.locator("article.thing")).to_have_count(3)
    desk.get_by_text("kept", exact=True).first.wait_for()
    number = desk.url.rsplit("/", 1)[-1].partition("?")[0]
    sheets = desk.request.get(f"{address}/api/exercises/{number}/print/steps.pdf?per_page=8")
    assert sheets.body().startswith(b"%PDF")
    desk.goto(f"{address}/desk/{number}")
    desk.get_by_role("button", name="Take away the part Work table").click()
    desk.get_by_role("button", name="Take it away").click()
    expect(desk.get_by_role("button", name="Set down Work table")).to_have_count(0)
    expect(desk.locator("article.thing")).to_have_count(3)
