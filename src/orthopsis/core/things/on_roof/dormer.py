"""A dormer on a slope: a front over the lower edge of its foot, and a roof that leads level back into the slope."""

from collections.abc import Iterator, Mapping

import numpy as np
from propcache.api import cached_property

from orthopsis.core.construct.meeting import meeting
from orthopsis.core.construct.moves import Act, Cross, Move, Rule, Run
from orthopsis.core.construct.panel import Panel, away_from, vector
from orthopsis.core.errors import GeometryError
from orthopsis.core.plane.homogeneous import Point, distance
from orthopsis.core.sheet.length import format_limit
from orthopsis.core.sheet.ruler import round_to
from orthopsis.core.things.answers import Clause, Handle, Summit
from orthopsis.core.things.on_roof.foot import OnSlope
from orthopsis.core.things.parameters import Value
from orthopsis.core.things.raised import foot_name
from orthopsis.core.things.seamed import Seam
from orthopsis.core.things.setting import Setting
from orthopsis.core.things.upward import Upward
from orthopsis.core.view.eye import Array

ROOFS = {"gable": "a small gable", "flat": "a flat roof"}


class Dormer(OnSlope):
    """A dormer on a slope."""

    sentence: tuple[Clause, ...] = (
        Clause("Free, taken, free: {along} along the roof, {up} up the slope. It has {roof}"),
        Clause(", its tip {peak} over its wall.", {"roof": ("gable",)}),
        Clause(".", {"roof": ("flat",)}),
    )

    @classmethod
    def place(cls, setting: Setting, count: int) -> Mapping[str, Value]:
        """Return values for one more: in the lower half of the slope, so that its tip stays under the ridge."""
        peak = max(round_to(setting.fresh_size / 12, setting.sheet.division_mm), setting.sheet.division_mm)
        return {"along": "1:1:1", "up": "1:1:2", "roof": "gable", "peak": peak}

    @property
    def has_gable(self) -> bool:
        """Whether it has a gable over its front; else its roof is flat."""
        return self.values.word("roof") == "gable"

    @cached_property
    def _walls(self) -> Mapping[str, Array]:
        """The corners of its foot and of its front in the world."""
        feet, up = self.feet, np.array(self.pitch.rise) * self.up_share
        return {foot_name(i): foot for i, foot in enumerate(feet)} | {"top.0": feet[0] + up, "top.1": feet[1] + up}

    @cached_property
    def upward(self) -> Upward:
        """The upright over the first corner of its front, on which the height of its tip is measured."""
        return Upward(self._seen(self._walls["top.0"][None])[0], self.panel.out)

    @cached_property
    def world(self) -> Mapping[str, Array]:
        """Its corners in the world.

        Raises:
            GeometryError: its tip would be higher than the roof's own ridge, or reach the third point.
        """
        walls, rise = self._walls, np.array(self.pitch.rise)
        if not self.has_gable:
            return walls
        room = 1.0 - self.foot_shares[2][1]
        peak, sheet = self.values.mm("peak"), self.setting.sheet
        level = walls["top.0"] + rise * room
        most = min(distance(self.upward.foot, self._seen(level[None])[0]), self.upward.longest_mm)
        if peak > most:
            nearest = format_limit(most, sheet.units, sheet.division_mm, is_least=False)
            raise GeometryError(
                "over_ridge",
                f"The tip of “{self.values.name}” would be higher than the ridge.",
                f"The highest that works is {nearest}; or let it begin farther down the slope.",
                about="peak",
                nearest=nearest,
            )
        high = float(np.linalg.norm(rise))
        up = self.upward.risen(self.setting.frame.eye, walls["top.0"], rise / high, peak)
        end = (walls["foot.2"] + walls["foot.3"]) / 2 + np.array(self.panel.axes[1]) * np.linalg.norm(up) / high
        return {**walls, "peak": (walls["top.0"] + walls["top.1"]) / 2 + up, "end": end}

    @property
    def face_names(self) -> Mapping[str, str]:
        """Its faces: the front, the cheeks, the roof, the foot."""
        low, far, _, near = self.panel.around
        roofs = ("roof.near", "roof.far") if self.has_gable else ("roof",)
        return {"low": low, "far": far, "near": near, **dict.fromkeys(roofs, "top"), "under": "bottom"}

    def outline_of(self, face: str) -> tuple[str, ...]:
        """Return the corners of a face."""
        tip, end = (("peak",), ("end",)) if self.has_gable else ((), ())
        return {
            "low": ("foot.0", "foot.1", "top.1", *tip, "top.0"),
            "far": ("foot.1", "foot.2", "top.1"),
            "near": ("foot.3", "foot.0", "top.0"),
            "roof": ("top.0", "top.1", "foot.2", "foot.3"),
            "roof.near": ("top.0", "peak", "end", "foot.3"),
            "roof.far": ("peak", "top.1", "foot.2", "end"),
            "under": ("foot.3", *end, "foot.2", "foot.1", "foot.0"),
        }[face]

    @cached_property
    def seams(self) -> Mapping[str, Seam]:
        """Its edges, by name."""
        panel, across = self.panel, self.pitch.way.family
        along, slope, up = (way.family for way in (panel.along, panel.up, panel.out))
        near, far = ("roof.near", "roof.far") if self.has_gable else ("roof", "roof")
        found = {
            "foot.low": Seam("foot.0", "foot.1", along, ("low",)),
            "foot.far": Seam("foot.1", "foot.2", slope, ("far",)),
            "foot.near": Seam("foot.3", "foot.0", slope, ("near",)),
            "upright.0": Seam("foot.0", "top.0", up, ("near", "low")),
            "upright.1": Seam("foot.1", "top.1", up, ("low", "far")),
            "eave.near": Seam("foot.3", "top.0", across, ("near", near)),
            "eave.far": Seam("foot.2", "top.1", across, ("far", far)),
        }
        if not self.has_gable:
            found["foot.high"] = Seam("foot.2", "foot.3", along, ("roof",))
            found["front.top"] = Seam("top.0", "top.1", along, ("low", "roof"))
            return found
        found["gable.near"] = Seam("top.0", "peak", "free", ("low", near), "slope")
        found["gable.far"] = Seam("top.1", "peak", "free", ("low", far), "slope")
        found["ridge"] = Seam("peak", "end", across, (near, far), "ridge")
        found["valley.near"] = Seam("foot.3", "end", "free", (near,), "slope")
        found["valley.far"] = Seam("foot.2", "end", "free", (far,), "slope")
        return found

    @cached_property
    def recipe(self) -> tuple[Move, ...]:
        """The hand's moves: light lines, the foot, the front, and the gable with its ridge where it has one."""
        told = [("dormer.foot", act) for act in self.foot_acts()]
        told += [("dormer.front", act) for act in self._front()]
        if self.has_gable:
            told += [("dormer.peak", act) for act in self._peak()]
            told += [("dormer.ridge", act) for act in self._ridge()]
        return (*self.grid.moves(), *(self.values.move("back", breath, act) for breath, act in told))

    def _edge(self, name: str) -> Rule:
        """Return the act that rules an edge between corners that are there."""
        n, seam = self.values.full, self.seams[name]
        return Rule(n(name), n(seam.start), n(seam.end), seam.family, self.role(name))

    def _front(self) -> Iterator[Act]:
        """Yield the acts that find the upper corners of the front, on lines out of the upper corners of the foot."""
        n, panel, across = self.values.full, self.panel, self.pitch.way
        first, eave = (n("foot.0"), panel.out, n("construction.upright.0")), (n("foot.3"), across, n("eave.near"))
        yield from meeting(first, eave, n("top.0"), 0.0, self.role("eave.near"), n("construction.laid.near"))
        yield self._edge("upright.0")
        top = self.role("front.top") if "front.top" in self.seams else "construction"
        second, over = (n("foot.1"), panel.out, n("construction.upright.1")), (n("top.0"), panel.along, n("front.top"))
        aside = self.page["top.1"].x - self.page["top.0"].x
        yield from meeting(second, over, n("top.1"), aside, top, n("construction.laid.top"))
        yield self._edge("upright.1")
        yield self._edge("eave.far")

    def _peak(self) -> Iterator[Act]:
        """Yield the acts that find the tip over the middle of the front, and draw the gable."""
        n, panel = self.values.full, self.panel
        rising, falling, centre = n("construction.rising"), n("construction.falling"), n("measure.centre")
        yield Rule(rising, n("foot.0"), n("top.1"), "free", "construction")
        yield Rule(falling, n("foot.1"), n("top.0"), "free", "construction")
        yield Cross(centre, rising, falling)
        mark, up = n("measure.peak"), n("construction.peak")
        yield from self.upward.acts(
            n("top.0"), up, mark, n("construction.laid.peak"), self.values.mm("peak"), "construction"
        )
        middle, tip = (centre, panel.out, n("construction.middle")), (mark, panel.along, n("construction.tip"))
        aside = self.page["peak"].x - self.page["top.0"].x
        yield from meeting(middle, tip, n("peak"), aside, "construction", n("construction.laid.tip"))
        yield self._edge("gable.near")
        yield self._edge("gable.far")

    def _ridge(self) -> Iterator[Act]:
        """Yield the acts that find where the ridge meets the slope, over the middle of the foot."""
        n, panel = self.values.full, self.panel
        down, middle = n("construction.down"), n("measure.middle")
        yield Run(down, middle, n("peak"), panel.out.family, n("foot.low"), "construction")
        slope, ridge = (middle, panel.up, n("construction.slope")), (n("peak"), self.pitch.way, n("ridge"))
        yield from meeting(slope, ridge, n("end"), 0.0, self.role("ridge"), n("construction.laid.ridge"))
        yield self._edge("valley.near")
        yield self._edge("valley.far")

    @cached_property
    def faces(self) -> Mapping[str, Panel]:
        """Its front, for a window, where that shows."""
        if self.role("foot.low") != "edge":
            return {}
        n, panel, walls, around = self.values.full, self.panel, self._walls, self.panel.around
        corners = ("foot.0", "foot.1", "top.1", "top.0")
        low, far_low, far_high, high = (n(corner) for corner in corners)
        front = Panel(
            says="front",
            face="low",
            turned=around[0],
            low=low,
            high=high,
            far_low=far_low,
            far_high=far_high,
            first=n("upright.0"),
            bottom=n("foot.low"),
            top=n("front.top"),
            far=n("upright.1"),
            around=("bottom", around[1], "top", around[3]),
            along=panel.along,
            up=panel.out,
            out=self.pitch.way,
            drawn_from="low",
            page=(self.page["foot.0"], self.page["foot.1"], self.page["top.1"], self.page["top.0"]),
            start=vector(walls["foot.0"]),
            axes=(vector(walls["foot.1"] - walls["foot.0"]), vector(walls["top.0"] - walls["foot.0"])),
            first_says="near upright",
            is_seen="low" in self.shown,
            outward=away_from(np.array(self.pitch.run)),
        )
        return {"front": front}

    @cached_property
    def summits(self) -> tuple[Summit, ...]:
        """The tip of its gable, over the middle of its front."""
        return (Summit(self.page["peak"], self.panel.out.goal, ("gable.near", "gable.far")),) if self.has_gable else ()

    @property
    def handles(self) -> Mapping[str, Handle]:
        """The two corners of the part of the slope that it takes, and the height of its tip."""
        found = dict(self.part_handles)
        if self.has_gable:
            mark = self.upward.mark(self.values.mm("peak"))
            found["peak"] = Handle("Change the height of its tip", mark, ("peak",), self._drag_peak)
        return found

    def _drag_peak(self, at: Point) -> Mapping[str, Value]:
        return {"peak": max(self.upward.reached_mm(at), self.setting.sheet.division_mm)}

    @cached_property
    def spans(self) -> Mapping[str, tuple[Point, Point]]:
        """Between which points the height of its tip is measured."""
        return {"peak": (self.upward.foot, self.upward.mark(self.values.mm("peak")))} if self.has_gable else {}
