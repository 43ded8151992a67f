"""What is said of each kind of view: its frame, its sentence, what can be typed and dragged, and how it is set up.

A new kind of view is one entry here. Places are named by the fields of its document; ``distance``, ``turn`` and
``tilt`` are the textbook's words for the same points and are read back from them.
"""

import math
from collections.abc import Callable, Mapping, Sequence
from dataclasses import dataclass, replace
from typing import Any, Literal

from orthopsis.core.construct.moves import Act, Measure, Offset, Shift
from orthopsis.core.errors import GeometryError
from orthopsis.core.plane.homogeneous import Point
from orthopsis.core.plane.tolerance import SAME_POINT_MM
from orthopsis.core.sheet.length import format_limit
from orthopsis.core.sheet.paper import Half, Sheet
from orthopsis.core.sheet.ruler import round_to
from orthopsis.core.view.aim import AIDS, Aim, AimRole, frame_aims
from orthopsis.core.view.frame import (
    Frame,
    one_point_frame,
    three_point_frame,
    two_point_frame,
)
from orthopsis.core.view.stance import Stance, level_points, stance_of, third_point

LONGEST_STRIP_MM = 2000.0
"""A point may lie this far off the sheet: more paper is not taped on in a classroom (no source)."""

PlaceKind = Literal["length", "height", "free_length", "angle"]
Changes = dict[str, float | None]


@dataclass(frozen=True, slots=True)
class ViewPlace:
    """A value of a view that is edited in its sentence.

    Attributes:
        read: its value from document and frame; None where it is not stated.
        write: what changes in the document when it is set; it may ask for the frame, if there is one.
    """

    kind: PlaceKind
    says: str
    read: Callable[[Any, Frame], float | None]
    write: Callable[[Any, Callable[[], Frame], float | None], Changes]


@dataclass(frozen=True, slots=True)
class ViewHandle:
    """A point of a view that can be dragged."""

    says: str
    at: Callable[[Any, Frame], Point]
    drag: Callable[[Point], Changes]
    measures: tuple[str, ...]


@dataclass(frozen=True, slots=True)
class ViewKindWords:
    """A kind of view, whole.

    Attributes:
        title: its word on the screen, and in the sentence.
        frame: the frame of a document of this kind, for an eye level at a height on a sheet.
        sentence: template; the second one is added when the frame is metric, the third when it is free.
        fresh: the fields of a new one.
        setup: the moves that mark its points; each with its breath.
    """

    title: str
    frame: Callable[[Any, float], Frame]
    sentence: tuple[str, str, str]
    places: Mapping[str, ViewPlace]
    handles: Mapping[str, ViewHandle]
    fresh: Callable[[float, Sheet, Half], Mapping[str, float | None]]
    setup: Callable[[Any, Frame, Sheet, Half, frozenset[AimRole]], list[tuple[str, Act]]]


def _field(name: str, says: str, kind: PlaceKind = "length") -> ViewPlace:
    return ViewPlace(kind, says, lambda view, frame: getattr(view, name), lambda view, frame, value: {name: value})


def _stance_place(name: str, says: str, kind: PlaceKind) -> ViewPlace:
    def read(view: Any, frame: Frame) -> float | None:
        return float(getattr(stance_of(frame), name)) if frame.is_metric else None

    def write(view: Any, frame_now: Callable[[], Frame], value: float | None) -> Changes:
        frame = frame_now()
        stance = replace(stance_of(frame), **{name: 0.0 if value is None else value})
        return _points_of(view, frame, stance)

    return ViewPlace(kind, says, read, write)


def _points_of(view: Any, frame: Frame, stance: Stance) -> Changes:
    left, right = level_points(stance)
    if view.kind == "two_point":
        return {"left_mm": left, "right_mm": right, "centre_mm": stance.centre_x}
    x, y = third_point(stance, frame.level_mm)
    return {"left_mm": left, "right_mm": right, "third_x_mm": x, "third_y_mm": y}


def _on_level(field: str, says: str) -> ViewHandle:
    return ViewHandle(
        says,
        lambda view, frame: Point(getattr(view, field), frame.level_mm),
        lambda at: {field: at.x},
        (field,),
    )


