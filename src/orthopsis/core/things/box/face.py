"""The front of a box in one-point perspective: where its corners are, how deep the box is, and its solid."""

from collections.abc import Mapping
from functools import lru_cache

import numpy as np

from orthopsis.core.construct.count import guide_corners
from orthopsis.core.construct.panel import Panel, vector
from orthopsis.core.errors import GeometryError
from orthopsis.core.plane.homogeneous import Point, between, distance
from orthopsis.core.sight.solid import Edge, Face, Solid, Topology
from orthopsis.core.things.declare import Values
from orthopsis.core.things.depth import FARTHEST_SHARE, HALF_WAY, measured_share
from orthopsis.core.things.standing import Setting

CORNERS = ("bottom_left", "bottom_right", "top_right", "top_left")
"""Round the front face, anticlockwise as the viewer sees it."""

EDGE = {
    frozenset(("bottom_left", "bottom_right")): ("bottom", "level"),
    frozenset(("top_left", "top_right")): ("top", "level"),
    frozenset(("bottom_left", "top_left")): ("left", "upright"),
    frozenset(("bottom_right", "top_right")): ("right", "upright"),
}
SIDE_FACES = {
    "bottom": ("bottom_left", "bottom_right"),
    "right": ("bottom_right", "top_right"),
    "top": ("top_right", "top_left"),
    "left": ("top_left", "bottom_left"),
}


@lru_cache(maxsize=1024)
def corner_points(values: Values) -> Mapping[str, Point]:
    """Return the corners of the front on the page, mm."""
    x, y = values.first.xy
    w, h = values.mm("width"), height_of(values)
    return {
        "bottom_left": Point(x, y),
        "bottom_right": Point(x + w, y),
        "top_right": Point(x + w, y + h),
        "top_left": Point(x, y + h),
    }


def goal_of(setting: Setting) -> Point:
    """Return the vanishing point of what goes away."""
    return setting.frame.way("away").goal


def height_of(values: Values) -> float:
    """Return the height of the front, mm; a cube is as tall as it is wide."""
    return values.mm("width") if values.word("depth_by") == "cube" else values.mm("height")


@lru_cache(maxsize=1024)
def guided_corners(values: Values, setting: Setting) -> tuple[str, ...]:
    """Return the corners that get a guide line, round the front."""
    points = corner_points(values)
    goal = goal_of(setting)
    for name, point in points.items():
        if distance(point, goal) < setting.sheet.division_mm / 4:
            raise GeometryError(
                "corner_on_point",
                f"The {name.replace('_', ' ')} corner of “{values.name}” lies on the vanishing point.",
                "Move the box by one mark of the ruler.",
                about="left",
            )
    if values.is_see_through or values.is_open:
        return CORNERS
    return tuple(CORNERS[i] for i in guide_corners([points[c] for c in CORNERS], goal))


def depth_corner(values: Values, setting: Setting) -> str:
    """Return the corner along whose guide line the depth is cut."""
    guided = guided_corners(values, setting)
    chosen = values.word("depth_corner")
    points = corner_points(values)
    best = max(guided or CORNERS, key=lambda c: (round(distance(points[c], goal_of(setting)), 3), c))
    if chosen == "auto" or chosen in guided or not guided:
        return best if chosen == "auto" else chosen
    raise GeometryError(
        "no_guide_line",
        f"The {chosen.replace('_', ' ')} corner of “{values.name}” has no guide line: it would cross the front.",
        f"Measure along the one of the {best.replace('_', ' ')} corner.",
        about="depth_corner",
        nearest=best,
    )


@lru_cache(maxsize=1024)
def depth_share(values: Values, setting: Setting) -> float:
    """Return how far along its guide line the depth is cut, 0 at the front, 1 at the point."""
    how = values.word("depth_by")
    if how == "half":
        return HALF_WAY
    if how == "cube":
        check_metric(values, setting)
        width, d = values.mm("width"), setting.frame.distance_mm
        return width / (d + width)
    reach = distance(corner_points(values)[depth_corner(values, setting)], goal_of(setting))
    if not guided_corners(values, setting) and values.mm("depth") > FARTHEST_SHARE * reach:
        return HALF_WAY
    return measured_share(values, setting, reach)


