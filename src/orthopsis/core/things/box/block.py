"""A block about its nearest edge, in two- and three-point perspective: its shape, and where others may stand.

The box in such views is this block; a profile is cut out of it. Corners are called ``near``, ``left``, ``right`` and
``far``, each at the ``bottom`` and the ``top``. The first corner is where the nearest edge begins: at the bottom, or at
the top in a bird's-eye view, where the edge runs down to the third point. It lies in the picture plane.

It knows sides measured on the page, cut half way, of a true length, and as long as the nearest edge is high.
"""

import math
from collections.abc import Mapping
from typing import Literal

import numpy as np
from propcache.api import cached_property

from orthopsis.core.errors import GeometryError
from orthopsis.core.plane.homogeneous import Point, between, distance, join, meet, toward
from orthopsis.core.sheet.length import format_mark
from orthopsis.core.sheet.ruler import round_to
from orthopsis.core.things.parameters import Value
from orthopsis.core.things.setting import Joint, Setting
from orthopsis.core.things.standing import Standing
from orthopsis.core.view.eye import Array

Role = Literal["left", "right"]
ROLES: tuple[Role, Role] = ("left", "right")
HALF_WAY = 0.5
FARTHEST_SHARE = 0.97
"""Nothing is cut nearer to a vanishing point than this share of the way: it would be a dot."""


def other(role: Role) -> Role:
    """Return the other side."""
    return "right" if role == "left" else "left"


def goal(setting: Setting, role: str) -> Point:
    """Return the vanishing point of a direction."""
    return setting.frame.way(role).goal


def first_level(setting: Setting) -> str:
    """Return the level of the first corner: where the nearest edge begins."""
    frame = setting.frame
    return "top" if frame.kind == "three_point" and not frame.has_third_above else "bottom"


def second_level(setting: Setting) -> str:
    """Return the level of the nearest edge's other end."""
    return "bottom" if first_level(setting) == "top" else "top"


UPRIGHTS = ("near", "left", "right", "far")
END_WORDS = {"bottom": "foot", "top": "top"}
"""What the ends of an upright are called."""


