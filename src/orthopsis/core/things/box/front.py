"""A box in one-point perspective: front face drawn true, depth cut along a guide line.

It knows boxes whose front is parallel to the picture, anywhere about the point, as deep as measured, about half
way, or a true cube. An open one has no front face: one looks into it.
"""

from collections.abc import Mapping

from orthopsis.core.errors import GeometryError
from orthopsis.core.plane.homogeneous import Point, between, distance, toward
from orthopsis.core.sheet.ruler import round_to
from orthopsis.core.things.box.face import (
    corner_points,
    depth_corner,
    depth_share,
    goal_of,
    guided_corners,
    height_of,
    panels,
    solid,
)
from orthopsis.core.things.box.front_recipe import recipe
from orthopsis.core.things.declare import Build, Clause, Handle, Values, stand_on_front
from orthopsis.core.things.depth import dragged, kept
from orthopsis.core.things.parameters import FIRST_CORNER, Value
from orthopsis.core.things.standing import Joint, Setting
from orthopsis.core.view.aim import AimRole


def _drag_place(values: Values, setting: Setting, at: Point) -> Mapping[str, Value]:
    return {"left": at.x, "bottom": at.y}


def _drag_size(values: Values, setting: Setting, at: Point) -> Mapping[str, Value]:
    least = setting.sheet.division_mm
    width = max(at.x - values.mm("left"), least)
    if values.word("depth_by") == "cube":
        return {"width": max(width, at.y - values.mm("bottom"), least)}
    return {"width": width, "height": max(at.y - values.mm("bottom"), least)}


def _drag_depth(values: Values, setting: Setting, at: Point) -> Mapping[str, Value]:
    start = corner_points(values)[depth_corner(values, setting)]
    return dragged(setting, start, goal_of(setting), at)


def handles_at(values: Values, setting: Setting) -> Mapping[str, Point]:
    """Return where the handles are; there is none for a depth that cannot be dragged."""
    points = corner_points(values)
    result = {"place": points["bottom_left"], "size": points["top_right"]}
    if values.word("depth_by") != "cube" and guided_corners(values, setting):
        corner = depth_corner(values, setting)
        result["depth"] = between(points[corner], goal_of(setting), depth_share(values, setting))
    return result


def spans(values: Values, setting: Setting) -> Mapping[str, tuple[Point, Point]]:
    """Return between which points each length is measured."""
    p = corner_points(values)
    low = p["bottom_left"]
    result = {
        "left": (Point(0.0, low.y), low),
        "bottom": (Point(low.x, 0.0), low),
        "width": (low, p["bottom_right"]),
        "height": (p["bottom_right"], p["top_right"]),
    }
    if values.word("depth_by") == "measured":
        start = p[depth_corner(values, setting)]
        result["depth"] = (start, toward(start, goal_of(setting), values.mm("depth")))
    return result


_FRESH_PLACES = ((0.08, -1), (0.76, 1), (0.72, -1), (0.12, 0), (0.30, 1), (0.34, -1), (0.80, 0), (0.55, 1))
"""Where new boxes land: share of the sheet's width, and below (-1), across (0) or above (1) the eye level."""


