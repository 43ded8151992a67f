"""A student's hand on streets: what it needs beside the one that draws blocks and letters."""

import re
from collections.abc import Callable
from dataclasses import dataclass, field

from student_hand import CORNER, MM, SENTENCES, Hand, Place, back_face, corner_called, depth, front_face, nearest_edge

Line = tuple[Place, Place]


@dataclass
class Face:
    """A wall, a slope or a front: its corners, and how lines like its first edge run."""

    low: Place
    high: Place
    far_low: Place
    far_high: Place
    goal: Place
    """The point to which what runs along it goes."""
    like_first: Callable[[Place], Line]
    ticks: list[Place] = field(default_factory=list)
    columns: list[Line] = field(default_factory=list)
    last: tuple[int, int, int, int] = (0, 0, 0, 0)
    """Between which light lines the first form on it lies: along from and to, up from and to."""


class StreetHand(Hand):
    """The same hand: it knows houses by their names, and holds on to the face on which it works."""

    def __init__(self, width: float) -> None:
        super().__init__(width)
        self.now = ""
        self.houses: dict[str, dict[str, Place]] = {}
        self.middles: list[Place] = []
        self.face: Face | None = None
        self.roof: dict[str, Place] = {}
        self.ticked = ""
        """Whose edge was ticked."""
        self.level_line: Line = ((0.0, 0.0), (0.0, 0.0))
        """The line at a foot on which measures are laid off."""
        self.laid: dict[str, list[Place]] = {}
        """The marks on it, by what they are for: heights or widths."""
        self.pivot: Place = (0.0, 0.0)
        self.quad: list[Place] = []
        """Four corners on a slope: low near, low far, high far, high near; then those of a front over them."""

    def begin(self, name: str) -> None:
        """Turn to another house."""
        self.leave()
        self.now = name
        points = ("point", "left", "right", "third")
        self.at = {key: at for key, at in self.at.items() if key in points}

    def leave(self) -> None:
        if self.now:
            self.houses[self.now] = dict(self.at)

    def house(self, name: str) -> dict[str, Place]:
        return self.at if name == self.now else self.houses[name]

    def working(self) -> Face:
        assert self.face is not None
        return self.face


def _along(start: Place, goal: Place, mm: str) -> Place:
    (ax, ay), (bx, by) = start, goal
    share = float(mm) / ((bx - ax) ** 2 + (by - ay) ** 2) ** 0.5
    return (ax + share * (bx - ax), ay + share * (by - ay))


def level(at: Place) -> Line:
    return (at, (at[0] + 1, at[1]))


def road_marks(hand: StreetHand, left: str, right: str) -> None:
    hand.marks = [(float(left), 0.0), (float(right), 0.0)]


def road_sides(hand: StreetHand, count: str) -> None:
    assert len(hand.marks) == int(count)
    for mark in hand.marks:
        hand.rule(mark, hand.at["point"])


def road_middle(hand: StreetHand, across: str) -> None:
    hand.middles = [(float(across), 0.0)]


def first_dash(hand: StreetHand, mm: str) -> None:
    hand.middles.append(_along(hand.middles[0], hand.at["point"], mm))


