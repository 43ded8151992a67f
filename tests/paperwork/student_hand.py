"""A student's hand that does what printed sentences say: a ruler and a set square that know nothing else."""

import math
import re
from collections.abc import Callable
from dataclasses import dataclass, field
from itertools import pairwise

from shapely import LineString, Polygon, box, unary_union
from shapely import Point as ShapelyPoint
from shapely.ops import polygonize

Place = tuple[float, float]
HAIR_MM = 0.3
"""What is printed as near to the edge of a block lies on it: less than the width of a pencil line (no source)."""


@dataclass
class Letter:
    """A letter that is cut out of its block: across and up in what its corners are measured or counted in."""

    on_page: Callable[[Place], Place]
    paths: list[list[Place]] = field(default_factory=list)
    cut_away: list[str] = field(default_factory=list)
    """At which sides pieces were cut away."""
    is_mirrored: bool = False
    """Whether it is counted from right to left."""
    size: Place = (0.0, 0.0)
    """Of a block that is measured."""

    def on_rim(self, place: Place) -> Place:
        """Return a measured place, on the block's own side where it is printed a hair beside that."""
        x, y = (b if b and abs(a - b) < HAIR_MM else a for a, b in zip(place, self.size, strict=True))
        return (x, y)

    def loops(self) -> list[list[Place]]:
        """Return the outlines of what is left of the block, and of its holes, with the corners where they are."""
        measured = [(0.0, 0.0), self.size] if self.size != (0.0, 0.0) else []
        across, up = zip(*measured, *(place for path in self.paths for place in path), strict=True)
        block = box(min(across), min(up), max(across), max(up))
        sides = {
            "left": LineString([(min(across), min(up)), (min(across), max(up))]),
            "right": LineString([(max(across), min(up)), (max(across), max(up))]),
            "bottom": LineString([(min(across), min(up)), (max(across), min(up))]),
            "top": LineString([(min(across), max(up)), (max(across), max(up))]),
        }
        if self.is_mirrored:
            sides |= {"left": sides["right"], "right": sides["left"]}
        drawn = unary_union([LineString(path) for path in self.paths])
        bare = unary_union([sides[side].difference(drawn) for side in self.cut_away] or [LineString()])
        holes = [Polygon(path) for path in self.paths if path[0] == path[-1] and len(path) > 2]
        parts = [
            part
            for part in polygonize(unary_union([block.boundary, drawn]))
            if part.boundary.intersection(bare).length < 0.01 and not any(part.equals(hole) for hole in holes)
        ]
        left = unary_union(parts).normalize()
        rings = [left.exterior, *left.interiors]
        return [_corners_of(list(ring.coords)[:-1]) for ring in rings]


def _corners_of(ring: list[Place]) -> list[Place]:
    """Return a ring without the places at which it does not turn."""
    turned = zip((ring[-1], *ring[:-1]), ring, (*ring[1:], ring[0]), strict=True)
    return [b for a, b, c in turned if abs((b[0] - a[0]) * (c[1] - b[1]) - (b[1] - a[1]) * (c[0] - b[0])) > 1e-6]


class Hand:
    """A sheet, a ruler and a set square: what a student has."""

    def __init__(self, width: float) -> None:
        self.width = width
        self.level = 0.0
        self.at: dict[str, Place] = {}
        self.light: dict[str, tuple[Place, Place]] = {}
        self.drawn: list[tuple[Place, Place]] = []
        self.letters: dict[str, list[list[Place]]] = {}
        self.cut: dict[str, Letter] = {}
        self.scanned: list[str] = []
        self.scans = 0
        self.share = 0.0
        self.marks: list[Place] = []
        self.planes: list[tuple[Place, Place]] = []
        """Where letters that step back stand: the foot and the top of the upright at each place."""
        self.corner: Place = (0.0, 0.0)
        """The lower left of the place of the next letter."""
        self.ticks: list[Place] = []
        self.columns: list[tuple[Place, Place]] = []
        self.rows: dict[Place, Place] = {}
        """For a corner on a side the tick of its height on the nearest edge."""
        self.leaning: list[tuple[Place, Place]] = []
        """Light lines that lean over a side."""
        self.between: dict[Place, Place] = {}
        """Where on the page a corner lies that is on such a line, by what it would be counted as."""

    def rule(self, a: Place, b: Place) -> None:
        """Draw an edge."""
        self.drawn.append((a, b))

    def cross(self, a: tuple[Place, Place], b: tuple[Place, Place]) -> Place:
        """Return where two lines cross, carried on as far as needed."""
        (ax, ay), (bx, by) = a
        (cx, cy), (dx, dy) = b
        across = (bx - ax) * (dy - cy) - (by - ay) * (dx - cx)
        t = ((cx - ax) * (dy - cy) - (cy - ay) * (dx - cx)) / across
        return (ax + t * (bx - ax), ay + t * (by - ay))

    def upright(self, at: Place) -> tuple[Place, Place]:
        """Return the line of an end: aimed at the third point if there is one, else square to the paper."""
        return (at, self.at["third"]) if "third" in self.at else (at, (at[0], at[1] + 1))


