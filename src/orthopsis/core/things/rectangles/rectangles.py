"""Rectangles as a thing: their sentence, moves and handles."""

import math
from collections.abc import Mapping
from functools import partial

import numpy as np
from propcache.api import cached_property

from orthopsis.core.construct.moves import Move
from orthopsis.core.plane.arc import FacePlace
from orthopsis.core.plane.homogeneous import Point, distance
from orthopsis.core.things.parameters import Value
from orthopsis.core.things.rectangles.carried import CarriedShapes
from orthopsis.core.things.rectangles.forms import FORMS
from orthopsis.core.things.rectangles.layout import NEARLY, WAYS, Way, is_measured, measures_of, ratio_of, taken
from orthopsis.core.things.rectangles.recipe import recipe
from orthopsis.core.things.setting import Setting
from orthopsis.core.things.standing import Clause, Handle

CURVED = tuple(name for name, form in FORMS.items() if form.is_curved)
RELIEFS = {"flat": "flat on it", "out": "out of it", "in": "sunk into it", "through": "right through it"}


class Rectangles(CarriedShapes):
    """Rectangles on a face, in rows and columns."""

    sentence: tuple[Clause, ...] = (
        Clause("{columns} along and {rows} up, each {form}, {wide} of its part wide and {tall} of it tall, {spread}. "),
        Clause("Curves are drawn through the {points}. ", {"form": CURVED}),
        Clause("Free, taken, free: {along} along the face, {up} up. "),
        Clause("They are {relief}.", {"relief": ("flat",)}),
        Clause("They stand {relief}, {deep}.", {"relief": ("out",)}),
        Clause("They are {relief}, {deep} deep.", {"relief": ("in",)}),
        Clause("They go {relief}.", {"relief": ("through",)}),
    )

    @classmethod
    def place(cls, setting: Setting, count: int) -> Mapping[str, Value]:
        """Return values for new ones: a row of three windows."""
        return {"along": "1:6:1", "up": "1:3:1", "columns": "3", "rows": "1", "wide": "half", "tall": "three_quarters"}

    def turned(self) -> Mapping[str, Value]:
        """Return it with what is along up, and what is up along."""
        return self.values.swapped(("along", "up"), ("columns", "rows"), ("wide", "tall"))

    @cached_property
    def recipe(self) -> tuple[Move, ...]:
        """The hand's moves."""
        return tuple(recipe(self))

    @property
    def handles(self) -> Mapping[str, Handle]:
        """The two corners of the part of the face that is taken, and how far they stand out."""
        (left, right), (low, high) = (taken(self.values, name, self.ruler) for name in WAYS)
        at = [
            Point(x, y) for x, y in self.setting.frame.eye.see(self.panel.places([(left, low), (right, high)])).tolist()
        ]
        changes = ("along", "up")
        found = {
            "begin": Handle("Move where they begin", at[0], changes, partial(self._drag, is_end=False), "corner"),
            "end": Handle("Move where they end", at[1], changes, partial(self._drag, is_end=True), "size"),
        }
        if self.is_measured:
            found["deep"] = Handle(
                "Change how deep they are" if self.is_sunk else "Change how far they stand out",
                self.first_out,
                ("deep",),
                self._drag_deep,
            )
        return found

    def _drag(self, at: Point, *, is_end: bool) -> Mapping[str, Value]:
        place = self._share_at(at)
        if place is None:
            return {}
        changed: dict[str, Value] = {}
        for name, share in zip(WAYS, place, strict=True):
            start, end = taken(self.values, name, self.ruler)
            changed[name] = (
                self._said(name, start, max(share, start)) if is_end else self._said(name, min(share, end), end)
            )
        return changed

    def _said(self, name: Way, start: float, end: float) -> str:
        """Return how a part of the face is typed: by measures where it was measured before, else as a ratio."""
        long_mm, division = self.ruler.length(name), self.setting.sheet.division_mm
        if not (long_mm and is_measured(self.values.word(name))):
            return ratio_of(start, end)
        marks = math.floor(long_mm / division + NEARLY)
        first = min(max(round(start * long_mm / division), 0), marks - 1)
        last = min(max(round(end * long_mm / division), first + 1), marks)
        return measures_of(first * division, (last - first) * division, self.ruler)

    def _share_at(self, at: Point) -> FacePlace | None:
        """Return where on the face a place of the page lies; none if the line of sight runs along the face."""
        sight = self.setting.frame.eye.ray(at)
        try:
            along, up, _ = np.linalg.solve(np.column_stack((*self.panel.axes, -sight)), -np.array(self.panel.start))
        except np.linalg.LinAlgError:
            return None
        return (float(along), float(up))

    def _drag_deep(self, at: Point) -> Mapping[str, Value]:
        start, end = self.page[0][0], self.first_out
        reach = distance(start, end)
        along = ((at.x - start.x) * (end.x - start.x) + (at.y - start.y) * (end.y - start.y)) / reach
        return {"deep": max(along, self.setting.sheet.division_mm)}

    @cached_property
    def spans(self) -> Mapping[str, tuple[Point, Point]]:
        """How far they stand out, or how deep they are."""
        return {"deep": (self.page[0][0], self.first_out)} if self.is_measured else {}
