"""Rooms, round things and shadows that a teacher makes at the Desk."""

from desk_teacher import Teacher


def masters_room(hand: Teacher) -> None:
    """A room that one looks into, two worktops, a chest, a table with a book on it, a window and shelves."""
    hand.add("Add a room")
    plans = [("9:3:0", "0:7:5"), ("2:7:3", "0:2:10"), ("3:3:6", "8:3:1")]
    for along, up in plans:
        hand.add("Add a raised block")
        hand.type("how its plan lies along the top", along)
        hand.type("how its plan lies up the top", up)
    hand.add("Add a table")
    hand.type("how its plan lies along the floor", "4:3:5")
    hand.type("how its plan lies up the floor", "4:3:5")
    hand.add("Add a raised block")
    hand.pick_last("the face it lies on", "the top")
    for wall in ("the back wall", "the right wall"):
        hand.add("Add windows")
        hand.pick_last("what it lies on", "Room")
        hand.pick_last("the face it lies on", wall)


def office_corner(hand: Teacher) -> None:
    """A room about its back corner in two points, two chests, a window and a door in its walls."""
    hand.pick("kind: One point", "Two points")
    hand.add("Add a room")
    hand.type("how far the left wall reaches aside", "120")
    for along, up in [("1:2:3", "5:3:1"), ("5:1:3", "3:1:4")]:
        hand.add("Add a raised block")
        hand.pick_last("what it lies on", "Room")
        hand.type("how its plan lies along the top", along)
        hand.type("how its plan lies up the top", up)
    for wall in ("the left wall", "the right wall"):
        hand.add("Add windows")
        hand.pick_last("what it lies on", "Room")
        hand.pick_last("the face it lies on", wall)


def light_tower(hand: Teacher) -> None:
    """A low block in two points, on it a tower that narrows, a lantern on that, and a cone as its roof."""
    hand.pick("kind: One point", "Two points")
    hand.add("Add a box")
    hand.type("the height", "10")
    hand.type("the left side", "120")
    hand.type("the right side", "130")
    for form, rise in [("narrower at its top", "110"), ("", "22"), ("a cone", "24")]:
        hand.add("Add a round body")
        if form:
            hand.pick_last("which form it has", form)
        hand.type("the height", rise)


def stores_with_shadows(hand: Teacher) -> None:
    """Two stores in two points and their shadows, the light from the right at 60 degrees."""
    hand.pick("kind: One point", "Two points")
    hand.pick("light: left", "right")
    hand.pick("rays: 45", "60")
    for _ in range(2):
        hand.add("Add a box")
    for store in ("Box 1", "Box 2"):
        hand.add("Add a cast shadow")
        hand.pick_last("what it lies on", store)


def checkered_floor(hand: Teacher) -> None:
    """A room with the eye's distance stated, its floor in square tiles, checkered, and a window."""
    hand.type("the viewing distance", "220")
    hand.add("Add a room")
    hand.add("Add a division")
    hand.pick_last("the face it lies on", "the floor")
    hand.pick_last("how it is divided", "in square tiles")
    hand.type("the length of the first part on the page", "30")
    hand.pick_last("whether every other tile is dark", "checkered")
    hand.add("Add windows")
    hand.pick_last("what it lies on", "Room")
    hand.pick_last("the face it lies on", "the back wall")


def against_the_sun(hand: Teacher) -> None:
    """Two low boxes and their shadows, the sun ahead of the viewer and dragged to its place."""
    for _ in range(2):
        hand.add("Add a box")
        hand.type("the height", "24")
    hand.pick("where the light comes from", "the sun ahead of you")
    hand.type("how high the light is", "130")
    for box in ("Box 1", "Box 2"):
        hand.add("Add a cast shadow")
        hand.pick_last("what it lies on", box)
    hand.drag("Move the sun", -20, 10)


def by_lamplight(hand: Teacher) -> None:
    """A room with two chests and their shadows by a lamp that is hung and then dragged."""
    hand.add("Add a room")
    for along, up in [("4:4:8", "2:4:10"), ("3:3:10", "10:4:2")]:
        hand.add("Add a raised block")
        hand.pick_last("what it lies on", "Room")
        hand.type("how its plan lies along the top", along)
        hand.type("how its plan lies up the top", up)
    hand.pick("where the light comes from", "a lamp in the room")
    hand.type("how far the light is to the side", "6")
    hand.type("how high the light is", "60")
    hand.type("how low the place under the lamp lies", "90")
    for block in ("Raised block 1", "Raised block 2"):
        hand.add("Add a cast shadow")
        hand.pick_last("what it lies on", block)
    hand.drag("Move the lamp", 10, 5)
    hand.drag("Move the place under the lamp", 5, 5)