def panels(values: Values, setting: Setting) -> Mapping[str, Panel]:
    """Return the faces that can be divided: the front, and the sides whose edges are drawn."""
    guided, eye, goal = guided_corners(values, setting), setting.frame.eye, goal_of(setting)
    points, result = corner_points(values), dict[str, Panel]()
    across, up, away = (setting.frame.way(role) for role in ("across", "up", "away"))
    share = depth_share(values, setting)
    back = {c: between(p, goal, share) for c, p in points.items()}
    n, at = values.full, {c: eye.at(p) for c, p in points.items()}
    wide, high = at["bottom_right"] - at["bottom_left"], at["top_left"] - at["bottom_left"]
    if not values.is_open:
        result["front"] = Panel(
            says="front",
            face="front",
            low=n("front.bottom_left"),
            high=n("front.top_left"),
            far_low=n("front.bottom_right"),
            far_high=n("front.top_right"),
            first=n("front.left"),
            bottom=n("front.bottom"),
            top=n("front.top"),
            far=n("front.right"),
            along=across,
            up=up,
            drawn_from="low",
            page=(points["bottom_left"], points["bottom_right"], points["top_right"], points["top_left"]),
            start=vector(at["bottom_left"]),
            axes=(vector(wide), vector(high)),
            first_says="left edge of the front",
        )
    deep = eye.ray(goal) * eye.world_length(goal, share)
    for side, (one, two) in SIDE_FACES.items():
        low, top = (one, two) if side in ("right", "bottom") else (two, one)
        if not {low, top} <= set(guided) or not (values.shows_inside or _is_outward(side, points[low], goal)):
            continue
        is_level = side in ("top", "bottom")
        result[side] = Panel(
            says=side if is_level else f"{side} side",
            face=side,
            low=n(f"front.{low}"),
            high=n(f"front.{top}"),
            far_low=n(f"back.{low}"),
            far_high=n(f"back.{top}"),
            first=n(f"front.{side}"),
            bottom=n(f"guide.{low}"),
            top=n(f"guide.{top}"),
            far=n(f"back.{side}"),
            along=away,
            up=across if is_level else up,
            drawn_from="low",
            page=(points[low], back[low], back[top], points[top]),
            start=vector(at[low]),
            axes=(vector(deep), vector(wide if is_level else high)),
            first_says=f"{side} edge of the front",
        )
    return result


def _is_outward(side: str, corner: Point, goal: Point) -> bool:
    """Tell whether a side's outer face is turned toward the eye."""
    return {
        "left": goal.x < corner.x,
        "right": goal.x > corner.x,
        "bottom": goal.y < corner.y,
        "top": goal.y > corner.y,
    }[side]


def check_metric(values: Values, setting: Setting) -> None:
    if not setting.frame.is_metric:
        raise GeometryError(
            "no_distance",
            f"“{values.name}” as a true cube needs the viewing distance, and none is given.",
            "Say first from how far the sheet is seen, or measure the depth.",
            about="depth_by",
            nearest="measured",
        )


def solid(values: Values, setting: Setting) -> Solid:
    """Return the box in the world of the frame's eye: its front lies in the picture plane."""
    eye, goal = setting.frame.eye, goal_of(setting)
    away = eye.ray(goal) * eye.world_length(goal, depth_share(values, setting))
    points = corner_points(values)
    front = np.array([eye.at(points[c]) for c in CORNERS])
    return Solid(_topology(setting.frame.name, is_open=values.is_open), np.vstack((front, front + away)))


@lru_cache(maxsize=64)
def _topology(goal_name: str, *, is_open: bool) -> Topology:
    names = tuple(f"{side}.{corner}" for side in ("front", "back") for corner in CORNERS)
    faces = tuple(f for f in _faces() if not (is_open and f.name == "front"))
    return Topology(names, faces, _edges(goal_name), is_open=is_open, is_convex=not is_open)


def _faces() -> tuple[Face, ...]:
    sides = [
        Face(side, (f"front.{b}", f"front.{a}", f"back.{a}", f"back.{b}"), side) for side, (a, b) in SIDE_FACES.items()
    ]
    return (
        Face("front", tuple(f"front.{c}" for c in CORNERS), "front"),
        Face("back", tuple(f"back.{c}" for c in reversed(CORNERS)), "back"),
        *sides,
    )


def _edges(goal_name: str) -> tuple[Edge, ...]:
    result = []
    for side in ("front", "back"):
        for a, b in zip(CORNERS, (*CORNERS[1:], CORNERS[0]), strict=True):
            name, runs = EDGE[frozenset((a, b))]
            result.append(Edge(f"{side}.{name}", f"{side}.{a}", f"{side}.{b}", runs))
    result += [Edge(f"depth.{c}", f"front.{c}", f"back.{c}", goal_name) for c in CORNERS]
    return tuple(result)