class Block(Standing):
    """A block about its nearest edge."""

    @cached_property
    def first(self) -> str:
        """The level of the first corner."""
        return first_level(self.setting)

    @cached_property
    def second(self) -> str:
        """The level of the nearest edge's other end."""
        return second_level(self.setting)

    def goal(self, role: str) -> Point:
        """Return the vanishing point of a direction."""
        return goal(self.setting, role)

    def family(self, role: str) -> str:
        """Return the name of the point to which a direction runs."""
        return self.setting.frame.way(role).family

    @cached_property
    def near_edge(self) -> Mapping[str, Point]:
        """The two ends of the nearest edge, by level.

        Raises:
            GeometryError: it does not stand between the vanishing points, or is longer than the way to the third.
        """
        values, setting = self.values, self.setting
        first, up, height = values.first, self.goal("up"), values.mm("height")
        left, right = (self.goal(role) for role in ROLES)
        self._check_between(left, right)
        if up.is_ideal:
            return {"bottom": first, "top": Point(first.x, first.y + height)}
        if (first.y - left.y) * (up.y - left.y) >= 0 and not _is_within(first, left, right, up):
            raise GeometryError(
                "outside_triangle",
                f"“{values.name}” begins outside of the triangle of the three points.",
                "Move its nearest corner inside, toward the middle.",
                about="left",
            )
        reach = distance(first, up)
        if height > FARTHEST_SHARE * reach:
            division = setting.sheet.division_mm
            most = self._shown(math.floor(FARTHEST_SHARE * reach / division) * division)
            raise GeometryError(
                "edge_past_point",
                f"The nearest edge of “{values.name}” is longer than the way to the third point.",
                f"The longest that works is {most}.",
                about="height",
                nearest=most,
            )
        return {self.first: first, self.second: toward(first, up, height)}

    def _check_between(self, left: Point, right: Point) -> None:
        division, first = self.setting.sheet.division_mm, self.values.first
        if left.x + division / 2 <= first.x <= right.x - division / 2:
            return
        nearest = left.x + division if first.x < left.x + division else right.x - division
        shown = self._shown(round_to(nearest, division))
        raise GeometryError(
            "edge_passes_point",
            f"The nearest edge of “{self.values.name}” does not stand between the two points.",
            f"The nearest place that works is {shown} from the left edge.",
            about="left",
            nearest=shown,
        )

    def _shown(self, mm: float) -> str:
        sheet = self.setting.sheet
        return format_mark(mm, sheet.units, sheet.division_mm)

    @cached_property
    def true_height(self) -> float:
        """World length of the nearest edge, at the scale of its first corner."""
        up = self.goal("up")
        if up.is_ideal:
            return self.values.mm("height")
        reach = distance(self.near_edge[self.first], up)
        return self.setting.frame.eye.world_length(up, self.values.mm("height") / reach)

    @cached_property
    def side_shares(self) -> Mapping[Role, float]:
        """How far toward its vanishing point each side is cut, 0 at the nearest edge, 1 at the point.

        Raises:
            GeometryError: the measure passes the point, or a true length is asked of a frame without an eye.
        """
        return {role: self._side_share(role) for role in ROLES}

    def _side_share(self, role: Role) -> float:
        how, reach, division = self.values.word(f"{role}_by"), self.side_reach(role), self.setting.sheet.division_mm
        if how == "half":
            return HALF_WAY
        if how in ("true", "cube"):
            self._check_metric(role)
            length = self.values.mm(f"{role}_length") if how == "true" else self.true_height
            share = self.setting.frame.eye.page_share(self.goal(role), length)
        else:
            share = self.values.mm(f"{role}_length") / reach
        if share <= FARTHEST_SHARE:
            return share
        shown = self._shown(math.floor(FARTHEST_SHARE * reach / division) * division)
        is_measured = how == "measured"
        raise GeometryError(
            "side_past_point",
            f"The {role} side of “{self.values.name}” reaches past its vanishing point.",
            f"The longest that works is {shown}." if is_measured else "Make it shorter.",
            about=f"{role}_length",
            nearest=shown if is_measured else "",
        )

    def side_reach(self, role: Role) -> float:
        """Return how far a side could be measured: aside to the point, or along the guide if uprights converge."""
        first, point = self.near_edge[self.first], self.goal(role)
        return abs(point.x - first.x) if self.setting.frame.kind == "two_point" else distance(first, point)

    def _check_metric(self, role: Role) -> None:
        if not self.setting.frame.is_metric:
            raise GeometryError(
                "no_distance",
                f"The {role} side of “{self.values.name}” has a true length only if the place of the eye is known.",
                "Say first over which place of the eye level the eye is, or measure the side on the page.",
                about=f"{role}_by",
                nearest="measured",
            )

    def end_corner(self, role: Role, level: str) -> Point:
        """Return where the end of a side lies on the page, by the share of its guide line."""
        share, point = self.side_shares[role], self.goal(role)
        end = between(self.near_edge[self.first], point, share)
        if level == self.first:
            return end
        return meet(join(end, self.goal("up")), join(self.near_edge[level], point))

    @cached_property
    def axes(self) -> tuple[Array, Mapping[str, Array]]:
        """The first corner in the world, and the world vectors of the left, right and upright edges from there.

        The upright vector leads from the first corner to the other end of the nearest edge.
        """
        eye = self.setting.frame.eye
        vectors: dict[str, Array] = {
            role: eye.ray(self.goal(role)) * eye.world_length(self.goal(role), self.side_shares[role]) for role in ROLES
        }
        up = eye.ray(self.goal("up")) * self.true_height
        return eye.at(self.values.first), {**vectors, "up": np.asarray(up)}

    @cached_property
    def foot(self) -> Array:
        """The foot of the nearest edge in the world."""
        start, vectors = self.axes
        return start if self.first == "bottom" else np.asarray(start + vectors["up"])

    @cached_property
    def corner_words(self) -> Mapping[str, str]:
        """At which end of its upright each corner lies."""
        return {f"{upright}.{level}": words for upright in UPRIGHTS for level, words in END_WORDS.items()}

    @cached_property
    def joints(self) -> Mapping[str, Joint]:
        """Where others can stand: on its nearest edge, and against the ends of its sides."""
        start, vectors = self.axes
        low, high = self.foot, start + vectors["up"] if self.first == "bottom" else start
        n, edge = self.values.full, self.near_edge
        result = {
            "on_top": Joint("on top of", edge["top"], n("near.top"), float(high[2]), at="top of the nearest edge")
        }
        for role in ROLES:
            end = self.end_corner(role, "bottom")
            depth = float((low + vectors[role])[2])
            foot = f"foot of the {role} end"
            result[f"against_{role}"] = Joint(f"against the {role} end of", end, n(f"{role}.bottom"), depth, at=foot)
            over = (edge["top"], n("near.top"))
            says = f"further {role} in line with"
            foot = "foot of the nearest edge"
            result[f"in_line_{role}"] = Joint(says, edge["bottom"], n("near.bottom"), float(low[2]), over, role, foot)
            over, says = (self.end_corner(role, "top"), n(f"{role}.top")), f"beyond an alley {role} of"
            foot = f"foot of the {role} end"
            result[f"alley_{role}"] = Joint(says, end, n(f"{role}.bottom"), depth, over, role, foot, is_alley=True)
        return result

    def at_joint(self, joint: Joint) -> Mapping[str, Value]:
        """Return the place of the first corner with which the foot of the nearest edge comes to a joint."""
        first = joint.corner
        if joint.top is not None:
            begin = first if self.first == "bottom" else joint.top[0]
            return {"left": begin.x, "bottom": begin.y, "height": distance(first, joint.top[0])}
        if self.first == "top":
            first = toward(first, self.goal("up"), -self.values.mm("height"))
        return {"left": first.x, "bottom": first.y}

    @cached_property
    def foot_depth(self) -> float:
        """World depth of the foot of the nearest edge."""
        return float(self.foot[2])

    def shows(self, level: str) -> bool:
        """Tell whether the top or the bottom face is turned toward the eye."""
        height, edge = self.setting.frame.level_mm, self.near_edge
        return edge["top"].y < height if level == "top" else edge["bottom"].y > height


def _is_within(at: Point, a: Point, b: Point, c: Point) -> bool:
    turns = [(q.x - p.x) * (at.y - p.y) - (q.y - p.y) * (at.x - p.x) for p, q in ((a, b), (b, c), (c, a))]
    return all(t > 0 for t in turns) or all(t < 0 for t in turns)