def masters_room_by_lamp(hand: Teacher) -> None:
    """From the empty sheet: tiles, worktops, a table, three stools, shelves, a window, a lamp, and their shadows."""
    hand.type("the viewing distance", "330")
    hand.add("Add a room")
    hand.pick_last("how far back the back wall is", "measured")
    hand.type("how far back the back wall is", "110")
    for along, up in [("9:3:0", "0:9:3"), ("3:6:3", "0:2:10")]:
        hand.add("Add a raised block")
        hand.pick_last("what it lies on", "Room")
        hand.type("how its plan lies along the top", along)
        hand.type("how its plan lies up the top", up)
    hand.add("Add a table")
    hand.pick_last("what it lies on", "Room")
    hand.type("how its plan lies along the floor", "12:7:9")
    hand.type("how its plan lies up the floor", "15:9:6")
    for up in ("10:2:12", "14:2:8", "18:2:4"):
        hand.add("Add a round body")
        hand.pick_last("what it lies on", "Room")
        hand.type("how its square lies along the top", "3:2:19")
        hand.type("how its square lies up the top", up)
        hand.type("the height", "34")
    for wall in ("the back wall", "the left wall"):
        hand.add("Add windows")
        hand.pick_last("what it lies on", "Room")
        hand.pick_last("the face it lies on", wall)
    hand.add("Add a division")
    hand.pick_last("what it lies on", "Room")
    hand.pick_last("the face it lies on", "the floor")
    hand.pick_last("how it is divided", "in square tiles")
    hand.pick("where the light comes from", "a lamp in the room")
    hand.type("how far the light is to the side", "30")
    hand.type("how high the light is", "66")
    hand.type("how low the place under the lamp lies", "83")
    for caster in ("Table", "Round body 1", "Round body 2", "Round body 3"):
        hand.add("Add a cast shadow")
        hand.pick_last("what it lies on", caster)


def climbing_on_a_deck(hand: Teacher, what: str) -> None:
    """Set a low deck in two points, and on it what climbs."""
    hand.pick("kind: One point", "Two points")
    hand.add("Add a box")
    hand.type("the height", "10")
    hand.type("the left side", "130")
    hand.type("the right side", "140")
    hand.add(what)
    hand.type("plan lies along the floor", "6:8:2")
    hand.type("plan lies up the floor", "3:6:3")


def post_in_the_sun(hand: Teacher) -> None:
    """Set a post on the deck, with the sun behind the viewer; its shadow, and what of that falls on the other thing."""
    hand.add("Add a raised block")
    hand.pick_last("what it lies on", "Box 1")
    hand.type("how its plan lies along the top", "2:1:13")
    hand.type("how its plan lies up the top", "6:1:5")
    hand.type("the height over its nearest corner", "60")
    hand.pick("where the light comes from", "the sun behind you")
    hand.type("how far the light is to the side", "180")
    hand.type("how high the light is", "90")
    hand.add("Add a cast shadow")
    hand.add("Add a shadow upon a thing")


def shadow_over_steps(hand: Teacher) -> None:
    """A low deck in two points, steps with a handrail, a post, its shadow, and what of that falls on the steps."""
    climbing_on_a_deck(hand, "Add stairs")
    hand.add("Add a handrail")
    post_in_the_sun(hand)
    hand.pick_last("what it lies on", "Stairs")


def shadow_up_a_slip(hand: Teacher) -> None:
    """A low deck in two points, a ramp, a post beside it, its shadow, and what of that falls on the slope."""
    climbing_on_a_deck(hand, "Add a ramp")
    post_in_the_sun(hand)


def low_box(hand: Teacher, width: str, height: str, depth: str) -> None:
    """Set a box in one point on which something shall stand."""
    hand.add("Add a box")
    hand.type("the width", width)
    hand.type("the height", height)
    hand.pick_last("the depth", "measured")
    hand.type("the depth", depth)


def steps_by_slope_point(hand: Teacher) -> None:
    """A low mole in one point, steps on it, their other side found by the point of their slope."""
    low_box(hand, "280", "20", "120")
    hand.add("Add stairs")
    hand.type("plan lies along the floor", "2:6:2")
    hand.type("plan lies up the floor", "1:4:5")
    hand.pick_last("how their other side is found", "by the point of their slope")


def star_through(hand: Teacher) -> None:
    """A thin board with a star that is cut right through it."""
    hand.add("Add a box")
    hand.pick_last("the depth", "measured")
    hand.type("the depth", "10")
    hand.add("Add a figure")
    hand.pick_last("whether it stands out, is sunk in or goes through", "right through it")


