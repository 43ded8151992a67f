"""The loop as a person walks it, in the real browser."""

import re

import pytest
from playwright.sync_api import Page, Route, expect

from orthopsis.core.document.ready import READY

pytestmark = [
    pytest.mark.browser,
    pytest.mark.filterwarnings("ignore::pytest.PytestUnraisableExceptionWarning"),
    pytest.mark.filterwarnings("ignore::ResourceWarning"),
]


def open_first(desk: Page, address: str) -> None:
    desk.goto(f"{address}/desk")
    desk.get_by_role("link", name="Three crates: below, on and above", exact=True).click()
    expect(desk.locator(".handle").first).to_be_visible()


def drag(desk: Page, label: str, dx: float, dy: float) -> None:
    spot = desk.get_by_label(label).bounding_box()
    assert spot is not None
    x, y = spot["x"] + spot["width"] / 2, spot["y"] + spot["height"] / 2
    desk.mouse.move(x, y)
    desk.mouse.down()
    desk.mouse.move(x + dx, y + dy, steps=8)
    desk.mouse.up()


def begin_empty(desk: Page) -> None:
    desk.get_by_role("button", name="New exercise", exact=True).click()
    desk.get_by_role("button", name="An empty sheet").click()


def pick(desk: Page, place: str, option: str) -> None:
    """Choose another value at a place of a sentence."""
    desk.get_by_role("button", name=place).first.click()
    desk.locator(".n-base-select-option", has_text=option).click()


def test_a_two_point_block_and_a_letter_are_made_judged_cured_and_told_otherwise(desk: Page, address: str) -> None:
    desk.goto(f"{address}/desk")
    begin_empty(desk)
    pick(desk, "kind: One point", "Two points")
    expect(desk.get_by_role("button", name="the place of the right point")).to_have_text("420 mm")
    desk.get_by_role("button", name="Add a box").click()
    expect(desk.locator("article.thing")).to_have_count(1)
    height = desk.get_by_role("button", name="the height of the eye level")
    height.click()
    desk.keyboard.type("280")
    desk.keyboard.press("Enter")
    bottom = desk.locator("article.thing").get_by_role("button", name="the distance from the bottom edge")
    bottom.click()
    desk.keyboard.type("8")
    desk.keyboard.press("Enter")
    cure = desk.get_by_role("button", name=re.compile("^Move the points out .* on the page"))
    cure.click()
    expect(desk.get_by_text("As it would be")).to_be_visible()
    desk.get_by_role("button", name="Leave it as it is").click()
    expect(cure).to_be_visible()
    cure.click()
    desk.get_by_role("button", name="Take it").click()
    expect(cure).to_have_count(0)
    expect(desk.locator(".sheet .strip").first).to_be_visible()
    desk.get_by_role("button", name="Undo").click()
    expect(cure).to_be_visible()
    desk.get_by_role("button", name="Add a shape").click()
    expect(desk.locator("article.thing")).to_have_count(2)
    desk.locator("article.thing").last.get_by_role("button", name="the outline").click()
    desk.get_by_role("button", name="letter T").click()
    expect(desk.locator("article.thing").last.get_by_role("button", name="the outline")).to_have_text("8 corners")
    pick(desk, "what it stands by", "Shape 1")
    expect(desk.get_by_role("button", name="how it stands")).to_have_text("on top of")


def test_a_step_is_told_in_other_words_and_left_out(desk: Page, address: str) -> None:
    open_first(desk, address)
    count = desk.locator(".rung").count()
    desk.get_by_label("Change step 3", exact=True).click()
    desk.get_by_text("Say it in other words").click()
    desk.get_by_label("The words of this step").fill("Draw the lobster crate.")
    desk.get_by_role("button", name="Use these words").click()
    desk.get_by_label(f"Change step {count}", exact=True).click()
    desk.get_by_text("Leave out").click()
    expect(desk.locator(".rung")).to_have_count(count - 1)
    desk.get_by_role("button", name=re.compile("tell it again")).click()
    expect(desk.locator(".rung")).to_have_count(count)
    for _ in range(3):
        desk.get_by_role("button", name="Undo").click()
    expect(desk.get_by_role("button", name="Undo")).to_be_disabled()
    expect(desk.locator(".state")).to_have_text("kept")  # other tests open this exercise too


