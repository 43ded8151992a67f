"""Where does a new thing land? Clear of the others, on the paper, where nothing has to be said against it.

Places over the sheet are tried, the one that its kind proposes first, in the size that it proposes and then in others.
"""

import itertools
import math
from collections.abc import Iterator

from orthopsis.core.advice.piece import drawn_points
from orthopsis.core.advice.placing import on_placing
from orthopsis.core.advice.sheet import on_marks
from orthopsis.core.advice.things import said_of
from orthopsis.core.document.document import Exercise, ThingDocument
from orthopsis.core.drawing.solved import Solved, solve
from orthopsis.core.errors import GeometryError
from orthopsis.core.plane.homogeneous import Point
from orthopsis.core.scene.prepared import prepare, setting_of
from orthopsis.core.sheet.paper import Sheet
from orthopsis.core.sheet.ruler import round_to
from orthopsis.core.things.parameters import FIRST_CORNER, Length
from orthopsis.core.things.registry import KINDS
from orthopsis.core.things.setting import Setting
from orthopsis.core.view.cone import COMFORTABLE_CONE_DEG, angle_off_axis_deg

Box = tuple[float, float, float, float]
ACROSS, UP = 12, 10
"""How many places are tried over the sheet's width and height."""
SIZES = (1.0, 1.4, 0.7, 0.5)
MOST_TRIED = 12
"""At how many places that are clear of the others one size is looked at more closely."""
CLEAR_MM = 4.0
"""What a hand leaves between two things at least (no source)."""
OF_THE_POINTS = ("points_off_sheet", "third_point_off_sheet")
"""What is said of the points themselves, wherever a thing stands."""


def landed(exercise: Exercise, thing: ThingDocument) -> ThingDocument:
    """Return a new thing at the first place where nothing is said against it, or else where least is."""
    try:
        taken = [_box(drawn) for drawn in _drawn(solve(prepare(exercise)))]
    except GeometryError:
        return thing
    best, least = thing, float("inf")
    for size in SIZES:
        for place, alone in itertools.islice(_clear(exercise, thing, size, taken), MOST_TRIED):
            said = _said_against(alone)
            if said < least:
                best, least = place, said
            if not least:
                return best
    return best


def _clear(
    exercise: Exercise, thing: ThingDocument, size: float, taken: list[Box]
) -> Iterator[tuple[ThingDocument, Solved]]:
    """Yield the thing, so many times as large, where it is on the paper and clear of the others, and it there alone."""
    for place in _places(setting_of(exercise, thing.view), thing, size):
        try:
            alone = solve(prepare(exercise.model_copy(update={"things": (place,), "steps": ()})))
        except GeometryError:
            continue
        box = _box(_drawn(alone)[0])
        if _holds(alone.prepared.sheet, box) and not any(_touch(box, other) for other in taken):
            yield place, alone


def _places(setting: Setting, thing: ThingDocument, size: float) -> Iterator[ThingDocument]:
    """Yield the thing, so many times as large, where it was proposed and then at places ever farther from there.

    Where the eye sees it far from its axis something is always said against it, so only the first size is tried there.
    """
    sheet, frame = setting.sheet, setting.frame
    left, bottom = (p.name for p in FIRST_CORNER)
    x, y = getattr(thing, left), getattr(thing, bottom)

    def is_far(at: tuple[float, float]) -> bool:
        off = angle_off_axis_deg(Point(*at), frame.eye.principal, frame.distance_mm) if frame.is_metric else 0.0
        return off > COMFORTABLE_CONE_DEG / 2

    grid = itertools.product(range(1, ACROSS), range(1, UP))
    spots = [(sheet.width_mm * i / ACROSS, sheet.height_mm * j / UP) for i, j in grid]
    spots.sort(key=lambda at: (is_far(at), math.hypot(at[0] - x, at[1] - y)))
    sized = _sized(sheet, thing, size)
    yield sized
    for spot in spots:
        if size != 1.0 and is_far(spot):
            break
        place = zip((left, bottom), (round_to(mm, sheet.division_mm) for mm in spot), strict=True)
        yield sized.model_copy(update=dict(place))


def _sized(sheet: Sheet, thing: ThingDocument, times: float) -> ThingDocument:
    """Return the thing with all its lengths so many times as long, on marks of the ruler."""
    lengths = [p for p in KINDS[thing.kind].parameters if isinstance(p, Length) and p not in FIRST_CORNER]
    sized = {
        p.name: min(max(round_to(getattr(thing, p.name) * times, sheet.division_mm), p.least_mm), p.most_mm)
        for p in lengths
    }
    return thing.model_copy(update=sized)


def _said_against(alone: Solved) -> int:
    placed = alone.prepared.things[0]
    advice = itertools.chain(on_placing(alone), said_of(alone, placed), on_marks(alone))
    return sum(one.code not in OF_THE_POINTS for one in advice)


def _drawn(solved: Solved) -> list[list[Point]]:
    return [drawn_points(solved, placed) for placed in solved.prepared.things if placed.standing.is_body]


def _box(points: list[Point]) -> Box:
    xs, ys = zip(*(point.xy for point in points), strict=True)
    return min(xs), min(ys), max(xs), max(ys)


def _holds(sheet: Sheet, box: Box) -> bool:
    return sheet.holds(box[0], box[1]) and sheet.holds(box[2], box[3])


def _touch(one: Box, two: Box) -> bool:
    return all(one[i] < two[i + 2] + CLEAR_MM and two[i] < one[i + 2] + CLEAR_MM for i in (0, 1))