def eye_level(hand: Hand, up: str) -> None:
    hand.level = float(up)


def one_point(hand: Hand, across: str) -> None:
    hand.at["point"] = (float(across), hand.level)


def strips(hand: Hand, left: str, right: str) -> None:
    hand.at |= {"left": (-float(left), hand.level), "right": (hand.width + float(right), hand.level)}


def third_above(hand: Hand, side: str, left: str, beyond: str) -> None:
    hand.at["third"] = (float(left), 420 + float(beyond) if side == "above" else -float(beyond))


def front_face(hand: Hand, left: str, up: str, wide: str, tall: str) -> None:
    x, y, w, h = map(float, (left, up, wide, tall))
    names = ("bottom left", "bottom right", "top right", "top left")
    hand.at |= dict(zip(names, ((x, y), (x + w, y), (x + w, y + h), (x, y + h)), strict=True))
    for a, b in zip(names, (*names[1:], names[0]), strict=True):
        hand.rule(hand.at[a], hand.at[b])


def to_corners(hand: Hand, corners: str) -> None:
    hand.light = {c.strip(): (hand.at[c.strip()], hand.at["point"]) for c in re.split(r",| and ", corners)}


def depth(hand: Hand, corner: str, length: str | None) -> None:
    (ax, ay), (bx, by) = hand.light[corner]
    share = 0.5 if length is None else float(length) / ((bx - ax) ** 2 + (by - ay) ** 2) ** 0.5
    back = {corner: (ax + share * (bx - ax), ay + share * (by - ay))}
    for _ in range(3):
        for known, (x, y) in list(back.items()):
            for other, line in hand.light.items():
                same = set(known.split()) & set(other.split())
                if other not in back and len(same) == 1:
                    runs = ((x, y), (x + 1, y)) if same & {"top", "bottom"} else ((x, y), (x, y + 1))
                    back[other] = hand.cross(runs, line)
    hand.at |= {f"back {name}": place for name, place in back.items()}


def by_eye(hand: Hand, corner: str) -> None:
    depth(hand, corner, None)


def back_face(hand: Hand, count: str) -> None:
    names = [name for name in hand.at if name.startswith("back ")]
    pairs = [(a, b) for i, a in enumerate(names) for b in names[:i] if len(set(a.split()) & set(b.split())) == 2]
    assert len(pairs) == int(count)
    for a, b in pairs:
        hand.rule(hand.at[a], hand.at[b])
    for name in names:
        hand.rule(hand.at[name.removeprefix("back ")], hand.at.pop(name))


def nearest_edge(hand: Hand, left: str, up: str, tall: str) -> None:
    x, y = float(left), float(up)
    hand.at |= {"foot": (x, y), "top": (x, y + float(tall))}
    hand.rule(hand.at["foot"], hand.at["top"])


def aimed_edge(hand: Hand, left: str, up: str, length: str) -> None:
    x, y = float(left), float(up)
    tx, ty = hand.at["third"]
    share = float(length) / ((tx - x) ** 2 + (ty - y) ** 2) ** 0.5
    end = (x + share * (tx - x), y + share * (ty - y))
    hand.at |= {"top": (x, y), "foot": end} if ty < y else {"foot": (x, y), "top": end}
    hand.rule((x, y), end)


def to_both_points(hand: Hand, count: str) -> None:
    hand.light = {
        f"{end} {side}": (hand.at[end], hand.at[side]) for end in ("foot", "top") for side in ("left", "right")
    }
    assert len(hand.light) == int(count)


