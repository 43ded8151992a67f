"""The points that lines of a sheet run to: what each is called, where it lies, what it is, and who brings it.

A frame brings its vanishing points and, where an eye of known place sees it, the aids that this eye gives. A thing may
bring points of its own, such as those of a slope.
"""

from collections.abc import Mapping
from dataclasses import dataclass
from typing import Literal

from orthopsis.core.errors import GeometryError
from orthopsis.core.plane.homogeneous import Point
from orthopsis.core.view.frame import (
    Frame,
    distance_names,
    distance_points,
    measuring_name,
    measuring_point,
)

AimRole = Literal[
    "centre", "left", "right", "third", "left_distance", "right_distance", "left_measuring", "right_measuring",
    "slope_above", "slope_below", "measuring", "light", "shadow", "lamp", "lamp_foot",
]  # fmt: skip
"""What a point is to the one who brings it."""
AIDS: frozenset[AimRole] = frozenset(
    {"left_distance", "right_distance", "left_measuring", "right_measuring", "measuring", "light", "lamp"}
)
"""Points that only help the hand: no edge of a thing runs to them."""
OF_SUN: frozenset[AimRole] = frozenset({"light", "shadow"})
"""Points that a sun brings which does not stand beside the picture: of its rays, and of shadows on level ground."""
OF_LAMP: frozenset[AimRole] = frozenset({"lamp", "lamp_foot"})
"""Points that a lamp brings: itself, and the place on the floor straight under it."""
OF_LIGHT = OF_SUN | OF_LAMP
SIDED_AIDS: Mapping[AimRole, tuple[Literal["left", "right"], Literal["distance", "measuring"]]] = {
    "left_distance": ("left", "distance"),
    "right_distance": ("right", "distance"),
    "left_measuring": ("left", "measuring"),
    "right_measuring": ("right", "measuring"),
}
"""Of the aids that come in pairs, on which side each lies and what it is."""


@dataclass(frozen=True, slots=True)
class Aim:
    """A point that lines run to.

    Attributes:
        name: its full name, as the moves use it.
        at: where it is, page mm; it is never at infinity.
        owner: the name of the view, or of the thing, that brings it.
    """

    name: str
    at: Point
    role: AimRole
    owner: str

    @property
    def is_vanishing(self) -> bool:
        """Whether edges of things run to it."""
        return self.role not in AIDS


def frame_aims(frame: Frame) -> tuple[Aim, ...]:
    """Return the points that a frame brings, the vanishing points first."""
    found = [Aim(name, at, _role(frame, name), frame.name) for name, at in frame.vanishing.items()]
    if not frame.is_metric:
        return tuple(found)
    if frame.kind == "one_point":
        left, right = zip(distance_names(frame), distance_points(frame), strict=True)
        return (*found, Aim(*left, "left_distance", frame.name), Aim(*right, "right_distance", frame.name))
    for side, role in (("left", "left_measuring"), ("right", "right_measuring")):
        try:
            found.append(Aim(measuring_name(frame, side), measuring_point(frame, side), role, frame.name))  # type: ignore[arg-type]
        except GeometryError:
            continue
    return tuple(found)


def _role(frame: Frame, name: str) -> AimRole:
    if frame.kind == "one_point":
        return "centre"
    roles: dict[str, AimRole] = {"left": "left", "right": "right", "up": "third"}
    return next(roles[way] for way, held in frame.ways if held.family == name)
