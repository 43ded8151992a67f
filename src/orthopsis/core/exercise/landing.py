"""Where does a new thing land, or several together? Clear of the others, where nothing has to be said against it.

Places over the sheet are tried, the one that its kind proposes first, in the size that it proposes and then in others.
"""

import itertools
import math
from collections.abc import Callable, Iterator

from orthopsis.core.advice.advise import on_each
from orthopsis.core.advice.piece import drawn_points
from orthopsis.core.advice.placing import on_placing
from orthopsis.core.advice.sheet import on_marks
from orthopsis.core.document.document import Exercise
from orthopsis.core.document.thing_models import ThingDocument
from orthopsis.core.drawing.solved import Solved, solve
from orthopsis.core.errors import GeometryError
from orthopsis.core.plane.homogeneous import Point
from orthopsis.core.scene.prepared import prepare, setting_of
from orthopsis.core.sheet.paper import Sheet
from orthopsis.core.sheet.ruler import round_to
from orthopsis.core.things.parameters import FIRST_CORNER, Length
from orthopsis.core.things.registry import KINDS
from orthopsis.core.things.setting import Setting
from orthopsis.core.things.values import Values
from orthopsis.core.view.cone import COMFORTABLE_CONE_DEG, angle_off_axis_deg

Box = tuple[float, float, float, float]
Place = tuple[float, float]
ACROSS, UP = 12, 10
"""How many places are tried over the sheet's width and height."""
SIZES = (1.0, 1.4, 0.7, 0.5)
MOST_TRIED = 12
"""At how many places that are clear of the others one size is looked at more closely."""
CLEAR_MM = 4.0
"""What a hand leaves between two things at least (no source)."""
ROUGHLY = 0.2
"""By so much of its size a thing is taken to be smaller elsewhere, at first."""
OF_THE_POINTS = ("points_off_sheet", "third_point_off_sheet")
"""What is said of the points themselves, wherever a thing stands."""


At = Callable[[Place | None, float], tuple[ThingDocument, ...]]
"""From a place for the first corner (page mm; none for the proposed one) and how many times as large, to new things."""


def landed(exercise: Exercise, thing: ThingDocument) -> ThingDocument:
    """Return a new thing at the first place where nothing is said against it, or else where least is."""
    setting = setting_of(exercise, thing.view)
    left, bottom = (p.name for p in FIRST_CORNER)
    if not KINDS[thing.kind].has_first_corner:
        return thing

    def at(place: Place | None, times: float) -> tuple[ThingDocument, ...]:
        sized = _sized(setting.sheet, thing, times)
        there = sized if place is None else sized.model_copy(update=dict(zip((left, bottom), place, strict=True)))
        true = KINDS[thing.kind].in_view[setting.frame.kind].in_truth(setting, Values(thing.name, there.held()))
        return (there.model_copy(update=dict(true)),)

    return landed_together(exercise, at, setting)[0]


def landed_together(exercise: Exercise, at: At, setting: Setting) -> tuple[ThingDocument, ...]:
    """Return new things that keep their places to each other, likewise.

    Raises:
        GeometryError: they cannot stand where they are proposed, nor anywhere else.
    """
    try:
        taken = [_box(drawn) for drawn in _drawn(solve(prepare(exercise)))]
    except GeometryError:
        return at(None, 1.0)
    best, least = None, float("inf")
    for size in SIZES:
        for things, alone in itertools.islice(_clear(exercise, at, size, setting, taken), MOST_TRIED):
            said = _said_against(alone)
            if said < least:
                best, least = things, said
            if not least:
                break
        if not least:
            break
    return best or _least_in_the_way(exercise, at, setting, taken)


def _least_in_the_way(exercise: Exercise, at: At, setting: Setting, taken: list[Box]) -> tuple[ThingDocument, ...]:
    """Return the things where they lie over others least, on the paper if they can be there at all."""
    places = itertools.islice(_clear(exercise, at, 1.0, setting, []), 2 * MOST_TRIED)
    over = [(sum(_shared_mm2(_whole_box(alone), other) for other in taken), i, things)
            for i, (things, alone) in enumerate(places)]  # fmt: skip
    return min(over)[2] if over else at(None, 1.0)


