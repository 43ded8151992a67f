"""A block whose front is drawn true, in one-point perspective: its corners, how deep it is, its solid and faces."""

from collections.abc import Mapping
from functools import lru_cache

import numpy as np
from propcache.api import cached_property

from orthopsis.core.construct.count import guide_corners
from orthopsis.core.construct.panel import AROUND_FRONT, LEVEL_WORDS, Back, Panel, away_from, vector
from orthopsis.core.errors import GeometryError
from orthopsis.core.plane.homogeneous import Point, between, distance
from orthopsis.core.sight.solid import Edge, Face, Solid, Topology
from orthopsis.core.things.depth import FARTHEST_SHARE, HALF_WAY, measured_share
from orthopsis.core.things.lazily import Lazily
from orthopsis.core.things.standing import Standing
from orthopsis.core.view.eye import Array
from orthopsis.core.wording.names import Feature, LineKind

CORNERS = ("bottom_left", "bottom_right", "top_right", "top_left")
"""Round the front face, anticlockwise as the viewer sees it."""
CORNER_AT = {
    "bottom_left": ("bottom", "left"),
    "bottom_right": ("bottom", "right"),
    "top_right": ("top", "right"),
    "top_left": ("top", "left"),
}
"""At which of the level and of the upright sides each corner lies."""
CORNER_OF = {sides: corner for corner, sides in CORNER_AT.items()}
CORNER_WORDS = {corner: " ".join(sides) for corner, sides in CORNER_AT.items()}

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


OVER = {"left": "right", "right": "left", "top": "bottom", "bottom": "top"}
"""The side over against each."""


def opposite(corner: str, side: str) -> str:
    """Return the corner of the front across from one of a side: ``bottom_left`` from ``bottom_right`` of ``right``."""
    level, hand = CORNER_AT[corner]
    return CORNER_OF[(OVER[level], hand) if side in ("top", "bottom") else (level, OVER[hand])]