def carve(hand: Teacher, outline: str, host: str, side: str = "left") -> None:
    """Carve the last figure from a side of a block."""
    hand.pick_last("what it lies on", host)
    hand.pick_last("the face it lies on", f"{side} side")
    hand.look()
    hand.page.get_by_role("button", name="the outline").last.click()
    hand.press(outline, exact=True)
    hand.pick_last("whether it stands out, is sunk in or goes through", "carved from the whole body")


def carved_van(hand: Teacher) -> None:
    """A box in two points, and a van carved from it."""
    hand.pick("kind: One point", "Two points")
    hand.add("Add a box")
    hand.type("the left side", "120")
    hand.add("Add a figure")
    carve(hand, "van", "Box 1")


def sofa_and_chair(hand: Teacher) -> None:
    """A room about its back corner in two points, a sofa and a chair carved from blocks on its floor."""
    hand.pick("kind: One point", "Two points")
    hand.add("Add a room")
    plans = [("1:4:1", "5:3:1", "sofa"), ("3:2:3", "1:2:5", "chair")]
    for number, (along, up, outline) in enumerate(plans, start=1):
        hand.add("Add a raised block")
        hand.pick_last("what it lies on", "Room")
        hand.type("how its plan lies along the top", along)
        hand.type("how its plan lies up the top", up)
        hand.add("Add a figure")
        carve(hand, outline, f"Raised block {number}")


def galley(hand: Teacher) -> None:
    """A room in one point, in it a worktop with plinth carved from a block, drawers in it, a hood and cupboards."""
    hand.add("Add a room")
    hand.add("Add a raised block")
    hand.pick_last("what it lies on", "Room")
    hand.type("how its plan lies along the top", "6:6:0")
    hand.type("how its plan lies up the top", "0:5:7")
    hand.add("Add a figure")
    carve(hand, "worktop", "Raised block 1", "right")
    hand.add("Add windows")
    hand.pick_last("what it lies on", "Raised block 1")
    hand.pick_last("the face it lies on", "the front")
    hand.pick_last("how many there are up", "3")
    hand.add("Add a figure")
    hand.pick_last("what it lies on", "Room")
    hand.pick_last("the face it lies on", "the back wall")
    hand.look()
    hand.page.get_by_role("button", name="the outline").last.click()
    hand.press("hood", exact=True)
    hand.pick_last("whether it stands out, is sunk in or goes through", "out of it")
    hand.add("Add windows")
    hand.pick_last("what it lies on", "Room")
    hand.pick_last("the face it lies on", "the back wall")
    hand.pick_last("whether they stand out or are sunk in", "out of it")


def lighthouse_steps(hand: Teacher) -> None:
    """A low rock, a landing on it and a flight of steps up to that, both measured at the rock's edge."""
    low_box(hand, "240", "14", "130")
    hand.add("Add a raised block")
    hand.type("how its plan lies along the top", "8:16:0")
    hand.type("how its plan lies up the top", "0:24:0")
    hand.pick_last("how high it is", "measured at the first edge")
    hand.type("the height over its nearest corner", "32")
    hand.add("Add stairs")
    hand.pick_last("what it lies on", "Box 1")
    hand.type("how their plan lies along the floor", "2:6:16")
    hand.type("how their plan lies up the floor", "8:6:10")
    hand.pick_last("where their height is measured", "measured at the first edge")
    hand.type("the height of the whole flight", "32")


def watch_tower(hand: Teacher) -> None:
    """A low block in one point, a round tower on it, a cone as its roof, windows that curve with its wall."""
    low_box(hand, "130", "10", "140")
    hand.add("Add a round body")
    hand.type("how its square lies along the top", "1:4:1")
    hand.type("how its square lies up the top", "1:4:1")
    hand.type("the height", "140")
    hand.add("Add a round body")
    hand.pick_last("which form it has", "a cone")
    hand.type("the height", "40")
    hand.add("Add curved windows")
    hand.type("how they lie up the wall", "5:3:1")


def three_stools(hand: Teacher) -> None:
    """A room in one point, in it three stools in a row, each with a foot rest."""
    hand.add("Add a room")
    for across in ("2:3:13", "7:3:8", "12:3:3"):
        hand.add("Add a table")
        hand.pick_last("what it lies on", "Room")
        hand.type("how its plan lies along the floor", "2:4:11")
        hand.type("how its plan lies up the floor", across)
        hand.pick_last("where its height is measured", "measured at the first edge")
        hand.type("the height over its nearest corner", "72")
        hand.pick_last("whether it has a foot rest", "a third of the way up")
