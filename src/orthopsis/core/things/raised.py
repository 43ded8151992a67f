"""A box that is raised over a rectangle on a face: a chimney over its foot on a slope, eaves over the top of a block.

Corners are numbered round the rectangle from its low one at the face's first edge; ``foot.0`` is one of it, ``top.0``
lies over that. Sides are called ``low``, ``far``, ``high``, ``near``, each from the corner of the same number to the
next one. How the hand finds the foot is the thing's own business; from there on all are drawn alike.
"""

from collections.abc import Iterator, Mapping

from propcache.api import cached_property

from orthopsis.core.construct.meeting import meeting
from orthopsis.core.construct.moves import Act, Rule
from orthopsis.core.construct.panel import Panel, away_from, vector
from orthopsis.core.plane.homogeneous import Point
from orthopsis.core.things.answers import Handle
from orthopsis.core.things.parameters import Value
from orthopsis.core.things.rectangles.forms import SIDES
from orthopsis.core.things.seamed import Seam, Seamed
from orthopsis.core.things.upward import Upward
from orthopsis.core.view.frame import Way


def foot_name(corner: int) -> str:
    """Return what a corner of the foot is called."""
    return f"foot.{corner % 4}"


def top_name(corner: int) -> str:
    """Return what the corner over it is called."""
    return f"top.{corner % 4}"


class Raised(Seamed):
    """A box over a rectangle."""

    @property
    def upward(self) -> Upward:
        """The upright over the first corner of the foot, on which the height is measured."""
        raise NotImplementedError

    @property
    def way_back(self) -> Way:
        """Which way the near and the far edge of its level top run."""
        return self.panel.up

    def outline_of(self, face: str) -> tuple[str, ...]:
        """Return the corners of a face."""
        if face in ("top", "under"):
            return tuple(top_name(i) if face == "top" else foot_name(3 - i) for i in range(4))
        i = SIDES.index(face)
        return foot_name(i), foot_name(i + 1), top_name(i + 1), top_name(i)

    @property
    def face_names(self) -> Mapping[str, str]:
        """Its faces: the sides over those of its foot, top and foot."""
        return dict(zip((*SIDES, "top", "under"), (*self.panel.around, "top", "bottom"), strict=True))

    @cached_property
    def seams(self) -> Mapping[str, Seam]:
        """Its edges, by name."""
        panel, found = self.panel, dict[str, Seam]()
        along, back, up = (way.family for way in (panel.along, panel.up, panel.out))
        for i, side in enumerate(SIDES):
            found[f"foot.{side}"] = Seam(foot_name(i), foot_name(i + 1), back if i % 2 else along, (side, "under"))
            level = self.way_back.family if i % 2 else along
            found[f"top.{side}"] = Seam(top_name(i), top_name(i + 1), level, (side, "top"))
            found[f"upright.{i}"] = Seam(foot_name(i), top_name(i), up, (SIDES[i - 1], side))
        return found

    def is_drawn(self, *edges: str) -> bool:
        """Tell whether one of some edges is drawn as one."""
        return any(self.role(edge) == "edge" for edge in edges)

    @property
    def rise_handle(self) -> Handle:
        """The height over the first corner."""
        return Handle("Change its height", self.page[top_name(0)], ("rise",), self._drag_rise)

    def _drag_rise(self, at: Point) -> Mapping[str, Value]:
        return {"rise": max(self.upward.reached_mm(at), self.setting.sheet.division_mm)}

    @cached_property
    def spans(self) -> Mapping[str, tuple[Point, Point]]:
        """Between which points its height is measured."""
        return {"rise": (self.upward.foot, self.page[top_name(0)])}

    def check_lid(self, rise_mm: float) -> None:
        """Refuse a height with which the top reaches the third point, or lies on the eye level."""
        most, division = self.upward.longest_mm, self.setting.sheet.division_mm
        if rise_mm > most:
            raise self.refused("edge_past_point", "is higher than the third point", most, is_least=False)
        if abs(self.upward.mark(rise_mm).y - self.setting.frame.level_mm) < division / 2:
            why = "would have its top on the eye level, as a mere line"
            raise self.refused("lid_on_eye_level", why, rise_mm + 2 * division, is_least=True)

    def height_acts(self, mm: float) -> Iterator[Act]:
        """Yield the acts that draw the upright over the first corner, as high as it is."""
        n, line = self.values.full, "upright.0"
        yield from self.upward.acts(
            n(foot_name(0)), n(line), n(top_name(0)), n("construction.laid"), mm, self.role(line)
        )

    def side_acts(self) -> Iterator[Act]:
        """Yield the acts that find the corners of the top beside the first one, on the uprights of the foot."""
        n, out = self.values.full, self.panel.out
        for corner, side, way in ((1, "low", self.panel.along), (3, "near", self.way_back)):
            aside = self.page[top_name(corner)].x - self.page[top_name(0)].x
            upright = (n(foot_name(corner)), out, n(f"construction.upright.{corner}"))
            edge = (n(top_name(0)), way, n(f"top.{side}"))
            laid = n(f"construction.laid.{side}")
            yield from meeting(upright, edge, n(top_name(corner)), aside, self.role(f"top.{side}"), laid)
            name = f"upright.{corner}"
            yield Rule(n(name), n(foot_name(corner)), n(top_name(corner)), out.family, self.role(name))

    def lid_acts(self) -> Iterator[Act]:
        """Yield the acts that close the top, where something of its far side is seen."""
        if not self.is_drawn("top.far", "top.high", "upright.2"):
            return
        n, back = self.values.full, self.way_back
        first, second = (n(top_name(1)), back, n("construction.far")), (n(top_name(3)), self.panel.along, n("top.high"))
        aside = self.page[top_name(2)].x - self.page[top_name(3)].x
        yield from meeting(first, second, n(top_name(2)), aside, self.role("top.high"), n("construction.laid.high"))
        yield Rule(n("top.far"), n(top_name(1)), n(top_name(2)), back.family, self.role("top.far"))
        if self.role("upright.2") == "edge":
            yield Rule(n("upright.2"), n(foot_name(2)), n(top_name(2)), self.panel.out.family)

    @cached_property
    def faces(self) -> Mapping[str, Panel]:
        """Its top, on which a roof or a cap can stand."""
        return {"top": self.lid}

    @property
    def lid(self) -> Panel:
        """Its top."""
        n, panel, page = self.values.full, self.panel, [self.page[top_name(i)] for i in range(4)]
        start, far, _, high = (self.world[top_name(i)] for i in range(4))
        low, far_low, far_high, near_high = (n(top_name(i)) for i in range(4))
        first, bottom, top, beyond = (n(f"top.{side}") for side in ("near", "low", "high", "far"))
        is_seen = "top" in self.shown
        return Panel(
            says="top", face="top", turned="top", low=low, high=near_high, far_low=far_low, far_high=far_high,
            first=first, bottom=bottom, top=top, far=beyond, around=panel.around, along=panel.along,
            up=self.way_back, out=panel.out, drawn_from="low", page=(page[0], page[1], page[2], page[3]),
            start=vector(start), axes=(vector(far - start), vector(high - start)),
            first_says="near edge of the top", is_level=True, is_seen=is_seen,
            is_drawn=self.is_see_through or is_seen, outward=away_from(self.world[foot_name(0)] - start),
        )  # fmt: skip
