"""A student's hand in rooms: a frame and a back wall, faces that are ticked and divided, stairs along a slope line."""

import re
from collections.abc import Callable

from street_hand import Face, StreetHand, counted, find_columns, first_form, level
from student_hand import CORNER, MM, SENTENCES, Place, back_face, corner_called, depth, front_face

EDGES = {
    "floor": ("bottom left", "bottom right"), "left wall": ("bottom left", "top left"),
    "right wall": ("bottom right", "top right"), "ceiling": ("top left", "top right"),
}  # fmt: skip
"""Between which corners of the frame the edge lies from which each face leads away, from its foot or left end."""
CORNERS = ("bottom left", "bottom right", "top right", "top left")


class RoomHand(StreetHand):
    """The same hand: it knows the corners of the frame and of the back wall."""

    def __init__(self, width: float) -> None:
        super().__init__(width)
        self.plan: list[Place] = []
        """The corners of a plan on the floor: low near, low far, high far, high near."""
        self.ticked_at: list[Place] = []
        self.marked: list[Place] = []
        """The foot of a flight and the marks over it."""
        self.lines: list[tuple[Place, Place]] = []
        self.near: list[Place] = []
        """The near outline of a flight: inner corner, front corner, inner corner ... up to its top."""
        self.slopes: list[tuple[Place, Place]] = []
        self.far_top: Place = (0.0, 0.0)

    def way(self, words: str, at: Place) -> tuple[Place, Place]:
        """Return the line that runs from a place as the words say."""
        return level(at) if words == "level" else (at, self.at["point"])

    @property
    def ahead(self) -> int:
        """The number of the plan's corner to which a flight climbs."""
        return 3 if self.climbs == "level" else 1

    climbs = ""


def frame(hand: RoomHand, left: str, up: str, wide: str, tall: str) -> None:
    front_face(hand, left, up, wide, tall)


def frame_lines(hand: RoomHand, count: str) -> None:
    hand.light = {corner: (hand.at[corner], hand.at["point"]) for corner in CORNERS}
    assert len(hand.light) == int(count)


def back_wall(hand: RoomHand, count: str) -> None:
    behind = {corner: hand.at[f"back {corner}"] for corner in CORNERS}
    back_face(hand, count)
    hand.at |= {f"end {corner}": at for corner, at in behind.items()}


def tick_frame(hand: RoomHand, side: str, places: str, end: str) -> None:
    """Tick an edge of the frame from its left end, or from its foot."""
    (x, y), marks = hand.at["bottom right" if side == "right" else "top left" if side == "top" else "bottom left"], [
        float(mm) for mm in re.findall(MM, places)
    ]  # fmt: skip
    assert (end == "left end") == (side in ("bottom", "top"))
    hand.ticked_at = [(x + mm, y) if end == "left end" else (x, y + mm) for mm in marks]


def run_on_face(hand: RoomHand, face: str, count: str) -> None:
    low, high = EDGES[face]
    like = level if face in ("floor", "ceiling") else hand.upright
    ends = (hand.at[name] for name in (low, high, f"end {low}", f"end {high}"))
    hand.face = Face(*ends, hand.at["point"], like)
    hand.face.ticks = [hand.face.low, *hand.ticked_at, hand.face.high]
    assert len(hand.ticked_at) == int(count)


def plan(hand: RoomHand, crossings: str) -> None:
    face = hand.working()
    hand.plan = [hand.cross(face.columns[c], (face.ticks[r], face.goal)) for c, r in counted(crossings)]
    for a, b in zip(hand.plan, [*hand.plan[1:], hand.plan[0]], strict=True):
        hand.rule(a, b)


def risers(hand: RoomHand, look: str, tall: str, each: str, count: str) -> None:
    x, y = corner_called(look, hand.plan)
    assert abs(float(each) * int(count) - float(tall)) < 1e-6
    hand.marked = [(x, y + float(each) * i) for i in range(int(count) + 1)]


def from_the_marks(hand: RoomHand, ahead: str, count: str) -> None:
    hand.climbs = ahead
    hand.lines = [hand.way(ahead, mark) for mark in hand.marked]
    top = hand.cross(hand.upright(hand.plan[hand.ahead]), hand.lines[-1])
    hand.slopes = [(hand.plan[0], top)]
    assert len(hand.marked) == int(count), "a line from each mark, and the upright at the end"


def slope_line(hand: RoomHand, look: str) -> None:
    hand.near = [corner_called(look, hand.plan)]


def step_by_step(hand: RoomHand, ahead: str, again: str, count: str) -> None:
    assert ahead == again == hand.climbs
    for i in range(1, len(hand.marked)):
        here = hand.near[-1]
        front = hand.marked[1] if i == 1 else hand.cross(hand.upright(here), hand.lines[i])
        inner = hand.cross(hand.lines[i], hand.slopes[0])
        hand.rule(here, front)
        hand.rule(front, inner)
        hand.near += [front, inner]
    foot = hand.plan[hand.ahead]
    hand.rule(hand.plan[0], foot)
    hand.rule(foot, hand.near[-1])
    assert 2 * (len(hand.marked) - 1) <= int(count) <= 2 * len(hand.marked)


