"""How long does a teacher take to make, show and print each box and letter exercise at the Desk?

A script does what a teacher does, one act of the hand after another (a click, a drag, a value typed), with a pause for
looking and aiming before each. Figures of its own, in the harbour's words.
"""

import sys
import time
from collections.abc import Callable

from playwright.sync_api import Locator, Page

from report import report
from serving import signed_in

PAUSE_S = 2.5
"""Time to look, decide and aim before each act of the hand (no source)."""
TYPED_S = 0.25
"""Time for each character typed."""
BAR_S = 120

Z = "0 0, 60 0, 60 15, 22 15, 60 45, 60 60, 0 60, 0 45, 38 45, 0 15"
A = "0 0, 14 0, 14 22, 46 22, 46 0, 60 0, 60 70, 0 70 / 14 36, 14 56, 46 56, 46 36"
C = "0 0, 60 0, 60 16, 16 16, 16 54, 60 54, 60 70, 0 70"
H = "0 0, 16 0, 16 24, 40 24, 40 0, 56 0, 56 64, 40 64, 40 36, 16 36, 16 64, 0 64"
F = "0 0, 18 0, 18 22, 36 22, 36 34, 18 34, 18 48, 56 48, 56 64, 0 64"


class Teacher:
    """One hand on the mouse, one on the keyboard; counts what it does."""

    def __init__(self, page: Page, address: str) -> None:
        self.page, self.address, self.acts = page, address, 0

    def _look(self, characters: int = 0) -> None:
        self.acts += 1
        time.sleep(PAUSE_S + TYPED_S * characters)

    def press(self, name: str, within: Locator | None = None, *, exact: bool = False) -> None:
        """Press a button."""
        self._look()
        (within or self.page).get_by_role("button", name=name, exact=exact).first.click()

    def pick(self, place: str, option: str) -> None:
        """Choose another value at a place of a sentence."""
        self.press(place)
        self._look()
        self.page.locator(".n-base-select-option", has_text=option).first.click()

    def pick_last(self, place: str, option: str) -> None:
        """Choose another value at a place of the last sentence that has it."""
        self._look()
        self.page.get_by_role("button", name=place).last.click()
        self._look()
        self.page.locator(".n-base-select-option", has_text=option).first.click()

    def type(self, place: str, value: str) -> None:
        """Type another value at a place of the last sentence that has it."""
        self._look(len(value))
        self.page.get_by_role("button", name=place).last.click()
        self.page.keyboard.type(value)
        self.page.keyboard.press("Enter")

    def corners(self, outline: str) -> None:
        """Type the corners of a shape, as from a list on paper."""
        self._look()
        self.page.get_by_role("button", name="the outline").last.click()
        if outline.startswith("letter"):
            self.press(outline)
            return
        self._look(len(outline))
        self.page.get_by_label("Or its corners").fill(outline)
        self.press("Use these corners")
        self.page.get_by_role("button", name="Use these corners").wait_for(state="detached")

    def drag(self, label: str, dx: float, dy: float) -> None:
        """Drag a handle."""
        self._look()
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
        self._look()
        self.page.get_by_role("link", name="Show").click()
        self.page.locator(".sheet").first.wait_for()
        for _ in range(2):
            self._look()
            self.page.keyboard.press("ArrowRight")
        self._look()
        self.page.keyboard.press("Escape")
        self.page.get_by_role("link", name="Print").click()
        self.page.locator(".preview img").first.wait_for()


def first_boxes(hand: Teacher) -> None:
    """Six boxes round the point, one of them see-through."""
    places = [(40, 20), (-30, -40), (20, 60), (0, -20), (-60, 30), (30, 10)]
    for number, (dx, dy) in enumerate(places, start=1):
        hand.press("Add a box")
        hand.page.locator("article.thing").nth(number - 1).wait_for()
        hand.drag(f"Move the box: Box {number}", dx, dy)
    hand.pick("the look", "See-through")


def cubes(hand: Teacher) -> None:
    """True cubes, the distance points at the sheet's ends."""
    hand.type("the viewing distance", "210")
    for number, (dx, dy) in enumerate([(10, 10), (-20, -20), (30, 0)], start=1):
        hand.press("Add a box")
        hand.page.locator("article.thing").nth(number - 1).wait_for()
        hand.drag(f"Move the box: Box {number}", dx, dy)
        hand.pick_last("the depth", "cube")


def letter(outline: str, depth: str, corner: str) -> Callable[[Teacher], None]:
    """Return the making of a block letter in one point, its corners typed, its depth measured."""

    def make(hand: Teacher) -> None:
        hand.type("the place of the point", "300")
        hand.press("Add a shape")
        hand.corners(outline)
        hand.type("the distance from the bottom edge", "180")
        hand.pick("the depth", "measured")
        hand.type("the depth", depth)
        hand.pick("the corner", corner)

    return make


