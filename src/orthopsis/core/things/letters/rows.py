"""Letters of their own in one-point perspective: stepping back, one behind the other, or on all sides of the point.

Letters that step back stand in planes equally far from each other. The first plane is measured, the others are found by
repeating: from the top of one upright through the middle of the next to the ground line.
"""

from collections.abc import Sequence
from dataclasses import dataclass, replace

from orthopsis.core.construct.moves import (
    Act,
    Cross,
    MeasureAlong,
    Move,
    Offset,
    Rule,
    RuleToPoint,
    Run,
    Shift,
)
from orthopsis.core.errors import GeometryError
from orthopsis.core.plane.homogeneous import Point, between, distance
from orthopsis.core.sheet.length import format_mark
from orthopsis.core.sheet.ruler import round_to
from orthopsis.core.things.assembly import Member
from orthopsis.core.things.depth import FARTHEST_SHARE
from orthopsis.core.things.letters.layouts import side_by_side
from orthopsis.core.things.letters.measures import letters_of
from orthopsis.core.things.letters.word import Letter
from orthopsis.core.things.profile.front import FrontProfile
from orthopsis.core.things.setting import Setting
from orthopsis.core.things.values import Values

SCALED = ("width", "height", "gap", "stroke", "bar", "middle", "middle_up")


@dataclass(frozen=True, slots=True)
class Planes:
    """Where the letters of a row stand: their scales, the nearest being 1, and the depth of each in the world, mm."""

    scales: tuple[float, ...]
    thickness: float


def row(values: Values, setting: Setting) -> list[Member]:
    """Return the letters that step back or stand one behind the other, the nearest first.

    Raises:
        GeometryError: the row would pass the point, or a letter would reach into the next one.
    """
    letters = letters_of(values, setting.sheet.division_mm)
    planes, goal = _planes(values, setting, letters), setting.frame.way("away").goal
    members, moves = list[Member](), _ways(values, setting, letters)
    for i, (letter, scale) in enumerate(zip(letters, planes.scales, strict=True)):
        start = Point(values.first.x + _aside(values, letter), values.first.y)
        low = between(start, goal, 1 - scale)
        own = _letter(values, letter, low, scale)
        share = setting.frame.eye.page_share(goal, planes.thickness * scale)
        depth = share * FrontProfile(own, setting).depth_reach
        own = replace(own, held={**own.held, "depth_by": "measured", "depth": depth})
        room = tuple(moves[i])
        origin = values.full(f"measure.foot.{i}") if i else ""
        told = {"front.profile": "front.in_room", "front.block": "front.block_in_room"} if i else {}
        members.append(Member(letter.name, FrontProfile(own, setting), 1 / scale, letter.name, room, origin, told))
    return members


def around(values: Values, setting: Setting) -> list[Member]:
    """Return letters on all sides of the point, to be read row by row, all as large."""
    letters = letters_of(values, setting.sheet.division_mm)
    places = _ring(values, setting, letters)
    return [
        Member(letter.name, FrontProfile(_letter(values, letter, low, 1.0), setting), part=letter.name)
        for letter, low in zip(letters, places, strict=True)
    ]


def _letter(values: Values, letter: Letter, low: Point, scale: float) -> Values:
    """Return the values of one letter as a profile of its own, its lower left on the page at ``low``."""
    outline = tuple(tuple((x - letter.left, y, *radii) for x, y, *radii in loop) for loop in letter.outline)
    scaled = tuple(tuple(tuple(mm * scale for mm in corner) for corner in loop) for loop in outline)
    held = {**values.held, "left": low.x, "bottom": low.y, "outline": scaled, "depth_corner": "auto"}
    return Values(values.full(letter.name), held)  # type: ignore[arg-type]


def _aside(values: Values, letter: Letter) -> float:
    """Return how far to the right of the first letter a letter stands, before it is moved back, mm."""
    return letter.left if values.word("layout") == "steps" else 0.0