def _end(hand: Hand, side: str, end: str, at: Place) -> None:
    other = "foot" if end == "top" else "top"
    hand.at[f"{end} {side}"] = at
    hand.at[f"{other} {side}"] = hand.cross(hand.upright(at), hand.light[f"{other} {side}"])
    hand.rule(hand.at[f"{end} {side}"], hand.at[f"{other} {side}"])
    for name in (end, other):
        hand.rule(hand.at[name], hand.at[f"{name} {side}"])


def side_level(hand: Hand, side: str, length: str, way: str) -> None:
    assert side == way
    x = hand.at["foot"][0] + (float(length) if way == "right" else -float(length))
    _end(hand, side, "foot", hand.cross(hand.light[f"foot {side}"], ((x, 0.0), (x, 1.0))))


def side_along(hand: Hand, length: str, end: str, side: str, again: str) -> None:
    assert side == again
    (ax, ay), (bx, by) = hand.light[f"{end} {side}"]
    share = float(length) / ((bx - ax) ** 2 + (by - ay) ** 2) ** 0.5
    _end(hand, side, end, (ax + share * (bx - ax), ay + share * (by - ay)))


def cross_over(hand: Hand, end: str, again: str) -> None:
    assert end == again
    left, right = hand.at[f"{end} left"], hand.at[f"{end} right"]
    hand.at["back corner"] = hand.cross((left, hand.at["right"]), (right, hand.at["left"]))
    hand.at |= {"end left": left, "end right": right}


def to_the_crossing(hand: Hand, count: str) -> None:
    assert int(count) == 2
    for end in ("end left", "end right"):
        hand.rule(hand.at[end], hand.at["back corner"])


CORNER = r"(nearest|near left|near right|lower left|lower right)"


def corner_called(look: str, corners: list[Place]) -> Place:
    """Return which of the four corners of something under the eye level a pupil takes by its name."""
    if look == "nearest":
        return min(corners, key=lambda at: at[1])
    how, side = look.split()
    is_right = side == "right"
    if how == "near":
        low = sorted(corners, key=lambda at: at[1])[:2]
        return sorted(low)[is_right]
    beside = sorted(corners)[2:] if is_right else sorted(corners)[:2]
    return min(beside, key=lambda at: at[1])


def _loops(corners: str) -> list[list[Place]]:
    """Return the places that a list of corners says, across and up, loop by loop."""
    loops = corners.replace(" and ", " ").replace(" mm", "").replace(", then ", "; ").split("; apart from them ")
    return [[(float(pair.split()[0]), float(pair.split()[1])) for pair in loop.split(";")] for loop in loops]


def letter_block(hand: Hand, letter: str, left: str, up: str, wide: str, tall: str) -> None:
    """Draw a block lightly: what is cut out of it later is not of the letter."""
    x, y, w, h = map(float, (left, up, wide, tall))
    hand.cut[letter] = Letter(lambda place: (x + place[0], y + place[1]), size=(w, h))


def block_in_place(hand: Hand, letter: str) -> None:
    """Draw the block of a letter behind: from its first line to its second one, as tall as the upright there."""
    number = len(hand.cut) - 1
    foot, head = hand.planes[number]
    level = (hand.corner, (hand.corner[0] + 1, hand.corner[1]))
    end = hand.cross(level, (hand.marks[2 * number + 1], hand.at["point"]))
    wide, tall = end[0] - hand.corner[0], head[1] - foot[1]
    letter_block(hand, letter, str(hand.corner[0]), str(hand.corner[1]), str(wide), str(tall))


def cut_out(hand: Hand, sides: str, letter: str, corners: str, count: str) -> None:
    """Join the corners of a cut; as many lines as corners go all round."""
    loops = _loops(_counted_on_leaning(hand, corners))
    drawn = sum(map(len, loops))
    is_closed = drawn == int(count)
    assert is_closed or drawn - len(loops) == int(count)
    loops = [[hand.cut[letter].on_rim(place) for place in loop] for loop in loops]
    hand.cut[letter].paths += [[*loop, loop[0]] if is_closed else loop for loop in loops]
    where = re.search(r"at the (?:(lower|upper) )?(left|right|bottom|top)", sides)
    if where is not None:
        up = {None: [], "lower": ["bottom"], "upper": ["top"]}[where[1]]
        hand.cut[letter].cut_away += [*up, where[2]]


def cut_on_side(hand: Hand, sides: str, letter: str, crossings: str, count: str) -> None:
    _letter_on_side(hand, letter)
    cut_out(hand, sides, letter, crossings, count)