def test_three_crates_are_made_named_saved_and_found_again(desk: Page, address: str) -> None:
    desk.goto(f"{address}/desk")
    begin_empty(desk)
    for number in (1, 2, 3):
        desk.get_by_role("button", name="Add a box").click()
        expect(desk.locator("article.thing")).to_have_count(number)
    width = desk.locator("article.thing").first.get_by_role("button", name="the width:")
    width.click()
    desk.keyboard.type("6,2 cm")
    desk.keyboard.press("Enter")
    expect(width).to_have_text("62 mm")
    name = desk.get_by_label("Name of the exercise")
    name.fill("Crates for Monday")
    name.press("Enter")
    expect(desk.locator(".state")).to_have_text("kept")
    desk.reload()
    expect(desk.get_by_label("Name of the exercise")).to_have_value("Crates for Monday")
    expect(desk.locator("article.thing")).to_have_count(3)
    expect(desk.locator("article.thing").first.get_by_role("button", name="the width:")).to_have_text("62 mm")


def test_dragging_the_point_moves_the_picture_and_can_be_undone(desk: Page, address: str) -> None:
    open_first(desk, address)
    place = desk.get_by_role("button", name=re.compile("the place of the point"))
    before = place.inner_text()
    drag(desk, "Move the vanishing point along the eye level", -60, 5)
    expect(place).not_to_have_text(before)
    moved = place.inner_text()
    desk.keyboard.press("Control+z")
    expect(place).to_have_text(before)
    desk.keyboard.press("Control+y")
    expect(place).to_have_text(moved)
    desk.get_by_role("button", name="Undo").click()
    expect(place).to_have_text(before)


def test_handles_move_by_the_keyboard_by_one_division(desk: Page, address: str) -> None:
    open_first(desk, address)
    desk.get_by_label("Move the box: Quay crate").focus()
    left = desk.locator("article.thing").first.get_by_role("button", name="the distance from the left edge")
    before = int(left.inner_text().removesuffix(" mm"))
    desk.keyboard.press("ArrowRight")
    expect(left).to_have_text(f"{before + 1} mm")


def dark_lines(desk: Page) -> set[str]:
    """Return the dark lines on the sheet, whichever thing is chosen."""
    paths = [path.get_attribute("d") or "" for path in desk.locator(".table .lines path.dark").all()]
    assert paths
    return {f"M{line}" for path in paths for line in path.split("M") if line}


def test_a_bad_length_is_said_at_its_place_and_the_last_good_drawing_stays(desk: Page, address: str) -> None:
    open_first(desk, address)
    first = desk.locator("article.thing").first
    drawn = dark_lines(desk)
    first.get_by_role("button", name="the depth: 7").click()
    desk.keyboard.type("99 cm")
    desk.keyboard.press("Enter")
    expect(first.get_by_role("alert")).to_contain_text("longer than its guide line")
    assert dark_lines(desk) == drawn
    first.get_by_role("button", name=re.compile("^Use ")).click()
    expect(first.get_by_role("alert")).to_have_count(0)


def test_an_edit_waits_in_the_window_while_the_database_is_gone(desk: Page, address: str) -> None:
    open_first(desk, address)

    def gone(route: Route) -> None:
        body = '{"code":"database_gone","why":"The database does not answer.","fix":"","about":"","nearest":""}'
        route.fulfill(status=503, content_type="application/json", body=body)

    desk.route("**/api/exercises/*", gone)
    desk.get_by_role("button", name="Add a box").click()
    expect(desk.locator(".state")).to_contain_text("not kept yet")
    desk.unroute("**/api/exercises/*")
    expect(desk.locator(".state")).to_have_text("kept", timeout=10_000)
    desk.reload()
    expect(desk.locator("article.thing")).to_have_count(4)