def place(setting: Setting, count: int) -> Mapping[str, Value]:
    """Return values for one more box, where it is likely to have room; after eight it begins again, aside."""
    sheet, goal = setting.sheet, goal_of(setting)
    size = setting.fresh_size
    across, side = _FRESH_PLACES[count % len(_FRESH_PLACES)]
    aside = (count // len(_FRESH_PLACES)) * size / 3
    heights = {-1: goal.y * 0.4 - size / 2, 0: goal.y - size * 0.6, 1: (goal.y + sheet.height_mm) / 2 - size / 2}
    return {
        "left": max(0.0, round_to(setting.across(across) + aside, sheet.division_mm)),
        "bottom": max(0.0, round_to(heights[side] + aside / 2, sheet.division_mm)),
        "width": size,
        "height": size,
        "depth_by": "half",
    }


def needs(values: Values) -> frozenset[AimRole]:
    """Return the aids of the view that are used: the distance points, for a cube."""
    return frozenset(("left_distance", "right_distance")) if values.word("depth_by") == "cube" else frozenset()


def free_lines(values: Values, setting: Setting) -> Mapping[str, tuple[str, ...]]:
    """Return the lines whose place is free: the back's, if the depth is by eye."""
    return {setting.frame.name: ("back.",)} if values.word("depth_by") == "half" else {}


def follow(values: Values, setting: Setting, name: str, value: Value) -> Mapping[str, Value]:
    """Return the measured depth that leaves the drawing as it is, when the depth begins to be measured."""
    if name != "depth_by" or value != "measured" or not guided_corners(values, setting):
        return {}
    reach = distance(corner_points(values)[depth_corner(values, setting)], goal_of(setting))
    return kept(setting, reach, depth_share(values, setting))


def true_length(values: Values, setting: Setting, role: str) -> float:
    """Return how long the box is in the world along ``up`` or ``away``, at the scale of its front, mm."""
    if role == "up":
        return height_of(values)
    return setting.frame.eye.world_length(goal_of(setting), depth_share(values, setting))


def joints(values: Values, setting: Setting) -> Mapping[str, Joint]:
    """Return where others can stand: on its top, beside it to the right, and behind it at the same height."""
    points, near = corner_points(values), setting.frame.eye.distance_mm
    n = values.full
    result = {
        "on_top": Joint("on top of", points["top_left"], "", near),
        "beside_right": Joint("to the right of", points["bottom_right"], n("front.bottom_right"), near),
    }
    if "bottom_left" in guided_corners(values, setting):
        share = depth_share(values, setting)
        back = between(points["bottom_left"], goal_of(setting), share)
        result["behind"] = Joint("behind", back, n("back.bottom_left"), near / (1 - share))
    over = (points["top_left"], n("front.top_left"))
    says = "further back in line with"
    result["in_line"] = Joint(says, points["bottom_left"], n("front.bottom_left"), near, over, "away")
    return result


def stand(values: Values, setting: Setting, joint: Joint) -> Mapping[str, Value]:
    """Return the place of the first corner at a joint, and the height where it is in line with another."""
    if joint.top is None:
        return stand_on_front(values, setting, joint)
    if values.word("depth_by") == "cube":
        raise GeometryError(
            "cannot_join",
            f"“{values.name}” is a cube: its height follows from its width, not from another thing.",
            "Measure its depth, or cut it half way.",
            about="depth_by",
            nearest="half",
        )
    height = distance(joint.corner, joint.top[0])
    return {"left": joint.corner.x, "bottom": joint.corner.y, "height": height}


FRONT = Build(
    sentence=(
        Clause("Front face {width} wide and {height} tall", {"depth_by": ("measured", "half")}),
        Clause("Front face {width} square", {"depth_by": ("cube",)}),
        Clause(", {left} from the left edge and {bottom} up. "),
        Clause("Depth {depth_by}: {depth} along {depth_corner}. ", {"depth_by": ("measured",)}),
        Clause("Depth {depth_by} along {depth_corner}. ", {"depth_by": ("half",)}),
        Clause("Depth: {depth_by}, by the distance points. ", {"depth_by": ("cube",)}),
        Clause("{look}."),
    ),
    handles=(
        Handle("place", "Move the box", tuple(p.name for p in FIRST_CORNER), _drag_place, "place"),
        Handle("size", "Change width and height", ("width", "height"), _drag_size, "size"),
        Handle("depth", "Change the depth", ("depth",), _drag_depth),
    ),
    solid=solid,
    recipe=recipe,
    handles_at=handles_at,
    spans=spans,
    free_lines=free_lines,
    needs=needs,
    place=place,
    follow=follow,
    true_length=true_length,
    joints=joints,
    stand=stand,
    panels=panels,
)