def edges_on_block(hand: Hand, letter: str, crossings: str, count: str) -> None:
    _letter_on_side(hand, letter)
    cut_out(hand, "", letter, crossings, count)


def _letter_on_side(hand: Hand, letter: str) -> None:
    """Find the corners of a letter where two light lines cross, counted along and up."""

    def on_page(place: Place) -> Place:
        at = _on_side(hand, place)
        hand.rows[at] = hand.cross((at, hand.at["left"]), hand.columns[0])
        return at

    hand.cut.setdefault(letter, Letter(on_page, is_mirrored=True))


def _on_side(hand: Hand, place: Place) -> Place:
    """Return where a corner lies by the numbers of its light lines, or on a line that leans."""
    known = next((at for other, at in hand.between.items() if math.dist(place, other) < 1e-6), None)
    row = (hand.ticks[round(place[1])], hand.at["left"])
    return known or hand.cross(hand.columns[round(place[0])], row)


def lean(hand: Hand, joins: str) -> None:
    """Rule the lines that lean, each from the crossing of two light lines to that of two others."""
    ends = [tuple(map(float, place.split())) for place in re.split(r" to |, | and ", joins)]
    places = [_on_side(hand, (along, up)) for along, up in ends]
    hand.leaning = list(zip(places[::2], places[1::2], strict=True))


def _counted_on_leaning(hand: Hand, corners: str) -> str:
    """Return corners with what those would be counted as that lie on lines that lean: between the light lines.

    Of the places where such lines cross a light line, or each other, the picture shows which is meant.
    """

    def counted(found: re.Match[str]) -> str:
        shown = (float(found["x"]), float(found["y"]))
        lines = [hand.columns[int(found["along"])]] if found["along"] else []
        lines += [(hand.ticks[int(found["up"])], hand.at["left"])] if found["up"] else []
        crossed = [hand.cross(a, b) for a in hand.leaning for b in lines or hand.leaning if a != b]
        at = min(crossed, key=lambda place: math.dist(place, shown))
        feet = [hand.cross(column, (at, hand.at["left"])) for column in hand.columns]
        heads = [hand.cross(hand.upright(at), (tick, hand.at["left"])) for tick in hand.ticks]
        place = (_between(at[0], [x for x, _ in feet]), _between(at[1], [y for _, y in heads]))
        hand.between[place] = at
        return " ".join(map(repr, place))

    return re.sub(r"(?P<along>\d*)@(?P<x>[\d.]+)/(?P<y>[\d.]+)@(?P<up>\d*)", counted, corners)


def _between(at: float, places: list[float]) -> float:
    """Return the number of a place among others that are in order, between two of them as near as it lies."""
    for i, (low, high) in enumerate(pairwise(places)):
        if min(low, high) <= at <= max(low, high):
            return i + (at - low) / (high - low)
    raise AssertionError("outside all light lines")


def finish_letters(hand: Hand) -> None:
    """Take what is left of each block as its letter."""
    for name, letter in hand.cut.items():
        if name not in hand.letters:
            hand.letters[name] = [[letter.on_page(place) for place in loop] for loop in letter.loops()]
            for loop in hand.letters[name]:
                for a, b in zip(loop, [*loop[1:], loop[0]], strict=True):
                    hand.rule(a, b)


def scan_corners(hand: Hand, count: str) -> None:
    """Scan the next letter: a corner gets a line if the line does not begin across the letter or along its edge."""
    finish_letters(hand)
    letter = list(hand.letters)[hand.scans]
    hand.scans += 1
    outer, *others = hand.letters[letter]
    shape = Polygon(outer, [loop for loop in others if Polygon(outer).contains(Polygon(loop))])
    shape = shape.union(unary_union([Polygon(loop) for loop in others if not Polygon(outer).contains(Polygon(loop))]))
    goal = hand.at["point"]
    free = []
    for corner in (place for loop in hand.letters[letter] for place in loop):
        reach = ((goal[0] - corner[0]) ** 2 + (goal[1] - corner[1]) ** 2) ** 0.5
        ahead = (corner[0] + 0.5 * (goal[0] - corner[0]) / reach, corner[1] + 0.5 * (goal[1] - corner[1]) / reach)
        if not shape.buffer(0.001).contains(ShapelyPoint(ahead)):
            free.append(corner)
    hand.scanned.append(letter)
    assert len(free) == int(count), f"{letter}: {free}"