def test_two_windows_ask_instead_of_overwriting(desk: Page, address: str) -> None:
    open_first(desk, address)
    other = desk.context.new_page()
    other.goto(desk.url)
    count = desk.locator("article.thing").count()
    other.get_by_role("button", name="Add a box").click()
    expect(other.locator("article.thing")).to_have_count(count + 1)
    expect(other.locator(".state")).to_have_text("kept")
    desk.get_by_role("button", name="Add a box").click()
    expect(desk.get_by_text("Changed in another window")).to_be_visible()
    desk.get_by_role("button", name=re.compile("Keep mine as a copy")).click()
    expect(desk.get_by_label("Name of the exercise")).to_have_value(re.compile("copy"))


def test_the_class_display_goes_by_keys_and_draws_with_the_ruler(desk: Page, address: str) -> None:
    desk.goto(f"{address}/show/1?step=4")
    expect(desk.locator(".ruler")).to_be_visible()
    expect(desk.locator(".words .text")).to_contain_text("Rest the ruler on the point")
    desk.keyboard.press("ArrowRight")
    expect(desk.locator(".ruler")).to_have_count(0)
    expect(desk.locator(".words .where")).to_contain_text("Step 4")
    desk.keyboard.press("ArrowRight")
    expect(desk.locator(".words .where")).to_contain_text("Step 5")
    desk.keyboard.press("ArrowLeft")
    desk.keyboard.press("s")
    expect(desk.get_by_role("button", name="See-through")).to_have_attribute("aria-pressed", "true")
    desk.keyboard.press("End")
    expect(desk.locator(".words .where")).to_contain_text(re.compile(r"Step (\d+) of \1"))
    size = desk.locator(".words .text").evaluate("e => parseFloat(getComputedStyle(e).fontSize)")
    assert size >= 28, "readable from the back row"


def test_the_picture_keeps_its_scale_from_step_to_step_whatever_the_words(desk: Page, address: str) -> None:
    title = "Rails whose shadows step over the sleepers, one point"
    number = next(i for i, document in enumerate(READY, start=1) if document["title"] == title)
    desk.goto(f"{address}/show/{number}?step=1")
    board, sizes, words = desk.locator(".drawn").first, set[tuple[int, int]](), list[int]()
    for step in range(1, 14):
        desk.get_by_role("button", name=f"Step {step} of").click()
        expect(desk.locator(".words .where")).to_contain_text(f"Step {step} of")
        box = board.bounding_box()
        assert box is not None
        sizes.add((round(box["width"]), round(box["height"])))
        words.append(len(desk.locator(".words .text").inner_text()))
    assert max(words) > 2 * min(words)
    assert len(sizes) == 1


def test_a_second_window_shows_the_class_the_drawing_alone_and_a_remote_works_in_it(desk: Page, address: str) -> None:
    desk.goto(f"{address}/show/1?step=4")
    with desk.context.expect_page() as opened:
        desk.get_by_role("button", name="Class window").click()
    wall = opened.value
    expect(wall.get_by_role("img", name=re.compile("^Step 4"))).to_be_visible()
    expect(wall.locator(".words")).to_have_count(0)
    expect(desk.locator(".words .next")).to_contain_text("Then:")
    desk.get_by_role("button", name="Step 6 of").click()
    expect(wall.get_by_role("img", name=re.compile("^Step 6"))).to_be_visible()
    wall.keyboard.press("PageUp")
    expect(desk.locator(".words .where")).to_contain_text("Step 5")
    expect(wall.get_by_role("img", name=re.compile("^Step 5"))).to_be_visible()
    wall.keyboard.press("b")
    expect(wall.locator(".cover")).to_be_visible()
    expect(desk.get_by_text("The class sees a dark screen.")).to_be_visible()
    wall.keyboard.press("b")
    expect(wall.locator(".cover")).to_have_count(0)
    wall.close()
    expect(desk.locator(".words .next")).to_have_count(0)