def next_dashes(hand: StreetHand, count: str) -> None:
    """From the left end of each level line through the middle of the next one: where the right side is met."""
    left, right, goal = *hand.marks, hand.at["point"]
    for i in range(int(count) // 2):
        end = hand.cross(level(hand.middles[i]), (left, goal))
        met = hand.cross((end, hand.middles[i + 1]), (right, goal))
        hand.middles.append(hand.cross(level(met), (hand.middles[0], goal)))


def every_other(hand: StreetHand, count: str) -> None:
    for i in range(int(count)):
        hand.rule(hand.middles[2 * i], hand.middles[2 * i + 1])


def house_front(hand: StreetHand, name: str, *sizes: str) -> None:
    hand.begin(name)
    front_face(hand, *sizes)


def house_beyond(hand: StreetHand, mm: str, other: str, corner: str, name: str, wide: str, tall: str) -> None:
    """The corner that is named stands on the ground line, so far behind the back corner of the other house."""
    behind = hand.house(other)[f"end {corner}"]
    x, y = _along(behind, hand.at["point"], mm)
    hand.begin(name)
    front_face(hand, str(x - float(wide) if "right" in corner else x), str(y), wide, tall)


def house_depth(hand: StreetHand, corner: str, mm: str) -> None:
    depth(hand, corner, mm)
    hand.at |= {f"end {key[5:]}": at for key, at in hand.at.items() if key.startswith("back ")}


def house_back(hand: StreetHand, count: str) -> None:
    back_face(hand, count)


def house_edge(hand: StreetHand, name: str, *sizes: str) -> None:
    hand.begin(name)
    nearest_edge(hand, *sizes)


def edge_beyond(hand: StreetHand, mm: str, other: str, side: str, name: str, tall: str) -> None:
    x, y = _along(hand.house(other)[f"foot {side}"], hand.at[side], mm)
    hand.begin(name)
    nearest_edge(hand, str(x), str(y), tall)


def tick_upright(hand: StreetHand, name: str, places: str) -> None:
    """Tick the nearest edge of a house, or the near upright of what stands on its roof."""
    at = hand.house(name) if name in (hand.now, *hand.houses) else {}
    foot, top = (at["foot"], at["top"]) if "foot" in at else (hand.quad[0], hand.quad[4])
    hand.ticks = [foot, *((foot[0], foot[1] + float(mm)) for mm in re.findall(MM, places)), top]
    hand.ticked = name


def run_along(hand: StreetHand, face: str, side: str, count: str) -> None:
    low, high = hand.ticks[0], hand.ticks[-1]
    assert len(hand.ticks) - 2 == int(count)
    goal, upright = hand.at[side], hand.upright
    if face.endswith("side"):
        at = hand.house(hand.ticked)
        hand.face = Face(low, high, at[f"foot {side}"], at[f"top {side}"], goal, upright)
    elif face == "front":
        hand.face = Face(low, high, hand.quad[1], hand.quad[5], goal, upright)
    else:
        slope = hand.roof["slope point"]
        hand.face = Face(low, high, hand.roof["far"], hand.roof["end"], goal, lambda at: (at, slope))
    hand.working().ticks = hand.ticks


def find_columns(hand: StreetHand, rows: str) -> None:
    _columns_at(hand, (hand.working().low, hand.working().far_high), [int(n) for n in re.findall(r"\d+", rows)])


def find_columns_falling(hand: StreetHand, rows: str) -> None:
    """The highest line crosses a diagonal from the top first."""
    numbers = [int(n) for n in re.findall(r"\d+", rows)]
    _columns_at(hand, (hand.working().ticks[-1], hand.working().far_low), numbers[::-1])


def _columns_at(hand: StreetHand, diagonal: tuple[Place, Place], numbers: list[int]) -> None:
    face = hand.working()
    crossings = [hand.cross(diagonal, (face.ticks[n], face.goal)) for n in numbers]
    face.columns = [face.like_first(at) for at in (face.low, *crossings, face.far_low)]


def _corners(hand: StreetHand, columns: tuple[int, int], rows: tuple[int, int]) -> list[Place]:
    face = hand.working()
    places = [(columns[0], rows[0]), (columns[1], rows[0]), (columns[1], rows[1]), (columns[0], rows[1])]
    return [hand.cross(face.columns[c], (face.ticks[r], face.goal)) for c, r in places]


def counted(crossings: str) -> list[tuple[int, int]]:
    return [(int(a), int(b)) for a, b in (pair.split() for pair in crossings.split(";"))]


def _form(hand: StreetHand, columns: tuple[int, int], rows: tuple[int, int]) -> None:
    corners = _corners(hand, columns, rows)
    for a, b in zip(corners, [*corners[1:], corners[0]], strict=True):
        hand.rule(a, b)


def first_form(hand: StreetHand, crossings: str) -> None:
    places = counted(crossings)
    columns, rows = sorted({c for c, _ in places}), sorted({r for _, r in places})
    hand.working().last = (columns[0], columns[1], rows[0], rows[1])
    _form(hand, (columns[0], columns[1]), (rows[0], rows[1]))


def other_forms(hand: StreetHand, count: str, along: str, up: str) -> None:
    """Draw the others: between which columns and rows the picture's numbers say, two by two."""
    first = hand.working().last
    columns, rows = ([int(n) for n in numbers.split()] for numbers in (along, up))
    pairs = [list(zip(numbers[::2], numbers[1::2], strict=True)) for numbers in (columns, rows)]
    drawn = 0
    for row in pairs[1]:
        for column in pairs[0]:
            if (*column, *row) != first:
                _form(hand, column, row)
                drawn += 4
    assert drawn == int(count)


def wall_middle(hand: StreetHand, side: str, name: str) -> None:
    at = hand.house(name)
    other = "right" if side == "left" else "left"
    hand.roof = {
        "first": at["top"], "other": at[f"top {side}"], "far": at[f"top {other}"], "wall point": hand.at[side],
        "middle": hand.cross((at["foot"], at[f"top {side}"]), (at["top"], at[f"foot {side}"])),
    }  # fmt: skip


def ridge_height(hand: StreetHand, name: str, mm: str, side: str) -> None:
    x, y = hand.house(name)["top"]
    hand.roof["height"] = (x, y + float(mm))
    assert hand.at[side] == hand.roof["wall point"]


def peak(hand: StreetHand) -> None:
    roof = hand.roof
    roof["peak"] = hand.cross(hand.upright(roof["middle"]), (roof["height"], roof["wall point"]))


def gable(hand: StreetHand) -> None:
    for corner in ("first", "other"):
        hand.rule(hand.roof[corner], hand.roof["peak"])


def ridge(hand: StreetHand, side: str) -> None:
    hand.roof["ridge point"] = hand.at[side]


def slope_point(hand: StreetHand, side: str) -> None:
    roof = hand.roof
    roof["slope point"] = hand.cross((roof["first"], roof["peak"]), hand.upright(hand.at[side]))


def ridge_end(hand: StreetHand) -> None:
    roof = hand.roof
    roof["end"] = hand.cross((roof["far"], roof["slope point"]), (roof["peak"], roof["ridge point"]))


def far_slope(hand: StreetHand) -> None:
    hand.rule(hand.roof["peak"], hand.roof["end"])
    hand.rule(hand.roof["far"], hand.roof["end"])


def level_at_foot(hand: StreetHand, name: str, side: str, long: str) -> None:
    """Draw the level line at the foot of a wall or a slope: from its start to its end."""
    slope = hand.roof.get("slope point", (0.0, 0.0))
    if name == "Roof":
        low = hand.roof["first"]
        corners = low, hand.roof["peak"], hand.roof["far"], hand.roof["end"]
        hand.face = Face(*corners, hand.roof["ridge point"], lambda at: (at, slope))
    low = hand.working().low
    hand.level_line = (low, (low[0] + (1 if side == "right" else -1) * float(long), low[1]))
    hand.laid = {}


def lay_off(hand: StreetHand, what: str, places: str) -> None:
    (x, y), (end, _) = hand.level_line
    way = 1 if end > x else -1
    hand.laid[what] = [(x + way * float(mm), y) for mm in re.findall(MM, places)]


def heights_on_line(hand: StreetHand, places: str) -> None:
    lay_off(hand, "heights", places)


def widths_on_line(hand: StreetHand, places: str) -> None:
    lay_off(hand, "widths", places)


def places_on_line(hand: StreetHand, places: str) -> None:
    for what in ("heights", "widths"):
        lay_off(hand, what, places)


def carrying_point(hand: StreetHand, face: str) -> None:
    hand.pivot = hand.cross((hand.level_line[1], hand.working().far_low), level(hand.working().goal))


def on_lower_line(hand: StreetHand, what: str) -> list[Place]:
    """Return where the ruler, turned about the point to each mark, crosses the lower line of the face."""
    face = hand.working()
    return [hand.cross((mark, hand.pivot), (face.low, face.far_low)) for mark in hand.laid[what]]


def tick_lower_line(hand: StreetHand, face: str) -> None:
    hand.ticks = on_lower_line(hand, "heights")


def turn_up(hand: StreetHand, face: str) -> None:
    """Mark the diagonal over each tick."""
    slope = hand.working()
    diagonal = (slope.low, slope.far_high)
    hand.ticks = [hand.cross(slope.like_first(tick), diagonal) for tick in hand.ticks]


def rows_through_diagonal(hand: StreetHand, name: str, count: str) -> None:
    slope = hand.working()
    assert len(hand.ticks) == int(count)
    first = (slope.low, slope.high)
    slope.ticks = [slope.low, *(hand.cross((mark, slope.goal), first) for mark in hand.ticks), slope.high]


def columns_from_line(hand: StreetHand, face: str, count: str) -> None:
    slope, feet = hand.working(), on_lower_line(hand, "widths")
    assert len(feet) == int(count)
    slope.columns = [slope.like_first(at) for at in (slope.low, *feet, slope.far_low)]


def columns_from_ticks(hand: StreetHand, count: str) -> None:
    columns_from_line(hand, "", count)


def place_on_slope(hand: StreetHand, crossings: str, what: str) -> None:
    """Mark four corners on the slope; their sides are light, those that are seen are edges."""
    hand.quad = [
        hand.cross(hand.working().columns[c], (hand.working().ticks[r], hand.working().goal))
        for c, r in counted(crossings)
    ]
    for a, b in zip(hand.quad, [*hand.quad[1:], hand.quad[0]], strict=True):
        hand.rule(a, b)


def dormer_front(hand: StreetHand, wall: str, along: str) -> None:
    low, far_low, far_high, high = hand.quad
    tops = [
        hand.cross(hand.upright(foot), (upper, hand.at[wall]))
        for foot, upper in ((low, high), (far_low, far_high))
    ]  # fmt: skip
    assert abs(hand.cross((tops[0], hand.at[along]), hand.upright(far_low))[1] - tops[1][1]) < 1e-6
    hand.quad += [tops[0], tops[1]]
    for a, b in ((low, tops[0]), (far_low, tops[1]), (high, tops[0]), (far_high, tops[1])):
        hand.rule(a, b)


def dormer_tip(hand: StreetHand, mm: str, along: str) -> None:
    low, far_low, _, _, top, far_top = hand.quad
    middle = hand.cross((low, far_top), (far_low, top))
    tip = hand.cross(hand.upright(middle), ((top[0], top[1] + float(mm)), hand.at[along]))
    hand.quad.append(tip)
    hand.rule(top, tip)
    hand.rule(far_top, tip)


def dormer_ridge(hand: StreetHand, wall: str) -> None:
    low, far_low, far_high, high, _, _, tip = hand.quad
    foot = hand.cross(hand.upright(tip), (low, far_low))
    end = hand.cross((foot, hand.roof["slope point"]), (tip, hand.at[wall]))
    for a, b in ((tip, end), (high, end), (far_high, end)):
        hand.rule(a, b)


def chimney_upright(hand: StreetHand, look: str, mm: str) -> None:
    assert corner_called(look, hand.quad) == hand.quad[0], "the sides go out from where the first upright stands"
    x, y = hand.quad[0]
    hand.quad.append((x, y + float(mm)))
    hand.rule(hand.quad[0], hand.quad[4])


def chimney_sides(hand: StreetHand, along: str, wall: str) -> None:
    for foot, side in ((hand.quad[1], along), (hand.quad[3], wall)):
        top = hand.cross(hand.upright(foot), (hand.quad[4], hand.at[side]))
        hand.rule(hand.quad[4], top)
        hand.rule(foot, top)


NAME = r"([A-Z][\w ]+)"
SIDE = r"(left|right)"
FIRST_EDGE = r"(?:nearest edge|near upright|sloping edge of the gable)"
_OWN: list[tuple[str, Callable[..., None]]] = [
    (rf"Mark {MM} and {MM} from the left on the lower edge of the sheet: there [\w ]+ begins\.", road_marks),
    (r"Rest the ruler on the point, turn it to each mark and draw: (\d) lines\.", road_sides),
    (rf"Mark the middle, {MM} from the left on the lower edge, and run it to the point, lightly\.", road_middle),
    (
        rf"Mark {MM} on the middle line from its foot, and draw a light level line through the mark from side to "
        r"side\.",
        first_dash,
    ),
    (
        r"From the left end of a level line, the left mark to begin with, rule through the middle of the next one to "
        r"the right side, and draw a level line there\. Go on so: (\d+) lines, lightly\.",
        next_dashes,
    ),
    (r"Draw every other step of the middle line, beginning at the foot: (\d) lines\.", every_other),
    (
        rf"Mark the lower left corner of {NAME}, {MM} from the left, {MM} up\. Draw its front, {MM} wide and {MM} "
        r"tall, square with the paper\.",
        house_front,
    ),
    (
        rf"Mark {MM} on the ground line of {NAME}, from its back corner toward the point: there stands the "
        rf"(bottom \w+) corner of {NAME}\. Draw its front, {MM} wide and {MM} tall, square with the paper\.",
        house_beyond,
    ),
    (rf"From the ([a-z ]+) corner measure {MM} along its guide line and mark it\.", house_depth),
    (
        r"From the mark draw (\d) lines? of the back, parallel to the front edges, from guide line to guide line\.",
        house_back,
    ),
    (
        rf"Mark the foot of the nearest edge of {NAME}, {MM} from the left, {MM} up\. Draw it upright, {MM} tall\.",
        house_edge,
    ),
    (
        rf"Mark {MM} on the ground line of {NAME}, from its end toward the {SIDE} point, and draw the nearest edge of "
        rf"{NAME} there, upright, {MM} tall\.",
        edge_beyond,
    ),
    (rf"Tick the (?:nearest edge|near upright) of {NAME}, ([\d. m,and]+) from its foot\.", tick_upright),
    (rf"Run the ticks along the ([a-z ]+), to the {SIDE} point, lightly: (\d+) lines\.", run_along),
    (
        rf"Draw the diagonal of the [a-z ]+ from the foot of the {FIRST_EDGE}\. Where it crosses the light lines? "
        rf"([\d, and]+), counted from there, (?:is|are) the places?: draw (?:a light line|light lines) like "
        rf"the {FIRST_EDGE}\.",
        find_columns,
    ),
    (
        rf"Draw the diagonal of the [a-z ]+ from the top of the {FIRST_EDGE}\. Where it crosses the light lines? "
        rf"([\d, and]+), counted from the foot, (?:is|are) the places?: draw (?:a light line|light lines) like "
        rf"the {FIRST_EDGE}\.",
        find_columns_falling,
    ),
    (
        rf"Count the light lines along from the {FIRST_EDGE} of [\w ]+ and from its foot, which are 0\. Corners: "
        r"([\d; ]+)\. Mark them and join them: 4 lines\.",
        first_form,
    ),
    (
        r"Draw the others likewise: (\d+) lines\. They lie between the light lines ([\d ]+) along, ([\d ]+) up\.",
        other_forms,
    ),
    (rf"Cross the diagonals of the {SIDE} side of {NAME}, lightly: that is its middle\.", wall_middle),
    (
        rf"Carry the nearest edge of {NAME} on over its top and mark {MM} there\. From the mark draw a light line to "
        rf"the {SIDE} point\.",
        ridge_height,
    ),
    (r"Go upright from the middle of the wall to the carried line: that is the peak\.", peak),
    (r"Join the upper corners of the wall with the peak: two lines\.", gable),
    (rf"From the peak run the ridge to the {SIDE} point, lightly\.", ridge),
    (
        r"Carry the slope that goes up on, over the paper's edge if need be, until it meets the upright through the "
        rf"{SIDE} point\. Mark it: the upper slope point of Roof\.",
        slope_point,
    ),
    (
        r"From the far end of the roof's lower edge draw a light line to the upper slope point of Roof: where it "
        r"crosses the ridge, the ridge ends\.",
        ridge_end,
    ),
    (r"Draw the ridge to its end, and the far slope: 2 lines\.", far_slope),
    (
        rf"Draw a light level line from the foot of the {FIRST_EDGE} of {NAME} to the (left|right), {MM} long\.",
        level_at_foot,
    ),
    (r"Mark the heights of [\w ]+ on the level line: ([\d. m,and]+) from the foot\.", heights_on_line),
    (r"Mark the widths of [\w ]+ on the level line: ([\d. m,and]+) from the foot\.", widths_on_line),
    (r"Mark the places for [\w ]+ on the level line: ([\d. m,and]+) from the foot\.", places_on_line),
    (
        r"Rule lightly from the end of the level line through the far lower corner of the ([a-z ]+), to the eye "
        r"level\. Mark that point: it carries the marks over\.",
        carrying_point,
    ),
    (
        r"Turn the ruler about that point to each mark(?: of a height)?\. Tick the lower line of the ([a-z ]+) where "
        r"it crosses it\.",
        tick_lower_line,
    ),
    (
        r"Draw the diagonal of the ([a-z ]+) lightly, from the foot to the far upper corner\. Mark where lines like "
        rf"the {FIRST_EDGE}, from each tick, cross it\.",
        turn_up,
    ),
    (
        rf"Through each mark on the diagonal draw a light line, from the {FIRST_EDGE} of {NAME} to the (?:left|right) "
        r"point: (\d+) lines\.",
        rows_through_diagonal,
    ),
    (
        r"Turn the ruler about that point to each mark of a width\. Where it crosses the lower line of the ([a-z ]+), "
        rf"draw a light line like the {FIRST_EDGE}, to the upper one: (\d+) lines\.",
        columns_from_line,
    ),
    (
        rf"From each tick on the lower line draw a light line like the {FIRST_EDGE}, to the upper one: (\d+) lines\.",
        columns_from_ticks,
    ),
    (
        rf"Count the light lines along from the {FIRST_EDGE} of Roof and from its foot, which are 0\. Corners: "
        r"([\d; ]+)\. Mark them and join them, lightly: 4 lines, the (place of the dormer|foot of the chimney)\.",
        place_on_slope,
    ),
    (
        rf"From the upper corners of the rectangle come forward on lines that run to the {SIDE} point, until they "
        rf"stand over the lower corners; draw the uprights there and join them to the {SIDE} point: 5 lines\.",
        dormer_front,
    ),
    (
        rf"Cross the diagonals of the front, lightly\. Mark {MM} over its first upright and carry the height to the "
        rf"{SIDE} point, until it stands over the middle: the tip\. Join it with both upper corners of the front\.",
        dormer_tip,
    ),
    (
        r"Under the tip mark the middle of the front's foot\. From there go lightly up the roof, to the upper slope "
        rf"point of Roof; the ridge runs to the {SIDE} point from the tip until it meets that line\. Join its end "
        r"with the upper corners\.",
        dormer_ridge,
    ),
    (rf"From the {CORNER} corner of the foot draw its upright, {MM} tall\.", chimney_upright),
    (
        rf"From its top draw a line to the {SIDE} point and one to the {SIDE} point, until they stand over the next "
        r"corners of the foot; draw the uprights there: 4 lines\.",
        chimney_sides,
    ),
]
_REPLACED = (front_face, depth, back_face, nearest_edge)
STREET_SENTENCES = [*_OWN, *(entry for entry in SENTENCES if entry[1] not in _REPLACED)]
