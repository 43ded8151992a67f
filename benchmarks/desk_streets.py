"""Streets, houses and roofs that a teacher makes at the Desk."""

import desk_rooms
from desk_teacher import Teacher


def road_with_trees(hand: Teacher) -> None:
    """A road to the point with dashes by eye, and three sizes of tree."""
    hand.add("Add a road")
    hand.pick("how many dashes it has", "3 dashes")
    hand.pick("how the dashes are found", "by eye")
    for number, (tall, dx, dy) in enumerate([("150", 0, 20), ("90", 0, -20), ("40", 20, -60)], start=1):
        hand.add("Add trees, people, boats or posts")
        hand.type("the height", tall)
        hand.drag(f"Move it: Silhouette {number}", dx, dy)


def quay_street(hand: Teacher) -> None:
    """A road with pavements, a house and one beyond an alley, lamp posts going away."""
    hand.add("Add a road")
    hand.pick("what is beside it", "a pavement on both sides")
    for _ in (1, 2):
        hand.add("Add a box")
    hand.drag("Change width and height: Box 1", 10, -60)
    hand.pick_last("what it stands by", "Box 1")
    hand.pick_last("how it stands", "beyond an alley behind")
    hand.type("the gap", "12")
    hand.add("Add trees, people, boats or posts")
    hand.pick("what they are", "a lamp post")
    hand.pick("how many there are", "5")


def long_house(hand: Teacher) -> None:
    """A house in two points, its right side drawn out."""
    hand.pick("kind: One point", "Two points")
    hand.add("Add a box")
    hand.drag("Change the right side: Box 1", 60, 10)


def house_with_a_hip_roof(hand: Teacher) -> None:
    """A house in two points, a hip roof on its top, windows in its side."""
    long_house(hand)
    hand.add("Add a hip roof")
    hand.type("the height of the roof", "40")
    hand.add("Add windows")
    hand.pick_last("the face it lies on", "the right side")


def roof_in_the_sun(hand: Teacher) -> None:
    """A house in two points, a steep hip roof on its top, and the shadow of both, the light at 30 degrees."""
    long_house(hand)
    hand.add("Add a hip roof")
    hand.type("the height of the roof", "60")
    hand.pick("rays: 45", "30")
    hand.add("Add a cast shadow")


def pilots_house(hand: Teacher) -> None:
    """A house in two points under a hip roof whose slopes have their points, two dormers on the slope that shows."""
    long_house(hand)
    hand.add("Add a hip roof")
    hand.pick_last("what can stand on its slopes", "dormers")
    for along in ("1:2:4", "4:2:1"):
        hand.add("Add a dormer")
        hand.type("how it lies along the roof", along)


def loft_with_chimney(hand: Teacher) -> None:
    """A house in two points, a gable over its left side, a chimney, a dormer and shingles on the slope that shows."""
    long_house(hand)
    for thing in ("a gable roof", "a chimney", "a dormer"):
        hand.add(f"Add {thing}")
    hand.type("how it lies along the roof", "3:1:1")
    hand.add("Add a pattern")
    hand.pick_last("the pattern", "bricks")
    hand.pick_last("its fields", "in lines")


def three_stores(hand: Teacher) -> None:
    """A tall store in two points, one beyond an alley on either side, windows in one of them."""
    hand.pick("kind: One point", "Two points")
    for number in range(3):
        hand.add("Add a box")
        if number:
            hand.pick_last("what it stands by", "Box 1")
            hand.pick_last("how it stands", f"beyond an alley {('left', 'right')[number - 1]} of")
    hand.add("Add windows")
    hand.pick_last("how many there are up", "4")


def joined(hand: Teacher, number: int, to: str, how: str) -> None:
    """One more box that stands by another one."""
    hand.add("Add a box")
    hand.pick_last("what it stands by", to)
    hand.pick_last("how it stands", how)


def town_corner(hand: Teacher) -> None:
    """A corner of eight buildings in two points: three joined on the left, two on the right, an alley, one behind."""
    hand.pick("kind: One point", "Two points")
    hand.add("Add a box")
    for number, (to, side) in enumerate([(1, "left"), (2, "left"), (3, "left"), (1, "right"), (5, "right")], start=1):
        joined(hand, number, f"Box {to}", f"against the {side} end of")
    joined(hand, 6, "Box 6", "beyond an alley right of")
    hand.add("Add a box")