def test_measures_of_the_teacher_s_own_board_are_told_and_remembered(desk: Page, address: str) -> None:
    desk.goto(f"{address}/show/1?step=3")
    expect(desk.locator(".words .text")).to_contain_text("mm")
    desk.get_by_role("button", name="Looks").click()
    desk.get_by_label("I draw along on a board").fill("210")
    desk.keyboard.press("Enter")
    expect(desk.locator(".words .text")).not_to_contain_text("mm")
    expect(desk.locator(".words .side")).to_contain_text("a board 210 cm wide")
    desk.reload()
    expect(desk.locator(".words .side")).to_contain_text("a board 210 cm wide")
    desk.get_by_role("button", name="Looks").click()
    desk.get_by_label("I draw along on a board").fill("5")
    desk.keyboard.press("Enter")
    expect(desk.get_by_role("alert")).to_contain_text("between 30 cm and 800 cm")
    expect(desk.locator(".words .text")).to_contain_text("mm")


def test_printing_opens_a_pdf_for_the_class(desk: Page, address: str) -> None:
    desk.goto(f"{address}/print/1")
    expect(desk.locator(".preview img")).to_be_visible()
    desk.get_by_text("for anybody").click()
    desk.get_by_text("one each for Terns").click()
    link = desk.get_by_role("link", name="Open the PDF to print").get_attribute("href")
    assert link
    answer = desk.request.get(f"{address}{link}")
    assert answer.ok
    assert answer.body().startswith(b"%PDF")


def test_a_pile_is_read_judged_and_kept_to_the_register(desk: Page, address: str) -> None:
    desk.goto(f"{address}/check")
    desk.get_by_role("link", name=re.compile("Terns")).click()
    desk.get_by_role("button", name="Read 2 sheets").click()
    expect(desk.locator(".findings article").first).to_be_visible(timeout=60_000)
    expect(desk.get_by_role("button", name="Tern 1 An upright leans")).to_be_visible(timeout=60_000)
    desk.get_by_role("button", name="Tern 1 An upright leans").click()
    expect(desk.locator(".findings")).to_contain_text("leans by")
    desk.get_by_role("button", name="Agree").first.click()
    desk.get_by_label("Remark for yourself").fill("Set square next time")
    desk.get_by_role("button", name="Keep and next").click()
    expect(desk.get_by_role("button", name=re.compile("Tern 1 .*kept"))).to_be_visible()
    desk.goto(f"{address}/register")
    row = desk.get_by_role("row", name=re.compile("^Tern 1"))
    expect(row).to_contain_text("An upright leans")
    row.get_by_role("button", name="1 sheet").click()
    expect(desk.get_by_text("Set square next time")).to_be_visible()


@pytest.mark.parametrize(("width", "height"), [(1024, 768), (640, 400)])
def test_nothing_is_out_of_reach_on_a_tablet_or_enlarged(desk: Page, address: str, width: int, height: int) -> None:
    # 640 x 400 is what a window of 1280 x 800 has at 200 % zoom.
    desk.set_viewport_size({"width": width, "height": height})
    for path in ("/today", "/desk", "/desk/1", "/print/1", "/check", "/register"):
        desk.goto(f"{address}{path}")
        desk.wait_for_load_state("networkidle")
        wide = desk.evaluate("document.documentElement.scrollWidth - window.innerWidth")
        assert wide <= 0 or path != "/desk/1", f"{path} is {wide} px too wide"
        desk.get_by_role("button", name="Harbour School").click(trial=True)


def test_strangers_are_sent_to_the_door_and_lost_ones_told(page: Page, address: str) -> None:
    page.goto(f"{address}/desk/1")
    expect(page).to_have_url(re.compile("/sign-in"))
    page.get_by_role("button", name="Look around").click()
    expect(page).to_have_url(f"{address}/desk/1")  # in full: the door's own address ends with it too
    page.goto(f"{address}/no/such/place")
    expect(page.get_by_text("There is nothing at this address")).to_be_visible()