class FrontBlock(Standing):
    """A block whose front is parallel to the picture."""

    @cached_property
    def goal(self) -> Point:
        """The vanishing point of what goes away."""
        return self.setting.frame.way("away").goal

    @cached_property
    def height(self) -> float:
        """Height of the front, mm; a cube is as tall as it is wide."""
        return self.values.mm("width" if self.values.word("depth_by") == "cube" else "height")

    @cached_property
    def corners(self) -> Mapping[str, Point]:
        """The corners of the front on the page, mm."""
        x, y = self.values.first.xy
        w, h = self.values.mm("width"), self.height
        return {
            "bottom_left": Point(x, y),
            "bottom_right": Point(x + w, y),
            "top_right": Point(x + w, y + h),
            "top_left": Point(x, y + h),
        }

    @cached_property
    def corner_words(self) -> Mapping[str, str]:
        """Where each corner lies on its front or back: ``top left``."""
        return {f"{side}.{corner}": words for side in ("front", "back") for corner, words in CORNER_WORDS.items()}

    @cached_property
    def guided(self) -> tuple[str, ...]:
        """The corners that get a guide line, round the front."""
        for name, point in self.corners.items():
            if distance(point, self.goal) < self.setting.sheet.division_mm / 4:
                raise GeometryError(
                    "corner_on_point",
                    f"The {CORNER_WORDS[name]} corner of “{self.values.name}” lies on the vanishing point.",
                    "Move the box by one mark of the ruler.",
                    about="left",
                )
        if self.values.shows_inside:
            return CORNERS
        return tuple(CORNERS[i] for i in guide_corners([[self.corners[c] for c in CORNERS]], self.goal))

    @cached_property
    def depth_corner(self) -> str:
        """The corner along whose guide line the depth is cut."""
        guided, chosen = self.guided, self.values.word("depth_corner")
        best = max(guided or CORNERS, key=lambda c: (round(distance(self.corners[c], self.goal), 3), c))
        if chosen == "auto" or chosen in guided or not guided:
            return best if chosen == "auto" else chosen
        raise GeometryError(
            "no_guide_line",
            f"The {CORNER_WORDS[chosen]} corner of “{self.values.name}” has no guide line: it would cross the front.",
            f"Measure along the one of the {CORNER_WORDS[best]} corner.",
            about="depth_corner",
            nearest=best,
        )

    @cached_property
    def depth_share(self) -> float:
        """How far along its guide line the depth is cut, 0 at the front, 1 at the point."""
        how = self.values.word("depth_by")
        if how == "half":
            return HALF_WAY
        if how == "cube":
            self.check_metric()
            width, d = self.values.mm("width"), self.setting.frame.distance_mm
            return width / (d + width)
        reach = distance(self.corners[self.depth_corner], self.goal)
        if not self.guided and self.values.mm("depth") > FARTHEST_SHARE * reach:
            return HALF_WAY
        return measured_share(self.values, self.setting, reach)

    def check_metric(self) -> None:
        """Refuse a true cube where no eye is known."""
        if not self.setting.frame.is_metric:
            raise GeometryError(
                "no_distance",
                f"“{self.values.name}” as a true cube needs the viewing distance, and none is given.",
                "Say first from how far the sheet is seen, or measure the depth.",
                about="depth_by",
                nearest="measured",
            )

    @cached_property
    def solid(self) -> Solid:
        """The block in the world of the frame's eye: its front lies in the picture plane."""
        eye = self.setting.frame.eye
        front = np.array([eye.at(self.corners[c]) for c in CORNERS])
        topology = _topology(self.setting.frame.name, is_open=self.values.is_open)
        return Solid(topology, np.vstack((front, front + self.deep)))

    @cached_property
    def deep(self) -> Array:
        """The way from front to back in the world, mm."""
        eye = self.setting.frame.eye
        return np.asarray(eye.ray(self.goal) * eye.world_length(self.goal, self.depth_share))

    @cached_property
    def _sides(self) -> Mapping[str, tuple[str, str, bool]]:
        """The sides on which things can lie: their corners of the front, and whether their edges are drawn."""
        guided = set(self.guided)
        drawn, hidden = dict[str, tuple[str, str, bool]](), dict[str, tuple[str, str, bool]]()
        for side, (one, two) in SIDE_FACES.items():
            low, top = (one, two) if side in ("right", "bottom") else (two, one)
            if {low, top} <= guided and (self.values.shows_inside or self._is_outward(side, low)):
                drawn[side] = low, top, True
            elif guided:
                hidden[side] = low, top, False
        return drawn | hidden

    @cached_property
    def _turned(self) -> tuple[str, ...]:
        """The ways its faces are turned, and the ground under it, if it stands there."""
        front = () if self.values.is_open else ("front",)
        is_under = self.values.first.y < self.setting.frame.level_mm
        ground = ("ground",) if "bottom" in self._sides and is_under and not self.stands_on_another else ()
        return (*front, *self._sides, *ground)

    @cached_property
    def _panels(self) -> dict[str, Panel]:
        return {}

    @property
    def faces(self) -> Mapping[str, Panel]:
        """The front, the sides whose edges are drawn, and, where there is a back, those that are hidden."""
        return Lazily(self._turned, self._panel, self._panels)

    def _panel(self, turned: str) -> Panel:
        if turned == "ground":
            return self.faces["bottom"].ground
        return self._front_panel() if turned == "front" else self._side_panel(turned, *self._sides[turned])

    def _front_panel(self) -> Panel:
        n, at, way = self.values.full, self.setting.frame.eye.at, self.setting.frame.way
        points = self.corners
        low, back = at(points["bottom_left"]), {corner: self.behind(corner) for corner in CORNERS}
        return Panel(
            says="front",
            face="front",
            turned="front",
            low=n("front.bottom_left"),
            high=n("front.top_left"),
            far_low=n("front.bottom_right"),
            far_high=n("front.top_right"),
            first=n("front.left"),
            bottom=n("front.bottom"),
            top=n("front.top"),
            far=n("front.right"),
            around=AROUND_FRONT,
            along=way("across"),
            up=way("up"),
            out=way("away"),
            drawn_from="low",
            page=(points["bottom_left"], points["bottom_right"], points["top_right"], points["top_left"]),
            start=vector(low),
            axes=(vector(at(points["bottom_right"]) - low), vector(at(points["top_left"]) - low)),
            first_says="left edge of the front",
            back=Back(
                n("back.bottom_left"), n("back.top_left"), n("back.bottom_right"), n("back.top_right"),
                (n("guide.top_left"), n("guide.top_right")),
                (back["bottom_left"], back["bottom_right"], back["top_right"], back["top_left"]),
                vector(self.deep),
                "back",
            ),
            outward=away_from(self.deep),
        )  # fmt: skip

    def _side_panel(self, side: str, low: str, top: str, is_drawn: bool = True) -> Panel:
        n, eye, way = self.values.full, self.setting.frame.eye, self.setting.frame.way
        start, end = self.corners[low], self.corners[top]
        is_level = side in ("top", "bottom")
        low_over, top_over = opposite(low, side), opposite(top, side)
        over = self.corners[low_over], self.corners[top_over]
        over_edge, _ = EDGE[frozenset((top, top_over))]
        return Panel(
            says=LEVEL_WORDS.get(side, f"{side} side"),
            face=side,
            turned=side,
            low=n(f"front.{low}"),
            high=n(f"front.{top}"),
            far_low=n(f"back.{low}"),
            far_high=n(f"back.{top}"),
            first=n(f"front.{side}"),
            bottom=n(f"guide.{low}"),
            top=n(f"guide.{top}"),
            far=n(f"back.{side}"),
            around=("left", "back", "right", "front") if is_level else ("bottom", "back", "top", "front"),
            along=way("away"),
            up=way("across" if is_level else "up"),
            out=way("up" if is_level else "across"),
            drawn_from="low",
            page=(start, self.behind(low), self.behind(top), end),
            start=vector(eye.at(start)),
            axes=(vector(self.deep), vector(eye.at(end) - eye.at(start))),
            first_says=f"{side} edge of the front",
            is_level=is_level,
            is_drawn=is_drawn,
            is_seen=self._is_outward(side, low),
            back=Back(
                n(f"front.{low_over}"), n(f"front.{top_over}"), n(f"back.{low_over}"), n(f"back.{top_over}"),
                (n(f"front.{over_edge}"), n(f"back.{over_edge}")),
                (over[0], self.behind(low_over), self.behind(top_over), over[1]),
                vector(eye.at(over[0]) - eye.at(start)),
                OVER[side],
            ),
            outward=away_from(eye.at(over[0]) - eye.at(start)),
        )  # fmt: skip

    def behind(self, corner: str) -> Point:
        """Return where the corner of the back behind one of the front lies on the page."""
        return between(self.corners[corner], self.goal, self.depth_share)

    def _is_outward(self, side: str, low: str) -> bool:
        """Tell whether a side's outer face is turned toward the eye."""
        corner, goal = self.corners[low], self.goal
        return {
            "left": goal.x < corner.x,
            "right": goal.x > corner.x,
            "bottom": goal.y < corner.y,
            "top": goal.y > corner.y,
        }[side]


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
    result, sides = list[Edge](), tuple[LineKind, ...](("front", "back"))
    for side in sides:
        for a, b in zip(CORNERS, (*CORNERS[1:], CORNERS[0]), strict=True):
            name, runs = EDGE[frozenset((a, b))]
            result.append(Edge(f"{side}.{name}", f"{side}.{a}", f"{side}.{b}", runs, feature=Feature(side, name)))
    for c in CORNERS:
        away = Feature("away", CORNER_WORDS[c], guide=f"guide.{c}")
        result.append(Edge(f"depth.{c}", f"front.{c}", f"back.{c}", goal_name, feature=away))
    return tuple(result)