def letter_in_two(hand: Teacher) -> None:
    """A letter on a side, the points at the sheet's ends."""
    hand.pick("kind: One point", "Two points")
    hand.press("Add a shape")
    hand.corners(Z)
    hand.drag("Move the block: Shape 1", 20, 30)


def letters_in_three(hand: Teacher) -> None:
    """Three letters from below, the third point at the top."""
    hand.pick("kind: One point", "Three points")
    for number, outline in enumerate((A, C, "letter T"), start=1):
        hand.press("Add a shape")
        hand.page.locator("article.thing").nth(number - 1).wait_for()
        hand.corners(outline)


def box_in_two(hand: Teacher) -> None:
    """A box about its nearest edge, the points far out."""
    hand.pick("kind: One point", "Two points")
    hand.type("the place of the left point", "-90")
    hand.type("the place of the right point", "480")
    hand.press("Add a box")
    hand.drag("Move the box: Box 1", 10, 20)
    hand.pick("the left side", "measured")


def word_about_the_point(hand: Teacher) -> None:
    """A word of the class's own, its letters on all sides of the point."""
    hand.press("Add a word")
    hand.type("the word", "TIDE")
    hand.pick("how its letters stand", "on all sides of the point")
    hand.type("the room about the point", "24")


def divided_wall(hand: Teacher) -> None:
    """A wall in two points, divided into bays, and a pattern on its other side."""
    hand.pick("kind: One point", "Two points")
    hand.press("Add a box")
    hand.drag("Change the right side: Box 1", 60, 10)
    hand.press("Add a division")
    hand.pick("the face it lies on", "the right side")
    hand.pick("how it is divided", "by ticks and the diagonal")
    hand.type("the parts along", "5")
    hand.press("Add a pattern")
    hand.pick("the pattern", "bricks")


def road_with_trees(hand: Teacher) -> None:
    """A road to the point with dashes by eye, and three sizes of tree."""
    hand.press("Add a road")
    hand.pick("how many dashes it has", "3 dashes")
    hand.pick("how the dashes are found", "by eye")
    for number, (tall, dx, dy) in enumerate([("150", 0, 20), ("90", 0, -20), ("40", 20, -60)], start=1):
        hand.press("Add trees, people, boats or posts")
        hand.page.locator("article.thing").nth(number).wait_for()
        hand.type("the height", tall)
        hand.drag(f"Move it: Silhouette {number}", dx, dy)


def quay_street(hand: Teacher) -> None:
    """A road with pavements, a house and one beyond an alley, lamp posts going away."""
    hand.press("Add a road")
    hand.pick("what is beside it", "a pavement on both sides")
    for number in (1, 2):
        hand.press("Add a box")
        hand.page.locator("article.thing").nth(number).wait_for()
    hand.drag("Change width and height: Box 1", 10, -60)
    hand.pick_last("what it stands by", "Box 1")
    hand.pick_last("how it stands", "beyond an alley behind")
    hand.type("the gap", "12")
    hand.press("Add trees, people, boats or posts")
    hand.page.locator("article.thing").nth(3).wait_for()
    hand.pick("what they are", "a lamp post")
    hand.pick("how many there are", "5")


def house_with_a_hip_roof(hand: Teacher) -> None:
    """A house in two points, a hip roof on its top, windows in its side."""
    hand.pick("kind: One point", "Two points")
    hand.press("Add a box")
    hand.drag("Change the right side: Box 1", 60, 10)
    hand.press("Add a hip roof")
    hand.type("the height of the roof", "40")
    hand.press("Add windows")
    hand.page.locator("article.thing").nth(2).wait_for()
    hand.pick_last("the face it lies on", "the right side")


def loft_with_chimney(hand: Teacher) -> None:
    """A house in two points, a gable over its left side, a chimney, a dormer and shingles on the slope that shows."""
    things = hand.page.locator("article.thing")
    hand.pick("kind: One point", "Two points")
    hand.press("Add a box")
    hand.drag("Change the right side: Box 1", 60, 10)
    for number, thing in enumerate(("a gable roof", "a chimney", "a dormer"), start=1):
        hand.press(f"Add {thing}")
        things.nth(number).wait_for()
    hand.type("how it lies along the roof", "3:1:1")
    hand.press("Add a pattern")
    things.nth(4).wait_for()
    hand.pick_last("the pattern", "bricks")
    hand.pick_last("its fields", "in lines")


def three_stores(hand: Teacher) -> None:
    """A tall store in two points, one beyond an alley on either side, windows in one of them."""
    things = hand.page.locator("article.thing")
    hand.pick("kind: One point", "Two points")
    for number in range(3):
        hand.press("Add a box")
        things.nth(number).wait_for()
        if number:
            hand.pick_last("what it stands by", "Box 1")
            hand.pick_last("how it stands", f"beyond an alley {('left', 'right')[number - 1]} of")
    hand.press("Add windows")
    things.nth(3).wait_for()
    hand.pick_last("how many there are up", "4")