def _mark_on_level(name: str, x: float) -> Act:
    return Shift(name, "@left mark", x)


def light_setup(aims: Sequence[Aim], sheet: Sheet) -> list[tuple[str, Act]]:
    """Return the acts that mark the points of a light which does not stand beside the picture, each with its breath."""
    at = {aim.role: aim for aim in aims}
    if (foot := at.get("lamp_foot")) is not None:
        acts: list[Act] = [Measure(foot.name, *foot.at.xy)]
        high = [Offset(lamp.name, foot.name, 0.0, lamp.at.y - foot.at.y) for lamp in aims if lamp.role == "lamp"]
        return [("setup.lamp", act) for act in acts + high]
    if (shadow := at.get("shadow")) is None:
        return []
    is_off = any(not sheet.holds(*aim.at.xy) for aim in aims)
    where = "setup.sun_on_strips" if is_off else "setup.sun"
    rays = [Offset(light.name, shadow.name, 0.0, light.at.y - shadow.at.y) for light in aims if light.role == "light"]
    return [(where, act) for act in (_mark_on_level(shadow.name, shadow.at.x), *rays)]


def _one_point_setup(
    view: Any, frame: Frame, sheet: Sheet, half: Half, needed: frozenset[AimRole]
) -> list[tuple[str, Act]]:
    acts: list[tuple[str, Act]] = [("setup.point", _mark_on_level(frame.name, view.x_mm))]
    aids = [aim for aim in frame_aims(frame) if aim.role in AIDS & needed]
    return acts + [("setup.distance", Shift(aim.name, frame.name, aim.at.x - view.x_mm)) for aim in aids]


def _corner_setup(
    view: Any, frame: Frame, sheet: Sheet, half: Half, needed: frozenset[AimRole]
) -> list[tuple[str, Act]]:
    low, high = sheet.part(half)
    at_ends = max(abs(view.left_mm - low), abs(view.right_mm - high)) < SAME_POINT_MM
    on_sheet = view.left_mm >= 0 and view.right_mm <= sheet.width_mm
    ends = "setup.points_at_ends" if half == "whole" else f"setup.points_on_{half}_half"
    breath = ends if at_ends else "setup.points" if on_sheet else "setup.points_on_strips"
    acts = [
        (breath, _mark_on_level(frame.way(role).family, x))
        for role, x in (("left", view.left_mm), ("right", view.right_mm))
    ]
    if view.kind == "three_point":
        off = not 0 <= view.third_y_mm <= sheet.height_mm
        third = "setup.third_on_strip" if off else "setup.third"
        acts.append((third, Measure(frame.way("up").family, view.third_x_mm, view.third_y_mm)))
    aids = [aim for aim in frame_aims(frame) if aim.role in AIDS & needed]
    return acts + [("setup.measuring", _mark_on_level(aim.name, aim.at.x)) for aim in aids]


def _fresh_third(level_mm: float, sheet: Sheet, half: Half) -> Mapping[str, float | None]:
    low, high = sheet.part(half)
    way = -1.0 if level_mm >= sheet.height_mm / 2 else 1.0
    y = round_to(level_mm + way * 0.75 * (high - low), sheet.division_mm)
    return {**_fresh_ends(sheet, half), "third_x_mm": (low + high) / 2, "third_y_mm": y}


def _fresh_ends(sheet: Sheet, half: Half) -> Mapping[str, float | None]:
    low, high = sheet.part(half)
    return {"left_mm": low, "right_mm": high}


_STANCE = "Then the eye is {distance} from the page and its gaze turned {turn} to the right-hand lines"
_POINTS = {
    "left_mm": _field("left_mm", "the place of the left point"),
    "right_mm": _field("right_mm", "the place of the right point"),
    "distance": _stance_place("distance_mm", "the viewing distance", "length"),
    "turn": _stance_place("turn_deg", "the turn of the subject", "angle"),
}
_POINT_HANDLES = {
    "left": _on_level("left_mm", "Move the left point along the eye level"),
    "right": _on_level("right_mm", "Move the right point along the eye level"),
}