def over(hand: RoomHand, across: str) -> None:
    top = hand.near[-1]
    hand.far_top = hand.cross(hand.upright(hand.plan[2]), hand.way(across, top))
    hand.rule(top, hand.far_top)
    hand.slopes.append((hand.plan[4 - hand.ahead], hand.far_top))


def steps_across(hand: RoomHand, across: str, count: str) -> None:
    """Inner corners to the second slope line, front corners until they are over the inner ones; then the other side."""
    inner, fronts = hand.near[::2], hand.near[1::2]
    far = [hand.plan[4 - hand.ahead]]
    far += [hand.cross(hand.way(across, at), hand.slopes[1]) for at in inner[1:-1]]
    far.append(hand.far_top)
    over = [hand.cross(hand.way(across, at), hand.upright(below)) for at, below in zip(fronts, far, strict=False)]
    drawn = [*zip(inner[1:-1], far[1:-1], strict=True), *zip(fronts, over, strict=True)]
    drawn += [*zip(far, over, strict=False), *zip(over, far[1:], strict=True)]
    drawn += [(hand.plan[0], far[0]), (hand.plan[hand.ahead], hand.plan[2]), (far[0], hand.plan[2])]
    drawn.append((hand.plan[2], hand.far_top))
    for a, b in drawn:
        hand.rule(a, b)
    assert 2 * len(fronts) - 1 <= int(count) <= len(drawn)


WAY = r"(to the point|level)"
FRAME_EDGE = r"(?:bottom|top|left|right) edge of the frame"
_OWN: list[tuple[str, Callable[..., None]]] = [
    (
        rf"Mark the lower left corner of the frame, {MM} from the left, {MM} up\. Draw it {MM} wide and {MM} tall, "
        r"square with the paper: through it one looks into [\w ]+\.",
        frame,
    ),
    (r"Rest the ruler on the point and turn it to all four corners of the frame: (\d) guide lines, lightly\.",
     frame_lines),
    (rf"From the ([a-z ]+) corner measure {MM} along its light line and mark it: there the back wall begins\.", depth),
    (r"From the mark draw the back wall: (\d) lines, parallel to the frame, from light line to light line\.",
     back_wall),
    (r"Tick the (bottom|top|left|right) edge of the frame of [\w ]+, ([\d. m,and]+) from its (foot|left end)\.",
     tick_frame),
    (r"Run the ticks along the ([a-z ]+), to the point, lightly: (\d+) lines\.", run_on_face),
    (
        rf"Draw the diagonal of the [a-z ]+ from the (?:foot|left end) of the {FRAME_EDGE}\. Where it crosses the "
        rf"light lines? ([\d, and]+), counted from there, (?:is|are) the places?: draw "
        rf"(?:a light line|light lines) like the {FRAME_EDGE}\.",
        find_columns,
    ),
    (
        rf"Count the light lines along from the {FRAME_EDGE} of [\w ]+ and from its left end, which are 0\. Corners: "
        r"([\d; ]+)\. Mark them and join them, lightly: 4 lines, the plan\.",
        plan,
    ),
    (
        rf"Count the light lines along from the {FRAME_EDGE} of [\w ]+ and from its foot, which are 0\. Corners: "
        r"([\d; ]+)\. Mark them and join them: 4 lines\.",
        first_form,
    ),
    (
        rf"From the {CORNER} corner of the plan draw a light upright, {MM} tall, and mark every {MM} on it: (\d+) "
        r"marks\.",
        risers,
    ),
    (
        rf"Run the top mark {WAY}, lightly, until it is over the end of the plan; draw a light upright there, and run "
        r"the other marks to it: (\d+) lines\.",
        from_the_marks,
    ),
    (rf"Join the {CORNER} corner of the plan with the end of the top line, lightly: the slope line\.", slope_line),
    (
        rf"Go up to the first mark, {WAY} until the slope line, up to the next line, {WAY} until the slope line, and "
        r"so on: (\d+) lines\.",
        step_by_step,
    ),
    (
        rf"Run the top corner {WAY} until it is over the last corner of the plan; join it with the foot of the other "
        r"side, lightly: a second slope line\.",
        over,
    ),
    (
        rf"Carry every inner corner {WAY} to the second slope line, and every front corner until it is over the inner "
        r"one there; draw what is seen of the other side: (\d+) lines\.",
        steps_across,
    ),
]  # fmt: skip
ROOM_SENTENCES = [*_OWN, *(entry for entry in SENTENCES if entry[1] not in (front_face, depth, back_face))]