def joined(hand: Teacher, number: int, to: str, how: str) -> None:
    """One more box that stands by another one."""
    hand.press("Add a box")
    hand.page.locator("article.thing").nth(number).wait_for()
    hand.pick_last("what it stands by", to)
    hand.pick_last("how it stands", how)


def town_corner(hand: Teacher) -> None:
    """A corner of eight buildings in two points: three joined on the left, two on the right, an alley, one behind."""
    hand.pick("kind: One point", "Two points")
    hand.press("Add a box")
    hand.page.locator("article.thing").nth(0).wait_for()
    for number, (to, side) in enumerate([(1, "left"), (2, "left"), (3, "left"), (1, "right"), (5, "right")], start=1):
        joined(hand, number, f"Box {to}", f"against the {side} end of")
    joined(hand, 6, "Box 6", "beyond an alley right of")
    hand.press("Add a box")
    hand.page.locator("article.thing").nth(7).wait_for()


def pavement_corner(hand: Teacher) -> None:
    """A low block as a pavement around the corner, three houses raised on it, windows in one."""
    things = hand.page.locator("article.thing")
    hand.pick("kind: One point", "Two points")
    hand.press("Add a box")
    hand.type("the height", "5")
    hand.type("the left side", "150")
    hand.type("the right side", "160")
    for number, (along, up) in enumerate([("1:5:6", "1:5:6"), ("6:5:1", "1:5:6"), ("1:5:6", "6:5:1")], start=1):
        hand.press("Add a raised block")
        things.nth(number).wait_for()
        hand.type("how its plan lies along the top", along)
        hand.type("how its plan lies up the top", up)
    hand.press("Add windows")
    things.nth(4).wait_for()


def house_with_eaves(hand: Teacher) -> None:
    """A house in two points with eaves and a hip roof on them, a shed against its end with a lean-to."""
    things = hand.page.locator("article.thing")
    hand.pick("kind: One point", "Two points")
    hand.press("Add a box")
    hand.drag("Change the right side: Box 1", 60, 10)
    hand.press("Add eaves")
    things.nth(1).wait_for()
    hand.press("Add a hip roof")
    things.nth(2).wait_for()
    joined(hand, 3, "Box 1", "against the right end of")
    hand.press("Add a lean-to roof")
    things.nth(4).wait_for()


def rails(hand: Teacher) -> None:
    """Rails to the point and a shed beside them."""
    hand.press("Add rails")
    hand.pick("how many sleepers there are", "8")
    hand.press("Add a box")
    hand.page.locator("article.thing").nth(1).wait_for()
    hand.drag("Move the box: Box 1", 10, -20)


def second_row(hand: Teacher) -> None:
    """A road in one point, two houses on either side, another row of two behind them."""
    things = hand.page.locator("article.thing")
    hand.press("Add a road")
    for number in range(1, 5):
        hand.press("Add a box")
        things.nth(number).wait_for()
    for number, (dx, dy) in enumerate([(-40, 0), (40, 0), (-20, -30), (20, -30)], start=1):
        hand.drag(f"Change width and height: Box {number}", 6, -30)
        hand.drag(f"Move the box: Box {number}", dx, dy)


def two_streets(hand: Teacher) -> None:
    """Two points on one sheet, a house by each and a road to one of them."""
    things = hand.page.locator("article.thing")
    hand.press("more")
    hand._look()
    hand.page.get_by_text("One more point on this eye level").click()
    hand.press("Add a road")
    for number in (1, 2):
        hand.press("Add a box")
        things.nth(number).wait_for()
    hand.pick_last("the view", "view 2")


def small_world(hand: Teacher) -> None:
    """Six towers about one point, their roofs drawn true, windows in one of them."""
    things = hand.page.locator("article.thing")
    places = [(-60, 40), (40, 50), (60, -40), (-50, -60), (10, 70), (-20, 20)]
    for number, (dx, dy) in enumerate(places, start=1):
        hand.press("Add a box")
        things.nth(number - 1).wait_for()
        hand.drag(f"Move the box: Box {number}", dx, dy)
    hand.press("Add windows")
    things.nth(6).wait_for()


def gull_view(hand: Teacher) -> None:
    """A block in three points with two more beyond alleys, a pyramid on one and a gable on another."""
    things = hand.page.locator("article.thing")
    hand.pick("kind: One point", "Three points")
    hand.press("Add a box")
    things.nth(0).wait_for()
    joined(hand, 1, "Box 1", "beyond an alley left of")
    hand.press("Add a gable roof")
    things.nth(2).wait_for()
    joined(hand, 3, "Box 1", "beyond an alley right of")
    hand.press("Add a hip roof")
    things.nth(4).wait_for()
    hand.pick("what its slopes rise to", "one tip")