def _whole_box(alone: Solved) -> Box:
    return _box([point for drawn in _drawn(alone) for point in drawn])


def _shared_mm2(one: Box, two: Box) -> float:
    wide, tall = (min(one[i + 2], two[i + 2]) - max(one[i], two[i]) for i in (0, 1))
    return max(wide, 0.0) * max(tall, 0.0)


def _clear(
    exercise: Exercise, at: At, size: float, setting: Setting, taken: list[Box]
) -> Iterator[tuple[tuple[ThingDocument, ...], Solved]]:
    """Yield the things, so many times as large, where they are on the paper and clear of others, and them there.

    Places where they would not even roughly be so, as large as they were at the place before, are passed over.
    """
    last: tuple[Point, Box] | None = None
    for place in _places(setting, at, size):
        if last is not None and place is not None:
            rough = _moved(last[1], place[0] - last[0].x, place[1] - last[0].y)
            if not _holds(setting.sheet, rough) or any(_touch(rough, other) for other in taken):
                continue
        try:
            things = at(place, size)
            alone = solve(prepare(exercise.model_copy(update={"things": things, "steps": ()})))
        except GeometryError:
            continue
        if not _drawn(alone):  # it lies on the ground, under all others
            yield things, alone
            return
        box = _whole_box(alone)
        last = alone.prepared.things[0].values.first, box
        if _holds(alone.prepared.sheet, box) and not any(_touch(box, other) for other in taken):
            yield things, alone


def _moved(box: Box, across: float, up: float) -> Box:
    """Return a rectangle elsewhere, its sides somewhat shorter: what is drawn there is not quite as large."""
    aside, over = ((box[i + 2] - box[i]) * ROUGHLY / 2 for i in (0, 1))
    return box[0] + across + aside, box[1] + up + over, box[2] + across - aside, box[3] + up - over


def _places(setting: Setting, at: At, size: float) -> Iterator[Place | None]:
    """Yield the place that was proposed, none, and then others ever farther from there.

    Where the eye sees it far from its axis something is always said against it, so only the first size is tried there.
    """
    sheet, frame = setting.sheet, setting.frame
    left, bottom = (p.name for p in FIRST_CORNER)

    def is_far(at: Place) -> bool:
        off = angle_off_axis_deg(Point(*at), frame.eye.principal, frame.distance_mm) if frame.is_metric else 0.0
        return off > COMFORTABLE_CONE_DEG / 2

    grid = itertools.product(range(1, ACROSS), range(1, UP))
    spots = [(sheet.width_mm * i / ACROSS, sheet.height_mm * j / UP) for i, j in grid]
    try:
        first = at(None, 1.0)[0]
        x, y = getattr(first, left), getattr(first, bottom)
    except GeometryError:
        x, y = sheet.width_mm / 2, sheet.height_mm / 2
    spots.sort(key=lambda at: (is_far(at), math.hypot(at[0] - x, at[1] - y)))
    yield None
    for spot in spots:
        if size != 1.0 and is_far(spot):
            break
        yield round_to(spot[0], sheet.division_mm), round_to(spot[1], sheet.division_mm)


def _sized(sheet: Sheet, thing: ThingDocument, times: float) -> ThingDocument:
    """Return the thing with all its lengths so many times as long, on marks of the ruler."""
    lengths = [p for p in KINDS[thing.kind].parameters if isinstance(p, Length) and p not in FIRST_CORNER]
    sized = {
        p.name: min(max(round_to(getattr(thing, p.name) * times, sheet.division_mm), p.least_mm), p.most_mm)
        for p in lengths
    }
    return thing.model_copy(update=sized)


def _said_against(alone: Solved) -> int:
    bodies = (placed for placed in alone.prepared.things if placed.standing.is_body)
    advice = itertools.chain(on_placing(alone), *(on_each(alone, placed) for placed in bodies), on_marks(alone))
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
