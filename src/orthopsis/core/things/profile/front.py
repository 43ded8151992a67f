"""A profile in one-point perspective: its outline drawn true, every corner carried back to the point."""

from collections.abc import Callable, Mapping
from functools import lru_cache

import numpy as np

from orthopsis.core.construct.carry import Outline, back_moves, front_moves, guide_moves, guided_corners, loops_of
from orthopsis.core.construct.moves import Act, Measure, Move, Offset
from orthopsis.core.construct.panel import Panel, vector
from orthopsis.core.errors import GeometryError
from orthopsis.core.plane.arc import Arc, Place
from orthopsis.core.plane.homogeneous import Point, between, distance, toward
from orthopsis.core.sheet.ruler import round_to
from orthopsis.core.sight.solid import Solid
from orthopsis.core.things.declare import Build, Clause, CornerHandles, Handle, Values
from orthopsis.core.things.depth import HALF_WAY, cut_move, dragged, kept, measured_share
from orthopsis.core.things.outline import on_marks, pieces, roundings, scaled, size, with_corner
from orthopsis.core.things.parameters import FIRST_CORNER, Value
from orthopsis.core.things.profile.body import body, parts_of, rounded_moves, shown_back
from orthopsis.core.things.standing import Joint, Setting
from orthopsis.core.view.eye import Array


def _goal(setting: Setting) -> Point:
    return setting.frame.way("away").goal


@lru_cache(maxsize=1024)
def outline_of(values: Values, setting: Setting) -> Outline:
    """Return the outline on the front, with its corners on the page."""
    loops, first = values.outline("outline"), values.first
    width, height = size(loops)
    flat = dict(enumerate((corner for loop in loops for corner in loop), start=1))
    rounded = roundings(loops)
    away, frame = setting.frame.way("away"), setting.frame

    def at(place: Place) -> Point:
        return Point(first.x + place[0], first.y + place[1])

    return Outline(
        thing=values.name,
        loops=loops_of([len(loop) for loop in loops]),
        flat={n: (c[0] / width, c[1] / height) for n, c in flat.items()},
        page={n: at(c[:2]) for n, c in flat.items()},
        pieces=pieces(loops),
        rounded={n: r.mapped(lambda place: (place[0] / width, place[1] / height)) for n, r in rounded.items()},
        parts=values.parts,
        arcs={n: Arc(at(r.start), at(r.pole), at(r.end), at(r.centre)) for n, r in rounded.items()},
        across=("level", frame.way("across").goal),
        up=("upright", frame.way("up").goal),
        goal_name=away.family,
        goal=away.goal,
    )


@lru_cache(maxsize=1024)
def _guided(values: Values, setting: Setting) -> tuple[int, ...]:
    outline = outline_of(values, setting)
    for number, point in outline.page.items():
        if distance(point, outline.goal) < setting.sheet.division_mm / 4:
            raise GeometryError(
                "corner_on_point",
                f"Corner {number} of “{values.name}” lies on the vanishing point.",
                "Move the shape by one mark of the ruler.",
                about="left",
            )
    return tuple(outline.corners if values.is_see_through else guided_corners(outline))


def _depth_corner(values: Values, setting: Setting) -> int:
    """Return the corner along whose guide line the depth is cut."""
    guided, outline, chosen = _guided(values, setting), outline_of(values, setting), values.word("depth_corner")
    best = max(guided or outline.corners, key=lambda c: (round(distance(outline.page[c], outline.goal), 3), c))
    if chosen == "auto":
        return best
    if int(chosen) in guided:
        return int(chosen)
    raise GeometryError(
        "no_guide_line",
        f"Corner {chosen} of “{values.name}” has no guide line: it would cross the front, or there is no such corner.",
        f"Measure along the one of corner {best}.",
        about="depth_corner",
        nearest=str(best),
    )


@lru_cache(maxsize=1024)
def _share(values: Values, setting: Setting) -> float:
    """Return how far along its guide line the depth is cut, 0 at the front, 1 at the point."""
    if values.word("depth_by") == "half":
        return HALF_WAY
    reach = distance(outline_of(values, setting).page[_depth_corner(values, setting)], _goal(setting))
    return measured_share(values, setting, reach)


def depth_reach(values: Values, setting: Setting) -> float:
    """Return how long the guide line is along which the depth is cut, mm."""
    outline = outline_of(values, setting)
    return distance(outline.page[_depth_corner(values, setting)], outline.goal)