def letter_depth(hand: Hand, letter: str, across: str, up: str, length: str) -> None:
    first = _first_of(hand, letter)
    x, y = first[0] + float(across), first[1] + float(up)
    px, py = hand.at["point"]
    hand.share = float(length) / ((px - x) ** 2 + (py - y) ** 2) ** 0.5


def _first_of(hand: Hand, letter: str) -> Place:
    places = [place for loop in hand.letters[letter] for place in loop]
    return (min(x for x, _ in places), min(y for _, y in places))


def letter_back(hand: Hand, count: str) -> None:
    if "left" in hand.at:
        return back_on_side(hand, count)
    return back_of_front(hand)


def back_of_front(hand: Hand) -> None:
    """Go round the back of the next letter: lines like the front ones, from one guide line to the next."""
    if not hand.scanned:
        return  # a back that is told in two steps was drawn whole with the first
    letter = hand.scanned.pop(0)
    px, py = hand.at["point"]
    for loop in hand.letters[letter]:
        back = [(x + hand.share * (px - x), y + hand.share * (py - y)) for x, y in loop]
        for (a, b), front in zip(zip(back, [*back[1:], back[0]], strict=True), loop, strict=True):
            hand.rule(a, b)
            hand.rule(front, a)


def letter_marks(hand: Hand, marks: str, word: str) -> None:
    """Mark, level with the foot of the first letter, from where to where the others stand."""
    x, y = _first_of(hand, next(iter(hand.letters)))
    hand.marks = [(x + float(mm), y) for mm in re.findall(MM, marks)]


def run_marks(hand: Hand, count: str) -> None:
    assert len(hand.marks) == int(count)


def letter_lines(hand: Hand, count: str) -> None:
    assert int(count) == 3


def letter_planes(hand: Hand, first: str) -> None:
    """The places of the letters behind: the first is measured, the others repeated through the middles."""
    letter = [place for loop in hand.letters[next(iter(hand.letters))] for place in loop]
    (x, y), top, goal = _first_of(hand, next(iter(hand.letters))), max(y for _, y in letter), hand.at["point"]
    share = float(first) / ((goal[0] - x) ** 2 + (goal[1] - y) ** 2) ** 0.5
    foot, before = (x + share * (goal[0] - x), y + share * (goal[1] - y)), (x, top)
    for _ in hand.marks[::2]:
        head = hand.cross(hand.upright(foot), ((x, top), goal))
        hand.planes.append((foot, head))
        middle = hand.cross((foot, head), ((x, (y + top) / 2), goal))
        foot, before = hand.cross((before, middle), ((x, y), goal)), head


def letter_place(hand: Hand, letter: str) -> None:
    foot, _ = hand.planes[len(hand.letters) - 1]
    level = (foot, (foot[0] + 1, foot[1]))
    hand.corner = hand.cross(level, (hand.marks[2 * len(hand.letters) - 2], hand.at["point"]))


def ticks(hand: Hand, places: str) -> None:
    foot, top = hand.at["foot"], hand.at["top"]
    measured = [float(mm) for mm in re.findall(MM, places)]
    hand.ticks = [foot, *((foot[0], foot[1] + mm) for mm in measured), top]


def run_ticks(hand: Hand, count: str) -> None:
    assert len(hand.ticks) - 2 == int(count)


def level_line(hand: Hand, side: str, long: str) -> None:
    """Draw a line on which widths are laid off: its last end, and which way its marks go."""
    foot, way = hand.at["foot"], 1 if side == "right" else -1
    hand.marks, hand.corner = [], (foot[0] + way * float(long), foot[1])


def widths(hand: Hand, letter: str, places: str) -> None:
    foot = hand.at["foot"]
    way = 1 if hand.corner[0] > foot[0] else -1
    hand.marks += [(foot[0] + way * float(mm), foot[1]) for mm in re.findall(MM, places)]


def carrying_point(hand: Hand) -> None:
    level = ((0.0, hand.level), (1.0, hand.level))
    hand.at["carrying"] = hand.cross((hand.corner, hand.at["foot left"]), level)


def carry_widths(hand: Hand, count: str) -> None:
    assert len(hand.marks) == int(count)
    lower, pivot = (hand.at["foot"], hand.at["foot left"]), hand.at["carrying"]
    feet = sorted((hand.cross((mark, pivot), lower) for mark in hand.marks), reverse=True)
    hand.columns = [hand.upright(at) for at in (hand.at["foot"], *feet, hand.at["foot left"])]


