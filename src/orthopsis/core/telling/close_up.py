"""Which part of the sheet does the picture of a step show large, and which points of its lines lie beyond the picture?

Where what the hand does fills less than a quarter of the sheet, a picture of the whole sheet would be mostly empty. It
then shows that part enlarged, in the sheet's own proportions; who draws it puts a small whole beside it. Steps that
follow each other on the same thing share a part where one holds them all, so that the picture does not jump.
"""

from collections.abc import Iterable, Iterator, Mapping, Sequence

from orthopsis.core.drawing.answer import Beyond, Box, DrawnLine, Place, RimSide, Step
from orthopsis.core.drawing.solved import Solved
from orthopsis.core.drawing.stage import new_lines
from orthopsis.core.plane.homogeneous import Point, unit_toward
from orthopsis.core.plane.tolerance import SAME_POINT_MM
from orthopsis.core.scene.prepared import Prepared
from orthopsis.core.sheet.paper import Sheet
from orthopsis.core.sheet.ruler import round_to
from orthopsis.core.wording.step import beyond_words

FILLS = 0.25
"""A part this large of the sheet, or larger, is not enlarged."""
ROOM = 0.2
"""Room about what is shown, as a share of it; ``LEAST_ROOM_MM`` at least."""
LEAST_ROOM_MM = 10.0
SCALE_ROOM_MM = 8.0
"""What the figures of a scale need beside their places, over the room about all."""
MOST_ENLARGED = 4.0
"""More would not show where on the sheet one is (no source)."""
MOST_SHARED = 2.0
"""A part that steps share is at most so many times as wide as each would need by itself (no source)."""


def with_close_ups(solved: Solved, steps: Sequence[Step]) -> list[Step]:
    """Return the steps with the part that each one's picture shows, and the points beyond it."""
    lines, sheet = {line.id: line for line in solved.lines}, solved.prepared.sheet
    parts = _shared([_touched(solved, lines, step) for step in steps], [step.thing for step in steps], sheet)
    return [
        step.model_copy(update={"close_up": part, "beyond": _beyond(solved, lines, step, part)})
        for step, part in zip(steps, parts, strict=True)
    ]


def _touched(solved: Solved, lines: Mapping[int, DrawnLine], step: Step) -> Box | None:
    """Return the rectangle about all that a step draws, marks and writes; none for what is done to the whole sheet."""
    if not step.thing or step.takes_away or step.darkens:
        return None
    drawn, sheet = [lines[number] for number in new_lines(step) if number in lines], solved.prepared.sheet
    places = [place for line in drawn for place in (line.start, *line.bend, line.end)]
    places += [solved.board.points[name].xy for name in (*step.marks, *step.takes_up) if name in solved.board.points]
    places += [letter.at for letter in step.letters]
    for scale in step.scales:
        aside = -SCALE_ROOM_MM if scale.side in ("left", "below") else SCALE_ROOM_MM
        level, upright = (0.0, aside) if scale.side == "below" else (aside, 0.0)
        texts = [(mark.at[0] + level, mark.at[1] + upright) for mark in scale.marks]
        places += [mark.at for mark in scale.marks]
        places += [place for place in texts if sheet.holds(*place)]
    places += [end for one in step.dimensions for end in (one.start, one.end)]
    return _about(places) if places else None


def _about(places: Iterable[Place]) -> Box:
    xs, ys = zip(*places, strict=True)
    return min(xs), min(ys), max(xs), max(ys)


def _shared(touched: Sequence[Box | None], things: Sequence[str], sheet: Sheet) -> list[Box | None]:
    """Return the part that each step's picture shows, the same for steps that follow each other where one will do."""
    groups: list[list[int]] = []
    for i, box in enumerate(touched):
        before = groups[-1] if groups else []
        if before and things[before[0]] == things[i] and _holds([*(touched[j] for j in before), box], sheet):
            before.append(i)
        else:
            groups.append([i])
    result: list[Box | None] = []
    for group in groups:
        boxes = [box for i in group if (box := touched[i]) is not None]
        result += [_part(_union(boxes), sheet) if boxes else None] * len(group)
    return result