def _turned(across: float, up: float) -> str:
    if abs(across) > abs(up):
        return "right" if across > 0 else "left"
    return "top" if up > 0 else "bottom"


@lru_cache(maxsize=1024)
def solid(values: Values, setting: Setting) -> Solid:
    """Return the profile in the world of the frame's eye: its front lies in the picture plane."""
    return _solid(values, setting, outline_of(values, setting))


def _solid(values: Values, setting: Setting, outline: Outline) -> Solid:
    first, eye = values.first, setting.frame.eye
    width, height = size(values.outline("outline"))
    away = eye.ray(outline.goal) * eye.world_length(outline.goal, _share(values, setting))

    def places(flat: Array) -> Array:
        return np.array([eye.at(Point(first.x + x * width, first.y + y * height)) for x, y in flat.tolist()])

    return body(outline, places, away, _turned, "front")


def recipe(values: Values, setting: Setting) -> list[Move]:
    """Return the hand's moves: outline, corners scanned for guide lines, depth, back edges."""
    outline, guided = outline_of(values, setting), _guided(values, setting)
    n = values.full
    moves = front_moves(outline, "front.profile", _marks(values, setting, outline))
    moves += guide_moves(outline, guided, "guides.profile")
    start = _depth_corner(values, setting)
    makes, line = n(f"back.{start}"), n(f"guide.{start}")
    _share(values, setting)
    moves.append(cut_move(values, "depth.profile", makes, line))
    whole = solid(values, setting)
    block_form = _solid(values, setting, outline.block_form) if outline.rounded else whole
    shown = shown_back(block_form, setting, "edge", is_see_through=values.is_see_through)
    moves += back_moves(outline, [start], shown, None)
    width, height = size(values.outline("outline"))

    def mark(name: str, place: Place) -> Offset:
        return Offset(n(name), n("measure.origin"), place[0] * width, place[1] * height)

    return moves + rounded_moves(outline, whole, setting, mark, is_see_through=values.is_see_through)


def _marks(values: Values, setting: Setting, outline: Outline) -> Callable[[int], list[Act]]:
    """Return how corners are marked: measured from the lower left of their part, which is marked first."""
    n, first, page = values.full, values.first, outline.page
    origins: dict[int, tuple[str, Point]] = {}
    for number, (_, corners) in enumerate(outline.part_corners):
        name = f"measure.origin.{number + 1}" if number else "measure.origin"
        low = Point(min(page[c].x for c in corners), min(page[c].y for c in corners)) if number else first
        origins |= dict.fromkeys(corners, (name, low))
    begun: set[str] = set()

    def mark(corner: int) -> list[Act]:
        name, low = origins[corner]
        offset = Offset(n(f"front.{corner}"), n(name), page[corner].x - low.x, page[corner].y - low.y)
        if name in begun:
            return [offset]
        begun.add(name)
        return [Measure(n(name), *low.xy) if low is not first else values.begin(setting, name), offset]

    return mark


def _drag_place(values: Values, setting: Setting, at: Point) -> Mapping[str, Value]:
    return {"left": at.x, "bottom": at.y}


def _drag_depth(values: Values, setting: Setting, at: Point) -> Mapping[str, Value]:
    start = outline_of(values, setting).page[_depth_corner(values, setting)]
    return dragged(setting, start, _goal(setting), at)


def _drag_size(values: Values, setting: Setting, at: Point) -> Mapping[str, Value]:
    """Stretch the outline so that its upper right reaches the place."""
    loops, division = values.outline("outline"), setting.sheet.division_mm
    width, height = size(loops)
    wide = max(round_to(at.x - values.first.x, division), 4 * division)
    tall = max(round_to(at.y - values.first.y, division), 4 * division)
    return {"outline": on_marks(scaled(loops, wide / width, tall / height), division)}


def _drag_corner(values: Values, setting: Setting, at: Point, number: int) -> Mapping[str, Value]:
    first, division = values.first, setting.sheet.division_mm
    corner = (max(round_to(at.x - first.x, division), 0.0), max(round_to(at.y - first.y, division), 0.0))
    return {"outline": with_corner(values.outline("outline"), number, corner)}


def handles_at(values: Values, setting: Setting) -> Mapping[str, Point]:
    """Return where the handles are: the lower left, the upper right, the mark of the depth, and each corner."""
    first, (width, height) = values.first, size(values.outline("outline"))
    page = outline_of(values, setting).page
    start = outline_of(values, setting).page[_depth_corner(values, setting)]
    return {
        "place": first,
        "size": Point(first.x + width, first.y + height),
        "depth": between(start, _goal(setting), _share(values, setting)),
        **{f"corner_{number}": at for number, at in page.items()},
    }