def _planes(values: Values, setting: Setting, letters: Sequence[Letter]) -> Planes:
    eye, goal, division = setting.frame.eye, setting.frame.way("away").goal, setting.sheet.division_mm
    reach = distance(values.first, goal)
    share = values.mm("step") / reach
    if share > FARTHEST_SHARE / 2:
        most = format_mark(FARTHEST_SHARE / 2 * reach // division * division, setting.sheet.units, division)
        raise GeometryError(
            "row_past_point",
            f"The second letter of “{values.name}” would stand too near to the vanishing point.",
            f"The longest first step that works is {most}.",
            about="step",
            nearest=most,
        )
    deep = eye.world_length(goal, share)
    scales = tuple(1 - eye.page_share(goal, deep * i) for i in range(len(letters)))
    if values.word("depth_by") == "half":
        return Planes(scales, deep / 2)
    guide = FrontProfile(_letter(values, letters[0], values.first, 1.0), setting).depth_reach
    longest = min(FARTHEST_SHARE, eye.page_share(goal, deep)) * guide
    if values.mm("depth") > longest:
        most = format_mark(longest // division * division, setting.sheet.units, division)
        raise GeometryError(
            "depth_swallows",
            f"A letter of “{values.name}” as deep as this would reach into the next one.",
            f"The longest depth that works is {most}.",
            about="depth",
            nearest=most,
        )
    return Planes(scales, eye.world_length(goal, values.mm("depth") / guide))


def _ways(values: Values, setting: Setting, letters: Sequence[Letter]) -> list[list[Move]]:
    """Return for each letter the moves that find its room; those for all come before the second letter."""
    n, goal = values.full, setting.frame.way("away").family
    first, rooms = n(f"{letters[0].name}.measure.origin"), [list[Move]() for _ in letters]
    if len(letters) == 1:
        return rooms
    common: list[tuple[str, Act]] = []
    for i, letter in enumerate(letters[1:], start=1):
        left = _aside(values, letter)
        sides = {"right": left + letter.right - letter.left} | ({"left": left} if left else {})
        for side, mm in sides.items():
            mark = n(f"measure.{side}.{i}")
            common.append(("row.marks", Shift(mark, first, mm)))
            common.append(("row.ways", RuleToPoint(n(f"construction.{side}.{i}"), mark, goal, "construction")))
    common.sort(key=lambda told: told[0])
    common += _plane_acts(values, goal, first, len(letters))
    rooms[1] += [values.move("divide", breath, act) for breath, act in common]
    for i, letter in enumerate(letters[1:], start=1):
        level, right = n(f"construction.level.{i}"), n(f"measure.right_foot.{i}")
        run = Run(level, right, n(f"measure.plane.{i}"), "level", n(f"construction.right.{i}"), "construction")
        foot: Act = Shift(n(f"measure.foot.{i}"), n(f"measure.plane.{i}"), 0.0)
        if _aside(values, letter):
            foot = Cross(n(f"measure.foot.{i}"), level, n(f"construction.left.{i}"))
        told = [("row.room", run), ("row.room" if _aside(values, letter) else "", foot)]
        rooms[i] += [replace(values.move("divide", b, act), part=letter.name) for b, act in told]
    return rooms


def _plane_acts(values: Values, goal: str, first: str, count: int) -> list[tuple[str, Act]]:
    """Return the acts that mark the planes of the letters on the line from the first letter's foot to the point."""
    n, height = values.full, values.mm("height")
    ground, high, middle = (n(f"construction.{name}") for name in ("ground", "high", "middle"))
    marks = {"measure.high": (high, height), "measure.middle": (middle, height / 2)}
    told: list[tuple[str, Act]] = [("row.lines", RuleToPoint(ground, first, goal, "construction"))]
    for name, (line, mm) in marks.items():
        told.append(("row.lines", Offset(n(name), first, 0.0, mm)))
        told.append(("row.lines", RuleToPoint(line, n(name), goal, "construction")))
    told.append(("row.planes", MeasureAlong(n("measure.plane.1"), ground, values.mm("step"))))
    before = n("measure.high")
    for k in range(1, count):
        plane, top = n(f"construction.plane.{k}"), n(f"measure.plane_top.{k}")
        told.append(("row.planes", Run(plane, top, n(f"measure.plane.{k}"), "upright", high, "construction")))
        if k + 1 < count:
            mid, bay = n(f"measure.mid.{k}"), n(f"construction.bay.{k}")
            told.append(("row.planes", Cross(mid, plane, middle)))
            following, whole = n(f"measure.plane.{k + 1}"), n(f"construction.bay_line.{k}")
            told.append(("row.planes", Rule(bay, before, mid, "free", "unseen")))
            told.append(("row.planes", Cross(following, bay, ground)))
            told.append(("row.planes", Rule(whole, before, following, "free", "construction")))
            before = top
    return told


def _ring(values: Values, setting: Setting, letters: Sequence[Letter]) -> list[Point]:
    """Return the lower left of each letter: a row over the point and one under it; from seven on two stand beside."""
    goal, division = setting.frame.way("away").goal, setting.sheet.division_mm
    free, height = values.mm("spread"), values.mm("height")
    over, *beside, under = side_by_side("about", letters)
    rows = [_row_of(values, group, goal.x, bottom) for group, bottom in ((over, free), (under, -free - height))]
    places = [Point(p.x, goal.y + p.y) for p in rows[0]]
    low = [Point(p.x, goal.y + p.y) for p in rows[1]]
    if beside:
        wide = [letter.right - letter.left for (letter,) in beside]
        half = max(goal.x - p.x for p in places + low)
        is_tucked = free >= height / 2 + values.mm("gap")
        aside = max(free, half - max(wide)) if is_tucked else half + values.mm("gap")
        places += [Point(goal.x - aside - wide[0], goal.y - height / 2), Point(goal.x + aside, goal.y - height / 2)]
    return [Point(round_to(p.x, division), round_to(p.y, division)) for p in places + low]


def _row_of(values: Values, letters: Sequence[Letter], middle: float, bottom: float) -> list[Point]:
    """Return the lower left of each letter of a row about an upright line."""
    wide = sum(letter.right - letter.left for letter in letters) + values.mm("gap") * (len(letters) - 1)
    places, x = list[Point](), middle - wide / 2
    for letter in letters:
        places.append(Point(x, bottom))
        x += letter.right - letter.left + values.mm("gap")
    return places