def pavement_corner(hand: Teacher) -> None:
    """A low block as a pavement around the corner, three houses raised on it, windows in one."""
    hand.pick("kind: One point", "Two points")
    hand.add("Add a box")
    hand.type("the height", "5")
    hand.type("the left side", "150")
    hand.type("the right side", "160")
    for along, up in [("1:5:6", "1:5:6"), ("6:5:1", "1:5:6"), ("1:5:6", "6:5:1")]:
        hand.add("Add a raised block")
        hand.type("how its plan lies along the top", along)
        hand.type("how its plan lies up the top", up)
    hand.add("Add windows")


def house_with_eaves(hand: Teacher) -> None:
    """A house in two points with eaves and a hip roof on them, a shed against its end with a lean-to."""
    long_house(hand)
    hand.add("Add eaves")
    hand.add("Add a hip roof")
    joined(hand, 3, "Box 1", "against the right end of")
    hand.add("Add a lean-to roof")


def rails(hand: Teacher) -> None:
    """Rails to the point and a shed beside them."""
    hand.add("Add rails")
    hand.pick("how many sleepers there are", "8")
    hand.add("Add a box")
    hand.drag("Move the box: Box 1", 10, -20)


def rails_in_the_light(hand: Teacher) -> None:
    """Rails to the point, and their shadows over the sleepers, the light from the right at 60 degrees."""
    hand.pick("light: left", "right")
    hand.pick("rays: 45", "60")
    hand.add("Add rails")
    hand.add("Add a cast shadow")


def second_row(hand: Teacher) -> None:
    """A road in one point, two houses on either side, another row of two behind them."""
    hand.add("Add a road")
    for _ in range(4):
        hand.add("Add a box")
    for number, (dx, dy) in enumerate([(-40, 0), (40, 0), (-20, -30), (20, -30)], start=1):
        hand.drag(f"Change width and height: Box {number}", 6, -30)
        hand.drag(f"Move the box: Box {number}", dx, dy)


def two_streets(hand: Teacher) -> None:
    """Two points on one sheet, a house by each and a road to one of them."""
    hand.press("more")
    hand.look()
    hand.page.get_by_text("One more point on this eye level").click()
    hand.add("Add a road")
    for _ in (1, 2):
        hand.add("Add a box")
    hand.pick_last("the view", "view 2")


def small_world(hand: Teacher) -> None:
    """Six towers about one point, their roofs drawn true, windows in one of them."""
    places = [(-60, 40), (40, 50), (60, -40), (-50, -60), (10, 70), (-20, 20)]
    for number, (dx, dy) in enumerate(places, start=1):
        hand.add("Add a box")
        hand.drag(f"Move the box: Box {number}", dx, dy)
    hand.add("Add windows")


def gull_view(hand: Teacher) -> None:
    """A block in three points with two more beyond alleys, a pyramid on one and a gable on another."""
    hand.pick("kind: One point", "Three points")
    hand.add("Add a box")
    joined(hand, 1, "Box 1", "beyond an alley left of")
    hand.add("Add a gable roof")
    joined(hand, 3, "Box 1", "beyond an alley right of")
    hand.add("Add a hip roof")
    hand.pick("what its slopes rise to", "one tip")


def cottage_with_shutters(hand: Teacher) -> None:
    """A house in two points, a gable over its left side, a door there and windows with shutters on the right."""
    long_house(hand)
    hand.add("Add windows")
    hand.pick_last("the face it lies on", "the right side")
    hand.pick_last("how wide each is", "a third")
    hand.pick_last("what is on either side of each", "open shutters")
    hand.add("Add windows")
    hand.pick_last("the face it lies on", "the left side")
    hand.pick_last("how many there are along", "1")
    hand.type("how they lie up the face", "0:7:3")
    hand.add("Add a gable roof")


def boat_shed(hand: Teacher) -> None:
    """A house in two points with a gable, a shed against it whose lean-to runs with the roof."""
    hand.pick("kind: One point", "Two points")
    hand.add("Add a box")
    hand.type("the height", "90")
    hand.add("Add a gable roof")
    joined(hand, 2, "Box 1", "against the right end of")
    hand.type("the height", "50")
    hand.add("Add a lean-to roof")
    hand.pick_last("how steep it is", "runs with the gable roof")


def signpost(hand: Teacher) -> None:
    """A post in two points, and two thin boards, an arrow carved from each."""
    hand.pick("kind: One point", "Two points")
    sizes = [("30", "6", "80"), ("30", "80", "6"), ("150", "9", "9")]
    for tall, left, right in sizes:
        hand.add("Add a box")
        hand.type("the height", tall)
        hand.type("the left side", left)
        hand.type("the right side", right)
    for number, (side, outline) in enumerate([("right", "arrow"), ("left", "arrow to the left")], start=1):
        hand.add("Add a figure")
        desk_rooms.carve(hand, outline, f"Box {number}", side)