def spans(values: Values, setting: Setting) -> Mapping[str, tuple[Point, Point]]:
    """Return between which points each length is measured."""
    first = values.first
    result = {"left": (Point(0.0, first.y), first), "bottom": (Point(first.x, 0.0), first)}
    if values.word("depth_by") == "measured":
        start = outline_of(values, setting).page[_depth_corner(values, setting)]
        result["depth"] = (start, toward(start, _goal(setting), values.mm("depth")))
    return result


def free_lines(values: Values, setting: Setting) -> Mapping[str, tuple[str, ...]]:
    """Return the lines whose place is free: the back's, if the depth is by eye."""
    return {setting.frame.name: ("back.",)} if values.word("depth_by") == "half" else {}


def place(setting: Setting, count: int) -> Mapping[str, Value]:
    """Return values for one more profile, beside the point."""
    sheet, goal = setting.sheet, _goal(setting)
    across, low = ((0.1, True), (0.72, False), (0.7, True), (0.12, False))[count % 4]
    aside = (count // 4) * 5 * sheet.division_mm
    bottom = goal.y * 0.25 if low else goal.y + (sheet.height_mm - goal.y) * 0.3
    return {
        "left": setting.across(across) + aside,
        "bottom": round_to(bottom, sheet.division_mm),
        "depth_by": "half",
    }


def follow(values: Values, setting: Setting, name: str, value: Value) -> Mapping[str, Value]:
    """Return the measured depth that leaves the drawing as it is, when the depth begins to be measured."""
    if name != "depth_by" or value != "measured":
        return {}
    start = outline_of(values, setting).page[_depth_corner(values, setting)]
    return kept(setting, distance(start, _goal(setting)), _share(values, setting))


def true_length(values: Values, setting: Setting, role: str) -> float:
    """Return how long the shape is in the world along ``up`` or ``away``, at the scale of its front, mm."""
    if role == "up":
        return size(values.outline("outline"))[1]
    return setting.frame.eye.world_length(_goal(setting), _share(values, setting))


def panels(values: Values, setting: Setting) -> Mapping[str, Panel]:
    """Return the front, as far as the shape covers it."""
    outline, first, eye, n = outline_of(values, setting), values.first, setting.frame.eye, values.full
    width, height = size(values.outline("outline"))
    page = (
        first,
        Point(first.x + width, first.y),
        Point(first.x + width, first.y + height),
        Point(first.x, first.y + height),
    )
    low, far_low, _, high = (eye.at(point) for point in page)
    panel = Panel(
        says="front",
        face="front",
        low=n("measure.origin"),
        high=n("front.room.high"),
        far_low=n("front.room.far_low"),
        far_high=n("front.room.far_high"),
        first=n("front.room.first"),
        bottom=n("front.room.bottom"),
        top=n("front.room.top"),
        far=n("front.room.far"),
        along=setting.frame.way("across"),
        up=setting.frame.way("up"),
        drawn_from="low",
        page=page,
        start=vector(low),
        axes=(vector(far_low - low), vector(high - low)),
        first_says="left edge",
        parts=parts_of(outline, lambda at: at),
    )
    return {"front": panel}


def joints(values: Values, setting: Setting) -> Mapping[str, Joint]:
    """Return where others can stand: on its top."""
    first, near = values.first, setting.frame.eye.distance_mm
    _, height = size(values.outline("outline"))
    return {"on_top": Joint("on top of", Point(first.x, first.y + height), "", near)}


FRONT = Build(
    sentence=(
        Clause("A shape with {outline}, {left} from the left edge and {bottom} up. "),
        Clause("Depth {depth_by}, {depth} along {depth_corner}. ", {"depth_by": ("measured",)}),
        Clause("Depth {depth_by} along {depth_corner}. ", {"depth_by": ("half",)}),
        Clause("{look}."),
    ),
    handles=(
        Handle("place", "Move the shape", tuple(p.name for p in FIRST_CORNER), _drag_place, "place"),
        Handle("size", "Stretch the shape", ("outline",), _drag_size, "size"),
        Handle("depth", "Change the depth", ("depth",), _drag_depth),
    ),
    corners=CornerHandles(("outline",), _drag_corner),
    solid=solid,
    recipe=recipe,
    handles_at=handles_at,
    spans=spans,
    free_lines=free_lines,
    place=place,
    follow=follow,
    true_length=true_length,
    joints=joints,
    panels=panels,
)