VIEWS: dict[str, ViewKindWords] = {
    "one_point": ViewKindWords(
        title="One point",
        frame=lambda view, level: one_point_frame(view.name, Point(view.x_mm, level), view.distance_mm),
        sentence=("{kind}, {x_mm} from the left edge, seen from {distance_mm}.", "", ""),
        places={
            "x_mm": _field("x_mm", "the place of the point"),
            "distance_mm": _field("distance_mm", "the viewing distance", "free_length"),
        },
        handles={"point": _on_level("x_mm", "Move the vanishing point along the eye level")},
        fresh=lambda level, sheet, half: {"x_mm": round_to(sum(sheet.part(half)) / 2, sheet.division_mm)},
        setup=_one_point_setup,
    ),
    "two_point": ViewKindWords(
        title="Two points",
        frame=lambda view, level: two_point_frame(
            view.name, Point(view.left_mm, level), Point(view.right_mm, level), view.centre_mm
        ),
        sentence=(
            "{kind}, {left_mm} and {right_mm} from the left edge, the eye over {centre_mm}.",
            f" {_STANCE}.",
            "",
        ),
        places={**_POINTS, "centre_mm": _field("centre_mm", "where the eye looks at the page", "free_length")},
        handles=_POINT_HANDLES,
        fresh=lambda level, sheet, half: {**_fresh_ends(sheet, half), "centre_mm": None},
        setup=_corner_setup,
    ),
    "three_point": ViewKindWords(
        title="Three points",
        frame=lambda view, level: three_point_frame(
            view.name,
            Point(view.left_mm, level),
            Point(view.right_mm, level),
            Point(view.third_x_mm, view.third_y_mm),
        ),
        sentence=(
            "{kind}, {left_mm} and {right_mm} from the left edge, the third {third_x_mm} from the left and "
            "{third_y_mm} up.",
            f" {_STANCE}, lowered by {{tilt}}.",
            " No eye sees it like this, because the triangle of points is obtuse: it can be drawn, not measured.",
        ),
        places={
            **_POINTS,
            "third_x_mm": _field("third_x_mm", "the place of the third point"),
            "third_y_mm": _field("third_y_mm", "the height of the third point", "height"),
            "tilt": _stance_place("tilt_deg", "the tilt of the gaze", "angle"),
        },
        handles={
            **_POINT_HANDLES,
            "third": ViewHandle(
                "Move the third point",
                lambda view, frame: Point(view.third_x_mm, view.third_y_mm),
                lambda at: {"third_x_mm": at.x, "third_y_mm": at.y},
                ("third_x_mm", "third_y_mm"),
            ),
        },
        fresh=_fresh_third,
        setup=_corner_setup,
    ),
}


def frame_of(view: Any, level_mm: float, sheet: Sheet) -> Frame:
    """Return the frame of a view.

    Raises:
        GeometryError: a point is off the sheet where it may not be, or farther off than paper is taped on.
    """
    _check_reach(view, sheet)
    return VIEWS[view.kind].frame(view, level_mm)


def _check_reach(view: Any, sheet: Sheet) -> None:
    most = 0.0 if view.kind == "one_point" else LONGEST_STRIP_MM
    for field in ("x_mm", "left_mm", "right_mm", "third_x_mm", "third_y_mm"):
        value = getattr(view, field, None)
        size = sheet.height_mm if field == "third_y_mm" else sheet.width_mm
        if value is None or (-most <= value <= size + most and math.isfinite(value)):
            continue
        limit, is_least = (-most, True) if value < 0 else (size + most, False)
        nearest = format_limit(limit, sheet.units, sheet.division_mm, is_least=is_least)
        if most == 0.0:
            raise GeometryError(
                "point_off_sheet", "The vanishing point is not on the sheet's eye level.",
                f"Put it between the sheet's left and right edge; the nearest is {nearest}.",
                about=field, nearest=nearest,
            )  # fmt: skip
        raise GeometryError(
            "strip_too_long", "The point lies farther off the sheet than paper is taped on.",
            f"The nearest that works is {nearest}.", about=field, nearest=nearest,
        )  # fmt: skip


def fresh_view(kind: str, name: str, level_mm: float, sheet: Sheet, half: Half = "whole") -> dict[str, Any]:
    """Return a new view of a kind on a part of the sheet, as document data."""
    return {"kind": kind, "name": name, "half": half, **VIEWS[kind].fresh(level_mm, sheet, half)}
