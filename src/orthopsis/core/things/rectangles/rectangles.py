"""Rectangles as a thing: their sentence, moves and handles."""

from collections.abc import Mapping

from propcache.api import cached_property

from orthopsis.core.construct.moves import Move
from orthopsis.core.plane.homogeneous import Point
from orthopsis.core.things.answers import Clause, Handle
from orthopsis.core.things.parameters import Value
from orthopsis.core.things.rectangles.carried import CarriedShapes
from orthopsis.core.things.rectangles.forms import FORMS
from orthopsis.core.things.rectangles.recipe import recipe
from orthopsis.core.things.setting import Setting

CURVED = tuple(name for name, form in FORMS.items() if form.is_curved)
RELIEFS = {
    "flat": "flat on it",
    "out": "out of it",
    "in": "sunk into it",
    "through": "right through it",
    "open": "open",
}


class Rectangles(CarriedShapes):
    """Rectangles on a face, in rows and columns."""

    sentence: tuple[Clause, ...] = (
        Clause("{columns} along and {rows} up, each {form}, {wide} of its part wide and {tall} of it tall, {spread}. "),
        Clause("Curves are drawn through the {points}. ", {"form": CURVED}),
        Clause("Free, taken, free: {along} along the face, {up} up. "),
        Clause("Beside each: {beside}. ", {"form": ("rectangle",), "relief": ("flat", "in", "through", "open")}),
        Clause("Each has {bars}. They are {relief}.", {"relief": ("flat",)}),
        Clause("They stand {relief}, {deep}.", {"relief": ("out",)}),
        Clause("They are {relief}, {deep} deep.", {"relief": ("in",)}),
        Clause("They go {relief}.", {"relief": ("through",)}),
        Clause("They are {relief}, so that one sees out; the wall is {deep} thick.", {"relief": ("open",)}),
    )

    @classmethod
    def place(cls, setting: Setting, count: int) -> Mapping[str, Value]:
        """Return values for new ones: a row of three windows."""
        return {"along": "1:6:1", "up": "1:3:1", "columns": "3", "rows": "1", "wide": "half", "tall": "three_quarters"}

    def turned(self) -> Mapping[str, Value]:
        """Return it with what is along up, and what is up along."""
        swapped = self.values.swapped(("along", "up"), ("columns", "rows"), ("wide", "tall"))
        # What hangs at the sides of a window would lie over and under it.
        return {**swapped, "beside": "nothing"}

    @cached_property
    def recipe(self) -> tuple[Move, ...]:
        """The hand's moves."""
        return tuple(recipe(self))

    @property
    def handles(self) -> Mapping[str, Handle]:
        """The two corners of the part of the face that is taken, and how far they stand out."""
        found = dict(self.part_handles)
        if self.is_measured:
            found["deep"] = Handle(
                "Change how deep they are" if self.is_sunk else "Change how far they stand out",
                self.first_out,
                ("deep",),
                self._drag_deep,
            )
        return found

    def _drag_deep(self, at: Point) -> Mapping[str, Value]:
        return {"deep": max(self.outward.reached_mm(at), self.setting.sheet.division_mm)}

    @cached_property
    def spans(self) -> Mapping[str, tuple[Point, Point]]:
        """How far they stand out, or how deep they are."""
        return {"deep": (self.first_at, self.first_out)} if self.is_measured else {}
