"""Sheets that a teacher makes at the Desk: boxes, letters, a word, a divided wall, each student's own name."""

from collections.abc import Callable

from desk_teacher import Teacher

Z = "0 0, 60 0, 60 15, 22 15, 60 45, 60 60, 0 60, 0 45, 38 45, 0 15"
A = "0 0, 14 0, 14 22, 46 22, 46 0, 60 0, 60 70, 0 70 / 14 36, 14 56, 46 56, 46 36"
C = "0 0, 60 0, 60 16, 16 16, 16 54, 60 54, 60 70, 0 70"
H = "0 0, 16 0, 16 24, 40 24, 40 0, 56 0, 56 64, 40 64, 40 36, 16 36, 16 64, 0 64"
F = "0 0, 18 0, 18 22, 36 22, 36 34, 18 34, 18 48, 56 48, 56 64, 0 64"


def first_boxes(hand: Teacher) -> None:
    """Six boxes round the point, one of them see-through."""
    places = [(40, 20), (-30, -40), (20, 60), (0, -20), (-60, 30), (30, 10)]
    for number, (dx, dy) in enumerate(places, start=1):
        hand.add("Add a box")
        hand.drag(f"Move the box: Box {number}", dx, dy)
    hand.pick("the look", "See-through")


def cubes(hand: Teacher) -> None:
    """True cubes, the distance points at the sheet's ends."""
    hand.type("the viewing distance", "210")
    for number, (dx, dy) in enumerate([(10, 10), (-20, -20), (30, 0)], start=1):
        hand.add("Add a box")
        hand.drag(f"Move the box: Box {number}", dx, dy)
        hand.pick_last("the depth", "cube")


def letter(outline: str, depth: str, corner: str) -> Callable[[Teacher], None]:
    """Return the making of a block letter in one point, its corners typed, its depth measured."""

    def make(hand: Teacher) -> None:
        hand.type("the place of the point", "300")
        hand.add("Add a shape")
        hand.corners(outline)
        hand.type("the distance from the bottom edge", "180")
        hand.pick("the depth", "measured")
        hand.type("the depth", depth)
        hand.pick("the corner", corner)

    return make


def letter_in_two(hand: Teacher) -> None:
    """A letter on a side, the points at the sheet's ends."""
    hand.pick("kind: One point", "Two points")
    hand.add("Add a shape")
    hand.corners(Z)
    hand.drag("Move the block: Shape 1", 20, 30)


def letters_in_three(hand: Teacher) -> None:
    """Three letters from below, the third point at the top."""
    hand.pick("kind: One point", "Three points")
    for outline in (A, C, "letter T"):
        hand.add("Add a shape")
        hand.corners(outline)


def box_in_two(hand: Teacher) -> None:
    """A box about its nearest edge, the points far out."""
    hand.pick("kind: One point", "Two points")
    hand.type("the place of the left point", "-90")
    hand.type("the place of the right point", "480")
    hand.add("Add a box")
    hand.drag("Move the box: Box 1", 10, 20)
    hand.pick("the left side", "measured")


def word_about_the_point(hand: Teacher) -> None:
    """A word of the class's own, its letters on all sides of the point."""
    hand.add("Add a word")
    hand.type_here("TIDE")
    hand.pick("how its letters stand", "on all sides of the point")
    hand.type("the room about the point", "24")


def divided_wall(hand: Teacher) -> None:
    """A wall in two points, divided into bays, and a pattern on its other side."""
    hand.pick("kind: One point", "Two points")
    hand.add("Add a box")
    hand.drag("Change the right side: Box 1", 60, 10)
    hand.add("Add a division")
    hand.pick("the face it lies on", "the right side")
    hand.pick("how it is divided", "by ticks and the diagonal")
    hand.type("the parts along", "5")
    hand.add("Add a pattern")
    hand.pick("the pattern", "bricks")


NAMES = "\n".join(f"{bird} {n}" for n in range(1, 9) for bird in ("Tern", "Guillemot", "Fulmar"))


def name_sheets(hand: Teacher) -> None:
    """From a class list, copied from the school's own, to the PDF of each student's own name sheet."""
    page = hand.page
    page.goto(f"{hand.address}/register")
    hand.look(len("Seabirds"))
    page.get_by_placeholder("Name of a new class").fill("Seabirds")
    hand.press("Add the class")
    hand.press("Enter students")
    hand.look()
    page.locator("textarea").fill(NAMES)  # pasted
    hand.press("Enter them")
    page.get_by_text("Fulmar 8").wait_for()
    hand.look()
    page.get_by_role("link", name="Desk").click()
    hand.press("New exercise")
    hand.press("Your name over the harbour")
    page.locator(".handle").first.wait_for()
    hand.look()
    page.get_by_role("link", name="Print").click()
    hand.look()
    page.get_by_text("Everything for each student").click()
    hand.look()
    page.locator(".how .n-select").click()
    hand.look()
    page.locator(".n-base-select-option", has_text="Seabirds").click()
    page.get_by_text("24 sheets").wait_for()
    hand.look()  # over the small pictures
    hand.look()
    address = page.get_by_role("link", name="Open the PDF to print").get_attribute("href")
    assert page.request.get(f"{hand.address}{address}").body().startswith(b"%PDF")