def scan_from_other_point(hand: Hand, count: str) -> None:
    finish_letters(hand)
    letter = list(hand.letters)[len(hand.scanned)]
    hand.scanned.append(letter)
    assert int(count) >= 1


def nothing_yet(hand: Hand, count: str = "") -> None:
    """What the back is found with; it is drawn in the steps after this."""


def back_on_side(hand: Hand, count: str) -> None:
    """Each back corner: its height carried round the nearest edge to the block's end, from there to the left point."""
    end = hand.upright(hand.at["foot right"])
    for letter in hand.letters:
        for loop in hand.letters[letter]:
            back = []
            for corner in loop:
                at_end = hand.cross((hand.rows[corner], hand.at["right"]), end)
                back.append(hand.cross((at_end, hand.at["left"]), (corner, hand.at["right"])))
            for (a, b), front in zip(zip(back, [*back[1:], back[0]], strict=True), loop, strict=True):
                hand.rule(a, b)
                hand.rule(front, a)


def nothing(hand: Hand) -> None:
    """Rubbing out, darkening and toning add no line."""


MM = r"([\d.]+) mm"
SENTENCES: list[tuple[str, Callable[..., None]]] = [
    (rf"Mark {MM} up on the left and on the right edge\. Join the marks with a light line: the eye level\.", eye_level),
    (rf"Mark the point on the eye level, {MM} from the left edge\.", one_point),
    (
        "Tape strips to the sheet, carry the eye level on over them, and mark the left point "
        rf"{MM} beyond the left edge and the right point {MM} beyond the right edge\.",
        strips,
    ),
    (
        r"Tape a strip on (above|below) the sheet and mark the third point on it, "
        rf"{MM} from the left and {MM} beyond the edge\.",
        third_above,
    ),
    (
        rf"Mark the lower left corner of [\w ]+, {MM} from the left, {MM} up\. Draw its front, {MM} wide and {MM} "
        r"tall, square with the paper\.",
        front_face,
    ),
    (
        r"Rest the ruler on the point, turn it to each corner in turn: ([a-z, ]+)\. Draw \d guide lines, lightly\.",
        to_corners,
    ),
    (rf"From the ([a-z ]+) corner measure {MM} along its guide line and mark it\.", depth),
    (
        r"Mark the depth by eye on the guide line of the ([a-z ]+) corner, about half way to the point\.",
        by_eye,
    ),
    (
        r"From the mark draw (\d) lines? of the back, parallel to the front edges, from guide line to guide line\.",
        back_face,
    ),
    (
        rf"Mark the foot of the nearest edge of [\w ]+, {MM} from the left, {MM} up\. Draw it upright, {MM} tall\.",
        nearest_edge,
    ),
    (
        rf"Mark the nearest corner of [\w ]+, {MM} from the left, {MM} up\. Aim at the third point and draw the "
        rf"nearest edge, {MM} long\.",
        aimed_edge,
    ),
    (
        r"From both ends of the nearest edge draw light lines to the left point and to the right point: (\d) guide "
        r"lines\.",
        to_both_points,
    ),
    (
        rf"Mark the end of the (left|right) side {MM} to the (left|right) of the nearest edge, measured level, "
        r"and draw it upright between the two guide lines\.",
        side_level,
    ),
    (
        rf"Mark {MM} along the guide line from the (top|foot) of the nearest edge to the (left|right) point\. "
        r"From there draw the end of the (left|right) side toward the third point, to the other guide line\.",
        side_along,
    ),
    (
        r"From the (top|foot) of the left end aim at the right point, from the (top|foot) of the right end at the left "
        r"point: where the two lines cross is the back corner\.",
        cross_over,
    ),
    (r"Draw the (\d) lines of the back, from the two ends up to the crossing\.", to_the_crossing),
    (
        rf"Mark the lower left of ([\w ]+) of \w+, {MM} from the left, {MM} up\. From there draw its block lightly, "
        rf"{MM} wide and {MM} tall\.",
        letter_block,
    ),
    (
        r"Cut out the ([\w ]+) of ([\w ]+) of \w+\. From the lower left of its block measure, across and up: "
        r"([\d.;, a-z]+)\. Join them: (\d+) lines?\.",
        cut_out,
    ),
    (
        r"Scan the corners one by one with the pencil on the point: a corner gets a light line only if the line does "
        r"not cross the front\. (\d+) guide lines in all\.",
        scan_corners,
    ),
    (
        r"Along the guide line of the corner of ([\w ]+) of \w+ at ([\d.]+) across, ([\d.]+) up measure "
        rf"{MM} and mark it\.",
        letter_depth,
    ),
    (
        r"From (?:the mark|the corners of the back that are marked) go round the back: (\d+) lines?, (?:each )?like "
        r"its front edge, until the next guide line or until the front hides it\.",
        letter_back,
    ),
    (
        r"Begin at a corner of the back that is marked\. Draw lightly, over the front, to the guide line of the next "
        r"corner: "
        r"(.*)\.",
        nothing_yet,
    ),
    (
        r"Mark ([\d. m,and]+) from the lower left of the first letter of (\w+), on a level line through its foot: from "
        r"where to where the other letters stand\.",
        letter_marks,
    ),
    (r"Run the marks to the point, lightly: (\d+) lines\.", run_marks),
    (
        r"Run the lower left, half the height and the top of the first letter of \w+ to the point: (\d) lines, "
        r"lightly\.",
        letter_lines,
    ),
    (
        rf"Mark {MM} along the lower line and raise it upright\. From the top before it through its middle to the "
        r"lower line is the next place\. Go on so for each letter\.",
        letter_planes,
    ),
    (
        r"A level light line from its place back, to the lines from its marks: there stands ([\w ]+) of \w+, as high "
        r"as the upright there\.",
        letter_place,
    ),
    (
        r"Draw the block of ([\w ]+) of \w+ lightly in its place: as wide as from line to line, as tall as the upright "
        r"there\.",
        block_in_place,
    ),
    (r"Tick the nearest edge ([\d. m,and]+) from its foot\.", ticks),
    (r"Run the ticks to the left point, lightly: (\d+) lines\.", run_ticks),
    (
        rf"Draw a light level line from the foot of the nearest edge to the (left|right), {MM} long\.",
        level_line,
    ),
    (r"Mark the widths of (\w+) of \w+ on the level line: ([\d. m,and]+) from the foot\.", widths),
    (
        r"Rule lightly from the end of the level line through the far lower corner of the left side, to the eye "
        r"level\. Mark that point: it carries the marks over\.",
        carrying_point,
    ),
    (
        r"Turn the ruler about that point to each mark of a width\. Where it crosses the lower line of the left side, "
        r"draw a light line upright, to the upper one: (\d+) lines\.",
        carry_widths,
    ),
    (
        r"Count the light lines from the nearest edge and from the foot, which are 0\. Corners of ([\w ]+) of \w+, "
        r"along and up: ([\d;, a-z@/.]+)\. Mark them, and draw the edges on the block: (\d+) lines?\.",
        edges_on_block,
    ),
    (
        r"Cut out the ([\w ]+) of ([\w ]+) of \w+\. Light lines are counted from the nearest edge and from the foot, "
        r"which are 0\. Mark where they cross, along and up: ([\d;, a-z@/.]+)\. Join them: (\d+) lines?\."
        r"(?: A line that leans has no number\.)?",
        cut_on_side,
    ),
    (
        r"Strokes of [\w ]+ of \w+ lean\. Light lines are counted from the nearest edge and from the foot, which are "
        r"0\. Mark where they cross, and join lightly ([\d, a-z]+): \d lines?\.",
        lean,
    ),
    (
        r"From corner a of [\w ]+ of \w+ draw a light line, in line with the \w+ point, to the nearest edge: that is "
        r"b\.",
        nothing_yet,
    ),
    (
        r"Scan the corners with the pencil on the other point: a light line from each corner whose line does not cross "
        r"the shape\. (\d+) guide lines? in all\.",
        scan_from_other_point,
    ),
    (
        r"Mark where the lines from the nearest edge meet the end of the block: that is the back\.",
        nothing_yet,
    ),
    (
        r"From a on the nearest edge draw a light line to the \w+ point: it meets the end of the block at b\. From b "
        r"draw a light line to the \w+ point, until the guide line at c: a corner of the back\.",
        nothing_yet,
    ),
    (
        r"From a, where the block ends, draw a light line to the \w+ point, until the guide line at b: a corner of the "
        r"back\.",
        nothing_yet,
    ),
    (r"Erase what cannot be seen: .*", nothing),
    (r"Darken the lines that stay, with the ruler: \d+ lines?\.", nothing),
    (r"Give each direction of face one tone, .*", nothing),
]