def _holds(boxes: Sequence[Box | None], sheet: Sheet) -> bool:
    """Tell whether one enlarged part shows all of these, each not much smaller than alone."""
    some = [box for box in boxes if box is not None]
    shared = _part(_union(some), sheet) if len(some) == len(boxes) else None
    if shared is None:
        return False
    alone = [_part(box, sheet) for box in some]
    return all(part is not None and shared[2] - shared[0] <= MOST_SHARED * (part[2] - part[0]) for part in alone)


def _union(boxes: Sequence[Box]) -> Box:
    return _about(place for left, low, right, high in boxes for place in ((left, low), (right, high)))


def _part(box: Box, sheet: Sheet) -> Box | None:
    """Return the part of the sheet that shows a rectangle with room about it; none where it is too large, or off it."""
    left, low, right, high = box
    if min(left, low, sheet.width_mm - right, sheet.height_mm - high) < -SAME_POINT_MM:
        return None
    room = max(LEAST_ROOM_MM, ROOM * max(right - left, high - low))
    share = max(
        (right - left + 2 * room) / sheet.width_mm, (high - low + 2 * room) / sheet.height_mm, 1 / MOST_ENLARGED
    )
    if share * share >= FILLS:
        return None
    wide, tall = share * sheet.width_mm, share * sheet.height_mm
    x = min(max((left + right - wide) / 2, 0.0), sheet.width_mm - wide)
    y = min(max((low + high - tall) / 2, 0.0), sheet.height_mm - tall)
    return x, y, x + wide, y + tall


def _beyond(solved: Solved, lines: Mapping[int, DrawnLine], step: Step, part: Box | None) -> list[Beyond]:
    """Return the points outside of the picture to which lines run or that are marked, each where one leaves it."""
    sheet = solved.prepared.sheet
    box = part if part is not None else (0.0, 0.0, sheet.width_mm, sheet.height_mm)
    found: dict[str, Beyond] = {}
    for name, starts in _aimed(solved, lines, step):
        at = solved.board.points[name]
        start = next((place for place in starts if _is_in(place, box)), None)
        if name in found or start is None or at.is_ideal or _is_in(at.xy, box):
            continue
        way = unit_toward(Point(*start), at)
        rim, side = _rim(start, way, box)
        text, past = beyond_words(solved.prepared.point_words(name), _past(solved.prepared, at))
        found[name] = Beyond(at=rim, way=way, side=side, text=text, past=past)
    return list(found.values())


def _aimed(solved: Solved, lines: Mapping[int, DrawnLine], step: Step) -> Iterator[tuple[str, Sequence[Place]]]:
    """Yield the points to which lines of a step run, or that it marks, by name, with places from which they are seen.

    A point that is marked is found along the eye level, or up or down from the middle of the sheet.
    """
    for line in (lines[number] for number in step.draws if number in lines):
        if line.rests_on in solved.board.points:
            yield line.rests_on, (line.start, line.end)
    sheet = solved.prepared.sheet
    for name in (name for name in step.marks if name in solved.prepared.aims):
        x, y = solved.board.points[name].xy
        yield name, ((sheet.width_mm / 2, min(max(y, 0.0), sheet.height_mm)), (x, sheet.height_mm / 2))


def _is_in(place: Place, box: Box) -> bool:
    return box[0] <= place[0] <= box[2] and box[1] <= place[1] <= box[3]


def _rim(place: Place, way: Place, box: Box) -> tuple[Place, RimSide]:
    """Return where the way from a place in a rectangle leaves it, and over which side."""
    (x, y), (dx, dy), (left, low, right, high) = place, way, box
    sides: list[tuple[float, RimSide]] = []
    if dx:
        sides.append(((right - x) / dx, "right") if dx > 0 else ((left - x) / dx, "left"))
    if dy:
        sides.append(((high - y) / dy, "top") if dy > 0 else ((low - y) / dy, "bottom"))
    far, side = min(sides)
    return (x + far * dx, y + far * dy), side


def _past(prepared: Prepared, at: Point) -> str:
    """Return how far past the edge of the sheet a point lies; empty for one that lies on it."""
    sheet = prepared.sheet
    past = max(-at.x, at.x - sheet.width_mm, -at.y, at.y - sheet.height_mm)
    return prepared.length(round_to(past, sheet.division_mm)) if past > SAME_POINT_MM else ""