def masters_room(hand: Teacher) -> None:
    """A room that one looks into, two worktops, a chest, a table with a book on it, a window and shelves."""
    things = hand.page.locator("article.thing")
    hand.press("Add a room")
    things.nth(0).wait_for()
    plans = [("9:3:0", "0:7:5"), ("2:7:3", "0:2:10"), ("3:3:6", "8:3:1")]
    for number, (along, up) in enumerate(plans, start=1):
        hand.press("Add a raised block")
        things.nth(number).wait_for()
        hand.type("how its plan lies along the top", along)
        hand.type("how its plan lies up the top", up)
    hand.press("Add a table")
    things.nth(4).wait_for()
    hand.type("how its plan lies along the floor", "4:3:5")
    hand.type("how its plan lies up the floor", "4:3:5")
    hand.press("Add a raised block")
    things.nth(5).wait_for()
    hand.pick_last("the face it lies on", "the top")
    for number, wall in enumerate(("the back wall", "the right wall"), start=6):
        hand.press("Add windows")
        things.nth(number).wait_for()
        hand.pick_last("what it lies on", "Room")
        hand.pick_last("the face it lies on", wall)


NAMES = "\n".join(f"{bird} {n}" for n in range(1, 9) for bird in ("Tern", "Guillemot", "Fulmar"))


def name_sheets(hand: Teacher) -> None:
    """From a class list, copied from the school's own, to the PDF of each student's own name sheet."""
    page = hand.page
    page.goto(f"{hand.address}/register")
    hand._look(len("Seabirds"))
    page.get_by_placeholder("Name of a new class").fill("Seabirds")
    hand.press("Add the class")
    hand.press("Enter students")
    hand._look()
    page.locator("textarea").fill(NAMES)  # pasted
    hand.press("Enter them")
    page.get_by_text("Fulmar 8").wait_for()
    hand._look()
    page.get_by_role("link", name="Desk").click()
    hand.press("New exercise")
    hand.press("Your name over the harbour")
    page.locator(".handle").first.wait_for()
    hand._look()
    page.get_by_role("link", name="Print").click()
    hand._look()
    page.get_by_text("Everything for each student").click()
    hand._look()
    page.locator(".how .n-select").click()
    hand._look()
    page.locator(".n-base-select-option", has_text="Seabirds").click()
    page.get_by_text("24 sheets").wait_for()
    hand._look()  # over the small pictures
    hand._look()
    address = page.get_by_role("link", name="Open the PDF to print").get_attribute("href")
    assert page.request.get(f"{hand.address}{address}").body().startswith(b"%PDF")


EXERCISES: dict[str, Callable[[Teacher], None]] = {
    "first_boxes": first_boxes,
    "cubes": cubes,
    "letter_h": letter(H, "38", "corner 3"),
    "letter_f": letter(F, "18", "corner 9"),
    "letter_two_points": letter_in_two,
    "letters_three_points": letters_in_three,
    "box_two_points": box_in_two,
    "word_about_the_point": word_about_the_point,
    "divided_wall": divided_wall,
    "road_with_trees": road_with_trees,
    "quay_street": quay_street,
    "house_with_a_hip_roof": house_with_a_hip_roof,
    "loft_with_chimney": loft_with_chimney,
    "three_stores": three_stores,
    "town_corner": town_corner,
    "pavement_corner": pavement_corner,
    "house_with_eaves": house_with_eaves,
    "rails": rails,
    "second_row": second_row,
    "two_streets": two_streets,
    "small_world": small_world,
    "gull_view": gull_view,
    "masters_room": masters_room,
}


def main() -> None:
    """Print the seconds for each exercise, or for those that are named, from the shelf to the printed page."""
    chosen = sys.argv[1:] or [*EXERCISES]
    with signed_in() as (page, address):
        for name in chosen:
            make = EXERCISES[name]
            hand = Teacher(page, address)
            begin = time.perf_counter()
            hand.begin()
            make(hand)
            hand.show_and_print()
            _report(name, time.perf_counter() - begin, hand, "made, shown and printed")
        if sys.argv[1:]:
            return
        hand = Teacher(page, address)
        begin = time.perf_counter()
        name_sheets(hand)
        _report("name_sheets", time.perf_counter() - begin, hand, "from a class list of 24 to the PDF of all sheets")


def _report(name: str, seconds: float, hand: Teacher, what: str) -> None:
    on = f"{hand.acts} acts, {PAUSE_S} s before each and {TYPED_S} s a character; {what}"
    report(f"at_the_desk.{name}", seconds, "s", f"<={BAR_S}", seconds <= BAR_S, on)


if __name__ == "__main__":
    main()
